import type { AxleName } from '../brake';
import { type DayResult, isCold, type Margin } from '../run';

/** Every hot limit of a day's brakes: all temperatures but the bite. */
export const hotMargins = (result: Pick<DayResult, 'margins'>): readonly Margin[] =>
  result.margins.filter((margin) => !isCold(margin));

/** The hot limit with the fewest kelvin left, of one axle or of the car. @throws RangeError for a day without any */
export function leastMargin(result: Pick<DayResult, 'margins'>, axle: AxleName | null = null): Margin {
  const own = hotMargins(result).filter((margin) => axle === null || margin.axle === axle);
  if (own.length === 0) throw new RangeError('leastMargin: the day has no margin');
  return own.reduce((a, b) => (b.margin < a.margin ? b : a));
}

/** The coldest bite of an axle's hot laps, K; null where none is braked. */
export function coldestBite(result: Pick<DayResult, 'margins'>, axle: AxleName): Margin | null {
  const own = result.margins.filter((margin) => margin.axle === axle && isCold(margin));
  return own.length === 0 ? null : own.reduce((a, b) => (b.margin < a.margin ? b : a));
}

/** Whether every hot limit is kept with a margin, and the driver's force and the pedal's travel besides. @param wish K */
export function keepsAll(result: Pick<DayResult, 'margins' | 'forceMargins'>, wish: number): boolean {
  return (
    hotMargins(result).every((margin) => (wish === 0 ? !margin.passed : margin.margin >= wish)) &&
    result.forceMargins.every((margin) => !margin.passed)
  );
}
