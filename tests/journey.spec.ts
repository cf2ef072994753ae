import { choose, chosen, expect, open, settled, test, verdict } from './page';

test('the main job by keyboard alone: from a plan to a change that holds, kept, and read in the stop list', async ({
  page,
}) => {
  await open(page);
  await expect(verdict(page)).toContainText('Over limit.');
  const laps = page.getByRole('slider', { name: 'Hot laps' });
  await laps.focus();
  await page.keyboard.press('Home');
  await page.keyboard.press('ArrowRight');
  await settled(page);
  await expect(verdict(page)).not.toContainText('Over limit.');
  await expect(verdict(page)).toContainText('Everything stays within its limit in 2 hot laps');
  await page.getByRole('button', { name: 'Keep as saved' }).focus();
  await page.keyboard.press('Enter');
  await settled(page);
  await page.getByRole('link', { name: 'Plan and decide', exact: true }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('textbox', { name: /^Laps: hot laps/ })).toHaveValue('2');
});

test('the range of uncalibrated cooling stands under the verdict and follows a change', async ({ page }) => {
  await open(page);
  const band = page.getByTestId('cooling-band').getByRole('listitem');
  await expect(band).toHaveCount(2);
  await expect(band.first()).toContainText('30 % less cooling: The front brake fluid boils');
  const less = await band.first().textContent();
  await page.getByRole('slider', { name: 'Mass' }).focus();
  for (let i = 0; i < 3; i++) await page.keyboard.press('PageUp');
  await expect(band.first()).toContainText('on lap');
  await expect(band.first()).not.toHaveText(less ?? '');
});

test('the stop list sorts by a column, keeps the pick, and a margin leads to its worst braking zone', async ({
  page,
}) => {
  await open(page);
  const list = page.getByRole('region', { name: 'Braking zone list' });
  await list.getByRole('button', { name: /^energy/ }).click();
  const first = () => list.locator('tbody tr').first().locator('td').nth(1);
  await expect(first()).toHaveText('Hammer');
  await list.getByRole('button', { name: /^energy/ }).click();
  await expect(first()).toHaveText('Ingot');
  await expect(list.locator('th[aria-sort=ascending]')).toHaveCount(1);
  await list.getByText('Slag').click();
  await expect(list.locator('tr[aria-selected=true]')).toContainText('Slag');
  await page
    .getByRole('region', { name: 'Margins' })
    .getByRole('button', { name: /740 °C of 700/ })
    .click();
  await expect(page.getByRole('radio', { name: 'Braking zone 4, Quench' })).toBeChecked();
  await chosen(page.getByLabel('Lap shown'), '6');
});

test('laps can be stepped and picked; every one has its braking zones and temperatures', async ({ page }) => {
  await open(page);
  const bulk = page
    .getByRole('region', { name: 'Braking zone list' })
    .locator('tbody tr')
    .first()
    .locator('td')
    .nth(14);
  const temperatures: number[] = [];
  for (const lap of ['1', '2', '4', '12']) {
    await choose(page.getByLabel('Lap shown'), lap);
    await expect(page.getByLabel(`Lap ${lap} over distance`)).toBeVisible();
    await page.waitForTimeout(200);
    temperatures.push(Number(await bulk.textContent()));
  }
  expect([...temperatures].sort((a, b) => a - b)).toEqual(temperatures);
});

test.describe('on a tablet', () => {
  test.use({ viewport: { width: 820, height: 1180 } });
  test('the controls unfold under the verdict and change it', async ({ page }) => {
    await open(page);
    const before = await verdict(page).textContent();
    await expect(page.getByRole('slider', { name: 'Hot laps' })).toBeHidden();
    await page.getByRole('button', { name: 'Adjust' }).click();
    await page.getByRole('slider', { name: 'Hot laps' }).focus();
    await page.keyboard.press('Home');
    await settled(page);
    await expect(verdict(page)).not.toHaveText(before ?? '');
    await page.getByRole('button', { name: 'Fold' }).click();
    await expect(page.getByText('1 moved')).toBeVisible();
  });
});

test('US units are typed as well as shown, and stored without loss', async ({ page }) => {
  await open(page);
  await page.getByRole('button', { name: 'Units and look' }).click();
  await page.getByRole('menuitemcheckbox', { name: 'All US' }).click();
  await page.getByRole('link', { name: 'Car', exact: true }).click();
  const mass = page.getByRole('textbox', { name: 'Mass', exact: true });
  await expect(mass).toHaveValue('2292.808');
  await mass.fill('2500');
  await mass.blur();
  await expect(mass).toHaveValue('2500');
  await mass.fill('20');
  await expect(page.getByRole('alert').filter({ hasText: 'Must be at least 220 lb.' })).toBeVisible();
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Units and look' }).click();
  await page.getByRole('menuitemcheckbox', { name: 'All metric' }).click();
  await expect(mass).toHaveValue('1133.980925');
});

test('a worker that dies while it computes is replaced, and the last good result stays meanwhile', async ({
  page,
  quiet,
}) => {
  await open(page);
  const [worker] = page.workers();
  await worker.evaluate(() => {
    setTimeout(() => {
      throw new Error('broken on purpose');
    });
  });
  await page.waitForTimeout(300);
  await expect(verdict(page)).toBeVisible();
  await page.getByRole('slider', { name: 'Hot laps' }).focus();
  await page.keyboard.press('Home');
  await settled(page);
  await expect(verdict(page)).toContainText('in 1 hot lap');
  quiet.length = 0;
});
