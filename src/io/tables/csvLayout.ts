import Papa from 'papaparse';
import type { Refused } from '../../model';
import { say } from '../../text/en/say/io';
import { refuse } from '../refusal';

/** How a table of values is written. */
export interface CsvLayout {
  readonly ok: true;
  readonly delimiter: string;
  readonly decimal: '.' | ',';
  /** Line of the first row of values, from 1 */
  readonly firstLine: number;
  readonly columns: readonly CsvColumn[];
  /** First rows of values as they are written */
  readonly preview: readonly (readonly string[])[];
}

export interface CsvColumn {
  readonly name: string;
  /** Unit as the file writes it, '' where it does not */
  readonly unit: string;
}

const DELIMITERS = [',', ';', '\t', '|'] as const;
/** Lines that are looked at; what a logger writes before its table is shorter. */
const LOOKED_AT = 400;
const PREVIEW = 8;
const LONGEST_UNIT = 30;
/** Characters of a heading that are looked at. */
const LONGEST_HEADING = 200;

const isNumber = (cell: string, decimal: string) => numberOf(cell, decimal) !== null;
const isTime = (cell: string) =>
  /^\d{1,3}:\d{2}(:\d{2})?([.,]\d+)?$/.test(cell) || /^\d{4}-\d{2}-\d{2}[T ]\d{2}:\d{2}/.test(cell);

/** A cell as a number, null where it is none. */
export function numberOf(cell: string, decimal: string): number | null {
  const text = cell.trim();
  if (text === '') return null;
  const value = Number(decimal === ',' ? text.replace(',', '.') : text);
  return Number.isFinite(value) ? value : null;
}

/** Whether a row of headings holds units: short, and no words of several letters but the usual ones. */
const looksLikeUnits = (row: readonly string[]) =>
  row.every(
    (cell) =>
      // What is long is no unit; and a pattern with choices takes for ever over a cell of blanks.
      cell.trim().length <= LONGEST_UNIT &&
      /^[[(]?(\s*|.{1,5}|\w{1,4}\/\w{1,3}|deg\w?|degrees?|knots|hh:mm:ss.*)[\])]?$/i.test(cell.trim()),
  );

/**
 * Finds out how a table is written from its first lines: separator, decimal sign, where the values begin, and the names
 * and units of its columns. Whatever stands before the table is passed over.
 * @param head whole lines from the file's start
 */
export function findLayout(head: string): CsvLayout | Refused {
  const lines = head.split(/\r\n|\n|\r/).slice(0, LOOKED_AT);
  let best: { layout: CsvLayout; score: number } | null = null;
  for (const delimiter of DELIMITERS) {
    const rows = lines.map((line) => rowOf(line, delimiter));
    for (const decimal of ['.', ','] as const) {
      if (decimal === delimiter) continue;
      const layout = layoutOf(rows, delimiter, decimal);
      if (!layout) continue;
      // Cells that are all values, and many of them; a wrong separator makes nonsense of some.
      const width = layout.columns.length;
      const values = layout.preview
        .flat()
        .filter((cell) => isNumber(cell, decimal) || isTime(cell.trim())).length;
      const filled = layout.preview.flat().filter((cell) => cell.trim() !== '').length;
      const score = values / Math.max(1, filled) + 0.01 * Math.min(width, 20) + (decimal === '.' ? 0.001 : 0);
      if (!best || score > best.score) best = { layout, score };
    }
  }
  if (best) return best.layout;
  return refuse(say.noTableNumbersWas(Math.min(lines.length, LOOKED_AT)), 'line 1');
}

function rowOf(line: string, delimiter: string): string[] {
  if (!line.includes('"')) return line.split(delimiter);
  return Papa.parse<string[]>(line, { delimiter }).data[0] ?? [];
}

/** A heading without its blanks: those round it, and all but one of those in it. */
const heading = (cell = '') => cell.trim().replace(/\s+/g, ' ').slice(0, LONGEST_HEADING).trim();

function layoutOf(
  rows: readonly (readonly string[])[],
  delimiter: string,
  decimal: '.' | ',',
): CsvLayout | null {
  const full = (row: readonly string[]) => row.filter((cell) => cell.trim() !== '').length;
  const values = (row: readonly string[]) =>
    row.filter((cell) => isNumber(cell, decimal) || isTime(cell.trim())).length;
  const looksLikeValues = (row: readonly string[]) =>
    row.length >= 2 && values(row) >= 2 && values(row) >= 0.6 * full(row);
  const first = rows.findIndex((row, i) => {
    if (!looksLikeValues(row)) return false;
    const next = rows.slice(i + 1, i + 4).filter((r) => full(r) > 0);
    return next.length > 0 && next.every((r) => Math.abs(r.length - row.length) <= 1 && values(r) >= 1);
  });
  if (first < 0) return null;
  const width = rows[first].length;
  const heads: (readonly string[])[] = [];
  for (let i = first - 1; i >= 0 && heads.length < 2; i--) {
    if (full(rows[i]) === 0) {
      if (heads.length > 0) break;
      continue;
    }
    if (Math.abs(rows[i].length - width) > 1 || values(rows[i]) > 0.3 * width) break;
    // Two rows of headings are names over units; anything else above the names is not of the table.
    if (heads.length === 1 && !looksLikeUnits(heads[0])) break;
    heads.unshift(rows[i]);
  }
  const names = heads[0] ?? [];
  const second = heads[1] ?? [];
  const columns = Array.from({ length: width }, (_, i): CsvColumn => {
    const title = heading(names[i]).replace(/^"|"$/g, '');
    const match = /^(.*?)\s*[[(]([^\])]*)[\])]\s*$/.exec(title);
    const below = heading(second[i]).replace(/^[[(]|[\])]$/g, '');
    return {
      name: (match ? match[1] : title).slice(0, 80) || `column ${i + 1}`,
      unit: (match ? match[2] : below).trim().slice(0, 20),
    };
  });
  const preview = rows
    .slice(first)
    .filter((row) => full(row) > 0)
    .slice(0, PREVIEW);
  return { ok: true, delimiter, decimal, firstLine: first + 1, columns, preview };
}
