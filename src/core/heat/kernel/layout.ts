import { TABLE_COUNT } from '../../numeric';
import { MOST_AT_ONCE } from '../heatIntegrator';
import type { Topology } from '../topology';

/** Bytes of a number. */
const NUMBER = 8;
const PAGE = 65_536;
/** Bytes of a line of the cache. */
const LINE = 64;

/**
 * Where everything of a network lies in the kernel's memory, in bytes. Each number has a place for every lane, beside
 * each other; tables lie lane after lane behind them. Lists are in the network's own order unless it is said.
 */
export interface Layout {
  readonly lanes: 1 | 2;
  /** Of the first of the steps that are made at once: its length, s, source power at both stages, W, how far the trend is
   * carried on, and its drive; the next step's lies `given` bytes behind */
  readonly dt: number;
  readonly early: number;
  readonly late: number;
  readonly ahead: number;
  readonly drive: number;
  readonly given: number;
  /** Temperatures after the first of them, K, if they are kept; the next step's `rowBytes` behind, each lane's by itself */
  row(lane: number): number;
  readonly rowBytes: number;
  /** Temperature of the nodes that are told after the first of them, and each reading, K; the next step's `column` bytes behind */
  readonly mean: number;
  reading(index: number): number;
  readonly column: number;
  /** K */
  readonly ambient: number;
  /** Given to the surroundings so far, J */
  readonly lost: number;
  /** Of the nodes that are told: their mean temperature now, K, and the sum of their scales */
  readonly meanNow: number;
  readonly toldScale: number;
  readonly now: number;
  readonly before: number;
  readonly enthalpy: number;
  readonly scale: number;
  /** 1 over it */
  readonly perScale: number;
  /** Shares of the sources, in the order of `heated` */
  readonly source: number;
  /** What never varies: by place, by entry, by place */
  readonly stillDiagonal: number;
  readonly stillEntries: number;
  readonly stillAmbient: number;
  /** Conductances in the order of each kind's list */
  readonly driven: number;
  readonly varying: number;
  readonly radiating: number;
  readonly radiation: number;
  /** A lane's table: of each knot its value, what the next one has more, and the integral up to it */
  table(index: number, lane: number): number;
  readonly pages: number;
}

/** Bytes of a knot of a table, a power of two; in it the next knot's more, and the integral. */
export const KNOT = { bits: 5, more: NUMBER, integral: 2 * NUMBER } as const;
const TABLE_BYTES = TABLE_COUNT << KNOT.bits;

export function layoutOf(topology: Topology, lanes: 1 | 2): Layout {
  let end = 0;
  const room = (count: number) => {
    const at = end;
    end += count * lanes * NUMBER;
    return at;
  };
  const { size, neighbour } = topology.plan;
  const first = {
    dt: room(1),
    early: room(1),
    late: room(1),
    ahead: room(1),
    drive: room(topology.channels),
    given: end,
  };
  end = MOST_AT_ONCE * first.given;
  const rowBytes = size * NUMBER;
  const rows = room(MOST_AT_ONCE * size);
  const mean = room(MOST_AT_ONCE);
  const column = lanes * NUMBER;
  const readings = room(MOST_AT_ONCE * topology.readings.length);
  const numbers = {
    ambient: room(1),
    lost: room(1),
    meanNow: room(1),
    toldScale: room(1),
    now: room(size),
    before: room(size),
    enthalpy: room(size),
    scale: room(size),
    perScale: room(size),
    source: room(topology.heated.length),
    stillDiagonal: room(size),
    stillEntries: room(neighbour.length),
    stillAmbient: room(size),
    driven: room(topology.driven.length),
    varying: room(topology.varying.length),
    radiating: room(topology.radiating.length),
    radiation: room(topology.radiating.length),
  };
  // Aligned, so that no knot lies in two lines of the cache.
  const tables = Math.ceil(end / LINE) * LINE;
  end = tables;
  end += topology.tables * lanes * TABLE_BYTES;
  return {
    lanes,
    ...first,
    row: (lane) => rows + lane * MOST_AT_ONCE * rowBytes,
    rowBytes,
    mean,
    reading: (index) => readings + index * MOST_AT_ONCE * column,
    column,
    ...numbers,
    table: (index, lane) => tables + (index * lanes + lane) * TABLE_BYTES,
    pages: Math.ceil(end / PAGE),
  };
}
