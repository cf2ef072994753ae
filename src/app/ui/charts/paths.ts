/**
 * A path that keeps every extreme while drawing at most two points to a column of two pixels: its lowest and its
 * highest, each where it lies and in the order they come, so that steep lines stay lines.
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
  const add = (i: number) => {
    path += `${path ? 'L' : 'M'}${tenths(x(xs[i]))},${tenths(y(ys[i]))}`;
  };
  const flush = () => {
    if (Number.isNaN(column)) return;
    add(Math.min(low, high));
    if (low !== high) add(Math.max(low, high));
  };
  for (let i = 0; i < xs.length; i++) {
    const c = Math.round(0.5 * x(xs[i]));
    if (c !== column) {
      flush();
      column = c;
      low = i;
      high = i;
    } else if (ys[i] < ys[low]) low = i;
    else if (ys[i] > ys[high]) high = i;
  }
  flush();
  return path;
}

/** Rounded to tenths; far quicker than toFixed, and there are thousands of them. */
const tenths = (value: number) => Math.round(value * 10) / 10;
