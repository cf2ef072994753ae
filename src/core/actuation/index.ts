export { type BleedScrew, bleedDraws, lineVolume } from './bleeding';
export { BrakingState, type Demand } from './brakingState';
export {
  type AxleForce,
  type BrakeChain,
  type Cylinders,
  kneeAt,
  Pressures,
  pressuresAt,
  pushFor,
} from './chain';
export { type Clearance, type WheelFit, wheelClearances } from './fit';
export { padPressure, torquePerPressure, wheelGain } from './gains';
export { type Chassis, frontLoad, loaded, rearLoad, wheelLoads } from './loads';
export { type Modulation, modulation } from './modulation';
export { firstPush, pushedBack, roomToHome } from './pushBack';
export { clicksFor, naturalShare, nominalShare, withShare } from './share';
export { padTaper, pistonArea } from './taper';
export { PedalTravel, vapourVolume } from './travel';
