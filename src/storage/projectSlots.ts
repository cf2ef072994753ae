import { say } from '../text/en/say/storage';
import type { JournalStore, Journals } from './journal';
import { keepAside } from './keptAside';
import type { KeyValueStore } from './keyValueStore';
import type { NoteStore } from './noteStore';

/** Where the first project of a browser is kept; those after it stand beside it under names of their own. */
const FIRST = 'project';
const OTHERS = 'project:';
/** Its way back stands beside each. */
const HISTORY = 'history';
const CURRENT = 'fervent-kettle-current';

/** A project that is kept in this browser. */
export interface ListedProject {
  /** '' for the first one */
  readonly slot: string;
  readonly name: string;
}

const historyOf = (slot: string) => (slot === '' ? HISTORY : `${HISTORY}:${slot}`);
const keyOf = (slot: string) => (slot === '' ? FIRST : `${OTHERS}${slot}`);

/** The store as one of several projects sees it: its project is its own, everything else is shared. */
export function slotStore(store: KeyValueStore, slot: string): KeyValueStore {
  const own = (key: string) => (key === FIRST ? keyOf(slot) : key === HISTORY ? historyOf(slot) : key);
  return {
    getItem: (key) => store.getItem(own(key)),
    setItem: (key, value) => store.setItem(own(key), value),
    removeItem: (key) => store.removeItem(own(key)),
    keys: () => store.keys(),
  };
}

/** A page's id among those that have the same project open. */
export const pageOf = (page: string, slot: string): string => (slot === '' ? page : `${page}@${slot}`);

/** The journals of one project alone. */
export function slotJournals({ kept, sent }: Journals, slot: string): Journals {
  const own = (key: string | null): key is string =>
    key !== null && (slot === '' ? !key.includes('@') : key.endsWith(`@${slot}`));
  return { kept: kept && ownJournal(kept, own), sent: sent && ownNotes(sent, own) };
}

function ownJournal(kept: JournalStore, own: (key: string | null) => key is string): JournalStore {
  const keys = () => Array.from({ length: kept.length }, (_, i) => kept.key(i)).filter(own);
  return {
    get length() {
      return keys().length;
    },
    key: (index) => keys()[index] ?? null,
    getItem: (key) => kept.getItem(key),
    setItem: (key, value) => kept.setItem(key, value),
    removeItem: (key) => kept.removeItem(key),
  };
}

const ownNotes = (sent: NoteStore, own: (key: string) => boolean): NoteStore => ({
  ...sent,
  all: async () => new Map([...(await sent.all())].filter(([key]) => own(key))),
});

const textOf = (value: unknown): string =>
  typeof value === 'string' ? value : String((value as { text?: unknown } | null)?.text ?? '');

function nameOf(text: string): string | null {
  try {
    const { name } = JSON.parse(text) as { name?: unknown };
    return typeof name === 'string' && name.trim() !== '' ? name : null;
  } catch {
    return null;
  }
}

/** Every project of this browser by name; one that cannot be read is listed all the same. */
export async function listProjects(store: KeyValueStore): Promise<ListedProject[]> {
  const keys = (await store.keys()).filter((key) => key === FIRST || key.startsWith(OTHERS));
  const listed = await Promise.all(
    keys.map(async (key) => {
      const name = nameOf(textOf(await store.getItem(key)));
      return { slot: key === FIRST ? '' : key.slice(OTHERS.length), name: name ?? say.unreadableProject };
    }),
  );
  return listed.sort((a, b) => a.name.localeCompare(b.name));
}

/** Keeps a project beside the others. @param text as it is exported */
export async function addProject(store: KeyValueStore, text: string, slot: string): Promise<void> {
  await store.setItem(keyOf(slot), { revision: 0, text });
}

/** A project as it is stored, '' where there is none. */
export const projectText = async (store: KeyValueStore, slot: string): Promise<string> =>
  textOf(await store.getItem(keyOf(slot)));

/** Puts a project into a slot; another page that has the slot open sees that it is not what it knew. */
export async function putProject(store: KeyValueStore, slot: string, text: string): Promise<void> {
  const before = (await store.getItem(keyOf(slot))) as { revision?: unknown; edits?: unknown } | null;
  const { revision, edits = {} } = before ?? {};
  await store.removeItem(historyOf(slot));
  await store.setItem(keyOf(slot), {
    revision: typeof revision === 'number' ? revision + 1 : 0,
    edits,
    text,
  });
}

/** Takes a project out; its text is kept aside, so that nothing is lost. */
export async function removeProject(store: KeyValueStore, slot: string): Promise<void> {
  const text = textOf(await store.getItem(keyOf(slot)));
  const message = say.deletedProject(nameOf(text) ?? say.unreadableProject);
  if (text !== '') await keepAside(store, text, [{ path: '', message, severity: 'warning' }]);
  await store.removeItem(keyOf(slot));
  await store.removeItem(historyOf(slot));
}

/** Which project this page has open: its own choice, else the browser's last. */
export function currentSlot(): string {
  try {
    return window.sessionStorage.getItem(CURRENT) ?? window.localStorage.getItem(CURRENT) ?? '';
  } catch {
    return '';
  }
}

/** Has this page, and those opened after it, open a project; it takes effect when the page is loaded again. */
export function chooseSlot(slot: string): void {
  try {
    window.sessionStorage.setItem(CURRENT, slot);
    window.localStorage.setItem(CURRENT, slot);
  } catch {
    // Blocked: the first project opens.
  }
}
