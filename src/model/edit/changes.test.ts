import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoProject } from '../../../demo/project';
import { recordFigure } from '../../../tests/support/validation';
import { moved, rotorHeatShare, valueIn } from '../../core';
import { shelfOf } from '../catalogue/choices';
import { changePrice } from '../catalogue/prices';
import { readProject, writeProject } from '../file/readProject';
import { METRIC, US } from '../quantity/units';
import { carSchema } from '../schema/car';
import type { Change } from '../schema/compare';
import { exposedPart, starterExposed } from '../schema/exposed';
import type { Part } from '../schema/part';
import type { Project } from '../schema/project';
import { DEFAULT_UNCERTAIN, uncertainRanges } from '../schema/uncertain';
import { cornerOf } from '../toCore/corner';
import { dayInput, setupOf } from '../toCore/toCore';
import { changesProblem, changeWords, variantSetup, withChanges, withOneMore } from './changes';
import { deleteItem, deletionObstacle } from './library';
import { applyWhatIf, changesOfWhatIf } from './whatIf';

const setup = setupOf(demoProject, 'plan-tarn-anvil');

describe('changes to a car', () => {
  it('of a what-if are what the workbench drove: mass, ducts, share and pads', () => {
    fc.assert(
      fc.property(
        fc.record(
          {
            massKg: fc.integer({ min: 800, max: 1500 }),
            frontDuctCm2: fc.integer({ min: 0, max: 120 }),
            rearDuctCm2: fc.integer({ min: 0, max: 120 }),
            frontSharePercent: fc.integer({ min: 46, max: 79 }),
            frontPad: fc.constantFrom('commuter', 'sprint', 'clubday'),
          },
          { requiredKeys: [] },
        ),
        (whatIf) => {
          const moved = applyWhatIf(setup, whatIf).car;
          const changed = withChanges(setup, changesOfWhatIf(whatIf)).car;
          // What is bought is new; the workbench's pads are as thick as the old ones.
          const worn = {
            ...changed,
            front: { ...changed.front, padThicknessMm: moved.front.padThicknessMm },
          };
          expect(dayInput({ ...setup, car: worn })).toEqual(dayInput({ ...setup, car: moved }));
        },
      ),
      { numRuns: 60 },
    );
    // The day's own what-ifs are not about the car.
    expect(
      changesOfWhatIf({ ambientC: 30, hotLaps: 4, gripPercent: 90, brakingGripUsedPercent: 80 }),
    ).toEqual([]);
  });

  it('leave a valid car that is changed in nothing else, and say what they are', () => {
    const cases: [Change, RegExp, (car: typeof setup.car) => unknown, unknown][] = [
      [
        { kind: 'part', part: 'sprint', axle: 'rear' },
        /^rear pads: Sprint track/,
        (c) => c.rear.pad,
        'sprint',
      ],
      [
        { kind: 'part', part: 'duct-76', axle: 'front' },
        /^front ducts: Hose of 76 mm \(3 in\)$/,
        (c) => c.front.ductAreaCm2,
        45.4,
      ],
      [
        { kind: 'part', part: 'class-4', axle: 'front' },
        /^DOT 4/,
        (c) => c.fluid,
        { ...setup.car.fluid, kind: 'class-4', ageMonths: 0, measuredBoilingC: null },
      ],
      [{ kind: 'duct', axle: 'rear', areaCm2: 33 }, /^rear ducts of 33 cm²$/, (c) => c.rear.ductAreaCm2, 33],
      [
        { kind: 'tape', axle: 'front', percent: 40 },
        /^front ducts 40 % blanked off$/,
        (c) => c.front.blankedOffPercent,
        40,
      ],
      [
        { kind: 'vanes', axle: 'front', vaneType: 'curved' },
        /^front vanes: curved/,
        (c) => c.front.rotor.vaneType,
        'curved',
      ],
      [
        { kind: 'thickness', axle: 'front', thicknessMm: 30 },
        /^front rotors 30\.0 mm thick$/,
        (c) => c.front.rotor.thicknessMm,
        30,
      ],
      [{ kind: 'mass', massKg: 1111 }, /^mass 1111 kg$/, (c) => c.massKg, 1111],
      [{ kind: 'balance', frontSharePercent: 66 }, /^brake balance 66 %$/, (c) => c.frontSharePercent, 66],
    ];
    for (const [change, words, value, expected] of cases) {
      const { car } = withChanges(setup, [change]);
      expect(carSchema.safeParse(car).success).toBe(true);
      expect(value(car)).toEqual(expected);
      expect(changeWords(change, [], METRIC)).toMatch(words);
      expect(setup.car).toBe(demoProject.cars[0]);
    }
    expect(changeWords({ kind: 'mass', massKg: 1000 }, [], US)).toBe('mass 2205 lb');
    expect(changeWords({ kind: 'part', part: 'gone', axle: 'front' }, [], METRIC)).toBe(
      'a part that is gone (gone)',
    );
    expect(() => withChanges(setup, [{ kind: 'part', part: 'gone', axle: 'front' }])).toThrow(
      'no part "gone"',
    );
    // New pads are new, and a swap of both sides forgets a duct that was different.
    expect(
      withChanges(setup, [{ kind: 'part', part: 'sprint', axle: 'front' }]).car.front.padThicknessMm,
    ).toBe(12);
  });
});

describe('one more change', () => {
  const axle = fc.constantFrom('front' as const, 'rear' as const);
  const shelf = (['pad', 'rotor', 'caliper', 'fluid', 'line', 'duct'] as const).flatMap((kind) =>
    shelfOf(kind, []),
  );
  const change: fc.Arbitrary<Change> = fc.oneof(
    fc.record({ kind: fc.constant('part' as const), part: fc.constantFrom(...shelf.map((p) => p.id)), axle }),
    fc.record({ kind: fc.constant('tape' as const), axle, percent: fc.integer({ min: 0, max: 100 }) }),
    fc.record({
      kind: fc.constant('vanes' as const),
      axle,
      vaneType: fc.constantFrom('straight' as const, 'pillar' as const, 'curved' as const),
    }),
    fc.record({
      kind: fc.constant('thickness' as const),
      axle,
      thicknessMm: fc.integer({ min: 20, max: 40 }),
    }),
    fc.record({ kind: fc.constant('mass' as const), massKg: fc.integer({ min: 600, max: 2000 }) }),
  );
  const added = (list: readonly Change[]) =>
    list.reduce<Change[]>((before, more) => withOneMore(before, more, []), []);

  it('takes the place of what it undoes: the car is the one that all of them in turn would make', () => {
    fc.assert(
      fc.property(fc.array(change, { maxLength: 12, size: 'max' }), (list) => {
        const kept = added(list);
        expect(withChanges(setup, kept).car).toEqual(withChanges(setup, list).car);
        // Said again, nothing changes: what is left does not undo each other.
        expect(added(kept)).toEqual(kept);
      }),
      { numRuns: 200 },
    );
  });

  it('is paid for once', () => {
    const price = (list: readonly Change[]) =>
      list.reduce((sum, c) => sum + changePrice(demoProject, c, setup.car), 0);
    const pads: Change[] = ['sprint', 'commuter'].map((part) => ({ kind: 'part', part, axle: 'front' }));
    expect(added(pads)).toEqual([pads[1]]);
    expect(price(added(pads))).toBe(price([pads[1]]));
    const rear: Change = { kind: 'part', part: 'sprint', axle: 'rear' };
    expect(added([pads[0], rear])).toHaveLength(2);
    const hose: Change = { kind: 'part', part: 'duct-76', axle: 'front' };
    const cut: Change = { kind: 'duct', axle: 'front', areaCm2: 30 };
    expect(added([hose, cut])).toEqual([cut]);
    const thick: Change = { kind: 'thickness', axle: 'front', thicknessMm: 30 };
    const ring: Change = { kind: 'part', part: 'rotor-vented-280', axle: 'front' };
    expect(added([thick, ring])).toEqual([ring]);
    expect(added([ring, thick])).toEqual([ring, thick]);
    // A part that is gone stays where it is, to be told.
    const gone: Change = { kind: 'part', part: 'gone', axle: 'front' };
    expect(added([gone, rear])).toEqual([gone, rear]);
  });
});

describe('changes that do not go together', () => {
  it('are told by the file’s own rules', () => {
    expect(changesProblem(setup, [{ kind: 'thickness', axle: 'front', thicknessMm: 30 }])).toBeNull();
    expect(changesProblem(setup, [{ kind: 'thickness', axle: 'front', thicknessMm: 8 }])).toMatch(
      /^front\.rotor\.\w+ must/,
    );
  });
});

describe('compared setups in a project', () => {
  const own: Part = { ...(shelfOf('pad', [])[0] as Part), id: 'own-pad', name: 'Own pad' };
  const compared: Project = {
    ...demoProject,
    parts: [own],
    plans: demoProject.plans.map((plan, i) =>
      i === 0
        ? {
            ...plan,
            compare: {
              referenceId: 'b',
              setups: [
                {
                  id: 'a',
                  name: 'Own pads',
                  carId: 'car-tarn',
                  changes: [{ kind: 'part', part: 'own-pad', axle: 'front' }],
                  otherCost: 45.5,
                },
                { id: 'b', name: 'The prototype', carId: 'car-skarn', changes: [], otherCost: 0 },
              ],
            },
          }
        : plan,
    ),
  };

  it('come back as they went out, and drive the plan’s laps with their own car', () => {
    expect(readProject(writeProject(compared))).toEqual({ ok: true, project: compared });
    const [a, b] = compared.plans[0].compare.setups.map((s) => variantSetup(compared, 'plan-tarn-anvil', s));
    expect(a.car.front.pad).toBe('own-pad');
    expect(b.car.id).toBe('car-skarn');
    expect([a.plan, b.plan]).toEqual([compared.plans[0], compared.plans[0]]);
    expect(b.circuit.id).toBe(setup.circuit.id);
  });

  it('keep their parts and cars from being deleted under them', () => {
    expect(deletionObstacle(compared, 'parts', 'own-pad')).toMatch(
      /^Compared in “Twenty minutes at Anvil Park”/,
    );
    expect(() => deleteItem(compared, 'parts', 'own-pad')).toThrow('Compared in');
    const onlyCompared = { ...compared, plans: compared.plans.filter((p) => p.carId !== 'car-skarn') };
    expect(deletionObstacle(onlyCompared, 'cars', 'car-skarn')).toMatch(
      /^Used by “Twenty minutes at Anvil Park”/,
    );
  });
});

describe('uncertain inputs in SI', () => {
  it('are factors, kilograms and kelvins of what is used, in their fixed order', () => {
    const ranges = uncertainRanges({
      ...DEFAULT_UNCERTAIN,
      ranges: { ...DEFAULT_UNCERTAIN.ranges, mass: { use: false, low: 0, high: 1, shape: 'even' } },
    });
    expect(ranges.map((r) => r.input)).not.toContain('mass');
    expect(ranges[0]).toEqual({ input: 'frontCooling', low: 0.7, high: 1.3, shape: 'bell' });
    expect(ranges.find((r) => r.input === 'fluidState')).toMatchObject({ low: -15, high: 5 });
    const day = dayInput(setup);
    const [cooling] = ranges;
    expect(moved(day, 'frontCooling', valueIn(cooling, 0.975)).front.left.air.coolingFactor).toBeCloseTo(
      1.3,
      9,
    );
  });
});

describe('heat-exposed parts in SI', () => {
  it('sit at the wheel of their side, at their distance', () => {
    const part = {
      ...starterExposed('boot', 'x'),
      axle: 'rear' as const,
      side: 'passenger' as const,
      distanceMm: 70,
    };
    expect(exposedPart({ driverSide: 'left' }, part)).toMatchObject({ wheel: 'rearRight', distance: 0.07 });
    expect(exposedPart({ driverSide: 'right' }, part).wheel).toBe('rearLeft');
    expect(exposedPart({ driverSide: 'right' }, part, 'driver').wheel).toBe('rearRight');
  });
});

describe('the shelf', () => {
  it('vented iron rotors take 95 to 99 % of the heat with every pad that goes on them (Limpert, from memory)', () => {
    const shares = shelfOf('rotor', [])
      .filter((r) => r.values.vaneGapMm > 0 && /iron/.test(r.values.material))
      .flatMap((rotor) =>
        shelfOf('pad', [])
          .filter((pad) => pad.values.family !== 'carbon')
          .map((pad) => {
            const { front } = withChanges(setup, [
              { kind: 'part', part: rotor.id, axle: 'front' },
              { kind: 'part', part: pad.id, axle: 'front' },
            ]).car;
            return rotorHeatShare(cornerOf(front), 573);
          }),
      );
    expect(shares.length).toBeGreaterThan(40);
    expect(Math.min(...shares)).toBeGreaterThan(0.95);
    expect(Math.max(...shares)).toBeLessThan(0.993);
    recordFigure({
      id: '20',
      what: `Least share of the heat in a vented iron rotor, ${shares.length} pairs of the shelf`,
      expected: '95 to 99',
      computed: 100 * Math.min(...shares),
      unit: '%',
      source: 'Limpert, Brake Design and Safety (from memory)',
    });
  });
});
