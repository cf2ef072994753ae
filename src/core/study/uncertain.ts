import type { AxleInput, Corner } from '../brake';
import { normalQuantile } from '../numeric';
import type { DayInput } from '../schedule';

/** What can be uncertain about a day. */
export const UNCERTAIN_INPUTS = [
  'frontCooling',
  'rearCooling',
  'frontFriction',
  'rearFriction',
  'mass',
  'padHeat',
  'ambient',
  'fluidState',
  'driver',
] as const;
export type UncertainInput = (typeof UNCERTAIN_INPUTS)[number];

/** How likely values within a range are: all alike, or most in its middle (95 % of them within it). */
export type RangeShape = 'even' | 'bell';

/** One uncertain input: factors on what the day has, or, for temperatures and the mass, what is added to it. */
export interface UncertainRange {
  readonly input: UncertainInput;
  /** Factor, or K, or kg */
  readonly low: number;
  readonly high: number;
  readonly shape: RangeShape;
}

/** Inputs whose range is added; the others multiply. */
export const ADDED: readonly UncertainInput[] = ['mass', 'ambient', 'fluidState'];

/**
 * Value of a range at a place of its distribution.
 * @param place over 0 and under 1
 */
export function valueIn({ low, high, shape }: UncertainRange, place: number): number {
  if (shape === 'even') return low + place * (high - low);
  return 0.5 * (low + high) + ((high - low) / (2 * normalQuantile(0.975))) * normalQuantile(place);
}

const eachCorner = (axle: AxleInput, change: (corner: Corner) => Corner): AxleInput => {
  const left = change(axle.left);
  // What both sides share stays one object, so that they are seen to be alike.
  const right =
    axle.right.pad === axle.left.pad ? { ...left, air: change(axle.right).air } : change(axle.right);
  return { ...axle, left, right };
};

/**
 * A day with one input moved.
 * @param value a factor, or K or kg to be added
 */
export function perturbed(day: DayInput, input: UncertainInput, value: number): DayInput {
  const cooled = (corner: Corner): Corner => ({
    ...corner,
    air: { ...corner.air, coolingFactor: Math.max(0.05, corner.air.coolingFactor * value) },
  });
  const rubbed = (corner: Corner): Corner => ({
    ...corner,
    pad: {
      ...corner.pad,
      friction: corner.pad.friction.map((mu) => Math.max(0.01, mu * value)),
      nominalFriction: Math.max(0.01, corner.pad.nominalFriction * value),
    },
  });
  switch (input) {
    case 'frontCooling':
      return { ...day, front: eachCorner(day.front, cooled) };
    case 'rearCooling':
      return { ...day, rear: eachCorner(day.rear, cooled) };
    case 'frontFriction':
      return { ...day, front: eachCorner(day.front, rubbed) };
    case 'rearFriction':
      return { ...day, rear: eachCorner(day.rear, rubbed) };
    case 'mass':
      return { ...day, vehicle: { ...day.vehicle, mass: Math.max(50, day.vehicle.mass + value) } };
    case 'padHeat': {
      // Heat is shared by effusivity, √(kρc): its square on the conductivity is the factor on the pads' part.
      const warmer = (corner: Corner): Corner => ({
        ...corner,
        pad: { ...corner.pad, conductivity: corner.pad.conductivity * Math.max(0.01, value * value) },
      });
      return { ...day, front: eachCorner(day.front, warmer), rear: eachCorner(day.rear, warmer) };
    }
    case 'ambient':
      return { ...day, sessions: day.sessions.map((s) => ({ ...s, ambient: s.ambient + value })) };
    case 'fluidState': {
      const boiling = (axle: AxleInput) => ({ ...axle, boilingPoint: axle.boilingPoint + value });
      return { ...day, front: boiling(day.front), rear: boiling(day.rear) };
    }
    case 'driver': {
      const { driver } = day;
      const share = (commitment: number) => Math.min(1, Math.max(0.05, commitment * value));
      return {
        ...day,
        driver: {
          ...driver,
          brakingCommitment: share(driver.brakingCommitment),
          corneringCommitment: share(driver.corneringCommitment),
        },
      };
    }
  }
}

/** A day with every uncertain input at its place of one row of a design. */
export function drawn(day: DayInput, ranges: readonly UncertainRange[], row: ArrayLike<number>): DayInput {
  return ranges.reduce((moved, range, i) => perturbed(moved, range.input, valueIn(range, row[i])), day);
}
