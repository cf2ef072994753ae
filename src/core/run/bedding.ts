import { AXLES, type AxleName, type CarState, wheelOf } from '../brake';
import {
  BEDDING_PHASES,
  type BeddingPhase,
  type BeddingRecipe,
  beddingSchedule,
  type HeldBy,
  type Start,
} from '../schedule';
import type { Observer } from './observer';
import type { ProcedureCar } from './procedures';
import type { EnergyAudit } from './result';
import { run } from './run';

/** One thing to do in a bedding run. Temperatures in K, of the left wheels. */
export interface BeddingStep {
  readonly phase: BeddingPhase;
  /** An application of the brakes, or rolling without them */
  readonly does: 'brake' | 'roll';
  /** m/s */
  readonly from: number;
  readonly to: number;
  /** s */
  readonly duration: number;
  /** m */
  readonly distance: number;
  /** What held an application below its target; `asked` where nothing did, null rolling */
  readonly heldBy: HeldBy | null;
  /** At its end, and the pad's highest in it */
  readonly at: Readonly<Record<AxleName, BeddingReading>>;
}
export interface BeddingReading {
  readonly padFace: number;
  readonly padPeak: number;
  readonly rotorBulk: number;
  /** Share of pads and faces that is bedded, 0 to 1 */
  readonly bedded: number;
}

/** Why pads are not bedded by a run, and of which axle. */
export type BeddingObstacle =
  /** Rotor or pad never came into the warm-up's band; K */
  | {
      readonly kind: 'stays cold';
      readonly axle: AxleName;
      readonly reached: number;
      readonly needed: number;
    }
  /** In the snubs the pads never came into their band; K */
  | {
      readonly kind: 'pads stay cold';
      readonly axle: AxleName;
      readonly reached: number;
      readonly needed: number;
    }
  /** One axle would be over its band before the other is warm; K */
  | { readonly kind: 'too hot'; readonly axle: AxleName; readonly reached: number; readonly needed: number }
  /** The film was not finished; share, 0 to 1 */
  | {
      readonly kind: 'not bedded';
      readonly axle: AxleName;
      readonly reached: number;
      readonly needed: number;
    };

/** What a run does that it should not. */
export type BeddingWarning =
  /** Hard braking on a rotor under the warm-up's band: the pads smear on it; K */
  | {
      readonly kind: 'smear';
      readonly axle: AxleName;
      readonly rotor: number;
      readonly pad: number;
      readonly needed: number;
    }
  /** Pads over their bedding band; K */
  | {
      readonly kind: 'over the band';
      readonly axle: AxleName;
      readonly reached: number;
      readonly needed: number;
    }
  /** Tyres, foot or pedal travel did not reach the target */
  | { readonly kind: 'held'; readonly by: HeldBy };

/** A bedding run as this car drives it. n samples. */
export interface BeddingPlan {
  readonly steps: readonly BeddingStep[];
  readonly warmUps: number;
  readonly snubs: number;
  /** Null where pads and rotors end bedded */
  readonly obstacle: BeddingObstacle | null;
  readonly warnings: readonly BeddingWarning[];
  /** s */
  readonly time: Float32Array;
  /** K; n */
  readonly curves: Readonly<
    Record<AxleName, Readonly<Record<'padFace' | 'rotorFace' | 'rotorBulk', Float32Array>>>
  >;
  /** s and m, with the roll-out */
  readonly duration: number;
  readonly distance: number;
  readonly audit: EnergyAudit;
  /** The brakes afterwards */
  readonly state: CarState;
}

/**
 * Drives a bedding run with a car's brakes: what to do one after the other, and what comes of it.
 * @param car SI
 * @param start temperature of every part, K, or the state of each brake
 * @throws ScheduleError for a recipe that cannot be driven; NeverStops where the brakes do not slow the car
 */
export function beddingPlan(car: ProcedureCar, recipe: BeddingRecipe, start: Start): BeddingPlan {
  const steps: BeddingStep[] = [];
  const each = <T>(of: (axle: AxleName) => T) =>
    Object.fromEntries(AXLES.map((axle) => [axle, of(axle)])) as Record<AxleName, T>;
  const after: Observer['after'] = ({ piece, stop, first, count, duration }, { wheels }) => {
    const last = first + count - 1;
    const given = piece.kind === 'given';
    steps.push({
      phase: BEDDING_PHASES[piece.leg],
      does: given ? 'roll' : 'brake',
      from: given ? piece.steps.speed[0] : piece.from,
      to: given ? piece.steps.speed[piece.steps.speed.length - 1] : piece.to,
      duration,
      distance: given ? piece.steps.distance[piece.steps.distance.length - 1] : (stop?.distance ?? 0),
      heldBy: stop?.heldBy ?? null,
      at: each((axle) => {
        const wheel = wheels[wheelOf(axle, 'left')];
        let padPeak = 0;
        for (let k = first; k <= last; k++) padPeak = Math.max(padPeak, wheel.padFace[k]);
        return {
          padFace: wheel.padFace[last],
          padPeak,
          rotorBulk: wheel.rotorBulk[last],
          bedded: wheel.bedded[last],
        };
      }),
    });
  };
  const { record, state, audit } = run(car, car, beddingSchedule(recipe), start, [{ after }]);
  const braked = (phase: BeddingPhase) =>
    steps.filter((step) => step.phase === phase && step.does === 'brake');
  return {
    steps,
    warmUps: braked('warm-up').length,
    snubs: braked('snubs').length,
    obstacle: obstacleOf(steps, recipe),
    warnings: warningsOf(steps, recipe),
    time: Float32Array.from(record.time),
    curves: each((axle) => {
      const { padFace, rotorFace, rotorBulk } = record.wheels[wheelOf(axle, 'left')];
      return {
        padFace: Float32Array.from(padFace),
        rotorFace: Float32Array.from(rotorFace),
        rotorBulk: Float32Array.from(rotorBulk),
      };
    }),
    duration: steps.reduce((sum, step) => sum + step.duration, 0),
    distance: steps.reduce((sum, step) => sum + step.distance, 0),
    audit,
    state,
  };
}

/** What kept it from its end; the axle that is farthest from it. */
function obstacleOf(steps: readonly BeddingStep[], recipe: BeddingRecipe): BeddingObstacle | null {
  const last = (phase: BeddingPhase) => steps.findLast((step) => step.phase === phase);
  const warm = last('warm-up');
  const found: { readonly obstacle: BeddingObstacle; readonly short: number }[] = [];
  for (const { axle, warm: band, bed } of recipe.axles) {
    const cold = warm ? Math.min(warm.at[axle].padFace, warm.at[axle].rotorBulk) : recipe.ambient;
    if (cold < band[0]) {
      const obstacle: BeddingObstacle = { kind: 'stays cold', axle, reached: cold, needed: band[0] };
      found.push({ obstacle, short: 2 + (band[0] - cold) });
      continue;
    }
    const before = warm?.at[axle].padFace ?? 0;
    if (recipe.counts.warmUps === null && before > bed[1]) {
      found.push({ obstacle: { kind: 'too hot', axle, reached: before, needed: bed[1] }, short: 1 });
    }
    if (!recipe.hard) continue;
    const snubs = steps.filter((step) => step.phase === 'snubs' && step.does === 'brake');
    const bedded = snubs.at(-1)?.at[axle].bedded ?? 0;
    if (bedded >= recipe.bedded) continue;
    const peak = snubs.reduce((most, step) => Math.max(most, step.at[axle].padPeak), 0);
    const obstacle: BeddingObstacle =
      snubs.length > 0 && peak < bed[0]
        ? { kind: 'pads stay cold', axle, reached: peak, needed: bed[0] }
        : { kind: 'not bedded', axle, reached: bedded, needed: recipe.bedded };
    found.push({ obstacle, short: 1 - bedded });
  }
  if (found.length === 0) return null;
  return found.reduce((worst, own) => (own.short > worst.short ? own : worst)).obstacle;
}

function warningsOf(steps: readonly BeddingStep[], recipe: BeddingRecipe): BeddingWarning[] {
  const warnings: BeddingWarning[] = [];
  const first = steps.findIndex((step) => step.phase === 'snubs' && step.does === 'brake');
  for (const { axle, warm, bed } of recipe.axles) {
    if (first >= 0) {
      const before = steps[first - 1]?.at[axle];
      const rotor = before?.rotorBulk ?? recipe.ambient;
      const { padPeak } = steps[first].at[axle];
      if (rotor < warm[0] && padPeak > warm[0]) {
        warnings.push({ kind: 'smear', axle, rotor, pad: padPeak, needed: warm[0] });
      }
    }
    const reached = steps.reduce((most, step) => Math.max(most, step.at[axle].padPeak), 0);
    if (reached > bed[1]) warnings.push({ kind: 'over the band', axle, reached, needed: bed[1] });
  }
  const held = steps.find((step) => step.heldBy !== null && step.heldBy !== 'asked');
  if (held?.heldBy) warnings.push({ kind: 'held', by: held.heldBy });
  return warnings;
}
