import { demoProject } from '../demo/project';
import {
  type DayInput,
  DEFAULT_NUMERICS,
  driveLap,
  Integrator,
  type Numerics,
  networkOf,
  networkRun,
  prepareCircuit,
  RECORDED_PARTS,
  simulateDay,
  WHEELS,
} from '../src/core';
import { dayInput, setupOf } from '../src/model';
import { integrateNetwork } from '../tests/support/integrateNetwork';

/** Median of repeated runs, ms. */
function median(run: () => unknown, least = 25, time = 1500): number {
  for (let i = 0; i < 5; i++) run();
  const took: number[] = [];
  const end = performance.now() + time;
  while (took.length < least || performance.now() < end) {
    const start = performance.now();
    run();
    took.push(performance.now() - start);
  }
  took.sort((a, b) => a - b);
  return took[took.length >> 1];
}

/** Largest difference of a peak against a much finer run, K. */
function error(input: DayInput, numerics: Numerics): number {
  const fine: Numerics = {
    steps: { braking: 0.02, leastPerZone: 60, release: 0.01, rolling: 0.1, standing: 0.5 },
    refinement: 3,
    spacing: 0.5,
  };
  const a = simulateDay(input, numerics).peaks;
  const b = simulateDay(input, fine).peaks;
  let worst = 0;
  for (const wheel of WHEELS) {
    for (const part of RECORDED_PARTS) {
      worst = Math.max(worst, Math.abs(a[wheel][part] - b[wheel][part]));
    }
  }
  return worst;
}

const rows: Record<string, unknown>[] = [];
for (const plan of demoProject.plans) {
  const input = dayInput(setupOf(demoProject, plan.id));
  const result = simulateDay(input);
  const circuit = prepareCircuit(input.circuit);
  const ms = median(() => simulateDay(input));
  rows.push({
    session: plan.name,
    drivenMin: result.drivingTime / 60,
    ms,
    runsPerSecond: 1000 / ms,
    heatSteps: result.steps,
    microsecondsPerStep: (1000 * ms) / result.steps,
    lapMs: median(
      () =>
        driveLap(circuit, input.vehicle, { ...input.driver, pace: 1 }, { airDensity: 1.2, ductDragArea: 0 }),
      25,
      300,
    ),
  });
}
/**
 * The first session with the fade fed back into the laps and without; with road pads that give up, so that every hot
 * lap is solved anew.
 */
function coupled() {
  const setup = setupOf(demoProject, demoProject.plans[0].id);
  const input = (pad: string, brakesEarlier: boolean) =>
    dayInput({
      ...setup,
      car: { ...setup.car, front: { ...setup.car.front, pad } },
      plan: { ...setup.plan, brakesEarlier },
    });
  return (
    [
      ['club pads, never short', 'clubday'],
      ['road pads, short on every hot lap', 'commuter'],
    ] as const
  ).map(([name, pad]) => {
    const [off, on] = [input(pad, false), input(pad, true)];
    const apart = median(() => simulateDay(off));
    const together = median(() => simulateDay(on));
    return { name, uncoupledMs: apart, coupledMs: together, ratio: together / apart };
  });
}

/** What a computation gives, or null where it gives up: odex does at loose tolerances, the network being stiff. */
function attempt<T>(compute: () => T): T | null {
  try {
    return compute();
  } catch {
    return null;
  }
}

/** The demo day's longest session, the network of all four wheels computed apart, against odex on the same network. */
function network() {
  const setup = setupOf(demoProject, 'plan-tarn-day');
  const day = dayInput(setup);
  const length = (legs: (typeof day.sessions)[number]['legs']) =>
    legs.reduce((sum, leg) => sum + ('laps' in leg ? 100 * leg.laps : leg.duration), 0);
  const longest = day.sessions.reduce((a, b) => (length(b.legs) > length(a.legs) ? b : a));
  const twoWheels: DayInput = { ...day, sessions: [longest] };
  // One side cooled a hair differently, so that no wheel is computed for another.
  const apart = (axle: DayInput['front']): DayInput['front'] => ({
    ...axle,
    right: { ...axle.right, air: { ...axle.right.air, coolingFactor: 1.000001 } },
  });
  const input: DayInput = { ...twoWheels, front: apart(day.front), rear: apart(day.rear) };
  const result = simulateDay(input);
  const ms = median(() => simulateDay(input), 15, 1500);
  const cells = WHEELS.reduce((sum, wheel) => sum + result.record.wheels[wheel].nodeCount, 0);
  const samples = result.record.time.length - 1;

  const layout = networkOf(input, 'frontLeft');
  const { network: net } = layout;
  const integrator = new Integrator(net, longest.ambient, longest.ambient);
  const step = (count: number) => {
    for (let i = 0; i < count; i++) integrator.step(0.2, i % 40 < 10 ? 60_000 : 0, i % 40 < 10 ? 50_000 : 0);
  };
  step(20_000);
  const before = process.memoryUsage();
  const stepStart = performance.now();
  step(100_000);
  const stepMs = performance.now() - stepStart;
  const after = process.memoryUsage();
  const bytes = after.heapUsed - before.heapUsed + (after.arrayBuffers - before.arrayBuffers);

  // The front left wheel alone, by odex at the loosest tolerance whose peaks are within 0.5 K of its own at 1e-8.
  const run = networkRun(input, result, 'frontLeft');
  const peaks = (rows: readonly (readonly number[])[]) =>
    run.nodes.map((_, i) => rows.reduce((top, row) => Math.max(top, row[i]), 0));
  const reference = peaks(integrateNetwork(run, 1e-8).rows);
  const error = (rows: readonly (readonly number[])[]) =>
    Math.max(...peaks(rows).map((peak, i) => Math.abs(peak - reference[i])));
  let odexMs = 0;
  let tolerance = 0;
  for (const t of [1e-2, 1e-3, 1e-4, 1e-5, 1e-6, 1e-7]) {
    const start = performance.now();
    const rows = attempt(() => integrateNetwork(run, t).rows);
    odexMs = performance.now() - start;
    tolerance = t;
    if (rows && error(rows) < 0.5) break;
  }
  // What one wheel's stepping and recording takes of our own run, the lap solver left out.
  const laps = median(() => simulateDay(twoWheels), 15, 1000);
  const ownMs = (ms - laps) / 2;
  return {
    session: longest.name,
    fourCornersMs: ms,
    cellsStepsPerSecond: (cells * samples * 1000) / ms,
    nodes: cells,
    steps: samples,
    microsecondsPerStep: stepMs / 100,
    bytesPerStep: Math.max(0, bytes) / 100_000,
    ourPeakErrorK: error(run.temperatures),
    oneWheelMs: ownMs,
    odexMs,
    odexTolerance: tolerance,
    timesFaster: odexMs / ownMs,
  };
}

const { steps } = DEFAULT_NUMERICS;
const choices: [string, Numerics][] = [
  [
    'twice as coarse',
    {
      ...DEFAULT_NUMERICS,
      steps: { ...steps, braking: 0.4, leastPerZone: 6, release: 0.3, rolling: 4, standing: 30 },
    },
  ],
  ['default', DEFAULT_NUMERICS],
  [
    'twice as fine',
    {
      ...DEFAULT_NUMERICS,
      steps: { ...steps, braking: 0.1, leastPerZone: 24, release: 0.075, rolling: 1, standing: 7.5 },
    },
  ],
  [
    'twice the cells as well',
    {
      spacing: 0.5,
      refinement: 2,
      steps: { ...steps, braking: 0.1, leastPerZone: 24, release: 0.075, rolling: 1, standing: 7.5 },
    },
  ],
];
const accuracy = choices.map(([name, numerics]) => {
  const inputs = demoProject.plans.map((plan) => dayInput(setupOf(demoProject, plan.id)));
  return {
    numerics: name,
    ms: median(() => simulateDay(inputs[0], numerics), 10, 600),
    worstPeakErrorK: Math.max(...inputs.map((input) => error(input, numerics))),
  };
});
console.log(JSON.stringify({ sessions: rows, coupled: coupled(), accuracy, network: network() }));
