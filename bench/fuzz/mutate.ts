import { randomNumbers } from '../../src/core';

/** Repeatable choices. */
export class Chance {
  private readonly random: ReturnType<typeof randomNumbers>;
  constructor(seed: number) {
    this.random = randomNumbers(seed);
  }
  /** Whole, 0 to under `count` */
  under(count: number): number {
    return Math.min(count - 1, Math.floor(this.random.next() * count));
  }
  of<T>(list: readonly T[]): T {
    return list[this.under(list.length)];
  }
}

/** What stands where a number stood. */
const FIGURES = [
  '0',
  '-0',
  '-1',
  '1e30',
  '-1e30',
  '1e20',
  '1e308',
  '1e400',
  '1e-320',
  '4294967296',
  '9007199254740993',
  'NaN',
  'Infinity',
  '-Infinity',
  'null',
  'true',
  '""',
  '"1,200"',
  '1,5',
  '1.340,50',
  '0x10',
  '1e',
  '--3',
  '[]',
  '{}',
  '89.9999',
  '-90',
  '180',
  '273.15',
  '2026-13-45',
  '٣',
  '½',
];
/** What is put in between. */
const SPLINTERS = [
  '\u0000',
  '\ufeff',
  '\u202e',
  '\ud800',
  '💥',
  'é',
  '\t',
  '\r',
  '\n\n',
  '"',
  "'",
  ';;;',
  ',,,',
  '<!DOCTYPE x>',
  '&amp;',
  '<![CDATA[',
  '-->',
  '{"__proto__":{"a":1}}',
  '"constructor":',
  '\\u0000',
  '=1+1',
  '%s%n',
  '../..',
  '[[[[',
  '}}}}',
];
const NUMBER = /-?\d+(?:[.,]\d+)?(?:e[+-]?\d+)?/gi;

/** A text changed in one to five places. */
export function changedText(text: string, chance: Chance): string {
  let now = text;
  for (let k = 1 + chance.under(5); k > 0; k--) now = oneChange(now, chance);
  return now;
}

function oneChange(text: string, chance: Chance): string {
  const at = chance.under(Math.max(1, text.length));
  const span = 1 + chance.under(60);
  switch (chance.under(8)) {
    case 0:
    case 1:
    case 2: {
      // The number after some place: most of what a file says are numbers.
      NUMBER.lastIndex = at;
      const found = NUMBER.exec(text);
      if (!found) return text;
      return text.slice(0, found.index) + chance.of(FIGURES) + text.slice(found.index + found[0].length);
    }
    case 3:
      return text.slice(0, at) + text.slice(at + span);
    case 4:
      return (
        text.slice(0, at) + text.slice(at, at + span).repeat(2 + chance.under(4)) + text.slice(at + span)
      );
    case 5:
      return text.slice(0, at) + chance.of(SPLINTERS) + text.slice(at);
    case 6: {
      const to = chance.under(Math.max(1, text.length));
      const [a, b] = at < to ? [at, to] : [to, at];
      const [one, other] = [text.slice(a, a + span), text.slice(b, b + span)];
      return text.slice(0, a) + other + text.slice(a + span, b) + one + text.slice(b + span);
    }
    default:
      return chance.under(4) === 0
        ? text.slice(0, at)
        : text.slice(0, at) + String.fromCharCode(chance.under(65_536)) + text.slice(at + 1);
  }
}

/** A text with one to five of its numbers moved: a file that may well be taken, and then computed. */
export function movedText(text: string, chance: Chance): string {
  let now = text;
  for (let k = 1 + chance.under(5); k > 0; k--) {
    NUMBER.lastIndex = chance.under(now.length);
    const found = NUMBER.exec(now);
    if (!found) continue;
    const value = Number(found[0]) * 10 ** ((chance.under(401) - 200) / 200);
    const moved = Number.isInteger(Number(found[0])) ? Math.round(value) : Number(value.toPrecision(6));
    now = now.slice(0, found.index) + moved + now.slice(found.index + found[0].length);
  }
  return now;
}

/** Bytes changed in one to five places. */
export function changedBytes(bytes: Uint8Array, chance: Chance): Uint8Array {
  let now = Uint8Array.from(bytes);
  for (let k = 1 + chance.under(5); k > 0 && now.length > 1; k--) {
    const at = chance.under(now.length);
    if (chance.under(6) === 0) now = now.slice(0, at);
    else if (chance.under(5) === 0) now.fill(0, at, at + chance.under(200));
    else now[at] = chance.under(256);
  }
  return now;
}
