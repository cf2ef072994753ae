export { CancelledError, Crew, type CrewProgress } from './crew';
export { createFileWorker, EngineClient } from './engineClient';
export type { Analysed, FilesEngine, KeptLog, ListedTracks, OpenedTable } from './files.worker';
export { LatestOnly } from './latestOnly';
