export {
  type CircuitInput,
  driveLap,
  LINE_SPACING,
  prepareCircuit,
} from './driveLap';
export { type LapTrace, lapHeat, lapLength, lapTime, type Stop } from './trace';
export { timeRange } from './typedStops';
export type { Driver, Vehicle } from './vehicle';
