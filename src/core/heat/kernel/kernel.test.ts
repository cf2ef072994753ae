import fc from 'fast-check';
import { afterEach, describe, expect, it } from 'vitest';
import { demoProject } from '../../../../demo/project';
import { dayInput, setupOf } from '../../../model';
import { WHEELS } from '../../brake';
import { integralAt, integralTable, uniformTable } from '../../numeric';
import { networkOf, simulateDay } from '../../run';
import { besideEachOther, createIntegrator } from '../createIntegrator';
import { type HeatIntegrator, MOST_AT_ONCE } from '../heatIntegrator';
import { Integrator } from '../integrator';
import { AMBIENT, type Network, readOffAt } from '../network';
import { kernelTrouble, resetKernel } from './compile';
import { KernelIntegrator } from './kernelIntegrator';

afterEach(() => resetKernel());

/** The kernel of a network, whose topology is asked for as often as that takes. */
function kernelOf(network: Network, ambient: number, start: number) {
  createIntegrator(network, ambient, start).release();
  const kernel = createIntegrator(network, ambient, start);
  expect(kernel).toBeInstanceOf(KernelIntegrator);
  return kernel;
}

/** Random steps that are known beforehand, some of them begun with something switched. */
function knownSteps(channels: number, count: number) {
  return {
    dt: Float64Array.from({ length: count }, (_, k) => 0.01 * (1 + ((k * k * 7) % 160))),
    event: Uint8Array.from({ length: count }, (_, k) => (k % 11 === 4 ? 1 : 0)),
    drives: Float64Array.from({ length: count * channels }, (_, i) =>
      i % channels === 0 ? 1 : (i % 5) * 0.4,
    ),
  };
}

/** Which planned step with power begins with something switched, and a channel of its own. */
const SWITCHED = 2;

/** Mean temperature of the nodes that are told, each by what it takes to warm it there, K. */
function meanOf({ nodes, told }: Network, of: HeatIntegrator): number {
  const own = nodes.map((node, i) => ({ ...node, i })).slice(told!.first, told!.first + told!.count);
  const table = own[0].table!;
  const heatAt = (kelvin: number) => integralAt(table, integralTable(table), kelvin);
  const heat = own.reduce((sum, { scale, i }) => sum + scale * heatAt(of.temperature(i)), 0);
  const scale = own.reduce((sum, node) => sum + node.scale, 0);
  let [low, high] = [200, 3000];
  for (let k = 0; k < 60; k++) {
    const middle = 0.5 * (low + high);
    if (scale * heatAt(middle) < heat) low = middle;
    else high = middle;
  }
  return low;
}

/**
 * Makes steps at once and one by one, and holds rows, told mean, readings and what is left of them against each other bit for bit.
 * @param at networks that are stepped beside each other, and as many that are stepped alone
 */
function expectSameAtOnce(
  at: readonly HeatIntegrator[],
  alone: readonly HeatIntegrator[],
  network: Network,
): void {
  const { channels, nodes } = network;
  const steps = knownSteps(channels, 2 * MOST_AT_ONCE);
  const held = { channel: channels - 1, value: 0.7 };
  let from = 0;
  const cases = [
    [1, 0],
    [MOST_AT_ONCE, 0],
    [7, 0],
    [8, 20_000],
    [3, 5000],
  ];
  for (const of of at) of.keepRows();
  for (const [count, watts] of cases) {
    const power = (k: number): [number, number] => [watts * (k + 1), 0.7 * watts * (k % 3)];
    for (const of of at) of.plan(steps, from, count, held);
    if (watts === 0) for (const of of at) of.coast();
    for (let k = 0; watts > 0 && k < count; k++) {
      for (const of of at) {
        if (k === SWITCHED) of.switchNext();
        if (k === SWITCHED) of.alter(1, 0.3);
        of.next(...power(k));
      }
    }
    const rows = at.map((of) => {
      const into = new Float64Array(count * nodes.length + 3);
      of.writeRows(into, 3, count);
      return into;
    });
    const told = at.map((of) => {
      const means = new Float64Array(count);
      of.writeTold(means, 0, count);
      return means;
    });
    const readings = network.readings ?? [];
    const read = at.map((of) => {
      const columns = readings.map(() => new Float64Array(count + 2));
      of.writeReadings(columns.slice(0, 3), 0, 2, count);
      of.writeReadings(columns.slice(3), 3, 2, count);
      return columns;
    });
    alone.forEach((of, lane) => {
      const row = new Float64Array(nodes.length);
      for (let k = 0; k < count; k++) {
        if (steps.event[from + k] === 1) of.markEvent();
        of.drive.set(steps.drives.subarray((from + k) * channels, (from + k + 1) * channels));
        of.drive[held.channel] = held.value;
        if (watts > 0 && k === SWITCHED) {
          of.markEvent();
          of.drive[1] = 0.3;
        }
        of.step(steps.dt[from + k], ...power(k));
        of.writeTemperatures(row, 0);
        const start = 3 + k * nodes.length;
        expect(rows[lane].subarray(start, start + nodes.length), `row ${from + k}`).toEqual(row);
        expect(read[lane].map((column) => column[2 + k])).toEqual(
          readings.map((each) => readOffAt(each, row)),
        );
        if (network.told) expect(told[lane][k]).toBeCloseTo(meanOf(network, of), 3);
      }
      expect(at[lane].mean()).toBe(told[lane][count - 1]);
      const sums = ({ supplied, lost }: HeatIntegrator) => ({ supplied, lost });
      expect([at[lane].stored(), sums(at[lane])]).toEqual([of.stored(), sums(of)]);
    });
    from += count;
    // What is braked in between goes on from where they stopped.
    for (const of of [...at, ...alone]) of.drive.fill(1);
    for (const of of at) of.step(0.3, 20_000, 15_000);
    for (const of of alone) of.step(0.3, 20_000, 15_000);
  }
}

/** Steps both with every channel, length of step and event moved, and holds them against each other bit for bit. */
function expectSameBits(network: Network, start: number, steps: number, power: number): void {
  const twin = new Integrator(network, 293, start);
  const kernel = kernelOf(network, 293, start);
  const n = network.nodes.length;
  const [a, b] = [new Float64Array(n), new Float64Array(n)];
  for (let k = 0; k < steps; k++) {
    const dt = 0.01 * (1 + ((k * k * 7) % 160));
    for (const of of [twin, kernel]) {
      for (let c = 1; c < network.channels; c++) of.drive[c] = ((k + c) % 5) * 0.4;
      if (k % 11 === 0) of.markEvent();
      if (k % 37 === 0) of.setAmbient(280 + (k % 30));
      of.step(dt, k % 9 < 3 ? power : 0, k % 9 < 2 ? 0.8 * power : 0);
    }
    twin.writeTemperatures(a, 0);
    kernel.writeTemperatures(b, 0);
    if (a.some((value, i) => !Object.is(value, b[i]))) expect(b, `after step ${k}`).toEqual(a);
  }
  expect(Array.from({ length: n }, (_, i) => kernel.heat(i, 1))).toEqual(
    Array.from({ length: n }, (_, i) => twin.heat(i, 1)),
  );
  expect([kernel.stored(), kernel.supplied, kernel.lost]).toEqual([twin.stored(), twin.supplied, twin.lost]);
  kernel.release();
}

describe('the kernel written for a topology', () => {
  it('gives the bits of the integrator that is read, on the networks of the demo plans', () => {
    const seen = new Set<string>();
    for (const plan of demoProject.plans) {
      const input = dayInput(setupOf(demoProject, plan.id));
      for (const wheel of WHEELS) {
        const { network } = networkOf(input, wheel);
        const shape = JSON.stringify(network.links.map(({ from, to, channel }) => [from, to, channel]));
        if (seen.has(shape)) continue;
        seen.add(shape);
        expectSameBits(network, 300, 400, 60_000);
      }
    }
    expect(seen.size).toBeGreaterThan(1);
  });

  it('gives them on any network, and far outside its tables', () => {
    const iron = uniformTable([
      [293, 450],
      [1273, 680],
    ]);
    const conducting = uniformTable([
      [100, 1],
      [2500, 0.4],
    ]);
    const network = fc.integer({ min: 2, max: 9 }).chain((n) =>
      fc
        .record({
          scales: fc.array(
            fc.tuple(fc.double({ min: 0.05, max: 3, noNaN: true }), fc.constantFrom('iron', 'other', 'none')),
            { minLength: n, maxLength: n },
          ),
          pairs: fc.array(
            fc.tuple(
              fc.nat(n - 1),
              fc.nat(n),
              fc.double({ min: 0.1, max: 9, noNaN: true }),
              fc.nat(3),
              fc.nat(2),
            ),
            { minLength: n, maxLength: 2 * n },
          ),
        })
        .map(
          ({ scales, pairs }): Network => ({
            nodes: scales.map(([scale, table], i) => ({
              name: `${i}`,
              group: 'any',
              scale: table === 'none' ? 500 * scale : scale,
              table: table === 'iron' ? iron : table === 'other' ? uniformTable([[300, 700]]) : null,
            })),
            links: [
              {
                from: 0,
                to: AMBIENT,
                coefficient: 2,
                channel: 0,
                factor: null,
                radiation: 0,
                path: 'air' as const,
              },
              ...pairs
                .filter(([a, b]) => a !== b)
                .map(([from, b, coefficient, kind, channel]) => ({
                  from,
                  to: b === n ? AMBIENT : b,
                  coefficient,
                  channel: kind === 0 ? 0 : channel,
                  factor: kind === 1 ? conducting : null,
                  radiation: kind === 2 ? 1e-10 * coefficient : 0,
                  path: 'conduction' as const,
                })),
            ],
            sources: [
              { node: 0, share: 0.7 },
              { node: n - 1, share: 0.2 },
              { node: 0, share: 0.1 },
            ],
            channels: 3,
          }),
        ),
    );
    fc.assert(
      fc.property(network, fc.constantFrom(60, 300, 1500, 4000), (net, start) => {
        expectSameBits(net, start, 40, 2000);
      }),
      { numRuns: 40 },
    );
  });

  it('makes steps that are planned as it makes them one by one, and so does the one that is read', () => {
    const { network } = networkOf(dayInput(setupOf(demoProject, demoProject.plans[0].id)), 'frontLeft');
    expect(network.told?.count).toBeGreaterThan(3);
    const hot = network.nodes.map((_, i) => 300 + 20 * i);
    const read = () => new Integrator(network, 293, hot);
    const kernel = createIntegrator(network, 293, hot);
    expect(kernel).toBeInstanceOf(KernelIntegrator);
    const twin = read();
    expectSameAtOnce([kernel], [read()], network);
    expectSameAtOnce([twin], [read()], network);
    expect(kernel.mean()).toBe(twin.mean());
    const create = besideEachOther(network, network);
    const lanes = [create(network, 290, hot), create(network, 300, 600)];
    for (const lane of lanes) expect(lane).toBeInstanceOf(KernelIntegrator);
    expectSameAtOnce(lanes, [new Integrator(network, 290, hot), new Integrator(network, 300, 600)], network);
  });

  it('gives them to two networks beside each other, in a lane each', () => {
    const input = dayInput(setupOf(demoProject, demoProject.plans[0].id));
    const { network: left } = networkOf(input, 'frontLeft');
    const right: Network = {
      ...left,
      nodes: left.nodes.map((node) => ({ ...node, scale: 1.1 * node.scale })),
      links: left.links.map((link) => ({ ...link, coefficient: 0.9 * link.coefficient })),
    };
    const create = besideEachOther(left, right);
    const lanes = [create(left, 290, 300), create(right, 300, 900)];
    for (const lane of lanes) expect(lane).toBeInstanceOf(KernelIntegrator);
    const twins = [new Integrator(left, 290, 300), new Integrator(right, 300, 900)];
    const n = left.nodes.length;
    for (let k = 0; k < 300; k++) {
      const dt = 0.01 * (1 + ((k * k * 7) % 160));
      for (const pairs of [lanes, twins]) {
        pairs.forEach((of, lane) => {
          for (let c = 1; c < left.channels; c++) of.drive[c] = ((k + c + lane) % 5) * 0.4;
          if (k % (7 + lane) === 0) of.markEvent();
          of.step(dt, k % 9 < 3 ? 40_000 * (1 + lane) : 0, k % 9 < 2 ? 30_000 : 0);
        });
      }
    }
    lanes.forEach((lane, l) => {
      const [a, b] = [new Float64Array(n), new Float64Array(n)];
      twins[l].writeTemperatures(a, 0);
      lane.writeTemperatures(b, 0);
      expect(b).toEqual(a);
      expect([lane.stored(), lane.supplied, lane.lost]).toEqual([
        twins[l].stored(),
        twins[l].supplied,
        twins[l].lost,
      ]);
    });
    // Two that are not of one shape go each by itself.
    const longer = { ...left, channels: left.channels + 1 };
    const odd = besideEachOther(left, longer);
    for (const network of [left, longer]) {
      const alone = odd(network, 290, 300);
      alone.step(1, 0, 0);
      expect(alone.temperature(0)).not.toBe(300);
    }
  });

  it.each([false, true])('leaves a day its numbers whether it is there or not, sides apart: %s', (apart) => {
    const whole = dayInput(setupOf(demoProject, demoProject.plans[0].id));
    const { front } = whole;
    const cooled = { ...front.right, air: { ...front.right.air, coolingFactor: 0.8 } };
    const input = apart ? { ...whole, front: { ...front, right: cooled } } : whole;
    resetKernel('switched off');
    const twin = simulateDay(input);
    resetKernel();
    for (let k = 0; k < 2; k++) simulateDay(input);
    const kernel = simulateDay(input);
    expect(kernelTrouble()).toBeNull();
    expect(kernel.peaks).toEqual(twin.peaks);
    const bytes = ({ record }: typeof twin) => new Uint8Array(record.wheels.frontLeft.nodes.buffer);
    expect(Buffer.compare(bytes(kernel), bytes(twin))).toBe(0);
    expect(kernel.audit).toEqual(twin.audit);
  });
});

describe('where there is no kernel, the integrator that is read takes over', () => {
  const small = (nodes: number): Network => ({
    nodes: Array.from({ length: nodes }, (_, i) => ({ name: `${i}`, group: 'any', scale: 400, table: null })),
    links: Array.from({ length: nodes }, (_, i) => ({
      from: i,
      to: i + 1 < nodes ? i + 1 : AMBIENT,
      coefficient: 3,
      channel: 0,
      factor: null,
      radiation: 0,
      path: 'conduction' as const,
    })),
    sources: [{ node: 0, share: 1 }],
    channels: 1,
  });
  const twice = (network: Network) => {
    createIntegrator(network, 293, 293);
    return createIntegrator(network, 293, 293);
  };

  it('for a topology larger than any known', () => {
    expect(twice(small(80))).toBeInstanceOf(KernelIntegrator);
    expect(twice(small(81))).toBeInstanceOf(Integrator);
    expect(kernelTrouble()).toBeNull();
  });

  it('for a browser without WebAssembly, and one that will not compile it', () => {
    const real = globalThis.WebAssembly;
    const broken = [
      undefined,
      {
        Module: class {
          constructor() {
            throw new Error('wasm code generation disallowed');
          }
        },
      },
    ];
    try {
      for (const each of broken) {
        resetKernel();
        globalThis.WebAssembly = each as never;
        expect(twice(small(5))).toBeInstanceOf(Integrator);
        expect(kernelTrouble()).toMatch(/undefined|disallowed/);
      }
    } finally {
      globalThis.WebAssembly = real;
    }
  });

  it('seats are used again, and one that is given back holds nothing of the run before', () => {
    const first = kernelOf(small(6), 293, 900);
    first.step(1, 5000, 5000);
    first.release();
    first.release();
    const [next, other] = [createIntegrator(small(6), 293, 300), createIntegrator(small(6), 293, 500)];
    next.step(1, 0, 0);
    other.step(1, 0, 0);
    const twin = new Integrator(small(6), 293, 300);
    twin.step(1, 0, 0);
    expect([next.temperature(0), next.lost, next.supplied]).toEqual([twin.temperature(0), twin.lost, 0]);
    expect(other.temperature(0)).not.toBe(next.temperature(0));
  });
});
