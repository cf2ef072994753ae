export {
  BEDDING_PHASES,
  type BeddingPhase,
  type BeddingRecipe,
  beddingSchedule,
  type Snub,
} from './bedding';
export { BENCH_PHASES, type BenchPhase, type BenchStop, benchSchedule } from './bench';
export {
  type BrakeTest,
  brakeTestSchedule,
  GIVEN_OUT,
  TEST_PHASES,
  type TestPhase,
} from './brakeTest';
export { circuitSeverity } from './circuitSeverity';
export { DEFAULT_NUMERICS, daySchedule } from './day';
export {
  type BrakedCar,
  type CoolingDoubt,
  type DayInput,
  type LapKind,
  type Leg,
  type LegKind,
  type Numerics,
  type SessionPlan,
  type StandKind,
  type Start,
  UNMEASURED,
} from './dayInput';
export { ScheduleError } from './faults';
export { ductDragArea } from './lapPlanner';
export {
  type Ask,
  type Braked,
  type BrakeReading,
  type GivenPiece,
  givenPiece,
  type HeldBy,
  type LegPlan,
  listedSchedule,
  type Piece,
  type Schedule,
  type StopPiece,
  stopPiece,
} from './piece';
export {
  coldStopSchedule,
  hotStopSchedule,
  RULE_PEDAL,
} from './procedures';
export { airAt, pressureOf, type Site } from './site';
export type { Steps } from './steps';
export { rollSteps, standSteps } from './unbraked';
