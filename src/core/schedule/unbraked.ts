import { assertPositive, assertSpeed } from './faults';
import type { StepSizes, Steps } from './steps';

/** Longest step of rolling along, s. */
const ROLLING_STEP = 1;

/**
 * A car standing, its steps growing as it cools.
 * @param duration s
 * @param fan speed of a fan's air at the wheels, m/s; 0 without one
 * @throws ScheduleError for no time at all
 */
export function standSteps(duration: number, fan: number, { release, standing }: StepSizes): Steps {
  assertPositive(duration, 'stands for', 's');
  assertSpeed(fan, 'fan');
  const dt: number[] = [];
  let left = duration;
  let step = release;
  while (left > 1e-9) {
    const next = left < 1.5 * step ? left : step;
    dt.push(next);
    left -= next;
    step = Math.min(standing, 1.3 * step);
  }
  return unbraked(dt, () => 0, fan);
}

/**
 * A car rolling for a while, its speed changing evenly.
 * @param from m/s
 * @param to m/s
 * @param duration s
 * @throws ScheduleError for no time at all, or a speed that runs backwards
 */
export function rollSteps(from: number, to: number, duration: number): Steps {
  assertPositive(duration, 'rolls for', 's');
  assertSpeed(from, 'first speed');
  assertSpeed(to, 'last speed');
  const dt: number[] = [];
  for (let at = 0; at < duration - 1e-9; at += dt[dt.length - 1])
    dt.push(Math.min(ROLLING_STEP, duration - at));
  return unbraked(dt, (middle) => from + ((to - from) * middle) / duration, 0);
}

/** @param speedAt speed at a time since the start, m/s */
function unbraked(steps: readonly number[], speedAt: (time: number) => number, fan: number): Steps {
  const dt = Float64Array.from(steps);
  const m = dt.length;
  const time = new Float64Array(m);
  const speed = new Float64Array(m);
  const distance = new Float64Array(m);
  let [at, way] = [0, 0];
  for (let k = 0; k < m; k++) {
    speed[k] = speedAt(at + dt[k] / 2);
    at += dt[k];
    way += speed[k] * dt[k];
    time[k] = at;
    distance[k] = way;
  }
  const event = new Uint8Array(m);
  event[0] = 1;
  return {
    time,
    dt,
    event,
    distance,
    speed,
    airSpeed: speed,
    fan,
    zone: new Int32Array(m).fill(-1),
    inZone: new Uint8Array(m),
    demand: null,
    meanForce: [],
    lateralBefore: [],
    duration: at,
  };
}
