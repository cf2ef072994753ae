import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, relative } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { createApp } from './app';

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

  it('answers nothing but GET and HEAD', async () => {
    expect((await get('/', { method: 'POST' })).status).toBe(405);
  });
});
