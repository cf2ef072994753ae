import { loggedCsv } from '../tests/support/logs';
import { withApplication } from './browser';
const which = process.argv.slice(2);
await withApplication(4993, async (browser, address) => {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  page.on('pageerror', (e) => console.log('PAGEERROR', e.message));
  page.on('console', (m) => { if (m.type() === 'error') console.log('CONSOLE', m.text().slice(0, 300)); });
  const shot = async (name: string, full = true) => { await page.screenshot({ path: `/tmp/shot-${name}.png`, fullPage: full }); console.log(name, await page.evaluate(() => document.documentElement.scrollWidth)); };
  const go = async (path: string) => { await page.goto(`${address}${path}`); await page.waitForLoadState('networkidle'); await page.waitForTimeout(1500); };
  if (which.includes('design')) { await go('/test/design'); await page.getByTestId('predicted').getByText('Distance from').waitFor({ timeout: 20000 }); await shot('design'); }
  if (which.includes('record')) { await go('/test/record'); await shot('record'); }
  if (which.includes('evaluate')) { await go('/test/evaluate?run=run-2'); await page.waitForTimeout(2500); await shot('evaluate'); }
  if (which.includes('setups')) { await go('/test/setups'); await page.waitForTimeout(6000); await shot('setups'); }
  if (which.includes('counter')) { await page.setViewportSize({width: 390, height: 800}); await go('/test/record?way=counter'); await page.getByRole('button', { name: 'Stop', exact: true }).click(); await page.waitForTimeout(1500); await shot('counter', false); await page.getByRole('button', { name: 'End' }).click(); await shot('counter-end', false); await page.setViewportSize({ width: 1280, height: 800 }); }
  if (which.includes('phone')) { await go('/test/record?way=phone'); await page.getByRole('button', { name: /Practise/ }).click(); await page.getByTestId('phone-stop').waitFor(); await shot('phone'); }
  if (which.includes('technique')) {
    await go('/log/logs');
    await page.getByTestId('log-file').setInputFiles({ name: 'anvil-morning.csv', mimeType: 'text/csv', buffer: Buffer.from(loggedCsv(6, 20)) });
    await page.getByRole('button', { name: 'Read the log' }).click();
    await page.getByTestId('logged-zones').waitFor();
    await go('/test/technique'); await page.waitForTimeout(6000); await shot('technique');
    await go('/test/record?way=log'); await page.waitForTimeout(4000); await shot('fromlog');
  }
  if (which.includes('bench')) { await go('/test/bench'); await page.getByTestId('programme').getByText('Inertia 30').waitFor({ timeout: 60000 }); await page.getByRole('button', { name: 'Simulated bench' }).click(); await page.getByRole('button', { name: 'Fit the cooling' }).click({ timeout: 60000 }); await page.getByTestId('bench-fit').waitFor({ timeout: 120000 }); await shot('bench'); }
});
