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

/** Most sweeps of rotations: each squares what is left beside the diagonal, so that a few do. */
const SWEEPS = 30;

/**
 * Eigenvalues and vectors of a full symmetric matrix, by Jacobi's rotations (Golub and Van Loan, Matrix Computations,
 * chapter 8).
 * @returns values, and vectors as rows of their components, in the same order
 */
export function symmetricEigen(matrix: Matrix): { values: number[]; vectors: number[][] } {
  const n = matrix.length;
  const a = matrix.map((row) => Float64Array.from(row));
  const vectors = identity(n);
  for (let sweep = 0; sweep < SWEEPS; sweep++) {
    let beside = 0;
    let all = 0;
    for (let i = 0; i < n; i++) {
      for (let k = 0; k < n; k++) all += a[i][k] * a[i][k];
      for (let k = 0; k < i; k++) beside += a[i][k] * a[i][k];
    }
    if (beside <= 1e-32 * all) break;
    for (let p = 1; p < n; p++) for (let q = 0; q < p; q++) rotate(a, vectors, p, q);
  }
  return { values: a.map((row, i) => row[i]), vectors: vectors.map((row) => [...row]) };
}

/** Turns rows and columns p and q so that what stands between them is nothing. */
function rotate(a: readonly Float64Array[], vectors: readonly Float64Array[], p: number, q: number): void {
  if (a[p][q] === 0) return;
  const slope = (a[q][q] - a[p][p]) / (2 * a[p][q]);
  const tangent = (slope < 0 ? -1 : 1) / (Math.abs(slope) + Math.sqrt(slope * slope + 1));
  const c = 1 / Math.sqrt(tangent * tangent + 1);
  const s = tangent * c;
  for (const row of a) [row[p], row[q]] = [c * row[p] - s * row[q], s * row[p] + c * row[q]];
  for (const rows of [a, vectors]) {
    for (let k = 0; k < a.length; k++) {
      const [x, y] = [rows[p][k], rows[q][k]];
      rows[p][k] = c * x - s * y;
      rows[q][k] = s * x + c * y;
    }
  }
}
