import Papa from 'papaparse';
import { fromSi, type Refused, toStored, type UnitChoice, unitOf } from '../../model';
import { say } from '../../text/en/say/io';
import { LOG_UNITS } from '../logs/logUnits';
import { refuse } from '../refusal';
import { numberOf } from './csvLayout';

/** A braking zone as a table gives it: km/h, m and s; null where a cell or a column is missing. */
export interface TableZone {
  /** Row of the text it stood in, from 1 */
  readonly row: number;
  readonly name: string;
  readonly entryKmh: number;
  readonly exitKmh: number;
  readonly distanceM: number | null;
  readonly toNextM: number;
  readonly timeToNextS: number | null;
}

export interface ZoneTable {
  readonly ok: true;
  readonly zones: readonly TableZone[];
  /** Rows that were left out, with the reason */
  readonly leftOut: readonly { readonly row: number; readonly reason: string }[];
}

type Column = 'name' | 'entry' | 'exit' | 'over' | 'next' | 'time';

/** What headings of each column have in them; the first that fits takes it. */
const HEADINGS: readonly (readonly [Column, RegExp])[] = [
  ['time', /time|\bs(ec(onds)?)?\b.*next|duration/i],
  ['next', /next|gap|straight|cool|between/i],
  ['over', /brak\w* (dist|length)|\bover\b|\bin m\b|zone length/i],
  ['entry', /entry|from|start|before|initial|v ?1\b|brake at|top/i],
  ['exit', /exit|\bto\b|end|after|apex|min|final|v ?2\b|corner speed/i],
  ['name', /name|corner|place|turn|where|zone/i],
];

const COLUMN_NAMES = { entry: 'From', exit: 'To', next: 'To the next' } as const;

/** Columns in the order they stand in where there are no headings. */
const PLAIN: readonly Column[] = ['entry', 'exit', 'next', 'over'];

/** Longest text that is taken for a table of braking zones, characters; and most rows of it. */
const LONGEST = 100_000;
const MOST = 200;

/** What a text names a unit in: SI over what is written; null where it names none. */
function unitIn(text: string, of: 'speed' | 'distance'): number | null {
  const words = text.toLowerCase().split(/[\s()[\],;]+/);
  const unit = LOG_UNITS[of].find(({ label, also }) =>
    words.some((word) => word === label.toLowerCase() || also.includes(word)),
  );
  return unit?.scale ?? null;
}

/** The column each of the row's headings names; null where none names a speed. */
function headingsOf(row: readonly string[]): readonly (Column | null)[] | null {
  const taken = new Set<Column>();
  const columns = row.map((cell) => {
    const found = HEADINGS.find(([column, word]) => !taken.has(column) && word.test(cell))?.[0] ?? null;
    if (found) taken.add(found);
    return found;
  });
  return taken.has('entry') && taken.has('exit') ? columns : null;
}

/** A cell as a number, with or without its unit behind it; null where it is none. */
const cellNumber = (cell: string, decimal: string) => numberOf(cell.replace(/\s*[a-z/]{1,8}$/i, ''), decimal);

/** Columns of a table without headings: texts first are the name, numbers go from, to, to the next, over. */
function plainColumns(rows: readonly (readonly string[])[], decimal: string): readonly (Column | null)[] {
  const width = Math.max(...rows.map((row) => row.length));
  let numbers = 0;
  let named = false;
  return Array.from({ length: width }, (_, i) => {
    const cells = rows.map((row) => row[i] ?? '').filter((cell) => cell !== '');
    const values = cells.filter((cell) => cellNumber(cell, decimal) !== null).length;
    if (cells.length > 0 && values >= cells.length / 2) return PLAIN[numbers++] ?? null;
    if (named || cells.length === 0) return null;
    named = true;
    return 'name';
  });
}

/** The text as rows of cells, with the decimal sign its numbers have. */
function rowsOf(text: string) {
  const delimiter = text.includes('\t') ? '\t' : text.includes(';') ? ';' : /,.*,/.test(text) ? ',' : '';
  const parsed = delimiter
    ? Papa.parse<string[]>(text, { delimiter }).data
    : text.split(/\r\n|\n|\r/).map((line) => line.trim().split(/\s+/));
  const full = parsed
    .map((cells, i) => ({ row: i + 1, cells: cells.map((cell) => cell.trim()) }))
    .filter(({ cells }) => cells.some((cell) => cell !== ''));
  const decimal = delimiter !== ',' && /\d,\d/.test(text) && !/\d\.\d/.test(text) ? ',' : '.';
  return { full, decimal };
}

/**
 * Braking zones from a table that was pasted out of a spreadsheet, with or without headings and units, in any order.
 * @param shown units of speeds and lengths where the table does not say
 */
export function readZoneTable(text: string, shown: UnitChoice): ZoneTable | Refused {
  if (text.length > LONGEST) return refuse(say.zoneTableTooLong(LONGEST));
  const { full, decimal } = rowsOf(text);
  if (full.length === 0) return refuse(say.zoneTableEmpty);
  if (full.length > MOST) return refuse(say.zoneTableTooMany(full.length, MOST));
  const head = full.findIndex(({ cells }) => headingsOf(cells) !== null);
  const titles = head >= 0 ? full[head].cells : [];
  const body = full.slice(head + 1);
  const columns =
    head >= 0
      ? headingsOf(titles)
      : plainColumns(
          body.map(({ cells }) => cells),
          decimal,
        );
  const at = (column: Column) => columns?.indexOf(column) ?? -1;
  if (at('entry') < 0 || at('exit') < 0 || at('next') < 0) return refuse(say.zoneTableColumns);
  const stored = (column: Column, of: 'speed' | 'distance') => {
    // Units may stand in the heading or in the first row below it.
    const scale = unitIn(titles[at(column)] ?? '', of) ?? unitIn(body[0]?.cells[at(column)] ?? '', of);
    const round = (value: number) => Number(value.toFixed(2));
    return (value: number) =>
      round(scale === null ? toStored(value, unitOf(of, shown)) : fromSi(value * scale, of));
  };
  const to = {
    speed: stored('entry', 'speed'),
    exit: stored('exit', 'speed'),
    next: stored('next', 'distance'),
  };
  const over = stored('over', 'distance');
  const zones: TableZone[] = [];
  const leftOut: { row: number; reason: string }[] = [];
  for (const { row, cells } of body) {
    const cell = (column: Column) => (at(column) < 0 ? '' : (cells[at(column)] ?? ''));
    const number = (column: Column) => cellNumber(cell(column), decimal);
    const missing = (['entry', 'exit', 'next'] as const).find((column) => number(column) === null);
    if (missing) {
      leftOut.push({ row, reason: say.zoneTableNoNumber(COLUMN_NAMES[missing], cell(missing).slice(0, 30)) });
      continue;
    }
    const length = number('over');
    zones.push({
      row,
      name: cell('name').slice(0, 60),
      entryKmh: to.speed(number('entry') as number),
      exitKmh: to.exit(number('exit') as number),
      distanceM: length === null ? null : over(length),
      toNextM: to.next(number('next') as number),
      timeToNextS: number('time'),
    });
  }
  if (zones.length > 0) return { ok: true, zones, leftOut };
  return refuse(leftOut[0]?.reason ?? say.zoneTableEmpty, say.rowOf(leftOut[0]?.row ?? 1));
}
