import type { AxleForce, BrakeChain, Vehicle } from '../../src/core';

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

/** A road car with ABS on dry tyres, its brakes sharing in one fixed way. */
export const plainCar: Vehicle = {
  mass: 1500,
  rotatingInertia: 1.04,
  dragArea: 0.7,
  downforceArea: 0.6,
  power: 180_000,
  powerOverSpeed: null,
  intake: 'supercharged',
  drivenShare: 0.6,
  rollingResistance: 0.013,
  engineBraking: 300,
  engineBrakingOverSpeed: null,
  lateralGrip: 1.2,
  longitudinalGrip: 1.25,
  loadSensitivity: 0.1,
  slipShare: 0.05,
  ...plainChassis,
  brakes: plainBrakes(0.65),
  wheelRadius: 0.31,
  loadFollowing: 0,
  recovery: null,
  abs: true,
};
