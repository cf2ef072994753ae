import { useCallback } from 'react';
import type { Project } from '../../model';
import { say } from '../../text/en/say/state';
import { toast } from '../ui/toast';
import { undoToast } from '../ui/undoToast';
import { useStore } from './context';

/** How an edit is told of. */
interface Told {
  /** What it did, said with a way to take it back; left out, only a refusal is said */
  readonly done?: string;
  /** Edits of one key close together are undone together */
  readonly key?: string;
}

/** Makes edits and says what refuses one; true when it was made. */
export function useEdit(): (label: string, change: (project: Project) => Project, told?: Told) => boolean {
  const store = useStore();
  return useCallback(
    (label, change, { done, key } = {}) => {
      const edited = store.edit(label, change, key ?? null);
      if (!edited.made) {
        toast.error(say.nothingWasChanged(edited.message), { duration: 10_000 });
        return false;
      }
      if (done) undoToast(done, edited.undo);
      return true;
    },
    [store],
  );
}
