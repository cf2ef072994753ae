import Papa from 'papaparse';
import {
  issueProblem,
  type Problem,
  type Quantity,
  type Refused,
  runsOf,
  type StoredTest,
  stopsOf,
  type TestStopStored,
  testStopSchema,
  type Unit,
} from '../../model';
import { say } from '../../text/en/say/io';
import { refuse } from '../refusal';
import { numberOf } from '../tables/csvLayout';
import { headingOf, storedCell, unitNamed } from '../tables/unitCell';

/** Longest text that is read, characters, and most stops. */
const LONGEST = 1_000_000;
const MOST = 600;

/** A run as a record has it. */
export interface RecordedRun {
  readonly name: string;
  readonly setup: string;
  readonly stops: readonly TestStopStored[];
  /** Slope, % up the hill; null where the record does not say */
  readonly slopePercent: number | null;
}

interface ReadRecord {
  readonly ok: true;
  readonly runs: readonly RecordedRun[];
}

/** Columns that are numbers: what their headings begin with, their quantity, and where they go. */
const NUMBERS = {
  n: [/^(stop|no|number)\b/i, 'count'],
  fromKmh: [/^(from|entry|speed)/i, 'speed'],
  toKmh: [/^(to\b|exit)/i, 'speed'],
  distanceM: [/^distance/i, 'distance'],
  timeS: [/^(time|duration)/i, 'seconds'],
  pedalN: [/^pedal/i, 'force'],
  meanMs2: [/^(mean|deceleration)/i, 'deceleration'],
  temperatureC: [/^temperature/i, 'temperature'],
  atS: [/^(at|since|clock)/i, 'seconds'],
  errorM: [/^error/i, 'distance'],
  slope: [/^slope/i, 'percent'],
} as const satisfies Record<string, readonly [RegExp, Quantity]>;
type NumberColumn = keyof typeof NUMBERS;
const WORDS = {
  run: /^run/i,
  setup: /^setup/i,
  marks: /^(marks|tape)/i,
  abs: /^abs/i,
  note: /^note/i,
} as const;

const YES: Readonly<Record<string, boolean | null>> = {
  yes: true,
  y: true,
  true: true,
  '1': true,
  no: false,
  n: false,
  false: false,
  '0': false,
  '': null,
};

/** A record of stops from a table; everything wrong is said with its line, and nothing is half taken. */
export function readRecord(text: string): ReadRecord | Refused {
  if (text.length > LONGEST) return refuse(say.recordTooLong(LONGEST));
  const { data, meta } = Papa.parse<string[]>(text.replace(/^﻿/, '').trim(), { skipEmptyLines: 'greedy' });
  const [head = [], ...rows] = data;
  const decimal = meta.delimiter === ';' ? ',' : '.';
  const heads = head.map(headingOf);
  const find = (word: RegExp) => heads.findIndex(({ name }) => word.test(name));
  const at = Object.fromEntries(
    [...Object.entries(NUMBERS).map(([key, [word]]) => [key, word] as const), ...Object.entries(WORDS)].map(
      ([key, word]) => [key, find(word)],
    ),
  ) as Record<NumberColumn | keyof typeof WORDS, number>;
  if (at.fromKmh < 0 || (at.distanceM < 0 && at.marks < 0 && at.timeS < 0)) {
    return refuse(say.recordColumns, 'line 1');
  }
  if (rows.length === 0) return refuse(say.recordNone, 'line 2');
  if (rows.length > MOST) return refuse(say.recordTooMany(rows.length, MOST));
  const units = new Map<string, Unit>();
  for (const [key, [, quantity]] of Object.entries(NUMBERS)) {
    const column = at[key as NumberColumn];
    if (column < 0) continue;
    const unit = unitNamed(quantity, heads[column].unit);
    if (!unit) return refuse(say.recordUnit(heads[column].name, heads[column].unit), 'line 1');
    units.set(key, unit);
  }
  const tape = at.marks < 0 ? null : unitNamed('distance', heads[at.marks].unit);
  if (at.marks >= 0 && !tape)
    return refuse(say.recordUnit(heads[at.marks].name, heads[at.marks].unit), 'line 1');
  const problems: Problem[] = [];
  const runs = new Map<string, { setup: string; slope: number | null; stops: TestStopStored[] }>();
  rows.forEach((cells, i) => {
    const line = `line ${i + 2}`;
    const cell = (column: number) => (column < 0 ? '' : (cells[column] ?? '').trim());
    const wrong = (message: string) => problems.push({ path: line, message, severity: 'error' });
    const number = (key: NumberColumn) => {
      const typed = cell(at[key]);
      if (typed === '') return null;
      const value = numberOf(typed, decimal);
      const unit = units.get(key);
      const stored = value === null || !unit ? Number.NaN : storedCell(value, unit);
      if (!Number.isFinite(stored)) {
        wrong(say.recordNoNumber(heads[at[key]].name, typed.slice(0, 40)));
        return null;
      }
      return stored;
    };
    const marks = cell(at.marks)
      .split(/[+;/ ]+/)
      .filter((piece) => piece !== '')
      .map((piece) => numberOf(piece, decimal));
    if (marks.includes(null)) wrong(say.recordNoNumber('marks', cell(at.marks).slice(0, 40)));
    const abs = YES[cell(at.abs).toLowerCase()];
    if (abs === undefined) wrong(say.recordNoAnswer(cell(at.abs).slice(0, 40)));
    const name = cell(at.run) || 'Run 1';
    const run = runs.get(name) ?? { setup: cell(at.setup) || name, slope: null, stops: [] };
    runs.set(name, run);
    run.slope ??= number('slope');
    const read = testStopSchema.safeParse(
      {
        n: number('n') ?? run.stops.length + 1,
        fromKmh: number('fromKmh'),
        toKmh: number('toKmh') ?? 0,
        distanceM: number('distanceM'),
        marksM: marks.flatMap((mark) => (mark === null || !tape ? [] : [storedCell(mark, tape)])),
        timeS: number('timeS'),
        pedalN: number('pedalN'),
        abs: abs ?? null,
        meanMs2: number('meanMs2'),
        temperatureC: number('temperatureC'),
        atS: number('atS'),
        errorM: number('errorM'),
        source: 'typed',
        note: cell(at.note),
      },
      { reportInput: true },
    );
    if (read.success) run.stops.push(read.data);
    else {
      problems.push(
        ...read.error.issues.map((issue) => {
          const { path, message } = issueProblem(issue);
          return { path: line, message: `${path} ${message}`, severity: 'error' as const };
        }),
      );
    }
  });
  if (problems.length > 0) return { ok: false, problems };
  return {
    ok: true,
    runs: [...runs].map(([name, { setup, slope, stops }]) => ({ name, setup, stops, slopePercent: slope })),
  };
}

const HEAD = [
  'Run',
  'Setup',
  'Stop',
  'From (km/h)',
  'To (km/h)',
  'Distance (m)',
  'Marks (m)',
  'Time (s)',
  'Pedal (N)',
  'ABS',
  'Mean deceleration (m/s²)',
  'Temperature (°C)',
  'At (s)',
  'Error (m)',
  'Slope (%)',
  'Note',
];

/** A test's runs as a table, to be read back by `readRecord`. */
export function writeRecord(test: StoredTest): string {
  const text = (value: number | null) => (value === null ? '' : String(value));
  const rows = runsOf(test).flatMap(({ run }) =>
    stopsOf(run).map(({ stop }) => [
      run.name,
      run.setup,
      String(stop.n),
      text(stop.fromKmh),
      text(stop.toKmh),
      text(stop.distanceM),
      stop.marksM.join('+'),
      text(stop.timeS),
      text(stop.pedalN),
      stop.abs === null ? '' : stop.abs ? 'yes' : 'no',
      text(stop.meanMs2),
      text(stop.temperatureC),
      text(stop.atS),
      text(stop.errorM),
      text(run.conditions.slopePercent),
      stop.note,
    ]),
  );
  return `${Papa.unparse([HEAD, ...rows], { newline: '\n' })}\n`;
}
