import type { Snub } from './bedding';
import { assertPositive, assertSpeed, ScheduleError } from './faults';
import { type Ask, givenPiece, type Outcome, type Piece, type Schedule, stopPiece } from './piece';
import { rollSteps } from './unbraked';

/** Stops that are measured: in a row, cold against hot, or round and round until something gives. SI. */
export interface BrakeTest {
  /** Air, K */
  readonly ambient: number;
  readonly stop: { readonly from: number; readonly to: number; readonly ask: Ask };
  /** Most stops that are made; of each of cold and hot where there is heating between */
  readonly stops: number;
  /** From the start of one to the start of the next, s; what the car needs to come back to speed where that is more */
  readonly spacing: number;
  /** Back to speed, m/s² */
  readonly acceleration: number;
  /** A corner on the way back to speed, driven at its own speed, m/s, for so long, s; null on a straight */
  readonly corner: { readonly speed: number; readonly duration: number } | null;
  /** Snubs that heat the brakes between cold and hot stops, each so long after the one before, s */
  readonly heating: { readonly snub: Snub; readonly count: number; readonly cycle: number } | null;
  /** Whether it ends as soon as the brakes give out */
  readonly untilFails: boolean;
  /** It ends with the stop that passes this, s; may be infinite */
  readonly longest: number;
}

/** Legs of a test, in their order. */
export const TEST_PHASES = ['test', 'heating', 'hot'] as const;
export type TestPhase = (typeof TEST_PHASES)[number];

/** Share of the first stop's deceleration under which the brakes have given out (own choice). */
export const GIVEN_OUT = 0.9;

/**
 * Whether the brakes gave out in a stop: the fluid boils, the pedal is at its end, or it brakes much less than the first.
 * @param first mean deceleration of the first stop, m/s²
 */
export const givesOut = ({ stop, of }: Pick<Outcome, 'stop' | 'of'>, first: number): boolean =>
  stop !== null &&
  (stop.heldBy === 'travel' ||
    stop.meanDeceleration < GIVEN_OUT * first ||
    (['frontLeft', 'frontRight', 'rearLeft', 'rearRight'] as const).some((wheel) => of(wheel).boiled));

/**
 * A brake test as it is driven.
 * @throws ScheduleError for a stop that runs backwards, no stops, no way back to speed
 */
export function brakeTestSchedule(test: BrakeTest): Schedule {
  const { ambient, stop, heating, corner } = test;
  assertPositive(test.stops, 'stops', 'stops');
  assertPositive(test.acceleration, 'acceleration', 'm/s²');
  if (!(test.longest > 0)) throw new ScheduleError('longest', test.longest, 'more than 0 s');
  if (!(test.spacing >= 0)) throw new ScheduleError('spacing', test.spacing, '0 s or more');
  if (corner) {
    assertSpeed(corner.speed, 'speed of the corner');
    assertPositive(corner.duration, 'time in the corner', 's');
    if (corner.speed > stop.from) {
      throw new ScheduleError(
        'speed of the corner',
        corner.speed,
        `at most the ${stop.from} m/s braked from`,
      );
    }
  }
  const braking = (leg: number): Piece => stopPiece({ ...stop, ambient, leg });
  braking(0);
  if (heating) snubOf(test, heating.snub);
  return {
    ambient,
    sided: false,
    samples: 0,
    legs: TEST_PHASES.map(() => ({ session: 0, kind: 'hot' as const })),
    *pieces(): Generator<Piece, void, Outcome> {
      yield* stopsOf(test, 0);
      if (!heating) return;
      yield* heatUp(test, heating);
      yield* stopsOf(test, 2);
    },
  };
}

const snubOf = ({ ambient }: BrakeTest, { from, to, deceleration }: Snub): Piece =>
  stopPiece({ from, to, ask: { deceleration }, ambient, leg: 1, engineEngaged: true });

/** Rolling from a speed to another, where they differ. @returns s that it took */
function* roll(test: BrakeTest, leg: number, from: number, to: number): Generator<Piece, number, Outcome> {
  const duration = Math.abs(to - from) / test.acceleration;
  if (duration < 1e-6) return 0;
  yield givenPiece(rollSteps(from, to, duration), test.ambient, leg);
  return duration;
}

/** Held at a speed. @returns s that it took */
function* hold(test: BrakeTest, leg: number, speed: number, time: number): Generator<Piece, number, Outcome> {
  if (!(time > 1e-6)) return 0;
  yield givenPiece(rollSteps(speed, speed, time), test.ambient, leg);
  return time;
}

function* stopsOf(test: BrakeTest, leg: number): Generator<Piece, void, Outcome> {
  const { stop, corner, spacing } = test;
  let [time, first] = [0, 0];
  for (let k = 0; k < test.stops; k++) {
    const outcome = yield stopPiece({ ...stop, ambient: test.ambient, leg });
    time += outcome.duration;
    if (k === 0) first = outcome.stop?.meanDeceleration ?? 0;
    if (test.untilFails && givesOut(outcome, first)) return;
    if (k === test.stops - 1 || time >= test.longest) return;
    let since = outcome.duration;
    if (corner) {
      since += yield* roll(test, leg, stop.to, corner.speed);
      since += yield* hold(test, leg, corner.speed, corner.duration);
      since += yield* roll(test, leg, corner.speed, stop.from);
    } else since += yield* roll(test, leg, stop.to, stop.from);
    since += yield* hold(test, leg, stop.from, spacing - since);
    time += since - outcome.duration;
  }
}

function* heatUp(
  test: BrakeTest,
  { snub, count, cycle }: NonNullable<BrakeTest['heating']>,
): Generator<Piece, void, Outcome> {
  yield* roll(test, 1, test.stop.to, snub.from);
  for (let k = 0; k < count; k++) {
    const { duration } = yield snubOf(test, snub);
    // After the last one the car goes straight on to the hot stop.
    if (k === count - 1) break;
    const back = yield* roll(test, 1, snub.to, snub.from);
    yield* hold(test, 1, snub.from, cycle - duration - back);
  }
  yield* roll(test, 1, snub.to, test.stop.from);
}
