import Papa from 'papaparse';
import * as z from 'zod/mini';
import {
  issueProblem,
  type Observation,
  observationSchema,
  type Problem,
  type Refused,
  readJson,
  toStored,
  US,
  unitOf,
} from '../../model';
import { say } from '../../text/en/say/io';
import { refuse } from '../refusal';
import { numberOf } from '../tables/csvLayout';

const READINGS_FORMAT = 'fervent-kettle-readings';
const VERSION = 1;
/** Longest text that is read, characters, and most rows. */
const LONGEST = 2_000_000;
const MOST = 200;

interface ReadReadings {
  readonly ok: true;
  readonly observations: readonly Observation[];
}

const fileSchema = z.strictObject({
  format: z.literal(READINGS_FORMAT),
  version: z.literal(VERSION),
  observations: z.array(observationSchema).check(z.minLength(1), z.maxLength(MOST)),
});

/** The published schema of a file of readings. */
export const readingsJsonSchema = (): object => ({
  title: 'Fervent Kettle readings',
  ...z.toJSONSchema(fileSchema, { target: 'draft-2020-12', unrepresentable: 'any' }),
});

/** Readings as a file's text, to be read back by `readReadings`. */
export const writeReadings = (observations: readonly Observation[]): string =>
  `${JSON.stringify({ format: READINGS_FORMAT, version: VERSION, observations }, null, 2)}\n`;

/** What a row need not say. */
const USUAL = { excluded: null, note: '' };

/** Readings from JSON or from a table; everything wrong is said with its place, and nothing is half taken. */
export function readReadings(text: string): ReadReadings | Refused {
  if (text.length > LONGEST) return refuse(say.readingsTooLong(LONGEST));
  return /^\s*[[{]/.test(text) ? fromJson(text) : fromTable(text);
}

function fromJson(text: string): ReadReadings | Refused {
  const json = readJson(text, say.readingsExpected);
  if (!('value' in json)) return refuse(json.message, json.place);
  const value = json.value as { format?: unknown; version?: unknown; observations?: unknown };
  if (Array.isArray(json.value) || value.format !== READINGS_FORMAT) {
    return refuse(say.readingsOtherFormat(READINGS_FORMAT), 'format');
  }
  const { observations } = value;
  const filled = Array.isArray(observations)
    ? observations.map((own, i) => ({
        id: `reading-${i + 1}`,
        ...USUAL,
        ...(own as object),
      }))
    : observations;
  const read = fileSchema.safeParse({ ...value, observations: filled }, { reportInput: true });
  if (read.success) return { ok: true, observations: read.data.observations };
  return { ok: false, problems: read.error.issues.map(issueProblem) };
}

/** Columns of a table, and what their headings begin with. */
const COLUMNS = {
  kind: /^kind/i,
  wheel: /^wheel/i,
  axle: /^axle/i,
  place: /^(place|where)/i,
  value: /^(value|reading|temperature|turns at|threshold)/i,
  turned: /^turned/i,
  lap: /^(stopped after )?lap|^on lap/i,
  after: /^(seconds|after|s\b)/i,
  instrument: /^(instrument|with)/i,
  emissivity: /^emissivity/i,
  error: /^(usual )?error/i,
  light: /^light/i,
  sign: /^sign/i,
  note: /^note/i,
} as const;
type Column = keyof typeof COLUMNS;

/** Wheels as people write them. */
const WHEELS: Readonly<Record<string, string>> = {
  fl: 'frontLeft',
  fr: 'frontRight',
  rl: 'rearLeft',
  rr: 'rearRight',
};
const wheelOf = (text: string): string => {
  const plain = text.toLowerCase().replace(/[^a-z]/g, '');
  return WHEELS[plain] ?? Object.values(WHEELS).find((wheel) => wheel.toLowerCase() === plain) ?? text;
};
const PLACES: Readonly<Record<string, string>> = {
  'ring edge': 'ringEdge',
  edge: 'ringEdge',
  'pad plate': 'padPlate',
  'backing plate': 'padPlate',
  rotor: 'disc',
};

function fromTable(text: string): ReadReadings | Refused {
  const { data } = Papa.parse<string[]>(text.trim(), { skipEmptyLines: 'greedy' });
  const [head = [], ...rows] = data;
  const at = Object.fromEntries(
    Object.entries(COLUMNS).map(([column, word]) => [
      column,
      head.findIndex((cell) => word.test(cell.trim())),
    ]),
  ) as Record<Column, number>;
  if (at.kind < 0 || (at.wheel < 0 && at.axle < 0)) return refuse(say.readingsColumns, 'line 1');
  if (rows.length === 0) return refuse(say.readingsNone, 'line 2');
  if (rows.length > MOST) return refuse(say.readingsTooMany(rows.length, MOST));
  const fahrenheit = (column: Column) =>
    /°?\s*F\b/.test((head[at[column]] ?? '').replace(COLUMNS[column], ''));
  const problems: Problem[] = [];
  const observations = rows.flatMap((cells, i): Observation[] => {
    const cell = (column: Column) => (at[column] < 0 ? '' : (cells[at[column]] ?? '').trim());
    const number = (column: Column) => (cell(column) === '' ? null : numberOf(cell(column), '.'));
    const degrees = (column: Column, quantity: 'temperature' | 'difference') => {
      const value = number(column);
      return value !== null && fahrenheit(column) ? toStored(value, unitOf(quantity, US)) : value;
    };
    const row = rowOf(cell, number, degrees, `reading-${i + 1}`);
    const read = observationSchema.safeParse(row, { reportInput: true });
    if (read.success) return [read.data];
    problems.push(
      ...read.error.issues.map((issue) => {
        const { path, message } = issueProblem(issue);
        return { path: `line ${i + 2}`, message: `${path} ${message}`, severity: 'error' as const };
      }),
    );
    return [];
  });
  return problems.length > 0 ? { ok: false, problems } : { ok: true, observations };
}

/** A row as an observation of its kind, unchecked. */
function rowOf(
  cell: (column: Column) => string,
  number: (column: Column) => number | null,
  degrees: (column: Column, quantity: 'temperature' | 'difference') => number | null,
  id: string,
): object {
  const kind = cell('kind').toLowerCase();
  const shared = { kind, id, ...USUAL, note: cell('note') };
  const place = PLACES[cell('place').toLowerCase()] ?? cell('place');
  const wheel = wheelOf(cell('wheel'));
  const lap = number('lap');
  switch (kind) {
    case 'spot':
      return {
        ...shared,
        wheel,
        place: place || 'disc',
        valueC: degrees('value', 'temperature'),
        lap,
        afterS: number('after'),
        instrument: cell('instrument').toLowerCase() || 'contact',
        emissivity: number('emissivity'),
        errorK: degrees('error', 'difference'),
      };
    case 'paint':
      return {
        ...shared,
        wheel,
        place: place || 'ringEdge',
        thresholdC: degrees('value', 'temperature'),
        turned: { yes: true, true: true, 1: true, no: false, false: false, 0: false }[
          cell('turned').toLowerCase()
        ],
      };
    case 'boiled':
      return {
        ...shared,
        axle: cell('axle').toLowerCase(),
        lap,
        sign: cell('sign').toLowerCase() || 'long pedal',
      };
    case 'faded':
      return { ...shared, axle: cell('axle').toLowerCase(), lap };
    case 'glow':
      return { ...shared, wheel, lap, light: cell('light').toLowerCase() || 'dusk' };
    case 'worn':
      return { ...shared, wheel, padMm: number('value') };
    default:
      return shared;
  }
}
