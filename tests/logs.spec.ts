import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { readProject } from '../src/model';
import { choose, chosen, expect, stored, test, visit } from './page';
import { tripsOver } from './support/axe';
import { loggedCsv } from './support/logs';

const csv = loggedCsv(3, 10);
/** With a question open it says that it is read all the same. */
const READ = /^Read (the log|it all the same)$/;
const give = (page: Page, name: string, content: string | Buffer) =>
  page
    .getByTestId('log-file')
    .setInputFiles({ name, mimeType: 'text/csv', buffer: Buffer.from(content as string) });
const read = async (page: Page) => {
  await page.getByRole('button', { name: READ }).click();
  await expect(page.getByTestId('logged-zones')).toBeVisible();
};

test('a logger’s file: columns confirmed, laps and braking zones found, fitted, taken over, laid over what was measured', async ({
  page,
}) => {
  await visit(page, '/log/logs');
  await give(page, 'morning.csv', csv);
  await chosen(page.getByRole('combobox', { name: 'What Rotor FL (C) is' }), 'rotorFrontLeft');
  await choose(page.getByRole('combobox', { name: 'What Height (m) is' }), '');
  await read(page);
  await expect(page.getByRole('region', { name: 'The log', exact: true })).toContainText(
    'by the positions, at the start line',
  );
  const zones = page.getByTestId('logged-zones');
  await expect(zones.locator('tbody tr')).toHaveCount(7);
  await expect(zones).toContainText(/4 Quench.*kJ ± \d+ kJ/);
  await expect(page.getByLabel('Laps', { exact: true }).getByText('Hot lap')).toHaveCount(3);
  await expect(
    page.getByLabel('Laps', { exact: true }).getByText('typical').or(page.getByText('best')),
  ).not.toHaveCount(0);
  const whole = await zones.locator('tfoot').textContent();
  expect(Number(/([\d.]+) %/.exec(whole ?? '')?.[1])).toBeGreaterThan(97);
  expect(Number(/([\d.]+) %/.exec(whole ?? '')?.[1])).toBeLessThan(102);

  // The stand-in drives at 96 % of the plan's grip used in braking and 98.5 % in corners.
  await page.getByRole('button', { name: 'Fit to this lap' }).click();
  await expect(page.getByTestId('fit')).toContainText(/Share of grip used in corners92\.0 %90\.\d %/);
  await page.getByRole('button', { name: 'Apply' }).click();
  await expect
    .poll(async () => {
      const project = readProject((await stored(page)) ?? '');
      return project.ok ? project.project.plans[0].corneringGripUsedPercent : 0;
    })
    .toBeCloseTo(90.6, 0);

  await page.getByRole('link', { name: 'Measured and predicted' }).click();
  await expect(page.getByTestId('logged-verdict')).toContainText('As it was driven');
  await expect(page.getByTestId('residuals').locator('tbody tr')).toHaveCount(6);
  await choose(page.getByLabel('Sensor'), 'fluidFront');
  await expect(page.getByLabel('Measured over predicted')).toContainText('predicted with the logged trace');
  expect(await tripsOver(page)).toEqual([]);

  // Kept over a reload; goes out as a file that comes back; a file of the same layout is known; removed and put back.
  await page.goto('/log/logs');
  const kept = page.getByLabel('Kept logs');
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    kept.getByRole('button', { name: 'Export morning' }).click(),
  ]);
  const exported = readFileSync(await download.path(), 'utf8');
  await give(page, 'again.csv', exported);
  await read(page);
  await expect(page.getByTestId('logged-zones').locator('tbody tr')).toHaveCount(7);
  await page.getByRole('link', { name: 'Logs', exact: true }).click();
  await give(page, 'noon.csv', csv);
  await expect(page.getByText('As you confirmed for a file like this before')).toBeVisible();
  await chosen(page.getByRole('combobox', { name: 'What Height (m) is' }), '');
  await page.getByRole('button', { name: 'Not now' }).click();
  await kept.getByRole('button', { name: 'Remove morning' }).click();
  await expect(kept.getByRole('button', { name: 'Remove morning' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(kept.getByRole('button', { name: 'Remove morning' })).toBeVisible();
});

test('a log that cannot be read says why and where; a mapping that makes none cannot be confirmed', async ({
  page,
}) => {
  await visit(page, '/log/logs');
  const refusal = page.getByTestId('refusal');
  await give(page, 'notes.txt', 'It rained.\nNothing ran.\n');
  await expect(refusal).toContainText('Line 1: No table of numbers');
  await give(page, 'picture.csv', Buffer.from([0x89, 0x50, 0x4e, 0x47, 1, 2, 3]));
  await expect(refusal).toContainText('a picture (PNG)');
  await give(page, 'gear.csv', `time,gear\n${Array.from({ length: 40 }, (_, i) => `${i},3`).join('\n')}`);
  await expect(page.getByRole('alert')).toContainText(
    'Speed, distance, or latitude and longitude are needed',
  );
  await expect(page.getByRole('button', { name: READ })).toBeDisabled();
  await choose(page.getByRole('combobox', { name: 'What gear is' }), 'speed');
  await page.getByRole('button', { name: READ }).click();
  await expect(page.getByRole('alert')).toContainText('stands still all through this log');
  await page.getByRole('link', { name: 'Logs', exact: true }).click();
  await give(
    page,
    'walk.csv',
    `time,speed (m/s)\n${Array.from({ length: 40 }, (_, i) => `${i},3`).join('\n')}`,
  );
  await page.getByRole('button', { name: READ }).click();
  // Three metres a second for forty seconds is a log, but no lap.
  await expect(page.getByText('not at all: no lap was found')).toBeVisible();
});

test('a unit that makes no day is asked about before the log is read; columns are named again; sensors go to the calibration', async ({
  page,
}) => {
  await visit(page, '/log/logs');
  // The logger's air in °F under a heading that does not say so.
  const lines = csv.trim().split('\n');
  const from = lines.findIndex((line) => line.startsWith('Time (s)'));
  const [head, ...rows] = lines.slice(from);
  const at = head.split(',').indexOf('Ambient (C)');
  const odd = [head.replace('Ambient (C)', 'Ambient'), ...rows].map((line, i) =>
    line
      .split(',')
      .map((cell, k) => (k === at && i > 0 && cell !== '' ? String(1.8 * Number(cell) + 32) : cell))
      .join(','),
  );
  await give(page, 'odd.csv', odd.join('\n'));
  const questions = page.getByTestId('mapping-questions');
  await expect(questions).toContainText(/Air temperature goes up to 7\d/);
  await questions.getByRole('button', { name: 'It is °F' }).click();
  await expect(questions).toHaveCount(0);
  await chosen(page.getByRole('combobox', { name: 'Unit of Ambient' }), '°F');
  await read(page);
  await page.getByRole('link', { name: 'Measured and predicted' }).click();
  await expect(page.getByText(/in air of 2\d °C \(as logged\)/)).toBeVisible();
  const zones = page.getByTestId('measured-zones');
  await expect(zones.locator('tbody tr')).toHaveCount(7);
  await expect(zones).toContainText(/4 Quench.*°C, \d+ °C \(\d+ °C\).*bar \(\d+\.\d bar\)/);

  // Named again, the new reading takes the place of the old one.
  await page.getByRole('link', { name: 'Logs', exact: true }).click();
  await page.getByRole('button', { name: 'Columns of odd' }).click();
  await chosen(page.getByRole('combobox', { name: 'Unit of Ambient' }), '°F');
  await choose(page.getByRole('combobox', { name: 'What Rotor FL (C) is' }), '');
  await read(page);
  await page.getByRole('link', { name: 'Logs', exact: true }).click();
  await expect(page.getByLabel('Kept logs').getByRole('link', { name: 'Open' })).toHaveCount(1);
  await page.getByRole('link', { name: 'Measured and predicted' }).click();
  await expect(page.getByTestId('residuals').locator('tbody tr')).toHaveCount(5);

  await page.getByRole('button', { name: 'Take to the calibration' }).click();
  await expect(page.getByTestId('observations').getByRole('listitem')).toHaveCount(5);
  await expect(page.getByTestId('observations')).toContainText('Front right disc: 48 samples');
  await expect(page.getByTestId('observations').getByRole('alert')).toHaveCount(0);
});

test('a large log tells how far it is read and can be given up; nothing is kept of it', async ({ page }) => {
  await visit(page, '/log/logs');
  const line = csv.split('\n')[500];
  await give(page, 'day.csv', `${csv.split('\n').slice(0, 3).join('\n')}\n${`${line}\n`.repeat(300_000)}`);
  await page.getByRole('button', { name: READ }).click();
  await expect(page.getByRole('region', { name: 'Reading' })).toContainText(/day\.csv: \d+ %/);
  await page.getByRole('button', { name: 'Cancel' }).click();
  await expect(page.getByText('Reading was cancelled; nothing was kept.')).toBeVisible();
  await expect(page.getByText('No logs are kept in this browser yet.')).toBeVisible();
  // The worker that was ended is followed by another.
  await give(page, 'morning.csv', csv);
  await read(page);
});

test('live: braking zones, temperatures and laps left come as driven; a cut connection is taken up and nothing is lost', async ({
  page,
}) => {
  // Each connection is cut after two seconds, as a bad radio link would.
  await page.route('**/stand-in/logger/stream**', (route) => {
    const url = new URL(route.request().url());
    url.searchParams.set('cut', '2');
    url.searchParams.set('rate', '10');
    return route.continue({ url: url.href });
  });
  await visit(page, '/log/live');
  await choose(page.getByLabel('Speed'), '50');
  await page.getByRole('button', { name: 'Connect' }).click();
  const state = page.getByTestId('live-state');
  await expect(state).toContainText('lost 2 times', { timeout: 60_000 });
  await expect(page.getByLabel('Temperatures now').getByRole('row')).not.toHaveCount(1);
  await expect(page.getByLabel('Braking zones as they come')).toContainText('Hammer', { timeout: 60_000 });
  await expect(page.getByTestId('laps-left')).toContainText(/more lap|Come in|No limit/, { timeout: 60_000 });
  await page.getByRole('button', { name: 'Stop and keep' }).click();
  await expect(page.getByText('The recording is kept as')).toBeVisible();
  const samples = Number(/(\d+) samples/.exec((await state.textContent()) ?? '')?.[1]);
  await page.goto('/log/logs');
  await expect(page.getByLabel('Kept logs')).toContainText(String(samples));
  // No sample twice and none missing: the time between them is the logger's own.
  await page.getByRole('link', { name: 'Open', exact: true }).first().click();
  await expect(page.getByRole('region', { name: 'The log', exact: true })).toContainText(
    `${samples} samples, 10 a second`,
  );
  await expect(page.getByRole('region', { name: 'The log', exact: true })).not.toContainText('gap');
  // The kept recording is replayed.
  await page.getByRole('link', { name: 'Live', exact: true }).click();
  await choose(page.getByLabel('From'), { index: 1 });
  await choose(page.getByLabel('Speed'), '50');
  await page.getByRole('button', { name: 'Replay' }).click();
  await expect(state).toContainText('100 %', { timeout: 60_000 });
});

test('an address that names no log or view says so', async ({ page }) => {
  await visit(page, '/log/laps?log=gone');
  await expect(page.getByRole('alert')).toContainText('keeps no such log');
  await page.goto('/log/nowhere');
  await expect(page.getByRole('alert')).toContainText('no view “nowhere”');
  await page.goto('/log/laps');
  await expect(page.getByText('No log yet.')).toBeVisible();
});
