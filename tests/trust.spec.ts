import type { Page } from '@playwright/test';
import { choose, expect, importText, open, project, settled, stored, test, verdict, visit } from './page';
import { exportedGpx } from './support/logs';

/** What costs trust for good: work that is lost, a page without a way back, an answer to another question. */

const mass = (page: Page) => page.getByRole('textbox', { name: 'Mass', exact: true });
/** A car with one edit that is stored. */
const begin = async (page: Page) => {
  await visit(page, '/car/car-tarn');
  await mass(page).fill('1201');
  await expect.poll(() => stored(page)).toContain('"massKg": 1201');
};

test('a tab closed in the middle of typing loses nothing: the journal is joined at the next start', async ({
  page,
  context,
}) => {
  await begin(page);
  // What is written from here on never arrives; only what the page leaves behind at once does.
  await page.evaluate(() => {
    IDBObjectStore.prototype.put = () => {
      throw new DOMException('no', 'AbortError');
    };
  });
  await mass(page).fill('1202');
  // Asked to close, a page is not closed yet.
  await Promise.all([page.waitForEvent('close'), page.close({ runBeforeUnload: true })]);
  const next = await context.newPage();
  await visit(next, '/car/car-tarn');
  await expect(mass(next)).toHaveValue('1202');
  await expect.poll(() => stored(next)).toContain('"massKg": 1202');
  await expect(next.getByRole('button', { name: 'Undo: Brought back after closing' })).toBeEnabled();
});

test('an edit outlives the browser being killed before it was stored: it was sent on its way as it was made', async ({
  page,
  context,
}) => {
  await begin(page);
  // As after a kill: what the browser keeps in its memory is gone, and the project was not written any more.
  await page.evaluate(() => {
    Storage.prototype.setItem = () => {};
    const put = IDBObjectStore.prototype.put;
    IDBObjectStore.prototype.put = function (value, key) {
      if (this.name === 'projects') throw new DOMException('no', 'AbortError');
      return put.call(this, value, key);
    };
  });
  await mass(page).fill('1203');
  await page.close();
  const next = await context.newPage();
  await visit(next, '/car/car-tarn');
  await expect(mass(next)).toHaveValue('1203');
  await expect.poll(() => stored(next)).toContain('"massKg": 1203');
});

test('everything outlives its deletion though the page is gone before it is stored anew', async ({
  page,
  context,
}) => {
  await begin(page);
  await page.evaluate(async () => {
    IDBObjectStore.prototype.put = () => {
      throw new DOMException('no', 'AbortError');
    };
    await new Promise((done) => {
      indexedDB.deleteDatabase('fervent-kettle').onsuccess = done;
    });
  });
  await page.close();
  const next = await context.newPage();
  await visit(next, '/car/car-tarn');
  await expect(mass(next)).toHaveValue('1201');
  await expect.poll(() => stored(next)).toContain('"massKg": 1201');
  expect(await next.evaluate(() => Object.keys(localStorage).filter((k) => k.includes('journal')))).toEqual(
    [],
  );
});

test('two pages that edit within a moment of each other keep both edits, and say what both changed', async ({
  page,
  context,
}) => {
  const other = await context.newPage();
  await visit(page, '/car/car-tarn');
  await visit(other, '/car/car-ovel');
  await Promise.all([mass(page).fill('1301'), mass(other).fill('1902')]);
  const both = async (on: Page) => (await project(on)).cars.slice(0, 2).map((car) => car.massKg);
  await expect.poll(() => both(page)).toEqual([1301, 1902]);
  await expect.poll(() => both(other)).toEqual([1301, 1902]);
});

test('an edit that could not be opened again is refused with a sentence, and sliders end before it', async ({
  page,
}) => {
  await open(page);
  await choose(page.getByLabel('Plan on the workbench'), { label: 'A club day at Anvil Park' });
  const air = page.getByRole('slider', { name: 'Air', exact: true });
  await air.focus();
  await page.keyboard.press('End');
  await page.getByRole('button', { name: 'Keep as saved' }).click();
  await expect(page.getByText('Kept in the car and the plan')).toBeVisible();
  await page.reload();
  await expect(verdict(page)).toBeVisible();
  const parts = Array.from({ length: 160 }, (_, i) => ({
    kind: 'duct',
    id: `duct-${i}`,
    name: `Duct ${i}`,
    note: '',
    price: 1,
    massKg: 0.2,
    source: 'own',
    values: { areaCm2: 30, coefficientPercent: 50 },
  }));
  const file = JSON.stringify({ format: 'fervent-kettle-parts', version: 1, parts });
  await importText(page, 'parts.json', file);
  await expect(page.getByText('Added 160 parts to the shelf')).toBeVisible();
  await importText(page, 'parts.json', file);
  await expect(page.getByText('Nothing was changed. A project has at most 300 parts.')).toBeVisible();
  expect((await project(page)).parts).toHaveLength(160);
});

test('a second circuit file is read after the tab was left, and failures follow the circuit', async ({
  page,
}) => {
  await visit(page, '/circuits/import');
  const choose = (index: number) =>
    page.getByTestId('circuit-file').setInputFiles({
      name: `file-${index}.gpx`,
      mimeType: 'application/gpx+xml',
      buffer: Buffer.from(exportedGpx(index)),
    });
  const name = page.getByRole('textbox', { name: 'Name', exact: true });
  await choose(0);
  await expect(name).toHaveValue('Anvil Park');
  await page.getByRole('link', { name: 'Map', exact: true }).click();
  // Before that the file would be given to the page that is being left.
  await expect(page.getByTestId('circuit-file')).toHaveCount(0);
  await page.getByRole('link', { name: 'From a file' }).click();
  await choose(1);
  await expect(name).toHaveValue('Nettle Glen');

  await page.getByRole('link', { name: 'Car', exact: true }).click();
  await page.getByRole('link', { name: 'Garage', exact: true }).click();
  await page.getByRole('link', { name: 'If something fails' }).click();
  const distances = async () => (await page.getByRole('table').textContent()) ?? '';
  await expect.poll(distances).toMatch(/All in order/);
  const before = await distances();
  await page.getByRole('link', { name: 'Circuit', exact: true }).click();
  await page
    .getByRole('textbox', { name: /^Height/ })
    .first()
    .fill('4000');
  await page.getByRole('link', { name: 'Car', exact: true }).click();
  await page.getByRole('link', { name: 'Garage', exact: true }).click();
  await page.getByRole('link', { name: 'If something fails' }).click();
  await expect.poll(distances).toMatch(/All in order/);
  await expect.poll(distances).not.toBe(before);
});

test('a page whose piece of the program is gone has a page of ours, with the way back', async ({
  page,
  quiet,
}) => {
  await open(page);
  await page.route('**/assets/*Page-*.js', (route) => route.abort());
  await page.getByRole('link', { name: 'Library', exact: true }).click();
  const error = page.getByRole('alert').filter({ hasText: 'This page could not be loaded' });
  await expect(error).toContainText('Your project is safe');
  await expect(error.getByRole('button', { name: 'Reload' })).toBeVisible();
  await expect(page).toHaveTitle(/Page not loaded/);
  await error.getByRole('link', { name: 'Back to the workbench' }).click();
  await expect(verdict(page)).toBeVisible();
  await page.unroute('**/assets/*Page-*.js');
  await page.route('**/assets/*Tab-*.js', (route) => route.abort());
  await page.getByRole('link', { name: 'Car', exact: true }).click();
  await page.getByRole('link', { name: 'Garage', exact: true }).click();
  await page.getByRole('link', { name: 'If something fails' }).click();
  await expect(error.getByRole('button', { name: 'Reload' })).toBeVisible();
  quiet.length = 0;
});

test('a page that is gone back to lies where it was left, and so it does after a reload', async ({
  page,
}) => {
  await visit(page, '/help');
  await expect(page.getByRole('heading', { name: 'Help', level: 1 })).toBeVisible();
  const lies = () => page.evaluate(() => Math.round(window.scrollY));
  await page.evaluate(() => window.scrollTo(0, 400));
  await expect.poll(lies).toBe(400);
  await page.getByRole('link', { name: 'Library', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Library', level: 1 })).toBeAttached();
  expect(await lies()).toBe(0);
  await page.goBack();
  await expect(page.getByRole('heading', { name: 'Help', level: 1 })).toBeAttached();
  await expect.poll(lies).toBe(400);
  await page.reload();
  await expect(page.getByRole('heading', { name: 'Help', level: 1 })).toBeAttached();
  await expect.poll(lies).toBe(400);
});

test('storage that does not answer is said, and the page goes on when it does', async ({ page }) => {
  await page.addInitScript(() => {
    const open = indexedDB.open.bind(indexedDB);
    const late = window as unknown as { release: () => void };
    IDBFactory.prototype.open = (...args: Parameters<IDBFactory['open']>) => {
      const waiting = new EventTarget() as IDBOpenDBRequest;
      late.release = () => {
        IDBFactory.prototype.open = open as never;
        const real = open(...args);
        real.onsuccess = () => {
          Object.defineProperty(waiting, 'result', { value: real.result });
          waiting.onsuccess?.call(waiting, new Event('success'));
        };
        real.onupgradeneeded = (event) => {
          Object.defineProperty(waiting, 'result', { value: real.result, configurable: true });
          waiting.onupgradeneeded?.call(waiting, event);
        };
      };
      return waiting;
    };
  });
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'storage does not answer yet' })).toBeVisible();
  await page.getByRole('button', { name: 'Go on with the demo' }).click();
  await expect(verdict(page)).toBeVisible();
  await expect(page.getByRole('alert').filter({ hasText: 'Not saved' })).toContainText('does not answer');
});

test('a program that cannot be loaded says so, and comes when its files do', async ({ page, quiet }) => {
  await page.route('**/assets/application-*.js', (route) => route.abort());
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'The program cannot be loaded' })).toBeVisible();
  // It stands in the console too, as anything that fails.
  expect(quiet.length).toBeGreaterThan(0);
  quiet.length = 0;
  await page.unroute('**/assets/application-*.js');
  await page.getByRole('button', { name: 'Reload' }).click();
  await expect(verdict(page)).toBeVisible();
});

test('where WebAssembly is switched off, it is said once and the numbers stay', async ({ page }) => {
  const verdictOf = async (notices: number) => {
    await open(page, '/');
    // It goes again by itself.
    await expect(page.getByText('without the fast kernel')).toHaveCount(notices);
    await settled(page);
    return await verdict(page).innerText();
  };
  const withKernel = await verdictOf(0);
  await expect(page.getByText('without the fast kernel')).toHaveCount(0);
  await page.route('**/engine.worker-*.js', async (route) => {
    const answer = await route.fetch();
    await route.fulfill({
      response: answer,
      body: `globalThis.WebAssembly = undefined;${await answer.text()}`,
    });
  });
  const without = await verdictOf(1);
  expect(without).toBe(withKernel);
});

test('the focus never falls to the body: refusal, new car, add a change', async ({ page }) => {
  await open(page, '/');
  await page.getByRole('button', { name: 'Files' }).focus();
  await importText(page, 'x.json', 'x');
  await page.getByRole('button', { name: 'Close', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Files' })).toBeFocused();
  await visit(page, '/decide/compare');
  await page.getByRole('button', { name: 'Add a setup' }).click();
  await page.getByRole('button', { name: 'Add a change' }).first().click();
  await expect(page.getByRole('combobox', { name: 'What' })).toBeFocused();
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Add a change' }).first()).toBeFocused();
  await visit(page, '/library');
  await page.getByRole('link', { name: 'New car' }).click();
  await expect(page).toHaveURL(/\/new\/car/);
  await expect(page.locator('#page')).toBeFocused();
});
