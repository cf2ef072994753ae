import {
  AXLES,
  type AxleName,
  type DaySummary,
  DEFAULT_NUMERICS,
  drumGeometry,
  judgedDay,
  nominalShare,
  rotorGeometry,
  summarise,
} from '../../core';
import { dayInput, type Setup } from '../../model';

/** A setup driven and summed up, with what is known of it without driving. */
export interface Assessed {
  readonly summary: DaySummary;
  /** Brake balance with warm pads, 0 to 1 */
  readonly frontShare: number;
  /** One rotor or drum with its hat, kg */
  readonly rotorMass: Readonly<Record<AxleName, number>>;
}

/** Drives a setup's day and sums it up. @throws RangeError as `simulateDay` */
export function assess(setup: Setup): Assessed {
  const input = dayInput(setup);
  const mass = (axle: AxleName) => {
    const { drum, rotor } = input[axle].left;
    if (drum) return drumGeometry(drum).rimMass + drum.webMass;
    const { cheekMass, vaneMass } = rotorGeometry(rotor);
    return cheekMass + vaneMass + rotor.hatMass;
  };
  return {
    summary: summarise(input, judgedDay(input, DEFAULT_NUMERICS, 'parts')),
    frontShare: nominalShare(input.vehicle.brakes),
    rotorMass: Object.fromEntries(AXLES.map((axle) => [axle, mass(axle)])) as Record<AxleName, number>,
  };
}
