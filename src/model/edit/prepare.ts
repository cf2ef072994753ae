/** Edits of the work on a car: a preparation begun, bled, bedded and signed off. */
import { say } from '../../text/en/say/model';
import { fluidOf } from '../catalogue/choices';
import { newEntry } from '../guided/newKeep';
import { toSi } from '../quantity/units';
import type { Car } from '../schema/car';
import type { Change } from '../schema/compare';
import type { EntryOf } from '../schema/logEntry';
import type { Part } from '../schema/part';
import type { Bottle, Done, Preparation } from '../schema/preparation';
import type { Project } from '../schema/project';
import type { KeptState } from '../schema/state';
import type { FittedKey, TorqueKey } from '../schema/workshop';
import { partOf, withChange } from './changes';
import { drawn, withNewFluid } from './fluid';
import { putEntry } from './keep';

const AXLES = ['front', 'rear'] as const;

/** What of a car a change exchanges; null for what is only set. */
export function exchangedBy(change: Change, parts: readonly Part[]): FittedKey | null {
  switch (change.kind) {
    case 'part': {
      const { kind } = partOf(change.part, parts);
      if (kind === 'fluid' || kind === 'cylinder') return kind;
      return kind === 'line' ? 'hoses' : `${change.axle} ${kind}s`;
    }
    case 'duct':
      return `${change.axle} ducts`;
    case 'shield':
      return `${change.axle} shields`;
    case 'vanes':
    case 'thickness':
      return `${change.axle} rotors`;
    case 'tyres':
      return 'tyres';
    default:
      return null;
  }
}

/** Of what a part is exchanged its maker's figures are not known any more. */
function withoutFigures(car: Car, key: FittedKey): Car {
  const axle = AXLES.find((name) => key.startsWith(name));
  if (!axle) return car;
  const { workshop } = car;
  const own = workshop[axle];
  if (key.endsWith('rotors'))
    return { ...car, workshop: { ...workshop, [axle]: { ...own, rotorMinimumMm: null } } };
  if (key.endsWith('pads'))
    return { ...car, workshop: { ...workshop, [axle]: { ...own, padMinimumMm: null } } };
  if (!key.endsWith('calipers')) return car;
  const gone: readonly TorqueKey[] = [
    `${axle} caliper bolts`,
    `${axle} guide pins`,
    `${axle} hose union`,
    `${axle} bleed screws`,
  ];
  const torques = Object.fromEntries(
    Object.entries(workshop.torques).filter(([torque]) => !gone.includes(torque as TorqueKey)),
  );
  return { ...car, workshop: { ...workshop, torques } };
}

/** A car with a preparation's changes made to it on a day: what is new is not bedded, and its day is kept. */
export function preparedCar(
  car: Car,
  { changes, protections }: Pick<Preparation, 'changes' | 'protections'>,
  date: string,
  parts: readonly Part[],
): Car {
  let next = car;
  for (const change of changes) {
    next = withChange(next, change, parts);
    const key = exchangedBy(change, parts);
    if (!key) continue;
    next = withoutFigures({ ...next, fitted: { ...next.fitted, [key]: date } }, key);
    const axle = AXLES.find((name) => key === `${name} pads` || key === `${name} rotors`);
    if (axle) next = { ...next, [axle]: { ...next[axle], beddedPercent: 0 } };
  }
  const exposed = next.exposed.map((part) => {
    const own = protections.find((protection) => protection.part === part.id);
    if (!own) return part;
    return own.kind === 'moved'
      ? { ...part, distanceMm: Math.max(part.distanceMm, part.movedMm) }
      : { ...part, protection: own.kind };
  });
  return { ...next, exposed };
}

export const addPreparation = (project: Project, preparation: Preparation): Project => ({
  ...project,
  preparations: [...project.preparations, preparation],
});

const changePreparation = (
  project: Project,
  id: string,
  change: (preparation: Preparation) => Preparation,
): Project => ({
  ...project,
  preparations: project.preparations.map((own) => (own.id === id ? change(own) : own)),
});

/** Ticks a step, or takes the tick away. */
export const tickStep = (project: Project, id: string, step: string, done: Done | null): Project =>
  changePreparation(project, id, (preparation) => {
    const { [step]: _gone, ...others } = preparation.ticks;
    return { ...preparation, ticks: done ? { ...others, [step]: done } : others };
  });

/** What was drawn at a bleed screw so far. @param cm3 in all */
export const drawAt = (project: Project, id: string, screw: string, cm3: number): Project =>
  changePreparation(project, id, (preparation) => ({
    ...preparation,
    bleed: { ...preparation.bleed, drawn: { ...preparation.bleed.drawn, [screw]: Math.max(0, cm3) } },
  }));

/** Whether two fluids may never meet: glycol and silicone. */
export function neverMix(before: string, after: string, parts: readonly Part[]): boolean {
  return fluidOf(before, parts).silicone !== fluidOf(after, parts).silicone;
}

/** Why a preparation cannot be signed off, in words; null where it can. */
export function signObstacle(preparation: Preparation, car: Car, parts: readonly Part[]): string | null {
  const after = preparedCar(car, preparation, preparation.date, parts);
  if (neverMix(car.fluid.kind, after.fluid.kind, parts)) return say.neverMixFluids;
  for (const axle of AXLES) {
    const { vaneType } = after[axle].rotor;
    if (after[axle].drum || !vaneType.startsWith('curved')) continue;
    const { [`${axle}Left` as const]: left, [`${axle}Right` as const]: right } = preparation.found;
    if (left.rotorHand !== null && left.rotorHand === right.rotorHand)
      return say.sameHandTwice(axle, left.rotorHand);
  }
  return null;
}

/**
 * Signs a preparation off: the car has what was wanted, with its day.
 * @throws RangeError for what must never be together
 */
export function signOff(project: Project, id: string, done: Done): Project {
  const preparation = project.preparations.find((own) => own.id === id);
  const car = project.cars.find((own) => own.id === preparation?.carId);
  if (!preparation || !car || preparation.signed) return project;
  const obstacle = signObstacle(preparation, car, project.parts);
  if (obstacle) throw new RangeError(obstacle);
  const after = preparedCar(car, preparation, done.at.slice(0, 10), project.parts);
  const signed = changePreparation(project, id, (own) => ({ ...own, before: car, signed: done }));
  return { ...signed, cars: signed.cars.map((own) => (own.id === car.id ? after : own)) };
}

/** The logbook's line of a system that was filled anew. */
function bledEntry(
  { id, carId, name }: Preparation,
  { by, at }: Done,
  used: Readonly<Record<string, number>>,
): EntryOf<'fluid'> {
  const all = Object.values(used).reduce((sum, cm3) => sum + cm3, 0);
  return {
    ...newEntry('fluid', {
      id: `bled-${id}-${at.replace(/\W/g, '')}`.slice(0, 60),
      carId,
      date: at.slice(0, 10),
    }),
    name,
    time: at.slice(11, 16),
    by: by.slice(0, 60),
    deed: 'renewed',
    bottleId: Object.keys(used)[0] ?? null,
    usedCm3: Object.keys(used).length > 0 ? Math.min(25_000, all) : null,
  };
}

/**
 * The system is full of new fluid: its age begins anew, what was filled in is gone from the shelf, the logbook says so.
 * @param used from each bottle, cm³ by its id
 */
export function finishBleeding(
  project: Project,
  id: string,
  done: Done,
  used: Readonly<Record<string, number>>,
): Project {
  const preparation = project.preparations.find((own) => own.id === id);
  if (!preparation) return project;
  const whole = preparation.bleed.wanted === 'all';
  const day = done.at.slice(0, 10);
  const next = changePreparation(project, id, (own) => ({
    ...own,
    bleed: { ...own.bleed, finished: done },
    ticks: { ...own.ticks, bleed: done },
  }));
  return {
    ...next,
    bottles: drawn(next.bottles, used, day),
    cars: next.cars.map((car) => (car.id === preparation.carId && whole ? withNewFluid(car, day, day) : car)),
    entries: whole ? putEntry(next, bledEntry(preparation, done, used)).entries : next.entries,
  };
}

/** Writes down what was driven of a bedding run: into the preparation, the car, and the brakes as it left them. */
export function keepBedding(
  project: Project,
  id: string,
  outcome: NonNullable<Preparation['bed']['outcome']>,
  state: KeptState,
): Project {
  const next = changePreparation(project, id, (own) => ({
    ...own,
    bed: { ...own.bed, outcome },
    ticks: { ...own.ticks, 'bed in': outcome.done },
  }));
  return {
    ...next,
    states: [...next.states, state],
    cars: next.cars.map((car) =>
      car.id === state.carId
        ? {
            ...car,
            front: { ...car.front, beddedPercent: outcome.frontPercent },
            rear: { ...car.rear, beddedPercent: outcome.rearPercent },
          }
        : car,
    ),
  };
}

export const addBottle = (project: Project, bottle: Bottle): Project => ({
  ...project,
  bottles: [...project.bottles, bottle],
});

/** Months between two days, by their dates. */
const monthsBetween = (from: string, to: string) => (Date.parse(to) - Date.parse(from)) / 1000;

/** Whether a bottle may still be filled in on a day: sealed, or not open longer than it is kept. */
export const isUsable = ({ openedOn, keepMonths }: Bottle, date: string): boolean =>
  openedOn === null || monthsBetween(openedOn, date) <= toSi(keepMonths, 'months');
