export {
  CALIBRATED,
  type CalibrationFit,
  calibrate,
  freeNumbers,
  type ReadingFit,
  tellable,
} from './calibrate';
export { type Free, freeParameter, isParameter, valueAt } from './free';
export type { Predict, SearchState } from './leastSquares';
export { slopesAt } from './leastSquares';
export { apart, type Seen } from './likelihood';
export {
  type EnsembleCheck,
  type Estimate,
  NINETY,
  NINETY_FIVE,
  type Tie,
  varianceAfter,
  varianceOf,
} from './posterior';
export { type DriveRun, driveFor, Predictor, readingsOf, standingTime } from './predict';
export { type Drive, type Look, type Reading, ReadingError } from './reading';
