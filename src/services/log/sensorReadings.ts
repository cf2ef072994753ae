import { type Channel, type Log, type WheelName, ZERO_CELSIUS } from '../../core';
import { MEASURED } from './measured';

/** A temperature channel of a log, thinned; °C, as observations are stored. */
export interface SensorReading {
  readonly channel: Channel;
  readonly wheel: WheelName;
  readonly place: 'disc' | 'caliper' | 'fluid';
  readonly samples: readonly { readonly s: number; readonly c: number }[];
}

/** Samples that are kept of a channel. */
const KEPT = 48;
/** Samples within so many seconds of one are averaged, against scatter. */
const AVERAGED = 0.6;

const PLACES = { rotorBulk: 'disc', caliper: 'caliper', fluid: 'fluid' } as const;

/** What the temperature sensors of a log read, each thinned to the points that carry its shape. */
export function sensorReadings({ time, channels }: Log): SensorReading[] {
  return MEASURED.flatMap(([channel, wheel, part]): SensorReading[] => {
    const values = channels[channel];
    if (!values) return [];
    const samples = thinned(time, values);
    if (samples.length === 0) return [];
    return [{ channel, wheel, place: PLACES[part], samples }];
  });
}

/**
 * Points of a series that carry its shape: of every bucket the one that makes the largest triangle with its neighbours
 * (Steinarsson 2013). @returns s and °C
 */
function thinned(time: Float64Array, values: Float64Array): { s: number; c: number }[] {
  const points = averaged(time, values);
  if (points.length <= KEPT) return points.map(rounded);
  const kept = [points[0]];
  const size = (points.length - 2) / (KEPT - 2);
  for (let bucket = 0; bucket < KEPT - 2; bucket++) {
    const from = 1 + Math.floor(bucket * size);
    const to = 1 + Math.floor((bucket + 1) * size);
    const next = points.slice(to, Math.min(points.length, 1 + Math.floor((bucket + 2) * size)));
    const mean = (of: (point: readonly [number, number]) => number) =>
      next.reduce((sum, point) => sum + of(point) / next.length, 0);
    const [ahead, level] =
      next.length > 0 ? [mean(([s]) => s), mean(([, c]) => c)] : points[points.length - 1];
    const [s0, c0] = kept[kept.length - 1];
    let [best, most] = [points[from], -1];
    for (let i = from; i < to; i++) {
      const [s, c] = points[i];
      const area = Math.abs((s0 - ahead) * (c - c0) - (s0 - s) * (level - c0));
      if (area > most) [best, most] = [points[i], area];
    }
    kept.push(best);
  }
  return [...kept, points[points.length - 1]].map(rounded);
}

const rounded = ([s, c]: readonly [number, number]) => ({
  s: Math.round(s * 100) / 100,
  c: Math.round(c * 10) / 10,
});

/** Means over short spans, s and °C. */
function averaged(time: Float64Array, values: Float64Array): (readonly [number, number])[] {
  const points: (readonly [number, number])[] = [];
  let [sumT, sumC, count, begun] = [0, 0, 0, Number.NaN];
  const put = () => {
    if (count > 0) points.push([sumT / count, sumC / count]);
    [sumT, sumC, count] = [0, 0, 0];
  };
  for (let i = 0; i < time.length; i++) {
    if (!Number.isFinite(values[i])) continue;
    if (count > 0 && time[i] - begun > AVERAGED) put();
    if (count === 0) begun = time[i];
    sumT += time[i];
    sumC += values[i] - ZERO_CELSIUS;
    count += 1;
  }
  put();
  return points;
}
