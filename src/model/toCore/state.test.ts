import { describe, expect, it } from 'vitest';
import { demoProject } from '../../../demo/project';
import { simulateDay, WHEELS } from '../../core';
import { readProject, writeProject } from '../file/readProject';
import type { Project } from '../schema/project';
import type { KeptState } from '../schema/state';
import { storedBrakesOf } from './state';
import { dayInput, setupOf } from './toCore';

const end = simulateDay(dayInput(setupOf(demoProject, 'plan-tarn-anvil'))).end;
const kept: KeptState = {
  id: 'after-anvil',
  name: 'After Anvil Park',
  carId: 'car-tarn',
  keptAt: '2026-05-02T16:05:00Z',
  brakes: storedBrakesOf(end),
};
/** The demo's first plan begun from a state. */
const begun = (state: KeptState = kept, project: Project = demoProject): Project => ({
  ...project,
  states: [state],
  plans: project.plans.map((plan, i) =>
    i === 0 ? { ...plan, start: { kind: 'state', stateId: state.id } } : plan,
  ),
});
const problems = (project: unknown) => {
  const read = readProject(JSON.stringify(project));
  return read.ok ? 'none' : read.problems.map((p) => `${p.path}: ${p.message}`).join('\n');
};

describe('a kept state', () => {
  it('goes into a file and out again, and begins a day where the last one ended', () => {
    const read = readProject(writeProject(begun()));
    if (!read.ok) throw new Error(read.problems[0].message);
    expect(read.project).toEqual(begun());
    const { start } = dayInput(setupOf(read.project, 'plan-tarn-anvil'));
    if (start === null || typeof start === 'number') throw new Error('it begins from a state');
    for (const wheel of WHEELS) {
      for (const [node, kelvin] of Object.entries(end[wheel].temperatures)) {
        expect(Math.abs(start[wheel].temperatures[node] - kelvin)).toBeLessThan(1e-6);
      }
      expect(start[wheel].glaze).toBeCloseTo(end[wheel].glaze, 8);
      expect(start[wheel].padThickness.inner).toBeCloseTo(end[wheel].padThickness.inner, 10);
    }
    const warm = simulateDay(dayInput(setupOf(read.project, 'plan-tarn-anvil')));
    const cold = simulateDay(dayInput(setupOf(demoProject, 'plan-tarn-anvil')));
    expect(warm.record.wheels.frontLeft.fluid[0]).toBeGreaterThan(cold.record.wheels.frontLeft.fluid[0] + 5);
  });

  it('begins another brake in its place as warm, part by part', () => {
    const withVanes = (vaneGapMm: number): Project => ({
      ...begun(),
      cars: begun().cars.map(({ rear, ...car }, i) =>
        i === 0 ? { ...car, rear: { ...rear, rotor: { ...rear.rotor, vaneGapMm } } } : { ...car, rear },
      ),
    });
    const solid = withVanes(0);
    const vented = withVanes(8);
    for (const project of [solid, vented]) {
      const { peaks, record } = simulateDay(dayInput(setupOf(project, 'plan-tarn-anvil')));
      expect(
        Math.abs(record.wheels.rearLeft.rotorBulk[0] - end.rearLeft.temperatures['cheek 5']),
      ).toBeLessThan(2);
      expect(peaks.rearLeft.rotorFace).toBeGreaterThan(400);
    }
  });

  it.each([
    ['of no car', { carId: 'gone' }, /states\[0\]\.carId: names no car/],
    [
      'of another car than the plan’s',
      { carId: 'car-ovel' },
      /plans\[0\]\.start\.stateId: is a kept state of another car/,
    ],
    ['kept at no time', { keptAt: 'yesterday' }, /states\[0\]\.keptAt/],
  ])('%s is refused', (_, change, message) => {
    expect(problems(begun({ ...kept, ...change }))).toMatch(message);
  });

  it.each([
    [
      'a node no brake has',
      { temperaturesC: { ...kept.brakes.frontLeft.temperaturesC, flywheel: 90 } },
      /temperaturesC.*(flywheel|node of a brake)/,
    ],
    [
      'a temperature below absolute zero',
      { temperaturesC: { hat: -300 } },
      /temperaturesC\.hat: must be at least/,
    ],
    ['a negative thickness', { innerPadMm: -1 }, /frontLeft\.innerPadMm: must be at least/],
    ['more than all glazed', { glazedPercent: 120 }, /frontLeft\.glazedPercent: must be at most/],
  ])('with %s is refused by its path', (_, change, message) => {
    const brakes = { ...kept.brakes, frontLeft: { ...kept.brakes.frontLeft, ...change } };
    expect(problems(begun({ ...kept, brakes } as KeptState))).toMatch(message);
  });

  it('that is not there is named', () => {
    expect(problems({ ...begun(), states: [] })).toMatch(/plans\[0\]\.start\.stateId: names no kept state/);
  });
});
