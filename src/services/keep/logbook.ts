import {
  type EntryOf,
  type EventSession,
  type FittedSets,
  fluidOf,
  type LogEntry,
  type PartSet,
  type Project,
  placeOf,
  SET_PLACES,
  type SeasonEvent,
  type SetPlace,
} from '../../model';
import { asFahrenheit } from './otherUnit';

/** Where in a day what has no time stands: after what was fitted, before what was found. */
const ORDER = ['fitted', 'session', 'note', 'inspection', 'fluid'] as const;

/** Before, 0 or after: by day, time and, without one, by what usually comes first. */
export function byTime(a: LogEntry, b: LogEntry): number {
  if (a.date !== b.date) return a.date < b.date ? -1 : 1;
  if (a.time !== null && b.time !== null && a.time !== b.time) return a.time < b.time ? -1 : 1;
  if (a.time !== null && b.time !== null) return 0;
  return ORDER.indexOf(a.kind) - ORDER.indexOf(b.kind);
}

/** A car's logbook, the oldest first. */
export const entriesOf = (project: Project, carId: string): readonly LogEntry[] =>
  project.entries.filter((entry) => entry.carId === carId).sort(byTime);

/** Sets on the car after all that was written down up to some day, by their place. */
export function fittedOn(entries: readonly LogEntry[], date: string | null = null): FittedSets {
  const sets: { [P in SetPlace]?: string } = {};
  for (const entry of entries) {
    if (date !== null && entry.date > date) break;
    if (entry.kind === 'fluid' || entry.kind === 'note') continue;
    for (const place of SET_PLACES) {
      if (!(place in entry.sets)) continue;
      const id = entry.sets[place] ?? null;
      if (id === null) delete sets[place];
      else sets[place] = id;
    }
  }
  return sets;
}

/** Lines of the logbook that a set was part of. */
export const entriesOfSet = (entries: readonly LogEntry[], id: string): readonly LogEntry[] =>
  entries.filter((entry) => 'sets' in entry && Object.values(entry.sets).includes(id));

/** Sessions that a set was driven in. */
export const sessionsOfSet = (entries: readonly LogEntry[], set: PartSet): readonly EntryOf<'session'>[] =>
  entries.filter(
    (entry): entry is EntryOf<'session'> => entry.kind === 'session' && entry.sets[placeOf(set)] === set.id,
  );

/** Something that cannot be, or should be asked about, of an entry; wording is the text layer's. */
export type EntryDoubt =
  | { readonly kind: 'before bought'; readonly set: string; readonly boughtOn: string }
  | { readonly kind: 'after retired'; readonly set: string; readonly retiredOn: string }
  | { readonly kind: 'wrong place'; readonly set: string; readonly place: SetPlace }
  | { readonly kind: 'no such set'; readonly place: SetPlace }
  /** A boil test over what the fluid boils at new and dry */
  | {
      readonly kind: 'boils over dry';
      readonly boilingC: number;
      readonly dryC: number;
      /** Read in °F it would be */
      readonly asReadC: number;
    };

/** Whether a boil test can have been read as it was written. */
function doubtsOfTest(project: Project, { carId, boilingC }: EntryOf<'fluid'>): readonly EntryDoubt[] {
  const car = project.cars.find(({ id }) => id === carId);
  if (!car || boilingC === null) return [];
  const dryC = fluidOf(car.fluid.kind, project.parts).dry;
  const asReadC = asFahrenheit(boilingC, dryC);
  return asReadC === null ? [] : [{ kind: 'boils over dry', boilingC, dryC, asReadC }];
}

/** What is doubtful about a line: the sets it names, the unit it was read in. */
export function doubtsOfEntry(project: Project, entry: LogEntry): readonly EntryDoubt[] {
  if (entry.kind === 'fluid') return doubtsOfTest(project, entry);
  if (!('sets' in entry)) return [];
  return SET_PLACES.flatMap((place): EntryDoubt[] => {
    const id = entry.sets[place];
    if (!id) return [];
    const set = project.sets.find((own) => own.id === id);
    if (!set) return [{ kind: 'no such set', place }];
    if (placeOf(set) !== place) return [{ kind: 'wrong place', set: set.name, place }];
    const { boughtOn, retiredOn, name } = set;
    return [
      ...(boughtOn !== null && entry.date < boughtOn
        ? [{ kind: 'before bought' as const, set: name, boughtOn }]
        : []),
      ...(retiredOn !== null && entry.date > retiredOn
        ? [{ kind: 'after retired' as const, set: name, retiredOn }]
        : []),
    ];
  });
}

/** A session of an event as it was planned. */
export interface PlannedOfEvent {
  readonly eventId: string;
  readonly event: SeasonEvent;
  readonly sessionId: string;
  readonly session: EventSession;
}

/** What was planned of a line of the logbook; null where nothing was, or the plan is gone. */
export function plannedOf(project: Project, entry: LogEntry): PlannedOfEvent | null {
  if (entry.kind !== 'session' || entry.plannedId === null || entry.eventId === null) return null;
  const event = project.seasons.find(({ events }) => entry.eventId && events[entry.eventId])?.events[
    entry.eventId
  ];
  const session = event?.sessions[entry.plannedId];
  return event && session ? { eventId: entry.eventId, event, sessionId: entry.plannedId, session } : null;
}

/** Names a session of an event among all of a project. */
export const plannedKey = (eventId: string, sessionId: string): string => `${eventId} ${sessionId}`;

/** Planned sessions that the logbook has already, by their key. */
export const drivenSessions = ({ entries }: Project): ReadonlySet<string> =>
  new Set(
    entries.flatMap((entry) =>
      entry.kind === 'session' && entry.plannedId !== null && entry.eventId !== null
        ? [plannedKey(entry.eventId, entry.plannedId)]
        : [],
    ),
  );
