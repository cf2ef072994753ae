/**
 * Solves A·x = b for a symmetric positive definite band matrix by Cholesky's factorisation, in place.
 * @param band lower band, row by row: `band[i·(w+1) + w − k]` is A[i][i−k], k = 0 … w; overwritten by the factor
 * @param w half bandwidth
 * @param sides right-hand sides of n values each; overwritten by the solutions
 * @throws RangeError naming the row where the matrix is not positive definite
 */
export function bandedSolve(band: Float64Array, w: number, sides: readonly Float64Array[]): void {
  const n = sides[0].length;
  const row = w + 1;
  for (let i = 0; i < n; i++) {
    const least = Math.max(0, i - w);
    for (let j = least; j <= i; j++) {
      let sum = band[i * row + w - (i - j)];
      for (let k = Math.max(least, j - w); k < j; k++) {
        sum -= band[i * row + w - (i - k)] * band[j * row + w - (j - k)];
      }
      if (j < i) band[i * row + w - (i - j)] = sum / band[j * row + w];
      else if (sum > 0) band[i * row + w] = Math.sqrt(sum);
      else throw new RangeError(`bandedSolve: the matrix is not positive definite at row ${i}`);
    }
  }
  for (const b of sides) {
    for (let i = 0; i < n; i++) {
      let sum = b[i];
      for (let k = Math.max(0, i - w); k < i; k++) sum -= band[i * row + w - (i - k)] * b[k];
      b[i] = sum / band[i * row + w];
    }
    for (let i = n - 1; i >= 0; i--) {
      let sum = b[i];
      for (let k = Math.min(n - 1, i + w); k > i; k--) sum -= band[k * row + w - (k - i)] * b[k];
      b[i] = sum / band[i * row + w];
    }
  }
}
