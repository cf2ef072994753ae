import { type AxleName, type DayResult, WHEELS } from '../../core';
import { celsius } from '../../project';

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

/** Brake power of one axle along a lap, kW at each interval of its trace. */
export function axlePower(result: DayResult, lapNumber: number, axle: AxleName): Float64Array {
  const { trace } = result.laps[lapNumber - 1];
  const heat = axle === 'front' ? trace.frontHeat : trace.rearHeat;
  const n = trace.time.length - 1;
  const power = new Float64Array(n + 1);
  for (let i = 0; i < n; i++) {
    const dt = trace.time[i + 1] - trace.time[i];
    power[i] = dt > 0 ? (heat[i + 1] - heat[i]) / dt / 1000 : 0;
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
