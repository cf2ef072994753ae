import Papa from 'papaparse';
import {
  ENTRY_KINDS,
  type EntryKind,
  getAt,
  type LogEntry,
  logEntrySchema,
  NOTHING_AT_WHEEL,
  newEntry,
  type Problem,
  type Project,
  pathText,
  type Refused,
  setAt,
  type Unit,
  unitOf,
} from '../../model';
import { say } from '../../text/en/say/io';
import { refuse } from '../refusal';
import { numberOf } from '../tables/csvLayout';
import { headingOf, storedCell, unitNamed } from '../tables/unitCell';
import { LOG_COLUMNS, type LogColumn } from './logbookColumns';

/** Longest text that is read, characters, and most lines. */
const LONGEST = 4_000_000;
const MOST = 1500;

/** In a set's column: nothing of the list is on. */
const NONE = 'none';

type Named = readonly { readonly id: string; readonly name: string }[];

/** Things that a cell names. */
function namedBy(project: Project, { form }: LogColumn): Named {
  if (form === 'set') return project.sets;
  if (form === 'circuit') return project.circuits;
  if (form === 'plan') return project.plans;
  return project.seasons.flatMap(({ events }) =>
    Object.entries(events).map(([id, { name, date }]) => ({ id, name: `${date} ${name}` })),
  );
}

const isNamed = ({ form }: LogColumn) => ['set', 'circuit', 'plan', 'event'].includes(form);

function written(project: Project, entry: LogEntry, own: LogColumn): string {
  if (own.of !== null && !own.of.includes(entry.kind)) return '';
  const value = getAt(entry, own.path);
  // Taken off is not the same as not touched.
  if (value === null && own.form === 'set') return NONE;
  if (value === null || value === undefined) return '';
  if (isNamed(own)) return namedBy(project, own).find(({ id }) => id === value)?.name ?? '';
  if (own.form === 'flag') return value === true ? 'yes' : 'no';
  if (own.form === 'points') return (value as readonly number[]).join('/');
  if (own.form === 'words') return (value as readonly string[]).join('; ');
  return String(value);
}

const headOf = ({ head, quantity }: LogColumn): string => {
  const unit = quantity === null ? '' : unitOf(quantity, {}).label;
  return unit === '' ? head : `${head} (${unit})`;
};

/** A logbook as a table: one row a line, units in the headings. */
export function writeLogbook(project: Project, entries: readonly LogEntry[]): string {
  const head = ['Id', 'Kind', ...LOG_COLUMNS.map(headOf)];
  const rows = entries.map((entry) => [
    entry.id,
    entry.kind,
    ...LOG_COLUMNS.map((own) => written(project, entry, own)),
  ]);
  return `${Papa.unparse([head, ...rows], { newline: '\n' })}\n`;
}

/** Lines read from a table. */
interface ReadLogbook {
  readonly ok: true;
  readonly entries: readonly LogEntry[];
}

/** A column of the file, with what it is and the unit its heading says. */
interface Found {
  readonly own: LogColumn;
  readonly at: number;
  readonly unit: Unit | null;
}

const FLAGS: Readonly<Record<string, boolean>> = {
  yes: true,
  y: true,
  true: true,
  '1': true,
  no: false,
  '': false,
};

/** What a cell says, as it is stored; a message where it says nothing that can be. */
function cellValue(
  project: Project,
  { own, unit }: Found,
  cell: string,
  decimal: string,
): { readonly value: unknown } | { readonly wrong: string } {
  const number = (text: string) => {
    const value = numberOf(text, decimal);
    return value === null || !unit ? null : storedCell(value, unit);
  };
  if (own.form === 'flag') {
    const flag = FLAGS[cell.toLowerCase()];
    return flag === undefined ? { wrong: say.logbookFlag(own.head, cell) } : { value: flag };
  }
  if (own.form === 'words') return { value: cell.split(/\s*;\s*/).filter((word) => word !== '') };
  if (own.form === 'points') {
    const points = cell
      .split('/')
      .filter((text) => text.trim() !== '')
      .map((text) => number(text.trim()));
    return points.includes(null) ? { wrong: say.logbookNumber(own.head, cell) } : { value: points };
  }
  if (own.form === 'set' && cell === '') return { value: undefined };
  if (own.form === 'set' && cell === NONE) return { value: null };
  if (cell === '') return { value: own.path[0] === 'by' || own.path[0] === 'note' ? '' : null };
  if (isNamed(own)) {
    const found = namedBy(project, own).find(({ name }) => name === cell);
    return found ? { value: found.id } : { wrong: say.logbookName(own.head, cell) };
  }
  if (own.form === 'number') {
    const value = number(cell);
    return value === null ? { wrong: say.logbookNumber(own.head, cell) } : { value };
  }
  return { value: cell };
}

/** An entry with a value put in; a wheel or a set that was not there before is. */
function withValue(entry: LogEntry, { path, form }: LogColumn, value: unknown): LogEntry {
  if (path[0] === 'wheels' && getAt(entry, path.slice(0, 2)) === undefined) {
    if (value === null || (Array.isArray(value) && value.length === 0)) return entry;
    return withValue(
      setAt(entry, path.slice(0, 2), NOTHING_AT_WHEEL) as LogEntry,
      { path, form } as LogColumn,
      value,
    );
  }
  const none = value === undefined || (value === null && entry.kind !== 'fitted');
  if (form !== 'set' || !none) return setAt(entry, path, value) as LogEntry;
  const { [path[1] as string]: _none, ...sets } = (entry as { sets: Record<string, string> }).sets;
  return { ...entry, sets } as LogEntry;
}

/**
 * Lines of a logbook from a table; everything wrong is said with its line. A row with the id of a line that is there changes
 * what its columns say and keeps the rest of it; one without an id is new.
 */
export function readLogbook(
  text: string,
  project: Project,
  {
    carId,
    planId,
    circuitId,
    newId,
  }: { carId: string; planId: string; circuitId: string; newId: () => string },
): ReadLogbook | Refused {
  if (text.length > LONGEST) return refuse(say.logbookTooLong(LONGEST));
  const { data, meta } = Papa.parse<string[]>(text.replace(/^\uFEFF/, '').trim(), {
    skipEmptyLines: 'greedy',
  });
  const [head = [], ...rows] = data;
  const decimal = meta.delimiter === ';' ? ',' : '.';
  const heads = head.map(headingOf);
  const at = (name: string) => heads.findIndex((own) => own.name.toLowerCase() === name.toLowerCase());
  if (at('Kind') < 0 || at('Date') < 0) return refuse(say.logbookColumns, 'line 1');
  if (rows.length === 0) return refuse(say.logbookNone, 'line 2');
  if (rows.length > MOST) return refuse(say.logbookTooMany(rows.length, MOST));
  const found: Found[] = [];
  for (const own of LOG_COLUMNS) {
    const place = at(own.head);
    if (place < 0) continue;
    const unit = own.quantity === null ? null : unitNamed(own.quantity, heads[place].unit);
    if (own.quantity !== null && !unit) {
      return refuse(say.logbookUnit(own.head, heads[place].unit), 'line 1');
    }
    found.push({ own, at: place, unit });
  }
  const problems: Problem[] = [];
  const entries = rows.flatMap((cells, i): LogEntry[] => {
    const line = `line ${i + 2}`;
    const cell = (place: number) => (place < 0 ? '' : (cells[place] ?? '').trim());
    const wrong = (message: string) => problems.push({ path: line, message, severity: 'error' });
    const kind = ENTRY_KINDS.find((own) => own === cell(at('Kind')).toLowerCase());
    if (!kind) {
      wrong(say.logbookKind(cell(at('Kind')).slice(0, 40), ENTRY_KINDS.join(', ')));
      return [];
    }
    const id = cell(at('Id')) || newId();
    let entry = begun(project, kind, { id, carId, planId, circuitId, date: cell(at('Date')) });
    for (const each of found) {
      if (each.own.of !== null && !each.own.of.includes(kind)) continue;
      const read = cellValue(project, each, cell(each.at), decimal);
      if ('wrong' in read) wrong(read.wrong);
      else entry = withValue(entry, each.own, read.value);
    }
    const checked = logEntrySchema.safeParse(entry);
    if (checked.success) return [checked.data];
    for (const { path, message } of checked.error.issues) {
      const column = LOG_COLUMNS.find((own) => pathText(own.path) === pathText(path as (string | number)[]));
      wrong(say.logbookValue(column?.head ?? pathText(path as (string | number)[]), message));
    }
    return [];
  });
  return problems.length > 0 ? { ok: false, problems } : { ok: true, entries };
}

/** The line of that id as it is, or a new one. */
function begun(
  project: Project,
  kind: EntryKind,
  fresh: { id: string; carId: string; planId: string; circuitId: string; date: string },
): LogEntry {
  const known = project.entries.find(({ id }) => id === fresh.id);
  return known?.kind === kind ? known : newEntry(kind, fresh);
}
