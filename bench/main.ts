import { demoProject } from '../demo/project';
import {
  type DayInput,
  DEFAULT_NUMERICS,
  driveLap,
  type Numerics,
  prepareCircuit,
  RECORDED_PARTS,
  simulateDay,
  WHEELS,
} from '../src/core';
import { dayInput, setupOf } from '../src/project';

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
    steps: { braking: 0.02, leastPerStop: 60, release: 0.01, rolling: 0.1, standing: 0.5 },
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
const { steps } = DEFAULT_NUMERICS;
const choices: [string, Numerics][] = [
  [
    'twice as coarse',
    {
      ...DEFAULT_NUMERICS,
      steps: { ...steps, braking: 0.4, leastPerStop: 6, release: 0.3, rolling: 4, standing: 30 },
    },
  ],
  ['default', DEFAULT_NUMERICS],
  [
    'twice as fine',
    {
      ...DEFAULT_NUMERICS,
      steps: { ...steps, braking: 0.1, leastPerStop: 24, release: 0.075, rolling: 1, standing: 7.5 },
    },
  ],
  [
    'twice the cells as well',
    {
      spacing: 0.5,
      refinement: 2,
      steps: { ...steps, braking: 0.1, leastPerStop: 24, release: 0.075, rolling: 1, standing: 7.5 },
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
console.log(JSON.stringify({ sessions: rows, accuracy }));
