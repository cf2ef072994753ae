import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';

/**
 * What assistive technology would trip over on a page, a line each. Within the page itself and of violations alone: the
 * package's usual way opens a second page for its report and takes three times as long.
 * @param within selector of what is looked at
 */
export async function tripsOver(page: Page, within = 'html'): Promise<string[]> {
  const { violations } = await new AxeBuilder({ page })
    .setLegacyMode(true)
    .include(within)
    .options({ resultTypes: ['violations'], rules: { 'target-size': { enabled: true } } })
    .analyze();
  return violations.map(({ id, nodes }) => `${id}: ${nodes.map(({ target }) => target).join(' | ')}`);
}
