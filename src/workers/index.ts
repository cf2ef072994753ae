export { EngineClient, EngineError } from './engineClient';
export { LatestOnly, type RunState } from './latestOnly';
