export { faceCoefficient, freeFaceArea, naturalCoefficient, type Passage, passage } from './convection';
export {
  CHANNEL,
  CHANNEL_COUNT,
  type CornerNetwork,
  cornerNetwork,
} from './cornerNetwork';
export { boilingPoint, type Fluid, WET_WATER, waterAfter } from './fluid';
export { rotorHeatShare } from './partition';
export type { Caliper, Corner, Pad, Rotor, RotorMaterial } from './parts';
export { type RotorGeometry, rotorGeometry } from './rotorGeometry';
