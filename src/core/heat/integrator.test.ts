import fc from 'fast-check';
import { Outcome, Solver } from 'odex';
import { describe, expect, it } from 'vitest';
import { tableAt, uniformTable } from '../numeric';
import { GAMMA } from './gamma';
import { Integrator } from './integrator';
import { AMBIENT, type Network, type NetworkLink } from './network';

const link = (from: number, to: number, coefficient: number, radiation = 0): NetworkLink => ({
  from,
  to,
  coefficient,
  channel: 0,
  factor: null,
  radiation,
  path: 'conduction',
});
const iron = uniformTable([
  [293, 450],
  [673, 560],
  [973, 750],
  [1273, 680],
]);

/** dT/dt of a network whose drive is 1 throughout, from its published definition alone. */
function rates(network: Network, ambient: number, power: number) {
  return (_time: number, at: number[]): number[] => {
    const heat = at.map(() => 0);
    for (const source of network.sources) heat[source.node] += source.share * power;
    for (const { from, to, coefficient, factor, radiation } of network.links) {
      const other = to === AMBIENT ? ambient : at[to];
      const conductance = coefficient * (factor ? tableAt(factor, 0.5 * (at[from] + other)) : 1);
      const flow = conductance * (at[from] - other) + radiation * (at[from] ** 4 - other ** 4);
      heat[from] -= flow;
      if (to !== AMBIENT) heat[to] += flow;
    }
    return heat.map((q, i) => {
      const { scale, table } = network.nodes[i];
      return q / (table ? scale * tableAt(table, at[i]) : scale);
    });
  };
}

const network = fc.integer({ min: 2, max: 8 }).chain((n) =>
  fc.record({
    nodes: fc.array(
      fc.record({
        scale: fc.double({ min: 0.05, max: 3, noNaN: true }),
        iron: fc.boolean(),
      }),
      { minLength: n, maxLength: n },
    ),
    pairs: fc.array(
      fc.tuple(fc.nat(n - 1), fc.nat(n - 1), fc.double({ min: 0, max: 20, noNaN: true }), fc.boolean()),
      { minLength: n, maxLength: 2 * n },
    ),
    toAir: fc.array(fc.double({ min: 1, max: 8, noNaN: true }), { minLength: n, maxLength: n }),
  }),
);
type Shape = typeof network extends fc.Arbitrary<infer T> ? T : never;
const build = ({ nodes, pairs, toAir }: Shape): Network => ({
  nodes: nodes.map((node, i) =>
    node.iron
      ? { name: `${i}`, group: 'any', scale: node.scale, table: iron }
      : { name: `${i}`, group: 'any', scale: 500 * node.scale, table: null },
  ),
  links: [
    ...pairs.filter(([a, b]) => a !== b).map(([a, b, g, hot]) => link(a, b, g, hot ? 3e-10 : 0)),
    ...toAir.map((g, i) => link(i, AMBIENT, g, i === 0 ? 1e-9 : 0)),
  ],
  sources: [
    { node: 0, share: 0.9 },
    { node: nodes.length - 1, share: 0.1 },
  ],
  channels: 1,
});

describe('the integrator on any network', () => {
  it('follows odex (npm, 1e-9) within 0.5 K through heating and cooling', () => {
    fc.assert(
      fc.property(network, fc.double({ min: 500, max: 30_000, noNaN: true }), (shape, power) => {
        const net = build(shape);
        const run = new Integrator(net, 300, 300);
        for (let k = 0; k < 100; k++) run.step(0.04, power, power);
        run.markEvent();
        for (let k = 0; k < 200; k++) run.step(0.1, 0, 0);
        let at = net.nodes.map(() => 300);
        for (const [seconds, watts] of [
          [4, power],
          [20, 0],
        ]) {
          const solver = new Solver(at.length);
          solver.absoluteTolerance = 1e-9;
          solver.relativeTolerance = 1e-9;
          solver.maxSteps = 200_000;
          const solved = solver.solve(rates(net, 300, watts), 0, at, seconds);
          expect(solved.outcome).toBe(Outcome.Converged);
          at = solved.y;
        }
        for (let i = 0; i < at.length; i++) expect(Math.abs(run.temperature(i) - at[i])).toBeLessThan(0.5);
      }),
      { numRuns: 25 },
    );
  });

  it('keeps every joule, whatever the steps: supplied = stored + lost', () => {
    const steps = fc.array(
      fc.tuple(fc.double({ min: 1e-3, max: 60, noNaN: true }), fc.double({ min: 0, max: 5000, noNaN: true })),
      { minLength: 1, maxLength: 40 },
    );
    fc.assert(
      fc.property(network, steps, (shape, taken) => {
        const run = new Integrator(build(shape), 295, 295);
        let supplied = 0;
        for (const [dt, watts] of taken) {
          run.step(dt, watts, 2 * watts);
          supplied += dt * watts * ((1 - GAMMA) * 1 + GAMMA * 2);
        }
        expect(Math.abs(run.supplied - supplied)).toBeLessThanOrEqual(1e-9 * (1 + supplied));
        // The stored heat is found from the temperatures, so it checks their inversion too.
        expect(Math.abs(supplied - run.lost - run.stored())).toBeLessThan(0.02 * (1 + supplied));
        const scale = Math.max(1, supplied);
        if (taken.every(([dt]) => dt < 0.5)) {
          expect(Math.abs(supplied - run.lost - run.stored()) / scale).toBeLessThan(1e-5);
        }
      }),
    );
  });

  it('comes to rest where the flows balance', () => {
    fc.assert(
      fc.property(network, fc.double({ min: 100, max: 4000, noNaN: true }), (shape, power) => {
        const net = build(shape);
        const run = new Integrator(net, 300, 300);
        // The slowest of these networks settles in about 2000 s, the lightest radiating node in 2 s.
        for (let k = 0; k < 40_000; k++) run.step(1, power, power);
        const at = net.nodes.map((_, i) => run.temperature(i));
        const still = rates(net, 300, power)(0, at);
        for (const rate of still) expect(Math.abs(rate)).toBeLessThan(1e-6);
      }),
      { numRuns: 10 },
    );
  });
});

describe('the method', () => {
  const pair: Network = {
    nodes: [
      { name: 'hot', group: 'any', scale: 2000, table: null },
      { name: 'cold', group: 'any', scale: 800, table: null },
    ],
    links: [link(0, 1, 60), link(1, AMBIENT, 25)],
    sources: [{ node: 0, share: 1 }],
    channels: 1,
  };
  /** Closed form of the pcooling time `t` under constant power, by its two eigenvalues. */
  function exact(power: number, t: number): [number, number] {
    const [a, b, c, d] = [-60 / 2000, 60 / 2000, 60 / 800, -85 / 800];
    const end = [power / 25 + power / 60, power / 25];
    const trace = a + d;
    const root = Math.sqrt(trace * trace - 4 * (a * d - b * c));
    const [l1, l2] = [(trace + root) / 2, (trace - root) / 2];
    // Eigenvectors (b, l − a); the start lies `end` under the rest.
    const [v1, v2] = [l1 - a, l2 - a];
    const weight2 = (-end[1] * b + end[0] * v1) / (b * (v2 - v1));
    const weight1 = (-end[0] - weight2 * b) / b;
    const [e1, e2] = [Math.exp(l1 * t), Math.exp(l2 * t)];
    return [end[0] + b * (weight1 * e1 + weight2 * e2), end[1] + weight1 * v1 * e1 + weight2 * v2 * e2];
  }

  it('is of second order: half the step, a quarter of the error', () => {
    const errorAt = (steps: number) => {
      const run = new Integrator(pair, 0, 0);
      for (let k = 0; k < steps; k++) run.step(40 / steps, 9000, 9000);
      const [hot, cold] = exact(9000, 40);
      return Math.hypot(run.temperature(0) - hot, run.temperature(1) - cold);
    };
    const errors = [10, 20, 40, 80].map(errorAt);
    for (let k = 1; k < errors.length; k++) {
      const ratio = errors[k - 1] / errors[k];
      expect(ratio).toBeGreaterThan(3.6);
      expect(ratio).toBeLessThan(4.4);
    }
    expect(errors[3]).toBeLessThan(0.01);
  });

  it('is L-stable: one enormous step lands on the surroundings instead of ringing about them', () => {
    const run = new Integrator(pair, 290, 700);
    run.step(1e10, 0, 0);
    expect(run.temperature(0)).toBeCloseTo(290, 2);
    expect(run.temperature(1)).toBeCloseTo(290, 2);
  });

  it('refuses a link it could not compute', () => {
    const bad = { ...pair, links: [{ ...link(0, 1, 1, 1e-9), factor: iron }] };
    expect(() => new Integrator(bad, 290, 290)).toThrow(/radiating link cannot have a factor table/);
  });
});
