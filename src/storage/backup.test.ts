import fc from 'fast-check';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { describe, expect, it } from 'vitest';
import { memoryStore } from '../../tests/support/memoryStore';
import type { RawLog } from '../core';
import { type Backup, bytesOf, numbersOf, readBackup, writeBackup } from '../io';
import { blankProject, readProject, writeProject } from '../model';
import { type BackupMode, collectBackup, previewBackup, restoreBackup, type Stores } from './backup';
import { keepAside, keptTexts } from './keptAside';
import {
  keepLog,
  type LogEntry,
  listLogs,
  openKeptLog,
  rememberedMapping,
  rememberMapping,
} from './logStorage';
import { keepPhoto, openPhoto } from './photoStorage';
import { addProject, listProjects, projectText } from './projectSlots';
import { openProject } from './projectStorage';
import { beginWork, keepPiece, keptWork } from './runStorage';

const MADE = '2026-11-28T20:15:00.000Z';
const empty = (): Stores => ({
  projects: memoryStore(),
  logs: memoryStore(),
  photos: memoryStore(),
  runs: memoryStore(),
});
const entryOf = (id: string, name: string): LogEntry => ({
  id,
  name,
  source: 'sunday.csv',
  added: '2026-11-01T10:00:00.000Z',
  samples: 3,
  duration: 0.1,
  channels: ['speed', 'latitude'],
  notes: ['One gap was filled.'],
  found: [],
  lineOf: { first: 2, perSample: 1 },
});
const raw: RawLog = {
  time: Float64Array.of(0, 0.05, 0.1),
  channels: {
    speed: Float32Array.of(31.25, Number.NaN, -0),
    latitude: Float64Array.of(47.123456789012, 1e-300, 3),
  },
};
const named = (name: string) => writeProject(blankProject(name));

/** A browser in which everything is used. */
async function used(): Promise<Stores> {
  const stores = empty();
  await addProject(stores.projects, named('Mine'), '');
  await addProject(stores.projects, named('Second'), 'slot-2');
  await addProject(stores.projects, '{"name":"From the future","version":999}', 'slot-3');
  await keepPhoto(stores.photos, 'photo-1', Uint8Array.of(255, 216, 0, 1));
  await keepLog(stores.logs, entryOf('log-a', 'Sunday'), raw);
  await keepLog(stores.logs, entryOf('log-b', 'Monday'), { ...raw, time: Float64Array.of(5, 6, 7) });
  await rememberMapping(stores.logs, 'time|v', { time: 0, speed: 1 });
  await keepAside(stores.projects, 'garbled', [{ path: 'cars', message: 'is none', severity: 'error' }]);
  const started = await beginWork(stores.runs, 'a question', 3);
  await keepPiece(stores.runs, started, 1, Float32Array.of(1.5, Number.NaN));
  return stores;
}
const made = (stores: Stores) =>
  collectBackup(stores, { made: MADE, preferences: { theme: 'dark', us: ['mass'] } });
const through = (backup: Backup) => {
  const read = readBackup(writeBackup(backup));
  if (!read.ok) throw new Error(read.problems[0].message);
  return read;
};
let n = 0;
const restore = (stores: Stores, backup: Backup, mode: BackupMode) =>
  restoreBackup(stores, backup, mode, () => `fresh-${++n}`);

describe('a backup', () => {
  it('brings everything to an empty browser, and is the same when it is made there again', async () => {
    for (const mode of ['add', 'replace'] as const) {
      const from = await made(await used());
      const to = empty();
      expect(await restore(to, through(from), mode)).toBe('');
      expect(await listProjects(to.projects)).toEqual([
        { slot: 'slot-3', name: 'From the future' },
        { slot: '', name: 'Mine' },
        { slot: 'slot-2', name: 'Second' },
      ]);
      expect(await openProject(to.projects)).toMatchObject({ kind: 'project', project: { name: 'Mine' } });
      expect(await openPhoto(to.photos, 'photo-1')).toEqual(Uint8Array.of(255, 216, 0, 1));
      expect((await listLogs(to.logs)).map(({ name }) => name)).toEqual(['Monday', 'Sunday']);
      const log = await openKeptLog(to.logs, 'log-a');
      expect(log?.time).toEqual(raw.time);
      expect(log?.channels.speed).toEqual(raw.channels.speed);
      expect(log?.channels.latitude).toEqual(raw.channels.latitude);
      expect(await rememberedMapping(to.logs, 'time|v')).toEqual({ time: 0, speed: 1 });
      expect((await keptTexts(to.projects)).map(({ text, why }) => [text, why])).toEqual([
        ['garbled', 'cars: is none'],
      ]);
      expect((await keptWork(to.runs))?.pieces).toEqual([null, Float32Array.of(1.5, Number.NaN), null]);
      const again = await made(to);
      expect({ ...again.list, aside: [] }).toEqual({ ...from.list, aside: [] });
      expect([...again.files]).toEqual([...from.files]);
    }
  });

  it('taken in twice brings nothing more; what is here stays, and what differs stands beside it under its own name', async () => {
    const stores = await used();
    const backup = through(await made(stores));
    const before = await made(stores);
    await restore(stores, backup, 'add');
    expect(await made(stores)).toEqual(before);
    // Worked on since.
    const later = named('Mine, worked on');
    await stores.projects.setItem('project', { revision: 7, text: later });
    const preview = await previewBackup(stores, backup);
    expect(preview.projects.map(({ name, state }) => [name, state])).toEqual([
      ['From the future', 'same'],
      ['Mine', 'differs'],
      ['Second', 'same'],
    ]);
    expect(preview.projects[0].unreadable).not.toBe('');
    expect(preview).toMatchObject({ photos: 1, newPhotos: 0, aside: 1, made: MADE });
    expect(preview.logs.every(({ there }) => there)).toBe(true);
    await restore(stores, backup, 'add');
    expect(await projectText(stores.projects, '')).toBe(later);
    const names = (await listProjects(stores.projects)).map(({ name }) => name);
    expect(names).toEqual(['From the future', 'Mine (backup of 2026-11-28)', 'Mine, worked on', 'Second']);
  });

  it('that replaces keeps aside what goes, and raises the count by which another page sees it', async () => {
    const backup = through(await made(await used()));
    const stores = empty();
    await stores.projects.setItem('project', { revision: 7, text: named('Mine, worked on') });
    await addProject(stores.projects, named('Only here'), 'slot-9');
    await keepLog(stores.logs, entryOf('log-z', 'Only here'), raw);
    expect(await restore(stores, backup, 'replace')).toBe('');
    expect((await listProjects(stores.projects)).map(({ slot }) => slot).sort()).toEqual([
      '',
      'slot-2',
      'slot-3',
    ]);
    expect(await openProject(stores.projects)).toMatchObject({ project: { name: 'Mine' }, revision: 8 });
    const aside = (await keptTexts(stores.projects)).map(({ text }) => text);
    expect(aside).toEqual(expect.arrayContaining([named('Mine, worked on'), named('Only here'), 'garbled']));
    expect((await listLogs(stores.logs)).map(({ name }) => name)).toEqual(['Monday', 'Sunday']);
    // Its values stay for a day.
    expect(await openKeptLog(stores.logs, 'log-z')).not.toBeNull();
  });

  it('cut off at any moment loses nothing that was here, and can be taken in again', async () => {
    const backup = through(await made(await used()));
    const before = named('Mine, worked on');
    for (let after = 0; after < 24; after++) {
      const stores = empty();
      await stores.projects.setItem('project', { revision: 3, text: before });
      let left = after;
      const failing = <S extends { setItem(key: string, value: unknown): Promise<unknown> }>(
        store: S,
      ): S => ({
        ...store,
        setItem: (key: string, value: unknown) => {
          if (left-- <= 0) throw Object.assign(new Error('full'), { name: 'QuotaExceededError' });
          return store.setItem(key, value);
        },
      });
      const broken: Stores = {
        projects: failing(stores.projects),
        logs: failing(stores.logs),
        photos: failing(stores.photos),
        runs: failing(stores.runs),
      };
      await restore(broken, backup, 'replace').catch(() => {});
      const texts = [
        ...(await Promise.all(
          (await listProjects(stores.projects)).map(({ slot }) => projectText(stores.projects, slot)),
        )),
        ...(await keptTexts(stores.projects)).map(({ text }) => text),
      ];
      expect(texts, `cut off after ${after}`).toContain(before);
      await restore(stores, backup, 'replace');
      expect((await listProjects(stores.projects)).map(({ name }) => name)).toEqual([
        'From the future',
        'Mine',
        'Second',
      ]);
      expect(await listLogs(stores.logs)).toHaveLength(2);
    }
  });

  it('with a project of an older version opens it as the present one, and leaves a newer one as it is', async () => {
    const stores = empty();
    const old = { ...JSON.parse(named('Old')), version: 13 };
    await addProject(stores.projects, JSON.stringify(old), '');
    const to = empty();
    await restore(to, through(await made(stores)), 'add');
    const found = await openProject(to.projects);
    expect(found).toMatchObject({
      kind: 'project',
      project: { name: 'Old', version: blankProject('').version },
    });
    const newer = through(await made(await used()));
    expect(
      newer.list.projects.some(({ file }) => !readProject(strFromU8(newer.files.get(file) as Uint8Array)).ok),
    ).toBe(true);
  });
});

describe('a backup that is none', () => {
  const parts = async () => unzipSync(writeBackup(await made(await used())));
  const refusal = (files: Record<string, Uint8Array>) => {
    const read = readBackup(zipSync(files));
    return read.ok ? 'taken' : `${read.problems[0].path} ${read.problems[0].message}`;
  };
  const changed = async (change: (list: Record<string, unknown>) => unknown) => {
    const whole = await parts();
    const list = change(JSON.parse(strFromU8(whole['backup.json'])));
    return refusal({ ...whole, 'backup.json': strToU8(JSON.stringify(list)) });
  };

  it('is refused with the place and what was expected', async () => {
    expect(readBackup(Uint8Array.of(1, 2, 3))).toMatchObject({ ok: false });
    expect(refusal({ 'project.json': strToU8('{}') })).toContain('It has no backup.json');
    expect(refusal({ 'backup.json': strToU8('{') })).toMatch(/^backup\.json .*JSON/);
    expect(await changed((list) => ({ ...list, version: 2 }))).toContain('reads up to version 1');
    expect(await changed((list) => ({ ...list, format: 'other' }))).toMatch(/^backup\.json: format /);
    expect(await changed((list) => ({ ...list, made: 'yesterday' }))).toMatch(/^backup\.json: made /);
    expect(await changed((list) => ({ ...list, photos: [{ id: '../x', file: 'photos/../../x' }] }))).toMatch(
      /^backup\.json: photos\.0/,
    );
    const { 'logs/1-0.bin': _gone, ...holed } = await parts();
    expect(refusal(holed)).toContain('1 file that it lists is missing (logs/1-0.bin)');
    expect(refusal({ ...(await parts()), 'logs/1-1.bin': new Uint8Array(8) })).toContain('“Monday”');
    expect(refusal({ ...(await parts()), 'logs/2-0.bin': new Uint8Array(23) })).toContain('“Sunday”');
  });

  it('is never taken half: any of its bytes changed, it is refused or whole', async () => {
    const whole = writeBackup(await made(await used()));
    fc.assert(
      fc.property(fc.nat(whole.length - 1), fc.integer({ min: 1, max: 255 }), fc.boolean(), (at, by, cut) => {
        const odd = cut ? whole.slice(0, at) : Uint8Array.from(whole);
        if (!cut) odd[at] ^= by;
        const read = readBackup(odd);
        if (!read.ok) return read.problems[0].message.length > 5;
        return read.list.logs.every(({ columns }) => columns.every(({ file }) => read.files.has(file)));
      }),
      { numRuns: 150 },
    );
  });
});

describe('numbers as bytes', () => {
  it('come back bit for bit, whatever they are', () => {
    fc.assert(
      fc.property(fc.float64Array({ maxLength: 40 }), fc.float32Array({ maxLength: 40 }), (wide, narrow) => {
        expect(numbersOf(bytesOf(wide), 'float64')).toEqual(wide);
        expect(numbersOf(bytesOf(narrow), 'float32')).toEqual(narrow);
      }),
    );
    // 1 as IEEE 754 has it, the least significant byte first.
    expect([...bytesOf(Float64Array.of(1))]).toEqual([0, 0, 0, 0, 0, 0, 240, 63]);
    expect(() => numbersOf(new Uint8Array(7), 'float32')).toThrow('7 bytes');
  });
});
