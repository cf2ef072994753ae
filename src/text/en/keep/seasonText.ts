import type { Allocation, Remaining, SeasonPlan } from '../../../services';
import { PLACE_TEXT, pieceText } from './words';

const plain = (value: number): string =>
  value >= 99.5 ? 'over 99' : value < 9.95 ? value.toFixed(1) : value.toFixed(0);

/** How many more sessions, with the interval: “2.3 more (1.6 to 3.1)”. */
export function remainingText(left: Remaining): string {
  if (left.median === 0) return 'none more';
  const why = left.by.why === 'cracks' ? ', by cracks' : '';
  return `${plain(left.median)} more (${plain(left.low)} to ${plain(left.high)}${why})`;
}

/** The same as a sentence of a run sheet: “Front left inner pad: 2.3 more at Anvil Park (1.6 to 3.1).” */
export function remainingSentence(left: Remaining, circuit: string): string {
  const piece = pieceText(left.by);
  const title = `${piece.slice(0, 1).toUpperCase()}${piece.slice(1)}`;
  if (left.median === 0) return `${title}: at its limit, not one more at ${circuit}.`;
  const why = left.by.why === 'cracks' ? ' before cracks are to be expected' : '';
  return `${title}: ${plain(left.median)} more at ${circuit} (${plain(left.low)} to ${plain(left.high)})${why}.`;
}

/** Whether it is shown that no other choice costs less. */
export const provenText = ({ proven, within }: Allocation, money: (value: number) => string): string =>
  proven
    ? 'No allowed choice costs less.'
    : Number.isFinite(within)
      ? `The best found in the time given; no other can cost less by more than ${money(within)}.`
      : 'The best found in the time given; how far from the cheapest was not shown.';

/** What is missing where no choice serves every session; '' where nothing is. */
export function missingText(
  { sessions }: Pick<SeasonPlan, 'sessions'>,
  { problem, missing }: Allocation,
): string {
  if (missing.length === 0) return '';
  const first = sessions[missing[0]];
  const count = `${missing.length} ${missing.length === 1 ? 'session has' : 'sessions have'}`;
  return `${PLACE_TEXT[problem.place]}: ${count} no set, the first on ${first.event.date} (${first.event.name}, ${first.session.name}). Order earlier, let more sets be used, lower the confidence, or plan fewer laps.`;
}
