import type { BrowserContext, Page } from '@playwright/test';
import type { randomNumbers } from '../../src/core';

/** Edits older than this when the fault comes must be kept, ms. */
export const OLD = 500;

/** An edit that was made: which car's mass, to what, and when, ms of the machine's clock. */
export interface Edit {
  readonly car: number;
  readonly massKg: number;
  readonly at: number;
}
export interface Trial {
  readonly fault: string;
  readonly seed: number;
  readonly edits: number;
  readonly lost: number;
  /** Age of the oldest lost edit when the fault came, ms; 0 where none was lost */
  readonly oldestLost: number;
  readonly lostOld: number;
  /** Whether the browser asked before it closed the page */
  readonly asked: boolean;
  /** What else had to hold and did not, '' for nothing */
  readonly broke: string;
  /** Time until it was said what is wrong, ms; null where nothing had to be */
  readonly saidAfter: number | null;
}

export type Random = ReturnType<typeof randomNumbers>;

const CARS = ['car-tarn', 'car-ovel'] as const;
export const wait = (ms: number) => new Promise((done) => setTimeout(done, ms));
export const massBox = (page: Page) => page.getByRole('textbox', { name: 'Mass', exact: true });

export async function openCar(context: BrowserContext, address: string, car: number): Promise<Page> {
  const page = await context.newPage();
  await page.goto(`${address}/car/${CARS[car]}`);
  await massBox(page).waitFor();
  return page;
}

/** Whether pages compute nothing, so that more trials fit into an hour; what is stored does not wait for what is computed. */
const STILL = process.env.FAULT_STILL !== undefined;

/** Readies a context for trials. */
export async function prepared(context: BrowserContext): Promise<BrowserContext> {
  if (STILL) {
    await context.addInitScript(() => {
      // One that is never ready.
      globalThis.Worker = class extends EventTarget {
        postMessage() {}
        terminate() {}
      } as unknown as typeof Worker;
    });
  }
  return context;
}

/** Types a mass, as a keystroke would commit it. @returns when that was, ms of the machine's clock */
const typeMass = (page: Page, massKg: number): Promise<number> =>
  massBox(page).evaluate((box, value) => {
    const { set } = Object.getOwnPropertyDescriptor(
      HTMLInputElement.prototype,
      'value',
    ) as PropertyDescriptor;
    set?.call(box, String(value));
    box.dispatchEvent(new Event('input', { bubbles: true }));
    return performance.timeOrigin + performance.now();
  }, massKg);

/**
 * Edits for a while with pauses of all lengths, on one page or, taking turns at random, on two.
 * @param from mass of the first edit, kg; edits of one trial are told apart by it
 * @param halfWay called once among them
 */
export async function editFor(
  pages: readonly Page[],
  random: Random,
  from = 700,
  halfWay: () => Promise<void> = async () => {},
): Promise<Edit[]> {
  const edits: Edit[] = [];
  const count = 3 + Math.floor(random.next() * 9);
  const half = Math.floor(random.next() * count);
  // Held keys, quick typing, and somebody who thinks: the saving must wait for none of them.
  const pause = [15, 50, 120, 250][Math.floor(random.next() * 4)];
  for (let i = 0; i < count; i++) {
    const car = pages.length > 1 && random.next() < 0.5 ? 1 : 0;
    const massKg = from + 10 * i + car;
    edits.push({ car, massKg, at: await typeMass(pages[car], massKg) });
    await wait(pause * (0.5 + random.next()));
    if (i === half) await halfWay();
  }
  // So that the last edits are of every age when the fault comes.
  await wait(random.next() * 700);
  return edits;
}

/** What is there of each car's edits, against what was made. @param kept mass of each car after the fault, kg */
export function judge(
  fault: string,
  seed: number,
  edits: readonly Edit[],
  kept: readonly number[],
  at: number,
  also: Partial<Pick<Trial, 'asked' | 'broke' | 'saidAfter'>> = {},
): Trial {
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
    asked: false,
    broke: '',
    saidAfter: null,
    ...also,
  };
}

/** What a page has of its car, kg. */
export const massOn = async (page: Page): Promise<number> => Number(await massBox(page).inputValue());

/** What pages have that are opened now, kg of each car. */
export async function keptMasses(
  context: BrowserContext,
  address: string,
  cars: readonly number[],
): Promise<number[]> {
  const kept: number[] = [];
  for (const car of cars) kept.push(await massOn(await openCar(context, address, car)));
  return kept;
}

/** Closes a page as by its cross. */
export async function closed(page: Page): Promise<void> {
  const gone = page.waitForEvent('close');
  await page.close({ runBeforeUnload: true });
  await gone;
}

/** Lets a page's process crash. @returns when, ms of the machine's clock */
export async function crash(context: BrowserContext, page: Page): Promise<number> {
  const session = await context.newCDPSession(page);
  const now = Date.now();
  // The page is gone before it can answer.
  await Promise.race([session.send('Page.crash').catch(() => {}), wait(300)]);
  return now;
}
