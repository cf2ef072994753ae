/** Points as they were driven or drawn, in order; n each. */
export interface Track {
  /** East, m */
  readonly x: Float64Array;
  /** North, m */
  readonly y: Float64Array;
  /** Height, m; NaN or left out where it is not known */
  readonly height?: Float64Array;
  /** s; left out where it is not known */
  readonly time?: Float64Array;
}

/** Length of the way from point to point, from the first; n. */
export function wayAlong(x: Float64Array, y: Float64Array): Float64Array {
  const way = new Float64Array(x.length);
  for (let i = 1; i < x.length; i++) {
    const dx = x[i] - x[i - 1];
    const dy = y[i] - y[i - 1];
    way[i] = way[i - 1] + Math.sqrt(dx * dx + dy * dy);
  }
  return way;
}
