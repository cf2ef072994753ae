import { STANDARD_GRAVITY } from '../constants';
import { GAMMA } from '../heat';
import { type LapTrace, lapTime } from '../lap';
import { LentRoom, OWN_ROOM, type Room } from '../numeric';
import type { StepDemand, StepSizes, Steps } from './steps';

/** Ratio of neighbouring steps after a release. */
const GROWTH = 1.5;

/** For what is needed only while steps are cut; of a usual lap. */
const passing = new LentRoom(131_072);

interface Span {
  from: number;
  to: number;
  braking: boolean;
  zone: number;
}

/** Cuts a lap into steps that begin and end with each braking. */
export function lapSteps(trace: LapTrace, sizes: StepSizes): Steps {
  passing.clear();
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
  const time = new Float64Array(ends);
  const m = time.length;
  const dt = new Float64Array(m);
  for (let k = 0; k < m; k++) dt[k] = time[k] - (k === 0 ? 0 : time[k - 1]);
  const middle = passing.floats(m);
  for (let k = 0; k < m; k++) middle[k] = time[k] - 0.5 * dt[k];
  const middles = new TracePlaces(trace, middle);
  const ending = new TracePlaces(trace, time);
  const speed = middles.of(trace.speed, OWN_ROOM);
  return {
    time,
    dt,
    event: new Uint8Array(event),
    distance: ending.of(trace.distance, OWN_ROOM),
    speed,
    airSpeed: trace.airSpeed === trace.speed ? speed : middles.of(trace.airSpeed, OWN_ROOM),
    fan: 0,
    zone: new Int32Array(zone),
    inZone: new Uint8Array(inZone),
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
  const front = ends.added(trace.frontHeat);
  const rear = ends.added(trace.rearHeat);
  const slipped = ends.added(trace.slipped);
  const recovered = ends.added(trace.recovered);
  const work = passing.floats(m);
  for (let k = 0; k < m; k++) work[k] = front[k] + rear[k] + slipped[k] + recovered[k];
  const recoverable = ends.added(trace.recoverable);
  const way = ends.added(trace.distance, OWN_ROOM);
  const loss = ends.added(trace.speed);
  const force = new Float64Array(m);
  const electric = new Float64Array(m);
  const z = new Float64Array(m);
  for (let k = 0; k < m; k++) {
    force[k] = way[k] > 0 ? Math.max(0, work[k]) / way[k] : 0;
    electric[k] = way[k] > 0 ? Math.max(0, recoverable[k]) / way[k] : 0;
    z[k] = Math.max(0, -loss[k] / (dt[k] * STANDARD_GRAVITY));
  }
  return {
    ...stagePowers(work, dt, event),
    force,
    electric,
    z,
    way,
    frontLeft: partOf(ends.added(trace.frontLeftHeat, OWN_ROOM), front),
    rearLeft: partOf(ends.added(trace.rearLeftHeat, OWN_ROOM), rear),
  };
}

/** What one is of all, step by step; half where there is nothing. Written over `part`. */
function partOf(part: Float64Array, all: Float64Array): Float64Array {
  for (let k = 0; k < part.length; k++) part[k] = all[k] > 0 ? part[k] / all[k] : 0.5;
  return part;
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
  const cuts = [duration / count / 4];
  for (let k = 1; k <= count; k++) cuts.push((k * duration) / count);
  return cuts;
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
    this.index = passing.ints(times.length);
    this.share = passing.floats(times.length);
    const last = time.length - 2;
    let i = 0;
    for (let k = 0; k < times.length; k++) {
      const t = times[k];
      while (i < last && time[i + 1] <= t) i++;
      this.index[k] = i;
      this.share[k] = Math.min(1, Math.max(0, (t - time[i]) / (time[i + 1] - time[i])));
    }
  }

  /** A value of the trace at each of the times. @param room where it lies */
  of(values: Float64Array, { floats }: Room = passing): Float64Array {
    const { index, share } = this;
    const found = floats(index.length);
    for (let k = 0; k < found.length; k++) {
      const i = index[k];
      found[k] = values[i] + share[k] * (values[i + 1] - values[i]);
    }
    return found;
  }

  /** What each of the times adds to a sum along the trace; likewise. */
  added(values: Float64Array, room: Room = passing): Float64Array {
    const found = this.of(values, room);
    let before = values[0];
    for (let k = 0; k < found.length; k++) {
      const now = found[k];
      found[k] = now - before;
      before = now;
    }
    return found;
  }
}

/**
 * Powers at the two stages of each step, from the work done in each step: a line through each step with the
 * slope of its neighbours, whose stage-weighted mean is the step's exact mean power.
 */
function stagePowers(made: Float64Array, dt: Float64Array, event: readonly number[]) {
  const m = dt.length;
  const mean = passing.floats(m);
  for (let k = 0; k < m; k++) mean[k] = made[k] / dt[k];
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
