export { EngineClient } from './engineClient';
export { LatestOnly } from './latestOnly';
