export {
  type CircuitInput,
  type DriveConditions,
  driveLap,
  LINE_SPACING,
  type PreparedCircuit,
  prepareCircuit,
} from './driveLap';
export { type LapTrace, lapHeat, lapTime, type Stop } from './trace';
export { type TypedStop, timeRange } from './typedStops';
export type { Driver, EnergyRecovery, Vehicle } from './vehicle';
