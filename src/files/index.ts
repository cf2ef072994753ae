export { analyseLog, type ListedPiece, type LogAnalysis, type MeasuredSeries } from './analyseLog';
export {
  circuitFrom,
  type FoundCircuit,
  type FoundLine,
  findLine,
  type LineChoice,
} from './circuitFromTrack';
export type { CsvLayout } from './csvLayout';
export type { FileTrack } from './fileTrack';
export { type Fitted, fitLap, type LapFit } from './fitLap';
export { type LapsLeft, lapsLeft } from './lapsLeft';
export { guessMapping, type LogMapping, layoutKey, mappingProblems, mappingSchema } from './logMapping';
export { LOG_COLUMN_NAMES, LOG_COLUMNS, LOG_UNITS, type LogColumn } from './logUnits';
export { prepareLog } from './prepareLog';
export { type ByteSource, openLog, type ReadLog, readLog } from './readLog';
export { type StreamColumn, streamColumns } from './streamColumns';
export { readTrackFile } from './trackFile';
export { trackLog } from './trackLog';
export { writeLog } from './writeLog';
