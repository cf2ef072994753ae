export {
  circuitFrom,
  type FoundCircuit,
  type FoundLine,
  findLine,
  type LineChoice,
} from './circuitFromTrack';
export { type CsvLayout, findLayout } from './csvLayout';
export type { FileTrack, TrackFile } from './fileTrack';
export { driveWith, type Fitted, fitLap, type LapFit } from './fitLap';
export { guessMapping, type LogMapping, layoutKey, mappingProblems, mappingSchema } from './logMapping';
export { LOG_COLUMN_NAMES, LOG_COLUMNS, LOG_UNITS, type LogColumn } from './logUnits';
export { type ByteSource, openLog, type ReadLog, readLog } from './readLog';
export { readTrackFile } from './trackFile';
export { circuitGeoJson, circuitGpx, type MarkedStop } from './writeCircuit';
