export { createFileWorker, EngineClient, EngineError } from './engineClient';
export type { Analysed, FilesEngine, ListedTracks, OpenedTable, TakenLog } from './files.worker';
export { LatestOnly, type RunState } from './latestOnly';
