import type { BrakeChain, Chassis } from '../actuation';
import type { PointTable } from '../numeric';

/** What the simulated lap needs to know of the car. All SI; the mass is as driven, with fuel, driver and gear. */
export interface Vehicle extends Chassis {
  /** Share added to the mass by rotating parts: 1.03 to 1.08 */
  readonly rotatingInertia: number;
  /** Drag area Cd·A, m² */
  readonly dragArea: number;
  /** Downforce area, m²; positive presses down */
  readonly downforceArea: number;
  /** Power at the driven wheels in air of sea level, W */
  readonly power: number;
  /** Share of it over speed, m/s; null where it is the same at any */
  readonly powerOverSpeed: PointTable | null;
  /** How the engine gets its air: `natural` loses power with the air's density, the others do not */
  readonly intake: 'natural' | 'supercharged' | 'electric';
  /** Share of the wheel loads that lies on driven wheels, 0 to 1 */
  readonly drivenShare: number;
  /** Rolling resistance coefficient, 1 */
  readonly rollingResistance: number;
  /** Retarding force of the closed throttle, N */
  readonly engineBraking: number;
  /** Share of it over speed, m/s; null where it is the same at any */
  readonly engineBrakingOverSpeed: PointTable | null;
  /** Friction of the tyres sideways at the static load, 1 */
  readonly lateralGrip: number;
  /** Friction of the tyres along the road at the static load, 1 */
  readonly longitudinalGrip: number;
  /** Share of friction lost for each doubling of the load, 0 to 0.3 */
  readonly loadSensitivity: number;
  /** Share of braking work lost in tyre slip, 0 to 0.1 */
  readonly slipShare: number;
  /** Whether anti-lock brakes use up the tyres of both axles; without, the axle that would lock first holds the braking */
  readonly abs: boolean;
  readonly brakes: BrakeChain;
  /** Rolling radius of the wheels, m */
  readonly wheelRadius: number;
  /** Mean of front and rear, m */
  readonly trackWidth: number;
  /**
   * How far braking follows the wheel loads from side to side: 0 where both wheels of an axle get the same pressure, 1
   * where each brakes in proportion to its load
   */
  readonly loadFollowing: number;
  readonly recovery: EnergyRecovery | null;
}

/** Electrical braking of one axle. */
export interface EnergyRecovery {
  readonly axle: 'front' | 'rear';
  /** Greatest braking power at the wheels, W */
  readonly power: number;
  /** Speed under which it fades to nothing, m/s */
  readonly lowestSpeed: number;
  /**
   * `blended`: the axle's friction brake gives way by as much as the motor brakes, so the balance stays. `added`: the
   * motor brakes on top of what the pedal asks of both axles, so the driver presses less and the balance moves.
   */
  readonly blending: 'blended' | 'added';
  /** Share of its power over the energy taken in a session, J: a full battery, warm windings; null where it keeps it */
  readonly derating: PointTable | null;
}

/** How the car is driven. */
export interface Driver {
  /** Share of the tyres' grip used in braking, 0 to 1 */
  readonly brakingGripUsed: number;
  /** Share of the tyres' grip used in cornering, 0 to 1 */
  readonly corneringGripUsed: number;
  /** Time from first touch to full braking, s */
  readonly brakeBuildUp: number;
  /**
   * Share of the hot-lap forces used, 0 to 1: grip in braking and cornering by this share, power by its 1.5th power,
   * so that speeds fall about as its square root.
   */
  readonly pace: number;
  /** Grip of the track over that of a dry one, 0 to 1; left out, dry */
  readonly trackGrip?: number;
}
