export { NetworkBuilder } from './builder';
export { besideEachOther, type CreateIntegrator, createIntegrator } from './createIntegrator';
export { GAMMA } from './gamma';
export { gradedSlab, type SlabGrid } from './grid';
export { type HeatIntegrator, type HeldChannel, type KnownSteps, MOST_AT_ONCE } from './heatIntegrator';
export { Integrator } from './integrator';
export { kernelTrouble, resetKernel } from './kernel/compile';
export { probeKernel } from './kernel/probe';
export { AMBIENT, type HeatPath, type Network, type NetworkLink, type ReadOff, readOffAt } from './network';
