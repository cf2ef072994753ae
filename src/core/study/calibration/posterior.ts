import type { Matrix } from '../../numeric';
import { choleskyFactor, exp, normalQuantile } from '../../numeric';
import { latinHypercube } from '../latinHypercube';
import { type Free, valueAt } from './free';
import type { Optimum, Predict } from './leastSquares';

/** Standard deviations to the ends of an interval that holds 90 %. */
export const NINETY = normalQuantile(0.95);
/** And one that holds 95 %. */
export const NINETY_FIVE = normalQuantile(0.975);

/** A free number after it was measured. */
export interface Estimate {
  readonly key: Free['key'];
  readonly value: number;
  /** Ends within which it lies with 90 % chance, and those before anything was measured */
  readonly low: number;
  readonly high: number;
  readonly priorLow: number;
  readonly priorHigh: number;
  /** Spread after over spread before: 1 where the data told nothing */
  readonly shrunk: number;
  /** Standard deviations of the prior that it moved */
  readonly moved: number;
}

/** What is known of the free numbers at an optimum. */
export function estimatesOf(
  free: readonly Free[],
  { place, covariance }: Pick<Optimum, 'place' | 'covariance'>,
): Estimate[] {
  return free.map((own, i) => {
    const shrunk = Math.sqrt(covariance[i][i]);
    return {
      key: own.key,
      value: valueAt(own, place[i]),
      low: valueAt(own, place[i] - NINETY * shrunk),
      high: valueAt(own, place[i] + NINETY * shrunk),
      priorLow: valueAt(own, -NINETY),
      priorHigh: valueAt(own, NINETY),
      shrunk,
      moved: place[i],
    };
  });
}

/** Two free numbers that the data hold together more than apart. */
export interface Tie {
  readonly first: number;
  readonly second: number;
  /** −1 to 1 */
  readonly correlation: number;
}

/** Ties that matter: of numbers that the data told something of, at least so strong. */
export function tiesOf(covariance: Matrix, least = 0.7): Tie[] {
  const ties: Tie[] = [];
  covariance.forEach((row, i) => {
    for (let k = i + 1; k < row.length; k++) {
      const correlation = row[k] / Math.sqrt(row[i] * covariance[k][k]);
      if (Math.abs(correlation) >= least) ties.push({ first: i, second: k, correlation });
    }
  });
  return ties.sort((a, b) => Math.abs(b.correlation) - Math.abs(a.correlation));
}

const dot = (a: readonly number[], b: readonly number[]) => a.reduce((sum, v, i) => sum + v * b[i], 0);
const times = (matrix: Matrix, vector: readonly number[]) => matrix.map((row) => dot(row, vector));

/** Variance of a quantity with the given slopes by the free numbers. */
export const varianceOf = (covariance: Matrix, slopes: readonly number[]): number =>
  dot(slopes, times(covariance, slopes));

/**
 * Variance of a quantity that is left once a reading with a normal error is taken besides (linear, normal: the posterior's
 * closed form, Rasmussen and Williams 2006, appendix A.2). It depends on no value that is read.
 * @param slopes of the quantity and of the reading by the free numbers
 * @param error of the reading, one standard deviation
 */
export function varianceAfter(
  covariance: Matrix,
  slopes: readonly number[],
  reading: readonly number[],
  error: number,
): number {
  const towards = times(covariance, reading);
  const shared = dot(slopes, towards);
  return varianceOf(covariance, slopes) - (shared * shared) / (dot(reading, towards) + error * error);
}

/** Whether the normal shape of the posterior holds. */
export interface EnsembleCheck {
  readonly draws: number;
  /** Draws that still count after weighting, as a share of all (Kish 1965): 1 where the shape is exactly normal */
  readonly effective: number;
  /** Spread by the weighted draws over the one by Gauss and Newton, for each free number */
  readonly spread: readonly number[];
}

/**
 * Checks the covariance by an ensemble: draws of the normal posterior, each weighted by how likely it truly is (importance
 * sampling).
 * @param cost half the sum of squares of a draw's predictions and its place
 */
export async function ensembleCheck(
  optimum: Optimum,
  predict: Predict,
  cost: (predicted: readonly number[], place: readonly number[]) => number,
  draws = 20,
): Promise<EnsembleCheck> {
  const { place, covariance } = optimum;
  const count = place.length;
  if (count === 0) return { draws: 0, effective: 1, spread: [] };
  const factor = choleskyFactor(covariance);
  const design = latinHypercube(draws, count, 1);
  const standard = Array.from({ length: draws }, (_, k) =>
    Array.from({ length: count }, (_v, i) => normalQuantile(design[k * count + i])),
  );
  const places = standard.map((z) => place.map((v, i) => v + dot(factor[i], z)));
  const predicted = await predict(places);
  const logs = predicted.map(
    (own, k) => optimum.cost - cost(own, places[k]) + 0.5 * dot(standard[k], standard[k]),
  );
  const most = Math.max(...logs);
  const weights = logs.map((v) => exp(v - most));
  const sum = weights.reduce((all, w) => all + w, 0);
  const mean = place.map((_, i) => weights.reduce((all, w, k) => all + (w / sum) * places[k][i], 0));
  return {
    draws,
    effective: (sum * sum) / weights.reduce((all, w) => all + w * w, 0) / draws,
    spread: place.map((_, i) =>
      Math.sqrt(
        weights.reduce((all, w, k) => all + (w / sum) * (places[k][i] - mean[i]) ** 2, 0) / covariance[i][i],
      ),
    ),
  };
}
