import localforage from 'localforage';

/** The little of a store that is used, so that a broken one can stand in for it in a test. */
export interface KeyValueStore {
  getItem(key: string): Promise<unknown>;
  setItem(key: string, value: unknown): Promise<unknown>;
  removeItem(key: string): Promise<unknown>;
  keys(): Promise<string[]>;
}

/** Name of the browser's database of projects. */
export const PROJECTS = 'fervent-kettle';

/** The browser's own store of projects. */
export function browserStore(): KeyValueStore {
  return localforage.createInstance({ name: PROJECTS, storeName: 'projects' });
}
