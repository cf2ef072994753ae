import { demoProject } from '../demo/project';
import { flowsAt, networkOf, simulateDay, twoSides } from '../src/core';
import { dayInput, METRIC, setupOf } from '../src/model';
import { temperatureText } from '../src/text/en';
import { choose, expect, open, project, settled, stored, test, verdict } from './page';
import { tripsOver } from './support/axe';

const setup = setupOf(demoProject);

test('looking inside shows the temperatures and flows of the very run, at any moment, by keyboard too', async ({
  page,
}) => {
  const input = dayInput(setup);
  const result = simulateDay(input);
  const record = result.record.wheels.frontLeft;
  await open(page);
  await page.getByRole('link', { name: 'Inside' }).click();
  const section = page.getByRole('region', { name: 'Section of the brake' });
  const hottest = record.rotorFace.indexOf(Math.max(...record.rotorFace));
  await expect(section).toContainText(`rotor surface ${temperatureText(record.rotorFace[hottest], METRIC)}`);
  await expect(section).toContainText(`core ${temperatureText(record.rotorBulk[hottest], METRIC)}`);
  for (const part of [
    'pad surface',
    'backing plate',
    'pistons',
    'fluid',
    'caliper',
    'vanes',
    'bell (hat)',
    'hub',
    'upright',
    'hose fluid',
  ]) {
    await expect(section).toContainText(part);
  }
  const flows = flowsAt(networkOf(input, 'frontLeft'), record, hottest, input.sessions[0].ambient);
  const faces = flows.find((f) => f.path === 'faces');
  const list = page.getByRole('region', { name: 'Heat flows' });
  await expect(list.getByRole('row').first()).toContainText(`${((faces?.heat ?? 0) / 1000).toFixed(1)} kW`);
  await list.getByRole('button', { name: 'rotor to air' }).first().click();
  await expect(list.getByRole('button', { name: 'rotor to air' }).first()).toHaveAttribute(
    'aria-pressed',
    'true',
  );

  const moment = page.getByTestId('moment');
  await expect(moment).toContainText(`lap ${result.record.lap[hottest] + 1}, braking zone 4 (Quench)`);
  await page.getByRole('button', { name: 'Next braking zone' }).click();
  await expect(moment).toContainText('braking zone 5 (Slag)');
  await page.getByRole('slider', { name: 'Time in the day' }).focus();
  const before = await moment.textContent();
  await page.keyboard.press('ArrowRight');
  await expect(moment).not.toHaveText(before ?? '');
  await page.keyboard.press('End');
  await expect(moment).toContainText('paddock');
  await page.keyboard.press('Home');
  await expect(section).toContainText('rotor surface 24 °C');
});

test('where the heat of a braking zone went adds up, on a drum as on a disc', async ({ page }) => {
  await open(page, '/');
  await page.getByRole('link', { name: 'Car', exact: true }).click();
  await choose(page.getByRole('combobox', { name: 'Kind', exact: true }).nth(1), 'drum');
  await expect(page.getByRole('heading', { name: 'Rear drums' })).toBeVisible();
  await page.getByRole('navigation', { name: 'Pages' }).getByRole('link', { name: 'Workbench' }).click();
  await page.getByRole('link', { name: 'Inside', exact: true }).click();
  await choose(page.getByLabel('Wheel', { exact: true }), 'rearLeft');
  await expect(page.getByRole('region', { name: 'Section of the brake' })).toContainText('rim, swept');
  const balance = page.getByRole('region', { name: 'Where the heat went' });
  const text = (await balance.textContent()) ?? '';
  const [made, air, kept] = (
    /made ([\d.]+) kJ, to the air ([\d.]+) kJ, kept in the brake (-?[\d.]+) kJ/.exec(text) ?? []
  )
    .slice(1)
    .map(Number);
  expect(made).toBeGreaterThan(20);
  expect(Math.abs(made - air - kept)).toBeLessThan(0.02 * made + 1);
  await expect(balance.locator('svg text').filter({ hasText: 'friction in the drum' })).toBeVisible();
  expect(await tripsOver(page)).toEqual([]);
});

test('every result opens to its relation, its inputs and its source', async ({ page }) => {
  await open(page);
  const margins = page.getByRole('region', { name: 'Margins' });
  for (const name of [
    'rotor surface',
    'rotor core (bulk)',
    'pad surface',
    'pad backing plate',
    'fluid',
    'fluid at the pistons',
    'caliper seals',
    'wheel bearing',
    'cold bite (initial friction)',
  ]) {
    await margins.getByRole('button', { name: `How this is calculated: ${name}`, exact: true }).click();
    const sheet = page.getByRole('dialog');
    await expect(sheet.getByText('Source.')).toBeVisible();
    await expect(sheet.getByText('Limits.')).toBeVisible();
    await expect(sheet.locator('dd').first()).toBeVisible();
    if (name === 'fluid') await expect(sheet).toContainText('205 °C');
    await page.keyboard.press('Escape');
    await expect(sheet).toBeHidden();
  }
  for (const name of [
    'brake energy per lap',
    'hot lap',
    'energy balance error',
    'the friction',
    'how long it lasts',
    'coning of the outer edge',
  ]) {
    await page
      .getByRole('button', { name: `How this is calculated: ${name}` })
      .first()
      .click();
    await expect(page.getByRole('dialog').getByText('Source.')).toBeVisible();
    await page.keyboard.press('Escape');
  }
});

test('the outlook says how many laps, how many to cool down, how long in the paddock, and follows a change', async ({
  page,
}) => {
  await open(page);
  const outlook = page.getByRole('region', { name: 'How long it lasts' });
  await expect(outlook).toContainText('Hot laps in a row with every limit kept2', { timeout: 120_000 });
  await expect(outlook).toContainText(/Cool-down laps before 2 hot laps more\d/);
  await expect(outlook).toContainText(/Least paddock time before the same again\d+ min/);
  await expect(outlook.locator('tbody tr').first()).toContainText('front pads');
  await page.getByRole('slider', { name: 'Share of grip used in braking' }).focus();
  await page.keyboard.press('Home');
  await settled(page);
  await expect(outlook).toContainText('40 and more', { timeout: 120_000 });
});

test('a day of sessions is put together, driven as a whole, and kept', async ({ page }) => {
  await open(page);
  await page.getByRole('link', { name: 'Plan and decide', exact: true }).click();
  await page.getByRole('button', { name: 'Add a session' }).click();
  const second = page.getByRole('region', { name: 'Session 2' });
  await second.getByRole('textbox', { name: 'Name of the session' }).fill('After lunch');
  await second.getByRole('textbox', { name: 'Air temperature' }).fill('31');
  await second.getByRole('button', { name: '+ Pit stop' }).click();
  await second.getByRole('textbox', { name: /^Fan: pit stop/ }).fill('18');
  await second.getByRole('textbox', { name: /^Laps: hot laps/ }).fill('0');
  await expect(page.getByRole('alert').filter({ hasText: 'Must be at least 1 lap' })).toBeVisible();
  await page.keyboard.press('Escape');
  await expect.poll(() => stored(page)).toContain('After lunch');
  await page.getByRole('link', { name: 'Workbench' }).first().click();
  await settled(page);
  await expect(verdict(page)).toContainText('of session 1');
  await page.getByLabel('Lap shown').click();
  await expect(page.getByRole('listbox').getByRole('group')).toHaveCount(2);
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Show the whole day' }).click();
  await expect(page.getByRole('button', { name: 'Show one session' })).toBeVisible();
  await choose(page.getByLabel('Lap shown'), { label: 'Lap 2 of 7, hot lap' });
  await expect(page.getByRole('region', { name: 'Braking zone list' }).locator('tbody tr')).toHaveCount(7);
});

test('sides that differ can be looked at one by one', async ({ page }) => {
  await open(page);
  await expect(page.getByLabel('Side shown')).toBeHidden();
  await choose(page.getByLabel('Plan on the workbench'), 'plan-ovel-nettle');
  const side = page.getByLabel('Side shown');
  const head = page.getByRole('region', { name: 'Braking zone list' }).locator('thead');
  await expect(head).toContainText('front right brake');
  await choose(side, 'left');
  await expect(head).toContainText('front left brake');
  await page.getByRole('button', { name: 'Files' }).click();
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('menuitem', { name: 'Braking zones (CSV)' }).click(),
  ]);
  expect(file.suggestedFilename()).toBe('first-track-day-nettle-glen-braking-zones.csv');
});

test('inner and outer side that differ are shown, and judged by the hotter one where asked; a damp track slows', async ({
  page,
}) => {
  await open(page);
  await choose(page.getByLabel('Plan on the workbench'), 'plan-ovel-nettle');
  await settled(page);
  const dry = await page.getByLabel('Verdict', { exact: true }).textContent();
  await expect(page.getByTestId('sides-line')).toContainText('differ by up to 108 °C');
  await page.getByTestId('sides-line').getByRole('link', { name: 'Inside' }).click();
  const ovel = setupOf(demoProject, 'plan-ovel-nettle');
  const fronts = twoSides(dayInput(ovel)).wheels.filter(({ axle }) => axle === 'front');
  const [left] = fronts;
  const hottest = Math.max(...fronts.map(({ outer }) => outer.plate));
  const sides = page.getByTestId('sides');
  await expect(sides).toContainText('differ by up to 108 °C', { timeout: 20_000 });
  const plates = sides.getByRole('row').filter({ hasText: 'Pad backing plate' });
  await expect(plates).toContainText(temperatureText(left.outer.plate, METRIC));
  await expect(plates).toContainText(temperatureText(left.inner.plate, METRIC));
  await sides.getByRole('button', { name: 'Judge the front by its hotter side' }).click();
  await expect.poll(async () => (await project(page)).cars[1].front.sides).toBe('apart');
  await page.getByRole('link', { name: 'Workbench' }).click();
  await settled(page);
  const margins = page.getByRole('region', { name: 'Margins' });
  await expect(margins).toContainText(temperatureText(hottest, METRIC));

  await page.getByRole('link', { name: 'Plan and decide', exact: true }).click();
  await page.getByRole('textbox', { name: 'Grip of the track' }).fill('60');
  await page.keyboard.press('Enter');
  await page.getByRole('navigation', { name: 'Pages' }).getByRole('link', { name: 'Workbench' }).click();
  await settled(page);
  const damp = await page.getByLabel('Verdict', { exact: true }).textContent();
  const hotLap = (text: string | null) =>
    /Hot lap\D*(\d+):([\d.]+)/
      .exec(text ?? '')
      ?.slice(1)
      .map(Number) ?? [];
  const seconds = ([minutes, rest]: number[]) => 60 * minutes + rest;
  expect(seconds(hotLap(damp))).toBeGreaterThan(1.05 * seconds(hotLap(dry)));
});
