export { type ClosingError, closeLine, closingError } from './closing';
export { lapLine } from './lapLine';
export { type SampledLine, sampleLine } from './sampleLine';
export { type Segment, segmentLength } from './segments';
