import { levenbergMarquardt } from 'ml-levenberg-marquardt';
import {
  type DayInput,
  driveLap,
  type LapLikeness,
  type LapTrace,
  lapLikeness,
  movedBy,
  type ParameterId,
  prepareCircuit,
  speedAt,
} from '../../core';

/** How hard the car is driven and how strong it is; shares of what the simulated lap took before. */
export interface LapFit {
  /** Grip used in corners, grip used in braking, power: each as a factor on the present value */
  readonly cornering: Fitted;
  readonly braking: Fitted;
  readonly power: Fitted;
  readonly before: LapLikeness;
  readonly after: LapLikeness;
  /** Whether a further step would hardly change it */
  readonly settled: boolean;
  readonly solved: LapTrace;
}
export interface Fitted {
  readonly factor: number;
  /** One standard deviation, from the misfit that is left */
  readonly uncertainty: number;
  /** At the end of the range it may take: the log asks for more than a car can be */
  readonly atLimit: boolean;
}

const CELLS = 240;

/** How far a log is believed; well inside the parameters' own bounds. */
const LOW = 0.4;
const HIGH = 2.2;

/** What a log's speeds can tell of a car and its driver, in the order they are fitted in. */
const FITTED = ['corneringGrip', 'brakingGrip', 'power'] as const satisfies readonly ParameterId[];

/** The day's circuit driven with parameters moved. @param factors one for each that is fitted */
export function driveWith(
  input: DayInput,
  factors: readonly number[],
  airDensity: number,
  ductDragArea: number,
): LapTrace {
  const by = Object.fromEntries(FITTED.map((id, i) => [id, factors[i]]));
  const { vehicle, driver } = movedBy(input, by);
  const conditions = { airDensity, ductDragArea };
  return driveLap(prepareCircuit(input.circuit, 2, input.wind), vehicle, { ...driver, pace: 1 }, conditions);
}

/**
 * Finds the grip used in corners and in braking and the power with which the simulated lap goes as the logged one did
 * (Levenberg and Marquardt's least squares over the speeds along the lap). Only the product of the tyres' grip and the
 * share of it used shows in a lap; which of the two it is, a log cannot tell.
 * @param airDensity kg/m³
 * @param ductDragArea of the brake ducts, Cd·A, m²
 * @returns factors on the day's own, with their standard errors, and the RMS error of speed, m/s
 */
export function fitLap(input: DayInput, logged: LapTrace, airDensity: number, ductDragArea: number): LapFit {
  const start = logged.distance[0];
  const length = logged.distance[logged.distance.length - 1] - start;
  const places = Array.from({ length: CELLS }, (_, i) => ((i + 0.5) * length) / CELLS);
  const speeds = places.map((s) => speedAt(logged, s));
  const solve = (factors: readonly number[]) => driveWith(input, factors, airDensity, ductDragArea);
  // The package asks for the function anew at every point; a lap is solved once for each set of factors.
  const solved = new Map<string, (s: number) => number>();
  const model = (factors: number[]) => {
    const key = factors.join();
    const known = solved.get(key);
    if (known) return known;
    const trace = solve(factors);
    const speed = (s: number) => speedAt(trace, s);
    solved.set(key, speed);
    return speed;
  };
  const first = [1, 1, 1];
  const run = (from: number[]) =>
    levenbergMarquardt({ x: places, y: speeds }, model, {
      initialValues: from,
      minValues: FITTED.map(() => LOW),
      maxValues: FITTED.map(() => HIGH),
      gradientDifference: 0.004,
      centralDifference: true,
      damping: 0.5,
      maxIterations: 25,
      errorTolerance: 1e-6,
    });
  const once = run(first);
  // The package does not say whether it has converged; from its own result a second run must stay where it is.
  const again = run(once.parameterValues);
  const values = again.parameterValues;
  const moved = values.map((v, i) => Math.abs(v - once.parameterValues[i]));
  const scatter = deviations(model, values, places, speeds);
  const fitted = (i: number): Fitted => ({
    factor: values[i],
    uncertainty: scatter[i],
    atLimit: values[i] < LOW * 1.01 || values[i] > HIGH * 0.99,
  });
  const lap = solve(values);
  return {
    cornering: fitted(0),
    braking: fitted(1),
    power: fitted(2),
    before: lapLikeness(logged, solve(first)),
    after: lapLikeness(logged, lap),
    settled: Math.max(...moved) < 0.01,
    solved: lap,
  };
}

/** Standard deviations of the factors from the misfit and the slopes, as in any linear least squares. */
function deviations(
  model: (factors: number[]) => (s: number) => number,
  values: readonly number[],
  places: readonly number[],
  speeds: readonly number[],
): number[] {
  const step = 0.004;
  const at = model([...values]);
  const misfit =
    places.reduce((sum, s, i) => sum + (at(s) - speeds[i]) ** 2, 0) / (places.length - values.length);
  const slopes = values.map((_, k) => {
    const up = model(values.map((v, i) => (i === k ? v + step : v)));
    const down = model(values.map((v, i) => (i === k ? v - step : v)));
    return places.map((s) => (up(s) - down(s)) / (2 * step));
  });
  const normal = slopes.map((a) => slopes.map((b) => a.reduce((sum, v, i) => sum + v * b[i], 0)));
  return inverseDiagonal(normal).map((d) => Math.sqrt(Math.max(0, d * misfit)));
}

/** Diagonal of the inverse of a 3 × 3 matrix by cofactors; infinite where it has none. */
function inverseDiagonal(m: readonly (readonly number[])[]): number[] {
  const minor = (i: number) => {
    const [a, b] = [0, 1, 2].filter((k) => k !== i);
    return m[a][a] * m[b][b] - m[a][b] * m[b][a];
  };
  const determinant =
    m[0][0] * minor(0) -
    m[0][1] * (m[1][0] * m[2][2] - m[1][2] * m[2][0]) +
    m[0][2] * (m[1][0] * m[2][1] - m[1][1] * m[2][0]);
  return [0, 1, 2].map((i) =>
    Math.abs(determinant) < 1e-12 ? Number.POSITIVE_INFINITY : minor(i) / determinant,
  );
}
