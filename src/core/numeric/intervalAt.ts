/**
 * Which interval of rising values one lies in: the i with values[i] ≤ value < values[i + 1], the first or the last for one
 * outside.
 * @param values at least two
 */
export function intervalAt(values: ArrayLike<number>, value: number): number {
  let low = 0;
  let high = values.length - 1;
  while (high - low > 1) {
    const mid = (low + high) >> 1;
    if (values[mid] <= value) low = mid;
    else high = mid;
  }
  return low;
}
