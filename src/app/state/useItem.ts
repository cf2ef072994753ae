import {
  getAt,
  type ItemOf,
  type Path,
  pathText,
  refusalText,
  replaceItem,
  type Shelf,
  setAt,
} from '../../model';
import { useProject, useStore } from './context';

/** An item being edited: every change is checked as a whole, then saved, or answered with what is wrong. */
export interface Editing<S extends Shelf> {
  readonly item: ItemOf<S>;
  readonly get: (path: Path) => unknown;
  /** Sets one value; what is wrong with it, or null */
  readonly set: (path: Path, value: unknown, label: string) => string | null;
  /** Replaces the whole item; what is wrong with it, or null */
  readonly replace: (item: ItemOf<S>, label: string) => string | null;
}

export function useItem<S extends Shelf>(shelf: S, id: string): Editing<S> | null {
  const project = useProject();
  const store = useStore();
  const item = (project[shelf] as ItemOf<S>[]).find((candidate) => candidate.id === id);
  if (!item) return null;
  const save = (next: ItemOf<S>, path: Path, label: string, key: string | null): string | null => {
    const edited = store.edit(label, (p) => replaceItem(p, shelf, next), key);
    if (edited.made) return null;
    const now = store.getState().history.value;
    const index = now[shelf].findIndex((candidate) => candidate.id === id);
    const at = `${shelf}[${index}].${pathText(path)}`;
    const here = edited.problems.find((problem) => problem.path === at);
    // At its own field the title goes without saying too.
    return refusalText(now, here ? [{ ...here, path: '' }] : edited.problems, false);
  };
  return {
    item,
    get: (path) => getAt(item, path),
    // Read again from the store: two fields may change before the next render.
    set: (path, value, label) => {
      const list = store.getState().history.value[shelf] as ItemOf<S>[];
      const now = list.find((candidate) => candidate.id === id) ?? item;
      return save(setAt(now, path, value) as ItemOf<S>, path, label, `${id}/${pathText(path)}`);
    },
    replace: (next, label) => save(next, [], label, null),
  };
}
