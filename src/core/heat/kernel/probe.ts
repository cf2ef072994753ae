import { AMBIENT, type Network } from '../network';
import { shapeOf } from '../topology';
import { kernelTrouble, takeSeat } from './compile';
import { KernelIntegrator } from './kernelIntegrator';

/** The smallest network there is. */
const PAIR: Network = {
  nodes: ['one', 'other'].map((name) => ({ name, group: 'any', scale: 1, table: null })),
  links: [
    { from: 0, to: 1, coefficient: 1, channel: 0, factor: null, radiation: 0, path: 'conduction' },
    { from: 1, to: AMBIENT, coefficient: 1, channel: 0, factor: null, radiation: 0, path: 'air' },
  ],
  sources: [{ node: 0, share: 1 }],
  channels: 1,
};

/**
 * Whether networks can be stepped by kernels here, found out once by stepping one.
 * @returns why not, in the machine's words; null where they can
 */
export function probeKernel(): string | null {
  const shaped = shapeOf(PAIR);
  const seat = takeSeat(shaped.topology, 1);
  if (seat) {
    const kernel = new KernelIntegrator(PAIR, shaped, seat, 293, 293);
    kernel.step(1, 1, 1);
    kernel.release();
  }
  return kernelTrouble();
}
