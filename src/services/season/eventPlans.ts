import type { Project, Season, SeasonEvent, SetPlace } from '../../model';
import { boilingNeededC, type FluidReason, fluidState, reasonsToRenew } from '../keep/fluid';
import { setupOfPlanned } from '../keep/loads';
import type { Allocation } from './allocate';
import { loadKey, type PlannedSession, type SeasonLoads } from './sessions';

/** An event as it is to go: what it takes, which sets, what it costs. */
export interface EventPlan {
  readonly id: string;
  readonly event: SeasonEvent;
  /** Hottest rotor core and fluid of its sessions, °C; null where no load is known */
  readonly rotorC: number | null;
  readonly fluidC: number | null;
  /** Share of its life that a set of each place loses in it, median */
  readonly shares: Readonly<Partial<Record<SetPlace, number>>>;
  /** Why the fluid is to be renewed before it */
  readonly fluid: readonly FluidReason[];
  /** Entry, travel, and what sets lose in it */
  readonly cost: { readonly entry: number; readonly travel: number; readonly wear: number };
}

/** What each event takes, which fluid it asks for, what it costs. */
export function eventPlans(
  project: Project,
  season: Season,
  sessions: readonly PlannedSession[],
  allocations: readonly Allocation[],
  { loads, today }: { readonly loads: SeasonLoads; readonly today: string },
): EventPlan[] {
  const car = project.cars.find(({ id }) => id === season.carId);
  const state = car ? fluidState(project, car, today) : null;
  const ids = [...new Set(sessions.map(({ eventId }) => eventId))];
  let renewed = false;
  return ids.map((id): EventPlan => {
    const own = sessions.flatMap((planned, j) => (planned.eventId === id ? [{ planned, j }] : []));
    const { event } = own[0].planned;
    const found = own.flatMap(({ planned }) => loads.get(loadKey(planned, 'front pads', null)) ?? []);
    const most = (of: 'rotorC' | 'fluidC') =>
      found.length === 0
        ? null
        : Math.max(...found.flatMap((load) => Object.values(load).map((wheel) => wheel[of])));
    const hottest = own.reduce((a, b) => (fluidOf(loads, b.planned) > fluidOf(loads, a.planned) ? b : a));
    const load = loads.get(loadKey(hottest.planned, 'front pads', null));
    const setup = setupOfPlanned(project, season, event, hottest.planned.session, {});
    const neededC = load && setup ? boilingNeededC(setup, load) : null;
    const reasons =
      state && !renewed
        ? reasonsToRenew(state, { date: event.date, school: season.rules.fluid, neededC })
        : [];
    // Renewed for one event, it is new for those soon after; the calendar of the next ones is the log's.
    if (reasons.length > 0 && season.rules.fluid !== 'each event') renewed = true;
    const wear = allocations.reduce((sum, { problem, assignment }) => {
      const cost = own.reduce((part, { j }) => {
        const s = assignment[j];
        return s < 0 ? part : part + problem.sets[s].price * problem.share[s][j];
      }, 0);
      return sum + cost;
    }, 0);
    return {
      id,
      event,
      rotorC: most('rotorC'),
      fluidC: most('fluidC'),
      shares: Object.fromEntries(
        allocations.map(({ problem, assignment }) => [
          problem.place,
          own.reduce((sum, { j }) => sum + (problem.share[Math.max(0, assignment[j])]?.[j] ?? 0), 0),
        ]),
      ),
      fluid: reasons,
      cost: { entry: event.entry, travel: event.travel, wear },
    };
  });
}

const fluidOf = (loads: SeasonLoads, planned: PlannedSession): number => {
  const load = loads.get(loadKey(planned, 'front pads', null));
  return load ? Math.max(...Object.values(load).map(({ fluidC }) => fluidC)) : 0;
};
