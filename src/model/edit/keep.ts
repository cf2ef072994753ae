/** Edits of what is kept: logbook, sets, seasons. */
import type { EntryOf, LogEntry, StoredLoad } from '../schema/logEntry';
import type { PartSet } from '../schema/partSet';
import type { Project } from '../schema/project';
import type { Season, SeasonEvent } from '../schema/season';
import { drawn, withNewFluid } from './fluid';

/** Puts an item on its list, or over the one of its id. */
const put = <T extends { readonly id: string }>(list: readonly T[], item: T): T[] =>
  list.some(({ id }) => id === item.id)
    ? list.map((own) => (own.id === item.id ? item : own))
    : [...list, item];

export const putEntry = (project: Project, entry: LogEntry): Project => ({
  ...project,
  entries: put(project.entries, entry),
});

/** Puts lines into the logbook, each new or over the one of its id. */
export const putEntries = (project: Project, entries: readonly LogEntry[]): Project =>
  entries.reduce(putEntry, project);

export const putSet = (project: Project, set: PartSet): Project => ({
  ...project,
  sets: put(project.sets, set),
});

export const putSeason = (project: Project, season: Season): Project => ({
  ...project,
  seasons: put(project.seasons, season),
});

const changeSeason = (project: Project, id: string, change: (season: Season) => Season): Project => ({
  ...project,
  seasons: project.seasons.map((own) => (own.id === id ? change(own) : own)),
});

export const putEvent = (project: Project, season: string, id: string, event: SeasonEvent): Project =>
  changeSeason(project, season, (own) => ({ ...own, events: { ...own.events, [id]: event } }));

export const removeEvent = (project: Project, season: string, id: string): Project =>
  changeSeason(project, season, (own) => {
    const { [id]: _gone, ...events } = own.events;
    return { ...own, events };
  });

/**
 * Keeps what sessions took of the brakes as it was computed with the car of their day.
 * @param byLog sessions whose load went by their own log's speeds
 */
export const keepLoads = (
  project: Project,
  loads: ReadonlyMap<string, StoredLoad>,
  byLog: ReadonlySet<string>,
): Project => ({
  ...project,
  entries: project.entries.map((entry) => {
    const load = entry.kind === 'session' && entry.load === null ? loads.get(entry.id) : undefined;
    if (!load || entry.kind !== 'session') return entry;
    return { ...entry, load, loadBy: byLog.has(entry.id) ? 'log' : 'laps' };
  }),
});

/**
 * Puts a line of the fluid into the logbook; what was filled in is gone from its bottle, a renewal begins the age of the
 * car's fluid anew, a boil test is what it boils at from then on.
 * @param today as 2027-05-01
 */
export function putFluid(project: Project, entry: EntryOf<'fluid'>, today: string): Project {
  const { bottleId, usedCm3, date, deed } = entry;
  const used = bottleId !== null && usedCm3 !== null ? { [bottleId]: usedCm3 } : {};
  const car = project.cars.find(({ id }) => id === entry.carId);
  const written = putEntry(project, entry);
  const next = { ...written, bottles: drawn(written.bottles, used, date) };
  // What was done before the fluid that is in now says nothing of it.
  if (!car || (car.fitted.fluid && car.fitted.fluid > date)) return next;
  const changed =
    deed === 'renewed'
      ? withNewFluid(car, date, today)
      : deed === 'boil test' && entry.boilingC !== null
        ? { ...car, fluid: { ...car.fluid, measuredBoilingC: entry.boilingC } }
        : car;
  return { ...next, cars: next.cars.map((own) => (own.id === car.id ? changed : own)) };
}

/** What another device's logbook brought. */
export interface JoinedLogbook {
  readonly project: Project;
  readonly added: number;
  /** Names of lines that both changed: this project's were kept */
  readonly differ: readonly string[];
}

/** Adds what another device wrote to this project's logbook, sets and seasons; of a line that both have, this one's stays. */
export function joinLogbook(project: Project, other: Project): JoinedLogbook {
  const cars = new Set(project.cars.map(({ id }) => id));
  let added = 0;
  const differ: string[] = [];
  const joined = <T extends { readonly id: string; readonly name: string; readonly carId: string }>(
    own: readonly T[],
    theirs: readonly T[],
  ): T[] => {
    const news = theirs.filter((item) => cars.has(item.carId) && !own.some(({ id }) => id === item.id));
    added += news.length;
    for (const item of theirs) {
      const mine = own.find(({ id }) => id === item.id);
      if (mine && JSON.stringify(mine) !== JSON.stringify(item)) differ.push(item.name);
    }
    return [...own, ...news];
  };
  const next = {
    ...project,
    sets: joined(project.sets, other.sets),
    seasons: joined(project.seasons, other.seasons),
    entries: joined(project.entries, other.entries),
  };
  return { project: next, added, differ };
}
