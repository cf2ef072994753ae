import { AXLES, type AxleName, wheelClearances } from '../../core';
import {
  type Change,
  carSchema,
  coldBite,
  issueProblem,
  padOf,
  partOf,
  type Setup,
  wheelFit,
  withChanges,
  wrongPartner,
} from '../../model';
import type { Assessed } from './assess';

/** What was found about a change; `checkText` says it in words. */
export type Finding =
  /** Parts and wheel */
  | { readonly kind: 'fits'; readonly found: 'fits' }
  | { readonly kind: 'fits'; readonly found: 'invalid'; readonly path: string; readonly message: string }
  | {
      readonly kind: 'fits';
      readonly found: 'carbon';
      readonly axle: AxleName;
      readonly wants: 'pads' | 'rotors';
    }
  /** `short`: room that is missing, or missing from what is usual, m */
  | {
      readonly kind: 'fits';
      readonly found: 'touches' | 'tight';
      readonly axle: AxleName;
      readonly short: number;
    }
  /** The new fluid and the one that is in it */
  | { readonly kind: 'mixes'; readonly found: 'mixes' | 'never' | 'silicone' }
  /** The foot: most force, N, and most travel, m, over the day */
  | {
      readonly kind: 'pedal';
      readonly found: 'usable' | 'too-heavy' | 'too-long' | 'heavier' | 'longer';
      readonly force: number;
      readonly travel: number;
    }
  /** Brake balance after less before, 0 to 1; braking zones at which the rear is nearer to locking, before, after, of all */
  | {
      readonly kind: 'balance';
      readonly found: 'stays' | 'moves' | 'rear-first';
      readonly moved: number;
      readonly before: number;
      readonly after: number;
      readonly zones: number;
    }
  /** What other pads cost beside money, from 1 little to 5 much, and their friction cold: what gets worse, before and after */
  | {
      readonly kind: 'trades';
      readonly found: 'alike' | 'worse';
      readonly worse: readonly PadTrade[];
    };

/** Something a pad is worse in than the one before. */
export interface PadTrade {
  readonly axle: AxleName;
  readonly what: 'dust' | 'noise' | 'rotorWear' | 'coldBite';
  readonly before: number;
  readonly after: number;
}

/** One thing a change is looked at for. */
export type Check = Finding & {
  /** `no` rules a change out; `look` wants a second look */
  readonly state: 'yes' | 'look' | 'no';
};

/** Whether parts go into the wheel and to each other; needs no day to be driven. */
export function fits(setup: Setup, changes: readonly Change[]): Check & { kind: 'fits' } {
  const { parts } = setup;
  const { car } = withChanges(setup, changes);
  const valid = carSchema.safeParse(car);
  if (!valid.success) {
    const { path, message } = issueProblem(valid.error.issues[0]);
    return { kind: 'fits', state: 'no', found: 'invalid', path, message };
  }
  for (const axle of AXLES) {
    const wants = wrongPartner(car[axle], parts);
    if (wants) return { kind: 'fits', state: 'no', found: 'carbon', axle, wants };
  }
  let worst: { axle: AxleName; short: number; touches: boolean } | null = null;
  for (const axle of AXLES) {
    if (car[axle].drum) continue;
    const before = setup.car[axle].drum ? [] : wheelClearances(wheelFit(setup.car[axle]));
    for (const { what, clearance, wanted } of wheelClearances(wheelFit(car[axle]))) {
      // What is as it was is not this change's doing.
      if (before.some((b) => b.what === what && b.clearance <= clearance + 1e-6)) continue;
      const short = wanted - clearance;
      if (short > 1e-6 && (!worst || short > worst.short)) worst = { axle, short, touches: clearance < 0 };
    }
  }
  if (!worst) return { kind: 'fits', state: 'yes', found: 'fits' };
  const { axle, short, touches } = worst;
  return touches
    ? { kind: 'fits', state: 'no', found: 'touches', axle, short }
    : { kind: 'fits', state: 'look', found: 'tight', axle, short };
}

/** Whether a new fluid may be filled in where the old one was. */
export function mixes(setup: Setup, changes: readonly Change[]): Check | null {
  const after = withChanges(setup, changes).car.fluid.kind;
  const fluids = changes.filter(
    (change) => change.kind === 'part' && partOf(change.part, setup.parts).kind === 'fluid',
  );
  if (fluids.length === 0) return null;
  const silicone = (id: string) => {
    const part = partOf(id, setup.parts);
    return part.kind === 'fluid' && part.values.silicone;
  };
  const before = setup.car.fluid.kind;
  if (silicone(before) !== silicone(after)) return { kind: 'mixes', state: 'no', found: 'never' };
  return silicone(after)
    ? { kind: 'mixes', state: 'look', found: 'silicone' }
    : { kind: 'mixes', state: 'yes', found: 'mixes' };
}

/** Steps of dust, noise or rotor wear, and loss of friction cold, from which on they are worth a look. */
const WORSE_STEPS = 2;
const WORSE_BITE = 0.04;

/** What other pads cost beside money; null where no pad changes. */
export function trades(setup: Setup, changes: readonly Change[]): Check | null {
  const after = withChanges(setup, changes).car;
  const changed = AXLES.filter((axle) => after[axle].pad !== setup.car[axle].pad);
  if (changed.length === 0) return null;
  const worse = changed.flatMap((axle): PadTrade[] => {
    const [old, now] = [setup.car[axle].pad, after[axle].pad].map((id) => padOf(id, setup.parts));
    const steps = (['dust', 'noise', 'rotorWear'] as const)
      .filter((what) => now[what] - old[what] >= WORSE_STEPS)
      .map((what) => ({ axle, what, before: old[what], after: now[what] }));
    const [before, cold] = [coldBite(old), coldBite(now)];
    const bite = cold < before - WORSE_BITE;
    return bite ? [...steps, { axle, what: 'coldBite', before, after: cold }] : steps;
  });
  return worse.length === 0
    ? { kind: 'trades', state: 'yes', found: 'alike', worse }
    : { kind: 'trades', state: 'look', found: 'worse', worse };
}

const passed = ({ summary }: Assessed, part: 'pedal' | 'travel') =>
  summary.forceMargins.some((margin) => margin.part === part && margin.passed);
const worst = ({ summary }: Assessed, part: 'pedal' | 'travel') =>
  summary.forceMargins.find((margin) => margin.part === part)?.worst ?? 0;

/** Whether the foot can still work it. */
export function pedalStays(before: Assessed, after: Assessed): Check {
  const { force, travel } = { force: worst(after, 'pedal'), travel: worst(after, 'travel') };
  const found = { kind: 'pedal', force, travel } as const;
  const newly = (part: 'pedal' | 'travel') => passed(after, part) && !passed(before, part);
  if (newly('travel')) return { ...found, state: 'no', found: 'too-long' };
  if (newly('pedal')) return { ...found, state: 'no', found: 'too-heavy' };
  const heavier = force / Math.max(1, worst(before, 'pedal'));
  if (heavier > 1.25) return { ...found, state: 'look', found: 'heavier' };
  if (travel - worst(before, 'travel') > 0.015) return { ...found, state: 'look', found: 'longer' };
  return { ...found, state: 'yes', found: 'usable' };
}

/** Whether the rear does not come nearer to locking first. */
export function balanceStays(before: Assessed, after: Assessed): Check {
  const share = (a: Assessed) => a.summary.rearFirst / Math.max(1, a.summary.hotZones);
  const moved = after.frontShare - before.frontShare;
  const found = {
    kind: 'balance',
    moved,
    before: before.summary.rearFirst,
    after: after.summary.rearFirst,
    zones: after.summary.hotZones,
  } as const;
  if (share(after) > share(before) + 0.02) return { ...found, state: 'no', found: 'rear-first' };
  if (Math.abs(moved) > 0.02) return { ...found, state: 'look', found: 'moves' };
  return { ...found, state: 'yes', found: Math.abs(moved) < 0.0005 ? 'stays' : 'moves' };
}

/** Everything a change is looked at for, once it has been driven. */
export function checksOf(
  setup: Setup,
  changes: readonly Change[],
  before: Assessed,
  after: Assessed,
): Check[] {
  const fluid = mixes(setup, changes);
  const pads = trades(setup, changes);
  return [
    fits(setup, changes),
    ...(fluid ? [fluid] : []),
    ...(pads ? [pads] : []),
    pedalStays(before, after),
    balanceStays(before, after),
  ];
}
