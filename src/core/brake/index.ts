export { CHANNEL, CHANNEL_COUNT } from './channels';
export { caliperCoefficient, ductFlowArea, openAreaInSeries } from './convection';
export { type CornerNetwork, cornerNetwork } from './cornerNetwork';
export { CornerDrive } from './drive';
export {
  boilingPoint,
  boilingUnder,
  type Fluid,
  waterAfter,
  waterFromBoiling,
  waterLater,
} from './fluid';
export { beddedAfter, frictionAt, glazeAfter } from './friction';
export { GROUPS, type Group, groupOfNode, RECORDED_PARTS, type RecordedPart } from './groups';
export { DEFAULT_CONSTANTS } from './networkConstants';
export { rotorHeatShare } from './partition';
export { type Corner, type Pad, type RotorMaterial, rubbedMaterial } from './parts';
export { passage } from './passage';
export { pistonPath } from './pistons';
export { RADIAL_CELLS, RadialBand } from './radialBand';
export { READ_PARTS } from './readings';
export { drumGeometry, rotorGeometry } from './rotorGeometry';
export {
  assertState,
  type BrakeState,
  freshState,
  refitted,
  stateFault,
  warmed,
} from './state';
export {
  coning,
  diameterGrowth,
  faceStress,
  fatigueDamage,
  floatNeeded,
  surfaceConcentration,
} from './strain';
export { discViewFactor } from './viewFactor';
export { rotorWear, thinning, wornVolume } from './wear';
export {
  AXLES,
  type AxleInput,
  type AxleName,
  axleOf,
  type CarState,
  cornerOfWheel,
  SIDES,
  type Side,
  sideOf,
  WHEELS,
  type WheelName,
  wheelOf,
} from './wheels';
