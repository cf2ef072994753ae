import { type ForceMargin, isCold, type Margin } from '../../core';
import {
  type Change,
  changePrice,
  type PartKind,
  type Project,
  partOf,
  type Setup,
  withChanges,
  withOneMore,
} from '../../model';
import type { Assessed } from '../compare/assess';
import { type Check, checksOf } from '../compare/compatibility';
import { type Candidate, singleSteps } from '../compare/ladder';

/** A limit that is passed. */
export type Failing = Margin | ForceMargin;

/** Kinds of steps that can mend each limit, most direct first. Braided hoses help a long pedal and nothing else. */
const MENDS: Readonly<Record<string, readonly (PartKind | 'tyres')[]>> = {
  fluid: ['fluid', 'duct', 'caliper', 'rotor'],
  fluidWall: ['fluid', 'duct', 'caliper', 'rotor'],
  seal: ['duct', 'caliper', 'rotor'],
  padFace: ['pad', 'duct', 'rotor'],
  plate: ['pad', 'duct', 'rotor'],
  rotorFace: ['duct', 'rotor'],
  rotorBulk: ['duct', 'rotor'],
  hub: ['duct', 'rotor'],
  pedal: ['pad', 'cylinder', 'duct', 'rotor'],
  travel: ['line', 'pad', 'fluid', 'cylinder', 'caliper'],
};

/** Kelvin (of a temperature) or share of the limit (of the foot) that is better worth a step. */
const WORTH = { temperature: 2, share: 0.01 } as const;

/** A limit that holds by less is mended by a hair, K. */
const FIRM = 5;

const isForce = (margin: Failing): margin is ForceMargin => !('axle' in margin);

/** What passes its limit first as the day goes; null where nothing does. Pads below their working temperature pass none. */
function failsFirst({ summary }: Assessed): Failing | null {
  const passed = [...summary.margins.filter((margin) => !isCold(margin)), ...summary.forceMargins].filter(
    (margin) => margin.passed !== null,
  );
  const time = (margin: Failing) => margin.passed?.time ?? 0;
  return passed.length === 0 ? null : passed.reduce((a, b) => (time(b) < time(a) ? b : a));
}

/** The same limit in another drive. */
function sameLimit({ summary }: Assessed, failing: Failing): Failing | null {
  if (isForce(failing)) return summary.forceMargins.find(({ part }) => part === failing.part) ?? null;
  const same = summary.margins.filter(({ axle, part }) => axle === failing.axle && part === failing.part);
  return same.length === 0 ? null : same.reduce((a, b) => (b.margin < a.margin ? b : a));
}

function kindOf(change: Change, setup: Setup): PartKind | 'tyres' | null {
  if (change.kind === 'tyres') return 'tyres';
  return change.kind === 'part' ? partOf(change.part, setup.parts).kind : null;
}

/** Cracks begin at holes: for the track plain or slotted ones are advised. */
function isDrilled(change: Change, { parts }: Setup): boolean {
  if (change.kind !== 'part') return false;
  const part = partOf(change.part, parts);
  return part.kind === 'rotor' && part.values.surface === 'drilled';
}

/** Steps from the shelf that may mend what fails first, on the axle it fails at. @param budget most that one may cost */
function mending(project: Project, setup: Setup, failing: Failing, budget: number): Candidate[] {
  const kinds = MENDS[failing.part] ?? [];
  return singleSteps(setup).filter(({ changes: [change] }) => {
    const kind = kindOf(change, setup);
    if (kind === null || !kinds.includes(kind) || isDrilled(change, setup)) return false;
    const here = isForce(failing) || !('axle' in change) || change.axle === failing.axle;
    const anywhere = kind === 'fluid' || kind === 'line' || kind === 'cylinder';
    return (here || anywhere) && changePrice(project, change, setup.car) <= budget;
  });
}

/** A step that was driven. */
interface Tried {
  readonly candidate: Candidate;
  readonly assessed: Assessed;
}

/** One step of the order. */
export interface FirstStep {
  readonly change: Change;
  readonly price: number;
  /** What it mends, as it was before and as it is with the step */
  readonly before: Failing;
  readonly after: Failing | null;
  /** Whether that limit holds now */
  readonly mended: boolean;
  readonly checks: readonly Check[];
  readonly assessed: Assessed;
}

/**
 * The next step: the cheapest that makes the limit hold; where none does, the one that brings it nearest.
 * @param base the setup before it, driven
 * @returns null where no step that can be taken helps
 */
function chooseStep(
  project: Project,
  setup: Setup,
  base: Assessed,
  failing: Failing,
  tried: readonly Tried[],
): FirstStep | null {
  const judged = tried.flatMap(({ candidate, assessed }): FirstStep[] => {
    const [change] = candidate.changes;
    const after = sameLimit(assessed, failing);
    const checks = checksOf(setup, candidate.changes, base, assessed);
    if (!after || checks.some(({ state }) => state === 'no')) return [];
    const gain = after.margin - failing.margin;
    if (gain < (isForce(failing) ? WORTH.share * failing.limit : WORTH.temperature)) return [];
    const price = changePrice(project, change, setup.car);
    return [{ change, price, before: failing, after, mended: after.passed === null, checks, assessed }];
  });
  // Not by a hair, where there is a choice.
  const firm = judged.filter(
    (step) => step.mended && (isForce(failing) || (step.after?.margin ?? 0) >= FIRM),
  );
  const mended = firm.length > 0 ? firm : judged.filter((step) => step.mended);
  const better = (a: FirstStep, b: FirstStep) =>
    mended.length > 0
      ? b.price < a.price || (b.price === a.price && (b.after?.margin ?? 0) > (a.after?.margin ?? 0))
      : (b.after?.margin ?? 0) > (a.after?.margin ?? 0);
  const list = mended.length > 0 ? mended : judged;
  return list.length === 0 ? null : list.reduce((a, b) => (better(a, b) ? b : a));
}

/** The changes that all steps make together. */
export const changesOf = (steps: readonly FirstStep[], setup: Setup): Change[] =>
  steps.reduce<Change[]>((changes, { change }) => withOneMore(changes, change, setup.parts), []);

/** The order in which a car is mended, and what it comes to. */
export interface Order {
  readonly setup: Setup;
  readonly base: Assessed;
  readonly steps: readonly FirstStep[];
  /** With all steps */
  readonly last: Assessed;
  readonly remains: Failing | null;
}

/** Steps that are looked for at most: with more, other brakes are the answer. */
const MOST_STEPS = 7;

/**
 * Mends what fails first, then what fails first then, until every limit holds or nothing helps.
 * @param budget most that all steps may cost together
 * @param drive assesses setups, in their order
 */
export async function orderOfSteps(
  project: Project,
  setup: Setup,
  budget: number,
  drive: (setups: readonly Setup[]) => Promise<readonly Assessed[]>,
): Promise<Order> {
  const [base] = await drive([setup]);
  let now = { setup, assessed: base };
  let left = budget;
  const steps: FirstStep[] = [];
  let failing = failsFirst(base);
  while (failing && steps.length < MOST_STEPS) {
    const from = now.setup;
    const candidates = mending(project, from, failing, left);
    const driven = await drive(candidates.map(({ changes }) => withChanges(from, changes)));
    const tried = candidates.map((candidate, i): Tried => ({ candidate, assessed: driven[i] }));
    const step = chooseStep(project, from, now.assessed, failing, tried);
    if (!step) break;
    steps.push(step);
    left -= step.price;
    now = { setup: withChanges(from, [step.change]), assessed: step.assessed };
    failing = failsFirst(now.assessed);
  }
  const kept = steps.filter(({ change }, i) => !supersededBy(change, steps.slice(i + 1), setup));
  if (kept.length === steps.length) return { setup, base, steps, last: now.assessed, remains: failing };
  // Pads that better ones took the place of were never bought: what is left is driven anew, step by step.
  const prefixes = kept.map((_, i) => kept.slice(0, i + 1).map(({ change }) => change));
  const driven = await drive(prefixes.map((changes) => withChanges(setup, changes)));
  const told = kept.map((step, i): FirstStep => {
    const before = i === 0 ? base : driven[i - 1];
    return {
      ...step,
      before: sameLimit(before, step.before) ?? step.before,
      after: sameLimit(driven[i], step.before),
      mended: sameLimit(driven[i], step.before)?.passed === null,
      assessed: driven[i],
    };
  });
  return { setup, base, steps: told, last: driven[driven.length - 1], remains: failing };
}

/** Whether one of the later steps takes a change's place. */
const supersededBy = (change: Change, later: readonly FirstStep[], { parts }: Setup): boolean =>
  later.some((step) => withOneMore([change], step.change, parts).length === 1);
