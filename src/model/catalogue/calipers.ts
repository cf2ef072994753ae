import type { PartOf } from '../schema/part';
import { type PriceClass, TYPICAL } from './price';

type Caliper = PartOf<'caliper'>['values'];

function caliper(
  id: string,
  name: string,
  note: string,
  price: PriceClass,
  values: Caliper,
): PartOf<'caliper'> {
  return { kind: 'caliper', id, name, note, price, massKg: values.massKg, source: TYPICAL, values };
}
const body = (
  kind: Caliper['kind'],
  pistonsMm: number[],
  rest: Pick<Caliper, 'massKg' | 'padAreaCm2' | 'stiffnessKnMm'> & Partial<Caliper>,
): Caliper => ({
  kind,
  pistonsMm,
  body: kind === 'sliding' ? 'iron' : 'aluminium',
  pistons: 'steel',
  pistonWallMm: 4,
  wettedAreaCm2: 1000,
  fluidKg: 0.04,
  sealLimitC: 200,
  clearanceMm: kind === 'sliding' ? 0.15 : 0.12,
  // A sliding body follows its rotor.
  knockBackMm: kind === 'sliding' ? 0.01 : 0.04,
  bridgeMm: 20,
  outerBodyMm: kind === 'sliding' ? 18 : 38,
  openingMm: kind === 'sliding' ? 60 : 66,
  ...rest,
});
/** Calipers of the shelf, none a maker's. */
export const CALIPERS: readonly PartOf<'caliper'>[] = [
  caliper(
    'caliper-slide-34',
    'Sliding, one 34',
    'Small rear caliper.',
    1,
    body('sliding', [34], {
      massKg: 2.6,
      padAreaCm2: 30,
      stiffnessKnMm: 70,
      wettedAreaCm2: 700,
      fluidKg: 0.025,
      openingMm: 42,
    }),
  ),
  caliper(
    'caliper-slide-42',
    'Sliding, one 42',
    'Rear of a heavy car.',
    1,
    body('sliding', [42], {
      massKg: 3.6,
      padAreaCm2: 42,
      stiffnessKnMm: 80,
      wettedAreaCm2: 900,
      fluidKg: 0.035,
      openingMm: 48,
    }),
  ),
  caliper(
    'caliper-slide-54',
    'Sliding, one 54',
    'The usual front caliper.',
    1,
    body('sliding', [54], { massKg: 4.2, padAreaCm2: 48, stiffnessKnMm: 90 }),
  ),
  caliper(
    'caliper-slide-60',
    'Sliding, one 60',
    'Front of a heavy car.',
    2,
    body('sliding', [60], {
      massKg: 5,
      padAreaCm2: 62,
      stiffnessKnMm: 100,
      wettedAreaCm2: 1200,
      fluidKg: 0.05,
    }),
  ),
  caliper(
    'caliper-slide-2x45',
    'Sliding, two 45',
    'Long pad behind two equal pistons.',
    2,
    body('sliding', [45, 45], {
      massKg: 5.4,
      padAreaCm2: 74,
      stiffnessKnMm: 110,
      wettedAreaCm2: 1300,
      fluidKg: 0.055,
    }),
  ),
  caliper(
    'caliper-two-38',
    'Fixed, one 38 a side',
    'Light rear caliper.',
    3,
    body('fixed', [38], {
      massKg: 1.8,
      padAreaCm2: 32,
      stiffnessKnMm: 140,
      wettedAreaCm2: 700,
      fluidKg: 0.03,
    }),
  ),
  caliper(
    'caliper-four-38',
    'Fixed, two 38 a side',
    'As much area as one 54.',
    3,
    body('fixed', [38, 38], { massKg: 2.9, padAreaCm2: 52, stiffnessKnMm: 170 }),
  ),
  caliper(
    'caliper-four-stag',
    'Fixed, 36 and 41 a side',
    'Smaller piston leading, against taper.',
    4,
    body('fixed', [36, 41], {
      massKg: 3.1,
      padAreaCm2: 62,
      stiffnessKnMm: 190,
      pistons: 'stainless',
      pistonWallMm: 2.5,
      sealLimitC: 220,
    }),
  ),
  caliper(
    'caliper-six',
    'Fixed, 28, 31 and 34 a side',
    'As much area as two 38, spread over a longer pad.',
    4,
    body('fixed', [28, 31, 34], {
      massKg: 3.6,
      padAreaCm2: 78,
      stiffnessKnMm: 200,
      wettedAreaCm2: 1300,
      fluidKg: 0.05,
      pistons: 'stainless',
      pistonWallMm: 2.5,
      sealLimitC: 220,
    }),
  ),
  caliper(
    'caliper-six-race',
    'Fixed, 27, 32 and 38 a side',
    'Stiff body, capped pistons.',
    5,
    body('fixed', [27, 32, 38], {
      massKg: 2.8,
      padAreaCm2: 82,
      stiffnessKnMm: 320,
      wettedAreaCm2: 1200,
      fluidKg: 0.045,
      pistons: 'titanium-capped',
      pistonWallMm: 3,
      sealLimitC: 230,
    }),
  ),
];
