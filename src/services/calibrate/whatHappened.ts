import {
  AXLES,
  type AxleName,
  type DayInput,
  type DayResult,
  HOT_LIMITS,
  type HotPart,
  NINETY_FIVE,
  normalProbability,
  type RecordedPart,
  SIDES,
  wheelOf,
} from '../../core';
import { dayInput, type Setup, type Symptom } from '../../model';
import type { Outcome } from './nextReadings';

/** What may be behind a symptom. */
const CAUSES = [
  'boiled fluid',
  'faded pads',
  'glazed pads',
  'knock-back',
  'air in the fluid',
  'worn pads',
  'leak',
  'master cylinder',
  'booster',
  'cold pads',
  'deposits',
  'warped or loose rotor',
  'seized slide',
  'uneven sides',
  'cracked rotor',
  'plate on rotor',
  'overheated rotor',
  'new parts bedding',
  'low fluid',
  'sensor',
] as const;
export type Cause = (typeof CAUSES)[number];

/** Temperature that a cause needs, and how usual it is among a symptom's causes before anything is known of the drive. */
interface Weighed {
  readonly cause: Cause;
  readonly usual: number;
  readonly needs?: HotPart;
}

/** How usual each cause is (common practice; weights are our own). */
const BEHIND: Readonly<Record<Symptom, readonly Weighed[]>> = {
  'long pedal': [
    { cause: 'boiled fluid', usual: 4, needs: 'fluid' },
    { cause: 'knock-back', usual: 2 },
    { cause: 'air in the fluid', usual: 2 },
    { cause: 'worn pads', usual: 1 },
    { cause: 'leak', usual: 1 },
  ],
  'spongy pedal': [
    { cause: 'boiled fluid', usual: 3, needs: 'fluid' },
    { cause: 'air in the fluid', usual: 4 },
    { cause: 'new parts bedding', usual: 1 },
    { cause: 'leak', usual: 1 },
  ],
  'hard pedal': [
    { cause: 'faded pads', usual: 4, needs: 'padFace' },
    { cause: 'glazed pads', usual: 2, needs: 'padFace' },
    { cause: 'cold pads', usual: 2 },
    { cause: 'booster', usual: 1 },
  ],
  'sinking pedal': [
    { cause: 'leak', usual: 3 },
    { cause: 'master cylinder', usual: 3 },
    { cause: 'boiled fluid', usual: 1, needs: 'fluid' },
  ],
  vibration: [
    { cause: 'deposits', usual: 4, needs: 'padFace' },
    { cause: 'warped or loose rotor', usual: 2 },
    { cause: 'cracked rotor', usual: 1, needs: 'rotorFace' },
  ],
  pulling: [
    { cause: 'seized slide', usual: 3 },
    { cause: 'uneven sides', usual: 2 },
    { cause: 'leak', usual: 1 },
    { cause: 'faded pads', usual: 1, needs: 'padFace' },
  ],
  noise: [
    { cause: 'worn pads', usual: 2 },
    { cause: 'plate on rotor', usual: 2 },
    { cause: 'warped or loose rotor', usual: 2 },
    { cause: 'cracked rotor', usual: 1, needs: 'rotorFace' },
  ],
  smell: [
    { cause: 'new parts bedding', usual: 2 },
    { cause: 'faded pads', usual: 3, needs: 'padFace' },
    { cause: 'seized slide', usual: 2 },
    { cause: 'leak', usual: 1 },
  ],
  glow: [
    { cause: 'overheated rotor', usual: 4, needs: 'rotorBulk' },
    { cause: 'seized slide', usual: 1 },
  ],
  'warning lamp': [
    { cause: 'low fluid', usual: 3 },
    { cause: 'worn pads', usual: 2 },
    { cause: 'leak', usual: 2 },
    { cause: 'sensor', usual: 1 },
  ],
};

/** What the drive's own temperatures say of a cause. */
export interface Evidence {
  readonly axle: AxleName;
  readonly part: HotPart;
  /** Hottest until it happened, one standard deviation of it, and the limit; K */
  readonly value: number;
  readonly spread: number;
  readonly limit: number;
  /** Chance that it was over its limit by then, 0 to 1 */
  readonly chance: number;
}

export interface RankedCause {
  readonly cause: Cause;
  readonly evidence: Evidence | null;
  /** Share of the symptom's causes, 0 to 1, this drive's temperatures weighed in */
  readonly weight: number;
}

/** How far the hottest of a part is uncertain over the whole day, one standard deviation, K. */
export type Spread = Pick<Outcome, 'axle' | 'part' | 'spread'>;
/** Parts as uncertain as another. */
const SAME_HEAT: Readonly<Partial<Record<HotPart, HotPart>>> = { rotorFace: 'rotorBulk', fluidWall: 'fluid' };

/** A cause that needs heat which was not there counts this little of what is usual. */
const COLD = 0.04;
/** A cause that needs heat and had it counts this much more. */
const HOT = 3;
/** Boiling points and limits of pads are not sharper than this, K (own estimate). */
const BLUNT = 8;

/**
 * Causes of a symptom, the likeliest first, with what this drive's temperatures say of each.
 * @param lap on which it happened, from 1; null when it is not known: the whole drive counts
 * @param spreads of the hottest parts with all that is uncertain; left out, cooling's doubt alone
 */
export function whatHappened(
  symptom: Symptom,
  lap: number | null,
  setup: Setup,
  result: DayResult,
  spreads: readonly Spread[] = [],
): RankedCause[] {
  const day = dayInput(setup);
  const weighed = BEHIND[symptom].map(({ cause, usual, needs }) => {
    const evidence = needs ? evidenceOf(needs, lap, day, result, spreads) : null;
    const factor = evidence ? COLD + (HOT - COLD) * evidence.chance : 1;
    return { cause, evidence, weight: usual * factor };
  });
  const all = weighed.reduce((sum, { weight }) => sum + weight, 0);
  return weighed.map((own) => ({ ...own, weight: own.weight / all })).sort((a, b) => b.weight - a.weight);
}

/** The axle at which a part was closest to its limit by the end of a lap. */
function evidenceOf(
  part: HotPart,
  lap: number | null,
  day: DayInput,
  result: DayResult,
  spreads: readonly Spread[],
): Evidence {
  const entry = HOT_LIMITS.find((own) => own.part === part) as (typeof HOT_LIMITS)[number];
  const own = AXLES.map((axle): Evidence => {
    const limit = entry.limit(day[axle].left, day[axle]);
    const value = hottestBy(result, axle, entry.reads, lap);
    const margin = result.margins.find((m) => m.axle === axle && m.part === part);
    const known = spreads.find((one) => one.axle === axle && one.part === (SAME_HEAT[part] ?? part));
    // Else cooling's doubt alone, as the day has it.
    const cooling =
      margin?.lessCooling === null || margin === undefined
        ? 0
        : Math.abs(margin.margin - margin.lessCooling) / NINETY_FIVE;
    const doubt = known?.spread ?? cooling;
    const { ambient } = day.sessions[0];
    // In proportion to how far it had warmed by then.
    const whole = Math.max(1, (margin?.worst ?? value) - ambient);
    const spread = Math.hypot((doubt * Math.max(0, value - ambient)) / whole, BLUNT);
    return { axle, part, value, spread, limit, chance: normalProbability((value - limit) / spread) };
  });
  return own.reduce((a, b) => (b.chance > a.chance ? b : a));
}

function hottestBy(
  { record }: DayResult,
  axle: AxleName,
  parts: readonly RecordedPart[],
  lap: number | null,
): number {
  let most = 0;
  for (const side of SIDES) {
    const wheel = record.wheels[wheelOf(axle, side)];
    for (let i = 0; i < record.time.length; i++) {
      if (lap !== null && record.lap[i] >= lap) break;
      for (const part of parts) if (wheel[part][i] > most) most = wheel[part][i];
    }
  }
  return most;
}
