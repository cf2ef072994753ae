import type { UniformTable } from '../numeric';
import type { Network, NetworkLink, NetworkNode, NetworkSource } from './network';

/**
 * Puts a network together part by part. Nodes and links carry names, so that a drawing can say what flows where.
 * @typeParam Name of its nodes
 */
export class NetworkBuilder<Name extends string> {
  private readonly nodes: NetworkNode[] = [];
  private readonly links: NetworkLink[] = [];
  private readonly sources: NetworkSource[] = [];

  /** @param groupOf the part a node belongs to */
  constructor(private readonly groupOf: (name: Name) => string) {}

  /** Adds a mass: J/K, or kg with a table of J/(kg·K). @returns its index */
  node(name: Name, scale: number, table: UniformTable | null = null): number {
    return this.nodes.push({ name, group: this.groupOf(name), scale, table }) - 1;
  }

  /** Joins two nodes, or one with AMBIENT, by `coefficient · drive[channel] · factor`. */
  link(
    from: number,
    to: number,
    coefficient: number,
    channel = 0,
    factor: UniformTable | null = null,
    path: NetworkLink['path'] = 'conduction',
  ): void {
    if (coefficient > 0) this.links.push({ from, to, coefficient, channel, factor, radiation: 0, path });
  }

  /** Joins them by radiation, W/K⁴. */
  radiate(from: number, to: number, radiation: number): void {
    if (radiation > 0) {
      this.links.push({ from, to, coefficient: 0, channel: 0, factor: null, radiation, path: 'radiation' });
    }
  }

  source(node: number, share: number): void {
    this.sources.push({ node, share });
  }

  /** @param after each step, what is told and read off */
  build(channels: number, after: Pick<Network, 'told' | 'readings'> = {}): Network {
    const { nodes, links, sources } = this;
    return { nodes, links, sources, channels, ...after };
  }
}
