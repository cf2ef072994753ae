import type { Highs } from 'highs';
import { type Solved, solved, sorted } from './integer';
import {
  type AllocationCost,
  type AllocationProblem,
  type Assignment,
  isPractice,
  maySet,
  SAME,
  STILL_FRESH,
  Tally,
  wornOutChance,
} from './problem';
import { improved, searched, searchedLong } from './search';

/** Why a session has its set; wording is the text layer's. */
export type ChoiceReason =
  | 'only one'
  | 'fresh wanted'
  | 'kept fresh for later'
  | 'less risk'
  | 'less wear'
  | 'not bought'
  | 'no change'
  | 'used for practice'
  | 'as good as any'
  /** In a long season single sessions are not asked what another set would cost */
  | 'not asked'
  | 'missing';

/** One session with its set, why, and what the best other set would cost besides. */
export interface Choice {
  /** By index; −1 where no set can serve */
  readonly set: number;
  readonly reason: ChoiceReason;
  readonly alternative: { readonly set: number; readonly more: number } | null;
  /** Share of its life the set is used to when the session ends, median */
  readonly usedAfter: number;
  /** Chance that it is worn out by then */
  readonly worn: number;
}

/** Sets spread over the sessions of a season, for one place of the car. */
export interface Allocation extends Solved {
  readonly problem: AllocationProblem;
  readonly choices: readonly Choice[];
  readonly cost: AllocationCost;
  /** Sets that must be bought, each with the index of its first session */
  readonly bought: readonly { readonly set: number; readonly first: number }[];
  /** Sessions that no set serves, by index */
  readonly missing: readonly number[];
}

/** Sessions from which on what another set would cost is left out: it is asked of every session anew. */
const MOST_ALTERNATIVES = 30;
/** Time that the search and the solver may take, s. */
const PATIENCE = 1.8;
/** It takes at least this much of it, however long the first search took, s. */
const LEAST_PATIENCE = 0.4;

/** Which component of the cost grows most in the alternative, as a reason. */
const REASONS = [
  ['bought', 'not bought'],
  ['risk', 'less risk'],
  ['freshInPractice', 'used for practice'],
  ['changes', 'no change'],
  ['wear', 'less wear'],
] as const;

function reasonOf(
  problem: AllocationProblem,
  cost: AllocationCost,
  other: AllocationCost,
  assignment: Assignment,
  j: number,
): ChoiceReason {
  const { sets, sessions } = problem;
  const own = sets[assignment[j]];
  if (sessions[j].fresh) return 'fresh wanted';
  if (other.total - cost.total < SAME) return 'as good as any';
  const used = own.used > STILL_FRESH;
  const laterFresh = sessions.some((session, i) => i > j && session.fresh);
  if (used && laterFresh && other.missing > cost.missing) return 'kept fresh for later';
  if (other.missing > cost.missing) return 'only one';
  if (isPractice(sessions[j].kind) && used && other.freshInPractice > cost.freshInPractice)
    return 'used for practice';
  const telling = REASONS.filter(([cost]) => cost !== 'freshInPractice' || isPractice(sessions[j].kind));
  const most = telling.reduce((a, b) => (other[b[0]] - cost[b[0]] > other[a[0]] - cost[a[0]] ? b : a));
  return most[1];
}

/** The best assignment in which one session has another set than it has; null where there is none. */
function alternativeOf(tally: Tally, assignment: Assignment, j: number) {
  const { problem } = tally;
  const options = problem.sets.flatMap((set, s) => {
    if (s === assignment[j] || !maySet(problem, s, j)) return [];
    // A set that could be bought as well as another is no alternative to it.
    const own = problem.sets[assignment[j]];
    if (own && !own.owned && !set.owned) return [];
    const pinned = new Map([[j, s]]);
    const moved = assignment.with(j, s);
    const found = tally.of(moved).allowed ? improved(tally, moved, pinned) : searched(tally, pinned, 1);
    const cost = tally.of(found);
    return cost.allowed ? [{ set: s, cost }] : [];
  });
  if (options.length === 0) return null;
  return options.reduce((a, b) => (b.cost.total < a.cost.total ? b : a));
}

function choicesOf(tally: Tally, assignment: Assignment, cost: AllocationCost): Choice[] {
  const { problem } = tally;
  const used = problem.sets.map(({ used: before }) => before);
  return assignment.map((s, j): Choice => {
    if (s < 0) return { set: -1, reason: 'missing', alternative: null, usedAfter: 0, worn: 0 };
    used[s] += problem.share[s][j];
    const asked = assignment.length <= MOST_ALTERNATIVES;
    const other = asked ? alternativeOf(tally, assignment, j) : null;
    const alone = problem.sessions[j].fresh ? 'fresh wanted' : asked ? 'only one' : 'not asked';
    // One that leaves another session without a set is no alternative.
    const serves = other !== null && other.cost.missing <= cost.missing;
    return {
      set: s,
      reason: other ? reasonOf(problem, cost, other.cost, assignment, j) : alone,
      alternative: serves ? { set: other.set, more: Math.max(0, other.cost.total - cost.total) } : null,
      usedAfter: used[s],
      worn: wornOutChance(used[s], problem.sets[s].spread),
    };
  });
}

/**
 * The sets of one place of a car spread over its season as cheaply as rules, life and risk let.
 * @param patience time that it may take, s; more of it proves more, and changes a choice only where that is worth it
 */
export function allocate(highs: Highs, problem: AllocationProblem, patience = PATIENCE): Allocation {
  const tally = new Tally(problem);
  const before = performance.now();
  const begun = searchedLong(tally);
  const rest = patience - (performance.now() - before) / 1000;
  const proven = solved(highs, tally, begun, Math.max(LEAST_PATIENCE, rest));
  const found = { ...proven, assignment: sorted(problem, proven.assignment) };
  const cost = tally.of(found.assignment);
  return {
    ...found,
    problem,
    cost,
    choices: choicesOf(tally, found.assignment, cost),
    bought: problem.sets.flatMap(({ owned }, set) => {
      const first = found.assignment.indexOf(set);
      return owned || first < 0 ? [] : [{ set, first }];
    }),
    missing: found.assignment.flatMap((s, j) => (s < 0 ? [j] : [])),
  };
}
