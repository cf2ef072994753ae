import Papa from 'papaparse';
import { fromSi, type Problem, type Refused, toSi } from '../../model';
import { say } from '../../text/en/say/io';
import { refuse } from '../refusal';
import { numberOf } from '../tables/csvLayout';
import { headingOf, storedCell, unitNamed } from '../tables/unitCell';

const LONGEST = 4_000_000;

/** What a bench measured of a stop; SI. */
export interface BenchResultRow {
  /** Of the programme, from 1 */
  readonly stop: number;
  /** Disc before and after it, K */
  readonly before: number;
  readonly after: number;
  /** Mean over the stop, N·m; null where it was not measured */
  readonly torque: number | null;
}

const COLUMNS = {
  stop: [/^stop/i, 'count'],
  before: [/^(disc|rotor) before/i, 'temperature'],
  after: [/^(disc|rotor) after/i, 'temperature'],
  torque: [/^(mean )?torque/i, 'torque'],
} as const;
type Column = keyof typeof COLUMNS;

/** A bench's results from a table; everything wrong is said with its line. */
export function readBenchResult(
  text: string,
): { readonly ok: true; readonly rows: readonly BenchResultRow[] } | Refused {
  if (text.length > LONGEST) return refuse(say.recordTooLong(LONGEST));
  const { data } = Papa.parse<string[]>(text.trim(), { skipEmptyLines: 'greedy' });
  // A bench may write its own lines over the table.
  const top = data.findIndex((row) => row.some((cell) => COLUMNS.before[0].test(cell.trim())));
  const heads = (data[top] ?? []).map(headingOf);
  const at = (column: Column) => heads.findIndex(({ name }) => COLUMNS[column][0].test(name));
  if (top < 0 || at('stop') < 0 || at('after') < 0)
    return refuse(say.benchResultColumns, `line ${Math.max(0, top) + 1}`);
  const problems: Problem[] = [];
  const rows = data.slice(top + 1).flatMap((cells, i): BenchResultRow[] => {
    const line = `line ${top + i + 2}`;
    const number = (column: Column, needed: boolean): number | null => {
      const index = at(column);
      const typed = index < 0 ? '' : (cells[index] ?? '').trim();
      const [, quantity] = COLUMNS[column];
      const unit = index < 0 ? null : unitNamed(quantity, heads[index].unit);
      const value = numberOf(typed, '.');
      const si = value === null || !unit ? Number.NaN : toSi(storedCell(value, unit), quantity);
      if (Number.isFinite(si)) return si;
      if (needed || typed !== '') {
        const message = unit
          ? say.recordNoNumber(heads[index].name, typed.slice(0, 40))
          : say.recordUnit(heads[index]?.name ?? column, heads[index]?.unit ?? '');
        problems.push({ path: line, message, severity: 'error' });
      }
      return null;
    };
    const [stop, before, after] = [number('stop', true), number('before', true), number('after', true)];
    const torque = number('torque', false);
    return stop === null || before === null || after === null ? [] : [{ stop, before, after, torque }];
  });
  if (problems.length > 0) return { ok: false, problems: problems.slice(0, 20) };
  if (rows.length === 0) return refuse(say.benchResultColumns, `line ${top + 2}`);
  return { ok: true, rows };
}

/** A bench's results as a table, to be read back by `readBenchResult`. @param rows SI, with what else was measured */
export function benchResultCsv(
  rows: readonly (BenchResultRow & {
    readonly time: number;
    readonly pressure: number;
    readonly facePeak: number;
    readonly fluid: number;
  })[],
): string {
  const one = (value: number) => Number(value.toFixed(1));
  const head = [
    'Stop',
    'Time (s)',
    'Torque (N·m)',
    'Line pressure (bar)',
    'Disc before (°C)',
    'Disc after (°C)',
    'Surface highest (°C)',
    'Fluid after (°C)',
  ];
  const table = rows.map((row) => [
    row.stop,
    one(row.time),
    row.torque === null ? '' : one(row.torque),
    one(fromSi(row.pressure, 'pressure')),
    one(fromSi(row.before, 'temperature')),
    one(fromSi(row.after, 'temperature')),
    one(fromSi(row.facePeak, 'temperature')),
    one(fromSi(row.fluid, 'temperature')),
  ]);
  return `${Papa.unparse([head, ...table], { newline: '\n' })}\n`;
}
