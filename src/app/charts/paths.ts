/**
 * A path that keeps every extreme while drawing at most two points a pixel column: first, lowest and highest of each.
 */
export function densePath(
  xs: ArrayLike<number>,
  ys: ArrayLike<number>,
  x: (value: number) => number,
  y: (value: number) => number,
): string {
  let path = '';
  let column = Number.NaN;
  let low = 0;
  let high = 0;
  const flush = () => {
    if (Number.isNaN(column)) return;
    path += `${path ? 'L' : 'M'}${column},${y(low).toFixed(1)}`;
    if (high !== low) path += `L${column},${y(high).toFixed(1)}`;
  };
  for (let i = 0; i < xs.length; i++) {
    const c = Math.round(x(xs[i]));
    if (c !== column) {
      flush();
      column = c;
      low = ys[i];
      high = ys[i];
    } else if (ys[i] < low) low = ys[i];
    else if (ys[i] > high) high = ys[i];
  }
  flush();
  return path;
}
