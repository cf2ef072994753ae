/**
 * The largest value between two that still does, by halving; whatever does must do below it too.
 * @param does asked of a value, in its unit
 * @param low known to do, or taken where nothing does
 * @param high known not to do
 * @param halvings number of them
 */
export function largestThat(
  does: (value: number) => boolean,
  low: number,
  high: number,
  halvings: number,
): number {
  let [a, b] = [low, high];
  for (let i = 0; i < halvings; i++) {
    const middle = 0.5 * (a + b);
    if (does(middle)) a = middle;
    else b = middle;
  }
  return a;
}
