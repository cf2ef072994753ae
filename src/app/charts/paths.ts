/**
 * A path that keeps every extreme while drawing at most two points to a column of two pixels: its lowest and its highest.
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
    path += `${path ? 'L' : 'M'}${column},${tenths(y(low))}`;
    if (high !== low) path += `L${column},${tenths(y(high))}`;
  };
  for (let i = 0; i < xs.length; i++) {
    const c = 2 * Math.round(0.5 * x(xs[i]));
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

/** Rounded to tenths; far quicker than toFixed, and there are thousands of them. */
const tenths = (value: number) => Math.round(value * 10) / 10;
