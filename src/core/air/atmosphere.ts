import { STANDARD_GRAVITY } from '../constants';
import { exp, power } from '../numeric';

/** Specific gas constant of dry air, J/(kg·K). U.S. Standard Atmosphere 1976. */
const DRY_AIR_GAS_CONSTANT = 287.05287;
/** Specific gas constant of water vapour, J/(kg·K). */
const VAPOUR_GAS_CONSTANT = 461.523;
/** kg/m³ at sea level. U.S. Standard Atmosphere 1976. */
export const SEA_LEVEL_DENSITY = 1.225;
const SEA_LEVEL_PRESSURE = 101325;
const SEA_LEVEL_TEMPERATURE = 288.15;
/** Temperature lapse of the troposphere, K/m. */
const LAPSE = 0.0065;

/**
 * Standard pressure at a height.
 * @param height above sea level, m; −500 to 11 000
 * @returns Pa
 * Source: U.S. Standard Atmosphere 1976, troposphere.
 */
export function standardPressure(height: number): number {
  return (
    SEA_LEVEL_PRESSURE *
    power(1 - (LAPSE * height) / SEA_LEVEL_TEMPERATURE, STANDARD_GRAVITY / (DRY_AIR_GAS_CONSTANT * LAPSE))
  );
}

/**
 * Saturation pressure of water vapour over water.
 * @param temperature K
 * @returns Pa
 * Source: Buck 1996 (an enhancement of Buck 1981, J. Appl. Meteorol. 20).
 */
export function saturationPressure(temperature: number): number {
  const celsius = temperature - 273.15;
  return 611.21 * exp((18.678 - celsius / 234.5) * (celsius / (257.14 + celsius)));
}

/**
 * Density of moist air, the sum of its two ideal gases (Dalton).
 * @param pressure Pa
 * @param temperature K
 * @param relativeHumidity 0 to 1
 * @returns kg/m³
 */
export function moistAirDensity(pressure: number, temperature: number, relativeHumidity: number): number {
  const vapour = Math.min(pressure, relativeHumidity * saturationPressure(temperature));
  return (
    (pressure - vapour) / (DRY_AIR_GAS_CONSTANT * temperature) + vapour / (VAPOUR_GAS_CONSTANT * temperature)
  );
}
