import { statSync } from 'node:fs';
import { gzipSync } from 'node:zlib';
import { withApplication } from '../scripts/browser';
import { DAY_FILE } from './dayFile';

/** From a control's movement to the new verdict on screen, and what the first page weighs. Prints JSON. */
await withApplication(4321, async (browser, address) => {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  // The TypeScript loader wraps functions in a helper that the page does not have.
  await page.addInitScript('globalThis.__name = (f) => f');
  const scripts: { name: string; kind: string; gzip: number }[] = [];
  page.on('response', (response) => {
    if (!/\.(js|css)$/.test(new URL(response.url()).pathname)) return;
    const name = new URL(response.url()).pathname.split('/').pop() as string;
    const kind = name.endsWith('.css') ? 'css' : name.includes('worker') ? 'worker' : 'page';
    const read = async () => scripts.push({ name, kind, gzip: gzipSync(await response.body()).length });
    // A worker that is ended takes the body of its script along.
    read().catch(() => {});
  });
  await page.goto(address);
  await page.getByTestId('verdict').waitFor();
  await page.waitForTimeout(1500);

  const measured = await page.evaluate(async () => {
    const longTasks: number[] = [];
    new PerformanceObserver((list) => longTasks.push(...list.getEntries().map((e) => e.duration))).observe({
      type: 'longtask',
    });
    const thumb = document.querySelector('[role=slider]') as HTMLElement;
    const bar = document.querySelector('[data-behind]') as HTMLElement;
    const frame = () => new Promise((done) => requestAnimationFrame(() => setTimeout(done, 0)));
    const move = (key: string) => thumb.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }));
    // Told by the document itself, so that only the frame that paints the verdict is waited for, not one more.
    const caughtUp = () =>
      new Promise<void>((done) => {
        const observer = new MutationObserver(() => {
          if (bar.dataset.behind !== 'false') return;
          observer.disconnect();
          done();
        });
        observer.observe(bar, { attributes: true, attributeFilter: ['data-behind'] });
      });
    /** Waits from a movement to its verdict on screen, ms, sorted; `pause` between verdict and next movement. */
    const measure = async (count: number, pause: number): Promise<number[]> => {
      const waits: number[] = [];
      for (let i = 0; i < count; i++) {
        const shown = caughtUp();
        const start = performance.now();
        move(i % 40 < 20 ? 'ArrowRight' : 'ArrowLeft');
        await shown;
        await frame();
        waits.push(performance.now() - start);
        await new Promise((done) => setTimeout(done, pause));
      }
      return waits.sort((a, b) => a - b);
    };
    // Away from the saved state first: coming back to it needs no computation and would flatter the figures.
    move('ArrowRight');
    await new Promise((done) => setTimeout(done, 800));
    const single = await measure(60, 150);
    const hurried = await measure(120, 20);
    // A control dragged without pause: 60 movements a second for five seconds.
    longTasks.length = 0;
    let results = 0;
    new MutationObserver(() => {
      results += 1;
    }).observe(document.querySelector('[data-testid=verdict]') as Node, {
      subtree: true,
      characterData: true,
      childList: true,
    });
    const until = performance.now() + 5000;
    let step = 0;
    while (performance.now() < until) {
      move(step++ % 80 < 40 ? 'ArrowRight' : 'ArrowLeft');
      await new Promise((done) => requestAnimationFrame(done));
    }
    const at = (waits: number[], share: number) => waits[Math.floor(waits.length * share)];
    return {
      singleMedianMs: at(single, 0.5),
      singleP95Ms: at(single, 0.95),
      hurriedMedianMs: at(hurried, 0.5),
      hurriedP95Ms: at(hurried, 0.95),
      movements: step,
      longTasksOver50: longTasks.length,
      longestTaskMs: Math.max(0, ...longTasks),
      results,
    };
  });
  // Several workers run one script; it weighs once.
  const firstPage = [...new Map(scripts.map((s) => [s.name, s])).values()];
  // A day at 100 Hz, 100 MB, read through the page itself.
  await page.goto(`${address}/log/logs`);
  await page.getByTestId('log-file').setInputFiles(DAY_FILE);
  await page.getByRole('button', { name: 'Read the log' }).waitFor();
  await page.evaluate(() => {
    const tasks: number[] = [];
    (globalThis as unknown as { longTasks: number[] }).longTasks = tasks;
    new PerformanceObserver((list) => tasks.push(...list.getEntries().map((e) => e.duration))).observe({
      type: 'longtask',
    });
  });
  const readStart = performance.now();
  await page.getByRole('button', { name: 'Read the log' }).click();
  await page.getByText(/is open: \d+ rows/).waitFor({ timeout: 300_000 });
  const dayReadMs = performance.now() - readStart;
  const readTasks = await page.evaluate(() => (globalThis as unknown as { longTasks: number[] }).longTasks);
  const dayShown = performance.now();
  await page.getByTestId('logged-stops').waitFor({ timeout: 300_000 });
  const size = (kind: string) =>
    firstPage.filter((s) => s.kind === kind).reduce((sum, s) => sum + s.gzip, 0) / 1000;
  console.log(
    JSON.stringify({
      ...measured,
      dayReadSeconds: dayReadMs / 1000,
      dayMegabytesPerSecond: statSync(DAY_FILE).size / 1000 / dayReadMs,
      dayLongTasksOver50: readTasks.length,
      dayLongestTaskMs: Math.max(0, ...readTasks),
      dayLaidOverSeconds: (performance.now() - dayShown) / 1000,
      pageJsKb: size('page'),
      workerJsKb: size('worker'),
      cssKb: size('css'),
    }),
  );
});
