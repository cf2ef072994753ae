/** The worker that reads files and holds the log that is open. */
export const createFileWorker = (): Worker =>
  new Worker(new URL('./files.worker.ts', import.meta.url), { type: 'module', name: 'files' });

/** The worker that spreads sets over a season; it loads the solver. */
export const createSeasonWorker = (): Worker =>
  new Worker(new URL('./season.worker.ts', import.meta.url), { type: 'module', name: 'season' });

/** The worker of everything else that is heavy. */
export const createEngineWorker = (): Worker =>
  new Worker(new URL('./engine.worker.ts', import.meta.url), { type: 'module', name: 'engine' });
