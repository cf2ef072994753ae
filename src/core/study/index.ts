export { type BalanceChoice, type BalanceChoices, balanceChoices } from './balanceChoices';
export * from './calibration';
export { type AxleNeed, type CoolingNeed, coolingNeed } from './coolingNeed';
export { correlated } from './correlate';
export type { ZoneShares } from './evenShares';
export { type ExposedPart, exposedTemperature, type Protection, USUAL_RIM } from './exposedPart';
export { type FastestPlan, fastestPlan } from './fastestPlan';
export { type FluidEvent, fluidAging } from './fluidAging';
export { latinHypercube } from './latinHypercube';
export { coldestBite, keepsAll, leastForDuct, leastMargin } from './least';
export { moved, movedBy, PARAMETER_IDS, PARAMETERS, type ParameterId } from './parameters';
export type { PlanOption } from './planner';
export { CURVE_PARTS, type CurvePart, runLayout, writeRun } from './runRecord';
export { BAND_SHARES, type LimitRisk, type RunStatistics, runStatistics } from './runStatistics';
export { type DaySummary, type SummaryZone, summarise } from './summary';
export { SIDES_DIFFER, type SidePeaks, type TwoSides, twoSides, type WheelSides } from './twoSides';
export {
  drawn,
  type UncertainRange,
  valueIn,
} from './uncertain';
export {
  fitWear,
  type Interval,
  sessionsLeft,
  WEAR_PRIOR,
  type WearLoss,
  type WearRate,
} from './wearRate';
