/**
 * Generic friction materials of our own, one or more of each family. Typical values (from memory), none a maker's.
 */
export interface PadEntry {
  readonly name: string;
  readonly family: string;
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
}

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
  },
} as const satisfies Record<string, PadEntry>;

export type PadId = keyof typeof PADS;
export const PAD_IDS = Object.keys(PADS) as [PadId, ...PadId[]];

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
