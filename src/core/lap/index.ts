export { brakeWork, type DrivenLap } from './brakeWork';
export {
  type BrakeCap,
  type CircuitInput,
  driveLap,
  Laps,
  LINE_SPACING,
  type PreparedCircuit,
  prepareCircuit,
  type ZoneClicks,
} from './driveLap';
export {
  assertOnTheRoad,
  brakingDeceleration,
  engineBrakingAt,
  type Forces,
  forcesOf,
  liftSpeed,
  loadFactor,
  resistance,
  topSpeed,
  tyreLoad,
} from './forces';
export { type Severity, severityOf } from './severity';
export {
  assertFiniteTrace,
  type BrakingZone,
  copiedTrace,
  type LapTrace,
  lapHeat,
  lapLength,
  lapTime,
} from './trace';
export { timeRange } from './typedZones';
export type { Driver, Vehicle } from './vehicle';
export { type Wind, type WindyLine, withWind } from './wind';
