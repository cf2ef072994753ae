import type { Demand } from '../actuation';

/**
 * One step as the brakes are asked for it; written anew for each, so that the loop allocates nothing. A class for the reason
 * that `Pressures` are.
 */
export class DemandStep {
  /** s */
  dt = 0;
  /** Whether something is switched at its start */
  event = false;
  /** In its middle, m/s */
  speed = 0;
  /** Whether the brakes are on */
  braking = false;
  /** Braking power at the tyres at the step's two stages, friction and motor, W */
  early = 0;
  late = 0;
  /** Part of each axle's heat on its left wheel where both pads rub alike, 0 to 1 */
  frontLeft = 0.5;
  rearLeft = 0.5;
  /** How far friction is carried on from the step before, in that step's length; 0 takes it as it stands */
  ahead = 0;
  /** Distance within it, m */
  way = 0;

  /** @param demand what the foot is asked for, written into with each step: the one that the brakes solve */
  constructor(readonly demand: Demand) {}
}
