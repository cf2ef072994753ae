export { bandedSolve } from './bandedSolve';
export { type Corners, cornersOf } from './corners';
export {
  type FoundLap,
  type FoundLaps,
  findLaps,
  type Gate,
  gateAt,
  lapsFrom,
  type Pass,
  passesOf,
} from './passes';
export { type Smoothing, type SmoothLine, smoothTrack } from './smoothTrack';
export { type Track, wayAlong } from './track';
export { longestStraight, turnedLine } from './turnedLine';
