import { leastMargin } from '../../core';
import type { Doubt } from '../../model';
import type { Assessed } from '../compare/assess';

/** What it matters to know a value. */
export interface Worth extends Pick<Doubt, 'shelf' | 'path' | 'title' | 'by'> {
  /** Least margin to a limit with the value at its low and its high end, less that of the setup as it is, K */
  readonly low: number;
  readonly high: number;
  /** Whether the verdict itself turns between the two ends: one of them holds and the other does not */
  readonly decides: boolean;
}

const holds = ({ summary }: Assessed) => summary.verdict.kind !== 'over-limit';

/** What a value that is assumed does to the verdict between the ends of its usual range. */
export function worthOf(doubt: Doubt, base: Assessed, low: Assessed, high: Assessed): Worth {
  const { shelf, path, title, by } = doubt;
  const now = leastMargin(base.summary).margin;
  const holding = [base, low, high].map(holds);
  return {
    shelf,
    path,
    title,
    by,
    low: leastMargin(low.summary).margin - now,
    high: leastMargin(high.summary).margin - now,
    decides: holding.some((h) => h !== holding[0]),
  };
}

/** By how much the margin goes either way, K: the mean of both ends. */
export const widthOf = ({ low, high }: Pick<Worth, 'low' | 'high'>): number =>
  (Math.abs(low) + Math.abs(high)) / 2;

/** What decides first, then by how far the margin goes. */
export const rankedWorth = (list: readonly Worth[]): Worth[] =>
  [...list].sort((a, b) => Number(b.decides) - Number(a.decides) || widthOf(b) - widthOf(a));
