import { TABLE_COUNT, TABLE_START, TABLE_STEP } from '../../numeric';
import { TABLE_BYTES } from './layout';
import type { Writer } from './writer';

/** Locals in which tables are read, shared by all places that read one. */
export interface TableLocals {
  readonly at: number;
  readonly position: number;
  readonly share: number;
  readonly slope: number;
  readonly integral: number;
  readonly value: number;
  /** Of a knot in the table, bytes */
  readonly knot: number;
}

export const tableLocals = (writer: Writer): TableLocals => ({
  at: writer.single(),
  position: writer.single(),
  share: writer.single(),
  slope: writer.single(),
  integral: writer.single(),
  value: writer.single(),
  knot: writer.whole(),
});
export const TABLE_SINGLES = 6;
export const TABLE_WHOLES = 1;

const LAST = TABLE_COUNT - 1;

/** position ← (temperature on the stack − start) / step, left on the stack. */
function writePosition({ code }: Writer, { position }: TableLocals): void {
  code.f64(TABLE_START);
  code.op('f64.sub');
  code.f64(TABLE_STEP);
  code.op('f64.div');
  code.tee(position);
}

/** Splits the position into the knot before it, as an address within a table, and the share of the way to the next. */
function writeKnot({ code }: Writer, { position, share, knot }: TableLocals): void {
  code.get(position);
  code.get(position);
  code.truncate();
  code.tee(knot);
  code.op('f64.convert_i32_s');
  code.op('f64.sub');
  code.set(share);
  code.get(knot);
  code.i32(3);
  code.op('i32.shl');
  code.set(knot);
}

/** A table's value at the temperature on the stack, held outside. @param table where it lies, bytes */
export function writeTableValue(writer: Writer, locals: TableLocals, table: number): void {
  const { code } = writer;
  writePosition(writer, locals);
  code.f64(0);
  code.op('f64.max');
  code.f64(TABLE_COUNT - 2);
  code.op('f64.min');
  code.set(locals.position);
  writeKnot(writer, locals);
  code.get(locals.knot);
  code.load('f64', table);
  code.get(locals.share);
  code.get(locals.knot);
  code.load('f64', table + 8);
  code.get(locals.knot);
  code.load('f64', table);
  code.op('f64.sub');
  code.op('f64.mul');
  code.op('f64.add');
}

/** integral and value ← those of a table held outside, beyond its knot `index`. @param rest leaves the integral */
function writeOutside(
  { code }: Writer,
  l: TableLocals,
  table: number,
  index: number,
  rest: () => void,
): void {
  code.i32(0);
  code.load('f64', table + 8 * index);
  code.set(l.value);
  rest();
  code.set(l.integral);
}

/** The integral before the table's first knot, left on the stack. */
function writeBefore({ code }: Writer, { at, value }: TableLocals): void {
  code.get(value);
  code.get(at);
  code.f64(TABLE_START);
  code.op('f64.sub');
  code.op('f64.mul');
}

/** The integral beyond its last knot, left on the stack. @param sums the integral's knots, bytes */
function writeBeyond({ code }: Writer, { position, value }: TableLocals, sums: number): void {
  code.i32(0);
  code.load('f64', sums + 8 * LAST);
  code.get(value);
  code.get(position);
  code.f64(LAST);
  code.op('f64.sub');
  code.op('f64.mul');
  code.f64(TABLE_STEP);
  code.op('f64.mul');
  code.op('f64.add');
}

/** integral and value ← those within the table: integral = sums + x·(value + 0.5·x·slope/step), x in K from the knot. */
function writeWithin(writer: Writer, locals: TableLocals, table: number): void {
  const { code } = writer;
  const { share, slope, integral, value, knot } = locals;
  writeKnot(writer, locals);
  code.get(knot);
  code.load('f64', table);
  code.set(value);
  code.get(knot);
  code.load('f64', table + 8);
  code.get(value);
  code.op('f64.sub');
  code.set(slope);
  code.get(knot);
  code.load('f64', table + TABLE_BYTES);
  code.get(share);
  code.f64(TABLE_STEP);
  code.op('f64.mul');
  code.tee(integral);
  code.get(value);
  code.f64(0.5);
  code.get(integral);
  code.op('f64.mul');
  code.get(slope);
  code.op('f64.mul');
  code.f64(TABLE_STEP);
  code.op('f64.div');
  code.op('f64.add');
  code.op('f64.mul');
  code.op('f64.add');
  code.set(integral);
  code.get(value);
  code.get(share);
  code.get(slope);
  code.op('f64.mul');
  code.op('f64.add');
  code.set(value);
}

/**
 * One turn of Newton's method for the temperature at which a table's integral has a value; as `integralInverse` does it.
 * @param guess leaves the temperature to begin with
 * @param wanted leaves the integral's value
 */
export function writeInverse(
  writer: Writer,
  locals: TableLocals,
  table: number,
  guess: () => void,
  wanted: () => void,
): void {
  const { code } = writer;
  const { at, position, integral, value } = locals;
  const beyond = () => {
    code.get(position);
    code.f64(LAST);
    code.op('f64.ge');
    code.branch(
      () => writeOutside(writer, locals, table, LAST, () => writeBeyond(writer, locals, table + TABLE_BYTES)),
      () => writeWithin(writer, locals, table),
    );
  };
  guess();
  code.tee(at);
  writePosition(writer, locals);
  code.f64(0);
  code.op('f64.le');
  code.branch(() => writeOutside(writer, locals, table, 0, () => writeBefore(writer, locals)), beyond);
  code.get(at);
  wanted();
  code.get(integral);
  code.op('f64.sub');
  code.get(value);
  code.op('f64.div');
  code.op('f64.add');
}
