import { withApplication } from './browser';

await withApplication(4555, async (browser, address) => {
  const page = await browser.newPage({ viewport: { width: 390, height: 844 }, colorScheme: 'dark' });
  page.on('pageerror', (e) => console.log('ERR', e.message));
  page.on('console', (m) => m.type() === 'error' && console.log('CON', m.text()));
  await page.addInitScript('globalThis.__name = (f) => f');
  await page.addInitScript(() =>
    localStorage.setItem(
      'fervent-kettle-preferences',
      JSON.stringify({ theme: 'dark', us: ['temperature', 'difference', 'smallLength', 'speed', 'mass'] }),
    ),
  );
  await page.goto(`${address}/calibrate/readings?drive=drive-anvil-morning`);
  await page.getByTestId('observations').waitFor();
  await page.waitForTimeout(800);
  await page.screenshot({ path: '/tmp/s1.png' });
  await page.getByRole('button', { name: 'The car stops now' }).click();
  await page.getByLabel('Reading', { exact: true }).fill('712');
  await page.waitForTimeout(1500);
  await page.getByRole('button', { name: 'Add', exact: true }).scrollIntoViewIfNeeded();
  await page.screenshot({ path: '/tmp/s2.png' });
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await page.waitForTimeout(600);
  await page.getByTestId('observations').getByText('712').scrollIntoViewIfNeeded();
  await page.screenshot({ path: '/tmp/s3.png' });
  await page.goto(`${address}/happened?symptom=hard+pedal`);
  await page.getByTestId('causes').waitFor({ timeout: 60000 });
  await page.waitForTimeout(6000);
  await page.screenshot({ path: '/tmp/s4.png' });
  const wide = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  wide.on('pageerror', (e) => console.log('ERR', e.message));
  await wide.goto(`${address}/log/logs`);
  await wide.getByRole('button', { name: /Try anvil-log/ }).click();
  await wide.waitForTimeout(2500);
  await wide.screenshot({ path: '/tmp/s5.png' });
  const ok = wide.getByRole('button', { name: /Read/ }).last();
  await ok.click();
  await wide.waitForTimeout(4000);
  await wide.goto(`${address}/log/heat`);
  await wide.getByRole('button', { name: 'Take to the calibration' }).click();
  await wide.getByTestId('observations').waitFor({ timeout: 60000 });
  await wide.waitForTimeout(3000);
  await wide.screenshot({ path: '/tmp/s6.png' });
  await wide.goto(`${address}/calibrate/fit`);
  for (const name of ['Anvil Park, afternoon', 'Anvil Park, morning']) await wide.getByText(name).click();
  const t = Date.now();
  await wide.getByRole('button', { name: 'Calibrate', exact: true }).click();
  await wide.getByTestId('estimates').waitFor({ timeout: 240000 });
  console.log('log estimated in', Date.now() - t);
  await wide.waitForTimeout(500);
  await wide.screenshot({ path: '/tmp/s7.png', fullPage: true });
});
