import { exp, rootOfSquares } from '../numeric';
import { localPlane } from '../track';
import type { PhoneFix, PhoneMotion } from './phoneReadings';
import { evenShapes, feltShapes, HELD, type Shape } from './phoneShapes';

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
const FEWEST = 6;
/** A car that is not at rest, m/s. */
const ROLLS = 2;
/** A phone's own error in telling first touch and standstill, s, and of its scale (from memory). */
const MOMENT = 0.06;
/** From first touch to where an even deceleration would have begun: half of a foot's way to full braking, s (from memory). */
const BUILD_UP = 0.15;
const BUILD_UP_ERROR = 0.06;

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
  const root = rootOfSquares(half, xy);
  const large = 0.5 * (xx + yy) + root;
  const across = Math.sqrt(Math.max(0, (0.5 * (xx + yy) - root) / places.length));
  const [ax, ay] = half >= 0 ? [half + root, xy] : [xy, root - half];
  const size = rootOfSquares(ax, ay) || 1;
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
