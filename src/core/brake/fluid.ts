import { exp, log, power } from '../numeric';
/** Water content at which a fluid's wet boiling point is given, % by mass. 49 CFR 571.116. */
export const WET_WATER = 3.7;
/** Temperature the boiling curve falls towards, K (120 °C, from memory). */
const CURVE_FLOOR = 393.15;
/** Water a glycol fluid takes up in the end, % by mass (from memory). */
const SATURATION = 6;
/** Pressure that boiling points are given at, Pa. */
const STANDARD_PRESSURE = 101325;
/** Gas constant, and what vaporising takes of a liquid at its boiling point (Trouton's rule, from memory), J/(mol·K). */
const GAS = 8.314462618;
const VAPORISING = 88;
/** Boiling point of water that lies free in a silicone fluid, K. */
const FREE_WATER = 373.15;

export interface Fluid {
  /** Boiling points, K */
  readonly dry: number;
  readonly wet: number;
  /** Water that a silicone fluid does not take up lies free in it */
  readonly freeWater: boolean;
}

/**
 * Boiling point of a brake fluid at no line pressure and sea level: `T_a + (T_dry − T_a)·exp(−k·w)`, with k from the wet
 * point. Own curve through the two points that standards give; free water boils by itself.
 * @param water % by mass, 0 or more; of a silicone fluid what a glycol fluid would have taken up beside it, as its wet
 * point is measured (49 CFR 571.116)
 * @returns K
 */
export function boilingPoint(fluid: Fluid, water: number): number {
  if (fluid.freeWater) return FREE_WATER;
  const k = log((fluid.dry - CURVE_FLOOR) / (fluid.wet - CURVE_FLOOR)) / WET_WATER;
  return CURVE_FLOOR + (fluid.dry - CURVE_FLOOR) * exp(-k * water);
}

/**
 * Boiling point in another air pressure: Clausius and Clapeyron with a heat of vaporisation by Trouton's rule, so that
 * `1/T = (1 − (R/88 J/(mol·K))·ln(p/p₀))/T₀`. At 2500 m 9 to 15 K lower than at sea level.
 * @param boiling at 101.325 kPa, K
 * @param pressure Pa
 * @returns K
 */
export function boilingUnder(boiling: number, pressure: number): number {
  return boiling / (1 - (GAS / VAPORISING) * log(pressure / STANDARD_PRESSURE));
}

/**
 * Water at which a fluid boils as measured: the inverse of `boilingPoint`, % by mass; 0 where it boils no earlier than new,
 * at most what a fluid takes up in the end. @param boiling at sea level, K
 */
export function waterFromBoiling(fluid: Fluid, boiling: number): number {
  if (boiling >= fluid.dry || fluid.freeWater) return 0;
  const k = log((fluid.dry - CURVE_FLOOR) / (fluid.wet - CURVE_FLOOR)) / WET_WATER;
  const over = Math.max((boiling - CURVE_FLOOR) / (fluid.dry - CURVE_FLOOR), 1e-9);
  return Math.min(SATURATION, -log(over) / k);
}

/**
 * Water of a fluid that has taken some up already, after more time, % by mass.
 * @param water it begins with, % by mass @param time s @param firstYear gained by new fluid in its first year, % by mass
 */
export function waterLater(water: number, time: number, firstYear: number): number {
  return water + (1 - water / SATURATION) * waterAfter(time, firstYear);
}

/**
 * Water taken up with time, saturating.
 * @param age s since the fluid was changed
 * @param firstYear % by mass gained in the first year; 2 by default, 1 to 3.7 reported
 * @returns % by mass
 */
export function waterAfter(age: number, firstYear: number): number {
  const years = age / (365.25 * 86400);
  return SATURATION * (1 - power(1 - Math.min(firstYear, 0.99 * SATURATION) / SATURATION, years));
}
