export {
  CALIBRATED,
  type CalibrationFit,
  calibrate,
  freeNumbers,
  type ReadingFit,
  tellable,
} from './calibrate';
export { type Free, isParameter } from './free';
export type { Predict, SearchState } from './leastSquares';
export { slopesAt } from './leastSquares';
export { apart, type Seen } from './likelihood';
export {
  type Estimate,
  NINETY,
  NINETY_FIVE,
  varianceAfter,
  varianceOf,
} from './posterior';
export { driveFor, Predictor, readingsOf } from './predict';
export type { Drive, Look, Reading } from './reading';
