export type { OpenedBackup } from './backups';
export { CancelledError, Crew, type CrewProgress } from './crew';
export { type Computed, Days } from './days';
export type { Engine, PhoneAnswer } from './engine.worker';
export { createFileWorker, createSeasonWorker, EngineClient } from './engineClient';
export type { Analysed, FilesEngine, KeptLog, ListedTracks, OpenedTable } from './files.worker';
export { crewPredicting } from './predicting';
export { QUESTION } from './question';
export type { SeasonEngine } from './season.worker';
