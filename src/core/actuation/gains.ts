import type { AxleForce, BrakeKind } from './chain';

/**
 * Brake factor of a shoe pair, circumferential over application force. A leading shoe gives `k·µ/(1 − m·µ)`, a trailing
 * one `k·µ/(1 + m·µ)` (form: Limpert, Brake Design and Safety); k and m are chosen so that at µ = 0.38 they give 1.6 and
 * 0.6 (from memory), a leading-trailing pair 2.2 and a duplex pair 3.2.
 * @param friction coefficient, 0 or more; over 0.8 a leading shoe would lock by itself, so it counts as 0.8
 */
export function shoeFactor(kind: Exclude<BrakeKind, 'disc'>, friction: number): number {
  const mu = Math.min(0.8, friction);
  const leading = (SHOE_GAIN * mu) / (1 - SHOE_FEEDBACK * mu);
  if (kind === 'duplex') return 2 * leading;
  return leading + (SHOE_GAIN * mu) / (1 + SHOE_FEEDBACK * mu);
}
const SHOE_FEEDBACK = 1 / 0.38 / 2.2;
const SHOE_GAIN = (1.6 * (1 - SHOE_FEEDBACK * 0.38)) / 0.38;

/**
 * Torque of one wheel's brake for one pascal, N·m/Pa: `2·µ·A·r_eff` for a disc (a sliding caliper counts its one side),
 * `C*·A·r` for a drum.
 * @param friction coefficient of the pads
 * Source: common practice, statics of the disc; drums as in docs/model.md.
 */
export function torquePerPressure(axle: AxleForce, friction: number): number {
  const factor = axle.kind === 'disc' ? 2 * friction : shoeFactor(axle.kind, friction);
  return factor * axle.pistonArea * axle.radius * axle.correction;
}

/** Braking force of one wheel at the road for one pascal, N/Pa. */
export const wheelGain = (axle: AxleForce, friction: number, wheelRadius: number): number =>
  torquePerPressure(axle, friction) / wheelRadius;

/** Mean pressure on a pad, Pa: piston area over the area rubbed, times the line pressure. @param line Pa */
export const padPressure = (axle: AxleForce, line: number): number => (line * axle.pistonArea) / axle.padArea;
