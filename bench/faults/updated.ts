import type { AddressInfo } from 'node:net';
import { serve } from '@hono/node-server';
import type { Browser } from '@playwright/test';
import { createApp } from '../../src/server/app';
import { editFor, judge, keptMasses, massBox, prepared, type Random, type Trial } from './editing';

/** The application served from this process; from a moment on, as a build whose page says that it is newer. */
async function ownServer() {
  const app = createApp('dist/app');
  let newer = false;
  const fetch = async (request: Request): Promise<Response> => {
    const answer = await app.fetch(request);
    if (!newer || !/text\/(html|javascript)/.test(answer.headers.get('content-type') ?? '')) return answer;
    const { pathname } = new URL(request.url);
    const text = await answer.text();
    const headers = new Headers(answer.headers);
    headers.delete('content-length');
    if (pathname === '/sw.js') {
      return new Response(text.replace(/(index\.html",revision:")[^"]*/, '$1newer'), { headers });
    }
    return new Response(text.replace('<html lang="en">', '<html lang="en" data-newer="">'), { headers });
  };
  const server = await new Promise<ReturnType<typeof serve>>((resolve) => {
    const begun = serve({ fetch, hostname: '127.0.0.1', port: 0 }, () => resolve(begun));
  });
  return {
    url: `http://127.0.0.1:${(server.address() as AddressInfo).port}`,
    renew: () => {
      newer = true;
    },
    end: () => server.close(),
  };
}

/** A newer build takes over, asked for in the middle of edits. */
export async function updated(browser: Browser, seed: number, random: Random): Promise<Trial> {
  const server = await ownServer();
  const context = await prepared(await browser.newContext({ serviceWorkers: 'allow' }));
  // The whole program is fetched and kept meanwhile.
  context.setDefaultTimeout(90_000);
  try {
    const page = await context.newPage();
    await page.goto(`${server.url}/car/car-tarn`);
    await page.getByText('from now on it starts without its server').waitFor();
    server.renew();
    await page.reload();
    const update = page.getByTestId('update').getByRole('button', { name: 'Update' });
    await update.waitFor();
    await massBox(page).waitFor();
    const edits = await editFor([page], random);
    const at = Date.now();
    await update.click();
    await page.locator('html[data-newer]').waitFor();
    await massBox(page).waitFor();
    await page.close();
    return judge('update', seed, edits, await keptMasses(context, server.url, [0]), at);
  } finally {
    await context.close();
    server.end();
  }
}
