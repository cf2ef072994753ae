import { readFileSync } from 'node:fs';
import { demoProject } from '../demo/project';
import { PROJECT_VERSION, readProject, writeProject } from '../src/model';
import { expect, exported, importText, open, settled, stored, test, verdict } from './page';

test('a project goes out and comes back the same, also when dropped on the window', async ({ page }) => {
  await open(page);
  await page.getByRole('link', { name: 'Car', exact: true }).click();
  await page.getByRole('textbox', { name: 'Mass', exact: true }).fill('1111');
  const { name, text } = await exported(page, 'Export the project (JSON)');
  expect(name).toBe('imke-and-tomas-this-season.json');
  const read = readProject(text);
  expect(read.ok && read.project.cars[0].massKg).toBe(1111);
  await page.getByRole('textbox', { name: 'Mass', exact: true }).fill('1300');
  await importText(page, name, text);
  // Nothing of one's own is replaced unasked.
  const asking = page.getByRole('alertdialog', { name: /^Replace “Imke/ });
  await asking.getByRole('button', { name: 'Keep mine' }).click();
  await expect(page.getByRole('textbox', { name: 'Mass', exact: true })).toHaveValue('1300');
  await importText(page, name, text);
  await asking.getByRole('button', { name: 'Replace it' }).click();
  await expect(page.getByRole('textbox', { name: 'Mass', exact: true })).toHaveValue('1111');
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('textbox', { name: 'Mass', exact: true })).toHaveValue('1300');
  await page.evaluate((content) => {
    const data = new DataTransfer();
    data.items.add(new File([content], 'dropped.json', { type: 'application/json' }));
    window.dispatchEvent(new DragEvent('drop', { dataTransfer: data, bubbles: true, cancelable: true }));
  }, text);
  await asking.getByRole('button', { name: 'Replace it' }).click();
  await expect(page.getByRole('textbox', { name: 'Mass', exact: true })).toHaveValue('1111');
  await expect.poll(() => stored(page)).toContain('"massKg": 1111');
});

test('a file that is no project says why, and nothing is lost', async ({ page }) => {
  await open(page);
  const before = await verdict(page).textContent();
  const problems = page.getByTestId('import-problems');
  const [car] = demoProject.cars;
  for (const [text, says] of [
    ['', 'The file is empty'],
    ['hello', 'not JSON'],
    ['{"type":"FeatureCollection","features":[]}', 'another kind'],
    [
      writeProject({ ...demoProject, version: PROJECT_VERSION + 1 } as never),
      `version ${PROJECT_VERSION + 1}; this program reads up to version ${PROJECT_VERSION}`,
    ],
    ['{"format":"fervent-kettle-project","version":1,"__proto__":{"x":1}}', '__proto__'],
    [
      JSON.stringify({ ...demoProject, cars: [{ ...car, massKg: -3 }, ...demoProject.cars.slice(1)] }),
      'cars[0].massKg: must be at least 100',
    ],
  ]) {
    await importText(page, 'strange.json', text);
    await expect(problems).toContainText(says);
    await page.getByRole('button', { name: 'Close' }).click();
  }
  await page.evaluate(() => {
    const file = new File(['x'], 'huge.json');
    Object.defineProperty(file, 'size', { value: 200e6 });
    const data = new DataTransfer();
    data.items.add(new File(['x'], 'huge.json'));
    Object.defineProperty(data, 'files', { value: [file] });
    const drop = new DragEvent('drop', { cancelable: true });
    Object.defineProperty(drop, 'dataTransfer', { value: { types: ['Files'], files: [file] } });
    window.dispatchEvent(drop);
  });
  await expect(problems).toContainText('200 MB; a project has at most 26 MB');
  await page.getByRole('button', { name: 'Close' }).click();
  await expect(verdict(page)).toHaveText(before ?? '');
});

test('storage that is full is said, the work stays on the page, and saving goes on once there is room', async ({
  page,
}) => {
  await open(page);
  await page.evaluate(() => {
    const put = IDBObjectStore.prototype.put;
    IDBObjectStore.prototype.put = () => {
      throw new DOMException('no room', 'QuotaExceededError');
    };
    (window as unknown as { makeRoom: () => void }).makeRoom = () => {
      IDBObjectStore.prototype.put = put;
    };
  });
  await page.getByRole('link', { name: 'Plan and decide', exact: true }).click();
  await page.getByRole('textbox', { name: /^Laps: hot laps/ }).fill('7');
  await expect(
    page.getByRole('alert').filter({ hasText: 'Not saved: the browser’s storage for this page is full' }),
  ).toBeVisible();
  await expect(page.getByRole('textbox', { name: /^Laps: hot laps/ })).toHaveValue('7');
  await page.evaluate(() => (window as unknown as { makeRoom: () => void }).makeRoom());
  await page.getByRole('button', { name: 'Try again' }).click();
  await expect(page.getByText('Not saved')).toBeHidden();
  // The message goes as saving begins.
  await expect.poll(async () => (await stored(page)) ?? '').toContain('"laps": 7');
});

test('storage that is blocked leaves a working page that says so', async ({ page }) => {
  await page.addInitScript(() => {
    const refuse = () => {
      throw new DOMException('blocked', 'SecurityError');
    };
    Object.defineProperty(window, 'indexedDB', { get: refuse });
    Object.defineProperty(window, 'localStorage', { get: refuse });
  });
  await open(page);
  await expect(page.getByRole('alert').filter({ hasText: 'Not saved' })).toBeVisible();
  await expect(verdict(page)).toContainText('front pads');
});

test('a saved project that was corrupted is kept aside, can be exported, and the demo opens', async ({
  page,
}) => {
  await page.goto('/plan');
  await page.getByRole('textbox', { name: /^Laps: hot laps/ }).fill('6');
  await expect.poll(() => stored(page)).toContain('"laps": 6');
  await page.evaluate(
    () =>
      new Promise<void>((resolve) => {
        const opening = indexedDB.open('fervent-kettle');
        opening.onsuccess = () => {
          const writing = opening.result.transaction('projects', 'readwrite');
          writing
            .objectStore('projects')
            .put('{"format":"fervent-kettle-project","version":1,"na', 'project');
          writing.oncomplete = () => {
            opening.result.close();
            resolve();
          };
        };
      }),
  );
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'The saved project cannot be read' })).toBeVisible();
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Export what was saved' }).click(),
  ]);
  expect(file.suggestedFilename()).toBe('unreadable-project.json');
  // Opened again and again it is one text, kept once.
  await page.reload();
  await page.getByRole('button', { name: 'Go on with the demo project' }).click();
  await expect(verdict(page)).toBeVisible();
  await page.getByRole('button', { name: 'Files' }).click();
  await page.getByRole('menuitem', { name: 'Texts kept aside' }).click();
  const kept = page.getByTestId('kept-aside').getByRole('listitem');
  await expect(kept).toHaveCount(1);
  await expect(kept).toContainText('The file is not JSON');
  const [out] = await Promise.all([
    page.waitForEvent('download'),
    kept.getByRole('button', { name: 'Export' }).click(),
  ]);
  expect(readFileSync(await out.path(), 'utf8')).toContain('"version":1,"na');
  await kept.getByRole('button', { name: 'Delete' }).click();
  await expect(page.getByText('Nothing is kept aside.')).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('button', { name: 'Files' })).toBeFocused();
});

test.describe('a worker that dies', () => {
  test('is said, and a new one computes when asked again', async ({ page, quiet }) => {
    let broken = true;
    await page.route('**/assets/engine.worker-*.js', (route) => (broken ? route.abort() : route.continue()));
    await page.goto('/');
    await expect(page.getByRole('alert').filter({ hasText: 'could not be loaded' })).toBeVisible();
    broken = false;
    await page.getByRole('button', { name: 'Compute again' }).click();
    await expect(verdict(page)).toBeVisible();
    await settled(page);
    // Inside has the day driven once more.
    broken = true;
    const [worker] = page.workers();
    await worker.evaluate(() => {
      setTimeout(() => {
        throw new Error('broken on purpose');
      });
    });
    await page.waitForTimeout(300);
    await page.getByRole('link', { name: 'Inside', exact: true }).click();
    const said = page.getByRole('alert').filter({ hasText: 'could not be loaded' });
    await expect(said).toBeVisible();
    broken = false;
    await said.getByRole('button', { name: 'Compute again' }).click();
    await expect(page.getByRole('region', { name: 'Section of the brake' })).toContainText('rotor surface');
    await expect(said).toHaveCount(0);
    quiet.length = 0;
  });
});
