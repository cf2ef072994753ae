import type { Quantity, WhatIfNumber } from '../../../model';

/** A slider of the what-if panel. */
export interface Control {
  readonly key: WhatIfNumber;
  readonly name: string;
  readonly quantity: Quantity;
  readonly step: number;
  readonly decimals?: number;
  readonly range: (saved: number) => readonly [number, number];
}

const around =
  (share: number, step: number, least = 0) =>
  (saved: number) =>
    [
      Math.max(least, Math.round((saved * (1 - share)) / step) * step),
      Math.round((saved * (1 + share)) / step) * step,
    ] as const;
const fixed = (low: number, high: number) => (saved: number) =>
  [Math.min(low, saved), Math.max(high, saved)] as const;

export const CONTROLS: readonly Control[] = [
  { key: 'massKg', name: 'Mass', quantity: 'mass', step: 5, decimals: 0, range: around(0.3, 5, 100) },
  { key: 'ambientC', name: 'Air', quantity: 'temperature', step: 1, range: fixed(-5, 42) },
  {
    key: 'gripPercent',
    name: 'Tyre grip, of the saved',
    quantity: 'percent',
    step: 1,
    decimals: 0,
    range: fixed(60, 125),
  },
  {
    key: 'brakingCommitmentPercent',
    name: 'Share of grip used in braking',
    quantity: 'percent',
    step: 1,
    decimals: 0,
    range: fixed(50, 100),
  },
  { key: 'hotLaps', name: 'Hot laps', quantity: 'laps', step: 1, range: fixed(1, 25) },
  {
    key: 'frontSharePercent',
    name: 'Brake balance (% front)',
    quantity: 'percent',
    step: 0.5,
    range: fixed(45, 80),
  },
  { key: 'frontDuctCm2', name: 'Front duct, a wheel', quantity: 'area', step: 1, range: fixed(0, 120) },
  { key: 'rearDuctCm2', name: 'Rear duct, a wheel', quantity: 'area', step: 1, range: fixed(0, 120) },
];

export const FLUID_AGE: Control = {
  key: 'fluidAgeMonths',
  name: 'Fluid age',
  quantity: 'months',
  step: 1,
  range: fixed(0, 60),
};
