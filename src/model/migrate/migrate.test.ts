import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { oneSession } from '../../../tests/support/sessions';
import { simulateDay } from '../../core';
import { starterZone } from '../catalogue/starters';
import { readProject, writeProject } from '../file/readProject';
import { PROJECT_VERSION } from '../schema/project';
import { DEFAULT_UNCERTAIN } from '../schema/uncertain';
import { USUAL_WORKSHOP } from '../schema/workshop';
import { dayInput, setupOf } from '../toCore/toCore';

/** The demo as it was exported when each version was the present one. */
const fileOf = (version: number) => readFileSync(`tests/golden/project-v${version}.json`, 'utf8');

function migrated(text: string) {
  const read = readProject(text);
  if (!read.ok) throw new Error(read.problems.map((p) => `${p.path}: ${p.message}`).join('\n'));
  return read.project;
}

/** Every value of a document by its path. */
function leaves(value: unknown, path = ''): [string, unknown][] {
  if (typeof value !== 'object' || value === null) return [[path, value]];
  return Object.entries(value).flatMap(([key, inner]) => leaves(inner, `${path}/${key}`));
}

/** What version 2 gave another place: a plan's one session. */
const MOVED =
  /^\/plans\/\d+\/(outLaps|outPacePercent|hotLaps|coolDownLaps|coolDownPacePercent|paddockMin|ambientC)$/;

/** What version 6 calls otherwise. */
const CALLED_6: readonly (readonly [RegExp, string])[] = [
  [/\/brakingCommitmentPercent$/, '/brakingGripUsedPercent'],
  [/\/corneringCommitmentPercent$/, '/corneringGripUsedPercent'],
  [/\/wishK$/, '/targetMarginK'],
  [/\/innerReliefPercent$/, '/loadFollowingPercent'],
  [/\/hoseGrowthMm3BarM$/, '/hoseExpansionMm3BarM'],
  [/\/tapePercent$/, '/blankedOffPercent'],
  [/\/opennessPercent$/, '/wheelOpenAreaPercent'],
];
const calledNow = (path: string) => CALLED_6.reduce((now, [old, name]) => now.replace(old, name), path);

describe('project files of older versions', () => {
  it.each([1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 13])(
    'of version %i keep every value they have, and come back as they go out',
    (version) => {
      const old = JSON.parse(fileOf(version)) as { version: number };
      expect(old.version).toBe(version);
      const project = migrated(fileOf(version));
      expect(project.version).toBe(PROJECT_VERSION);
      const now = new Map(leaves(project));
      for (const [path, value] of leaves(old)) {
        if (path === '/version' || MOVED.test(path)) continue;
        expect([path, now.get(calledNow(path))]).toEqual([path, value]);
      }
      expect(migrated(writeProject(project))).toEqual(project);
    },
  );

  it('had stops where there are braking zones now', () => {
    const old = JSON.parse(fileOf(5));
    const zone = starterZone('Quench');
    old.circuits[0].layout = { kind: 'stops', stops: [zone] };
    const { layout } = migrated(JSON.stringify(old)).circuits[0];
    expect(layout).toEqual({ kind: 'zones', zones: [zone] });
  });

  it('get what they could not know as it was computed then', () => {
    const first = migrated(fileOf(1));
    expect(first.plans[0].sessions[0].legs).toEqual([
      { kind: 'out', laps: 1, pacePercent: 65 },
      { kind: 'hot', laps: 11, pacePercent: 100 },
      { kind: 'cool', laps: 1, pacePercent: 40 },
      { kind: 'paddock', minutes: 30, fanKmh: 0 },
    ]);
    expect(first.cars[0].front).toMatchObject({
      drum: null,
      leftFactor: 1,
      rightFactor: 1,
      blankedOffPercent: 0,
    });
    expect(first.cars[0].front.rotor).toMatchObject({
      vaneType: 'straight',
      surface: 'plain',
      weighedKg: null,
    });
    const second = migrated(fileOf(2));
    expect(second.cars[0].front.newPadMm).toBe(second.cars[0].front.padThicknessMm);
    expect(second.cars[1].recovery?.blending).toBe('blended');
    expect(second.parts).toEqual([]);
    expect(migrated(fileOf(3)).circuits[0].place).toBeNull();
    expect(migrated(fileOf(3)).plans[0]).toMatchObject({ pressureHpa: null, windKmh: 0 });
    expect(migrated(fileOf(4)).plans[0]).toMatchObject({ targetMarginK: 30, uncertain: DEFAULT_UNCERTAIN });
    expect(migrated(fileOf(4))).toMatchObject({ currency: '€', prices: [] });
    expect(migrated(fileOf(5)).states).toEqual([]);
    expect(migrated(fileOf(5)).plans[0].start).toEqual({ kind: 'cold' });
    const tenth = migrated(fileOf(10));
    expect(tenth).toMatchObject({ preparations: [], bottles: [] });
    // Every copy of a car, wherever it is kept, has pads that are bedded and nothing on what gets hot.
    for (const car of [...tenth.cars, ...tenth.drives.map((drive) => drive.car)]) {
      expect([car.front.beddedPercent, car.rear.beddedPercent]).toEqual([100, 100]);
      expect(car).toMatchObject({ workshop: USUAL_WORKSHOP, fitted: {} });
      expect(car.exposed.every(({ protection }) => protection === 'none')).toBe(true);
    }
  });

  it('keep the brake balance that ruled in version 2: a short drive heats the front by as much', () => {
    const old = JSON.parse(fileOf(2)) as { cars: { frontSharePercent: number }[] };
    old.cars[0].frontSharePercent = 61;
    const read = setupOf(migrated(JSON.stringify(old)), 'plan-tarn-anvil');
    // Without ABS, which would hold the rear back at the tyres' limit.
    const setup = { ...read, car: { ...read.car, abs: false } };
    const { trace } = simulateDay(dayInput({ ...setup, plan: oneSession(setup.plan, { hotLaps: 1 }) }));
    const last = trace.time.length - 1;
    expect(trace.frontHeat[last] / (trace.frontHeat[last] + trace.rearHeat[last])).toBeCloseTo(0.61, 9);
  });

  it('say what is wrong with them by the path as they are read', () => {
    const old = JSON.parse(fileOf(1)) as { plans: { hotLaps: unknown }[] };
    old.plans[0].hotLaps = 'many';
    const read = readProject(JSON.stringify(old));
    expect(read.ok ? '' : `${read.problems[0].path}: ${read.problems[0].message}`).toMatch(
      /plans\[0\]\.sessions\[0\]\.legs\[1\]\.laps: must be/,
    );
  });
});
