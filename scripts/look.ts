import { withApplication } from './browser';

const jobs = JSON.parse(process.argv[2] ?? '[]') as {
  name: string;
  path: string;
  w?: number;
  h?: number;
  full?: boolean;
  dark?: boolean;
  us?: boolean;
  click?: string[];
  wait?: string;
  y?: number;
}[];
await withApplication(4991, async (browser, address) => {
  for (const job of jobs) {
    const context = await browser.newContext({
      viewport: { width: job.w ?? 1280, height: job.h ?? 800 },
      colorScheme: job.dark ? 'dark' : 'light',
    });
    const page = await context.newPage();
    await page.addInitScript('globalThis.__name = (f) => f');
    if (job.us)
      await page.addInitScript(() =>
        localStorage.setItem(
          'fervent-kettle-preferences',
          JSON.stringify({
            theme: 'system',
            us: [
              'temperature',
              'difference',
              'speed',
              'mass',
              'distance',
              'smallLength',
              'area',
              'pressure',
              'torque',
              'force',
              'deceleration',
            ],
          }),
        ),
      );
    page.on('console', (m) => {
      if (m.type() === 'error') console.log(job.name, m.text());
    });
    page.on('pageerror', (e) => console.log(job.name, String(e)));
    await page.goto(`${address}${job.path}`);
    if (job.wait) await page.locator(job.wait).first().waitFor({ timeout: 30000 });
    else await page.waitForTimeout(1800);
    for (const c of job.click ?? []) {
      await page.locator(c).first().click();
      await page.waitForTimeout(400);
    }
    if (job.y) await page.evaluate((y) => window.scrollTo(0, y), job.y);
    await page.waitForTimeout(400);
    await page.screenshot({ path: `/tmp/shot-${job.name}.png`, fullPage: job.full ?? false });
    await context.close();
  }
});
