import { demoProject } from '../demo/project';
import { readProject } from '../src/model';
import { choose, expect, open, project, settled, shorten, stored, test, type verdict, visit } from './page';

/** A gauge of the margin board: worst temperature and limit, °C. */
const gauge = async (page: Parameters<typeof verdict>[0], row: string, axle: 'Front' | 'Rear') => {
  const cells = page
    .getByRole('region', { name: 'Margins' })
    .getByRole('row', { name: row })
    .getByRole('cell');
  const text = (await cells.nth(axle === 'Front' ? 0 : 1).textContent()) ?? '';
  const [worst, limit] = (/(\d+) °C of (\d+)/.exec(text) ?? []).slice(1).map(Number);
  return { worst, limit };
};

const MOVES = [
  { control: 'Mass', key: 'PageUp', row: 'Rotor core (bulk)', axle: 'Front', hotter: true },
  { control: 'Air', key: 'End', row: 'Rotor core (bulk)', axle: 'Rear', hotter: true },
  { control: 'Tyre grip, of the saved', key: 'Home', row: 'Rotor core (bulk)', axle: 'Front', hotter: false },
  {
    control: 'Share of grip used in braking',
    key: 'Home',
    row: 'Rotor core (bulk)',
    axle: 'Front',
    hotter: false,
  },
  { control: 'Hot laps', key: 'Home', row: 'Fluid', axle: 'Front', hotter: false },
  { control: 'Brake balance (% front)', key: 'End', row: 'Rotor core (bulk)', axle: 'Front', hotter: true },
  { control: 'Brake balance (% front)', key: 'End', row: 'Rotor core (bulk)', axle: 'Rear', hotter: false },
  { control: 'Front duct, a wheel', key: 'End', row: 'Rotor core (bulk)', axle: 'Front', hotter: false },
  { control: 'Rear duct, a wheel', key: 'End', row: 'Rotor core (bulk)', axle: 'Rear', hotter: false },
] as const;

test('every control of the what-if moves the temperatures the way it should, and back', async ({ page }) => {
  await open(page);
  for (const { control, key, row, axle, hotter } of MOVES) {
    const before = await gauge(page, row, axle);
    await page.getByRole('slider', { name: control, exact: true }).focus();
    await page.keyboard.press(key);
    await expect
      .poll(async () => Math.sign((await gauge(page, row, axle)).worst - before.worst), { message: control })
      .toBe(hotter ? 1 : -1);
    await page.getByRole('button', { name: `Reset ${control}` }).click();
    await expect.poll(() => gauge(page, row, axle), { message: control }).toEqual(before);
  }
});

test('fluid, its age and the pads move their own limits', async ({ page }) => {
  await shorten(page, 2);
  await open(page);
  const limit = async (row: string) => (await gauge(page, row, 'Front')).limit;
  const fresh = await limit('Fluid');
  await page.getByRole('slider', { name: 'Fluid age' }).focus();
  await page.keyboard.press('End');
  await expect.poll(() => limit('Fluid')).toBeLessThan(fresh - 20);
  await page.keyboard.press('Home');
  await expect.poll(() => limit('Fluid')).toBeGreaterThan(fresh + 20);
  await page.getByRole('button', { name: 'Reset all' }).click();
  const choices = page.getByRole('combobox', { name: 'Fluid', exact: true });
  const limits = new Set<number>();
  await choices.click();
  await expect(page.getByRole('option').first()).toBeVisible();
  const kinds = await page
    .getByRole('option')
    .evaluateAll((all) => all.map((o) => o.getAttribute('data-value')));
  await page.keyboard.press('Escape');
  for (const kind of kinds) {
    await choose(choices, kind as string);
    await settled(page);
    await page.waitForTimeout(120);
    limits.add(await limit('Fluid'));
  }
  expect(limits.size).toBeGreaterThan(3);
  await page.getByRole('button', { name: 'Reset all' }).click();
  const pad = await limit('Pad surface');
  await choose(page.getByRole('combobox', { name: 'Front pad', exact: true }), 'enduro');
  await expect.poll(() => limit('Pad surface')).not.toBe(pad);
});

test('edits over all pages are undone one by one, back to the very start', async ({ page }) => {
  await open(page);
  const edit = async (link: string, field: string, value: string) => {
    await page.getByRole('link', { name: link, exact: true }).click();
    await page.getByRole('textbox', { name: field }).first().fill(value);
  };
  await edit('Car', 'Mass', '1175');
  await edit('Circuit', 'Radius of Hammer', '44');
  await edit('Plan and decide', 'Laps: hot laps, leg 2', '9');
  await page.getByRole('link', { name: 'Library' }).click();
  await page.getByLabel('Circuits').getByRole('button', { name: 'Copy Anvil Park' }).click();
  await expect.poll(() => stored(page)).toContain('Anvil Park (copy)');
  // The way back outlives the page.
  await page.waitForTimeout(600);
  await page.reload();
  const undo = page.getByRole('button', { name: /^(Undo:|Nothing to undo)/ });
  await expect(undo).toBeEnabled();
  for (let i = 0; i < 10 && (await undo.isEnabled()); i++) await undo.click();
  await expect(undo).toBeDisabled();
  await expect
    .poll(async () => readProject((await stored(page)) ?? ''))
    .toEqual({ ok: true, project: demoProject });
  const redo = page.getByRole('button', { name: /^(Redo:|Nothing to redo)/ });
  for (let i = 0; i < 10 && (await redo.isEnabled()); i++) await redo.click();
  await expect.poll(() => stored(page)).toContain('Anvil Park (copy)');
  expect(await stored(page)).toContain('"massKg": 1175');
});

test('two pages of one browser do not overwrite each other', async ({ page, context }) => {
  await open(page);
  const other = await context.newPage();
  await open(other);
  await other.getByRole('link', { name: 'Plan and decide', exact: true }).click();
  await page.getByRole('link', { name: 'Car', exact: true }).click();
  await page.getByRole('textbox', { name: 'Mass', exact: true }).fill('1190');
  await expect.poll(() => stored(other)).toContain('"massKg": 1190');
  await other.getByRole('textbox', { name: /^Laps: hot laps/ }).fill('5');
  const hotLaps = async (on: typeof page) =>
    JSON.parse((await stored(on)) ?? '').plans[0].sessions[0].legs[1].laps;
  await expect.poll(() => hotLaps(page)).toBe(5);
  expect(await stored(page)).toContain('"massKg": 1190');
  await expect(page.getByRole('button', { name: 'Undo: Changed on another page' })).toBeEnabled();
  await page.keyboard.press('Control+z');
  await expect.poll(() => hotLaps(other)).toBe(11);
  await expect(other.getByRole('textbox', { name: /^Laps: hot laps/ })).toHaveValue('11');
});

test('a number takes its unit behind it, asks which of two it is, and is never half in force', async ({
  page,
}) => {
  await visit(page, '/car');
  const mass = page.getByRole('textbox', { name: 'Mass', exact: true });
  const power = page.getByRole('textbox', { name: 'Power at the wheels', exact: true });
  const car = async () => (await project(page)).cars.find(({ id }) => id === 'car-tarn');
  await mass.fill('1,200');
  const asked = page.getByRole('alert').filter({ hasText: 'Which is 1,200' });
  // 1.2 kg is no car: only what can be meant is offered.
  await expect(asked.getByRole('button', { name: '1.200' })).toHaveCount(0);
  expect((await car())?.massKg).not.toBe(1200);
  await asked.getByRole('button', { name: '1200', exact: true }).click();
  await expect.poll(async () => (await car())?.massKg).toBe(1200);
  await expect(asked).toHaveCount(0);
  await power.fill('200 hp');
  await expect.poll(async () => (await car())?.powerKw).toBeCloseTo(149.14, 2);
  await power.blur();
  await expect(power).toHaveValue(/^149\.1[34]/);
  await power.fill('200 bar');
  await expect(page.getByRole('alert').filter({ hasText: 'none of its units (kW, hp)' })).toBeVisible();
  await mass.fill('2645,5 lb');
  await expect.poll(async () => (await car())?.massKg).toBeCloseTo(1199.98, 2);
  expect((await car())?.powerKw).toBeCloseTo(149.14, 2);
  await power.press('Escape');
  // Shown with a comma too, where that is how somebody writes; what is stored stays.
  await page.getByRole('button', { name: 'Units and look' }).click();
  await page.getByRole('menuitemcheckbox', { name: 'Comma: 12,5' }).click();
  await expect(power).toHaveValue(/^149,1[34]/);
  await power.fill('151,25');
  await power.blur();
  await expect(power).toHaveValue('151,25');
  expect((await car())?.powerKw).toBe(151.25);
  await page.reload();
  await expect(power).toHaveValue('151,25');
});
