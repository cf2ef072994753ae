/** What a runner shows. `value` stays while a newer input is computed or has failed. */
export interface RunState<I, O> {
  /** Input and output of the last run that ended well */
  readonly done: { readonly input: I; readonly value: O } | null;
  readonly running: boolean;
  /** Why the newest input could not be computed */
  readonly error: Error | null;
}

/**
 * Runs one input at a time and keeps only the newest of those that came meanwhile. A run that is under way is never
 * thrown away, so that results keep coming while a control moves.
 */
export class LatestOnly<I, O> {
  private state: RunState<I, O> = { done: null, running: false, error: null };
  private next: { input: I } | null = null;
  private readonly listeners = new Set<() => void>();

  /**
   * @param carry gives a value that is known to answer another input too, without a run; null where it does not
   * @param drawn waits until what came is drawn: a run beside it would slow both. The newest of what came meanwhile is next
   */
  constructor(
    private readonly run: (input: I) => Promise<O>,
    private readonly carry: (value: O, input: I) => O | null = () => null,
    private readonly drawn: () => Promise<void> = async () => {},
  ) {}

  readonly getState = (): RunState<I, O> => this.state;

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  /** Asks for an input to be computed, now or right after the one under way; of what is known already nothing is. */
  request(input: I): void {
    const { done, running } = this.state;
    if (done && !running) {
      if (done.input === input && !this.state.error) return;
      const value = this.carry(done.value, input);
      if (value !== null) {
        this.set({ done: { input, value }, running, error: null });
        return;
      }
    }
    this.next = { input };
    if (!this.state.running) void this.work();
  }

  private async work(): Promise<void> {
    this.set({ ...this.state, running: true });
    while (this.next) {
      const { input } = this.next;
      this.next = null;
      try {
        const value = await this.run(input);
        this.set({ done: { input, value }, running: this.next !== null, error: null });
      } catch (error) {
        this.set({ ...this.state, running: this.next !== null, error: error as Error });
      }
      if (this.next) await this.drawn();
    }
  }

  private set(state: RunState<I, O>): void {
    this.state = state;
    for (const listener of this.listeners) listener();
  }
}
