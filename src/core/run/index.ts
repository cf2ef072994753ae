export { type BalanceSweep, balanceSweep, type SweepPoint } from './balanceSweep';
export { type Failure, type FailureCase, failureCases, MODEST } from './failure';
export { flowsAt, type Group, type HeatBalance, heatBalance, nodesAt, type PartFlow } from './flows';
export { hottestLap } from './hottestLap';
export {
  AXLES,
  type AxleInput,
  type AxleName,
  axleOf,
  type DayInput,
  type LapKind,
  type Leg,
  type Numerics,
  type SessionPlan,
  SIDES,
  type Side,
  sideOf,
  WHEELS,
  type WheelName,
  wheelOf,
} from './input';
export { endsTheDrive } from './margins';
export { marginsFrom } from './marginsFrom';
export { type ExportedTable, type NetworkRun, networkOf, networkRun } from './networkRun';
export { type Outlook, outlook } from './outlook';
export { pressureOf } from './pressure';
export type { ProcedureStop } from './procedure';
export {
  coldStop,
  correctedDistance,
  hotStop,
  type ProcedureResult,
  type RepeatedStops,
  type Requirement,
  repeatedStops,
} from './procedures';
export {
  type DayRecord,
  distinctWheels,
  RECORDED_PARTS,
  type RecordedPart,
  type WheelRecord,
} from './record';
export type {
  DayResult,
  ForceMargin,
  ForcePart,
  LapResult,
  LegResult,
  LimitedPart,
  Margin,
  Moment,
  RotorStrain,
  StopForce,
  StopLimit,
  Unbraked,
  Verdict,
} from './result';
export { cornerOfWheel, DEFAULT_NUMERICS, ductDragArea, simulateDay } from './simulate';
