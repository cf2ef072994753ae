import fc from 'fast-check';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { demoProject } from '../../../demo/project';
import { memoryJournals, memoryStore } from '../../../tests/support/memoryStore';
import { blankProject, type Project } from '../../model';
import { keptTexts, openProject, readJournals, setJournalsAside } from '../../storage';
import { openStore } from './openStore';
import { ProjectStore } from './projectStore';

type Memory = ReturnType<typeof memoryStore>;
const mass = (car: number, massKg: number) => (p: Project) => ({
  ...p,
  cars: p.cars.map((c, i) => (i === car ? { ...c, massKg } : c)),
});

/** One car on one circuit, since a whole project takes its time to read. */
const small = blankProject('Small');

async function stored(storage: Memory): Promise<Project> {
  const found = await openProject(storage);
  if (found.kind !== 'project') throw new Error(found.kind);
  return found.project;
}

const putBack = (into: Map<string, string>, from: ReadonlyMap<string, string>) => {
  into.clear();
  for (const [key, text] of from) into.set(key, text);
};

/**
 * A page that opens what is there, and of which nothing is heard any more once it died.
 * @param slow what a write takes it, ms
 * @param end how it ends, and whether the storage has no room for it
 */
async function mortal(
  page: string,
  storage: Memory,
  journals: ReturnType<typeof memoryJournals>,
  slow: number,
  end: string,
) {
  let alive = true;
  const living =
    <A extends unknown[]>(act: (...args: A) => void) =>
    (...args: A) =>
      void (alive && act(...args));
  const { kept, sent } = journals;
  const { store } = await openStore({
    first: small,
    storage: {
      ...storage,
      setItem: async (key, value) => {
        await new Promise((done) => setTimeout(done, slow));
        if (!alive) await new Promise(() => {});
        if (end.startsWith('full')) throw Object.assign(new Error('x'), { name: 'QuotaExceededError' });
        await storage.setItem(key, value);
      },
    },
    journals: {
      kept: { ...kept, setItem: living(kept.setItem), removeItem: living(kept.removeItem) },
      sent: { ...sent, put: living(sent.put), remove: living(sent.remove) },
    },
    page,
  });
  const die = () => {
    if (end.endsWith('close')) store.leave();
    alive = false;
  };
  return { store, die };
}

beforeEach(() => void vi.useFakeTimers());
afterEach(() => void vi.useRealTimers());

describe('journals', () => {
  it('hold what a full storage does not take, for the next start', async () => {
    const storage = memoryStore();
    const journals = memoryJournals();
    const store = new ProjectStore({ project: demoProject, storage, journals });
    const write = storage.setItem;
    storage.setItem = async () => {
      throw Object.assign(new Error('x'), { name: 'QuotaExceededError' });
    };
    store.edit('Mass', mass(0, 1111));
    await vi.advanceTimersByTimeAsync(400);
    const [entry, ...more] = await readJournals(journals);
    expect(more).toEqual([]);
    // The page is gone; the next one begins with what was stored before.
    storage.setItem = write;
    const next = new ProjectStore({ project: demoProject, storage, journals });
    next.restore([entry]);
    await vi.advanceTimersByTimeAsync(400);
    expect((await stored(storage)).cars[0].massKg).toBe(1111);
    expect(await readJournals(journals)).toEqual([]);
  });

  it('of a project that cannot be read do not win over what is edited after it: they are kept aside', async () => {
    const storage = memoryStore();
    const journals = memoryJournals();
    const first = new ProjectStore({ project: demoProject, storage, journals, page: 'first' });
    first.edit('Mass', mass(0, 1111));
    first.leave();
    await storage.setItem('project', { revision: 7, text: '{"cut' });
    expect((await openProject(storage)).kind).toBe('unreadable');
    await setJournalsAside(storage, journals);
    expect(await readJournals(journals)).toEqual([]);
    expect((await keptTexts(storage)).map(({ text }) => text.includes('1111'))).toContain(true);
    expect(await keptTexts(storage)).toHaveLength(2);
    const next = new ProjectStore({ project: demoProject, storage, journals, page: 'next' });
    next.restore(await readJournals(journals));
    next.edit('Mass', mass(0, 1222));
    await vi.advanceTimersByTimeAsync(400);
    const last = new ProjectStore({ project: await stored(storage), storage, journals, page: 'last' });
    last.restore(await readJournals(journals));
    expect(last.getState().history.value.cars[0].massKg).toBe(1222);
  });

  it('of a page that is closed are joined by the next one, stored and forgotten', async () => {
    const [storage, journals] = [memoryStore(), memoryJournals()];
    const first = new ProjectStore({ project: demoProject, storage, journals, page: 'a' });
    first.edit('Name', (p) => ({ ...p, name: 'Stored' }));
    await first.saveNow();
    expect(first.leave()).toBe(true);
    expect(journals.texts.kept.size).toBe(0);
    first.edit('Mass', mass(0, 1234));
    expect(first.leave()).toBe(true);
    expect(journals.texts.kept.size).toBe(1);
    // Gone here: nothing was saved any more, but another page changed another car.
    const other = new ProjectStore({ project: await stored(storage), revision: 1, storage });
    other.edit('Mass', mass(1, 1777));
    await other.saveNow();
    const found = await openProject(storage);
    if (found.kind !== 'project') throw new Error(found.kind);
    const { project, revision } = found;
    const next = new ProjectStore({ project, revision, storage, journals, page: 'b' });
    next.restore(await readJournals(journals));
    const masses = (p: Project) => p.cars.map((car) => car.massKg);
    expect(masses(next.getState().history.value).slice(0, 2)).toEqual([1234, 1777]);
    await vi.advanceTimersByTimeAsync(500);
    expect(masses(await stored(storage)).slice(0, 2)).toEqual([1234, 1777]);
    expect((await stored(storage)).name).toBe('Stored');
    expect(journals.texts.kept.size).toBe(0);
    next.undo();
    expect(masses(next.getState().history.value)[0]).toBe(demoProject.cars[0].massKg);
  });

  it('hold a page’s own edits alone, also while it writes what it joined: another’s later edit stays', async () => {
    const [storage, journals] = [memoryStore(), memoryJournals()];
    const other = new ProjectStore({ project: demoProject, storage, page: 'other' });
    other.edit('Mass', mass(0, 1111));
    await other.saveNow();
    // It joins the other's edit, and is edited while that is being written; of it nothing arrives any more.
    const here = new ProjectStore({
      project: demoProject,
      storage: { ...storage, setItem: () => new Promise(() => {}) },
      journals,
      page: 'here',
    });
    here.edit('Name', (p) => ({ ...p, name: 'First' }));
    await vi.advanceTimersByTimeAsync(400);
    here.edit('Name', (p) => ({ ...p, name: 'Second' }));
    other.edit('Mass', mass(0, 1222));
    await other.saveNow();
    const found = await openProject(storage);
    if (found.kind !== 'project') throw new Error(found.kind);
    const next = new ProjectStore({
      project: found.project,
      revision: found.revision,
      storage,
      page: 'next',
    });
    next.restore(await readJournals(journals, found.edits));
    const { name, cars } = next.getState().history.value;
    expect([name, cars[0].massKg]).toEqual(['Second', 1222]);
  });

  it('that are garbled or impossible change nothing, and stay', async () => {
    const journals = memoryJournals();
    const texts = [
      '{',
      'null',
      '{"before":{},"now":{"cars":[{"id":"x"}]}}',
      '{"before":{"cars":7},"now":{"cars":[null]}}',
      '{"before":{},"now":{"cars":[null]},"edits":1,"whole":{"revision":"3"}}',
      '{"before":{},"now":{"cars":[null]},"edits":1,"whole":{"revision":3,"text":"{","edits":{"x":1}}}',
    ];
    texts.forEach((text, i) => {
      journals.kept.setItem(`fervent-kettle-journal:${i}`, text);
    });
    const { store } = await openStore({ storage: memoryStore(), journals, page: 'next' });
    expect(store.getState().history.value).toBe(demoProject);
    expect(journals.texts.kept.size).toBe(texts.length);
  });

  it('have every edit of a page that ends, whenever and however, and never bring an older one back', async () => {
    const round = fc.record({
      edits: fc.array(
        fc.record({
          massKg: fc.integer({ min: 500, max: 3000 }),
          wait: fc.constantFrom(0, 1, 40, 130, 400, 2000),
        }),
        { maxLength: 6 },
      ),
      slow: fc.constantFrom(0, 5, 300, 5000),
      /** After which edit the browser puts on the disk what it keeps */
      flushed: fc.nat(6),
      /** After which edit everything that is stored is deleted */
      deleted: fc.option(fc.nat(6), { freq: 2 }),
      end: fc.constantFrom('crash', 'close', 'kill', 'full and crash', 'full and close'),
    });
    type Round = typeof round extends fc.Arbitrary<infer R> ? R : never;
    const live = async (storage: Memory, journals: ReturnType<typeof memoryJournals>, rounds: Round[]) => {
      let disk = new Map<string, string>();
      let last = small.cars[0].massKg;
      for (const [i, { edits, slow, flushed, deleted, end }] of rounds.entries()) {
        const { store, die } = await mortal(`page ${i}`, storage, journals, slow, end);
        expect(store.getState().history.value.cars[0].massKg).toBe(last);
        const gone = () => {
          storage.kept.clear();
          void store.storeIfGone();
        };
        for (const [j, { massKg, wait }] of edits.entries()) {
          store.edit('Mass', mass(0, massKg));
          last = massKg;
          if (j === deleted) gone();
          if (j === flushed) disk = new Map(journals.texts.kept);
          await vi.advanceTimersByTimeAsync(wait);
        }
        if ((deleted ?? -1) >= edits.length) gone();
        die();
        if (end === 'kill') putBack(journals.texts.kept, disk);
      }
    };
    await fc.assert(
      fc.asyncProperty(fc.array(round, { minLength: 1, maxLength: 6 }), (rounds) =>
        live(memoryStore(), memoryJournals(), rounds),
      ),
      { numRuns: 100 },
    );
  });
});
