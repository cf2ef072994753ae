import { AMBIENT, type Network } from './network';

/**
 * The order in which a network's symmetric matrix is eliminated, found once: at each turn the node with the fewest
 * neighbours, so that a chain costs what a tri-diagonal solve costs and a loop little more. Everything below counts
 * places in that order, not node numbers.
 */
export interface Elimination {
  readonly size: number;
  /** Place of each node */
  readonly place: Int32Array;
  /** Entries of the k-th place are `start[k]` to `start[k + 1]` */
  readonly start: Int32Array;
  /** Later place each entry joins its own to */
  readonly neighbour: Int32Array;
  /** Entry of each link, −1 for links to the surroundings */
  readonly entryOfLink: Int32Array;
  /** Entries updated while eliminating, in the order of the loops of `factor` */
  readonly updates: Int32Array;
}

export function planElimination(network: Network): Elimination {
  const size = network.nodes.length;
  const joined: Set<number>[] = Array.from({ length: size }, () => new Set());
  for (const link of network.links) {
    if (link.to === AMBIENT) continue;
    joined[link.from].add(link.to);
    joined[link.to].add(link.from);
  }
  const place = new Int32Array(size);
  const start = [0];
  const neighbour: number[] = [];
  const entry = new Map<string, number>();
  const key = (a: number, b: number) => (a < b ? `${a},${b}` : `${b},${a}`);
  const left = new Set(Array.from({ length: size }, (_, i) => i));
  while (left.size > 0) {
    let pivot = -1;
    for (const i of left) if (pivot < 0 || joined[i].size < joined[pivot].size) pivot = i;
    const around = [...joined[pivot]];
    for (const a of around) {
      entry.set(key(pivot, a), neighbour.length);
      neighbour.push(a);
      joined[a].delete(pivot);
      for (const b of around) if (b !== a) joined[a].add(b);
    }
    place[pivot] = size - left.size;
    left.delete(pivot);
    start.push(neighbour.length);
  }
  const updates: number[] = [];
  for (let k = 0; k < size; k++) {
    for (let a = start[k]; a < start[k + 1]; a++) {
      for (let b = a + 1; b < start[k + 1]; b++) {
        updates.push(entry.get(key(neighbour[a], neighbour[b])) as number);
      }
    }
  }
  return {
    size,
    place,
    start: Int32Array.from(start),
    neighbour: Int32Array.from(neighbour, (node) => place[node]),
    entryOfLink: Int32Array.from(network.links, (l) =>
      l.to === AMBIENT ? -1 : entry.get(key(l.from, l.to))!,
    ),
    updates: Int32Array.from(updates),
  };
}

/**
 * Factors the matrix in place, L·D·Lᵀ.
 * @param diagonal becomes 1/D
 * @param entries become L
 */
export function factor(plan: Elimination, diagonal: Float64Array, entries: Float64Array): void {
  const { start, neighbour, updates, size } = plan;
  let u = 0;
  let end = 0;
  for (let k = 0; k < size; k++) {
    const pivot = 1 / diagonal[k];
    diagonal[k] = pivot;
    let a = end;
    end = start[k + 1];
    for (; a < end; a++) {
      const value = entries[a];
      const scaled = value * pivot;
      diagonal[neighbour[a]] -= scaled * value;
      for (let b = a + 1; b < end; b++) entries[updates[u++]] -= scaled * entries[b];
      entries[a] = scaled;
    }
  }
}

/** Solves with a factored matrix; right-hand side in, solution out. */
export function solve(
  plan: Elimination,
  inverse: Float64Array,
  entries: Float64Array,
  vector: Float64Array,
): void {
  const { start, neighbour, size } = plan;
  let end = 0;
  for (let k = 0; k < size; k++) {
    const value = vector[k];
    let a = end;
    end = start[k + 1];
    for (; a < end; a++) vector[neighbour[a]] -= entries[a] * value;
  }
  for (let k = size - 1; k >= 0; k--) {
    let value = vector[k] * inverse[k];
    const from = start[k];
    for (let a = end - 1; a >= from; a--) value -= entries[a] * vector[neighbour[a]];
    end = from;
    vector[k] = value;
  }
}
