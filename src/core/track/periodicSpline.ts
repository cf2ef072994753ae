import { bandedSolve } from '../numeric';

/** Values at places of a closed line, to be smoothed together; n places, each list n values. */
export interface Samples {
  /** Place on the line, 0 to `length`, m; n, in any order */
  readonly at: Float64Array;
  readonly values: readonly Float64Array[];
  /** Length of the line, m */
  readonly length: number;
}

/** A closed cubic B-spline; one list of coefficients for each list of values. */
export interface PeriodicSpline {
  readonly length: number;
  /** Distance between knots, m */
  readonly spacing: number;
  readonly coefficients: readonly Float64Array[];
}

/** Cubic B-spline weights of the four coefficients round a place between two knots, u from 0 to 1. */
function weights(u: number, out: Float64Array): void {
  const v = 1 - u;
  out[0] = (v * v * v) / 6;
  out[1] = (3 * u * u * u - 6 * u * u + 4) / 6;
  out[2] = (3 * v * v * v - 6 * v * v + 4) / 6;
  out[3] = (u * u * u) / 6;
}

/** Twice the order of the differences is the power that waves are weakened by. */
const sixth = (x: number) => x * x * x * x * x * x;

/** Order of the differences that are kept small; the third, so that curvature may rise evenly at no cost. */
const ORDER = 3;
const DIFFERENCE = [-1, 3, -3, 1];

/** Samples gathered into the equations of a spline, to be smoothed by any wave. */
export interface Gathered {
  readonly length: number;
  readonly spacing: number;
  readonly knots: number;
  /** Knots the line is unrolled by before and after, so that its ends no longer feel where it was cut */
  readonly pad: number;
  /** Mean of each list of values */
  readonly means: readonly number[];
  /** Samples for each knot */
  readonly density: number;
  readonly band: Float64Array;
  readonly sides: readonly Float64Array[];
}

/** Half bandwidth of the equations. */
const HALF = 3;

/**
 * Gathers samples for smoothing.
 * @param spacing wanted distance between knots, m
 * @param longest wave it will be smoothed by at most, m
 */
export function gather(samples: Samples, spacing: number, longest: number): Gathered {
  const { at, values, length } = samples;
  const knots = Math.max(8, Math.round(length / spacing));
  const h = length / knots;
  const pad = Math.min(knots, Math.ceil((4 * Math.max(longest, 4 * h)) / h));
  const n = knots + 2 * pad + 3;
  const row = HALF + 1;
  const band = new Float64Array(n * row);
  const sides = values.map(() => new Float64Array(n));
  const b = new Float64Array(4);
  // About their mean, so that where the line lies makes no difference.
  const means = values.map((list) => list.reduce((sum, v) => sum + v, 0) / list.length);
  for (let i = 0; i < at.length; i++) {
    const place = at[i] / h;
    for (let turn = -1; turn <= 1; turn++) {
      const t = place + turn * knots + pad;
      if (t < 0 || t >= knots + 2 * pad) continue;
      const cell = Math.floor(t);
      weights(t - cell, b);
      for (let p = 0; p < 4; p++) {
        for (let q = 0; q <= p; q++) band[(cell + p) * row + HALF - (p - q)] += b[p] * b[q];
        for (let v = 0; v < values.length; v++) sides[v][cell + p] += b[p] * (values[v][i] - means[v]);
      }
    }
  }
  return { length, spacing: h, knots, pad, density: at.length / knots, means, band, sides };
}

/**
 * Smooths gathered values by a cubic spline whose third differences are penalised (Eilers and Marx 1996, P-splines).
 * Waves much longer than `wave` pass, much shorter ones do not.
 * @param wave length that is halved, m; not above the one they were gathered for
 */
export function smoothGathered(gathered: Gathered, wave: number): PeriodicSpline {
  const { length, spacing, knots, pad, density, means } = gathered;
  const n = gathered.sides[0].length;
  const row = HALF + 1;
  const band = gathered.band.slice();
  const sides = gathered.sides.map((side) => side.slice());
  const strength = density * sixth(wave / (2 * Math.PI * spacing));
  for (let i = 0; i + ORDER < n; i++) {
    for (let p = 0; p <= ORDER; p++) {
      for (let q = 0; q <= p; q++) {
        band[(i + p) * row + HALF - (p - q)] += strength * DIFFERENCE[p] * DIFFERENCE[q];
      }
    }
  }
  // Knots that nothing was measured near are carried by the penalty; a grain of weight keeps the ends definite.
  for (let i = 0; i < n; i++) band[i * row + HALF] += 1e-9 * density;
  bandedSolve(band, HALF, sides);
  return {
    length,
    spacing,
    coefficients: sides.map((side, v) => side.slice(pad, pad + knots).map((c) => c + means[v])),
  };
}

/** Value, slope and second derivative at a place of the line. @param out [value, 1/m, 1/m²] */
export function evaluate(
  { length, spacing, coefficients }: PeriodicSpline,
  which: number,
  place: number,
  out: Float64Array,
): void {
  const c = coefficients[which];
  const knots = c.length;
  const t = (place - Math.floor(place / length) * length) / spacing;
  const cell = Math.floor(t);
  const u = t - cell;
  const v = 1 - u;
  const [c0, c1, c2, c3] = [
    c[cell % knots],
    c[(cell + 1) % knots],
    c[(cell + 2) % knots],
    c[(cell + 3) % knots],
  ];
  out[0] =
    (v * v * v * c0 +
      (3 * u * u * u - 6 * u * u + 4) * c1 +
      (3 * v * v * v - 6 * v * v + 4) * c2 +
      u * u * u * c3) /
    6;
  out[1] = (-v * v * c0 + (3 * u * u - 4 * u) * c1 + (-3 * v * v + 4 * v) * c2 + u * u * c3) / (2 * spacing);
  out[2] = (v * c0 + (3 * u - 2) * c1 + (3 * v - 2) * c2 + u * c3) / (spacing * spacing);
}

/**
 * How many free values a smoothing leaves on a line of evenly spread samples: the sum over all waves of the share that
 * passes.
 */
export function freedom(length: number, spacing: number, wave: number): number {
  const knots = Math.max(8, Math.round(length / spacing));
  let sum = 1;
  for (let k = 1; k <= knots / 2; k++) sum += 2 / (1 + sixth((wave * k) / length));
  return sum;
}
