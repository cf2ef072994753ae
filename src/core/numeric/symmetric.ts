import { bandedSolve } from './bandedSolve';

/** A full matrix, row by row. */
export type Matrix = readonly (readonly number[])[];

const identity = (n: number): Float64Array[] =>
  Array.from({ length: n }, (_, i) => Float64Array.from({ length: n }, (_v, k) => (k === i ? 1 : 0)));

/** A full symmetric matrix as a band of all its width. */
function banded(matrix: Matrix): Float64Array {
  const n = matrix.length;
  const band = new Float64Array(n * n);
  for (let i = 0; i < n; i++) for (let k = 0; k <= i; k++) band[i * n + n - 1 - k] = matrix[i][i - k];
  return band;
}

/**
 * Solves A·x = b for a full symmetric positive definite matrix.
 * @throws RangeError naming the row where the matrix is not positive definite
 */
export function symmetricSolve(matrix: Matrix, side: readonly number[]): number[] {
  const x = Float64Array.from(side);
  bandedSolve(banded(matrix), matrix.length - 1, [x]);
  return [...x];
}

/** Inverse of a full symmetric positive definite matrix. @throws RangeError as `symmetricSolve` */
export function symmetricInverse(matrix: Matrix): number[][] {
  const columns = identity(matrix.length);
  bandedSolve(banded(matrix), matrix.length - 1, columns);
  return columns.map((column) => [...column]);
}

/**
 * The lower triangle L with A = L·Lᵀ (Cholesky). @throws RangeError as `symmetricSolve`
 */
export function choleskyFactor(matrix: Matrix): number[][] {
  const n = matrix.length;
  const band = banded(matrix);
  bandedSolve(band, n - 1, [new Float64Array(n)]);
  return matrix.map((_, i) =>
    Array.from({ length: n }, (_v, k) => (k <= i ? band[i * n + n - 1 - (i - k)] : 0)),
  );
}
