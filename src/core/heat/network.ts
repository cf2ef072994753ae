import type { UniformTable } from '../numeric';

/** A lumped mass of the network. */
export interface NetworkNode {
  /** Its own in the network */
  readonly name: string;
  /** The part it is drawn and balanced with */
  readonly group: string;
  /** Heat capacity, J/K: `scale` alone, or times a table over temperature in K (then kg × J/(kg·K)) */
  readonly scale: number;
  readonly table: UniformTable | null;
}

/** Index of the surroundings in a link. */
export const AMBIENT = -1;

/**
 * A path of heat between two nodes, or between a node and the surroundings. Its conductance is
 * `coefficient · drive[channel] · factor((Ta + Tb)/2) + radiation · (Ta² + Tb²)·(Ta + Tb)`.
 */
export interface NetworkLink {
  readonly from: number;
  /** A node, or AMBIENT */
  readonly to: number;
  /** W/K, or whatever makes W/K with the channel's unit */
  readonly coefficient: number;
  /** Column of the drive that multiplies it; column 0 is always 1 */
  readonly channel: number;
  readonly factor: UniformTable | null;
  /** W/K⁴ */
  readonly radiation: number;
  /** What carries the heat, for drawings and balances */
  readonly path: HeatPath;
}

/** What carries heat along a link. */
export type HeatPath = 'conduction' | 'contact' | 'radiation' | 'faces' | 'vanes' | 'air';

/** A source of heat: watts of the source series times a share, into one node. */
export interface NetworkSource {
  readonly node: number;
  readonly share: number;
}

export interface Network {
  readonly nodes: readonly NetworkNode[];
  readonly links: readonly NetworkLink[];
  readonly sources: readonly NetworkSource[];
  /** Number of drive channels */
  readonly channels: number;
  /**
   * Nodes of one material, one after another, of which the temperature is told that they would have with their heat spread
   * evenly, after each step; left out, none
   */
  readonly told?: { readonly first: number; readonly count: number };
  /** What is read off its nodes after each step; left out, nothing */
  readonly readings?: readonly ReadOff[];
}

/** What is read off two nodes, K: the hotter of both, or their mean; off one that is both, its own. */
export interface ReadOff {
  readonly first: number;
  readonly second: number;
  readonly hotter: boolean;
}

/** A reading of the temperatures of all nodes, which begin at `at`; K. */
export function readOffAt(
  { first, second, hotter }: ReadOff,
  temperatures: ArrayLike<number>,
  at = 0,
): number {
  const [a, b] = [temperatures[at + first], temperatures[at + second]];
  return hotter ? Math.max(a, b) : 0.5 * (a + b);
}
