import * as z from 'zod/mini';
import type { Channel, RawLog } from '../../../core';
import { type LogColumn, type StreamColumn, streamColumns } from '../../../io';
import { say } from '../../../text/en/say/log';

/** Whether samples are coming. */
export type LiveState = 'idle' | 'connecting' | 'live' | 'lost' | 'ended';

export interface LiveView {
  readonly state: LiveState;
  readonly samples: number;
  /** Of them, those that are in the browser's storage */
  readonly kept: number;
  /** Share of the recording that has come, where its length is known */
  readonly share: number | null;
  /** The newest value of each channel, SI */
  readonly now: Readonly<Partial<Record<LogColumn, number>>>;
  /** Times the connection was lost */
  readonly losses: number;
  readonly error: string | null;
}

const startSchema = z.object({
  columns: z.array(z.string().check(z.maxLength(120))).check(z.minLength(1), z.maxLength(200)),
  count: z.optional(z.number()),
});
const rowsSchema = z
  .array(z.array(z.nullable(z.number())).check(z.maxLength(200)))
  .check(z.maxLength(20_000));

/** Between two tellings of what is new, ms. */
const TELL = 200;
/** Before a closed stream is asked for again, ms. */
const AGAIN = 1500;

/**
 * Records a live stream of samples (server-sent events: `start` with the columns, then `rows`), or replays a kept log. A
 * lost connection is taken up again where it broke off; what was recorded stays.
 */
export class LiveRecorder {
  private source: EventSource | null = null;
  private timer: ReturnType<typeof setInterval> | null = null;
  private retry: ReturnType<typeof setTimeout> | null = null;
  private columns: (StreamColumn | null)[] = [];
  private values = new Map<LogColumn, number[]>();
  private count: number | null = null;
  private lastId = -1;
  private tellingSoon = false;
  private readonly listeners = new Set<() => void>();
  private view: LiveView = {
    state: 'idle',
    samples: 0,
    kept: 0,
    share: null,
    now: {},
    losses: 0,
    error: null,
  };

  readonly getView = (): LiveView => this.view;
  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  /** Starts a new recording from a stream's address. */
  connect(url: string): void {
    this.clear();
    this.open(url);
  }

  /** Starts a new recording from a kept log, so many times as fast as it was made. */
  replay(raw: RawLog, speed: number): void {
    this.clear();
    const channels = Object.entries(raw.channels) as [Channel, Float64Array][];
    this.columns = [
      { as: 'time', scale: 1, offset: 0 },
      ...channels.map(([as]): StreamColumn => ({ as, scale: 1, offset: 0 })),
    ];
    this.count = raw.time.length;
    const start = raw.time[0];
    const began = performance.now();
    let next = 0;
    this.set({ state: 'live' });
    this.timer = setInterval(() => {
      const until = start + ((performance.now() - began) / 1000) * speed;
      while (next < raw.time.length && !(raw.time[next] > until)) {
        this.row([raw.time[next] - start, ...channels.map(([, v]) => v[next])]);
        next += 1;
      }
      this.tell();
      if (next >= raw.time.length) this.stop('ended');
    }, 100);
  }

  /** Ends the stream; the recording stays. */
  stop(state: LiveState = 'ended'): void {
    this.source?.close();
    this.source = null;
    if (this.timer) clearInterval(this.timer);
    this.timer = null;
    if (this.retry) clearTimeout(this.retry);
    this.retry = null;
    if (this.view.state === 'idle') return;
    // What came since the last telling counts too: what is kept is never more than what is shown.
    this.tellNow();
    this.set({ state });
  }

  /** What was recorded so far; null before there is enough to compute with. */
  raw(): RawLog | null {
    const time = this.values.get('time');
    if (!time || time.length < 40) return null;
    const channels: Partial<Record<Channel, Float64Array>> = {};
    for (const [as, values] of this.values) {
      if (as !== 'time' && as !== 'east' && as !== 'north') channels[as] = Float64Array.from(values);
    }
    return { time: Float64Array.from(time), channels };
  }

  /** Notes that so many samples are in the browser's storage. */
  noteKept(kept: number): void {
    this.set({ kept });
  }

  private clear(): void {
    this.stop();
    this.columns = [];
    this.values = new Map();
    this.count = null;
    this.lastId = -1;
    this.set({ state: 'idle', samples: 0, kept: 0, share: null, now: {}, losses: 0, error: null });
  }

  private open(url: string): void {
    // The browser itself goes on from the last event after a short break; after a closed stream the address says it.
    const address = this.lastId >= 0 ? `${url}${url.includes('?') ? '&' : '?'}after=${this.lastId}` : url;
    const source = new EventSource(address);
    this.source = source;
    this.set({ state: this.lastId >= 0 ? 'lost' : 'connecting' });
    source.addEventListener('start', (event) => this.begin(event));
    source.addEventListener('rows', (event) => this.take(event));
    source.addEventListener('end', () => this.stop('ended'));
    source.addEventListener('error', () => {
      if (this.source !== source) return;
      if (this.view.state === 'live') this.set({ losses: this.view.losses + 1 });
      this.set({ state: this.lastId >= 0 ? 'lost' : 'connecting' });
      if (source.readyState !== EventSource.CLOSED) return;
      source.close();
      this.set({ error: say.loggerRefusedCannotReached });
      this.retry = setTimeout(() => this.open(url), AGAIN);
    });
  }

  private begin(event: MessageEvent<string>): void {
    const read = startSchema.safeParse(parse(event.data));
    if (!read.success) {
      this.set({ error: say.streamDoesNotBegin });
      this.stop('ended');
      return;
    }
    this.columns = streamColumns(read.data.columns);
    this.count = read.data.count ?? null;
    this.set({ state: 'live', error: null });
  }

  private take(event: MessageEvent<string>): void {
    const read = rowsSchema.safeParse(parse(event.data));
    const id = Number(event.lastEventId);
    if (!read.success) {
      this.set({ error: say.someSamplesCameGarbled });
      return;
    }
    // After a lost connection a row may come twice.
    const first = Number.isInteger(id) ? id - read.data.length + 1 : 0;
    read.data.forEach((row, i) => {
      if (Number.isInteger(id) && first + i <= this.lastId) return;
      this.row(
        row.map((v, k) =>
          v === null ? Number.NaN : v * (this.columns[k]?.scale ?? 1) + (this.columns[k]?.offset ?? 0),
        ),
      );
    });
    if (Number.isInteger(id)) this.lastId = Math.max(this.lastId, id);
    this.tell();
  }

  private row(values: readonly number[]): void {
    this.columns.forEach((column, k) => {
      if (!column) return;
      const list = this.values.get(column.as) ?? [];
      list.push(values[k] ?? Number.NaN);
      this.values.set(column.as, list);
    });
  }

  private tell(): void {
    if (this.tellingSoon) return;
    this.tellingSoon = true;
    setTimeout(() => {
      this.tellingSoon = false;
      this.tellNow();
    }, TELL);
  }

  private tellNow(): void {
    const samples = this.values.get('time')?.length ?? 0;
    const now: Partial<Record<LogColumn, number>> = {};
    for (const [as, values] of this.values) {
      for (let i = values.length - 1; i >= Math.max(0, values.length - 50); i--) {
        if (!Number.isFinite(values[i])) continue;
        now[as] = values[i];
        break;
      }
    }
    this.set({ samples, now, share: this.count ? samples / this.count : null });
  }

  private set(change: Partial<LiveView>): void {
    this.view = { ...this.view, ...change };
    for (const listener of this.listeners) listener();
  }
}

function parse(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return null;
  }
}
