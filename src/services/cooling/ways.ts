import {
  AXLES,
  type AxleName,
  type CoolingNeed,
  coldestBite,
  type DayInput,
  type DayResult,
  type DaySummary,
  keepsAll,
  type Leg,
  leanDay,
  leastForDuct,
  leastMargin,
  type SessionPlan,
} from '../../core';
import {
  type Change,
  changePrice,
  dayInput,
  fromSi,
  type Project,
  type Setup,
  shelfOf,
  withChanges,
} from '../../model';
import { type Assessed, tryOut } from '../compare/assess';
import { checksOf, fits } from '../compare/compatibility';
import { isGood, type NoWay, type Way, type WayKind } from './way';

/** A driven day, whole or summed up. */
type Driven = Pick<DaySummary, 'margins' | 'forceMargins' | 'drivingTime'> & {
  readonly laps: readonly Pick<DaySummary['laps'][number], 'kind' | 'lapTime'>[];
};

const NOTHING = {
  changes: [],
  price: 0,
  least: null,
  gain: 0,
  stint: 0,
  cool: 0,
  pace: 1,
  perLap: 0,
  perDay: 0,
  tooCold: [],
  checks: [],
  why: null,
  swapped: false,
} as const;
const MOST_IRON = 2.2;
const MOST_COOL = 3;

/**
 * Ways to keep a margin at every limit over the planned day, each with as little of it as does. Cars are changed only
 * where the margin is missing.
 * @param wish K
 * @param need of the same setup and wish
 * @throws RangeError as `simulateDay`
 */
export function waysToKeep(project: Project, setup: Setup, wish: number, need: CoolingNeed): Way[] {
  return new WayFinder(project, setup, wish, need).all();
}

const none = (kind: WayKind, why: NoWay): Way => ({ ...NOTHING, kind, state: 'none', why });

/** Tries every kind of way on one setup. */
class WayFinder {
  private readonly input: DayInput;
  private readonly base: Assessed;
  /** Axles that miss the margin, and those of them with discs */
  private readonly short: readonly AxleName[];
  private readonly discs: readonly AxleName[];

  constructor(
    private readonly project: Project,
    private readonly setup: Setup,
    private readonly wish: number,
    private readonly need: CoolingNeed,
  ) {
    this.input = dayInput(setup);
    this.base = tryOut(setup);
    this.short = AXLES.filter((axle) => leastForDuct(this.base.summary, axle).margin < wish);
    this.discs = this.short.filter((axle) => !setup.car[axle].drum);
  }

  all(): Way[] {
    if (this.short.length === 0) return [];
    return [this.ducts(), this.vanes(), this.iron(), this.pads(), this.coolDowns(), this.pace()];
  }

  private drive(changes: readonly Change[]): Assessed {
    return tryOut(withChanges(this.setup, changes));
  }

  private rate(kind: WayKind, result: Driven, rest: Partial<Way>): Way {
    const { summary } = this.base;
    return {
      ...NOTHING,
      kind,
      state: keepsAll(result, this.wish - 1) ? 'holds' : 'short',
      least: leastMargin(result),
      gain: leastMargin(result).margin - leastMargin(summary).margin,
      perLap: hotLap(result) - hotLap(summary),
      perDay: result.drivingTime - summary.drivingTime,
      tooCold: AXLES.filter((axle) => (coldestBite(result, axle)?.margin ?? 1) < 0),
      ...rest,
    };
  }

  private priceOf(changes: readonly Change[]): number {
    return changes.reduce((sum, change) => sum + changePrice(this.project, change, this.setup.car), 0);
  }

  /** A way that changes the car. */
  private fitted(kind: WayKind, changes: readonly Change[], driven = this.drive(changes)): Way {
    const checks = checksOf(this.setup, changes, this.base, driven).filter((check) => check.state !== 'yes');
    return this.rate(kind, driven.summary, { changes, price: this.priceOf(changes), checks });
  }

  private ducts(): Way {
    const changes = AXLES.filter((axle) => this.need[axle].area > 0).flatMap((axle): Change[] => [
      ...(this.setup.car[axle].blankedOffPercent > 0 ? [{ kind: 'tape', axle, percent: 0 } as const] : []),
      {
        kind: 'duct',
        axle,
        areaCm2: Math.min(300, Math.ceil(10 * fromSi(this.need[axle].area, 'area')) / 10),
      },
    ]);
    if (changes.length === 0) return none('ducts', 'no-duct');
    return this.fitted('ducts', changes);
  }

  private vanes(): Way {
    const changes = this.discs
      .filter(
        (axle) =>
          this.setup.car[axle].rotor.vaneGapMm > 0 && this.setup.car[axle].rotor.vaneType !== 'curved',
      )
      .map((axle): Change => ({ kind: 'vanes', axle, vaneType: 'curved' }));
    if (changes.length === 0) return none('vanes', 'pump-already');
    const way = this.fitted('vanes', changes);
    const swapped = changes.every(
      (change) => 'axle' in change && this.setup.car[change.axle].rotor.vaneType === 'curved-reversed',
    );
    return swapped ? { ...way, price: 0, swapped } : way;
  }

  private iron(): Way {
    if (this.discs.length === 0) return none('rotor', 'drums');
    const thicker = (factor: number) =>
      this.discs.map((axle): Change => {
        const { thicknessMm, vaneGapMm } = this.setup.car[axle].rotor;
        const thickness = vaneGapMm + (thicknessMm - vaneGapMm) * factor;
        return { kind: 'thickness', axle, thicknessMm: Math.min(60, Math.round(10 * thickness) / 10) };
      });
    let [low, high] = [1, MOST_IRON];
    let found = thicker(high);
    let result = this.drive(found);
    while (keepsAll(result.summary, this.wish) && high - low > 0.02) {
      const middle = 0.5 * (low + high);
      const tried = thicker(middle);
      const driven = this.drive(tried);
      if (keepsAll(driven.summary, this.wish)) [high, found, result] = [middle, tried, driven];
      else low = middle;
    }
    return this.fitted('rotor', found, result);
  }

  /** The cheapest pad that does on all axles that are this.short; else the one that comes nearest. */
  private pads(): Way {
    const choices = shelfOf('pad', this.setup.parts)
      .map((part) => this.short.map((axle): Change => ({ kind: 'part', part: part.id, axle })))
      .filter((changes) => fits(this.setup, changes).state !== 'no')
      .sort((a, b) => this.priceOf(a) - this.priceOf(b));
    let best: Way | null = null;
    for (const changes of choices) {
      const way = this.fitted('pad', changes);
      if (isGood(way)) return way;
      if (!best || better(way, best)) best = way;
    }
    return best ?? none('pad', 'no-pad');
  }

  private coolDowns(): Way {
    if (!this.base.summary.laps.some((lap) => lap.kind === 'hot')) return none('cool-downs', 'no-hot-laps');
    const longest = Math.max(
      ...this.input.sessions.flatMap(({ legs }) =>
        legs.map((leg) => (leg.kind === 'hot' && 'laps' in leg ? leg.laps : 0)),
      ),
    );
    let last: DayResult | null = null;
    for (let cool = 1; cool <= MOST_COOL; cool++) {
      let [low, high] = [0, longest];
      let found: DayResult | null = null;
      while (high - low > 1) {
        const stint = Math.ceil(0.5 * (low + high));
        const driven = leanDay({
          ...this.input,
          sessions: this.input.sessions.map((s) => split(s, stint, cool)),
        });
        last = driven;
        if (keepsAll(driven, this.wish)) [low, found] = [stint, driven];
        else high = stint;
      }
      if (found) return this.rate('cool-downs', found, { stint: low, cool });
    }
    return last
      ? this.rate('cool-downs', last, { stint: 1, cool: MOST_COOL })
      : none('cool-downs', 'one-hot-lap');
  }

  private pace(): Way {
    const slower = (factor: number) =>
      leanDay({
        ...this.input,
        sessions: this.input.sessions.map((session) => ({
          ...session,
          legs: session.legs.map((leg) =>
            leg.kind === 'hot' && 'pace' in leg ? { ...leg, pace: leg.pace * factor } : leg,
          ),
        })),
      });
    let [low, high] = [0.5, 1];
    let result = slower(low);
    if (!keepsAll(result, this.wish)) return this.rate('pace', result, { pace: low });
    while (high - low > 0.005) {
      const middle = 0.5 * (low + high);
      const driven = slower(middle);
      if (keepsAll(driven, this.wish)) [low, result] = [middle, driven];
      else high = middle;
    }
    return this.rate('pace', result, { pace: low });
  }
}

const better = (a: Way, b: Way) =>
  (a.state === 'holds') === (b.state === 'holds')
    ? (a.least?.margin ?? 0) > (b.least?.margin ?? 0)
    : a.state === 'holds';

const hotLap = ({ laps }: Driven) => (laps.find((lap) => lap.kind === 'hot') ?? laps[0]).lapTime;

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
      Number(isGood(b)) - Number(isGood(a)) ||
      a.tooCold.length - b.tooCold.length ||
      a.price - b.price ||
      a.perDay - b.perDay,
  );
}
