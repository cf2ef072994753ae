import { localPlane, type PhoneFix, type PhoneMotion, randomNumbers } from '../../core';

/** How an invented phone rides along, and how badly it measures. SI. */
export interface PhoneOptions {
  /** m/s */
  readonly speed: number;
  /** Held from a third of a second after first touch, m/s² */
  readonly deceleration: number;
  /** Fixes a second */
  readonly rate: number;
  /** Error of a place, m: 95 % lie within */
  readonly accuracy: number;
  /** Whether it tells speeds, and has an accelerometer */
  readonly speeds: boolean;
  readonly motion: boolean;
  readonly seed: number;
}

export interface SimulatedPhone {
  readonly fixes: readonly PhoneFix[];
  readonly motion: readonly PhoneMotion[];
  /** m and m/s */
  readonly truth: { readonly distance: number; readonly speed: number };
}

/** First touch, s; rest for so long after the stop, s; foot to full braking, s. */
const TOUCH = 10;
const REST = 5;
const BUILD_UP = 0.3;
const STEP = 0.005;
/** Errors: of a speed, m/s, of the accelerometer, m/s², its offset, m/s², and its scale. */
const SPEED = 0.2;
const SHAKE = 0.6;
const OFFSET = 0.15;
const SCALE = 0.02;
/** The phone lies askew in the car: its axes in the car's (forward, left, up), each of length one. */
const AXES = [
  [0.36, 0.48, 0.8],
  [-0.8, 0.6, 0],
  [-0.48, -0.64, 0.6],
] as const;

/** One stop on a straight road, as a phone in the car tells it. */
export function simulatedPhone(options: PhoneOptions): SimulatedPhone {
  const random = randomNumbers(options.seed);
  const times: number[] = [];
  const [speeds, places, rates]: [number[], number[], number[]] = [[], [], []];
  let [v, s, end] = [options.speed, 0, Number.POSITIVE_INFINITY];
  for (let t = 0; t < end; t += STEP) {
    const rate = t < TOUCH || v === 0 ? 0 : options.deceleration * Math.min(1, (t - TOUCH) / BUILD_UP);
    times.push(t);
    speeds.push(v);
    places.push(s);
    rates.push(rate);
    const next = Math.max(0, v - rate * STEP);
    s += 0.5 * (v + next) * STEP;
    if (next === 0 && v > 0) end = t + REST;
    v = next;
  }
  const plane = localPlane({ latitude: 46.2, longitude: 6.9 });
  const [east, north] = [0.6, 0.8];
  const every = (rate: number) => Math.round(1 / (rate * STEP));
  const wander = options.accuracy / 1.96;
  const fixes = times.flatMap((time, i): PhoneFix[] => {
    if (i % every(options.rate) !== 0) return [];
    const [dx, dy] = [wander * random.normal(), wander * random.normal()];
    const earth = plane.toEarth(places[i] * east + dx, places[i] * north + dy);
    const speed = options.speeds
      ? Math.max(0, speeds[i] + (speeds[i] > 0 ? SPEED * random.normal() : 0))
      : null;
    return [{ time, ...earth, accuracy: options.accuracy, speed }];
  });
  const scale = 1 + SCALE * random.normal();
  const offset = [OFFSET * random.normal(), OFFSET * random.normal(), OFFSET * random.normal()];
  const motion = options.motion
    ? times.flatMap((time, i): PhoneMotion[] => {
        if (i % every(50) !== 0) return [];
        const [x, y, z] = AXES.map(
          ([forward], k) => -forward * rates[i] * scale + offset[k] + SHAKE * random.normal(),
        );
        return [{ time, x, y, z }];
      })
    : [];
  const first = times.findIndex((t) => t >= TOUCH - STEP / 2);
  return { fixes, motion, truth: { distance: s - places[first], speed: options.speed } };
}
