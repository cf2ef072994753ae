import type { AxleName, BeddingPhase, BeddingPlan, BeddingStep } from '../../core';

/** One instruction of a bedding run, as it is read out: an application, or rolling in one go. SI. */
export interface BeddingCard {
  readonly phase: BeddingPhase;
  readonly does: 'brake' | 'roll';
  /** Which application of its phase, from 1, and of how many; 0 rolling */
  readonly n: number;
  readonly of: number;
  /** m/s */
  readonly from: number;
  readonly to: number;
  /** s since the run began */
  readonly start: number;
  /** s */
  readonly seconds: number;
  /** m */
  readonly distance: number;
  /** What it comes to by its end */
  readonly at: BeddingStep['at'];
}

/** A plan as the instructions that a driver is given, pieces of rolling joined. */
export function beddingCards({ steps, warmUps, snubs }: BeddingPlan): BeddingCard[] {
  const cards: BeddingCard[] = [];
  const count = { 'warm-up': 0, snubs: 0, 'roll-out': 0 };
  const all = { 'warm-up': warmUps, snubs, 'roll-out': 0 };
  let time = 0;
  for (const step of steps) {
    const start = time;
    time += step.duration;
    const last = cards[cards.length - 1];
    const joins = last?.does === 'roll' && (last.phase === step.phase || step.phase === 'snubs');
    if (step.does === 'roll' && joins) {
      cards[cards.length - 1] = {
        ...last,
        to: step.to,
        seconds: last.seconds + step.duration,
        distance: last.distance + step.distance,
        at: step.at,
      };
      continue;
    }
    const { phase, does, from, to } = step;
    const n = does === 'brake' ? ++count[phase] : 0;
    const of = does === 'brake' ? all[phase] : 0;
    const seconds = step.duration;
    cards.push({ phase, does, n, of, from, to, start, seconds, distance: step.distance, at: step.at });
  }
  // Rolled steps are known by their middles: the speed it goes on from is the next application's.
  return cards.map((card, i) => {
    const next = cards[i + 1];
    return card.does === 'roll' && next?.does === 'brake' ? { ...card, to: next.from } : card;
  });
}

/**
 * Bedded share of an axle after so many applications of a plan, 0 to 1; the rest of the plan was not driven.
 * @param before share that it began with
 */
export function beddedAfterCards(
  plan: BeddingPlan,
  axle: AxleName,
  driven: { readonly warmUps: number; readonly snubs: number },
  before: number,
): number {
  const left = { 'warm-up': driven.warmUps, snubs: driven.snubs, 'roll-out': 0 };
  let bedded = before;
  for (const { phase, does, at } of plan.steps) {
    if (does !== 'brake' || left[phase] <= 0) continue;
    left[phase] -= 1;
    bedded = at[axle].bedded;
  }
  return bedded;
}
