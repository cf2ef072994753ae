import { type SampledLine, sampleLine } from './sampleLine';
import type { Segment } from './segments';

/** Curvature under which a line is straight for a lap, 1/m: the tyres hold a car at any speed it reaches. */
const STRAIGHT = 1 / 400;
/** Of the points of a straight, one in so many is enough; and how many are kept before and after a bend. */
const STRIDE = 4;
const LEAD = 2;

/**
 * A line sampled for laps: as closely as is asked where it bends, less so where it is straight, since speeds change evenly
 * there.
 * @param segments at least one, of positive length
 * @param spacing wanted distance between points where it bends, m
 */
export function lapLine(segments: readonly Segment[], spacing: number): SampledLine {
  const line = sampleLine(segments, spacing);
  const kept = Int32Array.from(pointsKept(line.curvature));
  const pick = (values: Float64Array) => Float64Array.from(kept, (i) => values[i]);
  return {
    length: line.length,
    distance: pick(line.distance),
    x: pick(line.x),
    y: pick(line.y),
    height: pick(line.height),
    curvature: pick(line.curvature),
    grade: pick(line.grade),
  };
}

/** Indices of the points that are kept, the first and the last among them. @param curvature n + 1, 1/m */
function pointsKept(curvature: Float64Array): number[] {
  const n = curvature.length - 1;
  const bends = (i: number) => Math.abs(curvature[((i % n) + n) % n]) > STRAIGHT;
  const near = (i: number) => {
    for (let k = i - LEAD; k <= i + LEAD; k++) if (bends(k)) return true;
    return false;
  };
  const kept = [0];
  for (let i = 1; i < n; i++) {
    if (near(i) || near(i + 1) || i - kept[kept.length - 1] >= STRIDE) kept.push(i);
  }
  kept.push(n);
  return kept;
}
