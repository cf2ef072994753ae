import type { BrakedSpeeds, Braking } from './brakedSpeeds';
import { type Forces, resistance } from './forces';
import type { WindyLine } from './wind';

/**
 * Lets each braking begin gradually: the deceleration rises from coasting to full over the build-up time, so the driver
 * starts earlier. The start is found between two points of the line such that the speed meets the full-braking curve
 * where the build-up ends. Changes `speed` in place.
 */
export function buildUpBraking(
  speed: Float64Array,
  forward: Float64Array,
  braked: BrakedSpeeds,
  line: WindyLine,
  forces: Forces,
  buildUp: number,
  braking: Braking,
): void {
  if (buildUp <= 0) return;
  const n = forward.length;
  const step = line.length / n;
  const backward = braked.deciding;
  for (let onset = 0; onset < n; onset++) {
    const before = (onset - 1 + n) % n;
    if (!(backward[onset] < forward[onset] && backward[before] >= forward[before])) continue;
    const reach = Math.ceil((buildUp * forward[onset]) / step) + 2;
    let late: Ramp | null = null;
    for (let back = 0; back <= reach; back++) {
      const start = (onset - back + n) % n;
      if (back > 0 && backward[start] < forward[start]) break;
      const ramp = rampFrom(start, forward[start], braked, line, forces, buildUp, step, braking);
      if (ramp.excess <= 0) {
        writeRamp(speed, ramp, late, n);
        break;
      }
      late = ramp;
    }
  }
}

interface Ramp {
  start: number;
  /** v² at the points after the start */
  squares: number[];
  /** v² above the full-braking curve where the build-up ends */
  excess: number;
}

function rampFrom(
  start: number,
  entry: number,
  braked: BrakedSpeeds,
  line: WindyLine,
  forces: Forces,
  buildUp: number,
  step: number,
  braking: Braking,
): Ramp {
  const n = line.curvature.length - 1;
  const squares = [entry * entry];
  let time = 0;
  let i = start;
  let square = entry * entry;
  while (time < buildUp) {
    const v = Math.sqrt(square);
    const dt = step / v;
    const wind = line.headwind?.[i] ?? 0;
    const grade = line.grade[i];
    const full = braking.deceleration(v, i);
    const coast = Math.max(0, resistance(forces, v + wind, grade) / (forces.mass * forces.inertia));
    const share = Math.min(1, (time + 0.5 * dt) / buildUp);
    square = Math.max(1, square - 2 * (coast + (full - coast) * share) * step);
    time += dt;
    i = (i + 1) % n;
    squares.push(square);
  }
  return { start, squares, excess: square - braked.at(i) ** 2 };
}

/** Blends the last start that was too late with the first that was early enough, so that the end lies on the curve. */
function writeRamp(speed: Float64Array, early: Ramp, late: Ramp | null, n: number): void {
  const share = late ? late.excess / (late.excess - early.excess) : 1;
  for (let k = 1; k < early.squares.length; k++) {
    const i = (early.start + k) % n;
    const lateSquare = late && k >= 1 && k - 1 < late.squares.length ? late.squares[k - 1] : early.squares[k];
    const v = Math.sqrt(share * early.squares[k] + (1 - share) * lateSquare);
    if (v < speed[i]) speed[i] = v;
  }
}
