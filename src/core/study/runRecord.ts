import { AXLES, type AxleName, type RecordedPart, SIDES, wheelOf } from '../brake';
import {
  type DayRecord,
  type DayResult,
  FOOT_LIMITS,
  type ForcePart,
  HOT_LIMITS,
  type HotPart,
} from '../run';
import type { DayInput } from '../schedule';

/** A limit watched in every run: the hot ones of each axle, and the foot's. */
export interface WatchedLimit {
  readonly axle: AxleName | null;
  readonly part: HotPart | ForcePart;
}
export const WATCHED_LIMITS: readonly WatchedLimit[] = [
  ...AXLES.flatMap((axle) => HOT_LIMITS.map(({ part }) => ({ axle, part }))),
  ...FOOT_LIMITS.map(({ part }) => ({ axle: null, part })),
];

/** Parts whose temperature is kept as a curve. */
export const CURVE_PARTS = ['rotorFace', 'rotorBulk', 'padFace', 'fluid'] as const;
export type CurvePart = (typeof CURVE_PARTS)[number];

/** Where the numbers of one run lie: margins limit by limit over the laps, then curves. */
export interface RunLayout {
  readonly laps: number;
  /** Parts each lap is cut into for the curves, and each time standing */
  readonly perLap: number;
  readonly perStand: number;
  /** Points of a curve, and of each: lap counted from 0 with its fraction, or minutes of the last standing time */
  readonly points: readonly { readonly lap: number; readonly standing: number }[];
  /** Numbers of one run */
  readonly width: number;
}

const STAND_PARTS = 12;

/** The layout of the runs of a day: which of `width` numbers a run is what. */
export function runLayout(day: DayInput): RunLayout {
  const legs = day.sessions.flatMap((session) => session.legs);
  const laps = legs.reduce((sum, leg) => sum + ('laps' in leg ? leg.laps : 0), 0);
  const perLap = laps > 24 ? 10 : 20;
  const points: { lap: number; standing: number }[] = [];
  let lap = 0;
  for (const leg of legs) {
    if ('laps' in leg) {
      for (let n = 0; n < leg.laps; n++, lap++) {
        for (let k = 0; k < perLap; k++) points.push({ lap: lap + (k + 0.5) / perLap, standing: 0 });
      }
    } else {
      for (let k = 0; k < STAND_PARTS; k++) {
        points.push({ lap, standing: ((k + 1) * leg.duration) / STAND_PARTS / 60 });
      }
    }
  }
  return {
    laps,
    perLap,
    perStand: STAND_PARTS,
    points,
    width: WATCHED_LIMITS.length * (laps + 1) + 2 * CURVE_PARTS.length * points.length,
  };
}

/**
 * Writes what is kept of one run: for every watched limit the margin left up to the end of each lap and of the day (K; N
 * for the pedal, mm for its travel), then the curves, each the hotter side's hottest within each piece, K.
 * @param into layout.width numbers from `at` on
 */
export function writeRun(
  day: DayInput,
  result: DayResult,
  layout: RunLayout,
  into: Float32Array,
  at: number,
): void {
  const { record } = result;
  const columns = layout.laps + 1;
  let next = at;
  // Standing counts to the lap after it, and the last to the day's end.
  const ends = [...lapEnds(record.lap), record.time.length];
  for (const axle of AXLES) {
    for (const { reads, limit: limitOf } of HOT_LIMITS) {
      const limit = limitOf(day[axle].left, day[axle]);
      const hottest = new Float64Array(ends.length).fill(Number.NEGATIVE_INFINITY);
      for (const series of seriesOf(record, axle, reads)) raise(hottest, series, ends);
      let left = Number.POSITIVE_INFINITY;
      for (let k = 0; k < columns; k++) {
        // A day that ended sooner leaves what it left.
        if (k < ends.length) left = Math.min(left, limit - hottest[k]);
        into[next + k] = left;
      }
      next += columns;
    }
  }
  for (const { part, laps, limit: limitOf, of } of FOOT_LIMITS) {
    const limit = limitOf(day.vehicle);
    const scale = part === 'pedal' ? 1 : 1000;
    let least = limit;
    result.laps.forEach((lap, k) => {
      if (laps === 'all' || lap.kind === 'hot') {
        for (const force of lap.forces) least = Math.min(least, limit - of(force));
      }
      // What no leg can press is far beyond any limit.
      into[next + k] = Math.max(-1e6, least * scale);
    });
    into[next + columns - 1] = Math.max(-1e6, least * scale);
    next += columns;
  }
  writeCurves(result, layout, into, next);
}

/** Where the samples of each lap of a day end: the first after it. @param lap of each sample, −1 standing */
function lapEnds(lap: Int32Array): number[] {
  const ends: number[] = [];
  for (let i = 0; i < lap.length; i++) if (lap[i] >= 0 && lap[i + 1] !== lap[i]) ends.push(i + 1);
  return ends;
}

/** Raises the highest value of each piece to that of a series there. @param ends where each piece ends */
function raise(highest: Float64Array, series: Float64Array, ends: readonly number[]): void {
  let i = 0;
  for (let k = 0; k < ends.length; k++) {
    let most = highest[k];
    for (const end = ends[k]; i < end; i++) if (series[i] > most) most = series[i];
    highest[k] = most;
  }
}

function writeCurves(result: DayResult, layout: RunLayout, into: Float32Array, at: number): void {
  const { record, laps, legs } = result;
  const { points, perLap, perStand } = layout;
  const samples = record.time.length;
  const firstPoint = pointsBefore(result, layout);
  // The piece of the day each sample lies in.
  const piece = new Int32Array(samples);
  for (let i = 1; i < samples; i++) {
    const lap = record.lap[i];
    const leg = legs[record.leg[i]];
    const start = lap >= 0 ? laps[lap].startTime : leg.startTime;
    const length = lap >= 0 ? laps[lap].lapTime : leg.endTime - leg.startTime;
    const parts = lap >= 0 ? perLap : perStand;
    const within = Math.ceil(((record.time[i] - start) / length) * parts - 1e-9) - 1;
    const first = lap >= 0 ? firstPoint.lap[lap] : firstPoint.leg[record.leg[i]];
    piece[i] = first + Math.min(parts - 1, Math.max(0, within));
  }
  let next = at;
  for (const axle of AXLES) {
    for (const part of CURVE_PARTS) {
      into.fill(0, next, next + points.length);
      for (const series of seriesOf(record, axle, [part])) highestOf(series, piece, into, next);
      // A piece without a sample of its own goes on as the one before it.
      for (let p = 1; p < points.length; p++) if (into[next + p] === 0) into[next + p] = into[next + p - 1];
      next += points.length;
    }
  }
}

/** Raises the highest value of each piece to that of a series there. @param piece of each sample @param at the first piece in `into` */
function highestOf(series: Float64Array, piece: Int32Array, into: Float32Array, at: number): void {
  for (let i = 0; i < series.length; i++) {
    const p = at + piece[i];
    if (series[i] > into[p]) into[p] = series[i];
  }
}

/** Temperatures of some parts of an axle's wheels; those of wheels that share a record once. */
function seriesOf(record: DayRecord, axle: AxleName, parts: readonly RecordedPart[]): Float64Array[] {
  const [left, right] = SIDES.map((side) => record.wheels[wheelOf(axle, side)]);
  return (left === right ? [left] : [left, right]).flatMap((wheel) => parts.map((part) => wheel[part]));
}

/** First curve point of each lap and of each standing leg. */
function pointsBefore({ laps, legs }: DayResult, { perLap, perStand }: RunLayout) {
  const ofLap: number[] = [];
  const ofLeg: number[] = [];
  let point = 0;
  let lap = 0;
  legs.forEach((leg, k) => {
    ofLeg[k] = point;
    if (leg.kind === 'pit' || leg.kind === 'paddock') {
      point += perStand;
      return;
    }
    while (lap < laps.length && laps[lap].startTime < leg.endTime - 1e-9) {
      ofLap[lap] = point;
      point += perLap;
      lap += 1;
    }
  });
  return { lap: ofLap, leg: ofLeg };
}
