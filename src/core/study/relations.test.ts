import { describe, expect, it } from 'vitest';
import { demoProject } from '../../../demo/project';
import { oneSession } from '../../../tests/support/sessions';
import { type Car, dayInput, type Plan, type Setup, setupOf } from '../../model';
import { AXLES } from '../brake';
import { simulateDay } from '../run';
import type { DayInput } from '../schedule';
import { type CoolingNeed, coolingNeed } from './coolingNeed';
import { fastestPlan } from './fastestPlan';
import { leastMargin } from './least';
import { moved, PARAMETER_IDS, PARAMETERS } from './parameters';
import { summarise } from './summary';

/** Relations that must hold between answers, whatever the figures are. */

const setup = (id: string, hotLaps = 5): Setup => {
  const whole = setupOf(demoProject, id);
  return { ...whole, plan: oneSession(whole.plan, { hotLaps, paddockMin: 8 }) };
};
const tarn = setup('plan-tarn-anvil');
const changed = (of: Setup, car: Partial<Car> = {}, plan: Partial<Plan> = {}): DayInput =>
  dayInput({ ...of, car: { ...of.car, ...car }, plan: { ...of.plan, ...plan } });
const WISH = 50;
const need = (input: DayInput, wish = WISH): CoolingNeed => coolingNeed(input, wish);
const base = need(changed(tarn));
/** Two areas found within a quarter of a kelvin may differ by this much although they are the same, m². */
const SAME = 5e-5;

describe('more asked of the brakes is never less duct', () => {
  it('has something to compare with: the front needs a duct, and not the largest', () => {
    expect(base.front.kind).toBe('found');
    expect(base.front.area).toBeGreaterThan(0.0005);
    expect(base.front.area).toBeLessThan(0.02);
  });

  it.each([
    ['a heavier car', changed(tarn, { massKg: tarn.car.massKg + 60 })],
    ['warmer air', changed(tarn, {}, oneWarmer(tarn, 12))],
    ['two more hot laps', dayInput(setup('plan-tarn-anvil', 7))],
    [
      'a closed wheel',
      changed(tarn, { front: { ...tarn.car.front, wheelOpenAreaPercent: 0, shieldPercent: 100 } }),
    ],
    ['brakes that cool worse', moved(changed(tarn), 'frontCooling', 0.85)],
    ['a driver who leaves less unused', moved(changed(tarn), 'driver', 1.04)],
  ] as const)('%s', (_, input) => {
    const more = need(input);
    expect(more.front.kind).not.toBe('none');
    expect(more.front.area).toBeGreaterThan(base.front.area - SAME);
    expect(more.front.area).not.toBe(base.front.area);
  });

  it('a greater wish, in steps: more area, more drag, a longer lap, a colder bite', () => {
    const steps = [20, 35, WISH, 65].map((wish) => need(changed(tarn), wish));
    for (let k = 1; k < steps.length; k++) {
      const [less, more] = [steps[k - 1], steps[k]];
      expect(more.front.area).toBeGreaterThan(less.front.area);
      expect(more.dragForce).toBeGreaterThanOrEqual(less.dragForce);
      expect(more.lapTimes?.with).toBeGreaterThanOrEqual(less.lapTimes?.with ?? 0);
      expect(more.front.at.bite).toBeLessThanOrEqual((less.front.at.bite ?? 0) + 0.05);
      for (const axle of AXLES) expect(more[axle].at.margin).toBeGreaterThan(more.wish - 1);
    }
  });

  it('ducts that are in the car, and tape over them, change nothing about the need', () => {
    const { front, rear } = tarn.car;
    const ducted = changed(tarn, {
      front: { ...front, ductAreaCm2: 55, blankedOffPercent: 40 },
      rear: { ...rear, ductAreaCm2: 20 },
    });
    const again = need(ducted);
    expect(again.front.area).toBeCloseTo(base.front.area, 12);
    expect(again.rear.area).toBeCloseTo(base.rear.area, 12);
    expect(again.lapTimes?.without).toBeCloseTo(base.lapTimes?.without ?? 0, 12);
  });

  it('half as much of the air getting through is twice the area, for the same drag', () => {
    const half = changed(tarn, {
      front: { ...tarn.car.front, ductCoefficientPercent: tarn.car.front.ductCoefficientPercent / 2 },
      rear: { ...tarn.car.rear, ductCoefficientPercent: tarn.car.rear.ductCoefficientPercent / 2 },
    });
    const twice = need(half);
    expect(twice.front.area / base.front.area).toBeCloseTo(2, 1);
    expect(twice.dragArea / base.dragArea).toBeCloseTo(1, 1);
  });
});

describe('what is uncertain, moved one way', () => {
  const input = changed(tarn);
  const sum = (day: DayInput) => summarise(day, simulateDay(day));
  const now = sum(input);
  const frontFace = ({ peaks }: typeof now) => peaks.frontLeft.rotorFace;

  it.each([
    ['frontCooling', 0.8, 'hotter'],
    ['frontCooling', 1.25, 'cooler'],
    ['mass', 40, 'hotter'],
    ['mass', -40, 'cooler'],
    ['ambient', 8, 'hotter'],
    ['driver', 0.96, 'cooler'],
  ] as const)('%s by %f leaves the front %s, and every joule where it belongs', (which, by, way) => {
    const after = sum(moved(input, which, by));
    const change = frontFace(after) - frontFace(now);
    if (way === 'hotter') expect(change).toBeGreaterThan(0.5);
    else expect(change).toBeLessThan(-0.5);
    const { supplied, stored, lost } = after.audit;
    expect(Math.abs(supplied - stored - lost)).toBeLessThan(1e-5 * supplied);
  });

  it('drier or wetter fluid moves its own margin by as much and nothing else by a bit', () => {
    for (const by of [-25, 10]) {
      const wetter = simulateDay(moved(input, 'fluidState', by));
      const before = simulateDay(input);
      wetter.margins.forEach((margin, i) => {
        const shift = margin.part === 'fluid' || margin.part === 'fluidWall' ? by : 0;
        // Vapour changes what the pedal can do, so only days without any stay the same to the digit.
        expect(margin.margin - before.margins[i].margin).toBeCloseTo(shift, 6);
      });
    }
  });

  it('nothing moved is the same day, to the bit', () => {
    for (const which of PARAMETER_IDS) {
      const none = PARAMETERS[which].how === 'factor' ? 1 : 0;
      expect(sum(moved(input, which, none)), which).toEqual(now);
    }
  });
});

describe('plans', () => {
  const input = dayInput(setupOf(demoProject, 'plan-tarn-anvil'));
  const best = (day: DayInput, minutes: number, wish: number) => {
    const [first] = fastestPlan(day, 0, 60 * minutes, wish).options;
    return first ?? null;
  };

  it('more minutes go further, never as fast on average once something has to give', () => {
    const [short, long] = [best(input, 9, 20), best(input, 16, 20)];
    expect(long.distance).toBeGreaterThan(short.distance);
    expect(long.lapTime).toBeGreaterThan(short.lapTime - 1e-9);
  });

  it('pads that bear more let the car go at least as far', () => {
    const { left, right } = input.front;
    const tougher: DayInput = {
      ...input,
      front: {
        ...input.front,
        left: { ...left, pad: { ...left.pad, limit: left.pad.limit + 60 } },
        right: { ...right, pad: { ...right.pad, limit: right.pad.limit + 60 } },
      },
    };
    const [now, then] = [best(input, 14, 20), best(tougher, 14, 20)];
    expect(then.distance).toBeGreaterThanOrEqual(now.distance);
    expect(then.meanSpeed).toBeGreaterThan(now.meanSpeed);
  });

  it('flat out is never slower than what keeps everything', () => {
    const { flatOut, options } = fastestPlan(input, 0, 14 * 60, 20);
    for (const option of options) {
      expect(option.lapTime).toBeGreaterThanOrEqual(flatOut.lapTime - 1e-9);
      expect(option.distance).toBeLessThanOrEqual(flatOut.distance + 1e-6);
    }
    expect(flatOut.lapsBefore).toBeLessThan(flatOut.hotLaps);
  });
});

describe('least margins', () => {
  it('of the car are the smaller of its axles’, and no limit has fewer', () => {
    for (const { id } of demoProject.plans) {
      const result = simulateDay(dayInput(setup(id, 2)));
      const least = leastMargin(result);
      const axles = AXLES.map((axle) => leastMargin(result, axle).margin);
      expect(least.margin).toBe(Math.min(...axles));
      for (const margin of result.margins) {
        if (margin.part !== 'bite') expect(margin.margin).toBeGreaterThanOrEqual(least.margin);
      }
    }
  });
});

function oneWarmer(of: Setup, kelvin: number): Partial<Plan> {
  return {
    sessions: of.plan.sessions.map((session) => ({ ...session, ambientC: session.ambientC + kelvin })),
  };
}
