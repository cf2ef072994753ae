export { moistAirDensity, saturationPressure, standardPressure } from './atmosphere';
export {
  type AirProperties,
  airConductivity,
  airProperties,
  airSpecificHeat,
  airViscosity,
} from './properties';
