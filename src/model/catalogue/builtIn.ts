import type { Part, PartOf } from '../schema/part';
import { FLUIDS } from './fluids';
import { PADS, type PadEntry } from './pads';
import type { PriceClass } from './price';

const TYPICAL = 'typical (from memory)';
type Rotor = PartOf<'rotor'>['values'];
type Caliper = PartOf<'caliper'>['values'];

const plainFace = {
  surface: 'plain',
  holeCount: 60,
  holeDiameterMm: 6,
  slotCount: 8,
  slotWidthMm: 1.5,
  slotDepthMm: 1,
  weighedKg: null,
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

const rotors: readonly PartOf<'rotor'>[] = [
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
  wettedAreaCm2: 1000,
  fluidKg: 0.04,
  sealLimitC: 200,
  clearanceMm: kind === 'sliding' ? 0.15 : 0.12,
  bridgeMm: 20,
  outerBodyMm: kind === 'sliding' ? 18 : 38,
  openingMm: kind === 'sliding' ? 60 : 66,
  ...rest,
});
const calipers: readonly PartOf<'caliper'>[] = [
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
      sealLimitC: 230,
    }),
  ),
];

const cylinder = (bore: number, stroke: number, price: PriceClass, note: string): PartOf<'cylinder'> => ({
  kind: 'cylinder',
  id: `cylinder-${String(bore).replace('.', '-')}`,
  name: `Cylinder ${bore}`,
  note,
  price,
  massKg: 0.4 + 0.02 * bore,
  source: TYPICAL,
  values: { boreMm: bore, strokeMm: stroke },
});
const cylinders: readonly PartOf<'cylinder'>[] = [
  cylinder(15.9, 32, 3, 'For a pair with a balance bar.'),
  cylinder(17.8, 32, 3, 'For a pair with a balance bar.'),
  cylinder(19.1, 34, 3, 'For a pair, or a light car without a booster.'),
  cylinder(20.6, 36, 2, 'Small cars.'),
  cylinder(22.2, 38, 2, 'The usual car.'),
  cylinder(25.4, 40, 2, 'Heavy cars with large calipers.'),
];

const line = (id: string, name: string, growth: number, price: PriceClass, note: string): PartOf<'line'> => ({
  kind: 'line',
  id,
  name,
  note,
  price,
  massKg: 0.15,
  source: TYPICAL,
  values: { growthMm3BarM: growth },
});
const lines: readonly PartOf<'line'>[] = [
  line('line-rubber', 'Rubber hose', 16, 1, 'Grows and ages; the pedal is softer for it.'),
  line('line-rubber-low', 'Rubber hose, low expansion', 9, 1, 'Two plies.'),
  line('line-braided', 'Braided steel over PTFE', 4, 3, 'Firm; look for chafing.'),
  line('line-hard', 'Mostly hard line', 1.5, 2, 'Short hose only where the wheel moves.'),
];

const duct = (id: string, name: string, area: number, flow: number, price: PriceClass): PartOf<'duct'> => ({
  kind: 'duct',
  id,
  name,
  note: 'Costs drag; check the coldest braking point.',
  price,
  massKg: 0.3 + 0.008 * area,
  source: TYPICAL,
  values: { areaCm2: area, coefficientPercent: flow },
});
const ducts: readonly PartOf<'duct'>[] = [
  duct('duct-50', 'Hose of 50 mm', 19.6, 40, 1),
  duct('duct-63', 'Hose of 63 mm', 31.2, 45, 1),
  duct('duct-76', 'Hose of 76 mm', 45.4, 45, 2),
  duct('duct-100', 'Hose of 100 mm', 78.5, 50, 2),
  duct('duct-moulded', 'Moulded duct into the hub', 95, 60, 4),
];

const pads = Object.entries(PADS).map(
  ([id, pad]: [string, PadEntry]): PartOf<'pad'> => ({
    kind: 'pad',
    id,
    name: pad.name,
    note: pad.note,
    price: pad.price,
    massKg: pad.mass,
    source: TYPICAL,
    values: {
      family: pad.family,
      friction: pad.friction.map(([celsius, mu]) => ({ celsius, mu })),
      windowLowC: pad.window[0],
      windowHighC: pad.window[1],
      limitC: pad.limit,
      plateLimitC: pad.plateLimit,
      conductivity: pad.conductivity,
      density: pad.density,
      specificHeat: pad.specificHeat,
      modulusMPa: pad.modulus,
    },
  }),
);
const fluids = Object.entries(FLUIDS).map(
  ([id, fluid]): PartOf<'fluid'> => ({
    kind: 'fluid',
    id,
    name: fluid.name,
    note: fluid.note,
    price: fluid.price,
    massKg: 1.05,
    source: fluid.source,
    values: {
      class: fluid.class,
      dryC: fluid.dry,
      wetC: fluid.wet,
      silicone: fluid.silicone,
      modulusMPa: fluid.modulus,
    },
  }),
);

/** Generic parts of our own; none is a maker's. */
export const BUILT_IN: readonly Part[] = [
  ...rotors,
  ...pads,
  ...calipers,
  ...cylinders,
  ...fluids,
  ...lines,
  ...ducts,
];
