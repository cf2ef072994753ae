import type { Refused } from '../../model';
import { say } from '../../text/en/say/io';
import { refuse } from '../refusal';
import { type CsvLayout, findLayout } from '../tables/csvLayout';
import { type Encoding, sniffEncoding } from '../tables/encoding';
import { type LogMapping, mappingProblems } from './logMapping';
import { MOST, type ReadLog, Table } from './logTable';
import { rowsWithin } from './mappingQuestions';

/** A file as far as it is needed: a browser's File, or a stand-in made of bytes. */
export interface ByteSource {
  readonly name: string;
  readonly size: number;
  /** Bytes from a position up to another */
  slice(from: number, to: number): { arrayBuffer(): Promise<ArrayBuffer> };
}

/** Bytes read at once. */
const PIECE = 4 * 1024 * 1024;

/** Reads as much of a file's start as is needed to find out how its table is written. */
export async function openLog(
  file: ByteSource,
): Promise<
  | { readonly ok: true; readonly layout: CsvLayout; readonly encoding: Encoding; readonly skip: number }
  | Refused
> {
  if (file.size === 0) return refuse(say.fileEmptyTableValues);
  const bytes = new Uint8Array(await file.slice(0, Math.min(file.size, 262_144)).arrayBuffer());
  const sniffed = sniffEncoding(bytes);
  if (!sniffed.text) return refuse(say.fileNotTextTable(sniffed.what));
  const text = new TextDecoder(sniffed.encoding).decode(bytes.subarray(sniffed.skip), { stream: true });
  const end =
    file.size > bytes.length ? Math.max(text.lastIndexOf('\n'), text.lastIndexOf('\r')) : text.length;
  const layout = findLayout(text.slice(0, end));
  if (!layout.ok) return layout;
  return { ok: true, layout, encoding: sniffed.encoding, skip: sniffed.skip };
}

/** Places in a file that are looked at before it is read, and bytes of each. */
const PLACES = 24;
const PLACE = 3000;

/** Some rows from all over a file, cells as written: enough to see what its columns can be. */
export async function rowsAllOver(
  file: ByteSource,
  layout: CsvLayout,
  encoding: Encoding,
): Promise<string[][]> {
  const rows: string[][] = [];
  // Characters of two bytes must not be cut in two.
  const even = (at: number) => at - (at % 2);
  for (let k = 0; k < PLACES; k++) {
    const from = even(Math.floor((k * Math.max(0, file.size - PLACE)) / (PLACES - 1)));
    const bytes = await file.slice(from, Math.min(file.size, from + PLACE)).arrayBuffer();
    rows.push(...rowsWithin(new TextDecoder(encoding).decode(bytes), layout));
  }
  return rows;
}

/**
 * Reads a log piece by piece, however large, into columns.
 * @param progress told the share that is read, 0 to 1, after each piece; throw in it to give up
 */
export async function readLog(
  file: ByteSource,
  mapping: LogMapping,
  progress: (share: number) => void | Promise<void> = () => {},
): Promise<ReadLog | Refused> {
  const opened = await openLog(file);
  if (!opened.ok) return opened;
  const { layout, encoding, skip } = opened;
  // A mapping that was confirmed once may not be of this table.
  const [problem] = mappingProblems(mapping, layout);
  if (problem !== undefined) return refuse(problem);
  const table = new Table(mapping, layout, file.size);
  const decoder = new TextDecoder(encoding);
  let rest = '';
  let line = 1;
  for (let at = skip; at < file.size; at += PIECE) {
    const to = Math.min(file.size, at + PIECE);
    const bytes = new Uint8Array(await file.slice(at, to).arrayBuffer());
    const last = to >= file.size;
    const text = rest + decoder.decode(bytes, { stream: !last });
    const end = last ? text.length : cutPoint(text);
    rest = text.slice(end);
    line = table.take(text.slice(0, end), line);
    if (table.full) return refuse(say.logHasMoreThan(MOST), `line ${line}`);
    await progress(to / file.size);
  }
  return table.finish();
}

/** After the last line break that stands outside quotes. */
function cutPoint(text: string): number {
  let end = text.lastIndexOf('\n') + 1;
  if (end === 0) end = text.lastIndexOf('\r') + 1;
  if (!text.includes('"')) return end;
  let quotes = 0;
  for (let i = 0; i < end; i++) if (text.charCodeAt(i) === 34) quotes += 1;
  return quotes % 2 === 0 ? end : text.lastIndexOf('\n', text.lastIndexOf('"') - 1) + 1;
}
