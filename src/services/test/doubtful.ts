import { STANDARD_GRAVITY } from '../../core';
import { fromSi, stopsOf, type TestDesign, type TestRun, type TestStopStored, toSi } from '../../model';
import { distanceOf, overDistance } from './correct';

/** What looks wrong about a stop, to be asked about; nothing is changed by itself. */
export type StopDoubt =
  /** Feet typed as metres: what it would be, m */
  | { readonly kind: 'feet'; readonly id: string; readonly metres: number }
  /** Metres typed into a field of feet: what it would be, m */
  | { readonly kind: 'metres'; readonly id: string; readonly metres: number }
  /** A deceleration that no car makes, or that is no braking, m/s² */
  | { readonly kind: 'impossible'; readonly id: string; readonly deceleration: number }
  /** Time and distance do not belong together: the time that the distance takes, s */
  | { readonly kind: 'time'; readonly id: string; readonly seconds: number }
  /** So long after the one before that a stop seems to be missing: its number, and how many */
  | { readonly kind: 'missing'; readonly id: string; readonly after: number; readonly count: number }
  /** So soon after the one before, s, that both seem to be one */
  | { readonly kind: 'twice'; readonly id: string; readonly seconds: number }
  /** As long as two: its distance over the others' */
  | { readonly kind: 'two in one'; readonly id: string; readonly times: number };

const median = (values: readonly number[]) => [...values].sort((a, b) => a - b)[values.length >> 1];

/** Feet in a metre, by the list of quantities. */
const FEET = 1 / 0.3048;
/** How near to a factor counts as that factor. */
const NEAR = 0.22;
const near = (value: number, factor: number) => Math.abs(value / factor - 1) < NEAR;

/** Hardest that tyres and wings brake, and softest that is a stop, m/s² (common practice). */
const HARDEST = 5 * STANDARD_GRAVITY;
const SOFTEST = 0.8;

/** What looks wrong about a run's stops. */
export function doubtsOfRun(
  run: TestRun,
  { fromKmh, toKmh }: Pick<TestDesign, 'fromKmh' | 'toKmh'>,
): StopDoubt[] {
  const stops = stopsOf(run);
  const rates = stops.flatMap(({ id, stop }) => {
    const rate = rateOf(stop, fromKmh, toKmh);
    return rate === null ? [] : [{ id, rate }];
  });
  const found: StopDoubt[] = [];
  for (const { id, rate } of rates) {
    const others = rates.filter((own) => own.id !== id).map((own) => own.rate);
    const usual = others.length > 0 ? median(others) : null;
    const distance = distanceOf(stops.find((own) => own.id === id)?.stop as TestStopStored) ?? 0;
    // Alone it is asked about where it is nothing for a car as it stands, but is something in the other unit.
    const alone = usual === null;
    const ratio = usual === null ? 0 : rate / usual;
    if (alone ? rate < 3 && rate * FEET > 5 : near(ratio, 1 / FEET)) {
      found.push({ kind: 'feet', id, metres: distance / FEET });
    } else if (!alone && near(ratio, FEET)) found.push({ kind: 'metres', id, metres: distance * FEET });
    else if (rate > HARDEST || rate < SOFTEST) found.push({ kind: 'impossible', id, deceleration: rate });
    else if (!alone && others.length > 1 && Math.abs(ratio - 0.5) < 0.08) {
      found.push({ kind: 'two in one', id, times: 1 / ratio });
    }
  }
  for (const { id, stop } of stops) {
    const seconds = secondsOf(stop, fromKmh);
    if (stop.timeS === null || seconds === null) continue;
    if (stop.timeS > 2 * seconds || stop.timeS < 0.5 * seconds) found.push({ kind: 'time', id, seconds });
  }
  return [...found, ...gaps(run)];
}

/** m/s² over the distance. */
function rateOf(stop: TestStopStored, fromKmh: number, toKmh: number): number | null {
  const distance = distanceOf(stop);
  if (distance === null) return null;
  return overDistance(
    toSi(stop.fromKmh ?? fromKmh, 'speed'),
    toSi(stop.fromKmh === null ? toKmh : stop.toKmh, 'speed'),
    distance,
  );
}

/** Time that a stop's distance takes at an even deceleration, s. */
function secondsOf(stop: TestStopStored, fromKmh: number): number | null {
  const distance = distanceOf(stop);
  if (distance === null) return null;
  const [from, to] = [toSi(stop.fromKmh ?? fromKmh, 'speed'), toSi(stop.toKmh, 'speed')];
  return (2 * distance) / (from + to);
}

/** Shortest time between two stops: nobody is back at speed sooner, s. */
const SOONEST = 3;
const FEWEST_GAPS = 3;

/** Stops that seem to be missing, or to be one and the same, by the clock. */
function gaps(run: TestRun): StopDoubt[] {
  const timed = stopsOf(run).flatMap(({ id, stop }) =>
    stop.atS === null ? [] : [{ id, n: stop.n, at: stop.atS }],
  );
  const spans = timed.slice(1).map((own, i) => ({ ...own, after: timed[i].n, span: own.at - timed[i].at }));
  const usual = spans.filter(({ span }) => span > SOONEST).map(({ span }) => span);
  return spans.flatMap(({ id, after, span }): StopDoubt[] => {
    if (span <= SOONEST) return [{ kind: 'twice', id, seconds: span }];
    if (usual.length < FEWEST_GAPS) return [];
    const missing = Math.round(span / median(usual)) - 1;
    return missing >= 1 && missing <= 4 && near(span / median(usual), missing + 1)
      ? [{ kind: 'missing', id, after, count: missing }]
      : [];
  });
}

/** A stop with its distance read in the other unit. */
export const inOtherUnit = (
  stop: TestStopStored,
  doubt: Extract<StopDoubt, { kind: 'feet' | 'metres' }>,
): TestStopStored => ({
  ...stop,
  marksM: [],
  distanceM: Math.round(fromSi(doubt.metres, 'distance') * 100) / 100,
});
