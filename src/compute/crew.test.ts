import * as Comlink from 'comlink';
import { describe, expect, it, vi } from 'vitest';
import { CancelledError, Crew } from './crew';
import { EngineClient } from './engineClient';
import { EngineError } from './workerClient';

interface Counting {
  twice(value: number): Promise<number>;
}

/** A worker of this process: it speaks with its page through a channel, and can be made to die. */
class NearWorker extends EventTarget {
  readonly onmessage = null;
  ended = false;
  private readonly page: MessagePort;
  private readonly inside: MessagePort;

  constructor(twice: (value: number, worker: NearWorker) => number | Promise<number>) {
    super();
    const channel = new MessageChannel();
    this.page = channel.port1;
    this.inside = channel.port2;
    this.page.onmessage = (event) => {
      if (!this.ended) this.dispatchEvent(new MessageEvent('message', { data: event.data }));
    };
    Comlink.expose(
      { twice: (value: number) => twice(value, this) },
      this.inside as unknown as Comlink.Endpoint,
    );
  }

  postMessage(message: unknown): void {
    this.page.postMessage(message);
  }

  terminate(): void {
    this.ended = true;
    this.page.close();
  }

  die(): void {
    this.dispatchEvent(Object.assign(new Event('error'), { message: 'it fell over' }));
  }
}

function crewOf(
  size: number,
  twice: (value: number, worker: NearWorker) => number | Promise<number>,
  still?: () => Promise<void>,
) {
  const workers: NearWorker[] = [];
  const create = () => {
    const worker = new NearWorker(twice);
    workers.push(worker);
    return worker as unknown as Worker;
  };
  const crew = new Crew<Counting>(size, { create, ...(still && { still }) });
  const run = (jobs: readonly number[], options: Parameters<typeof crew.run<number, number>>[2] = {}) =>
    crew.run<number, number>(jobs, (engine, job) => engine.twice(job) as Promise<number>, options);
  return { crew, workers, run };
}
const jobs = Array.from({ length: 12 }, (_, i) => i);
const wait = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

describe('a crew of workers', () => {
  it('leaves a core to the page while something moves there, and takes it when it is still', async () => {
    let letGo: () => void = () => {};
    const moving = new Promise<void>((resolve) => {
      letGo = resolve;
    });
    const by: NearWorker[] = [];
    const { run, workers } = crewOf(
      2,
      async (value, worker) => {
        by.push(worker);
        if (by.length === 6) letGo();
        await wait(2);
        return 2 * value;
      },
      () => moving,
    );
    expect(await run(jobs)).toEqual(jobs.map((job) => 2 * job));
    expect(new Set(by.slice(0, 6)).size).toBe(1);
    expect(new Set(by).size).toBe(2);
    expect(workers).toHaveLength(2);
  });

  it('takes the workers that the page has, the page’s own last and for no single job', async () => {
    const by: string[] = [];
    const member = (name: string) =>
      new EngineClient<Counting>(
        () =>
          new NearWorker(async (value) => {
            by.push(name);
            await wait(2);
            return 2 * value;
          }) as unknown as Worker,
      );
    const members = [member('own'), member('other')];
    const create = () => {
      throw new Error('a third worker');
    };
    const crew = new Crew<Counting>(2, { members, create });
    for (const job of [1, 2, 3]) {
      expect(await crew.ask((engine) => engine.twice(job) as Promise<number>)).toBe(2 * job);
    }
    expect(by).toEqual(['other', 'other', 'other']);
    await crew.run(jobs, (engine, job) => engine.twice(job) as Promise<number>);
    expect(new Set(by)).toEqual(new Set(['other', 'own']));
    const alone = new Crew<Counting>(1, { members: [member('only')], create });
    expect(await alone.ask((engine) => engine.twice(4) as Promise<number>)).toBe(8);
    expect(by.at(-1)).toBe('only');
  });

  it('shares the jobs and gives results in their order, however they come', async () => {
    const busy = new Set<NearWorker>();
    let together = 0;
    const { run, workers } = crewOf(3, async (value, worker) => {
      busy.add(worker);
      together = Math.max(together, busy.size);
      await wait(value % 3 === 0 ? 12 : 2);
      busy.delete(worker);
      return 2 * value;
    });
    const told: number[] = [];
    const progress: number[] = [];
    const results = await run(jobs, {
      onDone: (result, index, { done, all }) => {
        told[index] = result;
        progress.push(done);
        expect(all).toBe(12);
      },
    });
    expect(results).toEqual(jobs.map((job) => 2 * job));
    expect(told).toEqual(results);
    expect(progress).toEqual(jobs.map((job) => job + 1));
    expect(workers).toHaveLength(3);
    expect(together).toBe(3);
    expect(await run(jobs, { workers: 1 })).toEqual(results);
    expect(workers).toHaveLength(3);
  });

  it('gives a job out again when its worker dies of it, and to no end only when it always does', async () => {
    const tries = new Map<number, number>();
    const { run, workers } = crewOf(2, (value, worker) => {
      const before = tries.get(value) ?? 0;
      tries.set(value, before + 1);
      if (value === 5 && before < 2) {
        worker.die();
        return new Promise(() => {});
      }
      return 2 * value;
    });
    expect(await run(jobs)).toEqual(jobs.map((job) => 2 * job));
    expect(tries.get(5)).toBe(3);
    expect(workers.length).toBeGreaterThanOrEqual(3);

    const hopeless = crewOf(2, (value, worker) => {
      if (value !== 3) return value;
      worker.die();
      return new Promise(() => {});
    });
    const kept: number[] = [];
    const failing = hopeless.run(jobs, { onDone: (result) => void kept.push(result) });
    await expect(failing).rejects.toThrow(EngineError);
    await expect(failing).rejects.toThrow('it fell over');
    // What was finished before had been handed on.
    expect(kept).toContain(0);
    expect(kept).not.toContain(3);
  });

  it('gives each worker the next job while it is at one, but the last ones to whoever is free', async () => {
    const open = new Map<number, () => void>();
    const { run } = crewOf(2, async (value) => {
      await new Promise<void>((resolve) => open.set(value, resolve));
      return 2 * value;
    });
    const there = (values: number[]) =>
      vi.waitFor(() => expect([...open.keys()].sort((a, b) => a - b)).toEqual(values));
    const running = run([0, 1, 2, 3, 4, 5, 6]);
    await there([0, 1, 2, 3]);
    for (const [job, with_] of [
      [0, [0, 1, 2, 3, 4]],
      // Two are left for two workers: who has one already gets no other.
      [2, [0, 1, 2, 3, 4]],
      [1, [0, 1, 2, 3, 4, 5]],
    ] as const) {
      open.get(job)?.();
      await there([...with_]);
    }
    for (let k = 0; k < 7; k++) await vi.waitFor(() => (open.get(k) as () => void)());
    expect(await running).toEqual([0, 2, 4, 6, 8, 10, 12]);
  });

  it('ends at once when cancelled: nothing more is begun, and its workers stay for the next work', async () => {
    const begun: number[] = [];
    let finish = () => {};
    const finished = new Promise<void>((resolve) => {
      finish = resolve;
    });
    const { run, workers } = crewOf(2, async (value) => {
      begun.push(value);
      if (value >= 3) await finished;
      return 2 * value;
    });
    const abort = new AbortController();
    const kept: number[] = [];
    const running = run(jobs, { signal: abort.signal, onDone: (result) => void kept.push(result) });
    await vi.waitFor(() => expect(begun).toHaveLength(7));
    abort.abort();
    // Both workers are still at it, and have the next with them: whoever cancels does not wait for them.
    await expect(running).rejects.toThrow(CancelledError);
    finish();
    expect(kept.sort()).toEqual([0, 2, 4]);
    expect(await run([1, 2])).toEqual([2, 4]);
    expect(begun).toEqual([0, 1, 2, 3, 4, 5, 6, 1, 2]);
    expect(workers).toHaveLength(2);
    expect(workers.some((worker) => worker.ended)).toBe(false);
    const already = new AbortController();
    already.abort();
    await expect(run([1], { signal: already.signal })).rejects.toThrow(CancelledError);
  });

  it('hands on what a job itself throws, without trying again', async () => {
    let asked = 0;
    const { run } = crewOf(1, () => {
      asked += 1;
      throw new RangeError('the session is too short');
    });
    await expect(run([1, 2, 3, 4])).rejects.toThrow('the session is too short');
    // The next was with the worker already; no more are given out.
    expect(asked).toBe(2);
  });
});
