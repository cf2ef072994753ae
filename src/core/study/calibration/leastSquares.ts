import { exp, type Matrix, symmetricInverse, symmetricSolve } from '../../numeric';

/** How far a search has come; plain data, to be kept and gone on from. */
export interface SearchState {
  /** Standard deviations of the prior from its median, one a free number */
  readonly place: readonly number[];
  readonly damping: number;
  readonly steps: number;
  /** Whether a further step would hardly move it */
  readonly settled: boolean;
}

/** What is found at the optimum. */
export interface Optimum extends SearchState {
  /** Readings' predictions there, and each's slope by each free number */
  readonly predicted: readonly number[];
  readonly slopes: Matrix;
  /** Covariance by Gauss and Newton, in standard deviations of the prior */
  readonly covariance: Matrix;
  /** Half the sum of squares, the priors' among them */
  readonly cost: number;
}

/** Predictions at some places. */
export type Predict = (places: readonly (readonly number[])[]) => Promise<readonly (readonly number[])[]>;

export const searchStart = (count: number): SearchState => ({
  place: new Array<number>(count).fill(0),
  damping: 1e-4,
  steps: 0,
  settled: false,
});

/** Residuals of readings from their predictions; with variances, each reading's is widened by its own. */
export interface Residuals {
  (predicted: readonly number[], softened?: readonly number[]): number[];
  /** Errors of the readings, one standard deviation; left out, nothing is widened */
  readonly errors?: readonly number[];
}

/** A tenth as much widening with each step. */
const STEP_DOWN = Math.LN10;

interface SearchOptions {
  /** Told of every step */
  readonly told?: (state: SearchState) => void;
  /** Slopes at the start, where they are known */
  readonly first?: Slopes | null;
}

/** Step of the slopes, standard deviations of the prior: small beside them, large beside what a day's steps scatter. */
const SLOPE_STEP = 0.05;
/** No single step goes farther, standard deviations of the prior. */
const LONGEST = 1.5;
/** Moves smaller than this are none. */
const STILL = 2e-3;
const MOST_STEPS = 25;
const MOST_DAMPING = 1e7;

const halfSquares = (values: readonly number[]) => 0.5 * values.reduce((sum, v) => sum + v * v, 0);

/**
 * Least squares by Levenberg and Marquardt (Marquardt 1963) with every prior as a reading of its own: each free number is
 * counted in standard deviations from its median, so that the prior's residual is the number itself. Own, as no package
 * gives its steps to be kept and gone on from, its slopes to be computed side by side, or says whether it has settled.
 * @param start from `searchStart`, or as an earlier search left it
 * @param residuals of the readings from their predictions
 */
export async function leastSquares(
  start: SearchState,
  predict: Predict,
  residuals: Residuals,
  { told = () => {}, first = null }: SearchOptions = {},
): Promise<Optimum> {
  let state = start;
  let known = first;
  while (!state.settled && state.steps < MOST_STEPS && state.place.length > 0) {
    const at: Slopes = known ?? (await slopesAt(state.place, predict, 'ahead'));
    known = null;
    const softened = softness(at, residuals, state.steps);
    const taken = await stepFrom(state, at, predict, (predicted) =>
      residuals(predicted, softened ?? undefined),
    );
    const settled = taken.settled && softened === null;
    state = { place: taken.place, damping: taken.damping, settled, steps: state.steps + 1 };
    told(state);
    // Where no step helps, none will.
    if (taken.stuck) break;
  }
  // What is told of the optimum is from slopes to both sides, and a last step by them.
  const at = await slopesAt(state.place, predict, 'both');
  const last = state.place.length > 0 ? await stepFrom(state, at, predict, residuals) : null;
  const place = last?.place ?? state.place;
  const predicted = last?.there ?? at.predicted;
  const { jacobian } = normalEquations(at, residuals(at.predicted), residuals, state.place);
  return {
    ...state,
    place,
    predicted,
    slopes: at.slopes,
    cost: halfSquares([...residuals(predicted), ...place]),
    covariance: symmetricInverse(informationOf(jacobian, place.length)),
  };
}

/**
 * What each reading's variance is widened by in the first steps: by how far its prediction is uncertain itself, less with each
 * step (graduated non-convexity, Blake and Zisserman 1987). A likelihood that forgives wrong readings is flat far from
 * what was read, and a precise reading may be many of its errors away at first.
 * @returns null once it would hardly widen any
 */
function softness({ slopes }: Slopes, residuals: Residuals, steps: number): number[] | null {
  const share = exp(-STEP_DOWN * steps);
  const errors = residuals.errors;
  if (!errors) return null;
  const wide = slopes.map((row) => share * row.reduce((sum, v) => sum + v * v, 0));
  return wide.some((variance, k) => variance > errors[k] ** 2) ? wide : null;
}

/** One step that lowers the cost, with as much damping as that takes. */
async function stepFrom(
  { place, damping: begun }: SearchState,
  at: Slopes,
  predict: Predict,
  residuals: Residuals,
) {
  const errors = residuals(at.predicted);
  const before = halfSquares([...errors, ...place]);
  const { normal, gradient } = normalEquations(at, errors, residuals, place);
  let damping = begun;
  while (damping < MOST_DAMPING) {
    const damped = normal.map((row, i) => row.map((v, k) => (i === k ? v * (1 + damping) : v)));
    const step = limited(
      symmetricSolve(
        damped,
        gradient.map((g) => -g),
      ),
    );
    const next = place.map((v, i) => v + step[i]);
    const [there] = await predict([next]);
    const lower = halfSquares([...residuals(there), ...next]) <= before;
    const settled = Math.max(...step.map(Math.abs)) < STILL;
    if (lower) return { place: next, there, damping: Math.max(1e-9, damping / 10), settled, stuck: false };
    // So short a step that goes up is only what a day's steps scatter.
    if (settled) return { place, there: null, damping, settled, stuck: false };
    damping *= 10;
  }
  return { place, there: null, damping: MOST_DAMPING / 10, settled: false, stuck: true };
}

function limited(step: readonly number[]): number[] {
  const longest = Math.max(...step.map(Math.abs));
  return step.map((v) => (longest > LONGEST ? (v * LONGEST) / longest : v));
}

/** Predictions at a place and their slopes. */
export interface Slopes {
  readonly predicted: readonly number[];
  /** One row a reading, one column a free number */
  readonly slopes: Matrix;
}

/**
 * Predictions at a place and their slopes by differences.
 * @param sides ahead alone is half the work, both are exact to the second order
 */
export async function slopesAt(
  place: readonly number[],
  predict: Predict,
  sides: 'ahead' | 'both',
): Promise<Slopes> {
  const by = sides === 'both' ? [SLOPE_STEP, -SLOPE_STEP] : [SLOPE_STEP];
  const moves = place.flatMap((_, i) => by.map((far) => place.map((v, k) => (k === i ? v + far : v))));
  const [predicted, ...moved] = await predict([place, ...moves]);
  return {
    predicted,
    slopes: predicted.map((_, row) =>
      place.map((_v, i) =>
        sides === 'both'
          ? (moved[2 * i][row] - moved[2 * i + 1][row]) / (2 * SLOPE_STEP)
          : (moved[i][row] - predicted[row]) / SLOPE_STEP,
      ),
    ),
  };
}

function normalEquations(
  { predicted, slopes }: Slopes,
  errors: readonly number[],
  residuals: Residuals,
  place: readonly number[],
) {
  // Slope of each residual by its own prediction; a hundredth of a kelvin is small for all of them.
  const small = 0.01;
  const up = residuals(predicted.map((v) => v + small));
  const down = residuals(predicted.map((v) => v - small));
  const jacobian = slopes.map((row, k) => row.map((v) => (v * (up[k] - down[k])) / (2 * small)));
  const gradient = place.map((own, i) => own + jacobian.reduce((sum, row, k) => sum + row[i] * errors[k], 0));
  return { normal: informationOf(jacobian, place.length), gradient, jacobian };
}

/** JᵀJ with the priors in it. */
export const informationOf = (jacobian: Matrix, count: number): number[][] =>
  Array.from({ length: count }, (_, i) =>
    Array.from(
      { length: count },
      (_v, k) => (i === k ? 1 : 0) + jacobian.reduce((sum, row) => sum + row[i] * row[k], 0),
    ),
  );
