import type { BrakeReading } from '../schedule';
import type { PieceRun } from './observer';
import type { WheelRecord } from './record';

/** What a piece left of one wheel's brake. */
export function readingOf(wheel: WheelRecord, { first, count }: PieceRun): BrakeReading {
  const last = first + count - 1;
  let [padPeak, rotorPeak] = [0, 0];
  for (let k = first; k <= last; k++) {
    padPeak = Math.max(padPeak, wheel.padFace[k]);
    rotorPeak = Math.max(rotorPeak, wheel.rotorFace[k]);
  }
  return {
    padFace: wheel.padFace[last],
    rotorFace: wheel.rotorFace[last],
    rotorBulk: wheel.rotorBulk[last],
    padPeak,
    rotorPeak,
    bedded: wheel.bedded[last],
  };
}
