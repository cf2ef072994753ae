import { addDays, formatISO, parseISO } from 'date-fns';
import {
  type EventSession,
  type FittedSets,
  type PartSet,
  type Project,
  placeOf,
  SET_PLACES,
  type Season,
  type SeasonEvent,
  type SetPlace,
  type Setup,
  type StoredLoad,
} from '../../model';
import { setupOfPlanned } from '../keep/loads';
import { drivenSessions, type PlannedOfEvent, plannedKey } from '../keep/logbook';

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

/** Sessions of an event in the order driven. */
export const sessionsOf = ({ sessions }: SeasonEvent): readonly (readonly [id: string, EventSession])[] =>
  Object.entries(sessions).sort(([, a], [, b]) => a.n - b.n);

/** Last day of an event, as 2027-05-02. */
export const lastDayOf = ({ date, days }: SeasonEvent): string =>
  formatISO(addDays(parseISO(date), days - 1), { representation: 'date' });

/**
 * Sessions still to come, in the order driven: of events that are not over, those that the logbook does not have yet.
 * @param today as 2027-05-01
 */
export function sessionsToCome(project: Project, season: Season, today: string): readonly PlannedSession[] {
  const driven = drivenSessions(project);
  return eventsOf(season)
    .filter(({ event }) => lastDayOf(event) >= today)
    .map(({ id, event }) => ({
      id,
      event,
      sessions: sessionsOf(event).filter(([sessionId]) => !driven.has(plannedKey(id, sessionId))),
    }))
    .filter(({ sessions }) => sessions.length > 0)
    .flatMap(({ id, event, sessions }, at) =>
      sessions.map(([sessionId, session]) => ({ eventId: id, event, sessionId, session, at })),
    );
}

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
export const loadKey = ({ event, session }: PlannedSession, place: SetPlace, part: string | null): string =>
  [event.circuitId, session.hotLaps, session.airC, part === null ? '' : `${place} ${part}`].join('|');

/** Days to be driven before a season can be planned, each once. */
export function loadQuestions(project: Project, season: Season, today: string): readonly LoadQuestion[] {
  const sets = project.sets.filter(({ carId }) => carId === season.carId);
  const found = new Map<string, Setup>();
  for (const planned of sessionsToCome(project, season, today)) {
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

/** The session of a car's season that comes next on some day: of the event of that day, the first that was not driven yet. */
export function nextPlanned(project: Project, carId: string, date: string): PlannedOfEvent | null {
  for (const season of project.seasons) {
    if (season.carId !== carId) continue;
    const next = sessionsToCome(project, season, date).find(({ event }) => event.date <= date);
    if (next) return next;
  }
  return null;
}
