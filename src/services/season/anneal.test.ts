import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { madeSeason } from '../../../tests/support/madeSeason';
import { annealed } from './anneal';
import { capacity, Tally } from './problem';
import { searched, searchedLong } from './search';

const size = { events: 5, perEvent: 2, owned: 2, buys: 2 };

describe('annealing', () => {
  it('begun from anything allowed gives what is allowed and costs no more, and always the same', () => {
    for (const seed of [1, 4, 7]) {
      const tally = new Tally(madeSeason(seed, size));
      const nothing = tally.problem.sessions.map(() => -1);
      for (const begun of [nothing, searched(tally)]) {
        const found = annealed(tally, begun);
        expect(found).toEqual(annealed(tally, begun));
        for (const assignment of found) {
          const { allowed, total } = tally.of(assignment);
          expect(allowed).toBe(true);
          expect(total).toBeLessThanOrEqual(tally.of(begun).total + 1e-9);
        }
      }
      const long = tally.of(searchedLong(tally)).total;
      expect(long).toBeLessThanOrEqual(tally.of(searched(tally)).total + 1e-9);
    }
  });

  it('leaves sets that cost nothing, and seasons of no session, as they are', () => {
    const own = madeSeason(3, size);
    const free = new Tally({ ...own, sets: own.sets.map((set) => ({ ...set, price: 0 })) });
    const begun = own.sessions.map(() => -1);
    expect(annealed(free, begun)).toEqual([begun]);
    const none = new Tally({ ...own, sessions: [], share: own.sets.map(() => []), mostSets: [] });
    expect(annealed(none, [])).toEqual([[]]);
  });
});

describe('what an assignment costs', () => {
  it('is the sum of what it is made of; it is allowed as long as no set is used past its life and no rule broken', () => {
    const choice = fc.integer({ min: -1, max: size.owned + size.buys - 1 });
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 40 }),
        fc.array(choice, { minLength: 10, maxLength: 10 }),
        (seed, assignment) => {
          const own = madeSeason(seed, size);
          const cost = new Tally(own).of(assignment);
          const { wear, bought, changes, risk, freshInPractice, missing } = cost;
          expect(missing).toBe(assignment.filter((s) => s < 0).length);
          expect(cost.total).toBeCloseTo(wear + bought + changes + risk + freshInPractice + 1e6 * missing, 4);
          expect(cost.allowed).toBe(cost.over === 0);
          const past = own.sets.map((set, s) => {
            const used = assignment.reduce(
              (sum, at, j) => (at === s ? sum + own.share[s][j] : sum),
              set.used,
            );
            const served = assignment.includes(s);
            return served ? Math.max(0, used - capacity(set, own.rules.confidence)) : 0;
          });
          const sum = past.reduce((all, own) => all + own, 0);
          if (Number.isFinite(cost.over)) expect(cost.over).toBeCloseTo(sum, 9);
          else {
            // A rule is broken: too early, no longer new, or too many of an event.
            const early = assignment.some((s, j) => s >= 0 && j < own.sets[s].from);
            const counted = own.mostSets.some((most, e) => {
              const at = assignment.filter((s, j) => s >= 0 && own.sessions[j].event === e);
              return most !== null && new Set(at).size > most;
            });
            const stale = own.sessions.some(
              ({ fresh }, j) =>
                fresh &&
                assignment[j] >= 0 &&
                (own.sets[assignment[j]].used > 0.02 || assignment.indexOf(assignment[j]) < j),
            );
            expect(early || counted || stale).toBe(true);
          }
          // Without one of its sessions it never costs more for wear, nor wears anything further.
          const j = assignment.findIndex((s) => s >= 0);
          if (j >= 0) expect(new Tally(own).of(assignment.with(j, -1)).wear).toBeLessThanOrEqual(wear + 1e-9);
        },
      ),
      { numRuns: 300 },
    );
  });
});
