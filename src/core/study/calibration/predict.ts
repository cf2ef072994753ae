import { type RecordedPart, SIDES, type WheelName, wheelOf } from '../../brake';
import { exp } from '../../numeric';
import { type DayRecord, HOT_LIMITS, type HotPart } from '../../run';
import type { Observer } from '../../run/observer';
import { run } from '../../run/run';
import { type DayInput, daySchedule } from '../../schedule';
import { movedBy, type ParameterId } from '../parameters';
import { type Free, isParameter, valueAt } from './free';
import { type Drive, type Look, type Reading, ReadingError } from './reading';

/** What predictions are read from: the record, and where its laps and stands lie. */
export interface DriveRun {
  readonly day: DayInput;
  readonly record: DayRecord;
  /** s at which each lap ends, and each time standing begins and ends */
  readonly lapEnds: readonly number[];
  readonly stands: readonly { readonly start: number; readonly end: number }[];
}

/** Drives a day for its temperatures alone. */
export function driveFor(day: DayInput): DriveRun {
  const lapEnds: number[] = [];
  const stands: { start: number; end: number }[] = [];
  const observer: Observer = {
    after: ({ piece, startTime, duration }) => {
      if (piece.kind !== 'given') return;
      const end = startTime + duration;
      const last = stands[stands.length - 1];
      if (piece.lap) lapEnds.push(end);
      else if (last && last.end > startTime - 1e-6) stands[stands.length - 1] = { ...last, end };
      else stands.push({ start: startTime, end });
    },
  };
  const start = day.start ?? day.sessions[0].ambient;
  const { record } = run(day, day, daySchedule(day), start, [observer]);
  return { day, record, lapEnds, stands };
}

/** Samples up to the end of a lap; all of them where none is named. */
function upTo({ record, lapEnds }: DriveRun, lap: number | null, reading: string): number {
  if (lap === null) return record.time.length;
  if (lap < 0 || lap > lapEnds.length) throw new ReadingError(reading, 'no such lap', lapEnds.length);
  const end = lap === 0 ? 0 : lapEnds[lap - 1] + 1e-6;
  return firstAfter(record.time, end);
}

/** Index of the first time that is later. */
function firstAfter(time: Float64Array, at: number): number {
  let [low, high] = [0, time.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (time[middle] > at) high = middle;
    else low = middle + 1;
  }
  return low;
}

const hottest = (series: Float64Array, count: number): number => {
  let most = series[0];
  for (let i = 1; i < count; i++) if (series[i] > most) most = series[i];
  return most;
};

function between(time: Float64Array, series: Float64Array, at: number): number {
  const after = firstAfter(time, at);
  if (after === 0) return series[0];
  if (after >= time.length) return series[time.length - 1];
  const span = time[after] - time[after - 1];
  return span > 0
    ? series[after - 1] + ((at - time[after - 1]) / span) * (series[after] - series[after - 1])
    : series[after];
}

/** When a reading so long after a lap's end was taken, s since the drive began. @throws ReadingError where the car was not standing */
export function standingTime(drive: DriveRun, lap: number, after: number, reading = ''): number {
  const { lapEnds, stands } = drive;
  if (lap < 1 || lap > lapEnds.length) throw new ReadingError(reading, 'no such lap', lapEnds.length);
  const stand = stands.find(({ start }) => Math.abs(start - lapEnds[lap - 1]) < 1e-3);
  if (!stand) throw new ReadingError(reading, 'did not stop', lap);
  if (stand.start + after > stand.end + 1e-6)
    throw new ReadingError(reading, 'drove on', stand.end - stand.start);
  return stand.start + after;
}

/**
 * A sensor that follows with a lag of the first order: its series for a part's, K.
 * @param lag s
 */
function lagged(time: Float64Array, series: Float64Array, lag: number): Float64Array {
  const late = new Float64Array(series.length);
  late[0] = series[0];
  for (let i = 1; i < series.length; i++) {
    const dt = time[i] - time[i - 1];
    // Exact for a line between the samples.
    const x = dt / lag;
    const fade = exp(-x);
    const slope = dt > 0 ? (series[i] - series[i - 1]) / dt : 0;
    late[i] = fade * late[i - 1] + (1 - fade) * series[i] - slope * (lag * (1 - fade) - dt * fade);
  }
  return late;
}

const LIMITS = Object.fromEntries(HOT_LIMITS.map((limit) => [limit.part, limit])) as Record<
  HotPart,
  (typeof HOT_LIMITS)[number]
>;

/** Reads a drive that was run as its readings were taken, K or µm. @param own values of the sensors' own numbers, by key */
export function readingsOf(
  drive: DriveRun,
  readings: readonly Reading[],
  own: Readonly<Record<string, number>> = {},
): number[] {
  const { record, day } = drive;
  const late = new Map<string, Float64Array>();
  const sensed = (wheel: WheelName, part: RecordedPart, sensor: string) => {
    const known = late.get(sensor);
    if (known) return known;
    const made = lagged(record.time, record.wheels[wheel][part], own[`lag ${sensor}`] ?? 2);
    late.set(sensor, made);
    return made;
  };
  return readings.map(({ id, look }) => one(look, id));

  function one(look: Look, id: string): number {
    switch (look.kind) {
      case 'hottest':
        return hottest(record.wheels[look.wheel][look.part], upTo(drive, look.lap, id));
      case 'standing': {
        const at = standingTime(drive, look.lap, look.after, id);
        return between(record.time, record.wheels[look.wheel][look.part], at);
      }
      case 'over': {
        const { reads, limit } = LIMITS[look.limit];
        const count = upTo(drive, look.lap, id);
        const highest = Math.max(
          ...SIDES.flatMap((side) =>
            reads.map((part) => hottest(record.wheels[wheelOf(look.axle, side)][part], count)),
          ),
        );
        return highest - limit(day[look.axle].left, day[look.axle]);
      }
      case 'sensor': {
        const end = record.time[record.time.length - 1];
        if (look.time < 0 || look.time > end + 1) throw new ReadingError(id, 'after the drive', end);
        const series = sensed(look.wheel, look.part, look.sensor);
        return between(record.time, series, look.time) + (own[`level ${look.sensor}`] ?? 0);
      }
      case 'worn':
        return 1e6 * record.wheels[look.wheel].worn[record.time.length - 1];
    }
  }
}

/** Runs drives again and again with numbers moved; the last runs are kept, as sensors' own numbers change none of them. */
export class Predictor {
  private known: { readonly key: string; readonly runs: readonly DriveRun[] } | null = null;

  constructor(
    private readonly drives: readonly Drive[],
    private readonly free: readonly Free[],
  ) {}

  /** Predictions of all readings, drive by drive. @param place one a free number, standard deviations of its prior */
  at(place: readonly number[]): number[] {
    const values = this.free.map((own, i) => valueAt(own, place[i]));
    const by: Partial<Record<ParameterId, number>> = {};
    const sensors: Record<string, number> = {};
    this.free.forEach(({ key }, i) => {
      if (isParameter(key)) by[key] = values[i];
      else sensors[key] = values[i];
    });
    const key = JSON.stringify(by);
    if (this.known?.key !== key) {
      this.known = { key, runs: this.drives.map(({ day }) => driveFor(movedBy(day, by))) };
    }
    return this.known.runs.flatMap((run, i) => readingsOf(run, this.drives[i].readings, sensors));
  }
}
