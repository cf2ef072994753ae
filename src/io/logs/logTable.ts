import Papa from 'papaparse';
import type { Channel, RawLog } from '../../core';
import type { Refused } from '../../model';
import { say } from '../../text/en/say/io';
import { placeOf, refuse } from '../refusal';
import type { CsvLayout } from '../tables/csvLayout';
import type { LogMapping } from './logMapping';
import { type LogColumn, unitLabelled } from './logUnits';

/** A log as it was read. */
export interface ReadLog {
  readonly ok: true;
  readonly raw: RawLog;
  /** Line of the file of a sample */
  readonly lineOf: { readonly first: number; readonly perSample: number };
  readonly rows: number;
  readonly notes: readonly string[];
}

/** Faster logs are averaged down to this, Hz; a braking lasts seconds. */
export const FASTEST = 100;

/** Most rows that are kept. */
export const MOST = 12_000_000;

/** Channels that need more than seven digits. */
export const EXACT: ReadonlySet<string> = new Set([
  'time',
  'latitude',
  'longitude',
  'east',
  'north',
  'distance',
]);

export interface Column {
  readonly index: number;
  readonly as: LogColumn;
  readonly scale: number;
  readonly offset: number;
  readonly clock: boolean;
  values: Float32Array | Float64Array;
  /** Sum and count of the samples being averaged */
  sum: number;
  count: number;
  wrong: number;
  wrongLine: number;
  wrongCell: string;
}

export class Table {
  private readonly columns: Column[];
  private readonly width: number;
  private size = 0;
  private room: number;
  /** Rows averaged into one sample; known once the first rows are read */
  private per = 0;
  private pending = 0;
  rows = 0;
  full = false;
  private readonly odd = { count: 0, line: 0 };

  constructor(
    private readonly mapping: LogMapping,
    private readonly layout: CsvLayout,
    bytes: number,
  ) {
    this.width = layout.columns.length;
    const perRow = Math.max(
      8,
      layout.preview.reduce((sum, row) => sum + row.join(',').length + 1, 0) / layout.preview.length,
    );
    this.room = Math.min(MOST, Math.ceil((1.05 * bytes) / perRow) + 64);
    this.columns = mapping.uses.map(({ column, as, unit }) => {
      const { scale, offset, label } = unitLabelled(as, unit);
      return {
        index: column,
        as,
        scale,
        offset,
        clock: label === 'clock',
        values: new (EXACT.has(as) ? Float64Array : Float32Array)(0),
        sum: 0,
        count: 0,
        wrong: 0,
        wrongLine: 0,
        wrongCell: '',
      };
    });
  }

  /** Takes whole lines. @returns the number of the line after them */
  take(text: string, firstLine: number): number {
    const { data } = Papa.parse<string[]>(text, {
      delimiter: this.layout.delimiter,
      fastMode: text.includes('"') ? false : undefined,
    });
    let line = firstLine;
    if (this.per === 0) this.per = this.averaging(data, firstLine);
    for (const row of data) {
      const own = line;
      line += 1;
      if (own < this.layout.firstLine || (row.length === 1 && row[0].trim() === '')) continue;
      if (row.length !== this.width && Math.abs(row.length - this.width) > 1) {
        if (this.odd.count === 0) this.odd.line = own;
        this.odd.count += 1;
        continue;
      }
      this.row(row, own);
      if (this.size >= MOST) {
        this.full = true;
        break;
      }
    }
    // The text ends with a line break, after which the parser finds an empty row.
    return data.length > 0 && data[data.length - 1].length === 1 && data[data.length - 1][0] === ''
      ? line - 1
      : line;
  }

  finish(): ReadLog | Refused {
    if (this.pending > 0) this.push();
    const { columns, layout, odd } = this;
    for (const column of columns) {
      if (column.wrong < this.rows || this.rows === 0) continue;
      return refuse(
        say.columnWasReadBut(
          layout.columns[column.index]?.name,
          column.wrongCell.slice(0, 30),
          column.as === 'time' ? 'time' : 'number',
        ),
        placeOf(column.wrongLine, column.index + 1).replace('column', 'field'),
      );
    }
    if (this.size < 20) {
      return refuse(say.onlyRowsValuesWere(this.rows), `line ${layout.firstLine + this.rows}`);
    }
    const notes: string[] = [];
    if (odd.count > 0) {
      notes.push(say.rowAnotherNumberColumns(odd.count, odd.count === 1 ? '' : 's', odd.line));
    }
    for (const c of columns) {
      if (c.wrong === 0 || c.wrongCell.trim() === '') continue;
      notes.push(
        say.valueNoNumberFirst(
          layout.columns[c.index]?.name,
          c.wrong,
          c.wrong === 1 ? ' is' : 's are',
          c.wrongLine,
          c.wrongCell.slice(0, 20),
        ),
      );
    }
    if (this.per > 1) notes.push(say.everyRowsWereAveraged(this.per, FASTEST));
    const channels: Partial<Record<Channel, Float32Array | Float64Array>> = {};
    let time: Float64Array | null = null;
    for (const { as, values } of columns) {
      const own = values.subarray(0, this.size);
      if (as === 'time') time = Float64Array.from(own);
      else if (as !== 'east' && as !== 'north') channels[as] = own;
    }
    const rate = (this.mapping.rate ?? 10) / this.per;
    return {
      ok: true,
      raw: { time: time ?? Float64Array.from({ length: this.size }, (_, i) => i / rate), channels },
      lineOf: { first: layout.firstLine, perSample: this.per },
      rows: this.rows,
      notes,
    };
  }

  private row(row: readonly string[], line: number): void {
    this.rows += 1;
    for (const column of this.columns) {
      const value = this.value(row[column.index] ?? '', column, line);
      if (Number.isNaN(value)) continue;
      column.sum += value;
      column.count += 1;
    }
    this.pending += 1;
    if (this.pending >= this.per) this.push();
  }

  private push(): void {
    if (this.size >= this.columns[0].values.length) this.grow();
    for (const column of this.columns) {
      column.values[this.size] = column.count > 0 ? column.sum / column.count : Number.NaN;
      column.sum = 0;
      column.count = 0;
    }
    this.size += 1;
    this.pending = 0;
  }

  private grow(): void {
    const next =
      this.columns[0].values.length === 0 ? Math.ceil(this.room / this.per) + 64 : Math.ceil(1.4 * this.size);
    for (const column of this.columns) {
      const bigger = EXACT.has(column.as) ? new Float64Array(next) : new Float32Array(next);
      bigger.set(column.values);
      column.values = bigger;
    }
  }

  private value(cell: string, column: Column, line: number): number {
    let value: number;
    if (column.clock) value = secondsOf(cell, this.mapping.decimal);
    else {
      value = Number(this.mapping.decimal === ',' ? cell.replace(',', '.') : cell);
      // A blank counts as zero there, and is none.
      if (value === 0 && cell.trim() === '') value = Number.NaN;
    }
    if (value - value === 0) return value * column.scale + column.offset;
    if (column.wrong === 0 || column.wrongCell.trim() === '') {
      column.wrongLine = line;
      column.wrongCell = cell;
    }
    column.wrong += 1;
    return Number.NaN;
  }

  /** How many rows make a sample: as many as bring the rate down to what is kept. */
  private averaging(data: readonly (readonly string[])[], firstLine: number): number {
    const time = this.columns.find((c) => c.as === 'time');
    if (!time) return Math.max(1, Math.floor((this.mapping.rate ?? 10) / FASTEST));
    const steps: number[] = [];
    let before = Number.NaN;
    for (const row of data.slice(Math.max(0, this.layout.firstLine - firstLine)).slice(0, 3000)) {
      const cell = row[time.index] ?? '';
      const now = time.clock
        ? secondsOf(cell, this.mapping.decimal)
        : Number(this.mapping.decimal === ',' ? cell.replace(',', '.') : cell || 'x') * time.scale;
      if (now > before) steps.push(now - before);
      before = now;
    }
    steps.sort((a, b) => a - b);
    const step = steps[steps.length >> 1];
    return step > 0 ? Math.max(1, Math.round(1 / FASTEST / step)) : 1;
  }
}

/** A time of day or a date with one, s; NaN where it is neither. */
export function secondsOf(cell: string, decimal: string): number {
  const text = cell.trim();
  const clock = /^(?:(\d{1,3}):)?(\d{1,3}):(\d{2}(?:[.,]\d+)?)$/.exec(text);
  if (clock) return 3600 * Number(clock[1] ?? 0) + 60 * Number(clock[2]) + Number(clock[3].replace(',', '.'));
  if (/^\d{4}-\d{2}-\d{2}/.test(text)) return Date.parse(text) / 1000;
  return text === '' ? Number.NaN : Number(decimal === ',' ? text.replace(',', '.') : text);
}
