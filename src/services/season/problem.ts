import { normalProbability } from '../../core';
import type { SessionKind, SetPlace } from '../../model';
import { capacityOf } from '../keep/wearLeft';

/** A set that may serve, or one that could be bought. */
export interface SetSupply {
  readonly id: string;
  readonly name: string;
  readonly owned: boolean;
  /** For both wheels */
  readonly price: number;
  /** Rings alone, on bells that stay */
  readonly rings: boolean;
  /** Share of its life used when the season begins, 0 to 1 */
  readonly used: number;
  /** Spread of the logarithm of its wear */
  readonly spread: number;
  /** First session it can serve: what is still to be ordered comes later */
  readonly from: number;
}

/** A session that needs a set. */
export interface SessionNeed {
  readonly id: string;
  /** Index of its event */
  readonly event: number;
  readonly kind: SessionKind;
  /** The set must be new when it begins */
  readonly fresh: boolean;
}

/** Which set of one place of the car serves which session: all that the choice depends on. */
export interface AllocationProblem {
  readonly place: SetPlace;
  readonly sets: readonly SetSupply[];
  /** In the order driven */
  readonly sessions: readonly SessionNeed[];
  /** Most sets that the rules allow at each event; null for no such rule */
  readonly mostSets: readonly (number | null)[];
  /** Share of its life that each set (first) loses in each session, median */
  readonly share: readonly (readonly number[])[];
  readonly rules: {
    /** Probability with which a set must be within its life when a session ends, 0.5 to 0.99 */
    readonly confidence: number;
    readonly riskCost: number;
    readonly changeCost: number;
    /** Share of the price that unused life is still worth */
    readonly valueLeft: number;
  };
}

/** Set of each session, by index; −1 for none. */
export type Assignment = readonly number[];

/** Used no more than this, a set is new (own choice: its first laps are its bedding). */
export const STILL_FRESH = 0.02;
/** A new set first used in practice costs this share of its price besides: it is no longer there for the race (own choice). */
export const FRESH_IN_PRACTICE = 0.1;
/** Of two choices alike, the set that must be bought is used less and later: its wear counts this much more (own choice). */
export const BOUGHT_EARLY = 1.02;
/** Money below which two choices are as good as each other. */
export const SAME = 0.5;
/** A session without any set: dearer than anything else. */
export const MISSING_COST = 1e6;
/** Where the chance of being worn out is touched by a straight line: standard deviations under the median's end of life. */
const TOUCHED_AT = [-2, -1.3, -0.85];

/** Sessions that may wear out a set which was not there for the race: the first use of new parts in them is a pity. */
export const isPractice = (kind: SessionKind): boolean => kind === 'practice' || kind === 'test';

/** Share of its life to which a set may be used so that it is within it with the wanted confidence. */
export const capacity = ({ spread }: SetSupply, confidence: number): number =>
  capacityOf(spread, 100 * confidence);

/** Chance that a set used to some share of its life is worn out: its wear is lognormal about the median. */
export const wornOutChance = (share: number, spread: number): number => {
  if (share <= 0) return 0;
  return spread > 0 ? normalProbability(Math.log(share) / spread) : share > 1 ? 1 : 0;
};

/** Lines under that chance, each `slope·share + offset`: the greatest of them and 0 stands for it where sets may be used. */
export function riskLines(spread: number): readonly { readonly slope: number; readonly offset: number }[] {
  if (!(spread > 0)) return [];
  return TOUCHED_AT.map((z) => {
    const share = Math.exp(z * spread);
    const density = Math.exp(-0.5 * z * z) / Math.sqrt(2 * Math.PI);
    const slope = density / (spread * share);
    return { slope, offset: normalProbability(z) - slope * share };
  });
}

/** What an assignment costs, by what it is made of; money. */
export interface AllocationCost {
  /** Whether every rule is kept and no set used past what it may be; sessions without a set are no breach */
  readonly allowed: boolean;
  /** Life used past what sets may be used to, shares of a life; infinite where a rule is broken that nothing outweighs */
  readonly over: number;
  readonly total: number;
  /** Life used up, and what a bought set loses by being bought */
  readonly wear: number;
  readonly bought: number;
  readonly changes: number;
  readonly risk: number;
  /** New sets first used in practice */
  readonly freshInPractice: number;
  /** Sessions without a set */
  readonly missing: number;
}

/** Whether a set may serve a session at all. */
export function maySet({ sets, sessions }: AllocationProblem, s: number, j: number): boolean {
  const { from, used } = sets[s];
  return j >= from && (!sessions[j].fresh || used <= STILL_FRESH);
}

/** Counts what assignments of one problem cost, in one pass each: a search asks for thousands. */
export class Tally {
  private readonly capacities: readonly number[];
  private readonly lines: readonly (readonly { readonly slope: number; readonly offset: number }[])[];
  private readonly able: readonly (readonly boolean[])[];
  private readonly after: Float64Array;
  private readonly first: Int32Array;
  /** Event at which a set was counted last */
  private readonly counted: Int32Array;
  private readonly setsAt: Int32Array;

  constructor(readonly problem: AllocationProblem) {
    const { sets, sessions, mostSets, rules } = problem;
    this.capacities = sets.map((set) => capacity(set, rules.confidence));
    this.lines = sets.map(({ spread }) => riskLines(spread));
    this.able = sets.map((_, s) => sessions.map((_session, j) => maySet(problem, s, j)));
    this.after = new Float64Array(sets.length);
    this.first = new Int32Array(sets.length);
    this.counted = new Int32Array(sets.length);
    this.setsAt = new Int32Array(mostSets.length);
  }

  /** @param assignment need not be allowed */
  of(assignment: Assignment): AllocationCost {
    const { sets, sessions, share, rules, mostSets } = this.problem;
    const { after, first, counted, setsAt } = this;
    for (const [s, { used }] of sets.entries()) after[s] = used;
    first.fill(-1);
    counted.fill(-1);
    setsAt.fill(0);
    let [over, missing] = [0, 0];
    for (let j = 0; j < assignment.length; j++) {
      const s = assignment[j];
      if (s < 0) {
        missing += 1;
        continue;
      }
      const { event, fresh } = sessions[j];
      if (!this.able[s][j] || (fresh && first[s] >= 0)) over = Number.POSITIVE_INFINITY;
      if (first[s] < 0) first[s] = j;
      after[s] += share[s][j];
      // Sessions of an event follow each other.
      if (counted[s] !== event) setsAt[event] += 1;
      counted[s] = event;
    }
    let [wear, bought, risk, freshInPractice, changes] = [0, 0, 0, 0, 0];
    for (let s = 0; s < sets.length; s++) {
      if (first[s] < 0) continue;
      const { price, used, owned } = sets[s];
      if (after[s] > this.capacities[s] + 1e-9) over += after[s] - this.capacities[s];
      wear += rules.valueLeft * price * (after[s] - used) * (owned ? 1 : BOUGHT_EARLY);
      if (!owned) bought += (1 - rules.valueLeft) * price;
      if (used <= STILL_FRESH && isPractice(sessions[first[s]].kind))
        freshInPractice += FRESH_IN_PRACTICE * price;
      risk += rules.riskCost * this.riskOf(s);
    }
    for (let e = 0; e < mostSets.length; e++) {
      if (setsAt[e] > (mostSets[e] ?? Number.POSITIVE_INFINITY)) over = Number.POSITIVE_INFINITY;
      changes += rules.changeCost * Math.max(0, setsAt[e] - 1);
    }
    const total = wear + bought + changes + risk + freshInPractice + MISSING_COST * missing;
    return { allowed: over === 0, over, total, wear, bought, changes, risk, freshInPractice, missing };
  }

  /** Greatest of the lines under the chance that a set is worn out by then. */
  private riskOf(s: number): number {
    let most = 0;
    for (const { slope, offset } of this.lines[s]) most = Math.max(most, slope * this.after[s] + offset);
    return most;
  }
}
