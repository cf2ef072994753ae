import type { Page } from '@playwright/test';
import { choose, expect, open, project, settled, shorten, test, verdict, visit } from './page';
import { ROUTES } from './support/routes';

/** What brakes bring along from one day to the next, and that a day is computed once. */

/** Goes to another page of the application as a link would, without loading it anew. */
const walk = (page: Page, to: string) =>
  page.evaluate((path) => {
    history.pushState({}, '', path);
    dispatchEvent(new PopStateEvent('popstate'));
  }, to);

/** Counts what workers are asked for from now on; answers with how often one of some things was. */
async function countingAsked(page: Page): Promise<(...what: readonly string[]) => Promise<number>> {
  await page.addInitScript(() => {
    const counted = window as unknown as { asked: string[] };
    counted.asked = [];
    const post = Worker.prototype.postMessage;
    Worker.prototype.postMessage = function (this: Worker, message: { path?: string[] }, ...rest: never[]) {
      if (message?.path) counted.asked.push(message.path.join('.'));
      return Reflect.apply(post, this, [message, ...rest]);
    } as typeof post;
  });
  return (...what) =>
    page.evaluate(
      (paths) =>
        (window as unknown as { asked: string[] }).asked.filter((path) => paths.includes(path)).length,
      what,
    );
}

test('the plan’s day is computed once whatever pages are visited, and once more after a change that moves it', async ({
  page,
}) => {
  const asked = await countingAsked(page);
  const days = () => asked('simulate', 'drive');
  await open(page);
  await settled(page);
  expect(await days()).toBe(1);
  for (const route of [...ROUTES, '/', '/inside', '/']) {
    await walk(page, route);
    await expect(page).toHaveURL((url) => url.pathname === route);
    await expect(page.getByRole('main')).toBeVisible();
    await page.waitForTimeout(150);
  }
  await settled(page);
  expect(await days()).toBe(1);
  // A name is no other day; a mass is.
  await walk(page, '/car/car-tarn');
  await page.getByRole('textbox', { name: 'Name', exact: true }).fill('Tarn Two, renamed');
  await page.getByRole('textbox', { name: 'Mass', exact: true }).focus();
  await expect.poll(async () => (await project(page)).cars[0].name).toBe('Tarn Two, renamed');
  expect(await days()).toBe(1);
  await page.getByRole('textbox', { name: 'Mass', exact: true }).fill('1180');
  await walk(page, '/');
  await settled(page);
  expect(await days()).toBe(2);
});

test('a workbench has its days driven by two programs, which are warm before anything is moved', async ({
  page,
}) => {
  const asked = await countingAsked(page);
  await open(page);
  await settled(page);
  await expect(page.getByTestId('cooling-band')).not.toContainText('computing');
  await expect(page.getByRole('region', { name: 'How long it lasts' }).getByRole('table')).toBeVisible();
  const cores = await page.evaluate(() => navigator.hardwareConcurrency);
  await expect.poll(() => asked('warm')).toBeGreaterThan(cores > 1 ? 3 : -1);
  // Its own, another where there is a core for it, and the one that is ended when another session is asked about.
  const programs = page.workers().filter((worker) => worker.url().includes('engine'));
  expect(programs).toHaveLength(Math.min(2, cores) + 1);
  expect(await asked('simulateCooled')).toBe(2);
  await page.getByRole('slider').first().press('ArrowRight');
  await settled(page);
  const warmed = await asked('warm');
  await page.waitForTimeout(1500);
  expect(await asked('warm')).toBe(warmed);
});

test('workers that make uncertain runs are got ready while the page rests: once, and not for who goes on', async ({
  page,
}) => {
  const asked = await countingAsked(page);
  await shorten(page);
  const start = page.getByRole('button', { name: /^Start \d+ simulation runs$/ });
  await walk(page, '/decide/sure');
  await start.waitFor();
  await walk(page, '/decide/next');
  await page.getByText('Today the closest').waitFor();
  expect(await asked('uncertainPiece')).toBe(0);
  await walk(page, '/decide/sure');
  const cores = await page.evaluate(() => navigator.hardwareConcurrency);
  const days = 10 * Math.min(4, cores);
  await expect.poll(() => asked('uncertainPiece'), { timeout: 20_000 }).toBe(days);
  // None of them is kept, and no worker is made ready twice.
  await expect(start).toBeVisible();
  await walk(page, '/decide/next');
  await walk(page, '/decide/sure');
  await start.waitFor();
  await page.waitForTimeout(1500);
  expect(await asked('uncertainPiece')).toBe(days);
});

test('the ladder drives each step once: for another aim only what that one asks besides, and nothing for the first again', async ({
  page,
}) => {
  const asked = await countingAsked(page);
  await shorten(page);
  await walk(page, '/decide/next');
  const told = page.getByText('Today the closest');
  await told.waitFor();
  const first = await asked('tryOut');
  expect(first).toBeGreaterThan(50);
  const aim = page.getByRole('combobox', { name: 'To gain' });
  const driving = page.getByText('Driving the day with every step');
  await choose(aim, 'bite');
  await driving.waitFor();
  await expect(driving).toBeHidden();
  const both = await asked('tryOut');
  expect(both - first).toBeLessThan(0.6 * first);
  await choose(aim, 'heat');
  await page.waitForTimeout(1000);
  await expect(driving).toBeHidden();
  await expect(told).toBeVisible();
  expect(await asked('tryOut')).toBe(both);
});

test('brakes begin as warm as typed, and a kept state begins the next day', async ({ page }) => {
  await open(page);
  await settled(page);
  const end = page.getByRole('region', { name: 'Brakes when the day ends' });
  const fluid = end.getByRole('row', { name: /^Fluid \d/ });
  const cold = await fluid.innerText();
  await end.getByRole('button', { name: 'Keep this state' }).click();
  await expect(page.getByText(/Kept as “After Twenty minutes/)).toBeVisible();
  await visit(page, '/plan');
  const begin = page.getByRole('combobox', { name: 'Brakes begin' });
  await choose(begin, { label: 'Still warm: one temperature' });
  await page.getByRole('textbox', { name: 'Still warm' }).fill('180');
  await expect
    .poll(async () => (await project(page)).plans[0].start)
    .toEqual({ kind: 'warm', temperatureC: 180 });
  await visit(page, '/inside');
  await page
    .getByRole('slider', { name: /Moment|Time/ })
    .first()
    .focus();
  await page.keyboard.press('Home');
  await expect(page.getByText(/180 °C/).first()).toBeVisible();
  await visit(page, '/plan');
  await choose(begin, { label: 'Kept state: After Twenty minutes at Anvil Park' });
  await visit(page, '/');
  await expect(verdict(page)).toBeVisible();
  await settled(page);
  expect(await fluid.innerText()).not.toBe(cold);
  // A state that a plan begins from is not thrown away by mistake.
  await visit(page, '/library');
  const kept = page.getByRole('region', { name: 'Kept states of brakes' });
  await kept.getByRole('button', { name: /Delete After Twenty/ }).click();
  await expect(page.getByText(/Begins “Twenty minutes at Anvil Park”/)).toBeVisible();
  expect((await project(page)).states).toHaveLength(1);
});
