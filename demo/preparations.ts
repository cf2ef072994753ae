import { type Bottle, NOTHING_FOUND, newPreparation, type Preparation } from '../src/model';
import { tarn } from './cars/tarn';

const june = newPreparation(
  tarn,
  [
    { kind: 'part', part: 'enduro', axle: 'front' },
    { kind: 'part', part: 'race', axle: 'front' },
  ],
  [],
  { id: 'prepare-tarn-june', name: 'Before the June club day', date: '2026-06-27' },
);

/** The evening before the second event: front pads that stand more heat, fresh fluid, the lead away from the rotor. */
export const demoPreparations: Preparation[] = [
  {
    ...june,
    protections: [{ part: 'tarn-lead', kind: 'sleeve', beforeC: 160, afterC: null }],
    bleed: { ...june.bleed, way: 'pressure' },
    found: {
      ...june.found,
      frontLeft: { ...NOTHING_FOUND, rotorMm: 24.4 },
      frontRight: { ...NOTHING_FOUND, rotorMm: 24.3 },
    },
  },
];

/** Two bottles on the team's shelf, one of them open. */
export const demoBottles: Bottle[] = [
  {
    id: 'bottle-1',
    name: 'Bottle 1',
    fluid: 'race',
    leftCm3: 500,
    openedOn: null,
    keepMonths: 6,
  },
  {
    id: 'bottle-2',
    name: 'Bottle 2, opened',
    fluid: 'race',
    leftCm3: 350,
    openedOn: '2025-09-12',
    keepMonths: 6,
  },
];
