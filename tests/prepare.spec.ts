import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import type { Car, Preparation, Project } from '../src/model';
import { choose, expect, project, test, visit } from './page';
import { tripsOver } from './support/axe';

const axe = async (page: Page) => {
  expect(await tripsOver(page)).toEqual([]);
};
const workOf = (p: Project) => p.preparations.at(-1) as Preparation;
const tarnOf = (p: Project) => p.cars.find(({ id }) => id === 'car-tarn') as Car;
const tick = (page: Page, step: string) => page.locator(`[data-step="${step}"]`).getByRole('checkbox');

test('a setup chosen in Decide is prepared, ticked, signed off, bled and bedded; the car follows', async ({
  page,
}) => {
  await visit(page, '/decide/compare');
  await page.getByRole('button', { name: 'Add a setup' }).click();
  const setup = page.getByRole('listitem', { name: 'Setup 1' });
  await setup.getByRole('button', { name: 'Add a change' }).click();
  await choose(setup.getByRole('combobox', { name: 'Which' }), 'enduro');
  await setup.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(setup).toContainText('front pads: Enduro high-metal');
  await setup.getByRole('button', { name: 'Prepare Setup 1' }).click();

  // The job list is of this change: pads come out, calipers stay, rotors are not touched.
  await expect(page.getByTestId('change-set')).toContainText('front pads: Enduro high-metal');
  const jobs = page.getByTestId('jobs');
  await expect(jobs).toContainText('Before the car moves: pump the pedal until it is firm');
  await expect(tick(page, 'frontLeft pads in')).toBeVisible();
  await expect(tick(page, 'rearLeft pads in')).toHaveCount(0);
  await expect(tick(page, 'frontLeft rotor on')).toHaveCount(0);
  await page.getByLabel('Who works').fill('Imke');
  await page.getByLabel('Who works').blur();
  const before = await page.getByTestId('progress').textContent();
  await tick(page, 'gather').click();
  await tick(page, 'frontLeft pads in').click();
  await expect(page.getByTestId('progress')).not.toHaveText(before ?? '');
  await expect
    .poll(async () => Object.keys(workOf(await project(page)).ticks).sort())
    .toEqual(['frontLeft pads in', 'gather']);
  await page.reload();
  await expect(tick(page, 'frontLeft pads in')).toBeChecked();
  expect(workOf(await project(page)).ticks.gather.by).toBe('Imke');
  await axe(page);

  // A torque is the maker's alone: entered once, confirmed, kept with the car.
  const wheels = page.locator('[data-step="wheels tightened front"]');
  await wheels.getByRole('button', { name: 'Change' }).click();
  const entry = page.getByRole('dialog');
  await entry.getByRole('button', { name: 'Confirm' }).click();
  await expect(entry.getByRole('alert')).toBeVisible();
  await entry.getByLabel('Torque').fill('105');
  await entry.getByRole('button', { name: 'Confirm' }).click();
  await expect(wheels).toContainText(/105 N·m \(maker’s figure, Imke, \d{4}-\d\d-\d\d\)/);

  // Open steps bar nothing, and the run sheet shows them.
  await page.getByRole('button', { name: 'Sign off this preparation' }).click();
  const asked = page.getByRole('alertdialog');
  await expect(asked).toContainText(/Sign off with \d+ steps open\?/);
  await asked.getByRole('button', { name: 'Sign off', exact: true }).click();
  await expect(page.getByTestId('progress')).toContainText(/Signed off by Imke on .* left open/);
  await expect.poll(async () => tarnOf(await project(page)).front.beddedPercent).toBe(0);
  expect(tarnOf(await project(page)).front.pad).toBe('enduro');
  await visit(page, '/decide/sheet');
  await expect(page.getByTestId('open-work')).toContainText(/“Setup 1”: \d+ of \d+ steps open, signed off/);
  await expect(page.getByTestId('open-work')).toContainText('The front pads are 0 % bedded');

  // Bedded by the engine, driven by the card, written into the car and a kept state.
  await visit(page, '/prepare/bed');
  await expect(page.getByTestId('bedding')).toContainText(
    /Track, front\. \d+ medium applications to warm up, \d+ hard snubs/,
  );
  // A page that is looked at does nothing: what is made of a work is made once.
  const moved = await page.evaluate(async () => {
    let count = 0;
    const watch = new MutationObserver((changes) => {
      count += changes.length;
    });
    await new Promise((resolve) => setTimeout(resolve, 1500));
    watch.observe(document.body, { subtree: true, childList: true, attributes: true, characterData: true });
    await new Promise((resolve) => setTimeout(resolve, 1500));
    return count;
  });
  expect(moved).toBe(0);
  await page.getByRole('button', { name: 'Card to drive by' }).click();
  const card = page.getByTestId('card');
  await expect(card).toContainText(/Warm-up 1 of \d+: from 100 km\/h brake evenly to 50 km\/h/);
  await axe(page);
  await page.keyboard.press('ArrowRight');
  await expect(card).toContainText('Back to 100 km/h');
  await page.keyboard.press('Enter');
  await expect(card).toContainText('Warm-up 2 of');
  await page.reload();
  await expect(page.getByTestId('card')).toContainText('Warm-up 2 of');
  await page.keyboard.press('Escape');
  await page.getByLabel('Warm-ups driven').fill('9');
  await page.getByLabel('Hard snubs driven').fill('many');
  await page.getByRole('button', { name: 'Write it down' }).click();
  await expect(page.getByLabel('Hard snubs driven')).toHaveAttribute('aria-invalid', 'true');
  await page.getByLabel('Hard snubs driven').fill('40');
  await page.getByRole('button', { name: 'Write it down' }).click();
  await expect(page.getByTestId('outcome')).toContainText(
    /Imke: 9 warm-ups, 40 hard snubs; front 9\d %, rear 100 % bedded/,
  );
  await expect.poll(async () => (await project(page)).states.length).toBe(1);
  expect(tarnOf(await project(page)).front.beddedPercent).toBeGreaterThanOrEqual(95);
});

test('bled on a phone: counted screw by screw, the bottle and the fluid follow; what must not be is said', async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await visit(page, '/prepare/bleed');
  const screws = page.getByTestId('screws');
  await expect(screws.getByRole('listitem')).toHaveCount(9);
  await page.getByRole('button', { name: '10 cm³ more at Rear left, outer screw' }).click();
  await page.getByRole('button', { name: '10 cm³ more at Rear left, outer screw' }).click();
  await expect(screws.getByRole('listitem').first()).toContainText('20 of 74 cm³');
  await expect(screws.getByRole('listitem').first()).toContainText('still amber');
  await page.getByRole('button', { name: 'All drawn at Rear left, outer screw' }).click();
  await expect(screws.locator('[aria-current=step]')).toContainText('Rear left, inner screw');
  await page.reload();
  await expect(screws.getByRole('listitem').first()).toContainText('74 of 74 cm³');
  await expect(page.getByRole('region', { name: 'How it is bled' })).toContainText(
    'open for longer than you keep one',
  );
  await choose(page.getByRole('combobox', { name: 'Way' }), 'vacuum');
  await expect(page.getByRole('region', { name: 'How it is bled' })).toContainText('15 to 20 inHg');
  await page.getByText('Pedal firm and high').click();
  await page.getByRole('button', { name: 'Write it down' }).click();
  await expect(page.getByTestId('bled')).toContainText(/Bled on .*boiling point \d+ °C dry/);
  await expect.poll(async () => tarnOf(await project(page)).fluid.ageMonths).toBe(0);
  expect((await project(page)).bottles[0].leftCm3).toBe(0);
  await axe(page);

  // A line of no length, a bore of 30 mm: refused at the field, nothing is changed.
  await visit(page, '/prepare/workshop');
  const bore = page.getByRole('textbox', { name: /^Bore of the lines/ });
  await bore.fill('30');
  await bore.blur();
  await expect(bore).toHaveAttribute('aria-invalid', 'true');
  const line = page.getByRole('textbox', { name: /^Left line/ }).first();
  await line.fill('0');
  await line.blur();
  await expect(line).toHaveAttribute('aria-invalid', 'true');
  expect(tarnOf(await project(page)).workshop.lineBoreMm).toBe(3);
  await axe(page);
});

test('what contradicts itself is not signed off, a road on which nothing warms is said, two pages tick one list', async ({
  page,
}) => {
  await visit(page, '/prepare/jobs');
  const changes = page.getByTestId('change-set');
  await changes.getByRole('button', { name: 'Add a change' }).click();
  await choose(changes.getByRole('combobox', { name: 'What' }), 'vanes');
  await choose(changes.getByRole('combobox', { name: 'Which' }), 'curved');
  await changes.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(
    page.getByRole('img', { name: 'Vanes of the rotor on the left, seen from outside' }).first(),
  ).toBeVisible();
  await page.getByRole('link', { name: 'Checks' }).click();
  for (const wheel of ['Front left', 'Front right']) {
    await choose(page.getByRole('region', { name: wheel, exact: true }).getByRole('combobox'), 'left');
  }
  await expect(page.getByTestId('checks')).toContainText('Both are marked left: one is wrong');
  await axe(page);
  await page.getByRole('link', { name: 'Jobs' }).click();
  await expect(changes.getByRole('alert')).toContainText('Both front rotors are marked left');
  await page.getByRole('button', { name: 'Sign off this preparation' }).click();
  await page.getByRole('alertdialog').getByRole('button', { name: 'Sign off', exact: true }).click();
  await expect(page.getByText(/Nothing was changed.*marked left/)).toBeVisible();
  expect(workOf(await project(page)).signed).toBeNull();

  await page.getByRole('link', { name: 'Bed', exact: true }).click();
  await choose(page.getByRole('combobox', { name: 'Where' }), 'road');
  const limit = page.getByRole('textbox', { name: /^Speed limit/ });
  await limit.fill('30');
  await limit.blur();
  await expect(page.getByTestId('bedding').getByRole('alert')).toContainText(
    /the front brakes come to \d+ °C only/,
  );

  const other = await page.context().newPage();
  await visit(other, '/prepare/jobs');
  await page.getByRole('link', { name: 'Jobs' }).click();
  await Promise.all([tick(page, 'frontLeft wheel off').click(), tick(other, 'frontRight wheel off').click()]);
  await expect(tick(page, 'frontRight wheel off')).toBeChecked();
  await expect(tick(other, 'frontLeft wheel off')).toBeChecked();
  await other.close();

  // A device without this browser: what it did comes as a file, and what was found otherwise is said.
  const [handed] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Hand over' }).click(),
  ]);
  expect(handed.suggestedFilename()).toMatch(/-done\.json$/);
  const done = JSON.parse(readFileSync(await handed.path(), 'utf8'));
  done.ticks['pump the pedal'] = { by: 'Tomas', at: '2026-06-26T20:10:00Z' };
  done.found.frontLeft.rotorMm = 24.9;
  const file = (value: unknown) => ({
    name: 'phone.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(value)),
  });
  await page.getByTestId('work-file').setInputFiles(file(done));
  await expect(tick(page, 'pump the pedal')).toBeChecked();
  await expect(tick(page, 'frontLeft wheel off')).toBeChecked();
  await expect(page.getByText(/Found otherwise on the two devices.*frontLeft rotorMm/)).toBeVisible();
  await page.getByTestId('work-file').setInputFiles(file({ ...done, ticks: { gather: true } }));
  await expect(page.getByTestId('refusal')).toContainText('Ticks.gather: must be an object');
  await expect.poll(async () => Object.keys(workOf(await project(page)).ticks)).toContain('pump the pedal');

  await page.getByRole('link', { name: 'Heat protection' }).click();
  await page.getByRole('button', { name: 'Lower ball-joint boot: heat shield' }).click();
  await expect(page.getByRole('button', { name: 'Lower ball-joint boot: heat shield' })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  await axe(page);
  await page.getByRole('link', { name: 'Jobs' }).click();
  await expect(page.locator('[data-step="frontLeft protect"]')).toContainText(
    'Lower ball-joint boot: heat shield',
  );
  await expect(page.locator('[data-step="frontRight protect"]')).toContainText(
    'Lower ball-joint boot: heat shield',
  );
});

test('begun from nothing, deleted and brought back; typed bands, a bench schedule, one page of paper', async ({
  page,
}) => {
  await visit(page, '/prepare');
  await choose(page.getByLabel('Plan on the workbench'), 'plan-ovel-nettle');
  await expect(page.getByText('Nothing is being prepared on')).toBeVisible();
  await axe(page);
  await page.getByRole('button', { name: 'Begin' }).click();
  // Bleeding alone: no pad comes out, the parking brake is electric, the pedal is pumped all the same.
  await expect(page.getByTestId('change-set')).toContainText('Nothing is exchanged');
  await expect(tick(page, 'bleed')).toBeVisible();
  await expect(tick(page, 'pump the pedal')).toBeVisible();
  await expect(page.locator('[data-step$="pads in"]')).toHaveCount(0);
  await page.getByRole('link', { name: 'Bleed', exact: true }).click();
  await expect(page.getByRole('region', { name: 'How it is bled' })).toContainText('diagnostic tool');
  await page.getByRole('button', { name: 'How this is calculated: the volumes' }).click();
  await expect(page.getByRole('dialog')).toContainText('3.2 m of 3.0 mm hold 22.6 cm³');
  await page.keyboard.press('Escape');
  const name = page.getByRole('textbox', { name: 'Name', exact: true }).first();
  await name.fill('Before the very long weekend with three events at Nettle Glen and one at Long Fen');
  await expect(name).toHaveAttribute('aria-invalid', 'true');
  await name.fill('Before the very long weekend with three events at Nettle Glen, Long Fen');
  await name.blur();
  await page.setViewportSize({ width: 390, height: 844 });
  const wide = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
  expect(wide).toBeLessThanOrEqual(0);
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.getByRole('button', { name: /^Delete Before the very long/ }).click();
  await expect(page.getByText('Nothing is being prepared on')).toBeVisible();
  await page.getByRole('button', { name: /^Undo: Deleted/ }).click();
  await expect(page.getByTestId('progress')).toBeVisible();
  // What is on the screen is stored a moment later.
  await expect.poll(async () => workOf(await project(page)).name).toMatch(/^Before the very long weekend/);

  await choose(page.getByLabel('Plan on the workbench'), 'plan-tarn-anvil');
  await visit(page, '/prepare/bed');
  await expect(page.getByTestId('bedding')).toContainText('hard snubs');
  await page.getByText('What came with the pads', { exact: true }).click();
  const low = page.getByRole('textbox', { name: /^Bedding from/ });
  await low.fill('500');
  await low.blur();
  const high = page.getByRole('textbox', { name: /^Bedding to/ });
  await high.fill('420');
  await high.blur();
  await expect(
    page.getByRole('alert').filter({ hasText: /over where bedding begins \(500 °C\)/ }),
  ).toBeVisible();
  await expect
    .poll(async () => (await project(page)).preparations[0].bed)
    .toMatchObject({ bedLowC: 500, bedHighC: null });
  await low.fill('');
  await low.blur();
  await choose(page.getByRole('combobox', { name: 'Where' }), 'bench');
  await expect(page.getByTestId('bedding')).toContainText(/Bench, front\. \d+ medium applications/);
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Bench schedule' }).click(),
  ]);
  expect(file.suggestedFilename()).toBe('before-the-june-club-day-bench.csv');
  const csv = readFileSync(await file.path(), 'utf8').split('\n');
  expect(csv[0]).toContain('inertia of one front brake (kg·m²)');
  await page.getByText(/^Step by step/).click();
  const rows = page.getByRole('region', { name: 'Bedding run, step by step' }).getByRole('row');
  await expect(rows).toHaveCount(csv.length);
  await axe(page);

  await page.getByRole('link', { name: 'Jobs' }).click();
  await expect(page.getByTestId('jobs')).toBeVisible();
  for (const format of ['A4', 'Letter'] as const) {
    const margin = { top: '10mm', bottom: '10mm', left: '10mm', right: '10mm' };
    const pdf = (await page.pdf({ format, margin })).toString('latin1');
    expect([format, pdf.match(/\/Type\s*\/Page[^s]/g)?.length]).toEqual([format, 1]);
  }
});

test('the maker’s order, a shelf, what is open, readings at a part that was protected: kept as they are typed', async ({
  page,
}) => {
  await visit(page, '/prepare/workshop');
  await choose(page.getByRole('combobox', { name: 'Order of bleeding' }), 'maker');
  await choose(page.getByRole('combobox', { name: 'First wheel' }), 'frontLeft');
  await choose(page.getByRole('combobox', { name: 'First of two screws' }), 'inner');
  await page.getByText('Old master cylinder: never to the floor').click();
  const car = async () => tarnOf(await project(page)).workshop;
  await expect.poll(async () => (await car()).bleedOrder?.[0]).toBe('frontLeft');
  // Whoever stood first is where the chosen one was: each wheel once.
  expect((await car()).bleedOrder?.toSorted()).toEqual(['frontLeft', 'frontRight', 'rearLeft', 'rearRight']);
  await page.getByRole('link', { name: 'Bleed', exact: true }).click();
  await expect(page.getByTestId('screws')).toContainText('Screw by screw, in the maker’s order');
  await expect(page.getByTestId('screws').getByRole('listitem').first()).toContainText(
    'Front left, inner screw',
  );
  await choose(page.getByRole('combobox', { name: 'Way' }), 'pedal');
  const how = page.getByRole('region', { name: 'How it is bled' });
  await expect(how.getByRole('alert')).toContainText('do not press the pedal to the floor');
  await expect(page.getByTestId('screws')).toContainText(/about \d+ strokes/);
  await choose(page.getByRole('combobox', { name: 'What is bled' }), 'fronts');
  await expect(page.getByTestId('screws').getByRole('listitem')).toHaveCount(4);

  const shelf = page.getByTestId('shelf');
  await shelf.getByRole('button', { name: 'Add a bottle' }).click();
  await expect(shelf.getByRole('listitem')).toHaveCount(3);
  const left = shelf
    .getByRole('listitem')
    .last()
    .getByRole('textbox', { name: /^Left in it/ });
  await left.fill('750');
  await left.blur();
  await expect.poll(async () => (await project(page)).bottles.at(-1)?.leftCm3).toBe(750);
  await shelf.getByRole('button', { name: 'Delete Bottle 2, opened' }).click();
  await expect(shelf.getByRole('listitem')).toHaveCount(2);
  await axe(page);

  await page.getByRole('link', { name: 'Jobs' }).click();
  await expect(tick(page, 'lift')).toBeVisible();
  const all = await page.locator('[data-step]').count();
  await tick(page, 'lift').click();
  await page.getByText('only what is open').click();
  await expect(page.locator('[data-step]')).toHaveCount(all - 1);
  await expect(tick(page, 'lift')).toHaveCount(0);
  await page.keyboard.press('Control+z');
  await expect(page.locator('[data-step]')).toHaveCount(all);

  await page.getByRole('link', { name: 'Heat protection' }).click();
  const lead = page.getByRole('region', { name: 'Wheel-speed lead, front' });
  await expect(lead.getByRole('button', { name: /reflective sleeve/ })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  const after = lead.getByRole('textbox', { name: /^Reading after/ });
  await after.fill('118');
  await after.blur();
  await expect
    .poll(async () => workOf(await project(page)).protections[0])
    .toMatchObject({ beforeC: 160, afterC: 118 });
  await page.reload();
  await expect(page.getByRole('textbox', { name: /^Reading after/ })).toHaveValue('118');
});
