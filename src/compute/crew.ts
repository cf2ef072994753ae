import type * as Comlink from 'comlink';
import { createEngineWorker } from './createWorkers';
import type { Engine } from './engine.worker';
import { EngineClient } from './engineClient';
import { EngineError } from './workerClient';

/** How far a piece of work has come. */
export interface CrewProgress {
  readonly done: number;
  readonly all: number;
}

/** The work was cancelled by whoever asked for it. */
export class CancelledError extends Error {
  constructor() {
    super('cancelled');
  }
}

/** Times a job is given to another worker after one died of it. */
const MORE_TRIES = 2;

export interface CrewOptions<E = Engine> {
  /** Workers that the page has already; they are warm, and asked for other things too. None by default */
  readonly members?: readonly EngineClient<E>[];
  readonly create?: () => Worker;
  readonly patience?: number;
  readonly still?: () => Promise<void>;
}

/** Several workers that share a list of jobs. Which of them does a job makes no difference to its result. */
export class Crew<E = Engine> {
  private readonly members: EngineClient<E>[];
  private readonly create: () => Worker;
  private readonly patience: number;
  private readonly still: () => Promise<void>;

  /**
   * @param size most workers at once
   * @param members workers there are; those that are missing are made
   * @param create makes one; the engine by default
   * @param patience longest wait for one job, ms
   * @param still waits until nothing on the page moves: while it does, the first of several workers takes no new job
   */
  constructor(
    readonly size: number,
    {
      members = [],
      create = createEngineWorker,
      patience = 120_000,
      still = async () => {},
    }: CrewOptions<E> = {},
  ) {
    this.members = [...members];
    this.create = create;
    this.patience = patience;
    this.still = still;
  }

  /**
   * Has every job done, each by the next worker that is free. While many are left, each worker has the next one with it
   * already: it does not wait for the page between two. A worker that dies is replaced and its jobs given out again.
   * @param jobs each with what to ask of a worker
   * @param onDone told of each result as it comes, in whatever order
   * @param workers how many to use; all by default
   * @returns results in the order of the jobs
   * @throws CancelledError as soon as the signal is aborted: no further job is given out, what a worker has it
   * finishes, so that it stays warm for the next work; EngineError when a job fails again and again; whatever a job throws
   */
  async run<J, R>(
    jobs: readonly J[],
    work: (engine: Comlink.Remote<E>, job: J) => Promise<R>,
    {
      signal,
      onDone,
      workers = this.size,
    }: {
      signal?: AbortSignal;
      onDone?: (result: R, index: number, progress: CrewProgress) => void;
      workers?: number;
    } = {},
  ): Promise<R[]> {
    const results: R[] = new Array(jobs.length);
    let next = 0;
    let done = 0;
    let failed: Error | null = null;
    const one = async (member: EngineClient<E>, index: number): Promise<R> => {
      for (let tries = 0; ; tries++) {
        try {
          return await member.call((engine) => work(engine, jobs[index]));
        } catch (error) {
          if (!(error instanceof EngineError) || tries >= MORE_TRIES || signal?.aborted) throw error;
        }
      }
    };
    const count = Math.max(1, Math.min(workers, this.size, jobs.length));
    const toil = async (member: EngineClient<E>, gives: boolean, ahead: boolean) => {
      for (;;) {
        if (gives) await this.still();
        // The last jobs go to whoever is free: none waits behind another.
        const left = jobs.length - next - (ahead ? count : 0);
        if (left <= 0 || failed || signal?.aborted) return;
        const index = next++;
        try {
          const result = await one(member, index);
          results[index] = result;
          done += 1;
          onDone?.(result, index, { done, all: jobs.length });
        } catch (error) {
          failed ??= error as Error;
        }
      }
    };
    // The first is the page's own where it has one: it is asked last, so that a single job never has the page wait.
    const asked = Array.from({ length: count }, (_, k) => (k + 1) % this.size);
    const all = Promise.all(
      [false, true].flatMap((ahead) => asked.map((i) => toil(this.member(i), i === 0 && count > 1, ahead))),
    );
    await (signal ? Promise.race([all, abortOf(signal)]) : all);
    if (signal?.aborted) throw new CancelledError();
    if (failed) throw failed;
    return results;
  }

  /** Has one thing done. @throws as `run` */
  async ask<R>(work: (engine: Comlink.Remote<E>) => Promise<R>, signal?: AbortSignal): Promise<R> {
    const [answer] = await this.run([work], (engine) => work(engine), signal && { signal });
    return answer;
  }

  private member(index: number): EngineClient<E> {
    this.members[index] ??= new EngineClient<E>(this.create, this.patience);
    return this.members[index];
  }
}

/** Never resolves; fails as soon as the signal is aborted. */
function abortOf(signal: AbortSignal): Promise<never> {
  return new Promise((_, reject) => {
    if (signal.aborted) reject(new CancelledError());
    signal.addEventListener('abort', () => reject(new CancelledError()), { once: true });
  });
}
