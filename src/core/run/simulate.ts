import { type AirProperties, airProperties, moistAirDensity } from '../air';
import { type Corner, ductFlowArea, fillDrive } from '../brake';
import {
  assertFiniteTrace,
  type BrakeCap,
  brakeWork,
  type DrivenLap,
  type Driver,
  driveLap,
  forcesOf,
  type LapTrace,
  LINE_SPACING,
  lapTime,
  liftSpeed,
  type PreparedCircuit,
  prepareCircuit,
} from '../lap';
import { CornerRun } from './cornerRun';
import { ForceRun } from './forceRun';
import { dayForces } from './forces';
import {
  AXLES,
  axleOf,
  type DayInput,
  type LapLeg,
  type Numerics,
  type SessionPlan,
  type StandLeg,
  sideOf,
  WHEELS,
  type WheelName,
} from './input';
import { dayMargins, peaksOf, unbrakedOf, verdictOf } from './margins';
import { pressureOf } from './pressure';
import { type DayRecord, type DaySeries, emptySeries, resizedSeries } from './record';
import type { DayResult, EnergyAudit, LapResult, LegResult, StopForce, StopHeat } from './result';
import { DEFAULT_STEPS, type LapSchedule, lapSchedule, standingSteps } from './schedule';
import { stopHeats } from './stopHeats';
import { rotorStrain } from './strain';

export const DEFAULT_NUMERICS: Numerics = {
  steps: DEFAULT_STEPS,
  refinement: 1,
  spacing: LINE_SPACING,
};

/** A lap of one kind in one air: how it is driven and what drives the networks through it. */
interface PlannedLap {
  readonly trace: LapTrace;
  readonly schedule: LapSchedule;
}

/**
 * Computes a whole day: the laps, their braking work, and the temperatures of every brake part from the first lap to the
 * end of the last time standing. Wheels of an axle that brake and cool alike are computed once.
 * @param input a valid day, SI
 * @throws RangeError naming what is not a number and where, or a speed at which the car would lift off
 */
export function simulateDay(input: DayInput, numerics: Numerics = DEFAULT_NUMERICS): DayResult {
  const day = new DayRun(input, numerics);
  input.sessions.forEach((session, index) => {
    day.session(session, index);
  });
  return day.finish();
}

/** A day being computed, leg by leg. */
class DayRun {
  private readonly pressure: number;
  private readonly circuit: PreparedCircuit;
  private readonly wheels: readonly DistinctWheel[];
  private readonly runs: readonly CornerRun[];
  private readonly force: ForceRun;
  /** Laps that are driven as planned, by pace and air, and logged ones */
  private readonly laps = new Map<string | DrivenLap, PlannedLap>();
  private series: DaySeries;
  private room = 1;
  private sample = 1;
  private time = 0;
  private drivingTime = 0;
  private airDensity = 0;
  private readonly lapResults: LapResult[] = [];
  private readonly legResults: LegResult[] = [];
  /** What the brakes could make of each stop on the last lap; empty as long as that was enough */
  private caps: readonly BrakeCap[] = [];

  constructor(
    private readonly input: DayInput,
    private readonly numerics: Numerics,
  ) {
    this.pressure = pressureOf(input);
    this.circuit = prepareCircuit(input.circuit, numerics.spacing);
    this.wheels = distinct(input);
    const start = input.sessions[0].ambient;
    this.series = emptySeries(1);
    this.runs = this.wheels.map(
      ({ wheel }) => new CornerRun(cornerOfWheel(input, wheel), start, this.pressure, numerics.refinement, 1),
    );
    this.force = new ForceRun(
      input,
      this.byWheel((i) => this.runs[i]),
    );
  }

  session(session: SessionPlan, index: number): void {
    const { ambient, legs } = session;
    const air = this.airAt(ambient);
    if (this.legResults.length === 0) this.airDensity = air.density;
    for (const run of this.runs) run.integrator.setAmbient(ambient);
    for (const leg of legs) {
      const startTime = this.time;
      if ('duration' in leg) this.stand(leg, air);
      else for (let n = 0; n < leg.laps; n++) this.lap(leg, n, index, air, ambient);
      this.legResults.push({ session: index, kind: leg.kind, startTime, endTime: this.time });
    }
    assertNumbers(this.runs, this.wheels, this.sample - 1, this.time, this.lapResults.length);
  }

  finish(): DayResult {
    const { input, runs, wheels, lapResults, legResults } = this;
    // The spare room is given back only now, so that nothing is copied in the time loop.
    for (const run of runs) run.reserve(this.sample);
    const record: DayRecord = {
      ...resizedSeries(this.series, this.sample),
      wheels: this.byWheel((i) => runs[i].record),
    };
    const margins = dayMargins(input, record, lapResults, legResults);
    const forces = dayForces(input, record, lapResults);
    const first = lapResults.find((lap) => lap.kind === 'hot') ?? lapResults[0];
    const start = input.sessions[0].ambient;
    return {
      trace: first.trace,
      laps: lapResults,
      legs: legResults,
      record,
      margins,
      forceMargins: forces.margins,
      fade: forces.fade,
      verdict: verdictOf(margins, forces, lapResults, unbrakedOf(lapResults)),
      audit: auditOf(
        runs,
        wheels.map((w) => (w.also ? 2 : 1)),
      ),
      peaks: this.byWheel((i) => peaksOf(runs[i].record)),
      strain: this.byWheel((i) =>
        rotorStrain(
          cornerOfWheel(input, wheels[i].wheel),
          runs[i].record,
          lapResults.map((lap) => ({ trace: lap.trace, heats: lap.wheels[wheels[i].wheel] })),
          start,
        ),
      ),
      rotorShare: {
        front: runs[wheels.findIndex((w) => axleOf(w.wheel) === 'front')].layout.ringHeatShare,
        rear: runs[wheels.findIndex((w) => axleOf(w.wheel) === 'rear')].layout.ringHeatShare,
      },
      drivingTime: this.drivingTime,
      heldByLift: this.heldByLift(first),
      airDensity: this.airDensity,
      steps: runs.length * (this.sample - 1),
    };
  }

  /** Speed at which lift holds a solved lap, m/s; null where it does not. */
  private heldByLift({ trace }: LapResult): number | null {
    const { vehicle, driver } = this.input;
    const forces = forcesOf(vehicle, { ...driver, pace: 1 }, this.airDensity, 0);
    const most = liftSpeed(forces);
    return this.circuit.kind === 'line' && trace.speed.some((v) => v >= most * (1 - 1e-9)) ? most : null;
  }

  private byWheel<T>(of: (index: number) => T): Record<WheelName, T> {
    const each = this.wheels.map((_, i) => of(i));
    return Object.fromEntries(
      WHEELS.map((wheel) => [
        wheel,
        each[this.wheels.findIndex((w) => w.wheel === wheel || w.also === wheel)],
      ]),
    ) as Record<WheelName, T>;
  }

  /** Makes room for more samples: at first for the day as planned, later, where laps grow longer, a good deal more. */
  private reserve(steps: number): void {
    const needed = this.sample + steps;
    if (needed <= this.room) return;
    this.room = this.room === 1 ? 1 + this.planned() : Math.ceil(1.3 * needed);
    this.series = resizedSeries(this.series, this.room);
    for (const run of this.runs) run.reserve(this.room);
  }

  /** Samples of the day when every lap is driven as planned. */
  private planned(): number {
    let samples = 0;
    for (const { ambient, legs } of this.input.sessions) {
      const air = this.airAt(ambient);
      for (const leg of legs) {
        samples +=
          'laps' in leg
            ? this.samplesOf(leg, air, ambient)
            : standingSteps(leg.duration, this.numerics.steps).length;
      }
    }
    return samples;
  }

  private samplesOf(leg: LapLeg, air: AirProperties, ambient: number): number {
    if (!leg.driven) return leg.laps * this.plan(leg, 0, air, ambient).schedule.time.length;
    return leg.driven.reduce((sum, _, n) => sum + this.plan(leg, n, air, ambient).schedule.time.length, 0);
  }

  private airAt(ambient: number): AirProperties {
    return airProperties(moistAirDensity(this.pressure, ambient, this.input.humidity), ambient);
  }

  /** How a lap of a leg is driven: as it was logged, or solved for the leg's pace. @param n which of the leg's laps */
  private plan(
    leg: LapLeg,
    n: number,
    air: AirProperties,
    ambient: number,
    caps: readonly BrakeCap[] = [],
  ): PlannedLap {
    const { input } = this;
    const driven = leg.driven?.[n];
    const key = driven ?? `${leg.pace}/${ambient}`;
    const known = this.laps.get(key);
    if (known && (caps.length === 0 || driven)) return known;
    const driver: Driver = { ...input.driver, pace: leg.pace };
    const conditions = { airDensity: air.density, ductDragArea: ductDragArea(input) };
    const trace = driven
      ? brakeWork(
          driven,
          input.vehicle,
          forcesOf(input.vehicle, driver, air.density, conditions.ductDragArea),
        )
      : driveLap(this.circuit, input.vehicle, driver, conditions, caps);
    assertFiniteTrace(trace);
    const corners = this.wheels.map(({ wheel }) => cornerOfWheel(input, wheel));
    const { wheelRadius } = input.vehicle;
    const planned = { trace, schedule: lapSchedule(trace, corners, air, wheelRadius, this.numerics.steps) };
    if (caps.length === 0 || driven) this.laps.set(key, planned);
    return planned;
  }

  private lap(leg: LapLeg, n: number, session: number, air: AirProperties, ambient: number): void {
    const { runs, force, lapResults } = this;
    const planned = this.plan(leg, n, air, ambient, this.input.brakesEarlier ? this.caps : []);
    const { trace, schedule } = planned;
    const count = schedule.time.length;
    this.reserve(count);
    const { series, sample } = this;
    force.begin(planned);
    const parts = this.wheels.map(({ wheel, alike }) => ({ wheel, alike }));
    const { early, late } = schedule.demand;
    for (let k = 0; k < count; k++) {
      // What the motor brakes alone makes no heat, but the foot asks for it all the same.
      const hot = early[k] > 0 || late[k] > 0;
      if (hot || schedule.inStop[k] === 1)
        force.step(schedule, k, air.density, series.force, sample + k, sample + k - 1);
      for (let i = 0; i < runs.length; i++) {
        const { wheel, alike } = parts[i];
        let share = 0;
        if (hot) share = alike ? 0.5 * force.axleShare(wheel) : force.shares[wheel];
        runs[i].step(
          schedule.drives[i],
          k,
          schedule.dt[k],
          schedule.event[k] === 1,
          share * early[k],
          share * late[k],
          sample + k,
        );
      }
      series.time[sample + k] = this.time + schedule.time[k];
      series.leg[sample + k] = this.legResults.length;
      series.lap[sample + k] = lapResults.length;
      series.distance[sample + k] = schedule.distance[k];
      series.stop[sample + k] = schedule.stop[k];
    }
    const heats: StopHeat[][] = runs.map((run) => stopHeats(run.record, trace, schedule, sample));
    const forces = force.stops(schedule, trace.stops.length, series.force, sample);
    const duration = lapTime(trace);
    lapResults.push({
      kind: leg.kind,
      number: lapResults.length + 1,
      session,
      numberInSession: lapResults.filter((l) => l.session === session).length + 1,
      startTime: this.time,
      lapTime: duration,
      trace,
      wheels: this.byWheel((i) => heats[i]),
      forces,
    });
    this.sample += count;
    this.time += duration;
    this.drivingTime += duration;
    assertNumbers(runs, this.wheels, this.sample - 1, this.time, lapResults.length);
    if (this.input.brakesEarlier) this.learn(this.plan(leg, n, air, ambient), trace, forces);
  }

  /** Takes from a lap what the brakes could make of each stop, against what is asked of them as planned. */
  private learn(asPlanned: PlannedLap, trace: LapTrace, forces: readonly StopForce[]): void {
    const caps = trace.stops.map((stop, k): BrakeCap => {
      const end = trace.distance[stop.endIndex];
      const planned = peakNeeded(asPlanned, end, k);
      return { end, available: forces[k].available, needed: planned };
    });
    this.caps = caps.some((cap) => cap.available < cap.needed) ? caps : [];
  }

  private stand(leg: StandLeg, air: AirProperties): void {
    const { runs, wheels, input } = this;
    const steps = standingSteps(leg.duration, this.numerics.steps);
    this.reserve(steps.length);
    const { series, sample } = this;
    runs.forEach((run, i) => {
      const corner = cornerOfWheel(input, wheels[i].wheel);
      fillDrive(run.integrator.drive, corner, air, 0, input.vehicle.wheelRadius, false, leg.fan);
      run.stand(steps, sample);
    });
    steps.forEach((dt, k) => {
      this.time += dt;
      series.time[sample + k] = this.time;
      series.leg[sample + k] = this.legResults.length;
    });
    this.sample += steps.length;
  }
}

/** Greatest braking asked for in the stop of a planned lap that ends nearest to a place, N. */
function peakNeeded({ trace, schedule }: PlannedLap, end: number, stop: number): number {
  const same = trace.stops.length > stop && Math.abs(trace.distance[trace.stops[stop].endIndex] - end) < 1;
  const index = same
    ? stop
    : trace.stops.reduce(
        (best, s, k) =>
          Math.abs(trace.distance[s.endIndex] - end) <
          Math.abs(trace.distance[trace.stops[best].endIndex] - end)
            ? k
            : best,
        0,
      );
  let most = 0;
  for (let k = 0; k < schedule.stop.length; k++) {
    if (schedule.stop[k] === index && schedule.inStop[k] === 1) {
      most = Math.max(most, schedule.demand.force[k]);
    }
  }
  return most;
}

/** The brake at a wheel. */
export const cornerOfWheel = (input: DayInput, wheel: WheelName): Corner =>
  input[axleOf(wheel)][sideOf(wheel)];

/** A wheel to compute, and the other of its axle where that is alike. */
interface DistinctWheel {
  readonly wheel: WheelName;
  readonly also: WheelName | null;
  readonly alike: boolean;
}

/** Wheels that must be computed: one an axle where both have the same parts, the same air and the same work. */
function distinct(input: DayInput): DistinctWheel[] {
  const sameWork = input.vehicle.innerRelief === 0 || input.circuit.kind === 'stops';
  return AXLES.flatMap((axle): DistinctWheel[] => {
    const [left, right]: WheelName[] = [`${axle}Left`, `${axle}Right`];
    const { left: a, right: b } = input[axle];
    const alike = sameWork && sameCorner(a, b);
    return alike
      ? [{ wheel: left, also: right, alike }]
      : [left, right].map((wheel) => ({ wheel, also: null, alike }));
  });
}

/** Whether two brakes are the same in every value. What they share as one object needs no look. */
function sameCorner(a: Corner, b: Corner): boolean {
  const keys = ['rotor', 'drum', 'pad', 'caliper', 'air'] as const satisfies readonly (keyof Corner)[];
  return keys.every((key) => a[key] === b[key] || JSON.stringify(a[key]) === JSON.stringify(b[key]));
}

/** The momentum of the air the ducts take, ṁ·V, is the drag of an area Cd·A of twice their flow area, m². */
export function ductDragArea(input: DayInput): number {
  return 2 * WHEELS.reduce((sum, wheel) => sum + ductFlowArea(cornerOfWheel(input, wheel).air), 0);
}

function assertNumbers(
  runs: readonly CornerRun[],
  wheels: readonly DistinctWheel[],
  sample: number,
  time: number,
  lap: number,
): void {
  runs.forEach(({ record }, i) => {
    if (!Number.isFinite(record.rotorBulk[sample])) {
      throw new RangeError(
        `The rotor of wheel ${wheels[i].wheel} has no temperature after ${time.toFixed(1)} s (lap ${lap}).`,
      );
    }
  });
}

function auditOf(runs: readonly CornerRun[], counts: readonly number[]): EnergyAudit {
  let [supplied, stored, lost] = [0, 0, 0];
  runs.forEach((run, i) => {
    const one = run.audit();
    supplied += counts[i] * one.supplied;
    stored += counts[i] * one.stored;
    lost += counts[i] * one.lost;
  });
  const residual = supplied > 0 ? Math.abs(supplied - stored - lost) / supplied : 0;
  return { supplied, stored, lost, residual };
}
