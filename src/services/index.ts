export { type ObservationProblem, observationsOf } from './calibrate/driveReadings';
export {
  type CalibrationAnswer,
  type CalibrationCase,
  caseOf,
  type EstimateProgress,
  estimate,
  NothingObserved,
  type Predicting,
  predictReadings,
} from './calibrate/estimate';
export { type NextReading, type NextReadings, nextReadings, type Outcome } from './calibrate/nextReadings';
export { calibrationRecord, canBeKept, UNTOLD } from './calibrate/record';
export {
  type Cause,
  type Evidence,
  type RankedCause,
  whatHappened,
} from './calibrate/whatHappened';
export { type Assessed, assess, assessed, tryOut } from './compare/assess';
export type { Check, Finding, PadTrade } from './compare/compatibility';
export {
  type Candidate,
  drivable,
  isFreshFill,
  type Rung,
  ranked,
  repriced,
  rungOf,
  sensiblePairs,
  singleSteps,
  type Target,
  targetMargin,
  worthwhilePairs,
  zonesText,
} from './compare/ladder';
export { carOf, type PricedSetup, pricedSetups } from './compare/pricedSetups';
export { type UsualSetup, usualSetups } from './compare/usualSetups';
export { ductShapes } from './cooling/ductShapes';
export {
  type ExposedReport,
  type ExposedReports,
  exposedReports,
  type ProtectionKind,
} from './cooling/exposedReport';
export { isGood, type NoWay, type Way, type WayKind } from './cooling/way';
export { rankedWays, waysToKeep } from './cooling/ways';
export { rankedWorth, type Worth, widthOf, worthOf } from './first/findOut';
export {
  changesOf,
  type Failing,
  type FirstStep,
  type Order,
  orderOfSteps,
} from './first/firstSteps';
export { fluidRenewal } from './first/fluidRenewal';
export type { InspectionFinding, Weight } from './keep/finding';
export {
  boilingNeededC,
  type FluidReason,
  type FluidState,
  fluidState,
  reasonsToRenew,
} from './keep/fluid';
export { findingsOf } from './keep/inspect';
export { drivenSetup, loadOf, loadOfDay, setupOfPlanned, setupOfSession, storedLoad } from './keep/loads';
export {
  doubtsOfEntry,
  type EntryDoubt,
  entriesOf,
  entriesOfSet,
  fittedOn,
  type PlannedOfEvent,
  plannedOf,
} from './keep/logbook';
export { takenAsInches } from './keep/otherUnit';
export { type SetWear, setsWear } from './keep/wear';
export { type Loads, placeKey, type WearPlace } from './keep/wearHistory';
export { type Remaining, remainingSessions } from './keep/wearLeft';
export { analyseLog, type ListedPiece, type LogAnalysis, type MeasuredSeries } from './log/analyseLog';
export { type Fitted, fitLap, type LapFit } from './log/fitLap';
export { type LapsLeft, lapsLeft } from './log/lapsLeft';
export type { MeasuredZone } from './log/measuredZones';
export { type SensorReading, sensorReadings } from './log/sensorReadings';
export {
  BEDDED,
  type BeddingQuestion,
  bedding,
  beddingOf,
  beddingQuestion,
} from './prepare/bedding';
export { type BeddingCard, beddedAfterCards, beddingCards } from './prepare/beddingCards';
export { type BleedPlan, type BleedStep, type BleedTrouble, bleedPlan, fromShelf } from './prepare/bleeding';
export { exchanged, fittedNow, protectionsOf } from './prepare/changeSet';
export { type PrepareCheck, prepareChecks } from './prepare/checks';
export { type JobList, type JobStep, jobList } from './prepare/jobList';
export { type ProtectionJob, protectionJobs } from './prepare/protection';
export type { Caution, StepCode, StopFor, Tool } from './prepare/stepTable';
export { type Work, workOf } from './prepare/work';
export { type Allocation, allocate, type Choice, type ChoiceReason } from './season/allocate';
export type { EventPlan } from './season/eventPlans';
export type { ToOrder } from './season/orders';
export type { AllocationProblem } from './season/problem';
export { planSeason, type SeasonPlan } from './season/seasonPlan';
export {
  eventsOf,
  lastDayOf,
  loadQuestions,
  nextPlanned,
  sessionsOf,
  sessionsToCome,
} from './season/sessions';
export {
  type BenchFit,
  type BenchMeasured,
  type BenchPlan,
  benchCalibration,
  benchPlan,
  fitBench,
} from './test/bench';
export { compareRuns, type SetupComparison } from './test/compareRuns';
export { bothBases, distanceOf } from './test/correct';
export { doubtsOfRun, inOtherUnit, type StopDoubt } from './test/doubtful';
export { type EnoughFor, type SetupTest, testSetup } from './test/enough';
export {
  GAVE_OUT,
  type RunReport,
  reportsOf,
  type StopLimit,
  type StopRow,
  setupsOf,
  TEST_VALUES,
  type TestValue,
} from './test/evaluate';
export {
  type EnduranceForecast,
  FEWEST_DRAWS,
  FORECAST_PIECES,
  forecastPiece,
  forecasts,
  type SeenEnd,
} from './test/forecast';
export { type ModulationChoice, modulationChoices } from './test/modulationChoices';
export { predictTest, setupOfRun, type TestAnswer, type TestQuestion } from './test/question';
export { driveOfRun, runLog } from './test/runDrive';
export { type ColdBraking, type LapTechnique, type TechniqueReport, techniqueReport } from './test/technique';
export { circuitFromFacts, type MadeCircuit } from './track/circuitFromFacts';
export {
  circuitFrom,
  type FoundCircuit,
  type FoundLine,
  findLine,
  type LineChoice,
} from './track/circuitFromTrack';
export { type RecordedLap, recordedLap } from './track/recordedLap';
export { lapTimes } from './track/solvedLap';
export { pieceCount, RUNS_A_PIECE, uncertainPiece, uncertainStatistics } from './uncertain/uncertainRuns';
