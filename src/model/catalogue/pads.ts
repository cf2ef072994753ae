import { pointTable, pointTableAt } from '../../core';
import type { PadEntry } from './padEntry';
import { ROAD_PADS } from './roadPads';
import { TRACK_PADS } from './trackPads';

/** Generic friction materials of our own, one or more of each family, in the order of the shelf. */
export const PADS = {
  commuter: ROAD_PADS.commuter,
  estate: ROAD_PADS.estate,
  backroad: ROAD_PADS.backroad,
  clubday: TRACK_PADS.clubday,
  enduro: TRACK_PADS.enduro,
  'carbon-pair': TRACK_PADS['carbon-pair'],
  courier: ROAD_PADS.courier,
  quiet: ROAD_PADS.quiet,
  haul: ROAD_PADS.haul,
  hillclimb: ROAD_PADS.hillclimb,
  sprint: TRACK_PADS.sprint,
  'carbon-iron': TRACK_PADS['carbon-iron'],
} as const satisfies Record<string, PadEntry>;

/** Density under which a pad of the carbon family is carbon throughout, and not metal for iron rotors, kg/m³ (from memory). */
const ALL_CARBON = 2100;

/** Whether a pad is carbon throughout, made for carbon discs and like them over temperature. */
export const isAllCarbon = ({ family, density }: Pick<PadEntry, 'family' | 'density'>) =>
  family === 'carbon' && density < ALL_CARBON;

/** Dust, noise and rotor wear of a pad of which nothing more is known, by its family (from memory). */
export const USUAL_TRADES: Readonly<
  Record<PadEntry['family'], Pick<PadEntry, 'dust' | 'noise' | 'rotorWear'>>
> = {
  organic: { dust: 2, noise: 1, rotorWear: 1 },
  ceramic: { dust: 1, noise: 1, rotorWear: 2 },
  'semi-metallic': { dust: 4, noise: 3, rotorWear: 3 },
  'street sport': { dust: 3, noise: 2, rotorWear: 3 },
  track: { dust: 4, noise: 4, rotorWear: 4 },
  carbon: { dust: 3, noise: 3, rotorWear: 3 },
};

/** Temperature at which a first braking finds a pad that has stood, °C. */
const COLD = 50;

/** Friction at 50 °C, as the first braking finds it, 1. */
export function coldBite({ friction }: Pick<PadEntry, 'friction'>): number {
  return pointTableAt(pointTable(friction), COLD);
}

/** Highest friction coefficient of a pad, 1. */
export const nominalFriction = (pad: PadEntry) => Math.max(...pad.friction.map(([, value]) => value));
