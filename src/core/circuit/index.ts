export { type ClosingError, closeLine, closingError } from './closing';
export { type SampledLine, sampleLine } from './sampleLine';
export { type Segment, segmentLength } from './segments';
