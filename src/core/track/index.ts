export { cornersOf } from './corners';
export { localPlane } from './localPlane';
export { findLaps, type Gate, gateAt, lapsFrom } from './passes';
export { type Smoothing, type SmoothLine, smoothTrack } from './smoothTrack';
export type { Track } from './track';
export { longestStraight, turnedLine } from './turnedLine';
export { withoutJumps } from './withoutJumps';
