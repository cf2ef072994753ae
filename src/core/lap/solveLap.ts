import { Recent } from '../numeric';
import { BrakedSpeeds } from './brakedSpeeds';
import { buildUpBraking } from './buildUp';
import {
  brakingDeceleration,
  cornerSpeed,
  drivingAcceleration,
  type Forces,
  liftSpeed,
  topSpeed,
} from './forces';
import { heun } from './heun';
import type { WindyLine } from './wind';

/**
 * Speeds of the fastest lap a point mass can drive on a closed line: corner speeds, a forward pass limited by power and
 * traction, a backward pass limited by braking, and a gradual start of each braking.
 * @param line n intervals
 * @param forces limits of car, driver and air
 * @param buildUp time from first touch to full braking, s
 * @param most braking force the brakes can make at each point, N; n + 1. Left out, the tyres are the limit everywhere
 * @param clicks on the driver's balance control at each point; n + 1. Left out, none
 * @returns speed at each of the n + 1 points, m/s; the last equals the first
 */
export function solveLap(
  line: WindyLine,
  forces: Forces,
  buildUp: number,
  most?: Float64Array,
  clicks?: Float64Array,
): Float64Array {
  const n = line.distance.length - 1;
  const step = line.length / n;
  const { curvature, grade, headwind } = line;
  const { limit, slowest, forward } = fullPowerOf(line, forces);
  const braked = new BrakedSpeeds(limit, forward, slowest, step, (speed, i) =>
    brakingDeceleration(forces, speed, curvature[i], grade[i], most?.[i], clicks?.[i], headwind?.[i]),
  );
  const speed = new Float64Array(n + 1);
  for (let i = 0; i < n; i++) speed[i] = Math.min(forward[i], braked.deciding[i]);
  buildUpBraking(speed, forward, braked, line, forces, buildUp, { most, clicks });
  speed[n] = speed[0];
  return speed;
}

/** What of a lap no brake has a part in; whatever the brakes make of it, it is the same. */
interface FullPower {
  /** Corner speeds at each point, m/s; n */
  readonly limit: Float64Array;
  readonly slowest: number;
  /** Speeds with full power out of each corner, m/s; n */
  readonly forward: Float64Array;
}
/** Of each line the last few cars and paces: a day whose brakes fade drives every lap anew. */
const fullPower = new WeakMap<WindyLine, Recent<FullPower>>();

function fullPowerOf(line: WindyLine, forces: Forces): FullPower {
  const { mass, inertia, drag, downforce, rolling, power, powerOverSpeed } = forces;
  const { drivenShare, lateralGrip, tractionGrip, loadLoss } = forces;
  const key = JSON.stringify([
    [mass, inertia, drag, downforce, rolling, power, powerOverSpeed],
    [drivenShare, lateralGrip, tractionGrip, loadLoss],
  ]);
  const kept = fullPower.get(line) ?? new Recent<FullPower>(8);
  fullPower.set(line, kept);
  const known = kept.get(key);
  if (known) return known;
  const made = driveFullPower(line, forces);
  kept.set(key, made);
  return made;
}

function driveFullPower(line: WindyLine, forces: Forces): FullPower {
  const n = line.distance.length - 1;
  const { curvature, grade, headwind } = line;
  // A wind from behind carries it further than its power does; one from ahead lifts a body with lift sooner.
  const cap = Math.min(
    topSpeed(forces) + strongest(headwind, -1),
    liftSpeed(forces) - strongest(headwind, 1),
  );
  const limit = new Float64Array(n);
  let slowest = 0;
  for (let i = 0; i < n; i++) {
    limit[i] = cornerSpeed(forces, curvature[i], grade[i], cap, headwind?.[i]);
    if (limit[i] < limit[slowest]) slowest = i;
  }
  const forward = pass(limit, slowest, line.length / n, (speed, i) =>
    drivingAcceleration(forces, speed, curvature[i], grade[i], headwind?.[i]),
  );
  return { limit, slowest, forward };
}

/** Strongest wind along a line, m/s. @param sign 1 for against the car, −1 for from behind */
function strongest(headwind: Float64Array | undefined, sign: 1 | -1): number {
  let most = 0;
  for (let i = 0; headwind && i < headwind.length; i++) most = Math.max(most, sign * headwind[i]);
  return most;
}

/** Integrates v² round the lap twice from the slowest point (Heun), so that the seam closes on itself. */
function pass(
  limit: Float64Array,
  start: number,
  step: number,
  acceleration: (speed: number, index: number) => number,
): Float64Array {
  const n = limit.length;
  const speed = new Float64Array(n);
  speed[start] = limit[start];
  let i = start;
  for (let count = 0; count < 2 * n; count++) {
    const next = i + 1 < n ? i + 1 : 0;
    const reached = heun(speed[i], i, next, limit[next], step, acceleration);
    // Once the second time round meets the first, the rest would only be repeated.
    if (count >= n && Math.abs(reached - speed[next]) < 1e-12 * reached) break;
    speed[next] = reached;
    i = next;
  }
  return speed;
}
