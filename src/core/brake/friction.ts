import { exp, pointTableAt } from '../numeric';
import type { Pad } from './parts';

/** Share of its friction a wholly glazed pad has lost (from memory). */
export const GLAZED_LOSS = 0.35;
/** Share of its friction that a pad which is not bedded at all lacks (from memory). */
export const UNBEDDED_LOSS = 0.25;
/** Film that is there after a pad's bedding time, of all there can be: 95 %, 1 − e⁻³. */
const FILMS = 3;
/** Time in which a pad 100 K over its limit glazes by 1 − 1/e, s (from memory). */
const GLAZING_TIME = 60;

/**
 * Friction coefficient of a pad at a face temperature.
 * @param temperature of the rubbed face, K
 * @param glaze 0 fresh to 1 glazed all over
 * @param bedded 0 new to 1 bedded
 */
export function frictionAt(pad: Pad, temperature: number, glaze: number, bedded: number): number {
  return (
    pointTableAt(pad.friction, temperature) * (1 - GLAZED_LOSS * glaze) * (1 - UNBEDDED_LOSS * (1 - bedded))
  );
}

/**
 * Bedded share after some braking (own index). The film grows while the face is in the pad's bedding band, the slower the
 * more there is; colder it does not grow, hotter it smears instead.
 * @param bedded before, 0 to 1
 * @param face of the pad, K
 * @param dt s of braking
 */
export function beddedAfter({ bedding }: Pad, bedded: number, face: number, dt: number): number {
  if (bedded >= 1 || face < bedding.low || face > bedding.high) return bedded;
  return 1 - (1 - bedded) * exp((-FILMS * dt) / bedding.time);
}

/**
 * Glaze after some time in which the face's temperature goes evenly from one to another; exact for that. It grows over the
 * pad's limit, the faster the hotter, and stays until the pad is bedded again (own index).
 * @param glaze before, 0 to 1
 * @param from of the rubbed face, K
 * @param to K
 * @param dt s
 */
export function glazeAfter(pad: Pad, glaze: number, from: number, to: number, dt: number): number {
  const high = Math.max(from, to) - pad.limit;
  if (high <= 0) return glaze;
  const low = Math.min(from, to) - pad.limit;
  // Mean of what lies over the limit: a trapezium, or the triangle that is left of it.
  const over = low >= 0 ? 0.5 * (low + high) : (0.5 * high * high) / (high - low);
  return 1 - (1 - glaze) * exp((-over * dt) / (100 * GLAZING_TIME));
}
