import type { Car } from '../schema/car';
import type { Change } from '../schema/compare';
import type { Part, PartKind } from '../schema/part';
import type { Project } from '../schema/project';
import { BUILT_IN } from './builtIn';
import type { PriceClass } from './price';
import { TYRE_KINDS } from './tyres';

type Priced = Pick<Project, 'parts' | 'prices'>;

/**
 * Usual prices by class, in whole currency units: for both wheels of an axle, or for the car (fluid, cylinder, lines).
 * From memory, only to rank by; the user's own replace them.
 */
const USUAL: Readonly<Record<PartKind, readonly [number, number, number, number, number]>> = {
  rotor: [100, 180, 340, 700, 6000],
  pad: [45, 80, 140, 220, 450],
  caliper: [220, 380, 800, 1500, 3200],
  cylinder: [60, 90, 140, 220, 320],
  fluid: [12, 18, 28, 45, 80],
  line: [40, 60, 110, 160, 220],
  duct: [35, 70, 120, 260, 400],
};

/** Price class taken for rotors that are on no shelf: other vanes, more iron. */
const MADE_ROTOR: PriceClass = 3;
export const MADE_ROTOR_KEY = 'made-rotor';

const own = ({ prices }: Priced, key: string) => prices.find((price) => price.key === key)?.price;

/** Price of a part: the user's own, else the usual one of its kind and class. */
export function partPrice(project: Priced, part: Pick<Part, 'id' | 'kind' | 'price'>): number {
  return own(project, part.id) ?? USUAL[part.kind][part.price - 1];
}

/** Price of a pair of rotors that are on no shelf. */
export const madeRotorPrice = (project: Priced): number =>
  own(project, MADE_ROTOR_KEY) ?? USUAL.rotor[MADE_ROTOR - 1];

/**
 * The cheapest duct of the shelf that passes as much air, or as many of one as it takes, and what they cost; null for none.
 * @param flowPercent share of the air that gets through the duct asked for
 */
export function ductPrice(
  project: Priced,
  areaCm2: number,
  flowPercent: number,
): { price: number; key: string; count: number } | null {
  if (areaCm2 <= 0) return null;
  const ducts = [...BUILT_IN, ...project.parts].filter((part) => part.kind === 'duct');
  const ways = ducts
    .filter((part) => part.values.areaCm2 > 0)
    .map((part) => {
      const { areaCm2: own, coefficientPercent } = part.values;
      const count = Math.ceil((areaCm2 * flowPercent) / (own * coefficientPercent) - 1e-9);
      return { key: part.id, count, price: count * partPrice(project, part) };
    });
  return ways.length === 0 ? null : ways.reduce((a, b) => (b.price < a.price ? b : a));
}

/** What one change to a car costs. What is only adjusted costs nothing. */
export function changePrice(project: Priced, change: Change, car: Pick<Car, 'front' | 'rear'>): number {
  switch (change.kind) {
    case 'part': {
      const part = [...BUILT_IN, ...project.parts].find((p) => p.id === change.part);
      return part ? partPrice(project, part) : 0;
    }
    case 'duct':
      return ductPrice(project, change.areaCm2, car[change.axle].ductCoefficientPercent)?.price ?? 0;
    case 'vanes':
    case 'thickness':
      return madeRotorPrice(project);
    case 'tyres':
      return TYRE_KINDS[change.tyres].price;
    case 'tape':
    case 'shield':
    case 'mass':
    case 'balance':
      return 0;
  }
}

/** A project with a price of the user's own; null takes it back to the usual one. */
export function withPrice(project: Project, key: string, price: number | null): Project {
  const others = project.prices.filter((p) => p.key !== key);
  return { ...project, prices: price === null ? others : [...others, { key, price }] };
}
