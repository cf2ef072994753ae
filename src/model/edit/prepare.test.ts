import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoProject } from '../../../demo/project';
import { BUILT_IN } from '../catalogue/builtIn';
import { readProject, writeProject } from '../file/readProject';
import { newPreparation } from '../guided/newPreparation';
import type { Car } from '../schema/car';
import type { Change } from '../schema/compare';
import type { Preparation } from '../schema/preparation';
import type { Project } from '../schema/project';
import { attemptEdit } from './attempt';
import * as edits from './edits';
import { deletionObstacle } from './library';
import { mergeProjects } from './merge';
import { isUsable } from './prepare';

const DONE = { by: 'Imke', at: '2026-06-27T19:40:00Z' };
const WORK = 'prepare-tarn-june';
const workOf = (project: Project) => project.preparations.find(({ id }) => id === WORK) as Preparation;
const tarnOf = (project: Project) => project.cars.find(({ id }) => id === 'car-tarn') as Car;

function made(project: Project, change: (p: Project) => Project): Project {
  const edited = attemptEdit(project, change);
  if (!edited.ok) throw new Error(edited.problems.map((p) => `${p.path} ${p.message}`).join('\n'));
  return edited.project;
}
const withWork = (change: Partial<Preparation>): Project => ({
  ...demoProject,
  preparations: [{ ...workOf(demoProject), ...change }],
});

describe('signing off', () => {
  it('fits the parts with their day, new and not bedded; what the maker said of the old ones is gone', () => {
    const figure = { torqueNm: 85, by: 'Tomas', date: '2026-06-20' };
    const before = tarnOf(demoProject);
    const known: Project = {
      ...demoProject,
      cars: demoProject.cars.map((car) =>
        car.id === before.id
          ? {
              ...car,
              workshop: {
                ...car.workshop,
                torques: { 'front caliper bolts': figure, 'rear caliper bolts': figure },
              },
            }
          : car,
      ),
    };
    const project = made(known, (p) => edits.signOff(p, WORK, DONE));
    const car = tarnOf(project);
    expect(car.front).toMatchObject({ pad: 'enduro', padThicknessMm: 12, beddedPercent: 0 });
    expect(car.rear.beddedPercent).toBe(100);
    expect(car.fluid).toMatchObject({ kind: 'race', ageMonths: 0 });
    expect(car.fitted).toMatchObject({
      'front pads': '2026-06-27',
      fluid: '2026-06-27',
      'front rotors': '2025-08-16',
    });
    expect(car.workshop.front).toMatchObject({ padMinimumMm: null, rotorMinimumMm: 23 });
    expect(Object.keys(car.workshop.torques)).toEqual(['front caliper bolts', 'rear caliper bolts']);
    expect(car.exposed.find(({ id }) => id === 'tarn-lead')?.protection).toBe('sleeve');
    expect(workOf(project)).toMatchObject({ signed: DONE, before: { front: { pad: 'clubday' } } });
    // It is written, read back, and a second signature changes nothing.
    const read = readProject(writeProject(project));
    expect(read.ok && read.project).toEqual(project);
    expect(edits.signOff(project, WORK, DONE)).toBe(project);
  });

  it('refuses glycol into silicone, and the same hand of vanes twice, in words', () => {
    const refused = (project: Project) => {
      const edited = attemptEdit(project, (p) => edits.signOff(p, WORK, DONE));
      return edited.ok ? '' : edited.problems[0].message;
    };
    expect(refused(withWork({ changes: [{ kind: 'part', part: 'silicone', axle: 'front' }] }))).toMatch(
      /Glycol and silicone fluid must never meet/,
    );
    const left = { ...workOf(demoProject).found.frontLeft, rotorHand: 'left' as const };
    const twice = withWork({
      changes: [{ kind: 'vanes', axle: 'front', vaneType: 'curved' }],
      found: { ...workOf(demoProject).found, frontLeft: left, frontRight: left },
    });
    expect(refused(twice)).toMatch(/Both front rotors are marked left/);
    expect(refused(withWork({ changes: [{ kind: 'vanes', axle: 'front', vaneType: 'curved' }] }))).toBe('');
  });
});

describe('a job list that two devices tick', () => {
  it('keeps the ticks of both, and a tick taken away here stays away', () => {
    const tick = (p: Project, step: string, by: string) => edits.tickStep(p, WORK, step, { by, at: DONE.at });
    const base = made(demoProject, (p) => tick(p, 'gather', 'Imke'));
    const mine = made(base, (p) => tick(tick(p, 'lift', 'Imke'), 'frontLeft wheel off', 'Imke'));
    const theirs = made(base, (p) =>
      edits.tickStep(tick(p, 'frontRight wheel off', 'Tomas'), WORK, 'gather', null),
    );
    const { project, conflicts, whole } = mergeProjects(base, mine, theirs, mine);
    expect(whole).toBe(true);
    expect(conflicts).toEqual([]);
    expect(Object.keys(workOf(project).ticks).sort()).toEqual([
      'frontLeft wheel off',
      'frontRight wheel off',
      'lift',
    ]);
    const drawn = (p: Project, screw: string, cm3: number) => edits.drawAt(p, WORK, screw, cm3);
    const both = mergeProjects(
      base,
      made(base, (p) => drawn(p, 'rearLeft outer', 40)),
      made(base, (p) => drawn(p, 'rearRight outer', 30)),
      base,
    );
    expect(workOf(both.project).bleed.drawn).toEqual({ 'rearLeft outer': 40, 'rearRight outer': 30 });
  });
});

describe('any ticks on two pages', () => {
  it('end as each page left what it touched, whichever saves last', () => {
    const steps = ['gather', 'lift', 'frontLeft wheel off', 'frontRight wheel off', 'pump the pedal'];
    const touch = fc.record({ step: fc.constantFrom(...steps), on: fc.boolean() });
    fc.assert(
      fc.property(fc.array(touch), fc.array(touch), fc.array(touch), (before, here, there) => {
        const apply = (project: Project, list: readonly { step: string; on: boolean }[], by: string) =>
          list.reduce(
            (p, { step, on }) => edits.tickStep(p, WORK, step, on ? { by, at: DONE.at } : null),
            project,
          );
        const base = apply(demoProject, before, 'Base');
        // What both touch is a matter of taste; what one touches alone is not.
        const mine = apply(base, here, 'Imke');
        const theirs = apply(
          base,
          there.filter(({ step }) => !here.some((own) => own.step === step)),
          'Tomas',
        );
        const { project, conflicts, whole } = mergeProjects(base, mine, theirs, mine);
        expect(whole).toBe(true);
        expect(conflicts).toEqual([]);
        const at = (p: Project, step: string) => workOf(p).ticks[step];
        for (const step of steps) {
          const touchedHere = at(mine, step) !== at(base, step);
          expect(at(project, step)).toEqual(at(touchedHere ? mine : theirs, step));
        }
      }),
    );
  });
});

describe('bleeding and bedding written down', () => {
  it('make the fluid new, open the bottle on its day and take what was used', () => {
    const old = made(demoProject, (p) => ({
      ...p,
      cars: p.cars.map((car) => ({ ...car, fluid: { ...car.fluid, ageMonths: 20, measuredBoilingC: 190 } })),
    }));
    const project = made(old, (p) => edits.finishBleeding(p, WORK, DONE, { 'bottle-1': 480 }));
    expect(tarnOf(project).fluid).toMatchObject({ ageMonths: 0, measuredBoilingC: null });
    expect(project.cars[1].fluid.ageMonths).toBe(20);
    expect(workOf(project).ticks).toEqual({ bleed: DONE });
    expect(project.bottles.map(({ leftCm3, openedOn }) => [leftCm3, openedOn])).toEqual([
      [20, '2026-06-27'],
      [350, '2025-09-12'],
    ]);
    // Between sessions only what was hot is drawn: the age of the rest goes on.
    const quick = withWork({ bleed: { ...workOf(demoProject).bleed, wanted: 'fronts' } });
    const after = made(quick, (p) => edits.finishBleeding(p, WORK, DONE, {}));
    expect(tarnOf(after).fluid.ageMonths).toBe(tarnOf(quick).fluid.ageMonths);
  });

  it('put the bedded share into the car and into a state that a plan can begin from', () => {
    const wheel = {
      temperaturesC: { hat: 80, fluid: 60, 'cheek 0': 140 },
      radialK: new Array<number>(12).fill(0),
      glazedPercent: 0,
      beddedPercent: 90,
      innerPadMm: 11.9,
      outerPadMm: 11.9,
      rotorMm: 24,
      waterPercent: 0,
      fatigue: 0,
    };
    const state = {
      id: 'after',
      name: 'After bedding',
      carId: 'car-tarn',
      keptAt: DONE.at,
      brakes: { frontLeft: wheel, frontRight: wheel, rearLeft: wheel, rearRight: wheel },
    };
    const outcome = { done: DONE, warmUps: 8, snubs: 10, frontPercent: 92, rearPercent: 100, note: 'even' };
    const project = made(demoProject, (p) => edits.keepBedding(p, WORK, outcome, state));
    expect([tarnOf(project).front.beddedPercent, tarnOf(project).rear.beddedPercent]).toEqual([92, 100]);
    expect(workOf(project).bed.outcome).toEqual(outcome);
    expect(workOf(project).ticks).toEqual({ 'bed in': DONE });
    const begun = made(project, (p) =>
      edits.setStart(p, p.selectedPlanId, { kind: 'state', stateId: 'after' }),
    );
    expect(begun.states).toHaveLength(1);
  });
});

describe('new work', () => {
  it('is bled where a change opens the system, and not for pads alone', () => {
    const wanted = (changes: readonly Change[]) =>
      newPreparation(tarnOf(demoProject), changes, [], { id: 'x', name: 'x', date: '2026-06-27' }).bleed
        .wanted;
    expect(wanted([{ kind: 'part', part: 'enduro', axle: 'front' }])).toBe('none');
    expect(wanted([{ kind: 'part', part: 'line-braided', axle: 'front' }])).toBe('all');
    expect(wanted([])).toBe('all');
  });

  it('goes with its car, and keeps its parts from being deleted', () => {
    const plans = demoProject.plans.filter(({ carId }) => carId !== 'car-tarn');
    const without = { ...demoProject, plans, selectedPlanId: plans[0].id };
    expect(edits.deleteItem(without, 'cars', 'car-tarn').preparations).toEqual([]);
  });

  it('keeps what it is to fit on the shelf, and what a bottle is of', () => {
    const own = (id: string, kind: 'pad' | 'fluid') => {
      const found = BUILT_IN.find((part) => part.kind === kind);
      if (!found) throw new Error(kind);
      return { ...found, id, name: 'Mine' };
    };
    const [work] = demoProject.preparations;
    const project: Project = {
      ...demoProject,
      parts: [own('my-pad', 'pad'), own('my-fluid', 'fluid')],
      preparations: [{ ...work, changes: [{ kind: 'part', part: 'my-pad', axle: 'rear' }] }],
      bottles: [{ ...demoProject.bottles[0], fluid: 'my-fluid', name: 'The good one' }],
    };
    expect(deletionObstacle(project, 'parts', 'my-pad')).toMatch(/“Before the June club day”/);
    expect(deletionObstacle(project, 'parts', 'my-fluid')).toMatch(/“The good one”/);
    const free = { ...project, preparations: [], bottles: [] };
    expect(deletionObstacle(free, 'parts', 'my-pad')).toBeNull();
    expect(edits.deleteItem(free, 'parts', 'my-pad').parts).toHaveLength(1);
  });

  it('knows a bottle that was open for too long', () => {
    const [sealed, open] = demoProject.bottles;
    expect(isUsable(sealed, '2030-01-01')).toBe(true);
    expect(isUsable(open, '2026-02-01')).toBe(true);
    expect(isUsable(open, '2026-06-27')).toBe(false);
  });
});
