import { readFileSync } from 'node:fs';
import { unzipSync } from 'fflate';
import { demoProject } from '../demo/project';
import type { EntryOf } from '../src/model';
import { choose, expect, project, test, turnTo, visit } from './page';

const region = (page: Parameters<typeof visit>[0], name: string) =>
  page.getByRole('region', { name, exact: true });

/** A picture of so many pixels, as a browser paints one. */
const picture = (page: Parameters<typeof visit>[0], width: number, height: number) =>
  page.evaluate(
    async ([w, h]) => {
      const canvas = new OffscreenCanvas(w, h);
      const context = canvas.getContext('2d');
      if (context) {
        context.fillStyle = 'rgb(160 60 20)';
        context.fillRect(0, 0, w / 2, h);
      }
      const blob = await canvas.convertToBlob({ type: 'image/png' });
      return [...new Uint8Array(await blob.arrayBuffer())];
    },
    [width, height],
  );

test('after a session, with a thumb on a phone: laps stepped, readings, pads and fluid go where they belong; one undo takes it back', async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await visit(page, '/logbook/after');
  const form = page.getByRole('form', { name: 'After a session' });
  const step = (name: string) => form.getByRole('button', { name, exact: true });
  await expect(form.getByRole('group', { name: 'Hot laps' })).toContainText('11');
  for (let i = 0; i < 3; i++) await step('Hot laps: less').click();
  await step('Air: more').click();
  await form.getByRole('radio', { name: 'longer than before' }).click();
  await form.getByRole('checkbox', { name: 'smell' }).click();
  await step('Front left disc: read').click();
  await step('Front left disc: more').click();
  await step('Front left pad: read').click();
  await form.getByRole('radio', { name: 'minimum', exact: true }).click();
  await form.getByRole('checkbox', { name: 'The fluid boiled' }).click();
  expect(await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)).toBe(0);
  await form.getByRole('button', { name: 'Write it down' }).click();
  await expect(page).toHaveURL(/\/logbook\/entries$/);
  await expect.poll(async () => (await project(page)).entries.length).toBeGreaterThanOrEqual(23);
  const now = await project(page);
  const session = now.entries.find((e) => e.kind === 'session' && e.symptoms.includes('smell'));
  expect(session).toMatchObject({
    hotLaps: 8,
    airC: 25,
    pedal: 'longer than before',
    sets: { 'front pads': 'set-fp-3' },
  });
  expect((session as EntryOf<'session'>).load?.frontLeft.energyMj).toBeGreaterThan(5);
  const drive = now.drives.find(({ id }) => id === (session as EntryOf<'session'>).driveId);
  expect(drive?.observations).toMatchObject([{ kind: 'spot', wheel: 'frontLeft', valueC: 160, afterS: 120 }]);
  expect(now.entries.filter(({ kind }) => kind === 'fluid').at(-1)).toMatchObject({
    deed: 'over temperature',
  });
  await turnTo(page, '/logbook/fluid');
  await expect(region(page, 'Fluid today')).toContainText('Renew it. It boiled');
  await turnTo(page, '/logbook/inspect');
  await expect(region(page, 'What it tells')).toContainText('Fluid level: minimum');
  await page.keyboard.press('Control+z');
  await expect.poll(async () => (await project(page)).entries.length).toBe(demoProject.entries.length);
  expect((await project(page)).drives).toHaveLength(demoProject.drives.length);
});

test('the logbook is searched, filtered and told by part; a picture is kept small and goes out and in with everything', async ({
  page,
}) => {
  await visit(page, '/logbook/entries');
  const book = region(page, 'Logbook');
  const lines = book.locator('tbody tr');
  await expect(lines).toHaveCount(20);
  await expect(book).toContainText(/\d\d MJ into the brakes/);
  await book.getByRole('textbox', { name: 'Search' }).fill('slag');
  await expect(lines).toHaveCount(1);
  await expect(lines).toContainText('Off at Slag');
  await book.getByRole('textbox', { name: 'Search' }).fill('');
  await choose(book.getByRole('combobox', { name: 'Kind' }), 'fluid');
  await expect(lines).toHaveCount(3);
  await choose(book.getByRole('combobox', { name: 'Kind' }), 'all');
  await choose(book.getByRole('combobox', { name: 'Part' }), 'set-fp-4');
  await expect(lines).toHaveCount(0);
  await expect(book).toContainText('No line has that');
  await choose(book.getByRole('combobox', { name: 'Part' }), '');

  const note = page.getByRole('form', { name: 'Note or incident' });
  await note.getByRole('button', { name: 'Write it down' }).click();
  await expect(note.getByRole('alert')).toBeVisible();
  await note.getByRole('textbox', { name: 'What' }).fill('Duct came loose');
  await note.getByRole('button', { name: 'Write it down' }).click();
  await expect(lines).toHaveCount(21);
  await book.getByRole('button', { name: 'Duct came loose', exact: true }).click();
  const large = Buffer.from(await picture(page, 3000, 2000));
  const photos = page.getByTestId('photos');
  await photos.setInputFiles({ name: 'notes.txt', mimeType: 'image/png', buffer: Buffer.from('no picture') });
  await expect(page.getByText('is no picture that this browser can read')).toBeVisible();
  await photos.setInputFiles({ name: 'huge.png', mimeType: 'image/png', buffer: Buffer.alloc(40_000_000) });
  await expect(page.getByText('has 40 MB; a picture has at most 30 MB')).toBeVisible();
  await photos.setInputFiles({ name: 'duct.png', mimeType: 'image/png', buffer: large });
  await expect(book.getByRole('img', { name: 'duct.png' })).toBeVisible();
  await expect
    .poll(async () => (await project(page)).entries.at(-1)?.photos)
    .toMatchObject([{ name: 'duct.png', widthPx: 1600, heightPx: 1067 }]);

  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Everything with pictures' }).click(),
  ]);
  const zip = readFileSync(await file.path());
  const whole = await project(page);
  const id = whole.entries.at(-1)?.photos[0].id as string;
  const kept = unzipSync(new Uint8Array(zip));
  expect(Object.keys(kept).sort()).toEqual([`photos/${id}.jpg`, 'project.json'].sort());
  expect(kept[`photos/${id}.jpg`]).toHaveLength(whole.entries.at(-1)?.photos[0].bytes as number);

  await book.getByRole('button', { name: 'Duct came loose', exact: true }).click();
  // Another device has the same lines but one; what is new is added, with its picture.
  await book.getByRole('button', { name: /^Delete Duct came loose/ }).click();
  await expect(lines).toHaveCount(20);
  const take = page.getByTestId('logbook-file');
  await take.setInputFiles({ name: 'half.zip', mimeType: 'application/zip', buffer: zip.subarray(0, 500) });
  await expect(page.getByTestId('refusal')).toContainText('no zip file that can be read');
  await take.setInputFiles({ name: 'theirs.zip', mimeType: 'application/zip', buffer: zip });
  await page.getByRole('button', { name: 'Add what is new' }).click();
  await expect(lines).toHaveCount(21);
  await book.getByRole('button', { name: 'Duct came loose', exact: true }).click();
  await expect(book.getByRole('img', { name: 'duct.png' })).toBeVisible();
  await expect.poll(async () => (await project(page)).entries).toEqual(whole.entries);
});

test('an inspection is put down wheel by wheel: what must not be driven stands first, a reading that cannot be is refused', async ({
  page,
}) => {
  await visit(page, '/logbook/inspect');
  await page.getByRole('button', { name: 'New inspection' }).click();
  const tells = region(page, 'What it tells');
  await expect(tells).toContainText('What was not looked at is not known');
  const wheel = region(page, 'Front left');
  const inner = wheel.getByRole('textbox', { name: 'Inner pad, leading end' });
  await inner.fill('62');
  await expect(wheel.getByRole('alert')).toContainText('Must be at most 45');
  await inner.fill('3.2');
  await expect(tells.getByRole('listitem').first()).toContainText(
    'Do not drive. Front left inner pad: 3.20 mm',
  );
  await inner.fill('9');
  await expect(tells).toContainText('Was a new one fitted?');
  await wheel.getByRole('button', { name: 'A crack, Front left' }).click();
  await wheel.getByRole('checkbox', { name: 'reaches the edge' }).click();
  await expect(tells.getByRole('listitem').first()).toContainText('to the edge');
  await choose(wheel.getByRole('combobox', { name: 'Hose' }), 'leaking');
  await expect(tells).toContainText('Front left hose: leaking');
  await page.getByRole('button', { name: 'Units and look' }).click();
  await page.getByRole('menuitemcheckbox', { name: 'All US' }).click();
  await page.keyboard.press('Escape');
  await expect(tells).toContainText('0.354 in');
  await expect.poll(async () => (await project(page)).entries.length).toBe(21);
});

test('a season: sets for every session with their reason, orders, costs, calendar; an event is added and planned anew', async ({
  page,
}) => {
  await visit(page, '/logbook/season');
  const sets = region(page, 'Sets by session');
  await expect(sets.getByRole('rowheader', { name: /Finale/ })).toBeVisible();
  const race = sets.locator('tbody tr').last();
  await expect(race).toContainText('a new set is wanted for this session');
  await expect(region(page, 'To order')).toContainText('Front rotors, €340');
  await expect(region(page, 'Costs by event').locator('tbody tr')).toHaveCount(8);
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Calendar (ICS)' }).click(),
  ]);
  expect(readFileSync(await file.path(), 'utf8')).toContain('SUMMARY:Finale');
  const events = region(page, 'Events');
  await region(page, 'Calendar')
    .getByRole('button', { name: /: Finale$/ })
    .click();
  await expect(events.getByRole('article', { name: 'Finale' })).toContainText('First day');
  await expect(region(page, 'Calendar').getByRole('button', { name: /: Order front rotors$/ })).toBeEnabled();
  await events.getByRole('button', { name: 'Event', exact: true }).click();
  const added = events.getByRole('article', { name: 'Event 8' });
  await added.getByRole('textbox', { name: 'Name' }).fill('Night run');
  await expect(sets).toContainText('Night run');
  await expect(region(page, 'Costs by event').locator('tbody tr')).toHaveCount(9);
  await page.getByRole('button', { name: 'Rules and prices' }).click();
  const price = page.getByRole('textbox', { name: 'Front rotors, a set' });
  await price.fill('512');
  await expect(region(page, 'To order')).toContainText('Front rotors, €512');
  await price.fill('-4');
  await expect(page.getByRole('alert').filter({ hasText: 'Must be at least 0' })).toBeVisible();
});

test('sets as individuals: added, fitted, and what they have left at each circuit', async ({ page }) => {
  await visit(page, '/logbook/wear');
  const pads = region(page, 'Front pads');
  const worn = pads.getByRole('article', { name: 'FP-3' });
  await expect(worn).toContainText(/Anvil Park: \d\.\d more \(\d\.\d to \d\.\d\)/);
  await expect(worn).toContainText('on the car');
  await expect(region(page, 'Front rotors').getByRole('article', { name: 'FR-1' })).toContainText(
    'Cracks of up to 3.0 mm',
  );
  await pads.getByRole('button', { name: 'Add a set of front pads' }).click();
  const fresh = pads.getByRole('article', { name: 'FP-5' });
  const least = fresh.getByRole('textbox', { name: 'Least thickness' });
  await least.fill('14');
  await expect(fresh.getByRole('alert')).toContainText('Must be under its thickness new (12 mm)');
  await least.press('Escape');
  const fit = region(page, 'Fit sets');
  await choose(fit.getByRole('combobox', { name: 'Front pads' }), 'set-fp-4');
  await fit.getByRole('button', { name: 'Fitted' }).click();
  await expect(pads.getByRole('article', { name: 'FP-4' })).toContainText('on the car');
  await expect(worn).toContainText('on the shelf');
  expect((await project(page)).sets).toHaveLength(7);
});

test('what is written down feeds the rest: a renewal its bottle and the car, inches are asked about, a planned session its laps', async ({
  page,
}) => {
  await visit(page, '/logbook/fluid');
  const [bottle] = demoProject.bottles;
  const form = page.getByRole('form', { name: 'Fluid, done or read' });
  await choose(form.getByRole('combobox', { name: 'What' }), 'renewed');
  await choose(form.getByRole('combobox', { name: 'From' }), bottle.id);
  await form.getByRole('textbox', { name: 'Used' }).fill('99999');
  await form.getByRole('button', { name: 'Write it down' }).click();
  await expect(form.getByRole('alert')).toContainText('0 to 25000 cm³');
  await form.getByRole('textbox', { name: 'Used' }).fill('420');
  await form.getByRole('button', { name: 'Write it down' }).click();
  await expect(page.getByTestId('shelf').getByRole('textbox', { name: 'Left in it' }).first()).toHaveValue(
    String(bottle.leftCm3 - 420),
  );
  await expect
    .poll(async () => (await project(page)).cars.find(({ id }) => id === 'car-tarn')?.fluid.ageMonths)
    .toBe(0);
  await page.keyboard.press('Control+z');
  await expect.poll(async () => (await project(page)).bottles).toEqual(demoProject.bottles);
  await choose(form.getByRole('combobox', { name: 'What' }), 'boil test');
  await form.getByRole('textbox', { name: 'Boiled at' }).fill('345');
  await form.getByRole('button', { name: 'Write it down' }).click();
  await turnTo(page, '/logbook/entries');
  await expect(region(page, 'Logbook')).toContainText('Was it read in °F? Then it is 174 °C.');

  await turnTo(page, '/logbook/inspect');
  await page.getByRole('button', { name: 'New inspection' }).click();
  const wheel = region(page, 'Front left');
  const inner = wheel.getByRole('textbox', { name: 'Inner pad, leading end' });
  await inner.fill('0.25');
  await region(page, 'What it tells').getByRole('button', { name: 'They were inches: 6.35 mm' }).click();
  await expect(inner).toHaveValue('6.35');
  await expect(region(page, 'What it tells')).not.toContainText('Read in inches');

  await turnTo(page, '/logbook/after');
  const after = page.getByRole('form', { name: 'After a session' });
  const [season] = demoProject.seasons;
  const [eventId, event] = Object.entries(season.events).at(-1) ?? ['', null];
  const [plannedId, planned] =
    Object.entries(event?.sessions ?? {}).find(([, { kind }]) => kind === 'race') ?? [];
  await choose(after.getByRole('combobox', { name: 'Event' }), eventId);
  await choose(after.getByRole('combobox', { name: 'Planned session' }), plannedId ?? '');
  await expect(after.getByRole('textbox', { name: 'Session', exact: true })).toHaveValue(
    planned?.name ?? '?',
  );
  await after.getByRole('button', { name: 'Hot laps: less' }).click();
  await after.getByRole('button', { name: 'Write it down' }).click();
  const line = region(page, 'Logbook')
    .locator('tbody tr')
    .filter({ hasText: planned?.name ?? '?' })
    .first();
  const laps = planned?.hotLaps ?? 0;
  await expect(line).toContainText(`${laps - 1} hot laps (${laps} planned)`);
});

test('a picture that no longer fits is refused in words, and the line that it was for is as it was', async ({
  page,
}) => {
  await visit(page, '/logbook/entries');
  const book = region(page, 'Logbook');
  await book.getByRole('button', { name: 'Off at Slag', exact: true }).click();
  const photos = page.getByTestId('photos');
  const buffer = Buffer.from(await picture(page, 800, 600));
  const file = (name: string) => ({ name, mimeType: 'image/png', buffer });
  await photos.setInputFiles(file('first.png'));
  await expect(book.getByRole('img', { name: 'first.png' })).toBeVisible();
  // From here on the browser has no room for pictures, as it says when its share of the disk is used up.
  await page.evaluate(() => {
    const put = IDBObjectStore.prototype.put;
    IDBObjectStore.prototype.put = function (this: IDBObjectStore, ...rest: Parameters<typeof put>) {
      if (this.name === 'photos') throw new DOMException('full', 'QuotaExceededError');
      return put.apply(this, rest);
    };
  });
  await photos.setInputFiles(file('second.png'));
  await expect(page.getByText(/no room left for pictures|storage is full/i)).toBeVisible();
  await expect(book.getByRole('img', { name: 'second.png' })).toHaveCount(0);
  const entry = (await project(page)).entries.find(({ name }) => name === 'Off at Slag');
  expect(entry?.photos.map(({ name }) => name)).toEqual(['first.png']);
  await page.reload();
  await book.getByRole('button', { name: 'Off at Slag', exact: true }).click();
  await expect(book.getByRole('img', { name: 'first.png' })).toBeVisible();
});
