export { type BalanceSweep, balanceSweep, type SweepPoint } from './balanceSweep';
export {
  type BeddingObstacle,
  type BeddingPlan,
  type BeddingStep,
  type BeddingWarning,
  beddingPlan,
} from './bedding';
export {
  type BenchDeviation,
  type BenchLimits,
  type BenchProgramme,
  type BenchProgrammeStop,
  type BenchScale,
  benchProgramme,
  fullScale,
} from './benchProgramme';
export { type BenchResult, benchRun } from './benchRun';
export { brakeTest, type TestFailure, type TestResult, type TestStop } from './brakeTest';
export { leanDay, lookAtDay, simulateDay } from './day';
export { type Failure, type FailureCase, failureCases, MODEST } from './failure';
export { type FlowEnd, flowsAt, type HeatBalance, heatBalance, nodesAt, type PartFlow } from './flows';
export { hottestLap } from './hottestLap';
export { judged, judgedDay, type Left, leftAtWorse, likelyJudged, withCooling } from './judgedDay';
export {
  endsTheDrive,
  FOOT_LIMITS,
  type ForcePart,
  HEAT_LIMITS,
  HOT_LIMITS,
  type HotPart,
  isCold,
  type LimitedPart,
  setsDuct,
} from './limits';
export { isClose } from './margins';
export { marginsFrom } from './marginsFrom';
export { type ExportedTable, type NetworkRun, networkOf, networkRun } from './networkRun';
export { type Outlook, outlook } from './outlook';
export {
  coldStop,
  correctedDistance,
  hotStop,
  type Requirement,
} from './procedures';
export { type DayRecord, distinctWheels, type WheelRecord } from './record';
export type {
  DayResult,
  ForceMargin,
  LapResult,
  LegResult,
  Margin,
  Moment,
  RotorStrain,
  Unbraked,
  Verdict,
} from './result';
export { sessionLoad } from './sessionLoad';
export type { WheelStop } from './wheelStops';
export type { ZoneForce, ZoneLimit } from './zoneResult';
