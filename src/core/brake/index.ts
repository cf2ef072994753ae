export { ductFlowArea } from './convection';
export { CHANNEL, CHANNEL_COUNT, type CornerNetwork, cornerNetwork } from './cornerNetwork';
export { fillDrive } from './drive';
export { boilingPoint, waterAfter } from './fluid';
export { frictionAt, glazeAfter } from './friction';
export { rotorHeatShare } from './partition';
export { type Corner, type Pad, type RotorMaterial, rubbedMaterial } from './parts';
export { drumGeometry, rotorGeometry } from './rotorGeometry';
export {
  coning,
  crackShare,
  diameterGrowth,
  faceStress,
  floatNeeded,
  surfaceConcentration,
} from './strain';
export { discViewFactor } from './viewFactor';
