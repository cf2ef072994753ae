import AxeBuilder from '@axe-core/playwright';
import { withApplication } from '../scripts/browser';
import { firstHour } from '../scripts/firstHour';
import { ROUTES } from '../tests/support/routes';

/**
 * A stranger's way from the first screen to a verdict on an own car at an own circuit, wide and narrow; and what
 * assistive technology trips over on any page, in both themes, on a phone. Prints JSON.
 */
await withApplication(4323, async (browser, address) => {
  const way: Record<string, unknown> = {};
  for (const [name, width, height] of [
    ['desktop', 1280, 800],
    ['phone', 390, 844],
  ] as const) {
    const context = await browser.newContext({ viewport: { width, height }, serviceWorkers: 'block' });
    const page = await context.newPage();
    await page.addInitScript('globalThis.__name = (f) => f');
    await page.goto(address);
    await page.getByTestId('verdict').waitFor();
    const { verdict: _told, ...done } = await firstHour(page);
    way[name] = done;
    await context.close();
  }
  const findings: string[] = [];
  for (const colorScheme of ['light', 'dark'] as const) {
    const context = await browser.newContext({
      viewport: { width: 390, height: 844 },
      colorScheme,
      serviceWorkers: 'block',
    });
    const page = await context.newPage();
    for (const route of ROUTES) {
      await page.goto(`${address}${route}`);
      await page.getByRole('navigation', { name: 'Pages' }).waitFor();
      await page.locator('h1').first().waitFor({ state: 'attached' });
      await page.waitForTimeout(500);
      const { violations } = await new AxeBuilder({ page })
        .options({ rules: { 'target-size': { enabled: true } } })
        .analyze();
      findings.push(...violations.map((v) => `${route} ${colorScheme}: ${v.id}: ${v.nodes[0].target}`));
      const wide = await page.evaluate(
        () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
      );
      if (wide > 0) findings.push(`${route} ${colorScheme}: scrolls sideways by ${wide} px`);
    }
    await context.close();
  }
  console.log(JSON.stringify({ ...way, routes: ROUTES.length, findings }));
});
