import { rootOfSquares } from '../numeric';

/** A stop found in a speed over time. */
export interface FoundStop {
  /** s since the trace's first sample, at first touch and when the last speed is reached */
  readonly start: number;
  readonly end: number;
  /** m/s */
  readonly from: number;
  readonly to: number;
  /** m */
  readonly distance: number;
  /** s */
  readonly time: number;
  /** Mean fully developed, between 80 and 10 % of the first speed; over the whole stop where it ends above, m/s² */
  readonly meanDeceleration: number;
  /** Greatest over a fifth of a second, m/s² */
  readonly peakDeceleration: number;
  /** Standard deviation of the distance by scatter and time between samples, m */
  readonly error: number;
}

/** What counts as a stop. All m/s and m/s². */
export interface StopWanted {
  /** Least speed braked from */
  readonly from: number;
  /** Highest speed it may end at */
  readonly to: number;
  /** Least deceleration of a car that is braked: more than drag and engine make */
  readonly braked: number;
}

/** A foot that leaves the pedal for less than this is still in the same stop, s. */
const LEFT = 0.4;
/** For so long it must slow to be braked: scatter does not, s. */
const HELD = 0.5;
/** Under this a car that was braked is as good as at rest, m/s. */
const REST = 0.5;

/**
 * Finds stops in a speed over time: from the first touch of the pedal to the last speed.
 * @param trace on an even grid of time, without scatter: s, m/s, the scatter it had, m/s, and the time between its samples, s
 * @param sampled time between samples as they came, s: it may be longer than the grid's
 */
export function findStops(
  {
    time,
    speed,
    noise,
    step,
  }: {
    readonly time: Float64Array;
    readonly speed: Float64Array;
    readonly noise: number;
    readonly step: number;
  },
  { from, to, braked }: StopWanted,
  sampled = step,
): FoundStop[] {
  const found: FoundStop[] = [];
  const slows = (i: number) => (speed[i] - speed[i + 1]) / (time[i + 1] - time[i]) > braked;
  const last = time.length - 1;
  for (let i = 0; i < last; i++) {
    if (!slows(i) || !isHeld(time, speed, i, braked)) continue;
    let end = i + 1;
    // On while it is braked, and over a foot that comes off for a moment; not over a car that is at rest.
    for (let k = i + 1; k < last && speed[k] > REST && time[k] - time[end] < LEFT; k++)
      if (slows(k)) end = k + 1;
    const [v0, v1] = [speed[i], speed[end] <= REST ? 0 : speed[end]];
    if (v0 >= from && v1 <= to) found.push(stopOf(time, speed, i, end, v1, noise, sampled));
    i = end;
  }
  return found;
}

/** Whether the speed falls on for a while, as braking does. */
function isHeld(time: Float64Array, speed: Float64Array, i: number, braked: number): boolean {
  let k = i + 1;
  while (k < time.length - 1 && time[k] - time[i] < HELD && speed[k] > REST) k++;
  return (speed[i] - speed[k]) / (time[k] - time[i]) > braked;
}

/**
 * First touch after the sample before it, s: a foot that comes on at once would be this late, one that comes on evenly not
 * at all; half of it is right for both to half a sample.
 */
function touchedAfter(time: Float64Array, speed: Float64Array, first: number, end: number): number {
  if (first + 2 > end) return 0;
  const lost = speed[first] - speed[first + 1];
  const next = (speed[first + 1] - speed[first + 2]) / (time[first + 2] - time[first + 1]);
  const whole = time[first + 1] - time[first];
  return next > 0 ? 0.5 * Math.max(0, whole - lost / next) : 0;
}

function stopOf(
  time: Float64Array,
  speed: Float64Array,
  first: number,
  end: number,
  to: number,
  noise: number,
  sampled: number,
): FoundStop {
  const from = speed[first];
  const way = new Float64Array(end - first + 1);
  for (let k = first; k < end; k++) {
    way[k - first + 1] = way[k - first] + 0.5 * (speed[k] + speed[k + 1]) * (time[k + 1] - time[k]);
  }
  // The last bit to rest goes on as the braking did: at walking pace a logger tells little.
  const mean = (from - speed[end]) / (time[end] - time[first]);
  const rest = to === 0 ? speed[end] : 0;
  const late = touchedAfter(time, speed, first, end);
  const distance = way[way.length - 1] + (rest * rest) / (2 * mean) - from * late;
  const duration = time[end] - time[first] + rest / mean - late;
  const wayAt = (v: number) => {
    let k = first;
    while (k < end - 1 && speed[k + 1] > v) k++;
    const share = speed[k] > speed[k + 1] ? (speed[k] - v) / (speed[k] - speed[k + 1]) : 1;
    return way[k - first] + Math.min(1, Math.max(0, share)) * (way[k - first + 1] - way[k - first]);
  };
  const [high, low] = [0.8 * from, 0.1 * from];
  const fully = to < low ? (high * high - low * low) / (2 * (wayAt(low) - wayAt(high))) : Number.NaN;
  let peak = 0;
  for (let a = first, b = first; b <= end; b++) {
    while (time[b] - time[a] > 0.2 && a < b - 1) a++;
    if (b > a) peak = Math.max(peak, (speed[a] - speed[b]) / Math.max(0.2, time[b] - time[a]));
  }
  return {
    start: time[first] + late,
    end: time[end],
    from,
    to,
    distance,
    time: duration,
    meanDeceleration: Number.isFinite(fully) ? fully : (from * from - to * to) / (2 * distance),
    peakDeceleration: peak,
    // Scatter adds up as the root of the samples; first touch is told to one of them, either way.
    error: rootOfSquares(noise * Math.sqrt(sampled * duration), (from * sampled) / Math.sqrt(3)),
  };
}
