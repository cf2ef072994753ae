import type { HeatIntegrator } from './heatIntegrator';
import { Integrator } from './integrator';
import { takeSeat } from './kernel/compile';
import { KernelIntegrator } from './kernel/kernelIntegrator';
import type { Network } from './network';
import { shapeOf } from './topology';

/**
 * What integrates a network fastest here: the kernel of its topology, or the integrator that is read where there is none.
 * Which it is changes no bit of the result. It is to be released afterwards.
 * @param ambient temperature of the surroundings, K
 * @param start temperatures at the start, K: one for every node, or each node's own in the network's order
 */
export function createIntegrator(
  network: Network,
  ambient: number,
  start: number | ArrayLike<number>,
): HeatIntegrator {
  const shaped = shapeOf(network);
  const seat = takeSeat(shaped.topology, 1);
  return seat
    ? new KernelIntegrator(network, shaped, seat, ambient, start)
    : new Integrator(network, ambient, start);
}
