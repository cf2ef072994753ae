/** Steps of the heat computation, s. */
export interface StepSizes {
  /** Longest while braking */
  readonly braking: number;
  /** Least number of steps in a braking, so that short ones show their peak */
  readonly leastPerZone: number;
  /** First step after a release; the following grow by half */
  readonly release: number;
  /** Longest while rolling */
  readonly rolling: number;
  /** Longest in the paddock */
  readonly standing: number;
}
export const DEFAULT_STEPS: StepSizes = {
  braking: 0.2,
  leastPerZone: 18,
  release: 0.12,
  rolling: 2,
  standing: 20,
};

/** Power and force of the braking, step by step, before wheels share it; m steps each. */
export interface StepDemand {
  /** Braking power at the tyres at the two stages of each step, friction and motor, W */
  readonly early: Float64Array;
  readonly late: Float64Array;
  /** Braking at the tyres, friction and motor, N */
  readonly force: Float64Array;
  /** What the motor could do of it, N */
  readonly electric: Float64Array;
  /** Deceleration over g */
  readonly z: Float64Array;
  /** Distance within the step, m */
  readonly way: Float64Array;
  /** Part of each axle's heat on its left wheel where both pads rub alike, 0 to 1 */
  readonly frontLeft: Float64Array;
  readonly rearLeft: Float64Array;
}

/** Driving that is known beforehand, cut into m steps: speed, demand and what air there is beside the way's own. */
export interface Steps {
  /** End of each step, s since the first began; m */
  readonly time: Float64Array;
  /** s; m */
  readonly dt: Float64Array;
  /** 1 where the step begins or ends a braking; m */
  readonly event: Uint8Array;
  /** Distance at the end of each step, m; m */
  readonly distance: Float64Array;
  /** In the middle of each step, m/s; m */
  readonly speed: Float64Array;
  /** Speed of the air past the wheels there, m/s; m */
  readonly airSpeed: Float64Array;
  /** Speed of a fan's air at the wheels, m/s; 0 without one */
  readonly fan: number;
  /** Braking during or after which each step lies, −1 before the first; m */
  readonly zone: Int32Array;
  /** 1 while braking in that braking zone; m */
  readonly inZone: Uint8Array;
  /** null where nothing brakes */
  readonly demand: StepDemand | null;
  /** Mean braking of each braking zone, N */
  readonly meanForce: readonly number[];
  /** Sideways acceleration of the corners before each braking zone, g */
  readonly lateralBefore: readonly number[];
  /** s */
  readonly duration: number;
}
