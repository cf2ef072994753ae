import {
  type Ask,
  airAt,
  type BrakeTest,
  brakeTest,
  coldStop,
  type DayInput,
  forcesOf,
  hotStop,
  type Requirement,
  type TestResult,
  topSpeed,
} from '../../core';
import {
  calibrationOf,
  dayInput,
  type Project,
  type Setup,
  type TestConditions,
  type TestDesign,
  type TestRun,
  toSi,
} from '../../model';

/** A test that is to be predicted: the car, what is driven, and how warm the brakes begin, K. */
export interface TestQuestion {
  readonly setup: Setup;
  readonly design: TestDesign;
  readonly conditions: Pick<TestConditions, 'surface' | 'massKg' | 'airC'>;
}

/** What the engine says of it, with the rules' requirements where it is their test. */
export interface TestAnswer extends TestResult {
  readonly requirements: readonly Requirement[];
  /** Speed braked from that the car cannot reach, m/s: its top speed; null where it can */
  readonly tooSlow: number | null;
}

/** Grip of a surface over that of a dry road (from memory). */
export const SURFACE_GRIP: Readonly<Record<TestConditions['surface'], number>> = {
  'dry asphalt': 1,
  'damp asphalt': 0.8,
  'wet asphalt': 0.65,
  concrete: 1,
  other: 0.7,
};

/** Share of the power that brings the car back to speed (own choice). */
const POWER_USED = 0.6;
const BACK = [0.4, 3] as const;

/** The car of a run with its day: as it was fitted, loaded and in the air it was driven in. */
export function setupOfRun(base: Setup, project: Project, run: Pick<TestRun, 'car' | 'parts'>): Setup {
  const others = base.parts.filter(({ id }) => !run.parts.some((own) => own.id === id));
  return {
    ...base,
    car: run.car,
    parts: [...run.parts, ...others],
    begun: null,
    calibration: calibrationOf(project, run.car),
  };
}

/** Air and mass as they were. */
export function testDay({ setup, conditions }: TestQuestion): DayInput {
  const { airC, massKg, surface } = conditions;
  const car = massKg === null ? setup.car : { ...setup.car, massKg, loads: [] };
  const input = dayInput({ ...setup, car, begun: null });
  const [first, ...others] = input.sessions;
  const ambient = airC === null ? first.ambient : toSi(airC, 'temperature');
  const grip = SURFACE_GRIP[surface];
  return {
    ...input,
    vehicle: {
      ...input.vehicle,
      longitudinalGrip: input.vehicle.longitudinalGrip * grip,
      lateralGrip: input.vehicle.lateralGrip * grip,
    },
    sessions: [{ ...first, ambient }, ...others],
  };
}

/** What is driven, SI. */
export function recipeOf(design: TestDesign, input: DayInput): BrakeTest {
  const from = toSi(design.fromKmh, 'speed');
  const ask: Ask =
    design.braking === 'hold'
      ? { deceleration: design.holdMs2 }
      : { atMost: input.vehicle.brakes.forceLimit };
  const { mass, power } = input.vehicle;
  const endurance = design.kind === 'endurance';
  return {
    ambient: input.sessions[0].ambient,
    stop: { from, to: toSi(design.toKmh, 'speed'), ask },
    stops: design.stops,
    spacing: design.spacingS,
    acceleration: Math.min(BACK[1], Math.max(BACK[0], (POWER_USED * power) / (mass * from))),
    corner:
      endurance && design.cornerS > 0
        ? { speed: toSi(design.cornerKmh, 'speed'), duration: design.cornerS }
        : null,
    heating:
      design.kind === 'cold-hot'
        ? {
            snub: {
              from: toSi(design.heatFromKmh, 'speed'),
              to: toSi(design.heatToKmh, 'speed'),
              deceleration: design.heatMs2,
            },
            count: design.heatSnubs,
            cycle: design.heatCycleS,
          }
        : null,
    untilFails: endurance,
    longest:
      endurance && design.targetMin !== null ? toSi(design.targetMin, 'minutes') : Number.POSITIVE_INFINITY,
  };
}

/** How warm the brakes begin, K. */
export const startOf = ({ startC }: TestDesign, input: DayInput): number =>
  startC === null
    ? input.sessions[0].ambient
    : Math.max(input.sessions[0].ambient, toSi(startC, 'temperature'));

/** Drives a test with a car's brakes. @throws ScheduleError, NeverStops */
export function predictTest(question: TestQuestion): TestAnswer {
  const { design } = question;
  const input = testDay(question);
  const density = airAt(input, input.sessions[0].ambient).density;
  const fastest = topSpeed(forcesOf(input.vehicle, { ...input.driver, pace: 1 }, density, 0));
  const from = toSi(design.kind === 'rules' ? 100 : design.fromKmh, 'speed');
  const tooSlow = from > fastest ? fastest : null;
  if (design.kind !== 'rules') {
    const result = brakeTest(input, recipeOf(design, input), startOf(design, input));
    return { ...result, requirements: [], tooSlow };
  }
  const cold = coldStop(input);
  const hot = hotStop(input, fastest);
  const heating = hot.stops.slice(0, -1).map((stop) => ({ ...stop, phase: 'heating' as const }));
  const last = { ...hot.stops[hot.stops.length - 1], phase: 'hot' as const };
  return {
    stops: [{ ...cold.stops[0], phase: 'test' }, ...heating, last],
    failure: null,
    passed: [],
    duration: last.startTime + last.time,
    audit: null,
    requirements: [...cold.requirements, ...hot.requirements],
    tooSlow,
  };
}
