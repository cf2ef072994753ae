import localforage from 'localforage';
import type { LogNote, RawLog } from '../core';

/** What is known of a kept log without opening it. */
export interface LogEntry {
  readonly id: string;
  readonly name: string;
  /** File or stream it came from */
  readonly source: string;
  /** ISO 8601 */
  readonly added: string;
  readonly samples: number;
  /** s */
  readonly duration: number;
  readonly channels: readonly string[];
  /** What reading said of it */
  readonly notes: readonly string[];
  readonly found: readonly LogNote[];
  readonly lineOf: { readonly first: number; readonly perSample: number };
}

/** The little of a store that is used; values are structured clones, typed arrays among them. */
export interface LogStore {
  getItem(key: string): Promise<unknown>;
  setItem(key: string, value: unknown): Promise<unknown>;
  removeItem(key: string): Promise<unknown>;
  keys(): Promise<string[]>;
}

const INDEX = 'index';
const key = (id: string) => `log-${id}`;

/** The browser's own store of logs. */
export function browserLogStore(): LogStore {
  return localforage.createInstance({ name: 'fervent-kettle-logs', storeName: 'logs' });
}

/** Logs that are kept, newest first; an index that cannot be read is empty. @throws Error in words when the store is blocked */
export async function listLogs(store: LogStore): Promise<readonly LogEntry[]> {
  const found = await store.getItem(INDEX);
  return Array.isArray(found) ? (found as LogEntry[]).filter((e) => typeof e?.id === 'string') : [];
}

/** Keeps a log; its values first, so that what is listed is there. @throws Error in words when it does not fit */
export async function keepLog(store: LogStore, entry: LogEntry, raw: RawLog): Promise<void> {
  try {
    await store.setItem(key(entry.id), raw);
    const others = (await listLogs(store)).filter((e) => e.id !== entry.id);
    await store.setItem(INDEX, [entry, ...others]);
  } catch (error) {
    const full = (error as { name?: string }).name === 'QuotaExceededError';
    throw new Error(
      full
        ? 'The browser’s storage is full; remove a log, or export it.'
        : `The log was not kept: ${(error as Error).message}`,
    );
  }
}

/** The values of a kept log, null where they are gone. */
export async function openKeptLog(store: LogStore, id: string): Promise<RawLog | null> {
  const found = (await store.getItem(key(id))) as RawLog | null;
  return found && typeof found === 'object' && 'time' in found && 'channels' in found ? found : null;
}

/** Takes a log off the list; its values stay until they are swept, so that it can be put back. */
export async function unlistLog(store: LogStore, id: string): Promise<LogEntry | null> {
  const entries = await listLogs(store);
  await store.setItem(
    INDEX,
    entries.filter((e) => e.id !== id),
  );
  return entries.find((e) => e.id === id) ?? null;
}

/** Puts a log back on the list. */
export async function relistLog(store: LogStore, entry: LogEntry): Promise<void> {
  const others = (await listLogs(store)).filter((e) => e.id !== entry.id);
  await store.setItem(INDEX, [entry, ...others]);
}

/** Deletes the values of logs that are on no list. */
export async function sweepLogs(store: LogStore): Promise<void> {
  const listed = new Set((await listLogs(store)).map((e) => key(e.id)));
  for (const found of await store.keys()) {
    if (found.startsWith('log-') && !listed.has(found)) await store.removeItem(found);
  }
}

/** Renames a kept log. */
export async function renameLog(store: LogStore, id: string, name: string): Promise<void> {
  const entries = await listLogs(store);
  await store.setItem(
    INDEX,
    entries.map((e) => (e.id === id ? { ...e, name } : e)),
  );
}

/** Mappings of columns that were confirmed, by a table's layout. */
const MAPPINGS = 'mappings';
/** Kept; the oldest are forgotten. */
const MOST = 100;

export async function rememberedMapping(store: LogStore, layout: string): Promise<unknown> {
  const found = await store.getItem(MAPPINGS);
  const list = Array.isArray(found) ? (found as [string, unknown][]) : [];
  return list.find(([known]) => known === layout)?.[1] ?? null;
}

export async function rememberMapping(store: LogStore, layout: string, mapping: unknown): Promise<void> {
  const found = await store.getItem(MAPPINGS);
  const list = Array.isArray(found) ? (found as [string, unknown][]) : [];
  await store.setItem(
    MAPPINGS,
    [[layout, mapping], ...list.filter(([known]) => known !== layout)].slice(0, MOST),
  );
}
