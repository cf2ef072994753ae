/** Where series come from, all zero. */
export interface Room {
  readonly floats: (length: number) => Float64Array;
  readonly ints: (length: number) => Int32Array;
}

/** Series of their own, which last as long as who has them. */
export const OWN_ROOM: Room = {
  floats: (length) => new Float64Array(length),
  ints: (length) => new Int32Array(length),
};

/** First room, and the most that is kept, bytes: for the record of a day of some ten sessions. */
const FIRST = 2_097_152;
const MOST = 16_777_216;

/**
 * Room for what is thrown away before the next of its kind is made: what is let go is not to be found and cleared by the
 * collector.
 */
export class LentRoom implements Room {
  private buffer: ArrayBuffer;
  private used = 0;

  /** @param bytes to begin with */
  constructor(private readonly bytes = FIRST) {
    this.buffer = new ArrayBuffer(bytes);
  }

  readonly floats = (length: number): Float64Array => {
    const at = this.take(length * Float64Array.BYTES_PER_ELEMENT);
    return new Float64Array(this.buffer, at, length).fill(0);
  };

  readonly ints = (length: number): Int32Array => {
    const at = this.take(length * Int32Array.BYTES_PER_ELEMENT);
    return new Int32Array(this.buffer, at, length).fill(0);
  };

  /** Takes all back: nothing that lies in it may be looked at afterwards. */
  clear(): void {
    this.used = 0;
    if (this.buffer.byteLength > MOST) this.buffer = new ArrayBuffer(this.bytes);
  }

  /** @returns where so many bytes begin */
  private take(bytes: number): number {
    // What was lent of a buffer that is full keeps it.
    if (this.used + bytes > this.buffer.byteLength) {
      this.buffer = new ArrayBuffer(2 * Math.max(this.buffer.byteLength, bytes));
      this.used = 0;
    }
    const at = this.used;
    // Each begins where any number may.
    this.used += Math.ceil(bytes / 8) * 8;
    return at;
  }
}
