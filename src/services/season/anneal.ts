import { randomNumbers } from '../../core';
import { type AllocationCost, type Assignment, MISSING_COST, maySet, type Tally } from './problem';

/** Moves that are tried, from each of some beginnings of the random numbers (own choice, by trial over made-up seasons). */
const MOVES = 50_000;
const RUNS = 3;
/** Rise of cost that is still taken in one of e tries, shares of the dearest set's price: at first, and at last. */
const FIRST_RISE = 0.15;
const LAST_RISE = 0.0005;
/** While moves are tried, a session without a set costs a set: at its full price none would ever be left open. */
const MISSING_SETS = 1;
/** So does half a life past what a set may be used to: sessions find their sets through choices that are not allowed. */
const OVER_SETS = 2;
/** Longest stretch of sessions in which two sets are exchanged, beside all that follow. */
const LONGEST_STRETCH = 6;

/** Moves of one assignment in place, each of which can be taken back. */
class Mover {
  private readonly able: readonly (readonly number[])[];
  private readonly moved: number[] = [];

  constructor(
    private readonly tally: Tally,
    private readonly random: ReturnType<typeof randomNumbers>,
    readonly now: number[],
  ) {
    const { sets, sessions } = tally.problem;
    this.able = sessions.map((_, j) => [...sets.keys()].filter((s) => maySet(tally.problem, s, j)));
  }

  /** Whether anything changed. */
  try(): boolean {
    this.moved.length = 0;
    const kind = this.random.next();
    if (kind < 0.4) this.another();
    else if (kind < 0.7) this.exchange();
    else if (kind < 0.9) this.exchangeSets();
    else this.event();
    return this.moved.length > 0;
  }

  back(): void {
    for (let k = this.moved.length - 2; k >= 0; k -= 2) this.now[this.moved[k]] = this.moved[k + 1];
  }

  private any(count: number): number {
    return Math.min(count - 1, Math.floor(this.random.next() * count));
  }

  private put(j: number, s: number): void {
    this.moved.push(j, this.now[j]);
    this.now[j] = s;
  }

  /** One session has another set, or none. */
  private another(): void {
    const j = this.any(this.now.length);
    const able = this.able[j];
    const k = this.any(able.length + 1);
    this.put(j, k === able.length ? -1 : able[k]);
  }

  /** Two sessions exchange their sets. */
  private exchange(): void {
    const [i, j] = [this.any(this.now.length), this.any(this.now.length)];
    const [a, b] = [this.now[i], this.now[j]];
    if (a === b) return;
    this.put(i, b);
    this.put(j, a);
  }

  /** Two sets exchange what they serve from one session on, for a stretch or to the end. */
  private exchangeSets(): void {
    const { sets } = this.tally.problem;
    const [a, b] = [this.any(sets.length), this.any(sets.length)];
    const from = this.any(this.now.length);
    const all = this.random.next() < 0.5;
    const to = all ? this.now.length : Math.min(this.now.length, from + 1 + this.any(LONGEST_STRETCH));
    for (let j = from; a !== b && j < to; j++) {
      if (this.now[j] === a) this.put(j, b);
      else if (this.now[j] === b) this.put(j, a);
    }
  }

  /** An event's sessions have one set. */
  private event(): void {
    const { sets, sessions } = this.tally.problem;
    const { event } = sessions[this.any(sessions.length)];
    const s = this.any(sets.length);
    for (let j = 0; j < sessions.length; j++) {
      if (sessions[j].event === event && this.able[j].includes(s)) this.put(j, s);
    }
  }
}

function run(tally: Tally, begun: Assignment, price: number, seed: number): Assignment {
  const random = randomNumbers(seed);
  const energy = ({ total, missing, over }: AllocationCost) =>
    total + OVER_SETS * price * over - missing * (MISSING_COST - MISSING_SETS * price);
  const mover = new Mover(tally, random, [...begun]);
  let cost = tally.of(begun);
  let best = { assignment: begun, total: cost.total };
  for (let k = 0; k < MOVES; k++) {
    if (!mover.try()) continue;
    const next = tally.of(mover.now);
    const rise = energy(next) - energy(cost);
    const bearable = price * FIRST_RISE * (LAST_RISE / FIRST_RISE) ** (k / MOVES);
    if (!Number.isFinite(next.over) || (rise > 0 && random.next() >= Math.exp(-rise / bearable))) {
      mover.back();
      continue;
    }
    cost = next;
    if (next.allowed && next.total < best.total - 1e-9)
      best = { assignment: [...mover.now], total: next.total };
  }
  return best.assignment;
}

/**
 * A cheaper assignment by simulated annealing (Kirkpatrick, Gelatt and Vecchi, Science 220, 1983): moves that cost more are
 * taken too, ever more seldom. Always the same moves, so that a season is planned alike on every machine.
 * @param begun an allowed assignment @returns allowed ones that cost no more, one for each beginning of the random numbers
 */
export function annealed(tally: Tally, begun: Assignment): readonly Assignment[] {
  const { sets, sessions } = tally.problem;
  const price = Math.max(0, ...sets.map((set) => set.price));
  if (sessions.length === 0 || price === 0) return [begun];
  return Array.from({ length: RUNS }, (_, k) => run(tally, begun, price, k + 1));
}
