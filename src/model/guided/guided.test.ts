import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoProject } from '../../../demo/project';
import { simulateDay } from '../../core';
import { fitPart, shelfOf } from '../catalogue/choices';
import { TYRE_KIND_IDS } from '../catalogue/tyres';
import { attemptEdit } from '../edit/attempt';
import { replaceItem } from '../edit/library';
import { countOrigins, originOf, valuesOf } from '../edit/origins';
import { carSchema } from '../schema/car';
import { planSchema } from '../schema/plan';
import { frontSharePercent, wheelFit } from '../toCore/chain';
import { dayInput, setupOf } from '../toCore/toCore';
import { type CarAnswers, carAnswersSchema, nothingKnown, PAD_ANSWER_IDS } from './carAnswers';
import { carFromAnswers } from './carFromAnswers';
import { CAR_KIND_IDS, DRIVEN_IDS } from './carKind';
import { CAR_KINDS } from './carKinds';
import { hotLapsIn, planFromSentence } from './newPlan';

const sentence = {
  name: 'A day',
  carId: 'car-new',
  circuitId: demoProject.circuits[0].id,
  sessions: 1,
  each: 15,
  by: 'minutes',
  ambientC: 20,
  date: null,
} as const;
const own = (car: ReturnType<typeof carFromAnswers>) => ({
  ...demoProject,
  cars: [car],
  preparations: [],
  tests: [],
  sets: [],
  seasons: [],
  entries: [],
  plans: [planFromSentence(sentence, 3, 'plan-new')],
  selectedPlanId: 'plan-new',
});

describe('a car from a few answers', () => {
  it.each(CAR_KIND_IDS)(
    '%s, nothing known: can be stored, balanced as its kind, driven and judged',
    (kind) => {
      const car = carFromAnswers(nothingKnown(kind, 'Mine'), 'car-new');
      expect(carSchema.parse(car)).toEqual(car);
      expect(frontSharePercent(car)).toBeCloseTo(CAR_KINDS[kind].frontSharePercent, 0);
      const day = simulateDay(dayInput(setupOf(own(car))));
      expect(day.verdict.kind).not.toBe('not-judged');
      // Cold pads are pressed with what a foot has; made as planned on the first hot lap.
      const bite = Math.max(...day.laps[1].forces.map((force) => force.pedalBite));
      expect(bite).toBeGreaterThan(60);
      expect(bite).toBeLessThan(car.pedal.limitN);
      // Caliper and rotor have room for each other.
      const { opening, rotorThickness, newPadThickness, plateThickness } = wheelFit(car.front);
      expect(opening - rotorThickness - 2 * (newPadThickness + plateThickness)).toBeGreaterThan(0);
      expect(countOrigins(car)).toMatchObject({ typed: 0, measured: 0 });
      expect(countOrigins(car).assumed).toBe(valuesOf(car).size);
    },
  );

  it('of any answers that do not contradict each other can be stored, with what was told in it', () => {
    const orNull = <T>(arbitrary: fc.Arbitrary<T>) => fc.option(arbitrary, { nil: null });
    const answers: fc.Arbitrary<CarAnswers> = fc.record({
      name: fc.constant('Mine'),
      kind: fc.constantFrom(...CAR_KIND_IDS),
      massKg: orNull(fc.integer({ min: 400, max: 3500 })),
      powerKw: orNull(fc.integer({ min: 30, max: 600 })),
      driven: orNull(fc.constantFrom(...DRIVEN_IDS)),
      tyres: orNull(fc.constantFrom(...TYRE_KIND_IDS)),
      frontDiameterMm: orNull(fc.integer({ min: 150, max: 460 })),
      frontThicknessMm: orNull(fc.integer({ min: 4, max: 60 })),
      frontVented: orNull(fc.constantFrom('vented', 'solid')),
      frontMounting: orNull(fc.constantFrom('one-piece', 'floating')),
      frontCaliper: orNull(fc.constantFrom('sliding', 'fixed')),
      frontPistons: orNull(fc.integer({ min: 1, max: 12 })),
      rear: orNull(fc.constantFrom('disc', 'drum')),
      rearDiameterMm: orNull(fc.integer({ min: 150, max: 460 })),
      pads: orNull(fc.constantFrom(...PAD_ANSWER_IDS)),
      fluid: orNull(fc.constantFrom('class-4', 'race', 'silicone')),
      fluidMonths: orNull(fc.integer({ min: 0, max: 240 })),
    });
    fc.assert(
      fc.property(answers, (a) => {
        if (!carAnswersSchema.safeParse(a).success) return;
        const car = carFromAnswers(a, 'car-new');
        const read = carSchema.safeParse(car);
        expect(read.success ? [] : read.error.issues).toEqual([]);
        if (a.massKg !== null)
          expect([car.massKg, originOf(car.origins, 'massKg')]).toEqual([a.massKg, 'typed']);
        if (a.frontDiameterMm !== null) expect(car.front.rotor.outerDiameterMm).toBe(a.frontDiameterMm);
        // Whatever is told: every path that is marked names a value.
        for (const path of Object.keys(car.origins.known)) expect([...valuesOf(car).keys()]).toContain(path);
      }),
      { numRuns: 400 },
    );
  });

  it('says which answers cannot be of one car, at the one to look at again', () => {
    const said = (answers: Partial<CarAnswers>) => {
      const read = carAnswersSchema.safeParse({ ...nothingKnown('hot-hatch', 'Mine'), ...answers });
      return read.success ? [] : read.error.issues.map((issue) => issue.path[0]);
    };
    expect(said({})).toEqual([]);
    expect(said({ frontThicknessMm: 32, frontVented: 'solid' })).toEqual(['frontThicknessMm']);
    expect(said({ frontThicknessMm: 10, frontVented: 'vented' })).toEqual(['frontThicknessMm']);
    expect(said({ frontCaliper: 'sliding', frontPistons: 6 })).toEqual(['frontPistons']);
    expect(said({ frontCaliper: 'fixed', frontPistons: 3 })).toEqual(['frontPistons']);
    expect(said({ frontDiameterMm: 250, rearDiameterMm: 340 })).toEqual(['rearDiameterMm']);
    expect(said({ kind: 'single-seater', rear: 'drum' })).toEqual(['rear']);
    expect(said({ massKg: 500, powerKw: 600 })).toEqual(['powerKw']);
  });
});

describe('how a value is known', () => {
  const project = own(carFromAnswers(nothingKnown('hot-hatch', 'Mine'), 'car-new'));
  const edited = (change: Parameters<typeof attemptEdit>[1]) => {
    const attempt = attemptEdit(project, change);
    if (!attempt.ok) throw new Error(JSON.stringify(attempt.problems));
    return attempt.project;
  };

  it('follows every edit that changes one, whoever makes it', () => {
    const [car] = project.cars;
    const typed = edited((p) => replaceItem(p, 'cars', { ...car, massKg: 1500 }));
    expect(typed.cars[0].origins.known).toEqual({ massKg: 'typed' });
    const pad = shelfOf('rotor', [])[0];
    const fitted = edited((p) => replaceItem(p, 'cars', fitPart(car, pad, 'front')));
    expect(originOf(fitted.cars[0].origins, 'front.rotor.outerDiameterMm')).toBe('typed');
    expect(originOf(fitted.cars[0].origins, 'massKg')).toBe('assumed');
    const wind = edited((p) => replaceItem(p, 'plans', { ...p.plans[0], windKmh: 12 }));
    expect(originOf(wind.plans[0].origins, 'windKmh')).toBe('typed');
    // One that brings its own along keeps it.
    const measured = { rest: 'assumed', known: { massKg: 'measured' } } as const;
    const told = edited((p) => replaceItem(p, 'cars', { ...car, massKg: 1500, origins: { ...measured } }));
    expect(told.cars[0].origins).toEqual(measured);
    expect(countOrigins(told.cars[0])).toMatchObject({ measured: 1, all: valuesOf(car).size });
  });
});

describe('a plan in a sentence', () => {
  it('has as many hot laps as fit into the minutes between out lap and cool-down lap', () => {
    const times = { out: 120, hot: 100, cool: 180 };
    expect(hotLapsIn(20, times)).toBe(9);
    expect(hotLapsIn(10, times)).toBe(3);
    expect(hotLapsIn(5, times)).toBe(1);
    const plan = planFromSentence({ ...sentence, sessions: 3, date: '2027-05-01' }, 9, 'plan-new');
    expect(planSchema.parse(plan)).toEqual(plan);
    expect(plan.sessions.map(({ legs }) => legs[1])).toEqual(
      new Array(3).fill({ kind: 'hot', laps: 9, pacePercent: 100 }),
    );
  });
});
