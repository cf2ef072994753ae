import type { Highs } from 'highs';
import {
  type Car,
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
} from '../../model';
import { newSetWear, type SetWear } from '../keep/wear';
import { capacityOf, lifeShare, lifeUsed } from '../keep/wearLeft';
import { type Allocation, allocate } from './allocate';
import { type EventPlan, eventPlans } from './eventPlans';
import { later, ordersOf, type ToOrder } from './orders';
import type { AllocationProblem, SetSupply } from './problem';
import { loadKey, type PlannedSession, type SeasonLoads, sessionsToCome } from './sessions';

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

/** Whether what wears are rings on bells that stay. */
const isRing = ({ kind, build }: PartSet) => kind === 'rotors' && build === 'ring on bell';

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
  const sessions = sessionsToCome(project, season, today);
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
  const ringPrice = (price * rules.ringPercent) / 100;
  // Bells that stay, whatever became of their rings.
  const bells = wear.filter(({ set }) => placeOf(set) === place && isRing(set)).length;
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
      price: isRing(own.set) ? ringPrice : price,
      used: lifeUsed(own),
      spread: spreadOf(own),
      from: 0,
      rings: isRing(own.set),
    })),
    ...buys.map((k) => ({
      id: `new ${k}`,
      name: `new ${k}`,
      owned: false,
      // A bell takes one new ring; sets beyond them are bought whole.
      price: k <= bells ? ringPrice : price,
      rings: k <= bells,
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
  const sessions = sessionsToCome(project, season, known.today);
  const allocations = SET_PLACES.flatMap((place): Allocation[] => {
    const problem = problemOf(project, season, place, known);
    return problem ? [allocate(highs, problem)] : [];
  });
  const events = eventPlans(project, season, sessions, allocations, known);
  return {
    sessions,
    allocations,
    events,
    orders: ordersOf(project, season, sessions, allocations, events),
  };
}
