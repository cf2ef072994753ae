import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { readProject } from '../src/model';
import { expect, stored, test, visit } from './page';
import { exportedGpx } from './support/logs';

const gpx = exportedGpx(0);
const give = (page: Page, name: string, content: string) =>
  page
    .getByTestId('circuit-file')
    .setInputFiles({ name, mimeType: 'application/gpx+xml', buffer: Buffer.from(content) });
const circuits = async (page: Page) => {
  const read = readProject((await stored(page)) ?? '');
  return read.ok ? read.project.circuits : [];
};

test('a GPX file becomes a circuit: found, turned, named, added, driven, and taken back', async ({
  page,
}) => {
  await visit(page, '/circuits/import');
  await give(page, 'sunday.gpx', gpx);
  await expect(page.getByTestId('found-corners')).toHaveText('7');
  await expect(page.getByTestId('found-length')).toHaveText(/357\d m/);
  await expect(page.getByTestId('found-moved')).toContainText('at most');
  await page.getByRole('textbox', { name: 'Length you know' }).fill('3500');
  await expect(page.getByLabel('What was found')).toContainText(/\+7\d\.\d m, 2\.\d\d % of it/);
  // The start line goes where the map is clicked.
  const mark = page.getByTestId('start-mark');
  const before = await mark.getAttribute('transform');
  const map = page.getByRole('img', { name: /Line found in the file/ });
  const box = (await map.boundingBox()) as { width: number; height: number };
  await map.click({ position: { x: box.width * 0.5, y: box.height * 0.9 } });
  await expect.poll(() => mark.getAttribute('transform')).not.toBe(before);
  await expect(page.getByText('where you clicked')).toBeVisible();
  const clicked = await mark.getAttribute('transform');
  await page.getByRole('textbox', { name: 'Start line at' }).fill('1000');
  await expect.poll(() => mark.getAttribute('transform')).not.toBe(clicked);
  await page.getByRole('checkbox', { name: 'Driven the other way round' }).check();
  await page.getByRole('textbox', { name: 'Name' }).fill('Sunday at the Anvil');
  await page.getByRole('button', { name: 'Add the circuit' }).click();
  await expect(page.getByRole('heading', { name: 'Sunday at the Anvil' })).toBeVisible();
  await expect.poll(async () => (await circuits(page)).length).toBe(4);
  const [added] = (await circuits(page)).slice(-1);
  expect(added.place?.latitudeDeg).toBeCloseTo(46.2, 1);
  // Corners are named, and edited like typed ones.
  await page.getByRole('textbox', { name: 'Name of corner 1', exact: true }).fill('Hammer again');
  await expect.poll(async () => JSON.stringify(await circuits(page))).toContain('Hammer again');
  await page.getByRole('link', { name: 'How hard on brakes' }).click();
  await page.getByRole('button', { name: 'Use Sunday at the Anvil in the plan' }).click();
  await expect(page.getByRole('row', { name: /Sunday at the Anvil/ })).toContainText('in the plan');
  for (let i = 0; i < 3; i++) await page.keyboard.press('Control+z');
  await expect.poll(async () => (await circuits(page)).length).toBe(3);
});

test('a bound on how far the line may move is kept', async ({ page }) => {
  await visit(page, '/circuits/import');
  await give(page, 'a.gpx', gpx);
  const moved = page.getByTestId('found-moved');
  await expect(moved).toBeVisible();
  await page.getByRole('textbox', { name: 'The line may move by' }).fill('0.1');
  await expect
    .poll(async () => Number(/at most ([\d.]+) m/.exec((await moved.textContent()) ?? '')?.[1]))
    .toBeLessThanOrEqual(0.1);
});

test('a file that is no circuit says why and where, and nothing is lost', async ({ page }) => {
  await visit(page, '/circuits/import');
  const refusal = page.getByTestId('refusal');
  for (const [content, says] of [
    [gpx.slice(0, 5000), /Line \d+, column \d+: .*cut off/],
    ['', /file is empty/],
    [
      `<?xml version="1.0"?><!DOCTYPE g [<!ENTITY x SYSTEM "file:///etc/passwd">]><gpx>&x;</gpx>`,
      /nothing was read/,
    ],
    ['{"type":"LineString","coordinates":[[1,2]]}', /has 1 points/],
  ] as const) {
    await give(page, 'strange.gpx', content);
    await expect(refusal).toContainText(says);
  }
  expect(await circuits(page)).toHaveLength(0);
  // Dropped anywhere on the window, a track opens here; the one in the file is said to be named wrongly.
  await page.goto('/car');
  await page.getByRole('textbox', { name: 'Mass', exact: true }).waitFor();
  await page.evaluate((text) => {
    const data = new DataTransfer();
    data.items.add(new File([text], 'dropped.kml'));
    window.dispatchEvent(new DragEvent('drop', { dataTransfer: data, bubbles: true, cancelable: true }));
  }, gpx);
  await expect(page.getByText('The name says kml, the content is GPX')).toBeVisible();
  await expect(page.getByTestId('found-corners')).toHaveText('7');
});

test('the map zooms and moves by wheel, buttons and keys, and goes out in four formats', async ({ page }) => {
  await visit(page, '/circuits/map');
  const map = page.getByRole('img', { name: /Map of Anvil Park/ });
  const view = () => map.locator('> g').first().getAttribute('transform');
  await expect(page.getByTestId('wind')).toContainText('14 km/h');
  const whole = await view();
  await page.getByRole('button', { name: 'Closer' }).click();
  await expect.poll(view).toContain('scale(1.5)');
  await map.focus();
  await page.keyboard.press('ArrowLeft');
  await page.keyboard.press('-');
  await page.keyboard.press('-');
  await expect.poll(view).toBe(whole);
  await map.hover();
  await page.mouse.wheel(0, -400);
  await expect.poll(view).not.toBe(whole);
  await page.getByRole('button', { name: 'Show all' }).click();
  await expect.poll(view).toBe(whole);
  await page.getByRole('button', { name: '4 Quench' }).click();
  await expect(page.getByText(/Quench: 182 km\/h to 84 km\/h/)).toBeVisible();
  const file = async (button: string) => {
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: button, exact: true }).click(),
    ]);
    return { name: download.suggestedFilename(), bytes: readFileSync(await download.path()) };
  };
  const geojson = await file('GeoJSON');
  expect(geojson.name).toBe('anvil-park.geojson');
  expect(JSON.parse(geojson.bytes.toString()).features).toHaveLength(8);
  expect((await file('GPX')).bytes.toString()).toContain('<trkpt');
  const svg = (await file('Picture (SVG)')).bytes.toString();
  expect(svg).toContain('<svg');
  expect(svg).not.toContain('var(--');
  expect((await file('Picture (PNG)')).bytes.subarray(1, 4).toString()).toBe('PNG');
});

test('weather of a day is asked for and put into the plan', async ({ page }) => {
  await visit(page, '/plan');
  await page.getByRole('button', { name: /^Weather of a day/ }).click();
  await page
    .locator('.calendar')
    .getByRole('button', { name: / 15th, / })
    .click();
  await page.getByRole('button', { name: 'Ask the weather service' }).click();
  await page.getByRole('button', { name: 'Put it into the plan' }).click();
  const pressure = page.getByRole('textbox', { name: 'Air pressure' });
  await expect(pressure).toHaveValue(/^\d{3,4}(\.\d)?$/);
  await page.route('**/stand-in/weather**', (route) =>
    route.fulfill({ json: { hours: [{ time: 'never' }] } }),
  );
  const value = await pressure.inputValue();
  await page.getByRole('button', { name: 'Ask the weather service' }).click();
  await expect(page.getByText('the answer was not as expected')).toBeVisible();
  await expect(pressure).toHaveValue(value);
});
