import { cos, intervalAt, sin } from '../numeric';
import { type Segment, segmentLength, segmentTurn } from './segments';

/** A line sampled along its way; n intervals, n + 1 points. */
export interface SampledLine {
  /** Length of the line, m */
  readonly length: number;
  /** Distance along the line of each point, m; n + 1 */
  readonly distance: Float64Array;
  /** Position east, m; n + 1 */
  readonly x: Float64Array;
  /** Position north, m; n + 1 */
  readonly y: Float64Array;
  /** Height over the start, m; n + 1 */
  readonly height: Float64Array;
  /** Curvature, 1/m, left positive; n + 1 */
  readonly curvature: Float64Array;
  /** Rise over run, 1; n + 1 */
  readonly grade: Float64Array;
}

/** Length over which curvature and grade pass from one segment to the next, m. */
const TRANSITION = 16;

/**
 * Samples a line of straights and corners. Curvature and grade are averaged over a short window that wraps round the
 * lap, as a car is steered, so that the heading turned through is kept.
 * @param segments at least one, of positive length
 * @param spacing wanted distance between points, m
 */
export function sampleLine(segments: readonly Segment[], spacing: number): SampledLine {
  const length = segments.reduce((sum, segment) => sum + segmentLength(segment), 0);
  const n = Math.max(8, Math.round(length / spacing));
  const step = length / n;
  const curvature = windowMean(segments, (s) => segmentTurn(s) / segmentLength(s), length, n);
  const grade = windowMean(segments, (s) => s.grade, length, n);
  const distance = new Float64Array(n + 1);
  const x = new Float64Array(n + 1);
  const y = new Float64Array(n + 1);
  const height = new Float64Array(n + 1);
  let heading = 0;
  for (let i = 0; i < n; i++) {
    const turn = 0.5 * (curvature[i] + curvature[i + 1]) * step;
    const mid = heading + 0.5 * turn;
    // The chord of an arc is shorter than the arc; without it tight corners would not close.
    const chord = Math.abs(turn) > 1e-9 ? (step * sin(turn / 2)) / (turn / 2) : step;
    distance[i + 1] = (i + 1) * step;
    x[i + 1] = x[i] + chord * cos(mid);
    y[i + 1] = y[i] + chord * sin(mid);
    height[i + 1] = height[i] + 0.5 * (grade[i] + grade[i + 1]) * step;
    heading += turn;
  }
  return { length, distance, x, y, height, curvature, grade };
}

/** Mean of a piecewise constant value over a window round each point of a closed lap; n + 1 points. */
function windowMean(
  segments: readonly Segment[],
  value: (segment: Segment) => number,
  length: number,
  n: number,
): Float64Array {
  const edges = [0];
  const integral = [0];
  for (const segment of segments) {
    const l = segmentLength(segment);
    edges.push(edges[edges.length - 1] + l);
    integral.push(integral[integral.length - 1] + value(segment) * l);
  }
  const total = integral[integral.length - 1];
  const cumulative = (s: number): number => {
    const lap = Math.floor(s / length);
    const at = s - lap * length;
    const i = intervalAt(edges, at);
    const share = (at - edges[i]) / (edges[i + 1] - edges[i]);
    return lap * total + integral[i] + share * (integral[i + 1] - integral[i]);
  };
  const window = Math.min(TRANSITION, length / 4);
  const result = new Float64Array(n + 1);
  for (let i = 0; i <= n; i++) {
    const s = (i * length) / n;
    result[i] = (cumulative(s + window / 2) - cumulative(s - window / 2)) / window;
  }
  return result;
}
