export {
  type Backup,
  type BackupList,
  bytesOf,
  LARGEST_BACKUP,
  numbersOf,
  readBackup,
  writeBackup,
} from './backup';
export {
  benchFileOf,
  benchJsonSchema,
  benchProgrammeCsv,
  programmeOf,
  readBenchProgramme,
  writeBenchProgramme,
} from './bench/programmeFile';
export { type BenchResultRow, benchResultCsv, readBenchResult } from './bench/resultFile';
export { type LogStop, logStops } from './brakeTests/logStops';
export { readRecord, writeRecord } from './brakeTests/recordFile';
export { type Bundle, LARGEST_BUNDLE, readBundle, writeBundle } from './bundle';
export { acceptedBy, type Door, doorOf, FORMATS, type FormatId } from './formats';
export { readLogbook, writeLogbook } from './keep/logbookTable';
export { guessMapping, type LogMapping, layoutKey, mappingProblems, mappingSchema } from './logs/logMapping';
export type { ReadLog } from './logs/logTable';
export { LOG_COLUMN_NAMES, LOG_COLUMNS, LOG_UNITS, type LogColumn } from './logs/logUnits';
export { mappingQuestions } from './logs/mappingQuestions';
export { isDriven, type PreparedLog, prepareLog } from './logs/prepareLog';
export { type ByteSource, openLog, readLog, rowsAllOver } from './logs/readLog';
export { type StreamColumn, streamColumns } from './logs/streamColumns';
export { writeLog } from './logs/writeLog';
export {
  readingsJsonSchema,
  readReadings,
  writeReadings,
} from './readings/readingsFile';
export { refuse } from './refusal';
export type { CsvLayout } from './tables/csvLayout';
export { readZoneTable, type TableZone, type ZoneTable } from './tables/zoneTable';
export type { FileTrack } from './tracks/fileTrack';
export { readTrackFile } from './tracks/trackFile';
export { trackLog } from './tracks/trackLog';
export { circuitGeoJson, circuitGpx } from './tracks/writeCircuit';
export { readWork, writeWork } from './works/workFile';
