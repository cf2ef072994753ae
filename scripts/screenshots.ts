import type { Page } from '@playwright/test';
import { loggedCsv } from '../tests/support/logs';
import { withApplication } from './browser';
import { choose } from './choose';
import { EIGHT_ZONES, firstHour } from './firstHour';

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
  {
    name: 'season',
    path: '/logbook/season',
    prepare: async (page) => {
      await page.getByRole('region', { name: 'Sets by session' }).waitFor();
    },
  },
  { name: 'workbench', path: '/' },
  {
    name: 'prototype-dark',
    path: '/',
    dark: true,
    prepare: async (page) => {
      await choose(page.getByLabel('Plan on the workbench'), 'plan-skarn-fen');
    },
  },
  {
    name: 'start-car',
    path: '/new/car',
    prepare: async (page) => {
      await page.getByLabel('Mass with the driver').last().fill('1390');
      await page.getByRole('radio', { name: 'Front' }).click();
      await page.getByLabel('Thickness').fill('28');
    },
  },
  {
    name: 'start-circuit',
    path: '/new/circuit',
    prepare: async (page) => {
      await page.getByLabel('From of braking zone 1').focus();
      await page.evaluate((text) => {
        const clipboardData = new DataTransfer();
        clipboardData.setData('text/plain', text);
        document.activeElement?.dispatchEvent(
          new ClipboardEvent('paste', { clipboardData, bubbles: true, cancelable: true }),
        );
      }, EIGHT_ZONES);
      await page.getByText('were read').waitFor();
    },
  },
  {
    name: 'first-steps',
    path: '/',
    prepare: async (page) => {
      await page.addInitScript('globalThis.__name = (f) => f');
      await page.reload();
      await page.getByTestId('verdict').waitFor();
      await firstHour(page);
      await page.getByRole('button', { name: 'What should I do first?' }).click();
      await page.getByTestId('first-steps').waitFor({ timeout: 180_000 });
    },
  },
  {
    name: 'find-out',
    path: '/decide/find-out',
    prepare: (page) => page.getByText('simulated days').waitFor({ timeout: 120_000 }),
  },
  { name: 'inside', path: '/inside' },
  { name: 'car', path: '/car' },
  { name: 'circuit-map', path: '/circuits/map' },
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
    name: 'decide-compare',
    path: '/decide/next',
    prepare: async (page) => {
      await page.getByText('Today the closest').waitFor({ timeout: 120_000 });
      for (const part of [
        'front ducts: Hose of 100 mm (4 in)',
        'front ducts: Hose of 63 mm (2½ in)',
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
    name: 'decide-sure',
    path: '/decide/sure',
    prepare: async (page) => {
      await page.getByRole('button', { name: /^Start .* runs/ }).click();
      await page.getByRole('region', { name: 'How likely' }).waitFor({ timeout: 300_000 });
    },
  },
  {
    name: 'decide-sheet',
    path: '/decide/sheet',
    size: [1280, 1000],
    prepare: (page) => page.getByText('At most').waitFor({ timeout: 60_000 }),
  },
  { name: 'prepare', path: '/prepare/jobs' },
  {
    name: 'test',
    path: '/test/evaluate?run=run-2',
    prepare: (page) => page.getByRole('img', { name: 'Pedal force by stop' }).waitFor({ timeout: 60_000 }),
  },
  {
    name: 'calibrate',
    path: '/calibrate/fit',
    prepare: async (page) => {
      await page.getByLabel(/Anvil Park, afternoon/).click();
      await page.getByRole('button', { name: 'Calibrate', exact: true }).click();
      await page.getByTestId('estimates').waitFor({ timeout: 120_000 });
    },
  },
  {
    name: 'phone',
    path: '/',
    size: [390, 844],
    prepare: (page) => page.getByTestId('verdict').waitFor({ timeout: 60_000 }),
  },
];

await withApplication(4329, async (browser, address) => {
  for (const view of VIEWS) {
    const [width, height] = view.size ?? [1280, 800];
    const context = await browser.newContext({
      viewport: { width, height },
      serviceWorkers: 'block',
      colorScheme: view.dark ? 'dark' : 'light',
    });
    const page = await context.newPage();
    await page.goto(`${address}${view.path}`);
    await page.locator('main section').first().waitFor();
    await view.prepare?.(page);
    await page.waitForTimeout(2000);
    // What is computed beside the verdict comes after it.
    await page
      .getByText(/computing …/)
      .first()
      .waitFor({ state: 'detached', timeout: 60_000 });
    // Nor is anything pale, and no message lies over it.
    for (const passing of ['[aria-busy=true]', '[data-sonner-toast]']) {
      await page.waitForFunction((mark) => !document.querySelector(mark), passing, { timeout: 60_000 });
    }
    await page.screenshot({ path: `${FOLDER}/${view.name}.png` });
    console.log(`${FOLDER}/${view.name}.png`);
    await context.close();
  }
});
