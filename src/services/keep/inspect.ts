import { type AxleName, SIDES, WHEELS, type WheelName, wheelOf } from '../../core';
import {
  type Car,
  type EntryOf,
  type LogEntry,
  type PartSet,
  type Project,
  placeOf,
  type WheelFound,
} from '../../model';
import type { InspectionFinding, Weight } from './finding';
import { entriesOf } from './logbook';
import { asInches } from './otherUnit';
import { thinnest } from './wearHistory';

/** Difference that is more than a reading's scatter, mm (own choice): pads' ends, inner and outer, left and right. */
const TAPER = 0.8;
const INNER_OUTER = 1;
const LEFT_RIGHT = 1;
/** Thickness of a rotor round its ring, and its runout, mm: what is felt in the pedal (common practice, from memory). */
const UNEVEN = 0.02;
const RUNOUT = 0.1;
const GROWTH = 0.2;
/** A crack of the face that is no longer a heat check, mm (own choice; the maker's or the event's own figure comes first). */
const LONG_CRACK = 10;
/** Thicker by more than a reading's error: another part, or another unit. */
const THICKER = 0.4;
const ROTOR_THICKER = 0.08;

const PARTS = ['inner', 'outer', 'rotor'] as const;
type PartName = (typeof PARTS)[number];
const kindOf = (part: PartName): PartSet['kind'] => (part === 'rotor' ? 'rotors' : 'pads');
const axleName = (wheel: WheelName): AxleName => (wheel.startsWith('front') ? 'front' : 'rear');
const mmOf = (found: WheelFound | undefined, part: PartName) =>
  thinnest(found, part === 'rotor' ? null : part);

/** The set a wheel's pads or rotor belong to. */
const setAt = (project: Project, entry: EntryOf<'inspection'>, wheel: WheelName, kind: PartSet['kind']) => {
  return project.sets.find(({ id }) => id === entry.sets[placeOf({ axle: axleName(wheel), kind })]) ?? null;
};

/** Least thickness of a wheel's part: of its set, else of the car's maker; null where none was entered. */
function leastOf(project: Project, car: Car, entry: EntryOf<'inspection'>, wheel: WheelName, part: PartName) {
  const set = setAt(project, entry, wheel, kindOf(part));
  if (set) return set.minimumMm;
  const own = car.workshop[axleName(wheel)];
  return part === 'rotor' ? own.rotorMinimumMm : own.padMinimumMm;
}

/** The same part when it was new, mm. */
function newOf(project: Project, car: Car, entry: EntryOf<'inspection'>, wheel: WheelName, part: PartName) {
  const { newPadMm, rotor, drum } = car[axleName(wheel)];
  const set = setAt(project, entry, wheel, kindOf(part));
  return set?.newMm ?? (part === 'rotor' ? (drum?.rimThicknessMm ?? rotor.thicknessMm) : newPadMm);
}

/** The same part as it was measured last before. */
function before(
  entries: readonly LogEntry[],
  entry: EntryOf<'inspection'>,
  wheel: WheelName,
  part: PartName,
) {
  const place = placeOf({ axle: axleName(wheel), kind: kindOf(part) });
  const at = entries.findIndex(({ id }) => id === entry.id);
  const earlier = at < 0 ? entries : entries.slice(0, at);
  for (const own of [...earlier].reverse()) {
    if (own.kind !== 'inspection' || own.sets[place] !== entry.sets[place]) continue;
    const mm = mmOf(own.wheels[wheel], part);
    if (mm !== null) return mm;
  }
  return null;
}

interface Looked {
  readonly project: Project;
  readonly car: Car;
  readonly entries: readonly LogEntry[];
  readonly entry: EntryOf<'inspection'>;
}

/** How a thickness stands to its minimum. */
function thinWeight(mm: number, leastMm: number | null, part: PartName): Weight {
  if (leastMm === null) return 'watch';
  if (mm < leastMm) return 'stop';
  return mm < leastMm + (part === 'rotor' ? 0.3 : 1.5) ? 'watch' : 'fine';
}

/** Thickness of a wheel's pads and rotor against their minimum and the last time. */
const ofThickness = ({ project, car, entries, entry }: Looked, wheel: WheelName): InspectionFinding[] =>
  PARTS.flatMap((part): InspectionFinding[] => {
    const mm = mmOf(entry.wheels[wheel], part);
    if (mm === null) return [];
    const leastMm = leastOf(project, car, entry, wheel, part);
    const thin: InspectionFinding = {
      kind: 'thin',
      weight: thinWeight(mm, leastMm, part),
      wheel,
      part,
      mm,
      leastMm,
    };
    const last = before(entries, entry, wheel, part);
    const asReadMm = asInches(mm, last ?? newOf(project, car, entry, wheel, part));
    if (asReadMm !== null)
      return [thin, { kind: 'reads like inches', weight: 'watch', wheel, part, mm, asReadMm }];
    const more = part === 'rotor' ? ROTOR_THICKER : THICKER;
    if (last === null || mm <= last + more) return [thin];
    return [thin, { kind: 'thicker than before', weight: 'watch', wheel, part, mm, beforeMm: last }];
  });

/** The two ends of each pad, and the two pads of a caliper, against each other. */
function ofPads(car: Car, found: WheelFound, wheel: WheelName): InspectionFinding[] {
  const ends = {
    inner: [found.innerLeadingMm, found.innerTrailingMm],
    outer: [found.outerLeadingMm, found.outerTrailingMm],
  } as const;
  const list = (['inner', 'outer'] as const).flatMap((pad): InspectionFinding[] => {
    const [a, b] = ends[pad];
    if (a === null || b === null || Math.abs(a - b) < TAPER) return [];
    return [{ kind: 'taper', weight: 'watch', wheel, pad, mm: Math.abs(a - b) }];
  });
  const [inner, outer] = [mmOf(found, 'inner'), mmOf(found, 'outer')];
  if (inner === null || outer === null || Math.abs(inner - outer) < INNER_OUTER) return list;
  const sliding = car[axleName(wheel)].caliper.kind === 'sliding';
  const thinner = inner < outer ? 'inner' : 'outer';
  return [
    ...list,
    { kind: 'inner and outer', weight: 'renew', wheel, thinner, mm: Math.abs(inner - outer), sliding },
  ];
}

function ofWheel(looked: Looked, wheel: WheelName): InspectionFinding[] {
  const found = looked.entry.wheels[wheel];
  if (!found) return [];
  return [
    ...ofThickness(looked, wheel),
    ...ofPads(looked.car, found, wheel),
    ...ofRotor(found, wheel),
    ...ofStates(found, wheel),
  ];
}

function ofRotor(found: WheelFound, wheel: WheelName): InspectionFinding[] {
  const list: InspectionFinding[] = [];
  const { rotorMm, runoutMm, growthMm, cracks } = found;
  const uneven = rotorMm.length > 1 ? Math.max(...rotorMm) - Math.min(...rotorMm) : 0;
  if (uneven > UNEVEN + 1e-9) list.push({ kind: 'uneven rotor', weight: 'watch', wheel, mm: uneven });
  if (runoutMm !== null && runoutMm > RUNOUT)
    list.push({ kind: 'runout', weight: 'renew', wheel, mm: runoutMm });
  if (growthMm !== null && growthMm > GROWTH)
    list.push({ kind: 'growth', weight: 'watch', wheel, mm: growthMm });
  for (const { place, lengthMm: mm, toEdge, joins } of cracks) {
    const why = toEdge
      ? 'edge'
      : joins
        ? 'joins'
        : place === 'bell'
          ? 'bell'
          : mm >= LONG_CRACK
            ? 'long'
            : 'short';
    const weight = why === 'short' ? 'watch' : why === 'long' ? 'renew' : 'stop';
    list.push({ kind: 'crack', weight, wheel, place, mm, why });
  }
  if (found.smear) list.push({ kind: 'smear', weight: 'watch', wheel });
  if (found.blueSpots) list.push({ kind: 'blue spots', weight: 'watch', wheel });
  return list;
}

const STATE_WEIGHTS: Readonly<Record<string, Weight>> = {
  stiff: 'renew',
  stuck: 'stop',
  torn: 'renew',
  burnt: 'renew',
  chafed: 'renew',
  melted: 'stop',
  bulging: 'stop',
  leaking: 'stop',
  loose: 'renew',
  gone: 'renew',
  minimum: 'watch',
  'under minimum': 'stop',
  weeping: 'stop',
  dripping: 'stop',
};

const ofStates = (found: WheelFound, wheel: WheelName): InspectionFinding[] =>
  (['slides', 'boots', 'leads', 'hose', 'sleeves'] as const).flatMap((kind): InspectionFinding[] => {
    const weight = STATE_WEIGHTS[found[kind]];
    return weight ? [{ kind, weight, wheel, state: found[kind] }] : [];
  });

/** Left against right of each axle: the thinner pads, by more than readings scatter. */
const leftWithRight = (entry: EntryOf<'inspection'>): InspectionFinding[] =>
  (['front', 'rear'] as const).flatMap((axle): InspectionFinding[] => {
    const sides = SIDES.map((side) => {
      const wheel = wheelOf(axle, side);
      const found = entry.wheels[wheel];
      const known = [mmOf(found, 'inner'), mmOf(found, 'outer')].filter((mm): mm is number => mm !== null);
      return { wheel, mm: known.length > 0 ? Math.min(...known) : null };
    });
    const [left, right] = sides;
    if (left.mm === null || right.mm === null || Math.abs(left.mm - right.mm) < LEFT_RIGHT) return [];
    const thinner = left.mm < right.mm ? left.wheel : right.wheel;
    return [{ kind: 'left and right', weight: 'watch', axle, thinner, mm: Math.abs(left.mm - right.mm) }];
  });

const ORDER: Readonly<Record<Weight, number>> = { stop: 0, renew: 1, watch: 2, fine: 3 };

/** All that an inspection tells, what must not be driven on first. Whatever was not looked at is said, never taken as whole. */
export function findingsOf(
  project: Project,
  car: Car,
  entry: EntryOf<'inspection'>,
): readonly InspectionFinding[] {
  const entries = entriesOf(project, car.id);
  const { level, leaks, colour } = entry.fluid;
  const fluid: InspectionFinding[] = [
    ...(STATE_WEIGHTS[level] ? [{ kind: 'level' as const, weight: STATE_WEIGHTS[level], state: level }] : []),
    ...(STATE_WEIGHTS[leaks] ? [{ kind: 'leaks' as const, weight: STATE_WEIGHTS[leaks], state: leaks }] : []),
    ...(colour !== null ? [{ kind: 'colour' as const, weight: 'fine' as const, state: colour }] : []),
  ];
  const list = [
    ...WHEELS.flatMap((wheel) => ofWheel({ project, car, entries, entry }, wheel)),
    ...leftWithRight(entry),
    ...fluid,
  ];
  const missing = WHEELS.filter((wheel) => PARTS.some((part) => mmOf(entry.wheels[wheel], part) === null));
  const unseen = [
    ...missing,
    ...(level === 'not looked at' ? ['fluid level'] : []),
    ...(leaks === 'not looked at' ? ['leaks'] : []),
  ];
  if (unseen.length > 0) list.push({ kind: 'not looked at', weight: 'watch', what: unseen });
  return list.sort((a, b) => ORDER[a.weight] - ORDER[b.weight]);
}
