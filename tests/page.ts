import { readFileSync } from 'node:fs';
import { test as base, expect, type Locator, type Page } from '@playwright/test';
import { demoProject } from '../demo/project';
import { type Project, readProject } from '../src/model';

export { choose } from '../scripts/choose';

/** A page that fails its test when the application writes an error to the console. */
export const test = base.extend<{ quiet: string[] }>({
  quiet: [
    async ({ page }, use) => {
      const errors: string[] = [];
      page.on('pageerror', (error) => errors.push(error.message));
      page.on('console', (message) => {
        if (message.type() === 'error') errors.push(message.text());
      });
      await use(errors);
      expect(errors).toEqual([]);
    },
    { auto: true },
  ],
});
export { expect };

/** Opens the application and waits for its first verdict. */
export async function open(page: Page, path = '/'): Promise<void> {
  await page.goto(path);
  await expect(verdict(page)).toBeVisible();
}

/** Opens a page of the application that has no verdict of its own. */
export async function visit(page: Page, path: string): Promise<void> {
  await page.goto(path);
  await expect(page.getByRole('navigation', { name: 'Pages' })).toBeVisible();
}

/** Goes to another page of the application as its own links do: what was computed stays. */
export async function turnTo(page: Page, path: string): Promise<void> {
  await page.evaluate((to) => {
    window.history.pushState(null, '', to);
    window.dispatchEvent(new PopStateEvent('popstate'));
  }, path);
}

/** A first plan with few laps, so that a page need not wait long for many days. */
export async function shorten(page: Page, laps = 3): Promise<void> {
  await visit(page, '/plan');
  await page.getByRole('textbox', { name: /^Laps/ }).nth(1).fill(String(laps));
  await expect
    .poll(async () => JSON.stringify((await project(page)).plans[0].sessions[0].legs[1]))
    .toContain(`"laps":${laps}`);
}

export const verdict = (page: Page) => page.getByTestId('verdict');

/** Waits until what is shown belongs to the newest input. */
export const settled = (page: Page) =>
  expect(page.getByLabel('Verdict', { exact: true })).toHaveAttribute('data-behind', 'false');

/** Chooses an item of a menu and returns the text of the file it offers. */
export async function exported(page: Page, item: string): Promise<{ name: string; text: string }> {
  await page.getByRole('button', { name: 'Files' }).click();
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('menuitem', { name: item }).click(),
  ]);
  return { name: file.suggestedFilename(), text: readFileSync(await file.path(), 'utf8') };
}

/** Hands a file to the import. */
export async function importText(page: Page, name: string, text: string | Buffer): Promise<void> {
  await page
    .getByTestId('import')
    .setInputFiles({ name, mimeType: 'application/json', buffer: Buffer.from(text as string) });
}

/** The project as it is kept: the demo until the first edit. */
export async function project(page: Page): Promise<Project> {
  const text = await stored(page);
  if (text === null) return demoProject;
  const read = readProject(text);
  if (!read.ok) throw new Error('the stored project cannot be read');
  return read.project;
}

/** The saved project as the browser's storage has it. */
export const stored = (page: Page): Promise<string | null> =>
  page.evaluate(
    () =>
      new Promise<string | null>((resolve) => {
        const opening = indexedDB.open('fervent-kettle');
        opening.onsuccess = () => {
          const db = opening.result;
          if (!db.objectStoreNames.contains('projects')) {
            db.close();
            resolve(null);
            return;
          }
          const asking = db.transaction('projects').objectStore('projects').get('project');
          asking.onsuccess = () => {
            db.close();
            resolve((asking.result as { text: string } | undefined)?.text ?? null);
          };
        };
      }),
  );

/** The value of a list that opens. */
export async function chosen(box: Locator, value: string): Promise<void> {
  await expect(box).toHaveAttribute('data-value', value);
}

/** Sets a balance on the decisions' page; one that lets the rear lock first is asked about, and set all the same. */
export async function setBalance(page: Page, name: string): Promise<void> {
  const row = page
    .getByRole('region', { name: 'Balances compared' })
    .getByRole('row', { name: new RegExp(name) });
  const rearFirst = Number.parseInt(await row.locator('td').nth(4).innerText(), 10);
  await row.getByRole('button', { name: `Set: ${name}` }).click();
  if (rearFirst === 0) return;
  const asked = page.getByRole('alertdialog');
  await expect(asked).toContainText('turns the car round');
  await asked.getByRole('button', { name: 'Set it all the same' }).click();
}
