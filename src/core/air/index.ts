export { moistAirDensity, SEA_LEVEL_DENSITY, standardPressure } from './atmosphere';
export { type AirProperties, airConductivity, airProperties, airViscosity } from './properties';
