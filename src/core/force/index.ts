export { BrakingState } from './brakingState';
export {
  type AxleForce,
  type BrakeChain,
  type Cylinders,
  kneeAt,
  pedalFor,
  pressuresAt,
  pushAt,
  pushFor,
} from './chain';
export { type Clearance, type WheelFit, wheelClearances } from './fit';
export { padPressure, shoeFactor, torquePerPressure, wheelGain } from './gains';
export {
  type Chassis,
  frontLoad,
  idealFrontShare,
  loaded,
  lockingPoint,
  rearLoad,
  wheelLoads,
} from './loads';
export { clicksFor, naturalShare, nominalShare, withShare } from './share';
export { padTaper, pistonArea } from './taper';
export { closingVolume, PedalTravel, vapourVolume, volumePerPressure } from './travel';
