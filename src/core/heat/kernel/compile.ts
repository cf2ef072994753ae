import { Recent } from '../../numeric';
import type { Topology } from '../topology';
import { type Layout, layoutOf } from './layout';
import { stepModule } from './stepCode';

/** What steps of a topology are computed with: a compiled module's instance and its memory, with a place for each lane. */
export interface Seat {
  readonly topology: Topology;
  readonly layout: Layout;
  readonly memory: Float64Array;
  /**
   * Makes steps with what is given for each.
   * @param from the first of them
   * @param count up to MOST_AT_ONCE in all
   * @param told 1 where what the network has told and read off is noted, else 0
   * @param rows 1 where rows of temperatures are kept, else 0
   */
  readonly step: (from: number, count: number, told: number, rows: number) => void;
  /** Whether they are, of steps that are planned */
  rows: number;
  /** Lanes that are in use, those of them that are ready to step, and those given back */
  taken: number;
  ready: number;
  released: number;
}

/** A topology's module, and the seats that are free. */
interface Kernel {
  readonly topology: Topology;
  readonly layout: Layout;
  readonly module: WebAssembly.Module;
  readonly free: Seat[];
}

/** Nodes of the largest network a step is written for: beyond, the straight-line code outgrows what it saves. */
export const MOST_NODES = 80;
/** Topologies whose modules are kept; what was asked for longest ago goes first. */
const MOST_KEPT = 16;

const kernels = new Recent<Kernel>(MOST_KEPT);
/** What kept kernels of one lane, and of two, from being made */
let trouble: Readonly<Record<1 | 2, string | null>> = { 1: null, 2: null };

/** Why networks are not stepped by the kernel here, in the machine's words; null while they are. */
export const kernelTrouble = (): string | null => trouble[1];

/** Has the next topology compiled again, or nothing at all: for tests and measurements. */
export function resetKernel(refusal: string | null = null): void {
  kernels.clear();
  trouble = { 1: refusal, 2: refusal };
}

/**
 * A place to step a network of a topology in.
 * @param lanes networks stepped beside each other
 * @returns null where the integrator that is read is to do it: there is no WebAssembly (with lanes) here, or the network is
 * larger than any known
 */
export function takeSeat(topology: Topology, lanes: 1 | 2): Seat | null {
  if (trouble[lanes] !== null || topology.plan.size > MOST_NODES) return null;
  const key = `${lanes}:${topology.key}`;
  let kernel = kernels.get(key);
  try {
    if (!kernel) {
      kernel = compiled(topology, lanes);
      kernels.set(key, kernel);
    }
    const seat = kernel.free.pop() ?? seatOf(kernel);
    seat.taken = 0;
    seat.rows = 0;
    seat.ready = 0;
    seat.released = 0;
    return seat;
  } catch (error) {
    // Switched off, refused by a policy, or out of memory: once is enough to know.
    trouble = { ...trouble, [lanes]: error instanceof Error ? error.message : String(error) };
    return null;
  }
}

/** Gives one lane of a seat back; the seat is free when all that were taken are. */
export function giveLane(seat: Seat): void {
  seat.released += 1;
  if (seat.released === seat.taken) kernels.get(`${seat.layout.lanes}:${seat.topology.key}`)?.free.push(seat);
}

function compiled(topology: Topology, lanes: 1 | 2): Kernel {
  const layout = layoutOf(topology, lanes);
  const bytes = stepModule(topology, layout);
  return { topology, layout, module: new WebAssembly.Module(bytes as Uint8Array<ArrayBuffer>), free: [] };
}

function seatOf({ topology, layout, module }: Kernel): Seat {
  const { memory, step } = new WebAssembly.Instance(module).exports as {
    memory: WebAssembly.Memory;
    step: Seat['step'];
  };
  const places = { taken: 0, ready: 0, released: 0, rows: 0 };
  return { topology, layout, memory: new Float64Array(memory.buffer), step, ...places };
}
