import { exp, log, type Matrix, normalQuantile, symmetricInverse, symmetricSolve } from '../numeric';

/** What a part lost between two measurements, and what the model's index says of the driving in between. */
export interface WearLoss {
  /** Which part of those that wear by one rate: an inner pad, a left rotor … */
  readonly place: string;
  /** By the index, m; over 0 */
  readonly index: number;
  /** Sessions driven in between, 1 or more */
  readonly sessions: number;
  /** Measured, m; may be negative where the instrument's error is larger than the loss */
  readonly lost: number;
  /** Of that difference, one standard deviation, m */
  readonly error: number;
}

/** How far a rate is known before anything was measured. */
export interface WearPrior {
  /** Median of measured over index, 1 */
  readonly median: number;
  /** One standard deviation of its natural logarithm */
  readonly spread: number;
  /** The same of what one place has over the others */
  readonly places: number;
  /** The same of what one session has over another */
  readonly session: number;
}

/** Own assumption: the index is right within a factor of two (one standard deviation), places within a fifth. */
export const WEAR_PRIOR: WearPrior = { median: 1, spread: Math.LN2, places: 0.2, session: 0.15 };

/** What measurements told of how fast parts wear. */
export interface WearRate {
  readonly prior: WearPrior;
  /** Losses it was fitted to */
  readonly losses: number;
  /** Natural logarithm of measured over index at a place: most likely value and variance */
  at(place: string): { readonly mean: number; readonly variance: number };
}

const MOST_STEPS = 60;
const STILL = 1e-9;

/**
 * Fits measured over index: one rate of all places and each place's own deviation, by Gauss and Newton on their
 * logarithms with the priors as readings; what it leaves uncertain by the curvature at the optimum (Laplace). A session's
 * own scatter widens each loss, less where many sessions lie in between.
 * @throws RangeError naming the loss whose index or error is not over 0
 */
export function fitWear(losses: readonly WearLoss[], prior: WearPrior = WEAR_PRIOR): WearRate {
  losses.forEach(({ index, error, sessions }, i) => {
    if (!(index > 0 && error > 0 && sessions >= 1)) {
      throw new RangeError(
        `fitWear: loss ${i} must have an index and an error over 0 and at least one session`,
      );
    }
  });
  const places = [...new Set(losses.map(({ place }) => place))];
  const size = 1 + places.length;
  const at = new Array<number>(size).fill(0);
  const spreads = at.map((_, i) => (i === 0 ? prior.spread : prior.places));
  const expected = (x: readonly number[], { place, index }: WearLoss) =>
    prior.median * index * exp(x[0] + x[1 + places.indexOf(place)]);
  /** Half the sum of squares with the widths held as they are at `fixed`. */
  const widths = (x: readonly number[]) =>
    losses.map((loss) => {
      const scatter = (prior.session * expected(x, loss)) / Math.sqrt(loss.sessions);
      return loss.error * loss.error + scatter * scatter;
    });
  const normal = (
    x: readonly number[],
    variances: readonly number[],
  ): { matrix: number[][]; side: number[] } => {
    const matrix = x.map((_, i) => x.map((_v, k) => (i === k ? 1 / (spreads[i] * spreads[i]) : 0)));
    const side = x.map((value, i) => -value / (spreads[i] * spreads[i]));
    losses.forEach((loss, n) => {
      const slope = expected(x, loss);
      const rows = [0, 1 + places.indexOf(loss.place)];
      for (const i of rows) {
        side[i] += (slope * (loss.lost - slope)) / variances[n];
        for (const k of rows) matrix[i][k] += (slope * slope) / variances[n];
      }
    });
    return { matrix, side };
  };
  let x = at;
  for (let step = 0; step < MOST_STEPS; step++) {
    const { matrix, side } = normal(x, widths(x));
    const move = symmetricSolve(matrix, side);
    // Far from the optimum a whole step of a logarithm overshoots.
    const longest = Math.max(...move.map(Math.abs));
    const share = longest > 0.7 ? 0.7 / longest : 1;
    x = x.map((value, i) => value + share * move[i]);
    if (longest < STILL) break;
  }
  const covariance: Matrix = symmetricInverse(normal(x, widths(x)).matrix);
  return {
    prior,
    losses: losses.length,
    at: (place) => {
      const i = 1 + places.indexOf(place);
      const base = log(prior.median) + x[0];
      return i === 0
        ? { mean: base, variance: covariance[0][0] + prior.places * prior.places }
        : { mean: base + x[i], variance: covariance[0][0] + 2 * covariance[0][i] + covariance[i][i] };
    },
  };
}

/** A figure with the interval it lies in with some probability. */
export interface Interval {
  readonly low: number;
  readonly median: number;
  readonly high: number;
}

/**
 * How many more sessions a part stands, each taking the same of it.
 * @param left over its minimum now, m
 * @param leftError of that, one standard deviation, m
 * @param index that one such session takes by the model, m
 * @param coverage probability that the figure lies within the interval, 0 to 1
 * @returns sessions; infinite where nothing wears it, 0 where nothing is left
 */
export function sessionsLeft(
  rate: WearRate,
  place: string,
  left: number,
  leftError: number,
  index: number,
  coverage = 0.9,
): Interval {
  if (!(left > 0)) return { low: 0, median: 0, high: 0 };
  if (!(index > 0)) {
    const none = Number.POSITIVE_INFINITY;
    return { low: none, median: none, high: none };
  }
  const { mean, variance } = rate.at(place);
  const median = left / (index * exp(mean));
  const { session } = rate.prior;
  const of = leftError / left;
  // What single sessions scatter evens out over many.
  const spread = Math.sqrt(variance + (session * session) / Math.max(1, median) + of * of);
  const z = normalQuantile(0.5 + 0.5 * coverage);
  return { low: median * exp(-z * spread), median, high: median * exp(z * spread) };
}
