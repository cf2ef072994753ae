import type { Page } from '@playwright/test';
import { NOT_SAID } from './words';

/** A braking to rest and one of a test are stops. */
const STOPS = ['/garage/failure', '/test/'];

/** What the page at a route says that the field says otherwise. */
export async function saidOtherwise(page: Page, route: string): Promise<string[]> {
  const text = await page.getByRole('main').innerText();
  const labels = await page
    .locator('main [aria-label], main [title]')
    .evaluateAll((all) =>
      all.map((e) => `${e.getAttribute('aria-label') ?? ''} ${e.getAttribute('title') ?? ''}`),
    );
  return NOT_SAID.flatMap(([word, instead]) => {
    if (STOPS.some((own) => route.startsWith(own)) && /stop/.test(word.source)) return [];
    const found = [text, ...labels].map((t) => word.exec(t)).find((m) => m !== null);
    if (!found) return [];
    const around = found.input.slice(Math.max(0, found.index - 30), found.index + 40).replace(/\s+/g, ' ');
    return [`${route}: “${around}” should say ${instead}`];
  });
}
