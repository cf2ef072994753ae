import type { Corner } from '../brake';
import type { CircuitInput, DrivenLap, Driver, Vehicle } from '../lap';
import type { StepSizes } from './schedule';

export type AxleName = 'front' | 'rear';
export const AXLES: readonly AxleName[] = ['front', 'rear'];
export type Side = 'left' | 'right';
export const SIDES: readonly Side[] = ['left', 'right'];
export type WheelName = 'frontLeft' | 'frontRight' | 'rearLeft' | 'rearRight';
export const WHEELS: readonly WheelName[] = ['frontLeft', 'frontRight', 'rearLeft', 'rearRight'];

export const wheelOf = (axle: AxleName, side: Side): WheelName =>
  `${axle}${side === 'left' ? 'Left' : 'Right'}`;
export const axleOf = (wheel: WheelName): AxleName => (wheel.startsWith('front') ? 'front' : 'rear');
export const sideOf = (wheel: WheelName): Side => (wheel.endsWith('Left') ? 'left' : 'right');

export type LapKind = 'out' | 'hot' | 'cool';
export type StandKind = 'pit' | 'paddock';

/** Some laps at one pace. */
export interface LapLeg {
  readonly kind: LapKind;
  readonly laps: number;
  /** Share of the hot-lap forces, 0 to 1 */
  readonly pace: number;
  /** Laps as they were logged, one for each lap, instead of solved ones */
  readonly driven?: readonly DrivenLap[];
}

/** Standing for a while. */
export interface StandLeg {
  readonly kind: StandKind;
  /** s */
  readonly duration: number;
  /** Speed of a fan's air at the wheels, m/s; 0 without one */
  readonly fan: number;
}

/** A part of a session. */
export type Leg = LapLeg | StandLeg;

/** One session of a day. */
export interface SessionPlan {
  readonly name: string;
  /** Air temperature, K */
  readonly ambient: number;
  readonly legs: readonly Leg[];
}

/** One axle's brakes. */
export interface AxleInput {
  readonly left: Corner;
  readonly right: Corner;
  /** Boiling point of its fluid as it is today, K */
  readonly boilingPoint: number;
}

/** All that a day's computation needs, in SI. */
export interface DayInput {
  readonly vehicle: Vehicle;
  readonly driver: Omit<Driver, 'pace'>;
  readonly circuit: CircuitInput;
  /** Height of the circuit above sea level, m */
  readonly altitude: number;
  /** Air pressure at the circuit, Pa; null takes the standard one at its height */
  readonly pressure: number | null;
  /** Relative humidity, 0 to 1 */
  readonly humidity: number;
  readonly front: AxleInput;
  readonly rear: AxleInput;
  /** Clicks on the driver's balance control at each stop of a lap; missing ones are 0 */
  readonly clicks: readonly number[];
  /** Whether the driver brakes earlier on the next lap where the brakes could not make a stop */
  readonly brakesEarlier: boolean;
  /** In order, each begun as hot as the one before left it; the first as cold as its air */
  readonly sessions: readonly SessionPlan[];
}

/** How finely it is computed; the defaults are chosen in docs/model.md. */
export interface Numerics {
  readonly steps: StepSizes;
  /** Whole factor on the number of cells through rotor and pad */
  readonly refinement: number;
  /** Distance between points of the solved lap, m */
  readonly spacing: number;
}
