import type { RawLog } from '../../core';
import {
  driveOf,
  type Observation,
  type Setup,
  type StoredDrive,
  stopsOf,
  type TestDesign,
  type TestRun,
  toSi,
} from '../../model';
import { distanceOf } from './correct';

/** Samples of the speed, a second. */
const RATE = 10;
/** Back to speed, m/s², where the run leaves the time; standing before the start and after the end, s. */
const BACK = 2.5;
const STILL = 2;
/** Seconds after a stop at which its temperature is taken to have been read. */
const READ_AFTER = 5;

/** A stop with its moments, s and m/s. */
interface Moment {
  readonly start: number;
  readonly end: number;
  readonly from: number;
  readonly to: number;
}

/** When each stop was braked: by the run's clock, else at the test's spacing. */
function momentsOf(run: TestRun, design: TestDesign): (Moment & { readonly temperatureC: number | null })[] {
  let [last, before] = [-1, STILL];
  return stopsOf(run).flatMap(({ stop }) => {
    const from = toSi(stop.fromKmh ?? design.fromKmh, 'speed');
    const to = toSi(stop.toKmh, 'speed');
    const distance = distanceOf(stop);
    const time = distance === null ? stop.timeS : (2 * distance) / (from + to);
    if (time === null || !(time > 0)) return [];
    const soonest = last < 0 ? before + from / BACK : last + (from - before) / BACK;
    const wanted = stop.atS ?? (last < 0 ? soonest : last - time + Math.max(design.spacingS, time));
    const start = Math.max(soonest, last < 0 ? Math.max(wanted, soonest) : wanted);
    [last, before] = [start + time, to];
    return [{ start, end: last, from, to, temperatureC: stop.temperatureC }];
  });
}

/** A run as a log of its speed; null where it has no stop with a speed and a time or distance. */
export function runLog(run: TestRun, design: TestDesign): RawLog | null {
  const moments = momentsOf(run, design);
  if (moments.length === 0) return null;
  const end = moments[moments.length - 1].end + READ_AFTER + STILL + moments[moments.length - 1].to / BACK;
  const count = Math.ceil(end * RATE) + 1;
  const time = Float64Array.from({ length: count }, (_, i) => i / RATE);
  const speed = time.map((t) => speedAt(moments, t));
  return { time, channels: { speed, lap: new Float64Array(count).fill(1) } };
}

function speedAt(moments: readonly Moment[], t: number): number {
  const next = moments.findIndex((own) => t < own.end);
  const last = moments[(next < 0 ? moments.length : next) - 1];
  if (next < 0) return Math.max(0, last.to - BACK * (t - last.end));
  const { start, end, from, to } = moments[next];
  if (t >= start) return from + ((to - from) * (t - start)) / (end - start);
  const base = last ? last.to : 0;
  return Math.min(
    from,
    Math.max(base, Math.min(from, base + BACK * (t - (last?.end ?? start - from / BACK)))),
  );
}

/** What a run observed, for calibration. */
export function runObservations(run: TestRun, design: TestDesign, newId: () => string): Observation[] {
  const shared = () => ({ id: newId(), excluded: null, note: '' });
  const samples = momentsOf(run, design).flatMap(({ end, temperatureC }) =>
    temperatureC === null ? [] : [{ s: Math.round((end + READ_AFTER) * 10) / 10, c: temperatureC }],
  );
  const found: Observation[] = [];
  if (samples.length > 0) {
    found.push({
      ...shared(),
      kind: 'sensor',
      wheel: run.wheel,
      place: run.place,
      channel: run.name,
      errorK: 10,
      samples: samples.slice(0, 120),
    });
  }
  const { ended } = run;
  if (ended?.axle && (ended.by === 'boiled' || ended.by === 'long pedal')) {
    found.push({ ...shared(), kind: 'boiled', axle: ended.axle, lap: 1, sign: ended.by });
  }
  if (ended?.axle && ended.by === 'fade')
    found.push({ ...shared(), kind: 'faded', axle: ended.axle, lap: 1 });
  return found;
}

/**
 * A run as a drive that calibration reads: its speeds as a log, its temperatures and its end as observations.
 * @param log under which the speeds are kept
 */
export function driveOfRun(
  setup: Setup,
  run: TestRun,
  design: TestDesign,
  ids: { readonly drive: string; readonly log: string },
  newId: () => string,
): StoredDrive {
  const { conditions } = run;
  const [first, ...others] = setup.plan.sessions;
  const plan = {
    ...setup.plan,
    start:
      design.startC === null
        ? ({ kind: 'cold' } as const)
        : ({ kind: 'warm', temperatureC: design.startC } as const),
    sessions: [{ ...first, ambientC: conditions.airC ?? first.ambientC }, ...others],
  };
  const car = conditions.massKg === null ? setup.car : { ...setup.car, massKg: conditions.massKg, loads: [] };
  const drive = driveOf(
    { ...setup, car, plan, begun: null },
    { id: ids.drive, name: run.name, date: run.date, log: { id: ids.log, name: run.name } },
  );
  return { ...drive, observations: runObservations(run, design, newId) };
}
