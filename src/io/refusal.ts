import type { Problem, Refused } from '../model';

/** Why a file was not taken, and where in it. */
export function refuse(message: string, place = ''): Refused {
  const problem: Problem = { path: place, message, severity: 'error' };
  return { ok: false, problems: [problem] };
}

/** The place of an index in text, in the words used for files. */
export function placeAt(text: string, index: number): string {
  const before = text.slice(0, index);
  const line = before.split('\n').length;
  return placeOf(line, before.length - before.lastIndexOf('\n'));
}

export const placeOf = (line: number, column: number) => `line ${line}, column ${column}`;
