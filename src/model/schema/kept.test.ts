import { describe, expect, it } from 'vitest';
import { demoProject } from '../../../demo/project';
import { putEntry } from '../edit/keep';
import { deleteItem } from '../edit/library';
import { mergeProjects } from '../edit/merge';
import { readProject, writeProject } from '../file/readProject';
import { newEntry, newSeason, newSet } from '../guided/newKeep';
import type { Project } from './project';

const [car] = demoProject.cars;
const said = (change: (project: Project) => object) => {
  const read = readProject(JSON.stringify({ ...demoProject, ...change(demoProject) }));
  return read.ok ? [] : read.problems.map(({ path, message }) => `${path}: ${message}`);
};
const entryWith = (change: object) => (p: Project) => ({ entries: [{ ...p.entries[1], ...change }] });
const sessionWith = (change: object) => (p: Project) => ({
  entries: [{ ...p.entries.find(({ kind }) => kind === 'session'), ...change }],
});

describe('what is kept of a car', () => {
  it.each([
    [sessionWith({ time: '9:5' }), 'entries[0].time: must be a time like 14:30'],
    [sessionWith({ date: '3 May' }), 'entries[0].date: must be a date like 2027-05-01'],
    [sessionWith({ hotLaps: 2.5 }), 'entries[0].hotLaps'],
    [sessionWith({ sets: { 'front tyres': 'x' } }), 'entries[0].sets'],
    [
      sessionWith({ photos: [{ id: '../x', name: 'x', widthPx: 1, heightPx: 1, bytes: 1 }] }),
      'must be the name of a picture',
    ],
    [sessionWith({ carId: 'nobody' }), 'entries[0].carId: names no car of this project: nobody'],
    [
      entryWith({ ...newEntry('fluid', { id: 'f', carId: car.id, date: '2027-01-01' }), deed: 'strip' }),
      'entries[0].copperPpm: must be given',
    ],
    [entryWith({ kind: 'race' }), 'entries[0]'],
    [
      (p: Project) => ({ sets: [{ ...p.sets[0], minimumMm: 12 }] }),
      'sets[0].minimumMm: must be under its thickness new (12 mm)',
    ],
    [(p: Project) => ({ sets: [p.sets[0], p.sets[0]] }), 'sets[1].id: is used twice'],
    [(p: Project) => ({ seasons: [{ ...p.seasons[0], carId: 'nobody' }] }), 'seasons[0].carId: names no car'],
    [
      (p: Project) => ({
        seasons: [{ ...p.seasons[0], rules: { ...p.seasons[0].rules, confidencePercent: 20 } }],
      }),
      'seasons[0].rules.confidencePercent',
    ],
  ])('is refused where it cannot be, with its place: %#', (change, message) => {
    expect(said(change).join('\n')).toContain(message);
  });

  it('stays when a circuit or a plan it names is deleted, and goes with its car', () => {
    const circuit = demoProject.circuits[1].id;
    const used = {
      ...demoProject,
      plans: demoProject.plans.filter(({ circuitId }) => circuitId !== circuit),
    };
    const without = deleteItem(used, 'circuits', circuit);
    expect(without.entries).toHaveLength(demoProject.entries.length);
    expect(readProject(writeProject(without))).toEqual({ ok: true, project: without });
    const others = { ...demoProject, plans: demoProject.plans.filter(({ carId }) => carId !== car.id) };
    const gone = deleteItem({ ...others, selectedPlanId: others.plans[0].id }, 'cars', car.id);
    expect([gone.entries, gone.sets, gone.seasons]).toEqual([[], [], []]);
    expect(readProject(writeProject(gone)).ok).toBe(true);
  });

  it('of two pages has what both wrote', () => {
    const note = (id: string) => newEntry('note', { id, carId: car.id, date: '2027-01-01' });
    const [mine, theirs] = ['mine', 'theirs'].map((id) => putEntry(demoProject, note(id)));
    const { project, conflicts, whole } = mergeProjects(demoProject, mine, theirs, mine);
    expect(whole).toBe(true);
    expect(conflicts).toEqual([]);
    expect(
      project.entries
        .slice(-2)
        .map(({ id }) => id)
        .sort(),
    ).toEqual(['mine', 'theirs']);
  });

  it('is made new for every car and place, drums among them, and can be read back', () => {
    const sets = demoProject.cars.flatMap((own) =>
      (['front', 'rear'] as const).flatMap((axle) =>
        (['pads', 'rotors'] as const).map((kind) =>
          newSet(own, { id: `${own.id} ${axle} ${kind}`, name: 'new', axle, kind }),
        ),
      ),
    );
    for (const { newMm, minimumMm } of sets) expect(minimumMm).toBeLessThan(newMm);
    const project = {
      ...demoProject,
      sets,
      seasons: [newSeason(car.id, demoProject.plans[0].id, { id: 's', name: 'x' })],
    };
    expect(readProject(writeProject(project))).toEqual({ ok: true, project });
  });
});
