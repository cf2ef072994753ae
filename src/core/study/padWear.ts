import type { Corner, WheelName } from '../brake';
import { GAMMA } from '../heat';
import { exp } from '../numeric';
import type { DayRecord } from '../run';

/** Friction material lost for each joule up to the mild temperature, m³/J (from memory). */
const MILD_WEAR = 5e-14;
/** Face temperature up to which wear goes with the work alone, K, and the rise that doubles it above (from memory). */
const MILD_UP_TO = 573.15;
const DOUBLING = 150;

/**
 * Friction material one pad of a wheel loses over a day, m: an index to compare setups with. Wear goes with the friction
 * work and doubles with each 150 K of the face above 300 °C (exponential above a mild regime, as Rhee 1974 reports;
 * figures from memory).
 */
export function padWear(corner: Corner, record: DayRecord, wheel: WheelName): number {
  const { early, late, padFace } = record.wheels[wheel];
  let volume = 0;
  for (let i = 1; i < padFace.length; i++) {
    if (early[i] <= 0 && late[i] <= 0) continue;
    const work = (record.time[i] - record.time[i - 1]) * ((1 - GAMMA) * early[i] + GAMMA * late[i]);
    const over = Math.max(0, padFace[i] - MILD_UP_TO);
    volume += work * MILD_WEAR * exp((Math.LN2 * over) / DOUBLING);
  }
  return volume / (2 * corner.pad.area);
}
