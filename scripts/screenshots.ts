import type { Page } from '@playwright/test';
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
  {
    name: 'outlook-and-rotors',
    path: '/',
    prepare: async (page) => {
      const outlook = page.getByRole('region', { name: 'How long it lasts' });
      await outlook.locator('tbody').waitFor();
      await outlook.scrollIntoViewIfNeeded();
    },
  },
  { name: 'inside', path: '/inside' },
  {
    name: 'where-the-heat-went',
    path: '/inside',
    prepare: (page) => page.getByRole('region', { name: 'Where the heat went' }).scrollIntoViewIfNeeded(),
  },
  {
    name: 'day',
    path: '/',
    prepare: async (page) => {
      await page.getByLabel('Plan on the workbench').selectOption('plan-tarn-day');
      await page.getByRole('button', { name: 'Show the whole day' }).click();
      await page.getByRole('region', { name: 'Margins' }).scrollIntoViewIfNeeded();
    },
  },
  {
    name: 'how',
    path: '/',
    prepare: (page) => page.getByRole('button', { name: 'How fluid was reached' }).click(),
  },
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
