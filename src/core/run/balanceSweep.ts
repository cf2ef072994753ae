import { nominalShare, withShare } from '../actuation';
import { AXLES, type AxleName } from '../brake';
import type { DayInput } from '../schedule';
import { simulateDay } from './day';
import { isCold } from './limits';
import type { Margin } from './result';

/** One front share and what a day with it leaves. */
export interface SweepPoint {
  /** Front share with warm pads, 0 to 1 */
  readonly share: number;
  /** Least margin of each axle's parts but the bite: K, and as a share of its rise */
  readonly margin: Readonly<
    Record<AxleName, { readonly kelvin: number; readonly share: number; readonly part: Margin['part'] }>
  >;
  /** Least brake reserve of the hot laps; null where none is braked */
  readonly fade: number | null;
  /** Front share of all braking over the hot laps with the friction there was, 0 to 1 */
  readonly actual: number;
}

export interface BalanceSweep {
  readonly points: readonly SweepPoint[];
  /** As the car is */
  readonly now: number;
  /** Front share that would use both axles' tyres alike, over the hot laps' work */
  readonly ideal: number;
  /** Where both axles keep the same share of their rise; null where they meet nowhere in the sweep */
  readonly even: number | null;
}

const STEPS = 9;
/** Half the width of the sweep. */
const REACH = 0.14;

/**
 * Drives the day with front shares around the present one: what each leaves to the hot limits of both axles, K, against
 * the share the tyres would want.
 * @throws RangeError as `simulateDay`
 */
export function balanceSweep(input: DayInput): BalanceSweep {
  const now = nominalShare(input.vehicle.brakes);
  const low = Math.max(0.2, now - REACH);
  const high = Math.min(0.95, now + REACH);
  let [work, ideal] = [0, 0];
  const points = Array.from({ length: STEPS }, (_, k): SweepPoint => {
    const share = low + ((high - low) * k) / (STEPS - 1);
    const vehicle = { ...input.vehicle, brakes: withShare(input.vehicle.brakes, share) };
    const day = simulateDay({ ...input, vehicle });
    const least = (axle: AxleName) => {
      const own = day.margins.filter((m) => m.axle === axle && !isCold(m));
      const worst = own.reduce((a, b) => (b.share < a.share ? b : a));
      return { kelvin: worst.margin, share: worst.share, part: worst.part };
    };
    let [all, front] = [0, 0];
    for (const lap of day.laps) {
      if (lap.kind !== 'hot') continue;
      for (const { frontHeat, rearHeat, share: shares, ideal: ideals } of lap.forces) {
        const heat = frontHeat + rearHeat;
        all += heat;
        front += heat * shares.mean;
        work += heat;
        ideal += heat * ideals.mean;
      }
    }
    return {
      share,
      margin: Object.fromEntries(AXLES.map((axle) => [axle, least(axle)])) as SweepPoint['margin'],
      fade: day.fade?.margin ?? null,
      actual: all > 0 ? front / all : share,
    };
  });
  return { points, now, ideal: work > 0 ? ideal / work : now, even: crossing(points) };
}

function crossing(points: readonly SweepPoint[]): number | null {
  const apart = ({ margin }: SweepPoint) => margin.front.share - margin.rear.share;
  for (let k = 1; k < points.length; k++) {
    const [a, b] = [apart(points[k - 1]), apart(points[k])];
    if (a * b > 0 || a === b) continue;
    return points[k - 1].share + ((points[k].share - points[k - 1].share) * a) / (a - b);
  }
  return null;
}
