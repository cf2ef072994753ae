import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import type { NetworkInterfaceInfo } from 'node:os';
import { tmpdir } from 'node:os';
import { join, relative } from 'node:path';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import { demoProject } from '../../demo/project';
import { createApp } from './app';
import { ownAddresses } from './ownAddresses';
import { policyText } from './policy';
import { simulatedLog } from './standIns/logger';

let folder = '';
beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'kettle-build-'));
  mkdirSync(join(folder, 'assets'));
  writeFileSync(join(folder, 'index.html'), '<p>page</p>');
  writeFileSync(join(folder, 'assets', 'a-123.js'), 'export {};');
});
afterAll(() => rmSync(folder, { recursive: true }));
const get = (path: string, init?: RequestInit) =>
  createApp(relative(process.cwd(), folder)).request(path, init);

describe('server', () => {
  it('serves the page at every route of the application, with security headers', async () => {
    for (const path of ['/', '/car', '/circuit/some-id']) {
      const response = await get(path);
      expect(response.status).toBe(200);
      expect(await response.text()).toBe('<p>page</p>');
      expect(response.headers.get('content-security-policy')).toContain("script-src 'self'");
      expect(response.headers.get('x-content-type-options')).toBe('nosniff');
    }
  });

  it('keeps built files for long and answers 404, not the page, for missing ones', async () => {
    const asset = await get('/assets/a-123.js');
    expect(asset.status).toBe(200);
    expect(asset.headers.get('cache-control')).toContain('immutable');
    for (const path of ['/assets/gone-9.js', '/gone.png', '/assets/../../package.json']) {
      const missing = await get(path);
      expect(missing.status).toBe(404);
      expect(await missing.text()).not.toContain('page</p>');
    }
  });

  it('has the page asked for anew each time, and lets it look, listen and locate nowhere', async () => {
    const page = await get('/car');
    expect(page.headers.get('cache-control')).toBe('no-cache');
    expect(page.headers.get('permissions-policy')).toMatch(/camera=\(\).*geolocation=\(self\)/);
  });

  it('answers to the names of this machine and to those it was given, and to no other', async () => {
    const named = createApp(relative(process.cwd(), folder), ['Paddock.local', '192.0.2.7']);
    for (const [host, status] of [
      ['127.0.0.1:4173', 200],
      ['localhost', 200],
      ['paddock.local:4173', 200],
      ['192.0.2.7', 200],
      ['evil.example', 421],
      ['127.0.0.1.evil.example', 421],
    ] as const) {
      expect((await named.request(`http://${host}/`)).status, host).toBe(status);
    }
    expect((await get('http://paddock.local/')).status).toBe(421);
  });

  it('answers nothing but GET and HEAD', async () => {
    expect((await get('/', { method: 'POST' })).status).toBe(405);
  });
});

describe('the policy', () => {
  it('is the same in the header and in the page, but for who may frame it, and lets in nothing from elsewhere', async () => {
    const header = (await get('/')).headers.get('content-security-policy') ?? '';
    const rules = (text: string) => new Set(text.split(';').map((rule) => rule.trim()));
    expect(rules(header)).toEqual(rules(`${policyText()}; frame-ancestors 'none'`));
    expect(policyText()).not.toMatch(/https?:|\*|'unsafe-eval'/);
    expect(policyText()).toContain("script-src 'self' 'wasm-unsafe-eval'");
  });
});

describe('addresses', () => {
  it('on the network are those that others reach this machine by, and only when it was asked for are they answered', async () => {
    const own = (address: string, internal = false) =>
      ({ address, internal, family: address.includes(':') ? 'IPv6' : 'IPv4' }) as NetworkInterfaceInfo;
    const found = ownAddresses({
      lo: [own('127.0.0.1', true), own('::1', true)],
      wlan0: [own('192.168.7.20'), own('fe80::12'), own('fd00::12')],
      down: undefined,
    });
    expect(found).toEqual(['192.168.7.20', '[fd00::12]']);
    for (const address of found) {
      expect((await get(`http://${address}:4173/stand-in/list`)).status).toBe(421);
      expect(
        (await createApp('dist/app', found).request(`http://${address}:4173/stand-in/list`)).status,
      ).toBe(200);
    }
  });
});

describe('stand-ins', () => {
  it('are listed, so that a page can tell whether there are any', async () => {
    expect(await (await get('/stand-in/list')).json()).toEqual({
      standIns: ['logger', 'weather', 'phone', 'bench'],
    });
  });

  it('the logger’s file is a table of the invented drive, the same each time', async () => {
    const one = await get('/stand-in/logger.csv?laps=1&rate=5&seed=4');
    expect(one.status).toBe(200);
    expect(one.headers.get('content-disposition')).toContain('simulated-log-plan-tarn-anvil.csv');
    const text = await one.text();
    const lines = text.trim().split('\n');
    expect(lines[2].split(',')).toHaveLength(17);
    expect(lines.length).toBeGreaterThan(1500);
    expect(await (await get('/stand-in/logger.csv?laps=1&rate=5&seed=4')).text()).toBe(text);
    expect(await (await get('/stand-in/logger.csv?laps=1&rate=5&seed=5')).text()).not.toBe(text);
  });

  it('the live stream goes on where a lost connection broke off', async () => {
    /** Rows of a stream until it ends. */
    const take = async (after: number | null) => {
      const response = await get('/stand-in/logger/stream?laps=1&rate=100&speed=50&cut=0.45', {
        headers: after === null ? {} : { 'Last-Event-ID': String(after) },
      });
      expect(response.headers.get('content-type')).toContain('text/event-stream');
      const text = await response.text();
      const ids = [...text.matchAll(/^id: (\d+)$/gm)].map((m) => Number(m[1]));
      const rows = [...text.matchAll(/^data: (\[\[.*)$/gm)].flatMap(
        (m) => JSON.parse(m[1]) as (number | null)[][],
      );
      return { start: text.match(/event: start\ndata: (.*)/)?.[1] ?? '', last: ids[ids.length - 1], rows };
    };
    const first = await take(null);
    expect(first.rows.length).toBe(first.last + 1);
    const second = await take(first.last);
    expect(JSON.parse(second.start).first).toBe(first.last + 1);
    expect(second.rows[0][0]).toBeCloseTo((first.last + 1) / 100, 6);
    expect(second.rows.length).toBe(second.last - first.last);
  });

  it('a stream asked to go on after its end, or far into it, is answered at once, and is a quiet one', async () => {
    const ask = '/stand-in/logger/stream?rate=200&laps=40&speed=50&cut=0.3&after=';
    const past = await (await get(`${ask}999999999`)).text();
    expect(past).toMatch(/event: start\ndata: .*"first":(\d+)/);
    expect(past).toContain('event: end');
    expect(past).not.toContain('event: rows');
    const late = await (await get(`${ask}700000`)).text();
    const [row] = JSON.parse(/^data: (\[\[.*)$/m.exec(late)?.[1] ?? '[]') as (number | null)[][];
    expect(row[0]).toBe(3500.005);
    // It goes on from where the car is: as far, as fast and as hot as one that was listened to all along.
    const log = simulatedLog({ planId: demoProject.plans[0].id, laps: 3, rate: 5, noise: 0, seed: 1 });
    const whole = [...log.rows()];
    const rest = [...log.rows(800)];
    expect(rest).toHaveLength(log.count - 800);
    for (const [i, own] of rest.entries()) {
      const other = whole[800 + i];
      expect(own[0]).toBe(other[0]);
      const near = (column: number, by: number) =>
        expect(Math.abs(Number(own[column]) - Number(other[column])), `row ${i}, ${column}`).toBeLessThan(by);
      near(2, 6);
      near(3, 0.1);
      if (i > 30) near(10, 1);
    }
  });

  it('at most eight streams are open at once, and one that ends makes room', async () => {
    const app = createApp(relative(process.cwd(), folder));
    const open = () => app.request('/stand-in/logger/stream?laps=1&rate=1&cut=5');
    const eight = await Promise.all(Array.from({ length: 8 }, open));
    expect(eight.map((response) => response.status)).toEqual(Array(8).fill(200));
    const ninth = await open();
    expect(ninth.status).toBe(503);
    expect(await ninth.text()).toMatch(/8 streams are open already/);
    await eight[0].body?.cancel();
    await vi.waitFor(async () => expect((await open()).status).toBe(200));
    for (const response of eight.slice(1)) await response.body?.cancel();
  });

  it('weather is of the place and the day: plausible, repeatable, another tomorrow', async () => {
    const ask = async (date: string, height = 0) => {
      const response = await get(`/stand-in/weather?latitude=46&longitude=-31&height=${height}&date=${date}`);
      return (await response.json()) as { simulated: boolean; hours: Record<string, number>[] };
    };
    const day = await ask('2026-07-11');
    expect(day.simulated).toBe(true);
    expect(day.hours).toHaveLength(24);
    expect(await ask('2026-07-11')).toEqual(day);
    expect(await ask('2026-07-12')).not.toEqual(day);
    expect(day.hours[15].temperatureC).toBeGreaterThan(day.hours[4].temperatureC);
    expect(day.hours[15].humidityPercent).toBeLessThan(day.hours[4].humidityPercent);
    const up = await ask('2026-07-11', 1500);
    expect(day.hours[9].pressureHpa - up.hours[9].pressureHpa).toBeGreaterThan(120);
  });

  it('a phone is repeatable, as accurate as asked, and tells no more than it is said to have', async () => {
    const ask = async (query: string) =>
      (await (await get(`/stand-in/phone?${query}`)).json()) as {
        simulated: boolean;
        fixes: { accuracy: number; speed: number | null }[];
        motion: unknown[];
      };
    const phone = await ask('speed=80&seed=4');
    expect(phone.simulated).toBe(true);
    expect(phone.fixes.length).toBeGreaterThan(15);
    expect(phone.motion.length).toBeGreaterThan(500);
    expect(await ask('speed=80&seed=4')).toEqual(phone);
    const bare = await ask('speed=80&speeds=0&motion=0&accuracy=50');
    expect(bare.motion).toEqual([]);
    expect(bare.fixes.every(({ speed, accuracy }) => speed === null && accuracy === 50)).toBe(true);
  });

  it('a bench takes a programme by POST as JSON alone, and nothing else does', async () => {
    const post = (path: string, body: string, type = 'application/json') =>
      get(path, { method: 'POST', headers: { 'Content-Type': type }, body });
    expect((await post('/stand-in/weather', '{}')).status).toBe(405);
    expect((await post('/stand-in/bench', '{}', 'text/plain')).status).toBe(415);
    const empty = await post('/stand-in/bench', '{}');
    expect(empty.status).toBe(400);
    expect(await empty.text()).toMatch(/^project: /);
    const broken = await post(
      '/stand-in/bench',
      JSON.stringify({ project: '{}', plan: 'x', programme: '{}' }),
    );
    expect(broken.status).toBe(400);
    expect(await broken.text()).toMatch(/not of this program:\nformat: /);
    expect((await post('/stand-in/bench', 'not json')).status).toBe(400);
  });

  it('says what is wrong with a question', async () => {
    for (const [path, says] of [
      ['/stand-in/logger.csv?laps=900', /^laps: /],
      ['/stand-in/logger.csv?plan=nobody', /^plan: /],
      ['/stand-in/logger/stream?speed=80', /^speed: /],
      ['/stand-in/weather?date=yesterday', /^date: /],
      ['/stand-in/phone?speed=2', /^speed: /],
    ] as const) {
      const response = await get(path);
      expect(response.status).toBe(400);
      expect(await response.text()).toMatch(says);
    }
  });
});
