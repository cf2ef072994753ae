export {
  caliperCoefficient,
  ductFlowArea,
  faceCoefficient,
  faceExposure,
  passage,
} from './convection';
export { CHANNEL, CHANNEL_COUNT, type CornerNetwork, cornerNetwork } from './cornerNetwork';
export { fillDrive } from './drive';
export { boilingPoint, type Fluid, waterAfter } from './fluid';
export { frictionAt, GLAZED_LOSS, glazeAfter } from './friction';
export { rotorHeatShare } from './partition';
export {
  type Corner,
  type Pad,
  type RotorMaterial,
  rubbedMaterial,
} from './parts';
export { drumGeometry, rotorGeometry } from './rotorGeometry';
export {
  coning,
  crackShare,
  diameterGrowth,
  faceStress,
  floatNeeded,
  HOLE_STRESS,
  surfaceConcentration,
} from './strain';
export { discViewFactor } from './viewFactor';
