import { GAMMA, kernelTrouble } from '../heat';
import { Code, encodeModule } from '../numeric';

/** How far a step's second stage carries the first one's change on. */
export const CARRIED = (1 - GAMMA) / GAMMA;

/** What steps a band of so many modes, and its memory. */
export interface BandSeat {
  readonly memory: Float64Array;
  /** Where each list begins in it, numbers; `inCells` mode by mode */
  readonly layout: BandLayout;
  /** Makes the step, see `RadialBand.step`, and writes what is hottest. */
  readonly step: (spread: number, byEarly: number, byLate: number, byFlux: number) => void;
}

interface BandLayout {
  readonly rates: number;
  readonly raised: number;
  readonly flux: number;
  readonly amounts: number;
  readonly inCells: number;
  readonly hottest: number;
}

let compiled: WebAssembly.Module | null = null;
/** Whether bands cannot be stepped by a kernel here, though networks of one lane can */
let refused = false;
const free: BandSeat[] = [];

/** A place to step a band in; null where the one that is read is to do it. @param cells even */
export function takeBandSeat(cells: number): BandSeat | null {
  if (refused || kernelTrouble() !== null) return null;
  const known = free.pop();
  if (known) return known;
  const layout = layoutOf(cells);
  try {
    compiled ??= new WebAssembly.Module(bandModule(cells, layout) as Uint8Array<ArrayBuffer>);
    const { memory, step } = new WebAssembly.Instance(compiled).exports as {
      memory: WebAssembly.Memory;
      step: BandSeat['step'];
    };
    return { memory: new Float64Array(memory.buffer), layout, step };
  } catch {
    refused = true;
    return null;
  }
}

export function giveBandSeat(seat: BandSeat): void {
  free.push(seat);
}

function layoutOf(cells: number): BandLayout {
  const inCells = 4 * cells;
  return {
    rates: 0,
    raised: cells,
    flux: 2 * cells,
    amounts: 3 * cells,
    inCells,
    hottest: inCells + cells * cells,
  };
}

const [SPREAD, BY_EARLY, BY_LATE, BY_FLUX, VALUES] = [0, 1, 2, 3, 4];

/** What `RadialBand.step` does, operation for operation, two modes or cells beside each other. */
function bandModule(cells: number, layout: BandLayout): Uint8Array {
  const code = new Code();
  const pairs = cells / 2;
  // Locals: the four parameters in both lanes, three more, and a sum for each pair of cells.
  const [both, left, before, first] = [(parameter: number) => VALUES + parameter, 8, 9, 10];
  const pair = (list: number, j: number) => {
    code.i32(0);
    code.load('v128', 8 * (list + 2 * j));
  };
  const constant = (value: number) => {
    code.f64(value);
    code.op('f64x2.splat');
  };
  const splat = (at: number) => {
    code.i32(0);
    code.loadSplat(8 * at);
  };
  const times = (write: () => void, list: number, j: number) => {
    write();
    pair(list, j);
    code.op('f64x2.mul');
  };
  for (const parameter of [SPREAD, BY_EARLY, BY_LATE, BY_FLUX]) {
    code.get(parameter);
    code.op('f64x2.splat');
    code.set(both(parameter));
  }
  for (let j = 0; j < pairs; j++) {
    // left ← 1 / (1 + spread·rate)
    constant(1);
    constant(1);
    times(() => code.get(both(SPREAD)), layout.rates, j);
    code.op('f64x2.add');
    code.op('f64x2.div');
    code.set(left);
    // first ← (before + byEarly·raised)·left
    pair(layout.amounts, j);
    code.tee(before);
    times(() => code.get(both(BY_EARLY)), layout.raised, j);
    code.op('f64x2.add');
    code.get(left);
    code.op('f64x2.mul');
    code.set(first);
    // amount ← (before + CARRIED·(first − before) + byLate·raised)·left
    code.i32(0);
    code.get(before);
    constant(CARRIED);
    code.get(first);
    code.get(before);
    code.op('f64x2.sub');
    code.op('f64x2.mul');
    code.op('f64x2.add');
    times(() => code.get(both(BY_LATE)), layout.raised, j);
    code.op('f64x2.add');
    code.get(left);
    code.op('f64x2.mul');
    code.store('v128', 8 * (layout.amounts + 2 * j));
  }
  const sums = Array.from({ length: pairs }, (_, j) => 11 + j);
  // sum ← byFlux·flux + what all modes have in the cells
  sums.forEach((sum, j) => {
    times(() => code.get(both(BY_FLUX)), layout.flux, j);
    code.set(sum);
  });
  for (let m = 0; m < cells; m++) {
    sums.forEach((sum, j) => {
      code.get(sum);
      times(() => splat(layout.amounts + m), layout.inCells + m * cells, j);
      code.op('f64x2.add');
      code.set(sum);
    });
  }
  writeMost(code, sums, layout.hottest);
  return encodeModule(1, VALUES, [{ type: 'v128', count: 7 + pairs }], code.take());
}

/** Stores the greatest of some pairs. @param at where, numbers */
function writeMost(code: Code, sums: readonly number[], at: number): void {
  const most = sums[0];
  for (const sum of sums.slice(1)) {
    code.get(most);
    code.get(sum);
    code.op('f64x2.max');
    code.set(most);
  }
  code.i32(0);
  for (const lane of [0, 1]) {
    code.get(most);
    code.extractLane(lane);
  }
  code.op('f64.max');
  code.store('f64', 8 * at);
}
