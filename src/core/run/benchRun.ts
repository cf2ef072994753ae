import { axleOf, type WheelName, wheelOf } from '../brake';
import { BENCH_PHASES, type BenchPhase, type BenchStop, benchSchedule, type Start } from '../schedule';
import type { Observer } from './observer';
import type { ProcedureCar } from './procedures';
import type { EnergyAudit } from './result';
import { run } from './run';

/** What a bench's sensors would show of one stop. K. */
export interface BenchReading {
  readonly phase: BenchPhase;
  /** s since the start, when it begins */
  readonly time: number;
  /** Core of the rotor before and after, highest of its surface and of the pad's */
  readonly before: number;
  readonly after: number;
  readonly facePeak: number;
  readonly padPeak: number;
  /** Fluid after it */
  readonly fluid: number;
  /** Mean friction over it, 1 */
  readonly friction: number;
}

/** A programme that has been run; n samples. */
export interface BenchResult {
  readonly stops: readonly BenchReading[];
  /** s; n */
  readonly time: Float64Array;
  /** K; n */
  readonly rotorBulk: Float64Array;
  readonly rotorFace: Float64Array;
  readonly padFace: Float64Array;
  readonly fluid: Float64Array;
  /** Work of the brake in each step before a sample, over its time, W; n */
  readonly power: Float64Array;
  /** Friction of the pads, 1; n */
  readonly friction: Float64Array;
  readonly audit: EnergyAudit;
}

/**
 * Runs a bench programme with one wheel's brake.
 * @param car SI; of the other wheels nothing is made hot
 * @throws ScheduleError for a stop that cannot be driven; StateError for a start that the brakes cannot be in
 */
export function benchRun(
  car: ProcedureCar,
  wheel: WheelName,
  stops: readonly BenchStop[],
  start: Start,
): BenchResult {
  const axle = axleOf(wheel);
  // Its side's air is the one the bench has.
  const side = wheel.endsWith('Left') ? car[axle].left : car[axle].right;
  const mounted = { ...car, [axle]: { ...car[axle], left: side, right: side } };
  const schedule = benchSchedule({
    ambient: car.sessions[0].ambient,
    axle,
    wheelRadius: car.vehicle.wheelRadius,
    stops,
  });
  const told: BenchReading[] = [];
  const after: Observer['after'] = ({ piece, first, count, startTime }, { wheels }) => {
    if (piece.kind !== 'given' || piece.steps.demand === null) return;
    const own = wheels[wheelOf(axle, 'left')];
    const last = first + count - 1;
    const most = (series: Float64Array) =>
      series.subarray(first, last + 1).reduce((a, b) => Math.max(a, b), 0);
    let sum = 0;
    for (let k = first; k <= last; k++) sum += own.friction[k];
    told.push({
      phase: BENCH_PHASES[piece.leg],
      time: startTime,
      before: own.rotorBulk[first - 1],
      after: own.rotorBulk[last],
      facePeak: most(own.rotorFace),
      padPeak: most(own.padFace),
      fluid: own.fluid[last],
      friction: sum / count,
    });
  };
  const { record, audit } = run(mounted, car, schedule, start, [{ after }]);
  const own = record.wheels[wheelOf(axle, 'left')];
  return {
    stops: told,
    time: record.time,
    rotorBulk: own.rotorBulk,
    rotorFace: own.rotorFace,
    padFace: own.padFace,
    fluid: own.fluid,
    power: own.early.map((early, k) => 0.5 * (early + own.late[k])),
    friction: own.friction,
    audit,
  };
}
