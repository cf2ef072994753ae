import { integralInverse, integralTable } from '../numeric';
import { type HeatIntegrator, MEAN_TURNS } from './heatIntegrator';
import type { Network } from './network';

/** Sum of the scales of the nodes that a network has told, kg; 1 for none. */
export function toldScale({ nodes, told }: Network): number {
  if (!told) return 1;
  return nodes.slice(told.first, told.first + told.count).reduce((sum, { scale }) => sum + scale, 0);
}

/**
 * Mean temperature of the nodes that are told as an integration begins, K; 0 where there are none.
 * @param start temperature of every node, K
 */
export function startMean(
  network: Network,
  integrator: Pick<HeatIntegrator, 'heat'>,
  start: ArrayLike<number>,
): number {
  const { nodes, told } = network;
  const table = told && nodes[told.first].table;
  if (!told || !table) return 0;
  const value = integrator.heat(told.first, told.count) / toldScale(network);
  return integralInverse(table, integralTable(table), value, start[told.first], MEAN_TURNS);
}
