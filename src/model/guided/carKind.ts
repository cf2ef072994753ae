import type { TyreKindId } from '../catalogue/tyres';
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

/** A disc with its caliper. @param pistonAreaMm2 of one side */
export const disc = (
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
/** A drum with its shoes, mm. */
export const drum = (diameterMm: number, widthMm: number): KindAxle => ({
  ...disc(diameterMm, widthMm, 'sliding', 1, 960),
  drum: true,
  vented: false,
});
