import { Recent } from '../../numeric';
import type { Topology } from '../topology';
import { type Layout, layoutOf } from './layout';
import { stepModule } from './stepCode';

/** What a step of a topology is computed with: a compiled module's instance, and its memory. */
export interface Seat {
  readonly layout: Layout;
  readonly memory: Float64Array;
  /** @param dt s */
  readonly step: (dt: number) => void;
}

/** A topology's module, and the seats that are free. */
interface Kernel {
  readonly layout: Layout;
  readonly module: WebAssembly.Module;
  readonly free: Seat[];
}

/** Nodes of the largest network a step is written for: beyond, the straight-line code outgrows what it saves. */
export const MOST_NODES = 80;
/** Topologies whose modules are kept; what was asked for longest ago goes first. */
const MOST_KEPT = 16;
/** Times a topology is asked for before a step is written for it: one that comes once is not worth compiling. */
const WORTH_IT = 2;

const kernels = new Recent<Kernel>(MOST_KEPT);
const asked = new Recent<number>(8 * MOST_KEPT);
let trouble: string | null = null;

/** Why networks are not stepped by the kernel here, in the machine's words; null while they are. */
export const kernelTrouble = (): string | null => trouble;

/** Has the next topology compiled again, or nothing at all: for tests and measurements. */
export function resetKernel(refusal: string | null = null): void {
  kernels.clear();
  asked.clear();
  trouble = refusal;
}

/**
 * A place to step a network of a topology in.
 * @param lanes networks stepped beside each other
 * @param atOnce compile even what has not come before
 * @returns null where the integrator that is read is to do it: there is no WebAssembly (with lanes) here, the network is
 * larger than any known, or its topology has not come often enough
 */
export function takeSeat(topology: Topology, lanes: 1 | 2, atOnce = false): Seat | null {
  if (trouble !== null || topology.plan.size > MOST_NODES) return null;
  const key = `${lanes}:${topology.key}`;
  let kernel = kernels.get(key);
  try {
    if (!kernel) {
      if (!atOnce && !isWorthIt(key)) return null;
      kernel = compiled(topology, lanes);
      kernels.set(key, kernel);
    }
    return kernel.free.pop() ?? seatOf(kernel);
  } catch (error) {
    // Switched off, refused by a policy, or out of memory: once is enough to know.
    trouble = error instanceof Error ? error.message : String(error);
    return null;
  }
}

/** Gives a seat back. */
export function giveSeat(topology: Topology, seat: Seat): void {
  kernels.get(`${seat.layout.lanes}:${topology.key}`)?.free.push(seat);
}

function isWorthIt(key: string): boolean {
  const times = (asked.get(key) ?? 0) + 1;
  asked.set(key, times);
  return times >= WORTH_IT;
}

function compiled(topology: Topology, lanes: 1 | 2): Kernel {
  const layout = layoutOf(topology, lanes);
  const bytes = stepModule(topology, layout);
  return { layout, module: new WebAssembly.Module(bytes as Uint8Array<ArrayBuffer>), free: [] };
}

function seatOf({ layout, module }: Kernel): Seat {
  const { memory, step } = new WebAssembly.Instance(module).exports as {
    memory: WebAssembly.Memory;
    step: (dt: number) => void;
  };
  return { layout, memory: new Float64Array(memory.buffer), step };
}
