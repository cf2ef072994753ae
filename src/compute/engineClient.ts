import type { Engine } from './engine.worker';
import { WorkerClient } from './workerClient';

/** A worker's client; the engine's, where nothing else is said. */
export class EngineClient<E = Engine> extends WorkerClient<E> {}
