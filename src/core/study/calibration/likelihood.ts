import { exp, log, logNormalProbability, normalProbability } from '../../numeric';

/** What was seen of a quantity: a number with its usual error, or that it lay between two (either may be open). */
export type Seen =
  | { readonly kind: 'value'; readonly value: number; readonly error: number }
  | {
      readonly kind: 'between';
      readonly low: number | null;
      readonly high: number | null;
      readonly error: number;
    };

/** Degrees of freedom of Student's distribution: its tails let one wrong reading be wrong. */
const FREEDOM = 4;
/**
 * Width of that distribution over the stated error, 1: with it the Gauss and Newton information of normal errors (0.93 a
 * reading) is the inverse of the estimator's true variance (1.07), so that intervals are neither too wide nor too narrow.
 */
const WIDTH = 1.0331;
/** Chance that a mark says nothing at all: the wrong wheel, a mistaken colour (own assumption). */
const MISTAKEN = 0.01;
/** The same for a number, of its distribution's peak: digits turned round, the wrong unit (own assumption). */
const MISWRITTEN = 0.002;

/**
 * How far a prediction lies from what was seen, in standard deviations; signed, NaN-free. For a range it is the distance
 * over its nearer end, 0 within.
 */
export function apart(seen: Seen, predicted: number): number {
  if (seen.kind === 'value') return (predicted - seen.value) / seen.error;
  if (seen.low !== null && predicted < seen.low) return (predicted - seen.low) / seen.error;
  if (seen.high !== null && predicted > seen.high) return (predicted - seen.high) / seen.error;
  return 0;
}

/**
 * A residual whose half square is −log of the likelihood (less its least value), so that least squares find the most likely:
 * Student's for a number, a smooth step for each end of a range; both with a floor, as what is quite wrong pulls at nothing.
 */
export function residual(seen: Seen, predicted: number): number {
  if (seen.kind === 'value') {
    const z = (predicted - seen.value) / seen.error;
    const scaled = (z * z) / (FREEDOM * WIDTH * WIDTH);
    // log(1 + x) is x where the sum would lose it.
    const rise = 0.5 * (FREEDOM + 1) * (scaled < 1e-12 ? scaled : log(1 + scaled));
    const cost = rise < 1e-6 ? rise * (1 - MISWRITTEN) : -log(MISWRITTEN + (1 - MISWRITTEN) * exp(-rise));
    return Math.sign(z) * Math.sqrt(2 * cost);
  }
  const { low, high, error } = seen;
  const over = low === null ? Number.POSITIVE_INFINITY : (predicted - low) / error;
  const under = high === null ? Number.POSITIVE_INFINITY : (high - predicted) / error;
  const fall = Math.max(0, cost(over, under) - least(low, high, error));
  return (over < under ? -1 : 1) * Math.sqrt(2 * fall);
}

/** −log of the chance of a range from its two ends, standard deviations; mistaken marks included. */
function cost(over: number, under: number): number {
  if (over === Number.POSITIVE_INFINITY) return softened(logNormalProbability(under));
  if (under === Number.POSITIVE_INFINITY) return softened(logNormalProbability(over));
  // Φ(over) − Φ(−under), by the tail that loses no digits.
  const inside =
    over < under
      ? normalProbability(over) - normalProbability(-under)
      : normalProbability(under) - normalProbability(-over);
  return softened(inside > 0 ? log(inside) : Number.NEGATIVE_INFINITY);
}

const softened = (logChance: number): number =>
  -log(MISTAKEN + (1 - MISTAKEN) * (logChance === Number.NEGATIVE_INFINITY ? 0 : exp(logChance)));

function least(low: number | null, high: number | null, error: number): number {
  if (low === null || high === null) return 0;
  const half = (0.5 * (high - low)) / error;
  return cost(half, half);
}
