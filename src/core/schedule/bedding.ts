import type { AxleName } from '../brake';
import { wheelOf } from '../brake';
import { assertPositive, ScheduleError } from './faults';
import { givenPiece, type Outcome, type Piece, type Schedule, stopPiece } from './piece';
import { rollSteps } from './unbraked';

/** One application of the brakes. */
export interface Snub {
  /** m/s */
  readonly from: number;
  /** m/s, below `from` */
  readonly to: number;
  /** m/s² */
  readonly deceleration: number;
}

/** An axle whose pads are bedded: what its left wheel must come to, K. */
export interface BeddingAxle {
  readonly axle: AxleName;
  /** Rotor and pad together before the first hard snub */
  readonly warm: readonly [low: number, high: number];
  /** Face of the pad while it is bedded */
  readonly bed: readonly [low: number, high: number];
}

export interface BeddingRecipe {
  /** Air, K */
  readonly ambient: number;
  readonly axles: readonly BeddingAxle[];
  readonly warmUp: Snub;
  /** Null for pads that are bedded already: they are only warmed up */
  readonly hard: Snub | null;
  /** Back to speed, m/s² */
  readonly acceleration: number;
  /** Least rolling at speed between two applications, s */
  readonly pause: number;
  /** How many of each, as somebody typed it; null for as many as rotors and pads need */
  readonly counts: { readonly warmUps: number | null; readonly snubs: number | null };
  /** Bedded share that is wanted, 0 to 1 */
  readonly bedded: number;
  /** Rolling on without the brakes, m/s, until no rotor is over a temperature, K, and how long at most, s */
  readonly rollOut: { readonly speed: number; readonly until: number; readonly longest: number };
}

/** Legs of a bedding schedule, in their order. */
export const BEDDING_PHASES = ['warm-up', 'snubs', 'roll-out'] as const;
export type BeddingPhase = (typeof BEDDING_PHASES)[number];
const LEG = { 'warm-up': 0, snubs: 1, 'roll-out': 2 } as const;

/** Most applications of a kind: who has not come there by then will not. */
const MOST = 40;
/** Who gains less than this with an application, K, and has not come there, will not. */
const STALLED = 0.8;
/** Pieces that is rolled on in while pads cool between snubs, and the longest that is, s. */
const HOLD = 5;
const LONGEST_HOLD = 90;
const ROLL = 15;

/**
 * A bedding run: medium applications until rotor and pad of every axle are warm together, hard snubs until the film is
 * there, each begun only when the pads will not come over their band, then rolling until the rotors are cool. How many
 * there are follows from what the brakes come to.
 * @throws ScheduleError for no axle, a snub that runs backwards, hard ones slower than the warm-up
 */
export function beddingSchedule(recipe: BeddingRecipe): Schedule {
  const { ambient, axles, counts, hard } = recipe;
  if (axles.length === 0) throw new ScheduleError('axles', 0, 'at least one');
  assertPositive(recipe.acceleration, 'acceleration', 'm/s²');
  assertPositive(recipe.rollOut.speed, 'speed of the roll-out', 'm/s');
  // Both are built once here, so that a wrong one is told of before anything is driven.
  brakeFor(recipe.warmUp, recipe, LEG['warm-up']);
  if (hard) {
    brakeFor(hard, recipe, LEG.snubs);
    const { from } = recipe.warmUp;
    if (hard.from < from)
      throw new ScheduleError('hard snubs from', hard.from, `the ${from} m/s of the warm-up or more`);
  }
  return {
    ambient,
    sided: false,
    samples: 0,
    legs: (['out', 'hot', 'cool'] as const).map((kind) => ({ session: 0, kind })),
    *pieces(): Generator<Piece, void, Outcome> {
      const ready = yield* warmUp(recipe);
      if (hard && (ready || counts.snubs !== null)) yield* snubs(recipe, hard);
      yield* rollOut(recipe);
    },
  };
}

const brakeFor = ({ from, to, deceleration }: Snub, { ambient }: BeddingRecipe, leg: number): Piece =>
  stopPiece({ from, to, ask: { deceleration }, ambient, leg, engineEngaged: true });

const readings = ({ axles }: BeddingRecipe, { of }: Outcome) =>
  axles.map((own) => ({ own, is: of(wheelOf(own.axle, 'left')) }));

/** Back to a snub's speed, and a while at it. */
function* backTo(snub: Snub, recipe: BeddingRecipe, leg: number): Generator<Piece, Outcome, Outcome> {
  const { from, to } = snub;
  const { acceleration, ambient, pause } = recipe;
  let outcome = yield givenPiece(rollSteps(to, from, (from - to) / acceleration), ambient, leg);
  if (pause > 0) outcome = yield givenPiece(rollSteps(from, from, pause), ambient, leg);
  return outcome;
}

/** @returns whether rotors and pads are in their band together, or as many were driven as typed */
function* warmUp(recipe: BeddingRecipe): Generator<Piece, boolean, Outcome> {
  const leg = LEG['warm-up'];
  const typed = recipe.counts.warmUps;
  let before = recipe.ambient;
  for (let k = 0; k < (typed ?? MOST); k++) {
    yield brakeFor(recipe.warmUp, recipe, leg);
    const after = readings(recipe, yield* backTo(recipe.warmUp, recipe, leg));
    if (typed !== null) continue;
    const cold = after.filter(({ own, is }) => Math.min(is.padFace, is.rotorBulk) < own.warm[0]);
    if (cold.length === 0) return true;
    // One axle would be past its bedding before the other is warm.
    if (after.some(({ own, is }) => is.padFace > own.bed[1])) return false;
    const coldest = Math.min(...after.map(({ is }) => Math.min(is.padFace, is.rotorBulk)));
    if (coldest - before < STALLED) return false;
    before = coldest;
  }
  return typed !== null;
}

function* snubs(recipe: BeddingRecipe, hard: Snub): Generator<Piece, void, Outcome> {
  const { ambient, counts, bedded } = recipe;
  const leg = LEG.snubs;
  if (hard.from > recipe.warmUp.from) {
    const { from } = recipe.warmUp;
    yield givenPiece(rollSteps(from, hard.from, (hard.from - from) / recipe.acceleration), ambient, leg);
  }
  let before: readonly number[] = recipe.axles.map(() => ambient);
  let peaks: readonly number[] = before;
  const typed = counts.snubs;
  const wanted = typed ?? MOST;
  for (let k = 0; k < wanted; k++) {
    const done = yield brakeFor(hard, recipe, leg);
    const stopped = readings(recipe, done);
    const last = peaks;
    peaks = stopped.map(({ is }) => is.padPeak);
    // Bedded, or so cold that it will not be.
    const over = ({ own, is }: (typeof stopped)[number], i: number) =>
      is.bedded >= bedded || (is.padPeak < own.bed[0] && peaks[i] - last[i] < STALLED);
    if (k === wanted - 1 || (typed === null && stopped.every(over))) return;
    const rise = stopped.map(({ is }, i) => is.padPeak - before[i]);
    let outcome = yield* backTo(hard, recipe, leg);
    const tooHot = () =>
      readings(recipe, outcome).some(({ own, is }, i) => k > 0 && is.padFace + rise[i] > own.bed[1]);
    for (let held = 0; typed === null && held < LONGEST_HOLD && tooHot(); held += HOLD) {
      outcome = yield givenPiece(rollSteps(hard.from, hard.from, HOLD), ambient, leg);
    }
    before = readings(recipe, outcome).map(({ is }) => is.padFace);
  }
}

function* rollOut(recipe: BeddingRecipe): Generator<Piece, void, Outcome> {
  const { ambient, hard, warmUp: warm } = recipe;
  const { speed, until, longest } = recipe.rollOut;
  const leg = LEG['roll-out'];
  const from = (hard ?? warm).to;
  let outcome = yield givenPiece(rollSteps(from, speed, ROLL), ambient, leg);
  for (let time: number = ROLL; time < longest; time += ROLL) {
    if (readings(recipe, outcome).every(({ is }) => is.rotorBulk <= until)) return;
    outcome = yield givenPiece(rollSteps(speed, speed, ROLL), ambient, leg);
  }
}
