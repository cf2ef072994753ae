import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { type Browser, type BrowserContext, chromium, type Page } from '@playwright/test';
import { CHROMIUM_LAUNCH, withApplication } from '../scripts/browser';
import { randomNumbers } from '../src/core';

/**
 * Faults at random moments while somebody edits: what of the edits is there when the page is opened again. Every trial
 * follows from its seed. Prints JSON.
 */
const TRIALS = { reload: 70, close: 70, crash: 60, kill: 40, 'two tabs': 70 } as const;
type Fault = keyof typeof TRIALS;
/** Edits older than this when the fault comes must be kept, ms. */
const OLD = 500;
/** Trials beside each other: most of a trial is waiting, and a busy machine is the harder one. */
const AT_ONCE = 4;
const FIRST_SEED = Number(process.env.FAULT_SEED ?? 1);

/** An edit that was made: which car's mass, to what, and when, ms of the machine's clock. */
interface Edit {
  readonly car: number;
  readonly massKg: number;
  readonly at: number;
}
interface Trial {
  readonly fault: Fault;
  readonly seed: number;
  readonly edits: number;
  readonly lost: number;
  /** Age of the oldest lost edit when the fault came, ms; 0 where none was lost */
  readonly oldestLost: number;
  readonly lostOld: number;
  /** Whether the browser asked before it closed the page */
  readonly asked: boolean;
}

const CARS = ['car-tarn', 'car-ovel'] as const;
const wait = (ms: number) => new Promise((done) => setTimeout(done, ms));

async function openCar(context: BrowserContext, address: string, car: number): Promise<Page> {
  const page = await context.newPage();
  await page.goto(`${address}/car/${CARS[car]}`);
  await page.getByRole('textbox', { name: 'Mass', exact: true }).waitFor();
  return page;
}

/** Types a mass, as a keystroke would commit it. @returns when that was, ms of the machine's clock */
const typeMass = (page: Page, massKg: number): Promise<number> =>
  page.getByRole('textbox', { name: 'Mass', exact: true }).evaluate((box, value) => {
    const { set } = Object.getOwnPropertyDescriptor(
      HTMLInputElement.prototype,
      'value',
    ) as PropertyDescriptor;
    set?.call(box, String(value));
    box.dispatchEvent(new Event('input', { bubbles: true }));
    return performance.timeOrigin + performance.now();
  }, massKg);

const massShown = async (page: Page): Promise<number> =>
  Number(await page.getByRole('textbox', { name: 'Mass', exact: true }).inputValue());

/** Edits for a while with pauses of all lengths, on one page or, taking turns at random, on two. */
async function editFor(pages: readonly Page[], random: ReturnType<typeof randomNumbers>): Promise<Edit[]> {
  const edits: Edit[] = [];
  const count = 3 + Math.floor(random.next() * 9);
  // Held keys, quick typing, and somebody who thinks: the saving must wait for none of them.
  const pause = [15, 50, 120, 250][Math.floor(random.next() * 4)];
  for (let i = 0; i < count; i++) {
    const car = pages.length > 1 && random.next() < 0.5 ? 1 : 0;
    const massKg = 700 + 10 * i + car;
    edits.push({ car, massKg, at: await typeMass(pages[car], massKg) });
    await wait(pause * (0.5 + random.next()));
  }
  // So that the last edits are of every age when the fault comes.
  await wait(random.next() * 700);
  return edits;
}

/** What is there of each car's edits, against what was made. @param kept mass of each car after the fault */
function judge(fault: Fault, seed: number, edits: Edit[], kept: number[], at: number, asked: boolean): Trial {
  const lost = edits.filter(({ car, massKg }, i) => {
    const survived = edits.findIndex((edit) => edit.car === car && edit.massKg === kept[car]);
    return i > survived && massKg !== kept[car];
  });
  const ages = lost.map((edit) => at - edit.at);
  return {
    fault,
    seed,
    edits: edits.length,
    lost: lost.length,
    oldestLost: Math.max(0, ...ages),
    lostOld: ages.filter((age) => age > OLD).length,
    asked,
  };
}

/** Lets the fault come. @returns when it came, ms of the machine's clock */
async function strike(fault: Fault, context: BrowserContext, pages: readonly Page[]): Promise<number> {
  const at = Date.now();
  if (fault === 'crash') {
    const session = await context.newCDPSession(pages[0]);
    const now = Date.now();
    // The page is gone before it can answer.
    await Promise.race([session.send('Page.crash').catch(() => {}), wait(300)]);
    return now;
  }
  if (fault === 'reload') await pages[0].reload();
  else for (const page of pages) await closed(page);
  return at;
}

async function closed(page: Page): Promise<void> {
  const gone = page.waitForEvent('close');
  await page.close({ runBeforeUnload: true });
  await gone;
}

async function inOneBrowser(browser: Browser, address: string, fault: Fault, seed: number): Promise<Trial> {
  const random = randomNumbers(seed);
  const context = await browser.newContext({ serviceWorkers: 'block' });
  try {
    const cars = fault === 'two tabs' ? [0, 1] : [0];
    const pages = await Promise.all(cars.map((car) => openCar(context, address, car)));
    let asked = false;
    for (const page of pages) {
      page.on('dialog', (dialog) => {
        asked = true;
        void dialog.accept();
      });
    }
    const edits = await editFor(pages, random);
    const at = await strike(fault, context, pages);
    return judge(fault, seed, edits, await keptMasses(context, address, cars), at, asked);
  } finally {
    await context.close();
  }
}

async function keptMasses(
  context: BrowserContext,
  address: string,
  cars: readonly number[],
): Promise<number[]> {
  const kept: number[] = [];
  for (const car of cars) {
    const page = await openCar(context, address, car);
    kept.push(await massShown(page));
  }
  return kept;
}

/** A browser of its own, with its own processes and folder, that can be killed whole. */
async function ownBrowser(folder: string) {
  const child = spawn(
    CHROMIUM_LAUNCH.executablePath,
    [
      ...CHROMIUM_LAUNCH.args,
      '--headless',
      '--remote-debugging-port=0',
      `--user-data-dir=${folder}`,
      'about:blank',
    ],
    { detached: true, stdio: ['ignore', 'ignore', 'pipe'] },
  );
  const address = await new Promise<string>((resolve, reject) => {
    let said = '';
    child.stderr.on('data', (text) => {
      said += String(text);
      const found = /DevTools listening on (ws:\S+)/.exec(said);
      if (found) resolve(found[1]);
    });
    child.on('exit', () => reject(new Error(`The browser ended: ${said.slice(-400)}`)));
  });
  const browser = await chromium.connectOverCDP(address);
  const kill = () => {
    if (child.pid) process.kill(-child.pid, 'SIGKILL');
  };
  return { context: browser.contexts()[0], kill };
}

async function killed(address: string, seed: number): Promise<Trial> {
  const random = randomNumbers(seed);
  const folder = mkdtempSync(join(tmpdir(), 'kettle-fault-'));
  try {
    const first = await ownBrowser(folder);
    const page = await openCar(first.context, address, 0);
    const edits = await editFor([page], random);
    const at = Date.now();
    first.kill();
    await wait(300);
    const second = await ownBrowser(folder);
    const kept = await keptMasses(second.context, address, [0]);
    second.kill();
    return judge('kill', seed, edits, kept, at, false);
  } finally {
    await wait(100);
    rmSync(folder, { recursive: true, force: true, maxRetries: 5 });
  }
}

await withApplication(4322, async (browser, address) => {
  const wanted: { readonly fault: Fault; readonly seed: number }[] = [];
  for (const fault of Object.keys(TRIALS) as Fault[]) {
    for (let i = 0; i < TRIALS[fault]; i++) wanted.push({ fault, seed: FIRST_SEED + wanted.length });
  }
  const trials: Trial[] = [];
  let next = 0;
  const work = async () => {
    while (next < wanted.length) {
      const { fault, seed } = wanted[next++];
      trials.push(
        fault === 'kill' ? await killed(address, seed) : await inOneBrowser(browser, address, fault, seed),
      );
      if (trials.length % 20 === 0) console.error(`${trials.length} of ${wanted.length} trials`);
    }
  };
  await Promise.all(Array.from({ length: AT_ONCE }, work));
  const rows = (Object.keys(TRIALS) as Fault[]).map((fault) => {
    const own = trials.filter((trial) => trial.fault === fault);
    const sum = (of: (trial: Trial) => number) => own.reduce((total, trial) => total + of(trial), 0);
    return {
      fault,
      trials: own.length,
      edits: sum((t) => t.edits),
      lost: sum((t) => t.lost),
      oldestLostMs: Math.round(Math.max(...own.map((t) => t.oldestLost))),
      lostOlderThan500Ms: sum((t) => t.lostOld),
      asked: sum((t) => Number(t.asked)),
    };
  });
  const bad = trials.filter((trial) => trial.lostOld > 0);
  console.log(JSON.stringify({ rows, bad }));
});
