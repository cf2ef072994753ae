import {
  type RunEnd,
  runsOf,
  type StoredTest,
  stopsOf,
  type TestDesign,
  type TestRun,
  type TestStopStored,
} from '../../model';
import { type CorrectedStop, corrected } from './correct';
import { outliers, type Sample, sampleOf, type Trend, trendOf } from './statistics';

/** What a stop was held by, as far as its readings tell. */
export type StopLimit = 'tyres' | 'pedal' | 'fade' | 'fading' | 'not told';

/** A stop with what is made of it. */
export interface StopRow {
  readonly id: string;
  readonly stop: TestStopStored;
  readonly corrected: CorrectedStop | null;
  /** Mean deceleration: fully developed where an instrument told it, else over the level distance, m/s²; null where neither */
  readonly deceleration: number | null;
  readonly limit: StopLimit;
  /** Off the line of the others: kept, marked */
  readonly odd: boolean;
}

/** One of the values that runs and setups are compared by. */
export const TEST_VALUES = ['distance', 'pedal', 'deceleration', 'lasted'] as const;
export type TestValue = (typeof TEST_VALUES)[number];

export interface RunReport {
  readonly id: string;
  readonly run: TestRun;
  readonly rows: readonly StopRow[];
  readonly distance: Sample | null;
  /** Same without the marked ones; null where none is marked */
  readonly unmarked: Sample | null;
  /** Over the number of the stop: m and N a stop */
  readonly distanceTrend: Trend | null;
  readonly pedalTrend: Trend | null;
  /** First and last values that are there */
  readonly firstAndLast: Readonly<
    Record<'distance' | 'pedal', { readonly first: number; readonly last: number } | null>
  >;
}

/** Deceleration lost against the first stops that is called fade, and pedal force gained that is called fading (own choice). */
const LOST = 0.12;
const GAINED = 0.2;
/** Share of the driver's limit from which on the foot is what held the stop. */
const FULL_FOOT = 0.95;

function limitOf(
  { stop, deceleration }: Pick<StopRow, 'stop' | 'deceleration'>,
  first: { readonly deceleration: number | null; readonly pedal: number | null },
  limitN: number,
): StopLimit {
  if (stop.abs === true) return 'tyres';
  const { pedalN } = stop;
  if (pedalN !== null && pedalN >= FULL_FOOT * limitN) return 'pedal';
  const lost =
    deceleration !== null && first.deceleration !== null ? 1 - deceleration / first.deceleration : null;
  const gained = pedalN !== null && first.pedal !== null ? pedalN / first.pedal - 1 : null;
  // Less braking is fade only where the foot did not press less, or nobody knows.
  if (lost !== null && lost > LOST && (gained === null || gained > -LOST / 2)) return 'fade';
  if (gained !== null && gained > GAINED) return 'fading';
  return 'not told';
}

/** A run with every stop put right, marked and told what held it. */
export function reportOf(id: string, run: TestRun, design: TestDesign): RunReport {
  const base = stopsOf(run).map(({ id: stopId, stop }) => {
    const right = corrected(stop, design, run.conditions);
    return {
      id: stopId,
      stop,
      corrected: right,
      deceleration: stop.meanMs2 ?? right?.deceleration ?? null,
    };
  });
  const measured = base.filter((row) => row.corrected !== null);
  const places = measured.map(({ stop }) => stop.n);
  const distances = measured.map((row) => row.corrected?.distance ?? 0);
  const off = outliers(places, distances);
  const odd = new Set(measured.flatMap((row, i) => (off[i] ? [row.id] : [])));
  const first = {
    deceleration: base.find((row) => row.deceleration !== null && !odd.has(row.id))?.deceleration ?? null,
    pedal: base.find(({ stop }) => stop.pedalN !== null)?.stop.pedalN ?? null,
  };
  const rows = base.map(
    (row): StopRow => ({
      ...row,
      odd: odd.has(row.id),
      limit: limitOf(row, first, run.car.pedal.limitN),
    }),
  );
  const forces = rows.flatMap(({ stop }) => (stop.pedalN === null ? [] : [[stop.n, stop.pedalN] as const]));
  const ends = (values: readonly number[]) =>
    values.length < 2 ? null : { first: values[0], last: values[values.length - 1] };
  const kept = distances.filter((_, i) => !off[i]);
  return {
    id,
    run,
    rows,
    distance: distances.length > 0 ? sampleOf(distances) : null,
    unmarked: odd.size > 0 && kept.length > 0 ? sampleOf(kept) : null,
    distanceTrend: trendOf(places, distances),
    pedalTrend: trendOf(
      forces.map(([n]) => n),
      forces.map(([, newton]) => newton),
    ),
    firstAndLast: { distance: ends(distances), pedal: ends(forces.map(([, newton]) => newton)) },
  };
}

/** All runs of a test. */
export const reportsOf = (test: StoredTest): RunReport[] =>
  runsOf(test).map(({ id, run }) => reportOf(id, run, test.design));

/** Setups that a test was driven with, in the order they were first driven. */
export const setupsOf = (test: StoredTest): string[] => [
  ...new Set(runsOf(test).map(({ run }) => run.setup)),
];

/** Values of a run's stops, SI; of an endurance run how long it lasted. */
export function valuesOf({ rows, run }: RunReport, value: TestValue): number[] {
  if (value === 'lasted') return run.ended ? [run.ended.atS] : [];
  return rows.flatMap(({ corrected: right, stop, deceleration }) => {
    const own = { distance: right?.distance ?? null, pedal: stop.pedalN, deceleration }[value];
    return own === null ? [] : [own];
  });
}

/** Ends of a run that say that the brakes gave out. */
export const GAVE_OUT: ReadonlySet<RunEnd> = new Set(['fade', 'long pedal', 'boiled', 'pads gone']);
