import type { QueryClient } from '@tanstack/react-query';
import type { DayResult } from '../core';
import { dayInput, type Setup } from '../model';
import type { EngineClient } from './engineClient';
import { LatestOnly } from './latestOnly';
import { dayKey, QUESTION } from './question';

/** A result with the setup it belongs to. */
export interface Computed {
  readonly setup: Setup;
  readonly result: DayResult;
}

/** How long a day that nothing shows is kept, ms: long enough to go back and forth between plans. */
const KEPT = 300_000;

/**
 * The days of the whole page: the selected plan's as saved, and with a what-if in it. Whatever asks for one is given the
 * same, and each is computed once; what is renamed or wished for is no other day.
 */
export class Days {
  readonly saved: LatestOnly<Setup, Computed>;
  readonly moved: LatestOnly<Setup, Computed>;

  constructor(engine: EngineClient, queries: QueryClient) {
    const run = async (setup: Setup): Promise<Computed> => ({
      setup,
      result: await queries.fetchQuery({
        queryKey: QUESTION.day(setup),
        queryFn: () => engine.call((remote) => remote.simulate(dayInput(setup))),
        gcTime: KEPT,
      }),
    });
    const carry = (known: Computed, setup: Setup): Computed | null =>
      dayKey(known.setup) === dayKey(setup) ? { setup, result: known.result } : null;
    this.saved = new LatestOnly(run, carry);
    this.moved = new LatestOnly(run, carry);
  }
}
