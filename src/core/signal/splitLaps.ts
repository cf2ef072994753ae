import { intervalAt } from '../numeric';
import { type Gate, gateAt, lapsFrom, localPlane } from '../track';
import type { Log } from './mend';
import { bridged } from './mend';
import type { SpeedTrace } from './smoothSpeed';

/** Where a log crosses the start line. */
export interface Crossings {
  /** s since the log's first sample, rising */
  readonly times: readonly number[];
  /** How they were found */
  readonly by: 'position' | 'lap-number' | 'speed';
}

/** A start line on Earth: a point and the compass bearing it is crossed in, degrees. */
export interface StartLine {
  readonly latitude: number;
  readonly longitude: number;
  /** Unit vector east and north in the direction of driving */
  readonly east: number;
  readonly north: number;
}

/** Half the width a start line is watched over, m: a track and what a receiver errs. */
const HALF_WIDTH = 30;

/** Positions of a log in metres round a point, or null where it has none. */
export function positionsOf(
  log: Log,
  origin?: { readonly latitude: number; readonly longitude: number },
): { x: Float64Array; y: Float64Array; origin: { latitude: number; longitude: number } } | null {
  const { latitude, longitude } = log.channels;
  if (!latitude || !longitude) return null;
  const [lat, lon] = [bridged(log.time, latitude), bridged(log.time, longitude)];
  const start = origin ?? { latitude: lat[0], longitude: lon[0] };
  const plane = localPlane(start);
  const x = new Float64Array(lat.length);
  const y = new Float64Array(lat.length);
  for (let i = 0; i < lat.length; i++) [x[i], y[i]] = plane.toPlane(lat[i], lon[i]);
  return { x, y, origin: { latitude: start.latitude, longitude: start.longitude } };
}

/** Crossings, s, of a start line by the positions of a log, m; empty where it has none or never comes by. */
export function crossingsByPosition(log: Log, line: StartLine): Crossings {
  const found = positionsOf(log, line);
  if (!found) return { times: [], by: 'position' };
  const gate: Gate = { x: 0, y: 0, dx: line.east, dy: line.north, halfWidth: HALF_WIDTH };
  return { times: timesOf(log, found, gate), by: 'position' };
}

/** Crossings, s, of the place where the log is in the middle of its fastest part; for a circuit that is not placed. */
export function crossingsByOwnPlace(log: Log): Crossings {
  const found = positionsOf(log);
  if (!found) return { times: [], by: 'position' };
  let fastest = 0;
  log.speed.forEach((v, i) => {
    if (v > log.speed[fastest]) fastest = i;
  });
  return { times: timesOf(log, found, gateAt(found, fastest, HALF_WIDTH)), by: 'position' };
}

/** Time over which positions are averaged before a line is crossed by them, s: their scatter would cross it often. */
const AVERAGED = 0.25;

function timesOf(log: Log, track: { x: Float64Array; y: Float64Array }, gate: Gate): number[] {
  const per = Math.max(1, Math.round(AVERAGED / log.step));
  const mean = (values: Float64Array) =>
    Float64Array.from({ length: Math.floor(values.length / per) }, (_, i) => {
      let sum = 0;
      for (let k = i * per; k < (i + 1) * per; k++) sum += values[k];
      return sum / per;
    });
  const time = mean(log.time);
  const at = ({ index, share }: { index: number; share: number }) =>
    time[index] + share * (time[index + 1] - time[index]);
  const laps = lapsFrom({ x: mean(track.x), y: mean(track.y) }, gate);
  return laps.length === 0 ? [] : [at(laps[0].from), ...laps.map((lap) => at(lap.to))];
}

/** Crossings where the logger's own lap number goes up. */
export function crossingsByLapNumber(log: Log): Crossings {
  const { lap } = log.channels;
  const times: number[] = [];
  if (lap) {
    const known = bridged(log.time, lap);
    for (let i = 1; i < known.length; i++) {
      if (Math.round(known[i]) > Math.round(known[i - 1])) times.push(log.time[i]);
    }
  }
  return { times, by: 'lap-number' };
}

/** Distance between the places at which speeds are compared, m. */
const STRIDE = 5;
/** A lap may be this much longer or shorter than the circuit: another line, a worn tyre. */
const STRETCH = 0.04;
/** Misfit of a lap, as a share of the variance of its speed, up to which it is this circuit's. */
const ALIKE = 0.4;

/**
 * Crossings from speed alone: the log's speed along its way is laid over a lap's as it is known, and each further lap is
 * looked for a lap on.
 * @param speedAt speed of a lap at a distance from the start line, m/s
 * @param length of the lap, m
 */
export function crossingsBySpeed(
  trace: SpeedTrace,
  speedAt: (distance: number) => number,
  length: number,
): Crossings {
  const total = trace.distance[trace.distance.length - 1];
  const cells = Math.floor(length / STRIDE);
  if (total < 1.2 * length) return { times: [], by: 'speed' };
  const lap = Float64Array.from({ length: cells }, (_, i) => speedAt(i * STRIDE));
  const own = sampled(trace, Math.floor(total / STRIDE));
  const misfit = (start: number) => {
    let sum = 0;
    let count = 0;
    for (let i = 0; i < cells; i += 2) {
      if (start + i >= own.length || start + i < 0) continue;
      sum += (own[start + i] - lap[i]) ** 2;
      count += 1;
    }
    return count < 0.9 * (cells / 2) ? Number.POSITIVE_INFINITY : sum / count;
  };
  const best = (from: number, to: number) => {
    let [at, least] = [-1, Number.POSITIVE_INFINITY];
    for (let s = Math.max(0, Math.round(from)); s <= to; s++) {
      const m = misfit(s);
      if (m < least) [at, least] = [s, m];
    }
    return { at, least };
  };
  // The best fit anywhere is a whole lap; from it, laps are counted both ways.
  const seed = best(0, own.length - cells);
  // A lap of another circuit, or none at all, fits no better than its own mean would.
  const mean = lap.reduce((sum, v) => sum + v, 0) / cells;
  const variance = lap.reduce((sum, v) => sum + (v - mean) ** 2, 0) / cells;
  if (seed.at < 0 || seed.least > ALIKE * variance) return { times: [], by: 'speed' };
  const starts = [seed.at];
  const reach = STRETCH * cells;
  for (const way of [1, -1]) {
    for (let last = seed.at; ; ) {
      const next = best(last + way * cells - reach, last + way * cells + reach);
      if (next.at < 0 || next.least > 4 * seed.least + 60) break;
      if (way > 0) starts.push(next.at);
      else starts.unshift(next.at);
      last = next.at;
    }
  }
  // The last lap that was found ends a lap's length on.
  const ends = [...starts, starts[starts.length - 1] + cells].map((s) => s * STRIDE);
  return { times: ends.filter((d) => d < total).map((d) => timeAt(trace, d)), by: 'speed' };
}

function sampled(trace: SpeedTrace, n: number): Float64Array {
  let k = 0;
  return Float64Array.from({ length: n }, (_, i) => {
    const d = i * STRIDE;
    while (k < trace.distance.length - 2 && trace.distance[k + 1] <= d) k++;
    const span = trace.distance[k + 1] - trace.distance[k];
    const share = span > 0 ? (d - trace.distance[k]) / span : 0;
    return trace.speed[k] + share * (trace.speed[k + 1] - trace.speed[k]);
  });
}

function timeAt(trace: SpeedTrace, distance: number): number {
  const i = intervalAt(trace.distance, distance);
  const span = trace.distance[i + 1] - trace.distance[i];
  return trace.time[i] + (span > 0 ? (distance - trace.distance[i]) / span : 0) * trace.step;
}
