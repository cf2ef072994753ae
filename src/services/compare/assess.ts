import {
  AXLES,
  type AxleName,
  type DayInput,
  type DayResult,
  type DaySummary,
  DEFAULT_NUMERICS,
  drumGeometry,
  judgedDay,
  lookAtDay,
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

/**
 * Drives a setup's day and sums it up, judged with what nobody knows of its cooling. Takes two days' time.
 * @throws RangeError as `simulateDay`
 */
export function assess(setup: Setup): Assessed {
  const input = dayInput(setup);
  return summedUp(input, judgedDay(input, DEFAULT_NUMERICS, 'parts'));
}

/**
 * The same for whom margins are enough: what is left with less cooling is not known, and nothing is called close for it.
 * @throws RangeError as `simulateDay`
 */
export function tryOut(setup: Setup): Assessed {
  const input = dayInput(setup);
  return lookAtDay(input, (day) => summedUp(input, day));
}

/** The same of a setup whose day has been driven and judged. */
export const assessed = (setup: Setup, day: DayResult): Assessed => summedUp(dayInput(setup), day);

function summedUp(input: DayInput, day: DayResult): Assessed {
  const mass = (axle: AxleName) => {
    const { drum, rotor } = input[axle].left;
    if (drum) return drumGeometry(drum).rimMass + drum.webMass;
    const { cheekMass, vaneMass } = rotorGeometry(rotor);
    return cheekMass + vaneMass + rotor.hatMass;
  };
  return {
    summary: summarise(input, day),
    frontShare: nominalShare(input.vehicle.brakes),
    rotorMass: Object.fromEntries(AXLES.map((axle) => [axle, mass(axle)])) as Record<AxleName, number>,
  };
}
