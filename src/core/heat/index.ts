export { gradedSlab, type SlabGrid } from './grid';
export { GAMMA, Integrator } from './integrator';
export { AMBIENT, type Network, type NetworkLink, type NetworkNode } from './network';
export {
  integralInverse,
  integralTable,
  tableAt,
  type UniformTable,
  uniformTable,
} from './table';
