import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { type Browser, chromium } from '@playwright/test';

/** How Debian's Chromium starts here: as root, without a network of its own. */
export const CHROMIUM_LAUNCH = {
  executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
};

/** Serves the built application on a port and hands a browser to `use`; ends both. */
export async function withApplication(
  port: number,
  use: (browser: Browser, address: string) => Promise<void>,
): Promise<void> {
  const server = spawn(process.execPath, ['--import', 'tsx', 'src/server/main.ts'], {
    env: { ...process.env, PORT: String(port) },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  await once(server.stdout, 'data');
  const browser = await chromium.launch(CHROMIUM_LAUNCH);
  try {
    await use(browser, `http://127.0.0.1:${port}`);
  } finally {
    await browser.close();
    server.kill();
  }
}
