import { Code, type Locals } from '../../numeric';

/** What is done with pairs of lanes or with single numbers alike. */
export type Arithmetic = 'add' | 'sub' | 'mul' | 'div';

/**
 * Writes instructions on values of one lane (plain numbers) or of two, whichever it is made for, in the terms of the
 * method: numbers of a list in memory, locals, and what is looked up for each lane by itself.
 */
export class Writer {
  readonly code = new Code();
  private values = 0;
  private singles = 0;
  private wholes = 0;
  private readonly type: 'f64' | 'v128';

  /**
   * @param lanes 1 or 2
   * @param parameters numbers of the function, its first locals
   * @param most locals of each kind, known beforehand because locals are numbered kind by kind
   */
  constructor(
    readonly lanes: 1 | 2,
    private readonly parameters: number,
    private readonly most: { readonly values: number; readonly singles: number; readonly wholes: number },
  ) {
    this.type = lanes === 1 ? 'f64' : 'v128';
  }

  /** A local for a value of all lanes. */
  value(): number {
    if (this.values === this.most.values) throw new RangeError(`writer: more than ${this.values} values`);
    return this.parameters + this.values++;
  }

  /** A local for a plain number. */
  single(): number {
    if (this.singles === this.most.singles) throw new RangeError(`writer: more than ${this.singles} singles`);
    return this.parameters + this.most.values + this.singles++;
  }

  /** A local for a whole number. */
  whole(): number {
    if (this.wholes === this.most.wholes) throw new RangeError(`writer: more than ${this.wholes} wholes`);
    return this.parameters + this.most.values + this.most.singles + this.wholes++;
  }

  get locals(): Locals {
    const { values, singles, wholes } = this.most;
    return [
      { type: this.type, count: values },
      { type: 'f64', count: singles },
      { type: 'i32', count: wholes },
    ];
  }

  get(local: number): void {
    this.code.get(local);
  }

  set(local: number): void {
    this.code.set(local);
  }

  tee(local: number): void {
    this.code.tee(local);
  }

  op(name: Arithmetic): void {
    this.code.op(this.lanes === 1 ? `f64.${name}` : `f64x2.${name}`);
  }

  /** The same number in all lanes. */
  constant(value: number): void {
    this.code.f64(value);
    this.spread();
  }

  /** A plain number on the stack into all lanes. */
  spread(): void {
    if (this.lanes === 2) this.code.op('f64x2.splat');
  }

  /** Number `index` of a list. @param list where it begins, bytes, after what the local `base` says if there is one */
  load(list: number, index = 0, base = -1): void {
    this.address(base);
    this.code.load(this.type, list + index * this.lanes * 8);
  }

  /** Stores what `value` leaves on the stack. @param base as with `load` */
  store(list: number, index: number, value: () => void, base = -1): void {
    this.address(base);
    value();
    this.code.store(this.type, list + index * this.lanes * 8);
  }

  private address(base: number): void {
    if (base < 0) this.code.i32(0);
    else this.code.get(base);
  }

  /** One lane of a local, as a plain number. */
  lane(local: number, lane: number): void {
    this.code.get(local);
    if (this.lanes === 2) this.code.extractLane(lane);
  }

  /** A value of what `of` leaves as a plain number for each lane. */
  each(of: (lane: number) => void): void {
    of(0);
    if (this.lanes === 1) return;
    this.spread();
    of(1);
    this.code.replaceLane(1);
  }

  /** local ← local op value. */
  change(local: number, name: Arithmetic, value: () => void): void {
    this.get(local);
    value();
    this.op(name);
    this.set(local);
  }
}
