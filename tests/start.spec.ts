import { demoProject } from '../demo/project';
import { EIGHT_ZONES, firstHour } from '../scripts/firstHour';
import { originOf, writeProject } from '../src/model';
import { expect, importText, open, project, settled, test, verdict, visit } from './page';
import { tripsOver } from './support/axe';

/** Pastes into what has the focus. */
const paste = (page: import('@playwright/test').Page, text: string) =>
  page.evaluate((pasted) => {
    const clipboardData = new DataTransfer();
    clipboardData.setData('text/plain', pasted);
    document.activeElement?.dispatchEvent(
      new ClipboardEvent('paste', { clipboardData, bubbles: true, cancelable: true }),
    );
  }, text);

test('a stranger gets to a verdict on an own car at an own circuit, with the keyboard alone', async ({
  page,
}) => {
  await open(page);
  await expect(page.getByRole('region', { name: 'Demo' })).toContainText('invented demo');
  const done = await firstHour(page);
  expect(done.inputs).toBeLessThanOrEqual(25);
  expect(done.pages).toBeLessThanOrEqual(3);
  await settled(page);
  await expect(page.getByRole('region', { name: 'Demo' })).toHaveCount(0);
  await expect.poll(async () => (await project(page)).cars.length).toBe(4);
  const { cars, circuits, plans, selectedPlanId } = await project(page);
  const plan = plans.find(({ id }) => id === selectedPlanId);
  const car = cars.find(({ id }) => id === plan?.carId);
  expect(car).toMatchObject({ massKg: 1390, front: { pad: 'clubday' }, fluid: { ageMonths: 6 } });
  expect(car && [originOf(car.origins, 'massKg'), originOf(car.origins, 'dragAreaM2')]).toEqual([
    'typed',
    'assumed',
  ]);
  const circuit = circuits.find(({ id }) => id === plan?.circuitId);
  expect(circuit?.layout).toMatchObject({
    kind: 'zones',
    zones: { length: 8, 0: { name: 'Gatepost', entryKmh: 158 } },
  });
  // Speeds that are typed are not moved by grip: the control says so.
  await expect(page.getByRole('slider', { name: 'Tyre grip, of the saved' })).toHaveAttribute(
    'data-disabled',
    '',
  );
  await expect(page.getByText('list of typed speeds').first()).toBeVisible();
  // Nothing of the demo went; all of it can be taken back.
  for (const old of demoProject.cars) expect(cars).toContainEqual(old);
  const undo = page.getByRole('button', { name: /^Undo:/ });
  for (const label of ['New plan', 'New circuit', 'New car']) {
    await expect(page.getByRole('button', { name: `Undo: ${label}` })).toBeVisible();
    await undo.click();
  }
  await expect.poll(() => project(page)).toEqual(demoProject);
});

test('“don’t know” to everything is still a verdict; answers that contradict are asked about where they stand', async ({
  page,
}) => {
  await visit(page, '/new/car');
  await page.getByRole('radio', { name: /^Saloon/ }).click();
  await page.getByLabel('Thickness').fill('32');
  await page.getByRole('radio', { name: 'Solid' }).click();
  await page.getByLabel('Diameter').first().fill('twelve');
  await page.getByRole('button', { name: 'Next: the circuit' }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'not a number' })).toBeVisible();
  await page.getByLabel('Diameter').first().fill('');
  await page.getByRole('button', { name: 'Next: the circuit' }).click();
  await expect(page.getByRole('alert')).toContainText('A solid disc is 18 mm thick at most, not 32');
  await expect(page.getByLabel('Thickness')).toBeFocused();
  await page.getByRole('radio', { name: 'Don’t know' }).nth(2).click();
  await page.getByLabel('Thickness').fill('');
  await page.getByRole('button', { name: 'Next: the circuit' }).click();

  await page.getByLabel('From of braking zone 1').focus();
  await paste(page, 'no table\nat all');
  await expect(page.getByRole('alert')).toContainText('Three columns of numbers are needed');
  await paste(page, `${EIGHT_ZONES}lunch\t\t\t\nBridge\t160\t60\t200\n`);
  await expect(page.getByText('Row 10 was left out: “From” is empty')).toBeVisible();
  await page.getByLabel('Over of braking zone 9').fill('20');
  await expect(page.getByText('more than these tyres can hold')).toBeVisible();
  await page.getByLabel('To of braking zone 9').fill('170');
  await page.getByLabel('To the next of braking zone 9').press('Enter');
  await expect(page.getByLabel('Place of braking zone 10')).toBeFocused();
  await page.getByRole('button', { name: 'Next: the day' }).click();
  await expect(page.getByRole('alert')).toContainText('under the speed it begins with');
  await page.getByRole('button', { name: 'Delete braking zone 9' }).click();
  await page.getByRole('button', { name: 'Next: the day' }).click();
  await page.getByRole('button', { name: 'Date: not set' }).click();
  await page.getByRole('gridcell').getByRole('button').nth(10).click();
  await page.getByRole('button', { name: 'To the verdict' }).click();
  await expect(verdict(page)).toBeVisible();
  await settled(page);
  await expect(page.getByText('30 % less cooling')).toBeVisible();
  await expect.poll(async () => (await project(page)).plans.at(-1)?.date).toMatch(/^\d{4}-\d\d-\d\d$/);
});

test('a circuit from facts and one from a recording: made up and said so; what the times show stands beside the line', async ({
  page,
}) => {
  await visit(page, '/new/circuit');
  await page.getByRole('tab', { name: 'A few facts' }).click();
  for (const [label, value] of [
    ['Length of a lap', '3200'],
    ['Longest straight', '600'],
    ['Corners', '11'],
    ['Lap time', '30'],
  ] as const)
    await page.getByLabel(label).fill(value);
  await page.getByRole('button', { name: 'Next: the day' }).click();
  await expect(page.getByRole('alert')).toContainText('384 km/h on average');
  await page.getByLabel('Lap time').fill('101');
  await page.getByRole('button', { name: 'Next: the day' }).click();
  await expect(page.getByRole('heading', { name: 'What is driven' })).toBeVisible();
  await expect.poll(async () => (await project(page)).circuits.at(-1)?.source).toBe('made-up');

  await visit(page, '/circuits/import');
  await page.getByRole('button', { name: 'Try sunday-recording.gpx' }).click();
  const own = page.getByRole('region', { name: 'The recording’s own lap' });
  await expect(own).toContainText(/7 braking zones worth the name .* 7 such zones.*agree/);
  await own.getByRole('button', { name: 'Add its braking zones instead' }).click();
  await expect
    .poll(async () => (await project(page)).circuits.at(-1))
    .toMatchObject({
      source: 'recorded',
      layout: { kind: 'zones', zones: { length: 7 } },
    });
});

test('every value says how it is known; what matters of the rest is found out from real runs and leads to its field', async ({
  page,
}) => {
  await open(page);
  await page.getByRole('link', { name: 'Car', exact: true }).click();
  const count = page.getByTestId('origins');
  await expect(count).toContainText('14 of');
  await page.getByRole('textbox', { name: 'Wheelbase' }).fill('2310');
  await expect(count).toContainText('15 of');
  await page.getByRole('button', { name: 'Wheelbase: typed. How is it known?' }).click();
  await page.getByRole('menuitemradio', { name: /^measured/ }).click();
  await expect(page.getByRole('button', { name: 'Wheelbase: measured. How is it known?' })).toBeVisible();
  await page.getByRole('button', { name: 'How to measure: Thickness' }).first().click();
  await expect(page.getByText('lip that wear leaves')).toBeVisible();
  await page.keyboard.press('Escape');

  await page.getByRole('link', { name: 'What to find out next' }).click();
  const list = page.getByRole('region', { name: 'What to find out next' });
  const cooling = list.getByRole('row', { name: /Front cooling factor/ });
  await expect(cooling).toContainText(/±\d+ °C/);
  await expect(cooling).toContainText('decides');
  await expect(list.getByRole('row', { name: /^Mass/ })).toHaveCount(0);
  await list.getByRole('link', { name: 'To the field: Front cooling factor' }).click();
  await expect(page.getByRole('textbox', { name: 'Cooling factor' }).first()).toBeFocused();
});

test('what to do first is an order of steps at the verdict: fitted, the session holds; a budget is kept to', async ({
  page,
}) => {
  await open(page);
  await page.getByRole('button', { name: 'What should I do first?' }).click();
  const steps = page.getByTestId('first-steps');
  await expect(steps).toContainText('every limit holds');
  await expect(steps.getByRole('listitem')).toHaveCount(1);
  await page.getByLabel('Spend at most').fill('20');
  await expect(steps).toContainText('What remains: front pads');
  await page.getByLabel('Spend at most').fill('');
  await expect(steps).toContainText('every limit holds');
  await steps.getByRole('button', { name: 'Fit all of it' }).click();
  await settled(page);
  await expect(verdict(page)).not.toContainText('Over limit');
  await expect(steps).toContainText('Nothing passes a limit');
});

test('several projects: begun, opened and imported beside each other, and none overwrites another', async ({
  page,
}) => {
  await open(page);
  await page.getByRole('link', { name: 'Car', exact: true }).click();
  await page.getByRole('textbox', { name: 'Mass', exact: true }).fill('1177');
  await expect.poll(async () => (await project(page)).cars[0].massKg).toBe(1177);
  await page.getByRole('link', { name: 'Library' }).click();
  const projects = page.getByRole('region', { name: 'Projects' });
  await projects.getByRole('button', { name: 'New project' }).click();
  await expect(page.getByRole('heading', { name: 'Enter my car' })).toBeVisible();
  await page.getByRole('button', { name: 'Next: the circuit' }).click();
  await page.getByRole('button', { name: 'A plain oval' }).click();
  await page.getByRole('button', { name: 'To the verdict' }).click();
  await expect(verdict(page)).toBeVisible();
  await page.getByRole('link', { name: 'Library' }).click();
  // What held the places of car and plan went with the first own plan.
  await expect(page.getByLabel('Cars', { exact: true }).getByRole('textbox')).toHaveCount(1);
  await expect(projects.getByRole('listitem')).toHaveCount(2);
  // An import that would replace it is asked about, and opens beside it.
  await importText(page, 'other.json', writeProject({ ...demoProject, name: 'From a friend' }));
  await page.getByRole('button', { name: 'Open it beside mine' }).click();
  await expect(page.getByLabel('Plan on the workbench')).toContainText('Twenty minutes at Anvil Park');
  await visit(page, '/library');
  await expect(projects.getByRole('listitem')).toHaveCount(3);
  await projects.getByRole('button', { name: `Open ${demoProject.name}` }).click();
  await expect(verdict(page)).toBeVisible();
  await page.getByRole('link', { name: 'Car', exact: true }).click();
  await expect(page.getByRole('textbox', { name: 'Mass', exact: true })).toHaveValue('1177');
  await visit(page, '/library');
  await projects.getByRole('button', { name: 'Delete the project My season' }).click();
  await page.getByRole('button', { name: 'Delete it' }).click();
  await expect(projects.getByRole('listitem')).toHaveCount(2);
  await page.getByRole('button', { name: 'Files' }).click();
  await page.getByRole('menuitem', { name: 'Texts kept aside' }).click();
  await expect(page.getByRole('dialog')).toContainText('My season');
});

test('help: keys on “?”, words that open, the tour, minutes instead of laps', async ({ page }) => {
  await open(page);
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toContainText('Braking zone before and after');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'brake reserve', exact: true }).click();
  await expect(page.getByRole('dialog')).toContainText('What is left of the driver’s force');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Take the tour' }).click();
  const tour = page.getByRole('region', { name: 'Tour' });
  for (let stop = 1; stop < 6; stop++) {
    await expect(tour).toContainText(`${stop} of 6`);
    await expect(page.locator('[data-toured]')).toBeVisible();
    await tour.getByRole('button', { name: 'Next' }).click();
  }
  expect(await tripsOver(page, '[aria-label="Tour"]')).toEqual([]);
  await tour.getByRole('button', { name: 'Done' }).click();
  await expect(page.locator('[data-toured]')).toHaveCount(0);
  await page.getByRole('link', { name: 'Plan and decide', exact: true }).click();
  await page.getByRole('textbox', { name: 'In minutes' }).fill('15');
  await expect(page.getByRole('textbox', { name: /^Laps: hot laps/ })).toHaveValue('5');
});
