import type { LapsLeft } from '../../services';
import { LIMIT_TEXT } from './parts';
import { wheelWords } from './wording';

/** How many laps are left, in a sentence; `undefined` while nothing is computed yet. */
export function leftText(left: LapsLeft | null | undefined): string {
  if (left === undefined) return 'Computing …';
  if (!left) return 'The laps left are told after the first whole lap.';
  const { laps, looked, margin } = left;
  if (laps === null || !margin) return `No limit within ${looked} more laps like the last one.`;
  const what = `${wheelWords(margin.axle, margin.side)} ${LIMIT_TEXT[margin.part].name}`;
  return laps === 0
    ? `Come in: by the prediction the ${what} are at their limit.`
    : `About ${laps} more lap${laps === 1 ? '' : 's'} until the ${what} pass their limit.`;
}
