import { describe, expect, it } from 'vitest';
import { demoProject } from '../../../../demo/project';
import { saidOtherwise } from '../../../../tests/support/words';
import type { BenchProgramme, ZoneTechnique } from '../../../core';
import { TEST_KINDS, US, USUAL_DESIGN } from '../../../model';
import type { BenchPlan, EnduranceForecast, StopDoubt, TestAnswer } from '../../../services';
import { reportsOf } from '../../../services';
import {
  benchSummary,
  bothBasesText,
  DEVIATION_TEXT,
  ENOUGH_TEXT,
  FAILURE_TEXT,
  forecastText,
  RUN_END_TEXT,
  requirementText,
  runSummary,
  STOP_LIMIT_TEXT,
  STOP_NOW,
  stopDoubtText,
  TEST_KIND_TEXT,
  TEST_SAFETY,
  techniqueText,
  testSummary,
} from '.';

const told = (front: number) => ({ front, rear: front - 40 });
const stop = (n: number, change: object = {}) => ({
  from: 80 / 3.6,
  to: 0,
  distance: 40 + n,
  time: 3.4,
  meanDeceleration: 6.4,
  pedal: 200 + 20 * n,
  pedalStart: 200,
  pedalEnd: 210,
  travel: 0.05,
  heldBy: 'asked' as const,
  face: told(500),
  fluid: told(340),
  before: told(400),
  startTime: 30 * n,
  padPeak: told(520),
  friction: told(0.9),
  phase: 'test' as const,
  ...change,
});
const answer = (change: Partial<TestAnswer> = {}): TestAnswer => ({
  stops: [0, 1, 2].map((n) => stop(n)),
  failure: null,
  passed: [],
  duration: 95,
  audit: null,
  requirements: [],
  tooSlow: null,
  ...change,
});

describe('what should come out of a test', () => {
  it('is told from the first to the last stop, in the reader’s units, one stop by itself', () => {
    expect(testSummary(answer(), USUAL_DESIGN, {})).toBe(
      'Distance from 40.0 m to 42.0 m, pedal force from 200 N to 240 N over 3 stops. The brakes do what is asked of them.',
    );
    expect(testSummary(answer(), USUAL_DESIGN, US)).toContain(
      'Distance from 131.2 ft to 137.8 ft, pedal force from 45 lbf',
    );
    expect(testSummary(answer({ stops: [stop(0)] }), USUAL_DESIGN, {})).toContain(
      'The stop takes 40.0 m at 6.40 m/s² and 200 N of pedal force.',
    );
    expect(testSummary(answer({ stops: [] }), USUAL_DESIGN, {})).toBe('');
  });

  it('names what limits, what fails where and when, what is passed, and a speed that is not reached', () => {
    const failed = answer({
      stops: [stop(0, { heldBy: 'tyres' }), stop(1)],
      failure: { by: 'boiled', axle: 'front', stop: 39, time: 401 },
      passed: [
        { part: 'padFace', axle: 'front', stop: 12, time: 120 },
        { part: 'fluidWall', axle: 'front', stop: 30, time: 300 },
        { part: 'fluid', axle: 'front', stop: 39, time: 401 },
      ],
      tooSlow: 50,
    });
    const text = testSummary(failed, { ...USUAL_DESIGN, kind: 'endurance' }, {});
    expect(text).toContain('its top speed is 180 km/h');
    expect(text).toContain('stronger brakes would not stop it shorter');
    expect(text).toContain('It ends with stop 39, after 6:41 min: at the front the fluid boils.');
    expect(text).toContain('The front pads pass their limit with stop 12.');
    expect(text).toContain('The front fluid at the pistons passes its boiling point with stop 30.');
    expect(testSummary(answer(), { ...USUAL_DESIGN, kind: 'endurance' }, {})).toContain(
      'Nothing fails within 3 stops and 1:35 min.',
    );
  });

  it('of the rules is said as met or not by its figures', () => {
    const own = { limit: 70, source: 'UN R13-H', met: true } as const;
    expect(requirementText({ ...own, what: 'distance', value: 39, must: 'not exceed' }, {})).toBe(
      'distance 39.0 m, at most 70.0 m.',
    );
    expect(requirementText({ ...own, what: 'kept', value: 0.91, limit: 0.6, must: 'reach' }, {})).toBe(
      'deceleration kept from the cold stop 91 %, at least 60 %.',
    );
    expect(
      requirementText({ ...own, what: 'pedal', value: 310, limit: 500, must: 'not exceed' }, US),
    ).toMatch(/70 lbf.*112 lbf/);
  });
});

describe('a forecast', () => {
  const of = (change: Partial<EnduranceForecast>): string =>
    forecastText({ middle: 624, low: 540, high: 760, holds: 0, draws: 20, ...change });
  it('says its middle and its range, where it may not end, and where nothing can be said', () => {
    expect(of({})).toBe('Expected to end after 10:24 min; with 90 % between 9:00 and 12:40 min.');
    const never = Number.POSITIVE_INFINITY;
    expect(of({ high: never, holds: 0.1 })).toMatch(
      /between 9:00 and not at all\. Chance that it holds: 10 %\.$/,
    );
    expect(of({ middle: never, high: never, holds: 0.6 })).toBe(
      'More likely than not nothing fails; with 90 % not before 9:00 min.',
    );
    expect(of({ middle: never, low: never, high: never })).toMatch(/^Nothing is expected to fail/);
    expect(of({ draws: 2 })).toMatch(/^No likely car behaves/);
  });
});

describe('what looks wrong', () => {
  const doubts: readonly StopDoubt[] = [
    { kind: 'feet', id: 'a', metres: 40.2 },
    { kind: 'metres', id: 'a', metres: 40.2 },
    { kind: 'impossible', id: 'a', deceleration: 82 },
    { kind: 'time', id: 'a', seconds: 3.6 },
    { kind: 'missing', id: 'a', after: 3, count: 2 },
    { kind: 'twice', id: 'a', seconds: 1.2 },
    { kind: 'two in one', id: 'a', times: 2.1 },
  ];
  it('is asked, each in a sentence with its figure', () => {
    const said = doubts.map((doubt) => stopDoubtText(doubt, { n: 5 }, {}));
    expect(new Set(said).size).toBe(doubts.length);
    expect(said[0]).toBe('Stop 5: is that feet? It would be 40.2 m, as the others are.');
    expect(said[2]).toContain('82.0 m/s²');
    expect(said[4]).toContain('Between stop 3 and stop 5 there is time for 2 more');
    expect(stopDoubtText({ kind: 'missing', id: 'a', after: 3, count: 1 }, { n: 5 }, {})).toContain(
      'for one more',
    );
    expect(stopDoubtText(doubts[0], { n: 5 }, US)).toContain('131.9 ft');
  });
});

describe('a run in a sentence', () => {
  it('has mean, scatter, trends with their intervals, and the last against the first with both bases', () => {
    const report = reportsOf(demoProject.tests[0])[1];
    const text = runSummary(report, {});
    expect(text).toMatch(
      /^5 stops: \d+\.\d m ± \d+\.\d m corrected\. Without the marked ones \d+\.\d m; they are kept\./,
    );
    expect(text).toMatch(/a stop\. Pedal force −\d+\.\d N \(−\d+\.\d N to [+−]\d+\.\d N\) a stop\./);
    expect(text).toContain(bothBasesText(515, 455, 'the first', 'the last'));
    expect(runSummary(report, US)).toContain(' ft');
  });
});

describe('technique and bench', () => {
  const zone: ZoneTechnique = {
    zone: 0,
    name: 'Hammer',
    from: 60,
    to: 20,
    buildUp: 0.2,
    peak: 11,
    peakAt: 100,
    peakUse: 1,
    use: 0.96,
    over: 0,
    letGo: 0.3,
    trail: 0,
    stabs: 1,
    coasting: 0.1,
    coastingWay: 6,
    metres: 0.4,
    seconds: 0.01,
    beyond: false,
    pressed: 90,
    press: 91,
    release: 180,
    overlay: {
      distance: new Float64Array(0),
      driven: new Float64Array(0),
      ideal: new Float64Array(0),
      speed: new Float64Array(0),
      idealSpeed: new Float64Array(0),
    },
  };
  it('tells each habit by itself, and nothing where there is none', () => {
    const of = (change: Partial<ZoneTechnique>) => techniqueText({ ...zone, ...change }, {});
    expect(of({})).toEqual(['As good as the plan’s grip allows.']);
    expect(of({ metres: 8, seconds: 0.11 })).toEqual(['Brake 8 m later and up to the grip: 0.11 s.']);
    expect(of({ coasting: 0.6 })[0]).toMatch(/^Coasting for 0\.6 s/);
    expect(of({ buildUp: 0.7 })[0]).toMatch(/^Build-up takes 0\.70 s/);
    expect(of({ over: 0.3, use: 1.1 })[0]).toMatch(/^Held too long: as speed falls, downforce and grip fall/);
    expect(of({ use: 0.7 })[0]).toContain('only 70 % of the grip');
    expect(of({ stabs: 3, trail: 0.5 })).toEqual([
      'Pressed 3 times: one press, one release.',
      'Braked into the corner for 0.5 s.',
    ]);
    expect(of({ beyond: true, metres: 0 })[0]).toContain('higher than the plan says');
  });

  it('a programme says its inertia, what it keeps and what it does not', () => {
    const one = { energy: 2e5, deviations: ['last speed'] } as unknown as BenchProgramme['stops'][number];
    const plan = {
      programme: {
        wheel: 'frontLeft',
        inertia: 30,
        ideal: 29.9271,
        stops: [one, { ...one, deviations: ['split'] }],
        leftOut: 0.004,
      },
      apart: { core: 3.4, surface: 9 },
    } as unknown as BenchPlan;
    expect(benchSummary(plan, {})).toBe(
      'Inertia 30.0 kg·m² (29.9 kg·m² would carry the wheel’s share), 2 stops, 400 kJ of work: each stop’s as in the car. Compared with the car the rotor core is within 3 °C before and after each stop, the surface peak within 9 °C. 1 stop is changed by the bench’s limits: see the last column. 0.4 % of the work is light braking outside braking zones and left out.',
    );
  });
});

describe('the words of a test', () => {
  it('are the field’s, and caution is among them', () => {
    const all = [
      ...TEST_KINDS.flatMap((kind) => [TEST_KIND_TEXT[kind].name, TEST_KIND_TEXT[kind].note]),
      ...Object.values(ENOUGH_TEXT).flatMap(({ name, means }) => [name, means]),
      ...[DEVIATION_TEXT, FAILURE_TEXT, RUN_END_TEXT, STOP_LIMIT_TEXT].flatMap((own) => Object.values(own)),
      ...TEST_SAFETY,
      ...STOP_NOW,
    ];
    expect(all.flatMap(saidOtherwise)).toEqual([]);
    expect(TEST_SAFETY.join(' ')).toMatch(/Closed course.*run-off.*without the parking brake/);
    expect(STOP_NOW.join(' ')).toMatch(/soft.*Smoke.*Grinding/);
  });
});
