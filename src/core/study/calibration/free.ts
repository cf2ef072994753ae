import { exp, log, normalQuantile } from '../../numeric';
import { PARAMETERS, type ParameterId } from '../parameters';

/** A number that a calibration may move: a parameter of the day, or what a sensor adds of its own. */
export interface Free {
  /** Parameter, or `level` or `lag` with the reading it belongs to */
  readonly key: ParameterId | `level ${string}` | `lag ${string}`;
  /** Factors are believed on a scale of their logarithm: half and double are alike */
  readonly scale: 'log' | 'linear';
  /** What it is before anything was measured */
  readonly median: number;
  /** One standard deviation on its scale */
  readonly spread: number;
}

/** Standard deviations to the ends of a prior range: 95 % lie within. */
const ENDS = normalQuantile(0.975);

/**
 * A parameter as it is believed before anything was measured. The median of a factor is 1: what is predicted
 * uncalibrated is what is believed.
 */
export function freeParameter(id: ParameterId): Free {
  const { how, prior } = PARAMETERS[id];
  const { low, high } = prior;
  return how === 'factor'
    ? { key: id, scale: 'log', median: 1, spread: (log(high) - log(low)) / (2 * ENDS) }
    : { key: id, scale: 'linear', median: 0, spread: (high - low) / (2 * ENDS) };
}

/** A thermocouple's offset, K, and its lag, s (from memory: rubbing ones read late and a little low). */
export const sensorLevel = (reading: string): Free => ({
  key: `level ${reading}`,
  scale: 'linear',
  median: 0,
  spread: 8,
});
export const sensorLag = (reading: string): Free => ({
  key: `lag ${reading}`,
  scale: 'log',
  median: 2,
  spread: 0.7,
});

export const isParameter = (key: Free['key']): key is ParameterId => key in PARAMETERS;

/** Value of a free number at a place of its prior, standard deviations from the median. */
export function valueAt({ key, scale, median, spread }: Free, place: number): number {
  const value = scale === 'log' ? median * exp(spread * place) : median + spread * place;
  if (!isParameter(key)) return value;
  const [least, most] = PARAMETERS[key].bounds;
  return Math.min(most, Math.max(least, value));
}
