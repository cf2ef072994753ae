import { AXLES, type DayResult } from '../../core';
import { siText, type UnitChoice } from '../../model';
import { BEDDED } from '../../services';

/** Where lift holds the lap. */
export function liftNotes({ heldByLift }: Pick<DayResult, 'heldByLift'>, units: UnitChoice): string[] {
  if (heldByLift === null) return [];
  return [
    `The lap is held to ${siText(heldByLift, 'speed', units)}: faster, the body’s lift would leave less than a quarter of the weight on the tyres. Is ClA right?`,
  ];
}

/** Friction material under which pads are usually changed, m (common practice). */
const LEAST_PAD = 3e-3;

/** Pads that are due for a change when the day ends. */
export function wornNotes({ padLeft }: Pick<DayResult, 'padLeft'>, units: UnitChoice): string[] {
  return AXLES.filter((axle) => padLeft[axle] < LEAST_PAD).map((axle) => {
    const left = siText(padLeft[axle], 'smallLength', units);
    const least = siText(LEAST_PAD, 'smallLength', units);
    return `The ${axle} pads are down to ${left} when it ends: under ${least} they are usually changed. Wear is an index from memory; measure yours.`;
  });
}

/** Pads that begin the day not bedded. */
export function unbeddedNotes({ bedded }: Pick<DayResult, 'bedded'>): string[] {
  return AXLES.filter((axle) => bedded[axle] < BEDDED).map(
    (axle) =>
      `The ${axle} pads begin ${Math.round(100 * bedded[axle])} % bedded: they bite less until they are, and smear if they are braked hard on a cold rotor. Bed them first (Prepare, Bed).`,
  );
}
