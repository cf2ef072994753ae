import * as Comlink from 'comlink';
import { say } from '../text/en/say/compute';

/** The worker died, could not start, or did not answer in time. */
export class EngineError extends Error {}

/** Longest wait for an answer, ms; a session takes some hundredths of that. */
const PATIENCE = 20_000;

/** A worker that is started when first needed and started again after it died. */
export class WorkerClient<E> {
  private worker: Worker | null = null;
  private remote: Comlink.Remote<E> | null = null;
  private readonly waiting = new Set<(error: EngineError) => void>();

  /** @param patience longest wait for an answer, ms */
  constructor(
    private readonly create: () => Worker,
    private readonly patience = PATIENCE,
  ) {}

  /**
   * Calls the engine.
   * @param signal aborted, the computation is ended with its worker
   * @throws EngineError when the worker dies or stays silent or is aborted; the next call starts a new one
   */
  async call<T>(use: (engine: Comlink.Remote<E>) => Promise<T>, signal?: AbortSignal): Promise<T> {
    const abort = () => this.die(say.computationWasCancelled);
    signal?.addEventListener('abort', abort);
    const engine = this.start();
    let timer: ReturnType<typeof setTimeout> | undefined;
    let fail: ((error: EngineError) => void) | undefined;
    const death = new Promise<never>((_, reject) => {
      fail = reject;
      this.waiting.add(reject);
      timer = setTimeout(() => this.die(say.computationDidNotAnswer(this.patience / 1000)), this.patience);
    });
    try {
      return await Promise.race([use(engine), death]);
    } finally {
      clearTimeout(timer);
      signal?.removeEventListener('abort', abort);
      if (fail) this.waiting.delete(fail);
    }
  }

  /** Ends the worker; everything that waits for it fails with the message. */
  die(message: string): void {
    this.worker?.terminate();
    this.worker = null;
    this.remote = null;
    for (const reject of [...this.waiting]) reject(new EngineError(message));
    this.waiting.clear();
  }

  private start(): Comlink.Remote<E> {
    if (this.remote) return this.remote;
    this.worker = this.create();
    this.worker.addEventListener('error', (event) => {
      event.preventDefault();
      this.die(say.computationStopped(event.message ? `: ${event.message}` : ' or could not be loaded'));
    });
    this.worker.addEventListener('messageerror', () => this.die(say.computationSAnswerCould));
    this.remote = Comlink.wrap<E>(this.worker);
    return this.remote;
  }
}
