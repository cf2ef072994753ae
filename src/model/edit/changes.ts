import { say } from '../../text/en/say/model';
import { type AppliedCalibration, afterChange, calibrationOf } from '../calibration/applied';
import { BUILT_IN } from '../catalogue/builtIn';
import { type Axle, fitPart } from '../catalogue/choices';
import { VANES } from '../catalogue/parts';
import { gripOf, TYRE_KINDS } from '../catalogue/tyres';
import { issueProblem } from '../file/readProject';
import { formatQuantity, type UnitChoice } from '../quantity/units';
import { type Car, carSchema } from '../schema/car';
import type { Change, SetupVariant } from '../schema/compare';
import type { Part } from '../schema/part';
import type { Project } from '../schema/project';
import { withFrontShare } from '../toCore/chain';
import { type Setup, setupOf } from '../toCore/toCore';

/** The part behind an id, built-in or the project's own. @throws RangeError for an unknown id */
export function partOf(id: string, parts: readonly Part[]): Part {
  const part = [...BUILT_IN, ...parts].find((p) => p.id === id);
  if (!part) throw new RangeError(say.thereNoPartShelf(id));
  return part;
}

const PER_CAR = ['fluid', 'line'];
/** Whether a part is for one axle; others are for the car. */
export const isForAxle = (part: Pick<Part, 'kind'>): boolean => !PER_CAR.includes(part.kind);

const onAxle = (car: Car, axle: Axle, change: Partial<Car['front']>): Car => ({
  ...car,
  [axle]: { ...car[axle], ...change },
});

/** A car with one change made. @throws RangeError for a part that is not there */
export function withChange(car: Car, change: Change, parts: readonly Part[]): Car {
  switch (change.kind) {
    case 'part': {
      const part = partOf(change.part, parts);
      const fitted = fitPart(car, part, change.axle);
      if (part.kind !== 'pad') return fitted;
      // What is bought is new.
      return onAxle(fitted, change.axle, { padThicknessMm: car[change.axle].newPadMm });
    }
    case 'duct':
      return onAxle(car, change.axle, {
        ductAreaCm2: change.areaCm2,
        rightDuctAreaCm2: null,
      });
    case 'tape':
      return onAxle(car, change.axle, { blankedOffPercent: change.percent });
    case 'shield':
      return onAxle(car, change.axle, { shieldPercent: change.percent });
    case 'vanes':
      return onAxle(car, change.axle, {
        rotor: { ...car[change.axle].rotor, vaneType: change.vaneType },
      });
    case 'thickness':
      return onAxle(car, change.axle, {
        rotor: { ...car[change.axle].rotor, thicknessMm: change.thicknessMm, weighedKg: null },
      });
    case 'tyres':
      return { ...car, tyres: { ...car.tyres, ...gripOf(change.tyres) } };
    case 'mass':
      return { ...car, massKg: change.massKg };
    case 'balance':
      return withFrontShare(car, change.frontSharePercent, parts);
  }
}

/** A setup with changes made to its car, one after the other. */
export function withChanges<S extends Pick<Setup, 'car' | 'parts'> & Partial<Pick<Setup, 'calibration'>>>(
  setup: S,
  changes: readonly Change[],
): S {
  const car = changes.reduce((now, change) => withChange(now, change, setup.parts), setup.car);
  const { calibration } = setup;
  return { ...setup, car, ...(calibration && { calibration: afterChange(calibration, setup.car, car) }) };
}

/** What a change sets: two that set the same cannot both stand. */
function setBy(change: Change, parts: readonly Part[]): string {
  switch (change.kind) {
    case 'tyres':
    case 'mass':
    case 'balance':
      return change.kind;
    case 'part': {
      const part = [...BUILT_IN, ...parts].find((p) => p.id === change.part);
      if (!part) return change.part;
      return isForAxle(part) ? `${change.axle} ${part.kind}` : part.kind;
    }
    default:
      return `${change.axle} ${change.kind}`;
  }
}

/** Changes with one more, which takes the place of those that it undoes. */
export function withOneMore(changes: readonly Change[], more: Change, parts: readonly Part[]): Change[] {
  const set = setBy(more, parts);
  const undone = [set];
  // Another rotor comes with its own vanes and thickness.
  if (more.kind === 'part' && set.endsWith(' rotor')) {
    undone.push(`${more.axle} vanes`, `${more.axle} thickness`);
  }
  return [...changes.filter((change) => !undone.includes(setBy(change, parts))), more];
}

/** Why changes cannot be made together, in words; null when they can. */
export function changesProblem(setup: Setup, changes: readonly Change[]): string | null {
  const checked = carSchema.safeParse(withChanges(setup, changes).car);
  if (checked.success) return null;
  const { path, message } = issueProblem(checked.error.issues[0]);
  return `${path} ${message}`;
}

/** Cars made of variants: as long as nothing of one changes it stays the same object, and what is known of it is known. */
const made = new WeakMap<
  SetupVariant,
  {
    readonly of: Car;
    readonly parts: readonly Part[];
    readonly measured: AppliedCalibration | null;
    readonly car: Car;
    readonly calibration: AppliedCalibration | null;
  }
>();

/** A plan's variant as a setup on the plan's own laps. */
export function variantSetup(project: Project, planId: string, variant: SetupVariant): Setup {
  const base = setupOf(project, planId);
  const of = project.cars.find((c) => c.id === variant.carId) ?? base.car;
  // What was measured of another car goes with it.
  const calibration = of === base.car ? base.calibration : calibrationOf(project, of);
  const known = made.get(variant);
  if (known && known.of === of && known.parts === base.parts && known.measured === calibration) {
    return { ...base, car: known.car, calibration: known.calibration };
  }
  const changed = withChanges({ ...base, car: of, calibration }, variant.changes);
  made.set(variant, {
    of,
    parts: base.parts,
    measured: calibration,
    car: changed.car,
    calibration: changed.calibration,
  });
  return changed;
}

/** A change in words: "front pads: Clubday sintered blend". */
export function changeWords(change: Change, parts: readonly Part[], units: UnitChoice): string {
  const axle = 'axle' in change ? change.axle : '';
  switch (change.kind) {
    case 'part': {
      const part = [...BUILT_IN, ...parts].find((p) => p.id === change.part);
      if (!part) return `a part that is gone (${change.part})`;
      const noun = { rotor: 'rotors', pad: 'pads', caliper: 'calipers', duct: 'ducts' }[part.kind as string];
      return noun ? `${axle} ${noun}: ${part.name}` : part.name;
    }
    case 'duct':
      return `${axle} ducts of ${formatQuantity(change.areaCm2, 'area', units, 0)}`;
    case 'tape':
      return `${axle} ducts ${change.percent} % blanked off`;
    case 'shield':
      return change.percent === 0
        ? `${axle} dust shields off`
        : `${axle} dust shields over ${change.percent} %`;
    case 'vanes':
      return `${axle} vanes: ${VANES[change.vaneType].name.toLowerCase()}`;
    case 'thickness':
      return `${axle} rotors ${formatQuantity(change.thicknessMm, 'smallLength', units)} thick`;
    case 'tyres':
      return TYRE_KINDS[change.tyres].name.toLowerCase();
    case 'mass':
      return `mass ${formatQuantity(change.massKg, 'mass', units, 0)}`;
    case 'balance':
      return `brake balance ${change.frontSharePercent} %`;
  }
}
