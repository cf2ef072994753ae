import type { PartOf } from '../schema/part';
import { type PriceClass, TYPICAL } from './price';

type Rotor = PartOf<'rotor'>['values'];

const plainFace = {
  surface: 'plain',
  holeCount: 60,
  holeDiameterMm: 6,
  slotCount: 8,
  slotWidthMm: 1.5,
  slotDepthMm: 1,
  weighedKg: null,
  neckLengthMm: 12,
  neckThicknessMm: 6.5,
} satisfies Partial<Rotor>;
const solid = {
  vaneGapMm: 0,
  vaneType: 'straight',
  vaneCount: 1,
  vaneThicknessMm: 5,
} satisfies Partial<Rotor>;

function rotor(
  id: string,
  name: string,
  note: string,
  price: PriceClass,
  massKg: number,
  values: Omit<Rotor, keyof typeof plainFace> & Partial<Rotor>,
): PartOf<'rotor'> {
  return {
    kind: 'rotor',
    id,
    name,
    note,
    price,
    massKg,
    source: TYPICAL,
    values: { ...plainFace, ...values },
  };
}
const ring = (outerDiameterMm: number, innerDiameterMm: number, thicknessMm: number, vaneGapMm: number) => ({
  outerDiameterMm,
  innerDiameterMm,
  thicknessMm,
  vaneGapMm,
});
const iron = { material: 'grey-iron', mounting: 'one-piece', depthMm: 45 } as const;
const vanes = (vaneType: Rotor['vaneType'], vaneCount: number, vaneThicknessMm: number) => ({
  vaneType,
  vaneCount,
  vaneThicknessMm,
});

/** Rotors of the shelf, none a maker's. */
export const ROTORS: readonly PartOf<'rotor'>[] = [
  rotor('rotor-solid-260', 'Solid 260', 'Small rear disc.', 1, 4.2, {
    ...iron,
    ...solid,
    ...ring(260, 165, 10, 0),
    ...vanes('straight', 1, 5),
    hatMassKg: 1.4,
  }),
  rotor('rotor-solid-300', 'Solid 300', 'Rear disc of a heavier car.', 1, 6, {
    ...iron,
    ...solid,
    ...ring(300, 200, 12, 0),
    ...vanes('straight', 1, 5),
    hatMassKg: 2.3,
  }),
  rotor('rotor-vented-280', 'Vented 280 × 22', 'Front disc of a light car.', 1, 6.4, {
    ...iron,
    ...ring(280, 180, 22, 8),
    ...vanes('straight', 38, 5),
    hatMassKg: 1.6,
  }),
  rotor('rotor-vented-300', 'Vented 300 × 26', 'One-piece, straight vanes.', 2, 8, {
    ...iron,
    ...ring(300, 190, 26, 9),
    ...vanes('straight', 40, 5.5),
    hatMassKg: 1.7,
  }),
  rotor(
    'rotor-pillar-320',
    'Vented 320 × 28, pillars',
    'Pillars pump less than vanes but crack later.',
    2,
    9.4,
    {
      ...iron,
      material: 'high-carbon-iron',
      ...ring(320, 205, 28, 10),
      ...vanes('pillar', 42, 7),
      hatMassKg: 1.9,
    },
  ),
  rotor('rotor-slotted-330', 'Floating 330 × 28, slotted', 'Curved vanes: left and right differ.', 4, 8.7, {
    material: 'high-carbon-iron',
    mounting: 'floating',
    depthMm: 42,
    ...ring(330, 215, 28, 11),
    ...vanes('curved', 48, 5),
    hatMassKg: 0.8,
    surface: 'slotted',
  }),
  rotor('rotor-floating-355', 'Floating 355 × 32', 'Aluminium bell, 72 curved vanes.', 4, 11, {
    material: 'high-carbon-iron',
    mounting: 'floating',
    depthMm: 42,
    ...ring(355, 235, 32, 13),
    ...vanes('curved', 72, 4.5),
    hatMassKg: 0.9,
  }),
  rotor(
    'rotor-drilled-345',
    'Vented 345 × 30, drilled',
    'Cracks begin at holes: for track use plain or slotted is advised.',
    3,
    10.6,
    {
      ...iron,
      material: 'high-carbon-iron',
      ...ring(345, 220, 30, 11),
      ...vanes('straight', 48, 6),
      hatMassKg: 2.2,
      surface: 'drilled',
    },
  ),
  rotor(
    'rotor-ceramic-380',
    'Carbon-ceramic 380 × 34',
    'Half the mass of iron; costs as much as a used car.',
    5,
    6.2,
    {
      material: 'carbon-silicon-carbide',
      mounting: 'floating',
      depthMm: 42,
      ...ring(380, 250, 34, 12),
      ...vanes('curved', 60, 5),
      hatMassKg: 1,
    },
  ),
  rotor(
    'rotor-carbon-355',
    'Carbon-carbon 355 × 32',
    'Only with its own pads; bites late when cold.',
    5,
    2.6,
    {
      material: 'carbon-carbon',
      mounting: 'floating',
      depthMm: 40,
      ...ring(355, 240, 32, 10),
      ...vanes('curved', 72, 5),
      hatMassKg: 0.8,
    },
  ),
];
