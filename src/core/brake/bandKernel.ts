import { GAMMA, kernelTrouble } from '../heat';
import { Code, encodeModule } from '../numeric';

/** How far a step's second stage carries the first one's change on. */
export const CARRIED = (1 - GAMMA) / GAMMA;

/** What steps a band of so many modes, and its memory. */
export interface BandSeat {
  readonly memory: Float64Array;
  /** Where each list begins in it, numbers; `inCells` mode by mode */
  readonly layout: BandLayout;
  /** Makes steps with what is given for each, see `RadialBand.steps`, and writes what is hottest. @param count of them */
  readonly step: (count: number) => void;
}

/** What is given for a step, and what comes of it: numbers that lie beside each other. */
export const GIVEN = { spread: 0, byEarly: 1, byLate: 2, byFlux: 3, hottest: 4, count: 5 } as const;

interface BandLayout {
  readonly rates: number;
  readonly raised: number;
  readonly flux: number;
  readonly amounts: number;
  readonly inCells: number;
  /** Of the first of the steps that are made at once, as `GIVEN` has it; the next step's lies behind */
  readonly given: number;
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
    given: inCells + cells * cells,
  };
}

/** The only parameter: how many steps are made. */
const COUNT = 0;
/** What is the same in both lanes, by its place in `GIVEN`, and three more values. */
const [BOTH, LEFT, BEFORE, FIRST, SUMS] = [1, 5, 6, 7, 8];

/** What `RadialBand.steps` does, operation for operation, two modes or cells beside each other. */
function bandModule(cells: number, layout: BandLayout): Uint8Array {
  const code = new Code();
  const sums = Array.from({ length: cells / 2 }, (_, j) => SUMS + j);
  const [at, steps] = [SUMS + sums.length, SUMS + sums.length + 1];
  const moveOn = (local: number, by: number) => {
    code.get(local);
    code.i32(by);
    code.op('i32.add');
    code.set(local);
  };
  code.get(COUNT);
  code.truncate();
  code.set(steps);
  code.repeat(() => {
    writeStep(code, cells, layout, sums, at);
    moveOn(at, 8 * GIVEN.count);
    moveOn(steps, -1);
    code.get(steps);
  });
  return encodeModule(
    1,
    1,
    [
      { type: 'v128', count: at - 1 },
      { type: 'i32', count: 2 },
    ],
    code.take(),
  );
}

/** @param sums locals of what each pair of cells has @param at the local of the step's place, bytes */
function writeStep(code: Code, cells: number, layout: BandLayout, sums: readonly number[], at: number): void {
  const pair = (list: number, j: number) => {
    code.i32(0);
    code.load('v128', 8 * (list + 2 * j));
  };
  const constant = (value: number) => {
    code.f64(value);
    code.op('f64x2.splat');
  };
  const times = (write: () => void, list: number, j: number) => {
    write();
    pair(list, j);
    code.op('f64x2.mul');
  };
  for (const given of [GIVEN.spread, GIVEN.byEarly, GIVEN.byLate, GIVEN.byFlux]) {
    code.get(at);
    code.loadSplat(8 * (layout.given + given));
    code.set(BOTH + given);
  }
  for (let j = 0; j < cells / 2; j++) {
    // left ← 1 / (1 + spread·rate)
    constant(1);
    constant(1);
    times(() => code.get(BOTH + GIVEN.spread), layout.rates, j);
    code.op('f64x2.add');
    code.op('f64x2.div');
    code.set(LEFT);
    // first ← (before + byEarly·raised)·left
    pair(layout.amounts, j);
    code.tee(BEFORE);
    times(() => code.get(BOTH + GIVEN.byEarly), layout.raised, j);
    code.op('f64x2.add');
    code.get(LEFT);
    code.op('f64x2.mul');
    code.set(FIRST);
    // amount ← (before + CARRIED·(first − before) + byLate·raised)·left
    code.i32(0);
    code.get(BEFORE);
    constant(CARRIED);
    code.get(FIRST);
    code.get(BEFORE);
    code.op('f64x2.sub');
    code.op('f64x2.mul');
    code.op('f64x2.add');
    times(() => code.get(BOTH + GIVEN.byLate), layout.raised, j);
    code.op('f64x2.add');
    code.get(LEFT);
    code.op('f64x2.mul');
    code.store('v128', 8 * (layout.amounts + 2 * j));
  }
  // sum ← byFlux·flux + what all modes have in the cells
  sums.forEach((sum, j) => {
    times(() => code.get(BOTH + GIVEN.byFlux), layout.flux, j);
    code.set(sum);
  });
  for (let m = 0; m < cells; m++) {
    code.i32(0);
    code.loadSplat(8 * (layout.amounts + m));
    code.set(BEFORE);
    sums.forEach((sum, j) => {
      code.get(sum);
      times(() => code.get(BEFORE), layout.inCells + m * cells, j);
      code.op('f64x2.add');
      code.set(sum);
    });
  }
  writeMost(code, sums, at, layout.given + GIVEN.hottest);
}

/** Stores the greatest of some pairs. @param base local of an address @param to numbers behind it */
function writeMost(code: Code, sums: readonly number[], base: number, to: number): void {
  const most = sums[0];
  for (const sum of sums.slice(1)) {
    code.get(most);
    code.get(sum);
    code.op('f64x2.pmax');
    code.set(most);
  }
  code.get(base);
  for (const lane of [0, 1]) {
    code.get(most);
    code.extractLane(lane);
  }
  code.op('f64.max');
  code.store('f64', 8 * to);
}
