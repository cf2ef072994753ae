import { randomNumbers } from '../../src/core';
import type { AllocationProblem } from '../../src/services';

/** A season made up from a seed: a few sets, one of them used, some that can be bought. */
export function madeSeason(
  seed: number,
  { events, perEvent, owned, buys }: Record<'events' | 'perEvent' | 'owned' | 'buys', number>,
) {
  const random = randomNumbers(seed);
  const next = () => random.next();
  const sessions = Array.from({ length: events * perEvent }, (_, j) => ({
    id: `${j}`,
    event: Math.floor(j / perEvent),
    kind: (j % perEvent === perEvent - 1 ? 'race' : 'practice') as 'race' | 'practice',
    fresh: j === events * perEvent - 1 && seed % 2 === 0,
  }));
  const sets = [
    ...Array.from({ length: owned }, (_, i) => ({
      owned: true,
      used: i === owned - 1 ? 0 : 0.8 * next(),
      from: 0,
    })),
    ...Array.from({ length: buys }, () => ({ owned: false, used: 0, from: seed % 3 })),
  ].map((set, i) => ({
    ...set,
    id: `${i}`,
    name: `${i}`,
    price: 300,
    rings: false,
    spread: seed % 5 === 0 ? 0 : 0.25,
  }));
  const wear = sessions.map(() => 0.05 + (seed % 7 === 0 ? 0.4 : 0.2) * next());
  return {
    place: 'front rotors',
    sets,
    sessions,
    mostSets: Array.from({ length: events }, () => (seed % 4 === 0 ? 1 : null)),
    share: sets.map(() => wear),
    rules: { confidence: 0.8, riskCost: 400, changeCost: 15, valueLeft: 0.6 },
  } satisfies AllocationProblem;
}
