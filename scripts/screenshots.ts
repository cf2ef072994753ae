import type { Page } from '@playwright/test';
import { exportedGpx, loggedCsv } from '../tests/support/logs';
import { withApplication } from './browser';

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
  await page.getByTestId('logged-stops').waitFor();
}

const VIEWS: readonly View[] = [
  { name: 'workbench', path: '/' },
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
  { name: 'inside', path: '/inside' },
  { name: 'garage-chain', path: '/garage/chain' },
  {
    name: 'garage-balance',
    path: '/garage/balance',
    prepare: async (page) => {
      await page.getByLabel('Plan on the workbench').selectOption('plan-skarn-fen');
      await page.getByText('Both axles keep').or(page.getByText('never keep alike')).waitFor();
      await page.getByRole('region', { name: 'Balance sweep' }).scrollIntoViewIfNeeded();
    },
  },
  { name: 'garage-pedal', path: '/garage/pedal' },
  { name: 'garage-procedures', path: '/garage/procedures' },
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
  { name: 'circuit-map', path: '/circuits/map' },
  {
    name: 'circuit-import',
    path: '/circuits/import',
    prepare: async (page) => {
      await page.getByTestId('circuit-file').setInputFiles({
        name: 'nettle-glen.gpx',
        mimeType: 'application/gpx+xml',
        buffer: Buffer.from(exportedGpx(1)),
      });
      await page.getByTestId('found-corners').filter({ hasText: /\d/ }).waitFor();
    },
  },
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
    name: 'log-live',
    path: '/log/live',
    prepare: async (page) => {
      await page.getByLabel('Speed').selectOption('50');
      await page.getByRole('button', { name: 'Connect' }).click();
      await page.waitForTimeout(7000);
    },
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
