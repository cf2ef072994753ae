import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { symmetricEigen } from './symmetric';

describe('the eigenvalues of a symmetric matrix', () => {
  it('are those of a chain that is held at no end, 4·sin²(πk/2n) (exact)', () => {
    const n = 12;
    const chain = Array.from({ length: n }, (_, i) =>
      Array.from({ length: n }, (_v, k) => {
        if (i === k) return i === 0 || i === n - 1 ? 1 : 2;
        return Math.abs(i - k) === 1 ? -1 : 0;
      }),
    );
    const values = symmetricEigen(chain).values.sort((a, b) => a - b);
    values.forEach((value, k) => {
      expect(value).toBeCloseTo(4 * Math.sin((Math.PI * k) / (2 * n)) ** 2, 12);
    });
  });

  it('and their vectors make the matrix again, and stand at right angles', () => {
    const entry = fc.double({ min: -50, max: 50, noNaN: true });
    fc.assert(
      fc.property(
        fc.array(fc.array(entry, { minLength: 7, maxLength: 7 }), { minLength: 7, maxLength: 7 }),
        (m) => {
          const matrix = m.map((row, i) => row.map((own, k) => own + m[k][i]));
          const { values, vectors } = symmetricEigen(matrix);
          const sum = (of: (k: number) => number) => values.reduce((all, _, k) => all + of(k), 0);
          matrix.forEach((row, i) => {
            row.forEach((own, k) => {
              expect(sum((v) => values[v] * vectors[v][i] * vectors[v][k])).toBeCloseTo(own, 9);
              const right = sum((at) => vectors[i][at] * vectors[k][at]);
              expect(right).toBeCloseTo(i === k ? 1 : 0, 11);
            });
          });
        },
      ),
    );
  });
});
