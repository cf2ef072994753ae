import { Recent, type UniformTable } from '../numeric';
import { type Elimination, planElimination } from './elimination';
import { AMBIENT, type Network, type ReadOff } from './network';

/** A link by places: the entry it stands in (−1 to the surroundings), its channel, and its table (−1 for none). */
export interface PlacedLink {
  /** Its own in the network's list */
  readonly index: number;
  readonly from: number;
  /** A place, or AMBIENT */
  readonly to: number;
  readonly entry: number;
  readonly channel: number;
  readonly table: number;
}

/**
 * What networks of one shape have in common, whatever their masses and conductances: the order of elimination, and which
 * links vary with what. Each kind of link is added to the matrix in a loop of its own, in the order of the lists.
 */
export interface Topology {
  /** Equal for equal topologies */
  readonly key: string;
  readonly plan: Elimination;
  /** Node at each place */
  readonly nodeAt: Int32Array;
  readonly channels: number;
  /** Nodes whose mean temperature is told, and the table of their heat capacity; null for none */
  readonly told: { readonly nodes: readonly number[]; readonly table: number } | null;
  /** What is read off, by places */
  readonly readings: readonly ReadOff[];
  /** Conductances that never vary */
  readonly fixed: readonly PlacedLink[];
  /** With a channel alone */
  readonly driven: readonly PlacedLink[];
  /** With a table of temperature, and a channel */
  readonly varying: readonly PlacedLink[];
  /** With the temperatures' fourth powers, and a channel */
  readonly radiating: readonly PlacedLink[];
  /** Nodes, in their order, whose heat capacity varies, and their tables */
  readonly warm: readonly { readonly node: number; readonly place: number; readonly table: number }[];
  /** Places that a source heats */
  readonly heated: readonly number[];
  /** How many different tables there are */
  readonly tables: number;
}

/** A topology, and the tables of one network in its order. */
export interface Shaped {
  readonly topology: Topology;
  readonly tables: readonly UniformTable[];
}

/** Topologies that are kept; random cars make new ones without end. */
const MOST_KEPT = 64;
const kept = new Recent<Topology>(MOST_KEPT);
const shapes = new WeakMap<Network, Shaped>();

/**
 * The topology of a network; made once for all networks of that shape.
 * @throws RangeError for a radiating link with a factor table
 */
export function shapeOf(network: Network): Shaped {
  const known = shapes.get(network);
  if (known) return known;
  const shaped = findShape(network);
  shapes.set(network, shaped);
  return shaped;
}

function findShape(network: Network): Shaped {
  const tables: UniformTable[] = [];
  const numberOf = (table: UniformTable | null) => {
    if (!table) return -1;
    const known = tables.indexOf(table);
    return known < 0 ? tables.push(table) - 1 : known;
  };
  const { first, count } = network.told ?? { first: 0, count: 0 };
  let key = `${network.nodes.length},${network.channels},${first}+${count}`;
  for (const { table } of network.nodes) key += `,${numberOf(table)}`;
  for (const { first, second, hotter } of network.readings ?? [])
    key += `${hotter ? '^' : '/'}${first},${second}`;
  for (const { node } of network.sources) key += `;${node}`;
  for (const link of network.links) {
    if (link.radiation !== 0 && link.factor) {
      throw new RangeError('network: a radiating link cannot have a factor table; give it a link of its own');
    }
    const kind = link.radiation !== 0 ? 'r' : numberOf(link.factor);
    key += `|${link.from},${link.to},${link.channel},${kind}`;
  }
  let topology = kept.get(key);
  if (!topology) {
    topology = topologyOf(key, network, tables);
    kept.set(key, topology);
  }
  return { topology, tables };
}

/** @throws RangeError where the nodes that are told have no one table of heat capacity */
function toldOf({ nodes, told }: Network, tables: readonly UniformTable[]): Topology['told'] {
  if (!told) return null;
  const { table } = nodes[told.first];
  const own = Array.from({ length: told.count }, (_, k) => told.first + k);
  if (!table || own.some((node) => nodes[node].table !== table)) {
    throw new RangeError('network: the nodes that are told need one table of heat capacity');
  }
  return { nodes: own, table: tables.indexOf(table) };
}

function topologyOf(key: string, network: Network, tables: readonly UniformTable[]): Topology {
  const plan = planElimination(network);
  const { place } = plan;
  const nodeAt = new Int32Array(place.length);
  place.forEach((p, node) => {
    nodeAt[p] = node;
  });
  const links = network.links.map(
    (link, index): PlacedLink => ({
      index,
      from: place[link.from],
      to: link.to === AMBIENT ? AMBIENT : place[link.to],
      entry: plan.entryOfLink[index],
      channel: link.channel,
      table: link.factor ? tables.indexOf(link.factor) : -1,
    }),
  );
  const radiates = ({ index }: PlacedLink) => network.links[index].radiation !== 0;
  const plain = links.filter((link) => !radiates(link) && link.table < 0);
  return {
    key,
    plan,
    nodeAt,
    channels: network.channels,
    told: toldOf(network, tables),
    readings: (network.readings ?? []).map(({ first, second, hotter }) => ({
      first: place[first],
      second: place[second],
      hotter,
    })),
    fixed: plain.filter(({ channel }) => channel === 0),
    driven: plain.filter(({ channel }) => channel !== 0),
    varying: links.filter(({ table }) => table >= 0),
    radiating: links.filter(radiates),
    warm: network.nodes.flatMap(({ table }, node) =>
      table ? [{ node, place: place[node], table: tables.indexOf(table) }] : [],
    ),
    heated: [...new Set(network.sources.map((s) => place[s.node]))],
    tables: tables.length,
  };
}
