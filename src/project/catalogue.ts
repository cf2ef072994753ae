import type { RotorMaterial } from '../core';
import { uniformTable, ZERO_CELSIUS } from '../core';

/**
 * Generic materials, pads and fluids of our own. Values are typical ones from memory unless a source is named; none is
 * a maker's. Temperatures in °C.
 */

type Points = readonly (readonly [number, number])[];
const table = (points: Points) => uniformTable(points.map(([t, v]) => [t + ZERO_CELSIUS, v] as const));

export interface MaterialEntry {
  readonly name: string;
  readonly source: string;
  readonly material: RotorMaterial;
}

function material(
  name: string,
  density: number,
  conductivity: Points,
  specificHeat: Points,
  emissivity: number,
  bulkLimit: number,
  faceLimit: number,
  source: string,
): MaterialEntry {
  return {
    name,
    source,
    material: {
      name,
      density,
      conductivity: table(conductivity),
      specificHeat: table(specificHeat),
      emissivity,
      bulkLimit: bulkLimit + ZERO_CELSIUS,
      faceLimit: faceLimit + ZERO_CELSIUS,
    },
  };
}

export const ROTOR_MATERIALS = {
  'grey-iron': material(
    'Grey iron',
    7200,
    [
      [20, 52],
      [200, 48],
      [400, 43],
      [600, 38],
      [800, 34],
    ],
    [
      [20, 460],
      [200, 530],
      [400, 600],
      [600, 680],
      [700, 760],
      [900, 800],
    ],
    0.55,
    680,
    820,
    'typical of pearlitic grey iron (from memory)',
  ),
  'high-carbon-iron': material(
    'High-carbon grey iron',
    7100,
    [
      [20, 58],
      [200, 53],
      [400, 47],
      [600, 41],
      [800, 36],
    ],
    [
      [20, 470],
      [200, 540],
      [400, 610],
      [600, 690],
      [700, 770],
      [900, 810],
    ],
    0.55,
    700,
    850,
    'typical of 3.7 to 3.9 % carbon iron (from memory)',
  ),
  steel: material(
    'Brake steel',
    7800,
    [
      [20, 27],
      [200, 27],
      [400, 27],
      [600, 26],
      [800, 26],
    ],
    [
      [20, 460],
      [200, 510],
      [400, 570],
      [600, 650],
      [700, 740],
      [900, 720],
    ],
    0.45,
    600,
    750,
    'typical of martensitic stainless rotor steel (from memory)',
  ),
  'carbon-carbon': material(
    'Carbon-carbon',
    1780,
    [
      [20, 28],
      [200, 25],
      [400, 22],
      [600, 19],
      [800, 17],
      [1000, 15],
    ],
    [
      [20, 720],
      [200, 1120],
      [400, 1440],
      [600, 1650],
      [800, 1800],
      [1000, 1900],
    ],
    0.85,
    900,
    1100,
    'typical across the fibre layers (from memory)',
  ),
} as const satisfies Record<string, MaterialEntry>;

export type MaterialId = keyof typeof ROTOR_MATERIALS;
export const MATERIAL_IDS = Object.keys(ROTOR_MATERIALS) as [MaterialId, ...MaterialId[]];

export interface PadEntry {
  readonly name: string;
  readonly family: string;
  readonly note: string;
  /** Nominal friction coefficient, 1 */
  readonly friction: number;
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
}

export const PADS = {
  commuter: {
    name: 'Commuter organic',
    family: 'organic',
    note: 'Quiet and kind to rotors; not made for a track.',
    friction: 0.36,
    window: [20, 300],
    limit: 380,
    plateLimit: 280,
    conductivity: 0.9,
    density: 2200,
    specificHeat: 1100,
  },
  estate: {
    name: 'Estate ceramic',
    family: 'ceramic',
    note: 'Little dust; bites evenly, gives up early.',
    friction: 0.38,
    window: [20, 380],
    limit: 460,
    plateLimit: 320,
    conductivity: 1.1,
    density: 2400,
    specificHeat: 1050,
  },
  backroad: {
    name: 'Backroad semi-metallic',
    family: 'street sport',
    note: 'Works from cold and stands a few quick laps.',
    friction: 0.42,
    window: [40, 480],
    limit: 560,
    plateLimit: 380,
    conductivity: 1.9,
    density: 2700,
    specificHeat: 920,
  },
  clubday: {
    name: 'Clubday sintered blend',
    family: 'track',
    note: 'Needs a lap of warmth; the usual club choice.',
    friction: 0.46,
    window: [120, 620],
    limit: 700,
    plateLimit: 450,
    conductivity: 2.2,
    density: 2800,
    specificHeat: 880,
  },
  enduro: {
    name: 'Enduro high-metal',
    family: 'track',
    note: 'Long life and high limit; carries more heat inwards.',
    friction: 0.44,
    window: [180, 720],
    limit: 800,
    plateLimit: 520,
    conductivity: 3.2,
    density: 3000,
    specificHeat: 820,
  },
  'carbon-pair': {
    name: 'Carbon pad for carbon discs',
    family: 'carbon',
    note: 'Only with carbon discs; bites late when cold.',
    friction: 0.48,
    window: [300, 900],
    limit: 1050,
    plateLimit: 850,
    conductivity: 7,
    density: 1750,
    specificHeat: 1300,
  },
} as const satisfies Record<string, PadEntry>;

export type PadId = keyof typeof PADS;
export const PAD_IDS = Object.keys(PADS) as [PadId, ...PadId[]];

export interface FluidEntry {
  readonly name: string;
  readonly class: string;
  readonly note: string;
  /** Boiling points, °C */
  readonly dry: number;
  readonly wet: number;
  readonly silicone: boolean;
  readonly source: string;
}

const FMVSS = 'least values of 49 CFR 571.116';
const MEMORY = 'typical (from memory)';
export const FLUIDS = {
  'class-3': {
    name: 'Class 3 at its least',
    class: 'DOT 3',
    note: '',
    dry: 205,
    wet: 140,
    silicone: false,
    source: FMVSS,
  },
  'class-4': {
    name: 'Class 4 at its least',
    class: 'DOT 4',
    note: '',
    dry: 230,
    wet: 155,
    silicone: false,
    source: FMVSS,
  },
  'class-51': {
    name: 'Class 5.1 at its least',
    class: 'DOT 5.1',
    note: '',
    dry: 260,
    wet: 180,
    silicone: false,
    source: FMVSS,
  },
  'road-sport': {
    name: 'Good road-sport fluid',
    class: 'DOT 4',
    note: 'A good lower class that beats a poor higher one.',
    dry: 270,
    wet: 180,
    silicone: false,
    source: MEMORY,
  },
  race: {
    name: 'Race fluid',
    class: 'DOT 4',
    note: 'High dry point; ages quickly, change it often.',
    dry: 312,
    wet: 198,
    silicone: false,
    source: MEMORY,
  },
  'race-plus': {
    name: 'Race fluid, highest point',
    class: 'DOT 4',
    note: 'For a single event between changes.',
    dry: 328,
    wet: 204,
    silicone: false,
    source: MEMORY,
  },
  silicone: {
    name: 'Silicone fluid',
    class: 'DOT 5',
    note: 'Not advised on track or with ABS: more compressible, does not mix with glycol, water lies free and boils at 100 °C.',
    dry: 260,
    wet: 180,
    silicone: true,
    source: FMVSS,
  },
} as const satisfies Record<string, FluidEntry>;

export type FluidId = keyof typeof FLUIDS;
export const FLUID_IDS = Object.keys(FLUIDS) as [FluidId, ...FluidId[]];

/** Ring to hat, W/K, and heat capacity of the hat, by how the ring is mounted (from memory). */
export const MOUNTINGS = {
  'one-piece': { name: 'One-piece', hatConductance: 6.5, hatSpecificHeat: 500 },
  floating: { name: 'Floating on an aluminium hat', hatConductance: 1.2, hatSpecificHeat: 900 },
} as const;

/** Caliper bodies and pistons (from memory). */
export const CALIPER_BODIES = {
  aluminium: { name: 'Aluminium', specificHeat: 900 },
  iron: { name: 'Cast iron', specificHeat: 520 },
} as const;

export const PISTONS = {
  aluminium: { name: 'Aluminium', plateToFluid: 1.4 },
  steel: { name: 'Steel', plateToFluid: 0.8 },
  stainless: { name: 'Stainless, hollow', plateToFluid: 0.45 },
  'titanium-capped': { name: 'Titanium, capped', plateToFluid: 0.22 },
} as const;
