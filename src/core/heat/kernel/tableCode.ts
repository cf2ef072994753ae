import {
  MOST_POSITION,
  TABLE_COUNT,
  TABLE_PER_KELVIN,
  TABLE_START,
  TABLE_STEP,
  WHOLE_ONLY,
} from '../../numeric';
import { KNOT } from './layout';
import type { Writer } from './writer';

/** Locals in which tables are read, shared by all places that read one. */
export interface TableLocals {
  /** Of all lanes: where a temperature lies in a table, held within it, and how far from the knot before */
  readonly position: number;
  readonly share: number;
  readonly value: number;
  readonly slope: number;
  /** That knot in each lane, bytes from the table's beginning */
  readonly knots: readonly number[];
  /** Of one lane, where a temperature lies outside its table */
  readonly at: number;
  readonly place: number;
  readonly part: number;
  readonly one: number;
  readonly integral: number;
}

export const tableLocals = (writer: Writer): TableLocals => ({
  position: writer.value(),
  share: writer.value(),
  value: writer.value(),
  slope: writer.value(),
  knots: Array.from({ length: writer.lanes }, () => writer.whole()),
  at: writer.single(),
  place: writer.single(),
  part: writer.single(),
  one: writer.single(),
  integral: writer.single(),
});
/** How many of each kind those are. */
export const TABLE_LOCALS = { values: 4, singles: 5, wholes: 2 } as const;

const LAST = TABLE_COUNT - 1;

/** position ← (temperature on the stack − start) / step. */
function writePosition(w: Writer, { position }: TableLocals): void {
  w.constant(TABLE_START);
  w.op('sub');
  w.constant(TABLE_PER_KELVIN);
  w.op('mul');
  w.set(position);
}

/** share and knots ← those of the position. */
function writeKnots(w: Writer, { position, share, knots }: TableLocals): void {
  // As `knotBefore` does it: what is left of the sum's last bits is the knot.
  w.get(position);
  w.constant(0.5);
  w.op('sub');
  w.constant(WHOLE_ONLY);
  w.op('add');
  w.set(share);
  knots.forEach((knot, lane) => {
    w.lastBits(share, lane);
    w.code.i32(KNOT.bits);
    w.code.op('i32.shl');
    w.set(knot);
  });
  w.get(position);
  w.get(share);
  w.constant(WHOLE_ONLY);
  w.op('sub');
  w.op('sub');
  w.set(share);
}

/** Finds where the temperature on the stack lies in any table, held within it. */
export function writePlace(w: Writer, locals: TableLocals): void {
  writePosition(w, locals);
  w.hold(locals.position, MOST_POSITION);
  writeKnots(w, locals);
}

/** A table's value at the place found last. @param table where it lies in each lane, bytes */
export function writeValue(w: Writer, l: TableLocals, table: (lane: number) => number): void {
  writeKnot(w, l, table);
  w.get(l.value);
  w.get(l.share);
  w.get(l.slope);
  w.op('mul');
  w.op('add');
}

/** value and slope ← those of the knots. */
function writeKnot(w: Writer, { value, slope, knots }: TableLocals, table: (lane: number) => number): void {
  w.pairs(
    knots.map((knot, lane) => ({ base: knot, at: table(lane) })),
    value,
    slope,
  );
}

/**
 * One turn of Newton's method for the temperature at which a table's integral has a value; as `integralInverse` does it.
 * @param guess local with the temperature to begin with
 * @param wanted local with the integral's value
 * @param into local for what comes of it
 */
export function writeInverse(
  w: Writer,
  l: TableLocals,
  table: (lane: number) => number,
  guess: number,
  wanted: number,
  into: number,
): void {
  w.get(guess);
  writePosition(w, l);
  w.within(l.position, LAST);
  w.code.branch(
    () => {
      writeKnots(w, l);
      writeKnot(w, l, table);
      w.get(guess);
      w.get(wanted);
      // integral = sum + share·step·(value + ½·share·slope)
      w.loadEach(l.knots.map((knot, lane) => ({ base: knot, at: table(lane) + KNOT.integral })));
      w.get(l.share);
      w.constant(TABLE_STEP);
      w.op('mul');
      w.get(l.value);
      w.constant(0.5);
      w.get(l.share);
      w.op('mul');
      w.get(l.slope);
      w.op('mul');
      w.op('add');
      w.op('mul');
      w.op('add');
      w.op('sub');
      w.get(l.value);
      w.get(l.share);
      w.get(l.slope);
      w.op('mul');
      w.op('add');
      w.op('div');
      w.op('add');
      w.set(into);
    },
    () => {
      w.each((lane) => writeOne(w, l, lane, table(lane), guess, wanted));
      w.set(into);
    },
  );
}

/** The same for one lane, wherever it is, left on the stack. */
function writeOne(
  w: Writer,
  l: TableLocals,
  lane: number,
  table: number,
  guess: number,
  wanted: number,
): void {
  const { code } = w;
  w.lane(l.position, lane);
  code.set(l.place);
  w.lane(guess, lane);
  code.set(l.at);
  const knot = (index: number, offset = 0) => {
    code.i32(0);
    code.load('f64', table + (index << KNOT.bits) + offset);
  };
  code.get(l.place);
  code.f64(0);
  code.op('f64.le');
  code.branch(
    () => {
      knot(0);
      code.tee(l.one);
      code.get(l.at);
      code.f64(TABLE_START);
      code.op('f64.sub');
      code.op('f64.mul');
      code.set(l.integral);
    },
    () => {
      code.get(l.place);
      code.f64(LAST);
      code.op('f64.ge');
      code.branch(
        () => {
          knot(LAST);
          code.set(l.one);
          knot(LAST, KNOT.integral);
          code.get(l.one);
          code.get(l.place);
          code.f64(LAST);
          code.op('f64.sub');
          code.f64(TABLE_STEP);
          code.op('f64.mul');
          code.op('f64.mul');
          code.op('f64.add');
          code.set(l.integral);
        },
        () => writeInside(w, l, lane, table),
      );
    },
  );
  code.get(l.at);
  w.lane(wanted, lane);
  code.get(l.integral);
  code.op('f64.sub');
  code.get(l.one);
  code.op('f64.div');
  code.op('f64.add');
}

/** one and integral ← value and integral of one lane whose place is within its table. */
function writeInside({ code }: Writer, l: TableLocals, lane: number, table: number): void {
  const { place, part, one, integral } = l;
  const knot = l.knots[lane];
  const load = (offset: number) => {
    code.get(knot);
    code.load('f64', table + offset);
  };
  code.get(place);
  code.f64(0.5);
  code.op('f64.sub');
  code.f64(WHOLE_ONLY);
  code.op('f64.add');
  code.tee(part);
  code.op('i64.reinterpret_f64');
  code.op('i32.wrap_i64');
  code.i32(KNOT.bits);
  code.op('i32.shl');
  code.set(knot);
  code.get(place);
  code.get(part);
  code.f64(WHOLE_ONLY);
  code.op('f64.sub');
  code.op('f64.sub');
  code.set(part);
  load(KNOT.integral);
  code.get(part);
  code.f64(TABLE_STEP);
  code.op('f64.mul');
  load(0);
  code.f64(0.5);
  code.get(part);
  code.op('f64.mul');
  load(KNOT.more);
  code.op('f64.mul');
  code.op('f64.add');
  code.op('f64.mul');
  code.op('f64.add');
  code.set(integral);
  load(0);
  code.get(part);
  load(KNOT.more);
  code.op('f64.mul');
  code.op('f64.add');
  code.set(one);
}
