import { isUsable, type Project, partOf, partPrice, type Season, type SetPlace } from '../../model';
import type { Allocation } from './allocate';
import type { EventPlan } from './eventPlans';
import type { PlannedSession } from './sessions';

/** Something that must be ordered. */
export interface ToOrder {
  readonly what: SetPlace | 'brake fluid';
  /** Rings alone, for bells that stay */
  readonly rings: boolean;
  readonly price: number;
  /** Latest day of the order, and the first session it is for */
  readonly orderBy: string;
  readonly eventId: string;
  readonly date: string;
}

/** New fluid that a car is renewed with, cm³ (common practice: a litre for a whole system). */
const RENEWAL_CM3 = 1000;

/** A day some days after another. */
export const later = (date: string, days: number): string =>
  new Date(Date.parse(`${date}T12:00:00Z`) + days * 86_400_000).toISOString().slice(0, 10);

/** Sets that are bought, by the first session each serves. */
const setOrders = (
  season: Season,
  sessions: readonly PlannedSession[],
  { problem, bought }: Allocation,
): ToOrder[] =>
  bought.map(({ set, first }) => {
    const { event, eventId } = sessions[first];
    const { price, rings } = problem.sets[set];
    const orderBy = later(event.date, -season.rules.orderDays);
    return { what: problem.place, rings, price, orderBy, eventId, date: event.date };
  });

/** Fluid that is not on the shelf for the events before which it is renewed; what is left of opened bottles may be too old by then. */
function fluidOrders(project: Project, season: Season, events: readonly EventPlan[]): ToOrder[] {
  const car = project.cars.find(({ id }) => id === season.carId);
  if (!car) return [];
  const kind = car.fluid.kind;
  let taken = 0;
  return events.flatMap(({ id, event, fluid }): ToOrder[] => {
    if (fluid.length === 0) return [];
    const there = project.bottles
      .filter((bottle) => bottle.fluid === kind && isUsable(bottle, event.date))
      .reduce((sum, { leftCm3 }) => sum + leftCm3, 0);
    if (there - taken >= RENEWAL_CM3) {
      taken += RENEWAL_CM3;
      return [];
    }
    return [
      {
        what: 'brake fluid',
        rings: false,
        price: partPrice(project, partOf(kind, project.parts)),
        orderBy: later(event.date, -season.rules.orderDays),
        eventId: id,
        date: event.date,
      },
    ];
  });
}

/** All that a season needs and is not there, by the day it must be ordered. */
export const ordersOf = (
  project: Project,
  season: Season,
  sessions: readonly PlannedSession[],
  allocations: readonly Allocation[],
  events: readonly EventPlan[],
): ToOrder[] =>
  [
    ...allocations.flatMap((own) => setOrders(season, sessions, own)),
    ...fluidOrders(project, season, events),
  ].sort((a, b) => (a.orderBy < b.orderBy ? -1 : a.orderBy > b.orderBy ? 1 : 0));
