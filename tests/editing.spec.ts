import { choose, expect, open, project, settled, stored, test, verdict, visit } from './page';

test('a car is edited as typed: saved, undone, redone, and there after a reload', async ({ page }) => {
  await open(page);
  const before = await verdict(page).textContent();
  await page.getByRole('link', { name: 'Car', exact: true }).click();
  const mass = page.getByRole('textbox', { name: 'Mass', exact: true });
  await mass.fill('1240,5');
  await expect.poll(() => stored(page)).toContain('"massKg": 1240.5');
  await page.reload();
  await expect(mass).toHaveValue('1240.5');
  await mass.fill('900');
  await page.keyboard.press('Control+z');
  await expect(mass).toHaveValue('1240.5');
  await page.keyboard.press('Control+Shift+z');
  await expect(mass).toHaveValue('900');
  await page.getByRole('link', { name: 'Workbench' }).first().click();
  await settled(page);
  await expect(verdict(page)).not.toHaveText(before ?? '');
});

test('what cannot be used is said at its field, and the last good value is kept', async ({ page }) => {
  await open(page, '/');
  await page.getByRole('link', { name: 'Car', exact: true }).click();
  const mass = page.getByRole('textbox', { name: 'Mass', exact: true });
  for (const [typed, says] of [
    ['0', 'Must be at least 100 kg.'],
    ['-5', 'Must be at least 100 kg.'],
    ['1e99', 'Must be at most 6000 kg.'],
    ['NaN', 'This is not a number.'],
    ['12 apples', '“apples” is none of its units (kg, lb).'],
    ['', 'A number is needed.'],
  ]) {
    await mass.fill(typed);
    await expect(page.getByRole('alert').filter({ hasText: says })).toBeVisible();
    await expect(mass).toHaveAttribute('aria-invalid', 'true');
  }
  expect((await stored(page)) ?? '').not.toContain('"massKg": 0,');
  await page.getByRole('button', { name: 'Back to 1040 kg' }).click();
  await expect(mass).toHaveValue('1040');
  await page.getByRole('textbox', { name: 'Inner diameter' }).first().fill('390');
  await expect(
    page.getByRole('alert').filter({ hasText: 'Must be under the outer diameter (295 mm).' }),
  ).toBeVisible();
  await page.getByRole('textbox', { name: 'Outer diameter' }).first().fill('180');
  await expect(page.getByRole('alert').filter({ hasText: 'Inner diameter must be under' })).toBeVisible();
  await page.getByRole('textbox', { name: 'Name', exact: true }).fill('');
  await expect(page.getByRole('alert').filter({ hasText: 'A name is needed' })).toBeVisible();
  await page.reload();
  await expect(page.getByRole('textbox', { name: 'Outer diameter' }).first()).toHaveValue('295');
});

test('a circuit shows its closing error as one types, is not driven while open, and is closed again', async ({
  page,
}) => {
  await open(page);
  const zones = page.getByRole('region', { name: 'Braking zone list' });
  const before = await zones.textContent();
  await page.getByRole('link', { name: 'Circuit', exact: true }).click();
  await expect(page.getByTestId('closing-gap')).toHaveText('0.0 m');
  await page.getByRole('textbox', { name: 'Radius of Hammer' }).fill('5');
  await expect(page.getByRole('alert').filter({ hasText: 'tighter than the track is wide' })).toBeVisible();
  await page.getByRole('textbox', { name: 'Length of straight 3' }).fill('900');
  await expect(page.getByRole('alert').filter({ hasText: 'does not close: it ends' })).toBeVisible();
  await page.getByRole('link', { name: 'Workbench' }).first().click();
  await expect(page.getByRole('alert').filter({ hasText: 'does not close' })).toBeVisible();
  await page.getByRole('link', { name: 'Open the circuit' }).click();
  await page.getByRole('button', { name: 'Close the lap' }).click();
  await expect(page.getByTestId('closing-gap')).toHaveText('0.0 m');
  await page.getByRole('link', { name: 'Workbench' }).first().click();
  await settled(page);
  await expect(zones).not.toHaveText(before ?? '');
  for (let i = 0; i < 2; i++) await page.keyboard.press('Control+z');
  await settled(page);
  await expect(zones).toHaveText(before ?? '');
});

test('a lap becomes a list of braking zones, which is edited and drives the workbench', async ({ page }) => {
  await open(page);
  await page.getByRole('link', { name: 'Circuit', exact: true }).click();
  await page.getByRole('button', { name: 'Make a list of braking zones' }).click();
  await expect(page.getByRole('heading', { name: 'Anvil Park as braking zones' })).toBeVisible();
  const list = page.getByLabel('List of braking zones');
  await expect(list.locator('tbody tr')).toHaveCount(7);
  await page.getByRole('textbox', { name: 'Exit speed of Hammer' }).fill('250');
  await expect(page.getByRole('alert').filter({ hasText: 'cannot be faster out than in' })).toBeVisible();
  await page.keyboard.press('Escape');
  await page.getByRole('textbox', { name: 'Time to the next of Hammer' }).fill('900');
  await expect(page.getByRole('alert').filter({ hasText: 'does not fit' })).toBeVisible();
  await page.getByRole('textbox', { name: 'Time to the next of Hammer' }).fill('');
  await page.getByRole('button', { name: 'Remove Ingot' }).click();
  await page.getByRole('button', { name: 'Add a braking zone' }).click();
  await expect(list.locator('tbody tr')).toHaveCount(7);
  await page.getByRole('button', { name: /^Use in/ }).click();
  await page.getByRole('link', { name: 'Workbench' }).first().click();
  await settled(page);
  await expect(page.getByText('list of braking zones: drawn as a ring')).toBeVisible();
  await expect(page.getByRole('radio', { name: 'Braking zone 7, Braking zone 7' })).toBeVisible();
});

test('the library creates, copies, renames and deletes, with undo, and keeps what is in use', async ({
  page,
}) => {
  await open(page, '/');
  await page.getByRole('link', { name: 'Library' }).click();
  const cars = page.getByLabel('Cars', { exact: true });
  await cars.getByRole('button', { name: 'Delete Tarn Two club car' }).click();
  await expect(page.getByText(/Used by “Twenty minutes at Anvil Park”/)).toBeVisible();
  await cars.getByRole('button', { name: 'Copy Tarn Two club car' }).click();
  const copy = cars.getByLabel('Name of car Tarn Two club car (copy)');
  await copy.fill('Tarn with a very long name that still has to be read somewhere');
  await expect(cars.getByRole('textbox')).toHaveCount(4);
  await cars.getByRole('button', { name: /^Delete Tarn with a very long name/ }).click();
  await expect(cars.getByRole('textbox')).toHaveCount(3);
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(cars.getByRole('textbox')).toHaveCount(4);
  await page.getByRole('link', { name: 'New plan' }).click();
  await choose(page.getByRole('combobox', { name: 'Car' }), { label: 'Skarn P9 prototype' });
  await page.getByRole('button', { name: 'To the verdict' }).click();
  await expect(verdict(page)).toBeVisible();
  await settled(page);
  await expect(page.getByText('Skarn P9 prototype').first()).toBeVisible();
  await expect.poll(() => stored(page)).toContain('Tarn with a very long name');
});

test('an address that names nothing says so and leads on', async ({ page }) => {
  await page.goto('/car/nobody');
  await expect(page.getByRole('heading', { name: 'There is no such car' })).toBeVisible();
  await page.goto('/nowhere');
  await expect(page.getByRole('heading', { name: 'There is no such page' })).toBeVisible();
  await page.getByRole('link', { name: 'Back to the workbench' }).click();
  await expect(verdict(page)).toBeVisible();
});

test('rows are put in order by dragging and with the keyboard, and undone to the very list', async ({
  page,
}) => {
  await visit(page, '/plan');
  const kinds = async () => (await project(page)).plans[0].sessions[0].legs.map(({ kind }) => kind);
  const before = await kinds();
  expect(before.length).toBeGreaterThan(2);
  const handles = page
    .getByRole('region', { name: 'Session 1' })
    .getByRole('button', { name: /^Drag .*leg/ });
  await expect(handles).toHaveCount(before.length);
  // With the keyboard the first leg goes to the second place.
  await handles.first().focus();
  await page.keyboard.press('Space');
  await expect(page.getByText(`At place 1 of ${before.length}.`)).toBeAttached();
  await page.keyboard.press('ArrowDown');
  await expect(page.getByText(`At place 2 of ${before.length}.`)).toBeAttached();
  await page.keyboard.press('Space');
  const swapped = [before[1], before[0], ...before.slice(2)];
  await expect.poll(kinds).toEqual(swapped);
  // With the pointer the last one goes to the top.
  const from = await handles.last().boundingBox();
  const to = await handles.first().boundingBox();
  if (!from || !to) throw new Error('the handles are not on the page');
  await page.mouse.move(from.x + from.width / 2, from.y + from.height / 2);
  await page.mouse.down();
  await page.mouse.move(from.x + from.width / 2, from.y - 10, { steps: 3 });
  await page.mouse.move(to.x + to.width / 2, to.y + 2, { steps: 6 });
  await page.mouse.up();
  await expect.poll(kinds).toEqual([swapped.at(-1), ...swapped.slice(0, -1)]);
  // Moves of one list within a moment are one step back.
  const undo = page.getByRole('button', { name: /^Undo: Moved/ });
  await undo.click();
  if (await undo.isVisible()) await undo.click();
  await expect(page.getByRole('button', { name: 'Nothing to undo' })).toBeVisible();
  await expect.poll(kinds).toEqual(before);
});

test('a refusal comes with its way out: too thin for a gap becomes solid, carbon comes as a pair', async ({
  page,
}) => {
  await visit(page, '/car');
  const front = async () => (await project(page)).cars[0].front;
  const before = await front();
  const thickness = page.locator('[data-path="front.rotor.thicknessMm"]');
  await thickness.getByRole('textbox').fill('10');
  await expect(thickness.getByRole('alert')).toContainText('must leave two cheeks');
  expect((await front()).rotor).toEqual(before.rotor);
  await thickness.getByRole('button', { name: 'Solid disc of 10.0 mm' }).click();
  await expect.poll(async () => (await front()).rotor).toMatchObject({ thicknessMm: 10, vaneGapMm: 0 });
  await expect(page.locator('[data-path="front.rotor.vaneCount"]')).toHaveCount(0);

  // Carbon pads on iron are not taken, and nothing of them is in force.
  const pad = page.locator('[data-path="front.pad"]');
  await choose(pad.getByRole('combobox'), 'carbon-pair');
  await expect(pad.getByRole('alert')).toContainText('go only with each other');
  expect((await front()).pad).toBe(before.pad);
  await pad.getByRole('button', { name: /^Fit both/ }).click();
  await expect.poll(front).toMatchObject({ pad: 'carbon-pair', rotor: { material: 'carbon-carbon' } });
  // Iron again wants pads for iron.
  const material = page.locator('[data-path="front.rotor.material"]');
  await choose(material.getByRole('combobox'), 'grey-iron');
  await material.getByRole('alert').getByRole('button', { name: 'Leave it' }).click();
  await expect(material.getByRole('alert')).toHaveCount(0);
  expect((await front()).rotor.material).toBe('carbon-carbon');
});
