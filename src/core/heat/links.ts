import { TABLE_COUNT, TABLE_START, TABLE_STEP } from '../numeric';
import type { Elimination } from './elimination';
import { AMBIENT, type Network, type NetworkLink } from './network';

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

/** Links of one kind: places, entry (−1 to the surroundings), and what makes the conductance. */
class Group {
  readonly count: number;
  readonly from: Int32Array;
  readonly to: Int32Array;
  readonly entry: Int32Array;
  readonly channel: Int32Array;
  readonly coefficient: Float64Array;
  readonly radiation: Float64Array;
  readonly tables: Float64Array[];

  constructor(links: readonly { link: NetworkLink; entry: number }[], place: Int32Array) {
    this.count = links.length;
    this.from = Int32Array.from(links, ({ link }) => place[link.from]);
    this.to = Int32Array.from(links, ({ link }) => (link.to === AMBIENT ? AMBIENT : place[link.to]));
    this.entry = Int32Array.from(links, ({ entry }) => entry);
    this.channel = Int32Array.from(links, ({ link }) => link.channel);
    this.coefficient = Float64Array.from(links, ({ link }) => link.coefficient);
    this.radiation = Float64Array.from(links, ({ link }) => link.radiation);
    this.tables = links.map(({ link }) => link.factor ?? EMPTY);
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
const EMPTY = new Float64Array(0);

export function compileLinks(network: Network, plan: Elimination): CompiledLinks {
  const all = network.links.map((link, i) => ({ link, entry: plan.entryOfLink[i] }));
  const radiating = all.filter(({ link }) => link.radiation !== 0);
  const varying = all.filter(({ link }) => link.factor !== null && link.radiation === 0);
  const driven = all.filter(({ link }) => !link.factor && link.radiation === 0 && link.channel !== 0);
  const fixed = all.filter(({ link }) => !link.factor && link.radiation === 0 && link.channel === 0);
  if (radiating.some(({ link }) => link.factor !== null)) {
    throw new RangeError('network: a radiating link cannot have a factor table; give it a link of its own');
  }
  const { place, size } = plan;
  const still = new Group(fixed, place);
  const base = { diagonal: new Float64Array(size), entries: new Float64Array(plan.neighbour.length) };
  const baseAmbient = new Float64Array(size);
  for (let l = 0; l < still.count; l++) {
    still.add(l, still.coefficient[l], base.diagonal, base.entries, baseAmbient);
  }
  const moved = new Group(driven, place);
  const warm = new Group(varying, place);
  const hot = new Group(radiating, place);

  return {
    assemble(at, ambient, drive, diagonal, entries, toAmbient) {
      entries.set(base.entries);
      toAmbient.set(baseAmbient);
      for (let i = 0; i < size; i++) diagonal[i] += base.diagonal[i];
      for (let l = 0; l < moved.count; l++) {
        const g = moved.coefficient[l] * drive[moved.channel[l]];
        if (g !== 0) moved.add(l, g, diagonal, entries, toAmbient);
      }
      for (let l = 0; l < warm.count; l++) {
        const scale = warm.coefficient[l] * drive[warm.channel[l]];
        if (scale === 0) continue;
        const b = warm.to[l];
        const mean = 0.5 * (at[warm.from[l]] + (b === AMBIENT ? ambient : at[b]));
        const position = Math.min(TABLE_COUNT - 2, Math.max(0, (mean - TABLE_START) / TABLE_STEP));
        const j = position | 0;
        const table = warm.tables[l];
        warm.add(
          l,
          scale * (table[j] + (position - j) * (table[j + 1] - table[j])),
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
