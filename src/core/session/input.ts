import type { Corner } from '../brake';
import type { CircuitInput, Driver, Vehicle } from '../drive';
import type { StepSizes } from './schedule';

export type AxleName = 'front' | 'rear';
export const AXLES: readonly AxleName[] = ['front', 'rear'];

/** Weather and place. */
export interface Weather {
  /** K */
  readonly temperature: number;
  /** Height of the circuit above sea level, m */
  readonly altitude: number;
  /** 0 to 1 */
  readonly humidity: number;
}

/** What is driven. */
export interface SessionPlan {
  readonly outLaps: number;
  readonly hotLaps: number;
  readonly coolDownLaps: number;
  /** Shares of the hot-lap forces, 0 to 1 */
  readonly outPace: number;
  readonly coolDownPace: number;
  /** s */
  readonly paddockTime: number;
}

/** One axle's brakes; both wheels alike. */
export interface AxleInput {
  readonly corner: Corner;
  /** Boiling point of its fluid as it is today, K */
  readonly boilingPoint: number;
}

/** All that a session's computation needs, in SI. */
export interface SessionInput {
  readonly vehicle: Vehicle;
  readonly driver: Omit<Driver, 'pace'>;
  readonly circuit: CircuitInput;
  readonly weather: Weather;
  readonly front: AxleInput;
  readonly rear: AxleInput;
  readonly plan: SessionPlan;
}

/** How finely it is computed; the defaults are chosen in docs/model.md. */
export interface Numerics {
  readonly steps: StepSizes;
  /** Whole factor on the number of cells through rotor and pad */
  readonly refinement: number;
  /** Distance between points of the solved lap, m */
  readonly spacing: number;
}
