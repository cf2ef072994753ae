/**
 * A path that keeps every extreme while drawing at most two points to a column of two pixels: its lowest and its
 * highest, each where it lies and in the order they come, so that steep lines stay lines.
 */
export function densePath(
  xs: ArrayLike<number>,
  ys: ArrayLike<number>,
  x: (value: number) => number,
  y: (value: number) => number,
): string {
  const text = new PathText();
  let column = Number.NaN;
  let low = 0;
  let high = 0;
  const add = (i: number) => text.to(x(xs[i]), y(ys[i]));
  const flush = () => {
    if (Number.isNaN(column)) return;
    add(Math.min(low, high));
    if (low !== high) add(Math.max(low, high));
  };
  for (let i = 0; i < xs.length; i++) {
    const c = Math.round(0.5 * x(xs[i]));
    if (c !== column) {
      flush();
      column = c;
      low = i;
      high = i;
    } else if (ys[i] < ys[low]) low = i;
    else if (ys[i] > ys[high]) high = i;
  }
  flush();
  return text.told();
}

/** Letters of the path that is being written; one room for all, as one is written at a time. */
let letters = new Uint8Array(1 << 14);
const decoder = new TextDecoder();
/** Most letters that a point takes: two numbers of 24 and what stands between. */
const POINT = 50;
/** Numbers up to this size are written digit by digit, in tenths. */
const MOST = 2 ** 30;
const [DIGIT, MINUS, DOT, COMMA] = [48, 45, 46, 44];

/**
 * A path of straight lines as text, in tenths of a pixel. Written letter by letter: put together from strings it leaves tens
 * of MB a second to be collected while a control moves.
 */
class PathText {
  private at = 0;

  /** A line to a place, px; the first begins there. */
  to(x: number, y: number): void {
    if (this.at + POINT > letters.length) {
      const more = new Uint8Array(2 * letters.length);
      more.set(letters);
      letters = more;
    }
    letters[this.at] = this.at === 0 ? 77 : 76;
    this.at += 1;
    this.write(x);
    letters[this.at++] = COMMA;
    this.write(y);
  }

  told(): string {
    return decoder.decode(letters.subarray(0, this.at));
  }

  /** A number rounded to tenths, as it is written anywhere. */
  private write(value: number): void {
    let tenths = Math.round(value * 10);
    if (!(Math.abs(tenths) < MOST)) {
      for (const letter of String(tenths / 10)) letters[this.at++] = letter.charCodeAt(0);
      return;
    }
    if (tenths < 0) {
      letters[this.at++] = MINUS;
      tenths = -tenths;
    }
    const whole = Math.floor(tenths / 10);
    let size = 1;
    for (let rest = whole; rest >= 10; rest = Math.floor(rest / 10)) size += 1;
    for (let rest = whole, k = this.at + size - 1; k >= this.at; k--) {
      letters[k] = DIGIT + (rest % 10);
      rest = Math.floor(rest / 10);
    }
    this.at += size;
    if (tenths > 10 * whole) {
      letters[this.at++] = DOT;
      letters[this.at++] = DIGIT + tenths - 10 * whole;
    }
  }
}
