import { randomNumbers } from '../../core';
import { type Assignment, maySet, type Tally } from './problem';

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

/** Moves of one session, of an event's sessions together, and exchanges of two, as long as one of them costs less. */
export function improved(tally: Tally, begun: Assignment, pinned: Pinned): Assignment {
  const { problem } = tally;
  const { sets, sessions, mostSets } = problem;
  let best = begun;
  let cost = tally.of(begun).total;
  const tried = (next: Assignment): boolean => {
    const { allowed, total } = tally.of(next);
    if (!allowed || total >= cost - 1e-9) return false;
    [best, cost] = [next, total];
    return true;
  };
  const free = (j: number) => !pinned.has(j);
  for (let round = 0; round < MOST_ROUNDS; round++) {
    let moved = false;
    for (let j = 0; j < sessions.length; j++) {
      if (!free(j)) continue;
      for (let s = 0; s < sets.length; s++) {
        if (s !== best[j] && maySet(problem, s, j)) moved = tried(best.with(j, s)) || moved;
      }
    }
    for (let e = 0; e < mostSets.length; e++) {
      for (let s = 0; s < sets.length; s++) {
        const serves = (j: number) => sessions[j].event === e && free(j) && maySet(problem, s, j);
        moved = tried(best.map((own, j) => (serves(j) ? s : own))) || moved;
      }
    }
    for (let i = 0; i < sessions.length; i++) {
      for (let j = i + 1; j < sessions.length; j++) {
        if (best[i] === best[j] || !free(i) || !free(j)) continue;
        moved = tried(best.with(i, best[j]).with(j, best[i])) || moved;
      }
    }
    if (!moved) break;
  }
  return best;
}

/**
 * A good assignment by greedy beginnings and moves that cost less: where the integer programme begins. Deterministic.
 * @param pinned sessions whose set is given
 */
export function searched(tally: Tally, pinned: Pinned = new Map(), starts = STARTS): Assignment {
  const random = randomNumbers(1);
  const found = Array.from({ length: starts }, (_, k) => {
    const noise = () => (k === 0 ? 0 : 0.3 * random.next());
    return improved(tally, greedy(tally, pinned, noise), pinned);
  });
  return found.reduce((a, b) => (tally.of(b).total < tally.of(a).total ? b : a));
}
