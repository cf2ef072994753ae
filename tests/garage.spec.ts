import type { Page } from '@playwright/test';
import { demoProject } from '../demo/project';
import { readProject } from '../src/model';
import { choose, expect, importText, open, setBalance, settled, stored, test, verdict } from './page';

const car = async (page: Page, index = 0) => {
  const read = readProject((await stored(page)) ?? '');
  if (!read.ok) throw new Error('the stored project cannot be read');
  return { car: read.project.cars[index], project: read.project };
};
const tab = async (page: Page, path: string) => {
  await page.goto(`/garage/${path}`);
  await expect(page.getByRole('navigation', { name: 'Garage' })).toBeVisible();
};

test('the chain writes pressure, force and torque for the deceleration that is dragged', async ({ page }) => {
  await tab(page, 'chain');
  const chain = page.getByRole('region', { name: 'Chain from foot to tyre' });
  const pedal = async () =>
    Number(
      /(\d+) N\s*\d+ mm/.exec((await chain.getByRole('navigation').locator('svg').textContent()) ?? '')?.[1],
    );
  const slow = await pedal();
  await chain.getByRole('slider', { name: 'Deceleration' }).focus();
  for (let i = 0; i < 20; i++) await page.keyboard.press('ArrowRight');
  await expect.poll(pedal).toBeGreaterThan(slow * 1.1);
  const before = await pedal();
  // Twice the ratio, half the foot.
  await page.getByRole('textbox', { name: 'Pedal ratio' }).fill('10');
  await expect.poll(pedal).toBeLessThan(0.52 * before);
  await choose(chain.getByRole('combobox', { name: 'Pads' }), 'faded');
  await expect.poll(pedal).toBeGreaterThan(0.55 * before);
  await chain.getByRole('slider', { name: 'Deceleration' }).press('End');
  await expect(chain).toContainText('axle is nearer to locking');
});

test('what cannot be is refused in its field, and nothing is lost', async ({ page }) => {
  await tab(page, 'chain');
  const refuse = async (name: string, text: string, says: RegExp) => {
    const field = page.getByRole('textbox', { name, exact: true }).first();
    const good = await field.inputValue();
    await field.fill(text);
    await expect(page.getByRole('alert').filter({ hasText: says })).toBeVisible();
    await field.press('Escape');
    await expect(field).toHaveValue(good);
  };
  await choose(page.getByRole('combobox', { name: 'Booster' }), 'yes');
  await refuse('Booster gain', '0.9', /at least 1/);
  await choose(page.getByRole('combobox', { name: 'Valve' }), 'load');
  await refuse('Valve knee', '-1', /at least 0/);
  await choose(page.getByRole('combobox', { name: 'Kind', exact: true }).first(), 'pair');
  await refuse('Balance bar', '101', /at most 100/);
  await refuse('Balance bar', '-3', /at least 0/);
  await page.getByRole('button', { name: 'Remove the last front piston' }).click();
  await expect(page.getByRole('button', { name: 'Remove the last front piston' })).toBeDisabled();
  await page.waitForTimeout(500);
  const { car: saved } = await car(page);
  expect(saved.pedal).toMatchObject({
    booster: { gain: 5 },
    valve: { kind: 'load' },
    cylinders: { kind: 'pair' },
  });
  expect(saved.front.caliper.pistonsMm).toEqual([36]);
});

test('a file with a caliper without pistons, a gain under 1 or a balance over 100 % says where', async ({
  page,
}) => {
  await open(page);
  const bad = structuredClone(demoProject);
  bad.cars[0].front.caliper.pistonsMm = [];
  bad.cars[1].pedal.booster = { gain: 0.5, kneeN: 500 };
  const pair = bad.cars[2].pedal.cylinders;
  if (pair.kind === 'pair') pair.frontPushPercent = 140;
  await importText(page, 'bad.json', JSON.stringify(bad));
  const told = page.getByRole('alertdialog').or(page.getByRole('dialog'));
  await expect(told).toContainText('cars[0].front.caliper.pistonsMm');
  await expect(told).toContainText('cars[1].pedal.booster.gain: must be at least 1');
  await expect(told).toContainText('cars[2].pedal.cylinders.frontPushPercent: must be at most 100');
});

test('a weak foot: the verdict says the pedal, braking zones run long, and braking earlier shortens that', async ({
  page,
}) => {
  await tab(page, 'chain');
  await page.getByRole('textbox', { name: 'Driver’s limit' }).fill('300');
  await page.getByRole('link', { name: 'Pedal and fade' }).click();
  const session = page.getByRole('region', { name: 'Pedal force over the session' });
  await expect(session).toContainText('At worst the car overshoots by');
  const overrun = async () =>
    Number(/At worst the car overshoots by (\d+) m/.exec((await session.textContent()) ?? '')?.[1] ?? 0);
  // A fresh plan brakes earlier; without, the car overshoots by as much on every lap.
  const earlier = await overrun();
  expect(earlier).toBeGreaterThan(2);
  await session.getByRole('checkbox').uncheck();
  await expect.poll(overrun).toBeGreaterThan(1.3 * earlier);
  await session.getByRole('checkbox').check();
  await expect.poll(overrun).toBe(earlier);
  await page.getByRole('link', { name: 'Workbench' }).first().click();
  await settled(page);
  await expect(verdict(page)).toContainText(
    'The pedal force runs out first: over the driver’s limit of 300 N',
  );
  await expect(page.getByRole('region', { name: 'Margins' })).toContainText('Minimum brake reserve −');
});

test('the braking zone list has a view of pedal and balance, with the brake reserve in both', async ({
  page,
}) => {
  await open(page);
  const list = page.getByRole('region', { name: 'Braking zone list' });
  await expect(list.getByRole('button', { name: /^brake reserve/ })).toBeVisible();
  await list.getByRole('radio', { name: 'Pedal and balance' }).click();
  await expect(list.getByRole('button', { name: /^pedal/ })).toBeVisible();
  await expect(list.getByRole('button', { name: /^brake reserve/ })).toBeVisible();
  await expect(list.locator('tbody tr').first()).toContainText('tyres');
  await list.getByRole('button', { name: 'How this is calculated: the brake reserve' }).click();
  await expect(page.getByRole('dialog')).toContainText('over the braking that is needed, minus 1');
});

test('clicks by braking zone: the ideal balance is set, driven, and undone', async ({ page }) => {
  await tab(page, 'balance');
  await choose(page.getByLabel('Plan on the workbench'), 'plan-skarn-fen');
  const zones = page.getByRole('region', { name: 'Balance by braking zone' });
  const mean = async () => Number(await zones.locator('tbody tr').first().locator('td').nth(1).textContent());
  await expect(zones).toBeVisible();
  const before = await mean();
  await zones.getByRole('link', { name: 'Find the ideal balance' }).click();
  const choices = page.getByRole('region', { name: 'Balances compared' });
  // What is set is what is wanted: the row that was set and the day as it is then say the same.
  await expect(choices.getByRole('row', { name: /Ideal balance/ })).toBeVisible();
  const promised = await choices
    .getByRole('row', { name: /Ideal balance/ })
    .locator('td')
    .allInnerTexts();
  await setBalance(page, 'Ideal balance');
  await expect
    .poll(async () =>
      (
        await choices
          .getByRole('row', { name: /Current setup/ })
          .locator('td')
          .allInnerTexts()
      ).slice(0, 5),
    )
    .toEqual(promised.slice(0, 5));
  await page.goBack();
  await expect.poll(mean).toBeLessThan(before - 1);
  await page.getByRole('button', { name: /^Undo: Balance/ }).click();
  await expect.poll(mean).toBeCloseTo(before, 1);
});

test('added loads move weight, and the session with it', async ({ page }) => {
  await tab(page, 'balance');
  const loads = page.getByRole('region', { name: 'Loads', exact: true });
  await expect(loads).toContainText('1040.0 kg');
  await loads.getByRole('button', { name: /Add fuel/ }).click();
  await loads.getByRole('textbox', { name: /^Mass of Load 1/ }).fill('100');
  await expect(loads).toContainText('1140.0 kg');
  await loads.getByRole('button', { name: 'Remove Load 1' }).click();
  await expect(loads).toContainText('1040.0 kg');
});

test('failures and fit tell what they find', async ({ page }) => {
  await tab(page, 'failure');
  const failures = page.getByRole('region', { name: 'If something fails' });
  await expect(failures.locator('tbody tr')).toHaveCount(3);
  await tab(page, 'chain');
  await choose(page.getByRole('combobox', { name: 'Kind', exact: true }).first(), 'single');
  await page.getByRole('link', { name: 'If something fails' }).click();
  await expect(failures).toContainText('does not stop');

  await page.getByRole('link', { name: 'Does it fit' }).click();
  const front = page.getByRole('region', { name: 'Front clearances' });
  await expect(front).toContainText('3.0 mm free');
  await page.getByRole('textbox', { name: 'Pad when new' }).first().fill('16');
  await expect(front).toContainText('5.0 mm too little');
});

test('a part of one’s own: copied, changed, fitted, exported, imported, and not removable while fitted', async ({
  page,
}) => {
  await tab(page, 'parts');
  const shelf = page.getByRole('region', { name: 'Parts shelf' });
  await shelf.getByRole('button', { name: 'Copy Clubday sintered blend as my own' }).click();
  const own = shelf.getByRole('listitem').filter({ hasText: 'Clubday sintered blend, own' });
  await own.getByRole('textbox', { name: 'Name' }).fill('Workshop compound 7');
  const mine = shelf.getByRole('listitem').filter({ hasText: 'Workshop compound 7' });
  await mine.getByRole('textbox', { name: 'Fades over' }).fill('760');
  await mine.getByRole('textbox', { name: /^Temperature of point 3/ }).fill('100');
  await expect(mine.getByRole('alert')).toContainText('Must be over the point before it');
  await mine.getByRole('textbox', { name: /^Temperature of point 3/ }).press('Escape');
  await mine.getByRole('button', { name: 'Fit front' }).click();
  await expect(page.getByText('Fitted Workshop compound 7 to')).toBeVisible();
  await expect(mine.getByRole('button', { name: 'Remove Workshop compound 7' })).toBeDisabled();
  await page.getByRole('link', { name: 'Workbench' }).first().click();
  await settled(page);
  await expect(page.getByRole('combobox', { name: 'Front pad' })).toHaveText('Workshop compound 7');
  await expect(page.getByRole('region', { name: 'Margins' })).toContainText('of 760 °C');

  await tab(page, 'parts');
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    shelf.getByRole('button', { name: 'Export my parts' }).click(),
  ]);
  const text = await (await import('node:fs/promises')).readFile(await file.path(), 'utf8');
  await importText(page, 'parts.json', text);
  await expect(page.getByText('Added 1 part to the shelf')).toBeVisible();
  await expect(shelf.getByRole('listitem').filter({ hasText: 'Workshop compound 7' })).toHaveCount(2);
  await importText(page, 'parts.json', text.replace('"limitC": 760', '"limitC": "hot"'));
  await expect(page.getByRole('alertdialog').or(page.getByRole('dialog'))).toContainText(
    'parts[0].values.limitC: must be a number',
  );
});
