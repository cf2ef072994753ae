import { alike } from '../../core';
import {
  attemptEdit,
  conflictText,
  differing,
  mergeProjects,
  type Project,
  refusalText,
  writeProject,
} from '../../model';
import {
  clearJournals,
  type EditsOf,
  type JournalEntry,
  type Journals,
  type KeyValueStore,
  keepAside,
  keepHistory,
  laterEdits,
  openProject,
  type StoredProject,
  saveProject,
  writeJournal,
} from '../../storage';
import { say } from '../../text/en/say/state';
import { type History, recordEdit, redo, startHistory, undo } from './history';
import {
  type Edited,
  type Neighbours,
  onPlanOf,
  type ProjectState,
  type ProjectStoreOptions,
} from './projectState';

/** Time after an edit until it is saved, ms, unless another comes. */
const SAVE_AFTER = 120;
/** Longest time an edit waits for those after it, ms; with the writing itself it stays under half a second. */
const LONGEST_WAIT = 300;

/** The project being worked on: edits, undo, redo, saving as one types, and joining with other pages. */
export class ProjectStore {
  private state: ProjectState;
  private readonly listeners = new Set<() => void>();
  private readonly storage: KeyValueStore;
  private readonly neighbours: Neighbours | null;
  private readonly journals: Journals;
  private readonly page: string;
  private timer: ReturnType<typeof setTimeout> | undefined;
  /** When the oldest edit that waits to be saved was made, ms; null when none does */
  private waitingSince: number | null = null;
  /** What is stored, as far as this page has seen */
  private stored: StoredProject;
  /** Edits made here */
  private edits = 0;
  /** Edits of pages that are gone, by page, that are in the project but not stored yet */
  private joined: EditsOf;
  /** The time what was stored has gone under this page and is not known to be stored anew; null when it is */
  private gone: object | null = null;
  /** Saving and adopting take turns */
  private queue: Promise<void> = Promise.resolve();

  constructor(options: ProjectStoreOptions) {
    const { project, storage, revision = -1, edits = {}, joined = {}, save = { kind: 'saved' } } = options;
    this.storage = storage;
    this.neighbours = options.neighbours ?? null;
    this.journals = options.journals ?? { kept: null, sent: null };
    this.page = options.page ?? 'page';
    this.stored = { project, revision, edits };
    this.joined = joined;
    this.state = { history: startHistory(project, options.past), save, notice: null };
    this.neighbours?.addEventListener('message', () => {
      this.queue = this.queue.then(() => this.adopt());
    });
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

  /** Takes the notice off. */
  dismiss(): void {
    this.set({ ...this.state, notice: null });
  }

  /** Brings back what pages before had not stored when they were closed, as an edit that can be undone. */
  restore(entries: readonly JournalEntry[]): void {
    for (const { page, before, now, edits, joined } of entries) {
      try {
        const { value } = this.state.history;
        const merged = mergeProjects(before, now, value, value);
        // One that fits nothing any more stays where it is.
        if (!merged.whole) continue;
        this.joined = { ...this.joined, ...joined, [page]: edits };
        if (alike(merged.project, value)) continue;
        this.join('Brought back after closing', merged.project, conflictText(merged.conflicts));
      } catch {
        // Garbled inside: it is passed over, and stays.
      }
    }
    if (Object.keys(this.joined).length > 0) this.schedule();
  }

  /** Tells the next page that this one, being closed, will not save what it has written down. @returns whether nothing is lost */
  leave(): boolean {
    const { value } = this.state.history;
    if (!this.gone && (!this.unsaved || value === this.stored.project)) return true;
    return this.writeDown(value, true);
  }

  /** Writes down at once what is not stored yet: whatever happens to the page in the next moment, it is there. */
  private writeDown(value: Project, left = false): boolean {
    const { edits, joined, journals, page, stored } = this;
    const whole = this.gone && {
      revision: stored.revision,
      text: writeProject(value),
      edits: laterEdits(stored.edits, this.unstored),
    };
    return writeJournal(journals, page, { ...differing(stored.project, value), edits, joined, left, whole });
  }

  /** Stores everything anew where what was stored has gone under this page: deleted by another, or cleared. */
  storeIfGone(): Promise<void> {
    if (this.stored.revision >= 0) {
      this.gone = {};
      // At once: the page may be closed before it is stored.
      this.writeDown(this.state.history.value);
    }
    this.queue = this.queue.then(async () => {
      const { gone } = this;
      if (!gone) return;
      const found = await openProject(this.storage);
      if (found.kind === 'nothing') {
        this.set({ ...this.state, save: { kind: 'saving' }, notice: say.storedAnew });
        await this.save();
      } else if (found.kind === 'project') {
        if (this.gone === gone) this.gone = null;
        if (!this.unsaved) this.clear();
      }
    });
    return this.queue;
  }

  /** Edits of each page that are here and may not be stored. */
  private get unstored(): EditsOf {
    return { ...this.joined, [this.page]: this.edits };
  }

  /** Saves at once; also the way on after a failure. */
  saveNow(): Promise<void> {
    clearTimeout(this.timer);
    this.timer = undefined;
    this.queue = this.queue.then(() => this.save());
    return this.queue;
  }

  /** True while something is not yet saved. */
  get unsaved(): boolean {
    return this.timer !== undefined || this.state.save.kind !== 'saved';
  }

  private async save(): Promise<void> {
    if (this.state.save.kind === 'saved') return;
    const { gone } = this;
    this.waitingSince = null;
    this.set({ ...this.state, save: { kind: 'saving' } });
    try {
      this.stored = await saveProject(
        this.storage,
        () => this.state.history.value,
        this.stored,
        (theirs) => this.joinTheirs(theirs),
        () => this.unstored,
      );
      if (this.gone === gone) this.gone = null;
      this.neighbours?.postMessage('saved');
      const { value, past } = this.state.history;
      // Edited while it was written.
      if (value !== this.stored.project) return this.schedule();
      void keepHistory(this.storage, this.stored.revision, value, past);
      this.set({ ...this.state, save: { kind: 'saved' } });
      if (!this.gone) this.clear();
    } catch (error) {
      this.set({ ...this.state, save: { kind: 'failed', reason: (error as Error).message } });
    }
  }

  /** Forgets what was written down: it is stored. */
  private clear(): void {
    clearJournals(this.journals, [...Object.keys(this.joined), this.page]);
    this.joined = {};
  }

  /**
   * Takes over what another page of this browser saved, as an edit that can be undone. What is unsaved here is joined
   * with it. The plan on this page's workbench stays where it is.
   */
  private async adopt(): Promise<void> {
    const found = await openProject(this.storage);
    if (found.kind !== 'project' || found.revision === this.stored.revision) return;
    const { history } = this.state;
    if (this.unsaved) await this.joinTheirs(found.project);
    else {
      const theirs = onPlanOf(history.value, found.project);
      if (!alike(theirs, history.value)) this.join('Changed on another page', theirs, '');
    }
    this.stored = found;
    if (this.unsaved) this.schedule();
  }

  /** Joins what another page stored with what is here: theirs first, then both, each a step that can be undone. */
  private async joinTheirs(project: Project): Promise<Project> {
    let mine = this.state.history.value;
    const theirs = onPlanOf(mine, project);
    if (alike(theirs, mine)) return mine;
    let merged = mergeProjects(this.stored.project, mine, theirs, mine);
    if (!merged.whole) {
      await keepAside(this.storage, writeProject(project), []);
      // With what was edited meanwhile.
      mine = this.state.history.value;
      merged = mergeProjects(this.stored.project, mine, theirs, mine);
    }
    // From here on what is written down is what differs from theirs: their own edits are not for this page to bring back.
    this.stored = { ...this.stored, project };
    const now = performance.now();
    const adopted = recordEdit(this.state.history, theirs, 'Changed on another page', null, now);
    const notice = merged.whole ? conflictText(merged.conflicts) : say.anotherPageChangedProject;
    this.set({
      ...this.state,
      history: recordEdit(adopted, merged.project, 'Edit on this page', null, now),
      notice: notice || this.state.notice,
    });
    return merged.project;
  }

  private join(label: string, project: Project, notice: string): void {
    const history = recordEdit(this.state.history, project, label, null, performance.now());
    this.set({ ...this.state, history, notice: notice || this.state.notice });
  }

  private move(history: History<Project>): void {
    if (history === this.state.history) return;
    this.edits += 1;
    // Before anything is drawn, which takes its time.
    this.writeDown(history.value);
    this.set({ ...this.state, history });
    this.schedule();
  }

  /** Saves in a moment: soon after the last edit, but never long after the first. */
  private schedule(): void {
    const now = performance.now();
    this.waitingSince ??= now;
    if (this.state.save.kind === 'saved') this.set({ ...this.state, save: { kind: 'saving' } });
    clearTimeout(this.timer);
    const left = this.waitingSince + LONGEST_WAIT - now;
    this.timer = setTimeout(() => void this.saveNow(), Math.max(0, Math.min(SAVE_AFTER, left)));
  }

  private set(state: ProjectState): void {
    this.state = state;
    for (const listener of this.listeners) listener();
  }
}
