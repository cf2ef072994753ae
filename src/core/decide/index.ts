export { LARGEST_DUCT } from './areaSearch';
export { type BalanceChoice, type BalanceChoices, balanceChoices } from './balanceChoices';
export {
  type AxleNeed,
  type CoolingNeed,
  coolingNeed,
  withDuct,
} from './coolingNeed';
export { type StopShares, stopShares } from './evenShares';
export {
  type ExposedPart,
  exposedTemperature,
  type Protection,
} from './exposedPart';
export { type FastestPlan, fastestPlan } from './fastestPlan';
export { latinHypercube } from './latinHypercube';
export { coldestBite, hotMargins, keepsAll, leastMargin } from './least';
export { normalQuantile } from './normalQuantile';
export { padWear } from './padWear';
export type { PlanOption } from './planner';
export {
  CURVE_PARTS,
  type CurvePart,
  type RunLayout,
  runLayout,
  WATCHED_LIMITS,
  writeRun,
} from './runRecord';
export {
  BAND_SHARES,
  type LimitRisk,
  type RunStatistics,
  runStatistics,
} from './runStatistics';
export { firstOrderShares, quantile, sorted } from './spread';
export { type DaySummary, type SummaryStop, summarise } from './summary';
export {
  ADDED,
  drawn,
  perturbed,
  UNCERTAIN_INPUTS,
  type UncertainInput,
  type UncertainRange,
  valueIn,
} from './uncertain';
