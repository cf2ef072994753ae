export { type Assessed, assess } from './assess';
export { checkText } from './checkText';
export { comparisonCsv } from './comparisonCsv';
export type { Check } from './compatibility';
export { ductShapes } from './ductShapes';
export {
  explainBalance,
  explainChances,
  explainComparison,
  explainDuctDrag,
  explainExposed,
  explainLadder,
  explainNeed,
  explainPlan,
  explainSheet,
  explainWays,
} from './explanations';
export {
  type ExposedReport,
  type ExposedReports,
  exposedReports,
  type ProtectionKind,
} from './exposedReport';
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
  stopsText,
  type Target,
  targetMargin,
  worthwhilePairs,
} from './ladder';
export { pieceCount, RUNS_A_PIECE, uncertainPiece, uncertainStatistics } from './uncertainRuns';
export { isGood, type NoWay, rankedWays, type Way, type WayKind, waysToKeep } from './ways';
