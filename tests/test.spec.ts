import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { readBenchProgramme, readRecord } from '../src/io';
import { type Project, runsOf, type StoredTest, stopsOf } from '../src/model';
import { choose, expect, project, test, visit } from './page';
import { tripsOver } from './support/axe';
import { loggedCsv } from './support/logs';

const axe = async (page: Page) => {
  expect(await tripsOver(page)).toEqual([]);
};
const newest = (p: Project) => p.tests.at(-1) as StoredTest;
const lastStops = (p: Project) =>
  stopsOf(runsOf(newest(p)).at(-1)?.run ?? { stops: {} }).map(({ stop }) => stop);

test('a test is designed, predicted, typed in and evaluated; feet and swapped speeds are caught', async ({
  page,
}) => {
  await visit(page, '/test/design');
  await page.getByRole('button', { name: 'New', exact: true }).click();
  const predicted = page.getByTestId('predicted');
  await expect(predicted).toContainText('pedal force from');
  await page.getByRole('textbox', { name: 'Braked from' }).fill('100');
  await page.getByRole('textbox', { name: 'Braked from' }).blur();
  await expect(predicted).toContainText('100 km/h to 0 km/h');
  await page.getByRole('textbox', { name: 'Braked to' }).fill('120');
  await page.getByRole('textbox', { name: 'Braked to' }).blur();
  await expect(page.getByRole('alert').first()).toContainText('under the speed braked from');
  await page.getByRole('textbox', { name: 'Braked to' }).press('Escape');
  await choose(page.getByRole('combobox', { name: 'Kind of test' }), 'rules');
  await expect(predicted).toContainText('Computed as met');
  await expect(predicted.locator('tbody tr')).toHaveCount(17);
  await choose(page.getByRole('combobox', { name: 'Kind of test' }), 'repeated');
  await expect(page.getByText('Stop at once when')).toBeVisible();
  await expect(predicted.locator('tbody tr')).toHaveCount(5);
  await expect(predicted.locator('.opacity-60')).toHaveCount(0);
  await axe(page);

  await page.getByRole('link', { name: 'Record', exact: true }).click();
  await page.getByRole('button', { name: 'New run' }).click();
  const form = page.getByRole('form', { name: 'Another stop' });
  const write = async (distance: string, from = '100') => {
    await form.getByLabel('From').fill(from);
    await form.getByLabel('Distance').fill(distance);
    await form.getByRole('button', { name: 'Write it down' }).click();
  };
  await form.getByLabel('To', { exact: true }).fill('110');
  await write('40');
  await expect(form.getByRole('alert')).toContainText('are the two swapped');
  await form.getByLabel('To', { exact: true }).fill('0');
  await write('30 + 10.4');
  await expect(page.getByTestId('stop')).toHaveCount(1);
  await write('41.2', '101');
  await write('134');
  const doubt = page.getByRole('list', { name: 'To look at' });
  await expect(doubt).toContainText('is that feet? It would be 40.8 m');
  await doubt.getByRole('button', { name: 'It was feet' }).click();
  await expect(doubt).toHaveCount(0);
  await expect
    .poll(async () => lastStops(await project(page)).map((stop) => stop.distanceM ?? stop.marksM))
    .toEqual([[30, 10.4], 41.2, 40.84]);
  await page.getByRole('button', { name: 'Mend stop 2' }).click();
  const mended = page.getByRole('form', { name: 'Stop 2' });
  await mended.getByLabel('Pedal force').fill('310');
  await mended.getByRole('button', { name: 'Mend it' }).click();
  await expect.poll(async () => lastStops(await project(page))[1].pedalN).toBe(310);
  await axe(page);

  await page.getByRole('link', { name: 'Evaluate', exact: true }).click();
  const result = page.getByTestId('run-result');
  await expect(result).toContainText('3 stops: 40.5 m');
  await expect(result.locator('tbody tr').nth(1)).toContainText('−0.81 m');
  await expect(page.getByText('All runs were driven with one setup')).toBeVisible();
});

test('the counter takes one tap a stop, goes on after the page was closed, and ends a run', async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 800 });
  await visit(page, '/test/record');
  await page.getByRole('button', { name: 'New run' }).click();
  await page.getByRole('button', { name: 'Count', exact: true }).click();
  const counter = page.getByTestId('counter');
  const tap = counter.getByRole('button', { name: 'Stop', exact: true });
  const box = await tap.boundingBox();
  // For a thumb: most of the screen, at its lower half.
  expect((box?.width ?? 0) * (box?.height ?? 0)).toBeGreaterThan(0.4 * 390 * 800);
  await tap.click();
  await expect(counter.getByTestId('count')).toHaveText('1');
  await page.waitForTimeout(1100);
  await tap.click();
  await expect(counter.getByTestId('count')).toHaveText('2');
  await counter.getByRole('button', { name: 'ABS felt' }).click();
  await page.reload();
  await expect(counter.getByTestId('count')).toHaveText('2');
  await page.keyboard.press('Enter');
  await expect(counter.getByTestId('count')).toHaveText('3');
  await counter.getByRole('button', { name: 'Back' }).click();
  await expect(counter.getByTestId('count')).toHaveText('2');
  await axe(page);
  await counter.getByRole('button', { name: 'End' }).click();
  await counter.getByRole('button', { name: 'Fluid boiled, front' }).click();
  await expect(counter).toHaveCount(0);
  await expect
    .poll(async () => runsOf(newest(await project(page))).at(-1)?.run.ended)
    .toMatchObject({ by: 'boiled', axle: 'front' });
  const stops = lastStops(await project(page));
  expect(stops.map(({ abs, source }) => [abs, source])).toEqual([
    [null, 'counter'],
    [true, 'counter'],
  ]);
  expect((stops[1].atS ?? 0) - (stops[0].atS ?? 0)).toBeGreaterThan(1);
});

test('a phone: refused, too coarse, simulated; what it measured is taken with its error', async ({
  page,
  context,
}) => {
  await visit(page, '/test/record?way=phone');
  await page.getByRole('button', { name: 'Listen to this phone' }).click();
  await expect(page.getByRole('alert')).toContainText('may not be used here');
  await context.grantPermissions(['geolocation']);
  await context.setGeolocation({ latitude: 46.2, longitude: 6.9, accuracy: 50 });
  await page.getByRole('button', { name: 'Listen to this phone' }).click();
  await expect(page.getByTestId('phone')).toContainText('too coarse for a stop');
  for (let i = 1; i < 8; i++) {
    await context.setGeolocation({ latitude: 46.2 + i * 1e-4, longitude: 6.9, accuracy: 50 });
    await page.waitForTimeout(120);
  }
  await page.getByRole('button', { name: 'Standing again' }).click();
  await expect(page.getByRole('alert')).toContainText(/no stop can be read|positions came/);
  await page.getByRole('button', { name: 'Practise with a simulated phone' }).click();
  await expect(page.getByTestId('phone-stop')).toContainText('braking felt by the accelerometer');
  await page.getByRole('button', { name: 'Take it' }).click();
  await expect
    .poll(async () => lastStops(await project(page)).at(-1))
    .toMatchObject({ source: 'phone', toKmh: 0, n: 6 });
  const stop = lastStops(await project(page)).at(-1);
  expect(Math.abs((stop?.fromKmh ?? 0) - 80)).toBeLessThan(3);
  expect(stop?.errorM).toBeLessThan(2);
});

test('runs of two setups against each other, a record out and in again, readings to calibration', async ({
  page,
}) => {
  await visit(page, '/test/evaluate?run=run-2');
  const result = page.getByTestId('run-result');
  await expect(result).toContainText('(marked)');
  await expect(result).toContainText('they are kept');
  const comparison = page.getByTestId('comparison');
  await choose(comparison.getByRole('combobox', { name: 'By' }), 'pedal');
  await expect(comparison).toContainText(
    /more force; \d+\.\d % more than “Current setup”; \d+\.\d % of “Enduro/,
  );
  await expect(comparison).toContainText('So few cannot show anything by this test');
  await axe(page);
  await page.getByRole('button', { name: 'Use for calibration' }).click();
  await expect(page).toHaveURL(/calibrate\/readings\?drive=/);
  await expect
    .poll(async () => (await project(page)).drives.at(-1)?.observations.map(({ kind }) => kind))
    .toEqual(['sensor']);
  await expect(page.getByText('Current setup 2').first()).toBeVisible();

  await visit(page, '/test/record');
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Record', exact: true }).click(),
  ]);
  const text = readFileSync(await file.path(), 'utf8');
  expect(readRecord(text)).toMatchObject({ ok: true, runs: { length: 6 } });
  const give = (name: string, content: string) =>
    page
      .getByTestId('record-file')
      .setInputFiles({ name, mimeType: 'text/csv', buffer: Buffer.from(content) });
  await give('bad.csv', 'From (km/h),Distance (m)\n80,far\n');
  await expect(page.getByText('line 2: “far”')).toBeVisible();
  expect(Object.keys(newest(await project(page)).runs)).toHaveLength(6);
  await give('again.csv', text);
  await expect.poll(async () => Object.keys(newest(await project(page)).runs).length).toBe(12);
});

test('setups are tested side by side, with their price and what each is enough for', async ({ page }) => {
  await visit(page, '/test/setups');
  await page.getByRole('button', { name: 'Add the usual ones' }).click();
  const setups = page.getByTestId('setups');
  const rows = setups.locator('tbody tr');
  await expect(rows).toHaveCount(4);
  await expect(rows.nth(3)).toContainText('Big kit');
  await expect(rows.nth(3)).toContainText('€');
  await expect(setups.getByText(/Short sessions|The plan’s session|Everyday driving/).first()).toBeVisible();
  await axe(page);
});

test('a log tells stops and technique', async ({ page }) => {
  await visit(page, '/log/logs');
  await page
    .getByTestId('log-file')
    .setInputFiles({ name: 'morning.csv', mimeType: 'text/csv', buffer: Buffer.from(loggedCsv(3, 20)) });
  await page.getByRole('button', { name: 'Read the log' }).click();
  await expect(page.getByTestId('logged-zones')).toBeVisible();
  await visit(page, '/test/technique');
  const technique = page.getByTestId('technique');
  await expect(technique).toContainText('in 7 braking zones');
  await expect(technique).toContainText('Pressing is read from the pedal force');
  await choose(technique.getByRole('combobox', { name: 'Braking zone' }), '3');
  await expect(page.getByTestId('trainer')).toContainText(/Press at \d+ m of the lap/);
  await expect(page.getByTestId('cold')).toContainText('instead of');
  await expect(page.getByTestId('modulation').locator('tbody tr').first()).toContainText('As fitted');
  await axe(page);

  // Snubs of the laps, looked for by a test that asks for them.
  await visit(page, '/test/design');
  await page.getByRole('textbox', { name: 'Braked from' }).fill('140');
  await page.getByRole('textbox', { name: 'Braked to' }).fill('80');
  await page.getByRole('textbox', { name: 'Braked to' }).blur();
  await expect
    .poll(async () => newest(await project(page)).design)
    .toMatchObject({ fromKmh: 140, toKmh: 80 });
  await visit(page, '/test/record?way=log');
  await page.getByRole('button', { name: 'New run' }).click();
  const take = page.getByRole('button', { name: /^Take \d+ stops/ });
  await expect(take).toBeVisible();
  await page.getByRole('checkbox', { name: 'Take stop 1', exact: true }).uncheck();
  const count = Number(/\d+/.exec((await take.textContent()) ?? '')?.[0]);
  await take.click();
  await expect.poll(async () => lastStops(await project(page)).length).toBe(count);
  expect(lastStops(await project(page))[0]).toMatchObject({ source: 'log' });
  expect(lastStops(await project(page))[0].pedalN).toBeGreaterThan(100);
});

test('a bench programme goes out, is run by the simulated bench, and its cooling is kept', async ({
  page,
}) => {
  await visit(page, '/test/bench');
  const programme = page.getByTestId('programme');
  await expect(programme).toContainText('Inertia 30.0 kg·m²');
  await expect(programme).toContainText('within 5 °C before and after each stop');
  await page.getByRole('textbox', { name: 'Most inertia' }).fill('0');
  await page.getByRole('textbox', { name: 'Most inertia' }).blur();
  await expect(page.getByRole('alert').first()).toBeVisible();
  await page.getByRole('textbox', { name: 'Most inertia' }).press('Escape');
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Programme as JSON' }).click(),
  ]);
  expect(readBenchProgramme(readFileSync(await file.path(), 'utf8'))).toMatchObject({ ok: true });
  await page.getByRole('button', { name: 'Simulated bench' }).click();
  await page.getByRole('button', { name: 'Fit the cooling' }).click();
  const fit = page.getByTestId('bench-fit');
  await expect(fit).toContainText(/Cooling of the front axle: 0\.(8|9)\d times/);
  await axe(page);
  await fit.getByRole('button', { name: 'Keep as calibration' }).click();
  await expect.poll(async () => (await project(page)).calibrations.length).toBe(1);
  expect((await project(page)).calibrations[0].values[0].parameter).toBe('frontCooling');
});
