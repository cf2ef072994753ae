import { strToU8, zipSync } from 'fflate';
import { describe, expect, it } from 'vitest';
import { demoProject } from '../../demo/project';
import { type LogEntry, type Project, putEntry } from '../model';
import { readBundle, writeBundle } from './bundle';

const photo = (id: string, bytes: number) => ({ id, name: `${id}.png`, widthPx: 40, heightPx: 30, bytes });
const withPhotos = (...ids: string[]): Project => {
  const entry = demoProject.entries[5];
  return putEntry(demoProject, { ...entry, photos: ids.map((id) => photo(id, 300)) } as LogEntry);
};
const noise = (seed: number) => Uint8Array.from({ length: 300 }, (_, i) => (i * seed * 97 + (i >> 3)) & 255);
const said = (bytes: Uint8Array) => {
  const read = readBundle(bytes);
  return read.ok ? [] : read.problems.map(({ message }) => message);
};

describe('a project with its pictures in one file', () => {
  it('comes back byte for byte, pictures too; what no line speaks of stays out', () => {
    const project = withPhotos('one', 'two');
    const photos = new Map([
      ['one', noise(3)],
      ['two', noise(7)],
      ['stray', noise(11)],
    ]);
    const read = readBundle(writeBundle(project, photos));
    expect(read).toMatchObject({ ok: true, project, missing: [] });
    if (!read.ok) return;
    expect([...read.photos.keys()]).toEqual(['one', 'two']);
    expect(read.photos.get('one')).toEqual(noise(3));
    expect(read.photos.get('two')).toEqual(noise(7));
  });

  it('names the pictures it has no file of', () => {
    const read = readBundle(writeBundle(withPhotos('one', 'two'), new Map([['two', noise(7)]])));
    expect(read).toMatchObject({ ok: true, missing: ['one.png'] });
  });

  it('is refused with a reason where it is none, broken, empty or swells', () => {
    expect(said(strToU8('no zip at all'))).toEqual([expect.stringContaining('no zip file that can be read')]);
    expect(said(writeBundle(demoProject, new Map()).subarray(0, 900))).toHaveLength(1);
    expect(said(zipSync({ 'other.txt': strToU8('x') }))[0]).toContain('project.json');
    expect(said(zipSync({ 'project.json': strToU8('{"format":"something"}') }))).toHaveLength(1);
    const zeros = new Uint8Array(60_000_000);
    expect(said(zipSync({ 'project.json': [zeros, { level: 0 }] }))[0]).toContain('unfolds to more than');
  });
});
