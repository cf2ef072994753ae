import { afterEach, describe, expect, it, vi } from 'vitest';
import { demoProject } from '../../demo/project';
import { type DayResult, judgedDay, type Left, leftAtWorse, simulateDay } from '../core';
import { dayInput, setupOf } from '../model';
import { EngineClient } from './engineClient';
import { FirstLook } from './firstLook';
import { type Driving, Judging } from './judging';
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

  it('begins the next once what came is drawn, with the newest there is by then', async () => {
    const begun: number[] = [];
    const frames: (() => void)[] = [];
    const runner = new LatestOnly<number, number>(
      async (input) => {
        begun.push(input);
        if (input === 3) throw new Error('no');
        return input;
      },
      undefined,
      () => new Promise((resolve) => frames.push(resolve)),
    );
    for (const input of [1, 2]) runner.request(input);
    await vi.waitFor(() => expect(frames).toHaveLength(1));
    expect(runner.getState()).toMatchObject({ done: { value: 1 }, running: true });
    runner.request(3);
    await new Promise((done) => setTimeout(done, 5));
    expect(begun).toEqual([1]);
    frames[0]();
    await vi.waitFor(() =>
      expect(runner.getState()).toMatchObject({ running: false, error: { message: 'no' } }),
    );
    expect(begun).toEqual([1, 3]);
    // Nothing waits: nothing is waited for.
    runner.request(4);
    await vi.waitFor(() => expect(runner.getState().done?.value).toBe(4));
    expect(frames).toHaveLength(1);
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

describe('FirstLook', () => {
  const waiting = (now?: () => number) => {
    const finish = { look: [] as (() => void)[], whole: [] as (() => void)[] };
    const begun: string[] = [];
    const looking = new FirstLook<number, { input: number }, string>(
      {
        look: (input) => {
          begun.push(`look ${input}`);
          return new Promise((resolve) => finish.look.push(() => resolve({ input })));
        },
        whole: ({ input }) => {
          begun.push(`whole ${input}`);
          return new Promise((resolve) => finish.whole.push(() => resolve(`whole ${input}`)));
        },
        meanwhile: ({ input }, known) => (known === null || input < 0 ? null : `look ${input}`),
        carry: ({ input: known }, input) => (input === known + 0.5 ? { input } : null),
      },
      now,
    );
    return { looking, finish, begun, shown: () => looking.getState().done?.value };
  };

  it('shows a look until the whole is there, and waits for the whole where nothing is known yet', async () => {
    const { looking, finish, begun, shown } = waiting();
    looking.request(1);
    finish.look[0]();
    await vi.waitFor(() => expect(begun).toEqual(['look 1', 'whole 1']));
    expect(looking.getState()).toEqual({ done: null, running: true, error: null });
    finish.whole[0]();
    await vi.waitFor(() => expect(shown()).toBe('whole 1'));
    looking.request(2);
    finish.look[1]();
    await vi.waitFor(() => expect(shown()).toBe('look 2'));
    expect(looking.getState().done?.input).toBe(2);
    finish.whole[1]();
    await vi.waitFor(() => expect(shown()).toBe('whole 2'));
    // A look that may not be shown leaves what is there.
    looking.request(-3);
    finish.look[2]();
    await vi.waitFor(() => expect(begun).toContain('whole -3'));
    expect(looking.getState()).toMatchObject({ done: { input: 2, value: 'whole 2' }, running: true });
    finish.whole[2]();
    await vi.waitFor(() =>
      expect(looking.getState()).toEqual({
        done: { input: -3, value: 'whole -3' },
        running: false,
        error: null,
      }),
    );
  });

  it('looks at the next input while the one before is made whole, and makes only the newest look whole', async () => {
    const { looking, finish, begun, shown } = waiting();
    for (const input of [1, 2, 3, 4]) {
      looking.request(input);
      await vi.waitFor(() => expect(begun).toContain(`look ${input}`));
      finish.look[input - 1]();
      await vi.waitFor(() => expect(looking.getState().running).toBe(true));
      await new Promise((done) => setTimeout(done, 0));
    }
    expect(begun).toEqual(['look 1', 'whole 1', 'look 2', 'look 3', 'look 4']);
    finish.whole[0]();
    await vi.waitFor(() => expect(begun[5]).toBe('whole 4'));
    await vi.waitFor(() => expect(shown()).toBe('look 4'));
    finish.whole[1]();
    await vi.waitFor(() => expect(shown()).toBe('whole 4'));
    // What a known answer tells of another input needs no look.
    looking.request(4.5);
    await vi.waitFor(() => expect(begun[6]).toBe('whole 4.5'));
    expect(begun).toHaveLength(7);
  });
});

describe('FirstLook that cannot be made whole', () => {
  it('says why, keeps the look, and is made whole when it is asked for again', async () => {
    let broken = true;
    let looked = 0;
    const looking = new FirstLook<number, { input: number }, string>({
      look: async (input) => {
        looked += 1;
        return { input };
      },
      whole: async ({ input }) => {
        if (broken) throw new Error('the other is gone');
        return `whole ${input}`;
      },
      meanwhile: ({ input }) => `look ${input}`,
      carry: () => null,
    });
    looking.request(1);
    await vi.waitFor(() => expect(looking.getState().error?.message).toBe('the other is gone'));
    expect(looking.getState()).toMatchObject({ done: { input: 1, value: 'look 1' }, running: false });
    broken = false;
    looking.request(1);
    await vi.waitFor(() =>
      expect(looking.getState()).toEqual({
        done: { input: 1, value: 'whole 1' },
        running: false,
        error: null,
      }),
    );
    expect(looked).toBe(1);
  });
});

describe('FirstLook while inputs come fast', () => {
  it('makes a look whole when none waits any more, or none has been for a while', async () => {
    let clock = 0;
    const begun: string[] = [];
    let finish: () => void = () => {};
    const looking = new FirstLook<number, { input: number }, string>(
      {
        look: (input) =>
          new Promise((resolve) => {
            begun.push(`look ${input}`);
            finish = () => resolve({ input });
          }),
        whole: async ({ input }) => {
          begun.push(`whole ${input}`);
          return `whole ${input}`;
        },
        meanwhile: ({ input }) => `look ${input}`,
        carry: () => null,
      },
      () => clock,
    );
    const shown = () => looking.getState().done?.value;
    /** The next input waits when a look is there. */
    const lookOn = async (input: number) => {
      looking.request(input + 1);
      finish();
      await vi.waitFor(() => expect(begun).toContain(`look ${input + 1}`));
    };
    looking.request(1);
    for (const input of [1, 2, 3]) await lookOn(input);
    expect(begun).toEqual(['look 1', 'whole 1', 'look 2', 'look 3', 'look 4']);
    expect(shown()).toBe('look 3');
    clock += 900;
    await lookOn(4);
    await lookOn(5);
    expect(begun.filter((what) => what.startsWith('whole'))).toEqual(['whole 1', 'whole 4']);
    finish();
    await vi.waitFor(() => expect(shown()).toBe('whole 6'));
    expect(looking.getState().running).toBe(false);
  });
});

describe('Judging', () => {
  const input = dayInput(setupOf(demoProject));
  const told = ({ verdict, margins, forceMargins, peaks }: DayResult) => ({
    verdict,
    margins,
    forceMargins,
    peaks,
  });
  const alone = told(judgedDay(input));
  const worse = leftAtWorse(input);
  /** A worker that has these answers, and what it was asked. */
  const worker = (left: () => Left = () => worse) => {
    const asked: string[] = [];
    const engine: Driving = {
      drive: (day) => {
        asked.push('drive');
        return simulateDay(day);
      },
      leftAtWorse: () => {
        asked.push('left');
        return left();
      },
      simulate: async (day) => {
        asked.push('simulate');
        return judgedDay(day);
      },
      warm: ({ vehicle }) => {
        asked.push(`warm ${(vehicle.mass / input.vehicle.mass).toFixed(2)}`);
      },
    };
    const call = async (use: (engine: Driving) => unknown) => use(engine);
    return { asked, client: { call } as unknown as WorkerClient<Driving> };
  };
  /** Which has judged its first day, so that the other has begun. */
  const begun = async (
    second: WorkerClient<Driving>,
    still: () => Promise<void> = () => new Promise(() => {}),
  ) => {
    const first = worker();
    const waits: (() => void)[] = [];
    const judging = new Judging(first.client, second, { later: (act) => waits.push(act), still });
    expect(told(await judging.whole(input))).toEqual(alone);
    expect(waits).toEqual([]);
    for (let k = 0; k < 2; k++) judging.begin();
    expect([first.asked, waits.length]).toEqual([['simulate'], 1]);
    waits[0]();
    await new Promise((done) => setTimeout(done, 0));
    first.asked.length = 0;
    return { judging, asked: first.asked };
  };

  it('has its first day judged by one worker, those after it by two', async () => {
    const second = worker();
    const { judging, asked } = await begun(second.client);
    expect(told(await judging.whole(input))).toEqual(alone);
    expect([asked, second.asked]).toEqual([['drive'], ['left', 'left']]);
    // What the other says is what counts.
    const worst = worse.margins.map((own) => ({ ...own, margin: -123 }));
    const odd = await begun(worker(() => ({ margins: worst, forceMargins: [] })).client);
    const day = await odd.judging.whole(input);
    expect(new Set(day.margins.map(({ lessCooling }) => lessCooling))).toEqual(new Set([-123]));
  });

  it('gets its first worker warm by other days while nothing moves, until one is asked of it', async () => {
    const next: (() => void)[] = [];
    const still = () => new Promise<void>((resolve) => next.push(resolve));
    const on = async () => {
      next.shift()?.();
      await new Promise((done) => setTimeout(done, 0));
    };
    const { judging, asked } = await begun(worker().client, still);
    expect(asked).toEqual([]);
    for (let k = 0; k < 3; k++) await on();
    expect(asked).toEqual(['warm 1.01', 'warm 1.02', 'warm 1.03']);
    await judging.own(input);
    for (let k = 0; k < 3; k++) await on();
    expect(asked.slice(3)).toEqual(['drive']);
    // It does not wait for the other, which may be busy with its first day.
    const busy = { call: () => new Promise(() => {}) } as unknown as WorkerClient<Driving>;
    const alongside = await begun(busy, still);
    await on();
    expect(alongside.asked).toEqual(['warm 1.01']);
    // Left alone it comes to an end.
    const left = await begun(worker().client, () => new Promise((done) => setTimeout(done, 1)));
    await vi.waitFor(() => expect(left.asked.length).toBeGreaterThan(9));
    await new Promise((done) => setTimeout(done, 20));
    expect(left.asked.length).toBeLessThan(20);
  });

  it('does without the other where it has died, and asks it no more', async () => {
    let dead = false;
    const second = worker(() => {
      if (dead) throw new EngineError('gone');
      return worse;
    });
    const { judging, asked } = await begun(second.client);
    dead = true;
    for (let k = 0; k < 2; k++) expect((await judging.whole(input)).verdict).toEqual(alone.verdict);
    expect(await judging.left(input)).toEqual(worse);
    expect(second.asked.length).toBe(2);
    expect(asked).toEqual(['drive', 'left', 'simulate', 'left']);
    const single = worker();
    expect((await new Judging(single.client, null).whole(input)).verdict).toEqual(alone.verdict);
  });

  it('says what is wrong with a day as it is said without the other, which stays', async () => {
    let wrong = false;
    const second = worker(() => {
      if (wrong) throw new RangeError('the same there');
      return worse;
    });
    const { judging } = await begun(second.client);
    wrong = true;
    const heavy = { ...input, vehicle: { ...input.vehicle, mass: Number.NaN } };
    for (let k = 0; k < 2; k++) await expect(judging.whole(heavy)).rejects.toThrow(/not a number/);
    expect(second.asked.length).toBe(3);
  });
});
