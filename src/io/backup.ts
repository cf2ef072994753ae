import { strFromU8, strToU8, type UnzipFileInfo, unzipSync, type Zippable, zipSync } from 'fflate';
import * as z from 'zod/mini';
import type { Refused } from '../model';
import { say } from '../text/en/say/io';
import { refuse } from './refusal';

const BACKUP_FORMAT = 'fervent-kettle-backup';
const BACKUP_VERSION = 1;
const LIST = 'backup.json';
/** What a backup may unfold to, bytes: a zip of zeros must not fill the memory. */
export const LARGEST_BACKUP = 1_000_000_000;
const LARGEST_LIST = 50_000_000;

const file = z.string().check(z.regex(/^[a-z]+\/[\w.-]+$/, say.backupFileName));
const text = z.string().check(z.maxLength(1000));
const columnSchema = z.strictObject({
  /** '' for the time */
  channel: z.string().check(z.maxLength(60)),
  /** Width of its numbers, little-endian */
  as: z.enum(['float32', 'float64']),
  file,
});
const logSchema = z.strictObject({
  entry: z.looseObject({
    id: z.string().check(z.minLength(1), z.maxLength(64)),
    name: text,
    source: text,
    added: text,
    samples: z.int().check(z.gte(0)),
    duration: z.number(),
    channels: z.array(text),
    notes: z.array(z.string()),
    found: z.array(z.looseObject({})),
    lineOf: z.strictObject({ first: z.number(), perSample: z.number() }),
  }),
  columns: z.array(columnSchema).check(z.minLength(1), z.maxLength(100)),
});

/** What a backup has, and in which of its files. */
const listSchema = z.strictObject({
  format: z.literal(BACKUP_FORMAT),
  version: z.literal(BACKUP_VERSION),
  /** ISO 8601 */
  made: z.iso.datetime(),
  projects: z.array(z.strictObject({ slot: z.string().check(z.maxLength(64)), name: text, file })),
  photos: z.array(z.strictObject({ id: z.string().check(z.regex(/^[\w-]{1,64}$/)), file })),
  logs: z.array(logSchema),
  /** Columns of tables as they were confirmed, by the table's layout */
  mappings: z.array(z.tuple([z.string(), z.unknown()])),
  /** Texts kept aside */
  aside: z.array(z.strictObject({ at: text, why: z.string(), file })),
  /** Uncertain runs that are not through, with their finished pieces; null for none */
  runs: z.nullable(z.strictObject({ asked: z.string(), pieces: z.array(z.nullable(file)) })),
  preferences: z.unknown(),
});
export type BackupList = Omit<z.infer<typeof listSchema>, 'format' | 'version'>;

/** Everything a browser keeps. */
export interface Backup {
  readonly list: BackupList;
  readonly files: ReadonlyMap<string, Uint8Array>;
}

/** A backup as one zip; pictures are compressed already and only stored. */
export function writeBackup({ list, files }: Backup): Uint8Array {
  const whole = { format: BACKUP_FORMAT, version: BACKUP_VERSION, ...list };
  const parts: Zippable = { [LIST]: [strToU8(`${JSON.stringify(whole, null, 1)}\n`), { level: 6 }] };
  for (const [name, bytes] of files) {
    const level = name.startsWith('photos/') ? 0 : name.startsWith('logs/') ? 1 : 6;
    parts[name] = [bytes, { level }];
  }
  return zipSync(parts);
}

/** Reads a backup. Nothing is taken from one that is not whole: every file it lists must be there. */
export function readBackup(bytes: Uint8Array): (Backup & { readonly ok: true }) | Refused {
  let size = 0;
  let tooLarge = false;
  const filter = ({ name, originalSize }: UnzipFileInfo): boolean => {
    size += originalSize;
    if (size > LARGEST_BACKUP || (name === LIST && originalSize > LARGEST_LIST)) tooLarge = true;
    return !tooLarge;
  };
  let parts: Record<string, Uint8Array>;
  try {
    parts = unzipSync(bytes, { filter });
  } catch (error) {
    return refuse(say.noZip((error as Error).message));
  }
  if (tooLarge) return refuse(say.backupTooLarge(LARGEST_BACKUP / 1e6));
  if (!parts[LIST]) return refuse(say.backupWithoutList(LIST));
  let found: unknown;
  try {
    found = JSON.parse(strFromU8(parts[LIST]));
  } catch (error) {
    return refuse((error as Error).message, LIST);
  }
  const { version } = (found ?? {}) as { version?: unknown };
  if (typeof version === 'number' && version > BACKUP_VERSION)
    return refuse(say.backupNewer(version, BACKUP_VERSION), `${LIST}: version`);
  const read = listSchema.safeParse(found);
  if (!read.success) {
    const [issue] = read.error.issues;
    return refuse(issue.message, `${LIST}: ${issue.path.join('.')}`);
  }
  const { format: _format, version: _version, ...list } = read.data;
  const files = new Map(Object.entries(parts).filter(([name]) => name !== LIST));
  const missing = filesOf(list).filter((name) => !files.has(name));
  if (missing.length > 0) return refuse(say.backupMisses(missing.slice(0, 5), missing.length));
  const uneven = list.logs.find(({ columns }) => {
    const counts = columns.map(
      ({ as, file: own }) => (files.get(own)?.length ?? 0) / (as === 'float32' ? 4 : 8),
    );
    return (
      columns[0].channel !== '' || counts.some((count) => count !== counts[0] || !Number.isInteger(count))
    );
  });
  if (uneven) return refuse(say.backupUneven(uneven.entry.name));
  return { ok: true, list, files };
}

/** Every file that a list names. */
const filesOf = ({ projects, photos, logs, aside, runs }: BackupList): string[] => [
  ...[...projects, ...photos, ...aside].map((own) => own.file),
  ...logs.flatMap(({ columns }) => columns.map((own) => own.file)),
  ...(runs?.pieces.flatMap((own) => own ?? []) ?? []),
];

/** Numbers as bytes, little-endian, wherever they are written. */
export function bytesOf(values: Float32Array | Float64Array): Uint8Array {
  const width = values.BYTES_PER_ELEMENT;
  const view = new DataView(new ArrayBuffer(values.length * width));
  values.forEach((value, i) => {
    if (width === 4) view.setFloat32(4 * i, value, true);
    else view.setFloat64(8 * i, value, true);
  });
  return new Uint8Array(view.buffer);
}

/** Bytes as numbers again. @throws RangeError where they are no whole number of them */
export function numbersOf(bytes: Uint8Array, as: 'float32' | 'float64'): Float32Array | Float64Array {
  const width = as === 'float32' ? 4 : 8;
  if (bytes.length % width !== 0) throw new RangeError(say.notWholeNumbers(bytes.length, width));
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const count = bytes.length / width;
  return as === 'float32'
    ? Float32Array.from({ length: count }, (_, i) => view.getFloat32(4 * i, true))
    : Float64Array.from({ length: count }, (_, i) => view.getFloat64(8 * i, true));
}
