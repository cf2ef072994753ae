import { cpSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join, relative } from 'node:path';
import { serve } from '@hono/node-server';
import { serveStatic } from '@hono/node-server/serve-static';
import { Hono } from 'hono';
import { demoProject } from '../demo/project';
import { writeProject } from '../src/model';
import { createApp } from '../src/server/app';
import { expect, type open, project, test, verdict, visit } from './page';
import { exportedGpx, loggedCsv } from './support/logs';

// Everywhere else the program's own copy is kept out of the way.
test.use({ serviceWorkers: 'allow' });

/** A server of a copy of the build, that can be ended and changed. */
async function ownServer(page: Parameters<typeof open>[0], app?: (root: string) => Hono) {
  const root = mkdtempSync(join(tmpdir(), 'kettle-'));
  cpSync('dist/app', root, { recursive: true });
  const at = relative('.', root);
  const { fetch } = app ? app(at) : createApp(at);
  const begin = (port: number) =>
    new Promise<ReturnType<typeof serve>>((resolve) => {
      const server = serve({ fetch, hostname: '127.0.0.1', port }, () => resolve(server));
    });
  let server: ReturnType<typeof serve> | null = await begin(0);
  const { port } = server.address() as AddressInfo;
  const end = () =>
    new Promise<void>((resolve) => {
      if (!server) return resolve();
      server.close(() => resolve());
      if ('closeAllConnections' in server) server.closeAllConnections();
      server = null;
    });
  return {
    root,
    url: `http://127.0.0.1:${port}`,
    end,
    again: async () => {
      server = await begin(port);
    },
    done: async () => {
      await page.close();
      await end();
      rmSync(root, { recursive: true, force: true });
    },
  };
}

/** Waits until the whole program is kept in the browser. */
const kept = (page: Parameters<typeof open>[0]) =>
  expect(page.getByText('from now on it starts without its server')).toBeVisible();

test('after one visit the program starts, computes and plans with its server gone; what only a server has is said to be away', async ({
  page,
  quiet,
}) => {
  const server = await ownServer(page);
  await page.goto(server.url);
  await expect(verdict(page)).toBeVisible();
  await kept(page);
  await server.end();

  await page.goto(`${server.url}/plan`);
  const laps = page.getByRole('textbox', { name: /^Laps/ }).nth(1);
  await laps.fill('1');
  await expect
    .poll(async () => JSON.stringify((await project(page)).plans[0].sessions[0].legs))
    .toContain('"laps":1');
  await expect(page.getByTestId('weather')).toContainText('which is not there');
  await page.goto(`${server.url}/`);
  await expect(verdict(page)).toContainText('in 1 hot lap');
  await page.reload();
  await expect(verdict(page)).toContainText('in 1 hot lap');
  // Pages, workers and the solver that were never opened before.
  await page.goto(`${server.url}/logbook/season`);
  await expect(page.getByRole('region', { name: 'Sets by session' })).toContainText(
    'a new set is wanted for this session',
  );
  await page.goto(`${server.url}/log/live`);
  await expect(page.getByRole('button', { name: 'Connect', exact: true })).toBeDisabled();
  // Asking for the server is what a browser itself writes down as an error.
  expect(quiet.filter((text) => !/ERR_CONNECTION_REFUSED|Failed to fetch/.test(text))).toEqual([]);
  quiet.length = 0;
  await server.done();
});

test('a newer version waits until it is asked for, saves first, and another page goes on as it is', async ({
  page,
  context,
}) => {
  const server = await ownServer(page);
  await page.goto(server.url);
  await expect(verdict(page)).toBeVisible();
  await kept(page);
  const other = await context.newPage();
  await visit(other, `${server.url}/plan`);
  // A build whose page says that it is newer.
  const [html, worker] = ['index.html', 'sw.js'].map((name) => join(server.root, name));
  writeFileSync(
    html,
    readFileSync(html, 'utf8').replace('<html lang="en">', '<html lang="en" data-newer="">'),
  );
  writeFileSync(worker, readFileSync(worker, 'utf8').replace(/(index\.html",revision:")[^"]*/, '$1newer'));
  await page.reload();
  const notice = page.getByTestId('update');
  await expect(notice).toContainText('A newer version is here');
  expect(await page.locator('html').getAttribute('data-newer')).toBeNull();
  await notice.getByRole('button', { name: 'Later' }).click();
  await expect(notice).toHaveCount(0);

  // It is asked for in the very moment of an edit.
  await visit(page, `${server.url}/plan`);
  await expect(notice).toBeVisible();
  await page.getByRole('textbox', { name: 'Name', exact: true }).first().fill('Named while it was updated');
  await notice.getByRole('button', { name: 'Update' }).click();
  await expect(page.locator('html')).toHaveAttribute('data-newer', '');
  await expect.poll(async () => (await project(page)).plans[0].name).toBe('Named while it was updated');
  await expect(other.getByTestId('update')).toContainText('Another page was updated');
  expect(await other.locator('html').getAttribute('data-newer')).toBeNull();
  await other.getByTestId('update').getByRole('button', { name: 'Reload' }).click();
  await expect(other.locator('html')).toHaveAttribute('data-newer', '');
  await other.close();
  await server.done();
});

test('a host of files alone serves the build: every address has its page, and the policy is in it', async ({
  page,
  quiet,
}) => {
  // What any static host does: files as they are, 404.html for what is none.
  const server = await ownServer(page, (root) => {
    const app = new Hono();
    app.use('*', serveStatic({ root }));
    app.notFound((c) => c.html(readFileSync(join(root, '404.html'), 'utf8'), 404));
    return app;
  });
  expect(readdirSync(server.root)).toEqual(
    expect.arrayContaining(['manifest.webmanifest', 'sw.js', '404.html']),
  );
  await page.goto(`${server.url}/logbook/entries`);
  await expect(page.getByRole('region', { name: 'Logbook' })).toContainText('MJ into the brakes');
  const policy = page.locator('meta[http-equiv="Content-Security-Policy"]');
  await expect(policy).toHaveAttribute('content', /script-src 'self' 'wasm-unsafe-eval'; /);
  await page.goto(`${server.url}/log/logs`);
  await expect(page.getByRole('region', { name: 'Log file' })).toContainText(
    'the server, which is not there',
  );
  const manifest = await (await page.request.get(`${server.url}/manifest.webmanifest`)).json();
  for (const { src } of manifest.icons)
    expect((await page.request.get(`${server.url}/${src}`)).headers()['content-type']).toBe('image/png');
  expect(quiet.filter((text) => !/status of 404/.test(text))).toEqual([]);
  quiet.length = 0;
  await server.done();
});

test('a file opened by double click comes to where its kind is read', async ({ page }) => {
  const manifest = await (await page.request.get('/manifest.webmanifest')).json();
  const [handler] = manifest.file_handlers;
  expect(Object.values(handler.accept).flat()).toEqual(['.json', '.gpx', '.csv']);
  expect(handler.action.startsWith(manifest.scope)).toBe(true);
  // No browser without a head installs a program: what hands files over to it is stood in for.
  await page.addInitScript(() => {
    const consumer = { setConsumer: (consume: unknown) => Object.assign(window, { consume }) };
    Object.defineProperty(window, 'launchQueue', { value: consumer });
  });
  const opened = (name: string, text: string) =>
    page.evaluate(
      ([file, content]) =>
        (window as unknown as { consume: (opened: object) => void }).consume({
          files: [{ getFile: async () => new File([content], file) }],
        }),
      [name, text],
    );
  await visit(page, '/');
  await expect(verdict(page)).toBeVisible();
  await opened('theirs.json', writeProject({ ...demoProject, name: 'Theirs' }));
  await expect.poll(async () => (await project(page)).name).toBe('Theirs');
  await opened('morning.csv', loggedCsv(2, 10));
  await expect(page).toHaveURL(/log\/logs$/);
  await expect(page.getByText('morning.csv').first()).toBeVisible();
  await opened('anvil.gpx', exportedGpx(0));
  await expect(page).toHaveURL(/circuits\/import$/);
  await expect(page.getByText('anvil.gpx').first()).toBeVisible();
});
