import { demoProject } from '../demo/project';
import { judgedDay, simulateDay } from '../src/core';
import { applyWhatIf, dayInput, METRIC, setupOf, siText } from '../src/model';
import { resultDocument, zonesCsv } from '../src/report';
import { verdictText } from '../src/text/en';
import { choose, chosen, expect, exported, open, settled, test, turnTo, verdict } from './page';
import { tripsOver } from './support/axe';

const setup = setupOf(demoProject);

test('the first visit shows the demo scenario, computed, with the same verdict and numbers as the command line', async ({
  page,
}) => {
  const result = simulateDay(dayInput(setup));
  await open(page);
  await expect(verdict(page)).toContainText(verdictText(result, METRIC).sentence);
  const rows = page.getByRole('region', { name: 'Braking zone list' }).locator('tbody tr');
  await expect(rows).toHaveCount(result.trace.zones.length);
  const whole = await exported(page, 'Whole result (JSON)');
  expect(whole.name).toBe('twenty-minutes-at-anvil-park-result.json');
  expect(JSON.parse(whole.text)).toEqual(JSON.parse(JSON.stringify(resultDocument(setup, result))));
  const csv = await exported(page, 'Braking zones (CSV)');
  expect(csv.text).toBe(zonesCsv(setup, result));
});

test('a braking zone picked anywhere is picked everywhere, by mouse and by keyboard', async ({ page }) => {
  await open(page);
  const picked = async (k: number) => {
    await expect(page.getByRole('radio', { name: new RegExp(`^Braking zone ${k},`) })).toBeChecked();
    await expect(
      page.getByRole('region', { name: 'Braking zone list' }).locator('tr[aria-selected=true] td').first(),
    ).toHaveText(String(k));
    await expect(page.locator('figcaption').first()).toContainText(`At braking zone ${k} `);
  };
  await picked(1);
  await page.getByRole('radio', { name: /^Braking zone 3,/ }).click();
  await picked(3);
  await page.keyboard.press('ArrowRight');
  await picked(4);
  await page.getByRole('region', { name: 'Braking zone list' }).getByText('Chisel').click();
  await picked(6);
  await page.keyboard.press('ArrowDown');
  await picked(7);
  await page
    .getByLabel('Map of Anvil Park')
    .locator('g.cursor-pointer', { has: page.getByText('2', { exact: true }) })
    .click();
  await picked(2);
  await page.keyboard.press('.');
  await picked(3);
  await page.getByRole('button', { name: 'Previous lap' }).click();
  const before = await page.getByLabel('Lap shown').getAttribute('data-value');
  await page.keyboard.press('Shift+>');
  await chosen(page.getByLabel('Lap shown'), String(Number(before) + 1));
});

test('a control tells the verdict of its value however it is moved: on at rest, in a hurry, back, by leaps', async ({
  page,
}) => {
  await open(page);
  const mass = page.getByRole('slider', { name: 'Mass' });
  await mass.focus();
  const told = async () => {
    await settled(page);
    const massKg = Number(await mass.getAttribute('aria-valuenow'));
    const day = judgedDay(dayInput(applyWhatIf(setup, { massKg })));
    await expect(verdict(page)).toContainText(verdictText(day, METRIC).sentence);
    return massKg;
  };
  const values: number[] = [];
  for (let k = 0; k < 4; k++) {
    await mass.press('ArrowRight');
    values.push(await told());
    // Long enough for the next notch to be driven ahead.
    await page.waitForTimeout(400);
  }
  for (const keys of [
    ['ArrowRight', 'ArrowRight', 'ArrowRight'],
    ['ArrowLeft'],
    ['End'],
    ['PageDown', 'Home'],
  ]) {
    for (const key of keys) await mass.press(key);
    values.push(await told());
  }
  expect(new Set(values).size).toBe(8);
});

test('what is out of sight rests while a control moves and is the same once it stops; what is in sight follows', async ({
  page,
}) => {
  await open(page);
  const margins = page.getByRole('region', { name: 'Margins' });
  const mass = page.getByRole('slider', { name: 'Mass' });
  await expect(page.getByRole('slider').first()).toHaveAccessibleName('Mass');
  await expect(margins).toHaveCount(1);
  /** Moves the mass a notch every 80 ms, and tells how many different margins stood there meanwhile, up to four. */
  const move = (notches: number) =>
    page.evaluate(async (count) => {
      const thumb = document.querySelector('[role=slider]') as HTMLElement;
      const board = document.querySelector('[aria-label=Margins]') as HTMLElement;
      const texts = new Set<string | null>();
      for (let k = 0; k < count && texts.size < 4; k++) {
        thumb.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowRight', bubbles: true }));
        await new Promise((done) => setTimeout(done, 80));
        texts.add(board.textContent);
      }
      return texts.size;
    }, notches);
  expect(await move(20)).toBeLessThan(3);
  await settled(page);
  const massKg = Number(await mass.getAttribute('aria-valuenow'));
  const { margins: found } = judgedDay(dayInput(applyWhatIf(setup, { massKg })));
  const core = found.find(({ part, axle }) => part === 'rotorBulk' && axle === 'front');
  const worst = siText(core?.worst ?? 0, 'temperature', METRIC);
  const row = margins.getByRole('row', { name: 'Rotor core (bulk)' });
  await expect(row).toContainText(worst);
  await page.getByRole('button', { name: 'Reset all' }).click();
  await expect(row).not.toContainText(worst);
  await margins.scrollIntoViewIfNeeded();
  await settled(page);
  expect(await move(60)).toBe(4);
});

test('the verdict does not get lower while a control moves: what stands below it stays where it is', async ({
  page,
}) => {
  await open(page);
  const band = page.getByTestId('cooling-band');
  await expect(band).not.toContainText('computing');
  /** Moves the mass down a notch every 80 ms; how high the verdict is before, and the least and highest meanwhile, px. */
  const heights = await page.evaluate(async () => {
    const thumb = document.querySelector('[role=slider]') as HTMLElement;
    const panel = document.querySelector('[aria-label=Verdict]') as HTMLElement;
    const before = panel.offsetHeight;
    const seen: number[] = [];
    const texts = new Set<string | null>();
    for (let k = 0; k < 15; k++) {
      thumb.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowLeft', bubbles: true }));
      await new Promise((done) => setTimeout(done, 80));
      seen.push(panel.offsetHeight);
      texts.add(panel.textContent);
    }
    return { before, least: Math.min(...seen), most: Math.max(...seen), texts: texts.size };
  });
  expect(heights.texts).toBeGreaterThan(1);
  expect(heights.least).toBeGreaterThanOrEqual(heights.before);
  expect(heights.most - heights.least).toBeLessThan(60);
  // Once all is there it is as high as what it says.
  const lowest = () =>
    page.getByRole('region', { name: 'Verdict' }).evaluate((panel) => panel.parentElement?.style.minHeight);
  expect(await lowest()).toMatch(/px$/);
  await expect.poll(lowest).toBe('');
});

test('a what-if computes the session again, leaves the saved state as a ghost, resets, and can be kept and undone', async ({
  page,
}) => {
  await open(page);
  const first = await verdict(page).textContent();
  /** The front disc’s core over the lap, as it is drawn last of all lines. */
  const core = page
    .getByRole('figure', { name: /^Lap \d+ over distance$/ })
    .locator('path[stroke="var(--front)"]')
    .last();
  const drawn = await core.getAttribute('d');
  const duct = page.getByRole('slider', { name: 'Front duct, a wheel' });
  await duct.focus();
  for (let i = 0; i < 5; i++) await page.keyboard.press('PageUp');
  await choose(page.getByRole('combobox', { name: 'Front pad', exact: true }), 'enduro');
  await settled(page);
  await expect(verdict(page)).not.toHaveText(first ?? '');
  await expect(page.getByText('saved state', { exact: true })).toBeVisible();
  await expect(page.getByText('2 moved')).toBeVisible();
  await expect(core).not.toHaveAttribute('d', drawn ?? '');
  await page.getByRole('button', { name: 'Reset Front duct, a wheel' }).click();
  await expect(page.getByText('1 moved')).toBeVisible();
  await page.getByRole('button', { name: 'Reset all' }).click();
  await expect(verdict(page)).toHaveText(first ?? '');
  await expect(page.getByText('saved state', { exact: true })).toBeHidden();
  await expect(core).toHaveAttribute('d', drawn ?? '');

  await choose(page.getByRole('combobox', { name: 'Front pad', exact: true }), 'enduro');
  await settled(page);
  const moved = await verdict(page).textContent();
  await page.getByRole('button', { name: 'Keep as saved' }).click();
  await settled(page);
  await expect(verdict(page)).toHaveText(moved ?? '');
  await expect(page.getByText('nothing moved')).toBeVisible();
  await page.getByRole('button', { name: 'Undo: What-if kept' }).click();
  await expect(verdict(page)).toHaveText(first ?? '');
});

test('every number changes its unit, together or alone', async ({ page }) => {
  await open(page);
  await page.getByRole('button', { name: 'Units and look' }).click();
  await page.getByRole('menuitemcheckbox', { name: 'All US' }).click();
  await expect(verdict(page)).toContainText('1292 °F');
  await expect(page.getByRole('region', { name: 'Braking zone list' }).locator('thead')).toContainText('mph');
  await page.getByRole('button', { name: 'Units and look' }).click();
  await page.getByRole('menuitemcheckbox', { name: /^Temperature °C/ }).click();
  await page.keyboard.press('Escape');
  await expect(verdict(page)).toContainText('700 °C');
  await expect(page.getByRole('region', { name: 'Braking zone list' }).locator('thead')).toContainText('mph');
  await page.reload();
  await expect(verdict(page)).toContainText('700 °C');
  await expect(page.getByRole('region', { name: 'Braking zone list' }).locator('thead')).toContainText('mph');
});

test('other plans of the library go on the workbench, the too cold and the electric one among them', async ({
  page,
}) => {
  await open(page);
  await choose(page.getByLabel('Plan on the workbench'), 'plan-skarn-fen');
  await expect(verdict(page)).toContainText(
    /Below working temperature\. The (front|rear) pads are below working temperature on lap/,
  );
  await choose(page.getByLabel('Plan on the workbench'), 'plan-ovel-nettle');
  await expect(page.getByRole('region', { name: 'Braking zone list' }).locator('thead')).toContainText(
    'recov.',
  );
  await expect(page.getByRole('region', { name: 'Braking zone list' }).locator('tbody tr')).toHaveCount(10);
});

test.describe('dark on a phone', () => {
  test.use({ colorScheme: 'dark', viewport: { width: 390, height: 844 } });
  // In light, and wide, trust.spec.ts sweeps over every page.
  test('can be read and used by assistive technology, and does not scroll sideways: dark on a phone', async ({
    page,
  }) => {
    for (const path of [
      '/',
      '/car',
      '/plan',
      '/library',
      '/garage/balance',
      '/garage/parts',
      '/circuits/map',
      '/log/live',
    ]) {
      if (path === '/') await page.goto(path);
      else await turnTo(page, path);
      await expect(page.locator('main section, main figure').first()).toBeVisible();
      // The workbench's heading is its verdict, which a slow machine takes a moment to reach.
      await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
      await page.waitForTimeout(300);
      expect(await tripsOver(page)).toEqual([]);
      const wide = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
      expect(wide, `${path} scrolls sideways`).toBeLessThanOrEqual(0);
    }
  });
});
