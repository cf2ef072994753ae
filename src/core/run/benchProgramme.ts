import { torquePerPressure } from '../actuation';
import { axleOf, type WheelName } from '../brake';
import type { BenchStop, DayInput } from '../schedule';
import type { DayResult } from './result';
import { LEAST_PAUSE, type WheelStop, wheelStops } from './wheelStops';

/** What an inertia bench can do. SI. */
export interface BenchLimits {
  /** Flywheels: least and most, kg·m², and the step between them; 0 for any inertia between */
  readonly inertia: { readonly least: number; readonly most: number; readonly step: number };
  /** Most torque, N·m */
  readonly torque: number;
  /** Most speed, rad/s */
  readonly speed: number;
  /** Most speed of the cooling air, m/s */
  readonly air: number;
}

/** A smaller brake that stands for the whole one: share of its rubbed area, and its radius over the whole one's. */
export interface BenchScale {
  readonly area: number;
  readonly radius: number;
}
export const FULL_SCALE: BenchScale = { area: 1, radius: 1 };

/** What of a stop is not as it is in the car, because the bench or one inertia for all stops does not give it. */
export type BenchDeviation =
  | 'first speed'
  | 'last speed'
  | 'speed limit'
  | 'torque limit'
  | 'air limit'
  | 'split';

/** A stop of the programme, as the bench is told it. */
export interface BenchProgrammeStop extends BenchStop {
  /** Lap from 1 and braking zone from 0 that it stands for; lap 0 before the first */
  readonly lap: number;
  readonly zone: number;
  readonly name: string;
  /** N·m */
  readonly torque: number;
  /** Line pressure of the whole brake for that with the friction it has in the car, Pa; null where that is not known */
  readonly pressure: number | null;
  /** rad/s² */
  readonly deceleration: number;
  /** Core of the rotor before it in the car, K; null where it is not known */
  readonly startsAt: number | null;
  /** Inertia that would carry this stop's share at the car's speeds, kg·m² */
  readonly own: number;
  readonly deviations: readonly BenchDeviation[];
}

export interface BenchProgramme {
  readonly wheel: WheelName;
  /** kg·m² */
  readonly inertia: number;
  /** The one that carries the wheel's share of all stops, before the bench's steps and limits, kg·m² */
  readonly ideal: number;
  readonly scale: BenchScale;
  readonly stops: readonly BenchProgrammeStop[];
  /** Braking outside braking zones, left out: share of the wheel's work, 0 to 1 */
  readonly leftOut: number;
}

/** A bench that cannot be: which figure, and what was expected. */
export class BenchError extends RangeError {
  constructor(
    readonly what: keyof BenchLimits | 'scale' | 'stops' | 'parts of a stop',
    readonly value: number,
    expected = 'more than 0',
  ) {
    super(`Bench, ${what}: ${value} was given; ${expected} was expected.`);
  }
}

/** Speed of the disc that a stop is not braked under, as a share of its first (own choice). */
const STILL = 0.02;
/** Change of a speed that is told, as a share of the first. */
const TOLD = 0.05;
/** Between the parts of a stop that is split, s (own choice). */
const SPIN_UP = 4;
/** Most parts of a stop: a bench that needs more is too small for this brake. */
const MOST_PARTS = 30;

/**
 * A circuit's brakings of one wheel as an inertia bench makes them: one inertia for all, each stop's work kept exactly by its
 * last speed, or, where that is not enough, by its first speed or by parts. Drag, rolling resistance, the engine and the
 * tyres' slip are taken off, because they are no work of the brake.
 * @param before what is driven before: bedding; without lap
 * @throws BenchError for limits of nothing, or a wheel without braking
 */
export function benchProgramme(
  day: DayInput,
  result: Pick<DayResult, 'laps' | 'record' | 'legs'>,
  wheel: WheelName,
  limits: BenchLimits,
  scale: BenchScale = FULL_SCALE,
  before: readonly WheelStop[] = [],
): BenchProgramme {
  for (const what of ['torque', 'speed', 'air'] as const) {
    if (!(limits[what] > 0)) throw new BenchError(what, limits[what]);
  }
  const { least, most, step } = limits.inertia;
  if (!(most > 0) || !(least >= 0) || !(step >= 0) || least > most) throw new BenchError('inertia', most);
  if (!(scale.area > 0 && scale.radius > 0))
    throw new BenchError('scale', Math.min(scale.area, scale.radius));
  const { stops: own, leftOut } = wheelStops(day, result, wheel);
  if (own.length === 0) throw new BenchError('stops', 0);
  const scaled = [...before, ...own].map((stop) => ({
    ...stop,
    from: stop.from / scale.radius,
    to: stop.to / scale.radius,
    energy: stop.energy * scale.area,
  }));
  const span = ({ from, to }: WheelStop) => 0.5 * (from * from - to * to);
  const driven = scaled.filter(({ phase }) => phase !== 'bedding');
  const ideal =
    driven.reduce((sum, stop) => sum + stop.energy, 0) / driven.reduce((sum, stop) => sum + span(stop), 0);
  const stepped = step > 0 ? least + step * Math.round((ideal - least) / step) : ideal;
  const top = step > 0 ? least + step * Math.floor((most - least) / step + 1e-9) : most;
  const inertia = Math.min(top, Math.max(least > 0 ? least : step > 0 ? step : 0, stepped));
  const axle = axleOf(wheel);
  const { wheelRadius, brakes } = day.vehicle;
  const pressureOf = (torque: number, friction: number | null) =>
    friction === null
      ? null
      : torque / (scale.area * scale.radius) / torquePerPressure(brakes[axle], friction);
  const stops = scaled.flatMap((stop): BenchProgrammeStop[] => {
    const { parts, deviations } = fitted(stop, inertia, limits);
    const blown = Math.min(limits.air, stop.rolling);
    if (blown < 0.98 * stop.rolling) deviations.push('air limit');
    const taken = parts.reduce((sum, part) => sum + part.duration, 0) + SPIN_UP * (parts.length - 1);
    const pause = Math.max(LEAST_PAUSE, stop.pause + stop.duration - taken);
    const turning = Math.min(limits.speed, stop.rolling / wheelRadius / scale.radius);
    return parts.map((part, i) => {
      const torque = (inertia * (part.from - part.to)) / part.duration;
      return {
        ...part,
        phase: stop.phase,
        lap: stop.lap,
        zone: stop.zone,
        name: stop.name,
        pause: i < parts.length - 1 ? SPIN_UP : pause,
        turning,
        air: blown,
        torque,
        pressure: pressureOf(torque, stop.friction),
        deceleration: torque / inertia,
        startsAt: i === 0 ? stop.startsAt : null,
        own: stop.energy / span(stop),
        deviations: [...new Set(deviations)],
      };
    });
  });
  return { wheel, inertia, ideal, scale, stops, leftOut };
}

/** The same stops for the whole brake: what is predicted of a smaller one. */
export const fullScale = ({ stops, scale }: BenchProgramme): BenchStop[] =>
  stops.map((stop) => ({
    ...stop,
    from: stop.from * scale.radius,
    to: stop.to * scale.radius,
    turning: stop.turning * scale.radius,
    energy: stop.energy / scale.area,
  }));

interface FittedPart {
  readonly from: number;
  readonly to: number;
  readonly duration: number;
  readonly energy: number;
}

/** A stop within the bench's limits, its work kept. */
function fitted(
  stop: WheelStop,
  inertia: number,
  limits: BenchLimits,
): { readonly parts: FittedPart[]; readonly deviations: BenchDeviation[] } {
  const deviations: BenchDeviation[] = [];
  const whole = (2 * stop.energy) / inertia;
  let from = Math.min(stop.from, limits.speed);
  if (from < stop.from) deviations.push('speed limit');
  const enough = (first: number, work: number) => first * first - work > (STILL * first) ** 2;
  let count = 1;
  if (!enough(from, whole)) {
    const raised = Math.sqrt(stop.to * stop.to + whole) * (1 + STILL * STILL);
    from = Math.min(limits.speed, raised);
    if (from > stop.from) deviations.push('first speed');
    // Work that one part can have: its whole speed but for what it may not fall under.
    count = Math.max(1, Math.ceil(whole / ((1 - STILL * STILL) * from * from) + 1e-9));
    if (count > MOST_PARTS) {
      throw new BenchError('parts of a stop', count, `at most ${MOST_PARTS} (more inertia or speed)`);
    }
    if (count > 1) deviations.push('split');
  }
  const to = Math.sqrt(from * from - whole / count);
  if (Math.abs(to - stop.to) > TOLD * stop.from) deviations.push('last speed');
  const wanted = stop.duration / count;
  const quickest = (inertia * (from - to)) / limits.torque;
  if (quickest > wanted) deviations.push('torque limit');
  const duration = Math.max(wanted, quickest);
  const part = { from, to, duration, energy: stop.energy / count };
  return { parts: Array.from({ length: count }, () => part), deviations };
}
