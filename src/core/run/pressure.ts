import { standardPressure } from '../air';
import type { DayInput } from './input';

/** Air pressure at a day's circuit, Pa: as measured, else the standard one at its height. */
export function pressureOf(input: Pick<DayInput, 'altitude' | 'pressure'>): number {
  return input.pressure ?? standardPressure(input.altitude);
}
