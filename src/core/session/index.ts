export {
  AXLES,
  type AxleInput,
  type AxleName,
  type Numerics,
  type SessionInput,
} from './input';
export { RECORDED_PARTS, type RecordedPart } from './record';
export type {
  LimitedPart,
  Margin,
  Moment,
  SessionResult,
  Verdict,
} from './result';
export {} from './schedule';
export { DEFAULT_NUMERICS, simulateSession } from './simulate';
