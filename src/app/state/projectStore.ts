import { attemptEdit, type Problem, type Project, refusalText } from '../../project';
import { type KeyValueStore, openProject, saveProject } from '../../storage';
import { type History, recordEdit, redo, startHistory, undo } from './history';

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
}

/** The little of a BroadcastChannel that is used; pages of one browser hear each other on it. */
export interface Neighbours {
  postMessage(message: string): void;
  addEventListener(type: 'message', listener: () => void): void;
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
    private readonly neighbours: Neighbours | null = null,
  ) {
    this.state = { history: startHistory(project), save };
    neighbours?.addEventListener('message', () => void this.adopt());
  }

  readonly getState = (): ProjectState => this.state;

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  /**
   * Makes an edit, unless what comes of it could not be read back.
   * @param label what it does, for the undo menu
   * @param key edits of one key close together are undone together
   */
  edit(label: string, change: (project: Project) => Project, key: string | null = null): Edited {
    const { history } = this.state;
    const attempt = attemptEdit(history.value, change);
    if (!attempt.ok) {
      const { problems } = attempt;
      return { made: false, problems, message: refusalText(history.value, problems) };
    }
    this.move(recordEdit(history, attempt.project, label, key, performance.now()));
    return { made: true, undo: this.undoLast() };
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
      this.neighbours?.postMessage('saved');
    } catch (error) {
      this.set({ ...this.state, save: { kind: 'failed', reason: (error as Error).message } });
    }
  }

  /** True while something is not yet saved. */
  get unsaved(): boolean {
    return this.timer !== undefined || this.state.save.kind !== 'saved';
  }

  /**
   * Takes over what another page of this browser saved, as an edit that can be undone. What is unsaved here stays on top
   * of it, so that neither page's work is lost. The plan on this page's workbench stays where it is.
   */
  private async adopt(): Promise<void> {
    const found = await openProject(this.store);
    if (found.kind !== 'project') return;
    const { history, save } = this.state;
    const own = history.value;
    const keeps = found.project.plans.some((plan) => plan.id === own.selectedPlanId);
    const theirs = keeps ? { ...found.project, selectedPlanId: own.selectedPlanId } : found.project;
    if (JSON.stringify(theirs) === JSON.stringify(own)) return;
    const label = 'Changed on another page';
    const adopted = recordEdit(history, theirs, label, null, performance.now());
    if (!this.unsaved) this.set({ history: adopted, save });
    else this.set({ history: recordEdit(adopted, own, 'Edit on this page', null, performance.now()), save });
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
