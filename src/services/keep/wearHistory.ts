import { type AxleName, axleOf, type WearLoss, WHEELS, type WheelName } from '../../core';
import {
  type EntryOf,
  type LogEntry,
  type PartSet,
  placeOf,
  type StoredLoad,
  type WheelFound,
} from '../../model';

/** Errors of a reading, one standard deviation, mm (own assumption): a pad by caliper, a rotor by micrometer. */
const PAD_ERROR = 0.15;
const ROTOR_ERROR = 0.02;
/** Of a share of life that was only told, over the thickness there is to wear. */
const TOLD_ERROR = 0.1;
/** Index at which the first crack was seen, against 1: how well an eye finds it. */
export const CRACK_ERROR = 0.4;
/** A pad, or a rotor, of a set. */
export interface WearPlace {
  readonly wheel: WheelName;
  /** Of a pad; null for a rotor */
  readonly pad: 'inner' | 'outer' | null;
}

/** The worst of the cracks seen of a rotor. */
export interface SeenCrack {
  readonly lengthMm: number;
  /** Whether one must not be driven on: to the edge, between holes, in the bell */
  readonly stop: boolean;
}

export const wheelsOf = (axle: AxleName): readonly WheelName[] =>
  WHEELS.filter((wheel) => axleOf(wheel) === axle);
export const placesOf = ({ kind, axle }: PartSet): readonly WearPlace[] =>
  wheelsOf(axle).flatMap((wheel): WearPlace[] =>
    kind === 'rotors'
      ? [{ wheel, pad: null }]
      : [
          { wheel, pad: 'inner' },
          { wheel, pad: 'outer' },
        ],
  );
export const placeKey = ({ wheel, pad }: WearPlace): string => `${wheel} ${pad ?? 'rotor'}`;

/** Thinnest of what was measured of a piece, mm; null where it was not. */
export function thinnest(found: WheelFound | undefined, pad: WearPlace['pad']): number | null {
  if (!found) return null;
  const values =
    pad === null
      ? found.rotorMm
      : pad === 'inner'
        ? [found.innerLeadingMm, found.innerTrailingMm]
        : [found.outerLeadingMm, found.outerTrailingMm];
  const known = values.filter((value): value is number => value !== null);
  return known.length > 0 ? Math.min(...known) : null;
}

/** What a session takes of a piece, by the index, mm. */
export const indexOf = (load: StoredLoad, { wheel, pad }: WearPlace): number =>
  pad === null ? load[wheel].rotorMm : pad === 'inner' ? load[wheel].innerPadMm : load[wheel].outerPadMm;

/** A thickness with how well it is known, and what was driven until then. */
interface Reading {
  readonly date: string | null;
  readonly mm: number;
  readonly error: number;
}

/** Life of a set as it went: readings, with the index driven in between. */
interface History {
  readonly readings: readonly (Reading & { readonly index: number; readonly sessions: number })[];
  readonly sinceIndex: number;
}

/** Loads of sessions by the entry's id; a session without one is left out of the wear. */
export type Loads = ReadonlyMap<string, StoredLoad>;

export const loadOfEntry = (entry: EntryOf<'session'>, loads: Loads): StoredLoad | null =>
  loads.get(entry.id) ?? entry.load;

/** Lines in which a set was driven or looked at, the oldest first. */
export const linesOf = (set: PartSet, entries: readonly LogEntry[]) =>
  entries.filter(
    (entry): entry is EntryOf<'session'> | EntryOf<'inspection'> =>
      (entry.kind === 'session' || entry.kind === 'inspection') && entry.sets[placeOf(set)] === set.id,
  );

export function historyOf(
  set: PartSet,
  place: WearPlace,
  entries: readonly LogEntry[],
  loads: Loads,
): History {
  const wearable = set.newMm - set.minimumMm;
  const begun: Reading = {
    date: null,
    mm: set.newMm - (wearable * set.usedPercent) / 100,
    error: set.usedPercent > 0 ? TOLD_ERROR * wearable : errorOf(set),
  };
  const readings: (Reading & { index: number; sessions: number })[] = [{ ...begun, index: 0, sessions: 0 }];
  let [index, sessions] = [0, 0];
  for (const entry of linesOf(set, entries)) {
    if (entry.kind === 'session') {
      const load = loadOfEntry(entry, loads);
      if (!load) continue;
      index += indexOf(load, place);
      sessions += 1;
      continue;
    }
    const mm = thinnest(entry.wheels[place.wheel], place.pad);
    if (mm === null) continue;
    readings.push({ date: entry.date, mm, error: errorOf(set), index, sessions });
    [index, sessions] = [0, 0];
  }
  return { readings, sinceIndex: index };
}

const errorOf = ({ kind }: PartSet) => (kind === 'pads' ? PAD_ERROR : ROTOR_ERROR);

/** Differences between readings that follow each other, as losses in m for the fit. */
export const lossesOf = (set: PartSet, entries: readonly LogEntry[], loads: Loads): WearLoss[] =>
  placesOf(set).flatMap((place) => {
    const { readings } = historyOf(set, place, entries, loads);
    return readings.slice(1).flatMap((reading, i): WearLoss[] => {
      if (!(reading.index > 0)) return [];
      const before = readings[i];
      return [
        {
          place: placeKey(place),
          index: reading.index / 1000,
          sessions: reading.sessions,
          lost: (before.mm - reading.mm) / 1000,
          error: Math.hypot(before.error, reading.error) / 1000,
        },
      ];
    });
  });

/** Fatigue of a rotor set by wheel as it went: at the first crack, where one was seen, and in all. */
export function fatigueOf(set: PartSet, entries: readonly LogEntry[], loads: Loads) {
  const of = (wheel: WheelName) => {
    let [index, sessions] = [set.usedPercent / 100, set.sessionsBefore];
    let atCrack: { index: number; sessions: number } | null = null;
    let crack = null as SeenCrack | null;
    for (const entry of linesOf(set, entries)) {
      if (entry.kind === 'session') {
        const load = loadOfEntry(entry, loads);
        index += load?.[wheel].fatigue ?? 0;
        sessions += load ? 1 : 0;
        continue;
      }
      for (const found of entry.wheels[wheel]?.cracks ?? []) {
        atCrack ??= { index, sessions };
        const worst: SeenCrack | null = crack;
        crack = {
          lengthMm: Math.max(worst?.lengthMm ?? 0, found.lengthMm),
          stop: found.toEdge || found.joins || found.place === 'bell' || (worst?.stop ?? false),
        };
      }
    }
    return { index, atCrack, crack };
  };
  return Object.fromEntries(wheelsOf(set.axle).map((wheel) => [wheel, of(wheel)])) as Partial<
    Record<WheelName, ReturnType<typeof of>>
  >;
}
