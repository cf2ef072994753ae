import { addDays, format, parseISO } from 'date-fns';
import { createEvents, type EventAttributes } from 'ics';
import { METRIC, type Project, SET_PLACES, type Season } from '../model';
import type { Allocation, SeasonPlan } from '../services';
import { fluidReasonText, orderText, PLACE_TEXT, REASON_TEXT, SESSION_KIND_TEXT } from '../text/en';
import { say } from '../text/en/say/keep';

const SEASON_FORMAT = 'fervent-kettle-season-plan';

const nine = (value: number) => Number(value.toPrecision(9));
const setName = ({ problem }: Allocation, s: number) => (s < 0 ? null : problem.sets[s].name);

/** A season's plan as JSON: what each event takes, which set serves which session and why, what to order. */
export function seasonDocument(project: Project, season: Season, plan: SeasonPlan, today: string): object {
  const { sessions, allocations, events, orders } = plan;
  return {
    format: SEASON_FORMAT,
    version: 1,
    season: season.name,
    car: project.cars.find(({ id }) => id === season.carId)?.name ?? season.carId,
    today,
    currency: project.currency,
    events: events.map(({ id, event, rotorC, fluidC, shares, fluid, cost }) => ({
      id,
      name: event.name,
      date: event.date,
      circuit: project.circuits.find((circuit) => circuit.id === event.circuitId)?.name ?? event.circuitId,
      rotorC: rotorC === null ? null : nine(rotorC),
      fluidC: fluidC === null ? null : nine(fluidC),
      lifeShares: Object.fromEntries(Object.entries(shares).map(([place, share]) => [place, nine(share)])),
      renewFluid: fluid.map((reason) => fluidReasonText(reason, METRIC)),
      cost: { entry: cost.entry, travel: cost.travel, wear: nine(cost.wear) },
      sessions: sessions.flatMap((planned, j) =>
        planned.eventId === id
          ? [
              {
                name: planned.session.name,
                kind: planned.session.kind,
                sets: Object.fromEntries(
                  allocations.map((own) => {
                    const choice = own.choices[j];
                    return [
                      own.problem.place,
                      {
                        set: setName(own, choice.set),
                        reason: choice.reason,
                        usedAfter: nine(choice.usedAfter),
                        wornOutChance: nine(choice.worn),
                        alternative:
                          choice.alternative === null
                            ? null
                            : {
                                set: setName(own, choice.alternative.set),
                                more: nine(choice.alternative.more),
                              },
                      },
                    ];
                  }),
                ),
              },
            ]
          : [],
      ),
    })),
    places: allocations.map(({ problem, cost, proven, within, missing }) => ({
      place: problem.place,
      cost: nine(cost.total),
      proven,
      within: Number.isFinite(within) ? nine(within) : null,
      missing: missing.map((j) => problem.sessions[j].id),
    })),
    orders: orders.map((order) => ({ ...order, price: nine(order.price) })),
  };
}

const field = (text: string | number) => {
  const plain = String(text);
  return /[",\n;]/.test(plain) ? `"${plain.replaceAll('"', '""')}"` : plain;
};

/** The same as a table: one row a session. */
export function seasonCsv(project: Project, { sessions, allocations }: SeasonPlan): string {
  const head = [
    'Date',
    'Event',
    'Circuit',
    'Session',
    'Kind',
    'Hot laps',
    ...SET_PLACES.map((place) => PLACE_TEXT[place]),
  ];
  const rows = sessions.map(({ event, session }, j) => [
    event.date,
    event.name,
    project.circuits.find(({ id }) => id === event.circuitId)?.name ?? '',
    session.name,
    SESSION_KIND_TEXT[session.kind],
    session.hotLaps,
    ...SET_PLACES.map((place) => {
      const own = allocations.find(({ problem }) => problem.place === place);
      return own ? (setName(own, own.choices[j].set) ?? REASON_TEXT.missing) : '';
    }),
  ]);
  return [head, ...rows].map((row) => `${row.map(field).join(',')}\r\n`).join('');
}

/** What the package takes besides what its types tell: when the entry was written. */
type Item = EventAttributes & { readonly timestamp: number };

/** A day, and the one after some days, as the package wants them: the end is no longer part of it. */
const daysFrom = (date: string, days: number) => {
  const [start, end] = [parseISO(date), addDays(parseISO(date), days)].map(
    (day) => format(day, 'yyyy-M-d').split('-').map(Number) as [number, number, number],
  );
  return { start, end };
};

/** Sets of an event in a line each: “Front pads: FP-3; race FP-4”. */
function setsOfEvent(plan: SeasonPlan, eventId: string): string[] {
  return plan.allocations.map((own) => {
    const served = plan.sessions.flatMap((planned, j) =>
      planned.eventId === eventId
        ? [{ name: planned.session.name, set: setName(own, own.choices[j].set) ?? REASON_TEXT.missing }]
        : [],
    );
    const names = [...new Set(served.map(({ set }) => set))];
    const text = names.length === 1 ? names[0] : served.map(({ name, set }) => `${name} ${set}`).join(', ');
    return `${PLACE_TEXT[own.problem.place]}: ${text}`;
  });
}

/**
 * The season as a calendar file (RFC 5545): events with their sets, days by which to order, fluid to renew.
 * @throws Error naming what the calendar package refuses
 */
export function seasonCalendar(project: Project, season: Season, plan: SeasonPlan): string {
  const uid = (id: string) => `${season.id}-${id}@fervent-kettle`;
  // One stamp for one plan: the same season gives the same file.
  const timestamp = Date.UTC(2000, 0, 1);
  const all: Item[] = [
    ...plan.events.map(
      ({ id, event, fluid }): Item => ({
        uid: uid(id),
        timestamp,
        title: event.name,
        location: project.circuits.find((circuit) => circuit.id === event.circuitId)?.name ?? '',
        ...daysFrom(event.date, event.days),
        description: [
          ...setsOfEvent(plan, id),
          ...fluid.map((reason) => say.renewBefore(fluidReasonText(reason, METRIC))),
          ...(event.note === '' ? [] : [event.note]),
        ].join('\n'),
        categories: ['Event'],
      }),
    ),
    ...plan.orders.map(
      (order, i): Item => ({
        uid: uid(`order-${i + 1}`),
        timestamp,
        title: say.orderTitle(orderText(order).toLowerCase()),
        ...daysFrom(order.orderBy, 1),
        description: say.orderFor(
          plan.events.find(({ id }) => id === order.eventId)?.event.name ?? '',
          order.date,
        ),
        categories: ['Order'],
      }),
    ),
  ];
  const { error, value } = createEvents(all, { productId: 'Fervent Kettle', calName: season.name });
  if (error || !value) throw error ?? new Error('seasonCalendar: no calendar was made');
  return value;
}
