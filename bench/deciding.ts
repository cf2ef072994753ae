import type { Page } from '@playwright/test';
import { withApplication } from '../scripts/browser';
import { choose } from '../scripts/choose';
import { tasksOf, watchTasks } from './longTasks';

/** Uncertain runs, comparison and ladder as a page does them, and whether it stays smooth meanwhile. Prints JSON. */
const RUNS = 1000;

await withApplication(4322, async (browser, address) => {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, serviceWorkers: 'block' });
  await page.addInitScript('globalThis.__name = (f) => f');
  const secondsIn = async (pattern: RegExp, where: string, timeout: number) => {
    await page.getByText(pattern).first().waitFor({ timeout });
    return Number(pattern.exec(await page.locator(where).innerText())?.[1]);
  };

  await page.goto(`${address}/decide/sure`);
  await page.getByRole('textbox', { name: 'Runs' }).fill(String(RUNS));
  const drive = async (cores: number) => {
    await choose(page.getByRole('combobox', { name: 'Cores used' }), String(cores));
    await page.getByRole('button', { name: `Start ${RUNS} simulation runs` }).click();
    const seconds = await secondsIn(/simulation runs in ([\d.]+) s/, 'main', 180_000);
    const statistics = await page.getByRole('region', { name: 'How likely' }).innerText();
    await page.getByRole('button', { name: 'Run again' }).click();
    return { seconds, statistics };
  };
  const one = await drive(1);
  await watchTasks(page);
  const both = await drive(2);
  const sureTasks = await tasksOf(page);
  if (one.statistics !== both.statistics) throw new Error('one core and two give different answers');

  await page.goto(`${address}/decide/compare`);
  for (let n = 1; n <= 5; n++) {
    await page.getByRole('button', { name: 'Add a setup' }).click();
    await addMass(page, `Setup ${n}`, 1000 + 20 * n);
  }
  const compared: number[] = [];
  await secondsIn(/6 setups driven in ([\d.]+) s/, 'main', 60_000);
  await watchTasks(page);
  for (let n = 0; n < 8; n++) {
    const own = page.getByRole('listitem', { name: 'Setup 5', exact: true });
    await own.getByRole('button', { name: /^Take out mass/ }).click();
    await addMass(page, 'Setup 5', 1200 + 7 * n);
    await page.waitForTimeout(1800);
    compared.push(await secondsIn(/6 setups driven in ([\d.]+) s/, 'main', 60_000));
  }
  compared.sort((a, b) => a - b);
  const compareTasks = await tasksOf(page);

  const ladder = await climb(page, address);
  console.log(
    JSON.stringify({
      uncertainRuns: RUNS,
      oneCoreSeconds: one.seconds,
      twoCoresSeconds: both.seconds,
      shareOfIdeal: one.seconds / (2 * both.seconds),
      sureLongTasksOver50: sureTasks.length,
      sureLongestTaskMs: Math.max(0, ...sureTasks),
      sixSetupsMedianSeconds: compared[compared.length >> 1],
      sixSetupsWorstSeconds: compared[compared.length - 1],
      compareLongTasksOver50: compareTasks.length,
      compareLongestTaskMs: Math.max(0, ...compareTasks),
      ...ladder,
    }),
  );
});

/** The ladder from opening its page, for another aim, and of another car. */
async function climb(page: Page, address: string) {
  await page.goto(`${address}/decide/next`);
  await watchTasks(page);
  const start = performance.now();
  await shows(page, 'Today the closest', true);
  const ladderSeconds = (performance.now() - start) / 1000;
  const steps = Number(/all (\d+) steps/.exec(await page.locator('main').innerText())?.[1]);
  const ladderTasks = await tasksOf(page);
  // For another aim: what was driven is known, but for other pairs.
  const driving = 'Driving the day with every step';
  const drivenIn = async (ask: () => Promise<unknown>) => {
    const asked = performance.now();
    await ask();
    await shows(page, driving, true);
    await shows(page, driving, false);
    return (performance.now() - asked) / 1000;
  };
  const aim = page.getByRole('combobox', { name: 'To gain' });
  const otherAim = await drivenIn(() => choose(aim, 'bite'));
  // Every step anew, of a car that is another one, by a crew that has driven before.
  await page.getByRole('navigation', { name: 'Pages' }).getByRole('link', { name: 'Car' }).click();
  const mass = page.getByRole('textbox', { name: 'Mass', exact: true });
  await mass.fill('1130');
  await mass.blur();
  await page.waitForTimeout(1000);
  const again = await drivenIn(() => page.goBack());
  return {
    ladderSteps: steps,
    ladderSeconds,
    ladderOtherAimSeconds: otherAim,
    ladderOtherCarSeconds: again,
    ladderLongTasksOver50: ladderTasks.length,
    ladderLongestTaskMs: Math.max(0, ...ladderTasks),
  };
}

/** Waits until a text is shown, or no longer; looked for at every frame, since a locator looks every half a second. */
async function shows(page: Page, text: string, shown: boolean): Promise<void> {
  await page.waitForFunction(
    ([wanted, there]) => document.querySelector('main')?.textContent?.includes(wanted) === there,
    [text, shown] as const,
    { polling: 'raf', timeout: 120_000 },
  );
}

/** Gives a setup another mass, kg. */
async function addMass(page: Page, setup: string, mass: number): Promise<void> {
  const own = page.getByRole('listitem', { name: setup, exact: true });
  await own.getByRole('button', { name: 'Add a change' }).click();
  await choose(own.getByRole('combobox', { name: 'What' }), 'mass');
  await own.getByRole('textbox').last().fill(String(mass));
  await own.getByRole('button', { name: 'Add', exact: true }).click();
}
