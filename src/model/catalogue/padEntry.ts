import type { PriceClass } from './price';

/** A friction material of the shelf. */
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
  /** What it costs beside money, each 1 little to 5 much: dust on the wheels, noise, wear of the rotor */
  readonly dust: number;
  readonly noise: number;
  readonly rotorWear: number;
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
