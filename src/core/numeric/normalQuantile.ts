import { log } from './elementary';

const A = [
  -3.969683028665376e1, 2.209460984245205e2, -2.759285104469687e2, 1.38357751867269e2, -3.066479806614716e1,
  2.506628277459239,
];
const B = [
  -5.447609879822406e1, 1.615858368580409e2, -1.556989798598866e2, 6.680131188771972e1, -1.328068155288572e1,
  1,
];
const C = [
  -7.784894002430293e-3, -3.223964580411365e-1, -2.400758277161838, -2.549732539343734, 4.374664141464968,
  2.938163982698783,
];
const D = [7.784695709041462e-3, 3.224671290700398e-1, 2.445134137142996, 3.754408661907416, 1];

const polynomial = (coefficients: readonly number[], x: number) =>
  coefficients.reduce((sum, c) => sum * x + c, 0);

/**
 * The value that a standard normal variable stays under with a probability: Acklam's rational approximation (from
 * memory), within 1.2e-9 of it.
 * @param probability over 0 and under 1
 */
export function normalQuantile(probability: number): number {
  const tail = 0.02425;
  if (probability < tail || probability > 1 - tail) {
    const low = probability < tail;
    const q = Math.sqrt(-2 * log(low ? probability : 1 - probability));
    const value = polynomial(C, q) / polynomial(D, q);
    return low ? value : -value;
  }
  const q = probability - 0.5;
  const r = q * q;
  return (polynomial(A, r) * q) / polynomial(B, r);
}
