import type { Page } from '@playwright/test';
import { loggedCsv } from '../tests/support/logs';
import { withApplication } from './browser';
import { choose } from './choose';

/** Takes one picture of each main view, from the demo data, into docs/screenshots. */
const FOLDER = 'docs/screenshots';

interface View {
  readonly name: string;
  readonly path: string;
  readonly size?: readonly [number, number];
  readonly dark?: boolean;
  readonly prepare?: (page: Page) => Promise<void>;
}

/** Reads the simulated logger's file of the demo's first plan. */
async function openLog(page: Page): Promise<void> {
  await page.getByTestId('log-file').setInputFiles({
    name: 'anvil-morning.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(loggedCsv(6, 20)),
  });
  await page.getByRole('button', { name: 'Read the log' }).click();
  await page.getByTestId('logged-zones').waitFor();
}

const VIEWS: readonly View[] = [
  { name: 'workbench', path: '/' },
  {
    name: 'prototype-dark',
    path: '/',
    dark: true,
    prepare: async (page) => {
      await choose(page.getByLabel('Plan on the workbench'), 'plan-skarn-fen');
    },
  },
  { name: 'inside', path: '/inside' },
  { name: 'garage-chain', path: '/garage/chain' },
  { name: 'car', path: '/car' },
  { name: 'circuit', path: '/circuit' },
  { name: 'circuit-map', path: '/circuits/map' },
  { name: 'log-laps', path: '/log/logs', prepare: openLog },
  {
    name: 'log-heat',
    path: '/log/logs',
    prepare: async (page) => {
      await openLog(page);
      await page.getByRole('link', { name: 'Measured and predicted' }).click();
      await page.getByTestId('residuals').waitFor();
    },
  },
  {
    name: 'decide-cooling',
    path: '/decide/cooling',
    prepare: (page) => page.getByText('Cheapest in money').waitFor({ timeout: 120_000 }),
  },
  {
    name: 'decide-compare',
    path: '/decide/next',
    prepare: async (page) => {
      await page.getByText('Today the closest').waitFor({ timeout: 120_000 });
      for (const part of [
        'front ducts: Hose of 100 mm',
        'front ducts: Hose of 63 mm',
        'front rotors: Vented 320 × 28, pillars',
      ]) {
        await page.getByRole('button', { name: `Compare ${part}`, exact: true }).click();
      }
      await page.getByRole('link', { name: 'Compare setups' }).click();
      await page.getByLabel('Braking zones of all setups').waitFor();
      await page.waitForTimeout(11_000);
      await page.getByLabel('Braking zones of all setups').scrollIntoViewIfNeeded();
    },
  },
  {
    name: 'decide-ladder',
    path: '/decide/next',
    prepare: (page) => page.getByText('Today the closest').waitFor({ timeout: 120_000 }),
  },
  {
    name: 'decide-pace',
    path: '/decide/pace',
    prepare: (page) => page.getByText('Ways through the session').waitFor({ timeout: 120_000 }),
  },
  {
    name: 'decide-sure',
    path: '/decide/sure',
    prepare: async (page) => {
      await page.getByRole('button', { name: /^Start .* runs/ }).click();
      await page.getByRole('region', { name: 'How likely' }).waitFor({ timeout: 300_000 });
    },
  },
  {
    name: 'decide-exposed',
    path: '/decide/exposed',
    prepare: (page) => page.getByText('On the passenger’s side').first().waitFor({ timeout: 60_000 }),
  },
  {
    name: 'decide-sheet',
    path: '/decide/sheet',
    size: [1280, 1000],
    prepare: (page) => page.getByText('At most').waitFor({ timeout: 60_000 }),
  },
  { name: 'plan', path: '/plan' },
  { name: 'library', path: '/library' },
  { name: 'phone', path: '/', size: [390, 844] },
];

await withApplication(4329, async (browser, address) => {
  for (const view of VIEWS) {
    const [width, height] = view.size ?? [1280, 800];
    const context = await browser.newContext({
      viewport: { width, height },
      colorScheme: view.dark ? 'dark' : 'light',
    });
    const page = await context.newPage();
    await page.goto(`${address}${view.path}`);
    await page.locator('main section').first().waitFor();
    await view.prepare?.(page);
    await page.waitForTimeout(2000);
    await page.screenshot({ path: `${FOLDER}/${view.name}.png` });
    console.log(`${FOLDER}/${view.name}.png`);
    await context.close();
  }
});
