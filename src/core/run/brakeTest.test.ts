import { describe, expect, it } from 'vitest';
import { demoProject } from '../../../demo/project';
import { dayInput, setupOf } from '../../model';
import { type BrakeTest, brakeTestSchedule, ScheduleError } from '../schedule';
import { brakeTest } from './brakeTest';

const setup = setupOf(demoProject, 'plan-ovel-nettle');
const car = (change: (own: typeof setup.car) => typeof setup.car = (own) => own, brakeBuildUpS = 0) =>
  dayInput({ ...setup, car: change(setup.car), plan: { ...setup.plan, brakeBuildUpS } });
const KMH = 1 / 3.6;
const START = 333.15;
const test = (change: Partial<BrakeTest> = {}): BrakeTest => ({
  ambient: 293.15,
  stop: { from: 80 * KMH, to: 0, ask: { deceleration: 5 } },
  stops: 5,
  spacing: 40,
  acceleration: 2.5,
  corner: null,
  heating: null,
  untilFails: false,
  longest: Number.POSITIVE_INFINITY,
  ...change,
});

describe('repeated stops', () => {
  it('held at a deceleration are v²/2a long and begin as far apart as asked', () => {
    const { stops, failure, duration, audit } = brakeTest(car(), test(), START);
    expect(stops.map(({ phase }) => phase)).toEqual(['test', 'test', 'test', 'test', 'test']);
    for (const [i, stop] of stops.entries()) {
      expect(stop.distance / ((80 * KMH) ** 2 / 10)).toBeCloseTo(1, 4);
      expect(stop.time / ((80 * KMH) / 5)).toBeCloseTo(1, 4);
      expect(stop.meanDeceleration).toBeCloseTo(5, 2);
      expect(stop.startTime).toBeCloseTo(40 * i, 6);
      expect(stop.heldBy).toBe('asked');
    }
    expect(duration).toBeCloseTo(4 * 40 + stops[4].time, 6);
    expect(failure).toBeNull();
    expect(audit?.residual).toBeLessThan(1e-9);
    const before = stops.map((stop) => stop.before.front);
    for (let k = 1; k < 5; k++) expect(before[k]).toBeGreaterThan(before[k - 1]);
  });

  it('come as soon as the car is back at speed where the spacing is shorter than that', () => {
    const { stops } = brakeTest(car(), test({ spacing: 3 }), START);
    const back = (80 * KMH) / 2.5;
    for (let k = 1; k < 5; k++) {
      expect(stops[k].startTime - stops[k - 1].startTime).toBeCloseTo(stops[k - 1].time + back, 6);
    }
  });

  it('of a heavier, faster or quicker repeated car are never cooler', () => {
    const hottest = (...of: Parameters<typeof brakeTest>) => {
      const { stops } = brakeTest(...of);
      return stops[stops.length - 1].padPeak.front;
    };
    const base = hottest(car(), test(), START);
    expect(
      hottest(
        car((own) => ({ ...own, massKg: own.massKg + 200 })),
        test(),
        START,
      ),
    ).toBeGreaterThan(base);
    const faster = { ...test(), stop: { ...test().stop, from: 95 * KMH } };
    expect(hottest(car(), faster, START)).toBeGreaterThan(base);
    expect(hottest(car(), test({ spacing: 20 }), START)).toBeGreaterThan(base);
    expect(hottest(car(), test({ stops: 7 }), START)).toBeGreaterThan(base);
  });
});

describe('an endurance run', () => {
  const weak = car((own) => ({
    ...own,
    recovery: null,
    front: { ...own.front, pad: 'commuter' },
    rear: { ...own.rear, pad: 'commuter' },
    pedal: { ...own.pedal, limitN: 250 },
  }));
  const rounds = test({
    stop: { from: 100 * KMH, to: 0, ask: { atMost: 250 } },
    stops: 120,
    spacing: 0,
    corner: { speed: 12, duration: 3 },
    untilFails: true,
  });

  it('ends with the stop that brakes less than nine tenths of the first, and says which axle', () => {
    const { stops, failure, duration, passed } = brakeTest(weak, rounds, START);
    expect(failure).toMatchObject({ by: 'fade', axle: 'front', stop: stops.length });
    expect(failure?.time).toBeCloseTo(duration, 9);
    const last = stops[stops.length - 1];
    expect(last.meanDeceleration).toBeLessThan(0.9 * stops[0].meanDeceleration);
    for (const stop of stops.slice(0, -1)) {
      expect(stop.meanDeceleration).toBeGreaterThanOrEqual(0.9 * stops[0].meanDeceleration);
    }
    expect(last.friction.front).toBeLessThan(stops[0].friction.front);
    expect(passed.map(({ part, axle }) => `${axle} ${part}`)).toContain('front padFace');
    // A round is its stop, to the corner, the corner, and back to speed.
    expect(stops[1].startTime).toBeCloseTo(stops[0].time + 12 / 2.5 + 3 + (100 * KMH - 12) / 2.5, 6);
  });

  it('goes on to its target where nothing fails, and ends with the stop that passes it', () => {
    const { stops, failure } = brakeTest(car(), { ...rounds, stop: test().stop, longest: 150 }, START);
    expect(failure).toBeNull();
    const last = stops[stops.length - 1];
    expect(last.startTime + last.time).toBeGreaterThanOrEqual(150);
    expect(last.startTime).toBeLessThan(150);
  });

  it('ends when the fluid boils, in the stop in which it does', () => {
    const wet = car((own) => ({
      ...own,
      recovery: null,
      front: { ...own.front, pad: 'hillclimb' },
      fluid: { ...own.fluid, measuredBoilingC: 95 },
    }));
    const { failure, passed } = brakeTest(
      wet,
      { ...rounds, stop: { ...rounds.stop, ask: { atMost: 400 } } },
      START,
    );
    expect(failure).toMatchObject({ by: 'boiled', axle: 'front' });
    expect(passed.map(({ part }) => part)).toContain('fluid');
  });
});

describe('cold against hot', () => {
  it('is stops, snubs at their cycle, and the stops again at once from hot brakes', () => {
    const heating = { snub: { from: 120 * KMH, to: 60 * KMH, deceleration: 3 }, count: 6, cycle: 45 };
    const { stops } = brakeTest(car(), test({ stops: 2, heating }), START);
    expect(stops.map(({ phase }) => phase)).toEqual([
      ...['test', 'test'],
      ...Array(6).fill('heating'),
      ...['hot', 'hot'],
    ]);
    const snubs = stops.slice(2, 8);
    for (const [i, snub] of snubs.entries()) {
      expect(snub.meanDeceleration).toBeCloseTo(3, 2);
      if (i > 0) expect(snub.startTime - snubs[i - 1].startTime).toBeCloseTo(45, 6);
    }
    expect(stops[8].before.front).toBeGreaterThan(stops[0].before.front + 60);
  });
});

describe('a test that cannot be driven', () => {
  it.each([
    ['a stop that ends faster than it begins', { stop: { from: 10, to: 20, ask: { deceleration: 5 } } }],
    ['no stops', { stops: 0 }],
    ['no way back to speed', { acceleration: 0 }],
    ['a corner faster than the stop', { corner: { speed: 40, duration: 2 } }],
    ['time that runs backwards', { longest: -1 }],
    ['a spacing that is no number', { spacing: Number.NaN }],
    [
      'snubs that speed up',
      { heating: { snub: { from: 10, to: 30, deceleration: 3 }, count: 3, cycle: 45 } },
    ],
  ] as const)('says so before anything is driven: %s', (_name, change) => {
    expect(() => brakeTestSchedule(test(change))).toThrow(ScheduleError);
  });
});
