import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoProject } from '../../demo/project';
import { anyProject } from '../../tests/support/anyProject';
import { oneSession } from '../../tests/support/sessions';
import { reportText } from '../cli/report';
import { type DayResult, lapTime, simulateDay } from '../core';
import { tracesCsv, zonesCsv } from '../report/csv';
import { resultDocument } from '../report/results';
import { zoneRows } from '../report/zoneRows';
import { marginText, verdictText, worstText } from '../text/en/wording';
import { projectProblems } from './check/problems';
import { METRIC } from './quantity/units';
import { type Car, carSchema } from './schema/car';
import type { Plan } from './schema/plan';
import { dayInput, type Setup, setupOf } from './toCore/toCore';

/** Places of a result that may hold no number, as docs/formats.md says. */
const MAY_BE_NULL =
  /^(calibration|force\.margins\[\d+\]\.(worst|margin|share|passed|at\.lap|at\.standing)|margins\[\d+\]\.(passed|at\.lap|at\.standing|passed\.(lap|standing)))$|\.(lap|standing|passed|fade|hotLapsBefore|unbraked|heldByLiftKmh|coningMm|fatigueDamage|extraM|extraDistanceM|pedalN|pedalBiteN|pedalStayN)(\[\d+\])?$|^record\.(lap|pedalN)\[\d+\]$/;

function holes(value: unknown, path = ''): string[] {
  if (value === null) return MAY_BE_NULL.test(path) ? [] : [path];
  if (typeof value === 'number') return Number.isFinite(value) ? [] : [`${path}: ${value}`];
  if (Array.isArray(value)) return value.flatMap((item, i) => holes(item, `${path}[${i}]`));
  if (typeof value !== 'object') return [];
  return Object.entries(value as object).flatMap(([key, inner]) =>
    holes(inner, path ? `${path}.${key}` : key),
  );
}

describe('any valid project', () => {
  it('gives numbers everywhere, or says in words why there is none', () => {
    fc.assert(
      fc.property(anyProject(), (project) => {
        const setup = setupOf(project);
        if (projectProblems(project).some((p) => p.severity === 'error')) return;
        let result: DayResult;
        try {
          result = simulateDay(dayInput(setup));
        } catch (error) {
          expect((error as Error).message).toMatch(/lift leaves|does not/);
          return;
        }
        const written = JSON.parse(JSON.stringify(resultDocument(setup, result)));
        expect(holes(written)).toEqual([]);
        const texts = [zonesCsv(setup, result), tracesCsv(setup, result), reportText(setup, result)];
        for (const text of texts) expect(/\b(NaN|Infinity|undefined|null)\b/.exec(text)).toBeNull();
      }),
      { numRuns: 40 },
    );
  });
});

const short = (setup: Setup, car: Partial<Car>, plan: Partial<Plan> = {}): Setup => ({
  ...setup,
  car: carSchema.parse({ ...setup.car, ...car }),
  plan: {
    ...oneSession(setup.plan, { hotLaps: 3, coolDownLaps: 0, paddockMin: 1 }),
    brakesEarlier: false,
    ...plan,
  },
});
const day = (setup: Setup) => simulateDay(dayInput(setup));
const TARN = setupOf(demoProject, 'plan-tarn-anvil');
const OVEL = setupOf(demoProject, 'plan-ovel-nettle');

describe('a car whose body lifts', () => {
  const light = { massKg: 250, downforceAreaM2: -0.5, dragAreaM2: 0.3, powerKw: 200 };

  it('is held to the speed at which a quarter of its weight is left, and that is said', () => {
    // Its corners were once solved at speeds at which nothing was left on the tyres, and the lap was no number.
    expect(lapTime(day(short(TARN, light)).trace)).toBeGreaterThan(30);
    const fen = setupOf(demoProject, 'plan-tarn-fen');
    const free = { downforceAreaM2: -1, dragAreaM2: 0.1, drivenSharePercent: 100 };
    const setup = short(fen, { ...light, ...free }, { windKmh: 0 });
    const result = day(setup);
    const most = Math.max(...result.trace.speed);
    const weight = dayInput(setup).vehicle.mass * 9.80665;
    expect(weight - 0.5 * result.airDensity * 1 * most ** 2).toBeGreaterThan(0.249 * weight);
    expect(result.heldByLift).toBeCloseTo(most, 6);
    expect(result.audit.supplied).toBeGreaterThan(0);
    expect(verdictText(result, METRIC).notes.join(' ')).toMatch(/held to \d+ km\/h: faster, the body’s lift/);
    expect(day(short(TARN, {})).heldByLift).toBeNull();
  });

  it('is refused by name where speeds are given that it would fly at', () => {
    const layout = {
      kind: 'zones' as const,
      zones: [
        {
          name: 'Stop 1',
          entryKmh: 290,
          exitKmh: 60,
          by: 'distance' as const,
          distanceM: 400,
          decelerationMs2: 9,
          toNextM: 1500,
          timeToNextS: null,
          gradePercent: 0,
        },
      ],
    };
    const flies = { ...short(TARN, light), circuit: { ...TARN.circuit, layout } };
    expect(() => day(flies)).toThrow(/At 80\.6 m\/s the body’s lift leaves \d+ % .* Check ClA, the mass/);
    const slow = {
      ...flies,
      circuit: {
        ...TARN.circuit,
        layout: { ...layout, zones: [{ ...layout.zones[0], entryKmh: 150, distanceM: 120 }] },
      },
    };
    const { sentence } = verdictText(day(slow), METRIC);
    // A name that only repeats the number is not said twice.
    expect(sentence).toMatch(/at braking zone 1[.,;: ]/);
  });
});

describe('a lap that is no number', () => {
  it('ends the day with what is not, and where, instead of a verdict', () => {
    const input = dayInput(short(TARN, {}));
    const { vehicle } = input;
    expect(() => simulateDay({ ...input, vehicle: { ...vehicle, lateralGrip: Number.NaN } })).toThrow(
      /^The lap cannot be driven: its \w+ is not a number at \d+ m\.$/,
    );
  });
});

describe('a verdict needs hot braking, or says why there is none', () => {
  const sentence = (setup: Setup) => {
    const result = day(setup);
    return [result.verdict.kind, verdictText(result, METRIC).sentence];
  };

  it('no hot laps', () => {
    const [session] = oneSession(TARN.plan, { hotLaps: 0, outLaps: 2, coolDownLaps: 0 }).sessions;
    expect(sentence(short(TARN, {}, { sessions: [session] }))).toEqual([
      'not-judged',
      'The plan has no hot laps, so there is nothing to judge the brakes by.',
    ]);
  });

  it('nothing to brake for', () => {
    const [kind, words] = sentence(short(TARN, { powerKw: 5, dragAreaM2: 5 }));
    expect(kind).toBe('not-judged');
    expect(words).toMatch(/^No hot lap brakes anywhere/);
  });

  it('a motor that does all of it leaves the whole of the brakes in hand', () => {
    for (const blending of ['added', 'blended'] as const) {
      const recovery = { axle: 'front' as const, powerKw: 1000, lowestSpeedKmh: 1, blending, derating: [] };
      // All the friction braking is at the front, so that the front motor can take all of it.
      const result = day(short(OVEL, { recovery, frontSharePercent: 100 }));
      expect(result.verdict).toMatchObject({ kind: 'not-judged', unbraked: 'motor' });
      expect(verdictText(result, METRIC).sentence).toMatch(/^The motor does all the braking/);
      const forces = result.laps.flatMap((lap) => lap.forces);
      expect(forces.length).toBeGreaterThan(10);
      for (const force of forces) {
        expect(force.fadeMargin).toBeGreaterThan(0);
        expect(force.extraDistance).toBe(0);
        expect(force.frontHeat + force.rearHeat).toBeCloseTo(0, 6);
      }
    }
  });
});

describe('failures past sense', () => {
  it('a pedal on the floor and boiling fluid come before pads, without figures', () => {
    const soft = {
      fluid: { ...TARN.car.fluid, measuredBoilingC: 92 },
      front: {
        ...TARN.car.front,
        pad: 'commuter',
        caliper: { ...TARN.car.front.caliper, fluidKg: 0.01, massKg: 1 },
      },
    };
    const setup = short(TARN, soft, { sessions: oneSession(TARN.plan, { hotLaps: 8 }).sessions });
    const result = day(setup);
    const { margin, also } = result.verdict;
    expect(also.some((m) => m.part === 'padFace')).toBe(true);
    expect(['fluid', 'travel']).toContain(margin.part);
    expect(also.every((m) => m.part === 'fluid' || m.part === 'travel' || m.part === 'pedal')).toBe(false);
    const floor = result.forceMargins.filter((m) => m.part === 'travel' && m.passed);
    expect(floor).toHaveLength(1);
    expect(worstText(floor[0], METRIC)).toBe('the pedal reaches the floor');
    expect(marginText(floor[0], METRIC)).toBe('on the floor');
    const said = [verdictText(result, METRIC).sentence, ...verdictText(result, METRIC).notes].join(' ');
    expect(said).toMatch(/The car does not stop on lap \d+/);
    expect(said).not.toMatch(/\d mm|without end/);
    const endless = zoneRows(setup, result, 8).filter((row) => !row.stops);
    expect(endless.length).toBeGreaterThan(0);
    for (const row of endless) expect(row.extraM).toBeNull();
    const cells = zonesCsv(setup, result).split('\n');
    const extra = cells[0].split(',').indexOf('Overshoots by (m)');
    const lost = cells.slice(1).filter((line) => line.split(',')[extra] === '');
    expect(lost).toHaveLength(
      result.laps.flatMap((lap) => zoneRows(setup, result, lap.number)).filter((r) => !r.stops).length,
    );
  });
});
