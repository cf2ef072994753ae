import type { BrowserContext, Page } from '@playwright/test';
import {
  closed,
  editFor,
  judge,
  keptMasses,
  massBox,
  openCar,
  type Random,
  type Trial,
  wait,
} from './editing';

/** An empty page of the application's own origin, from which its database is reached. */
export async function barePage(context: BrowserContext, address: string): Promise<Page> {
  const page = await context.newPage();
  const bare = `${address}/bare`;
  await page.route(bare, (route) => route.fulfill({ contentType: 'text/html', body: '<!doctype html>' }));
  await page.goto(bare);
  return page;
}

/** What lies in the store of projects under a key, as text. */
const storedText = (bare: Page, put: { readonly change: string; readonly share: number } | null) =>
  bare.evaluate(
    (asked) =>
      new Promise<{ readonly put: string; readonly texts: readonly string[] }>((resolve, reject) => {
        const opening = indexedDB.open('fervent-kettle');
        opening.onerror = () => reject(opening.error);
        opening.onsuccess = () => {
          const db = opening.result;
          const work = db.transaction('projects', 'readwrite');
          const store = work.objectStore('projects');
          let written = '';
          let texts: string[] = [];
          if (asked) {
            const reading = store.get('project');
            reading.onsuccess = () => {
              const { revision, text } = reading.result as { revision: number; text: string };
              const cut = Math.floor(text.length * asked.share);
              const changes: Record<string, string> = {
                'cut off': text.slice(0, cut),
                overwritten: `${text.slice(0, cut)}\u0000\u0001\u0002${text.slice(cut + 40)}`,
                emptied: '',
                'another thing': 'a shopping list',
                newer: text.replace(
                  /"version":\s*(\d+)/,
                  (_, version) => `"version": ${Number(version) + 1}`,
                ),
              };
              written = changes[asked.change];
              store.put({ revision, text: written }, 'project');
            };
          }
          const all = store.getAll();
          all.onsuccess = () => {
            texts = all.result.map((value) => (value as { text?: string } | null)?.text ?? '');
          };
          work.oncomplete = () => {
            db.close();
            resolve({ put: written, texts });
          };
          work.onerror = () => reject(work.error);
        };
      }),
    put,
  );

/** What is stored is spoiled, or of a newer version: it is said, kept aside as it is, and work goes on. */
export async function spoiled(
  context: BrowserContext,
  address: string,
  seed: number,
  random: Random,
  newer: boolean,
): Promise<Trial> {
  const first = await openCar(context, address, 0);
  await editFor([first], random);
  await closed(first);
  const bare = await barePage(context, address);
  const changes = ['cut off', 'overwritten', 'emptied', 'another thing'];
  const change = newer ? 'newer' : changes[Math.floor(random.next() * changes.length)];
  const { put } = await storedText(bare, { change, share: 0.1 + 0.8 * random.next() });
  const page = await context.newPage();
  await page.goto(`${address}/car/car-tarn`);
  await page.getByRole('heading', { name: 'The saved project cannot be read' }).waitFor();
  const saidAfter = await page.evaluate(() => performance.now());
  await page.getByRole('button', { name: 'Go on with the demo project' }).click();
  await massBox(page).waitFor();
  const edits = await editFor([page], random, 900);
  const at = Date.now();
  await closed(page);
  const kept = await keptMasses(context, address, [0]);
  const { texts } = await storedText(bare, null);
  const broke = texts.includes(put) ? '' : `what was ${change} is not kept aside`;
  return judge(newer ? 'newer version' : 'corrupted', seed, edits, kept, at, { broke, saidAfter });
}

/** The database is deleted among edits, by another page or with the site's data; what is open is stored anew. */
export async function deleted(
  context: BrowserContext,
  address: string,
  seed: number,
  random: Random,
): Promise<Trial> {
  const page = await openCar(context, address, 0);
  const bare = await barePage(context, address);
  const cleared = random.next() < 0.5;
  const edits = await editFor([page], random, 700, async () => {
    if (cleared) {
      const session = await context.newCDPSession(bare);
      await session.send('Storage.clearDataForOrigin', { origin: address, storageTypes: 'indexeddb' });
    } else {
      await bare.evaluate(
        () =>
          new Promise<void>((resolve) => {
            const deleting = indexedDB.deleteDatabase('fervent-kettle');
            deleting.onsuccess = () => resolve();
            deleting.onerror = () => resolve();
          }),
      );
    }
  });
  // What was deleted half a second ago is stored anew, as an edit would be.
  await wait(500);
  const at = Date.now();
  await closed(page);
  return judge('deletion', seed, edits, await keptMasses(context, address, [0]), at);
}

/** The database has no room left from some edit on; then the page ends, and there is room again. */
export async function full(
  context: BrowserContext,
  address: string,
  seed: number,
  random: Random,
  end: (page: Page) => Promise<number>,
): Promise<Trial> {
  const page = await openCar(context, address, 0);
  let asked = false;
  page.on('dialog', (dialog) => {
    asked = true;
    void dialog.accept();
  });
  const bare = await barePage(context, address);
  const session = await context.newCDPSession(bare);
  const edits = await editFor([page], random, 700, async () => {
    await session.send('Storage.overrideQuotaForOrigin', { origin: address, quotaSize: 1 });
  });
  const at = await end(page);
  await session.send('Storage.overrideQuotaForOrigin', { origin: address });
  return judge('quota', seed, edits, await keptMasses(context, address, [0]), at, { asked });
}

/** Another page holds the database, with a change of its version waiting; the reader is told, then it lets go. */
export async function blocked(
  context: BrowserContext,
  address: string,
  seed: number,
  random: Random,
): Promise<Trial> {
  const first = await openCar(context, address, 0);
  const edits = await editFor([first], random);
  const at = Date.now();
  await closed(first);
  const holder = await barePage(context, address);
  await holder.evaluate(
    () =>
      new Promise<void>((resolve) => {
        // Its connection gives way to nobody, so that its own change waits, and whoever asks after it.
        const holding = indexedDB.open('fervent-kettle');
        holding.onsuccess = () => {
          const waiting = indexedDB.open('fervent-kettle', 99);
          waiting.onblocked = () => resolve();
        };
      }),
  );
  const page = await context.newPage();
  // Noted in the page as it is drawn: asking from outside would add what the asking takes.
  await page.addInitScript(() => {
    new MutationObserver((_, observer) => {
      if (!document.querySelector('[role=status] h1')) return;
      observer.disconnect();
      requestAnimationFrame(() => performance.mark('said'));
    }).observe(document, { childList: true, subtree: true });
  });
  await page.goto(`${address}/car/car-tarn`, { waitUntil: 'commit' });
  await page.getByRole('heading', { name: 'storage does not answer yet' }).waitFor();
  const saidAfter = await page.evaluate(
    () => performance.getEntriesByName('said')[0]?.startTime ?? performance.now(),
  );
  await holder.close();
  await massBox(page).waitFor();
  const kept = [Number(await massBox(page).inputValue())];
  return judge('blocked', seed, edits, kept, at, { saidAfter });
}
