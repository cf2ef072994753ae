export { alike } from './alike';
export { bandedSolve } from './bandedSolve';
export { buffersIn } from './buffersIn';
export { cos, cubeRoot, exp, log, power, rootOfSquares, sin } from './elementary';
export { Code, encodeModule, type Locals } from './encode';
export { intervalAt } from './intervalAt';
export { largestThat } from './largestThat';
export { logNormalProbability, normalProbability } from './normal';
export { normalQuantile } from './normalQuantile';
export { type PointTable, pointTable, pointTableAt } from './pointTable';
export { randomNumbers } from './random';
export { Recent } from './recent';
export { LentRoom, OWN_ROOM, type Room } from './room';
export {
  choleskyFactor,
  type Matrix,
  symmetricEigen,
  symmetricInverse,
  symmetricSolve,
} from './symmetric';
export {
  heldPosition,
  integralAt,
  integralInverse,
  integralTable,
  knotBefore,
  MOST_POSITION,
  TABLE_COUNT,
  TABLE_PER_KELVIN,
  TABLE_START,
  TABLE_STEP,
  tableAt,
  tablePosition,
  type UniformTable,
  uniformTable,
  WHOLE_ONLY,
} from './table';
