import type { Channel, WheelName } from '../../core';

/** Temperature channels of a log, and the part whose prediction stands for each. */
export const MEASURED: readonly (readonly [Channel, WheelName, 'rotorBulk' | 'caliper' | 'fluid'])[] = [
  ['rotorFrontLeft', 'frontLeft', 'rotorBulk'],
  ['rotorFrontRight', 'frontRight', 'rotorBulk'],
  ['rotorRearLeft', 'rearLeft', 'rotorBulk'],
  ['rotorRearRight', 'rearRight', 'rotorBulk'],
  ['caliperFrontLeft', 'frontLeft', 'caliper'],
  ['caliperFrontRight', 'frontRight', 'caliper'],
  ['caliperRearLeft', 'rearLeft', 'caliper'],
  ['caliperRearRight', 'rearRight', 'caliper'],
  ['fluidFront', 'frontLeft', 'fluid'],
  ['fluidRear', 'rearLeft', 'fluid'],
];
