import { AXLES, type AxleInput, type AxleName, type Corner } from '../brake';
import { type DayInput, DEFAULT_NUMERICS, type Numerics, UNMEASURED } from '../schedule';
import { leanDay, simulateDay } from './day';
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
  const { margins, forceMargins } = leanDay(withCooling(input, (input.doubt ?? UNMEASURED).less), numerics);
  return { margins, forceMargins };
}

/**
 * A day, judged with what nobody knows of its cooling: each margin also tells what is left at the worse end of it,
 * and a limit that is passed there is close.
 * @param worse what `leftAtWorse` gives of the same input
 */
export function judged(day: DayResult, worse: Left): DayResult {
  const lessOf = (own: Margin) =>
    worse.margins.find(({ axle, side, part }) => axle === own.axle && side === own.side && part === own.part);
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
