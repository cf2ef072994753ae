import { STANDARD_GRAVITY } from '../constants';
import { largestThat } from '../numeric';
import { BrakingState } from './brakingState';
import type { BrakeChain } from './chain';
import type { Chassis } from './loads';

/** A deceleration and what the foot gives for it. */
export interface PedalPoint {
  /** Over g */
  readonly z: number;
  /** N; infinite where no push makes it */
  readonly pedal: number;
  /** m */
  readonly travel: number;
}

/** How finely a car's brakes can be metered. */
export interface Modulation {
  /** As the tyres of the first axle come to their limit, or the foot to its own, and half of that */
  readonly full: PedalPoint;
  readonly half: PedalPoint;
  /** Foot for each 0.1 g more, between half and full, N */
  readonly perTenth: number;
  /** From half to full braking, N and m: the wider, the finer it can be metered */
  readonly width: number;
  readonly travelWidth: number;
  /** Who ends it */
  readonly limit: 'tyres' | 'pedal' | 'travel';
}

/**
 * Pedal force over deceleration of a car without downforce, and the width between half and full braking.
 * @param friction of each axle's pads, 1
 * @param grip of the tyres, 1
 */
export function modulation(
  {
    brakes,
    chassis,
    wheelRadius,
  }: {
    readonly brakes: BrakeChain;
    readonly chassis: Chassis;
    /** m */
    readonly wheelRadius: number;
  },
  friction: { readonly front: number; readonly rear: number },
  grip: number,
): Modulation {
  const state = new BrakingState(brakes, chassis, wheelRadius, null);
  const { condition, demand } = state;
  condition.frontLeft = friction.front;
  condition.frontRight = friction.front;
  condition.rearLeft = friction.rear;
  condition.rearRight = friction.rear;
  const at = (z: number): PedalPoint => {
    demand.force = z * chassis.mass * STANDARD_GRAVITY;
    demand.z = z;
    state.solve();
    return { z, pedal: state.pedal, travel: state.travel };
  };
  const longest = state.travelModel.pedal(state.travelModel.longestPush);
  let limit: Modulation['limit'] = 'tyres';
  const can = (z: number) => {
    const { pedal, travel } = at(z);
    if (Math.max(state.frontUse, state.rearUse) > grip) limit = 'tyres';
    else if (!(pedal <= brakes.forceLimit)) limit = 'pedal';
    else if (travel > longest) limit = 'travel';
    else return true;
    return false;
  };
  const full = at(largestThat(can, 0, 1.5 * grip, 30));
  const half = at(full.z / 2);
  const width = full.pedal - half.pedal;
  return {
    full,
    half,
    perTenth: width / (5 * full.z),
    width,
    travelWidth: full.travel - half.travel,
    limit,
  };
}
