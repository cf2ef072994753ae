import { Recent } from '../numeric';
import { BrakedSpeeds, type Braking } from './brakedSpeeds';
import { buildUpBraking } from './buildUp';
import {
  brakingDeceleration,
  cornerSpeed,
  drivingAcceleration,
  type Forces,
  liftSpeed,
  topSpeed,
} from './forces';
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
  const { limit, slowest, forward } = fullPowerOf(line, forces);
  const braking = new LineBraking(line, forces, most, clicks);
  const braked = new BrakedSpeeds(limit, forward, slowest, step, braking);
  const speed = slower(forward, braked.deciding);
  buildUpBraking(speed, forward, braked, line, forces, buildUp, braking);
  speed[n] = speed[0];
  return speed;
}

/** The slower of two speeds at each point, and room for one more; n + 1. */
function slower(a: Float64Array, b: Float64Array): Float64Array {
  const speed = new Float64Array(a.length + 1);
  for (let i = 0; i < a.length; i++) speed[i] = Math.min(a[i], b[i]);
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

/** Each loop is a function of its own: then what it asks for at each point is written into it. */
function driveFullPower(line: WindyLine, forces: Forces): FullPower {
  const limit = cornerSpeeds(line, forces);
  let slowest = 0;
  for (let i = 0; i < limit.length; i++) if (limit[i] < limit[slowest]) slowest = i;
  return { limit, slowest, forward: outOfCorners(line, forces, limit, slowest) };
}

function cornerSpeeds({ distance, curvature, grade, headwind }: WindyLine, forces: Forces): Float64Array {
  // A wind from behind carries it further than its power does; one from ahead lifts a body with lift sooner.
  const cap = Math.min(
    topSpeed(forces) + strongest(headwind, -1),
    liftSpeed(forces) - strongest(headwind, 1),
  );
  const limit = new Float64Array(distance.length - 1);
  for (let i = 0; i < limit.length; i++)
    limit[i] = cornerSpeed(forces, curvature[i], grade[i], cap, headwind?.[i]);
  return limit;
}

/** Speeds with full power out of each corner: v² carried on twice round the lap from its slowest point, so that the seam closes. */
function outOfCorners(line: WindyLine, forces: Forces, limit: Float64Array, start: number): Float64Array {
  const { curvature, grade, headwind } = line;
  const n = limit.length;
  const step = line.length / n;
  const speed = new Float64Array(n);
  speed[start] = limit[start];
  let i = start;
  for (let count = 0; count < 2 * n; count++) {
    const next = i + 1 < n ? i + 1 : 0;
    const square = speed[i] * speed[i];
    // By the mean of the accelerations at both ends (Heun); asked for in one place, so that it is written into the loop.
    let reached = speed[i];
    let at = i;
    let sum = 0;
    for (let stage = 2; stage > 0; stage--) {
      sum += drivingAcceleration(forces, reached, curvature[at], grade[at], headwind?.[at]);
      reached = Math.min(limit[next], Math.sqrt(Math.max(1, square + stage * sum * step)));
      at = next;
    }
    // Once the second time round meets the first, the rest would only be repeated.
    if (count >= n && Math.abs(reached - speed[next]) < 1e-12 * reached) break;
    speed[next] = reached;
    i = next;
  }
  return speed;
}

/** Braking on a line, with what the brakes can make at most and the driver's clicks at each point. */
class LineBraking implements Braking {
  constructor(
    private readonly line: WindyLine,
    private readonly forces: Forces,
    private readonly most: Float64Array | undefined,
    private readonly clicks: Float64Array | undefined,
  ) {}

  deceleration(speed: number, i: number): number {
    const { forces, most, clicks } = this;
    const { curvature, grade, headwind } = this.line;
    return brakingDeceleration(forces, speed, curvature[i], grade[i], most?.[i], clicks?.[i], headwind?.[i]);
  }
}

/** Strongest wind along a line, m/s. @param sign 1 for against the car, −1 for from behind */
function strongest(headwind: Float64Array | undefined, sign: 1 | -1): number {
  let most = 0;
  for (let i = 0; headwind && i < headwind.length; i++) most = Math.max(most, sign * headwind[i]);
  return most;
}
