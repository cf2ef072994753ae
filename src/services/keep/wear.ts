import {
  type AxleName,
  fitWear,
  type Interval,
  WEAR_PRIOR,
  type WearLoss,
  type WearRate,
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
} from '../../model';
import { entriesOf } from './logbook';
import {
  CRACK_ERROR,
  fatigueOf,
  historyOf,
  type Loads,
  linesOf,
  loadOfEntry,
  lossesOf,
  placeKey,
  placesOf,
  type SeenCrack,
  type WearPlace,
  wheelsOf,
} from './wearHistory';

/** The fatigue damage index is right within a factor of three (own assumption). */
const CRACK_PRIOR = { ...WEAR_PRIOR, spread: Math.log(3), session: 0.1 };

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

/** Sets that wear by one rate: of one place of a car and one part. */
const groupOf = (set: PartSet) => `${placeOf(set)} of ${set.carId}, ${set.part ?? ''}`;

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
