import { type AxleInput, type AxleName, axleOf, type WheelName } from '../brake';
import type { BrakeReading } from '../schedule';
import type { PieceRun } from './observer';
import type { WheelRecord } from './record';

/** What a piece left of one wheel's brake. */
export function readingOf(
  wheel: WheelRecord,
  car: Readonly<Record<AxleName, Pick<AxleInput, 'boilingPoint'>>>,
  name: WheelName,
  { first, count }: PieceRun,
): BrakeReading {
  const last = first + count - 1;
  let [padPeak, rotorPeak, fluidPeak] = [0, 0, 0];
  for (let k = first; k <= last; k++) {
    padPeak = Math.max(padPeak, wheel.padFace[k]);
    rotorPeak = Math.max(rotorPeak, wheel.rotorFace[k]);
    fluidPeak = Math.max(fluidPeak, wheel.fluid[k], wheel.hose[k]);
  }
  return {
    padFace: wheel.padFace[last],
    rotorFace: wheel.rotorFace[last],
    rotorBulk: wheel.rotorBulk[last],
    padPeak,
    rotorPeak,
    bedded: wheel.bedded[last],
    boiled: fluidPeak > car[axleOf(name)].boilingPoint,
  };
}
