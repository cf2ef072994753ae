import { describe, expect, it } from 'vitest';
import { demoProject } from '../../../demo/project';
import { type EntryOf, type LogEntry, newEntry, putEntries, putEntry } from '../../model';
import { readLogbook, writeLogbook } from './logbookTable';

const [car] = demoProject.cars;
const known = { carId: car.id, planId: 'plan-tarn-anvil', circuitId: demoProject.circuits[0].id };
const read = (text: string, project = demoProject) => {
  let n = 0;
  const table = readLogbook(text, project, { ...known, newId: () => `new-${++n}` });
  if (!table.ok) throw new Error(table.problems.map(({ path, message }) => `${path}: ${message}`).join('\n'));
  return table.entries;
};
const said = (text: string) => {
  const table = readLogbook(text, demoProject, { ...known, newId: () => 'new' });
  return table.ok ? [] : table.problems.map(({ path, message }) => `${path}: ${message}`);
};

describe('a logbook as a table', () => {
  it('comes back as it went out, every kind of line, and changes nothing that it does not say', () => {
    const own: LogEntry[] = [
      {
        ...newEntry('session', { id: 'a', date: '2027-03-20', ...known }),
        name: 'Rain, "heavy"; first',
        time: '09:05',
        eventId: 'march',
        symptoms: ['smell', 'long pedal'],
        track: 'wet',
        incident: true,
        note: 'one, two\nthree',
        photos: [{ id: 'p', name: 'p.jpg', widthPx: 3, heightPx: 2, bytes: 9 }],
      },
      {
        ...newEntry('fitted', { id: 'b', date: '2027-03-21', ...known }),
        sets: { 'front pads': null },
        swapped: true,
      },
      { ...newEntry('fluid', { id: 'c', date: '2027-03-22', ...known }), deed: 'boil test', boilingC: 231.5 },
    ];
    const project = putEntries(demoProject, own);
    const back = read(writeLogbook(project, project.entries), project);
    expect(back).toEqual(project.entries);
    // Cracks, states and pictures are in no column; they stay.
    expect(putEntries(project, back)).toEqual(project);
  });

  it('takes new lines without an id, units from headings, decimal commas of the continent', () => {
    const [session, looked] = read(
      'Kind;Date;Hot laps;Air (°F);Front pads;FL inner leading (in);FL rotor (mm)\nsession;2027-04-01;7;68;FP-4;;\ninspection;2027-04-01;;;FP-4;0,25;24,2/24,25',
    );
    expect(session).toMatchObject({
      id: 'new-1',
      hotLaps: 7,
      airC: 20,
      sets: { 'front pads': 'set-fp-4' },
      ...known,
    });
    const wheel = (looked as EntryOf<'inspection'>).wheels.frontLeft;
    expect(wheel?.innerLeadingMm).toBeCloseTo(6.35, 6);
    expect(wheel?.rotorMm).toEqual([24.2, 24.25]);
  });

  it('changes a line that is there, and no other column of it', () => {
    const [changed] = read('Id,Kind,Date,Hot laps\napril-1,session,2026-04-18,9\n');
    const before = demoProject.entries.find(({ id }) => id === 'april-1');
    expect(changed).toEqual({ ...before, hotLaps: 9 });
    expect(putEntry(demoProject, changed).entries).toHaveLength(demoProject.entries.length);
  });

  it.each([
    ['Date,What\n2027-01-01,x', 'line 1: A logbook needs the columns Kind and Date'],
    ['Kind,Date\n', 'line 2: There is no line'],
    ['Kind,Date\nrace,2027-01-01', 'line 2: “race” is no kind of line'],
    ['Kind,Date\nnote,yesterday', 'line 2: Date must be a date like'],
    ['Kind,Date,Hot laps\nsession,2027-01-01,many', 'line 2: Hot laps: “many” is no number'],
    ['Kind,Date,Hot laps\nsession,2027-01-01,900', 'line 2: Hot laps '],
    ['Kind,Date,Front pads\nsession,2027-01-01,FP-9', 'line 2: Front pads: nothing here is called “FP-9”'],
    ['Kind,Date,Incident\nnote,2027-01-01,perhaps', 'line 2: Incident: “perhaps” is neither'],
    ['Kind,Date,Air (K)\nsession,2027-01-01,290', 'line 1: “Air” is in K'],
    ['Kind,Date,Done\nfluid,2027-01-01,strip', 'line 2: Copper must be given'],
  ])('says where and why: %j', (text, message) => {
    expect(said(text)[0]).toContain(message);
  });
});
