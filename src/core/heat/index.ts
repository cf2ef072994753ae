export { NetworkBuilder } from './builder';
export { gradedSlab, type SlabGrid } from './grid';
export { GAMMA, Integrator } from './integrator';
export { AMBIENT, type HeatPath, type Network, type NetworkLink } from './network';
