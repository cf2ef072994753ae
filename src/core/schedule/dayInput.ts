import type { AxleInput, AxleName, CarState } from '../brake';
import type { CircuitInput, DrivenLap, Driver, Vehicle, Wind } from '../lap';
import type { Site } from './site';
import type { StepSizes } from './steps';

export type LapKind = 'out' | 'hot' | 'cool';
export type StandKind = 'pit' | 'paddock';
export type LegKind = LapKind | StandKind;

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
  /** Grip of the track over that of a dry one, 0 to 1: damp, wet */
  readonly trackGrip: number;
  readonly legs: readonly Leg[];
}

/** A car with its brakes. SI. */
export interface BrakedCar extends Readonly<Record<AxleName, AxleInput>> {
  readonly vehicle: Vehicle;
  readonly driver: Omit<Driver, 'pace' | 'trackGrip'>;
}

/** What the brakes are like when a run begins: all parts as warm as one temperature, K, or each as it was left. */
export type Start = number | CarState;

/** How far a car's cooling may be off what is computed: factors to its worse and its better end, 95 % lie between. */
export interface CoolingDoubt {
  readonly less: Readonly<Record<AxleName, number>>;
  readonly more: Readonly<Record<AxleName, number>>;
  /** Day of the calibration it comes of, ISO 8601; null for a car that was not measured */
  readonly calibrated: string | null;
}

/** Of a car that was not measured (own estimate). */
export const UNMEASURED: CoolingDoubt = {
  less: { front: 0.7, rear: 0.7 },
  more: { front: 1.3, rear: 1.3 },
  calibrated: null,
};

/** All that a day's computation needs, in SI. */
export interface DayInput extends BrakedCar, Site {
  /** Left out, the car was not measured */
  readonly doubt?: CoolingDoubt;
  readonly circuit: CircuitInput;
  /** Over the circuit; null where none blows or its directions are not known */
  readonly wind: Wind | null;
  /** Clicks on the driver's balance control at each braking zone of a lap; missing ones are 0 */
  readonly clicks: readonly number[];
  /** Whether the driver brakes earlier on the next lap where the brakes could not make a braking zone */
  readonly brakesEarlier: boolean;
  /** How the brakes begin the day; null as cold as the first session's air */
  readonly start: Start | null;
  /** In order, each begun as hot as the one before left it */
  readonly sessions: readonly SessionPlan[];
}

/** How finely it is computed; the defaults are chosen in docs/model.md. */
export interface Numerics {
  readonly steps: StepSizes;
  /** Whole factor on the number of cells through rotor and pad */
  readonly refinement: number;
  /** Distance between points of the simulated lap, m */
  readonly spacing: number;
}
