import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoProject } from '../../../demo/project';
import { recordFigure } from '../../../tests/support/validation';
import {
  type Car,
  type Change,
  changesProblem,
  METRIC,
  NOTHING_FOUND,
  newPreparation,
  PARKING_BRAKES,
  type Preparation,
  STARTER_DRUM,
  setupOf,
  type TorqueKey,
  TYRE_KIND_IDS,
  VANE_IDS,
} from '../../model';
import { BUILT_IN } from '../../model/catalogue/builtIn';
import { carSchema } from '../../model/schema/car';
import { TORQUE_KEYS } from '../../model/schema/workshop';
import { preparationDocument } from '../../report';
import { prepareCheckText, stepTexts, torqueText } from '../../text/en';
import { bleedOrder, bleedPlan, fromShelf } from './bleeding';
import { prepareChecks } from './checks';
import { jobList } from './jobList';
import type { StepCode } from './stepTable';
import { type WheelWork, type Work, workOf } from './work';

const DATE = '2026-06-27';
const [tarn, ovel, skarn] = demoProject.cars;
const prepare = (car: Car, changes: readonly Change[], more: Partial<Preparation> = {}): Preparation => ({
  ...newPreparation(car, changes, [], { id: 'work', name: 'Work', date: DATE }),
  ...more,
});
const part = (id: string, axle: 'front' | 'rear' = 'front'): Change => ({ kind: 'part', part: id, axle });
const idsOf = (kind: string) => BUILT_IN.filter((p) => p.kind === kind).map((p) => p.id);

/** A car with a drum at the rear, as some have. */
const drummed: Car = { ...tarn, rear: { ...tarn.rear, drum: STARTER_DRUM, pad: 'commuter' } };

/** Any workshop, with torques for some joints. */
const anyCar: fc.Arbitrary<Car> = fc
  .record({
    car: fc.constantFrom(tarn, ovel, skarn, drummed),
    flags: fc.array(fc.boolean(), { minLength: 10, maxLength: 10 }),
    brakes: fc.constantFrom(...PARKING_BRAKES),
    torques: fc.dictionary(fc.constantFrom(...TORQUE_KEYS), fc.double({ min: 5, max: 300, noNaN: true })),
    vanes: fc.constantFrom(...VANE_IDS),
  })
  .map(({ car, flags, brakes, torques, vanes }) => {
    const axle = (
      own: Car['workshop']['front'],
      k: number,
      parkingBrake: (typeof PARKING_BRAKES)[number],
    ) => ({
      ...own,
      padsFromTop: flags[k],
      padSensor: flags[k + 1],
      setScrews: flags[k + 2],
      lineBracket: flags[k + 3],
      aluminiumUpright: flags[k + 4],
      parkingBrake,
    });
    const { workshop } = car;
    const next = {
      ...car,
      front: { ...car.front, rotor: { ...car.front.rotor, vaneType: vanes } },
      workshop: {
        ...workshop,
        front: axle(workshop.front, 0, 'none'),
        rear: axle(workshop.rear, 5, brakes),
        torques: Object.fromEntries(
          Object.entries(torques).map(([key, torqueNm]) => [
            key,
            { torqueNm: Math.round(10 * torqueNm) / 10, by: 'Imke', date: DATE },
          ]),
        ),
      },
    };
    return carSchema.safeParse(next).success ? next : car;
  });

const axle = fc.constantFrom('front' as const, 'rear' as const);
const anyChange: fc.Arbitrary<Change> = fc.oneof(
  fc
    .tuple(fc.constantFrom(...['pad', 'rotor', 'caliper', 'duct'].flatMap(idsOf)), axle)
    .map(([id, on]) => part(id, on)),
  fc.constantFrom(...['fluid', 'line', 'cylinder'].flatMap(idsOf)).map((id) => part(id)),
  fc
    .tuple(fc.integer({ min: 0, max: 100 }), axle)
    .map(([percent, on]): Change => ({ kind: 'shield', axle: on, percent })),
  fc.constantFrom(...TYRE_KIND_IDS).map((tyres): Change => ({ kind: 'tyres', tyres })),
  fc.constant<Change>({ kind: 'mass', massKg: 1000 }),
);

/** What a step needs of the wheel it stands at: said here once more, so that the table is held against it. */
const NEEDS: Partial<Record<StepCode, (own: WheelWork) => boolean>> = {
  'set screws': ({ workshop }) => workshop.setScrews,
  'bracket off': ({ workshop }) => workshop.lineBracket,
  'bracket on': ({ workshop }) => workshop.lineBracket,
  'sensor off': ({ workshop }) => workshop.padSensor,
  'sensor tied': ({ workshop }) => workshop.padSensor,
  'guide pins': ({ brakes }) => brakes.caliper.kind === 'sliding' && !brakes.drum,
  'ring floats': ({ brakes }) => brakes.rotor.mounting === 'floating' && !brakes.drum,
  'rotor hand': ({ brakes }) => brakes.rotor.vaneType.startsWith('curved') && brakes.rotor.vaneGapMm > 0,
  'pistons wound back': ({ workshop, brakes }) => workshop.parkingBrake === 'caliper' && !brakes.drum,
  'drum adjusted': ({ brakes }) => brakes.drum !== null,
  'shoes on': ({ brakes }) => brakes.drum !== null,
  'drum off': ({ before }) => before.drum !== null,
  'pads in': ({ brakes, tasks }) => !brakes.drum && tasks.has('pads'),
  'rotor on': ({ brakes, tasks }) => !brakes.drum && tasks.has('rotor'),
  'caliper on': ({ brakes }) => !brakes.drum,
  'hose on': ({ tasks }) => tasks.has('hose'),
  'tyres on': ({ tasks }) => tasks.has('tyre'),
  'shield on': ({ tasks }) => tasks.has('shield'),
};
/** Steps of which the second never comes before the first at one wheel. */
const ORDER: readonly (readonly [StepCode, StepCode])[] = [
  ['wheel off', 'look'],
  ['sensor off', 'caliper off'],
  ['bracket off', 'caliper off'],
  ['caliper off', 'rotor off'],
  ['hub clean', 'rotor on'],
  ['rotor measured', 'rotor on'],
  ['rotor on', 'caliper on'],
  ['pistons back', 'pads in'],
  ['caliper on', 'wheel on'],
  ['clear of the spokes', 'wheel on'],
  ['wheel on', 'turns free'],
];

/** Each step stands where its part is, says something, and names no figure that nobody entered. */
function expectSteps(work: Work) {
  const { steps } = jobList(work);
  const words = stepTexts(work, METRIC);
  expect(new Set(steps.map(({ id }) => id)).size).toBe(steps.length);
  for (const step of steps) {
    const own = work.wheels.find(({ wheel }) => wheel === step.wheel);
    if (own) expect([step.code, NEEDS[step.code]?.(own) ?? true]).toEqual([step.code, true]);
    const said = [...words(step), torqueText(step, METRIC)].join(' ');
    expect(said).not.toMatch(/undefined|NaN|null/);
    const figures = [...said.matchAll(/([\d.]+) N·m/g)].map(([, figure]) => Number(figure));
    const entered = step.torque && work.car.workshop.torques[step.torque.key]?.torqueNm;
    expect(figures).toEqual(entered ? [Math.round(entered)] : []);
  }
}

/** At every wheel one thing after the other, and the pedal pumped before the car moves. */
function expectOrder(work: Work) {
  const { steps } = jobList(work);
  const pump = steps.findIndex(({ code }) => code === 'pump the pedal');
  expect(pump).toBeGreaterThanOrEqual(0);
  expect(pump).toBeLessThan(steps.findIndex((step) => step.moves));
  for (const { wheel } of work.wheels) {
    const here = steps.filter((step) => step.wheel === wheel).map(({ code }) => code);
    for (const [first, then] of ORDER) {
      if (!here.includes(first) || !here.includes(then)) continue;
      expect([first, then, here.indexOf(first) < here.indexOf(then)]).toEqual([first, then, true]);
    }
  }
}

describe('a job list of any change set', () => {
  it('has no step for a part that the car has not, no torque that nobody entered, and a pedal pump before it moves', () => {
    fc.assert(
      fc.property(anyCar, fc.array(anyChange, { maxLength: 5 }), (car, asked) => {
        const setup = { ...setupOf(demoProject), car };
        const changes = asked.filter((_, i) => changesProblem(setup, asked.slice(0, i + 1)) === null);
        if (changesProblem(setup, changes) !== null) return;
        const work = workOf(car, prepare(car, changes), []);
        expectSteps(work);
        expectOrder(work);
        for (const check of prepareChecks(work)) {
          expect(prepareCheckText(check, METRIC).join(' ')).not.toMatch(/undefined|NaN|Infinity/);
        }
        expect(JSON.stringify(preparationDocument(work, null, null))).not.toMatch(/NaN|undefined/);
      }),
      { numRuns: 150 },
    );
  });

  it('of pads alone leaves calipers with pads from the top where they are, and takes closed ones off', () => {
    const codes = (car: Car) =>
      jobList(workOf(car, prepare(car, [part('enduro')]), [])).steps.map((s) => s.code);
    expect(codes(tarn)).not.toContain('caliper off');
    const closed = {
      ...tarn,
      workshop: { ...tarn.workshop, front: { ...tarn.workshop.front, padsFromTop: false } },
    };
    expect(codes(closed)).toContain('caliper off');
    expect(codes(closed)).toContain('bracket off');
  });

  it('knows the parking brakes: clicks after shoes, a tool for the electric one', () => {
    const codes = (car: Car) =>
      jobList(workOf(car, prepare(car, [part('estate', 'rear')]), [])).steps.map((s) => s.code);
    expect(codes(ovel)).toEqual(expect.arrayContaining(['service mode', 'leave service mode']));
    const rear = { ...drummed.workshop.rear, parkingBrake: 'shoes' as const };
    const shoes: Car = { ...drummed, workshop: { ...drummed.workshop, rear } };
    expect(codes(shoes)).toEqual(expect.arrayContaining(['drum off', 'drum adjusted', 'parking brake']));
    const work = workOf(shoes, prepare(shoes, [part('estate', 'rear')]), []);
    const step = jobList(work).steps.find(({ code }) => code === 'parking brake');
    expect(step && stepTexts(work, METRIC)(step)[0]).toMatch(/4 to 5 clicks/);
  });

  it('does heat protection on both sides', () => {
    const protections = [{ part: 'tarn-lead', kind: 'sleeve' as const, beforeC: null, afterC: null }];
    const { steps } = jobList(workOf(tarn, prepare(tarn, [], { protections }), []));
    expect(steps.filter(({ code }) => code === 'protect').map(({ wheel }) => wheel)).toEqual([
      'frontLeft',
      'frontRight',
    ]);
  });
});

describe('computed checks', () => {
  const checks = (car: Car, preparation: Preparation) => prepareChecks(workOf(car, preparation, []));
  const of = (kind: string, car: Car, preparation: Preparation) =>
    checks(car, preparation).filter((check) => check.kind === kind);

  it('count the fluid that comes back by hand, and see a reservoir that runs over', () => {
    // Two wheels, two pistons of 36 mm a side, each pad 2 mm thicker; home from 3.5 mm.
    const area = 2 * (Math.PI / 4) * 3.6 ** 2;
    const [check] = of('push back', tarn, prepare(tarn, [part('enduro')]));
    expect(check).toMatchObject({ state: 'yes' });
    if (check.kind !== 'push back') throw new Error(check.kind);
    expect(check.needed * 1e6).toBeCloseTo(2 * 2 * area * 0.2, 9);
    expect(check.home * 1e6).toBeCloseTo(2 * 2 * area * 0.35, 9);
    expect(check.room * 1e6).toBeCloseTo(220 * 0.25, 9);
    const filled = (filledPercent: number): Car => ({
      ...tarn,
      workshop: { ...tarn.workshop, filledPercent },
    });
    expect(of('push back', filled(90), prepare(tarn, [part('enduro')]))[0].state).toBe('look');
    expect(of('push back', filled(95), prepare(tarn, [part('enduro')]))[0].state).toBe('no');
  });

  it('see left vanes twice, another pad left than right, a rotor that is lighter', () => {
    const curved: Car = {
      ...tarn,
      front: { ...tarn.front, rotor: { ...tarn.front.rotor, vaneType: 'curved' } },
    };
    const found = (left: Partial<typeof NOTHING_FOUND>, right: Partial<typeof NOTHING_FOUND>) =>
      of(
        'alike',
        curved,
        prepare(curved, [], {
          found: {
            frontLeft: { ...NOTHING_FOUND, ...left },
            frontRight: { ...NOTHING_FOUND, ...right },
            rearLeft: NOTHING_FOUND,
            rearRight: NOTHING_FOUND,
          },
        }),
      );
    expect(found({ rotorHand: 'left' }, { rotorHand: 'left' })).toMatchObject([
      { what: 'hand', state: 'no' },
    ]);
    expect(found({ rotorHand: 'right' }, { rotorHand: 'left' })).toMatchObject([
      { what: 'hand', state: 'no' },
    ]);
    expect(found({ rotorHand: 'left' }, { rotorHand: 'right' })).toMatchObject([
      { what: 'hand', state: 'yes' },
    ]);
    expect(found({ padMark: 'E 12' }, { padMark: 'e 12' })).toMatchObject([{ what: 'pads', state: 'yes' }]);
    expect(found({ padMark: 'E 12' }, { padMark: 'E 21' })).toMatchObject([{ what: 'pads', state: 'no' }]);
    expect(found({ rotorKg: 6.4 }, { rotorKg: 6.1 })).toMatchObject([{ what: 'mass', state: 'no' }]);
    expect(found({ rotorKg: 6.4 }, { rotorKg: 6.35 })).toMatchObject([{ what: 'mass', state: 'yes' }]);
    expect(found({ rotorKg: 6.4 }, {})).toEqual([]);
  });

  it('hold thicknesses against the minimum that was entered, and pistons against their order', () => {
    const worn = { ...NOTHING_FOUND, rotorMm: 22.8 };
    const preparation = prepare(tarn, [part('enduro')]);
    const measured = { ...preparation, found: { ...preparation.found, frontLeft: worn } };
    const rotor = of('minimum', tarn, measured).filter((check) => 'what' in check && check.what === 'rotor');
    expect(rotor).toMatchObject([{ wheel: 'frontLeft', least: 0.023, state: 'no' }]);
    const stepped = (pistonsMm: number[]): Car => ({
      ...tarn,
      front: { ...tarn.front, caliper: { ...tarn.front.caliper, pistonsMm } },
    });
    expect(of('piston order', stepped([34, 38]), preparation)).toMatchObject([{ state: 'yes' }]);
    expect(of('piston order', stepped([38, 34]), preparation)).toMatchObject([{ state: 'no' }]);
    expect(of('piston order', tarn, preparation)).toEqual([]);
  });

  it('refuse glycol into silicone', () => {
    const silicone = BUILT_IN.find((p) => p.kind === 'fluid' && p.values.silicone)?.id ?? '';
    expect(of('fluids', tarn, prepare(tarn, [part(silicone)]))).toMatchObject([
      { mixes: false, state: 'no' },
    ]);
    expect(of('fluids', tarn, prepare(tarn, [part('race')]))).toMatchObject([{ mixes: true, state: 'yes' }]);
  });
});

describe('a bleeding plan', () => {
  const plan = (car: Car, more: Partial<Preparation['bleed']> = {}, shelf = demoProject.bottles) => {
    const preparation = prepare(car, []);
    return bleedPlan(car, car, { ...preparation, bleed: { ...preparation.bleed, ...more } }, [], shelf);
  };
  const work = (car: Car): Work => workOf(car, prepare(car, []), []);

  it('goes from the farthest wheel to the nearest, or as the maker says', () => {
    expect(bleedOrder(tarn)).toEqual(['rearLeft', 'rearRight', 'frontLeft', 'frontRight']);
    const makers: Car = {
      ...tarn,
      workshop: {
        ...tarn.workshop,
        firstScrew: 'inner',
        bleedOrder: ['frontRight', 'frontLeft', 'rearRight', 'rearLeft'],
      },
    };
    expect(
      plan(makers)
        ?.steps.map(({ id }) => id)
        .slice(0, 3),
    ).toEqual(['frontRight inner', 'frontRight outer', 'frontLeft inner']);
  });

  it('counts lines, hoses and chambers by hand', () => {
    const steps = plan(tarn)?.steps ?? [];
    const circle = (mm: number) => (Math.PI / 4) * (mm / 10) ** 2;
    // Cubic centimetres: half of a tandem's stroke, 3.2 m of line, 0.38 m of hose.
    const chamber = circle(20.6) * 1.8;
    const rear = circle(3) * 320 + circle(3.2) * 38;
    expect(steps[0].arrives * 1e6).toBeCloseTo(chamber + rear, 9);
    expect(steps[1].arrives).toBe(0);
    // 30 g of fluid at 1.05 g/cm³, half at each screw, three times through: ln 20.
    expect((steps[1].draw - steps[1].arrives) * 1e6).toBeCloseTo((30 / 1.05 / 2) * Math.log(20), 9);
  });

  it('needs less than two litres for any car of the demo (common practice), less between sessions', () => {
    for (const car of demoProject.cars) {
      const all = plan(car);
      const quick = plan(car, { wanted: 'fronts' });
      recordFigure({
        id: 'Bleeding',
        what: `Fluid to change all of it, with a reserve, ${car.name}`,
        expected: 'under 2 l',
        computed: 1000 * (all?.needed ?? 0),
        unit: 'l',
        source: 'common practice',
      });
      expect(all?.needed).toBeLessThan(2e-3);
      expect(all?.needed).toBeGreaterThan(0.4e-3);
      expect(quick?.through).toBeLessThan(0.4 * (all?.through ?? 0));
      expect(quick?.steps.every(({ wheel }) => wheel?.startsWith('front'))).toBe(true);
      expect(work(car).hydraulic).toBe(true);
    }
    expect(plan(tarn, { wanted: 'none' })).toBeNull();
  });

  it('says what to heed, and never more pressure than the maker’s', () => {
    expect(plan(ovel)?.troubles).toContain('needs a tool');
    const old: Car = { ...tarn, workshop: { ...tarn.workshop, oldCylinder: true, makerPressureBar: 0.7 } };
    expect(plan(old, { way: 'pedal' })?.troubles).toContain('old cylinder');
    expect(plan(old, { way: 'gravity' })?.troubles).not.toContain('old cylinder');
    expect(plan(old)?.pressure).toBeCloseTo(0.7e5, 6);
    // Common practice: about 1 bar, 15 psi.
    const psi = (plan(tarn)?.pressure ?? 0) / 6894.757;
    recordFigure({
      id: '32',
      what: 'Pressure of a bleeder',
      expected: 'about 15 psi',
      computed: psi,
      unit: 'psi',
      source: 'common practice',
    });
    expect(psi).toBeCloseTo(14.5, 1);
  });

  it('takes only bottles that may be used, opened ones first, and no more than is there', () => {
    const race: Car = { ...tarn, fluid: { ...tarn.fluid, kind: 'race' } };
    const own = plan(race);
    expect(own?.troubles).toEqual(expect.arrayContaining(['bottle too old', 'not enough fluid']));
    expect(own?.onShelf).toBeCloseTo(500e-6, 12);
    const fresh = demoProject.bottles.map((bottle) => ({
      ...bottle,
      openedOn: bottle.openedOn && '2026-06-01',
    }));
    const used = own ? fromShelf(own, fresh, 'race', DATE) : {};
    expect(used['bottle-2']).toBe(350);
    expect(used['bottle-1']).toBeCloseTo((own?.through ?? 0) * 1e6 - 350, 6);
  });

  it.each([
    ['front.leftLineMm', 0],
    ['lineBoreMm', 30],
    ['makerPressureBar', 12],
    ['bleedOrder', ['frontLeft', 'frontLeft', 'rearLeft', 'rearRight']],
    ['torques', { 'front caliper bolts': { torqueNm: 85, by: '', date: DATE } }],
  ])('refuses %s of %j, and says where', (path, value) => {
    const keys = path.split('.');
    const workshop = structuredClone(tarn.workshop) as unknown as Record<string, unknown>;
    const at = keys.length === 1 ? workshop : (workshop[keys[0]] as Record<string, unknown>);
    at[keys[keys.length - 1]] = value;
    const read = carSchema.safeParse({ ...tarn, workshop });
    expect(read.success).toBe(false);
    expect(read.error?.issues[0].path.join('.')).toContain(`workshop.${path}`);
  });
});

describe('every number of the workshop', () => {
  it('moves what is told of the work: none is dead', () => {
    const numbers = (value: unknown, path: readonly string[] = []): (readonly string[])[] =>
      typeof value === 'number'
        ? [path]
        : typeof value === 'object' && value !== null
          ? Object.entries(value).flatMap(([key, inner]) => numbers(inner, [...path, key]))
          : [];
    const full: Car = {
      ...ovel,
      workshop: {
        ...ovel.workshop,
        makerPressureBar: 0.8,
        torques: { 'front caliper bolts': { torqueNm: 110, by: 'Imke', date: DATE } },
        rear: { ...ovel.workshop.rear, padMinimumMm: 3 },
      },
    };
    const changes: Change[] = [
      { kind: 'shield', axle: 'front', percent: 20 },
      { kind: 'thickness', axle: 'front', thicknessMm: 35 },
      { kind: 'tyres', tyres: 'track' },
    ];
    const told = (car: Car) => {
      const preparation = prepare(car, [...changes, part('estate', 'rear')], {});
      // What is exchanged has lost its minimum; the other axle still has it.
      const rear = prepare(car, [{ kind: 'thickness', axle: 'rear', thicknessMm: 11.8 }]);
      const front = prepare(car, [part('estate')]);
      const bleed = bleedPlan(car, car, { ...front, bleed: { ...front.bleed, wanted: 'all' } }, [], []);
      const lists = [preparation, rear, front].map((own) => {
        const work = workOf(car, own, []);
        return [prepareChecks(work), jobList(work)];
      });
      return JSON.stringify([bleed, lists]);
    };
    const base = told(full);
    const paths = numbers(full.workshop);
    expect(paths.length).toBeGreaterThan(12);
    const dead = paths.filter((path) => {
      const workshop = structuredClone(full.workshop) as unknown as Record<string, unknown>;
      const at = path.slice(0, -1).reduce((own, key) => own[key] as Record<string, unknown>, workshop);
      at[path[path.length - 1]] = 0.9 * (at[path[path.length - 1]] as number);
      return told({ ...full, workshop: workshop as unknown as Car['workshop'] }) === base;
    });
    expect(dead).toEqual([]);
  });
});

describe('torques', () => {
  it('go with the caliper they were of', () => {
    const key: TorqueKey = 'front caliper bolts';
    const torques = { ...tarn.workshop.torques, [key]: { torqueNm: 85, by: 'Imke', date: DATE } };
    const car: Car = { ...tarn, workshop: { ...tarn.workshop, torques } };
    const caliper = idsOf('caliper').find(
      (id) => changesProblem({ ...setupOf(demoProject), car }, [part(id)]) === null,
    );
    const { list, kept } = [car].map((own) => {
      const work = workOf(own, prepare(own, [part(caliper ?? '')]), []);
      return { list: jobList(work), kept: work.car.workshop.torques };
    })[0];
    expect(list.missing).toContain(key);
    expect(kept).not.toHaveProperty([key]);
    expect(kept).toHaveProperty(['front wheel fastenings']);
  });
});
