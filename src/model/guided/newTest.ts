import type { StoredBench } from '../schema/bench';
import type { StoredTest } from '../schema/brakeTest';
import type { Car } from '../schema/car';
import type { Part } from '../schema/part';
import type { TestDesign, TestKind } from '../schema/testDesign';
import type { TestConditions, TestRun } from '../schema/testRun';

/** What people usually drive (common practice); the heating is that of UN R13-H, type I. */
export const USUAL_DESIGN: TestDesign = {
  kind: 'repeated',
  fromKmh: 80,
  toKmh: 0,
  stops: 5,
  spacingS: 30,
  braking: 'hardest',
  holdMs2: 6,
  cornerKmh: 50,
  cornerS: 4,
  targetMin: null,
  startC: 60,
  heatSnubs: 15,
  heatFromKmh: 120,
  heatToKmh: 60,
  heatMs2: 3,
  heatCycleS: 45,
};

/** What is different about a kind of test when it is chosen. */
export const KIND_DESIGNS: Readonly<Record<TestKind, Partial<TestDesign>>> = {
  repeated: { stops: 5, spacingS: 30, braking: 'hardest' },
  endurance: { stops: 200, spacingS: 0, braking: 'hold', holdMs2: 6, targetMin: 10, cornerS: 4 },
  'cold-hot': { stops: 3, spacingS: 60, braking: 'hardest' },
  rules: { stops: 1, spacingS: 60, braking: 'hardest', fromKmh: 100, toKmh: 0, startC: 80 },
};

export const USUAL_CONDITIONS: TestConditions = {
  surface: 'dry asphalt',
  slopePercent: 0,
  windKmh: 0,
  tyres: '',
  frontTyreBar: null,
  rearTyreBar: null,
  massKg: null,
  airC: null,
};

/** A full-scale bench of middling size (from memory). */
const USUAL_BENCH: StoredBench = {
  wheel: 'frontLeft',
  leastInertia: 5,
  mostInertia: 150,
  inertiaStep: 1,
  torqueNm: 5000,
  speedRpm: 2500,
  airKmh: 200,
  areaPercent: 100,
  radiusPercent: 100,
  control: 'torque',
  start: 'time',
  bedding: true,
};

/** A test as it begins: five stops from 80 km/h, nothing driven. */
export const newTest = (
  car: Car,
  { id, name, date }: Pick<StoredTest, 'id' | 'name' | 'date'>,
): StoredTest => ({
  id,
  name,
  carId: car.id,
  date,
  design: USUAL_DESIGN,
  runs: {},
  bench: USUAL_BENCH,
});

/**
 * A run as it begins: in the conditions of the one before, with a car as it is fitted then.
 * @param parts the project's own; those that the car is fitted with are kept
 */
export function newRun(
  test: StoredTest,
  car: Car,
  parts: readonly Part[],
  { setup, date }: Pick<TestRun, 'setup' | 'date'>,
): TestRun {
  const before = runsOf(test).at(-1)?.run;
  const same = runsOf(test).filter(({ run }) => run.setup === setup).length;
  const n = (before?.n ?? 0) + 1;
  const fitted = [car.front.pad, car.rear.pad, car.fluid.kind];
  return {
    name: `${setup.slice(0, 70)} ${same + 1}`,
    n,
    date,
    setup: setup.slice(0, 80),
    car,
    parts: parts.filter(({ id }) => fitted.includes(id)),
    conditions: before?.conditions ?? USUAL_CONDITIONS,
    wheel: before?.wheel ?? 'frontLeft',
    place: before?.place ?? 'disc',
    stops: {},
    ended: null,
  };
}

/** A test's runs in their order, with their ids. */
export const runsOf = ({ runs }: Pick<StoredTest, 'runs'>) =>
  Object.entries(runs)
    .map(([id, run]) => ({ id, run }))
    .sort((a, b) => a.run.n - b.run.n || a.id.localeCompare(b.id));

/** A run's stops in their order, with their ids. */
export const stopsOf = ({ stops }: Pick<TestRun, 'stops'>) =>
  Object.entries(stops)
    .map(([id, stop]) => ({ id, stop }))
    .sort((a, b) => a.stop.n - b.stop.n || a.id.localeCompare(b.id));
