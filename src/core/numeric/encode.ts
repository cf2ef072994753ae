/**
 * The little of WebAssembly's binary format that kernels are written in: one function of numbers, straight through but for
 * a loop and a few branches, over one memory that the module brings along. Source: WebAssembly Core Specification 2.0, section 5.
 */

/** Types of values, section 5.3. */
const TYPE = { f64: 0x7c, i32: 0x7f, v128: 0x7b } as const;
export type ValueType = keyof typeof TYPE;

/** One-byte instructions, section 5.4. */
const OP = {
  'f64.add': 0xa0,
  'f64.sub': 0xa1,
  'f64.mul': 0xa2,
  'f64.div': 0xa3,
  'f64.min': 0xa4,
  'f64.max': 0xa5,
  'f64.lt': 0x63,
  'f64.gt': 0x64,
  'f64.le': 0x65,
  'f64.ge': 0x66,
  'i32.add': 0x6a,
  'i32.mul': 0x6c,
  'i32.and': 0x71,
  'i32.shl': 0x74,
  'i32.wrap_i64': 0xa7,
  'i64.reinterpret_f64': 0xbd,
  select: 0x1b,
} as const;

/** Instructions on lanes, after the prefix 0xfd. */
const LANES = {
  'f64x2.splat': 0x14,
  'f64x2.add': 0xf0,
  'f64x2.sub': 0xf1,
  'f64x2.mul': 0xf2,
  'f64x2.div': 0xf3,
  'f64x2.max': 0xf5,
  'f64x2.pmin': 0xf6,
  'f64x2.pmax': 0xf7,
  'f64x2.lt': 0x49,
  'f64x2.gt': 0x4a,
  'v128.and': 0x4e,
  'i64x2.all_true': 0xc3,
} as const;

export type PlainOp = keyof typeof OP | keyof typeof LANES;

/** Bytes that grow. */
export class Code {
  bytes = new Uint8Array(1 << 16);
  length = 0;
  private readonly numbers = new Float64Array(1);

  byte(value: number): void {
    if (this.length === this.bytes.length) {
      const larger = new Uint8Array(2 * this.length);
      larger.set(this.bytes);
      this.bytes = larger;
    }
    this.bytes[this.length++] = value;
  }

  /** LEB128, section 5.2.2. */
  unsigned(value: number): void {
    let rest = value;
    while (rest >= 0x80) {
      this.byte((rest & 0x7f) | 0x80);
      rest >>>= 7;
    }
    this.byte(rest);
  }

  raw(bytes: ArrayLike<number>): void {
    for (let i = 0; i < bytes.length; i++) this.byte(bytes[i]);
  }

  /** Bytes with their count before them. */
  sized(bytes: ArrayLike<number>): void {
    this.unsigned(bytes.length);
    this.raw(bytes);
  }

  op(name: PlainOp): void {
    if (name in OP) this.byte(OP[name as keyof typeof OP]);
    else {
      this.byte(0xfd);
      this.unsigned(LANES[name as keyof typeof LANES]);
    }
  }

  get(local: number): void {
    this.byte(0x20);
    this.unsigned(local);
  }

  set(local: number): void {
    this.byte(0x21);
    this.unsigned(local);
  }

  tee(local: number): void {
    this.byte(0x22);
    this.unsigned(local);
  }

  f64(value: number): void {
    this.byte(0x44);
    this.numbers[0] = value;
    this.raw(new Uint8Array(this.numbers.buffer));
  }

  /** A whole number of 32 bits, LEB128 with its sign. */
  i32(value: number): void {
    this.byte(0x41);
    let rest = value | 0;
    while (rest < -64 || rest > 63) {
      this.byte((rest & 0x7f) | 0x80);
      rest >>= 7;
    }
    this.byte(rest & 0x7f);
  }

  /** The address is on the stack. @param offset bytes */
  load(type: 'f64' | 'v128', offset: number): void {
    if (type === 'f64') this.byte(0x2b);
    else this.raw([0xfd, 0x00]);
    this.byte(3);
    this.unsigned(offset);
  }

  /** A number into both lanes; the address is on the stack. @param offset bytes */
  loadSplat(offset: number): void {
    this.raw([0xfd, 0x0a, 3]);
    this.unsigned(offset);
  }

  /** Address and value are on the stack. @param offset bytes */
  store(type: 'f64' | 'v128', offset: number): void {
    if (type === 'f64') this.byte(0x39);
    else this.raw([0xfd, 0x0b]);
    this.byte(3);
    this.unsigned(offset);
  }

  /** Of a pair of lanes on the stack. */
  extractLane(lane: number): void {
    this.raw([0xfd, 0x21, lane]);
  }

  /** The same of a pair of whole numbers of 64 bits. */
  extractWhole(lane: number): void {
    this.raw([0xfd, 0x1d, lane]);
  }

  /** Of two pairs on the stack, the lower numbers of both, or the higher ones. */
  gather(higher: boolean): void {
    const from = higher ? 8 : 0;
    this.raw([0xfd, 0x0d]);
    for (const pair of [0, 16]) for (let byte = 0; byte < 8; byte++) this.byte(pair + from + byte);
  }

  /** Pair and number are on the stack. */
  replaceLane(lane: number): void {
    this.raw([0xfd, 0x22, lane]);
  }

  /** A number on the stack to a whole number, cut off; what is no number becomes 0, as with `| 0`. */
  truncate(): void {
    this.raw([0xfc, 0x02]);
  }

  /** The condition is on the stack; both ways leave it as they found it. */
  branch(yes: () => void, no: () => void): void {
    this.raw([0x04, 0x40]);
    yes();
    this.byte(0x05);
    no();
    this.byte(0x0b);
  }

  /** Done again as long as what it leaves on the stack, a whole number, is not 0. */
  repeat(body: () => void): void {
    this.raw([0x03, 0x40]);
    body();
    this.raw([0x0d, 0x00]);
    this.byte(0x0b);
  }

  take(): Uint8Array {
    return this.bytes.subarray(0, this.length);
  }
}

/** The locals of a function by type, in the order in which they are numbered. */
export type Locals = readonly { readonly type: ValueType; readonly count: number }[];

/**
 * A module with a memory, exported as `memory`, and one function from numbers to nothing, exported as `step`.
 * @param pages of the memory, 64 KiB each
 * @param parameters of the function, numbers all
 * @param body its instructions
 */
export function encodeModule(
  pages: number,
  parameters: number,
  locals: Locals,
  body: Uint8Array,
): Uint8Array {
  const module = new Code();
  const section = (id: number, write: (content: Code) => void) => {
    const content = new Code();
    write(content);
    module.byte(id);
    module.sized(content.take());
  };
  const name = (code: Code, text: string) => code.sized([...text].map((c) => c.charCodeAt(0)));
  module.raw([0x00, 0x61, 0x73, 0x6d, 0x01, 0x00, 0x00, 0x00]);
  section(1, (code) => {
    code.raw([1, 0x60]);
    code.sized(Array.from({ length: parameters }, () => TYPE.f64));
    code.byte(0);
  });
  section(3, (code) => code.raw([1, 0]));
  section(5, (code) => {
    code.raw([1, 0x01]);
    code.unsigned(pages);
    code.unsigned(pages);
  });
  section(7, (code) => {
    code.byte(2);
    name(code, 'memory');
    code.raw([0x02, 0]);
    name(code, 'step');
    code.raw([0x00, 0]);
  });
  section(10, (code) => {
    const inner = new Code();
    inner.unsigned(locals.length);
    for (const { type, count } of locals) {
      inner.unsigned(count);
      inner.byte(TYPE[type]);
    }
    inner.raw(body);
    inner.byte(0x0b);
    code.byte(1);
    code.sized(inner.take());
  });
  return module.take();
}
