export { type Channel, LogError, type LogNote, type RawLog } from './channels';
export { energyUncertainty, type LapLikeness, lapLikeness, pairZones, speedAt } from './compare';
export { goneOn, loggedDay, SHORTEST_PIECE } from './loggedDay';
export { logStart } from './logStart';
export { type Log, mendLog } from './mend';
export { cutUp, type LogPiece } from './pieces';
export { smoothSpeed } from './smoothSpeed';
export {
  type Crossings,
  crossingsByLapNumber,
  crossingsByOwnPlace,
  crossingsByPosition,
  crossingsBySpeed,
} from './splitLaps';
