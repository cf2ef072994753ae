import { STANDARD_GRAVITY } from '../constants';
import { Recent } from '../numeric';
import { cornerSpeed, type Forces, LEAST_GRIP, liftSpeed, powerAt, topSpeed } from './forces';
import type { WindyLine } from './wind';

/** What of a lap no brake has a part in; whatever the brakes make of it, it is the same. */
export interface FullPower {
  /** Corner speeds at each point, m/s; n */
  readonly limit: Float64Array;
  readonly slowest: number;
  /** Speeds with full power out of each corner, m/s; n */
  readonly forward: Float64Array;
}
/** Of each line the last few cars and paces: a day whose brakes fade drives every lap anew. */
const fullPower = new WeakMap<WindyLine, Recent<FullPower>>();

/** Corner speeds of a line and what full power makes of it between them, n points; kept for the next lap of the same car. */
export function fullPowerOf(line: WindyLine, forces: Forces): FullPower {
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
  let before = 0;
  for (let i = 0; i < limit.length; i++) {
    before = cornerSpeed(forces, curvature[i], grade[i], cap, headwind?.[i], before);
    limit[i] = before;
  }
  return limit;
}

/**
 * Speeds with full power out of each corner: v² carried on twice round the lap from its slowest point, so that the seam
 * closes, by the mean of the accelerations at both ends (Heun). The force is the engine's, or what the driven tyres hold
 * beside cornering (friction ellipse). All is in the loop itself, since a call that is not written into its caller puts its
 * number on the heap.
 */
function outOfCorners(line: WindyLine, f: Forces, limit: Float64Array, start: number): Float64Array {
  const { distance, curvature, grade, headwind } = line;
  const { mass, drag, downforce, rolling, drivenShare, lateralGrip, tractionGrip, loadLoss } = f;
  const heavy = mass * STANDARD_GRAVITY;
  const inert = mass * f.inertia;
  const n = limit.length;
  const speed = new Float64Array(n);
  speed[start] = limit[start];
  let weight = heavy / Math.sqrt(1 + grade[start] * grade[start]);
  let i = start;
  for (let count = 0; count < 2 * n; count++) {
    const next = i + 1 < n ? i + 1 : 0;
    const step = distance[i + 1] - distance[i];
    const square = speed[i] * speed[i];
    let reached = speed[i];
    let at = i;
    let sum = 0;
    for (let stage = 2; stage > 0; stage--) {
      const past = headwind ? reached + headwind[at] : reached;
      const against = past > 0 ? past : 0;
      const load = weight + downforce * against * against;
      const grip = Math.max(LEAST_GRIP, 1 - loadLoss * (load / heavy - 1)) * load;
      const used = (mass * reached * reached * Math.abs(curvature[at])) / (lateralGrip * grip);
      // Less than that is no part of one: most of a lap is straight.
      const beside = used < 1e-9 ? 1 : used >= 1 ? 0 : Math.sqrt(1 - used * used);
      const force = Math.min(
        powerAt(f, reached) / Math.max(reached, 1),
        tractionGrip * grip * drivenShare * beside,
      );
      const held = drag * past * Math.abs(past) + (rolling + grade[at]) * weight;
      sum += (force - held) / inert;
      reached = Math.min(limit[next], Math.sqrt(Math.max(1, square + stage * sum * step)));
      if (at === i) weight = heavy / Math.sqrt(1 + grade[next] * grade[next]);
      at = next;
    }
    // Once the second time round meets the first, the rest would only be repeated.
    if (count >= n && Math.abs(reached - speed[next]) < 1e-12 * reached) break;
    speed[next] = reached;
    i = next;
  }
  return speed;
}

/** Strongest wind along a line, m/s. @param sign 1 for against the car, −1 for from behind */
function strongest(headwind: Float64Array | undefined, sign: 1 | -1): number {
  let most = 0;
  for (let i = 0; headwind && i < headwind.length; i++) most = Math.max(most, sign * headwind[i]);
  return most;
}
