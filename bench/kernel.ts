import { demoProject } from '../demo/project';
import {
  besideEachOther,
  createIntegrator,
  type DayInput,
  DEFAULT_NUMERICS,
  Integrator,
  type Leg,
  leanDay,
  networkOf,
  resetKernel,
  simulateDay,
} from '../src/core';
import { dayInput, setupOf } from '../src/model';
import { quickest } from './quickest';

/**
 * What a step costs by the integrator that is read and by the kernel, what days cost with either, and how that grows.
 * Built as it is shipped; laps are those of the day before, as they are while a control is moved. Prints JSON.
 */

const inputOf = (plan: string): DayInput => dayInput(setupOf(demoProject, plan));
/** One side of some axles cooled a hair differently, so that no wheel there is computed for another. */
const apart = (input: DayInput, axles: readonly ('front' | 'rear')[] = ['front', 'rear']): DayInput => {
  const own = (axle: DayInput['front']): DayInput['front'] => ({
    ...axle,
    right: { ...axle.right, air: { ...axle.right.air, coolingFactor: 1.000001 } },
  });
  return { ...input, ...Object.fromEntries(axles.map((axle) => [axle, own(input[axle])])) };
};
const first = inputOf(demoProject.plans[0].id);

/** The two kinds of step on one network, ns a node and step; of repeated stretches the quickest. */
function stepping() {
  const { network } = networkOf(first, 'frontLeft');
  const nodes = network.nodes.length;
  const stretch = 20_000;
  const drive = (integrators: readonly Pick<Integrator, 'step'>[]) => () => {
    for (let i = 0; i < stretch; i++) {
      for (const each of integrators) each.step(0.2, i % 40 < 10 ? 60_000 : 0, i % 40 < 10 ? 50_000 : 0);
    }
  };
  const nanoseconds = (integrators: readonly Pick<Integrator, 'step'>[]) =>
    (quickest(drive(integrators), 7, 1500) * 1e6) / (stretch * nodes * integrators.length);
  const beside = besideEachOther(network, network);
  const read = nanoseconds([new Integrator(network, 293, 293)]);
  const one = nanoseconds([createIntegrator(network, 293, 293)]);
  const two = nanoseconds([beside(network, 293, 293), beside(network, 293, 293)]);
  const row = (what: string, ns: number) => ({
    what,
    nodes,
    nsPerNodeStep: ns,
    millionNodeStepsPerSecond: 1000 / ns,
    timesFaster: read / ns,
  });
  return [
    row('integrator that is read', read),
    row('kernel, one wheel', one),
    row('kernel, two wheels in its lanes', two),
  ];
}

/** A day by either, and as the page has it driven, with named parts alone, ms; in turns, so that a slow moment of the machine is not one's alone. */
function both(input: DayInput) {
  const [read, kernel, page] = [0, 0, 0].map(() => Number.POSITIVE_INFINITY);
  const best = { read, kernel, page };
  for (let turn = 0; turn < 5; turn++) {
    resetKernel('not wanted here');
    best.read = Math.min(
      best.read,
      quickest(() => simulateDay(input), 3, 150),
    );
    resetKernel();
    best.kernel = Math.min(
      best.kernel,
      quickest(() => simulateDay(input), 3, 150),
    );
    best.page = Math.min(
      best.page,
      quickest(() => leanDay(input).told(), 3, 150),
    );
  }
  return { readMs: best.read, kernelMs: best.kernel, times: best.read / best.kernel, pageMs: best.page };
}

const days = demoProject.plans.flatMap(({ id, name }) => [
  { day: name, wheels: 'as they differ', ...both(inputOf(id)) },
  { day: name, wheels: 'four apart', ...both(apart(inputOf(id))) },
]);

const hot = (laps: number): Leg => ({ kind: 'hot', laps, pace: 1 });
const session = (laps: number) => ({ ...first.sessions[0], legs: [hot(laps)] });

/** Memory of a day of twelve sessions while its result is held, MB over what was there before. */
async function twelve() {
  const input = { ...first, sessions: Array.from({ length: 12 }, () => first.sessions[0]) };
  const ms = quickest(() => simulateDay(input), 5, 500);
  const used = async () => {
    // Buffers are let go beside the program, some time after the objects that had them.
    for (let k = 0; k < 4; k++) {
      globalThis.gc?.();
      await new Promise((resolve) => setTimeout(resolve, 50));
    }
    const { heapUsed, arrayBuffers } = process.memoryUsage();
    return (heapUsed + arrayBuffers) / 1e6;
  };
  const before = await used();
  const result = simulateDay(input);
  const heldMb = (await used()) - before;
  return { ms, heldMb, steps: result.steps };
}

/** How far the points of a growth lie off their straight line at most, as a share of the largest. */
function bend(points: readonly (readonly [number, number])[]): number {
  const n = points.length;
  const [mx, my] = [0, 1].map((k) => points.reduce((sum, point) => sum + point[k], 0) / n);
  const slope =
    points.reduce((sum, [x, y]) => sum + (x - mx) * (y - my), 0) /
    points.reduce((sum, [x]) => sum + (x - mx) ** 2, 0);
  const largest = Math.max(...points.map(([, y]) => y));
  return Math.max(...points.map(([x, y]) => Math.abs(y - my - slope * (x - mx)))) / largest;
}
function growth() {
  const of = (what: string, counts: readonly number[], run: (count: number) => unknown) => {
    // In turns, so that a slow moment of the machine is not one point's alone.
    const best = counts.map(() => Number.POSITIVE_INFINITY);
    for (let turn = 0; turn < 8; turn++) {
      counts.forEach((count, i) => {
        best[i] = Math.min(
          best[i],
          quickest(() => run(count), 3, 100),
        );
      });
    }
    const points = counts.map((count, i) => [count, best[i]] as const);
    return { what, counts, ms: points.map(([, ms]) => ms), offTheLine: bend(points) };
  };
  return [
    of('hot laps', [5, 10, 20, 40], (laps) => simulateDay({ ...first, sessions: [session(laps)] })),
    of('wheels', [2, 3, 4], (wheels) =>
      simulateDay(apart(first, wheels === 2 ? [] : wheels === 3 ? ['front'] : ['front', 'rear'])),
    ),
    of('cells, times as many', [1, 2, 3, 4], (refinement) =>
      simulateDay(first, { ...DEFAULT_NUMERICS, refinement }),
    ),
    of('runs', [1, 2, 4, 8], (runs) => {
      for (let k = 0; k < runs; k++) simulateDay(first);
    }),
  ];
}

console.log(JSON.stringify({ stepping: stepping(), days, twelve: await twelve(), growth: growth() }));
