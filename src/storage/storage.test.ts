import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoProject } from '../../demo/project';
import { memoryStore } from '../../tests/support/memoryStore';
import type { RawLog } from '../core';
import type { Project } from '../model';
import { deleteKept, keptTexts } from './keptAside';
import type { KeyValueStore } from './keyValueStore';
import {
  keepLog,
  type LogEntry,
  listLogs,
  openKeptLog,
  relistLog,
  rememberedMapping,
  rememberMapping,
  renameLog,
  sweepLogs,
  unlistLog,
} from './logStorage';
import { openProject, saveProject } from './projectStorage';
import { beginWork, forgetWork, keepPiece, keptPieces } from './runStorage';

const failing = (name: string): KeyValueStore => {
  const fail = async () => {
    throw Object.assign(new Error('it said no'), { name });
  };
  return { getItem: fail, setItem: fail, removeItem: fail, keys: fail };
};

describe('storage', () => {
  const joins = async (theirs: Project) => theirs;
  const save = (store: KeyValueStore, project: Project, known = -1) =>
    saveProject(store, () => project, { revision: known, edits: {} }, joins);

  it('opens what it saved, with how often it was saved before', async () => {
    const store = memoryStore();
    expect(await openProject(store)).toEqual({ kind: 'nothing' });
    const project = { ...demoProject, name: 'Another' };
    expect(await save(store, project)).toEqual({ project, revision: 1, edits: {} });
    expect(await openProject(store)).toEqual({ kind: 'project', project, revision: 1, edits: {} });
    expect(await save(store, project, 1)).toEqual({ project, revision: 2, edits: {} });
    // Whoever has not seen the newest joins it first.
    expect(await save(store, demoProject, 1)).toEqual({ project, revision: 3, edits: {} });
  });

  it('opens a text that was stored without a revision', async () => {
    const store = memoryStore({ project: JSON.stringify(demoProject) });
    expect(await openProject(store)).toEqual({
      kind: 'project',
      project: demoProject,
      revision: 0,
      edits: {},
    });
  });

  it.each(['{"format":"ferv', 42, { some: 'object' }])(
    'keeps aside what it cannot read, once, and says what was wrong: %j',
    async (value) => {
      const store = memoryStore({ project: value });
      const found = await openProject(store);
      if (found.kind !== 'unreadable') throw new Error(`found ${found.kind}`);
      expect(found.problems[0].message).not.toBe('');
      expect(store.kept.get('project')).toBe(value);
      await openProject(store);
      await save(store, demoProject);
      const [kept, ...more] = await keptTexts(store);
      expect(more).toEqual([]);
      expect(kept).toMatchObject({ key: found.keptAs, text: found.text });
      expect(kept.why).toContain(found.problems[0].message);
      await deleteKept(store, kept.key);
      expect(await keptTexts(store)).toEqual([]);
      expect((await openProject(store)).kind).toBe('project');
    },
  );

  it('claims no copy that failed, and saves nothing over the only one', async () => {
    const store = memoryStore({ project: 'garbled' });
    const full = { ...store, setItem: failing('QuotaExceededError').setItem };
    expect(await openProject(full)).toMatchObject({ kind: 'unreadable', keptAs: null, text: 'garbled' });
    await expect(save(full, demoProject)).rejects.toThrow(/is full/);
    expect(store.kept.get('project')).toBe('garbled');
  });

  it('says in words that it is full or blocked', async () => {
    const full = { ...memoryStore(), setItem: failing('QuotaExceededError').setItem };
    await expect(save(full, demoProject)).rejects.toThrow(/is full/);
    await expect(save(failing('SecurityError'), demoProject)).rejects.toThrow(/blocks storage/);
    expect(await openProject(failing('Error'))).toEqual({
      kind: 'blocked',
      reason: 'the browser’s storage answers: it said no',
    });
  });
});

describe('kept logs', () => {
  const raw = (n: number): RawLog => ({
    time: Float64Array.from({ length: n }, (_, i) => i / 10),
    channels: { speed: Float32Array.from({ length: n }, (_, i) => 20 + i) },
  });
  const entry = (id: string, name: string): LogEntry => ({
    id,
    name,
    source: 'a.csv',
    added: '2026-11-25T09:00:00Z',
    samples: 30,
    duration: 2.9,
    channels: ['speed'],
    notes: [],
    found: [],
    lineOf: { first: 2, perSample: 1 },
  });
  const store = () => {
    const own = memoryStore();
    return {
      ...own,
      removeItem: async (key: string) => void own.kept.delete(key),
    };
  };

  it('are listed newest first, opened, renamed, removed and put back', async () => {
    const own = store();
    await keepLog(own, entry('a', 'Morning'), raw(30));
    await keepLog(own, entry('b', 'Noon'), raw(40));
    await renameLog(own, 'a', 'Early');
    expect((await listLogs(own)).map((e) => e.name)).toEqual(['Noon', 'Early']);
    expect(await openKeptLog(own, 'b')).toEqual(raw(40));
    const gone = await unlistLog(own, 'a');
    expect((await listLogs(own)).map((e) => e.id)).toEqual(['b']);
    if (gone) await relistLog(own, gone);
    expect(await openKeptLog(own, 'a')).toEqual(raw(30));
    // What was removed stays for a day; what never was on the list, because it is being kept, stays for good.
    const day = 24 * 3600 * 1000;
    await unlistLog(own, 'b', 1000);
    own.kept.set('log-c', raw(5));
    await sweepLogs(own, 999 + day);
    expect(await openKeptLog(own, 'b')).toEqual(raw(40));
    await sweepLogs(own, 1000 + day);
    expect(await openKeptLog(own, 'b')).toBeNull();
    expect(await openKeptLog(own, 'c')).toEqual(raw(5));
    expect(await openKeptLog(own, 'a')).toEqual(raw(30));
    // The same recording kept again while it grows stays one.
    await renameLog(own, 'a', 'Named while it grew');
    await keepLog(own, entry('a', 'Live'), raw(50));
    expect((await listLogs(own))[0].name).toBe('Named while it grew');
    expect(await listLogs(own)).toHaveLength(1);
  });
  it('remember a confirmed mapping by the layout of its file', async () => {
    const own = store();
    await rememberMapping(own, 'one', { rate: 5 });
    await rememberMapping(own, 'two', { rate: 9 });
    await rememberMapping(own, 'one', { rate: 7 });
    expect(await rememberedMapping(own, 'one')).toEqual({ rate: 7 });
    expect(await rememberedMapping(own, 'three')).toBeNull();
  });
  it('say when they do not fit, and a garbled list is an empty one', async () => {
    const full = { ...failing('QuotaExceededError'), removeItem: async () => {} };
    await expect(keepLog(full, entry('a', 'A'), raw(30))).rejects.toThrow(/storage is full/);
    expect(await listLogs({ ...store(), getItem: async () => 'nonsense' })).toEqual([]);
  });
});

describe('work that can go on', () => {
  const pieces = (n: number) => Float32Array.from([n, n + 0.5]);
  const runs = () => {
    const store = memoryStore();
    return { ...store, removeItem: async (key: string) => void store.kept.delete(key) };
  };

  it('finds finished pieces of the same work again, and none of any other', async () => {
    const store = runs();
    const started = await beginWork(store, 'question', 3);
    await keepPiece(store, started, 2, pieces(2));
    await keepPiece(store, started, 0, pieces(0));
    expect(await keptPieces(store, 'question', 3)).toEqual([pieces(0), null, pieces(2)]);
    expect(await keptPieces(store, 'another', 3)).toEqual([null, null, null]);
    expect(await keptPieces(store, 'question', 4)).toEqual([null, null, null, null]);
    // Taken up again, it goes on under the same name.
    expect(await beginWork(store, 'question', 3)).toBe(started);
    await keepPiece(store, started, 1, pieces(1));
    expect(await keptPieces(store, 'question', 3)).toEqual([pieces(0), pieces(1), pieces(2)]);
  });

  it('another work takes its place and leaves nothing of it behind; what is broken is not taken for a piece', async () => {
    const store = runs();
    const first = await beginWork(store, 'question', 2);
    await keepPiece(store, first, 0, pieces(0));
    const second = await beginWork(store, 'another', 2);
    expect([...store.kept.keys()]).toEqual(['work']);
    store.kept.set(`${second}-1`, 'not a piece');
    expect(await keptPieces(store, 'another', 2)).toEqual([null, null]);
    await forgetWork(store);
    expect(store.kept.size).toBe(0);
    store.kept.set('work', 7);
    expect(await keptPieces(store, 'another', 2)).toEqual([null, null]);
  });

  it('never gives a piece to another question and leaves nothing behind, whatever is done and cut off', async () => {
    const doing = fc.array(
      fc.record({
        act: fc.constantFrom('begin', 'keep', 'forget', 'look'),
        question: fc.constantFrom('a', 'b', 'c'),
        count: fc.integer({ min: 1, max: 4 }),
        piece: fc.nat(3),
        /** Steps of the store until the page is closed in the middle of it */
        cut: fc.option(fc.nat(6), { nil: Number.POSITIVE_INFINITY }),
      }),
      { maxLength: 25 },
    );
    await fc.assert(
      fc.asyncProperty(doing, async (acts) => {
        const kept = new Map<string, unknown>();
        let left = Number.POSITIVE_INFINITY;
        const step = async () => {
          if (--left < 0) throw new Error('closed');
        };
        const store = {
          getItem: (key: string) => step().then(() => kept.get(key) ?? null),
          setItem: (key: string, value: unknown) => step().then(() => void kept.set(key, value)),
          removeItem: (key: string) => step().then(() => void kept.delete(key)),
        };
        // A value says whose it is: the question's letter and the piece.
        const value = (question: string, piece: number) => Float32Array.from([question.charCodeAt(0), piece]);
        const begun = new Map<string, string>();
        for (const { act, question, count, piece, cut } of acts) {
          const asked = `${question}/${count}`;
          left = cut;
          try {
            if (act === 'begin') begun.set(asked, await beginWork(store, asked, count));
            else if (act === 'forget') await forgetWork(store);
            else if (act === 'keep') {
              const name = begun.get(asked);
              const mine = (kept.get('work') as { asked?: string } | undefined)?.asked === asked;
              if (name && mine && piece < count) await keepPiece(store, name, piece, value(question, piece));
            }
          } catch (error) {
            expect((error as Error).message).toBe('closed');
          }
          left = Number.POSITIVE_INFINITY;
          const found = await keptPieces(store, asked, count);
          expect(found).toHaveLength(count);
          found.forEach((one, i) => {
            if (one) expect(one).toEqual(value(question, i));
          });
        }
        await beginWork(store, 'last', 2);
        expect([...kept.keys()]).toEqual(['work']);
      }),
      { numRuns: 300 },
    );
  });
});
