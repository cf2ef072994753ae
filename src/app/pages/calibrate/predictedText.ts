import type { Reading } from '../../../core';
import { siText, type UnitChoice } from '../../../model';

/** A prediction as its reading is read: a temperature, a distance from a limit, a thickness. @param value K or µm */
export function predictedText({ look }: Reading, value: number, units: UnitChoice): string {
  if (look.kind === 'worn') return wornText(value, units);
  if (look.kind !== 'over') return siText(value, 'temperature', units);
  const amount = siText(Math.abs(value), 'difference', units);
  return value < 0 ? `${amount} below its limit` : `${amount} over its limit`;
}

/** @param micrometres thickness that was worn off */
export const wornText = (micrometres: number, units: UnitChoice): string =>
  siText(micrometres * 1e-6, 'smallLength', units, 2);
