import { describe, expect, it } from 'vitest';
import { demoProject } from '../../../demo/project';
import { recordFigure } from '../../../tests/support/validation';
import { dayInput, setupOf } from '../../model';
import { benchSchedule, type DayInput, ScheduleError } from '../schedule';
import { BenchError, type BenchLimits, benchProgramme, FULL_SCALE, fullScale } from './benchProgramme';
import { benchRun } from './benchRun';
import { simulateDay } from './day';
import { wheelStops } from './wheelStops';

const WIDE: BenchLimits = { inertia: { least: 0, most: 1e4, step: 0 }, torque: 1e6, speed: 1e4, air: 1e3 };
const calm = (planId: string): DayInput => {
  const setup = setupOf(demoProject, planId);
  return dayInput({ ...setup, plan: { ...setup.plan, windKmh: 0 } });
};
const start = (day: DayInput) => day.start ?? day.sessions[0].ambient;
const spinEnergy = (inertia: number, from: number, to: number) => 0.5 * inertia * (from * from - to * to);
const tarn = calm('plan-tarn-anvil');
const day = simulateDay(tarn);

describe.each([
  ['plan-tarn-anvil', 'frontLeft'],
  ['plan-ovel-nettle', 'frontLeft'],
  ['plan-skarn-fen', 'frontRight'],
  ['plan-tarn-anvil', 'rearLeft'],
] as const)('the bench programme of %s, %s', (planId, wheel) => {
  const input = calm(planId);
  const result = simulateDay(input);
  const programme = benchProgramme(input, result, wheel, WIDE);
  const bench = benchRun(input, wheel, fullScale(programme), start(input));

  it('has each stop’s work to 0.5 %, as its flywheels give it up', () => {
    const own = wheelStops(input, result, wheel).stops;
    for (const stop of programme.stops) {
      const there = own.find(({ lap, zone }) => lap === stop.lap && zone === stop.zone);
      expect(stop.energy / (there?.energy ?? 0)).toBeCloseTo(1, 9);
      expect(spinEnergy(programme.inertia, stop.from, stop.to) / stop.energy).toBeCloseTo(1, 9);
      expect((stop.torque * (stop.from + stop.to) * stop.duration) / 2 / stop.energy).toBeCloseTo(1, 9);
      expect(stop.torque / programme.inertia).toBeCloseTo(stop.deceleration, 9);
    }
    expect(bench.audit.residual).toBeLessThan(1e-9);
    const worked = programme.stops.reduce((sum, stop) => sum + stop.energy, 0);
    // Both wheels of the axle are run alike.
    expect(bench.audit.supplied / (2 * worked)).toBeCloseTo(1, 9);
  });

  it('comes within 5 °C of the circuit’s run in equal air, rotor core before and after every stop', () => {
    const worst = bench.stops.reduce((most, own, i) => {
      const { lap, zone } = programme.stops[i];
      const there = result.laps[lap - 1].wheels[wheel][zone];
      return Math.max(most, Math.abs(own.before - there.bulkBefore), Math.abs(own.after - there.bulkAfter));
    }, 0);
    expect(worst).toBeLessThan(5);
    recordFigure({
      id: 'bench',
      what: `Rotor core on the bench against the car, ${planId.slice(5)}, ${wheel}`,
      expected: 'under 5',
      computed: worst,
      unit: 'K',
      source: 'own requirement: equal work, equal air',
    });
  });
});

describe('the inertia', () => {
  it('is the one that carries the wheel’s share: work of all stops over what the car’s speeds change', () => {
    const { ideal, inertia, stops } = benchProgramme(tarn, day, 'frontLeft', WIDE);
    const own = wheelStops(tarn, day, 'frontLeft').stops;
    const energy = own.reduce((sum, stop) => sum + stop.energy, 0);
    const span = own.reduce((sum, stop) => sum + spinEnergy(1, stop.from, stop.to), 0);
    expect(inertia).toBe(ideal);
    expect(ideal / (energy / span)).toBeCloseTo(1, 12);
    // Less than a quarter of the car on its wheels, because drag, rolling and the other wheels do their part.
    expect(ideal).toBeLessThan(0.5 * tarn.vehicle.mass * tarn.vehicle.wheelRadius ** 2);
    expect(stops.every((stop) => stop.own > 0.5 * ideal && stop.own < 2 * ideal)).toBe(true);
  });

  it('is one the bench has: a whole number of steps, and the work stays', () => {
    const limits = { ...WIDE, inertia: { least: 4, most: 200, step: 8 } };
    const { inertia, ideal, stops } = benchProgramme(tarn, day, 'frontLeft', limits);
    expect((inertia - 4) % 8).toBeCloseTo(0, 12);
    expect(Math.abs(inertia - ideal)).toBeLessThanOrEqual(4);
    for (const stop of stops) expect(spinEnergy(inertia, stop.from, stop.to) / stop.energy).toBeCloseTo(1, 9);
  });
});

describe('a bench that has less than the car needs', () => {
  const made = (change: Partial<BenchLimits>) => {
    const limits = { ...WIDE, ...change };
    const programme = benchProgramme(tarn, day, 'frontLeft', limits);
    for (const stop of programme.stops) {
      expect(spinEnergy(programme.inertia, stop.from, stop.to) / stop.energy).toBeCloseTo(1, 9);
      expect(stop.from).toBeLessThanOrEqual(limits.speed * (1 + 1e-12));
      expect(stop.torque).toBeLessThanOrEqual(limits.torque * (1 + 1e-9));
      expect(stop.air).toBeLessThanOrEqual(limits.air);
    }
    return programme;
  };
  const whole = made({});
  const work = (programme: typeof whole) => programme.stops.reduce((sum, stop) => sum + stop.energy, 0);

  it('of inertia begins faster and says so', () => {
    const small = made({ inertia: { least: 0, most: 12, step: 0 } });
    expect(small.inertia).toBe(12);
    expect(work(small) / work(whole)).toBeCloseTo(1, 9);
    expect(small.stops.some(({ deviations }) => deviations.includes('first speed'))).toBe(true);
  });

  it('of torque brakes longer, of speed or of both makes parts of a stop: the work is kept', () => {
    const gentle = made({ torque: 300 });
    expect(gentle.stops.every((stop, i) => stop.duration >= whole.stops[i].duration - 1e-9)).toBe(true);
    expect(gentle.stops.some(({ deviations }) => deviations.includes('torque limit'))).toBe(true);
    const slow = made({ speed: 60, inertia: { least: 0, most: 12, step: 0 } });
    expect(slow.stops.length).toBeGreaterThan(whole.stops.length);
    expect(slow.stops.some(({ deviations }) => deviations.includes('split'))).toBe(true);
    expect(work(slow) / work(whole)).toBeCloseTo(1, 9);
  });

  it('of air says which stops cool less; begun by temperature they start where they should', () => {
    const still = made({ air: 5 });
    expect(still.stops.every(({ deviations }) => deviations.includes('air limit'))).toBe(true);
    expect(still.stops[9].startsAt).toBe(
      day.laps[still.stops[9].lap - 1].wheels.frontLeft[still.stops[9].zone].bulkBefore,
    );
  });

  it('in size keeps work over area and the rubbing speed, and is predicted as the whole brake', () => {
    const scale = { area: 0.2, radius: 0.5 };
    const small = benchProgramme(tarn, day, 'frontLeft', WIDE, scale);
    expect(small.inertia / whole.inertia).toBeCloseTo(scale.area * scale.radius ** 2, 9);
    small.stops.forEach((stop, i) => {
      expect(stop.energy / whole.stops[i].energy).toBeCloseTo(scale.area, 9);
      expect((stop.from * scale.radius) / whole.stops[i].from).toBeCloseTo(1, 9);
      expect(stop.pressure ?? 0).toBeCloseTo(whole.stops[i].pressure ?? 0, 3);
    });
    const full = fullScale(small);
    expect(full[30].energy / whole.stops[30].energy).toBeCloseTo(1, 9);
    expect(full[30].from / whole.stops[30].from).toBeCloseTo(1, 9);
  });

  it('or of nothing is refused by name', () => {
    const refused = (change: Partial<BenchLimits>) => {
      try {
        benchProgramme(tarn, day, 'frontLeft', { ...WIDE, ...change });
      } catch (error) {
        return error instanceof BenchError ? error.what : error;
      }
      return null;
    };
    expect(refused({ inertia: { least: 0, most: 0, step: 0 } })).toBe('inertia');
    expect(refused({ inertia: { least: 9, most: 3, step: 1 } })).toBe('inertia');
    expect(refused({ torque: 0 })).toBe('torque');
    expect(refused({ speed: Number.NaN })).toBe('speed');
    expect(refused({ air: -1 })).toBe('air');
    expect(refused({ speed: 2, inertia: { least: 0, most: 1, step: 0 } })).toBe('parts of a stop');
    expect(() => benchProgramme(tarn, day, 'frontLeft', WIDE, { ...FULL_SCALE, area: 0 })).toThrow(
      BenchError,
    );
    const stop = {
      phase: 'programme',
      from: 50,
      to: 60,
      duration: 2,
      energy: 1e5,
      pause: 5,
      turning: 50,
      air: 9,
    } as const;
    const schedule = { ambient: 293, axle: 'front', wheelRadius: 0.3, stops: [stop] } as const;
    expect(() => benchSchedule(schedule)).toThrow(ScheduleError);
    expect(() => benchSchedule({ ...schedule, stops: [{ ...stop, to: 10, energy: 0 }] })).toThrow(
      /work of bench stop 1/,
    );
  });
});
