import { integralInverse, integralTable, type UniformTable } from '../numeric';
import { type HeatIntegrator, MEAN_TURNS } from './heatIntegrator';
import type { Network } from './network';

/** Mean temperature of the nodes that a network has told: the one that their heat would give them, spread evenly. */
export class ToldMean {
  /** K; 0 where no nodes are told */
  now = 0;
  /** Sum of their scales, kg; 1 for none */
  readonly scale: number = 1;
  private readonly told: Network['told'];
  private readonly table: UniformTable | null = null;

  /**
   * @param integrator of the network as it begins
   * @param start temperature of every node, K
   */
  constructor(
    { nodes, told }: Network,
    private readonly integrator: Pick<HeatIntegrator, 'heat'>,
    start: ArrayLike<number>,
  ) {
    this.told = told;
    if (!told) return;
    this.table = nodes[told.first].table;
    this.scale = nodes.slice(told.first, told.first + told.count).reduce((sum, { scale }) => sum + scale, 0);
    this.now = start[told.first];
    this.find();
  }

  /** Finds it from their heat as it is now, begun from where it was. */
  find(): void {
    const { told, table, scale } = this;
    if (!told || !table) return;
    const value = this.integrator.heat(told.first, told.count) / scale;
    this.now = integralInverse(table, integralTable(table), value, this.now, MEAN_TURNS);
  }
}
