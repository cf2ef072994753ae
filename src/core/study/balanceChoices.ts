import { clicksFor, nominalShare, withShare } from '../actuation';
import { type BalanceSweep, balanceSweep, type DayResult, leanDay, type SweepPoint } from '../run';
import type { DayInput, SessionPlan } from '../schedule';
import { type ZoneShares, zoneShares } from './evenShares';
import { leastMargin } from './least';

/** A day with one way of setting the balance. */
export interface BalanceChoice {
  readonly kind: 'now' | 'grip' | 'even';
  /** Brake balance with warm pads at no clicks, 0 to 1 */
  readonly share: number;
  /** Clicks at each braking zone of the lap, where the car has a control for it */
  readonly clicks: readonly number[] | null;
  /** Fewest kelvin left on each axle, and the least brake reserve; null where nothing is braked hot */
  readonly front: number;
  readonly rear: number;
  readonly fade: number | null;
  /** Hot stops at which the rear is nearer to locking, of all */
  readonly rearFirst: number;
  readonly hotZones: number;
}

export interface BalanceChoices {
  readonly sweep: BalanceSweep;
  readonly choices: readonly BalanceChoice[];
  /** Braking zones of the last hot lap as the day is now; empty without one */
  readonly zones: readonly (ZoneShares & { readonly name: string })[];
  readonly lap: number | null;
  /** Whether the driver can set the balance zone by zone */
  readonly control: boolean;
}

/**
 * The balance that would use both axles' tyres alike against the one that would heat both alike: zone by zone, and what
 * the day leaves with each, K. A car with a driver's control takes clicks at every zone, another one share for all.
 * @throws RangeError as `simulateDay`
 */
export function balanceChoices(input: DayInput): BalanceChoices {
  const sweep = balanceSweep(input);
  const now = leanDay(input);
  const hot = now.laps.filter((lap) => lap.kind === 'hot');
  const lap = hot[hot.length - 1];
  if (!lap)
    return { sweep, choices: [choiceOf('now', sweep.now, null, now)], zones: [], lap: null, control: false };
  const session: SessionPlan = input.sessions[lap.session];
  const shares = zoneShares(input, lap, session.ambient);
  const zones = shares.map((zone, k) => ({ ...zone, name: lap.trace.zones[k].name }));
  const { brakes } = input.vehicle;
  const control = brakes.cylinders.kind === 'pair' && brakes.cylinders.click > 0;
  const bounded = (share: number) => Math.min(0.97, Math.max(0.03, share));
  const clicked = (kind: 'grip' | 'even') => {
    let driven = { clicks: shares.map((_, k) => input.clicks[k] ?? 0), shares, day: now };
    // Other clicks heat the pads otherwise, so that they want other clicks: until they ask for what is set.
    for (let turn = 0; turn < MOST_TURNS; turn++) {
      const clicks = driven.shares.map((zone, k) => {
        const set = driven.clicks[k];
        const wanted = zone[kind] ?? zone.actual;
        const towards = kind === 'grip' ? 'front' : 'nearest';
        const more = set + clicksFor(brakes, bounded(zone.actual), bounded(wanted), set, towards);
        return Math.min(30, Math.max(-30, more));
      });
      if (clicks.every((count, k) => count === driven.clicks[k])) break;
      const day = leanDay({ ...input, clicks });
      const last = day.laps.filter(({ kind: which }) => which === 'hot').at(-1);
      if (last?.trace.zones.length !== clicks.length) break;
      driven = { clicks, shares: zoneShares(input, last, session.ambient), day };
    }
    return choiceOf(kind, nominalShare(brakes), driven.clicks, driven.day);
  };
  const shared = (kind: 'grip' | 'even', wanted: number) => {
    const vehicle = { ...input.vehicle, brakes: withShare(brakes, bounded(wanted)) };
    return choiceOf(kind, bounded(wanted), null, leanDay({ ...input, vehicle }));
  };
  // Where the day never evens out within the sweep, the share that comes nearest.
  const nearest = sweep.points.reduce((a, b) => (apart(b) < apart(a) ? b : a)).share;
  return {
    sweep,
    zones,
    lap: lap.number,
    control,
    choices: [
      choiceOf('now', sweep.now, control ? shares.map((_, k) => input.clicks[k] ?? 0) : null, now),
      control ? clicked('grip') : shared('grip', sweep.ideal),
      control ? clicked('even') : shared('even', sweep.even ?? nearest),
    ],
  };
}

/** Most days simulated for one choice of clicks. */
const MOST_TURNS = 8;

const apart = ({ margin }: SweepPoint) => Math.abs(margin.front.share - margin.rear.share);

function choiceOf(
  kind: BalanceChoice['kind'],
  share: number,
  clicks: readonly number[] | null,
  result: DayResult,
): BalanceChoice {
  const forces = result.laps.filter((lap) => lap.kind === 'hot').flatMap((lap) => lap.forces);
  return {
    kind,
    share,
    clicks,
    front: leastMargin(result, 'front').margin,
    rear: leastMargin(result, 'rear').margin,
    fade: result.fade?.margin ?? null,
    rearFirst: forces.filter((force) => force.locksFirst === 'rear').length,
    hotZones: forces.length,
  };
}
