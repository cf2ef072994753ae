import type { Page } from '@playwright/test';
import { readProject } from '../src/model';
import { choose, expect, open, settled, stored, test, verdict, visit } from './page';
import { tripsOver } from './support/axe';

const drives = async (page: Page) => {
  const project = readProject((await stored(page)) ?? '');
  return project.ok ? project.project.drives : [];
};
const axe = async (page: Page) => {
  expect(await tripsOver(page)).toEqual([]);
};

test('readings of a drive become a calibration: the wrong one is named and left out, the verdict uses what is kept, another duct takes it away', async ({
  page,
}) => {
  await visit(page, '/calibrate/readings?drive=drive-anvil-morning');
  await expect(page.getByTestId('observations').getByRole('listitem')).toHaveCount(16);
  await expect(page.getByTestId('calibration-line')).toContainText('±30 %');
  await axe(page);

  await page.getByRole('link', { name: 'Calibrate', exact: true }).last().click();
  await page.getByLabel(/Anvil Park, afternoon/).click();
  await page.getByRole('button', { name: 'Calibrate', exact: true }).click();
  // It can be cancelled, and goes on from where it was.
  await expect(page.getByText(/Step \d+, \d+ drives/)).toBeVisible();
  await page.getByRole('button', { name: 'Cancel' }).click();
  await expect(page.getByText(/Cancelled after \d+ drives/)).toBeVisible();
  await page.getByRole('button', { name: 'Go on' }).click();
  const estimates = page.getByTestId('estimates');
  await expect(estimates).toContainText(/Front cooling8\d %/);
  await expect(estimates).toContainText(/Front µ.*not told/);
  await expect(page.getByTestId('findings')).toContainText(
    /Held out: the 4 readings of “Anvil Park, afternoon”/,
  );
  const odd = page.getByTestId('fit-readings').getByRole('row', { name: /Rear right disc: 251 °C/ });
  await expect(odd).toContainText('Does not fit');
  await expect(page.getByText('Does not fit', { exact: true })).toHaveCount(1);
  await axe(page);
  await odd.getByRole('button', { name: 'Leave out' }).click();
  await expect
    .poll(async () => (await drives(page))[0]?.observations.filter((o) => o.excluded).length)
    .toBe(1);
  await page.getByRole('button', { name: 'Calibrate', exact: true }).click();
  await expect(page.getByTestId('fit-readings')).toBeVisible();
  await expect(page.getByText('Does not fit', { exact: true })).toHaveCount(0);

  await page.getByRole('button', { name: 'Keep with the car' }).click();
  await expect(page.getByTestId('calibrations')).toContainText('Used everywhere now');
  await open(page);
  await settled(page);
  const bar = page.getByLabel('Verdict', { exact: true });
  await expect(bar).toContainText(
    /Calibrated on this car \(2026-06-13\): cooling is uncertain by about ±\d % front/,
  );
  await expect(page.getByTestId('cooling-band')).not.toContainText('30 %');
  await expect(verdict(page)).toContainText('front right pads');

  // Kept over a reload; a duct that is fitted later says what it takes away.
  await visit(page, '/car');
  const duct = page.getByRole('textbox', { name: /^Duct area/ }).first();
  await duct.fill('35');
  await duct.blur();
  await visit(page, '/calibrate/kept');
  await expect(page.getByTestId('calibrations')).toContainText(
    /No longer holds of front cooling.*other front duct/,
  );
  await expect(page.getByTestId('calibration-line')).toContainText(/no longer holds: other front duct/);
  await axe(page);
  await page.getByRole('link', { name: 'Measure next' }).click();
  await expect(page.getByTestId('next-readings').getByRole('row')).not.toHaveCount(1);
  await expect(page.getByTestId('next-readings')).toContainText(/Front left.*±\d+ °C to ±\d+ °C/);
  await axe(page);
});

test('in the pit lane: a reading with the stopwatch, what cannot be is said, a symptom is written down', async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await visit(page, '/calibrate/readings');
  await page.getByRole('button', { name: /^New drive/ }).click();
  await expect(page.getByText('Nothing entered yet')).toBeVisible();
  await page.getByRole('button', { name: 'The car stops now' }).click();
  await page.getByLabel('Reading', { exact: true }).fill('382');
  await expect(page.getByRole('timer')).toContainText(/Stopped for [1-9]/);
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  const list = page.getByTestId('observations');
  await expect(list).toContainText(/Front left disc: 382 °C, [1-9]\d* s after lap 13/);
  // The next wheel round the car is chosen, the rest kept; the page may be closed meanwhile.
  await expect(page.getByRole('radio', { name: 'Front right' })).toBeChecked();
  await page.reload();
  await expect(page.getByRole('timer')).toBeVisible();
  await page.getByLabel('Reading', { exact: true }).fill('12');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(list.getByRole('alert')).toContainText('Not used: Below the air’s temperature');
  await page.getByLabel('Reading', { exact: true }).fill('a lot');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(page.getByLabel('Reading', { exact: true })).toHaveAttribute('aria-invalid', 'true');
  await expect(list.getByRole('listitem')).toHaveCount(2);
  await list.getByRole('button', { name: /^Delete Front (left|right) disc: 12/ }).click();
  await expect(list.getByRole('listitem')).toHaveCount(1);

  // A front disc predicted near 355 °C: 720 is asked about, as it would be likely in °F.
  await page.getByRole('radio', { name: 'Front left' }).click();
  await page.getByLabel('Stopped after lap', { exact: true }).fill('13');
  await page.getByLabel('Reading', { exact: true }).fill('720');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(list).toContainText(/predicted \d+ °C/);
  await expect(list.getByRole('alert')).toContainText('Was it 720 °F? That is 382 °C');
  await list.getByRole('button', { name: /^Delete Front left disc: 720/ }).click();
  await expect(list.getByRole('listitem')).toHaveCount(1);

  await page.getByRole('radio', { name: 'Paint or strip' }).click();
  await page.getByLabel('Turns at', { exact: true }).fill('300');
  await page.getByRole('radio', { name: 'did not turn' }).click();
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(list).toContainText('300 °C did not turn');
  const table = 'kind,axle,lap\nboiled,front,6\n';
  await page
    .getByTestId('readings-file')
    .setInputFiles({ name: 'notes.csv', mimeType: 'text/csv', buffer: Buffer.from(table) });
  await expect(list).toContainText('Front circuit: pedal went long on lap 6');
  await page
    .getByTestId('readings-file')
    .setInputFiles({ name: 'odd.csv', mimeType: 'text/csv', buffer: Buffer.from('kind,wheel\nspot,FL') });
  await expect(page.getByTestId('refusal')).toContainText('valueC must be a number');
  await expect(list.getByRole('listitem')).toHaveCount(3);

  await visit(page, '/happened');
  await choose(page.getByRole('combobox', { name: 'What was noticed' }), 'hard pedal');
  await choose(page.getByRole('combobox', { name: 'On which lap' }), '5');
  await expect(page.getByTestId('causes').getByRole('listitem').first()).toContainText(
    /The pads faded.*Front pads 7\d\d °C ±\d+ °C of 700 °C by lap 5/,
  );
  await expect(page.getByText('Do not drive on with this.').first()).toBeVisible();
  await page.getByRole('button', { name: 'Write it into this drive' }).click();
  await expect
    .poll(async () =>
      (await drives(page)).at(-1)?.observations.some((own) => own.kind === 'faded' && own.lap === 5),
    )
    .toBe(true);
  await axe(page);
});
