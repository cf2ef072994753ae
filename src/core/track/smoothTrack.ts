import type { SampledLine } from '../circuit';
import { power } from '../numeric';
import { type Cloud, cloudOf, FAR, NEAR, only, place, SPACING } from './cloud';
import type { FoundLap } from './passes';
import { evaluate, freedom, gather, type PeriodicSpline, smoothGathered } from './periodicSpline';
import type { Track } from './track';

/** A closed line without the noise of its points. Heights are all zero where none were given. */
export interface SmoothLine extends SampledLine {
  readonly smoothing: Smoothing;
}

/** What smoothing did. */
export interface Smoothing {
  /** Waves of this length are halved, m */
  readonly wave: number;
  /** Farthest that a point lies off the line, and root mean square of all, m */
  readonly most: number;
  readonly typical: number;
  /** Scatter of the points across the line that follows, m */
  readonly noise: number;
  /** Scatter of the curvature that is left, 1/m */
  readonly curvatureNoise: number;
  /** Points used, and those left out as jumps */
  readonly points: number;
  readonly jumps: number;
  /** Whether the line stays within the bound; false where even the least smoothing leaves it */
  readonly withinBound: boolean;
  readonly hasHeight: boolean;
}

/** Waves tried, from the least smoothing to the most; each is longer by this factor. */
const FACTOR = 1.3;

const LONGEST = 260;

/** A point this many times the root mean square off, and this many metres, is a jump of the receiver. */
const JUMP_TIMES = 6;

const JUMP_METRES = 6;

/**
 * Smooths whole laps of a track together into one closed line. How much is chosen by generalised cross-validation
 * (Craven and Wahba 1979), and less where the line would leave its points by more than the bound.
 * @param laps whole laps of the track; at least one
 * @param bound farthest the line may lie off any point but jumps, m
 * @param wave smoothing to use instead of the chosen one, m; null chooses
 */
export function smoothTrack(
  track: Track,
  laps: readonly FoundLap[],
  bound = Number.POSITIVE_INFINITY,
  wave: number | null = null,
): SmoothLine {
  let cloud = cloudOf(track, laps);
  let length = laps.reduce((sum, lap) => sum + lap.length, 0) / laps.length;
  const perLap = cloud.at.length / laps.length;
  const knots = (l: number) => Math.min(8, Math.max(3, (1.2 * l) / perLap));
  const gathered = (longest: number) =>
    gather({ at: cloud.at, values: [cloud.x, cloud.y], length }, knots(length), longest);
  const smoothed = (w: number) => smoothGathered(gathered(w), w);
  // Noise makes the way from point to point too long, most where the car is slow; places are put right on the line.
  let jumps = 0;
  for (const first of [80, 60]) {
    const placed = place(smoothed(first), cloud, first === 80 ? FAR : NEAR);
    cloud.at = placed.at;
    length = placed.length;
    const limit = Math.max(JUMP_METRES, JUMP_TIMES * rootMeanSquare(placed.off));
    const kept = placed.off.map((d) => (d <= limit ? 1 : 0));
    const dropped = kept.length - kept.reduce((sum, k) => sum + k, 0);
    if (dropped > 0 && dropped < 0.1 * kept.length) {
      jumps += dropped;
      cloud = only(cloud, kept);
    }
  }
  /** The wave, made longer while the noise leaves the curvature restless and the bound allows it. */
  const calmed = (best: number): number => {
    const { off } = place(smoothed(best), cloud, NEAR);
    const scatter = curvatureNoise(rootMeanSquare(off), off.length / length, best);
    const longer = best * Math.min(LONGER, Math.max(1, power(scatter / QUIET, 0.4)));
    return place(smoothed(longer), cloud, NEAR).off.every((d) => d <= bound) ? longer : best;
  };
  const least = Math.max(12, 2.5 * knots(length));
  const chosen = wave ?? calmed(bestWave(cloud, length, knots(length), least, bound));
  for (let i = 0; i < 2; i++) {
    const placed = place(smoothed(chosen), cloud, NEAR);
    cloud.at = placed.at;
    length = placed.length;
  }
  const spline = smoothed(chosen);
  const { off, length: finished } = place(spline, cloud, NEAR);
  const most = off.reduce((a, b) => Math.max(a, b), 0);
  const typical = rootMeanSquare(off);
  const count = off.length;
  const free = Math.min(0.9 * count, freedom(length, knots(length), chosen));
  const noise = typical * Math.sqrt(count / (count - free));
  const heights = heightSpline(cloud, length);
  return {
    ...drawn(spline, heights, finished),
    smoothing: {
      wave: chosen,
      most,
      typical,
      noise,
      curvatureNoise: curvatureNoise(noise, count / length, chosen),
      points: count,
      jumps,
      withinBound: most <= bound,
      hasHeight: heights !== null,
    },
  };
}

/**
 * Scatter of a curvature after smoothing: of white noise of so many points a metre, what passes `1/(1 + (wave·f)⁶)`
 * times `(2πf)²`. The integral over all waves in closed form: ∫x⁴/(1+x⁶)² dx = π/18 from 0, twice
 * for waves of both signs.
 */
function curvatureNoise(noise: number, density: number, wave: number): number {
  const w = (2 * Math.PI) / wave;
  return noise * w * w * Math.sqrt(Math.PI / 9 / (density * wave));
}

function rootMeanSquare(values: Float64Array): number {
  let sum = 0;
  for (const v of values) sum += v * v;
  return Math.sqrt(sum / Math.max(1, values.length));
}

function bestWave(cloud: Cloud, length: number, knots: number, least: number, bound: number): number {
  const waves: number[] = [];
  for (let w = least; w <= Math.max(least, Math.min(LONGEST, length / 4)); w *= FACTOR) waves.push(w);
  const out = new Float64Array(3);
  let best = waves[0];
  let lowest = Number.POSITIVE_INFINITY;
  const longest = waves[waves.length - 1];
  const gathered = gather({ at: cloud.at, values: [cloud.x, cloud.y], length }, knots, longest);
  for (const wave of waves) {
    const spline = smoothGathered(gathered, wave);
    let sum = 0;
    let most = 0;
    for (let p = 0; p < cloud.at.length; p++) {
      evaluate(spline, 0, cloud.at[p], out);
      const dx = cloud.x[p] - out[0];
      evaluate(spline, 1, cloud.at[p], out);
      const dy = cloud.y[p] - out[0];
      sum += dx * dx + dy * dy;
      most = Math.max(most, dx * dx + dy * dy);
    }
    if (most > bound * bound && wave > waves[0]) break;
    const count = cloud.at.length;
    const left = 1 - Math.min(0.95, freedom(length, knots, wave) / count);
    // A millimetre of scatter at least, so that a line without noise is not smoothed for the sake of its last digit.
    const score = (sum / count + 1e-6) / (left * left);
    if (score < lowest) [lowest, best] = [score, wave];
  }
  return best;
}

/** A curvature is a second derivative and wants more smoothing than the line itself, up to this much. */
const LONGER = 1.5;

/** Scatter of the curvature that is worth no more smoothing, 1/m. */
const QUIET = 8.5e-4;

/** Heights wander more and matter over longer ways than the line itself. */
function heightSpline(cloud: Cloud, length: number): PeriodicSpline | null {
  const known = cloud.height.map((h) => (Number.isFinite(h) ? 1 : 0));
  const have = known.reduce((sum, k) => sum + k, 0);
  if (have < 0.5 * cloud.at.length || have < 8) return null;
  const { at, height } = only(cloud, known);
  const spacing = Math.max(12, length / 400);
  const out = new Float64Array(3);
  let [best, lowest]: [PeriodicSpline | null, number] = [null, Number.POSITIVE_INFINITY];
  const most = Math.max(90, Math.min(900, length / 3));
  const gathered = gather({ at, values: [height], length }, spacing, most);
  for (let wave = 90; wave <= most; wave *= 1.5) {
    const spline = smoothGathered(gathered, wave);
    let sum = 0;
    for (let p = 0; p < at.length; p++) {
      evaluate(spline, 0, at[p], out);
      sum += (height[p] - out[0]) ** 2;
    }
    const left = 1 - Math.min(0.95, freedom(length, spacing, wave) / at.length);
    const score = (sum / at.length + 1e-6) / (left * left);
    if (score < lowest) [lowest, best] = [score, spline];
  }
  return best;
}

/** The splines as points of equal distance along the line. */
function drawn(
  spline: PeriodicSpline,
  heights: PeriodicSpline | null,
  length: number,
): Omit<SmoothLine, 'smoothing'> {
  const fine = Math.max(64, Math.round(length));
  const step = spline.length / fine;
  const ex = new Float64Array(3);
  const ey = new Float64Array(3);
  const at = (place: number) => {
    evaluate(spline, 0, place, ex);
    evaluate(spline, 1, place, ey);
  };
  const way = new Float64Array(fine + 1);
  const speed = (place: number) => {
    at(place);
    return Math.sqrt(ex[1] * ex[1] + ey[1] * ey[1]);
  };
  for (let i = 0; i < fine; i++) {
    // Simpson's rule over each metre.
    const [a, b, c] = [speed(i * step), speed((i + 0.5) * step), speed((i + 1) * step)];
    way[i + 1] = way[i] + ((a + 4 * b + c) * step) / 6;
  }
  const total = way[fine];
  const m = Math.max(16, Math.round(total / SPACING));
  const line = {
    length: total,
    distance: new Float64Array(m + 1),
    x: new Float64Array(m + 1),
    y: new Float64Array(m + 1),
    height: new Float64Array(m + 1),
    curvature: new Float64Array(m + 1),
    grade: new Float64Array(m + 1),
  };
  let cell = 0;
  for (let i = 0; i <= m; i++) {
    const s = (i * total) / m;
    while (cell < fine - 1 && way[cell + 1] < s) cell++;
    const share = (s - way[cell]) / (way[cell + 1] - way[cell]);
    const at0 = (cell + share) * step;
    at(i === m ? 0 : at0);
    const v = Math.sqrt(ex[1] * ex[1] + ey[1] * ey[1]);
    line.distance[i] = s;
    line.x[i] = ex[0];
    line.y[i] = ey[0];
    line.curvature[i] = (ex[1] * ey[2] - ey[1] * ex[2]) / (v * v * v);
    if (!heights) continue;
    evaluate(heights, 0, i === m ? 0 : (s / total) * heights.length, ex);
    line.height[i] = ex[0];
    line.grade[i] = ex[1] * (heights.length / total);
  }
  return line;
}
