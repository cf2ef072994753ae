export { faceCoefficient, passage } from './convection';
export {
  CHANNEL,
  CHANNEL_COUNT,
  type CornerNetwork,
  cornerNetwork,
} from './cornerNetwork';
export { boilingPoint, type Fluid, waterAfter } from './fluid';
export { rotorHeatShare } from './partition';
export type { Corner, RotorMaterial } from './parts';
export { rotorGeometry } from './rotorGeometry';
