import { withApplication } from './browser';

await withApplication(4555, async (browser, address) => {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  page.on('pageerror', (e) => console.log('ERR', e.message));
  page.on('console', (m) => m.type() === 'error' && console.log('CON', m.text()));
  await page.goto(address);
  await page.getByTestId('verdict').waitFor();
  await page.getByRole('button', { name: 'Take the tour' }).click();
  await page.getByRole('button', { name: 'Next', exact: true }).click();
  await page.getByRole('button', { name: 'Next', exact: true }).click();
  await page.waitForTimeout(900);
  await page.screenshot({ path: '/tmp/s1.png' });
  await page.getByRole('button', { name: 'Skip the tour' }).click();
  await page.goto(`${address}/help`);
  await page.getByRole('heading', { name: 'Help' }).waitFor();
  await page.screenshot({ path: '/tmp/s2.png' });
  await page.goto(`${address}/circuits/import`);
  await page.getByRole('button', { name: 'Try sunday-recording.gpx' }).click();
  await page.getByText('fastest whole lap').waitFor({ timeout: 60000 });
  await page.waitForTimeout(500);
  await page.screenshot({ path: '/tmp/s3.png' });
  await page.goto(`${address}/library`);
  await page.getByRole('button', { name: 'New project' }).waitFor();
  await page.getByRole('button', { name: 'New project' }).click();
  await page.getByRole('heading', { name: 'Enter my car' }).waitFor();
  await page.goto(`${address}/library`);
  await page.getByText('Projects in this browser').waitFor();
  await page.waitForTimeout(600);
  await page.screenshot({ path: '/tmp/s4.png', fullPage: true });
  await page.goto(`${address}/new/circuit`);
  await page.getByRole('tab', { name: 'A few facts' }).click();
  for (const [name, value] of [
    ['Length of a lap', '3200'],
    ['Lap time', '105'],
    ['Corners', '11'],
    ['Longest straight', '600'],
  ] as const)
    await page.getByLabel(name).fill(value);
  await page.screenshot({ path: '/tmp/s5.png' });
  await page.getByRole('button', { name: 'Next: the day' }).click();
  await page.getByRole('button', { name: 'To the verdict' }).waitFor({ timeout: 20000 });
  await page.getByRole('button', { name: 'To the verdict' }).click();
  await page.getByTestId('verdict').waitFor();
  await page.waitForTimeout(2500);
  await page.screenshot({ path: '/tmp/s6.png' });
});
