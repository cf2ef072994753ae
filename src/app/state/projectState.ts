import type { Problem, Project } from '../../model';
import type { EditsOf, Journals, KeyValueStore, PastStep } from '../../storage';
import type { History } from './history';

/** Whether what is on the screen is also in the browser's storage. */
export type SaveState =
  | { readonly kind: 'saved' }
  | { readonly kind: 'saving' }
  | { readonly kind: 'failed'; readonly reason: string };

/** An edit that was made, with how to take back just it, or why it was not. */
export type Edited =
  | {
      readonly made: true;
      /** False when other edits have come after it */
      readonly undo: () => boolean;
    }
  | { readonly made: false; readonly problems: readonly Problem[]; readonly message: string };

export interface ProjectState {
  readonly history: History<Project>;
  readonly save: SaveState;
  /** What joining with another page left to be said; null for nothing */
  readonly notice: string | null;
}

/** The little of a BroadcastChannel that is used; pages of one browser hear each other on it. */
export interface Neighbours {
  postMessage(message: string): void;
  addEventListener(type: 'message', listener: () => void): void;
}

export interface ProjectStoreOptions {
  readonly project: Project;
  /** Steps that can be undone, of the page before; the oldest first */
  readonly past?: readonly PastStep[];
  readonly storage: KeyValueStore;
  /** Revision `project` was stored as; −1 where nothing was */
  readonly revision?: number;
  /** Edits of each page that are stored with it */
  readonly edits?: EditsOf;
  /** Edits of pages that are gone, by page, that it has and that are not stored */
  readonly joined?: EditsOf;
  readonly save?: SaveState;
  readonly neighbours?: Neighbours | null;
  readonly journals?: Journals;
  /** Id of this page among those that are open */
  readonly page?: string;
}

/** A project as another page has it, with the plan that is shown here if it has that. */
export function onPlanOf({ selectedPlanId }: Project, theirs: Project): Project {
  return theirs.plans.some((plan) => plan.id === selectedPlanId) ? { ...theirs, selectedPlanId } : theirs;
}
