import { setImmediate } from 'node:timers/promises';
import { Hono } from 'hono';
import { bodyLimit } from 'hono/body-limit';
import { streamSSE } from 'hono/streaming';
import * as z from 'zod/mini';
import { demoProject } from '../../../demo/project';
import { toSi } from '../../model';
import { say } from '../../text/en/say/server';
import { simulatedBench } from './bench';
import { LOGGER_COLUMNS, type LoggerOptions, type LoggerRow, loggerCsv, simulatedLog } from './logger';
import { simulatedPhone } from './phone';
import { simulatedWeather } from './weather';

const number = (low: number, high: number, otherwise: number) =>
  z._default(z.coerce.number().check(z.gte(low), z.lte(high)), otherwise);
const whole = (low: number, high: number, otherwise: number) =>
  z._default(z.coerce.number().check(z.gte(low), z.lte(high), z.int()), otherwise);

const loggerQuery = z.object({
  plan: z._default(
    z.enum(demoProject.plans.map((p) => p.id) as [string, ...string[]]),
    demoProject.plans[0].id,
  ),
  laps: whole(1, 40, 6),
  rate: number(1, 200, 20),
  noise: number(0, 10, 1),
  seed: whole(0, 1e9, 1),
});
const streamQuery = z.extend(loggerQuery, {
  /** Times as fast as it was driven */
  speed: number(1, 50, 1),
  /** Ends the connection after so many seconds, as a bad radio link would; 0 never */
  cut: number(0, 3600, 0),
});
const phoneQuery = z.object({
  /** km/h and m/s² */
  speed: number(20, 300, 80),
  deceleration: number(2, 14, 7.5),
  rate: number(1, 10, 1),
  accuracy: number(1, 100, 3),
  speeds: number(0, 1, 1),
  motion: number(0, 1, 1),
  seed: whole(0, 1e9, 1),
});
const benchBody = z.strictObject({
  project: z.string(),
  plan: z.string().check(z.maxLength(200)),
  programme: z.string(),
});
/** Most that is sent to the bench, bytes. */
const LARGEST_BODY = 30e6;
const weatherQuery = z.object({
  latitude: number(-90, 90, 46),
  longitude: number(-180, 180, 0),
  height: number(-500, 9000, 0),
  date: z.iso.date(),
});

/** Streams that are open at once, at most. */
const MOST_STREAMS = 8;
/** Characters of a file written at once. */
const PIECE = 65_536;
/** What there is to ask here; a host of files alone has none of it. */
const STAND_INS = ['logger', 'weather', 'phone', 'bench'] as const;
/** Milliseconds between two messages of a stream. */
const BEAT = 100;

/**
 * Simulated outside services: a logger in a car, as a file and as a live stream, and a weather service. They stand where
 * real ones would be connected and answer as those would.
 */
export function standIns(): Hono {
  const app = new Hono();
  let streams = 0;
  app.get('/list', (c) => c.json({ standIns: STAND_INS }));
  app.get('/logger.csv', (c) => {
    const query = loggerQuery.safeParse(c.req.query());
    if (!query.success) return c.text(complaint(query.error), 400);
    const lines = loggerCsv(simulatedLog(optionsOf(query.data)));
    const encoder = new TextEncoder();
    const body = new ReadableStream<Uint8Array>({
      async pull(controller) {
        let text = '';
        let next = lines.next();
        for (; !next.done && text.length < PIECE; next = lines.next()) text += next.value;
        if (!next.done) text += next.value;
        controller.enqueue(encoder.encode(text));
        if (next.done) controller.close();
        // Others have their turn between the pieces.
        await setImmediate();
      },
    });
    return c.body(body, 200, {
      'Content-Type': 'text/csv; charset=utf-8',
      'Content-Disposition': `attachment; filename="simulated-log-${query.data.plan}.csv"`,
    });
  });

  app.get('/logger/stream', (c) => {
    const query = streamQuery.safeParse(c.req.query());
    if (!query.success) return c.text(complaint(query.error), 400);
    const { speed, cut, rate } = query.data;
    if (streams >= MOST_STREAMS) {
      return c.text(say.streamsOpenAlreadyClose(MOST_STREAMS), 503, {
        'Retry-After': '5',
      });
    }
    const log = simulatedLog(optionsOf(query.data));
    // A receiver that lost the connection says what it had last and goes on from there.
    const had = Number(c.req.header('Last-Event-ID') ?? c.req.query('after') ?? -1);
    const first = Number.isInteger(had) && had >= 0 ? Math.min(log.count, had + 1) : 0;
    c.header('X-Accel-Buffering', 'no');
    streams += 1;
    return streamSSE(c, async (stream) => {
      try {
        const rows = log.rows(first);
        await stream.writeSSE({
          event: 'start',
          data: JSON.stringify({ columns: LOGGER_COLUMNS, rate, speed, count: log.count, first }),
          retry: 500,
        });
        const began = performance.now();
        let sent = first;
        while (sent < log.count && !stream.aborted) {
          await stream.sleep(BEAT);
          const elapsed = (performance.now() - began) / 1000;
          if (cut > 0 && elapsed > cut) return;
          const due = Math.min(log.count, first + Math.floor(elapsed * rate * speed));
          if (due <= sent) continue;
          const batch: LoggerRow[] = [];
          for (; sent < due; sent++) batch.push(rows.next().value as LoggerRow);
          await stream.writeSSE({ event: 'rows', id: String(sent - 1), data: JSON.stringify(batch) });
        }
        if (!stream.aborted) await stream.writeSSE({ event: 'end', data: '' });
      } finally {
        streams -= 1;
      }
    });
  });

  addInstruments(app);

  app.get('/weather', (c) => {
    const query = weatherQuery.safeParse(c.req.query());
    if (!query.success) return c.text(complaint(query.error), 400);
    const { latitude, longitude, height, date } = query.data;
    return c.json({ simulated: true, hours: simulatedWeather(latitude, longitude, height, date) });
  });
  return app;
}

/** Instruments that are asked once: a phone in the car, and an inertia bench. */
function addInstruments(app: Hono): void {
  app.get('/phone', (c) => {
    const query = phoneQuery.safeParse(c.req.query());
    if (!query.success) return c.text(complaint(query.error), 400);
    const { speed, speeds, motion, ...options } = query.data;
    const from = toSi(speed, 'speed');
    const phone = simulatedPhone({ ...options, speed: from, speeds: speeds > 0, motion: motion > 0 });
    return c.json({ simulated: true, fixes: phone.fixes, motion: phone.motion });
  });

  const tooLarge = bodyLimit({
    maxSize: LARGEST_BODY,
    onError: (c) => c.text(say.benchTooLarge(LARGEST_BODY / 1e6), 413),
  });
  app.post('/bench', tooLarge, async (c) => {
    // A page elsewhere may not have it computed by a form of its own.
    if (!c.req.header('Content-Type')?.startsWith('application/json')) return c.text(say.benchNeedsJson, 415);
    const body = benchBody.safeParse(await c.req.json().catch(() => null));
    if (!body.success) return c.text(complaint(body.error), 400);
    const run = simulatedBench(body.data);
    if (!run.ok) return c.text(run.message, 400);
    return c.body(run.csv, 200, { 'Content-Type': 'text/csv; charset=utf-8' });
  });
}

const optionsOf = ({ plan, laps, rate, noise, seed }: z.infer<typeof loggerQuery>): LoggerOptions => ({
  planId: plan,
  laps,
  rate,
  noise,
  seed,
});

function complaint(error: z.core.$ZodError): string {
  return error.issues.map((issue) => `${issue.path.join('.') || 'query'}: ${issue.message}`).join('\n');
}
