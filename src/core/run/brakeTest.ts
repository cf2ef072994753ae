import { nominalShare } from '../actuation';
import { AXLES, type AxleName, SIDES, wheelOf } from '../brake';
import {
  type BrakeTest,
  brakeTestSchedule,
  GIVEN_OUT,
  type Start,
  TEST_PHASES,
  type TestPhase,
} from '../schedule';
import { HOT_LIMITS, type HotPart } from './limits';
import type { Observer, PieceRun } from './observer';
import { type ProcedureCar, type ProcedureStop, procedureStop } from './procedures';
import type { DayRecord } from './record';
import type { EnergyAudit } from './result';
import { run } from './run';
import { NeverStops } from './stopping';

/** One stop of a test. Temperatures in K, of the left wheels. */
export interface TestStop extends ProcedureStop {
  readonly phase: TestPhase;
}

/** A limit that was passed, where first. */
export interface TestPassed {
  readonly part: HotPart;
  readonly axle: AxleName;
  /** Stop in or after which, from 1 over the test; 0 before the first */
  readonly stop: number;
  /** s since the test began */
  readonly time: number;
}

/** How the brakes gave out. */
export interface TestFailure {
  /** Pads that hold less, fluid that boils, a pedal at its end, or a stop that never ends */
  readonly by: 'fade' | 'boiled' | 'travel' | 'never stops';
  readonly axle: AxleName;
  /** The stop that failed, from 1 */
  readonly stop: number;
  /** s since the test began, at its end */
  readonly time: number;
}

/** A test as the engine drives it. */
export interface TestResult {
  readonly stops: readonly TestStop[];
  /** null where nothing gave out */
  readonly failure: TestFailure | null;
  /** In order of time */
  readonly passed: readonly TestPassed[];
  /** s */
  readonly duration: number;
  /** null where it ended in a stop that never came to its speed */
  readonly audit: EnergyAudit | null;
}

/**
 * Drives a brake test with a car's brakes: every stop, what passed its limit, and whether and how the brakes gave out.
 * @param car SI
 * @param start temperature of every part, K, or the state of each brake
 * @throws ScheduleError for a test that cannot be driven; NeverStops where the first stop is none
 */
export function brakeTest(car: ProcedureCar, test: BrakeTest, start: Start): TestResult {
  const stops: TestStop[] = [];
  const passed: TestPassed[] = [];
  const share = nominalShare(car.vehicle.brakes);
  let [failure, duration]: [TestFailure | null, number] = [null, 0];
  const after: Observer['after'] = (piece, record) => {
    duration = piece.startTime + piece.duration;
    for (const own of newlyPassed(car, piece, record, passed)) {
      passed.push({ ...own, stop: stops.length + (piece.stop ? 1 : 0), time: duration });
    }
    if (!piece.stop) return;
    const phase = TEST_PHASES[piece.piece.leg];
    stops.push({ ...procedureStop(car, piece, record, piece.stop), phase });
    const first = stops.find((own) => own.phase === phase);
    if (!failure && first && phase !== 'heating') {
      failure = failureOf(stops, first, passed, { share, time: duration });
    }
  };
  try {
    const { audit } = run(car, car, brakeTestSchedule(test), start, [{ after }]);
    return { stops, failure, passed, duration, audit };
  } catch (error) {
    if (!(error instanceof NeverStops) || stops.length === 0) throw error;
    const weakest = weakestOf(stops[stops.length - 1], share);
    const last: TestFailure = { by: 'never stops', axle: weakest, stop: stops.length + 1, time: duration };
    return { stops, failure: failure ?? last, passed, duration, audit: null };
  }
}

/** The axle that has lost more of the car's braking. @param share of the front with every pad at its best, 0 to 1 */
const weakestOf = ({ friction }: TestStop, share: number): AxleName =>
  (1 - friction.rear) * (1 - share) > (1 - friction.front) * share ? 'rear' : 'front';

function failureOf(
  stops: readonly TestStop[],
  first: TestStop,
  passed: readonly TestPassed[],
  { share, time }: { readonly share: number; readonly time: number },
): TestFailure | null {
  const last = stops[stops.length - 1];
  const boiled = passed.find(({ part }) => part === 'fluid');
  const end = { stop: stops.length, time };
  if (boiled) return { by: 'boiled', axle: boiled.axle, ...end };
  if (last.heldBy === 'travel') return { by: 'travel', axle: weakestOf(last, share), ...end };
  if (last.meanDeceleration < GIVEN_OUT * first.meanDeceleration) {
    return { by: 'fade', axle: weakestOf(last, share), ...end };
  }
  return null;
}

/** Limits that a piece is the first to pass. */
function newlyPassed(
  car: ProcedureCar,
  { first, count }: PieceRun,
  record: DayRecord,
  before: readonly TestPassed[],
): Pick<TestPassed, 'part' | 'axle'>[] {
  return AXLES.flatMap((axle) =>
    HOT_LIMITS.flatMap(({ part, reads, limit }) => {
      if (before.some((own) => own.part === part && own.axle === axle)) return [];
      const over = SIDES.some((side) => {
        const most = limit(car[axle][side], car[axle]);
        const wheel = record.wheels[wheelOf(axle, side)];
        return reads.some((read) => wheel[read].subarray(first, first + count).some((t) => t > most));
      });
      return over ? [{ part, axle }] : [];
    }),
  );
}
