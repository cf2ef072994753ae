import type { QueryClient } from '@tanstack/react-query';
import { type DayResult, judged, likelyJudged } from '../core';
import { dayInput, type Setup } from '../model';
import { FirstLook } from './firstLook';
import type { Judging } from './judging';
import { LatestOnly } from './latestOnly';
import { dayKey, QUESTION } from './question';

/** A result with the setup it belongs to. */
export interface Computed {
  readonly setup: Setup;
  readonly result: DayResult;
}

/** A day as it was driven. */
interface Driven extends Computed {
  /** Whether it is judged with what nobody knows of its cooling */
  readonly whole: boolean;
}

/** How long a day that nothing shows is kept, ms: long enough to go back and forth between plans. */
const KEPT = 300_000;
/** The same of a what-if: a control that is dragged to and fro leaves about one of 1.4 MB each second. */
const MOVED_KEPT = 60_000;

/**
 * The days of the whole page: the selected plan's as saved, and with a what-if in it. Whatever asks for one is given the
 * same, and each is computed once; what is renamed or wished for is no other day. A what-if is shown as soon as it is
 * driven: what is left of it with less cooling follows.
 */
export class Days {
  readonly saved: LatestOnly<Setup, Computed>;
  readonly moved: FirstLook<Setup, Driven, Computed>;
  /** The last day that was driven before anybody asked for it; null of one that cannot be driven */
  private ahead: { readonly key: string; readonly day: Promise<DayResult | null> } | null = null;

  /** @param drawn waits until the page has drawn what it has */
  constructor(
    private readonly judging: Judging,
    private readonly queries: QueryClient,
    drawn: () => Promise<void> = async () => {},
  ) {
    const carry = <C extends Computed>(known: C, setup: Setup): C | null =>
      dayKey(known.setup) === dayKey(setup) ? { ...known, setup } : null;
    this.saved = new LatestOnly(async (setup) => ({ setup, result: await this.of(setup) }), carry);
    this.moved = new FirstLook({
      look: async (setup) => {
        const known = queries.getQueryData<DayResult>(QUESTION.day(setup));
        if (known) return { setup, result: known, whole: true };
        const ahead = this.ahead?.key === dayKey(setup) ? await this.ahead.day : null;
        return { setup, result: ahead ?? (await judging.own(dayInput(setup))), whole: false };
      },
      whole: async ({ setup, result, whole }) => ({
        setup,
        result: whole
          ? result
          : await this.once(
              setup,
              async () => judged(result, await judging.left(dayInput(setup))),
              MOVED_KEPT,
            ),
      }),
      meanwhile: ({ setup, result, whole }, known) => {
        if (whole) return { setup, result };
        const like = [known, this.saved.getState().done?.value].find(
          (day) => day && isSamePlan(day.setup, setup),
        );
        const likely = like ? likelyJudged(result, like.result) : null;
        return likely && { setup, result: likely };
      },
      carry,
      drawn,
    });
  }

  /** A setup's day, judged; the page's own where it is the same. @throws as `judgedDay`; EngineError */
  of(setup: Setup): Promise<DayResult> {
    return this.once(setup, () => this.judging.whole(dayInput(setup)));
  }

  /** @param kept how long it is kept where nothing shows it, ms */
  private once(setup: Setup, result: () => Promise<DayResult>, kept = KEPT): Promise<DayResult> {
    return this.queries.fetchQuery({ queryKey: QUESTION.day(setup), queryFn: result, gcTime: kept });
  }

  /** Tells that days will be moved; the saved one is there. */
  beginMoving(): void {
    this.judging.begin();
  }

  /** Drives a day that may be asked for next, while no other is. Nothing is told of one that cannot be driven. */
  driveAhead(setup: Setup): void {
    const key = dayKey(setup);
    const { judging, queries, moved, saved } = this;
    if (this.ahead?.key === key || queries.getQueryData(QUESTION.day(setup))) return;
    if (saved.getState().running || moved.isLooking) return;
    this.ahead = { key, day: judging.own(dayInput(setup)).catch(() => null) };
  }
}

/** Whether two setups are of one plan, whatever is moved in it. */
export const isSamePlan = (a: Setup, b: Setup): boolean =>
  a.plan.id === b.plan.id && a.car.id === b.car.id && a.circuit.id === b.circuit.id;
