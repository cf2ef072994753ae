import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { chromium, type Page } from '@playwright/test';

/** Takes one picture of each main view, from the demo data, into docs/screenshots. */
const PORT = 4329;
const FOLDER = 'docs/screenshots';

interface View {
  readonly name: string;
  readonly path: string;
  readonly size?: readonly [number, number];
  readonly dark?: boolean;
  readonly prepare?: (page: Page) => Promise<void>;
}

const VIEWS: readonly View[] = [
  { name: 'workbench', path: '/' },
  {
    name: 'workbench-what-if',
    path: '/',
    prepare: async (page) => {
      const duct = page.getByRole('slider', { name: 'Front duct, a wheel' });
      await duct.focus();
      for (let i = 0; i < 3; i++) await page.keyboard.press('PageUp');
      await page.getByRole('radio', { name: /^Stop 4,/ }).click();
    },
  },
  {
    name: 'session-and-margins',
    path: '/',
    prepare: (page) => page.getByLabel('Margins', { exact: true }).scrollIntoViewIfNeeded(),
  },
  {
    name: 'prototype-dark',
    path: '/',
    dark: true,
    prepare: async (page) => {
      await page.getByLabel('Plan on the workbench').selectOption('plan-skarn-fen');
    },
  },
  { name: 'car', path: '/car' },
  { name: 'circuit', path: '/circuit' },
  {
    name: 'stop-list',
    path: '/circuit',
    prepare: async (page) => {
      await page.getByRole('button', { name: 'Make a list of stops' }).click();
      await page.getByRole('region', { name: 'List of stops' }).waitFor();
    },
  },
  { name: 'plan', path: '/plan' },
  { name: 'library', path: '/library' },
  { name: 'phone', path: '/', size: [390, 844] },
];

const server = spawn(process.execPath, ['--import', 'tsx', 'src/server/main.ts'], {
  env: { ...process.env, PORT: String(PORT) },
  stdio: ['ignore', 'pipe', 'inherit'],
});
await once(server.stdout, 'data');
const browser = await chromium.launch({
  executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
  ],
});
try {
  for (const view of VIEWS) {
    const [width, height] = view.size ?? [1280, 800];
    const context = await browser.newContext({
      viewport: { width, height },
      colorScheme: view.dark ? 'dark' : 'light',
    });
    const page = await context.newPage();
    await page.goto(`http://127.0.0.1:${PORT}${view.path}`);
    await page.locator('main section').first().waitFor();
    await view.prepare?.(page);
    await page.waitForTimeout(2000);
    await page.screenshot({ path: `${FOLDER}/${view.name}.png` });
    console.log(`${FOLDER}/${view.name}.png`);
    await context.close();
  }
} finally {
  await browser.close();
  server.kill();
}
