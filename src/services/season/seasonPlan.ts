import type { Highs } from 'highs';
import {
  type Car,
  type EventSession,
  type FittedSets,
  madeRotorPrice,
  type PartSet,
  type Project,
  partOf,
  partPrice,
  placeOf,
  SET_PLACES,
  type Season,
  type SeasonEvent,
  type SetPlace,
  type Setup,
  type StoredLoad,
} from '../../model';
import { boilingNeededC, type FluidReason, fluidState, reasonsToRenew } from '../keep/fluid';
import { setupOfPlanned } from '../keep/loads';
import { capacityOf, lifeShare, lifeUsed, newSetWear, type SetWear } from '../keep/wear';
import { type Allocation, allocate } from './allocate';
import type { AllocationProblem, SetSupply } from './problem';

/** A session of the season, with its event. */
export interface PlannedSession {
  readonly eventId: string;
  readonly event: SeasonEvent;
  readonly sessionId: string;
  readonly session: EventSession;
  /** Index of its event in the order of days */
  readonly at: number;
}

/** Events of a season by day. */
export const eventsOf = ({
  events,
}: Season): readonly { readonly id: string; readonly event: SeasonEvent }[] =>
  Object.entries(events)
    .map(([id, event]) => ({ id, event }))
    .sort((a, b) =>
      a.event.date < b.event.date ? -1 : a.event.date > b.event.date ? 1 : a.id < b.id ? -1 : 1,
    );

/** Sessions still to come, in the order driven. @param today as 2027-05-01 */
export const sessionsToCome = (season: Season, today: string): readonly PlannedSession[] =>
  eventsOf(season)
    .filter(({ event }) => event.date >= today)
    .flatMap(({ id, event }, at) =>
      Object.entries(event.sessions)
        .sort(([, a], [, b]) => a.n - b.n)
        .map(([sessionId, session]) => ({ eventId: id, event, sessionId, session, at })),
    );

/** A day that must be driven to know what sessions take: with the parts of which set, or of the car as it is. */
export interface LoadQuestion {
  readonly key: string;
  readonly setup: Setup;
}

/** Parts that sets of a place are, each once; null for the car's own. */
const partsAt = (sets: readonly PartSet[], place: SetPlace): (string | null)[] => [
  ...new Set(sets.filter((set) => placeOf(set) === place && set.retiredOn === null).map(({ part }) => part)),
];

/** What names a session's load with the parts of one set on the car; sessions that are driven alike share it. */
const loadKey = ({ event, session }: PlannedSession, place: SetPlace, part: string | null): string =>
  [event.circuitId, session.hotLaps, session.airC, part === null ? '' : `${place} ${part}`].join('|');

/** Days to be driven before a season can be planned, each once. */
export function loadQuestions(project: Project, season: Season, today: string): readonly LoadQuestion[] {
  const sets = project.sets.filter(({ carId }) => carId === season.carId);
  const found = new Map<string, Setup>();
  for (const planned of sessionsToCome(season, today)) {
    for (const place of SET_PLACES) {
      for (const part of [null, ...partsAt(sets, place)]) {
        const key = loadKey(planned, place, part);
        if (found.has(key)) continue;
        const set = sets.find((own) => placeOf(own) === place && own.part === part);
        const fitted: FittedSets = part !== null && set ? { [place]: set.id } : {};
        const setup = setupOfPlanned(project, season, planned.event, planned.session, fitted);
        if (setup) found.set(key, setup);
      }
    }
  }
  return [...found].map(([key, setup]) => ({ key, setup }));
}

/** What each question's day takes, by its key. */
export type SeasonLoads = ReadonlyMap<string, StoredLoad>;

/** Sets that could be bought, as far as they are ever needed at once. */
const MOST_BOUGHT = 12;

/** Usual price of a new set, where the season gives none. */
export function priceOfPlace(project: Project, car: Car, season: Season, place: SetPlace): number {
  const own = season.rules.prices[place];
  if (own !== undefined) return own;
  const axle = place.startsWith('front') ? 'front' : 'rear';
  return place.endsWith('pads')
    ? partPrice(project, partOf(car[axle].pad, project.parts))
    : madeRotorPrice(project);
}

const later = (date: string, days: number): string =>
  new Date(Date.parse(`${date}T12:00:00Z`) + days * 86_400_000).toISOString().slice(0, 10);

/** What the choice of sets at one place depends on; null where nothing is to come or no load is known. */
export function problemOf(
  project: Project,
  season: Season,
  place: SetPlace,
  {
    loads,
    wear,
    today,
  }: { readonly loads: SeasonLoads; readonly wear: readonly SetWear[]; readonly today: string },
): AllocationProblem | null {
  const car = project.cars.find(({ id }) => id === season.carId);
  const sessions = sessionsToCome(season, today);
  if (!car || sessions.length === 0) return null;
  const { rules } = season;
  const owned = wear.filter(({ set }) => placeOf(set) === place && set.retiredOn === null);
  const made = newSetWear(car, place, wear);
  const loadsOf = (own: SetWear) =>
    sessions.map(
      (planned) =>
        loads.get(loadKey(planned, place, own.set.part)) ?? loads.get(loadKey(planned, place, null)),
    );
  const shares = (own: SetWear) =>
    loadsOf(own).map((load) => (load ? lifeShare(own, load).share : Number.NaN));
  const spreadOf = (own: SetWear) => {
    const known = loadsOf(own).find((load) => load !== undefined);
    return known ? lifeShare(own, known).spread : 0;
  };
  const price = priceOfPlace(project, car, season, place);
  const bought = shares(made);
  if (bought.some(Number.isNaN)) return null;
  const all = bought.reduce((sum, share) => sum + share, 0);
  const room = capacityOf(spreadOf(made), rules.confidencePercent);
  const wantsFresh = ({ event }: PlannedSession, j: number) =>
    event.fresh.includes(place) && isLast(sessions, j);
  const fresh = sessions.filter(wantsFresh).length;
  const count = Math.min(MOST_BOUGHT, Math.ceil(all / room) + fresh + 1);
  const here = sessions.findIndex(({ event }) => event.date >= later(today, rules.orderDays));
  const buys = Array.from({ length: count }, (_, k) => k + 1);
  const sets: SetSupply[] = [
    ...owned.map((own) => ({
      id: own.set.id,
      name: own.set.name,
      owned: true,
      // What its life is worth is what a new one costs, not what was paid.
      price,
      used: lifeUsed(own),
      spread: spreadOf(own),
      from: 0,
    })),
    ...buys.map((k) => ({
      id: `new ${k}`,
      name: `new ${k}`,
      owned: false,
      price,
      used: 0,
      spread: spreadOf(made),
      from: here < 0 ? sessions.length : here,
    })),
  ];
  return {
    place,
    sets,
    sessions: sessions.map((planned, j) => ({
      id: `${planned.eventId}/${planned.sessionId}`,
      event: planned.at,
      kind: planned.session.kind,
      fresh: wantsFresh(planned, j),
    })),
    mostSets: eventsToCome(sessions).map(({ mostSets }) => mostSets),
    share: [...owned.map(shares), ...buys.map(() => bought)],
    rules: {
      confidence: rules.confidencePercent / 100,
      riskCost: rules.riskCost,
      changeCost: rules.changeCost,
      valueLeft: rules.valueLeftPercent / 100,
    },
  };
}

const isLast = (sessions: readonly PlannedSession[], j: number) => sessions[j + 1]?.at !== sessions[j].at;
const eventsToCome = (sessions: readonly PlannedSession[]): SeasonEvent[] =>
  sessions.filter((_, j) => isLast(sessions, j)).map(({ event }) => event);

/** Something that must be ordered. */
export interface ToOrder {
  readonly place: SetPlace;
  readonly price: number;
  /** Latest day of the order, and the first session it is for */
  readonly orderBy: string;
  readonly eventId: string;
  readonly date: string;
}

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

/** A season planned: sets for every session, what to order, what each event costs. */
export interface SeasonPlan {
  readonly sessions: readonly PlannedSession[];
  readonly allocations: readonly Allocation[];
  readonly events: readonly EventPlan[];
  readonly orders: readonly ToOrder[];
}

/** Spreads a car's sets over the sessions to come, place by place: they do not depend on each other. */
export function planSeason(
  highs: Highs,
  project: Project,
  season: Season,
  known: { readonly loads: SeasonLoads; readonly wear: readonly SetWear[]; readonly today: string },
): SeasonPlan {
  const sessions = sessionsToCome(season, known.today);
  const allocations = SET_PLACES.flatMap((place): Allocation[] => {
    const problem = problemOf(project, season, place, known);
    return problem ? [allocate(highs, problem)] : [];
  });
  return {
    sessions,
    allocations,
    events: eventPlans(project, season, sessions, allocations, known),
    orders: allocations
      .flatMap(({ problem, bought }) =>
        bought.map(({ set, first }): ToOrder => {
          const { event, eventId } = sessions[first];
          return {
            place: problem.place,
            price: problem.sets[set].price,
            orderBy: later(event.date, -season.rules.orderDays),
            eventId,
            date: event.date,
          };
        }),
      )
      .sort((a, b) => (a.orderBy < b.orderBy ? -1 : 1)),
  };
}

function eventPlans(
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
