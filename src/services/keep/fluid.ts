import { boilingUnder, type Fluid, type FluidEvent, fluidAging, type Interval, pressureOf } from '../../core';
import {
  type Car,
  type EntryOf,
  type FluidSchool,
  fluidOf,
  fromSi,
  type Project,
  type Setup,
  type StoredLoad,
  siteOf,
  toSi,
} from '../../model';
import { entriesOf } from './logbook';

const DAY = 86400;
/** Copper in the fluid at which it is renewed, parts in a million: common practice. */
const COPPER_LIMIT = 200;
/** As far as is looked ahead, days: longer than any school of practice leaves fluid in. */
const LOOKED_AHEAD = 4 * 365;

const dayOf = (date: string): number => Date.parse(`${date}T12:00:00Z`) / 1000;
const dateOf = (seconds: number): string => new Date(1000 * seconds).toISOString().slice(0, 10);

/** A reading or deed of a car's fluid. */
export type FluidEntry = EntryOf<'fluid'>;

/** Why fluid is to be renewed; wording is the text layer's. */
export type FluidReason =
  | { readonly kind: 'over temperature' | 'boiled'; readonly date: string }
  | { readonly kind: 'copper'; readonly date: string; readonly ppm: number }
  | { readonly kind: 'school'; readonly school: FluidSchool; readonly since: string }
  | { readonly kind: 'boiling point'; readonly neededC: number; readonly boilingC: Interval };

/** A car's fluid over time. */
export interface FluidState {
  /** Day it was last renewed, by the log or the car's own age */
  readonly since: string;
  readonly fromLog: boolean;
  readonly entries: readonly FluidEntry[];
  /** Boiling point at sea level by day, °C */
  boilingC(date: string): Interval;
  waterPercent(date: string): Interval;
  /** Day on which it boils at no more than that, at sea level, °C: dates; null where not within the time looked ahead */
  fallsTo(boilingC: number, from: string): { readonly [K in keyof Interval]: string | null };
}

/** What the fluid of a car has been through. @param today as 2027-05-01 */
export function fluidState(project: Project, car: Car, today: string): FluidState {
  const entries = entriesOf(project, car.id).filter((entry): entry is FluidEntry => entry.kind === 'fluid');
  const kind = fluidOf(car.fluid.kind, project.parts);
  const fluid: Fluid = {
    dry: toSi(kind.dry, 'temperature'),
    wet: toSi(kind.wet, 'temperature'),
    freeWater: kind.silicone && car.fluid.freeWater,
  };
  const renewed = entries.filter(({ deed }) => deed === 'renewed').at(-1);
  const begun = renewed ? dayOf(renewed.date) : dayOf(today) - toSi(car.fluid.ageMonths, 'months');
  const after = renewed ? entries.slice(entries.indexOf(renewed) + 1) : entries;
  const events = after.flatMap((entry): FluidEvent[] => {
    const at = Math.max(begun, dayOf(entry.date));
    if (entry.deed === 'bled') {
      return [{ kind: 'bled', at, share: toSi(entry.newPercent ?? 0, 'percent') }];
    }
    if (entry.deed === 'boil test' && entry.boilingC !== null) {
      return [{ kind: 'boil test', at, boiling: toSi(entry.boilingC, 'temperature') }];
    }
    if (entry.deed === 'refractometer' && entry.waterPercent !== null) {
      return [{ kind: 'refractometer', at, water: entry.waterPercent }];
    }
    return [];
  });
  // Silicone takes up none.
  const firstYear = kind.silicone ? 0 : car.fluid.waterFirstYearPercent;
  const aging = fluidAging(fluid, firstYear, begun, events);
  const shown = (interval: Interval, of: (value: number) => number): Interval => ({
    low: of(interval.low),
    median: of(interval.median),
    high: of(interval.high),
  });
  return {
    since: dateOf(begun),
    fromLog: renewed !== undefined,
    entries,
    boilingC: (date) => shown(aging.boilingAt(dayOf(date)), (kelvin) => fromSi(kelvin, 'temperature')),
    waterPercent: (date) => aging.waterAt(dayOf(date)),
    fallsTo: (boilingC, from) => {
      const start = dayOf(from);
      const found = aging.fallsTo(toSi(boilingC, 'temperature'), start, start + LOOKED_AHEAD * DAY);
      const date = (seconds: number) => (Number.isFinite(seconds) ? dateOf(seconds) : null);
      return { low: date(found.low), median: date(found.median), high: date(found.high) };
    },
  };
}

/**
 * Boiling point at sea level that a fluid needs where a session comes to some fluid temperature, °C: the peak and the margin
 * to keep, put back from the air pressure of the circuit.
 */
export function boilingNeededC(setup: Setup, load: StoredLoad): number {
  const peak = Math.max(...Object.values(load).map(({ fluidC }) => fluidC));
  const there = toSi(peak + setup.plan.targetMarginK, 'temperature');
  // Clausius and Clapeyron the other way round: both sides are of the form 1/T, so the factor at the need's own place does.
  const factor = there / boilingUnder(there, pressureOf(siteOf(setup)));
  return fromSi(there * factor, 'temperature');
}

const YEARS: Readonly<Partial<Record<FluidSchool, number>>> = { 'every year': 365, 'two years': 730 };

/** Whether a car's fluid is to be renewed before a day, and why; the gravest first, none where it may stay. */
export function reasonsToRenew(
  state: FluidState,
  {
    date,
    school,
    neededC,
  }: { readonly date: string; readonly school: FluidSchool; readonly neededC: number | null },
): readonly FluidReason[] {
  const reasons: FluidReason[] = [];
  const since = state.entries.filter((entry) => entry.date >= state.since && entry.date <= date);
  const last = <T extends FluidEntry>(found: readonly T[]) => found.at(-1);
  const over = last(since.filter(({ deed }) => deed === 'over temperature'));
  if (over) reasons.push({ kind: 'over temperature', date: over.date });
  const strip = last(since.filter(({ copperPpm }) => copperPpm !== null));
  if (strip?.copperPpm != null && strip.copperPpm >= COPPER_LIMIT) {
    reasons.push({ kind: 'copper', date: strip.date, ppm: strip.copperPpm });
  }
  if (neededC !== null) {
    const boilingC = state.boilingC(date);
    if (boilingC.low < neededC) reasons.push({ kind: 'boiling point', neededC, boilingC });
  }
  const days = YEARS[school];
  const age = (dayOf(date) - dayOf(state.since)) / DAY;
  if (days !== undefined ? age > days : school === 'each event' && age > 0.5) {
    reasons.push({ kind: 'school', school, since: state.since });
  }
  return reasons;
}
