import { differing, type Project, type Sparse } from '../model';
import { say } from '../text/en/say/storage';
import { keepAside } from './keptAside';
import type { KeyValueStore } from './keyValueStore';

const PREFIX = 'fervent-kettle-journal:';

/** The little of a synchronous store that is used: `localStorage`. */
export interface JournalStore {
  readonly length: number;
  key(index: number): string | null;
  getItem(key: string): string | null;
  setItem(key: string, value: string): void;
  removeItem(key: string): void;
}

/** What a page had not stored when it was hidden: the items it changed, and what they were before. */
export interface JournalEntry {
  readonly key: string;
  readonly before: Sparse;
  readonly now: Sparse;
}

/** The browser's own; null where it is blocked. */
export function browserJournal(): JournalStore | null {
  try {
    return window.localStorage;
  } catch {
    return null;
  }
}

/**
 * Writes down at once what is not stored yet. @param page id of the page
 * @returns whether it was taken
 */
export function writeJournal(
  journal: JournalStore | null,
  page: string,
  stored: Project,
  now: Project,
): boolean {
  try {
    journal?.setItem(`${PREFIX}${page}`, JSON.stringify(differing(stored, now)));
    return journal !== null;
  } catch {
    return false;
  }
}

/** Forgets journals whose changes are stored. */
export function clearJournal(journal: JournalStore | null, keys: readonly string[]): void {
  try {
    for (const key of keys) journal?.removeItem(key);
  } catch {
    // A journal that stays is joined again at the next start, and changes nothing.
  }
}

function keysOf(journal: JournalStore | null): string[] {
  try {
    const keys = Array.from({ length: journal?.length ?? 0 }, (_, i) => journal?.key(i) ?? '');
    return keys.filter((key) => key.startsWith(PREFIX));
  } catch {
    return [];
  }
}

export const journalKey = (page: string): string => `${PREFIX}${page}`;

/** Every journal that was left behind; one that cannot be read is passed over, and stays. */
export function readJournals(journal: JournalStore | null): readonly JournalEntry[] {
  const entries: JournalEntry[] = [];
  for (const key of keysOf(journal)) {
    try {
      const value = JSON.parse(journal?.getItem(key) ?? 'null') as Partial<JournalEntry> | null;
      if (value?.before && value.now) entries.push({ key, before: value.before, now: value.now });
    } catch {
      // Garbled: what is stored is still there.
    }
  }
  return entries;
}

/**
 * Keeps the journals of a project that cannot be read aside, as one text. They belong to it: joined with whatever takes its
 * place they would win over edits made after them. Where they cannot be kept they stay as they are.
 */
export async function setJournalsAside(store: KeyValueStore, journal: JournalStore | null): Promise<void> {
  const keys = keysOf(journal);
  if (keys.length === 0) return;
  const texts = Object.fromEntries(keys.map((key) => [key, journal?.getItem(key) ?? '']));
  try {
    await keepAside(store, JSON.stringify(texts), [
      { path: '', message: say.editsOfUnreadable, severity: 'warning' },
    ]);
    clearJournal(journal, keys);
  } catch {
    // Nothing is lost: they lie where they lay.
  }
}
