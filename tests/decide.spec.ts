import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { choose, expect, project, setBalance, settled, shorten, test, turnTo, verdict, visit } from './page';

const plan = async (page: Page, id = 'plan-tarn-anvil') =>
  (await project(page)).plans.find((p) => p.id === id) as NonNullable<
    Awaited<ReturnType<typeof project>>['plans'][number]
  >;
const region = (page: Page, name: string) => page.getByRole('region', { name, exact: true });
const tab = async (page: Page, name: string) =>
  page.getByRole('navigation', { name: 'Decide' }).getByRole('link', { name }).click();
test('the duct that is found is put into the car, and the verdict follows', async ({ page }) => {
  await visit(page, '/decide/cooling');
  const front = region(page, 'Front cooling need');
  await expect(front).toContainText(/Front: \d+\.\d cm² to each wheel/);
  await expect(region(page, 'Rear cooling need')).toContainText('no duct needed');
  await expect(front).toContainText('front caliper seals, 30 °C below limit');
  await expect(region(page, 'Blanking steps').locator('tbody tr')).toHaveCount(5);
  const cost = region(page, 'What it costs');
  await expect(cost).toContainText(/of drag at 1\d\d km\/h/);
  const ways = region(page, 'Ways to keep the margin');
  await expect(ways.locator('tbody tr')).toHaveCount(6);
  await expect(ways).toContainText('Cheapest in money: less pace');
  await cost.getByRole('button', { name: 'Put into the car' }).click();
  await expect(front).toContainText('The car has 7');
  await page.getByRole('link', { name: 'Workbench' }).first().click();
  await settled(page);
  await expect(verdict(page)).toContainText('Everything stays within its limit');
  await page.getByRole('button', { name: 'Undo: Ducts found' }).click();
  await expect(verdict(page)).toContainText('overheat first');
});

test('an impossible wish is answered with the reason, and what is no number is refused', async ({ page }) => {
  await visit(page, '/decide/cooling');
  const wish = page.getByRole('textbox', { name: 'Margin to keep' });
  await wish.fill('120');
  const front = region(page, 'Front cooling need');
  await expect(front).toContainText('no duct does it');
  await expect(front).toContainText('their heat comes through pads, pistons or hub');
  await wish.fill('600');
  await expect(front).toContainText('not even brakes that are never used keep such a margin');
  await wish.fill('-5');
  await expect(page.getByRole('alert').filter({ hasText: 'Must be at least 0 °C' })).toBeVisible();
  await wish.press('Escape');
  await expect(wish).toHaveValue('600');
  expect((await plan(page)).targetMarginK).toBe(600);
});

test('setups: built, pinned, compared, pictured, kept, and six at most', async ({ page }) => {
  await shorten(page, 2);
  await turnTo(page, '/decide/compare');
  const setups = region(page, 'Setups');
  await setups.getByRole('button', { name: 'Add a setup' }).click();
  await setups.getByRole('textbox', { name: 'Name of setup 1' }).fill('Sprint front');
  const first = setups.getByRole('listitem', { name: 'Sprint front' });
  await first.getByRole('button', { name: 'Add a change' }).click();
  await choose(first.getByRole('combobox', { name: 'Which' }), { label: 'Sprint track, high bite' });
  await first.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(first).toContainText('front pads: Sprint track, high bite');
  await first.getByRole('button', { name: 'Add a change' }).click();
  await choose(first.getByRole('combobox', { name: 'What' }), 'ductArea');
  await first.getByRole('textbox').last().fill('33');
  await first.getByRole('button', { name: 'Add', exact: true }).click();
  // A ring thinner than its own gap is refused, and nothing of the setup is lost.
  await first.getByRole('button', { name: 'Add a change' }).click();
  await choose(first.getByRole('combobox', { name: 'What' }), 'thickness');
  await first.getByRole('textbox').last().fill('6');
  await first.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(first.getByRole('alert')).toContainText('Not added: front.rotor.');
  const table = region(page, 'Comparison');
  await expect(table).toContainText('Differences in small print are against “Current setup”');
  await expect(table.getByRole('columnheader', { name: 'Sprint front' })).toBeVisible();
  const row = (name: string) => table.getByRole('row', { name: new RegExp(`^${name}`) });
  await expect(row('Rotor core')).toContainText(/−\d+ °C/);
  await setups.getByRole('radio', { name: 'Differences against Sprint front' }).check();
  await expect(table).toContainText('against “Sprint front”');
  await expect(row('Rotor core').locator('td').first()).toContainText(/\+\d+ °C/);
  await expect(row('Brake energy per lap').locator('td').first()).toContainText('than in “Sprint front”');
  const overlay = region(page, 'Braking zones of all setups');
  for (const [button, ending] of [
    ['Picture (PNG)', '.png'],
    ['SVG', '.svg'],
  ] as const) {
    const [file] = await Promise.all([
      page.waitForEvent('download'),
      overlay.getByRole('button', { name: button, exact: true }).click(),
    ]);
    expect(file.suggestedFilename()).toBe(`twenty-minutes-at-anvil-park-setups${ending}`);
    const bytes = readFileSync(await file.path());
    expect(bytes.length).toBeGreaterThan(4000);
    if (ending === '.svg') expect(bytes.toString()).toContain('Sprint front');
    else expect(bytes.subarray(1, 4).toString()).toBe('PNG');
  }
  for (let n = 2; n <= 5; n++) await setups.getByRole('button', { name: 'Add a setup' }).click();
  await expect(setups.getByRole('button', { name: 'Add a setup' })).toBeDisabled();
  await expect(setups).toContainText('Six setups are the most');
  await expect(table.getByRole('columnheader')).toHaveCount(7);
  await setups.getByRole('button', { name: 'Remove Sprint front' }).click();
  await expect(table).toContainText('against “Current setup”');
  await page.getByRole('button', { name: 'Undo: Setup removed' }).click();
  await expect.poll(async () => (await plan(page)).compare.setups.length).toBe(5);
  await page.reload();
  await expect(table).toContainText('against “Sprint front”');
  expect((await plan(page)).compare.setups[0].changes).toEqual([
    { kind: 'part', part: 'sprint', axle: 'front' },
    { kind: 'duct', axle: 'front', areaCm2: 33 },
  ]);
});

test('the ladder ranks by money, takes one’s own prices, nothing among them, and hands on to compare', async ({
  page,
}) => {
  await shorten(page, 2);
  await turnTo(page, '/decide/next');
  const ladder = region(page, 'Upgrade ladder');
  await expect(page.getByText('First step for the money')).toBeVisible();
  await expect(ladder).toContainText('Shortens no braking zone: the tyres are the limit at all of them');
  const perHundred = async () =>
    (await ladder.locator('tbody tr td:nth-child(4)').allTextContents()).map((text) =>
      Number.parseFloat(text),
    );
  const order = await perHundred();
  expect(order.length).toBeGreaterThan(4);
  expect([...order].sort((a, b) => b - a)).toEqual(order);
  // Dearer, it falls; for nothing, it stands first and is called free.
  const last = ladder.locator('tbody tr').last();
  const price = ladder.getByRole('textbox').last();
  const name = ((await price.getAttribute('aria-label')) ?? '').split(': ').pop() ?? '';
  await expect(last).toBeVisible();
  await price.fill('0');
  await expect(ladder.locator('tbody tr').first()).toContainText(new RegExp(name, 'i'));
  await expect(ladder.locator('tbody tr').first()).toContainText('free');
  await expect(page.getByText('First step for the money')).toContainText('for free');
  await ladder.getByRole('textbox').first().fill('-3');
  await expect(page.getByRole('alert').filter({ hasText: 'Must be at least 0' })).toBeVisible();
  await ladder.getByRole('checkbox').check();
  await expect(ladder).toContainText('never mix glycol and silicone');
  await expect(ladder).toContainText(/does not fit the (front|rear) wheel/);
  await ladder
    .getByRole('button', { name: /^Compare / })
    .first()
    .click();
  await expect.poll(async () => (await plan(page)).compare.setups.length).toBe(1);
  expect((await project(page)).prices).toHaveLength(1);
});

test('a long question is cancelled, and asked again', async ({ page }) => {
  await shorten(page, 2);
  await turnTo(page, '/decide/next');
  await page.getByRole('button', { name: 'Cancel' }).click();
  await expect(page.getByText('Cancelled.')).toBeVisible();
  await page.getByRole('button', { name: 'Compute' }).click();
  await expect(page.getByText(/Driving the day with every step … \d+ of \d+/)).toBeVisible();
  await tab(page, 'Pace and plan');
  await expect(region(page, 'Fastest plan')).toContainText('Fastest with every margin kept');
  // Another question is a question of its own; asked anew, this one is answered.
  await tab(page, 'Compare setups');
  await expect(region(page, 'Comparison')).toBeVisible();
  await tab(page, 'What to buy next');
  await expect(page.getByText('First step for the money')).toBeVisible();
});

test('the fastest plan is written into the plan; minutes that are too few say what they would need', async ({
  page,
}) => {
  await visit(page, '/decide/pace');
  const fastest = region(page, 'Fastest plan');
  await expect(fastest).toContainText('Fastest with every margin kept');
  await expect(fastest).toContainText('Flat out a limit is passed after 2 hot laps');
  await expect(fastest).toContainText(/at least \d+ min in the paddock/);
  const ways = region(page, 'Ways through the session');
  await ways
    .getByRole('button', { name: /^Plan .* cool-down lap/ })
    .first()
    .click();
  await expect
    .poll(async () => (await plan(page)).sessions[0].legs.filter((l) => l.kind === 'cool').length)
    .toBeGreaterThan(1);
  await page.getByRole('link', { name: 'Workbench' }).first().click();
  await settled(page);
  await expect(verdict(page)).toContainText('Everything stays within its limit');
  await visit(page, '/decide/pace');
  await page.getByRole('textbox', { name: 'Session lasts' }).fill('4');
  await expect(page.getByRole('alert')).toContainText(/4 minutes are too short: .* take \d+\.\d minutes/);
  await page.getByRole('textbox', { name: 'Session lasts' }).fill('12');
  await page.getByRole('textbox', { name: 'Margin to keep' }).fill('500');
  await expect(fastest).toContainText('No pace keeps every margin');
});

test('balance for grip and for temperature: clicks for a car that has them, a share for one that has not', async ({
  page,
}) => {
  await visit(page, '/decide/balance');
  const choices = region(page, 'Balances compared');
  await expect(choices).toContainText('One balance for all braking zones');
  await expect(region(page, 'Balance sweep')).toContainText('ideal');
  await setBalance(page, 'Both axles equally hot');
  await expect.poll(async () => (await project(page)).cars[0].frontSharePercent).toBeLessThan(62);
  await choose(page.getByLabel('Plan on the workbench'), 'plan-skarn-fen');
  await expect(choices).toContainText('Clicks at every braking zone');
  await setBalance(page, 'Ideal balance');
  await expect.poll(async () => (await plan(page, 'plan-skarn-fen')).clicks.length).toBe(6);
  await expect(region(page, 'Balance by braking zone').locator('tbody tr')).toHaveCount(6);
});

test('how sure: the same seed gives the same answer on any number of cores; ranges upside down are refused', async ({
  page,
}) => {
  await shorten(page, 2);
  await turnTo(page, '/decide/sure');
  const ranges = region(page, 'What is uncertain');
  const low = ranges.getByRole('textbox', { name: /^Mass from/ });
  await low.fill('80');
  await expect(ranges.getByRole('alert')).toContainText('Mass: the lower end must not be over the upper end');
  expect((await plan(page)).uncertain.ranges.mass.low).toBe(-15);
  await ranges.getByRole('textbox', { name: /^Mass to/ }).fill('120');
  await expect(ranges.getByRole('alert')).toHaveCount(0);
  await expect
    .poll(async () => (await plan(page)).uncertain.ranges.mass)
    .toMatchObject({ low: 80, high: 120 });
  await page.getByRole('textbox', { name: 'Runs' }).fill('40');
  const answer = async () => {
    await page.getByRole('button', { name: 'Start 40 simulation runs' }).click();
    await expect(region(page, 'How likely')).toContainText('of 40 simulation runs something passes a limit');
    // The panels come one after the other; this is the last.
    await expect(region(page, 'What matters')).toBeVisible();
    return page.locator('main').innerText();
  };
  const strip = (text: string) =>
    text.replace(/ in \d+\.\d s/, '').replace(/Cores used[\s\S]*?answer is the same\./, '');
  const both = strip(await answer());
  expect(both).toMatch(/front pads\s+·/);
  await page.getByRole('button', { name: 'Run again' }).click();
  await choose(page.getByRole('combobox', { name: 'Cores used' }), '1');
  expect(strip(await answer())).toBe(both);
  // Another page, or a later day, need not drive them again.
  await page.reload();
  await expect(region(page, 'How likely')).toContainText('of 40 simulation runs something passes a limit');
  await page.getByRole('textbox', { name: 'Seed' }).fill('2');
  await expect(page.getByRole('button', { name: 'Start 40 simulation runs' })).toBeVisible();
  for (const box of await ranges.getByRole('checkbox').all()) await box.uncheck();
  await expect(page.getByText('Nothing is uncertain: choose at least one input.')).toBeVisible();
});

test('runs cut off by a cancel, a closed page or a dead worker go on where they were', async ({
  page,
  context,
  quiet,
}) => {
  await visit(page, '/decide/sure');
  await page.getByRole('textbox', { name: 'Runs' }).fill('300');
  const state = page.getByTestId('runs-state');
  const kept = async (on = page) =>
    Number(/(\d+) of 300/.exec((await on.getByTestId('runs-state').textContent()) ?? '')?.[1] ?? 0);
  await page.getByRole('button', { name: 'Start 300 simulation runs' }).click();
  // Looked for often, so that there is something left to cancel.
  await expect.poll(kept, { intervals: [50] }).toBeGreaterThanOrEqual(20);
  await state.getByRole('button', { name: 'Cancel' }).click();
  await expect(state).toContainText(/Cancelled; \d+ of 300 runs are kept/);
  // What workers were at is finished and kept; nothing is told to go on for it.
  await page.waitForTimeout(1500);
  await expect(state).toContainText(/Cancelled; \d+ of 300 runs are kept/);
  const before = await kept();
  // A worker that falls over in the middle is replaced, and its days are driven again.
  await state.getByRole('button', { name: /^Go on from/ }).click();
  await expect.poll(kept, { intervals: [50] }).toBeGreaterThanOrEqual(before);
  for (const worker of page.workers()) {
    await worker
      .evaluate(() => {
        setTimeout(() => {
          throw new Error('it fell over');
        }, 0);
      })
      .catch(() => {});
  }
  await expect.poll(kept, { intervals: [50] }).toBeGreaterThanOrEqual(before + 10);
  await page.close();
  const later = await context.newPage();
  await later.goto('/decide/sure');
  const go = later.getByRole('button', { name: /^Go on from \d+/ });
  const done = later.getByRole('region', { name: 'How likely' });
  await expect(go.or(done)).toBeVisible();
  if (await go.isVisible()) {
    expect(await kept(later)).toBeGreaterThanOrEqual(before);
    await go.click();
  }
  await expect(done).toContainText('of 300 simulation runs something passes a limit');
  // The falling over was asked for; nothing else may have been said.
  expect(quiet.filter((error) => !error.includes('it fell over'))).toEqual([]);
  quiet.length = 0;
});

test('heat-exposed parts: a lead is added, moved, found too hot, and its side told', async ({ page }) => {
  await visit(page, '/decide/exposed');
  const lead = region(page, 'Wheel-speed lead, front');
  await expect(lead).toContainText(/\d+ °C of 150 °C/);
  const hot = async () => Number(/(\d+) °C of/.exec((await lead.textContent()) ?? '')?.[1]);
  const before = await hot();
  await lead.getByRole('textbox', { name: 'Distance' }).fill('200');
  await expect.poll(hot).toBeLessThan(before - 40);
  await lead.getByRole('textbox', { name: 'In view' }).fill('140');
  await expect(lead.getByRole('alert')).toContainText('Must be at most 100');
  await lead.getByRole('textbox', { name: 'In view' }).press('Escape');
  await expect(lead.getByRole('row')).toHaveCount(4);
  await expect(lead.getByRole('combobox', { name: 'Side' })).toContainText('Driver’s (right)');
  await choose(page.getByRole('combobox', { name: 'Driver sits' }), 'left');
  await expect(lead.getByRole('combobox', { name: 'Side' })).toContainText('Driver’s (left)');
  await page.getByRole('button', { name: 'Add it' }).click();
  await expect(region(page, 'Sensor lead')).toContainText('On the passenger’s side');
  for (const { name } of (await project(page)).cars[0].exposed) {
    await page.getByRole('button', { name: `Remove ${name}` }).click();
  }
  await expect(page.getByText('Nothing is listed for this car.')).toBeVisible();
});

test('the run sheet is one page on A4 and on Letter, for every plan and the longest names', async ({
  page,
}) => {
  await visit(page, '/plan');
  const long = 'A very long name of a plan that somebody wrote out in full for the whole team, yes';
  await page.getByRole('textbox', { name: 'Name', exact: true }).fill(long.slice(0, 80));
  await visit(page, '/decide/sheet');
  const sheet = page.getByRole('article', { name: 'Run sheet' });
  for (const id of ['plan-tarn-anvil', 'plan-ovel-nettle', 'plan-skarn-fen', 'plan-tarn-day']) {
    await choose(page.getByLabel('Plan on the workbench'), id);
    await expect(sheet).toContainText(/At most \d+|keep every limit|Not one hot lap/);
    for (const paper of ['A4', 'Letter']) {
      await choose(page.getByRole('combobox', { name: 'Paper' }), paper);
      const pdf = (await page.pdf({ preferCSSPageSize: true })).toString('latin1');
      expect(pdf.match(/\/Type\s*\/Page\b/g), `${id} on ${paper}`).toHaveLength(1);
      const [, , width] = /\/MediaBox\s*\[\s*([\d.]+)\s+[\d.]+\s+([\d.]+)/.exec(pdf) ?? [];
      expect(Math.round(Number(width))).toBe(paper === 'A4' ? 595 : 612);
    }
  }
  for (const text of [
    'Stint.',
    'Limits, closest first',
    'Braking zones that matter',
    'Before',
    'After',
    'Pump the pedal',
  ]) {
    await expect(sheet).toContainText(text);
  }
});
