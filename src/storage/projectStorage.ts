import localforage from 'localforage';
import { type Problem, type Project, readProject, writeProject } from '../project';

const KEY = 'project';
const KEPT_PREFIX = 'unreadable-';

/** What was found where the project is kept. */
export type Found =
  | { readonly kind: 'project'; readonly project: Project }
  | { readonly kind: 'nothing' }
  /** Kept aside under `keptAs`, never deleted */
  | {
      readonly kind: 'unreadable';
      readonly text: string;
      readonly keptAs: string;
      readonly problems: readonly Problem[];
    }
  | { readonly kind: 'blocked'; readonly reason: string };

/** The little of a store that is used, so that a broken one can stand in for it in a test. */
export interface KeyValueStore {
  getItem(key: string): Promise<unknown>;
  setItem(key: string, value: string): Promise<unknown>;
}

/** The browser's own store. */
export function browserStore(): KeyValueStore {
  return localforage.createInstance({ name: 'fervent-kettle', storeName: 'projects' });
}

/** Opens what was saved last. Never throws: a store that cannot be read is an answer. */
export async function openProject(store: KeyValueStore): Promise<Found> {
  let value: unknown;
  try {
    value = await store.getItem(KEY);
  } catch (error) {
    return { kind: 'blocked', reason: reasonOf(error) };
  }
  if (value === null || value === undefined) return { kind: 'nothing' };
  const text = typeof value === 'string' ? value : (JSON.stringify(value) ?? String(value));
  const read = readProject(text);
  if (read.ok) return { kind: 'project', project: read.project };
  const keptAs = `${KEPT_PREFIX}${new Date().toISOString()}`;
  try {
    await store.setItem(keptAs, text);
  } catch {
    // The text is handed on and can still be exported.
  }
  return { kind: 'unreadable', text, keptAs, problems: read.problems };
}

/** Saves a project. @throws Error with the reason in words when the store is full or blocked */
export async function saveProject(store: KeyValueStore, project: Project): Promise<void> {
  try {
    await store.setItem(KEY, writeProject(project));
  } catch (error) {
    throw new Error(reasonOf(error));
  }
}

function reasonOf(error: unknown): string {
  const name = (error as { name?: string } | null)?.name ?? '';
  if (name === 'QuotaExceededError') return 'the browser’s storage for this page is full';
  if (name === 'SecurityError') return 'the browser blocks storage for this page';
  const message = (error as { message?: string } | null)?.message;
  return message ? `the browser’s storage answers: ${message}` : 'the browser’s storage cannot be reached';
}
