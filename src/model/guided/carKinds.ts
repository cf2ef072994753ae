import type { Car } from '../schema/car';

/** Kinds of car that a new one begins from. */
export const CAR_KIND_IDS = [
  'light-hatch',
  'hot-hatch',
  'sports-coupe',
  'club-car',
  'saloon',
  'heavy-electric',
  'utility',
  'closed-race',
  'single-seater',
  'carbon-prototype',
] as const;
export type CarKindId = (typeof CAR_KIND_IDS)[number];

export const TYRE_KIND_IDS = ['road', 'sport', 'track', 'slick'] as const;
export type TyreKindId = (typeof TYRE_KIND_IDS)[number];
/** Grip and what it loses with load, %, and in slip, %; from memory. */
export const TYRE_KINDS: Readonly<
  Record<TyreKindId, Car['tyres'] extends infer T ? Omit<T, 'rollingRadiusMm'> : never>
> = {
  road: { lateralGrip: 1, longitudinalGrip: 1.04, loadSensitivityPercent: 12, slipSharePercent: 4 },
  sport: { lateralGrip: 1.1, longitudinalGrip: 1.13, loadSensitivityPercent: 11, slipSharePercent: 4.5 },
  track: { lateralGrip: 1.22, longitudinalGrip: 1.25, loadSensitivityPercent: 10, slipSharePercent: 5 },
  slick: { lateralGrip: 1.5, longitudinalGrip: 1.55, loadSensitivityPercent: 12, slipSharePercent: 6 },
};

export const DRIVEN_IDS = ['front', 'rear', 'all'] as const;
export type DrivenId = (typeof DRIVEN_IDS)[number];

/** A disc or a drum with what presses on it, as far as kinds of car differ; mm. */
export interface KindAxle {
  readonly drum: boolean;
  readonly diameterMm: number;
  /** Of a disc, or the width of a drum */
  readonly thicknessMm: number;
  readonly vented: boolean;
  readonly floating: boolean;
  readonly fixed: boolean;
  /** Pistons of the whole caliper */
  readonly pistons: number;
  /** Area of the pistons of one side, mm²: what a car's pedal is made for, whatever the count */
  readonly pistonAreaMm2: number;
  readonly ductAreaCm2: number;
}

/** What is typical for a kind of car: from memory, of no car in particular. */
export interface CarKind {
  readonly name: string;
  readonly massKg: number;
  readonly powerKw: number;
  readonly intake: Car['intake'];
  readonly driven: DrivenId;
  readonly tyres: TyreKindId;
  readonly frontWeightPercent: number;
  readonly wheelbaseMm: number;
  readonly gravityHeightMm: number;
  readonly trackWidthMm: number;
  readonly rollingRadiusMm: number;
  /** Inside of the wheel's barrel, mm: the largest brake it takes */
  readonly barrelMm: number;
  readonly dragAreaM2: number;
  readonly downforceAreaM2: number;
  readonly engineBrakingN: number;
  /** Brake balance (% front) that its maker gives it */
  readonly frontSharePercent: number;
  /** Made for the track: no booster, a pair of cylinders with a balance bar, pistons and seals for heat */
  readonly race: boolean;
  readonly boosterGain: number | null;
  readonly boreMm: number;
  readonly limitN: number;
  readonly abs: boolean;
  readonly recoveryKw: number | null;
  readonly carbon: boolean;
  readonly front: KindAxle;
  readonly rear: KindAxle;
  readonly frontPad: string;
  readonly rearPad: string;
  readonly fluid: string;
  readonly fluidMonths: number;
}

const disc = (
  diameterMm: number,
  thicknessMm: number,
  caliper: 'sliding' | 'fixed',
  pistons: number,
  pistonAreaMm2: number,
  also: Partial<KindAxle> = {},
): KindAxle => ({
  drum: false,
  diameterMm,
  thicknessMm,
  vented: thicknessMm > 16,
  floating: false,
  fixed: caliper === 'fixed',
  pistons,
  pistonAreaMm2,
  ductAreaCm2: 0,
  ...also,
});
const drum = (diameterMm: number, widthMm: number): KindAxle => ({
  ...disc(diameterMm, widthMm, 'sliding', 1, 960),
  drum: true,
  vented: false,
});

const ROAD = {
  race: false,
  boosterGain: 5,
  limitN: 500,
  abs: true,
  recoveryKw: null,
  carbon: false,
  downforceAreaM2: 0,
  fluid: 'class-4',
  fluidMonths: 24,
} as const;
const RACE = {
  race: true,
  boosterGain: null,
  limitN: 1000,
  abs: false,
  recoveryKw: null,
  carbon: false,
  tyres: 'slick',
  driven: 'rear',
  fluid: 'race',
  fluidMonths: 2,
} as const;

export const CAR_KINDS: Readonly<Record<CarKindId, CarKind>> = {
  'light-hatch': {
    ...ROAD,
    name: 'Light hatch',
    massKg: 1080,
    powerKw: 75,
    intake: 'natural',
    driven: 'front',
    tyres: 'road',
    frontWeightPercent: 61,
    wheelbaseMm: 2480,
    gravityHeightMm: 520,
    trackWidthMm: 1460,
    rollingRadiusMm: 292,
    barrelMm: 338,
    dragAreaM2: 0.68,
    engineBrakingN: 300,
    frontSharePercent: 76,
    boreMm: 22.2,
    front: disc(256, 22, 'sliding', 1, 2120),
    rear: drum(203, 38),
    frontPad: 'commuter',
    rearPad: 'commuter',
  },
  'hot-hatch': {
    ...ROAD,
    name: 'Hot hatch',
    massKg: 1450,
    powerKw: 190,
    intake: 'supercharged',
    driven: 'front',
    tyres: 'sport',
    frontWeightPercent: 62,
    wheelbaseMm: 2620,
    gravityHeightMm: 520,
    trackWidthMm: 1545,
    rollingRadiusMm: 318,
    barrelMm: 410,
    dragAreaM2: 0.72,
    engineBrakingN: 350,
    frontSharePercent: 74,
    boreMm: 23.8,
    front: disc(340, 30, 'sliding', 1, 2730),
    rear: disc(300, 12, 'sliding', 1, 1130),
    frontPad: 'backroad',
    rearPad: 'backroad',
  },
  'sports-coupe': {
    ...ROAD,
    name: 'Sports coupe',
    massKg: 1570,
    powerKw: 290,
    intake: 'supercharged',
    driven: 'rear',
    tyres: 'sport',
    frontWeightPercent: 52,
    wheelbaseMm: 2680,
    gravityHeightMm: 490,
    trackWidthMm: 1590,
    rollingRadiusMm: 332,
    barrelMm: 436,
    dragAreaM2: 0.7,
    downforceAreaM2: 0.05,
    engineBrakingN: 400,
    frontSharePercent: 67,
    boreMm: 23.8,
    front: disc(365, 34, 'fixed', 4, 2350),
    rear: disc(345, 24, 'sliding', 1, 1385),
    frontPad: 'backroad',
    rearPad: 'backroad',
  },
  'club-car': {
    ...ROAD,
    name: 'Mid-engined club car',
    massKg: 1020,
    powerKw: 130,
    intake: 'natural',
    driven: 'rear',
    tyres: 'track',
    frontWeightPercent: 43,
    wheelbaseMm: 2300,
    gravityHeightMm: 430,
    trackWidthMm: 1450,
    rollingRadiusMm: 300,
    barrelMm: 356,
    dragAreaM2: 0.68,
    downforceAreaM2: 0.2,
    engineBrakingN: 350,
    frontSharePercent: 66,
    boosterGain: null,
    boreMm: 20.6,
    limitN: 600,
    abs: false,
    front: disc(290, 25, 'fixed', 4, 2030),
    rear: disc(285, 20, 'fixed', 4, 1060),
    frontPad: 'clubday',
    rearPad: 'clubday',
    fluid: 'road-sport',
    fluidMonths: 12,
  },
  saloon: {
    ...ROAD,
    name: 'Saloon',
    massKg: 1630,
    powerKw: 140,
    intake: 'supercharged',
    driven: 'front',
    tyres: 'road',
    frontWeightPercent: 58,
    wheelbaseMm: 2810,
    gravityHeightMm: 540,
    trackWidthMm: 1570,
    rollingRadiusMm: 322,
    barrelMm: 384,
    dragAreaM2: 0.66,
    engineBrakingN: 300,
    frontSharePercent: 73,
    boreMm: 23.8,
    front: disc(312, 26, 'sliding', 1, 2550),
    rear: disc(300, 12, 'sliding', 1, 1130),
    frontPad: 'estate',
    rearPad: 'estate',
  },
  'heavy-electric': {
    ...ROAD,
    name: 'Heavy electric car',
    massKg: 2180,
    powerKw: 240,
    intake: 'electric',
    driven: 'all',
    tyres: 'road',
    frontWeightPercent: 49,
    wheelbaseMm: 2900,
    gravityHeightMm: 530,
    trackWidthMm: 1620,
    rollingRadiusMm: 345,
    barrelMm: 448,
    dragAreaM2: 0.62,
    engineBrakingN: 0,
    frontSharePercent: 66,
    boreMm: 25.4,
    recoveryKw: 80,
    front: disc(360, 32, 'fixed', 4, 3050),
    rear: disc(350, 24, 'sliding', 1, 1590),
    frontPad: 'estate',
    rearPad: 'estate',
  },
  utility: {
    ...ROAD,
    name: 'Loaded utility vehicle',
    massKg: 2750,
    powerKw: 115,
    intake: 'supercharged',
    driven: 'rear',
    tyres: 'road',
    frontWeightPercent: 46,
    wheelbaseMm: 3150,
    gravityHeightMm: 740,
    trackWidthMm: 1640,
    rollingRadiusMm: 358,
    barrelMm: 384,
    dragAreaM2: 1.3,
    engineBrakingN: 700,
    frontSharePercent: 64,
    boreMm: 25.4,
    front: disc(312, 30, 'sliding', 2, 3620),
    rear: drum(295, 55),
    frontPad: 'haul',
    rearPad: 'haul',
  },
  'closed-race': {
    ...RACE,
    name: 'Closed race car',
    massKg: 1260,
    powerKw: 340,
    intake: 'natural',
    frontWeightPercent: 48,
    wheelbaseMm: 2620,
    gravityHeightMm: 420,
    trackWidthMm: 1660,
    rollingRadiusMm: 335,
    barrelMm: 436,
    dragAreaM2: 0.98,
    downforceAreaM2: 1.5,
    engineBrakingN: 450,
    frontSharePercent: 62,
    boreMm: 19.1,
    abs: true,
    front: disc(380, 34, 'fixed', 6, 2780, { floating: true, ductAreaCm2: 110 }),
    rear: disc(355, 30, 'fixed', 4, 1810, { floating: true, ductAreaCm2: 30 }),
    frontPad: 'enduro',
    rearPad: 'enduro',
  },
  'single-seater': {
    ...RACE,
    name: 'Winged single-seater',
    massKg: 640,
    powerKw: 175,
    intake: 'natural',
    frontWeightPercent: 44,
    wheelbaseMm: 2780,
    gravityHeightMm: 290,
    trackWidthMm: 1560,
    rollingRadiusMm: 285,
    barrelMm: 330,
    dragAreaM2: 1.02,
    downforceAreaM2: 2.3,
    engineBrakingN: 350,
    frontSharePercent: 60,
    boreMm: 17.8,
    front: disc(278, 20, 'fixed', 4, 1810, { floating: true, ductAreaCm2: 20 }),
    rear: disc(278, 18, 'fixed', 4, 1250, { floating: true }),
    frontPad: 'sprint',
    rearPad: 'sprint',
  },
  'carbon-prototype': {
    ...RACE,
    name: 'Carbon-braked prototype',
    massKg: 930,
    powerKw: 400,
    intake: 'supercharged',
    frontWeightPercent: 45,
    wheelbaseMm: 2850,
    gravityHeightMm: 330,
    trackWidthMm: 1630,
    rollingRadiusMm: 335,
    barrelMm: 430,
    dragAreaM2: 1.05,
    downforceAreaM2: 3.6,
    engineBrakingN: 500,
    frontSharePercent: 59,
    boreMm: 17.8,
    limitN: 1300,
    carbon: true,
    fluid: 'race-plus',
    front: disc(370, 34, 'fixed', 6, 2550, { floating: true, ductAreaCm2: 160 }),
    rear: disc(355, 30, 'fixed', 4, 1800, { floating: true, ductAreaCm2: 60 }),
    frontPad: 'carbon-pair',
    rearPad: 'carbon-pair',
  },
};
