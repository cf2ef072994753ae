import { coldestBite, isCold, leastMargin, type Margin } from '../../core';
import {
  type Change,
  changePrice,
  fluidOf,
  formatQuantity,
  isForAxle,
  type Part,
  type PartKind,
  type Project,
  type Setup,
  shelfOf,
  TYRE_KIND_IDS,
  TYRE_KINDS,
  type UnitChoice,
} from '../../model';
import { say } from '../../text/en/say/services';
import type { Assessed } from './assess';
import { type Check, checksOf, fits } from './compatibility';

/** A step from today's car: one change, or two that belong together. */
export interface Candidate {
  readonly id: string;
  readonly changes: readonly Change[];
}

/** What is to be gained: room under the limits, or pads warm enough to bite. */
export type Target = 'heat' | 'bite';

/**
 * The margin a target is about, K: the least left to a limit, or over the low end of a pad's window.
 * @throws RangeError for a day without any
 */
export function targetMargin({ summary }: Assessed, target: Target): Margin {
  const bites = (['front', 'rear'] as const).flatMap((axle) => coldestBite(summary, axle) ?? []);
  if (target === 'heat' || bites.length === 0) return leastMargin(summary);
  return bites.reduce((a, b) => (b.margin < a.margin ? b : a));
}

/** A step driven and judged. */
export interface Rung extends Candidate {
  readonly target: Target;
  /** What it costs; 0 is free */
  readonly price: number;
  /** Fewest kelvin left before and after, and of what then */
  readonly before: Margin;
  readonly after: Margin;
  /** K; of the fewest kelvin left */
  readonly gain: number;
  /** K for each 100 of money; infinite where it is free and gains */
  readonly perHundred: number;
  readonly checks: readonly Check[];
  /** Whether no check rules it out */
  readonly possible: boolean;
  /** Axles whose pads are below working temperature at some braking point now, and were not before */
  readonly tooCold: readonly ('front' | 'rear')[];
  readonly assessed: Assessed;
}

const KINDS: readonly PartKind[] = ['fluid', 'pad', 'duct', 'rotor', 'caliper', 'line', 'cylinder'];

const axleText = (change: Change) => ('axle' in change ? change.axle : '');
const idOf = (changes: readonly Change[]) =>
  changes
    .map((change) => `${axleText(change)}:${change.kind === 'part' ? change.part : change.kind}`)
    .join('+');

/** Every part of the shelf that is not already in the car, on each axle it can go to; and tape over ducts there are. */
export function singleSteps(setup: Setup): Candidate[] {
  const { car, parts } = setup;
  const wanted = (part: Part, axle: 'front' | 'rear') => {
    const brakes = car[axle];
    switch (part.kind) {
      case 'pad':
        return brakes.pad !== part.id;
      case 'rotor':
      case 'caliper':
        return !brakes.drum;
      case 'duct':
        // A smaller one is no step up, and a drum has no use for it.
        return !brakes.drum && part.values.areaCm2 > brakes.ductAreaCm2 + 1;
      case 'fluid':
        return (
          part.id !== car.fluid.kind ||
          car.fluid.ageMonths > 0 ||
          car.fluid.measuredBoilingC !== null ||
          car.fluid.freeWater
        );
      case 'line':
        return part.values.growthMm3BarM < car.pedal.hoseExpansionMm3BarM;
      case 'cylinder': {
        const { cylinders } = car.pedal;
        if (cylinders.kind !== 'pair') return part.values.boreMm !== cylinders.boreMm;
        return part.values.boreMm !== (axle === 'front' ? cylinders.frontBoreMm : cylinders.rearBoreMm);
      }
    }
  };
  const perAxle = (part: Part) =>
    part.kind === 'cylinder' ? car.pedal.cylinders.kind === 'pair' : isForAxle(part);
  const tape = (['front', 'rear'] as const).flatMap((axle) =>
    car[axle].ductAreaCm2 > 0
      ? [50, 100]
          .filter((percent) => percent > car[axle].blankedOffPercent)
          .map((percent): Candidate => {
            const changes: Change[] = [{ kind: 'tape', axle, percent }];
            return { id: `${axle}:tape:${percent}`, changes };
          })
      : [],
  );
  const fitted = KINDS.flatMap((kind) =>
    shelfOf(kind, parts).flatMap((part) => {
      const axles = perAxle(part) ? (['front', 'rear'] as const) : (['front'] as const);
      return axles
        .filter((axle) => wanted(part, axle))
        .map((axle): Candidate => {
          const changes: Change[] = [{ kind: 'part', part: part.id, axle }];
          return { id: idOf(changes), changes };
        });
    }),
  );
  // On other tyres the car is quicker or slower, and asks more or less of its brakes.
  const tyres = TYRE_KIND_IDS.filter(
    (kind) => Math.abs(TYRE_KINDS[kind].longitudinalGrip - car.tyres.longitudinalGrip) > 0.05,
  ).map((kind): Candidate => ({ id: `tyres:${kind}`, changes: [{ kind: 'tyres', tyres: kind }] }));
  return [...fitted, ...tape, ...tyres];
}

/** Pairs that gain more than either of their two does alone. */
export function worthwhilePairs(pairs: readonly Rung[], singles: readonly Rung[]): Rung[] {
  return pairs.filter((pair) =>
    pair.changes.every((change) => {
      const alone = singles.find((single) => single.id === idOf([change]));
      return !alone || pair.gain > alone.gain + 1;
    }),
  );
}

/** Steps that can be driven at all: what cannot be put together is not tried. */
export function drivable(setup: Setup, candidates: readonly Candidate[]): Candidate[] {
  return candidates.filter(({ changes }) => fits(setup, changes).found !== 'invalid');
}

/** Two of a pair's kinds that are bought together. */
const TOGETHER: readonly (readonly [string, string])[] = [
  ['front:pad', 'rear:pad'],
  ['front:pad', 'fluid'],
  ['front:pad', 'front:duct'],
  ['fluid', 'front:duct'],
  ['front:duct', 'rear:duct'],
  ['front:rotor', 'front:pad'],
  ['front:rotor', 'front:duct'],
  ['front:caliper', 'front:pad'],
  ['front:rotor', 'front:caliper'],
  ['rear:pad', 'fluid'],
];
const BEST_OF = 2;

/**
 * Pairs worth driving: of two kinds that are bought together, the best two single steps each. A limit that only falls
 * when two things are changed shows no gain for either, so the cheapest of a kind that changes its own limit counts too.
 */
export function sensiblePairs(rungs: readonly Rung[], setup: Setup): Candidate[] {
  const kinds = new Map(KINDS.flatMap((kind) => shelfOf(kind, setup.parts).map((part) => [part.id, kind])));
  const kindOf = (rung: Rung) => {
    const [change] = rung.changes;
    if (rung.changes.length !== 1 || change.kind !== 'part') return '';
    const kind = kinds.get(change.part);
    return kind === 'fluid' || kind === 'line' ? kind : `${change.axle}:${kind}`;
  };
  const best = (kind: string) =>
    rungs
      .filter((rung) => rung.possible && rung.tooCold.length === 0 && kindOf(rung) === kind)
      .sort((a, b) => allLeft(b) - allLeft(a))
      .slice(0, BEST_OF);
  const seen = new Set<string>();
  return TOGETHER.flatMap(([a, b]) =>
    best(a).flatMap((first) =>
      best(b).flatMap((second): Candidate[] => {
        const changes = [...first.changes, ...second.changes];
        const id = idOf(changes);
        if (seen.has(id)) return [];
        seen.add(id);
        return [{ id, changes }];
      }),
    ),
  );
}

/** Kelvin over all limits, the short ones counted by how short they are: what helps the second-closest shows too. */
function allLeft({ assessed, gain, target }: Rung): number {
  if (target === 'bite') return gain;
  const short = assessed.summary.margins
    .filter((margin) => !isCold(margin))
    .reduce((sum, { margin }) => sum + Math.min(0, margin - 30), 0);
  return short + 0.01 * gain;
}

/** K for each 100 of money: without end where a gain is free. */
const perHundred = (gain: number, price: number) => (gain <= 0 ? 0 : (100 * gain) / price);

/**
 * Judges a step that has been driven: what it gains, K, costs, weighs, kg, and what stands against it.
 * @param base the setup as it is
 * @param assessed with the step
 */
export function rungOf(
  project: Project,
  setup: Setup,
  candidate: Candidate,
  base: Assessed,
  assessed: Assessed,
  target: Target = 'heat',
): Rung {
  const before = targetMargin(base, target);
  const after = targetMargin(assessed, target);
  const gain = after.margin - before.margin;
  const price = candidate.changes.reduce((sum, change) => sum + changePrice(project, change, setup.car), 0);
  const checks = checksOf(setup, candidate.changes, base, assessed);
  const cold = (a: Assessed, axle: 'front' | 'rear') => (coldestBite(a.summary, axle)?.margin ?? 1) < 0;
  return {
    ...candidate,
    target,
    price,
    before,
    after,
    gain,
    perHundred: perHundred(gain, price),
    checks,
    possible: checks.every(({ state }) => state !== 'no'),
    tooCold: (['front', 'rear'] as const).filter((axle) => cold(assessed, axle) && !cold(base, axle)),
    assessed,
  };
}

/** A step judged anew with other prices. */
export function repriced(project: Project, setup: Setup, rung: Rung): Rung {
  const price = rung.changes.reduce((sum, change) => sum + changePrice(project, change, setup.car), 0);
  return {
    ...rung,
    price,
    perHundred: perHundred(rung.gain, price),
  };
}

/** What gains most K for its money first; then what is ruled out, and what gains nothing. */
export function ranked(rungs: readonly Rung[]): Rung[] {
  const group = ({ possible, gain, tooCold }: Rung) =>
    gain < 0.5 ? 3 : !possible ? 2 : tooCold.length > 0 ? 1 : 0;
  return [...rungs].sort(
    (a, b) =>
      group(a) - group(b) ||
      (b.perHundred === a.perHundred ? b.gain - a.gain : b.perHundred - a.perHundred) ||
      a.price - b.price,
  );
}

/** By how much the longest hot braking zone overruns, m; infinite where the car does not stop. */
const overrunOf = ({ summary: { fade } }: Assessed): number =>
  fade === null ? 0 : (fade.extraDistance ?? Number.POSITIVE_INFINITY);

/** What a step does to the length of a braking zone, and what it does not. */
export function zonesText(base: Assessed, after: Assessed, units: UnitChoice): string {
  const [before, now] = [overrunOf(base), overrunOf(after)];
  const metres = (m: number) => formatQuantity(m, 'distance', units);
  const { hotZones, limits } = base.summary;
  const tyres = limits.tyres ?? 0;
  if (now === Number.POSITIVE_INFINITY) {
    return before === now ? say.carStillDoesNot : say.carNoLongerStops;
  }
  if (before === Number.POSITIVE_INFINITY) {
    return now < 0.5 ? say.carDidNotStop : say.carDidNotStopEverywhere(metres(now));
  }
  if (before > 0.5) {
    if (now < 0.5) return say.brakingOvershotMadePlanned(metres(before));
    return Math.abs(now - before) < 0.05 * before
      ? say.longestOverrunStays(metres(before))
      : say.longestOverrunGoes(metres(before), metres(now));
  }
  if (now > 0.5) return say.brakingGetsLongerUp(metres(now));
  return tyres === hotZones ? say.shortensNoBrakingZone : say.shortensNoBrakingZoneBrakes(tyres, hotZones);
}

/** Whether a fluid step is only a fresh fill of what is in the car. */
export const isFreshFill = (setup: Setup, change: Change): boolean =>
  change.kind === 'part' &&
  change.part === setup.car.fluid.kind &&
  fluidOf(change.part, setup.parts) !== null;
