import type { DayInput } from '../schedule';
import { dayForces } from './forces';
import { dayMargins } from './margins';
import type { DayResult } from './result';

/**
 * What is left of each limit from one session of a day on, K, N and m, whatever the sessions before it did.
 * @param session from 0
 */
export function marginsFrom(
  input: DayInput,
  result: DayResult,
  session: number,
): Pick<DayResult, 'margins' | 'forceMargins'> {
  if (session === 0) return result;
  const { record, laps, legs } = result;
  const counted = laps.filter((lap) => lap.session >= session);
  return {
    margins: dayMargins(input, record, laps, legs, session),
    forceMargins: dayForces(input, record, counted).margins,
  };
}
