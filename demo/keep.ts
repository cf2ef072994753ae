import {
  type EntryOf,
  type LogEntry,
  NOTHING_AT_WHEEL,
  newEntry,
  newEvent,
  newSeason,
  newSet,
  type PartSet,
  type Season,
  type SeasonEvent,
  type SessionKind,
  type WheelFound,
} from '../src/model';
import { tarn } from './cars/tarn';
import { anvilPark, longFen, nettleGlen } from './circuits';

const PLAN = 'plan-tarn-anvil';
const carId = tarn.id;

const set = (
  id: string,
  name: string,
  axle: 'front' | 'rear',
  kind: PartSet['kind'],
  more: Partial<PartSet>,
): PartSet => ({ ...newSet(tarn, { id, name, axle, kind }), ...more });

/** Pads and rotors of the club car: what is on it, what is on the shelf. */
export const demoSets: PartSet[] = [
  set('set-fp-3', 'FP-3', 'front', 'pads', {
    boughtOn: '2026-03-02',
    price: 240,
    leftKg: 0.71,
    rightKg: 0.71,
  }),
  set('set-fp-4', 'FP-4', 'front', 'pads', { boughtOn: '2026-09-21', price: 255 }),
  set('set-rp-2', 'RP-2', 'rear', 'pads', { boughtOn: '2026-03-02', price: 180 }),
  set('set-fr-1', 'FR-1', 'front', 'rotors', {
    boughtOn: '2025-03-10',
    price: 420,
    leftKg: 6.42,
    rightKg: 6.44,
    sessionsBefore: 10,
    usedPercent: 30,
  }),
  set('set-fr-2', 'FR-2', 'front', 'rotors', {
    boughtOn: '2026-09-21',
    price: 440,
    leftKg: 6.6,
    rightKg: 6.59,
  }),
  set('set-rr-1', 'RR-1', 'rear', 'rotors', {
    boughtOn: '2025-03-10',
    price: 290,
    sessionsBefore: 10,
    usedPercent: 10,
  }),
];

const ON_CAR = {
  'front pads': 'set-fp-3',
  'front rotors': 'set-fr-1',
  'rear pads': 'set-rp-2',
  'rear rotors': 'set-rr-1',
} as const;

/** A day that was driven: hot laps of each session, air, and what the brakes showed. */
interface Day {
  readonly id: string;
  readonly date: string;
  readonly circuitId: string;
  readonly laps: readonly number[];
  readonly airC: number;
  readonly pedal?: EntryOf<'session'>['pedal'];
  readonly note?: string;
  /** Front pads left inner, outer, right inner, outer; rear likewise; front rotors left and right, mm */
  readonly front: readonly [number, number, number, number];
  readonly rear: readonly [number, number, number, number];
  readonly rotors: readonly [number, number];
  readonly crackMm?: number;
}

const DAYS: readonly Day[] = [
  {
    id: 'april',
    date: '2026-04-18',
    circuitId: anvilPark.id,
    laps: [6, 8, 8],
    airC: 14,
    front: [10.3, 10.5, 10.4, 10.6],
    rear: [10.7, 10.7, 10.6, 10.7],
    rotors: [24.38, 24.39],
  },
  {
    id: 'june',
    date: '2026-06-20',
    circuitId: nettleGlen.id,
    laps: [8, 8, 7],
    airC: 22,
    note: 'Left front hotter by the paint after the second session.',
    front: [9.1, 9.5, 9.3, 9.6],
    rear: [10.5, 10.6, 10.5, 10.5],
    rotors: [24.36, 24.37],
  },
  {
    id: 'august',
    date: '2026-08-08',
    circuitId: longFen.id,
    laps: [8, 10],
    airC: 27,
    front: [8.4, 8.8, 8.6, 8.9],
    rear: [10.4, 10.5, 10.4, 10.5],
    rotors: [24.34, 24.35],
  },
  {
    id: 'october',
    date: '2026-10-03',
    circuitId: anvilPark.id,
    laps: [8, 8, 6],
    airC: 12,
    pedal: 'longer than before',
    note: 'Pedal longer after lap six, back after the cool-down lap.',
    front: [6.6, 7.2, 6.9, 7.3],
    rear: [10.1, 10.2, 10.1, 10.2],
    rotors: [24.3, 24.31],
    crackMm: 3,
  },
];

/** As a gauge reads: hundredths. */
const read = (mm: number) => Number(mm.toFixed(2));
const pads = (inner: number, outer: number): Partial<WheelFound> => ({
  innerLeadingMm: inner,
  innerTrailingMm: read(inner + 0.2),
  outerLeadingMm: outer,
  outerTrailingMm: read(outer + 0.1),
});
const looked = { slides: 'free', boots: 'whole', leads: 'whole', hose: 'dry', sleeves: 'in place' } as const;

function entriesOfDay(day: Day): LogEntry[] {
  const { id, date, circuitId, laps, airC } = day;
  const sessions = laps.map(
    (hotLaps, k): LogEntry => ({
      ...newEntry('session', { id: `${id}-${k + 1}`, carId, date, circuitId, planId: PLAN }),
      name: `Session ${k + 1}`,
      time: `${String(10 + 2 * k).padStart(2, '0')}:00`,
      by: 'Imke',
      hotLaps,
      airC,
      sets: ON_CAR,
      pedal: k === laps.length - 1 ? (day.pedal ?? 'firm') : 'firm',
      symptoms: k === laps.length - 1 && day.pedal ? ['long pedal'] : [],
      note: k === laps.length - 1 ? (day.note ?? '') : '',
    }),
  );
  const [a, b, c, d] = day.front;
  const [e, f, g, h] = day.rear;
  const [left, right] = day.rotors;
  const ring = (mm: number) => [mm, read(mm + 0.01), mm, read(mm + 0.01)];
  const found: LogEntry = {
    ...newEntry('inspection', { id: `${id}-looked`, carId, date }),
    name: 'After the day',
    time: '17:30',
    by: 'Tomas',
    sets: ON_CAR,
    wheels: {
      frontLeft: {
        ...NOTHING_AT_WHEEL,
        ...looked,
        ...pads(a, b),
        rotorMm: ring(left),
        cracks: day.crackMm ? [{ place: 'face', lengthMm: day.crackMm, toEdge: false, joins: false }] : [],
      },
      frontRight: { ...NOTHING_AT_WHEEL, ...looked, ...pads(c, d), rotorMm: ring(right) },
      rearLeft: { ...NOTHING_AT_WHEEL, ...looked, ...pads(e, f) },
      rearRight: { ...NOTHING_AT_WHEEL, ...looked, ...pads(g, h) },
    },
    fluid: { level: 'between', colour: 'amber', leaks: 'none' },
  };
  return [...sessions, found];
}

const fluid = (id: string, date: string, more: Partial<EntryOf<'fluid'>>): LogEntry => ({
  ...newEntry('fluid', { id, carId, date }),
  by: 'Tomas',
  ...more,
});

/** A year of the club car, written down by two people. */
export const demoEntries: LogEntry[] = [
  {
    ...newEntry('fitted', { id: 'fitted-april', carId, date: '2026-04-16' }),
    name: 'New pads all round',
    by: 'Tomas',
    sets: ON_CAR,
  },
  fluid('fluid-april', '2026-04-16', { name: 'Renewed', deed: 'renewed', bottleId: null }),
  fluid('fluid-june', '2026-06-18', { name: 'Strip', deed: 'strip', copperPpm: 50 }),
  fluid('fluid-october', '2026-10-01', { name: 'Boil test', deed: 'boil test', boilingC: 249 }),
  ...DAYS.flatMap(entriesOfDay),
  {
    ...newEntry('note', { id: 'note-october', carId, date: '2026-10-03' }),
    name: 'Off at Slag',
    time: '14:40',
    by: 'Imke',
    incident: true,
    note: 'Braked late with a long pedal, off on the left, no contact. Fluid sampled, rotors to be looked at.',
  },
];

const sessions = (...list: readonly (readonly [name: string, kind: SessionKind, hotLaps: number])[]) =>
  Object.fromEntries(
    list.map(([name, kind, hotLaps], k) => [`s${k + 1}`, { name, n: k + 1, kind, hotLaps, airC: 20 }]),
  );
const RACE_DAY = sessions(['Practice', 'practice', 6], ['Qualifying', 'qualifying', 5], ['Race', 'race', 10]);
const TRACK_DAY = sessions(['First', 'track day', 7], ['Second', 'track day', 8], ['Third', 'track day', 8]);

const event = (circuitId: string, date: string, name: string, more: Partial<SeasonEvent>): SeasonEvent => ({
  ...newEvent(circuitId, date, name),
  entry: 190,
  travel: 120,
  sessions: RACE_DAY,
  ...more,
});

/** Seven events of the coming year. */
export const demoSeasons: Season[] = [
  {
    ...newSeason(carId, PLAN, { id: 'season-2027', name: 'Club season 2027' }),
    events: {
      march: event(nettleGlen.id, '2027-03-20', 'Opening day', { sessions: TRACK_DAY, entry: 140 }),
      april: event(anvilPark.id, '2027-04-17', 'Hammer Cup, first round', {}),
      may: event(longFen.id, '2027-05-15', 'Fen Trophy', { travel: 260 }),
      june: event(nettleGlen.id, '2027-06-19', 'Glen meeting', {}),
      july: event(anvilPark.id, '2027-07-17', 'Hammer Cup, second round', { mostSets: 2 }),
      september: event(longFen.id, '2027-09-04', 'Long day at the Fen', { sessions: TRACK_DAY, travel: 260 }),
      october: event(anvilPark.id, '2027-10-02', 'Finale', {
        fresh: ['front pads', 'front rotors'],
        mostSets: 2,
        entry: 240,
      }),
    },
  },
];
