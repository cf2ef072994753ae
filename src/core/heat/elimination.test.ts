import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { recordFigure } from '../../../tests/support/validation';
import { factor, planElimination, solve } from './elimination';
import { Integrator } from './integrator';
import { AMBIENT, type NetworkLink } from './network';

const link = (from: number, to: number, coefficient: number): NetworkLink => ({
  from,
  to,
  coefficient,
  channel: 0,
  factor: null,
  radiation: 0,
  path: 'conduction',
});

/** Gaussian elimination of the dense matrix, as a second way to the same answer. */
function denseSolve(matrix: number[][], right: number[]): number[] {
  const a = matrix.map((row, i) => [...row, right[i]]);
  const n = right.length;
  for (let k = 0; k < n; k++) {
    for (let i = k + 1; i < n; i++) {
      const f = a[i][k] / a[k][k];
      for (let j = k; j <= n; j++) a[i][j] -= f * a[k][j];
    }
  }
  const x = Array<number>(n).fill(0);
  for (let i = n - 1; i >= 0; i--) {
    x[i] = (a[i][n] - a[i].slice(i + 1, n).reduce((s, v, j) => s + v * x[i + 1 + j], 0)) / a[i][i];
  }
  return x;
}

describe('sparse elimination', () => {
  it('solves any network as dense elimination does', () => {
    const network = fc.integer({ min: 2, max: 14 }).chain((n) =>
      fc.record({
        n: fc.constant(n),
        pairs: fc.array(
          fc.tuple(fc.nat(n - 1), fc.nat(n - 1), fc.double({ min: 0.01, max: 50, noNaN: true })),
          {
            maxLength: 3 * n,
          },
        ),
        right: fc.array(fc.double({ min: -100, max: 100, noNaN: true }), { minLength: n, maxLength: n }),
      }),
    );
    fc.assert(
      fc.property(network, ({ n, pairs, right }) => {
        const links = pairs.filter(([a, b]) => a !== b).map(([a, b, g]) => link(a, b, g));
        const nodes = Array.from({ length: n }, (_, i) => ({
          name: `${i}`,
          group: 'any',
          scale: 1,
          table: null,
        }));
        const plan = planElimination({ nodes, links, sources: [], channels: 1 });
        const diagonal = new Float64Array(n).fill(1);
        const entries = new Float64Array(plan.neighbour.length);
        const dense = Array.from({ length: n }, (_, i) =>
          Array.from({ length: n }, (_, j) => (i === j ? 1 : 0)),
        );
        links.forEach(({ from, to, coefficient: g }, l) => {
          diagonal[plan.place[from]] += g;
          diagonal[plan.place[to]] += g;
          entries[plan.entryOfLink[l]] -= g;
          dense[from][from] += g;
          dense[to][to] += g;
          dense[from][to] -= g;
          dense[to][from] -= g;
        });
        const vector = new Float64Array(n);
        for (let i = 0; i < n; i++) vector[plan.place[i]] = right[i];
        factor(plan, diagonal, entries);
        solve(plan, diagonal, entries, vector);
        denseSolve(dense, right).forEach((x, i) => {
          expect(Math.abs(vector[plan.place[i]] - x)).toBeLessThan(1e-8);
        });
      }),
    );
  });

  it('costs a chain no more than a tri-diagonal solve', () => {
    const nodes = Array.from({ length: 20 }, (_, i) => ({
      name: `${i}`,
      group: 'any',
      scale: 1,
      table: null,
    }));
    const links = Array.from({ length: 19 }, (_, i) => link(i, i + 1, 1));
    const plan = planElimination({ nodes, links, sources: [], channels: 1 });
    expect(plan.neighbour.length).toBe(19);
    expect(plan.updates.length).toBe(0);
  });
});

describe('repeated equal stops, lumped: Limpert; Newcomb and Spurr', () => {
  it('follows ΔT·(1 − e^(−n·b·t))/(1 − e^(−b·t)) to its saturation', () => {
    const [capacity, conductance, pause, heat] = [4000, 20, 40, 400_000];
    const run = new Integrator(
      {
        nodes: [{ name: 'rotor', group: 'any', scale: capacity, table: null }],
        links: [link(0, AMBIENT, conductance)],
        sources: [{ node: 0, share: 1 }],
        channels: 1,
      },
      300,
      300,
    );
    const b = conductance / capacity;
    const rise = heat / capacity;
    for (let n = 1; n <= 40; n++) {
      run.step(1e-4, heat / 1e-4, heat / 1e-4);
      const exact = (rise * (1 - Math.exp(-n * b * pause))) / (1 - Math.exp(-b * pause));
      expect(Math.abs(run.temperature(0) - 300 - exact)).toBeLessThan(0.05);
      for (let k = 0; k < 80; k++) run.step(pause / 80, 0, 0);
    }
    expect(run.temperature(0) - 300).toBeCloseTo(rise / (1 - Math.exp(-b * pause)) - rise, 0);
    recordFigure({
      id: '6',
      what: 'Repeated equal stops, lumped: 40th rise against the closed form',
      expected: '0',
      computed: run.temperature(0) - 300 - (rise / (1 - Math.exp(-b * pause)) - rise),
      unit: 'K apart',
      source: 'Limpert; Newcomb and Spurr',
    });
  });
});
