import type { AxleName, WheelName } from '../brake';
import type { LapTrace } from '../lap';
import type { LapKind, LegKind } from './dayInput';
import { assertPositive, assertSpeed, ScheduleError } from './faults';
import type { Steps } from './steps';

/** How a stop is asked for: a deceleration to hold, m/s², or all that the tyres and a pedal force, N, allow. */
export type Ask = { readonly deceleration: number } | { readonly atMost: number };

/** The lap that a piece is. */
export interface LapPiece {
  readonly kind: LapKind;
  /** Counted from 0 */
  readonly session: number;
  readonly trace: LapTrace;
  /** Grip of the track over that of a dry one, 0 to 1 */
  readonly trackGrip: number;
}

interface PieceBase {
  /** Air temperature, K */
  readonly ambient: number;
  /** Leg of the schedule it belongs to */
  readonly leg: number;
}

/** Driving or standing that is known beforehand. */
export interface GivenPiece extends PieceBase {
  readonly kind: 'given';
  readonly steps: Steps;
  /** Clicks on the driver's balance control at each braking zone; missing ones are 0 */
  readonly clicks: readonly number[];
  readonly lap: LapPiece | null;
  /** Axle of which each wheel makes all heat of the demand by itself, as on a bench; left out, all four share it */
  readonly alone?: AxleName;
}

/** A braking on a straight level road whose speed follows from what the brakes can do. */
export interface StopPiece extends PieceBase {
  readonly kind: 'stop';
  /** m/s */
  readonly from: number;
  /** m/s, below `from` */
  readonly to: number;
  readonly ask: Ask;
  /** Share of the tyres' grip the driver uses, 0 to 1 */
  readonly gripUsed: number;
  /** Share of the braked tyres that are there, 0 to 1: half where one diagonal has failed */
  readonly tyres: number;
  readonly engineEngaged: boolean;
}

/** What a schedule is made of: it says speed, demand and air over time, and knows no brakes. */
export type Piece = GivenPiece | StopPiece;

/** What held a braking back at its hardest. */
export type HeldBy = 'asked' | 'tyres' | 'pedal' | 'travel';

/** What a piece left of one wheel's brake; K. */
export interface BrakeReading {
  /** At its end */
  readonly padFace: number;
  readonly rotorFace: number;
  readonly rotorBulk: number;
  /** Highest in it */
  readonly padPeak: number;
  readonly rotorPeak: number;
  /** Share of pads and faces that is bedded, 0 to 1 */
  readonly bedded: number;
  /** Whether the fluid of its caliper or hose came to its boiling point in it */
  readonly boiled: boolean;
}

/** How a stop went whose speed followed from the brakes. */
export interface Braked {
  /** Mean fully developed, m/s² */
  readonly meanDeceleration: number;
  readonly heldBy: HeldBy;
}

/** What came of a piece, so that a schedule can answer it. */
export interface Outcome {
  /** Least braking that was available in each of its stops, N */
  readonly available: readonly number[];
  /** s */
  readonly duration: number;
  /** null for a piece that was known beforehand */
  readonly stop: Braked | null;
  /** Of a wheel's brake, as somebody who measures it would be told */
  readonly of: (wheel: WheelName) => BrakeReading;
}

/** A leg of a schedule. */
export interface LegPlan {
  readonly session: number;
  readonly kind: LegKind;
}

/**
 * What is driven, piece by piece. A schedule is a value: its pieces can be asked for again and again, and each may
 * depend on what came of the ones before.
 */
export interface Schedule {
  /** Air when it begins, K */
  readonly ambient: number;
  /** Whether a wheel may brake otherwise than the other of its axle */
  readonly sided: boolean;
  /** Steps it will take where all is driven as planned; it may take more */
  readonly samples: number;
  readonly legs: readonly LegPlan[];
  readonly pieces: () => Iterator<Piece, void, Outcome>;
}

/** Standing or rolling in some air. @param ambient K @param leg of the day, from 0 */
export const givenPiece = (steps: Steps, ambient: number, leg = 0): GivenPiece => ({
  kind: 'given',
  steps,
  ambient,
  leg,
  clicks: [],
  lap: null,
});

/**
 * A stop from one speed to a lower one, m/s, held at a deceleration, m/s², or as hard as a pedal force, N, and the tyres
 * allow; in air of `ambient`, K.
 * @throws ScheduleError for one that runs backwards, or asks for infinite deceleration
 */
export function stopPiece(
  stop: Pick<StopPiece, 'from' | 'to' | 'ask' | 'ambient'> & Partial<StopPiece>,
): StopPiece {
  assertSpeed(stop.from, 'speed braked from');
  assertSpeed(stop.to, 'speed braked to');
  if (!(stop.to < stop.from)) {
    throw new ScheduleError('speed braked to', stop.to, `less than the ${stop.from} m/s braked from`);
  }
  if ('deceleration' in stop.ask) assertPositive(stop.ask.deceleration, 'deceleration', 'm/s²');
  else assertPositive(stop.ask.atMost, 'pedal force', 'N');
  return { leg: 0, gripUsed: 1, tyres: 1, engineEngaged: false, ...stop, kind: 'stop' };
}

/** A schedule of pieces that are known beforehand, all in one leg. */
export function listedSchedule(pieces: readonly Piece[]): Schedule {
  if (pieces.length === 0) throw new ScheduleError('pieces', 0, 'at least one');
  return {
    ambient: pieces[0].ambient,
    sided: false,
    samples: pieces.reduce((sum, piece) => sum + (piece.kind === 'given' ? piece.steps.dt.length : 0), 0),
    legs: [{ session: 0, kind: 'hot' }],
    pieces: () => pieces[Symbol.iterator]() as Iterator<Piece, void, Outcome>,
  };
}
