import type { AxleForce, BrakeChain } from '../../src/core';

const axle: AxleForce = {
  kind: 'disc',
  pistonArea: 2e-3,
  radius: 0.12,
  correction: 1,
  nominalFriction: 0.4,
  padArea: 5e-3,
  padGive: 1.2e-11,
  clearance: 1e-4,
  knockBack: 0,
  opening: 6e-9,
  hoseExpansion: 2e-17,
  fluidGive: 3e-14,
};

/** Brakes that share their force in one fixed way. @param front share, 0 to 1 */
export function plainBrakes(front: number): BrakeChain {
  return {
    pedalRatio: 4,
    pedalEfficiency: 1,
    booster: null,
    cylinders: { kind: 'tandem', area: 4e-4, stroke: 0.04, split: 'diagonal' },
    valve: null,
    forceLimit: 1000,
    travelLimit: 0.15,
    freeTravel: 0.005,
    front: { ...axle, correction: 2 * front },
    rear: { ...axle, correction: 2 * (1 - front) },
  };
}

/** What a vehicle needs beside its mass for its loads and its brakes. */
export const plainChassis = {
  wheelbase: 2.5,
  frontWeight: 0.52,
  gravityHeight: 0.45,
  frontDownforce: 0.45,
  trackWidth: 1.5,
};
