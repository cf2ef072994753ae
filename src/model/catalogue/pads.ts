import type { PriceClass } from './price';
/**
 * Generic friction materials of our own, one or more of each family. Typical values (from memory), none a maker's.
 */
export interface PadEntry {
  readonly name: string;
  readonly family: (typeof PAD_FAMILIES)[number];
  readonly note: string;
  /** Friction coefficient over face temperature in °C: cold bite, window, fade */
  readonly friction: readonly (readonly [number, number])[];
  /** Working window of the face, °C */
  readonly window: readonly [number, number];
  /** Face temperature over which it fades and glazes, °C */
  readonly limit: number;
  /** Temperature the plate and its bond are run at, at most, °C */
  readonly plateLimit: number;
  /** W/(m·K), kg/m³, J/(kg·K) */
  readonly conductivity: number;
  readonly density: number;
  readonly specificHeat: number;
  /** Stiffness in compression, MPa */
  readonly modulus: number;
  /** 1 cheapest to 5 dearest */
  readonly price: PriceClass;
  /** Mass of one pad of 50 cm² and 10 mm with its plate, kg */
  readonly mass: number;
}
export const PAD_FAMILIES = [
  'organic',
  'ceramic',
  'semi-metallic',
  'street sport',
  'track',
  'carbon',
] as const;

export const PADS = {
  commuter: {
    name: 'Commuter organic',
    family: 'organic',
    note: 'Quiet and kind to rotors; not made for a track.',
    friction: [
      [20, 0.34],
      [100, 0.36],
      [250, 0.36],
      [300, 0.34],
      [380, 0.27],
      [450, 0.18],
    ],
    window: [20, 300],
    limit: 380,
    plateLimit: 280,
    conductivity: 0.9,
    density: 2200,
    specificHeat: 1100,
    modulus: 350,
    price: 1,
    mass: 0.31,
  },
  estate: {
    name: 'Estate ceramic',
    family: 'ceramic',
    note: 'Little dust; bites evenly, gives up early.',
    friction: [
      [20, 0.35],
      [100, 0.38],
      [320, 0.38],
      [380, 0.36],
      [460, 0.29],
      [560, 0.2],
    ],
    window: [20, 380],
    limit: 460,
    plateLimit: 320,
    conductivity: 1.1,
    density: 2400,
    specificHeat: 1050,
    modulus: 500,
    price: 1,
    mass: 0.32,
  },
  backroad: {
    name: 'Backroad semi-metallic',
    family: 'street sport',
    note: 'Works from cold and stands a few quick laps.',
    friction: [
      [20, 0.36],
      [40, 0.38],
      [150, 0.42],
      [420, 0.42],
      [480, 0.4],
      [560, 0.33],
      [680, 0.24],
    ],
    window: [40, 480],
    limit: 560,
    plateLimit: 380,
    conductivity: 1.9,
    density: 2700,
    specificHeat: 920,
    modulus: 650,
    price: 2,
    mass: 0.33,
  },
  clubday: {
    name: 'Clubday sintered blend',
    family: 'track',
    note: 'Needs a lap of warmth; the usual club choice.',
    friction: [
      [20, 0.3],
      [120, 0.4],
      [250, 0.46],
      [560, 0.46],
      [620, 0.44],
      [700, 0.37],
      [820, 0.27],
    ],
    window: [120, 620],
    limit: 700,
    plateLimit: 450,
    conductivity: 2.2,
    density: 2800,
    specificHeat: 880,
    modulus: 800,
    price: 3,
    mass: 0.34,
  },
  enduro: {
    name: 'Enduro high-metal',
    family: 'track',
    note: 'Long life and high limit; carries more heat inwards.',
    friction: [
      [20, 0.24],
      [180, 0.37],
      [300, 0.44],
      [660, 0.44],
      [720, 0.42],
      [800, 0.36],
      [920, 0.28],
    ],
    window: [180, 720],
    limit: 800,
    plateLimit: 520,
    conductivity: 3.2,
    density: 3000,
    specificHeat: 820,
    modulus: 1000,
    price: 4,
    mass: 0.35,
  },
  'carbon-pair': {
    name: 'Carbon pad for carbon discs',
    family: 'carbon',
    note: 'Only with carbon discs; bites late when cold.',
    friction: [
      [20, 0.12],
      [150, 0.2],
      [300, 0.34],
      [450, 0.46],
      [550, 0.48],
      [850, 0.48],
      [900, 0.46],
      [1050, 0.38],
      [1200, 0.3],
    ],
    window: [300, 900],
    limit: 1050,
    plateLimit: 850,
    conductivity: 7,
    density: 1750,
    specificHeat: 1300,
    modulus: 1800,
    price: 5,
    mass: 0.24,
  },
  courier: {
    name: 'Courier organic, hard',
    family: 'organic',
    note: 'For loaded vans: wears slowly, wants a firm foot.',
    friction: [
      [20, 0.31],
      [120, 0.34],
      [300, 0.34],
      [350, 0.32],
      [430, 0.25],
      [520, 0.17],
    ],
    window: [20, 350],
    limit: 430,
    plateLimit: 300,
    conductivity: 1,
    density: 2300,
    specificHeat: 1080,
    modulus: 420,
    price: 1,
    mass: 0.31,
  },
  quiet: {
    name: 'Quietstop ceramic',
    family: 'ceramic',
    note: 'A little more bite than the plain ceramic, the same early end.',
    friction: [
      [20, 0.38],
      [100, 0.41],
      [340, 0.41],
      [410, 0.38],
      [490, 0.3],
      [580, 0.21],
    ],
    window: [20, 410],
    limit: 490,
    plateLimit: 330,
    conductivity: 1.2,
    density: 2450,
    specificHeat: 1040,
    modulus: 520,
    price: 2,
    mass: 0.32,
  },
  haul: {
    name: 'Haulage semi-metallic',
    family: 'semi-metallic',
    note: 'Stands weight and long descents; noisy when cold.',
    friction: [
      [20, 0.3],
      [80, 0.35],
      [250, 0.39],
      [430, 0.39],
      [520, 0.35],
      [600, 0.29],
      [700, 0.22],
    ],
    window: [80, 520],
    limit: 600,
    plateLimit: 390,
    conductivity: 2.1,
    density: 2850,
    specificHeat: 900,
    modulus: 750,
    price: 2,
    mass: 0.35,
  },
  hillclimb: {
    name: 'Hillclimb street sport',
    family: 'street sport',
    note: 'Bites from the first stop, for short runs.',
    friction: [
      [20, 0.42],
      [60, 0.45],
      [350, 0.46],
      [470, 0.43],
      [540, 0.36],
      [650, 0.26],
    ],
    window: [20, 470],
    limit: 540,
    plateLimit: 380,
    conductivity: 1.8,
    density: 2650,
    specificHeat: 930,
    modulus: 620,
    price: 3,
    mass: 0.33,
  },
  sprint: {
    name: 'Sprint track, high bite',
    family: 'track',
    note: 'Hard initial bite; eats rotors, wants heat.',
    friction: [
      [20, 0.28],
      [150, 0.44],
      [300, 0.54],
      [580, 0.54],
      [650, 0.5],
      [740, 0.41],
      [860, 0.3],
    ],
    window: [150, 650],
    limit: 740,
    plateLimit: 470,
    conductivity: 2.6,
    density: 2900,
    specificHeat: 860,
    modulus: 880,
    price: 4,
    mass: 0.35,
  },
  'carbon-iron': {
    name: 'Carbon-metallic for iron',
    family: 'carbon',
    note: 'Flat and hot on iron rotors; modest when cold.',
    friction: [
      [20, 0.26],
      [150, 0.36],
      [300, 0.43],
      [700, 0.43],
      [760, 0.41],
      [860, 0.34],
      [980, 0.26],
    ],
    window: [150, 760],
    limit: 860,
    plateLimit: 540,
    conductivity: 3.6,
    density: 2600,
    specificHeat: 880,
    modulus: 1050,
    price: 5,
    mass: 0.33,
  },
} as const satisfies Record<string, PadEntry>;

/** Highest friction coefficient of a pad, 1. */
export const nominalFriction = (pad: PadEntry) => Math.max(...pad.friction.map(([, value]) => value));

/** Insulating layers between plate and pistons: conductance of the layer, W/K (from memory). */
export const SHIMS = {
  none: { name: 'None', conductance: Number.POSITIVE_INFINITY },
  stainless: { name: 'Stainless shim', conductance: 12 },
  titanium: { name: 'Titanium shim', conductance: 4 },
  ceramic: { name: 'Ceramic cap', conductance: 1.5 },
} as const;
export type ShimId = keyof typeof SHIMS;
export const SHIM_IDS = Object.keys(SHIMS) as [ShimId, ...ShimId[]];
