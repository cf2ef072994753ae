import { LatestOnly, type RunState } from './latestOnly';

/** What has a first look and a whole answer. */
export interface Looking<I, L, O> {
  /** The first look at an input */
  look(input: I): Promise<L>;
  /** What it is with all that belongs to it */
  whole(look: L): Promise<O>;
  /**
   * What may be shown until the whole is there; null where it must be waited for
   * @param known the last that is whole, if any
   */
  meanwhile(look: L, known: O | null): O | null;
  /** The look that a known answer gives at another input, without a run; null where it gives none */
  carry(known: L, input: I): L | null;
  /** Waits until what came is drawn; the next input is looked at then */
  drawn?(): Promise<void>;
}

/** Time after which a look is made whole though the next input waits already, ms: what is shown meanwhile leans on it. */
const WHOLE_EVERY = 800;

/**
 * Runs that show a first look before their whole answer. Both are made side by side: the next input is looked at while the
 * one before is made whole. While inputs come faster than they are looked at, only now and then one is made whole, so that
 * a core is left to the page.
 */
export class FirstLook<I, L, O> {
  private readonly looks: LatestOnly<I, L>;
  private readonly wholes: LatestOnly<L, O>;
  private state: RunState<I, O> = { done: null, running: false, error: null };
  private readonly listeners = new Set<() => void>();

  /** The look that was given to be made whole last, and when, ms */
  private given: { readonly look: L; readonly at: number } | null = null;

  /** @param now a clock, ms */
  constructor(
    private readonly looking: Looking<I, L, O>,
    private readonly now: () => number = () => performance.now(),
  ) {
    this.looks = new LatestOnly(
      (input) => looking.look(input),
      (known, input) => looking.carry(known, input),
      async () => looking.drawn?.(),
    );
    this.wholes = new LatestOnly((look) => looking.whole(look));
    this.looks.subscribe(() => {
      this.give();
      this.update();
    });
    this.wholes.subscribe(() => this.update());
  }

  readonly getState = (): RunState<I, O> => this.state;

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  /** Asks for an input, as `LatestOnly.request`; of one that could not be made whole, for that again. */
  request(input: I): void {
    this.looks.request(input);
    const { done, running } = this.looks.getState();
    if (!running && done?.input === input && this.wholes.getState().error) this.wholes.request(done.value);
  }

  /** Whether an input is being looked at; its whole may still be made. */
  get isLooking(): boolean {
    return this.looks.getState().running;
  }

  /** Has the newest look made whole where nothing waits to be looked at, or none has been for a while. */
  private give(): void {
    const { done, running } = this.looks.getState();
    if (!done || this.given?.look === done.value) return;
    const at = this.now();
    if (running && this.given && at - this.given.at < WHOLE_EVERY) return;
    this.given = { look: done.value, at };
    this.wholes.request(done.value);
  }

  private update(): void {
    const looks = this.looks.getState();
    const wholes = this.wholes.getState();
    const done = this.done(looks, wholes);
    const running = looks.running || wholes.running;
    const error = looks.error ?? wholes.error;
    const now = this.state;
    if (done === now.done && running === now.running && error === now.error) return;
    this.state = { done, running, error };
    for (const listener of this.listeners) listener();
  }

  private done(looks: RunState<I, L>, wholes: RunState<L, O>): RunState<I, O>['done'] {
    if (!looks.done) return null;
    const { input, value } = looks.done;
    const before = this.state.done;
    if (wholes.done?.input === value) {
      const whole = wholes.done.value;
      return before?.input === input && before.value === whole ? before : { input, value: whole };
    }
    if (before?.input === input) return before;
    const shown = this.looking.meanwhile(value, wholes.done?.value ?? null);
    return shown === null ? before : { input, value: shown };
  }
}
