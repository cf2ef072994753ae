import { nominalShare, withShare } from '../actuation';
import { AXLES, type AxleName } from '../brake';
import type { DayInput } from '../schedule';
import { leanDay } from './day';
import { isCold } from './limits';
import type { Margin } from './result';

/** One brake balance and what a day with it leaves. */
export interface SweepPoint {
  /** Brake balance with warm pads, 0 to 1 */
  readonly share: number;
  /** Least margin of each axle's parts but the bite: K, and as a share of its rise */
  readonly margin: Readonly<
    Record<AxleName, { readonly kelvin: number; readonly share: number; readonly part: Margin['part'] }>
  >;
  /** Least brake reserve of the hot laps; null where none is braked */
  readonly fade: number | null;
  /**
   * Brake balance with the friction there was, and the ideal one, where each hot braking zone asks most
   * of them; means by heat, 0 to 1
   */
  readonly actual: number;
  readonly ideal: number;
}

export interface BalanceSweep {
  readonly points: readonly SweepPoint[];
  /** As the car is */
  readonly now: number;
  /** Share with warm pads that uses both axles' tyres alike over the hot laps, driven with the friction there is then */
  readonly ideal: number;
  /** Where both axles keep the same share of their rise; null where they meet nowhere in the sweep */
  readonly even: number | null;
}

const STEPS = 9;
/** Half the width of the sweep. */
const REACH = 0.14;
/** A share this near is found. */
const TOLERANCE = 0.0005;
const LONGEST_SEARCH = 6;

/** Brake balance over the ideal one, hot; and what the front keeps of its rise over what the rear does. */
const overIdeal = ({ actual, ideal }: SweepPoint) => actual - ideal;
const frontKeepsMore = ({ margin }: SweepPoint) => margin.front.share - margin.rear.share;

/**
 * Drives the day with brake balances around the present one: what each leaves to the hot limits of both axles, K, against
 * the ideal share.
 * @throws RangeError as `leanDay`
 */
export function balanceSweep(input: DayInput): BalanceSweep {
  const now = nominalShare(input.vehicle.brakes);
  const low = Math.max(0.2, now - REACH);
  const high = Math.min(0.95, now + REACH);
  const points = Array.from({ length: STEPS }, (_, k) =>
    drivenWith(input, low + ((high - low) * k) / (STEPS - 1)),
  );
  const nearest = points.reduce((a, b) => (Math.abs(overIdeal(b)) < Math.abs(overIdeal(a)) ? b : a));
  return {
    points,
    now,
    ideal: found(input, points, overIdeal) ?? nearest.share,
    even: found(input, points, frontKeepsMore),
  };
}

/** The day with one brake balance. */
function drivenWith(input: DayInput, share: number): SweepPoint {
  const vehicle = { ...input.vehicle, brakes: withShare(input.vehicle.brakes, share) };
  const day = leanDay({ ...input, vehicle });
  const least = (axle: AxleName) => {
    const own = day.margins.filter((m) => m.axle === axle && !isCold(m));
    const worst = own.reduce((a, b) => (b.share < a.share ? b : a));
    return { kelvin: worst.margin, share: worst.share, part: worst.part };
  };
  let [all, front, ideal] = [0, 0, 0];
  for (const lap of day.laps) {
    if (lap.kind !== 'hot') continue;
    for (const { frontHeat, rearHeat, hardest } of lap.forces) {
      const heat = frontHeat + rearHeat;
      all += heat;
      front += heat * hardest.share;
      ideal += heat * hardest.ideal;
    }
  }
  return {
    share,
    margin: Object.fromEntries(AXLES.map((axle) => [axle, least(axle)])) as SweepPoint['margin'],
    fade: day.fade?.margin ?? null,
    actual: all > 0 ? front / all : share,
    ideal: all > 0 ? ideal / all : share,
  };
}

/** The share at which a difference is zero, by regula falsi (Illinois) from the sweep; null where it has one sign. */
function found(
  input: DayInput,
  points: readonly SweepPoint[],
  of: (point: SweepPoint) => number,
): number | null {
  const k = points.findIndex((point, i) => i > 0 && of(points[i - 1]) * of(point) <= 0);
  if (k < 0) return null;
  let [a, b] = [points[k - 1], points[k]].map((point) => ({ x: point.share, f: of(point) }));
  for (let turn = 0; turn < LONGEST_SEARCH && Math.abs(b.x - a.x) > TOLERANCE && b.f !== 0; turn++) {
    const x = b.x - (b.f * (b.x - a.x)) / (b.f - a.f);
    const next = { x, f: of(drivenWith(input, x)) };
    if (next.f * b.f < 0) a = b;
    else a = { ...a, f: a.f / 2 };
    b = next;
  }
  return b.x;
}
