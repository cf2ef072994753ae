import type { Car } from '../schema/car';
import { NOTHING_AT_WHEEL, NOTHING_OF_FLUID } from '../schema/inspection';
import type { EntryKind, EntryOf, LogEntry } from '../schema/logEntry';
import type { PartSet, SetKind } from '../schema/partSet';
import { type Season, type SeasonEvent, USUAL_RULES } from '../schema/season';

/** A set of pads or rotors as it comes new for a car. */
export function newSet(
  car: Car,
  {
    id,
    name,
    axle,
    kind,
    part = null,
  }: { id: string; name: string; axle: 'front' | 'rear'; kind: SetKind; part?: string | null },
): PartSet {
  const { rotor, newPadMm, drum } = car[axle];
  const { rotorMinimumMm, padMinimumMm } = car.workshop[axle];
  const newMm = kind === 'pads' ? newPadMm : (drum?.rimThicknessMm ?? rotor.thicknessMm);
  // Nothing is put in for the maker's figure but what is usual, and the field says so.
  const usual = kind === 'pads' ? Math.min(3, newMm / 2) : newMm - Math.min(2, 0.07 * newMm);
  const minimumMm = (kind === 'pads' ? padMinimumMm : rotorMinimumMm) ?? Number(usual.toFixed(1));
  return {
    id,
    name,
    kind,
    axle,
    carId: car.id,
    part,
    build: rotor.mounting === 'floating' ? 'ring on bell' : 'one piece',
    newMm,
    minimumMm: Math.min(minimumMm, newMm - 0.1),
    leftKg: null,
    rightKg: null,
    boughtOn: null,
    price: null,
    sessionsBefore: 0,
    usedPercent: 0,
    retiredOn: null,
    note: '',
  };
}

export const newSeason = (
  carId: string,
  planId: string,
  { id, name }: { id: string; name: string },
): Season => ({
  id,
  name,
  carId,
  planId,
  events: {},
  rules: USUAL_RULES,
});

export const newEvent = (circuitId: string, date: string, name: string): SeasonEvent => ({
  name,
  date,
  days: 1,
  circuitId,
  sessions: {
    first: { name: 'Session 1', n: 1, kind: 'track day', hotLaps: 8, airC: 20 },
  },
  fresh: [],
  mostSets: null,
  entry: 0,
  travel: 0,
  note: '',
});

const NAMES: Readonly<Record<EntryKind, string>> = {
  session: 'Session',
  inspection: 'Inspection',
  fluid: 'Fluid',
  fitted: 'Fitted',
  note: 'Note',
};

/** A line of the logbook with nothing in it but its day; values that are usually kept from the last one are the caller's. */
export function newEntry<K extends EntryKind>(
  kind: K,
  {
    id,
    carId,
    date,
    circuitId = '',
    planId = '',
  }: { id: string; carId: string; date: string; circuitId?: string; planId?: string },
): EntryOf<K> {
  const shared = {
    id,
    name: NAMES[kind],
    carId,
    date,
    time: null,
    eventId: null,
    by: '',
    note: '',
    photos: [],
  };
  const made: { [T in EntryKind]: () => EntryOf<T> } = {
    session: () => ({
      kind: 'session',
      ...shared,
      circuitId,
      planId,
      plannedId: null,
      outLaps: 2,
      hotLaps: 8,
      airC: 20,
      track: 'dry',
      sets: {},
      log: null,
      driveId: null,
      pedal: 'firm',
      symptoms: [],
      incident: false,
      load: null,
      loadBy: null,
    }),
    inspection: () => ({
      kind: 'inspection',
      ...shared,
      sets: {},
      wheels: {
        frontLeft: NOTHING_AT_WHEEL,
        frontRight: NOTHING_AT_WHEEL,
        rearLeft: NOTHING_AT_WHEEL,
        rearRight: NOTHING_AT_WHEEL,
      },
      fluid: NOTHING_OF_FLUID,
    }),
    fluid: () => ({
      kind: 'fluid',
      ...shared,
      deed: 'renewed',
      bottleId: null,
      usedCm3: null,
      copperPpm: null,
      waterPercent: null,
      boilingC: null,
      newPercent: null,
    }),
    fitted: () => ({ kind: 'fitted', ...shared, sets: {}, swapped: false }),
    note: () => ({ kind: 'note', ...shared, incident: false }),
  };
  return made[kind]();
}

/** The newest line of a kind, of which the next keeps what seldom changes. */
export const lastOf = <K extends EntryKind>(entries: readonly LogEntry[], kind: K): EntryOf<K> | null =>
  (entries.filter((entry) => entry.kind === kind).at(-1) as EntryOf<K> | undefined) ?? null;
