import { exp, log, normalQuantile } from '../numeric';
import type { DayInput } from '../schedule';
import { moved, PARAMETERS, type ParameterId } from './parameters';

/** How likely values within a range are: all alike, or most in its middle (95 % of them within it). */
export type RangeShape = 'even' | 'bell';

/** One uncertain parameter: factors on what the day has, or, where it is added, K or kg. */
export interface UncertainRange {
  readonly input: ParameterId;
  readonly low: number;
  readonly high: number;
  readonly shape: RangeShape;
  /** A bell of its logarithm: a factor that was measured */
  readonly log?: boolean;
}

/**
 * Value of a range at a place of its distribution, in the parameter's unit: even, or a bell with 95 % of it within
 * the range.
 * @param place over 0 and under 1
 */
export function valueIn(
  {
    low,
    high,
    shape,
    log: ofLog = false,
  }: Omit<UncertainRange, 'input'> & Partial<Pick<UncertainRange, 'input'>>,
  place: number,
): number {
  if (ofLog) return exp(valueIn({ low: log(low), high: log(high), shape }, place));
  if (shape === 'even') return low + place * (high - low);
  return 0.5 * (low + high) + ((high - low) / (2 * normalQuantile(0.975))) * normalQuantile(place);
}

/**
 * A day with every uncertain parameter at its place of one row of a design; a bell's tails end at the bounds.
 * @param row one place a range, over 0 and under 1
 */
export function drawn(day: DayInput, ranges: readonly UncertainRange[], row: ArrayLike<number>): DayInput {
  return ranges.reduce((now, range, i) => {
    const [least, most] = PARAMETERS[range.input].bounds;
    return moved(now, range.input, Math.min(most, Math.max(least, valueIn(range, row[i]))));
  }, day);
}
