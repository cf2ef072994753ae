import { PARAMETERS, type ParameterId } from '../../core';
import { parameterInfo, siText, type UnitChoice } from '../../model';

/**
 * A value of a parameter as it is said: percent of what is computed, or what is added with its sign.
 * @param value a factor, K or kg
 */
export function parameterText(id: ParameterId, value: number, units: UnitChoice, decimals = 0): string {
  if (PARAMETERS[id].how === 'factor') return `${(100 * value).toFixed(decimals)} %`;
  return `${value < 0 ? '−' : '+'}${spreadText(id, Math.abs(value), units)}`;
}

/** How far what is added may be off, without a sign. @param value K or kg, not negative */
export const spreadText = (id: ParameterId, value: number, units: UnitChoice): string =>
  siText(value, parameterInfo(id).quantity === 'mass' ? 'mass' : 'difference', units);
