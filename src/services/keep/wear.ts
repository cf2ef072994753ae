import {
  type AxleName,
  axleOf,
  fitWear,
  type Interval,
  normalQuantile,
  sessionsLeft,
  WEAR_PRIOR,
  type WearLoss,
  type WearRate,
  WHEELS,
  type WheelName,
} from '../../core';
import {
  type Car,
  type EntryOf,
  type LogEntry,
  newSet,
  type PartSet,
  type Project,
  placeOf,
  type SetKind,
  type SetPlace,
  type StoredLoad,
  type WheelFound,
} from '../../model';
import { entriesOf } from './logbook';

/** Errors of a reading, one standard deviation, mm (own assumption): a pad by caliper, a rotor by micrometer. */
const PAD_ERROR = 0.15;
const ROTOR_ERROR = 0.02;
/** Of a share of life that was only told, over the thickness there is to wear. */
const TOLD_ERROR = 0.1;
/** Index at which the first crack was seen, against 1: how well an eye finds it. */
const CRACK_ERROR = 0.4;
/** The fatigue damage index is right within a factor of three (own assumption). */
const CRACK_PRIOR = { ...WEAR_PRIOR, spread: Math.log(3), session: 0.1 };

/** A pad, or a rotor, of a set. */
export interface WearPlace {
  readonly wheel: WheelName;
  /** Of a pad; null for a rotor */
  readonly pad: 'inner' | 'outer' | null;
}

/** What one piece of a set has left; lengths in mm. */
export interface PieceWear extends WearPlace {
  /** As last measured, or as it was when new */
  readonly measuredMm: number;
  /** Day of that; null for new */
  readonly measuredOn: string | null;
  /** Now, by what was driven since */
  readonly nowMm: Interval;
  /** Over its minimum now; negative past it */
  readonly leftMm: number;
  readonly leftErrorMm: number;
  /** What was driven since, by the index, mm */
  readonly sinceMm: number;
  /** How many times it was measured */
  readonly readings: number;
}

/** The worst of the cracks seen of a rotor. */
interface SeenCrack {
  readonly lengthMm: number;
  /** Whether one must not be driven on: to the edge, between holes, in the bell */
  readonly stop: boolean;
}

/** A set with what its pieces have left. */
export interface SetWear {
  readonly set: PartSet;
  readonly sessions: number;
  readonly energyMj: number;
  readonly pieces: readonly PieceWear[];
  /** Fatigue damage index so far, by wheel, of a rotor */
  readonly fatigue: Readonly<Partial<Record<WheelName, number>>>;
  /** Longest crack that was seen, by wheel, mm; with whether it must not be driven on */
  readonly cracks: Readonly<Partial<Record<WheelName, SeenCrack>>>;
  /** Measured over index of parts like these, and of their cracks */
  readonly rate: WearRate;
  readonly crackRate: WearRate;
}

export const wheelsOf = (axle: AxleName): readonly WheelName[] =>
  WHEELS.filter((wheel) => axleOf(wheel) === axle);
const placesOf = ({ kind, axle }: PartSet): readonly WearPlace[] =>
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
const indexOf = (load: StoredLoad, { wheel, pad }: WearPlace): number =>
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

const loadOfEntry = (entry: EntryOf<'session'>, loads: Loads): StoredLoad | null =>
  loads.get(entry.id) ?? entry.load;

/** Lines in which a set was driven or looked at, the oldest first. */
const linesOf = (set: PartSet, entries: readonly LogEntry[]) =>
  entries.filter(
    (entry): entry is EntryOf<'session'> | EntryOf<'inspection'> =>
      (entry.kind === 'session' || entry.kind === 'inspection') && entry.sets[placeOf(set)] === set.id,
  );

function historyOf(set: PartSet, place: WearPlace, entries: readonly LogEntry[], loads: Loads): History {
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

/** Sets that wear by one rate: of one place of a car and one part. */
const groupOf = (set: PartSet) => `${placeOf(set)} of ${set.carId}, ${set.part ?? ''}`;

/** Differences between readings that follow each other, as losses in m for the fit. */
const lossesOf = (set: PartSet, entries: readonly LogEntry[], loads: Loads): WearLoss[] =>
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
function fatigueOf(set: PartSet, entries: readonly LogEntry[], loads: Loads) {
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

/** What every set of a car has left, by what was driven and measured. */
export function setsWear(project: Project, carId: string, loads: Loads): readonly SetWear[] {
  const entries = entriesOf(project, carId);
  const sets = project.sets.filter((set) => set.carId === carId);
  const rates = new Map<string, WearRate>();
  const crackRates = new Map<string, WearRate>();
  for (const set of sets) {
    const group = groupOf(set);
    if (rates.has(group)) continue;
    const alike = sets.filter((own) => groupOf(own) === group);
    rates.set(group, fitWear(alike.flatMap((own) => lossesOf(own, entries, loads))));
    const cracked = alike
      .filter(({ kind }) => kind === 'rotors')
      .flatMap((own): WearLoss[] =>
        Object.entries(fatigueOf(own, entries, loads)).flatMap(([wheel, { atCrack }]) =>
          atCrack && atCrack.index > 0
            ? [
                {
                  place: wheel,
                  index: atCrack.index,
                  sessions: Math.max(1, atCrack.sessions),
                  lost: 1,
                  error: CRACK_ERROR,
                },
              ]
            : [],
        ),
      );
    crackRates.set(group, fitWear(cracked, CRACK_PRIOR));
  }
  return sets.map((set) =>
    wearOfSet(
      set,
      entries,
      loads,
      rates.get(groupOf(set)) as WearRate,
      crackRates.get(groupOf(set)) as WearRate,
    ),
  );
}

function wearOfSet(
  set: PartSet,
  entries: readonly LogEntry[],
  loads: Loads,
  rate: WearRate,
  crackRate: WearRate,
): SetWear {
  const driven = linesOf(set, entries).filter(({ kind }) => kind === 'session') as EntryOf<'session'>[];
  const pieces = placesOf(set).map((place): PieceWear => {
    const { readings, sinceIndex } = historyOf(set, place, entries, loads);
    const last = readings[readings.length - 1];
    const { mean, variance } = rate.at(placeKey(place));
    const worn = sinceIndex * Math.exp(mean);
    const error = Math.hypot(last.error, worn * Math.sqrt(variance));
    const nowMm = last.mm - worn;
    return {
      ...place,
      measuredMm: last.mm,
      measuredOn: last.date,
      nowMm: { low: nowMm - 1.645 * error, median: nowMm, high: nowMm + 1.645 * error },
      leftMm: nowMm - set.minimumMm,
      leftErrorMm: error,
      sinceMm: sinceIndex,
      readings: readings.length - 1,
    };
  });
  const fatigue = set.kind === 'rotors' ? fatigueOf(set, entries, loads) : {};
  const wheels = Object.entries(fatigue) as [WheelName, NonNullable<(typeof fatigue)[WheelName]>][];
  return {
    set,
    sessions: set.sessionsBefore + driven.length,
    energyMj: driven.reduce((sum, entry) => {
      const load = loadOfEntry(entry, loads);
      return sum + wheelsOf(set.axle).reduce((own, wheel) => own + (load?.[wheel].energyMj ?? 0), 0);
    }, 0),
    pieces,
    fatigue: Object.fromEntries(wheels.map(([wheel, { index }]) => [wheel, index])),
    cracks: Object.fromEntries(wheels.flatMap(([wheel, { crack }]) => (crack ? [[wheel, crack]] : []))),
    rate,
    crackRate,
  };
}

/** How many more sessions like one a set stands, and which of its pieces ends it. */
export interface Remaining extends Interval {
  readonly by: WearPlace & { readonly why: 'thickness' | 'cracks' };
}

/** Sessions left of a set where each takes what `load` says; the piece that ends it first decides. */
export function remainingSessions(wear: SetWear, load: StoredLoad, coverage = 0.9): Remaining {
  const byThickness = wear.pieces.map((piece): Remaining => {
    const { leftMm, leftErrorMm } = piece;
    const left = sessionsLeft(
      wear.rate,
      placeKey(piece),
      leftMm / 1000,
      leftErrorMm / 1000,
      indexOf(load, piece) / 1000,
      coverage,
    );
    return { ...left, by: { wheel: piece.wheel, pad: piece.pad, why: 'thickness' } };
  });
  const byCracks = (Object.entries(wear.fatigue) as [WheelName, number][]).flatMap(
    ([wheel, used]): Remaining[] => {
      const { mean } = wear.crackRate.at(wheel);
      const gone = used * Math.exp(mean);
      // What is used already is uncertain by the same rate: the share of life is what counts.
      const left = sessionsLeft(
        wear.crackRate,
        wheel,
        Math.max(0, 1 - gone),
        0,
        load[wheel].fatigue,
        coverage,
      );
      return [{ ...left, by: { wheel, pad: null, why: 'cracks' } }];
    },
  );
  return [...byThickness, ...byCracks].reduce((least, own) => (own.median < least.median ? own : least));
}

/** Share of a set's whole life that a session takes, the most of its pieces; median and spread of its logarithm. */
export function lifeShare(
  wear: SetWear,
  load: StoredLoad,
): { readonly share: number; readonly spread: number } {
  const wearable = wear.set.newMm - wear.set.minimumMm;
  const shares = [
    ...wear.pieces.map((piece) => {
      const { mean, variance } = wear.rate.at(placeKey(piece));
      return { share: (indexOf(load, piece) * Math.exp(mean)) / wearable, spread: Math.sqrt(variance) };
    }),
    ...(wear.set.kind === 'rotors'
      ? wheelsOf(wear.set.axle).map((wheel) => {
          const { mean, variance } = wear.crackRate.at(wheel);
          return { share: load[wheel].fatigue * Math.exp(mean), spread: Math.sqrt(variance) };
        })
      : []),
  ];
  return shares.reduce((most, own) => (own.share > most.share ? own : most));
}

/** Share of its life that a set has used, the most of its pieces, 0 to 1 and over. */
export function lifeUsed(wear: SetWear): number {
  const wearable = wear.set.newMm - wear.set.minimumMm;
  return Math.max(
    0,
    ...wear.pieces.map(({ leftMm }) => 1 - leftMm / wearable),
    ...(Object.entries(wear.fatigue) as [WheelName, number][]).map(
      ([wheel, used]) => used * Math.exp(wear.crackRate.at(wheel).mean),
    ),
  );
}

/** Share of its life that a set may be used to so that it is within it with some confidence. */
export const capacityOf = (spread: number, confidencePercent: number): number =>
  Math.exp(-normalQuantile(confidencePercent / 100) * spread);

/** A new set of a place as it would wear, by what was measured of those before it. */
export function newSetWear(car: Car, place: SetPlace, wear: readonly SetWear[]): SetWear {
  const [axle, kind] = place.split(' ') as [AxleName, SetKind];
  const made = newSet(car, { id: 'new', name: 'new', axle, kind });
  const like = wear.filter(({ set }) => placeOf(set) === place);
  const twin = like.find(({ set }) => set.part === null) ?? like.at(-1);
  const rate = twin?.rate ?? fitWear([]);
  const crackRate = twin?.crackRate ?? fitWear([], CRACK_PRIOR);
  const set = twin ? { ...made, newMm: twin.set.newMm, minimumMm: twin.set.minimumMm } : made;
  return wearOfSet(set, [], new Map(), rate, crackRate);
}
