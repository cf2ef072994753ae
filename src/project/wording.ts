import {
  type AxleName,
  type DayResult,
  type LimitedPart,
  type Margin,
  type Moment,
  type Side,
  ZERO_CELSIUS,
} from '../core';
import { formatQuantity, type UnitChoice } from './units';

/** What each judged part is called, and what passing its limit means. */
export const PART_WORDS: Readonly<
  Record<LimitedPart, { name: string; plural: boolean; limit: string; means: string }>
> = {
  rotorFace: {
    name: 'rotor faces',
    plural: true,
    limit: 'face limit',
    means: 'Heat checks grow into cracks, and the surface changes under the pad.',
  },
  rotorBulk: {
    name: 'rotors',
    plural: true,
    limit: 'bulk limit',
    means: 'The iron softens and scales; the ring can cone or crack.',
  },
  padFace: {
    name: 'pads',
    plural: true,
    limit: 'limit',
    means: 'Friction falls, the pedal needs more force, and the pad can glaze for good.',
  },
  plate: {
    name: 'pad plates',
    plural: true,
    limit: 'limit',
    means: 'The bond ages and much more heat goes on to pistons and fluid.',
  },
  seal: {
    name: 'caliper seals',
    plural: true,
    limit: 'rating',
    means: 'Seals harden, then weep or drag.',
  },
  fluid: {
    name: 'brake fluid',
    plural: false,
    limit: 'boiling point',
    means: 'Vapour forms once the pedal is released; the next push can go to the floor.',
  },
  hub: {
    name: 'wheel bearings',
    plural: true,
    limit: 'limit',
    means: 'Grease thins and runs out.',
  },
  bite: {
    name: 'pads',
    plural: true,
    limit: 'working window',
    means: 'Too cold at the braking point: the first push bites late.',
  },
};

/** "front", or "front left" where the sides differ. */
export const wheelWords = (axle: AxleName, side: Side | 'both') =>
  side === 'both' ? axle : `${axle} ${side}`;

export const celsius = (kelvin: number) => kelvin - ZERO_CELSIUS;

/** A temperature in K as text in the chosen unit. */
export function temperatureText(kelvin: number, units: UnitChoice): string {
  return formatQuantity(celsius(kelvin), 'temperature', units);
}

/** Seconds as minutes and seconds, "3:05". */
export function clockText(seconds: number): string {
  const whole = Math.round(seconds);
  return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`;
}

const severalSessions = (result: DayResult) => result.legs.some((leg) => leg.session > 0);

/** Where in a day a moment lies: "on lap 5 at stop 1 (Hammer)". */
export function momentText(moment: Moment, result: DayResult): string {
  const of = severalSessions(result) ? ` of session ${moment.session + 1}` : '';
  if (moment.lap === null) {
    const where = moment.stand === 'pit' ? 'into the pit stop' : 'after parking';
    const session = severalSessions(result) ? `, session ${moment.session + 1}` : '';
    return moment.standingTime > 0
      ? `${clockText(moment.standingTime)} min ${where}${session}`
      : `at the start${of}`;
  }
  const lap = result.laps[moment.lap - 1];
  const kind = lap.kind === 'hot' ? '' : lap.kind === 'out' ? ' (out lap)' : ' (cool-down)';
  if (moment.stop < 0) return `on lap ${lap.numberInSession}${kind}${of} before the first stop`;
  const name = lap.trace.stops[moment.stop]?.name;
  return `on lap ${lap.numberInSession}${kind}${of} at stop ${moment.stop + 1}${name ? ` (${name})` : ''}`;
}

/** What is left to a limit, or how far it was passed, as text. */
export function marginText(margin: Margin, units: UnitChoice): string {
  const amount = formatQuantity(Math.abs(margin.margin), 'difference', units);
  if (margin.part === 'bite')
    return margin.margin < 0 ? `${amount} too cold` : `${amount} above the window’s low end`;
  return margin.margin < 0 ? `${amount} over` : `${amount} left`;
}

export interface VerdictText {
  /** One word or two, never colour alone */
  readonly state: string;
  readonly sentence: string;
  /** Further sentences */
  readonly notes: readonly string[];
}

const laps = (n: number) => `${n} hot lap${n === 1 ? '' : 's'}`;

/** The verdict as sentences. A prediction is never called safe. */
export function verdictText(result: DayResult, units: UnitChoice): VerdictText {
  const { verdict } = result;
  const { margin } = verdict;
  const words = PART_WORDS[margin.part];
  const part = `${wheelWords(margin.axle, margin.side)} ${words.name}`;
  const limit = `${words.limit} of ${temperatureText(margin.limit, units)}`;
  const hot = result.laps.filter((lap) => lap.kind === 'hot').length;
  if (result.audit.supplied === 0) {
    return {
      state: 'Nothing braked',
      sentence: `No stop in ${laps(hot)}: the brakes stay as warm as the air.`,
      notes: [],
    };
  }
  const notes: string[] = [];
  if (verdict.coldBite && verdict.kind !== 'too-cold') {
    const cold = verdict.coldBite;
    notes.push(
      `Cold bite: ${momentText(cold.at, result)} the ${wheelWords(cold.axle, cold.side)} pads are at ${temperatureText(cold.worst, units)}, under their window from ${temperatureText(cold.limit, units)}; the first push there bites late.`,
    );
  }
  if (verdict.kind === 'too-cold') {
    return {
      state: 'Too cold',
      sentence: `The ${part} are too cold to bite ${momentText(margin.at, result)}: ${temperatureText(margin.worst, units)}, under their window from ${temperatureText(margin.limit, units)}.`,
      notes: [`${words.means} Nothing passes a limit for heat in ${laps(hot)}.`],
    };
  }
  const its = words.plural ? 'their' : 'its';
  if (margin.passed) {
    const done = verdict.hotLapsBefore ?? 0;
    const after = done === 0 ? 'before one hot lap is done' : `after ${laps(done)}`;
    return {
      state: 'Gives out',
      sentence: `The ${part} ${words.plural ? 'give' : 'gives'} out first: past ${its} ${limit} ${momentText(margin.passed, result)}, ${after}.`,
      notes: [
        `${words.means} Worst ${temperatureText(margin.worst, units)} ${momentText(margin.at, result)}.`,
        ...notes,
      ],
    };
  }
  const closest = `the ${part}, ${marginText(margin, units)} to ${its} ${limit} ${momentText(margin.at, result)}`;
  return verdict.kind === 'close'
    ? {
        state: 'Close',
        sentence: `Nothing passes a limit in ${laps(hot)}, but it is close: ${closest}.`,
        notes,
      }
    : { state: 'In hand', sentence: `Nothing passes a limit in ${laps(hot)}. Closest: ${closest}.`, notes };
}

/** Stands beside every verdict. */
export const UNCALIBRATED_NOTE =
  'Not calibrated on this car: cooling is uncertain by about ±30 %. A prediction is no proof that brakes will hold.';
