/** A function of one variable by its points, linear between them and held outside; n each. */
export interface PointTable {
  readonly at: Float64Array;
  readonly values: Float64Array;
}

/**
 * A table that keeps the points as they are given.
 * @throws RangeError where there is none or the first coordinate does not rise
 */
export function pointTable(points: readonly (readonly [number, number])[]): PointTable {
  assertRising(points);
  return { at: Float64Array.from(points, ([x]) => x), values: Float64Array.from(points, ([, y]) => y) };
}

/** Refuses points whose first coordinate does not rise. @throws RangeError naming the point */
export function assertRising(points: readonly (readonly [number, number])[]): void {
  if (points.length === 0) throw new RangeError('table: at least one point is needed');
  for (let i = 1; i < points.length; i++) {
    if (!(points[i][0] > points[i - 1][0])) throw new RangeError(`table: temperatures must rise, point ${i}`);
  }
}

/** Value of a table at x. */
export function pointTableAt({ at, values }: PointTable, x: number): number {
  const last = at.length - 1;
  if (x <= at[0]) return values[0];
  if (x >= at[last]) return values[last];
  let i = 1;
  while (at[i] < x) i++;
  const share = (x - at[i - 1]) / (at[i] - at[i - 1]);
  return values[i - 1] + share * (values[i] - values[i - 1]);
}
