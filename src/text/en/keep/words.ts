import {
  type EntryKind,
  type EntryOf,
  type EventSession,
  type FluidDeed,
  type FluidSchool,
  formatQuantity,
  type LogEntry,
  type SessionKind,
  type SetPlace,
  type StoredLoad,
  type UnitChoice,
  unitOf,
} from '../../../model';
import type { ChoiceReason, EntryDoubt, ToOrder, WearPlace } from '../../../services';
import { WHEEL_NAMES } from '../observations';

export const ENTRY_KIND_TEXT: Readonly<Record<EntryKind, string>> = {
  session: 'Session',
  inspection: 'Inspection',
  fluid: 'Fluid',
  fitted: 'Fitted',
  note: 'Note or incident',
};

export const FLUID_DEED_TEXT: Readonly<Record<FluidDeed, string>> = {
  renewed: 'Renewed',
  bled: 'Bled',
  strip: 'Test strip (copper)',
  refractometer: 'Refractometer (water)',
  'boil test': 'Boil test',
  'over temperature': 'Boiled or over temperature',
};

export const SCHOOL_TEXT: Readonly<Record<FluidSchool, string>> = {
  'boiling point': 'by its boiling point alone',
  'every year': 'by its boiling point, and every year',
  'two years': 'by its boiling point, and every two years',
  'each event': 'before each event',
};

export const SESSION_KIND_TEXT: Readonly<Record<SessionKind, string>> = {
  practice: 'practice',
  qualifying: 'qualifying',
  race: 'race',
  'track day': 'track day',
  test: 'test',
};

export const PLACE_TEXT: Readonly<Record<SetPlace, string>> = {
  'front pads': 'Front pads',
  'front rotors': 'Front rotors',
  'rear pads': 'Rear pads',
  'rear rotors': 'Rear rotors',
};

/** A thickness as it is measured: hundredths of a millimetre, thousandths of an inch. */
export const thicknessText = (mm: number, units: UnitChoice): string =>
  formatQuantity(mm, 'smallLength', units, unitOf('smallLength', units).label === 'mm' ? 2 : 3);

/** A pad or rotor as it is called in a sentence: “front left inner pad”. */
export const pieceText = ({ wheel, pad }: WearPlace): string =>
  `${WHEEL_NAMES[wheel]} ${pad === null ? 'rotor' : `${pad} pad`}`;

export const REASON_TEXT: Readonly<Record<ChoiceReason, string>> = {
  'only one': 'no other set has the life left for it',
  'fresh wanted': 'a new set is wanted for this session',
  'kept fresh for later': 'used here, so that a new one is left for later',
  'less risk': 'less risk of wearing out',
  'less wear': 'least worth of wear',
  'not bought': 'saves buying a set',
  'no change': 'saves changing sets',
  'used for practice': 'a used set is enough for practice',
  'as good as any': 'another set would do as well',
  'not asked': 'part of the cheapest whole',
  missing: 'no set can serve it',
};

export const entryDoubtText = (doubt: EntryDoubt, units: UnitChoice): string => {
  const degrees = (celsius: number) => formatQuantity(celsius, 'temperature', units);
  switch (doubt.kind) {
    case 'before bought':
      return `${doubt.set} was bought on ${doubt.boughtOn}, after this day. Is the date right?`;
    case 'after retired':
      return `${doubt.set} was retired on ${doubt.retiredOn}, before this day. Is it another set?`;
    case 'wrong place':
      return `${doubt.set} is no set of ${PLACE_TEXT[doubt.place].toLowerCase()}.`;
    case 'boils over dry':
      return `${degrees(doubt.boilingC)} is over what this fluid boils at new and dry (${degrees(doubt.dryC)}). Was it read in °F? Then it is ${degrees(doubt.asReadC)}.`;
    case 'no such set':
      return `The set named for the ${PLACE_TEXT[doubt.place].toLowerCase()} is no longer on the list.`;
  }
};

const energyOf = (load: StoredLoad): number =>
  Object.values(load).reduce((sum, { energyMj }) => sum + energyMj, 0);

/** What is known of a line besides what it says itself. */
interface KnownOfEntry {
  readonly load: StoredLoad | null;
  readonly byLog: boolean;
  readonly planned: EventSession | null;
}

function sessionSummary(
  entry: EntryOf<'session'>,
  { load, byLog, planned }: KnownOfEntry,
  units: UnitChoice,
): string {
  const asPlanned = planned ? ` (${planned.hotLaps} planned)` : '';
  const laps = `${entry.hotLaps} hot ${entry.hotLaps === 1 ? 'lap' : 'laps'}${asPlanned}`;
  const by = byLog ? ' by its log' : entry.log ? ' by the plan’s laps, not its log' : '';
  const heat = load ? `, ${formatQuantity(energyOf(load), 'largeEnergy', units)} into the brakes${by}` : '';
  const felt = [
    ...(entry.pedal === 'firm' ? [] : [`pedal ${entry.pedal}`]),
    ...entry.symptoms.filter((symptom) => symptom !== 'long pedal' || entry.pedal === 'firm'),
  ];
  return `${laps}, ${entry.track}${heat}${felt.length > 0 ? `; ${felt.join(', ')}` : ''}`;
}

function fluidSummary(entry: EntryOf<'fluid'>, units: UnitChoice): string {
  const { deed, copperPpm, waterPercent, newPercent, boilingC, usedCm3 } = entry;
  const figures = [
    ...(copperPpm === null ? [] : [`copper ${copperPpm} ppm`]),
    ...(waterPercent === null ? [] : [`water ${waterPercent} %`]),
    ...(newPercent === null ? [] : [`${newPercent} % new in the calipers`]),
    ...(usedCm3 === null ? [] : [`${formatQuantity(usedCm3, 'volume', units)} used`]),
    ...(boilingC === null ? [] : [formatQuantity(boilingC, 'temperature', units)]),
  ];
  return [FLUID_DEED_TEXT[deed], ...figures].join(': ');
}

/** A line of the logbook in a few words. */
export function entrySummary(entry: LogEntry, units: UnitChoice, known: KnownOfEntry): string {
  switch (entry.kind) {
    case 'session':
      return sessionSummary(entry, known, units);
    case 'fluid':
      return fluidSummary(entry, units);
    case 'inspection': {
      const wheels = Object.keys(entry.wheels).length;
      return `${wheels} ${wheels === 1 ? 'wheel' : 'wheels'} looked at`;
    }
    case 'fitted': {
      const on = Object.values(entry.sets).filter((id) => id !== null).length;
      return `${on} ${on === 1 ? 'set' : 'sets'} fitted${entry.swapped ? ', left and right exchanged' : ''}`;
    }
    case 'note':
      return entry.incident ? 'Incident' : 'Note';
  }
}

/** What is to be ordered. */
export const orderText = ({ what, rings }: Pick<ToOrder, 'what' | 'rings'>): string =>
  what === 'brake fluid'
    ? 'Brake fluid for a renewal'
    : `${PLACE_TEXT[what]}${rings ? ', rings for their bells' : ''}`;
