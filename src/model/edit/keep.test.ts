import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoProject } from '../../../demo/project';
import { newEntry } from '../guided/newKeep';
import type { EntryOf, FluidDeed } from '../schema/logEntry';
import type { Project } from '../schema/project';
import { attemptEdit } from './attempt';
import * as edits from './edits';
import { joinLogbook } from './keep';

const [car] = demoProject.cars;
const TODAY = '2026-11-28';
const line = (deed: FluidDeed, more: Partial<EntryOf<'fluid'>>): EntryOf<'fluid'> => ({
  ...newEntry('fluid', { id: 'fluid-new', carId: car.id, date: TODAY }),
  deed,
  ...more,
});
const carOf = (project: Project) => project.cars.find(({ id }) => id === car.id);

function made(project: Project, change: (p: Project) => Project): Project {
  const edited = attemptEdit(project, change);
  if (!edited.ok) throw new Error(edited.problems.map(({ message }) => message).join('; '));
  return edited.project;
}

describe('a line of the fluid', () => {
  it('takes from its bottle what was used, opens it on its day, and no bottle goes under nothing', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 2000, noNaN: true }), fc.boolean(), (usedCm3, renewed) => {
        const written = line(renewed ? 'renewed' : 'bled', { bottleId: 'bottle-1', usedCm3, newPercent: 60 });
        const [first, second] = made(demoProject, (p) => edits.putFluid(p, written, TODAY)).bottles;
        const [before, other] = demoProject.bottles;
        expect(first.leftCm3).toBeCloseTo(Math.max(0, before.leftCm3 - usedCm3), 9);
        expect(first.openedOn).toBe(before.openedOn ?? TODAY);
        expect(second).toEqual(other);
      }),
      { numRuns: 50 },
    );
    // Without a bottle, or without a volume, the shelf is as it was.
    for (const written of [
      line('renewed', { usedCm3: 300 }),
      line('renewed', { bottleId: 'bottle-1' }),
      line('strip', { copperPpm: 80 }),
    ])
      expect(edits.putFluid(demoProject, written, TODAY).bottles).toEqual(demoProject.bottles);
  });

  it('begins the age of the car’s fluid anew where it was renewed, and is its boiling point where it was tested', () => {
    const old = made(demoProject, (p) => ({
      ...p,
      cars: p.cars.map((own) => ({
        ...own,
        fluid: { ...own.fluid, ageMonths: 20, measuredBoilingC: 190 },
        fitted: { ...own.fitted, fluid: '2026-04-16' },
      })),
    }));
    const renewed = made(old, (p) => edits.putFluid(p, line('renewed', {}), TODAY));
    expect(carOf(renewed)).toMatchObject({
      fluid: { ageMonths: 0, measuredBoilingC: null },
      fitted: { fluid: TODAY },
    });
    expect(renewed.cars[1].fluid.ageMonths).toBe(20);
    const earlier = made(old, (p) => edits.putFluid(p, line('renewed', { date: '2026-05-28' }), TODAY));
    expect(carOf(earlier)?.fluid.ageMonths).toBeCloseTo(6, 0);
    const tested = made(old, (p) => edits.putFluid(p, line('boil test', { boilingC: 221 }), TODAY));
    expect(carOf(tested)?.fluid).toMatchObject({ ageMonths: 20, measuredBoilingC: 221 });
    // Of fluid that is no longer in, nothing is said of what is.
    for (const past of [
      line('renewed', { date: '2026-01-10' }),
      line('boil test', { date: '2026-01-10', boilingC: 180 }),
    ])
      expect(carOf(edits.putFluid(old, past, TODAY))).toEqual(carOf(old));
    for (const deed of ['bled', 'strip', 'refractometer', 'over temperature'] as const)
      expect(carOf(edits.putFluid(old, line(deed, {}), TODAY))).toEqual(carOf(old));
  });

  it('is written of itself when a preparation’s bleeding is finished', () => {
    const [work] = demoProject.preparations;
    const done = { by: 'Imke', at: '2026-06-27T19:40:00Z' };
    const bled = made(demoProject, (p) => edits.finishBleeding(p, work.id, done, { 'bottle-1': 480 }));
    expect(bled.entries).toHaveLength(demoProject.entries.length + 1);
    expect(bled.entries.at(-1)).toMatchObject({
      kind: 'fluid',
      deed: 'renewed',
      carId: work.carId,
      date: '2026-06-27',
      time: '19:40',
      by: 'Imke',
      bottleId: 'bottle-1',
      usedCm3: 480,
    });
    // Finished a second time at the same moment it is still one line.
    expect(edits.finishBleeding(bled, work.id, done, {}).entries).toHaveLength(bled.entries.length);
  });
});

describe('what sessions took', () => {
  it('is kept of those that had none, and says whether a log told', () => {
    const sessions = demoProject.entries.filter(({ kind }) => kind === 'session').slice(0, 3);
    const wheel = {
      energyMj: 10,
      innerPadMm: 0.2,
      outerPadMm: 0.2,
      rotorMm: 0.01,
      fatigue: 0.01,
      rotorC: 500,
      padC: 560,
      fluidC: 120,
    };
    const load = { frontLeft: wheel, frontRight: wheel, rearLeft: wheel, rearRight: wheel };
    const loads = new Map(sessions.map(({ id }) => [id, load]));
    const kept = made(demoProject, (p) => edits.keepLoads(p, loads, new Set([sessions[1].id])));
    const by = sessions.map(({ id }) => kept.entries.find((own) => own.id === id));
    expect(by.map((own) => own?.kind === 'session' && own.loadBy)).toEqual(['laps', 'log', 'laps']);
    const twice = { ...wheel, energyMj: 99 };
    const other = { frontLeft: twice, frontRight: twice, rearLeft: twice, rearRight: twice };
    // What is kept no longer moves.
    expect(edits.keepLoads(kept, new Map(sessions.map(({ id }) => [id, other])), new Set()).entries).toEqual(
      kept.entries,
    );
  });
});

describe('two devices’ logbooks', () => {
  const note = (id: string, text: string) => ({
    ...newEntry('note', { id, carId: car.id, date: TODAY }),
    name: text,
  });

  it('joined have every line of both, this one’s where both have it, whichever is joined to which', () => {
    const text = fc.string({ minLength: 1, maxLength: 12 }).filter((own) => own.trim() !== '');
    const lines = fc.uniqueArray(fc.tuple(fc.integer({ min: 0, max: 9 }), text), {
      selector: ([id]) => id,
      maxLength: 8,
    });
    fc.assert(
      fc.property(lines, lines, (mine, theirs) => {
        const of = (own: readonly (readonly [number, string])[]) =>
          edits.putEntries(
            { ...demoProject, entries: [] },
            own.map(([id, name]) => note(`n${id}`, name)),
          );
        const [a, b] = [of(mine), of(theirs)];
        const { project, added, differ } = joinLogbook(a, b);
        const ids = (own: Project) => own.entries.map(({ id }) => id).sort();
        expect(ids(project)).toEqual(ids(joinLogbook(b, a).project));
        expect(project.entries).toHaveLength(a.entries.length + added);
        for (const entry of a.entries) expect(project.entries).toContainEqual(entry);
        const clash = a.entries.filter((own) =>
          b.entries.some((other) => other.id === own.id && other.name !== own.name),
        );
        expect(differ).toHaveLength(clash.length);
        // Joined once more it brings nothing.
        expect(joinLogbook(project, b).added).toBe(0);
      }),
      { numRuns: 60 },
    );
  });

  it('bring nothing of a car that is not here', () => {
    const other = edits.putEntry(demoProject, { ...note('far', 'Elsewhere'), carId: 'car-of-another' });
    expect(joinLogbook(demoProject, other)).toMatchObject({ added: 0, differ: [] });
  });
});
