import {
  AXLES,
  type AxleName,
  type CoolingNeed,
  coldestBite,
  type DayResult,
  keepsAll,
  type Leg,
  leastMargin,
  type Margin,
  type SessionPlan,
  simulateDay,
} from '../core';
import {
  type Change,
  changePrice,
  dayInput,
  type Project,
  type Setup,
  shelfOf,
  withChanges,
} from '../project';
import { fits } from './compatibility';

export type WayKind = 'ducts' | 'vanes' | 'rotor' | 'pad' | 'cool-downs' | 'pace';

/** One way of keeping a margin over the planned day. */
export interface Way {
  readonly kind: WayKind;
  /** `holds`: the wish is kept; `short`: even the most of it is not enough; `none`: there is nothing of it to change */
  readonly state: 'holds' | 'short' | 'none';
  /** What is changed about the car */
  readonly changes: readonly Change[];
  readonly price: number;
  /** Limit with the fewest kelvin left with it; null where nothing was driven */
  readonly least: Margin | null;
  /** Hot laps between cool-down laps, and how many of those; for `cool-downs` */
  readonly stint: number;
  readonly cool: number;
  /** Pace, share of the planned hot laps’; for `pace` */
  readonly pace: number;
  /** What it costs on a hot lap, s, and over the day's driving, s */
  readonly perLap: number;
  readonly perDay: number;
  /** Axles whose pads are too cold at some braking point */
  readonly tooCold: readonly AxleName[];
  /** Why there is nothing to change, or what is odd about it */
  readonly note: string;
}

const NOTHING = {
  changes: [],
  price: 0,
  least: null,
  stint: 0,
  cool: 0,
  pace: 1,
  perLap: 0,
  perDay: 0,
  tooCold: [],
  note: '',
} as const;
const MOST_IRON = 2.2;
const MOST_COOL = 3;

/**
 * Ways to keep a margin at every limit over the planned day, each with as little of it as does. Cars are changed only
 * where the margin is missing.
 * @param need of the same setup and wish
 */
export function waysToKeep(project: Project, setup: Setup, wish: number, need: CoolingNeed): Way[] {
  const input = dayInput(setup);
  const base = simulateDay(input);
  const short = AXLES.filter((axle) => leastMargin(base, axle).margin < wish);
  const bare = { lap: hotLap(base), day: base.drivingTime };
  const drive = (changes: readonly Change[]) => simulateDay(dayInput(withChanges(setup, changes)));
  const rate = (kind: WayKind, result: DayResult, rest: Partial<Way>): Way => ({
    ...NOTHING,
    kind,
    state: keepsAll(result, wish - 1) ? 'holds' : 'short',
    least: leastMargin(result),
    perLap: hotLap(result) - bare.lap,
    perDay: result.drivingTime - bare.day,
    tooCold: AXLES.filter((axle) => (coldestBite(result, axle)?.margin ?? 1) < 0),
    ...rest,
  });
  const priced = (changes: readonly Change[]) => ({
    changes,
    price: changes.reduce((sum, change) => sum + changePrice(project, change, setup.car), 0),
  });
  const none = (kind: WayKind, note: string): Way => ({ ...NOTHING, kind, state: 'none', note });
  const discs = short.filter((axle) => !setup.car[axle].drum);
  if (short.length === 0) return [];
  return [ducts(), vanes(), iron(), pads(), coolDowns(base.laps.some((lap) => lap.kind === 'hot')), pace()];

  function ducts(): Way {
    const changes = AXLES.filter((axle) => need[axle].area > 0).flatMap((axle): Change[] => [
      ...(setup.car[axle].tapePercent > 0 ? [{ kind: 'tape', axle, percent: 0 } as const] : []),
      { kind: 'duct', axle, areaCm2: Math.min(300, Math.ceil(need[axle].area * 1e5) / 10) },
    ]);
    if (changes.length === 0) return none('ducts', 'no duct is asked for');
    return rate('ducts', drive(changes), priced(changes));
  }

  function vanes(): Way {
    const changes = discs
      .filter((axle) => setup.car[axle].rotor.vaneGapMm > 0 && setup.car[axle].rotor.vaneType !== 'curved')
      .map((axle): Change => ({ kind: 'vanes', axle, vaneType: 'curved' }));
    if (changes.length === 0) return none('vanes', 'the rotors are solid, or pump as much as any already');
    const wrong = changes.some(
      (change) => 'axle' in change && setup.car[change.axle].rotor.vaneType === 'curved-reversed',
    );
    return rate('vanes', drive(changes), {
      ...priced(changes),
      ...(wrong && { price: 0, note: 'rotors swapped left and right' }),
    });
  }

  function iron(): Way {
    if (discs.length === 0) return none('rotor', 'drums are as they are');
    const thicker = (factor: number) =>
      discs.map((axle): Change => {
        const { thicknessMm, vaneGapMm } = setup.car[axle].rotor;
        const thickness = vaneGapMm + (thicknessMm - vaneGapMm) * factor;
        return { kind: 'thickness', axle, thicknessMm: Math.min(60, Math.round(10 * thickness) / 10) };
      });
    const note = (changes: readonly Change[]) => {
      const { state, text } = fits(setup, changes, {});
      return state === 'yes' ? '' : text;
    };
    let [low, high] = [1, MOST_IRON];
    let found = thicker(high);
    let result = drive(found);
    if (!keepsAll(result, wish)) return rate('rotor', result, { ...priced(found), note: note(found) });
    while (high - low > 0.02) {
      const middle = 0.5 * (low + high);
      const tried = thicker(middle);
      const driven = drive(tried);
      if (keepsAll(driven, wish)) [high, found, result] = [middle, tried, driven];
      else low = middle;
    }
    return rate('rotor', result, { ...priced(found), note: note(found) });
  }

  /** The cheapest pad that does on all axles that are short; else the one that comes nearest. */
  function pads(): Way {
    const choices = shelfOf('pad', setup.parts)
      .map((part) => short.map((axle): Change => ({ kind: 'part', part: part.id, axle })))
      .filter((changes) => fits(setup, changes, {}).state !== 'no')
      .map((changes) => priced(changes))
      .sort((a, b) => a.price - b.price);
    let best: Way | null = null;
    for (const choice of choices) {
      const way = rate('pad', drive(choice.changes), choice);
      if (way.state === 'holds' && way.tooCold.length === 0) return way;
      if (!best || better(way, best)) best = way;
    }
    return best ?? none('pad', 'no pad of the shelf goes with these rotors');
  }

  function coolDowns(hot: boolean): Way {
    if (!hot) return none('cool-downs', 'no hot laps are planned');
    const longest = Math.max(
      ...input.sessions.flatMap(({ legs }) =>
        legs.map((leg) => (leg.kind === 'hot' && 'laps' in leg ? leg.laps : 0)),
      ),
    );
    let last: DayResult | null = null;
    for (let cool = 1; cool <= MOST_COOL; cool++) {
      let [low, high] = [0, longest];
      let found: DayResult | null = null;
      while (high - low > 1) {
        const stint = Math.ceil(0.5 * (low + high));
        const driven = simulateDay({ ...input, sessions: input.sessions.map((s) => split(s, stint, cool)) });
        last = driven;
        if (keepsAll(driven, wish)) [low, found] = [stint, driven];
        else high = stint;
      }
      if (found) return rate('cool-downs', found, { stint: low, cool });
    }
    return last
      ? rate('cool-downs', last, { stint: 1, cool: MOST_COOL })
      : none('cool-downs', 'one hot lap is planned');
  }

  function pace(): Way {
    const slower = (factor: number) =>
      simulateDay({
        ...input,
        sessions: input.sessions.map((session) => ({
          ...session,
          legs: session.legs.map((leg) =>
            leg.kind === 'hot' && 'pace' in leg ? { ...leg, pace: leg.pace * factor } : leg,
          ),
        })),
      });
    let [low, high] = [0.5, 1];
    let result = slower(low);
    if (!keepsAll(result, wish)) return rate('pace', result, { pace: low });
    while (high - low > 0.005) {
      const middle = 0.5 * (low + high);
      const driven = slower(middle);
      if (keepsAll(driven, wish)) [low, result] = [middle, driven];
      else high = middle;
    }
    return rate('pace', result, { pace: low });
  }
}

const better = (a: Way, b: Way) =>
  (a.state === 'holds') === (b.state === 'holds')
    ? (a.least?.margin ?? 0) > (b.least?.margin ?? 0)
    : a.state === 'holds';

const hotLap = ({ laps }: DayResult) => (laps.find((lap) => lap.kind === 'hot') ?? laps[0]).lapTime;

/** A session with cool-down laps after every so many hot ones, except after the last. */
function split(session: SessionPlan, stint: number, cool: number): SessionPlan {
  const coolLeg = session.legs.find((leg) => leg.kind === 'cool' && 'pace' in leg);
  const pace = coolLeg && 'pace' in coolLeg ? coolLeg.pace : 0.4;
  return {
    ...session,
    legs: session.legs.flatMap((leg): Leg[] => {
      if (leg.kind !== 'hot' || !('laps' in leg)) return [leg];
      const legs: Leg[] = [];
      for (let left = leg.laps; left > 0; left -= stint) {
        if (legs.length > 0) legs.push({ kind: 'cool', laps: cool, pace: Math.min(pace, leg.pace) });
        legs.push({ ...leg, laps: Math.min(stint, left) });
      }
      return legs;
    }),
  };
}

/** Ways that hold, the cheapest first in money, then in time; the others after them. */
export function rankedWays(ways: readonly Way[]): Way[] {
  const order = { holds: 0, short: 1, none: 2 };
  return [...ways].sort(
    (a, b) =>
      order[a.state] - order[b.state] ||
      a.tooCold.length - b.tooCold.length ||
      a.price - b.price ||
      a.perDay - b.perDay,
  );
}
