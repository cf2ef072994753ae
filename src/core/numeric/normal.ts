import { exp, log } from './elementary';

const LOG_ROOT_TWO_PI = 0.9189385332046727;
/** Where the series gives way to the continued fraction. */
const FAR = 3.5;

/** Density of the standard normal distribution. */
const normalDensity = (z: number): number => exp(-0.5 * z * z - LOG_ROOT_TWO_PI);

/** Mills' ratio Q(z)/φ(z) for z of 3.5 and more, by its continued fraction (Abramowitz and Stegun 26.2.14). */
function millsRatio(z: number): number {
  let below = z;
  for (let k = 60; k >= 1; k--) below = z + k / below;
  return 1 / below;
}

/** Probability that a standard normal variable stays under z (Abramowitz and Stegun 26.2.11 and 26.2.14). */
export function normalProbability(z: number): number {
  if (z > FAR) return 1 - normalDensity(z) * millsRatio(z);
  if (z < -FAR) return normalDensity(z) * millsRatio(-z);
  let term = z;
  let sum = z;
  for (let k = 1; k < 80; k++) {
    term *= (z * z) / (2 * k + 1);
    sum += term;
  }
  return 0.5 + normalDensity(z) * sum;
}

/** Its natural logarithm, exact far out where the probability itself is nothing. */
export const logNormalProbability = (z: number): number =>
  z < -FAR ? -0.5 * z * z - LOG_ROOT_TWO_PI + log(millsRatio(-z)) : log(normalProbability(z));
