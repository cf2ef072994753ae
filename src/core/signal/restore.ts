/** Speeds over time with the intervals in which the brakes are on; n + 1 points, n intervals. */
export interface Braked {
  readonly time: readonly number[];
  readonly speed: readonly number[];
  readonly braking: Uint8Array;
}

/** Time before and after a begin or end of braking over which a line is laid through the samples, s; in steps at least. */
const WINDOW = 0.55;
const WINDOW_STEPS = 2.2;
/** Least change of acceleration that makes a corner worth restoring, m/s². */
const LEAST = 2;

/**
 * Restores what falls between coarse samples where a braking begins and ends. Lines are laid through the samples before
 * and after; a braking ends where they meet, and begins half a build-up before, from where the deceleration rises evenly.
 * Samples within that are replaced.
 * @param raw speeds as sampled, at the points of `braked`; smoothing would round what is looked for
 * @param buildUp time from first touch to full braking, s
 * @param coasting change of a speed with throttle and brakes released, m/s², from where a deceleration rises
 */
export function restore(
  braked: Braked,
  raw: readonly number[],
  buildUp: number,
  coasting: (speed: number) => number,
): Braked {
  const { time, speed, braking } = braked;
  const n = braking.length;
  const window = Math.max(WINDOW, (WINDOW_STEPS * (time[n] - time[0])) / n);
  const events: Event[] = [];
  for (let j = 2; j < n - 1; j++) {
    if (braking[j] === braking[j - 1]) continue;
    const on = braking[j] === 1;
    const before = lineBefore(time, raw, braking, j, on ? 0 : 1, window);
    const after = lineAfter(time, raw, braking, j, on ? buildUp : 0, window);
    if (!before || !after || Math.abs(before.slope - after.slope) < LEAST) continue;
    const meet =
      (after.value - before.value + before.slope * before.at - after.slope * after.at) /
      (before.slope - after.slope);
    const near = 2 * (time[j + 1] - time[j - 1]);
    if (Math.abs(meet - time[j]) > near) continue;
    const from = coasting(Math.max(raw[j - 1], raw[j]));
    // The triangle between coasting and braking must be as large as that between the two lines.
    const lead = on ? (0.5 * buildUp * (from - after.slope)) / (before.slope - after.slope) : 0;
    events.push({ on, start: meet - lead, end: meet - lead + (on ? buildUp : 0), from, before, after });
  }
  return rebuilt(braked, speed, events);
}

interface Line {
  readonly at: number;
  readonly value: number;
  readonly slope: number;
}
interface Event {
  readonly on: boolean;
  readonly start: number;
  readonly end: number;
  /** Slope at the start of the build-up, m/s² */
  readonly from: number;
  readonly before: Line;
  readonly after: Line;
}

function lineBefore(
  time: readonly number[],
  values: readonly number[],
  braking: Uint8Array,
  j: number,
  state: 0 | 1,
  window: number,
): Line | null {
  const last = j - 1;
  let first = last;
  while (first > 0 && time[last] - time[first - 1] <= window && braking[first - 1] === state) first--;
  return lineThrough(time, values, first, last);
}

function lineAfter(
  time: readonly number[],
  values: readonly number[],
  braking: Uint8Array,
  j: number,
  skip: number,
  window: number,
): Line | null {
  let first = j + 1;
  while (
    first < time.length - 3 &&
    time[first] - time[j] < skip + 0.25 * (time[j + 1] - time[j]) &&
    braking[first] === braking[j]
  )
    first++;
  let last = first;
  while (last < time.length - 1 && time[last + 1] - time[first] <= window && braking[last] === braking[j])
    last++;
  return lineThrough(time, values, first, last);
}

function lineThrough(
  time: readonly number[],
  values: readonly number[],
  first: number,
  last: number,
): Line | null {
  const count = last - first + 1;
  if (count < 2) return null;
  let [t, v] = [0, 0];
  for (let i = first; i <= last; i++) {
    t += time[i] / count;
    v += values[i] / count;
  }
  let [tt, tv] = [0, 0];
  for (let i = first; i <= last; i++) {
    tt += (time[i] - t) ** 2;
    tv += (time[i] - t) * (values[i] - v);
  }
  return tt > 0 ? { at: t, value: v, slope: tv / tt } : null;
}

/** Puts the restored corners in place of the samples they fall on. */
function rebuilt(braked: Braked, speed: readonly number[], events: readonly Event[]): Braked {
  const { time } = braked;
  const last = time.length - 1;
  const step = (time[last] - time[0]) / last;
  const outTime: number[] = [];
  const outSpeed: number[] = [];
  const outBraking: number[] = [];
  let e = 0;
  let state = braked.braking[0];
  const put = (t: number, v: number) => {
    if (outTime.length > 0) outBraking.push(state);
    outTime.push(t);
    outSpeed.push(v);
  };
  for (let i = 0; i <= last; i++) {
    while (e < events.length && events[e].start <= time[i] + 0.5 * step) {
      const { on, start, end, from, before, after } = events[e];
      e += 1;
      const previous = outTime[outTime.length - 1];
      if (previous === undefined || start - previous < 0.05 * step) {
        state = on ? 1 : 0;
        continue;
      }
      const v0 = before.value + before.slope * (start - before.at);
      put(start, v0);
      state = on ? 1 : 0;
      const span = end - start;
      for (let k = 1; k <= 2 && span > 0; k++) {
        const u = (k * span) / 2;
        put(start + u, v0 + from * u + ((after.slope - from) * u * u) / (2 * span));
      }
    }
    const previous = outTime[outTime.length - 1];
    if (previous !== undefined && time[i] - previous < 0.5 * step && i < last) continue;
    if (previous !== undefined && time[i] <= previous) continue;
    put(time[i], speed[i]);
    const own = braked.braking[i];
    const handled = events.some(
      (event) => Math.abs(event.start - time[i]) < 3 * step || Math.abs(event.end - time[i]) < 3 * step,
    );
    if (!handled && own !== undefined) state = own;
  }
  return { time: outTime, speed: outSpeed, braking: Uint8Array.from(outBraking) };
}
