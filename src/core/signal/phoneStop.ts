import { exp } from '../numeric';
import { localPlane } from '../track';

/** Where a phone says it is. */
export interface PhoneFix {
  /** s of the phone's clock */
  readonly time: number;
  readonly latitude: number;
  readonly longitude: number;
  /** Radius it lies within with 95 %, m */
  readonly accuracy: number;
  /** m/s; null where the receiver gives none */
  readonly speed: number | null;
}

/** What a phone's accelerometer feels, without gravity, along three axes that stay the same through the stop. */
export interface PhoneMotion {
  /** s of the phone's clock */
  readonly time: number;
  /** m/s² */
  readonly x: number;
  readonly y: number;
  readonly z: number;
}

/** A stop as a phone measured it. */
export interface PhoneStop {
  /** Speed braked from, m/s, with its standard deviation */
  readonly from: number;
  readonly fromError: number;
  /** From first touch to rest, m: the mean of what the readings leave open, its standard deviation, and 95 % of it */
  readonly distance: number;
  readonly error: number;
  readonly range: readonly [low: number, high: number];
  /** s */
  readonly time: number;
  /** m/s² over all of the distance */
  readonly deceleration: number;
  /** Whether the accelerometer told when it was braked */
  readonly felt: boolean;
  /** Median accuracy of the fixes, m */
  readonly accuracy: number;
}

/** Why a phone's readings tell no stop. */
export class PhoneError extends RangeError {
  constructor(
    readonly code: 'too few' | 'inaccurate' | 'no stop' | 'not straight',
    /** Number of fixes, or m */
    readonly fact: number,
  ) {
    super(`Phone: ${code} (${fact}).`);
  }
}

/** Fixes less accurate than this tell nothing of a stop, m (95 %). */
export const WORST_ACCURACY = 15;
/** Error of a receiver's speed, one standard deviation, m/s (from memory). */
const SPEED_ERROR = 0.25;
/** Before braking the speed is taken as held for so long, s. */
const HELD = 8;
const FEWEST = 6;
/** A car that is not at rest, m/s. */
const ROLLS = 2;
/** Strongest and weakest stop that is looked for, m/s². */
const STRONGEST = 15;
const WEAKEST = 1.5;
/** A phone's own error in telling first touch and standstill, s, and of its scale (from memory). */
const MOMENT = 0.06;
/** From first touch to where an even deceleration would have begun: half of a foot's way to full braking, s (from memory). */
const BUILD_UP = 0.15;
const BUILD_UP_ERROR = 0.06;
/** Samples on either side of what is clearly braked, s: the foot's first and the last of the stop. */
const MARGIN = 0.06;

/** Speed over the first one, from first touch to rest. */
interface Shape {
  /** s */
  readonly touch: number;
  readonly rest: number;
  /** Speed over the first at a time */
  readonly speed: (t: number) => number;
  /** Way since first touch over the first speed, s; before it negative */
  readonly way: (t: number) => number;
}

/**
 * A stop to rest from the positions of a phone, its speeds and its accelerometer, as far as it has them: all stops that the
 * readings leave open, each as likely as they fit. Without speeds and accelerometer the range says how little is known.
 * @param fixes rising in time, over some seconds of held speed, the stop and some seconds of rest
 * @param motion rising in time; may be empty
 * @throws PhoneError for readings that tell no stop
 */
export function phoneStop(fixes: readonly PhoneFix[], motion: readonly PhoneMotion[]): PhoneStop {
  if (fixes.length < FEWEST) throw new PhoneError('too few', fixes.length);
  const accuracies = fixes.map((fix) => fix.accuracy).sort((a, b) => a - b);
  const accuracy = accuracies[accuracies.length >> 1];
  if (!(accuracy <= WORST_ACCURACY)) throw new PhoneError('inaccurate', accuracy);
  const good = fixes.filter((fix) => fix.accuracy <= WORST_ACCURACY);
  const along = alongRoad(good);
  if (stillRolls(good, along)) throw new PhoneError('no stop', fixes.length);
  const shapes = motion.length > 0 ? feltShapes(motion) : [];
  const felt = shapes.length > 0;
  const open = felt ? shapes : evenShapes(good);
  let [weight, sum, square, speed, speedSquare, time] = [0, 0, 0, 0, 0, 0];
  const fits = open.flatMap((shape) => {
    const fit = fitted(good, along, shape);
    return fit ? [{ ...fit, shape }] : [];
  });
  const best = Math.min(...fits.map(({ misfit }) => misfit));
  if (fits.length === 0 || !Number.isFinite(best)) throw new PhoneError('no stop', fixes.length);
  for (const { from, variance, misfit, spread, shape } of fits) {
    const w = exp(-0.5 * (misfit - best)) * spread;
    const length = shape.way(shape.rest) + (felt ? 0 : BUILD_UP);
    const distance = from * length;
    // Within one shape the speed is open, and first touch and standstill.
    const moment = felt ? MOMENT * Math.SQRT1_2 : BUILD_UP_ERROR;
    const own = length * length * variance + (from * moment) ** 2;
    weight += w;
    sum += w * distance;
    square += w * (distance * distance + own);
    speed += w * from;
    speedSquare += w * (from * from + variance);
    time += w * (shape.rest - shape.touch);
  }
  const distance = sum / weight;
  const from = speed / weight;
  if (!(from > 1 && distance > 0)) throw new PhoneError('no stop', fixes.length);
  const error = Math.sqrt(Math.max(0, square / weight - distance * distance));
  return {
    from,
    fromError: Math.sqrt(Math.max(0, speedSquare / weight - from * from)),
    distance,
    error,
    range: [Math.max(0, distance - 1.96 * error), distance + 1.96 * error],
    time: time / weight,
    deceleration: (from * from) / (2 * distance),
    felt,
    accuracy,
  };
}

/** Whether the car was rolling when the readings ended. */
function stillRolls(fixes: readonly PhoneFix[], along: readonly number[]): boolean {
  const last = fixes.length - 1;
  const told = fixes[last].speed;
  if (told !== null) return told > ROLLS;
  const whole = (along[last] - along[0]) / (fixes[last].time - fixes[0].time);
  const end = (along[last] - along[last - 2]) / (fixes[last].time - fixes[last - 2].time);
  return end > ROLLS + 0.6 * whole;
}

/** Places along the road, m from the first: it is taken as straight. @throws PhoneError where it is not */
function alongRoad(fixes: readonly PhoneFix[]): number[] {
  const plane = localPlane(fixes[0]);
  const places = fixes.map((fix) => plane.toPlane(fix.latitude, fix.longitude));
  const mean = (k: 0 | 1) => places.reduce((all, place) => all + place[k], 0) / places.length;
  const [mx, my] = [mean(0), mean(1)];
  let [xx, xy, yy] = [0, 0, 0];
  for (const [x, y] of places) {
    xx += (x - mx) ** 2;
    xy += (x - mx) * (y - my);
    yy += (y - my) ** 2;
  }
  // Main axis of the places: the eigenvector of the larger eigenvalue.
  const half = 0.5 * (xx - yy);
  const root = Math.hypot(half, xy);
  const large = 0.5 * (xx + yy) + root;
  const across = Math.sqrt(Math.max(0, (0.5 * (xx + yy) - root) / places.length));
  const [ax, ay] = half >= 0 ? [half + root, xy] : [xy, root - half];
  const size = Math.hypot(ax, ay) || 1;
  const last = places[places.length - 1];
  const sign = (last[0] - places[0][0]) * ax + (last[1] - places[0][1]) * ay < 0 ? -1 : 1;
  const worst = fixes.reduce((most, fix) => Math.max(most, fix.accuracy), 0);
  if (!(large > 0) || across > 4 + 2 * worst) throw new PhoneError('not straight', across);
  return places.map(([x, y]) => (sign * ((x - places[0][0]) * ax + (y - places[0][1]) * ay)) / size);
}

/** First speed that fits best with a shape, its variance, and how badly it fits; null where it cannot be told. */
function fitted(
  fixes: readonly PhoneFix[],
  along: readonly number[],
  shape: Shape,
): {
  readonly from: number;
  readonly variance: number;
  readonly misfit: number;
  readonly spread: number;
} | null {
  // Place = p + v·way(t), speed = v·speed(t): linear in p and v.
  let [pp, pv, vv, rp, rv, rr] = [0, 0, 0, 0, 0, 0];
  const take = (a: number, b: number, value: number, error: number) => {
    const w = 1 / (error * error);
    pp += w * a * a;
    pv += w * a * b;
    vv += w * b * b;
    rp += w * a * value;
    rv += w * b * value;
    rr += w * value * value;
  };
  fixes.forEach(({ time, accuracy, speed }, i) => {
    if (time < shape.touch - HELD) return;
    take(1, shape.way(time), along[i], accuracy / 1.96);
    if (speed !== null) take(0, shape.speed(time), speed, SPEED_ERROR);
  });
  const determinant = pp * vv - pv * pv;
  if (!(determinant > 1e-9)) return null;
  const p = (vv * rp - pv * rv) / determinant;
  const from = (pp * rv - pv * rp) / determinant;
  const misfit = rr - p * rp - from * rv;
  return { from, variance: pp / determinant, misfit, spread: 1 / Math.sqrt(determinant) };
}

/** Stops of an even deceleration: first touch and length of time on a grid. */
function evenShapes(fixes: readonly PhoneFix[]): Shape[] {
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
  return Math.hypot(x, y) / (before[before.length - 1].time - before[0].time);
}

/** Delays of positions against the accelerometer that are tried, s: a receiver tells where it was. */
const DELAYS = [-0.2, -0.1, 0, 0.1, 0.2, 0.3, 0.4, 0.5, 0.6] as const;
const FELT_LEAST = 1;

/** The stop as the accelerometer felt it, with the delays that positions may have; none where it felt no stop. */
function feltShapes(motion: readonly PhoneMotion[]): Shape[] {
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
  const size = smooth.map(({ x, y, z }) => Math.hypot(x, y, z));
  const peak = strongest(
    smooth.map(({ time }) => time),
    size,
  );
  if (peak < 0) return size.map(() => 0);
  const near = smooth.filter(({ time }) => Math.abs(time - smooth[peak].time) < 0.5);
  const sum = (axis: 'x' | 'y' | 'z') => near.reduce((all, own) => all + own[axis], 0);
  const [x, y, z] = [sum('x'), sum('y'), sum('z')];
  const length = Math.hypot(x, y, z) || 1;
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
