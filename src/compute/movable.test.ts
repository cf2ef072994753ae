import { describe, expect, it } from 'vitest';
import { demoProject } from '../../demo/project';
import { buffersIn, simulateDay } from '../core';
import { dayInput, setupOf } from '../model';
import { movable } from './movable';

describe('what is moved to the page instead of copied', () => {
  it('leaves the laps that are driven again: the next day has the same ones, whole', () => {
    const input = dayInput(setupOf(demoProject, demoProject.plans[0].id));
    const first = simulateDay(input);
    const buffers = movable(first);
    const [all, peaks] = [buffersIn(first).size, structuredClone(first.peaks)];
    expect(buffers.length).toBeGreaterThan(20);
    expect(buffers.length).toBeLessThan(all);
    const moved = structuredClone(first, { transfer: buffers });
    expect(first.record.time).toHaveLength(0);
    const again = simulateDay(input);
    expect(again.peaks).toEqual(peaks);
    expect(again.trace.speed).toEqual(moved.trace.speed);
    expect(again.trace.speed.length).toBeGreaterThan(100);
  });
});
