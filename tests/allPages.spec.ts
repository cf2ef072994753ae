import AxeBuilder from '@axe-core/playwright';
import { expect, test, visit } from './page';
import { ROUTES } from './support/routes';
import { saidOtherwise } from './support/saidOtherwise';

/** All pages; the two that drive dozens of days before they show anything are looked at in `npm run bench`. */
const SWEPT = ROUTES.filter((route) => !['/decide/first', '/decide/find-out'].includes(route));

test('every route has a title of its own, targets large enough, the field’s words, and nothing that assistive technology trips over', async ({
  page,
}) => {
  // One sweep over all pages: minutes on a slow machine.
  test.setTimeout(600_000);
  const titles = new Set<string>();
  const found: string[] = [];
  const looked = async (route: string, width: number) => {
    // Long enough for what computes to say so.
    await page.waitForTimeout(400);
    await expect(
      page.getByRole('status').filter({ hasText: /Computing|Loading|Driving|Braking/ }),
    ).toHaveCount(0);
    const { violations } = await new AxeBuilder({ page })
      .options({ rules: { 'target-size': { enabled: true } } })
      .analyze();
    found.push(
      ...violations.map((v) => `${route} ${width}: ${v.id}: ${v.nodes.map((n) => n.target).join(' | ')}`),
    );
    const wide = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
    if (wide > 0) found.push(`${route} ${width}: scrolls sideways`);
    if (width > 400) found.push(...(await saidOtherwise(page, route)));
  };
  // Again on a phone held upright, where more must be scrolled.
  const phone = ['/inside', '/test/design', '/decide/compare'].map((route) => [route, 390] as const);
  for (const [route, width] of [...SWEPT.map((route) => [route, 1280] as const), ...phone]) {
    await page.setViewportSize({ width, height: 800 });
    await visit(page, route);
    await looked(route, width);
    titles.add(await page.title());
  }
  // A circuit given as a list has a page of its own.
  await page.setViewportSize({ width: 1280, height: 800 });
  await visit(page, '/circuit');
  await page.getByRole('button', { name: 'Make a list of braking zones' }).click();
  await expect(page.getByRole('region', { name: 'List of braking zones' })).toBeVisible();
  await looked('/circuit, a list', 1280);
  expect(found).toEqual([]);
  expect([...titles]).toHaveLength(SWEPT.length);
  for (const title of titles) expect(title).toMatch(/ · Fervent Kettle$/);
});
