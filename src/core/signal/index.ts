export { type Channel, LogError, type LogNote, type RawLog } from './channels';
export { energyUncertainty, type LapLikeness, lapLikeness, pairZones, speedAt } from './compare';
export { type FoundStop, findStops, type StopWanted } from './findStops';
export { goneOn, loggedDay, SHORTEST_PIECE } from './loggedDay';
export { logStart } from './logStart';
export { type Log, mendLog } from './mend';
export type { PhoneFix, PhoneMotion } from './phoneReadings';
export {
  PhoneError,
  type PhoneStop,
  phoneStop,
  WORST_ACCURACY,
} from './phoneStop';
export { cutUp, type LogPiece } from './pieces';
export { smoothSpeed } from './smoothSpeed';
export {
  type Crossings,
  crossingsByLapNumber,
  crossingsByOwnPlace,
  crossingsByPosition,
  crossingsBySpeed,
} from './splitLaps';
export { techniqueOf, type ZoneTechnique } from './technique';
