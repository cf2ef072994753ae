import type { AxleName } from '../brake';
import { type DayResult, isCold, type Margin, setsDuct } from '../run';

/** Every hot limit of a day's brakes: all temperatures but the bite. */
export const hotMargins = (result: Pick<DayResult, 'margins'>): readonly Margin[] =>
  result.margins.filter((margin) => !isCold(margin));

/** The hot limit with the fewest kelvin left, of one axle or of the car. @throws RangeError for a day without any */
export function leastMargin(result: Pick<DayResult, 'margins'>, axle: AxleName | null = null): Margin {
  const own = hotMargins(result).filter((margin) => axle === null || margin.axle === axle);
  if (own.length === 0) throw new RangeError('leastMargin: the day has no margin');
  return own.reduce((a, b) => (b.margin < a.margin ? b : a));
}

/** The limit of an axle that a duct is chosen by: the one with the fewest kelvin left of those whose heat's way is known. */
export const leastForDuct = (result: Pick<DayResult, 'margins'>, axle: AxleName): Margin =>
  leastMargin({ margins: result.margins.filter(setsDuct) }, axle);

/** The least of those that set no duct. */
export const leastGuessed = (result: Pick<DayResult, 'margins'>, axle: AxleName): Margin =>
  leastMargin({ margins: result.margins.filter((margin) => !setsDuct(margin)) }, axle);

/** The coldest bite of an axle's hot laps, K; null where none is braked. */
export function coldestBite(result: Pick<DayResult, 'margins'>, axle: AxleName): Margin | null {
  const own = result.margins.filter((margin) => margin.axle === axle && isCold(margin));
  return own.length === 0 ? null : own.reduce((a, b) => (b.margin < a.margin ? b : a));
}

/**
 * Whether every hot limit is kept with a margin, and the driver's force and the pedal's travel besides; limits whose heat's
 * way is a guess need only be kept.
 * @param wish K
 */
export function keepsAll(result: Pick<DayResult, 'margins' | 'forceMargins'>, wish: number): boolean {
  return (
    hotMargins(result).every((margin) => {
      const own = setsDuct(margin) ? wish : Math.min(0, wish);
      return own === 0 ? !margin.passed : margin.margin >= own;
    }) && result.forceMargins.every((margin) => !margin.passed)
  );
}
