import { describe, expect, it } from 'vitest';
import { choleskyFactor, normalQuantile, symmetricInverse, symmetricSolve } from '../numeric';
import { tiesOf } from './calibration/posterior';
import { correlated } from './correlate';
import { latinHypercube } from './latinHypercube';

const correlations = [
  [1, 0.8, -0.5],
  [0.8, 1, -0.2],
  [-0.5, -0.2, 1],
];

/** Pearson's correlation of two columns' normal values. */
function pearson(design: Float64Array, inputs: number, a: number, b: number): number {
  const column = (k: number) =>
    Array.from({ length: design.length / inputs }, (_, run) => normalQuantile(design[run * inputs + k]));
  const [x, y] = [column(a), column(b)];
  const mean = (list: readonly number[]) => list.reduce((sum, v) => sum + v, 0) / list.length;
  const [mx, my] = [mean(x), mean(y)];
  const sum = (of: (i: number) => number) => x.reduce((all, _, i) => all + of(i), 0);
  return (
    sum((i) => (x[i] - mx) * (y[i] - my)) /
    Math.sqrt(sum((i) => (x[i] - mx) ** 2) * sum((i) => (y[i] - my) ** 2))
  );
}

describe('a design in which some columns hang together', () => {
  const runs = 4000;
  const even = latinHypercube(runs, 4, 7);
  // The second column is none of them.
  const columns = [0, 2, 3];
  const mixed = correlated(even, 4, columns, correlations);

  it('has the correlations that were asked for, and none with the others', () => {
    columns.forEach((a, i) => {
      columns.forEach((b, k) => {
        if (a < b) expect(Math.abs(pearson(mixed, 4, a, b) - correlations[i][k])).toBeLessThan(0.04);
      });
      expect(Math.abs(pearson(mixed, 4, a, 1))).toBeLessThan(0.05);
    });
  });

  it('keeps every column’s own distribution, and leaves the rest to the bit', () => {
    for (let run = 0; run < runs; run++) expect(mixed[4 * run + 1]).toBe(even[4 * run + 1]);
    for (const column of columns) {
      const values = Array.from({ length: runs }, (_, run) => mixed[4 * run + column]).sort((a, b) => a - b);
      for (const share of [0.05, 0.25, 0.5, 0.75, 0.95]) {
        expect(Math.abs(values[Math.floor(share * runs)] - share)).toBeLessThan(0.025);
      }
    }
  });

  it('of one column or of columns that are apart is the same design', () => {
    expect(correlated(even, 4, [2], [[1]])).toBe(even);
    const apart = correlated(
      even,
      4,
      [0, 1],
      [
        [1, 0],
        [0, 1],
      ],
    );
    even.forEach((value, i) => {
      expect(Math.abs(apart[i] - value)).toBeLessThan(1e-7);
    });
  });
});

describe('full symmetric matrices', () => {
  it('are solved, inverted and factored as they multiply back', () => {
    const times = (a: readonly (readonly number[])[], b: readonly (readonly number[])[]) =>
      a.map((row) => b[0].map((_, k) => row.reduce((sum, v, i) => sum + v * b[i][k], 0)));
    const inverse = symmetricInverse(correlations);
    const factor = choleskyFactor(correlations);
    const back = times(
      factor,
      factor.map((_, i) => factor.map((row) => row[i])),
    );
    times(correlations, inverse).forEach((row, i) => {
      row.forEach((v, k) => {
        expect(v).toBeCloseTo(i === k ? 1 : 0, 12);
        expect(back[i][k]).toBeCloseTo(correlations[i][k], 12);
      });
    });
    const side = [1, -2, 0.5];
    const solved = symmetricSolve(correlations, side);
    correlations.forEach((row, i) => {
      expect(row.reduce((sum, v, k) => sum + v * solved[k], 0)).toBeCloseTo(side[i], 12);
    });
    expect(() =>
      choleskyFactor([
        [1, 2],
        [2, 1],
      ]),
    ).toThrow(/not positive definite at row 1/);
  });
});

describe('ties', () => {
  it('are the pairs that hang together most, the strongest first, whatever their spreads', () => {
    const spread = [0.1, 3, 0.5];
    const covariance = correlations.map((row, i) => row.map((v, k) => v * spread[i] * spread[k]));
    expect(tiesOf(covariance).map(({ first, second }) => [first, second])).toEqual([[0, 1]]);
    const weak = tiesOf(covariance, 0.4);
    expect(weak.map(({ first, second }) => [first, second])).toEqual([
      [0, 1],
      [0, 2],
    ]);
    expect(weak[1].correlation).toBeCloseTo(-0.5, 12);
  });
});
