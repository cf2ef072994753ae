import { describe, expect, it } from 'vitest';
import { demoProject } from '../../../demo/project';
import { attemptEdit } from '../edit/attempt';
import { addTest, putRun, putStop, removeStop } from '../edit/edits';
import { mergeProjects } from '../edit/merge';
import { readProject, writeProject } from '../file/readProject';
import { KIND_DESIGNS, newRun, newTest, runsOf, stopsOf, USUAL_DESIGN } from '../guided/newTest';
import type { StoredBench } from './bench';
import { brakeTestSchema, type StoredTest } from './brakeTest';
import { infoAt } from './paths';
import { TEST_KINDS, type TestDesign, testDesignSchema } from './testDesign';
import { type TestStopStored, testStopSchema } from './testRun';

const [car] = demoProject.cars;
const stop: TestStopStored = {
  n: 3,
  fromKmh: 81.4,
  toKmh: 12,
  distanceM: null,
  marksM: [30, 8.4],
  timeS: 3.1,
  pedalN: 233,
  abs: true,
  meanMs2: 7.91,
  temperatureC: 244,
  atS: 95.5,
  errorM: 0.4,
  source: 'counter',
  note: 'a gust',
};
const fresh = newTest(car, { id: 'test-1', name: 'A row', date: '2027-04-03' });
const withRun: StoredTest = {
  ...fresh,
  design: { ...USUAL_DESIGN, ...KIND_DESIGNS.endurance, kind: 'endurance', toKmh: 5, startC: null },
  bench: { ...fresh.bench, control: 'pressure', start: 'temperature', areaPercent: 25, bedding: false },
  runs: {
    'run-1': {
      ...newRun(fresh, car, [], { setup: 'Standard', date: '2027-04-03' }),
      wheel: 'rearRight',
      place: 'caliper',
      stops: { a: stop },
      ended: { atS: 401, by: 'boiled', axle: 'front' },
    },
  },
};
const issuesOf = (
  schema: { safeParse: (v: unknown) => { error?: { issues: { path: PropertyKey[]; message: string }[] } } },
  value: unknown,
) =>
  (schema.safeParse(value).error?.issues ?? []).map(({ path, message }) => `${path.join('.')}: ${message}`);

describe('brake tests in the project file', () => {
  it('come back as they went out, from values that are no defaults', () => {
    const project = { ...demoProject, tests: [withRun] };
    const read = readProject(writeProject(project));
    expect(read).toEqual({ ok: true, project });
  });

  it('refuse speeds that run backwards, two lengths of one stop, a bench of nothing, each at its field', () => {
    const design = (change: Partial<TestDesign>) =>
      issuesOf(testDesignSchema, { ...USUAL_DESIGN, ...change });
    expect(design({ fromKmh: 60, toKmh: 60 })).toEqual([
      'toKmh: must be under the speed braked from (60 km/h)',
    ]);
    expect(design({ heatToKmh: 130 })[0]).toMatch(/^heatToKmh: must be under the speed the snubs begin at/);
    expect(design({ kind: 'endurance', cornerKmh: 90 })[0]).toMatch(/^cornerKmh: must be under/);
    expect(design({ kind: 'endurance', cornerKmh: 80 })).toEqual([]);
    expect(issuesOf(testStopSchema, { ...stop, fromKmh: 12 })).toEqual([
      'toKmh: must be under the speed braked from (12 km/h)',
    ]);
    expect(issuesOf(testStopSchema, { ...stop, distanceM: 38 })[0]).toMatch(/^distanceM: must be empty/);
    const bench = (change: Partial<StoredBench>) =>
      issuesOf(brakeTestSchema, { ...fresh, bench: { ...fresh.bench, ...change } });
    expect(bench({ mostInertia: 0, leastInertia: 0 })[0]).toMatch(/^bench.mostInertia: must be at least/);
    expect(bench({ leastInertia: 200 })[0]).toMatch(/^bench.leastInertia: must not be over the most/);
    expect(bench({ torqueNm: 0 })).toHaveLength(1);
  });

  it('each kind begins with what can be stored', () => {
    for (const kind of TEST_KINDS) {
      expect(issuesOf(testDesignSchema, { ...USUAL_DESIGN, ...KIND_DESIGNS[kind], kind })).toEqual([]);
    }
  });

  it('a field within a record of runs is found, with its bounds and its unit', () => {
    expect(infoAt('tests', ['runs', 'run-1', 'stops', 'a', 'pedalN'])).toMatchObject({
      quantity: 'force',
      nullable: true,
    });
    expect(infoAt('tests', ['runs', 'any', 'conditions', 'slopePercent']).max).toBe(20);
  });
});

describe('two devices write into one run', () => {
  const begun = addTest({ ...demoProject, tests: [] }, { ...withRun, runs: {} });
  const base = putRun(begun, 'test-1', 'run-1', { ...withRun.runs['run-1'], stops: {}, ended: null });
  const counted = (n: number) => ({ ...stop, n, fromKmh: null, toKmh: 0 });

  it('and no stop of either is lost; what one took out is gone', () => {
    const shared = putStop(base, 'test-1', 'run-1', 'early', counted(1));
    const mine = putStop(
      removeStop(shared, 'test-1', 'run-1', 'early'),
      'test-1',
      'run-1',
      'mine',
      counted(2),
    );
    const theirs = putStop(shared, 'test-1', 'run-1', 'theirs', counted(2));
    const merged = mergeProjects(shared, mine, theirs, mine);
    expect(merged).toMatchObject({ whole: true, conflicts: [] });
    expect(Object.keys(merged.project.tests[0].runs['run-1'].stops).sort()).toEqual(['mine', 'theirs']);
  });

  it('a stop without a place of its own is the last, one that is mended keeps its place', () => {
    const { n: _n, ...placeless } = counted(1);
    let project = putStop(base, 'test-1', 'run-1', 'a', placeless);
    project = putStop(project, 'test-1', 'run-1', 'b', placeless);
    project = putStop(project, 'test-1', 'run-1', 'a', { ...placeless, pedalN: 999 });
    const stops = stopsOf(project.tests[0].runs['run-1']);
    expect(stops.map(({ id, stop: own }) => [id, own.n, own.pedalN])).toEqual([
      ['a', 1, 999],
      ['b', 2, 233],
    ]);
    const refused = attemptEdit(project, (p) =>
      putStop(p, 'test-1', 'run-1', 'c', { ...placeless, fromKmh: 3, toKmh: 9 }),
    );
    expect(refused).toMatchObject({ ok: false });
  });

  it('a run takes over the conditions of the one before, with the car as it is then', () => {
    const [{ run }] = runsOf(withRun);
    const wet = {
      ...withRun,
      runs: {
        'run-1': { ...run, conditions: { ...run.conditions, surface: 'wet asphalt' as const, airC: 7 } },
      },
    };
    const next = newRun(wet, { ...car, massKg: 1111 }, [], { setup: 'Standard', date: '2027-04-04' });
    expect(next).toMatchObject({ n: 2, name: 'Standard 2', wheel: 'rearRight', stops: {}, ended: null });
    expect(next.conditions).toMatchObject({ surface: 'wet asphalt', airC: 7 });
    expect(next.car.massKg).toBe(1111);
  });
});
