import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoProject } from '../../../demo/project';
import { WHEELS } from '../../core';
import { type Bottle, type Car, newPreparation, type Preparation, STARTER_DRUM } from '../../model';
import { carSchema } from '../../model/schema/car';
import { drawText, fluidText, screwName, TROUBLE_TEXT, WAY_STEPS } from '../../text/en';
import { type BleedPlan, bleedPlan, fromShelf } from './bleeding';

const DATE = '2026-06-27';
const [tarn] = demoProject.cars;
const work = (car: Car, bleed: Partial<Preparation['bleed']> = {}): Preparation => {
  const fresh = newPreparation(car, [], [], { id: 'work', name: 'Work', date: DATE });
  return { ...fresh, bleed: { ...fresh.bleed, ...bleed } };
};
function planOf(
  car: Car,
  bleed: Partial<Preparation['bleed']> = {},
  shelf: readonly Bottle[] = [],
): BleedPlan {
  const plan = bleedPlan(car, car, work(car, bleed), [], shelf);
  if (!plan) throw new Error('nothing is bled');
  return plan;
}
const drawn = ({ steps }: BleedPlan) => steps.reduce((sum, { draw }) => sum + draw, 0);
const CM3 = 1e6;

/** Any of the demo's cars with lines, bores and screws of any kind. */
const anyCar: fc.Arbitrary<Car> = fc
  .record({
    car: fc.constantFrom(...demoProject.cars, { ...tarn, rear: { ...tarn.rear, drum: STARTER_DRUM } }),
    lines: fc.array(fc.double({ min: 100, max: 6000, noNaN: true }), { minLength: 4, maxLength: 4 }),
    bore: fc.double({ min: 1.5, max: 6, noNaN: true }),
    reservoir: fc.double({ min: 60, max: 800, noNaN: true }),
    unit: fc.double({ min: 0, max: 120, noNaN: true }),
    two: fc.boolean(),
    clutch: fc.boolean(),
    split: fc.constantFrom('front-rear' as const, 'diagonal' as const),
  })
  .map(({ car, lines, bore, reservoir, unit, two, clutch, split }): Car => {
    const { workshop, pedal } = car;
    const screws = two ? 'inner and outer' : 'one';
    const { cylinders } = pedal;
    return {
      ...car,
      pedal: { ...pedal, cylinders: cylinders.kind === 'pair' ? cylinders : { ...cylinders, split } },
      workshop: {
        ...workshop,
        lineBoreMm: bore,
        reservoirCm3: reservoir,
        unitCm3: unit,
        clutchOnReservoir: clutch,
        front: { ...workshop.front, leftLineMm: lines[0], rightLineMm: lines[1], screws },
        rear: { ...workshop.rear, leftLineMm: lines[2], rightLineMm: lines[3], screws },
      },
    };
  });

describe('a bleeding plan of any car', () => {
  it('opens every screw once, the farthest wheel first, and ends with the clutch where it has one', () => {
    fc.assert(
      fc.property(anyCar, (car) => {
        expect(carSchema.safeParse(car).success).toBe(true);
        const { steps } = planOf(car);
        expect(new Set(steps.map(({ id }) => id)).size).toBe(steps.length);
        const length = (wheel: string) => {
          const own = car.workshop[wheel.startsWith('front') ? 'front' : 'rear'];
          return wheel.endsWith('Left') ? own.leftLineMm : own.rightLineMm;
        };
        const wheels = [...new Set(steps.flatMap(({ wheel }) => wheel ?? []))];
        expect(wheels.toSorted()).toEqual([...WHEELS].toSorted());
        for (let k = 1; k < wheels.length; k++) {
          expect(length(wheels[k])).toBeLessThanOrEqual(length(wheels[k - 1]));
        }
        expect(steps.at(-1)?.wheel === null).toBe(car.workshop.clutchOnReservoir);
        // A drum has one screw, whatever calipers have.
        if (car.rear.drum) expect(steps.filter(({ wheel }) => wheel?.startsWith('rear'))).toHaveLength(2);
      }),
    );
  });

  it('draws as much whatever the order, and as much with two screws as with one', () => {
    fc.assert(
      fc.property(anyCar, fc.shuffledSubarray([...WHEELS], { minLength: 4 }), (car, order) => {
        const other: Car = { ...car, workshop: { ...car.workshop, bleedOrder: [...order] } };
        expect(drawn(planOf(other)) * CM3).toBeCloseTo(drawn(planOf(car)) * CM3, 6);
        const one = (screws: 'one' | 'inner and outer'): Car => ({
          ...car,
          workshop: {
            ...car.workshop,
            front: { ...car.workshop.front, screws },
            rear: { ...car.workshop.rear, screws },
          },
        });
        expect(drawn(planOf(one('one'))) * CM3).toBeCloseTo(drawn(planOf(one('inner and outer'))) * CM3, 6);
      }),
    );
  });

  it('never needs less with longer or wider lines, a larger reservoir, a control unit', () => {
    fc.assert(
      fc.property(
        anyCar,
        fc.constantFrom('lineBoreMm', 'reservoirCm3', 'unitCm3', 'hoseBoreMm', 'leftLineMm'),
        fc.double({ min: 1, max: 1.4, noNaN: true }),
        (car, key, factor) => {
          const { workshop } = car;
          const more: Car['workshop'] =
            key === 'leftLineMm'
              ? { ...workshop, rear: { ...workshop.rear, leftLineMm: factor * workshop.rear.leftLineMm } }
              : { ...workshop, [key]: factor * workshop[key] };
          const [before, after] = [planOf(car), planOf({ ...car, workshop: more })];
          expect(after.needed).toBeGreaterThanOrEqual(before.needed - 1e-15);
          expect(after.needed).toBeCloseTo(1.25 * after.through, 12);
          expect(after.bottles).toBe(Math.ceil(after.needed / 500e-6 - 1e-9));
        },
      ),
    );
  });

  it('between sessions draws less at each front screw than the whole bleed does, and nothing else', () => {
    fc.assert(
      fc.property(anyCar, (car) => {
        const whole = new Map(planOf(car).steps.map((step) => [step.id, step]));
        const quick = planOf(car, { wanted: 'fronts' });
        for (const step of quick.steps) {
          expect(step.wheel).toMatch(/^front/);
          expect(step.draw).toBeLessThan((whole.get(step.id)?.draw ?? 0) + 1e-12);
        }
        // The reservoir is not emptied for it.
        expect(quick.through).toBeCloseTo(drawn(quick), 12);
      }),
    );
  });

  it('says all of it in whole sentences without a figure that is none', () => {
    fc.assert(
      fc.property(anyCar, fc.constantFrom('pedal', 'pressure', 'vacuum', 'gravity'), (car, way) => {
        const plan = planOf(car, { way });
        const facts = { pressure: '1.0 bar', vacuum: '0.5 to 0.7 bar', refill: '12 strokes' };
        const { steps, risk, notWhen } = WAY_STEPS[way](facts);
        const said = [
          ...plan.steps.flatMap((step) => [screwName(step), drawText(step)]),
          fluidText(plan),
          ...plan.troubles.map((trouble) => TROUBLE_TEXT[trouble]),
          ...steps,
          risk,
          notWhen,
        ];
        for (const text of said) expect(text).not.toMatch(/undefined|NaN|null|Infinity/);
        for (const text of [...steps, risk, notWhen]) expect(text).toMatch(/^[A-Z].*[.”]$/);
        expect(plan.refillStrokes).toBeGreaterThanOrEqual(1);
      }),
    );
  });
});

describe('strokes of the pedal', () => {
  it('are the volume over what a used stroke moves, by hand, and never to the floor', () => {
    // Half of a tandem's 36 mm at 20.6 mm, or what the pedal's 135 mm over 5 leave: 18 mm, of which 70 % are used.
    const stroke = 0.7 * (Math.PI / 4) * 2.06 ** 2 * 1.8;
    for (const { draw, strokes, wheel } of planOf(tarn).steps) {
      if (wheel) expect(strokes).toBe(Math.ceil((draw * CM3) / stroke));
      else expect(strokes).toBe(0);
    }
    const refill = planOf(tarn);
    expect(refill.refillAfter * CM3).toBeCloseTo(110, 9);
    expect(refill.refillStrokes).toBe(Math.floor(110 / stroke));
  });

  it('are more where the pedal is at the floor before the cylinder’s end', () => {
    const short: Car = { ...tarn, pedal: { ...tarn.pedal, travelMm: 60 } };
    const total = (car: Car) => planOf(car).steps.reduce((sum, { strokes }) => sum + strokes, 0);
    expect(total(short)).toBeGreaterThan(total(tarn));
  });
});

describe('circuits', () => {
  const arrivals = (car: Car) =>
    planOf(car).steps.flatMap(({ wheel, arrives }) => (wheel && arrives > 0 ? [[wheel, arrives * CM3]] : []));

  it('front and rear, or across: the chamber goes with the first screw of each', () => {
    const lines = (car: Car) => new Map(arrivals(car) as [string, number][]);
    const { cylinders } = tarn.pedal;
    if (cylinders.kind === 'pair') throw new Error('a pair');
    const across: Car = { ...tarn, pedal: { ...tarn.pedal, cylinders: { ...cylinders, split: 'diagonal' } } };
    const chamber = (Math.PI / 4) * 2.06 ** 2 * 1.8;
    const [straight, crossed] = [lines(tarn), lines(across)];
    // Farthest first: rear left, rear right, front left, front right.
    const differs = (wheel: string) => (crossed.get(wheel) ?? 0) - (straight.get(wheel) ?? 0);
    expect(differs('rearLeft')).toBeCloseTo(0, 9);
    expect(differs('rearRight')).toBeCloseTo(chamber, 9);
    expect(differs('frontLeft')).toBeCloseTo(-chamber, 9);
    expect(differs('frontRight')).toBeCloseTo(0, 9);
  });
});

describe('the shelf', () => {
  const bottle = (id: string, leftCm3: number, openedOn: string | null, fluid = tarn.fluid.kind): Bottle => ({
    id,
    name: id,
    fluid,
    leftCm3,
    openedOn,
    keepMonths: 6,
  });

  it('gives what is wanted, no more than each holds, opened ones before sealed ones', () => {
    const shelf = fc.array(
      fc.record({
        left: fc.integer({ min: 0, max: 900 }),
        opened: fc.constantFrom(null, '2026-05-01', '2025-01-01'),
        same: fc.boolean(),
      }),
      { maxLength: 6 },
    );
    fc.assert(
      fc.property(shelf, (drawnShelf) => {
        const bottles = drawnShelf.map(({ left, opened, same }, i) =>
          bottle(`b${i}`, left, opened, same ? tarn.fluid.kind : 'silicone'),
        );
        const plan = planOf(tarn, {}, bottles);
        const used = fromShelf(plan, bottles, tarn.fluid.kind, DATE);
        const usable = bottles.filter(
          ({ fluid, openedOn }) => fluid === tarn.fluid.kind && openedOn !== '2025-01-01',
        );
        const total = Object.values(used).reduce((sum, cm3) => sum + cm3, 0);
        const there = usable.reduce((sum, { leftCm3 }) => sum + leftCm3, 0);
        expect(total).toBeCloseTo(Math.min(there, plan.through * CM3), 6);
        expect(plan.onShelf * CM3).toBeCloseTo(there, 6);
        for (const [id, cm3] of Object.entries(used)) {
          const own = usable.find((each) => each.id === id);
          expect(cm3).toBeLessThanOrEqual((own?.leftCm3 ?? -1) + 1e-9);
        }
        const sealed = usable.filter(({ id, openedOn }) => openedOn === null && id in used);
        const open = usable.filter(({ openedOn, leftCm3 }) => openedOn !== null && leftCm3 > 0);
        if (sealed.length > 0) for (const own of open) expect(used[own.id]).toBeCloseTo(own.leftCm3, 9);
        expect(plan.troubles.includes('not enough fluid')).toBe(there < plan.needed * CM3);
      }),
    );
  });
});
