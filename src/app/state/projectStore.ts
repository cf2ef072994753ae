import type { Project } from '../../project';
import { type KeyValueStore, saveProject } from '../../storage';
import { type History, recordEdit, redo, startHistory, undo } from './history';

/** Whether what is on the screen is also in the browser's storage. */
export type SaveState =
  | { readonly kind: 'saved' }
  | { readonly kind: 'saving' }
  | { readonly kind: 'failed'; readonly reason: string };

export interface ProjectState {
  readonly history: History<Project>;
  readonly save: SaveState;
}

/** Time after the last edit until it is saved, ms. */
const SAVE_AFTER = 250;

/** The project being worked on: edits, undo, redo, and saving as one types. */
export class ProjectStore {
  private state: ProjectState;
  private readonly listeners = new Set<() => void>();
  private timer: ReturnType<typeof setTimeout> | undefined;

  constructor(
    project: Project,
    private readonly store: KeyValueStore,
    save: SaveState = { kind: 'saved' },
  ) {
    this.state = { history: startHistory(project), save };
  }

  readonly getState = (): ProjectState => this.state;

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  /**
   * Makes an edit.
   * @param label what it does, for the undo menu
   * @param key edits of one key close together are undone together
   * @returns takes back just this edit; false when others have come after it
   */
  edit(label: string, change: (project: Project) => Project, key: string | null = null): () => boolean {
    const { history } = this.state;
    this.move(recordEdit(history, change(history.value), label, key, performance.now()));
    return this.undoLast();
  }

  /** Takes back the edit made last as of now; false, later, when others have come after it. */
  undoLast(): () => boolean {
    const edited = this.state.history.value;
    return () => {
      if (this.state.history.value !== edited) return false;
      this.undo();
      return true;
    };
  }

  undo(): void {
    this.move(undo(this.state.history));
  }

  redo(): void {
    this.move(redo(this.state.history));
  }

  /** Saves at once; also the way on after a failure. */
  async saveNow(): Promise<void> {
    clearTimeout(this.timer);
    this.timer = undefined;
    const project = this.state.history.value;
    this.set({ ...this.state, save: { kind: 'saving' } });
    try {
      await saveProject(this.store, project);
      if (this.state.history.value === project) this.set({ ...this.state, save: { kind: 'saved' } });
    } catch (error) {
      this.set({ ...this.state, save: { kind: 'failed', reason: (error as Error).message } });
    }
  }

  /** True while something is not yet saved. */
  get unsaved(): boolean {
    return this.timer !== undefined || this.state.save.kind !== 'saved';
  }

  private move(history: History<Project>): void {
    if (history === this.state.history) return;
    const save: SaveState = this.state.save.kind === 'failed' ? this.state.save : { kind: 'saving' };
    this.set({ history, save });
    clearTimeout(this.timer);
    this.timer = setTimeout(() => void this.saveNow(), SAVE_AFTER);
  }

  private set(state: ProjectState): void {
    this.state = state;
    for (const listener of this.listeners) listener();
  }
}
