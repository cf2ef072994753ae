import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoProject } from '../../../demo/project';
import { recordFigure } from '../../../tests/support/validation';
import { exposedTemperature, judgedDay } from '../../core';
import {
  dayInput,
  exposedPart,
  METRIC,
  type Preparation,
  preparedCar,
  type Setup,
  type StoredBedding,
  setupOf,
} from '../../model';
import { benchCsv } from '../../report';
import { beddingWarningText, cardText, obstacleText, verdictText } from '../../text/en';
import { exposedReports } from '../cooling/exposedReport';
import { bedding, beddingOf, beddingQuestion } from './bedding';
import { beddedAfterCards, beddingCards } from './beddingCards';
import { protectionJobs } from './protection';

const setup = setupOf(demoProject);
const [work] = demoProject.preparations;
const preparation = (bed: Partial<StoredBedding>, more: Partial<Preparation> = {}): Preparation => ({
  ...work,
  ...more,
  bed: { ...work.bed, ...bed },
});
function driven(bed: Partial<StoredBedding>, more: Partial<Preparation> = {}, of: Setup = setup) {
  const question = beddingQuestion(of, preparation(bed, more));
  if (!question) throw new Error('nothing to bed');
  return { question, plan: bedding(question) };
}

describe('how a preparation is bedded', () => {
  it('on any road: never over the limit, never harder than others follow; inside the band or a reason', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 20, max: 130 }),
        fc.constantFrom('enduro', 'backroad', 'commuter', 'quiet'),
        fc.integer({ min: -5, max: 38 }),
        (limitKmh, pad, ambientC) => {
          const plan = { ...setup.plan, sessions: [{ ...setup.plan.sessions[0], ambientC }] };
          const changes = [{ kind: 'part', part: pad, axle: 'front' } as const];
          const { question, plan: run } = driven(
            { version: 'road', limitKmh },
            { changes },
            { ...setup, plan },
          );
          const fastest = Math.max(...run.steps.map(({ from, to }) => Math.max(from, to)));
          expect(fastest * 3.6).toBeLessThanOrEqual(limitKmh + 1e-9);
          expect(question.recipe.hard?.deceleration).toBeLessThanOrEqual(4);
          expect(run.audit.residual).toBeLessThan(1e-3);
          const last = run.steps.findLast((step) => step.phase === 'snubs' && step.does === 'brake');
          if (run.obstacle) {
            expect(obstacleText(run.obstacle, METRIC)).toMatch(/^Not (bedded|finished)/);
          } else {
            expect(last?.at.front.bedded).toBeGreaterThanOrEqual(0.95);
          }
        },
      ),
      { numRuns: 12 },
    );
  });

  it('takes about ten medium applications before the hard ones (common practice), more in the cold', () => {
    const at = (ambientC: number) => {
      const plan = { ...setup.plan, sessions: [{ ...setup.plan.sessions[0], ambientC }] };
      return driven({}, {}, { ...setup, plan }).plan;
    };
    const mild = at(25);
    recordFigure({
      id: 'Bedding',
      what: 'Medium applications before the hard ones, club car in air of 25 °C',
      expected: 'about 10 applications',
      computed: mild.warmUps,
      unit: 'applications',
      source: 'common practice',
    });
    expect(Math.abs(mild.warmUps - 10)).toBeLessThanOrEqual(2);
    expect(at(5).warmUps).toBeGreaterThan(mild.warmUps);
  });

  it('is only warmed up where parts came bedded, and begins from nothing where they are glazed', () => {
    const warm = driven({ version: 'pre-bedded' }).plan;
    expect([warm.snubs, warm.obstacle]).toEqual([0, null]);
    expect(warm.state.frontLeft.bedded).toBe(1);
    const glazed = driven({ version: 'glazed' }, { changes: [] });
    expect(glazed.question.axles).toEqual(['front', 'rear']);
    expect(glazed.plan.steps[0].at.front.bedded).toBe(0);
    expect(beddingQuestion(setup, preparation({}, { changes: [] }))).toBeNull();
  });

  it('goes by what came with the pads', () => {
    const { car, parts } = setup;
    const typed = beddingOf(car, 'front', parts, { ...work.bed, bedLowC: 420, bedHighC: 560 });
    expect(typed).toMatchObject({ bed: [420, 560], source: 'typed' });
    expect(beddingOf(car, 'front', parts, work.bed).source).toBe('(from memory)');
    const usual = driven({}).plan;
    const hotter = driven({ bedLowC: 420 }).plan;
    expect(hotter.snubs).toBeGreaterThan(usual.snubs);
    const counted = driven({ warmUps: 3, snubs: 4 }).plan;
    expect([counted.warmUps, counted.snubs]).toEqual([3, 4]);
    const many = driven({ snubs: usual.snubs + 3 }).plan;
    expect([many.warmUps, many.snubs]).toEqual([usual.warmUps, usual.snubs + 3]);
    // Slower snubs than the usual warm-up: nobody warms up faster than that.
    const { recipe } = driven({ fromKmh: 50 }).question;
    expect([recipe.warmUp.from, recipe.hard?.from]).toEqual([50 / 3.6, 50 / 3.6]);
    expect(counted.warnings.map((own) => beddingWarningText(own, METRIC)).join()).toMatch(/^Smear/);
  });

  it('tells cards that add up to the run, and what a part of it leaves bedded', () => {
    const { plan } = driven({});
    const cards = beddingCards(plan);
    const sum = (of: (card: (typeof cards)[number]) => number) =>
      cards.reduce((all, card) => all + of(card), 0);
    expect(sum(({ seconds }) => seconds)).toBeCloseTo(plan.duration, 6);
    expect(sum(({ distance }) => distance)).toBeCloseTo(plan.distance, 6);
    expect(cards.filter(({ does }) => does === 'brake')).toHaveLength(plan.warmUps + plan.snubs);
    expect(cardText(cards[0], METRIC).says).toMatch(
      /^Warm-up 1 of \d+: from 100 km\/h brake evenly to 50 km\/h$/,
    );
    const leaves = (snubs: number) => beddedAfterCards(plan, 'front', { warmUps: plan.warmUps, snubs }, 0);
    expect(leaves(0)).toBe(0);
    expect(leaves(plan.snubs)).toBe(plan.state.frontLeft.bedded);
    expect(leaves(Math.ceil(plan.snubs / 2))).toBeLessThan(leaves(plan.snubs));
  });

  it('is exported for a bench with the inertia that the brakes stop', () => {
    const { question, plan } = driven({ version: 'bench' });
    const [head, ...rows] = benchCsv(question, plan).split('\n');
    expect(rows).toHaveLength(beddingCards(plan).length);
    const column = head.split(',').indexOf('inertia of one front brake (kg·m²)');
    const rear = head.split(',').indexOf('inertia of one rear brake (kg·m²)');
    const first = rows[0].split(',').map(Number);
    // Two front and two rear brakes stop the whole car: m·δ·r².
    expect(2 * first[column] + 2 * first[rear]).toBeCloseTo(1040 * 1.04 * 0.3 ** 2, 6);
  });

  it('leaves brakes that bite less until they are bedded', () => {
    const fresh = preparedCar(setup.car, work, work.date, []);
    const bedded = { ...fresh, front: { ...fresh.front, beddedPercent: 100 } };
    const [pedal, kept] = [fresh, bedded].map((car) => {
      const day = judgedDay(dayInput({ ...setup, car, calibration: null }));
      const { record } = day;
      const told = verdictText(day, METRIC).notes.join(' ');
      expect(/The front pads begin 0 % bedded/.test(told)).toBe(car === fresh);
      return record.force.pedal.slice(0, 40).reduce((most, force) => Math.max(most, force), 0);
    });
    expect(pedal).toBeGreaterThan(1.05 * kept);
  });
});

describe('heat protection', () => {
  const reports = exposedReports(setup);

  it('is a job for what comes over its rating, the worst first, each way with what it brings', () => {
    const jobs = protectionJobs(reports);
    expect(jobs.map(({ id }) => id)).toContain('tarn-lead');
    for (const { id, peak, otherSide, rating, ways } of jobs) {
      expect(Math.max(peak, otherSide)).toBeGreaterThan(rating);
      for (const way of ways) expect(way.brings).toBeCloseTo(peak - way.peak, 9);
      const exhaust = setup.car.exposed.find((part) => part.id === id)?.kind === 'cylinder';
      expect(ways.some(({ kind }) => kind === 'wrap')).toBe(exhaust);
    }
    const over = jobs.map(({ peak, rating }) => peak - rating);
    expect(over).toEqual(over.toSorted((a, b) => b - a));
  });

  it('counts from then on as it is: a part with its sleeve is as hot as the sleeve was said to leave it', () => {
    const sleeved = preparedCar(setup.car, work, work.date, []);
    const before = reports.parts.find(({ id }) => id === 'tarn-lead');
    // The same day: only the lead differs.
    const car = { ...setup.car, exposed: sleeved.exposed };
    const after = exposedReports({ ...setup, car }).parts.find(({ id }) => id === 'tarn-lead');
    const peak = (report: typeof before, kind: string) => report?.ways.find((way) => way.kind === kind)?.peak;
    expect(peak(after, 'none')).toBe(peak(before, 'sleeve'));
    expect(after?.ways.find(({ kind }) => kind === 'none')?.peak).toBeLessThan(before?.rating ?? 0);
  });

  it('by a wrap: cooler at an exhaust, the hotter the pipe the more, and never under the air', () => {
    const input = dayInput(setup);
    const day = judgedDay(input);
    const cylinder = setup.car.exposed.find(({ kind }) => kind === 'cylinder');
    if (!cylinder) throw new Error('no cylinder');
    const gain = (exhaustC: number) => {
      const part = exposedPart(setup.car, { ...cylinder, exhaustC });
      const [bare, wrapped] = (['none', 'wrap'] as const).map(
        (kind) => exposedTemperature(input, day, part, { kind }).peak,
      );
      expect(wrapped).toBeGreaterThan(input.sessions[0].ambient);
      return bare - wrapped;
    };
    expect(gain(400)).toBeGreaterThan(0);
    expect(gain(700)).toBeGreaterThan(gain(400));
  });
});
