import fc from 'fast-check';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { demoProject } from '../../../demo/project';
import { memoryStore } from '../../../tests/support/memoryStore';
import { copyItem, deleteItem, type Project, selectPlan } from '../../model';
import { keptTexts, openHistory, openProject } from '../../storage';
import { ProjectStore } from './projectStore';

type Memory = ReturnType<typeof memoryStore>;
const mass = (car: number, massKg: number) => (p: Project) => ({
  ...p,
  cars: p.cars.map((c, i) => (i === car ? { ...c, massKg } : c)),
});
const renamed = (name: string) => (p: Project) => ({ ...p, name });

async function stored(storage: Memory): Promise<Project> {
  const found = await openProject(storage);
  if (found.kind !== 'project') throw new Error(found.kind);
  return found.project;
}

/** Pages of one browser: they share a store and hear each other. */
function pages(storage: Memory, count: number): ProjectStore[] {
  const heard: (() => void)[] = [];
  return Array.from(
    { length: count },
    (_, own) =>
      new ProjectStore({
        project: demoProject,
        storage,
        page: `page ${own}`,
        neighbours: {
          addEventListener: (_type, listener) => {
            heard[own] = listener;
          },
          postMessage: () => {
            heard.forEach((listener, i) => {
              if (i !== own) listener();
            });
          },
        },
      }),
  );
}

beforeEach(() => void vi.useFakeTimers());
afterEach(() => void vi.useRealTimers());

describe('the way back', () => {
  it('outlives the page: every edit made before it was closed can be undone after', async () => {
    const storage = memoryStore();
    const first = new ProjectStore({ project: demoProject, storage });
    const edits: ((p: Project) => Project)[] = [
      mass(0, 1111),
      (p) => copyItem(p, 'circuits', p.circuits[1].id, 'copy'),
      (p) => ({ ...p, cars: [...p.cars].reverse() }),
      renamed('Another name'),
      (p) => deleteItem(p, 'circuits', 'copy'),
      (p) => selectPlan(p, p.plans[3].id),
    ];
    const values = [demoProject];
    for (const [i, edit] of edits.entries()) {
      expect(first.edit(`Edit ${i}`, edit).made).toBe(true);
      values.push(first.getState().history.value);
      await vi.advanceTimersByTimeAsync(1000);
    }
    const found = await openProject(storage);
    if (found.kind !== 'project') throw new Error(found.kind);
    const past = await openHistory(storage, found.revision, found.project);
    expect(past.map(({ label }) => label)).toEqual(edits.map((_, i) => `Edit ${i}`));
    const next = new ProjectStore({ project: found.project, revision: found.revision, past, storage });
    for (const value of values.toReversed().slice(1)) {
      next.undo();
      expect(next.getState().history.value).toEqual(value);
    }
    // Of another revision, or garbled, it is no way back.
    expect(await openHistory(storage, found.revision + 1, found.project)).toEqual([]);
    await storage.setItem('history', {
      revision: found.revision,
      steps: [{ lists: { cars: { ids: ['x'], items: [] } } }],
    });
    expect(await openHistory(storage, found.revision, found.project)).toEqual([]);
  });
});

describe('saving as one types', () => {
  it('waits at most 300 ms for the next keystroke', async () => {
    const storage = memoryStore();
    const store = new ProjectStore({ project: demoProject, storage });
    for (let key = 0; key < 20; key++) {
      store.edit('Name', renamed(`Name ${key}`), 'name');
      await vi.advanceTimersByTimeAsync(50);
    }
    // A key every 50 ms for a second: what was typed 300 ms ago is stored.
    const { name } = await stored(storage);
    expect(Number(name.slice(5))).toBeGreaterThanOrEqual(13);
    await vi.advanceTimersByTimeAsync(130);
    expect((await stored(storage)).name).toBe('Name 19');
    expect(store.unsaved).toBe(false);
  });

  it('saves what is edited while it saves', async () => {
    const storage = memoryStore();
    const store = new ProjectStore({ project: demoProject, storage });
    const write = storage.setItem;
    let during: (() => void) | null = () => store.edit('Mass', mass(0, 1111));
    storage.setItem = async (key, value) => {
      during?.();
      during = null;
      return write(key, value);
    };
    store.edit('Name', renamed('Before'));
    await vi.advanceTimersByTimeAsync(1000);
    expect(await stored(storage)).toMatchObject({ name: 'Before' });
    expect((await stored(storage)).cars[0].massKg).toBe(1111);
  });

  it('says why it cannot, keeps trying with each edit, and takes back just one edit', async () => {
    const storage = memoryStore();
    const write = storage.setItem;
    storage.setItem = async () => {
      throw Object.assign(new Error('x'), { name: 'QuotaExceededError' });
    };
    const store = new ProjectStore({ project: demoProject, storage });
    const edited = store.edit('Name', renamed('New'));
    await store.saveNow();
    expect(store.getState().save).toMatchObject({ kind: 'failed', reason: expect.stringContaining('full') });
    storage.setItem = write;
    await store.saveNow();
    expect(store.getState().save.kind).toBe('saved');
    expect((await stored(storage)).name).toBe('New');
    store.edit('Name', renamed('Newer'));
    expect(edited.made && edited.undo()).toBe(false);
    store.undo();
    expect(edited.made && edited.undo()).toBe(true);
    expect(store.getState().history.value).toBe(demoProject);
  });

  it('stores everything anew where what was stored has gone under it, and only there', async () => {
    const storage = memoryStore();
    const [store, other] = pages(storage, 2);
    // What was never stored is not stored now.
    await store.storeIfGone();
    expect(storage.kept.size).toBe(0);
    store.edit('Mass', mass(0, 1111));
    await vi.advanceTimersByTimeAsync(1000);
    await store.storeIfGone();
    expect(store.getState().notice).toBeNull();
    storage.kept.clear();
    await Promise.all([store.storeIfGone(), other.storeIfGone()]);
    expect((await stored(storage)).cars[0].massKg).toBe(1111);
    expect(store.getState()).toMatchObject({
      save: { kind: 'saved' },
      notice: expect.stringContaining('deleted'),
    });
    other.edit('Mass', mass(1, 999));
    await vi.advanceTimersByTimeAsync(1000);
    expect((await stored(storage)).cars.map((car) => car.massKg).slice(0, 2)).toEqual([1111, 999]);
  });

  it('refuses what could not be opened again, and changes nothing', () => {
    const store = new ProjectStore({ project: demoProject, storage: memoryStore() });
    const edited = store.edit('Mass', mass(0, 9e9));
    expect(edited).toMatchObject({
      made: false,
      message: 'Mass of “Tarn Two club car” must be at most 6000.',
    });
    expect(store.getState().history).toMatchObject({ value: demoProject, past: [] });
    expect(store.unsaved).toBe(false);
  });
});

describe('pages beside each other', () => {
  it('lose no edit of each other, whoever saves when: every field is as its page set it last', async () => {
    const act = fc.record({
      page: fc.nat(2),
      massKg: fc.integer({ min: 500, max: 3000 }),
      wait: fc.constantFrom(0, 1, 40, 130, 400),
    });
    await fc.assert(
      fc.asyncProperty(fc.array(act, { minLength: 2, maxLength: 14 }), async (acts) => {
        const storage = memoryStore();
        const all = pages(storage, 3);
        const wanted = demoProject.cars.map((car) => car.massKg);
        for (const { page, massKg, wait } of acts) {
          all[page].edit('Mass', mass(page, massKg));
          wanted[page] = massKg;
          await vi.advanceTimersByTimeAsync(wait);
        }
        await vi.advanceTimersByTimeAsync(3000);
        expect((await stored(storage)).cars.map((car) => car.massKg)).toEqual(wanted);
        for (const page of all) {
          expect(page.getState().history.value.cars.map((car) => car.massKg)).toEqual(wanted);
          expect(page.unsaved).toBe(false);
        }
      }),
      { numRuns: 60 },
    );
  });

  it('keep their own plan on the workbench, and can undo what came from elsewhere', async () => {
    const [here, there] = pages(memoryStore(), 2);
    here.edit('Name', (p) => ({ ...p, name: 'From here', selectedPlanId: p.plans[1].id }));
    await here.saveNow();
    await vi.advanceTimersByTimeAsync(10);
    expect(there.getState().history.value).toMatchObject({
      name: 'From here',
      selectedPlanId: demoProject.selectedPlanId,
    });
    there.undo();
    expect(there.getState().history.value).toEqual(demoProject);
  });

  it('say what both changed, keep their own, and one undo shows the other', async () => {
    const storage = memoryStore();
    const [here, there] = [0, 1].map(() => new ProjectStore({ project: demoProject, storage }));
    here.edit('Mass', mass(0, 1001));
    await here.saveNow();
    there.edit('Mass', (p) => renamed('Both')(mass(0, 1002)(p)));
    await there.saveNow();
    expect(there.getState().notice).toMatch(/Mass of “Tarn Two club car” \(1002 here, 1001 there\)/);
    expect((await stored(storage)).cars[0].massKg).toBe(1002);
    there.undo();
    expect(there.getState().history.value.cars[0].massKg).toBe(1001);
    there.dismiss();
    expect(there.getState().notice).toBeNull();
  });

  it('keep aside what cannot be joined, and what a newer program stored', async () => {
    const storage = memoryStore();
    const [here, there] = [0, 1].map(() => new ProjectStore({ project: demoProject, storage }));
    // Here a car and its plans go; there another plan comes to use it.
    const [plan] = demoProject.plans;
    here.edit('Deleted', (p) => ({
      ...p,
      plans: p.plans.filter((q) => q.carId !== plan.carId),
      cars: p.cars.filter((c) => c.id !== plan.carId),
      preparations: p.preparations.filter((w) => w.carId !== plan.carId),
      tests: p.tests.filter((t) => t.carId !== plan.carId),
      sets: p.sets.filter((s) => s.carId !== plan.carId),
      seasons: p.seasons.filter((s) => s.carId !== plan.carId),
      entries: p.entries.filter((e) => e.carId !== plan.carId),
      selectedPlanId: p.plans.find((q) => q.carId !== plan.carId)?.id ?? '',
    }));
    await here.saveNow();
    there.edit('Copied', (p) => ({ ...p, plans: [...p.plans, { ...plan, id: 'copy' }] }));
    await there.saveNow();
    expect(there.getState().notice).toMatch(/kept/);
    expect((await stored(storage)).plans.some((p) => p.id === 'copy')).toBe(true);
    expect((await keptTexts(storage)).length).toBe(1);

    const newer = JSON.stringify({ ...demoProject, version: 99 });
    storage.kept.set('project', { revision: 40, text: newer });
    there.edit('Name', renamed('Older program'));
    await there.saveNow();
    expect((await keptTexts(storage)).map((kept) => kept.text)).toContain(newer);
    expect((await stored(storage)).name).toBe('Older program');
  });
});
