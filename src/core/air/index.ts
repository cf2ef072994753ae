export { moistAirDensity, standardPressure } from './atmosphere';
export { type AirProperties, airConductivity, airProperties, airViscosity } from './properties';
