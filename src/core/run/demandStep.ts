import type { Demand } from '../actuation';

/** One step as the brakes are asked for it; written anew for each, so that the loop allocates nothing. */
export interface DemandStep {
  /** s */
  dt: number;
  /** Whether something is switched at its start */
  event: boolean;
  /** In its middle, m/s */
  speed: number;
  /** Speed of a fan's air, m/s */
  fan: number;
  /** Whether the brakes are on */
  braking: boolean;
  /** Braking power at the tyres at the step's two stages, friction and motor, W */
  early: number;
  late: number;
  /** Part of each axle's heat on its left wheel where both pads rub alike, 0 to 1 */
  frontLeft: number;
  rearLeft: number;
  /** What the foot is asked for */
  readonly demand: Demand;
  /** How far friction is carried on from the step before, in that step's length; 0 takes it as it stands */
  ahead: number;
  /** Distance within it, m */
  way: number;
  /** Distance since the piece began, at the step's end, m */
  distance: number;
  /** Braking zone it lies in or after, −1 before the first */
  zone: number;
}

/** @param demand written into with each step: the one that the brakes solve */
export const emptyStep = (demand: Demand): DemandStep => ({
  dt: 0,
  event: false,
  speed: 0,
  fan: 0,
  braking: false,
  early: 0,
  late: 0,
  frontLeft: 0.5,
  rearLeft: 0.5,
  demand,
  ahead: 0,
  way: 0,
  distance: 0,
  zone: -1,
});
