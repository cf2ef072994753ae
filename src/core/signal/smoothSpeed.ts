import { bandedSolve, power } from '../numeric';
import type { Log } from './mend';

/** Speed on an even grid of time, without its scatter; n samples. */
export interface SpeedTrace {
  /** s since the log's first sample; n */
  readonly time: Float64Array;
  /** m/s; n */
  readonly speed: Float64Array;
  /** The same as it was sampled, m/s; n */
  readonly raw: Float64Array;
  /** Way driven since the first sample, m; n */
  readonly distance: Float64Array;
  /** Scatter of the samples, m/s */
  readonly noise: number;
  /** Time between samples, s */
  readonly step: number;
}

/** Samples closer than this are averaged: a braking lasts seconds, and averages keep the way driven. */
const FINEST = 0.04;
/** Under this scatter there is nothing to smooth, m/s. */
const QUIET = 0.004;
/** Rounds of reweighting; the kinks have settled after a few. */
const ROUNDS = 7;
/** Change of acceleration between two samples that is still taken for scatter, m/s². */
const SOFT = 0.12;
/** Share of the scatter that is taken off; all of it would round the corners. */
const TAKEN = 0.8;
/** Samples that the strength of smoothing is tried on. */
const TRIAL = 6000;

/**
 * Speed with its scatter taken off and its kinks kept: what is penalised is the sum of the absolute changes of
 * acceleration (Kim, Koh, Boyd and Gorinevsky 2009, ℓ1 trend filtering), by reweighted least squares, so that a braking
 * begins and ends as sharply as it was driven and no kinetic energy is lost at its corners. As much is taken off as the
 * samples scatter.
 */
export function smoothSpeed(log: Log): SpeedTrace {
  const { time, speed } = onGrid(log);
  const step = time[1] - time[0];
  const noise = scatterOf(speed);
  const smooth = noise < QUIET ? speed.slice() : filtered(speed, step, strengthFor(speed, step, noise));
  for (let i = 0; i < smooth.length; i++) smooth[i] = Math.max(0, smooth[i]);
  const distance = new Float64Array(time.length);
  for (let i = 1; i < time.length; i++) {
    distance[i] = distance[i - 1] + 0.5 * (smooth[i - 1] + smooth[i]) * step;
  }
  return { time, speed: smooth, raw: speed, distance, noise, step };
}

function onGrid({ time, speed, step }: Log): { time: Float64Array; speed: Float64Array } {
  const grid = Math.max(step, FINEST);
  const last = time[time.length - 1];
  const n = Math.max(2, Math.floor(last / grid) + 1);
  const at = Float64Array.from({ length: n }, (_, i) => i * grid);
  const average = step < 0.75 * FINEST;
  const way = new Float64Array(average ? time.length : 0);
  for (let i = 1; i < way.length; i++) {
    way[i] = way[i - 1] + 0.5 * (speed[i - 1] + speed[i]) * (time[i] - time[i - 1]);
  }
  let k = 0;
  const find = (t: number) => {
    while (k < time.length - 2 && time[k + 1] <= t) k++;
    while (k > 0 && time[k] > t) k--;
    return (t - time[k]) / (time[k + 1] - time[k]);
  };
  const valueAt = (t: number) => {
    const share = find(t);
    return speed[k] + share * (speed[k + 1] - speed[k]);
  };
  const wayAt = (t: number) => {
    const share = find(t);
    const d = share * (time[k + 1] - time[k]);
    return way[k] + d * (speed[k] + 0.5 * share * (speed[k + 1] - speed[k]));
  };
  const values = at.map((t) => {
    if (!average) return valueAt(t);
    const [a, b] = [Math.max(0, t - grid / 2), Math.min(last, t + grid / 2)];
    return (wayAt(b) - wayAt(a)) / (b - a);
  });
  return { time: at, speed: values };
}

/**
 * Scatter of samples, from their third differences, which a steady change of acceleration leaves alone: of white noise
 * the mean square of those is 20 times its own. The median takes no notice of the kinks.
 */
export function scatterOf(values: Float64Array): number {
  const differences: number[] = [];
  let still = 0;
  let finest = Number.POSITIVE_INFINITY;
  for (let i = 0; i + 3 < values.length; i++) {
    if (values[i] < 3) continue;
    const d = values[i + 3] - 3 * values[i + 2] + 3 * values[i + 1] - values[i];
    differences.push(Math.abs(d));
    const one = Math.abs(values[i + 1] - values[i]);
    if (one > 1e-9) finest = Math.min(finest, one);
    else still += 1;
  }
  if (differences.length < 8) return 0;
  const sorted = Float64Array.from(differences).sort();
  const median = sorted[sorted.length >> 1] / 0.6745 / Math.sqrt(20);
  // A display of whole steps hides its scatter from the median; its own is that of rounding.
  return still > 0.3 * differences.length && Number.isFinite(finest)
    ? Math.max(median, finest / Math.sqrt(12))
    : median;
}

function strengthFor(speed: Float64Array, step: number, noise: number): number {
  const middle = Math.max(0, Math.floor((speed.length - TRIAL) / 2));
  const part = speed.subarray(middle, middle + TRIAL);
  let [low, high] = [-8, 6];
  for (let i = 0; i < 10; i++) {
    const mid = 0.5 * (low + high);
    const smooth = filtered(part, step, power(10, mid));
    let sum = 0;
    let count = 0;
    for (let k = 0; k < part.length; k++) {
      if (part[k] < 3) continue;
      sum += (part[k] - smooth[k]) ** 2;
      count += 1;
    }
    if (Math.sqrt(sum / Math.max(1, count)) < TAKEN * noise) low = mid;
    else high = mid;
  }
  return power(10, low);
}

function filtered(values: Float64Array, step: number, strength: number): Float64Array {
  const n = values.length;
  const w = 2;
  const row = w + 1;
  let smooth = values.slice();
  const weight = new Float64Array(n).fill(1 / SOFT);
  const band = new Float64Array(n * row);
  for (let round = 0; round < ROUNDS; round++) {
    band.fill(0);
    for (let i = 0; i < n; i++) band[i * row + w] = 1;
    for (let i = 0; i + 2 < n; i++) {
      const s = (strength * weight[i]) / step;
      for (let p = 0; p < 3; p++) {
        const c = p === 1 ? -2 : 1;
        for (let q = 0; q <= p; q++) band[(i + p) * row + w - (p - q)] += s * c * (q === 1 ? -2 : 1);
      }
    }
    smooth = values.slice();
    bandedSolve(band, w, [smooth]);
    for (let i = 0; i + 2 < n; i++) {
      const change = Math.abs(smooth[i + 2] - 2 * smooth[i + 1] + smooth[i]) / step;
      weight[i] = 1 / (change + SOFT);
    }
  }
  return smooth;
}
