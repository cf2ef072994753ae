import { localPlane } from '../geo';
import { type Channel, LogError, type LogNote, type RawLog } from './channels';

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
/** A clock that jumps by quarter hours, to within this, was set: summer time, another zone, s. */
const ZONE = 900;
const ZONE_NEAR = 30;
/** A time that falls by more than this and then goes on begins anew, s. */
const RESTART = 2;
/** A longer gap is cut out but for this, s: whatever was hot is cold after it. */
const LONGEST_GAP = 3600;
/** A greater time is none: the seconds of any calendar are far less, s. */
const FARTHEST_TIME = 1e11;
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

const lastStep = (time: readonly number[]): number =>
  time.length > 1 ? time[time.length - 1] - time[time.length - 2] : 0.1;

function mendClock(
  time: ArrayLike<number>,
  notes: LogNote[],
): { time: Float64Array; kept: number[]; cuts: number[] } {
  const kept: number[] = [];
  /** Where in `kept` a gap was cut out before a sample */
  const cuts: number[] = [];
  const mended: number[] = [];
  let shift = 0;
  let last = Number.NEGATIVE_INFINITY;
  const back = { count: 0, first: -1 };
  const same = { count: 0, first: -1 };
  const missing = { count: 0, first: -1 };
  const restart = { count: 0, first: -1 };
  const far = { count: 0, first: -1 };
  const cut = { count: 0, first: -1, size: 0 };
  const count = (what: { count: number; first: number }, i: number) => {
    if (what.count === 0) what.first = i;
    what.count += 1;
  };
  for (let i = 0; i < time.length; i++) {
    // What is no number fails this as well.
    if (!(Math.abs(time[i]) <= FARTHEST_TIME)) {
      count(Number.isFinite(time[i]) ? far : missing, i);
      continue;
    }
    let t = time[i] + shift;
    const jump = t - last;
    if (kept.length > 0 && leapsAhead(last, t, time[i + 1] + shift)) {
      count(back, i);
      continue;
    }
    const near = i + 1 < time.length && Math.abs(time[i + 1] - time[i]) < 5;
    const quarters = kept.length > 0 && near ? quartersSet(jump) : 0;
    if (quarters !== 0) {
      shift -= quarters * ZONE;
      t = time[i] + shift;
      if (t <= last) {
        const more = last - t + 0.001;
        shift += more;
        t += more;
      }
      notes.push({ kind: 'clock-shift', channel: 'time', count: 1, first: i, size: quarters * ZONE });
    }
    const goesOn = i + 1 < time.length && time[i + 1] > time[i] && time[i + 1] - time[i] < 5;
    if (t < last - RESTART && goesOn) {
      // A time that begins anew with each lap or recording: the parts follow each other.
      const step = lastStep(mended);
      shift += last - t + step;
      t = last + step;
      count(restart, i);
    }
    if (t - last > LONGEST_GAP && kept.length > 0) {
      count(cut, i);
      cuts.push(kept.length);
      cut.size += t - last - LONGEST_GAP;
      shift -= t - last - LONGEST_GAP;
      t = last + LONGEST_GAP;
    }
    if (t < last) {
      count(back, i);
      continue;
    }
    if (t === last) {
      count(same, i);
      continue;
    }
    kept.push(i);
    mended.push(t);
    last = t;
  }
  const note = (kind: LogNote['kind'], what: { count: number; first: number; size?: number }) => {
    const { count: times, first, size = 0 } = what;
    if (times > 0) notes.push({ kind, channel: 'time', count: times, first, size });
  };
  note('missing', missing);
  note('far-time', far);
  note('cut', cut);
  note('restart', restart);
  note('time-back', back);
  note('same-time', same);
  const start = mended[0] ?? 0;
  return { time: Float64Array.from(mended, (t) => t - start), kept, cuts };
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

/** Quarter hours a clock was set by, by what time leapt, s; 0 where it was not. */
function quartersSet(jump: number): number {
  const quarters = Math.round(jump / ZONE);
  const off = Math.abs(jump - quarters * ZONE);
  // Forward jumps are as likely a pause as a clock set; only whole hours without a pause are taken for a zone.
  const zone = quarters < 0 || (quarters % 4 === 0 && off < 2);
  return zone && off < ZONE_NEAR ? quarters : 0;
}

/** Whether a sample is ahead of the one after it, which goes on from the one before: it alone is wrong. All in s. */
const leapsAhead = (before: number, own: number, after: number) =>
  own - before > RESTART && after > before - 0.001 && after <= own;

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
