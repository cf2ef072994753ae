import { randomNumbers } from '../../core';
import { annealed } from './anneal';
import { type AllocationProblem, type Assignment, maySet, type Tally } from './problem';

/** Beginnings of a search; the best of what they come to is kept. */
const STARTS = 3;
/** Rounds in which nothing but ever better moves are made. */
const MOST_ROUNDS = 40;

/** Sessions that keep the set they are given. */
export type Pinned = ReadonlyMap<number, number>;

/** Each session in its order takes the allowed set that costs least so far; those that want a fresh one come first. */
function greedy(tally: Tally, pinned: Pinned, noise: () => number): number[] {
  const { sets, sessions } = tally.problem;
  const assignment = sessions.map((_, j) => pinned.get(j) ?? -1);
  const all = [...sessions.keys()];
  for (const j of [...all.filter((i) => sessions[i].fresh), ...all.filter((i) => !sessions[i].fresh)]) {
    if (pinned.has(j)) continue;
    let [best, least] = [-1, Number.POSITIVE_INFINITY];
    for (let s = 0; s < sets.length; s++) {
      assignment[j] = s;
      const { allowed, total } = tally.of(assignment);
      const cost = total * (1 + noise());
      if (allowed && cost < least) [best, least] = [s, cost];
    }
    assignment[j] = best;
  }
  return assignment;
}

/** Assignments a move away from one: one session with another set, an event's sessions with one, two exchanged. */
function* movesFrom(
  problem: AllocationProblem,
  from: () => Assignment,
  pinned: Pinned,
): Generator<Assignment> {
  const { sets, sessions, mostSets } = problem;
  const free = (j: number) => !pinned.has(j);
  for (let j = 0; j < sessions.length; j++) {
    for (let s = 0; free(j) && s < sets.length; s++) {
      if (s !== from()[j] && maySet(problem, s, j)) yield from().with(j, s);
    }
  }
  for (let e = 0; e < mostSets.length; e++) {
    for (let s = 0; s < sets.length; s++) {
      const serves = (j: number) => sessions[j].event === e && free(j) && maySet(problem, s, j);
      yield from().map((own, j) => (serves(j) ? s : own));
    }
  }
  for (let i = 0; i < sessions.length; i++) {
    for (let j = i + 1; free(i) && j < sessions.length; j++) {
      const now = from();
      if (now[i] !== now[j] && free(j)) yield now.with(i, now[j]).with(j, now[i]);
    }
  }
}

/** Makes moves as long as one of them costs less. */
export function improved(tally: Tally, begun: Assignment, pinned: Pinned): Assignment {
  let best = begun;
  let cost = tally.of(begun).total;
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const before = cost;
    for (const next of movesFrom(tally.problem, () => best, pinned)) {
      const { allowed, total } = tally.of(next);
      if (allowed && total < cost - 1e-9) [best, cost] = [next, total];
    }
    if (cost === before) break;
  }
  return best;
}

/** The best assignment found without the solver: greedy beginnings, annealing, and moves that cost less. Deterministic. */
export function searchedLong(tally: Tally): Assignment {
  return cheapest(
    tally,
    annealed(tally, searched(tally)).map((found) => improved(tally, found, new Map())),
  );
}

const cheapest = (tally: Tally, found: readonly Assignment[]): Assignment =>
  found.reduce((a, b) => (tally.of(b).total < tally.of(a).total ? b : a));

/**
 * A good assignment by greedy beginnings and moves that cost less. Deterministic.
 * @param pinned sessions whose set is given
 */
export function searched(tally: Tally, pinned: Pinned = new Map(), starts = STARTS): Assignment {
  const random = randomNumbers(1);
  const found = Array.from({ length: starts }, (_, k) => {
    const noise = () => (k === 0 ? 0 : 0.3 * random.next());
    return improved(tally, greedy(tally, pinned, noise), pinned);
  });
  return cheapest(tally, found);
}
