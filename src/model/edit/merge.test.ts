import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoProject } from '../../../demo/project';
import { anyProject, shortPlan } from '../../../tests/support/anyProject';
import type { Project } from '../schema/project';
import { conflictText, differing, mergeProjects } from './merge';

const full = (base: Project, mine: Project, theirs: Project) => mergeProjects(base, mine, theirs, mine);

describe('what two pages made of one project', () => {
  it('is as the one that changed it has it, where only one did; the other way round too', () => {
    fc.assert(
      fc.property(anyProject(), (changed) => {
        const base = shortPlan(changed.selectedPlanId);
        expect(full(base, changed, base)).toEqual({ project: changed, conflicts: [], whole: true });
        expect(full(base, base, changed)).toEqual({ project: changed, conflicts: [], whole: true });
        expect(full(base, changed, changed)).toEqual({ project: changed, conflicts: [], whole: true });
      }),
      { numRuns: 60 },
    );
  });

  it('is the same from what differs as from whole projects, and conflicts are symmetric', () => {
    const pair = fc
      .constantFrom(...demoProject.plans.map((p) => p.id))
      .chain((id) => fc.tuple(fc.constant(shortPlan(id)), anyProject(4, id), anyProject(4, id)));
    fc.assert(
      fc.property(pair, ([base, mine, theirs]) => {
        const whole = full(base, mine, theirs);
        const { before, now } = differing(base, mine);
        expect(mergeProjects(before, now, theirs, mine)).toEqual(whole);
        if (!whole.whole) return;
        const other = full(base, theirs, mine);
        expect(other.conflicts.map((c) => c.what).sort()).toEqual(whole.conflicts.map((c) => c.what).sort());
        if (whole.conflicts.length === 0) expect(other.project).toEqual(whole.project);
      }),
      { numRuns: 60 },
    );
  });

  it('keeps both pages’ new items and deletions, an item changed there and deleted here, and says conflicts', () => {
    const base = demoProject;
    const [car, second] = base.cars;
    const mine = {
      ...base,
      cars: [car, { ...car, id: 'mine' }, ...base.cars.slice(1)],
      plans: base.plans.filter((p) => p.id !== 'plan-tarn-fen' && p.id !== 'plan-tarn-day'),
      prices: [{ key: 'a', price: 5 }],
    };
    const theirs = {
      ...base,
      cars: [{ ...car, massKg: 1001, powerKw: 99 }, { ...second, id: 'theirs' }, ...base.cars.slice(1)],
      plans: base.plans.map((p) => (p.id === 'plan-tarn-day' ? { ...p, minutes: 33 } : p)),
      prices: [
        { key: 'a', price: 6 },
        { key: 'b', price: 7 },
      ],
    };
    const { project, conflicts, whole } = full(base, mine, theirs);
    expect(whole).toBe(true);
    expect(project.cars.map((c) => c.id)).toEqual([
      car.id,
      'mine',
      'theirs',
      ...base.cars.slice(1).map((c) => c.id),
    ]);
    expect(project.cars[0]).toMatchObject({ massKg: 1001, powerKw: 99 });
    expect(project.plans.map((p) => p.id)).not.toContain('plan-tarn-fen');
    expect(project.plans.find((p) => p.id === 'plan-tarn-day')?.minutes).toBe(33);
    expect(project.prices).toEqual([
      { key: 'a', price: 5 },
      { key: 'b', price: 7 },
    ]);
    expect(conflicts).toEqual([]);

    const here = {
      ...base,
      cars: base.cars.map((c) => ({ ...c, tyres: { ...c.tyres, lateralGrip: 1.11 } })),
    };
    const there = {
      ...base,
      cars: base.cars.map((c) => ({ ...c, tyres: { ...c.tyres, lateralGrip: 1.22, slipSharePercent: 3 } })),
    };
    const both = full(base, here, there);
    expect(both.project.cars[0].tyres).toMatchObject({ lateralGrip: 1.11, slipSharePercent: 3 });
    expect(both.conflicts).toHaveLength(3);
    expect(conflictText(both.conflicts)).toMatch(
      /^Changed here and on another page at once: Grip in corners of “Tarn Two club car” \(1\.11 here, 1\.22 there\), /,
    );
  });
});
