import type { Track } from './track';

/** A step this many times the median, and this many metres, may be a jump. */
const TIMES = 8;
const METRES = 15;
/** A receiver that jumps comes back within so many points. */
const BACK = 4;

/**
 * A track without the points at which a receiver jumped away and came back, m; they would lengthen the way and push all
 * after them along it.
 * @returns the track, and how many points were left out
 */
export function withoutJumps(track: Track): { readonly track: Track; readonly jumps: number } {
  const { x, y } = track;
  const n = x.length;
  const far = (i: number, k: number) => Math.sqrt((x[k] - x[i]) ** 2 + (y[k] - y[i]) ** 2);
  const steps = Float64Array.from({ length: Math.max(0, n - 1) }, (_, i) => far(i, i + 1)).sort();
  const limit = Math.max(METRES, TIMES * (steps[steps.length >> 1] ?? 0));
  const kept: number[] = [];
  for (let i = 0; i < n; i++) {
    const before = kept[kept.length - 1];
    if (before === undefined || far(before, i) <= limit) {
      kept.push(i);
      continue;
    }
    let back = i + 1;
    while (back < n && back <= i + BACK && far(before, back) > limit) back++;
    // One that does not come back has moved on: a pause of the recording, not a jump.
    if (back < n && back <= i + BACK) i = back - 1;
    else kept.push(i);
  }
  if (kept.length === n) return { track, jumps: 0 };
  const pick = (values: Float64Array) => Float64Array.from(kept, (i) => values[i]);
  return {
    track: {
      x: pick(x),
      y: pick(y),
      ...(track.height && { height: pick(track.height) }),
      ...(track.time && { time: pick(track.time) }),
    },
    jumps: n - kept.length,
  };
}
