import { AXLES, type AxleName, wheelOf } from '../brake';
import {
  type BrakedCar,
  coldStopSchedule,
  hotStopSchedule,
  RULE_PEDAL,
  type Schedule,
  type Site,
  type Start,
} from '../schedule';
import type { Observer, PieceRun } from './observer';
import type { DayRecord } from './record';
import { run } from './run';
import type { StopTold } from './zoneResult';

/** One stop of a procedure. Temperatures in K, of the left wheels. */
export interface ProcedureStop extends StopTold {
  /** Rotor faces and fluid at its end */
  readonly face: Readonly<Record<AxleName, number>>;
  readonly fluid: Readonly<Record<AxleName, number>>;
  /** Rotors before it, mean over the ring */
  readonly before: Readonly<Record<AxleName, number>>;
  /** s since the run began */
  readonly startTime: number;
  /** Highest of the pads' faces in it */
  readonly padPeak: Readonly<Record<AxleName, number>>;
  /** Least friction of the pads in it over that of their best temperature, 1 */
  readonly friction: Readonly<Record<AxleName, number>>;
}

/** One requirement of a rule against what was computed. */
export interface Requirement {
  readonly what: 'distance' | 'deceleration' | 'pedal' | 'kept' | 'prescribed';
  /** m, m/s², N or a share */
  readonly limit: number;
  readonly value: number;
  /** Whether the value must lie under or over the limit */
  readonly must: 'not exceed' | 'reach';
  readonly met: boolean;
  readonly source: string;
}

export interface ProcedureResult {
  readonly stops: readonly ProcedureStop[];
  readonly requirements: readonly Requirement[];
}

/** A car at a place; the air is the day's first. */
export interface ProcedureCar extends BrakedCar, Site {
  readonly sessions: readonly { readonly ambient: number }[];
}

const R13H = 'UN R13-H';
const needs = (
  what: Requirement['what'],
  value: number,
  must: Requirement['must'],
  limit: number,
  source: string,
): Requirement => ({
  what,
  value,
  must,
  limit,
  source,
  met: must === 'reach' ? value >= limit : value <= limit,
});

/** All brake parts before a rule's stop, K (80 °C). */
const RULE_START = 353.15;

/**
 * Cold stop from 100 km/h: brakes at 80 °C, pedal up to 500 N. UN R13-H, annex 3, type 0.
 * @param car SI
 * @throws NeverStops where what is left does not bring it to rest
 */
export function coldStop(car: ProcedureCar): ProcedureResult {
  const [stop] = zonesOf(car, coldStopSchedule(car.sessions[0].ambient), RULE_START);
  const v = stop.from * 3.6;
  return {
    stops: [stop],
    requirements: [
      needs('distance', stop.distance, 'not exceed', 0.1 * v + 0.006 * v * v, R13H),
      needs('deceleration', stop.meanDeceleration, 'reach', 6.43, R13H),
      needs('pedal', stop.pedal, 'not exceed', RULE_PEDAL.most, R13H),
      needs('pedal', stop.pedal, 'reach', RULE_PEDAL.least, R13H),
    ],
  };
}

/**
 * Heating and hot stop after a cold one. UN R13-H annex 3 type I and 49 CFR 571.135 S7.13.
 * @param car SI
 * @param topSpeed m/s
 * @throws NeverStops where what is left does not bring it to rest
 */
export function hotStop(car: ProcedureCar, topSpeed: number): ProcedureResult {
  const cold = coldStop(car).stops[0];
  const schedule = hotStopSchedule(car.sessions[0].ambient, topSpeed, cold.pedal);
  const stops = zonesOf(car, schedule, RULE_START);
  const hot = stops[stops.length - 1];
  const kept = hot.meanDeceleration / cold.meanDeceleration;
  return {
    stops,
    requirements: [
      needs('kept', kept, 'reach', 0.6, 'UN R13-H type I; 49 CFR 571.135 S7.13'),
      needs('prescribed', hot.meanDeceleration / 6.43, 'reach', 0.75, 'UN R13-H type I (from memory)'),
      needs('pedal', hot.pedal, 'not exceed', RULE_PEDAL.most, R13H),
    ],
  };
}

/**
 * The stops of a schedule, told one by one.
 * @throws NeverStops where the car does not come to a stop's speed
 */
export function zonesOf(car: BrakedCar & Site, schedule: Schedule, start: Start): ProcedureStop[] {
  const stops: ProcedureStop[] = [];
  const after: Observer['after'] = (piece, record) => {
    if (piece.stop) stops.push(procedureStop(car, piece, record, piece.stop));
  };
  run(car, car, schedule, start, [{ after }]);
  return stops;
}

/** A stop with what it left of the brakes. */
export function procedureStop(
  car: BrakedCar,
  { first, count, startTime }: PieceRun,
  { wheels }: DayRecord,
  told: StopTold,
): ProcedureStop {
  const last = first + count - 1;
  const each = <T>(of: (axle: AxleName) => T) =>
    Object.fromEntries(AXLES.map((axle) => [axle, of(axle)])) as Record<AxleName, T>;
  const of = (axle: AxleName) => wheels[wheelOf(axle, 'left')];
  const within = (series: Float64Array) => series.subarray(first, first + count);
  return {
    ...told,
    startTime,
    padPeak: each((axle) => within(of(axle).padFace).reduce((a, b) => Math.max(a, b))),
    friction: each(
      (axle) =>
        within(of(axle).friction).reduce((a, b) => Math.min(a, b)) / car[axle].left.pad.nominalFriction,
    ),
    face: each((axle) => of(axle).rotorFace[last]),
    fluid: each((axle) => of(axle).fluid[last]),
    before: each((axle) => of(axle).rotorBulk[first - 1]),
  };
}

/** Distance put right for the speed it was driven at: `s·(v_target/v)²`. SAE J299. All m and m/s. */
export const correctedDistance = (distance: number, speed: number, target: number): number =>
  distance * (target / speed) ** 2;

/**
 * Mean fully developed deceleration, m/s²: `(vb² − ve²)/(25.92·(se − sb))`. UN R13-H, annex 3.
 * @param vb,ve km/h; at 80 and 10 % of the initial speed
 * @param sb,se m
 */
export const meanFullyDeveloped = (vb: number, ve: number, sb: number, se: number): number =>
  (vb * vb - ve * ve) / (25.92 * (se - sb));

/** Mean deceleration of a stop from a speed, m/s, over a distance, m, in m/s²: `v²/2s`. */
export const meanOverDistance = (speed: number, distance: number): number => (speed * speed) / (2 * distance);
