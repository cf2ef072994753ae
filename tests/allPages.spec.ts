import { SWITCHABLE } from '../src/model';
import { expect, shorten, test, turnTo, visit } from './page';
import { tripsOver } from './support/axe';
import { metricLeft } from './support/metricLeft';
import { ROUTES } from './support/routes';
import { saidOtherwise } from './support/saidOtherwise';

/** All pages; the two that drive dozens of days before they show anything are looked at in `npm run bench`. */
const SWEPT = ROUTES.filter((route) => !['/decide/first', '/decide/find-out'].includes(route));
/** What a page shows that computes for long. */
const READY: Readonly<Record<string, RegExp>> = {
  '/decide/cooling': /Cheapest (way|in money)/,
  '/decide/compare': /Differences in small print/,
  '/decide/pace': /Ways through the session/,
  '/decide/balance': /By braking zone, as the last/,
  '/decide/sure': /Not run yet/,
  '/decide/exposed': /On the passenger’s side/,
  '/decide/sheet': /Braking zones that matter/,
};
/** Looked at in the dark as well, and on a phone held upright, where more must be scrolled. */
const ALSO_SMALL = [...Object.keys(READY), '/inside', '/test/design'];

test('every route has a title of its own, targets large enough, the field’s words, no metric unit alone where US ones are chosen, and nothing that assistive technology trips over', async ({
  page,
}) => {
  // One sweep over all pages: minutes on a slow machine.
  test.setTimeout(600_000);
  const titles = new Set<string>();
  const found: string[] = [];
  const axe = async (where: string) => {
    found.push(...(await tripsOver(page)).map((what) => `${where}: ${what}`));
  };
  const wide = () => page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
  const looked = async (route: string) => {
    // Long enough for what computes to say so.
    await page.waitForTimeout(250);
    await expect(
      page.getByRole('status').filter({ hasText: /Computing|Loading|Driving|Braking/ }),
    ).toHaveCount(0);
    if (READY[route]) await expect(page.getByText(READY[route]).first()).toBeVisible();
    // Nothing stays pale once all is computed: not the verdict on any page.
    await expect(page.locator('[aria-busy=true]')).toHaveCount(0);
    await axe(route);
    if ((await wide()) > 0) found.push(`${route}: scrolls sideways`);
    found.push(...(await saidOtherwise(page, route)), ...(await metricLeft(page, route)));
  };
  await page.addInitScript((us) => {
    localStorage.setItem('fervent-kettle-preferences', JSON.stringify({ theme: 'system', us }));
  }, SWITCHABLE);
  await shorten(page, 2);
  for (const route of SWEPT) {
    const before = await page.title();
    await turnTo(page, route);
    await page.evaluate(() => window.scrollTo(0, 0));
    if (route !== '/plan') await expect.poll(() => page.title()).not.toBe(before);
    await looked(route);
    titles.add(await page.title());
    if (!ALSO_SMALL.includes(route)) continue;
    await page.emulateMedia({ colorScheme: 'dark' });
    await page.setViewportSize({ width: 390, height: 844 });
    await axe(`${route}, dark, on a phone`);
    // Charts follow the new width a moment later.
    await expect.poll(wide, { message: `${route} on a phone`, timeout: 5000 }).toBeLessThanOrEqual(0);
    await page.emulateMedia({ colorScheme: 'light' });
    await page.setViewportSize({ width: 1280, height: 800 });
  }
  // A circuit given as a list has a page of its own.
  await visit(page, '/circuit');
  await page.getByRole('button', { name: 'Make a list of braking zones' }).click();
  await expect(page.getByRole('region', { name: 'List of braking zones' })).toBeVisible();
  await looked('/circuit, a list');
  await turnTo(page, '/decide/nothing');
  await expect(page.getByRole('alert')).toContainText('There is nothing called “nothing” here');
  expect(found).toEqual([]);
  expect([...titles]).toHaveLength(SWEPT.length);
  for (const title of titles) expect(title).toMatch(/ · Fervent Kettle$/);
});
