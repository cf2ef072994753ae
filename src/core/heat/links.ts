import { heldPosition, knotBefore, tablePosition, type UniformTable } from '../numeric';
import { AMBIENT, type Network } from './network';
import type { PlacedLink, Shaped, Topology } from './topology';

/** A network's links sorted by what makes them vary, so that each kind is added to the matrix in a loop of its own. */
export interface CompiledLinks {
  /**
   * Adds all conductances to a matrix.
   * @param at temperatures the coefficients are taken at, by place, K
   * @param drive channels
   * @param diagonal added to
   * @param entries overwritten
   * @param toAmbient overwritten with each place's conductance to the surroundings, W/K
   */
  assemble(
    at: Float64Array,
    ambient: number,
    drive: Float64Array,
    diagonal: Float64Array,
    entries: Float64Array,
    toAmbient: Float64Array,
  ): void;
}

/** What conductances that never vary add to the matrix, W/K: by place, by entry, and to the surroundings by place. */
export interface StillPart {
  readonly diagonal: Float64Array;
  readonly entries: Float64Array;
  readonly toAmbient: Float64Array;
}

/** Links of one kind: places, entry (−1 to the surroundings), and what makes the conductance. */
class Group {
  readonly count: number;
  readonly from: Int32Array;
  readonly to: Int32Array;
  readonly entry: Int32Array;
  readonly channel: Int32Array;
  readonly coefficient: Float64Array;
  readonly radiation: Float64Array;
  readonly tables: readonly UniformTable[];

  constructor(placed: readonly PlacedLink[], network: Network, tables: readonly UniformTable[]) {
    this.count = placed.length;
    this.from = Int32Array.from(placed, ({ from }) => from);
    this.to = Int32Array.from(placed, ({ to }) => to);
    this.entry = Int32Array.from(placed, ({ entry }) => entry);
    this.channel = Int32Array.from(placed, ({ channel }) => channel);
    this.coefficient = Float64Array.from(placed, ({ index }) => network.links[index].coefficient);
    this.radiation = Float64Array.from(placed, ({ index }) => network.links[index].radiation);
    this.tables = placed.map(({ table }) => tables[table]);
  }

  add(l: number, g: number, diagonal: Float64Array, entries: Float64Array, toAmbient: Float64Array): void {
    const a = this.from[l];
    const b = this.to[l];
    diagonal[a] += g;
    if (b === AMBIENT) toAmbient[a] += g;
    else {
      diagonal[b] += g;
      entries[this.entry[l]] -= g;
    }
  }
}

export function stillPart(network: Network, { plan, fixed }: Topology): StillPart {
  const still = new Group(fixed, network, []);
  const diagonal = new Float64Array(plan.size);
  const entries = new Float64Array(plan.neighbour.length);
  const toAmbient = new Float64Array(plan.size);
  for (let l = 0; l < still.count; l++) still.add(l, still.coefficient[l], diagonal, entries, toAmbient);
  return { diagonal, entries, toAmbient };
}

export function compileLinks(network: Network, { topology, tables }: Shaped): CompiledLinks {
  const { size } = topology.plan;
  const still = stillPart(network, topology);
  const moved = new Group(topology.driven, network, tables);
  const warm = new Group(topology.varying, network, tables);
  const hot = new Group(topology.radiating, network, tables);

  return {
    assemble(at, ambient, drive, diagonal, entries, toAmbient) {
      entries.set(still.entries);
      toAmbient.set(still.toAmbient);
      for (let i = 0; i < size; i++) diagonal[i] += still.diagonal[i];
      for (let l = 0; l < moved.count; l++) {
        const g = moved.coefficient[l] * drive[moved.channel[l]];
        if (g !== 0) moved.add(l, g, diagonal, entries, toAmbient);
      }
      for (let l = 0; l < warm.count; l++) {
        const scale = warm.coefficient[l] * drive[warm.channel[l]];
        if (scale === 0) continue;
        const b = warm.to[l];
        const mean = 0.5 * (at[warm.from[l]] + (b === AMBIENT ? ambient : at[b]));
        const position = heldPosition(tablePosition(mean));
        const knot = knotBefore(position);
        const j = knot | 0;
        const table = warm.tables[l];
        warm.add(
          l,
          scale * (table[j] + (position - knot) * (table[j + 1] - table[j])),
          diagonal,
          entries,
          toAmbient,
        );
      }
      for (let l = 0; l < hot.count; l++) {
        const b = hot.to[l];
        const ta = at[hot.from[l]];
        const tb = b === AMBIENT ? ambient : at[b];
        const g =
          hot.coefficient[l] * drive[hot.channel[l]] + hot.radiation[l] * (ta * ta + tb * tb) * (ta + tb);
        hot.add(l, g, diagonal, entries, toAmbient);
      }
    },
  };
}
