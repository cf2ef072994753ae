import type { AxleName, DayResult } from '../../../core';
import { shownWheel } from '../../state/selection';

/** Rotor temperature along a lap in pieces of even length. */
export function heatAlong(result: DayResult, lap: number, axle: AxleName, length: number) {
  const { record } = result;
  const values = record.wheels[shownWheel(result, axle, 'hotter')].rotorBulk;
  const count = 140;
  const sums = new Float64Array(count);
  const counts = new Float64Array(count);
  let last = Number.NaN;
  for (let i = 0; i < record.time.length; i++) {
    if (record.lap[i] !== lap - 1) continue;
    const at = (((record.distance[i] / length) % 1) + 1) % 1;
    const to = Math.min(count - 1, Math.floor(at * count));
    // Long steps on the straights leave pieces out; they are as hot as where the step ended.
    const from = Number.isNaN(last) || to < last ? to : last + 1;
    for (let k = from; k <= to; k++) {
      sums[k] += values[i];
      counts[k] += 1;
    }
    last = to;
  }
  const kelvins = Array.from(sums, (sum, k) => (counts[k] > 0 ? sum / counts[k] : Number.NaN));
  for (let k = 0; k < 2 * count; k++) {
    const i = k % count;
    if (Number.isNaN(kelvins[i])) kelvins[i] = kelvins[(i + count - 1) % count];
  }
  const pieces = kelvins.map((kelvin, k) => ({ from: (k * length) / count, length: length / count, kelvin }));
  return { pieces, low: Math.min(...kelvins), high: Math.max(...kelvins) };
}
