import { AXLES, type AxleInput, type Corner } from '../brake';
import { type DayInput, DEFAULT_NUMERICS, type Numerics } from '../schedule';
import { simulateDay } from './day';
import { unbrakedOf, verdictOf } from './margins';
import type { DayResult, ForceMargin, Margin } from './result';

/** What uncalibrated cooling may be off by to the worse side. */
export const LESS_COOLING = 0.7;

/** The same day with all forced cooling times a factor. */
export function withCooling(input: DayInput, factor: number): DayInput {
  const cooled = (corner: Corner): Corner => ({
    ...corner,
    air: { ...corner.air, coolingFactor: corner.air.coolingFactor * factor },
  });
  const axle = (own: AxleInput): AxleInput => ({ ...own, left: cooled(own.left), right: cooled(own.right) });
  return { ...input, ...Object.fromEntries(AXLES.map((name) => [name, axle(input[name])])) };
}

/**
 * A day, judged with what nobody knows of its cooling: each margin also tells what is left with 0.7 times the cooling, and a
 * limit that is passed there is close. Takes two days' time.
 * @throws as `simulateDay`
 */
export function judgedDay(input: DayInput, numerics: Numerics = DEFAULT_NUMERICS): DayResult {
  const day = simulateDay(input, numerics);
  const worse = simulateDay(withCooling(input, LESS_COOLING), numerics);
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
