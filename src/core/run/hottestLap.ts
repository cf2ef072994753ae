import { WHEELS } from '../brake';
import type { DayResult } from './result';

/** Number, from 1, of the hot lap with the hottest front or rear surface; the first lap when there is no hot one. */
export function hottestLap(result: DayResult): number {
  let [best, peak] = [1, 0];
  for (const lap of result.laps) {
    if (lap.kind !== 'hot') continue;
    for (const zone of WHEELS.flatMap((wheel) => lap.wheels[wheel])) {
      // Laps that have settled differ by hundredths of a kelvin; the earliest of them is shown.
      if (zone.facePeak > peak + 0.5) [best, peak] = [lap.number, zone.facePeak];
    }
  }
  return best;
}
