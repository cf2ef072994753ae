import { localPlane } from '../track';
import { type Channel, LogError, type LogNote, type RawLog } from './channels';
import { mendClock } from './mendClock';

/** A log whose time rises and whose speed is known. */
export interface Log {
  /** s since its first sample, rising; n */
  readonly time: Float64Array;
  /** m/s; n */
  readonly speed: Float64Array;
  /** Other channels, NaN where missing; n each */
  readonly channels: Readonly<Partial<Record<Channel, Float64Array>>>;
  /** Median time between samples, s */
  readonly step: number;
  readonly notes: readonly LogNote[];
}

/** Fewest samples that make a log. */
const FEWEST = 20;
/** Gaps longer than this many steps are said. */
const GAP_STEPS = 4;
/** Longest log that is read, s, and most samples it is laid on, at its own rate. */
const LONGEST_LOG = 24 * 3600;
const MOST_SAMPLES = 4_000_000;
/** No car on wheels changes its speed faster, m/s². */
const FASTEST = 75;
/** Plausible ranges; what lies outside was no reading. */
const RANGES: Readonly<Partial<Record<Channel, readonly [number, number]>>> = {
  speed: [-5, 150],
  latitude: [-90, 90],
  longitude: [-180, 180],
  height: [-500, 9000],
  frontPressure: [-5e5, 4e7],
  rearPressure: [-5e5, 4e7],
  ambient: [220, 340],
};
const TEMPERATURE: readonly [number, number] = [220, 1800];
const isTemperature = (channel: Channel) => /^(rotor|caliper|fluid)/.test(channel);

/**
 * Puts a log right where that is safe, and says what it did: samples whose time runs back are left out, a clock that was
 * set by quarter hours is set back, gaps of over an hour are cut down to one, single spikes are bridged, speed is made
 * from positions where there is none.
 * @throws LogError where fewer than 20 samples or neither speed, distance nor positions are left, or it is too long
 */
export function mendLog(raw: RawLog): Log {
  const notes: LogNote[] = [];
  const { time: clock, kept, cuts } = mendClock(raw.time, notes);
  if (kept.length < FEWEST) {
    throw new LogError(
      `A log needs at least ${FEWEST} samples with a time; this one has ${kept.length}.${notes.some((note) => note.kind === 'far-time') ? ' Times of more than 1e11 s are none: is the unit of the time right?' : ''}`,
      kept[0] ?? -1,
    );
  }
  const step = medianStep(clock);
  assertLength(clock, kept, step);
  noteGaps(clock, kept, step, notes);
  const channels: Partial<Record<Channel, Float64Array>> = {};
  for (const [name, values] of Object.entries(raw.channels) as [Channel, Float64Array][]) {
    const own = Float64Array.from(kept, (i) => values[i]);
    outOfRange(name, own, kept, notes);
    if (own.some((v) => Number.isFinite(v))) channels[name] = own;
    else notes.push({ kind: 'missing', channel: name, count: own.length, first: 0, size: 0 });
  }
  if (channels.speed) {
    const { speed, ...others } = channels;
    const own = bridged(clock, speed);
    despike(clock, own, kept, notes);
    const standing = withPauses(clock, own, others, cuts, step);
    return { ...standing, speed: standing.speed.map((v) => Math.max(0, v)), step, notes };
  }
  return withSpeedMade(clock, channels, step, notes);
}

/** The car stands where a gap was cut out: two samples without speed in each, a step after the last and before the next. */
function withPauses(
  time: Float64Array,
  speed: Float64Array,
  channels: Partial<Record<Channel, Float64Array>>,
  cuts: readonly number[],
  step: number,
): Pick<Log, 'time' | 'speed' | 'channels'> {
  if (cuts.length === 0) return { time, speed, channels };
  const filled = (values: Float64Array, fill: (at: number) => readonly [number, number]): Float64Array => {
    const out: number[] = [];
    values.forEach((v, i) => {
      if (cuts.includes(i)) out.push(...fill(i));
      out.push(v);
    });
    return Float64Array.from(out);
  };
  return {
    time: filled(time, (i) => [time[i - 1] + step, time[i] - step]),
    speed: filled(speed, () => [0, 0]),
    channels: Object.fromEntries(
      Object.entries(channels).map(([name, values]) => [
        name,
        filled(values, () => [Number.NaN, Number.NaN]),
      ]),
    ),
  };
}

/** Time over which positions are averaged before a speed is made of them, s, and distances. */
const POSITION_BIN = 0.5;
const DISTANCE_BIN = 0.2;

/** A log without speed: its samples averaged so far that a speed can be made of distance or positions. */
function withSpeedMade(
  clock: Float64Array,
  channels: Partial<Record<Channel, Float64Array>>,
  step: number,
  notes: LogNote[],
): Log {
  notes.push({ kind: 'no-speed', channel: 'speed', count: clock.length, first: 0, size: 0 });
  const wanted = channels.distance ? DISTANCE_BIN : POSITION_BIN;
  const { time, values } = binned(clock, channels, Math.max(step, wanted));
  const way = wayFrom(time, values);
  if (!way) {
    throw new LogError('The log has neither speed nor distance nor positions; one of them is needed.', -1);
  }
  const n = time.length;
  if (n < FEWEST) {
    throw new LogError(
      `A log needs at least ${FEWEST} samples; without speed they are averaged over ${wanted} s, and ${n} are left.`,
      -1,
    );
  }
  const between = (a: number, b: number) => (way[b] - way[a]) / (time[b] - time[a]);
  const speed = time.map((_, i) => Math.max(0, between(Math.max(0, i - 1), Math.min(n - 1, i + 1))));
  const all = Array.from(time.keys());
  outOfRange('speed', speed, all, notes);
  const known = bridged(time, speed);
  despike(time, known, all, notes);
  return { time, speed: known, channels: values, step: medianStep(time), notes };
}

/** Samples averaged in bins of a width, each bin at the mean of its times; empty ones are left out. */
function binned(
  time: Float64Array,
  channels: Partial<Record<Channel, Float64Array>>,
  width: number,
): { time: Float64Array; values: Partial<Record<Channel, Float64Array>> } {
  const bins: [from: number, to: number][] = [];
  for (let i = 0; i < time.length; ) {
    const end = (Math.floor(time[i] / width + 1e-9) + 1) * width - 1e-9 * width;
    let k = i + 1;
    while (k < time.length && time[k] < end) k++;
    bins.push([i, k]);
    i = k;
  }
  const mean = (values: Float64Array) =>
    Float64Array.from(bins, ([from, to]) => {
      let [sum, count] = [0, 0];
      for (let i = from; i < to; i++) {
        if (!Number.isFinite(values[i])) continue;
        sum += values[i];
        count += 1;
      }
      return count > 0 ? sum / count : Number.NaN;
    });
  const values = Object.fromEntries(
    (Object.entries(channels) as [Channel, Float64Array][]).map(([name, v]) => [name, mean(v)]),
  );
  return { time: mean(time), values };
}

/** Refuses a log that is longer than any day, or that no store could hold once its gaps are filled. */
function assertLength(time: Float64Array, kept: readonly number[], step: number): void {
  const longest = Math.min(LONGEST_LOG, MOST_SAMPLES * Math.max(step, 0.04));
  const beyond = time.findIndex((t) => t > longest);
  if (beyond < 0) return;
  throw new LogError(
    `The log lasts ${hours(time[time.length - 1])} with its gaps, at ${(1 / step).toPrecision(3)} samples a second; at most ${hours(longest)} are read. Cut it in two here.`,
    kept[beyond],
  );
}
const hours = (seconds: number) => `${(seconds / 3600).toFixed(1)} h`;

function medianStep(time: Float64Array): number {
  const steps = time.slice(1).map((t, i) => t - time[i]);
  steps.sort();
  return steps[steps.length >> 1];
}

function noteGaps(time: Float64Array, kept: readonly number[], step: number, notes: LogNote[]): void {
  let [count, first, size] = [0, -1, 0];
  for (let i = 1; i < time.length; i++) {
    const gap = time[i] - time[i - 1];
    if (gap <= GAP_STEPS * step || gap < 0.25) continue;
    if (count === 0) first = kept[i];
    count += 1;
    size += gap;
  }
  if (count > 0) notes.push({ kind: 'gap', channel: 'time', count, first, size });
}

function outOfRange(name: Channel, values: Float64Array, kept: readonly number[], notes: LogNote[]): void {
  const range = isTemperature(name) ? TEMPERATURE : RANGES[name];
  if (!range) return;
  let [count, first] = [0, -1];
  values.forEach((v, i) => {
    if (Number.isNaN(v) || (v >= range[0] && v <= range[1])) return;
    if (count === 0) first = kept[i];
    count += 1;
    values[i] = Number.NaN;
  });
  if (count > 0) notes.push({ kind: 'out-of-range', channel: name, count, first, size: 0 });
}

function wayFrom(time: Float64Array, channels: Partial<Record<Channel, Float64Array>>): Float64Array | null {
  if (channels.distance) return bridged(time, channels.distance);
  const { latitude, longitude } = channels;
  if (!latitude || !longitude) return null;
  const [lat, lon] = [bridged(time, latitude), bridged(time, longitude)];
  const plane = localPlane({ latitude: lat[0], longitude: lon[0] });
  const way = new Float64Array(time.length);
  let [px, py] = [0, 0];
  for (let i = 1; i < time.length; i++) {
    const [x, y] = plane.toPlane(lat[i], lon[i]);
    way[i] = way[i - 1] + Math.sqrt((x - px) ** 2 + (y - py) ** 2);
    [px, py] = [x, y];
  }
  return way;
}

/** Missing values bridged in a straight line; at the ends the nearest known one. */
export function bridged(time: Float64Array, values: Float64Array): Float64Array {
  const out = values.slice();
  let known = -1;
  for (let i = 0; i < out.length; i++) {
    if (!Number.isFinite(out[i])) continue;
    for (let k = known + 1; k < i; k++) {
      const share = known < 0 ? 1 : (time[k] - time[known]) / (time[i] - time[known]);
      out[k] = known < 0 ? out[i] : out[known] + share * (out[i] - out[known]);
    }
    known = i;
  }
  for (let k = known + 1; k < out.length; k++) out[k] = known < 0 ? 0 : out[known];
  return out;
}

/** Bridges single samples, up to three together, that no car could have followed there and back. */
function despike(time: Float64Array, speed: Float64Array, kept: readonly number[], notes: LogNote[]): void {
  let [count, first] = [0, -1];
  const far = (a: number, b: number) => Math.abs(speed[b] - speed[a]) > FASTEST * (time[b] - time[a]) + 0.5;
  for (let i = 1; i < speed.length - 1; i++) {
    if (!far(i - 1, i)) continue;
    let end = i + 1;
    while (end < speed.length - 1 && end - i < 4 && far(i - 1, end)) end++;
    if (end - i >= 4 || far(i - 1, end)) continue;
    if (count === 0) first = kept[i];
    for (let k = i; k < end; k++) {
      const share = (time[k] - time[i - 1]) / (time[end] - time[i - 1]);
      speed[k] = speed[i - 1] + share * (speed[end] - speed[i - 1]);
      count += 1;
    }
  }
  if (count > 0) notes.push({ kind: 'spike', channel: 'speed', count, first, size: 0 });
}
