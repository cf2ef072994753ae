import { AXLES, RECORDED_PARTS, type RecordedPart, SIDES, type WheelName, wheelOf } from '../brake';
import type { DayInput } from '../schedule';
import { COLD_LIMITS, endsTheDrive, HOT_LIMITS, isCold } from './limits';
import { type DayRecord, distinctWheels, type WheelRecord } from './record';
import type {
  ForceMargin,
  LapResult,
  LeastFade,
  LegResult,
  Margin,
  Moment,
  Unbraked,
  Verdict,
} from './result';

/** A margin under this share of the rise is called close where it was not driven with less cooling. */
const CLOSE_SHARE = 0.12;

/**
 * Whether a limit that is kept is close: with 0.7 times the cooling, which nobody knows better of brakes that were not
 * measured, it is passed.
 */
export const isClose = ({
  share,
  lessCooling,
}: Pick<Margin | ForceMargin, 'share' | 'lessCooling'>): boolean =>
  lessCooling === null ? share < CLOSE_SHARE : lessCooling < 0;

/** Where a sample lies in the day. */
export function momentAt(
  record: DayRecord,
  sample: number,
  laps: readonly LapResult[],
  legs: readonly LegResult[],
): Moment {
  const lap = record.lap[sample];
  const time = record.time[sample];
  const leg = legs[record.leg[sample]];
  if (lap >= 0) {
    return {
      time,
      session: laps[lap].session,
      lap: lap + 1,
      zone: record.zone[sample],
      stand: null,
      standingTime: 0,
    };
  }
  const stand = leg.kind === 'pit' ? 'pit' : 'paddock';
  const standing = leg.kind === 'pit' || leg.kind === 'paddock';
  return {
    time,
    session: leg.session,
    lap: null,
    zone: -1,
    stand,
    standingTime: standing ? time - leg.startTime : 0,
  };
}

export function peaksOf(record: WheelRecord): Record<RecordedPart, number> {
  return Object.fromEntries(
    RECORDED_PARTS.map((part) => [part, record[part][highestIn(record[part], 0)]]),
  ) as Record<RecordedPart, number>;
}

/** Every margin of the day from one session on; one a pair of wheels that are alike. */
export function dayMargins(
  input: Pick<DayInput, 'front' | 'rear' | 'sessions'>,
  record: DayRecord,
  laps: readonly LapResult[],
  legs: readonly LegResult[],
  from = 0,
): Margin[] {
  const distinct = distinctWheels(record.wheels);
  const begin = from === 0 ? 0 : record.leg.findIndex((leg) => legs[leg].session >= from);
  const counted = laps.filter((lap) => lap.session >= from);
  const ambient = (moment: Moment) => input.sessions[moment.session].ambient;
  return AXLES.flatMap((axle) =>
    SIDES.flatMap((own): Margin[] => {
      const wheel = wheelOf(axle, own);
      if (!distinct.includes(wheel)) return [];
      const both = !distinct.includes(wheelOf(axle, 'right'));
      const at = (sample: number) => momentAt(record, sample, laps, legs);
      const side = both ? 'both' : own;
      const margins = HOT_LIMITS.map(({ part, reads, limit: limitOf }): Margin => {
        const limit = limitOf(input[axle][own], input[axle]);
        const values = hottestOf(record.wheels[wheel], reads);
        const { worst, first } = highest(values, limit, begin);
        const value = values[worst];
        const moment = at(worst);
        return {
          axle,
          side,
          part,
          limit,
          worst: value,
          at: moment,
          margin: limit - value,
          share: (limit - value) / Math.max(1, limit - ambient(moment)),
          passed: first < 0 ? null : at(first),
          lessCooling: null,
        };
      });
      const cold = COLD_LIMITS.flatMap(({ part, limit }) => {
        const least = limit(input[axle][own], input[axle]);
        return coldestBite({ axle, side, part, limit: least }, wheel, record, counted, ambient) ?? [];
      });
      return [...margins, ...cold];
    }),
  );
}

/** The hottest of some parts at each sample, K. */
function hottestOf(record: WheelRecord, reads: readonly RecordedPart[]): Float64Array {
  const [first, ...others] = reads.map((part) => record[part]);
  if (others.length === 0) return first;
  const hottest = first.slice();
  for (const series of others) {
    for (let i = 0; i < hottest.length; i++) hottest[i] = Math.max(hottest[i], series[i]);
  }
  return hottest;
}

/** Where whole series are highest: margins and peaks both ask. */
const tops = new WeakMap<Float64Array, number>();

/** Where a series that is written is highest from a sample on. */
function highestIn(values: Float64Array, begin: number): number {
  const known = begin === 0 ? tops.get(values) : undefined;
  if (known !== undefined) return known;
  let worst = begin;
  let most = values[begin];
  for (let i = begin + 1; i < values.length; i++) {
    if (values[i] > most) {
      worst = i;
      most = values[i];
    }
  }
  if (begin === 0) tops.set(values, worst);
  return worst;
}

/** The same, and where it first passes a limit, −1 where it never does. */
function highest(values: Float64Array, limit: number, begin: number): { worst: number; first: number } {
  const worst = highestIn(values, begin);
  const most = values[worst];
  let first = -1;
  // The start itself passes nothing yet.
  for (let i = Math.max(1, begin); most > limit && first < 0 && i < values.length; i++) {
    if (values[i] > limit) first = i;
  }
  return { worst, first };
}

function coldestBite(
  where: Pick<Margin, 'axle' | 'side' | 'part' | 'limit'>,
  wheel: WheelName,
  record: DayRecord,
  laps: readonly LapResult[],
  ambient: (moment: Moment) => number,
): Margin | null {
  const { limit } = where;
  const bites = laps
    .filter(({ kind }) => kind === 'hot')
    .flatMap((lap) => lap.wheels[wheel].map((zone, k) => ({ lap, k, face: zone.padFaceBefore })));
  if (bites.length === 0) return null;
  const momentOf = ({ lap, k }: (typeof bites)[number]): Moment => ({
    time: timeOfZone(record, lap.number - 1, k),
    session: lap.session,
    lap: lap.number,
    zone: k,
    stand: null,
    standingTime: 0,
  });
  const least = bites.reduce((a, b) => (b.face < a.face ? b : a));
  const tooCold = bites.find(({ face }) => face < limit);
  const at = momentOf(least);
  const worst = least.face;
  const share = (worst - limit) / Math.max(1, limit - ambient(at));
  const passed = tooCold ? momentOf(tooCold) : null;
  return { ...where, worst, at, margin: worst - limit, share, passed, lessCooling: null };
}

/** Time at which a braking zone of a lap begins, s. */
export function timeOfZone(record: DayRecord, lap: number, zone: number): number {
  const i = record.lap.findIndex((l, k) => l === lap && record.zone[k] === zone);
  return i < 0 ? 0 : record.time[i];
}

const coldest = <T extends Margin | ForceMargin>(margins: readonly T[]) =>
  margins.reduce((a, b) => (b.share < a.share ? b : a));

/** What is left of the driver's foot over a day. */
interface Foot {
  readonly margins: readonly ForceMargin[];
  readonly fade: LeastFade | null;
}

/** Friction heat of a braking zone that is none, J. */
const LEAST_HEAT = 1;

/** Why the hot laps say nothing of the friction brakes; null where they do. */
export function unbrakedOf(laps: readonly LapResult[]): Unbraked | null {
  const hot = laps.filter((lap) => lap.kind === 'hot');
  if (hot.length === 0) return 'no hot laps';
  if (hot.every((lap) => lap.trace.zones.length === 0)) return 'no braking';
  return hot.every((lap) => lap.forces.every((zone) => zone.frontHeat + zone.rearHeat <= LEAST_HEAT))
    ? 'motor'
    : null;
}

/**
 * What ended the drive, soonest first: fluid that boils on a lap, a pedal on the floor, a car that the driver's whole
 * force does not stop. Fluid that boils standing ends no drive.
 */
function endings(
  passed: readonly (Margin | ForceMargin)[],
  fade: LeastFade | null,
): readonly (Margin | ForceMargin)[] {
  const ended = passed.filter((m) => endsTheDrive(m) && m.passed?.lap !== null);
  const pedal = passed.find((m) => m.part === 'pedal');
  if (pedal && fade?.extraDistance === null && !ended.some((m) => m.passed?.time === fade.longest.time)) {
    ended.push({ ...pedal, passed: fade.longest });
  }
  return ended.sort(byTime);
}

const byTime = (a: Margin | ForceMargin, b: Margin | ForceMargin) =>
  (a.passed as Moment).time - (b.passed as Moment).time;

/**
 * What ends the drive first, else what passes its limit first; else what is close to one; else, when a pad is too cold at a
 * braking point, that; else what is closest by share of its rise.
 * @param unbraked why no hot lap brakes with friction, null where one does
 */
export function verdictOf(
  margins: readonly Margin[],
  { margins: forces, fade }: Foot,
  laps: readonly LapResult[],
  unbraked: Unbraked | null,
): Verdict {
  const hot: readonly (Margin | ForceMargin)[] = [...margins.filter((m) => !isCold(m)), ...forces];
  const cold = margins.filter((m) => isCold(m) && m.passed);
  const coldBite = cold.length > 0 ? coldest(cold) : null;
  const passed = hot.filter((m) => m.passed).sort(byTime);
  if (passed.length > 0) {
    const first = endings(passed, fade)[0] ?? passed[0];
    const { lap, session } = first.passed as Moment;
    const hotLapsBefore = laps.filter(
      (l) => l.kind === 'hot' && l.session === session && (lap === null || l.number < lap),
    ).length;
    const also = passed.filter((m) => m !== first);
    return { kind: 'over-limit', margin: first, also, unbraked, coldBite, hotLapsBefore };
  }
  const rest = { also: [], unbraked, hotLapsBefore: null };
  const closest = coldest(hot);
  // Pads that no hot lap uses are not too cold for it.
  if (unbraked) return { ...rest, kind: 'not-judged', margin: closest, coldBite: null };
  const near = hot.filter(isClose);
  if (near.length > 0) return { ...rest, kind: 'close', margin: coldest(near), coldBite };
  if (coldBite) return { ...rest, kind: 'below-working', margin: coldBite, coldBite };
  return { ...rest, kind: 'within-limits', margin: closest, coldBite };
}
