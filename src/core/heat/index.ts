export { NetworkBuilder } from './builder';
export { gradedSlab, type SlabGrid } from './grid';
export { GAMMA, Integrator } from './integrator';
export { AMBIENT, type HeatPath, type Network, type NetworkLink, type NetworkNode } from './network';
export {
  integralInverse,
  integralTable,
  TABLE_COUNT,
  TABLE_START,
  TABLE_STEP,
  tableAt,
  type UniformTable,
  uniformTable,
} from './table';
