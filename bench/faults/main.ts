import type { Browser, BrowserContext, Page } from '@playwright/test';
import { withApplication } from '../../scripts/browser';
import { randomNumbers } from '../../src/core';
import { barePage, blocked, deleted, full, spoiled } from './database';
import {
  closed,
  crash,
  editFor,
  judge,
  massBox,
  massOn,
  openCar,
  prepared,
  type Random,
  type Trial,
} from './editing';
import { endKilling, type Killing, killed, toBeKilled } from './killed';
import { updated } from './updated';

/**
 * Faults at random moments while somebody edits: what of the edits is there when the page is opened again. Every trial
 * follows from its seed. Prints JSON.
 */
interface Place {
  readonly browser: Browser;
  readonly address: string;
  /** What the trials before have left open, where the next one can go on from it */
  open: { readonly context: BrowserContext; readonly pages: readonly Page[] } | null;
  /** A context in which nothing is stored, kept for what it has loaded of the program */
  empty: BrowserContext | null;
  killing: Killing | null;
  /** Trials begun here */
  begun: number;
}
type Run = (place: Place, seed: number, random: Random) => Promise<Trial>;

/** Trials beside each other: most of a trial is waiting, and a busy machine is the harder one. */
const AT_ONCE = Number(process.env.FAULT_AT_ONCE ?? 4);
/** A page that does not come to what is waited for in this time has broken, ms. */
const PATIENCE = 60_000;
const FIRST_SEED = Number(process.env.FAULT_SEED ?? 1);
/** A share of all trials, to try it out. */
const SHARE = Number(process.env.FAULT_SHARE ?? 1);

async function newContext({ browser }: Place): Promise<BrowserContext> {
  const context = await browser.newContext({ serviceWorkers: 'block' });
  context.setDefaultTimeout(PATIENCE);
  return prepared(context);
}

async function closeOpen(place: Place): Promise<void> {
  await place.open?.context.close();
  place.open = null;
}

/** Runs where nothing is stored. */
const inContext =
  (run: (context: BrowserContext, address: string, seed: number, random: Random) => Promise<Trial>): Run =>
  async (place, seed, random) => {
    await closeOpen(place);
    const context = place.empty ?? (await newContext(place));
    place.empty = null;
    try {
      const trial = await run(context, place.address, seed, random);
      for (const page of context.pages()) await page.close();
      const bare = await barePage(context, place.address);
      const session = await context.newCDPSession(bare);
      await session.send('Storage.clearDataForOrigin', { origin: place.address, storageTypes: 'all' });
      await bare.close();
      place.empty = context;
      return trial;
    } catch (error) {
      await context.close();
      throw error;
    }
  };

/** Its own masses, kg, so that none of a trial is one of the trial before it in the same browser. */
const firstMass = ({ begun }: Place) => 700 + 130 * (begun % 14);

/**
 * Edits on one page or two, and then its end. What is opened afterwards, to see what is there, is what the next trial of
 * the same kind edits: a project that has been through every fault before.
 */
const ended =
  (
    fault: string,
    cars: readonly number[],
    end: (context: BrowserContext, pages: readonly Page[]) => Promise<number>,
  ): Run =>
  async (place, seed, random) => {
    if (place.open?.pages.length !== cars.length) await closeOpen(place);
    const { context, pages } = place.open ?? { context: await newContext(place), pages: [] };
    place.open = null;
    try {
      const edited =
        pages.length > 0 ? pages : await Promise.all(cars.map((car) => openCar(context, place.address, car)));
      let asked = false;
      for (const page of edited) {
        page.on('dialog', (dialog) => {
          asked = true;
          void dialog.accept();
        });
      }
      const edits = await editFor(edited, random, firstMass(place));
      const at = await end(context, edited);
      const after: Page[] = [];
      for (const [i, car] of cars.entries()) {
        after.push(edited[i].isClosed() ? await openCar(context, place.address, car) : edited[i]);
      }
      const kept: number[] = [];
      for (const page of after) kept.push(await massOn(page));
      for (const page of after) page.removeAllListeners('dialog');
      place.open = { context, pages: after };
      return judge(fault, seed, edits, kept, at, { asked });
    } catch (error) {
      await context.close();
      throw error;
    }
  };

async function closeAll(pages: readonly Page[]): Promise<number> {
  const at = Date.now();
  for (const page of pages) await closed(page);
  return at;
}

async function reload([page]: readonly Page[]): Promise<number> {
  const at = Date.now();
  await page.reload();
  await massBox(page).waitFor();
  return at;
}

/** A page whose process crashed is of no use any more. */
async function crashed(context: BrowserContext, page: Page): Promise<number> {
  const at = await crash(context, page);
  await page.close();
  return at;
}

const FAULTS: Readonly<Record<string, { readonly trials: number; readonly run: Run }>> = {
  reload: { trials: 170, run: ended('reload', [0], (_, pages) => reload(pages)) },
  close: { trials: 170, run: ended('close', [0], (_, pages) => closeAll(pages)) },
  crash: { trials: 150, run: ended('crash', [0], (context, [page]) => crashed(context, page)) },
  kill: {
    trials: 80,
    run: (place, seed, random) => {
      place.killing ??= toBeKilled();
      return killed(place.killing, place.address, seed, random, firstMass(place));
    },
  },
  'two tabs': { trials: 170, run: ended('two tabs', [0, 1], (_, pages) => closeAll(pages)) },
  quota: {
    trials: 100,
    run: inContext((context, address, seed, random) => {
      const which = Math.floor(random.next() * 3);
      const end = (page: Page) =>
        which === 0 ? crash(context, page) : which === 1 ? reload([page]) : closeAll([page]);
      return full(context, address, seed, random, end);
    }),
  },
  deletion: { trials: 60, run: inContext(deleted) },
  blocked: { trials: 40, run: inContext(blocked) },
  corrupted: {
    trials: 40,
    run: inContext((context, address, seed, random) => spoiled(context, address, seed, random, false)),
  },
  'newer version': {
    trials: 30,
    run: inContext((context, address, seed, random) => spoiled(context, address, seed, random, true)),
  },
  update: { trials: 30, run: ({ browser }, seed, random) => updated(browser, seed, random) },
};

await withApplication(4322, async (browser, address) => {
  const wanted: { readonly fault: string; readonly seed: number }[] = [];
  const only = process.env.FAULT?.split(',');
  for (const [fault, { trials }] of Object.entries(FAULTS)) {
    if (only && !only.includes(fault)) continue;
    for (let i = 0; i < Math.ceil(trials * SHARE); i++)
      wanted.push({ fault, seed: FIRST_SEED + wanted.length });
  }
  const trials: Trial[] = [];
  let next = 0;
  const work = async () => {
    const place: Place = { browser, address, open: null, empty: null, killing: null, begun: 0 };
    while (next < wanted.length) {
      const { fault, seed } = wanted[next++];
      place.begun += 1;
      try {
        trials.push(await FAULTS[fault].run(place, seed, randomNumbers(seed)));
      } catch (error) {
        // A trial that does not come to its end has shown nothing: it counts as one that broke.
        trials.push(judge(fault, seed, [], [], 0, { broke: String(error).slice(0, 300) }));
      }
      if (trials.length % 20 === 0) console.error(`${trials.length} of ${wanted.length} trials`);
    }
    await closeOpen(place);
    await place.empty?.close();
    if (place.killing) await endKilling(place.killing);
  };
  await Promise.all(Array.from({ length: AT_ONCE }, work));
  const rows = [...new Set(wanted.map(({ fault }) => fault))].map((fault) => {
    const own = trials.filter((trial) => trial.fault === fault);
    const sum = (of: (trial: Trial) => number) => own.reduce((total, trial) => total + of(trial), 0);
    const said = own.flatMap(({ saidAfter }) => saidAfter ?? []);
    return {
      fault,
      trials: own.length,
      edits: sum((t) => t.edits),
      lost: sum((t) => t.lost),
      oldestLostMs: Math.round(Math.max(...own.map((t) => t.oldestLost))),
      lostOlderThan500Ms: sum((t) => t.lostOld),
      broke: sum((t) => Number(t.broke !== '')),
      asked: sum((t) => Number(t.asked)),
      saidWithinMs: said.length > 0 ? Math.round(Math.max(...said)) : null,
    };
  });
  const bad = trials.filter((trial) => trial.lostOld > 0 || trial.broke !== '');
  console.log(JSON.stringify({ rows, bad }));
});
