import { AXLES, type AxleInput, type AxleName, type Corner } from '../brake';
import { type DayInput, DEFAULT_NUMERICS, type Numerics, UNMEASURED } from '../schedule';
import { lookAtDay, simulateDay } from './day';
import { unbrakedOf, verdictOf } from './margins';
import type { Kept } from './record';
import type { DayResult, ForceMargin, Margin } from './result';

/** The same day with all forced cooling of each axle times a factor. */
export function withCooling(input: DayInput, factors: Readonly<Record<AxleName, number>>): DayInput {
  const cooled = (corner: Corner, factor: number): Corner => ({
    ...corner,
    air: { ...corner.air, coolingFactor: corner.air.coolingFactor * factor },
  });
  const axle = (own: AxleInput, factor: number): AxleInput => ({
    ...own,
    left: cooled(own.left, factor),
    right: cooled(own.right, factor),
  });
  return { ...input, ...Object.fromEntries(AXLES.map((name) => [name, axle(input[name], factors[name])])) };
}

/** What a day leaves of its limits. */
export type Left = Pick<DayResult, 'margins' | 'forceMargins'>;

/** What is left at the worse end of what is known of a day's cooling. @throws as `simulateDay` */
export function leftAtWorse(input: DayInput, numerics: Numerics = DEFAULT_NUMERICS): Left {
  const less = withCooling(input, (input.doubt ?? UNMEASURED).less);
  return lookAtDay(less, ({ margins, forceMargins }) => ({ margins, forceMargins }), numerics);
}

/** Whether two margins are of one limit. */
function isSameLimit(a: Margin | ForceMargin, b: Margin | ForceMargin): boolean {
  if (a.part !== b.part) return false;
  return !('axle' in a && 'axle' in b) || (a.axle === b.axle && a.side === b.side);
}

/**
 * A day, judged with what nobody knows of its cooling: each margin also tells what is left at the worse end of it,
 * and a limit that is passed there is close.
 * @param worse what `leftAtWorse` gives of the same input
 */
export function judged(day: DayResult, worse: Left): DayResult {
  const lessOf = (own: Margin) => worse.margins.find((other) => isSameLimit(own, other));
  const margins = day.margins.map((own) => ({ ...own, lessCooling: lessOf(own)?.margin ?? null }));
  const forceMargins = day.forceMargins.map(
    (own): ForceMargin => ({
      ...own,
      lessCooling: worse.forceMargins.find(({ part }) => part === own.part)?.margin ?? null,
    }),
  );
  return {
    ...day,
    margins,
    forceMargins,
    verdict: verdictOf(margins, { margins: forceMargins, fade: day.fade }, day.laps, unbrakedOf(day.laps)),
  };
}

/** How much more or less than with a day like it less cooling may take: what it decides beyond is not to be guessed. */
const UNSURE = 0.1;

/**
 * A day judged as one like it was: less cooling takes as much off each margin as it took there. What it tells is what it
 * tells once it is judged itself; the mark of a margin that less cooling just brings to its limit may be another one.
 * @param like a judged day that differs little from it
 * @returns null where its verdict, or a figure told with it, hangs on what is guessed
 */
export function likelyJudged(day: DayResult, like: DayResult): DayResult | null {
  const margins = likelyLeft(day.margins, like.margins);
  const forceMargins = likelyLeft(day.forceMargins, like.forceMargins);
  if (!margins || !forceMargins) return null;
  const likely = judged(day, { margins, forceMargins });
  const { kind } = likely.verdict;
  if (kind === 'over-limit' || kind === 'not-judged') return likely;
  // One that is close is told with what is left with less cooling.
  const sure = [...likely.margins, ...likely.forceMargins].every(
    ({ margin, lessCooling }) => margin - (1 + UNSURE) * (margin - (lessCooling ?? 0)) > 0,
  );
  return sure ? likely : null;
}

/** What is left of some margins with less cooling, as less cooling took off those of another day; null if not known. */
function likelyLeft<M extends Margin | ForceMargin>(margins: readonly M[], like: readonly M[]): M[] | null {
  const left: M[] = [];
  for (const own of margins) {
    const known = like.find((other) => isSameLimit(own, other));
    if (!known || known.lessCooling === null) return null;
    left.push({ ...own, margin: own.margin - (known.margin - known.lessCooling) });
  }
  return left;
}

/**
 * A day and its judgement one after another. Takes two days' time.
 * @param kept what of it is recorded
 * @throws as `simulateDay`
 */
export const judgedDay = (
  input: DayInput,
  numerics: Numerics = DEFAULT_NUMERICS,
  kept: Kept = 'all',
): DayResult => judged(simulateDay(input, numerics, kept), leftAtWorse(input, numerics));
