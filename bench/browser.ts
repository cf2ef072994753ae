import { statSync } from 'node:fs';
import { gzipSync } from 'node:zlib';
import type { Page } from '@playwright/test';
import { withApplication } from '../scripts/browser';
import { DAY_FILE } from './dayFile';
import { tasksOf, watchTasks } from './longTasks';

/** From a control's movement to the new verdict on screen, and what the first page weighs. Prints JSON. */
await withApplication(4321, async (browser, address) => {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, serviceWorkers: 'block' });
  // The TypeScript loader wraps functions in a helper that the page does not have.
  await page.addInitScript('globalThis.__name = (f) => f');
  const weighed = weigh(page);
  await page.addInitScript(noteDrawing);
  await page.goto(address);
  await page.getByTestId('verdict').waitFor();
  await page.waitForTimeout(1500);
  const moved = await moveControls(page);
  const guessless = await moveUnforeseen(page, address);
  const firstPage = weighed(await page.evaluate('globalThis.beforeDrawing'));
  console.log(JSON.stringify({ ...moved, ...guessless, ...(await readDay(page, address)), ...firstPage }));
});

/** Runs in the page: notes which scripts have come by the time its header is there. */
function noteDrawing(): void {
  const watch = new MutationObserver(() => {
    if (!document.querySelector('nav[aria-label=Pages]')) return;
    watch.disconnect();
    const names = performance.getEntriesByType('resource').map(({ name }) => name.split('/').pop());
    Object.assign(globalThis, { beforeDrawing: names });
  });
  watch.observe(document, { childList: true, subtree: true });
}

/** Weighs what the page loads from now on; what it answers with sums it up, kB gzipped. */
function weigh(page: Page) {
  const scripts: { name: string; kind: string; gzip: number }[] = [];
  page.on('response', (response) => {
    if (!/\.(js|css)$/.test(new URL(response.url()).pathname)) return;
    const name = new URL(response.url()).pathname.split('/').pop() as string;
    const kind = name.endsWith('.css') ? 'css' : name.includes('worker') ? 'worker' : 'page';
    const read = async () => scripts.push({ name, kind, gzip: gzipSync(await response.body()).length });
    // A worker that is ended takes the body of its script along.
    read().catch(() => {});
  });
  /** @param early names of what had come before the page was drawn */
  return (early: readonly string[]) => {
    // Several workers run one script; it weighs once.
    const once = [...new Map(scripts.map((s) => [s.name, s])).values()];
    const sum = (list: typeof once) => list.reduce((all, s) => all + s.gzip, 0) / 1000;
    const size = (kind: string) => sum(once.filter((s) => s.kind === kind));
    const drawnJsKb = sum(once.filter((s) => s.kind === 'page' && early.includes(s.name)));
    return { drawnJsKb, pageJsKb: size('page'), workerJsKb: size('worker'), cssKb: size('css') };
  };
}

/** A control moved with pauses, in a hurry, and dragged for five seconds: waits from movement to verdict, ms. */
async function moveControls(page: Page) {
  await page.evaluate(prepare);
  const waits = (control: number, pause: number) =>
    page.evaluate(([k, ms]) => (globalThis as unknown as Moves).measure(k, ms), [control, pause]);
  const single = await waits(0, 150);
  const hurried = await waits(1, 20);
  await watchTasks(page);
  const dragged = await page.evaluate(() => (globalThis as unknown as Moves).drag(5000));
  const tasks = await tasksOf(page);
  const at = (sorted: number[], share: number) => sorted[Math.floor(sorted.length * share)];
  return {
    singleMoves: single.length,
    singleMedianMs: at(single, 0.5),
    singleP95Ms: at(single, 0.95),
    hurriedMoves: hurried.length,
    hurriedMedianMs: at(hurried, 0.5),
    hurriedP95Ms: at(hurried, 0.95),
    movements: dragged.movements,
    longTasksOver50: tasks.length,
    longestTaskMs: Math.max(0, ...tasks),
    results: dragged.results,
  };
}

/** The same of movements that none before foretells: ten notches down, one up, through the whole range. */
async function moveUnforeseen(page: Page, address: string) {
  await page.goto(address);
  await page.getByTestId('verdict').waitFor();
  await page.waitForTimeout(1500);
  await page.evaluate(prepare);
  const waits = await page.evaluate(() => (globalThis as unknown as Moves).turn(0, 150));
  return {
    unforeseenMoves: waits.length,
    unforeseenMedianMs: waits[Math.floor(waits.length * 0.5)],
    unforeseenP95Ms: waits[Math.floor(waits.length * 0.95)],
  };
}

interface Moves {
  /**
   * Waits from a movement of a control to its verdict on screen, ms, sorted, to the end of its range: back again all is
   * known. `pause` between verdict and next movement.
   */
  measure(control: number, pause: number): Promise<number[]>;
  /** Likewise from the end of the range to its beginning, never on by as much as before. */
  turn(control: number, pause: number): Promise<number[]>;
  /** Sixty movements a second without pause, for so many ms. */
  drag(length: number): Promise<{ movements: number; results: number }>;
}

/** Runs in the page: puts what moves the first control, and waits for its verdict, where it can be called. */
async function prepare(): Promise<void> {
  const thumbs = [...document.querySelectorAll<HTMLElement>('[role=slider]')];
  const bar = document.querySelector('[data-behind]') as HTMLElement;
  const pause = (ms: number) => new Promise((done) => setTimeout(done, ms));
  const frame = () => new Promise((done) => requestAnimationFrame(() => setTimeout(done, 0)));
  const move = (key: string, thumb = thumbs[0]) =>
    thumb.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }));
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
  const waits = async (control: number, between: number, end: string, keys: readonly string[]) => {
    const found: number[] = [];
    const thumb = thumbs[control];
    while (found.length < 100 && thumb.getAttribute('aria-valuenow') !== thumb.getAttribute(end)) {
      const shown = caughtUp();
      const start = performance.now();
      move(keys[found.length % keys.length], thumb);
      await shown;
      await frame();
      found.push(performance.now() - start);
      await pause(between);
    }
    return found.sort((a, b) => a - b);
  };
  const measure = (control: number, between: number) =>
    waits(control, between, 'aria-valuemax', ['ArrowRight']);
  const turn = async (control: number, between: number) => {
    move('End', thumbs[control]);
    await pause(1500);
    return waits(control, between, 'aria-valuemin', ['PageDown', 'ArrowRight']);
  };
  const drag = async (length: number) => {
    let results = 0;
    const observer = new MutationObserver(() => {
      results += 1;
    });
    const verdict = document.querySelector('[data-testid=verdict]') as Node;
    observer.observe(verdict, { subtree: true, characterData: true, childList: true });
    const until = performance.now() + length;
    let movements = 0;
    while (performance.now() < until) {
      move(movements++ % 80 < 40 ? 'ArrowRight' : 'ArrowLeft');
      await new Promise((done) => requestAnimationFrame(done));
    }
    return { movements, results };
  };
  Object.assign(globalThis, { measure, turn, drag });
  // Away from the saved state first: coming back to it needs no computation and would flatter the figures.
  move('ArrowRight');
  await pause(800);
}

/** A day at 100 Hz, 100 MB, read through the page itself. */
async function readDay(page: Page, address: string) {
  await page.goto(`${address}/log/logs`);
  await page.getByTestId('log-file').setInputFiles(DAY_FILE);
  await page.getByRole('button', { name: 'Read the log' }).waitFor();
  await watchTasks(page);
  const start = performance.now();
  await page.getByRole('button', { name: 'Read the log' }).click();
  await page.getByText(/is open: \d+ rows/).waitFor({ timeout: 300_000 });
  const read = performance.now();
  const tasks = await tasksOf(page);
  await page.getByTestId('logged-zones').waitFor({ timeout: 300_000 });
  return {
    dayReadSeconds: (read - start) / 1000,
    dayMegabytesPerSecond: statSync(DAY_FILE).size / 1000 / (read - start),
    dayLongTasksOver50: tasks.length,
    dayLongestTaskMs: Math.max(0, ...tasks),
    dayLaidOverSeconds: (performance.now() - read) / 1000,
  };
}
