import { type Problem, type Project, readProject, writeProject } from '../model';
import { say } from '../text/en/say/storage';
import { keepAside } from './keptAside';
import type { KeyValueStore } from './keyValueStore';

/** Where the project is kept. */
const KEY = 'project';
/** One page at a time reads, joins and writes. */
const LOCK = 'fervent-kettle-project';

/** Pages whose edits are told of with a project: more are never open, or left behind, at once. */
const PAGES_TOLD = 40;

/** Edits of each page that a stored project has; by them a journal is told from one that is saved already. */
export type EditsOf = Readonly<Record<string, number>>;

/** A stored project: its text, how often one was stored before it, and whose edits it has. */
interface Stored {
  readonly revision: number;
  readonly text: string;
  readonly edits: EditsOf;
}

/** What is stored: how often something was stored before it, and whose edits it has. */
export interface StoredProject {
  readonly project: Project;
  readonly revision: number;
  readonly edits: EditsOf;
}

/** What was found where the project is kept. */
export type Found =
  | ({ readonly kind: 'project' } & StoredProject)
  | { readonly kind: 'nothing' }
  | {
      readonly kind: 'unreadable';
      readonly text: string;
      /** Where a copy of it was kept; null when that failed */
      readonly keptAs: string | null;
      readonly problems: readonly Problem[];
    }
  | { readonly kind: 'blocked'; readonly reason: string };

async function readStored(store: KeyValueStore): Promise<Stored | null> {
  const value = await store.getItem(KEY);
  if (value === null || value === undefined) return null;
  const { revision, text, edits = {} } = value as Partial<Stored>;
  if (typeof revision === 'number' && typeof text === 'string') return { revision, text, edits };
  // Once the text was stored alone.
  const alone = typeof value === 'string' ? value : (JSON.stringify(value) ?? String(value));
  return { revision: 0, text: alone, edits: {} };
}

/** Opens what was saved last. Never throws: a store that cannot be read is an answer. */
export async function openProject(store: KeyValueStore): Promise<Found> {
  let stored: Stored | null;
  try {
    stored = await readStored(store);
  } catch (error) {
    return { kind: 'blocked', reason: reasonOf(error) };
  }
  if (!stored) return { kind: 'nothing' };
  const { text, revision, edits } = stored;
  const read = readProject(text);
  if (read.ok) return { kind: 'project', project: read.project, revision, edits };
  let keptAs: string | null = null;
  try {
    keptAs = await keepAside(store, text, read.problems);
  } catch {
    // The text is handed on and can still be exported; nothing overwrites it before a copy is kept.
  }
  return { kind: 'unreadable', text, keptAs, problems: read.problems };
}

/** What another page stored meanwhile, and how it is to be joined with this page's project. */
export type Join = (theirs: Project) => Promise<Project>;

/**
 * Saves a project over the revision it was made from. Where another has been stored since, both are joined first; one
 * that cannot be read is kept aside before it is overwritten.
 * @param mine this page's project, asked for once this page has its turn
 * @param known what this page has seen stored last: its revision, −1 for none, and whose edits it had
 * @param edits edits, of this page and of those whose journals it joined, that its project has
 * @returns what was stored
 * @throws Error with the reason in words when the store is full or blocked, or what is stored could not be kept aside
 */
export function saveProject(
  store: KeyValueStore,
  mine: () => Project,
  known: Pick<StoredProject, 'revision' | 'edits'>,
  join: Join,
  edits: () => EditsOf = () => ({}),
): Promise<StoredProject> {
  return inTurn(async () => {
    try {
      const stored = await readStored(store);
      let project: Project | null = null;
      if (stored && stored.revision !== known.revision) {
        const theirs = readProject(stored.text);
        if (theirs.ok) project = await join(theirs.project);
        else await keepAside(store, stored.text, theirs.problems);
      }
      project ??= mine();
      const revision = Math.max(stored?.revision ?? 0, known.revision, 0) + 1;
      // What is known is told as well: what was stored may have gone.
      const told = { revision, edits: laterEdits({ ...known.edits, ...stored?.edits }, edits()) };
      await store.setItem(KEY, { ...told, text: writeProject(project) } satisfies Stored);
      return { project, ...told };
    } catch (error) {
      throw new Error(reasonOf(error));
    }
  });
}

/** Both, the latest told last. */
export function laterEdits(before: EditsOf, now: EditsOf): EditsOf {
  const others = Object.entries(before).filter(([page]) => !(page in now));
  return Object.fromEntries([...others, ...Object.entries(now)].slice(-PAGES_TOLD));
}

/** Runs with no other page of this browser in between, where the browser can see to that. */
async function inTurn<T>(run: () => Promise<T>): Promise<T> {
  const locks = typeof navigator === 'undefined' ? undefined : navigator.locks;
  return locks ? await locks.request(LOCK, run) : await run();
}

export function reasonOf(error: unknown): string {
  const name = (error as { name?: string } | null)?.name ?? '';
  if (name === 'QuotaExceededError') return say.browserSStoragePage;
  if (name === 'SecurityError') return say.browserBlocksStoragePage;
  const message = (error as { message?: string } | null)?.message;
  return message ? `the browser’s storage answers: ${message}` : 'the browser’s storage cannot be reached';
}
