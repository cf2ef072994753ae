import jstat from 'jstat';
import { combinations, mean, permutationTest, sampleVariance } from 'simple-statistics';
import { randomNumbers } from '../../core';

const { studentt, noncentralt } = jstat.jStat;

/** Chance of a difference that is none, and of seeing one that is there, as usual. */
const ALPHA = 0.05;
const POWER = 0.8;

/** A group of values. */
export interface Sample {
  readonly count: number;
  readonly mean: number;
  /** Standard deviation; null of fewer than two */
  readonly deviation: number | null;
}

export const sampleOf = (values: readonly number[]): Sample => ({
  count: values.length,
  mean: mean([...values]),
  deviation: values.length > 1 ? Math.sqrt(sampleVariance([...values])) : null,
});

/** Welch's test of two groups whose scatter may differ. Welch 1947, Biometrika 34. */
export interface Welch {
  /** Mean of the second group less the first's */
  readonly difference: number;
  readonly t: number;
  readonly freedom: number;
  /** Chance of so large a difference, either way, where there is none */
  readonly p: number;
  /** Within which the true difference lies with 95 % */
  readonly interval: readonly [low: number, high: number];
}

/** @returns null for groups of fewer than two, or without any scatter */
export function welch(first: readonly number[], second: readonly number[]): Welch | null {
  if (first.length < 2 || second.length < 2) return null;
  const [a, b] = [sampleVariance([...first]) / first.length, sampleVariance([...second]) / second.length];
  if (!(a + b > 0)) return null;
  const difference = mean([...second]) - mean([...first]);
  const error = Math.sqrt(a + b);
  const freedom = (a + b) ** 2 / (a ** 2 / (first.length - 1) + b ** 2 / (second.length - 1));
  const t = difference / error;
  const far = studentt.inv(1 - ALPHA / 2, freedom) * error;
  return {
    difference,
    t,
    freedom,
    p: 2 * studentt.cdf(-Math.abs(t), freedom),
    interval: [difference - far, difference + far],
  };
}

/** Most ways of dealing values out that are all tried. */
const ALL_WAYS = 20_000;
const WAYS = 20_000;
const waysOf = (n: number, k: number) => {
  let ways = 1;
  for (let i = 1; i <= k; i++) ways = (ways * (n - k + i)) / i;
  return ways;
};

/**
 * Permutation test of the difference of two means, either way: the share of all ways of dealing the values out that differ by
 * as much. Every way is tried where that can be, else 20 000 of them. Fisher 1935, The Design of Experiments.
 */
export function permutation(first: readonly number[], second: readonly number[]): number {
  const all = [...first, ...second];
  if (waysOf(all.length, first.length) > ALL_WAYS) {
    const random = randomNumbers(1);
    return permutationTest([...first], [...second], 'two_side', WAYS, random.next);
  }
  const total = all.reduce((sum, v) => sum + v, 0);
  const apart = (sum: number) => Math.abs(sum / first.length - (total - sum) / second.length);
  const seen = apart(first.reduce((sum, v) => sum + v, 0));
  const ways = combinations(
    all.map((_, i) => i),
    first.length,
  );
  const extreme = ways.filter(
    (way) => apart(way.reduce((sum, i) => sum + all[i], 0)) >= seen * (1 - 1e-9) - 1e-12,
  );
  return extreme.length / ways.length;
}

/** Least p that a permutation test of two groups can have: all of one over all of the other, either way. */
export const leastPermutation = (first: number, second: number): number =>
  (first === second ? 2 : 1) / waysOf(first + second, first);

/** Chance that a difference is seen with so many values in each group. @param deviation of a value */
export function powerOf(difference: number, deviation: number, count: number): number {
  const freedom = 2 * count - 2;
  const limit = studentt.inv(1 - ALPHA / 2, freedom);
  const shift = (Math.abs(difference) / deviation) * Math.sqrt(count / 2);
  return 1 - noncentralt.cdf(limit, freedom, shift) + noncentralt.cdf(-limit, freedom, shift);
}

const MOST_RUNS = 500;

/** Values that each group needs for a difference to be seen with 80 %; null for more than 500. Cohen 1988, chapter 2. */
export function neededFor(difference: number, deviation: number): number | null {
  if (!(deviation > 0)) return 2;
  if (powerOf(difference, deviation, MOST_RUNS) < POWER) return null;
  let [low, high] = [1, MOST_RUNS];
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (powerOf(difference, deviation, middle) >= POWER) high = middle;
    else low = middle;
  }
  return high;
}

/** Least difference that so many values in each group show with 80 %. */
export function shownBy(count: number, deviation: number): number | null {
  if (count < 2) return null;
  let [low, high] = [0, 20 * deviation];
  if (powerOf(high, deviation, count) < POWER) return null;
  for (let i = 0; i < 50; i++) {
    const middle = 0.5 * (low + high);
    if (powerOf(middle, deviation, count) >= POWER) high = middle;
    else low = middle;
  }
  return high;
}

/** A straight line through values over their places. */
export interface Trend {
  readonly slope: number;
  readonly start: number;
  /** Within which the slope lies with 95 %; null of fewer than three values */
  readonly interval: readonly [low: number, high: number] | null;
}

/** Least-squares line. @returns null of fewer than two values */
export function trendOf(places: readonly number[], values: readonly number[]): Trend | null {
  const n = places.length;
  if (n < 2) return null;
  const [mx, my] = [mean([...places]), mean([...values])];
  const xx = places.reduce((sum, x) => sum + (x - mx) ** 2, 0);
  if (!(xx > 0)) return null;
  const slope = places.reduce((sum, x, i) => sum + (x - mx) * (values[i] - my), 0) / xx;
  const start = my - slope * mx;
  if (n < 3) return { slope, start, interval: null };
  const left = places.reduce((sum, x, i) => sum + (values[i] - start - slope * x) ** 2, 0);
  const far = studentt.inv(1 - ALPHA / 2, n - 2) * Math.sqrt(left / (n - 2) / xx);
  return { slope, start, interval: [slope - far, slope + far] };
}

const median = (values: readonly number[]) => {
  const rising = [...values].sort((a, b) => a - b);
  const half = rising.length >> 1;
  return rising.length % 2 === 1 ? rising[half] : 0.5 * (rising[half - 1] + rising[half]);
};

/** Modified z-score over which a value is marked. Iglewicz and Hoaglin 1993, How to Detect and Handle Outliers. */
const MARKED = 3.5;
const FEWEST_MARKED = 4;

/** Which values lie off the line of the others: a robust line (Theil and Sen) and the median distance from it. */
export function outliers(places: readonly number[], values: readonly number[]): boolean[] {
  if (values.length < FEWEST_MARKED) return values.map(() => false);
  const slopes = values.flatMap((v, i) =>
    values.slice(i + 1).flatMap((w, k) => {
      const run = places[i + 1 + k] - places[i];
      return run === 0 ? [] : [(w - v) / run];
    }),
  );
  const slope = slopes.length > 0 ? median(slopes) : 0;
  const level = median(values.map((v, i) => v - slope * places[i]));
  const off = values.map((v, i) => v - slope * places[i] - level);
  // Few values may agree by chance; a tape and a foot scatter by a hundredth (own choice).
  const scatter = Math.max(median(off.map(Math.abs)), 0.01 * Math.abs(level));
  return off.map((v) => (0.6745 * Math.abs(v)) / scatter > MARKED);
}
