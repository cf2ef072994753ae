import { readFileSync } from 'node:fs';
import type { Locator, Page } from '@playwright/test';
import { demoProject } from '../demo/project';
import { choose, expect, project, setBalance, shorten, stored, test, turnTo, visit } from './page';

const plan = async (page: Page) => (await project(page)).plans[0];
const region = (page: Page, name: string) => page.getByRole('region', { name, exact: true });
async function inUnits(page: Page, name: 'All US' | 'All metric'): Promise<void> {
  await page.getByRole('button', { name: 'Units and look' }).click();
  await page.getByRole('menuitemcheckbox', { name }).click();
  await page.keyboard.press('Escape');
}

test('every answer says how it came about, with its own numbers, and by the keyboard', async ({ page }) => {
  await shorten(page, 4);
  const asked: [path: string, button: string | RegExp, values: (string | RegExp)[]][] = [
    [
      'cooling',
      'How this is calculated: the front cooling need',
      [/Target margin at every limit\s*30 °C/, /Simulation runs/],
    ],
    ['cooling', 'How this is calculated: each way', [/Money in\s*€/, 'of 6']],
    ['compare', 'How this is calculated: the comparison', [/Reference\s*Current setup/, 'Rhee 1974']],
    ['next', 'How this is calculated: the ranking', [/Steps driven\s*\d\d+/, 'gain ÷ price']],
    ['pace', 'How this is calculated: the fastest plan', [/Minutes\s*20/, 'Mean speed flat out']],
    ['balance', 'How this is calculated: the balances', [/Balances driven\s*\d+/, '(b + z·h)/L']],
    [
      'exposed',
      /^How this is calculated: the temperature of Wheel-speed lead, front/,
      [/Fixed to/, 'Howell'],
    ],
    ['sheet', 'How this is calculated: what the sheet says', [/Mass as raced\s*1040 kg/, 'common practice']],
  ];
  for (const [path, name, values] of asked) {
    await turnTo(page, `/decide/${path}`);
    const button = page.getByRole('button', { name }).first();
    await button.focus();
    await page.keyboard.press('Enter');
    const sheet = page.getByRole('dialog');
    for (const value of [...values, 'Source.', 'Limits.']) await expect(sheet).toContainText(value);
    await page.keyboard.press('Escape');
    await expect(sheet).toBeHidden();
    await expect(button).toBeFocused();
  }
});

test('other units change what the ladder says and nothing about it; a step is fitted and taken back by the keyboard', async ({
  page,
}) => {
  await shorten(page, 2);
  await page.goto('/decide/next');
  const ladder = region(page, 'Upgrade ladder');
  await expect(page.getByText('First step for the money')).toBeVisible();
  await ladder.getByRole('checkbox').check();
  // What a step does to the braking zones is said behind its name, in units too.
  const names = async () =>
    (await ladder.locator('tbody th').allTextContents()).map((text) =>
      text.replace(/(Braking (that overshot|gets longer)|The longest|The car did|Shortens).*/, ''),
    );
  const order = await names();
  await expect(ladder).toContainText(/mm under the usual room/);
  await expect(ladder).toContainText(
    /more force than the driver has \(\d+ N\)|the pedal gets heavier: \d+ N/,
  );
  await inUnits(page, 'All US');
  await expect(ladder).toContainText(/\d\.\d{3} in under the usual room/);
  await expect(ladder).toContainText(/\(\d+ lbf\)|heavier: \d+ lbf/);
  await expect(ladder).not.toContainText(/\d mm (under|too)|\d N\b|\d K\b/);
  // Only said anew: nothing is driven again for it.
  await expect(page.getByText('Driving the day with every step')).toBeHidden();
  expect(await names()).toEqual(order);
  await inUnits(page, 'All metric');
  const fit = ladder.getByRole('button', { name: 'Fit front ducts: Hose of 63 mm' });
  await fit.focus();
  await page.keyboard.press('Enter');
  await expect.poll(async () => (await project(page)).cars[0].front.ductAreaCm2).toBeGreaterThan(20);
  // From the changed car the same hose is no step any more.
  await expect(fit).toBeHidden();
  await page.keyboard.press('Control+z');
  await expect.poll(async () => (await project(page)).cars[0].front.ductAreaCm2).toBe(0);
  await expect(fit).toBeVisible();
});

test('what a setup costs besides its parts counts, and another car is not priced until somebody does', async ({
  page,
}) => {
  await shorten(page, 2);
  await page.goto('/decide/compare');
  const setups = region(page, 'Setups');
  const table = region(page, 'Comparison');
  const money = (n: number): Locator =>
    table
      .getByRole('row', { name: /^Money (?!for)/ })
      .locator('td')
      .nth(n);
  await setups.getByRole('button', { name: 'Add a setup' }).click();
  await setups.getByRole('button', { name: 'Add a change' }).click();
  await choose(setups.getByRole('combobox', { name: 'What' }), 'duct');
  await setups.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(money(1)).toContainText(/^€\d+$/);
  const parts = Number((await money(1).textContent())?.replace(/\D/g, ''));
  const other = setups.getByRole('textbox', { name: 'Other cost of Setup 1' });
  await other.fill('120');
  await expect(money(1)).toHaveText(`€${parts + 120}`);
  await other.fill('-5');
  await expect(setups.getByRole('alert')).toContainText('Must be at least 0');
  await other.press('Escape');
  await expect(money(1)).toHaveText(`€${parts + 120}`);
  await choose(setups.getByRole('combobox', { name: 'Car of setup 1' }), 'car-skarn');
  await other.fill('0');
  await expect(money(1)).toHaveText('another car, not priced');
  await other.fill('9000');
  await expect(money(1)).toHaveText(`€${(9000 + parts).toLocaleString('en')}`);
  await expect.poll(async () => (await plan(page)).compare.setups[0].otherCost).toBe(9000);
  await page.reload();
  await expect(money(1)).toHaveText(`€${(9000 + parts).toLocaleString('en')}`);
  expect((await plan(page)).compare.setups[0].carId).toBe('car-skarn');
});

test('a narrow field shows other units short, keeps what is stored, and takes what is typed', async ({
  page,
}) => {
  await visit(page, '/decide/sure');
  await inUnits(page, 'All US');
  const low = page.getByRole('textbox', { name: /^Mass from/ });
  await expect(low).toHaveValue('-33.07');
  await low.focus();
  await expect(low).toHaveValue('-33.06934');
  await low.blur();
  await expect(low).toHaveValue('-33.07');
  // Looked at and left, it is what it was.
  expect(await stored(page)).toBeNull();
  await low.fill('-44.5');
  await low.blur();
  await expect(low).toHaveValue('-44.5');
  await expect
    .poll(async () => (await plan(page)).uncertain.ranges.mass.low)
    .toBeCloseTo(-44.5 * 0.45359237, 9);
  await inUnits(page, 'All metric');
  await expect(low).toHaveValue(/^-20\.184/);
});

test('a plan of several sessions: each is planned and printed by itself', async ({ page }) => {
  await visit(page, '/decide/pace');
  await choose(page.getByLabel('Plan on the workbench'), 'plan-tarn-day');
  const fastest = region(page, 'Fastest plan');
  await expect(fastest).toContainText(/Fastest with every margin kept|No pace keeps every margin/);
  const first = await fastest.textContent();
  await choose(page.getByRole('combobox', { name: 'Session' }), '1');
  await expect(fastest).not.toHaveText(first ?? '');
  await region(page, 'Ways through the session')
    .getByRole('button', { name: /^Plan / })
    .first()
    .click();
  const day = async () => (await project(page)).plans.find((p) => p.id === 'plan-tarn-day');
  const [before, after] = [demoProject.plans.find((p) => p.id === 'plan-tarn-day'), await day()];
  await expect.poll(async () => (await day())?.sessions[1]).not.toEqual(before?.sessions[1]);
  expect(after?.sessions[0]).toEqual(before?.sessions[0]);
  await page.goto('/decide/sheet');
  const sheet = page.getByRole('article', { name: 'Run sheet' });
  await expect(sheet).toContainText(before?.sessions[0].name ?? '');
  await choose(page.getByRole('combobox', { name: 'Session' }), '1');
  await expect(sheet).toContainText(before?.sessions[1].name ?? '');
  await expect(sheet).toContainText(/At most \d+|keep every limit|Not one hot lap/);
});

test('the run sheet carries the clicks of every braking zone', async ({ page }) => {
  await visit(page, '/decide/balance');
  await choose(page.getByLabel('Plan on the workbench'), 'plan-skarn-fen');
  const sheet = page.getByRole('article', { name: 'Run sheet' });
  await page.getByRole('link', { name: 'Run sheet' }).click();
  await expect(sheet).toContainText('No clicks are set: it stays in its middle all lap.');
  await page.getByRole('link', { name: 'Balance', exact: true }).click();
  await setBalance(page, 'Ideal balance');
  await expect
    .poll(async () => (await project(page)).plans.find((p) => p.id === 'plan-skarn-fen')?.clicks.length)
    .toBe(6);
  const clicks = (await project(page)).plans.find((p) => p.id === 'plan-skarn-fen')?.clicks ?? [];
  await page.getByRole('link', { name: 'Run sheet' }).click();
  const shown = sheet.getByRole('row').filter({ hasText: /^\d / }).locator('td:last-child');
  const wanted = clicks.map((c) => (c === 0 ? '0' : `${c > 0 ? '+' : '−'}${Math.abs(c)}`));
  await expect(shown).toHaveText(wanted);
});

test('a braking zone picked in one place is picked everywhere, until another plan is taken', async ({
  page,
}) => {
  await shorten(page, 2);
  await page.goto('/decide/compare');
  const overlay = region(page, 'Braking zones of all setups');
  await expect(overlay).toContainText('A click picks a braking zone, here and on every page');
  await overlay.getByTestId('pick-4').click();
  await expect(overlay).toContainText(/Picked: 4 Quench: Current setup \d+ °C/);
  await page.keyboard.press('.');
  await expect(overlay).toContainText('Picked: 5 Slag');
  await page.getByRole('link', { name: 'Balance', exact: true }).click();
  const rows = region(page, 'Balance by braking zone').locator('tbody tr');
  await expect(rows.nth(4)).toHaveAttribute('aria-current', 'true');
  await rows.nth(1).click();
  await expect(rows.nth(1)).toHaveAttribute('aria-current', 'true');
  await page.keyboard.press(',');
  await expect(rows.nth(0)).toHaveAttribute('aria-current', 'true');
  await page.keyboard.press(',');
  await expect(rows.last()).toHaveAttribute('aria-current', 'true');
  await page.getByRole('link', { name: 'Workbench' }).first().click();
  await expect(page.getByRole('radio', { name: /^Braking zone 7\b/ }).first()).toHaveAttribute(
    'aria-checked',
    'true',
  );
  await choose(page.getByLabel('Plan on the workbench'), 'plan-skarn-fen');
  await expect(page.getByRole('radio', { name: /^Braking zone 1\b/ }).first()).toHaveAttribute(
    'aria-checked',
    'true',
  );
});

test('the comparison goes out as a table of every setup’s braking zones', async ({ page }) => {
  await shorten(page, 2);
  await page.goto('/decide/compare');
  await region(page, 'Setups').getByRole('button', { name: 'Add a setup' }).click();
  const overlay = region(page, 'Braking zones of all setups');
  await expect(overlay).toContainText('Setup 1');
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    overlay.getByRole('button', { name: 'Table (CSV)' }).click(),
  ]);
  expect(file.suggestedFilename()).toMatch(/-setups\.csv$/);
  const lines = readFileSync(await file.path(), 'utf8')
    .trim()
    .split('\n');
  expect(lines).toHaveLength(1 + 2 * 7);
  expect(lines[0]).toContain('front rotor surface hottest (°C)');
  expect(lines[1]).toMatch(/^Current setup,\d+,1,Hammer,/);
  expect(lines[8]).toMatch(/^Setup 1,\d+,1,Hammer,/);
  // Without a change it is the same car on the same laps.
  expect(lines[8].replace('Setup 1', '')).toBe(lines[1].replace('Current setup', ''));
});
