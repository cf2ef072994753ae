import type { FoundLap, Pass } from './passes';
import { evaluate, type PeriodicSpline } from './periodicSpline';
import { type Track, wayAlong } from './track';

/** Distance between the points of the finished line, m. */
export const SPACING = 2;

export interface Cloud {
  at: Float64Array;
  readonly x: Float64Array;
  readonly y: Float64Array;
  readonly height: Float64Array;
}

/** All points of all laps, each with its place in its lap. */
export function cloudOf(track: Track, laps: readonly FoundLap[]): Cloud {
  const way = wayAlong(track.x, track.y);
  const mean = laps.reduce((sum, lap) => sum + lap.length, 0) / laps.length;
  const along = (pass: Pass) => way[pass.index] + pass.share * (way[pass.index + 1] - way[pass.index]);
  const at: number[] = [];
  const index: number[] = [];
  for (const lap of laps) {
    const start = along(lap.from);
    const first = lap.from.share === 0 ? lap.from.index : lap.from.index + 1;
    const last = lap.to.share === 1 ? lap.to.index + 1 : lap.to.index;
    for (let i = first; i <= last; i++) {
      at.push(((way[i] - start) / lap.length) * mean);
      index.push(i);
    }
  }
  const pick = (values?: Float64Array) => Float64Array.from(index, (i) => (values ? values[i] : Number.NaN));
  return { at: Float64Array.from(at), x: pick(track.x), y: pick(track.y), height: pick(track.height) };
}

export function only(cloud: Cloud, kept: Float64Array): Cloud {
  const keep = (values: Float64Array) => values.filter((_, i) => kept[i] === 1);
  return { at: keep(cloud.at), x: keep(cloud.x), y: keep(cloud.y), height: keep(cloud.height) };
}

/** How far along the line a point's nearest place is looked for, m: before and after places are known well. */
export const FAR = 40;

export const NEAR = 12;

/** Puts each point at its nearest place on a line, measured along the line. @param near how far it is looked for, m */
export function place(
  spline: PeriodicSpline,
  cloud: Cloud,
  near: number,
): { at: Float64Array; off: Float64Array; length: number } {
  const n = Math.max(16, Math.round(spline.length / SPACING));
  const step = spline.length / n;
  const [x, y] = [new Float64Array(n + 1), new Float64Array(n + 1)];
  const out = new Float64Array(3);
  for (let i = 0; i <= n; i++) {
    evaluate(spline, 0, i * step, out);
    x[i] = out[0];
    evaluate(spline, 1, i * step, out);
    y[i] = out[0];
  }
  const way = wayAlong(x, y);
  const reach = Math.ceil(near / step);
  const at = new Float64Array(cloud.at.length);
  const off = new Float64Array(cloud.at.length);
  for (let p = 0; p < at.length; p++) {
    const centre = Math.floor(cloud.at[p] / step);
    let nearest = Number.POSITIVE_INFINITY;
    for (let k = centre - reach; k <= centre + reach; k++) {
      const i = ((k % n) + n) % n;
      const [ex, ey] = [x[i + 1] - x[i], y[i + 1] - y[i]];
      const [px, py] = [cloud.x[p] - x[i], cloud.y[p] - y[i]];
      const share = Math.min(1, Math.max(0, (px * ex + py * ey) / (ex * ex + ey * ey || 1)));
      const [qx, qy] = [px - share * ex, py - share * ey];
      const square = qx * qx + qy * qy;
      if (square < nearest) {
        nearest = square;
        at[p] = way[i] + share * (way[i + 1] - way[i]);
      }
    }
    off[p] = Math.sqrt(nearest);
  }
  return { at, off, length: way[n] };
}
