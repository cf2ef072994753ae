import { boilingPoint, type Fluid, waterFromBoiling, waterLater } from '../brake';
import { exp, normalQuantile } from '../numeric';
import type { Interval } from './wearRate';

/** What was done to the fluid of a car, or measured of it; times in s on any one clock. */
export type FluidEvent =
  | { readonly kind: 'renewed'; readonly at: number }
  /** @param share of what is in the calipers that is new, 0 to 1 */
  | { readonly kind: 'bled'; readonly at: number; readonly share: number }
  /** @param boiling at sea level, K */
  | { readonly kind: 'boil test'; readonly at: number; readonly boiling: number }
  /** @param water % by mass */
  | { readonly kind: 'refractometer'; readonly at: number; readonly water: number };

/** How a car's fluid ages, as far as it is known. */
export interface FluidAging {
  /** Boiling point at sea level, K: 90 % interval */
  boilingAt(time: number): Interval;
  /** Water, % by mass: 90 % interval */
  waterAt(time: number): Interval;
  /**
   * When it comes to boil at no more than some temperature: 90 % interval of the time, s; infinite where it does not
   * before `until`. @param boiling at sea level, K
   */
  fallsTo(boiling: number, from: number, until: number): Interval;
}

/** Climates that a fluid may live in: equally likely before anything is measured. */
const CLIMATES = 41;
/**
 * Spread of the logarithm of the water gained in the first year: 1 to 3.7 % is reported for one year (common practice), taken
 * as 90 % around 2 %.
 */
const CLIMATE_SPREAD = 0.37;
/** How far a boiling point computed from age misses a test's, K, and a refractometer the water, % by mass (own assumption). */
const AGE_ERROR = 8;
const REFRACTOMETER_ERROR = 0.4;

interface Member {
  readonly firstYear: number;
  weight: number;
  /** Water at each event, after it */
  readonly water: number[];
}

const likelihood = (z: number) => exp(-0.5 * z * z);

/** The value below which some of the weight lies. */
function quantile(
  values: readonly { readonly value: number; readonly weight: number }[],
  share: number,
): number {
  const sorted = [...values].sort((a, b) => a.value - b.value);
  let sum = 0;
  for (const { value, weight } of sorted) {
    sum += weight;
    if (sum >= share - 1e-12) return value;
  }
  return sorted[sorted.length - 1].value;
}

/**
 * How fluid ages between renewals and readings. A boil test overrides the model: from it on the forecast begins at what
 * was measured. Before that, it and a refractometer tell which climates fit. Strips tell of corrosion, not of water, and are
 * no event here.
 * @param firstYear water gained in the first year, % by mass, the median of what may be
 * @param begun when the fluid was new @param events in order of time
 */
export function fluidAging(
  fluid: Fluid,
  firstYear: number,
  begun: number,
  events: readonly FluidEvent[],
): FluidAging {
  const members = Array.from({ length: CLIMATES }, (_, i): Member => {
    const factor = exp(CLIMATE_SPREAD * normalQuantile((i + 0.5) / CLIMATES));
    return { firstYear: firstYear * factor, weight: 1 / CLIMATES, water: [] };
  });
  const times = [begun, ...events.map(({ at }) => at)];
  /** A member's water so long after its event, in any later climate of its own. */
  const waterOf = (member: Member, time: number, last = times.length - 1) => {
    let k = last;
    while (k > 0 && times[k] > time) k -= 1;
    return waterLater(k === 0 ? 0 : member.water[k - 1], Math.max(0, time - times[k]), member.firstYear);
  };
  events.forEach((event, n) => {
    for (const member of members) {
      const before = waterOf(member, event.at, n);
      if (event.kind === 'renewed') member.water[n] = 0;
      else if (event.kind === 'bled') member.water[n] = before * (1 - event.share);
      else if (event.kind === 'refractometer') {
        member.weight *= likelihood((before - event.water) / REFRACTOMETER_ERROR);
        member.water[n] = before;
      } else {
        member.weight *= likelihood((boilingPoint(fluid, before) - event.boiling) / AGE_ERROR);
        member.water[n] = waterFromBoiling(fluid, event.boiling);
      }
    }
    rescale(members);
  });
  const interval = (of: (member: Member) => number): Interval => {
    const values = members.map((member) => ({ value: of(member), weight: member.weight }));
    return { low: quantile(values, 0.05), median: quantile(values, 0.5), high: quantile(values, 0.95) };
  };
  const when = (member: Member, boiling: number, from: number, until: number) => {
    const under = (time: number) => boilingPoint(fluid, waterOf(member, time)) <= boiling;
    if (under(from)) return from;
    if (!under(until)) return Number.POSITIVE_INFINITY;
    let [low, high] = [from, until];
    while (high - low > 3600) {
      const middle = 0.5 * (low + high);
      if (under(middle)) high = middle;
      else low = middle;
    }
    return high;
  };
  return {
    boilingAt: (time) => interval((member) => boilingPoint(fluid, waterOf(member, time))),
    waterAt: (time) => interval((member) => waterOf(member, time)),
    fallsTo: (boiling, from, until) => interval((member) => when(member, boiling, from, until)),
  };
}

/** Weights that sum to one; alike where the readings fit no climate at all. */
function rescale(members: readonly Member[]): void {
  const sum = members.reduce((total, { weight }) => total + weight, 0);
  for (const member of members) member.weight = sum > 0 ? member.weight / sum : 1 / members.length;
}
