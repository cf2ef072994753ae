import {
  AXLES,
  type AxleName,
  CALIBRATED,
  cornerOfWheel,
  type Drive,
  freeNumbers,
  HOT_LIMITS,
  type HotPart,
  type Look,
  type Matrix,
  type ParameterId,
  type Reading,
  type RecordedPart,
  slopesAt,
  varianceAfter,
  varianceOf,
  type WheelName,
} from '../../core';
import { type AppliedCalibration, dayInput, type Instrument, isOfTheDay, type Setup } from '../../model';
import { lapEnds, standingLonger } from './driveLegs';
import type { Predicting } from './estimate';
import { INSTRUMENT_ERROR, MARK_ERROR } from './instruments';

/** What a verdict hangs on: the hottest a part becomes, against its limit. */
export interface Outcome {
  readonly axle: AxleName;
  readonly part: HotPart;
  /** K */
  readonly value: number;
  readonly limit: number;
  /** One standard deviation as it is known now, K */
  readonly spread: number;
}

/** A reading that could be taken, and what it would be worth. */
export interface NextReading {
  readonly kind: 'spot' | 'paint' | 'sensor' | 'strip';
  readonly wheel: WheelName;
  readonly place: 'disc' | 'ringEdge' | 'caliper' | 'padPlate' | 'fluid';
  readonly instrument: Instrument | 'paint' | 'strip';
  /** s after the car stopped; null for the hottest of the drive */
  readonly after: number | null;
  /** What it would read, and how far that is uncertain now; K */
  readonly expected: number;
  readonly spread: number;
  readonly error: number;
  /** Spread of each outcome that would be left, K; in the order of the outcomes */
  readonly left: readonly number[];
}

export interface NextReadings {
  readonly outcomes: readonly Outcome[];
  /** Outcome closest to its limit, counted in spreads: what the verdict hangs on most */
  readonly governs: number;
  /** Best for that one first */
  readonly readings: readonly NextReading[];
  readonly runs: number;
}

const OUTCOMES: readonly (readonly [HotPart, RecordedPart])[] = [
  ['rotorBulk', 'rotorBulk'],
  ['padFace', 'padFace'],
  ['fluid', 'fluid'],
];

/** Bands of a paint set lie about so far apart: what they tell is no sharper, K (from memory). */
const BAND = 60;
const STRIP_BAND = 8;
/** Variance of an even range, over its width. */
const EVEN = 1 / Math.sqrt(12);

interface Candidate extends Pick<NextReading, 'kind' | 'wheel' | 'place' | 'instrument' | 'after' | 'error'> {
  readonly look: Look;
}

function candidatesOf(axle: AxleName, lap: number, drum: boolean): Candidate[] {
  const wheel: WheelName = axle === 'front' ? 'frontLeft' : 'rearLeft';
  const spot = (instrument: Instrument, after: number): Candidate => ({
    kind: 'spot',
    wheel,
    place: 'disc',
    instrument,
    after,
    error: INSTRUMENT_ERROR[instrument],
    look: { kind: 'standing', wheel, part: 'rotorFace', lap, after },
  });
  const hottest = (
    kind: Candidate['kind'],
    place: NextReading['place'],
    instrument: Candidate['instrument'],
    part: RecordedPart,
    error: number,
  ): Candidate => ({
    kind,
    wheel,
    place,
    instrument,
    after: null,
    error,
    look: { kind: 'hottest', wheel, part, lap: null },
  });
  return [
    spot('contact', 60),
    spot('contact', 180),
    spot('infrared', 60),
    ...(drum
      ? []
      : [
          hottest('paint', 'ringEdge', 'paint', 'rotorBand', Math.hypot(MARK_ERROR.ringEdge, BAND * EVEN)),
          hottest('sensor', 'disc', 'thermocouple', 'rotorBulk', 15),
        ]),
    hottest('strip', 'caliper', 'strip', 'caliper', Math.hypot(MARK_ERROR.caliper, STRIP_BAND * EVEN)),
    hottest('strip', 'padPlate', 'strip', 'plate', Math.hypot(MARK_ERROR.padPlate, BAND * EVEN)),
    hottest('sensor', 'fluid', 'thermocouple', 'fluid', INSTRUMENT_ERROR.thermocouple),
  ];
}

/** What is known of the free numbers: as a calibration left them, else as believed; standard deviations of the priors. */
function known(parameters: readonly ParameterId[], calibration: AppliedCalibration | null): Matrix {
  const free = freeNumbers(parameters, []);
  const at = parameters.map((id) => calibration?.values.findIndex(({ parameter }) => parameter === id) ?? -1);
  const spread = at.map((i, k) =>
    i < 0 || !calibration ? 1 : calibration.values[i].spread / free[k].spread,
  );
  return at.map((i, a) =>
    at.map((k, b) => {
      if (a === b) return spread[a] * spread[a];
      const correlation = i < 0 || k < 0 || !calibration ? 0 : calibration.correlations[i][k];
      return correlation * spread[a] * spread[b];
    }),
  );
}

/**
 * What would be worth measuring next on a plan's day: how far each reading would shrink what the verdict hangs on (expected
 * variance of the linearised posterior, which needs no value to be read).
 */
export async function nextReadings(setup: Setup, predicting: Predicting): Promise<NextReadings> {
  const asked = dayInput(setup);
  const day = standingLonger(asked, 200);
  const laps = lapEnds(asked).length;
  const candidates = AXLES.flatMap((axle) =>
    candidatesOf(axle, laps, cornerOfWheel(day, axle === 'front' ? 'frontLeft' : 'rearLeft').drum !== null),
  );
  const wheels: Readonly<Record<AxleName, readonly WheelName[]>> = {
    front: ['frontLeft', 'frontRight'],
    rear: ['rearLeft', 'rearRight'],
  };
  const outcomes = AXLES.flatMap((axle) =>
    OUTCOMES.flatMap(([part, recorded]) => wheels[axle].map((wheel) => ({ axle, part, recorded, wheel }))),
  );
  const reading = (look: Look): Reading => ({
    id: 'next',
    look,
    seen: { kind: 'value', value: 0, error: 1 },
  });
  const drive: Drive = {
    day,
    readings: [
      ...candidates.map(({ look }) => reading(look)),
      ...outcomes.map(({ wheel, recorded }) =>
        reading({ kind: 'hottest', wheel, part: recorded, lap: null }),
      ),
    ],
  };
  const free = freeNumbers(CALIBRATED, []);
  let runs = 0;
  const { predicted, slopes } = await slopesAt(
    free.map(() => 0),
    (places) => {
      runs += places.length;
      return predicting([drive], free, places);
    },
    'both',
  );
  const covariance = known(CALIBRATED, setup.calibration);
  // Of each axle's part the hotter side.
  const judged = outcomes.flatMap(({ axle, part }, i): (Outcome & { readonly row: number })[] => {
    const row = candidates.length + i;
    const other = outcomes.findIndex((own, k) => k !== i && own.axle === axle && own.part === part);
    const there = candidates.length + other;
    const hotter = predicted[row] > predicted[there] || (predicted[row] === predicted[there] && i < other);
    if (!hotter) return [];
    const limit = HOT_LIMITS.find((own) => own.part === part)?.limit(day[axle].left, day[axle]) ?? 0;
    const spread = Math.sqrt(varianceOf(covariance, slopes[row]));
    return [{ axle, part, value: predicted[row], limit, spread, row }];
  });
  const near = judged.map(({ value, limit, spread }) => (limit - value) / Math.max(1, spread));
  const governs = near.indexOf(Math.min(...near));
  const ofTheDay = CALIBRATED.map(isOfTheDay);
  const readings = candidates.map(({ look: _look, ...candidate }, i): NextReading => {
    // How hard was driven on the day of the reading says nothing of the next one: there it is scatter of the reading.
    const ofTheCar = slopes[i].map((v, k) => (ofTheDay[k] ? 0 : v));
    const scatter = varianceOf(
      covariance,
      slopes[i].map((v, k) => (ofTheDay[k] ? v : 0)),
    );
    const error = Math.sqrt(candidate.error ** 2 + scatter);
    const left = judged.map(({ row }) =>
      Math.sqrt(Math.max(0, varianceAfter(covariance, slopes[row], ofTheCar, error))),
    );
    return {
      ...candidate,
      expected: predicted[i],
      spread: Math.sqrt(varianceOf(covariance, slopes[i])),
      left,
    };
  });
  return {
    outcomes: judged.map(({ row: _row, ...outcome }) => outcome),
    governs,
    readings: readings.sort((a, b) => a.left[governs] - b.left[governs]),
    runs,
  };
}
