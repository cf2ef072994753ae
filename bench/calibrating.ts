import type { Page } from '@playwright/test';
import { withApplication } from '../scripts/browser';
import { tasksOf, watchTasks } from './longTasks';

/** Calibrations as a page does them: four readings, a session with more, a logged drive. Prints JSON. */
async function took(page: Page, out: readonly RegExp[]) {
  for (const name of out) await page.getByLabel(name).click();
  await watchTasks(page);
  await page.getByRole('button', { name: 'Calibrate', exact: true }).click();
  await page.getByTestId('estimates').waitFor({ timeout: 240_000 });
  const said = await page.getByTestId('estimate-state').innerText();
  const [, runs, seconds] = /(\d+) drives computed in ([\d.]+) s/.exec(said) ?? [];
  const tasks = await tasksOf(page);
  for (const name of out) await page.getByLabel(name).click();
  return { runs: Number(runs), seconds: Number(seconds), longestTaskMs: Math.max(0, ...tasks) };
}

await withApplication(4324, async (browser, address) => {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, serviceWorkers: 'block' });
  await page.addInitScript('globalThis.__name = (f) => f');
  await page.goto(`${address}/log/logs`);
  await page.getByRole('button', { name: /Try anvil-log/ }).click();
  await page.getByRole('button', { name: /^Read (the log|it all)/ }).click();
  await page.getByTestId('logged-zones').waitFor({ timeout: 60_000 });
  await page.goto(`${address}/log/heat`);
  await page.getByRole('button', { name: 'Take to the calibration' }).click();
  await page.getByTestId('observations').waitFor({ timeout: 60_000 });
  await page.goto(`${address}/calibrate/fit`);
  const [morning, afternoon, log] = [/Anvil Park, morning/, /Anvil Park, afternoon/, /anvil-log/];
  const four = await took(page, [morning, log]);
  const session = await took(page, [afternoon, log]);
  const logged = await took(page, [morning, afternoon]);
  console.log(
    JSON.stringify(
      Object.fromEntries(
        Object.entries({ fourReadings: four, sixteenReadings: session, loggedSensors: logged }).flatMap(
          ([name, own]) => Object.entries(own).map(([key, value]) => [`${name} ${key}`, value]),
        ),
      ),
    ),
  );
});
