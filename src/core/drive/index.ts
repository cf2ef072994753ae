export { brakeWork, type DrivenLap } from './brakeWork';
export {
  type BrakeCap,
  type CircuitInput,
  driveLap,
  LINE_SPACING,
  type PreparedCircuit,
  prepareCircuit,
} from './driveLap';
export { type Forces, forcesOf, loadFactor, resistance, tyreLoad } from './forces';
export { type Severity, severityOf } from './severity';
export { type LapTrace, lapHeat, lapLength, lapTime, type Stop } from './trace';
export { timeRange } from './typedStops';
export type { Driver, Vehicle } from './vehicle';
