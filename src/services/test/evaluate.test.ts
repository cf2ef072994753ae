import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoProject } from '../../../demo/project';
import { recordFigure } from '../../../tests/support/validation';
import { randomNumbers, STANDARD_GRAVITY } from '../../core';
import { meanOverDistance } from '../../core/run/procedures';
import {
  newRun,
  newTest,
  type StoredTest,
  stopsOf,
  type TestConditions,
  type TestRun,
  type TestStopStored,
  USUAL_DESIGN,
} from '../../model';
import { bothBasesText, comparisonText, minuteText } from '../../text/en';
import { compareRuns } from './compareRuns';
import { bothBases, corrected, distanceOf, levelDistance } from './correct';
import { doubtsOfRun, inOtherUnit } from './doubtful';
import { reportOf, reportsOf, setupsOf } from './evaluate';

const [car] = demoProject.cars;
const blank: TestStopStored = {
  n: 1,
  fromKmh: 80,
  toKmh: 0,
  distanceM: 40,
  marksM: [],
  timeS: null,
  pedalN: null,
  abs: null,
  meanMs2: null,
  temperatureC: null,
  atS: null,
  errorM: null,
  source: 'typed',
  note: '',
};
const design = { ...USUAL_DESIGN, fromKmh: 80, toKmh: 0 };
const fresh = newTest(car, { id: 't', name: 'T', date: '2027-01-01' });
const runOf = (
  stops: readonly Partial<TestStopStored>[],
  { setup = 'A', n = 1, ...conditions }: Partial<TestConditions> & { setup?: string; n?: number } = {},
): TestRun => {
  const run = newRun(fresh, car, [], { setup, date: '2027-01-01' });
  return {
    ...run,
    n,
    name: `${setup} ${n}`,
    conditions: { ...run.conditions, ...conditions },
    stops: Object.fromEntries(stops.map((stop, i) => [`s${i + 1}`, { ...blank, n: i + 1, ...stop }])),
  };
};
const level = { slopePercent: 0 };

describe('a distance put right by hand', () => {
  it('for speed: 40 m from 79 for 80 km/h is 41.02 m (SAE J299)', () => {
    const stop = corrected({ ...blank, fromKmh: 79 }, design, level);
    expect(stop?.distance).toBeCloseTo(40 * (80 / 79) ** 2, 10);
    expect(stop?.farOff).toBe(false);
    expect(corrected({ ...blank, fromKmh: 84 }, design, level)?.farOff).toBe(true);
  });

  it('for slope: 2 % down took 1.33 m more of 40 m from 80 km/h, up the hill as much less', () => {
    // a = 22.222²/80 = 6.1728 m/s² measured down a hill that pulls with 0.1961: the brakes made 6.3689.
    const along = (STANDARD_GRAVITY * 0.02) / Math.hypot(1, 0.02);
    const down = levelDistance(80 / 3.6, 0, 40, -0.02);
    expect(down).toBeCloseTo((80 / 3.6) ** 2 / (2 * (6.172839506 + along)), 6);
    expect(down).toBeCloseTo(38.77, 2);
    // Driven both ways with the same brakes, both come to the same level distance.
    const brakes = 6.3;
    for (const slope of [-0.04, 0.03]) {
      const pull = (STANDARD_GRAVITY * slope) / Math.hypot(1, slope);
      const measured = (80 / 3.6) ** 2 / (2 * (brakes + pull));
      expect(levelDistance(80 / 3.6, 0, measured, slope)).toBeCloseTo((80 / 3.6) ** 2 / (2 * brakes), 9);
    }
  });

  it('for a last speed above rest by its energy; without speed or distance there is none', () => {
    const snub = corrected({ ...blank, fromKmh: 100, toKmh: 50 }, { fromKmh: 120, toKmh: 60 }, level);
    expect(snub?.distance).toBeCloseTo((40 * (120 ** 2 - 60 ** 2)) / (100 ** 2 - 50 ** 2), 9);
    expect(corrected({ ...blank, fromKmh: null }, design, level)).toBeNull();
    expect(corrected({ ...blank, distanceM: null }, design, level)).toBeNull();
    expect(distanceOf({ distanceM: null, marksM: [30, 8.4, 0.6] })).toBeCloseTo(39, 12);
  });

  it('to its own speed and back changes nothing, whatever the slope', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 40, max: 200, noNaN: true }),
        fc.double({ min: 10, max: 200, noNaN: true }),
        fc.double({ min: -3, max: 3, noNaN: true }),
        (fromKmh, distanceM, slopePercent) => {
          const there = corrected(
            { ...blank, fromKmh, distanceM },
            { fromKmh: 90, toKmh: 0 },
            { slopePercent },
          );
          if (!there) return;
          const back = corrected(
            { ...blank, fromKmh: 90, distanceM: there.distance },
            { fromKmh, toKmh: 0 },
            level,
          );
          const flat = levelDistance(fromKmh / 3.6, 0, distanceM, slopePercent / 100);
          expect((back?.distance ?? 0) / flat).toBeCloseTo(1, 9);
        },
      ),
    );
  });

  it('mean over a distance: 100 km/h in 33.3 m is 11.59 m/s², in 31.2 m 12.37 (common practice)', () => {
    const mean = (distance: number) =>
      corrected({ ...blank, fromKmh: 100, distanceM: distance }, { fromKmh: 100, toKmh: 0 }, level)
        ?.deceleration ?? 0;
    for (const [distance, wanted] of [
      [33.3, 11.59],
      [31.2, 12.37],
    ] as const) {
      expect(mean(distance)).toBeCloseTo(wanted, 2);
      expect(mean(distance)).toBeCloseTo(meanOverDistance(100 / 3.6, distance), 9);
      recordFigure({
        id: '26',
        what: `Mean deceleration of a recorded stop, 100 km/h in ${distance} m`,
        expected: String(wanted),
        computed: mean(distance),
        unit: 'm/s²',
        source: 'common practice',
      });
    }
  });
});

describe('percentages', () => {
  it.each([
    ['6:41 to 10:24 min', 401, 624, 55.6, 35.7],
    ['39 to 57 stops', 39, 57, 46.2, 31.6],
    ['6:41 to 9:00 min', 401, 540, 34.7, 25.7],
  ])('of %s name their base, and the opposite one (common practice)', (what, before, after, more, less) => {
    const { ofBefore, ofAfter } = bothBases(before, after);
    expect(100 * ofBefore).toBeCloseTo(more, 1);
    expect(100 * ofAfter).toBeCloseTo(less, 1);
    expect(bothBasesText(before, after)).toBe(
      `${more.toFixed(1)} % more than before; ${less.toFixed(1)} % of the new figure`,
    );
    recordFigure({
      id: '25',
      what: `${what}, of the new figure`,
      expected: String(less),
      computed: 100 * ofAfter,
      unit: '%',
      source: 'common practice',
    });
  });

  it('are told in minutes and seconds where it is time', () => {
    expect([401, 624, 59.6, 3600].map(minuteText)).toEqual(['6:41', '10:24', '1:00', '60:00']);
    expect(bothBasesText(5, 5)).toBe('as before');
  });
});

describe('what held a stop', () => {
  const limits = (stops: readonly Partial<TestStopStored>[]) =>
    reportOf('r', runOf(stops), design).rows.map(({ limit }) => limit);

  it('is the tyres where ABS was felt, the foot at its limit, fade where braking goes without the foot', () => {
    const { limitN } = car.pedal;
    expect(
      limits([
        { pedalN: 200, abs: false },
        { pedalN: 210, abs: true, distanceM: 46 },
        { pedalN: limitN, distanceM: 41 },
        { pedalN: 230, distanceM: 48 },
        { pedalN: 270, distanceM: 40 },
        { pedalN: 150, distanceM: 50 },
        { distanceM: 47 },
      ]),
    ).toEqual(['not told', 'tyres', 'pedal', 'fade', 'fading', 'not told', 'fade']);
  });

  it('marks what is off the line and keeps it in every figure', () => {
    const report = reportOf(
      'r',
      runOf([40, 40.4, 40.7, 52, 41.5].map((distanceM) => ({ distanceM }))),
      design,
    );
    expect(report.rows.map(({ odd }) => odd)).toEqual([false, false, false, true, false]);
    expect(report.distance).toMatchObject({ count: 5 });
    expect(report.distance?.mean).toBeCloseTo((40 + 40.4 + 40.7 + 52 + 41.5) / 5, 9);
    expect(report.unmarked).toMatchObject({ count: 4 });
  });
});

describe('what looks wrong', () => {
  const doubts = (stops: readonly Partial<TestStopStored>[]) =>
    doubtsOfRun(runOf(stops), design).map(({ kind, id }) => `${kind} ${id}`);
  const row = [39.5, 40.2, 40.8, 41.1].map((distanceM) => ({ distanceM }));

  it('is nothing in a good run', () => {
    expect(doubts(row.map((own, i) => ({ ...own, timeS: 3.6, atS: 30 * i })))).toEqual([]);
  });

  it('feet typed as metres, and metres as feet: asked about, and mended on a tap', () => {
    expect(doubts([...row, { distanceM: 132 }])).toEqual(['feet s5']);
    expect(doubts([...row, { distanceM: 12.3 }])).toEqual(['metres s5']);
    const [doubt] = doubtsOfRun(runOf([...row, { distanceM: 132 }]), design);
    if (doubt.kind !== 'feet') throw new Error(doubt.kind);
    expect(inOtherUnit({ ...blank, distanceM: 132 }, doubt).distanceM).toBeCloseTo(40.23, 2);
    // Alone, from 60 mph in 130: no car needs so many metres, one in feet is a stop.
    expect(doubts([{ fromKmh: 96.6, distanceM: 145 }])).toEqual(['feet s1']);
    expect(doubts([{ fromKmh: 96.6, distanceM: 60 }])).toEqual([]);
  });

  it('a stop that is missing by the clock, one tapped twice, two written down as one', () => {
    const at = (seconds: readonly number[]) => seconds.map((atS) => ({ atS, distanceM: null }));
    expect(doubts(at([0, 30, 61, 120, 150, 181]))).toEqual(['missing s4']);
    expect(doubtsOfRun(runOf(at([0, 30, 60, 151, 180, 211])), design)).toMatchObject([
      { after: 3, count: 2 },
    ]);
    expect(doubts(at([0, 30, 31.2, 60, 90, 120]))).toEqual(['twice s3']);
    expect(doubts([...row, { distanceM: 81 }])).toEqual(['two in one s5']);
  });

  it('a deceleration no car makes, and a time that does not belong to the distance', () => {
    expect(doubts([...row, { distanceM: 3 }])).toEqual(['impossible s5']);
    expect(doubts([...row, { distanceM: 400 }])).toEqual(['impossible s5']);
    expect(doubts([...row, { distanceM: 40.5, timeS: 12 }])).toEqual(['time s5']);
  });
});

describe('before and after', () => {
  const testOf = (runs: readonly TestRun[]): StoredTest => ({
    ...fresh,
    design,
    runs: Object.fromEntries(runs.map((run, i) => [`r${i}`, { ...run, n: i + 1 }])),
  });
  const around = (mean: number, scatter: number, seed: number) => {
    const random = randomNumbers(seed);
    return runOf(
      Array.from({ length: 4 }, () => ({ distanceM: mean + scatter * random.normal() })),
      { setup: mean > 41 ? 'after' : 'before' },
    );
  };

  it('compares runs where there are two or more of each, else stops, and says so', () => {
    const many = testOf([around(40, 0.3, 1), around(40.4, 0.3, 2), around(42, 0.3, 3), around(42.5, 0.3, 4)]);
    expect(setupsOf(many)).toEqual(['before', 'after']);
    const runs = compareRuns(reportsOf(many), 'before', 'after', 'distance');
    expect(runs).toMatchObject({ by: 'runs', first: { count: 2 }, second: { count: 2 }, unlike: [] });
    const few = compareRuns(
      reportsOf(testOf([around(40, 0.3, 1), around(42, 0.3, 2)])),
      'before',
      'after',
      'distance',
    );
    expect(few).toMatchObject({ by: 'stops', first: { count: 4 }, second: { count: 4 } });
    expect(few?.permuted).toBeCloseTo(2 / 70, 12);
    expect(comparisonText(few as NonNullable<typeof few>, 'before', 'after', {}).join(' ')).toMatch(
      /hardly chance.*stop by stop/,
    );
  });

  it('three runs cannot show 2 m that scatter by more, and it says how many could', () => {
    const runs = [40, 42.4, 38.2, 42, 44.2, 40.4].map((mean, i) =>
      runOf([{ distanceM: mean }], { setup: i < 3 ? 'before' : 'after' }),
    );
    const compared = compareRuns(reportsOf(testOf(runs)), 'before', 'after', 'distance');
    expect(compared?.second.mean).toBeCloseTo((compared?.first.mean ?? 0) + 2, 6);
    expect(compared?.shows).toBeGreaterThan(2);
    expect(compared?.needs).toBeGreaterThan(10);
    const text = comparisonText(compared as NonNullable<typeof compared>, 'before', 'after', {}).join(' ');
    expect(text).toContain('So few cannot show anything');
    expect(text).toMatch(
      /3 runs of each cannot show 2\.0 m: they show \d+\.\d m or more\. \d+ runs of each would/,
    );
    expect(text).toMatch(/5\.0 % more than “before”; 4\.7 % of “after”/);
    const eight = [...Array(8)].flatMap((_, i) => [
      runOf([{ distanceM: 40 + 4.4 * Math.sin(3 * i) }], { setup: 'before' }),
      runOf([{ distanceM: 42 + 4.4 * Math.sin(3 * i + 1) }], { setup: 'after' }),
    ]);
    const more = compareRuns(reportsOf(testOf(eight)), 'before', 'after', 'distance');
    expect(more?.permuted).toBeNull();
    expect(comparisonText(more as NonNullable<typeof more>, 'before', 'after', {}).join(' ')).toMatch(
      /8 runs of each cannot show .* they show .* or more\. \d+ runs of each would/,
    );
  });

  it('of endurance runs compares how long they lasted, one value a run', () => {
    const lasted = (setup: string, atS: number) => ({
      ...runOf([], { setup }),
      ended: { atS, by: 'fade' as const, axle: 'front' as const },
    });
    const compared = compareRuns(reportsOf(testOf([lasted('A', 401), lasted('B', 624)])), 'A', 'B', 'lasted');
    expect(compared).toMatchObject({ by: 'runs', welch: null, permuted: null, p: null });
    const text = comparisonText(compared as NonNullable<typeof compared>, 'A', 'B', {}).join(' ');
    expect(text).toContain('6:41 min with “A”');
    expect(text).toContain('55.6 % more than “A”; 35.7 % of “B”');
    expect(text).toContain('at least three runs of each');
  });

  it('names what was not driven alike', () => {
    const wet = runOf([{ distanceM: 50 }, { distanceM: 51 }], {
      setup: 'after',
      surface: 'wet asphalt',
      slopePercent: 1,
      windKmh: 15,
      airC: 30,
    });
    const dry = { ...around(40, 0.3, 1), conditions: { ...around(40, 0.3, 1).conditions, airC: 12 } };
    const compared = compareRuns(reportsOf(testOf([dry, wet])), 'before', 'after', 'distance');
    expect(compared?.unlike).toEqual(['surface', 'slope', 'wind', 'air']);
    expect(compareRuns(reportsOf(testOf([dry])), 'before', 'after', 'distance')).toBeNull();
  });

  it('the demo’s six runs: pedal force rises with the other pads, and the slipped tape is marked', () => {
    const [demo] = demoProject.tests;
    const reports = reportsOf(demo);
    expect(
      reports.flatMap(({ rows }) => rows.filter(({ odd }) => odd)).map(({ stop }) => stop.distanceM),
    ).toEqual([31.9]);
    const force = compareRuns(reports, 'Current setup', 'Enduro front pads', 'pedal');
    expect(force).toMatchObject({ by: 'runs', runs: [3, 3] });
    expect(force?.ofBefore).toBeGreaterThan(0.15);
    expect(stopsOf(demo.runs['run-1'])).toHaveLength(5);
  });
});
