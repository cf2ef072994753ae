import { rootOfSquares } from '../numeric';
import { localPlane } from '../track';
import type { PhoneFix, PhoneMotion } from './phoneReadings';

/** Strongest and weakest stop that is looked for, m/s². */
const STRONGEST = 15;
const WEAKEST = 1.5;
/** Samples on either side of what is clearly braked, s: the foot's first and the last of the stop. */
const MARGIN = 0.06;
/** Before braking the speed is taken as held for so long, s. */
export const HELD = 8;

/** Speed over the first one, from first touch to rest. */
export interface Shape {
  /** s */
  readonly touch: number;
  readonly rest: number;
  /** Speed over the first at a time */
  readonly speed: (t: number) => number;
  /** Way since first touch over the first speed, s; before it negative */
  readonly way: (t: number) => number;
}

/** Stops of an even deceleration: first touch and length of time on a grid. */
export function evenShapes(fixes: readonly PhoneFix[]): Shape[] {
  const end = fixes[fixes.length - 1].time;
  const begin = fixes[0].time;
  const shapes: Shape[] = [];
  for (let touch = begin + 1; touch < end - 0.5; touch += 0.1) {
    for (let length = 0.8; touch + length < end; length += 0.1 * Math.max(1, length / 4)) {
      const rest = touch + length;
      const share = (t: number) => Math.min(1, Math.max(0, (t - touch) / length));
      shapes.push({
        touch,
        rest,
        speed: (t) => 1 - share(t),
        way: (t) => (t < touch ? t - touch : length * (share(t) - 0.5 * share(t) ** 2)),
      });
    }
  }
  return shapes.filter(({ touch, rest }) => {
    const speed = typicalSpeed(fixes, touch);
    const deceleration = speed / (rest - touch);
    return deceleration < STRONGEST && deceleration > WEAKEST;
  });
}

/** Speed before a time by the receiver's speeds, else by places, m/s: only to leave out what no car does. */
function typicalSpeed(fixes: readonly PhoneFix[], until: number): number {
  const before = fixes.filter(({ time }) => time <= until && time > until - HELD);
  if (before.length < 2) return 0;
  const told = before.flatMap(({ speed }) => (speed === null ? [] : [speed]));
  if (told.length > 0) return told.reduce((a, b) => a + b, 0) / told.length;
  const plane = localPlane(before[0]);
  const [x, y] = plane.toPlane(before[before.length - 1].latitude, before[before.length - 1].longitude);
  return rootOfSquares(x, y) / (before[before.length - 1].time - before[0].time);
}

/** Delays of positions against the accelerometer that are tried, s: a receiver tells where it was. */
const DELAYS = [-0.2, -0.1, 0, 0.1, 0.2, 0.3, 0.4, 0.5, 0.6] as const;
const FELT_LEAST = 1;

/** The stop as the accelerometer felt it, with the delays that positions may have; none where it felt no stop. */
export function feltShapes(motion: readonly PhoneMotion[]): Shape[] {
  const along = decelerationOf(motion);
  const at = motion.map(({ time }) => time);
  const peak = strongest(at, along);
  if (peak < 0) return [];
  let [first, last] = [peak, peak];
  while (first > 0 && along[first - 1] > FELT_LEAST) first--;
  while (last < along.length - 1 && along[last + 1] > FELT_LEAST) last++;
  if (at[last] - at[first] < 0.5) return [];
  const [from, until] = [at[first] - MARGIN, at[last] + MARGIN];
  while (first > 0 && at[first - 1] > from) first--;
  while (last < at.length - 1 && at[last + 1] < until) last++;
  const [touch, rest] = [at[first], at[last]];
  const lost = new Float64Array(last - first + 1);
  for (let k = first + 1; k <= last; k++) {
    lost[k - first] = lost[k - first - 1] + 0.5 * (along[k] + along[k - 1]) * (at[k] - at[k - 1]);
  }
  const all = lost[lost.length - 1];
  const share = lost.map((own) => 1 - own / all);
  const way = new Float64Array(share.length);
  for (let k = 1; k < share.length; k++) {
    way[k] = way[k - 1] + 0.5 * (share[k] + share[k - 1]) * (at[first + k] - at[first + k - 1]);
  }
  const between = (values: Float64Array, t: number) => {
    let k = 1;
    while (k < values.length - 1 && at[first + k] < t) k++;
    const [a, b] = [at[first + k - 1], at[first + k]];
    return values[k - 1] + Math.min(1, Math.max(0, (t - a) / (b - a))) * (values[k] - values[k - 1]);
  };
  return DELAYS.map((delay) => ({
    touch: touch + delay,
    rest: rest + delay,
    speed: (t) => (t <= touch + delay ? 1 : t >= rest + delay ? 0 : between(share, t - delay)),
    way: (t) =>
      t <= touch + delay
        ? t - touch - delay
        : t >= rest + delay
          ? way[way.length - 1]
          : between(way, t - delay),
  }));
}

/** Deceleration along the direction in which it is strongest, less what the phone shows at rest, m/s². */
function decelerationOf(motion: readonly PhoneMotion[]): number[] {
  const end = motion[motion.length - 1].time;
  const still = motion.filter(({ time }) => time > end - 1.5);
  const offset = (axis: 'x' | 'y' | 'z') => still.reduce((sum, own) => sum + own[axis], 0) / still.length;
  const zero = { x: offset('x'), y: offset('y'), z: offset('z') };
  const smooth = motion.map((own, i) => {
    const near = motion.slice(Math.max(0, i - 2), i + 3);
    const mean = (axis: 'x' | 'y' | 'z') =>
      near.reduce((sum, each) => sum + each[axis] - zero[axis], 0) / near.length;
    return { time: own.time, x: mean('x'), y: mean('y'), z: mean('z') };
  });
  const size = smooth.map(({ x, y, z }) => rootOfSquares(x, y, z));
  const peak = strongest(
    smooth.map(({ time }) => time),
    size,
  );
  if (peak < 0) return size.map(() => 0);
  const near = smooth.filter(({ time }) => Math.abs(time - smooth[peak].time) < 0.5);
  const sum = (axis: 'x' | 'y' | 'z') => near.reduce((all, own) => all + own[axis], 0);
  const [x, y, z] = [sum('x'), sum('y'), sum('z')];
  const length = rootOfSquares(x, y, z) || 1;
  return smooth.map((own) => (own.x * x + own.y * y + own.z * z) / length);
}

/** Middle of the second in which a series is largest; −1 where it never is a braking's. */
function strongest(time: readonly number[], values: readonly number[]): number {
  let [best, most] = [-1, WEAKEST];
  for (let i = 0; i < time.length; i++) {
    let [sum, count] = [0, 0];
    for (let k = i; k < time.length && time[k] < time[i] + 1; k++) {
      sum += values[k];
      count += 1;
    }
    if (count > 2 && sum / count > most) [best, most] = [i + (count >> 1), sum / count];
  }
  return best;
}
