export { CHANNELS, type Channel, type LogNote, type RawLog } from './channels';
export {
  energyUncertainty,
  type LapLikeness,
  lapLikeness,
  pairStops,
  type StopPair,
  speedAt,
} from './compare';
export { goneOn, loggedDay, SHORTEST_PIECE } from './loggedDay';
export { type Log, mendLog } from './mend';
export { cutUp, type LogPiece } from './pieces';
export { type SpeedTrace, smoothSpeed } from './smoothSpeed';
export {
  type Crossings,
  crossingsByLapNumber,
  crossingsByOwnPlace,
  crossingsByPosition,
  crossingsBySpeed,
  positionsOf,
  type StartLine,
} from './splitLaps';
