import { type AirProperties, airProperties, moistAirDensity, standardPressure } from '../air';
import { type Corner, ductFlowArea, fillDrive } from '../brake';
import { type Driver, driveLap, type LapTrace, LINE_SPACING, lapTime, prepareCircuit } from '../drive';
import { CornerRun } from './cornerRun';
import {
  AXLES,
  axleOf,
  type DayInput,
  type LapLeg,
  type Numerics,
  type StandLeg,
  sideOf,
  WHEELS,
  type WheelName,
} from './input';
import { dayMargins, peaksOf, verdictOf } from './margins';
import type { DayRecord, WheelRecord } from './record';
import type { DayResult, EnergyAudit, LapResult, LegResult, StopHeat } from './result';
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

type PlannedLeg = { readonly session: number; readonly air: AirProperties; readonly ambient: number } & (
  | { readonly leg: LapLeg; readonly lap: PlannedLap; readonly steps: null }
  | { readonly leg: StandLeg; readonly lap: null; readonly steps: readonly number[] }
);

/**
 * Computes a whole day: the laps, their braking work, and the temperatures of every brake part from the first lap to the
 * end of the last time standing. Wheels of an axle that brake and cool alike are computed once.
 * @param input a valid day, SI
 * @throws RangeError naming time and lap where a temperature is no longer a number
 */
export function simulateDay(input: DayInput, numerics: Numerics = DEFAULT_NUMERICS): DayResult {
  const { vehicle, sessions } = input;
  const pressure = standardPressure(input.altitude);
  const circuit = prepareCircuit(input.circuit, numerics.spacing);
  const start = sessions[0].ambient;
  const wheels = distinct(input);

  const laps = new Map<string, PlannedLap>();
  const planLap = (pace: number, ambient: number, air: AirProperties): PlannedLap => {
    const key = `${pace}/${ambient}`;
    const known = laps.get(key);
    if (known) return known;
    const driver: Driver = { ...input.driver, pace };
    const conditions = { airDensity: air.density, ductDragArea: ductDragArea(input) };
    const trace = driveLap(circuit, vehicle, driver, conditions);
    const scheduled = wheels.map(({ wheel, alike }) => ({
      corner: cornerOfWheel(input, wheel),
      heat: wheelHeat(wheel, alike),
    }));
    const schedule = lapSchedule(trace, scheduled, air, vehicle.wheelRadius, numerics.steps);
    const planned = { trace, schedule };
    laps.set(key, planned);
    return planned;
  };

  const legs = sessions.flatMap(({ ambient, legs: own }, session): PlannedLeg[] => {
    const air = airProperties(moistAirDensity(pressure, ambient, input.humidity), ambient);
    return own.map((leg): PlannedLeg => {
      const common = { session, air, ambient };
      if ('duration' in leg) {
        return { ...common, leg, lap: null, steps: standingSteps(leg.duration, numerics.steps) };
      }
      return { ...common, leg, lap: planLap(leg.pace, ambient, air), steps: null };
    });
  });
  const samples =
    1 + legs.reduce((sum, p) => sum + (p.lap ? p.leg.laps * p.lap.schedule.time.length : p.steps.length), 0);
  const runs = wheels.map(
    ({ wheel }) => new CornerRun(cornerOfWheel(input, wheel), start, pressure, numerics.refinement, samples),
  );
  const byWheel = <T>(of: (index: number) => T): Record<WheelName, T> => {
    const each = wheels.map((_, i) => of(i));
    return Object.fromEntries(
      WHEELS.map((wheel) => [wheel, each[wheels.findIndex((w) => w.wheel === wheel || w.also === wheel)]]),
    ) as Record<WheelName, T>;
  };
  const record: DayRecord = {
    time: new Float64Array(samples),
    leg: new Int32Array(samples),
    lap: new Int32Array(samples).fill(-1),
    distance: new Float64Array(samples),
    stop: new Int32Array(samples).fill(-1),
    wheels: byWheel((i) => runs[i].record),
  };

  const lapResults: LapResult[] = [];
  const legResults: LegResult[] = [];
  let sample = 1;
  let time = 0;
  let drivingTime = 0;
  legs.forEach(({ session, air, ambient, leg, lap, steps }, index) => {
    const legStart = time;
    for (const run of runs) run.integrator.setAmbient(ambient);
    if (lap) {
      const { trace, schedule } = lap;
      const count = schedule.time.length;
      const duration = lapTime(trace);
      for (let n = 0; n < leg.laps; n++) {
        for (let i = 0; i < runs.length; i++) {
          runs[i].runLap(schedule.wheels[i], schedule.dt, schedule.event, sample);
        }
        for (let k = 0; k < count; k++) {
          record.time[sample + k] = time + schedule.time[k];
          record.leg[sample + k] = index;
          record.lap[sample + k] = lapResults.length;
          record.distance[sample + k] = schedule.distance[k];
          record.stop[sample + k] = schedule.stop[k];
        }
        const heats: StopHeat[][] = runs.map((run) => stopHeats(run.record, trace, schedule, sample));
        lapResults.push({
          kind: leg.kind,
          number: lapResults.length + 1,
          session,
          numberInSession: lapResults.filter((l) => l.session === session).length + 1,
          startTime: time,
          lapTime: duration,
          trace,
          wheels: byWheel((i) => heats[i]),
        });
        sample += count;
        time += duration;
        drivingTime += duration;
        assertNumbers(record, sample - 1, lapResults.length);
      }
    } else {
      runs.forEach((run, i) => {
        const corner = cornerOfWheel(input, wheels[i].wheel);
        fillDrive(run.integrator.drive, corner, air, 0, vehicle.wheelRadius, false, leg.fan);
        run.stand(steps, sample);
      });
      steps.forEach((dt, k) => {
        time += dt;
        record.time[sample + k] = time;
        record.leg[sample + k] = index;
      });
      sample += steps.length;
    }
    legResults.push({ session, kind: leg.kind, startTime: legStart, endTime: time });
  });
  assertNumbers(record, samples - 1, lapResults.length);

  const margins = dayMargins(input, record, lapResults, legResults);
  const first = lapResults.find((lap) => lap.kind === 'hot') ?? lapResults[0];
  return {
    trace: first.trace,
    laps: lapResults,
    legs: legResults,
    record,
    margins,
    verdict: verdictOf(margins, lapResults),
    audit: auditOf(
      runs,
      wheels.map((w) => (w.also ? 2 : 1)),
    ),
    peaks: byWheel((i) => peaksOf(runs[i].record)),
    strain: byWheel((i) =>
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
    drivingTime,
    airDensity: legs.length > 0 ? legs[0].air.density : 0,
    steps: runs.length * (samples - 1),
  };
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

/** Heat made in one wheel's brake since the lap's start, J. */
function wheelHeat(wheel: WheelName, alike: boolean): (trace: LapTrace, i: number) => number {
  const front = axleOf(wheel) === 'front';
  const left = sideOf(wheel) === 'left';
  return (trace, i) => {
    const all = front ? trace.frontHeat[i] : trace.rearHeat[i];
    if (alike) return 0.5 * all;
    const ofLeft = front ? trace.frontLeftHeat[i] : trace.rearLeftHeat[i];
    return left ? ofLeft : all - ofLeft;
  };
}

/** The momentum of the air the ducts take, ṁ·V, is the drag of an area Cd·A of twice their flow area, m². */
function ductDragArea(input: DayInput): number {
  return 2 * WHEELS.reduce((sum, wheel) => sum + ductFlowArea(cornerOfWheel(input, wheel).air), 0);
}

function assertNumbers(record: DayRecord, sample: number, lap: number): void {
  for (const wheel of WHEELS) {
    const values: WheelRecord = record.wheels[wheel];
    if (!Number.isFinite(values.rotorBulk[sample])) {
      throw new RangeError(
        `The rotor of wheel ${wheel} has no temperature after ${record.time[sample].toFixed(1)} s (lap ${lap}).`,
      );
    }
  }
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
