import {
  AXLES,
  type AxleName,
  type CoolingDoubt,
  exp,
  NINETY_FIVE,
  type ParameterId,
  UNMEASURED,
} from '../../core';
import type { Calibration } from '../schema/calibration';
import type { Car } from '../schema/car';
import type { Project } from '../schema/project';
import { changedSince, isOfTheAir, isOfTheDay } from './touches';

/** A calibration as far as it holds for a car as it is fitted now. */
export interface AppliedCalibration {
  readonly id: string;
  readonly name: string;
  readonly date: string;
  readonly values: readonly {
    readonly parameter: ParameterId;
    /** A factor, or K or kg to be added */
    readonly value: number;
    /** One standard deviation: of a factor's logarithm, or of what is added */
    readonly spread: number;
  }[];
  /** Of these values with each other */
  readonly correlations: readonly (readonly number[])[];
}

/** A value of a calibration that is not used, and what was changed since. */
export interface LostValue {
  readonly parameter: ParameterId;
  readonly changed: readonly string[];
}

/** What of a calibration does not hold for a car as it is now; of the day's own values nothing is said. */
export const lostValues = (calibration: Calibration, car: Car): LostValue[] =>
  calibration.values.flatMap(({ parameter }) => {
    if (isOfTheDay(parameter)) return [];
    const changed = changedSince(parameter, calibration.car, car);
    return changed.length > 0 ? [{ parameter, changed }] : [];
  });

/** What of a calibration holds for a car as it is now; null where nothing does. */
function appliedFrom(calibration: Calibration, car: Car): AppliedCalibration | null {
  const lost = new Set(lostValues(calibration, car).map(({ parameter }) => parameter));
  const kept = calibration.values.flatMap(({ parameter }, i) =>
    lost.has(parameter) || isOfTheDay(parameter) ? [] : [i],
  );
  const { id, name, date, correlations } = calibration;
  const values = calibration.values.map(({ parameter, value, spread }) => ({ parameter, value, spread }));
  return only({ id, name, date, values, correlations }, kept);
}

/** A calibration with some of its values; null where none is left. */
function only(calibration: AppliedCalibration, kept: readonly number[]): AppliedCalibration | null {
  if (kept.length === 0) return null;
  return {
    ...calibration,
    values: kept.map((i) => calibration.values[i]),
    // Leaving rows out of a normal distribution is what is known without them.
    correlations: kept.map((i) => kept.map((k) => calibration.correlations[i][k])),
  };
}

/**
 * What still holds where other parts are only tried: what was measured of parts that are changed goes, but an axle's
 * cooling stays the best estimate there is of how air comes to its wheels.
 */
export function afterChange(
  calibration: AppliedCalibration,
  before: Car,
  now: Car,
): AppliedCalibration | null {
  const kept = calibration.values.flatMap(({ parameter }, i) =>
    isOfTheAir(parameter) || changedSince(parameter, before, now).length === 0 ? [i] : [],
  );
  return kept.length === calibration.values.length ? calibration : only(calibration, kept);
}

/** Results by what they were made of: while neither changes it stays the same object. */
const known = new WeakMap<Calibration, { readonly car: Car; readonly applied: AppliedCalibration | null }>();

/** The newest calibration of a car that holds for it as it is fitted; null where none does. */
export function calibrationOf(
  { calibrations }: Pick<Project, 'calibrations'>,
  car: Car,
): AppliedCalibration | null {
  const own = calibrations
    .filter(({ carId }) => carId === car.id)
    // The later in the list is the newer of one day.
    .map((calibration, i) => ({ calibration, i }))
    .sort((a, b) => b.calibration.date.localeCompare(a.calibration.date) || b.i - a.i);
  for (const { calibration } of own) {
    const before = known.get(calibration);
    const applied = before?.car === car ? before.applied : appliedFrom(calibration, car);
    known.set(calibration, { car, applied });
    if (applied) return applied;
  }
  return null;
}

/** What is known of a car's cooling: an axle whose cooling was measured has its own figure. */
export function doubtOf(calibration: AppliedCalibration): CoolingDoubt {
  const end = (axle: AxleName, sign: 1 | -1) => {
    const own = calibration.values.find(({ parameter }) => parameter === `${axle}Cooling`);
    const unmeasured = sign < 0 ? UNMEASURED.less[axle] : UNMEASURED.more[axle];
    return own ? exp(sign * NINETY_FIVE * own.spread) : unmeasured;
  };
  const both = (sign: 1 | -1) =>
    Object.fromEntries(AXLES.map((axle) => [axle, end(axle, sign)])) as Record<AxleName, number>;
  return { less: both(-1), more: both(1), calibrated: calibration.date };
}
