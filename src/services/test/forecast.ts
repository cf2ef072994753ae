import { brakeTest, drawn, latinHypercube, type ParameterId, type UncertainRange } from '../../core';
import { type Setup, uncertainRanges } from '../../model';
import { recipeOf, startOf, type TestQuestion, testDay } from './question';

/** What moves the end of an endurance run and is uncertain about a car. */
const MOVES: readonly ParameterId[] = [
  'frontCooling',
  'rearCooling',
  'frontFriction',
  'rearFriction',
  'mass',
  'padHeat',
  'fluidState',
  'faceConvection',
  'vaneConvection',
  'plateToFluid',
  'fluidToBody',
  'ringToHat',
];

/** Draws of all uncertain values; the same for every run, so that what one says of the car holds for the others. */
export const FORECAST_DRAWS = 160;
/** Draws of one piece of work. */
export const DRAWS_A_PIECE = 8;
const SEED = 7;
export const FORECAST_PIECES = FORECAST_DRAWS / DRAWS_A_PIECE;

/** Ranges of a car's uncertain values: as wide as the plan has them, or as a calibration left them. */
function rangesOf({ plan, calibration }: Setup): UncertainRange[] {
  const ranges = Object.fromEntries(
    Object.entries(plan.uncertain.ranges).map(([id, range]) => [
      id,
      { ...range, use: MOVES.includes(id as ParameterId) },
    ]),
  ) as typeof plan.uncertain.ranges;
  return uncertainRanges({ ...plan.uncertain, ranges }, calibration);
}

/**
 * Ends of endurance runs for some of the draws, s since each began.
 * @param piece from 0
 * @returns one list a question; infinite where nothing gave out within its stops and time
 */
export function forecastPiece(questions: readonly TestQuestion[], piece: number): number[][] {
  return questions.map((question) => {
    const ranges = rangesOf(question.setup);
    const design = latinHypercube(FORECAST_DRAWS, ranges.length, SEED);
    const day = testDay(question);
    return Array.from({ length: DRAWS_A_PIECE }, (_, k) => {
      const row = piece * DRAWS_A_PIECE + k;
      const own = drawn(day, ranges, design.subarray(row * ranges.length, (row + 1) * ranges.length));
      const recipe = { ...recipeOf(question.design, own), untilFails: true };
      const { failure } = brakeTest(own, recipe, startOf(question.design, own));
      return failure?.time ?? Number.POSITIVE_INFINITY;
    });
  });
}

/** When a run ends, s: the middle of what is likely, and the ends that 90 % lie within; infinite where it may not end. */
export interface EnduranceForecast {
  readonly middle: number;
  readonly low: number;
  readonly high: number;
  /** Chance that no limit is passed within the run's stops and time, 0 to 1 */
  readonly holds: number;
  /** Draws that what was seen leaves, as many equally likely ones */
  readonly draws: number;
}

/** How a run that was driven ended: s, and whether the brakes gave out then. */
export interface SeenEnd {
  readonly time: number;
  readonly gaveOut: boolean;
}

/** How exactly the end of a run is known: the driver's judgement, as a share of the time (own choice). */
const JUDGED = 0.06;
/** Draws that must be left for an interval to say anything. */
export const FEWEST_DRAWS = 5;

/**
 * Forecasts of runs, the draws weighted by the ends that were seen: the same car, so the same draws.
 * @param ends one list a run, all draws
 * @param seen one a run; null where it was not driven, or is to be predicted
 */
export function forecasts(
  ends: readonly (readonly number[])[],
  seen: readonly (SeenEnd | null)[],
): EnduranceForecast[] {
  const draws = ends[0].length;
  const logs = Array.from({ length: draws }, (_, i) =>
    seen.reduce((sum, own, k) => sum + (own === null ? 0 : misfit(ends[k][i], own)), 0),
  );
  const best = Math.max(...logs);
  const weights = logs.map((log) => Math.exp(log - best));
  const all = weights.reduce((sum, w) => sum + w, 0);
  const squares = weights.reduce((sum, w) => sum + w * w, 0);
  return ends.map((own) => {
    const order = own.map((end, i) => ({ end, w: weights[i] / all })).sort((a, b) => a.end - b.end);
    const at = (share: number) => {
      let sum = 0;
      for (const { end, w } of order) {
        sum += w;
        if (sum >= share) return end;
      }
      return order[order.length - 1].end;
    };
    return {
      middle: at(0.5),
      low: at(0.05),
      high: at(0.95),
      holds: order.reduce((sum, { end, w }) => sum + (end === Number.POSITIVE_INFINITY ? w : 0), 0),
      draws: (all * all) / squares,
    };
  });
}

/** Logarithm of how likely an end was, given a draw's. */
function misfit(end: number, { time, gaveOut }: SeenEnd): number {
  const held = end === Number.POSITIVE_INFINITY;
  // What still held then would have failed later, or never.
  if (!gaveOut && (held || end >= time)) return 0;
  const off = held ? 8 : Math.log(end / time) / JUDGED;
  return -0.5 * Math.min(64, off * off);
}
