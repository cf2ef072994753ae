import { AXLES, wheelClearances } from '../core';
import {
  type Car,
  type Change,
  carSchema,
  formatQuantity,
  issueProblem,
  padOf,
  partOf,
  type Setup,
  type UnitChoice,
  wheelFit,
  withChanges,
} from '../project';
import type { Assessed } from './assess';

/** What a change is looked at for. */
export type CheckKind = 'fits' | 'mixes' | 'pedal' | 'balance';
export interface Check {
  readonly kind: CheckKind;
  /** `no` rules a change out; `look` wants a second look */
  readonly state: 'yes' | 'look' | 'no';
  readonly text: string;
}

/** Whether parts go into the wheel and to each other; needs no day to be driven. */
export function fits(setup: Setup, changes: readonly Change[], units: UnitChoice): Check {
  const { parts } = setup;
  const { car } = withChanges(setup, changes);
  const valid = carSchema.safeParse(car);
  if (!valid.success) {
    const { path, message } = issueProblem(valid.error.issues[0]);
    return { kind: 'fits', state: 'no', text: `does not go together: ${path} ${message}` };
  }
  const friction = frictionPair(car, parts);
  if (friction) return { kind: 'fits', state: 'no', text: friction };
  let worst: { axle: string; short: number; touches: boolean } | null = null;
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
  if (!worst) return { kind: 'fits', state: 'yes', text: 'fits the wheel' };
  const text = formatQuantity(worst.short * 1000, 'smallLength', units);
  return worst.touches
    ? { kind: 'fits', state: 'no', text: `does not fit the ${worst.axle} wheel: ${text} too little room` }
    : { kind: 'fits', state: 'look', text: `tight in the ${worst.axle} wheel: ${text} under the usual room` };
}

/** Density under which a pad of the carbon family is carbon throughout, and not metal for iron rotors, kg/m³ (from memory). */
const ALL_CARBON = 2100;

/** Carbon rubs on carbon and on nothing else. */
function frictionPair(car: Car, parts: Setup['parts']): string | null {
  for (const axle of AXLES) {
    const { rotor, drum, pad } = car[axle];
    if (drum) continue;
    const carbonRotor = rotor.material === 'carbon-carbon';
    const { family, density } = padOf(pad, parts);
    const carbonPad = family === 'carbon' && density < ALL_CARBON;
    if (carbonRotor && !carbonPad) return `${axle} carbon rotors want carbon pads`;
    if (carbonPad && !carbonRotor) return `${axle} carbon pads want carbon rotors`;
  }
  return null;
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
  if (silicone(before) !== silicone(after)) {
    return {
      kind: 'mixes',
      state: 'no',
      text: 'never mix glycol and silicone: every seal, hose and cylinder has to be changed',
    };
  }
  return silicone(after)
    ? { kind: 'mixes', state: 'look', text: 'silicone: more pedal travel, not advised on track or with ABS' }
    : { kind: 'mixes', state: 'yes', text: 'mixes with what is in it; flush it all the same' };
}

const passed = ({ summary }: Assessed, part: 'pedal' | 'travel') =>
  summary.forceMargins.some((margin) => margin.part === part && margin.passed);
const worst = ({ summary }: Assessed, part: 'pedal' | 'travel') =>
  summary.forceMargins.find((margin) => margin.part === part)?.worst ?? 0;

/** Whether the foot can still work it. */
export function pedalStays(before: Assessed, after: Assessed, units: UnitChoice): Check {
  const force = formatQuantity(worst(after, 'pedal'), 'force', units);
  const travel = formatQuantity(worst(after, 'travel') * 1000, 'smallLength', units);
  for (const part of ['travel', 'pedal'] as const) {
    if (passed(after, part) && !passed(before, part)) {
      const what =
        part === 'pedal'
          ? `more force than the driver has (${force})`
          : `more travel than there is (${travel})`;
      return { kind: 'pedal', state: 'no', text: `the pedal needs ${what}` };
    }
  }
  const heavier = worst(after, 'pedal') / Math.max(1, worst(before, 'pedal'));
  const longer = worst(after, 'travel') - worst(before, 'travel');
  if (heavier > 1.25) return { kind: 'pedal', state: 'look', text: `the pedal gets heavier: ${force}` };
  if (longer > 0.015) return { kind: 'pedal', state: 'look', text: `the pedal gets longer: ${travel}` };
  return { kind: 'pedal', state: 'yes', text: 'the pedal stays usable' };
}

/** Whether the rear does not come nearer to locking first. */
export function balanceStays(before: Assessed, after: Assessed): Check {
  const share = (a: Assessed) => a.summary.rearFirst / Math.max(1, a.summary.hotStops);
  const moved = 100 * (after.frontShare - before.frontShare);
  const points = `${Math.abs(moved).toFixed(1)} points to the ${moved < 0 ? 'rear' : 'front'}`;
  if (share(after) > share(before) + 0.02) {
    return {
      kind: 'balance',
      state: 'no',
      text: `the rear is nearer to locking at ${after.summary.rearFirst} of ${after.summary.hotStops} stops (before ${before.summary.rearFirst}); ${points}`,
    };
  }
  if (Math.abs(moved) > 2) return { kind: 'balance', state: 'look', text: `balance moves ${points}` };
  return {
    kind: 'balance',
    state: 'yes',
    text: Math.abs(moved) < 0.05 ? 'balance stays' : `balance moves ${points}`,
  };
}

/** Everything a change is looked at for, once it has been driven. */
export function checksOf(
  setup: Setup,
  changes: readonly Change[],
  before: Assessed,
  after: Assessed,
  units: UnitChoice,
): Check[] {
  const fluid = mixes(setup, changes);
  return [
    fits(setup, changes, units),
    ...(fluid ? [fluid] : []),
    pedalStays(before, after, units),
    balanceStays(before, after),
  ];
}
