import { afterEach, describe, expect, it, vi } from 'vitest';
import { demoProject } from '../../demo/project';
import { type DayInput, type DayResult, judgedDay, type Left, leftAtWorse } from '../core';
import { dayInput, setupOf } from '../model';
import { Beside, type SecondEngine } from './beside';
import { EngineClient } from './engineClient';
import { LatestOnly } from './latestOnly';
import { EngineError, type WorkerClient } from './workerClient';

describe('LatestOnly', () => {
  it('finishes what is under way, then computes only the newest of what came meanwhile', async () => {
    const finish: (() => void)[] = [];
    const started: number[] = [];
    const runner = new LatestOnly<number, number>((input) => {
      started.push(input);
      return new Promise((resolve) => finish.push(() => resolve(input * 10)));
    });
    const seen: (number | undefined)[] = [];
    runner.subscribe(() => seen.push(runner.getState().done?.value));
    for (const input of [1, 2, 3, 4]) runner.request(input);
    expect(started).toEqual([1]);
    finish[0]();
    await vi.waitFor(() => expect(started).toEqual([1, 4]));
    expect(runner.getState()).toMatchObject({ done: { value: 10 }, running: true });
    finish[1]();
    await vi.waitFor(() =>
      expect(runner.getState()).toEqual({ done: { input: 4, value: 40 }, running: false, error: null }),
    );
    expect(seen).toContain(10);
  });

  it('keeps the last good result through a failure and goes on after it', async () => {
    const runner = new LatestOnly<number, number>(async (input) => {
      if (input < 0) throw new Error('no');
      return input;
    });
    runner.request(1);
    await vi.waitFor(() => expect(runner.getState().done?.value).toBe(1));
    runner.request(-1);
    await vi.waitFor(() => expect(runner.getState().error?.message).toBe('no'));
    expect(runner.getState().done?.value).toBe(1);
    runner.request(2);
    await vi.waitFor(() => expect(runner.getState()).toMatchObject({ done: { value: 2 }, error: null }));
  });
});

class SilentWorker extends EventTarget {
  terminated = false;
  postMessage() {}
  terminate() {
    this.terminated = true;
  }
}

describe('EngineClient', () => {
  afterEach(() => vi.useRealTimers());
  const simulate = (client: EngineClient) =>
    client.call((engine) => engine.readDocument('{}') as Promise<unknown>);

  it('fails what waits when the worker dies, and starts a new one for the next call', async () => {
    const workers: SilentWorker[] = [];
    const client = new EngineClient(() => {
      workers.push(new SilentWorker());
      return workers[workers.length - 1] as unknown as Worker;
    });
    const waiting = Promise.allSettled([simulate(client), simulate(client)]);
    workers[0].dispatchEvent(Object.assign(new Event('error'), { message: 'out of memory' }));
    for (const outcome of await waiting) {
      expect(outcome.status === 'rejected' && outcome.reason).toBeInstanceOf(EngineError);
      expect(outcome.status === 'rejected' && String(outcome.reason)).toContain('out of memory');
    }
    expect(workers[0].terminated).toBe(true);
    void simulate(client).catch(() => {});
    expect(workers.length).toBe(2);
  });

  it('ends the computation when asked to, with its worker, and only that one', async () => {
    const workers: SilentWorker[] = [];
    const client = new EngineClient(() => {
      workers.push(new SilentWorker());
      return workers[workers.length - 1] as unknown as Worker;
    });
    const abort = new AbortController();
    const outcome = expect(
      client.call((engine) => engine.readDocument('{}') as Promise<unknown>, abort.signal),
    ).rejects.toThrow('cancelled');
    abort.abort();
    await outcome;
    expect(workers[0].terminated).toBe(true);
    void simulate(client).catch(() => {});
    expect(workers.length).toBe(2);
    // An abort that comes late does not touch the next computation.
    abort.abort();
    expect(workers[1].terminated).toBe(false);
  });

  it('gives up on a worker that stays silent', async () => {
    vi.useFakeTimers();
    const worker = new SilentWorker();
    const client = new EngineClient(() => worker as unknown as Worker);
    const outcome = expect(simulate(client)).rejects.toThrow(/did not answer/);
    await vi.advanceTimersByTimeAsync(21_000);
    await outcome;
    expect(worker.terminated).toBe(true);
  });
});

describe('Beside', () => {
  const input = dayInput(setupOf(demoProject));
  const told = ({ verdict, margins, forceMargins, peaks }: DayResult) => ({
    verdict,
    margins,
    forceMargins,
    peaks,
  });
  const alone = told(judgedDay(input));
  const worse = leftAtWorse(input);
  const asking = (answer: () => unknown) => {
    const asked: DayInput[] = [];
    const call = async (use: (engine: SecondEngine) => unknown) =>
      use({
        leftAtWorse: (day) => {
          asked.push(day);
          return answer() as Left;
        },
      });
    return { asked, second: { call } as unknown as WorkerClient<SecondEngine> };
  };

  /** Which has judged its first day, so that the other has begun. */
  const begun = async (second: WorkerClient<SecondEngine>) => {
    const waiting: (() => void)[] = [];
    const beside = new Beside(second, (act) => waiting.push(act));
    await beside.day(input);
    expect(waiting.length).toBe(1);
    waiting[0]();
    await new Promise((done) => setTimeout(done, 0));
    return beside;
  };

  it('judges its first day alone, those after it with what the other says of less cooling', async () => {
    const { asked, second } = asking(() => worse);
    const waiting: (() => void)[] = [];
    const beside = new Beside(second, (act) => waiting.push(act));
    for (let k = 0; k < 2; k++) expect(told(await beside.day(input))).toEqual(alone);
    expect([asked.length, waiting.length]).toEqual([0, 1]);
    waiting[0]();
    await vi.waitFor(() => expect(asked.length).toBe(1));
    expect(told(await beside.day(input))).toEqual(alone);
    expect(asked).toEqual([input, input]);
    // What the other says is what counts.
    const worst = worse.margins.map((own) => ({ ...own, margin: -123 }));
    const odd = await begun(asking(() => ({ margins: worst, forceMargins: [] })).second);
    const day = await odd.day(input);
    expect(new Set(day.margins.map(({ lessCooling }) => lessCooling))).toEqual(new Set([-123]));
  });

  it('does both itself where the other has died, and asks it no more', async () => {
    let dead = false;
    const { asked, second } = asking(() => {
      if (dead) throw new EngineError('gone');
      return worse;
    });
    const beside = await begun(second);
    dead = true;
    for (let k = 0; k < 2; k++) expect((await beside.day(input)).verdict).toEqual(alone.verdict);
    expect(asked.length).toBe(2);
    expect((await new Beside(null).day(input)).verdict).toEqual(alone.verdict);
  });

  it('says what is wrong with a day as it is said without the other, which stays', async () => {
    let wrong = false;
    const { asked, second } = asking(() => {
      if (wrong) throw new RangeError('the same there');
      return worse;
    });
    const beside = await begun(second);
    wrong = true;
    const heavy = { ...input, vehicle: { ...input.vehicle, mass: Number.NaN } };
    for (let k = 0; k < 2; k++) await expect(beside.day(heavy)).rejects.toThrow(/not a number/);
    expect(asked.length).toBe(3);
  });
});
