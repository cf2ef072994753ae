import { STANDARD_GRAVITY } from '../constants';
import { GAMMA } from '../heat';
import { type LapTrace, lapTime } from '../lap';
import type { StepDemand, StepSizes, Steps } from './steps';

/** Ratio of neighbouring steps after a release. */
const GROWTH = 1.5;

interface Span {
  from: number;
  to: number;
  braking: boolean;
  zone: number;
}

/** Cuts a lap into steps that begin and end with each braking. */
export function lapSteps(trace: LapTrace, sizes: StepSizes): Steps {
  const ends: number[] = [];
  const event: number[] = [];
  const zone: number[] = [];
  const inZone: number[] = [];
  for (const span of spansOf(trace)) {
    const duration = span.to - span.from;
    const cuts = span.braking ? evenCuts(duration, sizes) : growingCuts(duration, sizes);
    cuts.forEach((cut, k) => {
      ends.push(k === cuts.length - 1 ? span.to : span.from + cut);
      event.push(k === 0 ? 1 : 0);
      zone.push(span.zone);
      inZone.push(span.braking ? 1 : 0);
    });
  }
  const time = Float64Array.from(ends);
  const m = time.length;
  const dt = Float64Array.from(ends, (t, k) => t - (k === 0 ? 0 : ends[k - 1]));
  const distance = new Float64Array(m);
  const speed = new Float64Array(m);
  const windy = trace.airSpeed !== trace.speed;
  const airSpeed = windy ? new Float64Array(m) : speed;
  const middles = new TracePlaces(
    trace,
    time.map((end, k) => end - 0.5 * dt[k]),
  );
  const ending = new TracePlaces(trace, time);
  for (let k = 0; k < m; k++) {
    speed[k] = middles.at(k, trace.speed);
    if (windy) airSpeed[k] = middles.at(k, trace.airSpeed);
    distance[k] = ending.at(k, trace.distance);
  }
  return {
    time,
    dt,
    event: Uint8Array.from(event),
    distance,
    speed,
    airSpeed,
    fan: 0,
    zone: Int32Array.from(zone),
    inZone: Uint8Array.from(inZone),
    demand: demandOf(trace, ending, dt, event),
    meanForce: trace.zones.map(({ startIndex, endIndex, length }) => {
      const work = (i: number) =>
        trace.frontHeat[i] + trace.rearHeat[i] + trace.slipped[i] + trace.recovered[i];
      return (work(endIndex) - work(startIndex)) / length;
    }),
    lateralBefore: trace.zones.map((zone) => zone.lateralBefore),
    duration: lapTime(trace),
  };
}

function demandOf(
  trace: LapTrace,
  ends: TracePlaces,
  dt: Float64Array,
  event: readonly number[],
): StepDemand {
  const m = dt.length;
  /** What each step adds to a sum along the trace. */
  const added = (values: Float64Array) => {
    const out = new Float64Array(m);
    let before = values[0];
    for (let k = 0; k < m; k++) {
      const now = ends.at(k, values);
      out[k] = now - before;
      before = now;
    }
    return out;
  };
  const { frontHeat, rearHeat, slipped, recovered } = trace;
  const whole = new Float64Array(frontHeat.length);
  for (let i = 0; i < whole.length; i++) whole[i] = frontHeat[i] + rearHeat[i] + slipped[i] + recovered[i];
  const work = added(whole);
  const recoverable = added(trace.recoverable);
  const way = added(trace.distance);
  const loss = added(trace.speed);
  const halves = (left: Float64Array, both: Float64Array) => {
    const part = added(left);
    return added(both).map((all, k) => (all > 0 ? part[k] / all : 0.5));
  };
  return {
    ...stagePowers(work, dt, event),
    force: work.map((w, k) => (way[k] > 0 ? Math.max(0, w) / way[k] : 0)),
    electric: recoverable.map((w, k) => (way[k] > 0 ? Math.max(0, w) / way[k] : 0)),
    z: loss.map((dv, k) => Math.max(0, -dv / (dt[k] * STANDARD_GRAVITY))),
    way,
    frontLeft: halves(trace.frontLeftHeat, trace.frontHeat),
    rearLeft: halves(trace.rearLeftHeat, trace.rearHeat),
  };
}

function spansOf(trace: LapTrace): Span[] {
  const spans: Span[] = [];
  let at = 0;
  trace.zones.forEach((zone, k) => {
    const start = trace.time[zone.startIndex];
    const end = trace.time[zone.endIndex];
    if (start > at) spans.push({ from: at, to: start, braking: false, zone: k - 1 });
    spans.push({ from: start, to: end, braking: true, zone: k });
    at = end;
  });
  const end = trace.time[trace.time.length - 1];
  if (end > at) spans.push({ from: at, to: end, braking: false, zone: trace.zones.length - 1 });
  return spans;
}

/** Even steps; the first is cut at a quarter, since a surface that begins to be rubbed rises with the root of time. */
export function evenCuts(duration: number, steps: StepSizes): number[] {
  const count = Math.max(steps.leastPerZone, Math.ceil(duration / steps.braking - 1e-9));
  const even = Array.from({ length: count }, (_, k) => ((k + 1) * duration) / count);
  return [even[0] / 4, ...even];
}

/** Ends of steps that grow after a release, s. */
export function growingCuts(duration: number, steps: StepSizes): number[] {
  const cuts: number[] = [];
  let at = 0;
  let step = steps.release;
  while (at < duration - 1e-9) {
    const left = duration - at;
    at += left < 1.5 * step ? left : step;
    cuts.push(at);
    step = Math.min(steps.rolling, GROWTH * step);
  }
  return cuts;
}

/** Where times lie in a trace, found once for all its values, which are linear between its points. */
class TracePlaces {
  private readonly index: Int32Array;
  private readonly share: Float64Array;

  /** @param times s, rising */
  constructor({ time }: LapTrace, times: Float64Array) {
    this.index = new Int32Array(times.length);
    this.share = new Float64Array(times.length);
    const last = time.length - 2;
    let i = 0;
    for (let k = 0; k < times.length; k++) {
      const t = times[k];
      while (i < last && time[i + 1] <= t) i++;
      this.index[k] = i;
      this.share[k] = Math.min(1, Math.max(0, (t - time[i]) / (time[i + 1] - time[i])));
    }
  }

  /** A value of the trace at time `k`. */
  at(k: number, values: Float64Array): number {
    const i = this.index[k];
    return values[i] + this.share[k] * (values[i + 1] - values[i]);
  }
}

/**
 * Powers at the two stages of each step, from the work done in each step: a line through each step with the
 * slope of its neighbours, whose stage-weighted mean is the step's exact mean power.
 */
function stagePowers(made: Float64Array, dt: Float64Array, event: readonly number[]) {
  const m = dt.length;
  const mean = made.map((heat, k) => heat / dt[k]);
  const early = new Float64Array(m);
  const late = new Float64Array(m);
  for (let k = 0; k < m; k++) {
    const before = event[k] === 1 ? k : k - 1;
    const after = k === m - 1 || event[k + 1] === 1 ? k : k + 1;
    let rise = 0;
    if (after > before) {
      let span = 0.5 * (dt[before] + dt[after]);
      if (after - before === 2) span += dt[k];
      rise = ((mean[after] - mean[before]) / span) * dt[k];
    }
    const bound = 2 * mean[k];
    rise = Math.min(bound, Math.max(-bound, rise));
    early[k] = mean[k] + rise * (GAMMA - 0.5);
    late[k] = mean[k] + 0.5 * rise;
  }
  return { early, late };
}
