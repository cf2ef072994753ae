import { exp, tableAt } from '../numeric';
import type { Pad } from './parts';

/** Share of its friction a wholly glazed pad has lost (from memory). */
export const GLAZED_LOSS = 0.35;
/** Time in which a pad 100 K over its limit glazes by 1 − 1/e, s (from memory). */
const GLAZING_TIME = 60;

/**
 * Friction coefficient of a pad at a face temperature.
 * @param temperature of the rubbed face, K
 * @param glaze 0 fresh to 1 glazed all over
 */
export function frictionAt(pad: Pad, temperature: number, glaze: number): number {
  return tableAt(pad.friction, temperature) * (1 - GLAZED_LOSS * glaze);
}

/**
 * Glaze after some time at a face temperature. It grows over the pad's limit, the faster the hotter, and stays until the
 * pad is bedded again.
 * @param glaze before, 0 to 1
 * @param dt s
 */
export function glazeAfter(pad: Pad, glaze: number, temperature: number, dt: number): number {
  if (temperature <= pad.limit) return glaze;
  const over = (temperature - pad.limit) / 100;
  return 1 - (1 - glaze) * exp((-over * dt) / GLAZING_TIME);
}
