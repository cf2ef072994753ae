import type { AxleName } from '../brake';
import { GAMMA } from '../heat';
import { assertPositive, assertSpeed, ScheduleError } from './faults';
import { evenCuts, growingCuts } from './lapSteps';
import { type GivenPiece, givenPiece, listedSchedule, type Schedule } from './piece';
import { DEFAULT_STEPS, type StepDemand, type Steps } from './steps';

/** Sections of a bench programme, in their order. */
export const BENCH_PHASES = ['bedding', 'warm-up', 'programme'] as const;
export type BenchPhase = (typeof BENCH_PHASES)[number];

/** One stop on an inertia bench and what follows it. The disc's speed falls evenly, so the torque is constant. */
export interface BenchStop {
  readonly phase: BenchPhase;
  /** Speed of the disc, rad/s */
  readonly from: number;
  readonly to: number;
  /** s */
  readonly duration: number;
  /** Work of the brake, J */
  readonly energy: number;
  /** Turning on afterwards: for so long, s, at a speed, rad/s, in air of a speed, m/s */
  readonly pause: number;
  readonly turning: number;
  readonly air: number;
}

/** What a bench does with one wheel's brake. */
export interface BenchSchedule {
  /** Air, K */
  readonly ambient: number;
  readonly axle: AxleName;
  /** Of the wheel that the brake belongs to, m: what its speed is on the road */
  readonly wheelRadius: number;
  readonly stops: readonly BenchStop[];
}

/**
 * A bench programme as it is driven: two pieces a stop, the braking and what follows; legs are the phases.
 * @throws ScheduleError naming the stop that cannot be driven
 */
export function benchSchedule({ ambient, axle, wheelRadius, stops }: BenchSchedule): Schedule {
  assertPositive(wheelRadius, 'wheel radius', 'm');
  const pieces = stops.flatMap((stop, i): GivenPiece[] => {
    const name = (what: string) => `${what} of bench stop ${i + 1}`;
    assertPositive(stop.energy, name('work'), 'J');
    assertPositive(stop.duration, name('duration'), 's');
    assertPositive(stop.pause, name('pause'), 's');
    assertSpeed(stop.to, name('last speed'));
    assertSpeed(stop.air, name('cooling air'));
    assertSpeed(stop.turning, name('speed after'));
    if (!(stop.from > stop.to))
      throw new ScheduleError(name('first speed'), stop.from, `more than the ${stop.to} rad/s it ends at`);
    const leg = BENCH_PHASES.indexOf(stop.phase);
    return [
      { ...givenPiece(brakingSteps(stop, wheelRadius), ambient, leg), alone: axle },
      { ...givenPiece(turningSteps(stop, wheelRadius), ambient, leg), alone: axle },
    ];
  });
  return { ...listedSchedule(pieces), legs: BENCH_PHASES.map(() => ({ session: 0, kind: 'hot' as const })) };
}

/** The disc slowed evenly: power falls in a line with its speed. */
function brakingSteps({ from, to, duration, energy, air }: BenchStop, radius: number): Steps {
  const ends = evenCuts(duration, DEFAULT_STEPS);
  const speed = (t: number) => from + ((to - from) * t) / duration;
  const torque = (2 * energy) / ((from + to) * duration);
  const demand = {
    early: new Float64Array(ends.length),
    late: new Float64Array(ends.length),
  };
  ends.forEach((end, k) => {
    const start = k === 0 ? 0 : ends[k - 1];
    demand.early[k] = torque * speed(start + GAMMA * (end - start));
    demand.late[k] = torque * speed(end);
  });
  return stepsOf(ends, (middle) => radius * speed(middle), air, demand);
}

const turningSteps = ({ pause, turning, air }: BenchStop, radius: number): Steps =>
  stepsOf(growingCuts(pause, DEFAULT_STEPS), () => radius * turning, air, null);

/** @param speedAt of the wheel on the road, m/s @param air past the brake, m/s */
function stepsOf(
  ends: readonly number[],
  speedAt: (middle: number) => number,
  air: number,
  power: Pick<StepDemand, 'early' | 'late'> | null,
): Steps {
  const m = ends.length;
  const time = Float64Array.from(ends);
  const dt = Float64Array.from(ends, (end, k) => end - (k === 0 ? 0 : ends[k - 1]));
  const speed = Float64Array.from(dt, (step, k) => speedAt(time[k] - step / 2));
  let way = 0;
  const distance = Float64Array.from(dt, (step, k) => {
    way += speed[k] * step;
    return way;
  });
  const event = new Uint8Array(m);
  event[0] = 1;
  const none = new Float64Array(m);
  return {
    time,
    dt,
    event,
    distance,
    speed,
    airSpeed: new Float64Array(m).fill(air),
    fan: 0,
    zone: new Int32Array(m).fill(power ? 0 : -1),
    inZone: new Uint8Array(m).fill(power ? 1 : 0),
    demand: power && {
      ...power,
      force: none,
      electric: none,
      z: none,
      way: Float64Array.from(dt, (step, k) => speed[k] * step),
      frontLeft: new Float64Array(m).fill(0.5),
      rearLeft: new Float64Array(m).fill(0.5),
    },
    meanForce: [],
    lateralBefore: [],
    duration: ends[m - 1],
  };
}
