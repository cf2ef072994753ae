import { airProperties, moistAirDensity, standardPressure } from '../air';
import { CHANNEL_COUNT } from '../brake';
import { type Driver, driveLap, type LapTrace, LINE_SPACING, lapTime, prepareCircuit } from '../drive';
import { CornerRun } from './cornerRun';
import type { Numerics, SessionInput } from './input';
import { axleMargins, peaksOf, verdictOf } from './margins';
import { emptyRecord, type SessionRecord } from './record';
import type { EnergyAudit, LapKind, LapResult, SessionResult, StopHeat } from './result';
import { type AxleSchedule, DEFAULT_STEPS, fillDrive, type LapSchedule, lapSchedule } from './schedule';

export const DEFAULT_NUMERICS: Numerics = {
  steps: DEFAULT_STEPS,
  refinement: 1,
  spacing: LINE_SPACING,
};

interface PlannedLap {
  kind: LapKind;
  trace: LapTrace;
  schedule: LapSchedule;
}

/**
 * Computes a whole session: the laps, their braking work, and the temperatures of every brake part from the first lap to
 * the end of the paddock time.
 * @param input a valid session, SI
 * @throws RangeError naming lap and time where a temperature is no longer a number
 */
export function simulateSession(input: SessionInput, numerics: Numerics = DEFAULT_NUMERICS): SessionResult {
  const { vehicle, weather, front, rear, plan } = input;
  const pressure = standardPressure(weather.altitude);
  const airDensity = moistAirDensity(pressure, weather.temperature, weather.humidity);
  const air = airProperties(airDensity, weather.temperature);
  const circuit = prepareCircuit(input.circuit, numerics.spacing);
  const ductFlowArea = (axle: typeof front) => 2 * axle.corner.ductCoefficient * axle.corner.ductArea;
  // The momentum of the air a duct takes, ṁ·V, is the drag of an area Cd·A of twice the flow area.
  const ductDragArea = 2 * (ductFlowArea(front) + ductFlowArea(rear));

  const planLap = (kind: LapKind, pace: number): PlannedLap => {
    const driver: Driver = { ...input.driver, pace };
    const trace = driveLap(circuit, vehicle, driver, { airDensity, ductDragArea });
    const schedule = lapSchedule(trace, front.corner, rear.corner, air, vehicle.wheelRadius, numerics.steps);
    return { kind, trace, schedule };
  };
  const hot = planLap('hot', 1);
  const out = plan.outLaps > 0 ? planLap('out', plan.outPace) : hot;
  const cool = plan.coolDownLaps > 0 ? planLap('cool', plan.coolDownPace) : hot;
  const laps: PlannedLap[] = [
    ...Array<PlannedLap>(plan.outLaps).fill(out),
    ...Array<PlannedLap>(plan.hotLaps).fill(hot),
    ...Array<PlannedLap>(plan.coolDownLaps).fill(cool),
  ];

  const paddock = paddockSteps(plan.paddockTime, numerics.steps.release, numerics.steps.standing);
  const samples = 1 + laps.reduce((sum, lap) => sum + lap.schedule.time.length, 0) + paddock.length;
  const record = emptyRecord(samples);
  const runs = {
    front: new CornerRun(front.corner, weather.temperature, pressure, numerics.refinement),
    rear: new CornerRun(rear.corner, weather.temperature, pressure, numerics.refinement),
  };
  runs.front.write(record.front, 0);
  runs.rear.write(record.rear, 0);

  let sample = 1;
  let startTime = 0;
  const results: LapResult[] = [];
  laps.forEach(({ kind, trace, schedule }, index) => {
    runLap(runs.front, schedule, schedule.front, record.front, sample);
    runLap(runs.rear, schedule, schedule.rear, record.rear, sample);
    writeLap(record, schedule, index, startTime, sample);
    assertNumbers(record, sample + schedule.time.length - 1, index);
    results.push({
      kind,
      number: index + 1,
      startTime,
      lapTime: lapTime(trace),
      trace,
      front: stopHeats(record, 'front', trace, schedule, sample),
      rear: stopHeats(record, 'rear', trace, schedule, sample),
    });
    sample += schedule.time.length;
    startTime += lapTime(trace);
  });
  const drivingTime = startTime;

  for (const name of ['front', 'rear'] as const) {
    const run = runs[name];
    fillDrive(run.integrator.drive, input[name].corner, air, 0, vehicle.wheelRadius, false);
    run.integrator.markEvent();
    paddock.forEach((dt, k) => {
      run.integrator.step(dt, 0, 0);
      run.write(record[name], sample + k);
    });
  }
  let time = drivingTime;
  paddock.forEach((dt, k) => {
    time += dt;
    record.time[sample + k] = time;
    record.lap[sample + k] = laps.length;
  });
  assertNumbers(record, samples - 1, laps.length);

  const margins = [
    ...axleMargins('front', front, record, results, weather.temperature, drivingTime),
    ...axleMargins('rear', rear, record, results, weather.temperature, drivingTime),
  ];
  return {
    trace: hot.trace,
    laps: results,
    record,
    margins,
    verdict: verdictOf(margins, results),
    audit: auditOf(runs.front, runs.rear),
    peaks: peaksOf(record),
    rotorShare: {
      front: runs.front.layout.network.sources[0].share,
      rear: runs.rear.layout.network.sources[0].share,
    },
    drivingTime,
    airDensity,
    steps: 2 * (samples - 1),
  };
}

function runLap(
  run: CornerRun,
  schedule: LapSchedule,
  axle: AxleSchedule,
  record: SessionRecord['front'],
  sample: number,
): void {
  const { integrator } = run;
  const { drive } = integrator;
  for (let k = 0; k < schedule.dt.length; k++) {
    for (let c = 0; c < CHANNEL_COUNT; c++) drive[c] = axle.drive[k * CHANNEL_COUNT + c];
    if (schedule.event[k] === 1) integrator.markEvent();
    integrator.step(schedule.dt[k], axle.early[k], axle.late[k]);
    run.write(record, sample + k);
  }
}

function writeLap(
  record: SessionRecord,
  schedule: LapSchedule,
  lap: number,
  startTime: number,
  sample: number,
): void {
  for (let k = 0; k < schedule.time.length; k++) {
    record.time[sample + k] = startTime + schedule.time[k];
    record.lap[sample + k] = lap;
    record.distance[sample + k] = schedule.distance[k];
    record.stop[sample + k] = schedule.stop[k];
  }
}

function stopHeats(
  record: SessionRecord,
  axle: 'front' | 'rear',
  trace: LapTrace,
  schedule: LapSchedule,
  sample: number,
): StopHeat[] {
  const values = record[axle];
  return trace.stops.map((_, stop) => {
    const first = schedule.stop.findIndex((s, k) => s === stop && schedule.inStop[k] === 1);
    let last = first;
    while (
      last + 1 < schedule.stop.length &&
      schedule.inStop[last + 1] === 1 &&
      schedule.stop[last + 1] === stop
    ) {
      last++;
    }
    const before = sample + first - 1;
    const after = sample + last;
    let facePeak = 0;
    for (let i = before; i <= after; i++) facePeak = Math.max(facePeak, values.rotorFace[i]);
    return {
      faceBefore: values.rotorFace[before],
      facePeak,
      faceAfter: values.rotorFace[after],
      bulkBefore: values.rotorBulk[before],
      bulkAfter: values.rotorBulk[after],
      padFaceBefore: values.padFace[before],
      fluidAfter: values.fluid[after],
    };
  });
}

function paddockSteps(duration: number, first: number, longest: number): number[] {
  const steps: number[] = [];
  let left = duration;
  let step = first;
  while (left > 1e-9) {
    const dt = left < 1.5 * step ? left : step;
    steps.push(dt);
    left -= dt;
    step = Math.min(longest, 1.3 * step);
  }
  return steps;
}

function assertNumbers(record: SessionRecord, sample: number, lap: number): void {
  for (const axle of ['front', 'rear'] as const) {
    if (!Number.isFinite(record[axle].rotorBulk[sample])) {
      throw new RangeError(
        `The ${axle} rotor has no temperature after ${record.time[sample].toFixed(1)} s (lap ${lap + 1}).`,
      );
    }
  }
}

function auditOf(front: CornerRun, rear: CornerRun): EnergyAudit {
  const a = front.audit();
  const b = rear.audit();
  const supplied = 2 * (a.supplied + b.supplied);
  const stored = 2 * (a.stored + b.stored);
  const lost = 2 * (a.lost + b.lost);
  const residual = supplied > 0 ? Math.abs(supplied - stored - lost) / supplied : 0;
  return { supplied, stored, lost, residual };
}
