import type { AxleInput, AxleName } from './input';
import { RECORDED_PARTS, type RecordedPart, type SessionRecord } from './record';
import type { LapResult, LimitedPart, Margin, Moment, Verdict } from './result';

/** Highest temperature a wheel bearing's grease is run at, K (150 °C, from memory). */
const HUB_LIMIT = 423.15;
/** A margin under this share of the rise is called close: cooling alone is uncertain by ±30 %. */
const CLOSE_SHARE = 0.12;

/** The limits of one axle, K. */
function limitsOf(axle: AxleInput): readonly (readonly [LimitedPart & RecordedPart, number])[] {
  const { rotor, pad, caliper } = axle.corner;
  return [
    ['rotorFace', rotor.material.faceLimit],
    ['rotorBulk', rotor.material.bulkLimit],
    ['padFace', pad.limit],
    ['plate', pad.plateLimit],
    ['caliper', caliper.sealLimit],
    ['fluid', axle.boilingPoint],
    ['hub', HUB_LIMIT],
  ];
}

export function momentAt(record: SessionRecord, sample: number, laps: number, drivingTime: number): Moment {
  const driving = record.lap[sample] < laps;
  return {
    time: record.time[sample],
    lap: driving ? record.lap[sample] + 1 : null,
    stop: driving ? record.stop[sample] : -1,
    paddockTime: driving ? 0 : record.time[sample] - drivingTime,
  };
}

export function peaksOf(record: SessionRecord): Record<AxleName, Record<RecordedPart, number>> {
  const of = (axle: AxleName) =>
    Object.fromEntries(
      RECORDED_PARTS.map((part) => [part, record[axle][part].reduce((a, b) => Math.max(a, b))]),
    ) as Record<RecordedPart, number>;
  return { front: of('front'), rear: of('rear') };
}

/** Every margin of one axle. Bite is left out when no hot lap has a stop. */
export function axleMargins(
  name: AxleName,
  axle: AxleInput,
  record: SessionRecord,
  laps: readonly LapResult[],
  ambient: number,
  drivingTime: number,
): Margin[] {
  const margins: Margin[] = limitsOf(axle).map(([part, limit]) => {
    const values = record[name][part];
    let worst = 0;
    let first = -1;
    for (let i = 1; i < values.length; i++) {
      if (values[i] > values[worst]) worst = i;
      if (first < 0 && values[i] > limit) first = i;
    }
    return {
      axle: name,
      part,
      limit,
      worst: values[worst],
      at: momentAt(record, worst, laps.length, drivingTime),
      margin: limit - values[worst],
      share: (limit - values[worst]) / Math.max(1, limit - ambient),
      passed: first < 0 ? null : momentAt(record, first, laps.length, drivingTime),
    };
  });
  const bite = coldestBite(name, axle, record, laps, ambient);
  return bite ? [...margins, bite] : margins;
}

function coldestBite(
  name: AxleName,
  axle: AxleInput,
  record: SessionRecord,
  laps: readonly LapResult[],
  ambient: number,
): Margin | null {
  const limit = axle.corner.pad.windowLow;
  let worst = Number.POSITIVE_INFINITY;
  let at: Moment | null = null;
  let passed: Moment | null = null;
  for (const lap of laps) {
    if (lap.kind !== 'hot') continue;
    lap[name].forEach((stop, k) => {
      const moment = (): Moment => ({
        time: sampleTimeOfStop(record, lap.number - 1, k),
        lap: lap.number,
        stop: k,
        paddockTime: 0,
      });
      if (stop.padFaceBefore < worst) {
        worst = stop.padFaceBefore;
        at = moment();
      }
      if (!passed && stop.padFaceBefore < limit) passed = moment();
    });
  }
  if (!at) return null;
  return {
    axle: name,
    part: 'bite',
    limit,
    worst,
    at,
    margin: worst - limit,
    share: (worst - limit) / Math.max(1, limit - ambient),
    passed,
  };
}

function sampleTimeOfStop(record: SessionRecord, lap: number, stop: number): number {
  const i = record.lap.findIndex((l, k) => l === lap && record.stop[k] === stop);
  return i < 0 ? 0 : record.time[i];
}

/** What gives out first in time, or, when nothing does, what is closest by share of its rise. */
export function verdictOf(margins: readonly Margin[], laps: readonly LapResult[]): Verdict {
  const hot = margins.filter((m) => m.part !== 'bite');
  const cold = margins.filter((m) => m.part === 'bite' && m.passed);
  const coldBite = cold.length > 0 ? cold.reduce((a, b) => (b.share < a.share ? b : a)) : null;
  const passed = hot.filter((m) => m.passed);
  if (passed.length > 0) {
    const first = passed.reduce((a, b) => ((b.passed as Moment).time < (a.passed as Moment).time ? b : a));
    const lap = first.passed?.lap ?? null;
    const hotLapsBefore = laps.filter((l) => l.kind === 'hot' && (lap === null || l.number < lap)).length;
    return { kind: 'gives-out', margin: first, coldBite, hotLapsBefore };
  }
  const closest = hot.reduce((a, b) => (b.share < a.share ? b : a));
  const kind = closest.share < CLOSE_SHARE ? 'close' : 'in-hand';
  return { kind, margin: closest, coldBite, hotLapsBefore: null };
}
