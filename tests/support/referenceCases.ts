import { readFileSync } from 'node:fs';
import { demoProject } from '../../demo/project';
import { type DayInput, simulateDay, type WheelName } from '../../src/core';
import { type NetworkRun, networkRun } from '../../src/core/run/networkRun';
import { dayInput, type Project, readProject, setupOf } from '../../src/model';

export const RANDOM_PROJECTS = 'tests/golden/random-projects.json';
export const REFERENCE = 'tests/golden/reference.json';

/** Highest temperature of every node of a wheel's brake over a day, K, by its name. */
export type Peaks = Readonly<Record<string, number>>;

/** A day whose brakes are held against another solver. */
export interface ReferenceCase {
  readonly name: string;
  readonly input: DayInput;
}

const WHEELS_HELD = ['frontLeft', 'rearLeft'] as const;

/** All demo plans whole, and the ten projects that were drawn once. */
export function referenceCases(): ReferenceCase[] {
  const drawn = JSON.parse(readFileSync(RANDOM_PROJECTS, 'utf8')) as unknown[];
  return [
    ...demoProject.plans.map((plan) => ({ name: plan.id, input: dayInput(setupOf(demoProject, plan.id)) })),
    ...drawn.map((value, i) => ({ name: `drawn ${i + 1}`, input: dayInput(setupOf(projectOf(value))) })),
  ];
}

function projectOf(value: unknown): Project {
  const read = readProject(JSON.stringify(value));
  if (!read.ok) throw new Error(read.problems.map((p) => `${p.path}: ${p.message}`).join('\n'));
  return read.project;
}

/** A case's front and rear brake as this program computes them, ready for another solver. */
export function networksOf({ input }: ReferenceCase): [WheelName, NetworkRun][] {
  const result = simulateDay(input);
  return WHEELS_HELD.map((wheel) => [wheel, networkRun(input, result, wheel)]);
}

/** Highest of each node over rows of temperatures, K, to a thousandth. */
export function peaksOf({ nodes }: NetworkRun, rows: readonly (readonly number[])[]): Peaks {
  const round = (kelvin: number) => Math.round(1000 * kelvin) / 1000;
  return Object.fromEntries(
    nodes.map(({ name }, i) => [name, round(rows.reduce((most, row) => Math.max(most, row[i]), 0))]),
  );
}
