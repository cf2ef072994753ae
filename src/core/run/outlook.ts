import type { DayInput, Leg, SessionPlan } from '../schedule';
import { leanDay } from './day';
import { type ForcePart, isCold, type LimitedPart } from './limits';
import type { DayResult, Margin } from './result';

/** Most hot laps looked ahead. */
const LOOK_AHEAD = 40;
const MOST_COOL_LAPS = 8;
/** Longest paddock time considered, s. */
const LONGEST_STAND = 4 * 3600;

/** How long each part lasts when hot laps follow each other without end. */
export interface PartOutlook {
  /** null for what is the whole car's: pedal force and travel */
  readonly axle: Margin['axle'] | null;
  readonly side: Margin['side'];
  readonly part: LimitedPart | ForcePart;
  /** Hot laps finished before the limit is passed; null when it is not within the laps looked ahead */
  readonly lapsUntil: number | null;
  /** What it comes to in them, K; N for pedal force, m for travel */
  readonly settles: number;
  /** In the same unit */
  readonly limit: number;
}

/** How long a session can go on, and what brings the brakes back. */
export interface Outlook {
  readonly laps: number;
  readonly parts: readonly PartOutlook[];
  /** Hot laps in a row with every limit kept; null when all of those looked ahead are */
  readonly stint: number | null;
  /** Hot laps that are wanted again after cooling down */
  readonly again: number;
  /** Cool-down laps after such a stint until as many hot laps keep every limit again; null when 8 do not bring them */
  readonly coolDownLaps: number | null;
  /** Least time standing after a session before it can be driven again with every limit kept that it keeps now, s; null when 4 hours do not do */
  readonly leastPaddock: number | null;
}

/**
 * Looks ahead from a session of a day: what lasts how long in hot laps without end, how many before a cool-down lap, how
 * many of those bring them back, and the least paddock time.
 * @param session from 0; the sessions before it are driven as planned
 * @param stop asked between computations; true ends them with an error
 * @throws Error "cancelled"
 */
export function outlook(input: DayInput, session: number, stop: () => boolean = () => false): Outlook {
  const own = input.sessions[session];
  const hotPace = paceOf(own, 'hot', 1);
  const coolPace = paceOf(own, 'cool', 0.4);
  const out = own.legs[0].kind === 'out' ? [own.legs[0]] : [];
  // Films of air are taken at the day's first air, whichever sessions of it are driven.
  const air: SessionPlan = { ...input.sessions[0], legs: [] };
  /** Drives sessions with brakes as they are at the beginning. */
  const drive = (start: DayInput['start'], ...sessions: readonly SessionPlan[]): DayResult => {
    if (stop()) throw new Error('cancelled');
    return leanDay({ ...input, start, sessions: [air, ...sessions] });
  };
  const before = input.sessions.slice(0, session);
  // The brakes bring along all that counts, so that what lies before is driven once.
  const begun = before.length > 0 ? drive(input.start, ...before).end : input.start;
  const hot = (laps: number): Leg => ({ kind: 'hot', laps, pace: hotPace });
  const cool = (laps: number): Leg => ({ kind: 'cool', laps, pace: coolPace });
  const withLegs = (...legs: readonly Leg[]): SessionPlan => ({ ...own, legs });

  const endless = drive(begun, withLegs(...out, hot(LOOK_AHEAD)));
  const first = endless.laps.findIndex((lap) => lap.kind === 'hot');
  const parts = limitsOf(endless).map((margin): PartOutlook => {
    const { part, limit, worst, passed } = margin;
    const lap = passed?.lap ?? null;
    const lapsUntil = !passed ? null : lap === null ? LOOK_AHEAD : Math.max(0, lap - 1 - first);
    const where = 'axle' in margin ? margin : { axle: null, side: 'both' as const };
    return { axle: where.axle, side: where.side, part, limit, lapsUntil, settles: worst };
  });
  const limited = parts.map((part) => part.lapsUntil).filter((laps) => laps !== null);
  const stint = limited.length === 0 ? null : Math.min(...limited);
  const again = stint === null ? 0 : Math.max(1, Math.min(3, stint));

  const keeps = (result: DayResult) => limitsOf(result).every((limit) => !limit.passed);

  let coolDownLaps: number | null = null;
  if (stint !== null && stint > 0) {
    const hottest = drive(begun, withLegs(...out, hot(stint)));
    for (let k = 1; k <= MOST_COOL_LAPS && coolDownLaps === null && keeps(hottest); k++) {
      if (keeps(drive(hottest.end, withLegs(cool(k), hot(again))))) coolDownLaps = k;
    }
  }
  return {
    laps: LOOK_AHEAD,
    parts,
    stint,
    again,
    coolDownLaps,
    leastPaddock: stint === 0 ? null : leastPaddock(),
  };

  function leastPaddock(): number | null {
    const driven = own.legs.filter((leg, i) => 'laps' in leg || i < own.legs.length - 1);
    // Only as many hot laps as keep the limits the first time: what fails anyway says nothing of the pause.
    const legs = driven.map((leg) =>
      leg.kind === 'hot' && stint !== null && 'laps' in leg
        ? { ...leg, laps: Math.min(leg.laps, stint) }
        : leg,
    );
    const once = drive(begun, { ...own, legs });
    if (!keeps(once)) return null;
    const good = (duration: number) => {
      const pause: Leg = { kind: 'paddock', duration, fan: 0 };
      return keeps(drive(once.end, { ...own, legs: [pause] }, { ...own, legs }));
    };
    if (!good(LONGEST_STAND)) return null;
    let [low, high] = [0, LONGEST_STAND];
    if (good(60)) return 60;
    while (high - low > 60) {
      const middle = 0.5 * (low + high);
      if (good(middle)) high = middle;
      else low = middle;
    }
    return Math.ceil(high / 60) * 60;
  }
}

/** What can give out: every hot limit, the foot's and the pedal's. */
function limitsOf({ margins, forceMargins }: DayResult) {
  return [...margins.filter((margin) => !isCold(margin)), ...forceMargins];
}

function paceOf(session: SessionPlan, kind: 'hot' | 'cool', otherwise: number): number {
  for (const leg of session.legs) if (leg.kind === kind && 'pace' in leg) return leg.pace;
  return otherwise;
}
