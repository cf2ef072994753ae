import { rotorGeometry } from '../../core';
import { originOf, valuesOf } from '../edit/origins';
import { getAt, infoAt, labelAt, type Path, SCHEMAS, setAt } from '../schema/paths';
import { cornerOf } from '../toCore/corner';
import type { Setup } from '../toCore/toCore';
import { fluidBoilingPointC } from '../toCore/toCore';

/** How a value that nobody looked at is found out. */
export type FindBy =
  | 'weigh'
  | 'tape'
  | 'caliper'
  | 'papers'
  | 'box'
  | 'boil-test'
  | 'temperatures'
  | 'look'
  | 'driver'
  | 'log';

/** A value that may be off, and what it may be instead. */
export interface Doubt {
  readonly shelf: 'cars' | 'plans';
  /** Where it is typed */
  readonly path: Path;
  readonly title: string;
  readonly by: FindBy;
  /** The setup with the value at either end of its usual range */
  readonly low: Setup;
  readonly high: Setup;
}

type Spread =
  /** Of itself */
  | { readonly share: number }
  /** Added to it, stored units */
  | { readonly plus: number }
  /** Whatever it is */
  | { readonly ends: readonly [number | string, number | string] };

interface Doubted {
  readonly shelf: 'cars' | 'plans';
  readonly path: Path;
  readonly by: FindBy;
  readonly spread: Spread;
}

const car = (path: string, by: FindBy, spread: Spread): Doubted => ({
  shelf: 'cars',
  path: path.split('.'),
  by,
  spread,
});
const plan = (path: string, by: FindBy, spread: Spread): Doubted => ({
  shelf: 'plans',
  path: path.split('.'),
  by,
  spread,
});
const axle = (path: string, by: FindBy, spread: Spread) => [
  car(`front.${path}`, by, spread),
  car(`rear.${path}`, by, spread),
];

/** How far values of cars are usually off while they are assumed: half widths and ends from memory. */
const DOUBTED: readonly Doubted[] = [
  car('massKg', 'weigh', { share: 0.06 }),
  car('powerKw', 'papers', { share: 0.1 }),
  car('dragAreaM2', 'log', { share: 0.15 }),
  car('downforceAreaM2', 'log', { share: 0.3 }),
  car('tyres.longitudinalGrip', 'log', { share: 0.08 }),
  car('tyres.lateralGrip', 'log', { share: 0.08 }),
  car('frontWeightPercent', 'weigh', { plus: 3 }),
  car('engineBrakingN', 'log', { share: 0.5 }),
  car('recovery.powerKw', 'papers', { share: 0.4 }),
  car('fluid.kind', 'box', { ends: ['class-4', 'road-sport'] }),
  car('fluid.ageMonths', 'papers', { ends: [2, 48] }),
  car('pedal.hoseExpansionMm3BarM', 'look', { ends: [4, 16] }),
  ...axle('rotor.thicknessMm', 'caliper', { share: 0.06 }),
  ...axle('rotor.vaneGapMm', 'caliper', { share: 0.25 }),
  ...axle('rotor.outerDiameterMm', 'tape', { share: 0.04 }),
  ...axle('pad', 'box', { ends: ['estate', 'clubday'] }),
  ...axle('padAreaCm2', 'tape', { share: 0.2 }),
  ...axle('padThicknessMm', 'caliper', { ends: [4, 11] }),
  ...axle('caliper.fluidKg', 'look', { share: 0.35 }),
  ...axle('caliper.pistons', 'look', { ends: ['aluminium', 'stainless'] }),
  ...axle('wheelOpenAreaPercent', 'look', { plus: 15 }),
  ...axle('recirculationPercent', 'look', { plus: 15 }),
  ...axle('shieldPercent', 'look', { ends: [0, 80] }),
  ...axle('coolingFactor', 'temperatures', { share: 0.3 }),
  plan('brakingGripUsedPercent', 'driver', { plus: 8 }),
  plan('corneringGripUsedPercent', 'driver', { plus: 6 }),
];

const partOfSetup = (setup: Setup, shelf: Doubted['shelf']) => (shelf === 'cars' ? setup.car : setup.plan);

/** The setup with one value moved; null where it cannot be so. */
function moved(setup: Setup, { shelf, path }: Pick<Doubted, 'shelf' | 'path'>, value: unknown): Setup | null {
  const next = setAt(partOfSetup(setup, shelf), path, value);
  const read = SCHEMAS[shelf].safeParse(next);
  if (!read.success) return null;
  return (shelf === 'cars' ? { ...setup, car: read.data } : { ...setup, plan: read.data }) as Setup;
}

function endsOf(setup: Setup, doubted: Doubted): readonly [unknown, unknown] | null {
  const { shelf, path, spread } = doubted;
  if ('ends' in spread) return spread.ends;
  const now = getAt(partOfSetup(setup, shelf), path);
  if (typeof now !== 'number' || now === 0) return null;
  const by = 'share' in spread ? Math.abs(now) * spread.share : spread.plus;
  const { min, max } = infoAt(shelf, path);
  const kept = (value: number) => Number(Math.min(max, Math.max(min, value)).toPrecision(8));
  return [kept(now - by), kept(now + by)];
}

/** The mass of a rotor that was not weighed, and the boiling point of a fluid that was not tested. */
function unmeasured(setup: Setup): Doubt[] {
  const found: Doubt[] = [];
  const { parts } = setup;
  for (const where of ['front', 'rear'] as const) {
    const brakes = setup.car[where];
    if (brakes.drum || brakes.rotor.weighedKg !== null) continue;
    const corner = cornerOf(brakes, 'left', parts);
    const { cheekMass, vaneMass } = rotorGeometry(corner.rotor);
    const mass = cheekMass + vaneMass + brakes.rotor.hatMassKg;
    const path = [where, 'rotor', 'weighedKg'];
    const [low, high] = [0.93, 1.07].map((share) =>
      moved(setup, { shelf: 'cars', path }, Number((share * mass).toFixed(2))),
    );
    if (low && high)
      found.push({ shelf: 'cars', path, title: labelAt('cars', path), by: 'weigh', low, high });
  }
  if (setup.car.fluid.measuredBoilingC === null) {
    const path = ['fluid', 'measuredBoilingC'];
    const now = fluidBoilingPointC(setup.car, parts);
    const [low, high] = [-20, 8].map((by) => moved(setup, { shelf: 'cars', path }, Math.round(now + by)));
    if (low && high)
      found.push({ shelf: 'cars', path, title: labelAt('cars', path), by: 'boil-test', low, high });
  }
  return found;
}

const isMeasured = ({ calibration }: Setup, id: string): boolean =>
  calibration?.values.some(({ parameter }) => parameter === id) ?? false;

/** Everything about a setup that is assumed and may matter, each with both ends of what it may be. */
export function doubtsOf(setup: Setup): Doubt[] {
  const values = { cars: valuesOf(setup.car), plans: valuesOf(setup.plan) };
  const listed = DOUBTED.flatMap((doubted): Doubt[] => {
    const { shelf, path, by } = doubted;
    const dotted = path.join('.');
    // What was measured of the car is no assumption.
    if (path[1] === 'coolingFactor' && isMeasured(setup, `${path[0]}Cooling`)) return [];
    if (!values[shelf].has(dotted) || originOf(partOfSetup(setup, shelf).origins, dotted) !== 'assumed')
      return [];
    const ends = endsOf(setup, doubted);
    const [low, high] = ends ? ends.map((value) => moved(setup, doubted, value)) : [null, null];
    return low && high ? [{ shelf, path, title: labelAt(shelf, path), by, low, high }] : [];
  });
  return [...unmeasured(setup), ...listed];
}
