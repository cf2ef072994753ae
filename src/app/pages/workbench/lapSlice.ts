import { type AxleName, type DayResult, WHEELS } from '../../../core';
import { celsius } from '../../../text/en';

/** Samples of one lap: first and last (excluded) in the session's record. */
export function lapSamples(result: DayResult, lapNumber: number): readonly [from: number, to: number] {
  const { lap } = result.record;
  const index = lapNumber - 1;
  let from = 0;
  while (from < lap.length && lap[from] < index) from++;
  let to = from;
  while (to < lap.length && lap[to] === index) to++;
  return [from, to];
}

/** Brake power of one axle along a lap, kW at each interval of its trace, as the friction of each braking zone shared it. */
export function axlePower(result: DayResult, lapNumber: number, axle: AxleName): Float64Array {
  const { trace, forces } = result.laps[lapNumber - 1];
  const { frontHeat, rearHeat, time } = trace;
  const planned = axle === 'front' ? frontHeat : rearHeat;
  const n = time.length - 1;
  const power = new Float64Array(n + 1);
  const share = new Float64Array(n + 1).fill(-1);
  trace.zones.forEach((zone, k) => {
    const { frontHeat: front, rearHeat: rear } = forces[k];
    const own = front + rear > 0 ? (axle === 'front' ? front : rear) / (front + rear) : 0;
    share.fill(own, zone.startIndex, zone.endIndex);
  });
  for (let i = 0; i < n; i++) {
    const dt = time[i + 1] - time[i];
    if (dt <= 0) continue;
    const all = frontHeat[i + 1] - frontHeat[i] + rearHeat[i + 1] - rearHeat[i];
    power[i] = (share[i] < 0 ? planned[i + 1] - planned[i] : share[i] * all) / dt / 1000;
  }
  return power;
}

/** Highest temperature of the whole session that a chart must hold, °C. */
export function topTemperature(results: readonly (DayResult | null | undefined)[]): number {
  let top = 0;
  for (const result of results) {
    if (!result) continue;
    for (const wheel of WHEELS) {
      top = Math.max(top, celsius(result.peaks[wheel].rotorFace), celsius(result.peaks[wheel].padFace));
    }
  }
  return top;
}
