import { choleskyFactor, type Matrix, normalProbability, normalQuantile } from '../numeric';

/** Strongest correlation that is drawn: a matrix that was rounded when it was stored must stay positive definite. */
const MOST = 0.999;

/**
 * A design in which some columns hang together: each row's normal values are mixed by the factor of their correlations
 * (Iman and Conover 1982 do it by ranks; for bells the values themselves serve).
 * @param design runs × inputs, over 0 and under 1
 * @param columns that hang together
 * @param correlations of them, row by row
 */
export function correlated(
  design: Float64Array,
  inputs: number,
  columns: readonly number[],
  correlations: Matrix,
): Float64Array {
  if (columns.length < 2) return design;
  const factor = choleskyFactor(correlations.map((row, i) => row.map((v, k) => (i === k ? 1 : MOST * v))));
  const mixed = Float64Array.from(design);
  const tail = 1e-9;
  for (let at = 0; at < design.length; at += inputs) {
    const normal = columns.map((column) => normalQuantile(design[at + column]));
    columns.forEach((column, i) => {
      const value = factor[i].reduce((sum, share, k) => sum + share * normal[k], 0);
      mixed[at + column] = Math.min(1 - tail, Math.max(tail, normalProbability(value)));
    });
  }
  return mixed;
}
