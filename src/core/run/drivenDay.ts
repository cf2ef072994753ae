import {
  type AxleName,
  type CarState,
  cornerOfWheel,
  SIDES,
  WHEELS,
  type WheelName,
  wheelOf,
} from '../brake';
import { copiedTrace, forcesOf, type LapTrace, lapTime, liftSpeed } from '../lap';
import { type DayInput, type GivenPiece, type LegPlan, type Steps, UNMEASURED } from '../schedule';
import { dayForces } from './forces';
import { dayMargins, peaksOf, unbrakedOf, verdictOf } from './margins';
import type { Observer } from './observer';
import { type DayRecord, distinctWheels } from './record';
import type { DayResult, LapResult, LegResult, ZoneHeat } from './result';
import type { RunResult } from './run';
import { rotorStrain } from './strain';
import { zoneHeats } from './zoneHeats';
import type { ZoneForce } from './zoneResult';

type ByWheel<T> = Readonly<Record<WheelName, T>>;

/**
 * A day that has been driven. What follows from its record is found when it is first asked for: who looks at a few margins
 * of very many days waits for nothing else.
 */
export class DrivenDay implements DayResult {
  readonly record: DayRecord;
  readonly laps: readonly DrivenLap[];
  readonly legs: readonly LegResult[];
  readonly airDensity: number;
  readonly audit: DayResult['audit'];
  readonly end: CarState;
  readonly steps: number;
  readonly rotorShare: DayResult['rotorShare'];
  private knownMargins: DayResult['margins'] | null = null;
  private knownForces: ReturnType<typeof dayForces> | null = null;
  private knownVerdict: DayResult['verdict'] | null = null;
  private knownPeaks: DayResult['peaks'] | null = null;
  private knownStrain: DayResult['strain'] | null = null;

  constructor(
    private readonly input: DayInput,
    { record, state, audit, layouts, steps }: RunResult,
    { laps, legs, firstDensity }: DayObserver,
  ) {
    this.record = record;
    this.laps = laps.map((lap) => new DrivenLap(lap, record));
    this.legs = legs;
    this.airDensity = firstDensity;
    this.audit = audit;
    this.end = state;
    this.steps = steps;
    this.rotorShare = { front: layouts.frontLeft.ringHeatShare, rear: layouts.rearLeft.ringHeatShare };
  }

  get doubt(): DayResult['doubt'] {
    return this.input.doubt ?? UNMEASURED;
  }

  get trace(): LapTrace {
    return this.first.trace;
  }

  get margins(): DayResult['margins'] {
    this.knownMargins ??= dayMargins(this.input, this.record, this.laps, this.legs);
    return this.knownMargins;
  }

  get forceMargins(): DayResult['forceMargins'] {
    return this.forces.margins;
  }

  get fade(): DayResult['fade'] {
    return this.forces.fade;
  }

  get verdict(): DayResult['verdict'] {
    this.knownVerdict ??= verdictOf(this.margins, this.forces, this.laps, unbrakedOf(this.laps));
    return this.knownVerdict;
  }

  get peaks(): DayResult['peaks'] {
    this.knownPeaks ??= eachDistinct(this.record, (wheel) => peaksOf(this.record.wheels[wheel]));
    return this.knownPeaks;
  }

  get strain(): DayResult['strain'] {
    const { input, record, laps } = this;
    this.knownStrain ??= eachDistinct(record, (wheel) =>
      rotorStrain(
        cornerOfWheel(input, wheel),
        record.wheels[wheel],
        laps.map((lap) => lap.wheels[wheel]),
        input.sessions[0].ambient,
      ),
    );
    return this.knownStrain;
  }

  get drivingTime(): number {
    return this.laps.reduce((sum, lap) => sum + lap.lapTime, 0);
  }

  /** Speed at which lift holds a simulated lap, m/s; null where it does not */
  get heldByLift(): number | null {
    const { vehicle, driver, circuit } = this.input;
    if (circuit.kind !== 'line') return null;
    const most = liftSpeed(forcesOf(vehicle, { ...driver, pace: 1 }, this.airDensity, 0));
    if (most === Number.POSITIVE_INFINITY) return null;
    return this.trace.speed.some((v) => v >= most * (1 - 1e-9)) ? most : null;
  }

  get padLeft(): DayResult['padLeft'] {
    return { front: padLeft(this.end, 'front'), rear: padLeft(this.end, 'rear') };
  }

  get bedded(): DayResult['bedded'] {
    return { front: beddedAtFirst(this.record, 'front'), rear: beddedAtFirst(this.record, 'rear') };
  }

  /** All of it, as data of its own that may be moved to another thread: laps are kept for the next day and copied here. */
  told(): DayResult {
    const copies = new Map<LapTrace, LapTrace>();
    const own = (trace: LapTrace): LapTrace => {
      const copy = copies.get(trace) ?? copiedTrace(trace);
      copies.set(trace, copy);
      return copy;
    };
    return {
      doubt: this.doubt,
      trace: own(this.trace),
      laps: this.laps.map((lap) => lap.told(own(lap.trace))),
      legs: this.legs,
      record: this.record,
      margins: this.margins,
      forceMargins: this.forceMargins,
      fade: this.fade,
      verdict: this.verdict,
      audit: this.audit,
      peaks: this.peaks,
      strain: this.strain,
      rotorShare: this.rotorShare,
      drivingTime: this.drivingTime,
      heldByLift: this.heldByLift,
      airDensity: this.airDensity,
      padLeft: this.padLeft,
      bedded: this.bedded,
      end: this.end,
      steps: this.steps,
    };
  }

  private get first(): DrivenLap {
    return this.laps.find((lap) => lap.kind === 'hot') ?? this.laps[0];
  }

  private get forces(): ReturnType<typeof dayForces> {
    this.knownForces ??= dayForces(this.input, this.record, this.laps);
    return this.knownForces;
  }
}

/** A lap as it came, before anything is read off the day's record. */
interface LapOfRun extends Omit<LapResult, 'wheels'> {
  readonly stepped: Steps;
  /** Its first sample */
  readonly sample: number;
}

/** A lap of a day that has been driven; likewise. */
class DrivenLap implements LapResult {
  readonly kind: LapResult['kind'];
  readonly number: number;
  readonly session: number;
  readonly numberInSession: number;
  readonly startTime: number;
  readonly lapTime: number;
  readonly trace: LapTrace;
  readonly forces: readonly ZoneForce[];
  private heats: ByWheel<readonly ZoneHeat[]> | null = null;

  constructor(
    private readonly lap: LapOfRun,
    private readonly record: DayRecord,
  ) {
    this.kind = lap.kind;
    this.number = lap.number;
    this.session = lap.session;
    this.numberInSession = lap.numberInSession;
    this.startTime = lap.startTime;
    this.lapTime = lap.lapTime;
    this.trace = lap.trace;
    this.forces = lap.forces;
  }

  get wheels(): LapResult['wheels'] {
    const { record, lap } = this;
    this.heats ??= eachDistinct(record, (wheel) => zoneHeats(record.wheels[wheel], lap.stepped, lap.sample));
    return this.heats;
  }

  /** All of it, as data. @param trace how it was driven */
  told(trace: LapTrace): LapResult {
    const { stepped, sample, ...own } = this.lap;
    return { ...own, trace, wheels: this.wheels };
  }
}

/** Tells a day lap by lap and leg by leg. */
export class DayObserver implements Observer {
  readonly laps: LapOfRun[] = [];
  readonly legs: LegResult[];
  /** Of the air of the first piece, kg/m³ */
  firstDensity = 0;
  private reached = 0;

  constructor(plans: readonly LegPlan[]) {
    this.legs = plans.map(({ session, kind }) => ({ session, kind, startTime: 0, endTime: 0 }));
  }

  after: Observer['after'] = ({ piece, first, startTime, duration, forces, airDensity }) => {
    if (this.firstDensity === 0) this.firstDensity = airDensity;
    // A leg of no laps begins and ends where the one before it ended.
    for (; this.reached <= piece.leg; this.reached++) {
      this.legs[this.reached] = { ...this.legs[this.reached], startTime, endTime: startTime };
    }
    this.legs[piece.leg] = { ...this.legs[piece.leg], endTime: startTime + duration };
    if (piece.kind === 'given') this.lap(piece, first, startTime, forces);
  };

  private lap(
    { lap, steps }: GivenPiece,
    sample: number,
    startTime: number,
    forces: readonly ZoneForce[],
  ): void {
    if (!lap) return;
    const { kind, session, trace } = lap;
    this.laps.push({
      kind,
      number: this.laps.length + 1,
      session,
      numberInSession: this.laps.filter((other) => other.session === session).length + 1,
      startTime,
      lapTime: lapTime(trace),
      trace,
      forces,
      stepped: steps,
      sample,
    });
  }
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
