export { createFileWorker, EngineClient, EngineError } from './engineClient';
export type { Analysed, FilesEngine, KeptLog, ListedTracks, OpenedTable } from './files.worker';
export { LatestOnly, type RunState } from './latestOnly';
