import { fromSi, toSi } from '../quantity/units';
import type { Car } from '../schema/car';
import type { CircuitZone } from '../schema/circuit';

const GRAVITY = 9.80665;
/** Of air at sea level, kg/m³. */
const DENSITY = 1.2;
/** Share of the tyres' grip that braking uses where nothing says how long it is (common practice). */
const USUAL_SHARE = 0.82;

/** Most that a car's tyres and its drag can slow it at a speed, m/s². @param kmh road speed */
export function tyreDeceleration(car: Car, kmh: number): number {
  const pressure = 0.5 * DENSITY * toSi(kmh, 'speed') ** 2;
  const grip = car.tyres.longitudinalGrip * (GRAVITY + (pressure * car.downforceAreaM2) / car.massKg);
  return grip + (pressure * car.dragAreaM2) / car.massKg;
}

/** Mean deceleration from one speed to another over a length, m/s². @param entryKmh @param exitKmh km/h @param metres m */
export const meanDeceleration = (entryKmh: number, exitKmh: number, metres: number): number =>
  (toSi(entryKmh, 'speed') ** 2 - toSi(exitKmh, 'speed') ** 2) / (2 * metres);

/**
 * Power that getting from one speed to another over a length takes on the average, without any drag, W.
 * @param fromKmh @param toKmh km/h @param metres m
 */
export function powerBetween(car: Car, fromKmh: number, toKmh: number, metres: number): number {
  const [from, to] = [toSi(fromKmh, 'speed'), toSi(toKmh, 'speed')];
  return (0.5 * car.massKg * (to ** 2 - from ** 2) * (from + to)) / (2 * metres);
}

/** A braking zone as it is typed: over a length where one is known, else as hard as the car's driver usually brakes. */
export function zoneFromTyped(
  car: Car,
  typed: {
    readonly name: string;
    readonly entryKmh: number;
    readonly exitKmh: number;
    readonly overM: number | null;
    readonly nextM: number;
  },
  number: number,
): CircuitZone {
  const { name, entryKmh, exitKmh, overM, nextM } = typed;
  const usual = USUAL_SHARE * tyreDeceleration(car, (entryKmh + exitKmh) / 2);
  const round = (value: number) => Math.round(100 * value) / 100;
  const hard = overM === null ? usual : meanDeceleration(entryKmh, exitKmh, overM);
  const metres = overM ?? meanDeceleration(entryKmh, exitKmh, 1) / usual;
  return {
    name: name || `Braking zone ${number}`,
    entryKmh,
    exitKmh,
    by: overM === null ? 'deceleration' : 'distance',
    distanceM: Math.max(1, round(metres)),
    decelerationMs2: Math.min(60, Math.max(0.2, round(hard))),
    toNextM: nextM,
    timeToNextS: null,
    gradePercent: 0,
  };
}

/** How many g a deceleration is, to one decimal. @param deceleration m/s² */
export const inG = (deceleration: number): string =>
  (fromSi(deceleration, 'deceleration') / GRAVITY).toFixed(1);
