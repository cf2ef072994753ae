export {
  AXLES,
  type AxleInput,
  type AxleName,
  type Numerics,
  type SessionInput,
  type SessionPlan,
} from './input';
export { type AxleRecord, RECORDED_PARTS, type RecordedPart, type SessionRecord } from './record';
export type {
  EnergyAudit,
  LapKind,
  LapResult,
  LimitedPart,
  Margin,
  Moment,
  SessionResult,
  StopHeat,
  Verdict,
} from './result';
export { DEFAULT_STEPS } from './schedule';
export { DEFAULT_NUMERICS, simulateSession } from './simulate';
