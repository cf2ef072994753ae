import { Code, type Locals } from '../../numeric';

/** What is done with pairs of lanes or with single numbers alike. */
export type Arithmetic = 'add' | 'sub' | 'mul' | 'div' | 'max';

/** Where something lies in memory for one lane: bytes behind what a whole local says. */
export interface LanePlace {
  readonly base: number;
  readonly at: number;
}

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

  /** Two locals ← the numbers that lie beside each other at a place of each lane. @param low the first of them */
  pairs(places: readonly LanePlace[], low: number, high: number): void {
    const { code } = this;
    if (this.lanes === 1) {
      const [{ base, at }] = places;
      for (const [local, offset] of [[low, 0] as const, [high, 8] as const]) {
        code.get(base);
        code.load('f64', at + offset);
        code.set(local);
      }
      return;
    }
    [low, high].forEach((local, lane) => {
      code.get(places[lane].base);
      code.load('v128', places[lane].at);
      code.set(local);
    });
    for (const higher of [false, true]) {
      code.get(low);
      code.get(high);
      code.gather(higher);
    }
    code.set(high);
    code.set(low);
  }

  /** What lies at a place of each lane, left on the stack. */
  loadEach(places: readonly LanePlace[]): void {
    const { code } = this;
    code.get(places[0].base);
    if (this.lanes === 1) {
      code.load('f64', places[0].at);
      return;
    }
    code.loadSplat(places[0].at);
    code.get(places[1].base);
    code.load('f64', places[1].at);
    code.replaceLane(1);
  }

  /** The last 32 bits of one lane of a local, left as a whole number. */
  lastBits(local: number, lane: number): void {
    const { code } = this;
    code.get(local);
    if (this.lanes === 2) code.extractWhole(lane);
    else code.op('i64.reinterpret_f64');
    code.op('i32.wrap_i64');
  }

  /** local ← held between 0 and a number; what is no number becomes 0. */
  hold(local: number, most: number): void {
    const { code } = this;
    const bound = (value: number, nearer: 'f64.gt' | 'f64.lt', pair: 'f64x2.pmax' | 'f64x2.pmin') => {
      if (this.lanes === 2) {
        this.constant(value);
        code.get(local);
        code.op(pair);
      } else {
        code.get(local);
        code.f64(value);
        code.get(local);
        code.f64(value);
        code.op(nearer);
        code.op('select');
      }
      code.set(local);
    };
    bound(0, 'f64.gt', 'f64x2.pmax');
    bound(most, 'f64.lt', 'f64x2.pmin');
  }

  /** Whether a local is over 0 and under a number in all lanes, left as a whole number. */
  within(local: number, most: number): void {
    const { code } = this;
    const pairs = this.lanes === 2;
    this.get(local);
    this.constant(0);
    code.op(pairs ? 'f64x2.gt' : 'f64.gt');
    this.get(local);
    this.constant(most);
    code.op(pairs ? 'f64x2.lt' : 'f64.lt');
    code.op(pairs ? 'v128.and' : 'i32.and');
    if (pairs) code.op('i64x2.all_true');
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
