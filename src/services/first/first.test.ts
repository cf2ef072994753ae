import { describe, expect, it } from 'vitest';
import { demoProject } from '../../../demo/project';
import {
  boilingThereC,
  carFromAnswers,
  doubtsOf,
  type Project,
  planFromSentence,
  type Setup,
  setupOf,
  withChanges,
} from '../../model';
import { nothingKnown } from '../../model/guided/carAnswers';
import { assess } from '../compare/assess';
import { rankedWorth, widthOf, worthOf } from './findOut';
import { changesOf, orderOfSteps } from './firstSteps';
import { fluidRenewal } from './fluidRenewal';

const sentence = {
  name: 'Quarter of an hour',
  carId: 'own',
  circuitId: demoProject.circuits[0].id,
  sessions: 1,
  each: 15,
  by: 'minutes',
  ambientC: 22,
  date: null,
} as const;
const hatch: Project = {
  ...demoProject,
  cars: [carFromAnswers(nothingKnown('hot-hatch', 'Own hatch'), 'own')],
  plans: [planFromSentence(sentence, 2, 'plan')],
  selectedPlanId: 'plan',
};
const setup = setupOf(hatch);
const drive = async (setups: readonly Setup[]) => setups.map(assess);

describe('what to do first', () => {
  it('mends what fails first until the session holds, each step by the cheapest that helps; and says what remains', async () => {
    const order = await orderOfSteps(hatch, setup, Number.POSITIVE_INFINITY, drive);
    expect(order.base.summary.verdict.kind).toBe('over-limit');
    expect(order.steps.length).toBeGreaterThan(1);
    let before = order.base;
    order.steps.forEach((step, i) => {
      // Each mends a limit that was passed in the drive before; the first of all the one that was passed first.
      const passed = [...before.summary.margins, ...before.summary.forceMargins].filter(
        (margin) => margin.passed && margin.part !== 'bite',
      );
      const first = Math.min(...passed.map((margin) => margin.passed?.time ?? Number.POSITIVE_INFINITY));
      if (i === 0) expect(step.before.passed?.time).toBe(first);
      expect((step.after?.margin ?? 0) - step.before.margin).toBeGreaterThan(0);
      before = step.assessed;
    });
    // None is bought that a later one takes the place of.
    expect(changesOf(order.steps, setup)).toHaveLength(order.steps.length);
    // All of them together drive as the last one says.
    const together = assess(withChanges(setup, changesOf(order.steps, setup)));
    expect(together.summary.margins.map(({ margin }) => margin)).toEqual(
      order.last.summary.margins.map(({ margin }) => margin),
    );
    if (order.remains === null) expect(together.summary.verdict.kind).not.toBe('over-limit');
  });

  it('keeps to a budget', async () => {
    const order = await orderOfSteps(hatch, setup, 60, drive);
    expect(order.steps.reduce((sum, { price }) => sum + price, 0)).toBeLessThanOrEqual(60);
    expect(order.remains).not.toBeNull();
  });
});

describe('what to find out next', () => {
  it('is what is assumed, both ways, from real runs; what was told is not asked for', () => {
    const doubts = doubtsOf(setup);
    const paths = doubts.map(({ path }) => path.join('.'));
    expect(paths).toEqual(
      expect.arrayContaining(['massKg', 'front.rotor.weighedKg', 'fluid.measuredBoilingC']),
    );
    const told: Setup = {
      ...setup,
      car: { ...setup.car, origins: { rest: 'assumed', known: { massKg: 'measured' } } },
    };
    expect(doubtsOf(told).map(({ path }) => path.join('.'))).not.toContain('massKg');
    const base = assess(setup);
    const some = doubts.filter(({ path }) =>
      ['massKg', 'wheelOpenAreaPercent', 'fluidKg'].includes(String(path.at(-1))),
    );
    const worth = some.map((doubt) => worthOf(doubt, base, assess(doubt.low), assess(doubt.high)));
    const mass = worth.find(({ path }) => path[0] === 'massKg');
    // A heavier car is nearer to every limit.
    expect(mass?.low).toBeGreaterThan(mass?.high ?? 0);
    const ranked = rankedWorth(worth).map(widthOf);
    expect(ranked).toEqual([...ranked].sort((a, b) => b - a));
  });
});

describe('when the fluid is renewed', () => {
  const withFluid = (fluid: Partial<Setup['car']['fluid']>, targetMarginK = 10): Setup => ({
    ...setup,
    car: { ...setup.car, fluid: { ...setup.car.fluid, kind: 'race-plus', ageMonths: 0, ...fluid } },
    plan: {
      ...setup.plan,
      targetMarginK,
      sessions: [{ ...setup.plan.sessions[0], legs: [{ kind: 'hot', laps: 1, pacePercent: 60 }] }],
    },
  });

  it('is when its age has taken the margin to keep, and not a month before', () => {
    const easy = withFluid({});
    const spare = Math.min(
      ...assess(easy)
        .summary.margins.filter(({ part }) => /^fluid/.test(part))
        .map((m) => m.margin),
    );
    // A margin to keep that eighteen months of water take away.
    const lost = boilingThereC(easy) - boilingThereC(withFluid({ ageMonths: 18 }));
    const wanting = withFluid({}, spare - lost + 0.01);
    const renewal = fluidRenewal(wanting, assess(wanting));
    expect(renewal).toEqual({ kind: 'in', months: 17 });
    expect(fluidRenewal(setup, assess(setup))).toEqual({ kind: 'now' });
    const silicone = withFluid({ kind: 'silicone' });
    expect(fluidRenewal(silicone, assess(silicone)).kind).toBe('later');
  });
});
