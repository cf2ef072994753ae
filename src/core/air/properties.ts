import { power } from '../numeric';
/** Transport properties of the air that passes the brakes. All SI. */
export interface AirProperties {
  /** kg/m³ */
  readonly density: number;
  /** Dynamic viscosity, Pa·s */
  readonly viscosity: number;
  /** Thermal conductivity, W/(m·K) */
  readonly conductivity: number;
  /** Specific heat at constant pressure, J/(kg·K) */
  readonly specificHeat: number;
  /** Prandtl number, 1 */
  readonly prandtl: number;
}

/**
 * Dynamic viscosity of air, Pa·s, from its temperature in K.
 * Source: Sutherland's law with the constants of the U.S. Standard Atmosphere 1976.
 */
export function airViscosity(temperature: number): number {
  return (1.458e-6 * temperature * Math.sqrt(temperature)) / (temperature + 110.4);
}

/**
 * Thermal conductivity of air, W/(m·K), from its temperature in K.
 * Source: U.S. Standard Atmosphere 1976, equation 53.
 */
export function airConductivity(temperature: number): number {
  return (
    (2.64638e-3 * temperature * Math.sqrt(temperature)) / (temperature + 245.4 * power(10, -12 / temperature))
  );
}

/**
 * Specific heat of air at constant pressure, J/(kg·K), from its temperature in K, 250 to 1000.
 * Source: a parabola through the tabulated 1007, 1014 and 1030 J/(kg·K) at 300, 400 and 500 K
 * (Incropera, table A.4, from memory).
 */
export function airSpecificHeat(temperature: number): number {
  const x = (temperature - 300) / 100;
  return 1007 + 2.5 * x + 4.5 * x * x;
}

/**
 * All properties of air of a known density.
 * @param density kg/m³
 * @param temperature K
 */
export function airProperties(density: number, temperature: number): AirProperties {
  const viscosity = airViscosity(temperature);
  const conductivity = airConductivity(temperature);
  const specificHeat = airSpecificHeat(temperature);
  return {
    density,
    viscosity,
    conductivity,
    specificHeat,
    prandtl: (viscosity * specificHeat) / conductivity,
  };
}
