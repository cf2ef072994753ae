/** The part of npm `psychrolib` 1.1.1 that is used; it ships without types. SI: °C, Pa, kg/m³. */
interface Psychrolib {
  readonly SI: unknown;
  SetUnitSystem(system: unknown): void;
  GetHumRatioFromRelHum(celsius: number, humidity: number, pressure: number): number;
  GetMoistAirDensity(celsius: number, humidityRatio: number, pressure: number): number;
  GetStandardAtmPressure(height: number): number;
}
declare const psychrolib: Psychrolib;
export default psychrolib;
