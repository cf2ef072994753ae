import { assertRising } from './pointTable';

/** First temperature and step of every table, K: knots at whole tens of °C from −180 °C to 2820 °C. */
export const TABLE_START = 93.15;
export const TABLE_STEP = 10;
export const TABLE_COUNT = 301;

/**
 * A function of temperature at the common knots, linear between them, held outside; TABLE_COUNT values. Points given at
 * whole tens of °C are kept exactly; where others are given, use a `PointTable`.
 */
export type UniformTable = Float64Array;

/**
 * A table from points (temperature in K, value), linear between them and held outside.
 * @throws RangeError where the temperatures do not rise
 */
export function uniformTable(points: readonly (readonly [number, number])[]): UniformTable {
  assertRising(points);
  const values = new Float64Array(TABLE_COUNT);
  let k = 0;
  for (let i = 0; i < TABLE_COUNT; i++) {
    const t = TABLE_START + i * TABLE_STEP;
    while (k < points.length - 2 && t > points[k + 1][0]) k++;
    const [t0, v0] = points[k];
    const [t1, v1] = points[Math.min(k + 1, points.length - 1)];
    const share = t1 > t0 ? Math.min(1, Math.max(0, (t - t0) / (t1 - t0))) : 0;
    values[i] = v0 + share * (v1 - v0);
  }
  return values;
}

const LAST = TABLE_COUNT - 1;
export const TABLE_PER_KELVIN = 1 / TABLE_STEP;

/** 2⁵² + 2⁵¹: added to a number, it leaves no room for what is less than 1. */
export const WHOLE_ONLY = 6_755_399_441_055_744;

/** Place of a temperature, K, among the knots, 0 for the first; not held within the table. */
export const tablePosition = (temperature: number): number => (temperature - TABLE_START) * TABLE_PER_KELVIN;

/** Where places are held at most: with a knot behind every one. */
export const MOST_POSITION = TABLE_COUNT - 2;

/** A place held within the table; what is no number is at its start. */
export function heldPosition(position: number): number {
  const held = position > 0 ? position : 0;
  return held < MOST_POSITION ? held : MOST_POSITION;
}

/**
 * The knot before a place within the table, as a number; for a place on a knot that one or the one before, whichever is
 * even, since a kernel rounds so without a branch. Either gives the same value.
 */
export const knotBefore = (position: number): number => position - 0.5 + WHOLE_ONLY - WHOLE_ONLY;

/** Value of a table at a temperature in K. */
export function tableAt(table: UniformTable, temperature: number): number {
  const position = tablePosition(temperature);
  if (position <= 0) return table[0];
  if (position >= LAST) return table[LAST];
  const knot = knotBefore(position);
  const i = knot | 0;
  return table[i] + (position - knot) * (table[i + 1] - table[i]);
}

const integrals = new WeakMap<UniformTable, Float64Array>();

/** The integral of a table from its first temperature, at its n knots, value·K; made once for each table. */
export function integralTable(table: UniformTable): Float64Array {
  const known = integrals.get(table);
  if (known) return known;
  const sums = new Float64Array(TABLE_COUNT);
  for (let i = 1; i < TABLE_COUNT; i++) {
    sums[i] = sums[i - 1] + 0.5 * TABLE_STEP * (table[i - 1] + table[i]);
  }
  integrals.set(table, sums);
  return sums;
}

/**
 * The integral of a table up to a temperature; exact for the piecewise linear table, held outside.
 * @param sums made by `integralTable`, one a knot, value·K
 * @param temperature K
 */
export function integralAt(table: UniformTable, sums: Float64Array, temperature: number): number {
  const position = tablePosition(temperature);
  if (position <= 0) return table[0] * (temperature - TABLE_START);
  if (position >= LAST) return sums[LAST] + table[LAST] * ((position - LAST) * TABLE_STEP);
  const knot = knotBefore(position);
  const i = knot | 0;
  const share = position - knot;
  return sums[i] + share * TABLE_STEP * (table[i] + 0.5 * share * (table[i + 1] - table[i]));
}

/**
 * The temperature at which a table's integral has a value, K: Newton on a smooth rising function.
 * @param sums made by `integralTable`, one a knot, value·K
 * @param value of the integral, value·K
 * @param guess K, within some kelvin
 * @param turns of Newton's method
 */
export function integralInverse(
  table: UniformTable,
  sums: Float64Array,
  value: number,
  guess: number,
  turns: number,
): number {
  let t = guess;
  for (let k = 0; k < turns; k++) t += (value - integralAt(table, sums, t)) / tableAt(table, t);
  return t;
}
