/** Metres east and north as pixels of a map that shows all of them, north up. */
export function fitGround(
  xs: ArrayLike<number>,
  ys: ArrayLike<number>,
  width: number,
  height: number,
  pad = 34,
) {
  let [x0, x1, y0, y1] = [Infinity, -Infinity, Infinity, -Infinity];
  for (let i = 0; i < xs.length; i++) {
    x0 = Math.min(x0, xs[i]);
    x1 = Math.max(x1, xs[i]);
    y0 = Math.min(y0, ys[i]);
    y1 = Math.max(y1, ys[i]);
  }
  const scale = Math.min(
    (width - 2 * pad) / Math.max(1e-6, x1 - x0),
    (height - 2 * pad) / Math.max(1e-6, y1 - y0),
  );
  const left = (width - scale * (x1 - x0)) / 2;
  const top = (height - scale * (y1 - y0)) / 2;
  return {
    /** Pixels a metre */
    scale,
    x: (v: number) => left + scale * (v - x0),
    y: (v: number) => height - top - scale * (v - y0),
  };
}

/** A length for a scale bar: one, two or five times a power of ten of a unit, near the wanted pixels. */
export function barLength(pixelsPerUnit: number, wanted = 110): number {
  const most = wanted / pixelsPerUnit;
  const power = 10 ** Math.floor(Math.log10(most));
  const [best] = [5, 2, 1].filter((m) => m * power <= most);
  return (best ?? 1) * power;
}

/** A line turned so that its start heads along a compass bearing, degrees. */
export function turned(line: { x: ArrayLike<number>; y: ArrayLike<number> }, bearingDeg: number) {
  const bearing = (bearingDeg * Math.PI) / 180;
  const [e, n] = [Math.sin(bearing), Math.cos(bearing)];
  return {
    x: Float64Array.from(line.x, (x, i) => x * e - line.y[i] * n),
    y: Float64Array.from(line.x, (x, i) => x * n + line.y[i] * e),
  };
}
