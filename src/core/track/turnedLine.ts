import type { SmoothLine } from './smoothTrack';

/** Curvature under which a line counts as straight, 1/m. */
const FLAT = 1 / 500;

/** The middle of the longest straight, m from the present start. */
export function longestStraight(line: SmoothLine): number {
  const n = line.distance.length - 1;
  let [best, length, run] = [0, 0, 0];
  for (let i = 0; i < 2 * n; i++) {
    run = Math.abs(line.curvature[i % n]) < FLAT ? run + 1 : 0;
    if (run > length && run <= n) [best, length] = [i - run / 2, run];
  }
  return (Math.round(best) % n) * (line.length / n);
}

/**
 * The same line begun at another place, and driven the other way if wanted.
 * @param start m from the present start, along the present direction
 * @param reverse whether it is driven the other way
 */
export function turnedLine(line: SmoothLine, start: number, reverse: boolean): SmoothLine {
  const n = line.distance.length - 1;
  const first = Math.round((start / line.length) * n);
  const way = reverse ? -1 : 1;
  const pick = (values: Float64Array, sign = 1) =>
    values.map((_, i) => sign * values[(((first + way * i) % n) + n) % n]);
  return {
    ...line,
    x: pick(line.x),
    y: pick(line.y),
    height: pick(line.height),
    curvature: pick(line.curvature, way),
    grade: pick(line.grade, way),
  };
}
