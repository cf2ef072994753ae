import { STANDARD_GRAVITY } from '../constants';
import type { DrivenLap, Vehicle, WindyLine } from '../lap';
import { engineBrakingAt, type Forces, resistance } from '../lap';
import { intervalAt } from '../numeric';
import type { LapKind } from '../schedule';
import { bridged, type Log } from './mend';
import { type Braked, restore } from './restore';
import type { SpeedTrace } from './smoothSpeed';

/** A part of a log: a lap, a part of one, or standing. */
export type LogPiece =
  | {
      readonly kind: 'lap';
      readonly lap: LapKind;
      /** From start line to start line; false for the way from and to the pits */
      readonly whole: boolean;
      /** s since the log's first sample */
      readonly from: number;
      readonly to: number;
      readonly driven: DrivenLap;
      /** Time in gaps of the log within it, s */
      readonly missing: number;
    }
  | { readonly kind: 'stand'; readonly from: number; readonly to: number };

/** What a log is cut up with. */
export interface CutUp {
  readonly log: Log;
  readonly trace: SpeedTrace;
  /** s since the log's first sample */
  readonly crossings: readonly number[];
  readonly vehicle: Vehicle;
  readonly forces: Forces;
  /** The driver's time from first touch to full braking, s; taken where the samples are too coarse to show it */
  readonly buildUp: number;
  /** The circuit's line, for curvature, grade and wind; null takes level and straight road and calm air */
  readonly line: WindyLine | null;
  readonly nameAt: (distance: number) => string;
}

/** Under this the car stands, m/s; for so long that it counts, s. */
const STANDS = 1;
const STANDS_FOR = 15;
/** Laps slower than the best by this share are cool-down laps. */
const HOT = 1.12;
/** Slowest that a driven piece is computed with, m/s. */
const CRAWL = 0.5;

/** Cuts a log into laps, parts of laps and standing, each lap ready to be braked. */
export function cutUp(input: CutUp): LogPiece[] {
  const { trace, crossings } = input;
  const end = trace.time[trace.time.length - 1];
  const stands = standing(trace);
  const edges = [
    // A receiver wanders over the line while the car stands beside it; that is no lap.
    ...crossings
      .filter((t) => !stands.some(([a, b]) => t > a - trace.step && t < b + trace.step))
      .map((t) => ({ t, line: true })),
    ...stands.flatMap(([from, to]) => [
      { t: from, line: false },
      { t: to, line: false },
    ]),
  ].sort((a, b) => a.t - b.t);
  const bounds = [{ t: 0, line: false }, ...edges, { t: end, line: false }];
  const spans = bounds
    .slice(1)
    .map((b, i) => ({
      from: bounds[i].t,
      to: b.t,
      whole: bounds[i].line && b.line,
      ends: b.line,
      begins: bounds[i].line,
    }))
    .filter((s) => s.to - s.from > 2 * trace.step);
  const wholeTimes = spans.filter((s) => s.whole).map((s) => s.to - s.from);
  const best = Math.min(...wholeTimes);
  const length = lapLengthOf(input, spans);
  return spans.map((span): LogPiece => {
    const { from, to, whole } = span;
    const middle = 0.5 * (from + to);
    if (stands.some(([a, b]) => middle >= a && middle <= b)) return { kind: 'stand', from, to };
    const lap: LapKind = !whole ? (span.ends ? 'out' : 'cool') : to - from <= HOT * best ? 'hot' : 'cool';
    const driven = drivenPiece(input, span, length);
    return { kind: 'lap', lap, whole, from, to, driven, missing: missingIn(input.log, from, to) };
  });
}

interface Span {
  readonly from: number;
  readonly to: number;
  readonly whole: boolean;
  readonly ends: boolean;
  readonly begins: boolean;
}

/** Length that laps are drawn on: the circuit's, or the median of the log's own. */
function lapLengthOf({ line, trace }: CutUp, spans: readonly Span[]): number | null {
  if (line) return line.length;
  const lengths = spans
    .filter((s) => s.whole)
    .map((s) => wayAt(trace, s.to) - wayAt(trace, s.from))
    .sort((a, b) => a - b);
  return lengths[lengths.length >> 1] ?? null;
}

function standing(trace: SpeedTrace): (readonly [number, number])[] {
  const found: [number, number][] = [];
  let since = -1;
  for (let i = 0; i <= trace.time.length; i++) {
    const still = i < trace.time.length && trace.speed[i] < STANDS;
    if (still && since < 0) since = i;
    if (still || since < 0) continue;
    const [from, to] = [trace.time[since], trace.time[i - 1]];
    if (to - from >= STANDS_FOR) found.push([from, to]);
    since = -1;
  }
  return found;
}

function wayAt(trace: SpeedTrace, t: number): number {
  const i = Math.min(trace.time.length - 2, Math.max(0, Math.floor(t / trace.step)));
  const share = (t - trace.time[i]) / trace.step;
  const v = trace.speed[i] + 0.5 * share * (trace.speed[i + 1] - trace.speed[i]);
  return trace.distance[i] + share * trace.step * v;
}

function missingIn(log: Log, from: number, to: number): number {
  let missing = 0;
  for (let i = 1; i < log.time.length; i++) {
    if (log.time[i] < from || log.time[i - 1] > to) continue;
    const gap = log.time[i] - log.time[i - 1];
    if (gap > 4 * log.step && gap > 0.25) missing += gap;
  }
  return missing;
}

function drivenPiece(input: CutUp, span: Span, lapLength: number | null): DrivenLap {
  const { trace } = input;
  const sampled = samplesIn(trace, span);
  const way = wayOf(sampled.time, sampled.speed);
  const total = way[way.length - 1];
  const scale = span.whole && lapLength ? lapLength / total : 1;
  const offset = !span.begins && span.ends && lapLength ? lapLength - total : 0;
  const lookUp = lineLookUp(input.line);
  const places = middles(way, (s) => offset + scale * s);
  const mask = brakingMask(input, sampled.time, sampled.speed, Array.from(places, lookUp));
  const { forces } = input;
  const coasting = (v: number) =>
    -(resistance(forces, v, 0) + engineBrakingAt(forces, v)) / (forces.mass * forces.inertia);
  const coarse = { time: sampled.time, speed: sampled.speed, braking: mask };
  const { time, speed, braking } =
    input.buildUp < BUILD_UP_STEPS * trace.step
      ? restore(coarse, sampled.raw, input.buildUp, coasting)
      : sharpened(coarse);
  const driven = wayOf(time, speed);
  const length = driven[driven.length - 1];
  const place = (s: number) => offset + (span.whole && lapLength ? lapLength / length : 1) * s;
  return {
    distance: driven.map(place),
    speed: Float64Array.from(speed, (v) => Math.max(CRAWL, v)),
    grade: middles(driven, (s) => lookUp(place(s)).grade),
    curvature: middles(driven, (s) => lookUp(place(s)).curvature),
    ...(input.line?.headwind && { headwind: driven.map((s) => lookUp(place(s)).headwind) }),
    duration: Float64Array.from(braking, (_, i) => time[i + 1] - time[i]),
    braking,
    nameAt: input.nameAt,
  };
}

/** A build-up of fewer samples than this does not show in them. */
const BUILD_UP_STEPS = 4;

/** Samples of a span with its ends put in: smoothed speeds and as they were sampled. */
function samplesIn(trace: SpeedTrace, { from, to }: Span) {
  const at = (values: Float64Array, t: number) => {
    const i = Math.min(values.length - 2, Math.max(0, Math.floor(t / trace.step)));
    const share = (t - trace.time[i]) / trace.step;
    return Math.max(CRAWL, values[i] + share * (values[i + 1] - values[i]));
  };
  const first = Math.floor(from / trace.step) + 1;
  const last = Math.min(trace.time.length - 1, Math.ceil(to / trace.step) - 1);
  const time: number[] = [from];
  for (let i = first; i <= last; i++) {
    // A sample that falls on the crossing would leave an interval of no length.
    if (trace.time[i] - from > 0.2 * trace.step && to - trace.time[i] > 0.2 * trace.step)
      time.push(trace.time[i]);
  }
  time.push(to);
  return { time, speed: time.map((t) => at(trace.speed, t)), raw: time.map((t) => at(trace.raw, t)) };
}

/** Way driven at each point, m. */
function wayOf(time: readonly number[], speed: readonly number[]): Float64Array {
  const way = new Float64Array(time.length);
  for (let i = 1; i < time.length; i++) {
    way[i] = way[i - 1] + 0.5 * (speed[i - 1] + speed[i]) * (time[i] - time[i - 1]);
  }
  return way;
}

const middles = (way: Float64Array, of: (s: number) => number) =>
  Float64Array.from({ length: way.length - 1 }, (_, i) => of(0.5 * (way[i] + way[i + 1])));

/** What a place along the line is like; the wind in m/s. */
type Place = Readonly<Record<'grade' | 'curvature' | 'headwind', number>>;

function lineLookUp(line: WindyLine | null): (distance: number) => Place {
  if (!line) return () => ({ grade: 0, curvature: 0, headwind: 0 });
  const { distance: points, length } = line;
  return (distance) => {
    const s = distance - Math.floor(distance / length) * length;
    const i = intervalAt(points, s);
    const share = (s - points[i]) / (points[i + 1] - points[i]);
    const between = (values: Float64Array) => values[i] + share * (values[i + 1] - values[i]);
    const headwind = line.headwind ? between(line.headwind) : 0;
    return { grade: between(line.grade), curvature: between(line.curvature), headwind };
  };
}

/** Braking beyond what coasting does that begins a braking zone, and under which it has ended, as shares of the weight. */
const BEGINS = 0.06;
const ENDS = 0.025;
/** Loss of speed under which a braking is taken for scatter, m/s. */
const LEAST = 0.5;
/** Line pressure that counts as braking, Pa. */
const PRESSED = 2e5;

/** Intervals in which the brakes are on: by line pressure where it is logged, else by more than coasting slows. */
function brakingMask(
  { log, forces }: CutUp,
  time: readonly number[],
  speed: readonly number[],
  places: readonly Place[],
): Uint8Array {
  const n = time.length - 1;
  const mask = new Uint8Array(n);
  const pressure = log.channels.frontPressure;
  const known = pressure ? bridged(log.time, pressure) : null;
  const weight = forces.mass * STANDARD_GRAVITY;
  let on = false;
  let k = 0;
  for (let i = 0; i < n; i++) {
    const v = 0.5 * (speed[i] + speed[i + 1]);
    const slowing = (speed[i] - speed[i + 1]) / (time[i + 1] - time[i]);
    const force =
      forces.mass * forces.inertia * slowing -
      resistance(forces, v + places[i].headwind, places[i].grade) -
      engineBrakingAt(forces, v);
    if (known) {
      const t = 0.5 * (time[i] + time[i + 1]);
      while (k < log.time.length - 2 && log.time[k + 1] <= t) k++;
      on = Math.max(known[k], known[k + 1]) > PRESSED && force > 0;
    } else on = force > (on ? ENDS : BEGINS) * weight;
    mask[i] = on ? 1 : 0;
  }
  // What is too short or too little to be a foot on the pedal is scatter.
  for (let i = 0; i < n; i++) {
    if (mask[i] === 0) continue;
    let end = i;
    while (end < n && mask[end] === 1) end++;
    if (speed[i] - speed[end] < LEAST) mask.fill(0, i, end);
    i = end;
  }
  return mask;
}

/** Least change of acceleration that makes a kink worth finding, m/s². */
const KINK = 2;
/** How straight the lines on both sides of a kink must be, as a share of the change at it. */
const STRAIGHT = 0.12;

/**
 * Moves the sample nearest to each begin and end of a braking to where the lines before and after it meet, so that the
 * speed there is not cut off between two samples.
 */
function sharpened(braked: Braked): Braked {
  const time = [...braked.time];
  const speed = [...braked.speed];
  const slope = (a: number, b: number) =>
    (braked.speed[b] - braked.speed[a]) / (braked.time[b] - braked.time[a]);
  for (let j = 3; j < braked.braking.length - 3; j++) {
    if (braked.braking[j] === braked.braking[j - 1]) continue;
    const [a, b] = [slope(j - 3, j - 1), slope(j + 1, j + 3)];
    if (Math.abs(a - b) < KINK) continue;
    // A foot that comes on gradually bends the line over several samples; there is no corner to restore in that.
    const bend = Math.max(
      Math.abs(slope(j - 2, j - 1) - slope(j - 3, j - 2)),
      Math.abs(slope(j + 1, j + 2) - slope(j + 2, j + 3)),
    );
    if (bend > STRAIGHT * Math.abs(a - b)) continue;
    const [before, after] = [braked.time[j - 1], braked.time[j + 1]];
    const t = (braked.speed[j + 1] - braked.speed[j - 1] + a * before - b * after) / (a - b);
    const room = 0.1 * (after - before);
    if (t < before + room || t > after - room) continue;
    time[j] = t;
    speed[j] = braked.speed[j - 1] + a * (t - before);
  }
  return { time, speed, braking: braked.braking };
}
