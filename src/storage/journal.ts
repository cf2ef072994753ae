import { readProject, type Sparse } from '../model';
import { say } from '../text/en/say/storage';
import { keepAside } from './keptAside';
import type { KeyValueStore } from './keyValueStore';
import type { NoteStore } from './noteStore';
import type { EditsOf, StoredProject } from './projectStorage';

const PREFIX = 'fervent-kettle-journal:';
/** A page that is open holds a lock of this name with its id. */
const PAGE_LOCK = 'fervent-kettle-page:';

/** The little of a synchronous store that is used: `localStorage`. */
export interface JournalStore {
  readonly length: number;
  key(index: number): string | null;
  getItem(key: string): string | null;
  setItem(key: string, value: string): void;
  removeItem(key: string): void;
}

/** Where edits are written down until they are saved: in two places, since neither outlives everything. */
export interface Journals {
  /** Taken in the moment, which outlives a page that crashes; the browser puts it on the disk seconds later */
  readonly kept: JournalStore | null;
  /** On its way in the moment, which outlives the browser being killed; a full storage refuses it unheard */
  readonly sent: NoteStore | null;
}

/** What a page had not saved: the items it changed, and what they were before. */
export interface Unsaved {
  readonly before: Sparse;
  readonly now: Sparse;
  /** Edits the page had made; what is saved tells how many it has of each page */
  readonly edits: number;
  /** Edits of pages before that it has joined: their own journals are older */
  readonly joined: EditsOf;
  /** Whether the page is being closed */
  readonly left: boolean;
  /** Everything, as it would have been stored, where what was stored has gone */
  readonly whole: { readonly revision: number; readonly text: string; readonly edits: EditsOf } | null;
}
export interface JournalEntry extends Unsaved {
  readonly page: string;
}

/** The browser's own store; null where it is blocked. */
export function browserJournal(): JournalStore | null {
  try {
    return window.localStorage;
  } catch {
    return null;
  }
}

const keyOf = (page: string): string => `${PREFIX}${page}`;

/**
 * Writes down at once what is not saved yet. @param page id of the page
 * @returns whether it was taken
 */
export function writeJournal({ kept, sent }: Journals, page: string, unsaved: Unsaved): boolean {
  const text = JSON.stringify(unsaved);
  sent?.put(keyOf(page), text);
  try {
    kept?.setItem(keyOf(page), text);
    return kept !== null;
  } catch {
    return false;
  }
}

/** Forgets journals of pages whose edits are saved. */
export function clearJournals({ kept, sent }: Journals, pages: readonly string[]): void {
  const keys = pages.map(keyOf);
  sent?.remove(keys);
  try {
    for (const key of keys) kept?.removeItem(key);
  } catch {
    // What is saved tells that it has these edits.
  }
}

/** Every text by its key, in either place. */
async function textsOf({ kept, sent }: Journals): Promise<readonly (readonly [string, string])[]> {
  const texts: (readonly [string, string])[] = sent ? [...(await sent.all())] : [];
  try {
    for (let i = 0; i < (kept?.length ?? 0); i++) {
      const key = kept?.key(i) ?? '';
      texts.push([key, kept?.getItem(key) ?? '']);
    }
  } catch {
    // Blocked: what was sent is left.
  }
  return texts.filter(([key]) => key.startsWith(PREFIX));
}

/** Whether it can be read as one; what its text is worth shows when it is read. */
const isWhole = (whole: Partial<Unsaved['whole']>): boolean =>
  typeof whole?.text === 'string' &&
  typeof whole.revision === 'number' &&
  typeof whole.edits === 'object' &&
  whole.edits !== null;

function entryOf(key: string, text: string): JournalEntry | null {
  try {
    const value = JSON.parse(text) as Partial<Unsaved> | null;
    if (!value?.before || !value.now) return null;
    // Before, they had no number, and only pages that were left wrote them.
    const { before, now, edits = Number.POSITIVE_INFINITY, joined = {}, left = true, whole = null } = value;
    return {
      page: key.slice(PREFIX.length),
      before,
      now,
      edits,
      joined,
      left,
      whole: isWhole(whole) ? whole : null,
    };
  } catch {
    // Garbled: what is stored is still there.
    return null;
  }
}

/** Journals in either place that can be read, of pages that will not store them themselves. */
async function entriesOf(journals: Journals, open: ReadonlySet<string>): Promise<readonly JournalEntry[]> {
  const entries = (await textsOf(journals)).flatMap(([key, text]) => entryOf(key, text) ?? []);
  return entries.filter(({ page, left }) => left || !open.has(page));
}

/**
 * The journals that were left behind by pages that are gone. One that cannot be read is passed over, and stays.
 * @param saved edits of each page that the project has already: journals of no more are passed over
 * @param open ids of the pages that are open: they save their edits themselves
 * @param stored whether that project is stored, so that they can be cleared
 */
export async function readJournals(
  journals: Journals,
  saved: EditsOf = {},
  open: ReadonlySet<string> = new Set(),
  stored = true,
): Promise<readonly JournalEntry[]> {
  const entries = new Map<string, JournalEntry>();
  const stale: string[] = [];
  for (const entry of await entriesOf(journals, open)) {
    const { page, edits } = entry;
    if (edits <= (saved[page] ?? 0)) stale.push(page);
    else if (edits > (entries.get(page)?.edits ?? -1)) entries.set(page, entry);
  }
  if (stored)
    clearJournals(
      journals,
      stale.filter((page) => !entries.has(page)),
    );
  const found = [...entries.values()];
  return found.filter(({ page, edits }) => !found.some(({ joined }) => edits <= (joined[page] ?? 0)));
}

/**
 * Everything, as the page wrote it down that had seen the latest of it, after what was stored had gone; null where no page
 * did. To be asked for only where nothing is stored.
 */
export async function readWhole(
  journals: Journals,
  open: ReadonlySet<string> = new Set(),
): Promise<StoredProject | null> {
  const wholes = (await entriesOf(journals, open)).flatMap(({ whole }) => whole ?? []);
  const count = ({ edits }: { readonly edits: EditsOf }) => Object.values(edits).reduce((a, b) => a + b, 0);
  wholes.sort((a, b) => b.revision - a.revision || count(b) - count(a));
  for (const { text, revision, edits } of wholes) {
    const read = readProject(text);
    if (read.ok) return { project: read.project, revision, edits };
  }
  return null;
}

/**
 * Keeps the journals of a project that cannot be read aside, as one text. They belong to it: joined with whatever takes its
 * place they would win over edits made after them. Where they cannot be kept they stay as they are.
 */
export async function setJournalsAside(store: KeyValueStore, journals: Journals): Promise<void> {
  const texts = await textsOf(journals);
  if (texts.length === 0) return;
  try {
    await keepAside(store, JSON.stringify(texts), [
      { path: '', message: say.editsOfUnreadable, severity: 'warning' },
    ]);
    clearJournals(
      journals,
      texts.map(([key]) => key.slice(PREFIX.length)),
    );
  } catch {
    // Nothing is lost: they lie where they lay.
  }
}

const locks = () => (typeof navigator === 'undefined' ? undefined : navigator.locks);

/** Tells other pages, as long as this one is open, that it is. */
export function holdPage(page: string): void {
  locks()
    ?.request(`${PAGE_LOCK}${page}`, () => new Promise(() => {}))
    .catch(() => {
      // Refused: other pages cannot know.
    });
}

/** Ids of the pages that are open in this browser, as far as it tells. */
export async function openPages(): Promise<ReadonlySet<string>> {
  const { held = [] } =
    (await locks()
      ?.query()
      .catch(() => null)) ?? {};
  return new Set(
    held.flatMap(({ name }) => (name?.startsWith(PAGE_LOCK) ? [name.slice(PAGE_LOCK.length)] : [])),
  );
}
