import type { Car } from '../schema/car';

export const TYRE_KIND_IDS = ['road', 'sport', 'track', 'slick'] as const;
export type TyreKindId = (typeof TYRE_KIND_IDS)[number];

interface TyreKind extends Omit<Car['tyres'], 'rollingRadiusMm'> {
  readonly name: string;
  /** Usual price of a set, whole currency units */
  readonly price: number;
}

/** Grip, and what of it goes with load and in slip; from memory, of no tyre in particular. */
export const TYRE_KINDS: Readonly<Record<TyreKindId, TyreKind>> = {
  road: {
    name: 'Road tyres',
    price: 420,
    lateralGrip: 1,
    longitudinalGrip: 1.04,
    loadSensitivityPercent: 12,
    slipSharePercent: 4,
  },
  sport: {
    name: 'Sporty road tyres',
    price: 640,
    lateralGrip: 1.1,
    longitudinalGrip: 1.13,
    loadSensitivityPercent: 11,
    slipSharePercent: 4.5,
  },
  track: {
    name: 'Road-legal track tyres',
    price: 900,
    lateralGrip: 1.22,
    longitudinalGrip: 1.25,
    loadSensitivityPercent: 10,
    slipSharePercent: 5,
  },
  slick: {
    name: 'Slicks',
    price: 1400,
    lateralGrip: 1.5,
    longitudinalGrip: 1.55,
    loadSensitivityPercent: 12,
    slipSharePercent: 6,
  },
};

/** What tyres of a kind hold; their size is the car's. */
export function gripOf(kind: TyreKindId): Omit<Car['tyres'], 'rollingRadiusMm'> {
  const { name: _name, price: _price, ...grip } = TYRE_KINDS[kind];
  return grip;
}
