import { demoProject } from '../demo/project';
import { simulateDay } from '../src/core';
import { dayInput, setupOf } from '../src/model';

/** Memory of a process that computes a day of twelve sessions, once. Prints JSON. */
const first = dayInput(setupOf(demoProject, demoProject.plans[0].id));
const input = { ...first, sessions: Array.from({ length: 12 }, () => first.sessions[0]) };
const beforeMb = process.memoryUsage().rss / 1e6;
const start = performance.now();
const { steps } = simulateDay(input);
const ms = performance.now() - start;
console.log(JSON.stringify({ steps, ms, beforeMb, mostMb: process.resourceUsage().maxRSS / 1000 }));
