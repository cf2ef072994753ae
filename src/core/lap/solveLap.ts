import { OWN_ROOM, type Room } from '../numeric';
import { BrakedSpeeds, type Braking } from './brakedSpeeds';
import { beginBrakings, type PointBetween } from './buildUp';
import { brakingDeceleration, type Forces } from './forces';
import { fullPowerOf } from './fullPower';
import type { WindyLine } from './wind';

/**
 * Speeds of the fastest lap a point mass can drive on a closed line: corner speeds, a forward pass limited by power and
 * traction, a backward pass limited by braking, and a gradual start of each braking.
 * @param line n intervals
 * @param forces limits of car, driver and air
 * @param buildUp time from first touch to full braking, s
 * @param most braking force the brakes can make at each point, N; n + 1. Left out, the tyres are the limit everywhere
 * @param clicks on the driver's balance control at each point; n + 1. Left out, none
 * @param room where the speeds lie
 * @returns speed at each of the n + 1 points, m/s, the last equal to the first; and the points that brakings have between them
 */
export function solveLap(
  line: WindyLine,
  forces: Forces,
  buildUp: number,
  most?: Float64Array,
  clicks?: Float64Array,
  room: Room = OWN_ROOM,
): { readonly speed: Float64Array; readonly between: readonly PointBetween[] } {
  const { limit, slowest, forward } = fullPowerOf(line, forces);
  const braking = new LineBraking(line, forces, most, clicks);
  const braked = new BrakedSpeeds(limit, forward, slowest, line.distance, braking, room);
  const speed = slower(forward, braked.deciding, room);
  // The room for one more is no point of its own.
  const own = speed.subarray(0, forward.length);
  const between = beginBrakings(own, forward, braked, line, forces, buildUp, braking);
  speed[forward.length] = speed[0];
  return { speed, between };
}

/** The slower of two speeds at each point, and room for one more; n + 1. */
function slower(a: Float64Array, b: Float64Array, room: Room): Float64Array {
  const speed = room.floats(a.length + 1);
  for (let i = 0; i < a.length; i++) speed[i] = Math.min(a[i], b[i]);
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
