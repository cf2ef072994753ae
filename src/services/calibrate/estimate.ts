import {
  apart,
  CALIBRATED,
  type CalibrationFit,
  calibrate,
  type DayInput,
  type Drive,
  type Free,
  freeNumbers,
  isParameter,
  type ParameterId,
  type Predict,
  Predictor,
  type SearchState,
  tellable,
} from '../../core';
import { changedSince, dayInput, isOfTheDay, type StoredDrive } from '../../model';
import { type DriveReadings, driveReadings, type ObservationProblem, observationsOf } from './driveReadings';

/** A kept drive made ready: its day, its readings, and what is wrong with them. */
export interface CalibrationCase extends DriveReadings {
  readonly stored: StoredDrive;
}

/**
 * A kept drive with its readings, SI.
 * @param logged the day as its log has it; null for one that was driven as planned
 */
export function caseOf(stored: StoredDrive, logged: DayInput | null): CalibrationCase {
  const day = logged ?? dayInput({ ...stored, calibration: null });
  return { stored, ...driveReadings(day, stored.observations) };
}

/** Predictions of drives' readings at some places: what a worker is asked. */
export function predictReadings(
  drives: readonly Drive[],
  free: readonly Free[],
  places: readonly (readonly number[])[],
): number[][] {
  const predictor = new Predictor(drives, free);
  return places.map((place) => predictor.at(place));
}

/** Whoever computes predictions: this thread, or workers side by side. */
export type Predicting = (
  drives: readonly Drive[],
  free: readonly Free[],
  places: readonly (readonly number[])[],
) => Promise<readonly (readonly number[])[]>;

/** A drive that was not fitted, predicted with what the others told. */
export interface HeldOut {
  readonly name: string;
  readonly readings: number;
  /** Root of the mean square of the distances, standard deviations: before and after */
  readonly before: number;
  readonly after: number;
}

export interface CalibrationAnswer {
  readonly fit: CalibrationFit;
  /** Parameters that moved a reading, and were proposed */
  readonly proposed: readonly ParameterId[];
  readonly problems: readonly ObservationProblem[];
  /** Observations that were used */
  readonly used: number;
  readonly held: readonly HeldOut[];
  /** Fitted drives whose parts differ from the newest's, and how */
  readonly unlike: readonly { readonly name: string; readonly changed: readonly string[] }[];
}

/** How far an estimate has come. */
export interface EstimateProgress {
  readonly runs: number;
  readonly state: SearchState | null;
  readonly parameters: readonly ParameterId[];
}

/** No observation can be used. */
export class NothingObserved extends RangeError {}

/**
 * What kept drives say of their car.
 * @param cases drives to fit; the newest is last
 * @param heldOut drives that are only predicted
 * @param chosen parameters to free; null takes those that move a reading
 * @param from where a cancelled search left off
 * @throws NothingObserved where no reading is left
 */
export async function estimate(
  cases: readonly CalibrationCase[],
  heldOut: readonly CalibrationCase[],
  chosen: readonly ParameterId[] | null,
  predicting: Predicting,
  {
    from = null,
    told = () => {},
  }: { readonly from?: EstimateProgress | null; readonly told?: (progress: EstimateProgress) => void } = {},
): Promise<CalibrationAnswer> {
  const drives = cases.map(({ day, readings }): Drive => ({ day, readings }));
  const used = new Set(
    cases.flatMap(({ stored, readings }) =>
      readings.flatMap(({ id }) => observationsOf(id).map((own) => `${stored.id} ${own}`)),
    ),
  );
  if (used.size === 0) throw new NothingObserved('estimate: no observation can be used');
  let runs = from?.runs ?? 0;
  let progress: EstimateProgress = from ?? { runs, state: null, parameters: chosen ?? [] };
  const predictWith =
    (of: readonly Drive[], free: readonly Free[]): Predict =>
    async (places) => {
      const predicted = await predicting(of, free, places);
      runs += places.length;
      progress = { ...progress, runs };
      told(progress);
      return predicted;
    };
  const found = from?.state ? null : await tellable(drives, predictWith(drives, freeNumbers(CALIBRATED, [])));
  const proposed = found?.parameters ?? from?.parameters ?? [];
  const parameters = chosen ?? proposed;
  progress = { ...progress, parameters };
  const free = freeNumbers(parameters, drives);
  const fit = await calibrate(drives, free, predictWith(drives, free), {
    ...(from?.state && { from: from.state }),
    // The slopes that told what can be told are the search's first ones.
    first: found && free.length === proposed.length && chosen === null ? found.slopes : null,
    told: (state) => {
      progress = { runs, state, parameters };
      told(progress);
    },
  });
  const held: HeldOut[] = [];
  for (const { stored, day, readings } of heldOut) {
    if (readings.length === 0) continue;
    held.push(await predicted({ day, readings }, stored.name, fit, predictWith));
  }
  const newest = cases[cases.length - 1].stored.car;
  return {
    fit,
    proposed,
    problems: cases.flatMap(({ problems }) => problems),
    used: used.size,
    held,
    unlike: cases.flatMap(({ stored }) => {
      const changed = [
        ...new Set(parameters.flatMap((id) => (isOfTheDay(id) ? [] : changedSince(id, stored.car, newest)))),
      ];
      return changed.length > 0 ? [{ name: stored.name, changed }] : [];
    }),
  };
}

/** A drive that was not fitted, with the car's values and its own day's as believed before. */
async function predicted(
  drive: Drive,
  name: string,
  fit: CalibrationFit,
  predictWith: (of: readonly Drive[], free: readonly Free[]) => Predict,
): Promise<HeldOut> {
  const carried = fit.free.flatMap(({ key }, i) =>
    isParameter(key) && !isOfTheDay(key) ? [{ key, place: fit.optimum.place[i] }] : [],
  );
  const free = freeNumbers(
    carried.map(({ key }) => key),
    [drive],
  );
  const none = new Array<number>(free.length).fill(0);
  const place = free.map(({ key }) => carried.find((own) => own.key === key)?.place ?? 0);
  const [before, after] = await predictWith([drive], free)([none, place]);
  const misfit = (values: readonly number[]) =>
    Math.sqrt(values.reduce((sum, v, k) => sum + apart(drive.readings[k].seen, v) ** 2, 0) / values.length);
  return { name, readings: drive.readings.length, before: misfit(before), after: misfit(after) };
}
