import type { Page } from '@playwright/test';
import { expect, test, visit } from './page';
import { ROUTES } from './support/routes';
import { NOT_SAID } from './support/words';

/** A braking to rest and one of a test are stops. */
const STOPS = ['/garage/procedures', '/garage/failure'];

/** What the page at a route says that the field says otherwise. */
async function saidOtherwise(page: Page, route: string): Promise<string[]> {
  await page.waitForTimeout(300);
  await expect(page.getByRole('status').filter({ hasText: /Computing|Loading|Driving|Braking/ })).toHaveCount(
    0,
  );
  const text = await page.getByRole('main').innerText();
  const labels = await page
    .locator('main [aria-label], main [title]')
    .evaluateAll((all) =>
      all.map((e) => `${e.getAttribute('aria-label') ?? ''} ${e.getAttribute('title') ?? ''}`),
    );
  return NOT_SAID.flatMap(([word, instead]) => {
    if (STOPS.includes(route) && /stop/.test(word.source)) return [];
    const found = [text, ...labels].map((t) => word.exec(t)).find((m) => m !== null);
    if (!found) return [];
    const around = found.input.slice(Math.max(0, found.index - 30), found.index + 40).replace(/\s+/g, ' ');
    return [`${route}: “${around}” should say ${instead}`];
  });
}

test('no page says what the field says otherwise', async ({ page }) => {
  const said: string[] = [];
  for (const route of ROUTES) {
    await visit(page, route);
    said.push(...(await saidOtherwise(page, route)));
  }
  // A circuit given as a list has a page of its own.
  await visit(page, '/circuit');
  await page.getByRole('button', { name: 'Make a list of braking zones' }).click();
  await expect(page.getByRole('region', { name: 'List of braking zones' })).toBeVisible();
  said.push(...(await saidOtherwise(page, '/circuit, a list')));
  expect(said).toEqual([]);
});
