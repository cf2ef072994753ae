import { isParameter } from '../../core';
import { type Calibration, isOfTheDay, type StoredDrive } from '../../model';
import type { CalibrationAnswer } from './estimate';

/** A spread that is hardly less than before: the data told nothing of it. */
export const UNTOLD = 0.9;
/** A correlation that is worth keeping. */
const TIED = 0.15;

/** Whether measurements told something of a car that can be kept. */
export const canBeKept = ({ fit }: CalibrationAnswer): boolean =>
  !fit.conflict &&
  fit.optimum.settled &&
  fit.estimates.some(({ key, shrunk }) => isParameter(key) && !isOfTheDay(key) && shrunk < UNTOLD);

/**
 * What is kept of an answer: the values the data told something of, and how they are uncertain together.
 * @param drives that were fitted; the newest is last
 * @param date of the newest, ISO 8601
 */
export function calibrationRecord(
  { fit, used }: CalibrationAnswer,
  drives: readonly StoredDrive[],
  { id, name, carId, date }: Pick<Calibration, 'id' | 'name' | 'carId' | 'date'>,
): Calibration {
  const { covariance } = fit.optimum;
  const correlation = (i: number, k: number) =>
    i === k
      ? 1
      : Math.max(-1, Math.min(1, covariance[i][k] / Math.sqrt(covariance[i][i] * covariance[k][k])));
  const told = fit.estimates.flatMap(({ shrunk }, i) => (shrunk < UNTOLD ? [i] : []));
  const kept = fit.estimates.flatMap(({ key, value, shrunk }, i) => {
    if (!isParameter(key)) return [];
    // What is only known with another is kept with it, or the other would seem to be known less in all it does.
    const tied = !isOfTheDay(key) && told.some((k) => Math.abs(correlation(i, k)) > TIED);
    if (shrunk >= UNTOLD && !tied) return [];
    return [{ i, parameter: key, value, shrunk, spread: fit.free[i].spread * shrunk }];
  });
  const rounded = (value: number) => Number(value.toPrecision(6));
  return {
    id,
    name,
    carId,
    date,
    car: drives[drives.length - 1].car,
    drives: drives.map((drive) => drive.name),
    observations: used,
    values: kept.map(({ parameter, value, spread, shrunk }) => ({
      parameter,
      value: rounded(value),
      spread: rounded(spread),
      shrunk: rounded(shrunk),
    })),
    correlations: kept.map(({ i }) => kept.map(({ i: k }) => rounded(correlation(i, k)))),
  };
}
