import {
  type AxleName,
  type CarState,
  cornerOfWheel,
  SIDES,
  WHEELS,
  type WheelName,
  wheelOf,
} from '../brake';
import { forcesOf, lapTime, liftSpeed } from '../lap';
import {
  type DayInput,
  DEFAULT_NUMERICS,
  daySchedule,
  type LegPlan,
  type Numerics,
  UNMEASURED,
} from '../schedule';
import { dayForces } from './forces';
import { dayMargins, peaksOf, unbrakedOf, verdictOf } from './margins';
import type { Observer } from './observer';
import { type DayRecord, distinctWheels, type Kept } from './record';
import type { DayResult, LapResult, LegResult } from './result';
import { LentRoom, OWN_ROOM, type Room } from './room';
import { run } from './run';
import { rotorStrain } from './strain';
import { zoneHeats } from './zoneHeats';

/**
 * Computes a whole day: the laps, their braking work, and the temperatures of every brake part from the first lap to the
 * end of the last time standing.
 * @param input a valid day, SI
 * @param kept what of it is recorded
 * @param room where its record lies
 * @throws RangeError naming what is not a number and where, or a speed at which the car would lift off
 * @throws StateError for a start that these brakes cannot be in
 */
export function simulateDay(
  input: DayInput,
  numerics: Numerics = DEFAULT_NUMERICS,
  kept: Kept = 'all',
  room: Room = OWN_ROOM,
): DayResult {
  const { ambient } = input.sessions[0];
  const schedule = daySchedule(input, numerics);
  const laps = new LapObserver(schedule.legs);
  const start = input.start ?? ambient;
  const { record, state, audit, layouts, steps } = run(input, input, schedule, start, [laps], {
    refinement: numerics.refinement,
    kept,
    room,
  });
  const { laps: driven, legs } = laps;
  const margins = dayMargins(input, record, driven, legs);
  const forces = dayForces(input, record, driven);
  const first = driven.find((lap) => lap.kind === 'hot') ?? driven[0];
  return {
    doubt: input.doubt ?? UNMEASURED,
    trace: first.trace,
    laps: driven,
    legs,
    record,
    margins,
    forceMargins: forces.margins,
    fade: forces.fade,
    verdict: verdictOf(margins, forces, driven, unbrakedOf(driven)),
    audit,
    peaks: eachDistinct(record, (wheel) => peaksOf(record.wheels[wheel])),
    strain: eachDistinct(record, (wheel) =>
      rotorStrain(
        cornerOfWheel(input, wheel),
        record.wheels[wheel],
        driven.map((lap) => lap.wheels[wheel]),
        ambient,
      ),
    ),
    rotorShare: { front: layouts.frontLeft.ringHeatShare, rear: layouts.rearLeft.ringHeatShare },
    drivingTime: driven.reduce((sum, lap) => sum + lap.lapTime, 0),
    heldByLift: heldByLift(input, first, laps.firstDensity),
    airDensity: laps.firstDensity,
    padLeft: { front: padLeft(state, 'front'), rear: padLeft(state, 'rear') },
    bedded: { front: beddedAtFirst(record, 'front'), rear: beddedAtFirst(record, 'rear') },
    end: state,
    steps,
  };
}

/** The same for who looks at named parts alone: no node's temperature is kept. */
export const leanDay = (input: DayInput, numerics?: Numerics): DayResult =>
  simulateDay(input, numerics, 'parts');

/** Room that no day is looked at in; more than one where a look drives a day itself. */
const idle: LentRoom[] = [];

/**
 * The same for who throws the day away once it is looked at.
 * @param look what is wanted of it: numbers, no series of its record, which the next day is written over
 */
export function lookAtDay<T>(input: DayInput, look: (day: DayResult) => T, numerics?: Numerics): T {
  const room = idle.pop() ?? new LentRoom();
  try {
    return look(simulateDay(input, numerics, 'parts', room));
  } finally {
    room.clear();
    idle.push(room);
  }
}

/** Tells a day lap by lap and leg by leg. */
class LapObserver implements Observer {
  readonly laps: LapResult[] = [];
  readonly legs: LegResult[];
  /** Of the air of the first piece, kg/m³ */
  firstDensity = 0;
  private reached = 0;

  constructor(plans: readonly LegPlan[]) {
    this.legs = plans.map(({ session, kind }) => ({ session, kind, startTime: 0, endTime: 0 }));
  }

  after: Observer['after'] = ({ piece, first, startTime, duration, forces, airDensity }, record) => {
    if (this.firstDensity === 0) this.firstDensity = airDensity;
    // A leg of no laps begins and ends where the one before it ended.
    for (; this.reached <= piece.leg; this.reached++) {
      this.legs[this.reached] = { ...this.legs[this.reached], startTime, endTime: startTime };
    }
    this.legs[piece.leg] = { ...this.legs[piece.leg], endTime: startTime + duration };
    if (piece.kind !== 'given' || !piece.lap) return;
    const { kind, session, trace } = piece.lap;
    this.laps.push({
      kind,
      number: this.laps.length + 1,
      session,
      numberInSession: this.laps.filter((lap) => lap.session === session).length + 1,
      startTime,
      lapTime: lapTime(trace),
      trace,
      wheels: eachDistinct(record, (wheel) => zoneHeats(record.wheels[wheel], piece.steps, first)),
      forces,
    });
  };
}

/** Least bedded share of an axle's wheels when the day begins, 0 to 1. */
const beddedAtFirst = ({ wheels }: DayRecord, axle: AxleName) =>
  Math.min(...SIDES.map((side) => wheels[wheelOf(axle, side)].bedded[0]));

/** Least friction material on a pad of an axle, m. */
const padLeft = (state: CarState, axle: AxleName) =>
  Math.min(
    ...SIDES.flatMap((side) => {
      const { inner, outer } = state[wheelOf(axle, side)].padThickness;
      return [inner, outer];
    }),
  );

/** One value for each wheel, made once for wheels that share their record. */
function eachDistinct<T>(record: DayRecord, of: (wheel: WheelName) => T): Record<WheelName, T> {
  const made = new Map<unknown, T>();
  for (const wheel of distinctWheels(record.wheels)) made.set(record.wheels[wheel], of(wheel));
  return Object.fromEntries(WHEELS.map((wheel) => [wheel, made.get(record.wheels[wheel]) as T])) as Record<
    WheelName,
    T
  >;
}

/** Speed at which lift holds a simulated lap, m/s; null where it does not. */
function heldByLift(input: DayInput, { trace }: LapResult, airDensity: number): number | null {
  const { vehicle, driver, circuit } = input;
  if (circuit.kind !== 'line') return null;
  const most = liftSpeed(forcesOf(vehicle, { ...driver, pace: 1 }, airDensity, 0));
  if (most === Number.POSITIVE_INFINITY) return null;
  return trace.speed.some((v) => v >= most * (1 - 1e-9)) ? most : null;
}
