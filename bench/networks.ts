import { demoProject } from '../demo/project';
import {
  CHANNEL_COUNT,
  createIntegrator,
  type DayInput,
  networkOf,
  networkRun,
  simulateDay,
  type WheelName,
} from '../src/core';
import { dayInput, setupOf } from '../src/model';
import { integrateNetwork } from '../tests/support/integrateNetwork';
import { quickest } from './quickest';

/**
 * Exported networks of the demo plans, front and rear: what their steps take by the kernel, and what npm `odex` takes for
 * them at the loosest tolerance whose peaks are within half a kelvin of its own at 1e-8. Two hot laps, since it takes
 * seconds for each. Prints JSON.
 */
const WITHIN = 0.5;
const TIGHT = 1e-8;
const LAPS = 2;

/** Peak of every node, K. */
const peaksOf = (rows: readonly (readonly number[])[]): number[] =>
  rows[0].map((_, i) => rows.reduce((top, row) => Math.max(top, row[i]), 0));
const apart = (a: readonly number[], b: readonly number[]) =>
  Math.max(...a.map((peak, i) => Math.abs(peak - b[i])));

function measure(plan: string, input: DayInput, wheel: WheelName) {
  const result = simulateDay(input);
  const exported = networkRun(input, result, wheel);
  const reference = peaksOf(integrateNetwork(exported, TIGHT).rows);
  let odex = { ms: 0, tolerance: 0, offK: Number.POSITIVE_INFINITY };
  for (const tolerance of [1e-4, 1e-5, 1e-6, 1e-7]) {
    const start = performance.now();
    // It gives up at loose tolerances, the network being stiff.
    const rows = attempt(() => integrateNetwork(exported, tolerance).rows);
    const ms = performance.now() - start;
    if (!rows) continue;
    odex = { ms, tolerance, offK: apart(peaksOf(rows), reference) };
    if (odex.offK < WITHIN) break;
  }
  const { record } = result;
  const { drive, early, late, nodeCount } = record.wheels[wheel];
  const { network } = networkOf(input, wheel);
  const steps = record.time.length - 1;
  const start = exported.nodes.map((node) => node.start);
  const kernelMs = quickest(() => {
    const integrator = createIntegrator(network, exported.ambient[0], start);
    for (let k = 1; k <= steps; k++) {
      for (let c = 0; c < CHANNEL_COUNT; c++) integrator.drive[c] = drive[k * CHANNEL_COUNT + c];
      integrator.step(record.time[k] - record.time[k - 1], early[k], late[k]);
    }
    integrator.release();
  });
  return {
    network: `${plan}, ${wheel === 'frontLeft' ? 'front' : 'rear'}`,
    nodes: nodeCount,
    steps,
    kernelMs,
    ownOffK: apart(peaksOf(exported.temperatures), reference),
    odexMs: odex.ms,
    odexTolerance: odex.tolerance,
    odexOffK: odex.offK,
    times: odex.ms / kernelMs,
  };
}

function attempt<T>(compute: () => T): T | null {
  try {
    return compute();
  } catch {
    return null;
  }
}

/** Its carbon discs take `odex` minutes for a lap. */
const TOO_STIFF = 'plan-skarn-fen';

const plans = demoProject.plans.filter(({ id }) => id !== TOO_STIFF);
const rows = plans.flatMap(({ id, name }) => {
  const whole = dayInput(setupOf(demoProject, id));
  const legs = [{ kind: 'hot' as const, laps: LAPS, pace: 1 }];
  const input: DayInput = { ...whole, sessions: [{ ...whole.sessions[0], legs }] };
  return (['frontLeft', 'rearLeft'] as const).map((wheel) => measure(name, input, wheel));
});
console.log(JSON.stringify(rows));
