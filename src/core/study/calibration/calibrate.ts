import type { ParameterId } from '../parameters';
import { type Free, freeParameter, isParameter, sensorLag, sensorLevel } from './free';
import {
  leastSquares,
  type Optimum,
  type Predict,
  type SearchState,
  type Slopes,
  searchStart,
  slopesAt,
} from './leastSquares';
import { apart, residual } from './likelihood';
import { type EnsembleCheck, type Estimate, ensembleCheck, estimatesOf, type Tie, tiesOf } from './posterior';
import type { Drive, Reading } from './reading';

/** Parameters that measurements of a drive may tell. */
export const CALIBRATED: readonly ParameterId[] = [
  'frontCooling',
  'rearCooling',
  'frontSides',
  'rearSides',
  'frontFriction',
  'rearFriction',
  'mass',
  'padHeat',
  'plateToFluid',
  'fluidToBody',
  'ductInletLoss',
  'brakingGrip',
  'startTemperature',
  'padWear',
];

/** A reading beside what was predicted for it, before and after. */
export interface ReadingFit {
  /** Drive it belongs to, from 0, and which of its readings */
  readonly drive: number;
  readonly reading: Reading;
  readonly before: number;
  readonly after: number;
  /** Distance after, standard deviations; 0 within a range */
  readonly apart: number;
}

/** What measurements say of a car. */
export interface CalibrationFit {
  readonly free: readonly Free[];
  readonly optimum: Optimum;
  readonly estimates: readonly Estimate[];
  readonly ties: readonly Tie[];
  readonly readings: readonly ReadingFit[];
  readonly check: EnsembleCheck;
  /** Observations that fit nothing else, by their ids */
  readonly odd: readonly string[];
  /** Observations contradict each other: no value is to be believed */
  readonly conflict: boolean;
  /** Drives computed */
  readonly runs: number;
}

/** Distance at which a reading does not fit, standard deviations. */
const ODD = 3;
/** Of a sensor's samples, the share that must be odd for the sensor to be. */
const ODD_SHARE = 0.5;
/** More observations than this share that do not fit contradict each other. */
const CONFLICT = 1 / 3;
/** A spread so much over the one by Gauss and Newton is no chance of a small ensemble's. */
const WIDER = 1.4;
/** A parameter that moves no reading by this share of its error is not worth freeing. */
const MATTERS = 0.2;

const sensorsOf = (drives: readonly Drive[]): string[] => [
  ...new Set(
    drives.flatMap(({ readings }) =>
      readings.flatMap(({ look }) => (look.kind === 'sensor' ? [look.sensor] : [])),
    ),
  ),
];

/** The free numbers of a calibration: the parameters, and each sensor's own offset and lag. */
export const freeNumbers = (parameters: readonly ParameterId[], drives: readonly Drive[]): Free[] => [
  ...parameters.map(freeParameter),
  ...sensorsOf(drives).flatMap((sensor) => [sensorLevel(sensor), sensorLag(sensor)]),
];

/** What the readings can tell, and their slopes by it. */
export interface Tellable {
  readonly parameters: readonly ParameterId[];
  readonly slopes: Slopes;
}

/**
 * Parameters that move any reading: those the data can carry. The others would only keep their priors.
 * @param predict with `freeNumbers(CALIBRATED, [])`
 */
export async function tellable(drives: readonly Drive[], predict: Predict): Promise<Tellable> {
  const { predicted, slopes } = await slopesAt(
    new Array<number>(CALIBRATED.length).fill(0),
    predict,
    'ahead',
  );
  const readings = drives.flatMap((drive) => drive.readings);
  const worn = readings.some(({ look }) => look.kind === 'worn');
  const told = CALIBRATED.flatMap((id, i) => {
    // Thinner pads pass a little more heat: no reading of heat tells how fast they wear.
    if (id === 'padWear' && !worn) return [];
    return slopes.some((row, k) => Math.abs(row[i]) > MATTERS * readings[k].seen.error) ? [i] : [];
  });
  return {
    parameters: told.map((i) => CALIBRATED[i]),
    slopes: { predicted, slopes: slopes.map((row) => told.map((i) => row[i])) },
  };
}

/**
 * What measured drives say of a car: the most likely values given priors and readings (maximum a posteriori), their
 * covariance, whether its shape holds, and which readings do not fit.
 * @param predict of the drives' readings with these free numbers
 * @param from where an earlier search left off
 * @param first slopes at the priors' medians, where they are known
 */
export async function calibrate(
  drives: readonly Drive[],
  free: readonly Free[],
  predict: Predict,
  {
    from,
    told,
    first = null,
  }: {
    readonly from?: SearchState;
    readonly told?: (state: SearchState) => void;
    readonly first?: Slopes | null;
  } = {},
): Promise<CalibrationFit> {
  let runs = 0;
  const counted: Predict = (places) => {
    runs += places.length;
    return predict(places);
  };
  const readings = drives.flatMap((own, drive) => own.readings.map((reading) => ({ drive, reading })));
  const residuals = Object.assign(
    (predicted: readonly number[], softened?: readonly number[]) =>
      predicted.map((value, k) => {
        const { seen } = readings[k].reading;
        if (!softened) return residual(seen, value);
        return residual({ ...seen, error: Math.sqrt(seen.error ** 2 + softened[k]) }, value);
      }),
    { errors: readings.map(({ reading }) => reading.seen.error) },
  );
  const start = from && from.place.length === free.length ? from : searchStart(free.length);
  const before = first?.predicted ?? (await counted([new Array<number>(free.length).fill(0)]))[0];
  const optimum = await leastSquares(start, counted, residuals, {
    ...(told && { told }),
    first: start.steps === 0 ? first : null,
  });
  const check = await ensembleCheck(optimum, counted, (predicted, place) =>
    [...residuals(predicted), ...place].reduce((sum, v) => sum + 0.5 * v * v, 0),
  );
  // Where the true shape is clearly wider than the normal one, what is told is the wider, never wider than before.
  const wider = check.spread.map((ratio, i) =>
    ratio > WIDER ? Math.min(ratio, Math.max(1, 1 / Math.sqrt(optimum.covariance[i][i]))) : 1,
  );
  const covariance = optimum.covariance.map((row, i) => row.map((v, k) => v * wider[i] * wider[k]));
  const widened = { ...optimum, covariance };
  const fits = readings.map(({ drive, reading }, k): ReadingFit => {
    const after = optimum.predicted[k];
    return { drive, reading, before: before[k], after, apart: apart(reading.seen, after) };
  });
  const { odd, all } = oddOnes(fits);
  return {
    free,
    optimum: widened,
    estimates: estimatesOf(free, widened),
    ties: tiesOf(covariance).filter(({ first, second }) => {
      const told_ = (i: number) => isParameter(free[i].key) && covariance[i][i] < 0.98;
      return told_(first) && told_(second);
    }),
    readings: fits,
    check,
    odd,
    conflict: odd.length > CONFLICT * all,
    runs,
  };
}

/** Observations of which the readings do not fit, and how many there are. */
function oddOnes(fits: readonly ReadingFit[]): { readonly odd: string[]; readonly all: number } {
  const by = new Map<string, { count: number; odd: number }>();
  for (const { reading, apart: distance } of fits) {
    const own = by.get(reading.id) ?? { count: 0, odd: 0 };
    own.count += 1;
    if (Math.abs(distance) > ODD) own.odd += 1;
    by.set(reading.id, own);
  }
  const odd = [...by].filter(([, own]) => own.odd > 0 && own.odd >= ODD_SHARE * own.count).map(([id]) => id);
  return { odd, all: by.size };
}
