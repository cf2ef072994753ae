import type { RawLog } from '../core';
import { type Backup, type BackupList, bytesOf, numbersOf } from '../io';
import { readProject, writeProject } from '../model';
import { say } from '../text/en/say/storage';
import { keepAside, keptTexts } from './keptAside';
import type { KeyValueStore } from './keyValueStore';
import {
  keepLog,
  type LogEntry,
  type LogStore,
  listLogs,
  listMappings,
  openKeptLog,
  rememberMapping,
  unlistLog,
} from './logStorage';
import { keepPhoto, openPhoto, type PhotoStore } from './photoStorage';
import { listProjects, projectText, putProject, removeProject } from './projectSlots';
import { beginWork, keepPiece, keptWork, type RunStore } from './runStorage';

/** Every store of this browser. */
export interface Stores {
  readonly projects: KeyValueStore;
  readonly logs: LogStore;
  readonly photos: PhotoStore & { keys(): Promise<string[]> };
  readonly runs: RunStore;
}

const utf8 = new TextEncoder();
const plain = new TextDecoder();

/** Everything that this browser keeps. @param made ISO 8601 */
export async function collectBackup(
  { projects, logs, photos, runs }: Stores,
  { made, preferences }: { readonly made: string; readonly preferences: unknown },
): Promise<Backup> {
  const files = new Map<string, Uint8Array>();
  const put = (name: string, bytes: Uint8Array) => {
    files.set(name, bytes);
    return name;
  };
  const list: BackupList = {
    made,
    projects: [],
    photos: [],
    logs: [],
    mappings: (await listMappings(logs)).map(([layout, mapping]) => [layout, mapping]),
    aside: [],
    runs: null,
    preferences,
  };
  for (const { slot, name } of await listProjects(projects)) {
    const text = utf8.encode(await projectText(projects, slot));
    list.projects.push({ slot, name, file: put(`projects/${list.projects.length + 1}.json`, text) });
  }
  for (const id of await photos.keys()) {
    const bytes = await openPhoto(photos, id);
    if (bytes) list.photos.push({ id, file: put(`photos/${id}.jpg`, bytes) });
  }
  for (const entry of await listLogs(logs)) {
    const raw = await openKeptLog(logs, entry.id);
    if (!raw) continue;
    const n = list.logs.length + 1;
    const column = (channel: string, values: Float32Array | Float64Array, k: number) => ({
      channel,
      as: values instanceof Float32Array ? ('float32' as const) : ('float64' as const),
      file: put(`logs/${n}-${k}.bin`, bytesOf(values)),
    });
    const channels = Object.entries(raw.channels).filter(([, values]) => values !== undefined);
    const columns = [
      column('', raw.time, 0),
      ...channels.map(([name, values], k) => column(name, values, k + 1)),
    ];
    list.logs.push({ entry: JSON.parse(JSON.stringify(entry)), columns });
  }
  for (const { at, why, text } of await keptTexts(projects))
    list.aside.push({ at, why, file: put(`aside/${list.aside.length + 1}.txt`, utf8.encode(text)) });
  const work = await keptWork(runs);
  if (work) {
    const pieces = work.pieces.map((piece, k) => piece && put(`runs/${k + 1}.bin`, bytesOf(piece)));
    list.runs = { asked: work.asked, pieces };
  }
  return { list, files };
}

/** What a backup would bring to this browser, project by project. */
export interface BackupPreview {
  readonly made: string;
  readonly projects: readonly {
    readonly name: string;
    readonly state: 'new' | 'same' | 'differs';
    /** What keeps this program from reading it; '' where nothing does */
    readonly unreadable: string;
  }[];
  readonly logs: readonly { readonly name: string; readonly there: boolean }[];
  readonly photos: number;
  readonly newPhotos: number;
  readonly aside: number;
  readonly bytes: number;
}

const textOf = ({ files }: Backup, name: string) => plain.decode(files.get(name));

/** Looks what a backup would change; changes nothing. */
export async function previewBackup(stores: Stores, backup: Backup): Promise<BackupPreview> {
  const { list, files } = backup;
  const texts = new Map<string, string>();
  for (const { slot } of await listProjects(stores.projects))
    texts.set(slot, await projectText(stores.projects, slot));
  const known = new Set((await listLogs(stores.logs)).map(({ id }) => id));
  const photos = new Set(await stores.photos.keys());
  return {
    made: list.made,
    projects: list.projects.map(({ slot, name, file }) => {
      const text = textOf(backup, file);
      const read = readProject(text);
      const [problem] = read.ok ? [] : read.problems;
      const same = [...texts.values()].includes(text);
      return {
        name,
        state: same ? 'same' : texts.has(slot) ? 'differs' : 'new',
        unreadable: problem?.message ?? '',
      };
    }),
    logs: list.logs.map(({ entry }) => ({ name: entry.name, there: known.has(entry.id) })),
    photos: list.photos.length,
    newPhotos: list.photos.filter(({ id }) => !photos.has(id)).length,
    aside: list.aside.length,
    bytes: [...files.values()].reduce((sum, { length }) => sum + length, 0),
  };
}

/** How a backup comes in: beside what is here, or in its place. */
export type BackupMode = 'add' | 'replace';

/**
 * Takes a backup in. What it brings is written before anything goes, and what goes is kept aside: cut off in between,
 * nothing is lost, and the same backup can be taken in again.
 * @returns slot of the first project that this program reads, null where there is none
 * @throws Error in words when it does not fit
 */
export async function restoreBackup(
  stores: Stores,
  backup: Backup,
  mode: BackupMode,
  newId: () => string,
): Promise<string | null> {
  await restoreProperty(stores, backup);
  const slot = await restoreProjects(stores, backup, mode, newId);
  if (mode === 'add') return slot;
  const brought = new Set(backup.list.logs.map(({ entry }) => entry.id));
  for (const { id } of await listLogs(stores.logs)) if (!brought.has(id)) await unlistLog(stores.logs, id);
  return slot;
}

/** Pictures, logs, mappings, texts and runs: what is there already stays as it is. */
async function restoreProperty({ projects, logs, photos, runs }: Stores, backup: Backup): Promise<void> {
  const { list, files } = backup;
  const bytes = (name: string) => files.get(name) as Uint8Array;
  const kept = new Set(await photos.keys());
  for (const { id, file } of list.photos) if (!kept.has(id)) await keepPhoto(photos, id, bytes(file));
  const known = new Set((await listLogs(logs)).map(({ id }) => id));
  for (const { entry, columns } of [...list.logs].reverse()) {
    if (known.has(entry.id)) continue;
    const [time, ...channels] = columns.map(
      ({ channel, as, file }) => [channel, numbersOf(bytes(file), as)] as const,
    );
    const raw = { time: Float64Array.from(time[1]), channels: Object.fromEntries(channels) } satisfies RawLog;
    await keepLog(logs, entry as unknown as LogEntry, raw);
  }
  const layouts = new Set((await listMappings(logs)).map(([layout]) => layout));
  for (const [layout, mapping] of [...list.mappings].reverse())
    if (!layouts.has(layout)) await rememberMapping(logs, layout, mapping);
  for (const { why, file } of list.aside)
    await keepAside(projects, textOf(backup, file), [{ path: '', message: why, severity: 'warning' }]);
  if (list.runs && !(await keptWork(runs))) {
    const { asked, pieces } = list.runs;
    const started = await beginWork(runs, asked, pieces.length);
    for (const [k, piece] of pieces.entries())
      if (piece) await keepPiece(runs, started, k, numbersOf(bytes(piece), 'float32') as Float32Array);
  }
}

async function restoreProjects(
  { projects }: Stores,
  backup: Backup,
  mode: BackupMode,
  newId: () => string,
): Promise<string | null> {
  const before = await listProjects(projects);
  const texts = new Map<string, string>();
  for (const { slot } of before) texts.set(slot, await projectText(projects, slot));
  let first: string | null = null;
  const taken = new Set<string>();
  for (const { slot, file } of backup.list.projects) {
    const text = textOf(backup, file);
    const same = [...texts].find(([, own]) => own === text)?.[0];
    const here = mode === 'replace' ? slot : (same ?? (texts.has(slot) ? newId() : slot));
    const old = texts.get(here);
    if (old !== text) {
      if (old !== undefined) await keepAside(projects, old, [replaced(backup.list.made)]);
      await putProject(projects, here, here === slot ? text : named(text, backup.list.made));
    }
    taken.add(here);
    if (first === null && readProject(text).ok) first = here;
  }
  if (mode === 'replace' && taken.size > 0)
    for (const { slot } of before) if (!taken.has(slot)) await removeProject(projects, slot);
  return first;
}

const replaced = (made: string) => ({
  path: '',
  message: say.replacedByBackup(made),
  severity: 'warning' as const,
});

/** A project that stands beside another of its name says where it is from. */
function named(text: string, made: string): string {
  const read = readProject(text);
  if (!read.ok) return text;
  const { project } = read;
  return writeProject({ ...project, name: say.nameFromBackup(project.name.slice(0, 50), made.slice(0, 10)) });
}
