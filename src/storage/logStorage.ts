import localforage from 'localforage';
import type { LogNote, RawLog } from '../core';
import { say } from '../text/en/say/storage';

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

/** Changes the list; two pages that change it at once take turns, where the browser can make them. */
async function changeList(
  store: LogStore,
  change: (entries: readonly LogEntry[]) => readonly LogEntry[],
): Promise<void> {
  const run = async () => void (await store.setItem(INDEX, change(await listLogs(store))));
  const locks = typeof navigator === 'undefined' ? undefined : navigator.locks;
  await (locks ? locks.request('fervent-kettle-logs', run) : run());
}

/**
 * Keeps a log; its values first, so that what is listed is there. One that is kept again while it grows keeps the name
 * it was given meanwhile.
 * @throws Error in words when it does not fit
 */
export async function keepLog(store: LogStore, entry: LogEntry, raw: RawLog): Promise<void> {
  try {
    await store.setItem(key(entry.id), raw);
    await changeList(store, (entries) => {
      const before = entries.find((e) => e.id === entry.id);
      return [{ ...entry, name: before?.name ?? entry.name }, ...entries.filter((e) => e.id !== entry.id)];
    });
  } catch (error) {
    const full = (error as { name?: string }).name === 'QuotaExceededError';
    throw new Error(full ? say.browserSStorageFull : `The log was not kept: ${(error as Error).message}`);
  }
}

/** The values of a kept log, null where they are gone. */
export async function openKeptLog(store: LogStore, id: string): Promise<RawLog | null> {
  const found = (await store.getItem(key(id))) as RawLog | null;
  return found && typeof found === 'object' && 'time' in found && 'channels' in found ? found : null;
}

/** Logs that were removed, with when; their values stay for a while, so that they can be put back. */
const REMOVED = 'removed';
/** ms; long enough that no page that could still put one back is open. */
const STAYS = 24 * 3600 * 1000;

async function removedLogs(store: LogStore): Promise<readonly (readonly [id: string, at: number])[]> {
  const found = await store.getItem(REMOVED);
  return Array.isArray(found) ? (found as [string, number][]) : [];
}

/** Takes a log off the list; its values stay until they are swept, so that it can be put back. */
export async function unlistLog(store: LogStore, id: string, now = Date.now()): Promise<LogEntry | null> {
  const entry = (await listLogs(store)).find((e) => e.id === id) ?? null;
  await changeList(store, (entries) => entries.filter((e) => e.id !== id));
  await store.setItem(REMOVED, [...(await removedLogs(store)), [id, now]]);
  return entry;
}

/** Puts a log back on the list. */
export async function relistLog(store: LogStore, entry: LogEntry): Promise<void> {
  await changeList(store, (entries) => [entry, ...entries.filter((e) => e.id !== entry.id)]);
}

/** Deletes the values of logs that were removed a day ago or longer, and never of any other. */
export async function sweepLogs(store: LogStore, now = Date.now()): Promise<void> {
  const listed = new Set((await listLogs(store)).map((e) => e.id));
  const removed = await removedLogs(store);
  const old = removed.filter(([, at]) => now - at >= STAYS);
  for (const [id] of old) if (!listed.has(id)) await store.removeItem(key(id));
  if (old.length > 0)
    await store.setItem(
      REMOVED,
      removed.filter(([, at]) => now - at < STAYS),
    );
}

/** Renames a kept log. */
export async function renameLog(store: LogStore, id: string, name: string): Promise<void> {
  await changeList(store, (entries) => entries.map((e) => (e.id === id ? { ...e, name } : e)));
}

/** Mappings of columns that were confirmed, by a table's layout. */
const MAPPINGS = 'mappings';
/** Kept; the oldest are forgotten. */
const MOST = 100;

/** Every mapping by its table's layout, the newest first. */
export async function listMappings(store: LogStore): Promise<readonly (readonly [string, unknown])[]> {
  const found = await store.getItem(MAPPINGS);
  return Array.isArray(found) ? (found as [string, unknown][]) : [];
}

export async function rememberedMapping(store: LogStore, layout: string): Promise<unknown> {
  return (await listMappings(store)).find(([known]) => known === layout)?.[1] ?? null;
}

export async function rememberMapping(store: LogStore, layout: string, mapping: unknown): Promise<void> {
  const list = await listMappings(store);
  await store.setItem(
    MAPPINGS,
    [[layout, mapping], ...list.filter(([known]) => known !== layout)].slice(0, MOST),
  );
}
