import type { PadEntry } from './padEntry';
import { isAllCarbon } from './pads';

/** How a friction material is bedded. Temperatures of the pad's surface and, for the warm-up, of the rotor too, °C. */
export interface BeddingData {
  /** Both, before the first hard braking */
  readonly warm: readonly [number, number];
  /** Pad surface while it is bedded */
  readonly bed: readonly [number, number];
  /** Braking in that band until it is bedded, s */
  readonly seconds: number;
  /** Deceleration of the hard snubs, m/s² */
  readonly deceleration: number;
  /** Speeds that warm-up and snubs begin at on a track, km/h */
  readonly speeds: readonly [warmUp: number, hard: number];
  readonly source: string;
}

const MEMORY = '(from memory)';
/** By family, of no maker in particular; what comes with the pads goes before. */
const USUAL: Readonly<Record<PadEntry['family'], BeddingData>> = {
  organic: {
    warm: [70, 180],
    bed: [150, 330],
    seconds: 20,
    deceleration: 4,
    speeds: [90, 110],
    source: MEMORY,
  },
  ceramic: {
    warm: [80, 200],
    bed: [180, 380],
    seconds: 22,
    deceleration: 4,
    speeds: [90, 110],
    source: MEMORY,
  },
  'semi-metallic': {
    warm: [80, 220],
    bed: [200, 420],
    seconds: 22,
    deceleration: 4.5,
    speeds: [90, 120],
    source: MEMORY,
  },
  'street sport': {
    warm: [90, 240],
    bed: [220, 480],
    seconds: 24,
    deceleration: 5,
    speeds: [100, 130],
    source: MEMORY,
  },
  track: {
    warm: [120, 300],
    bed: [300, 620],
    seconds: 26,
    deceleration: 6.5,
    speeds: [100, 150],
    source: MEMORY,
  },
  carbon: {
    warm: [120, 320],
    bed: [320, 640],
    seconds: 26,
    deceleration: 6.5,
    speeds: [100, 150],
    source: MEMORY,
  },
};
/** Carbon on carbon. */
const CARBON: BeddingData = {
  warm: [200, 420],
  bed: [400, 850],
  seconds: 30,
  deceleration: 9,
  speeds: [190, 240],
  source: MEMORY,
};

/** How a pad is bedded, by its family. */
export const usualBedding = (pad: Pick<PadEntry, 'family' | 'density'>): BeddingData =>
  isAllCarbon(pad) ? CARBON : USUAL[pad.family];
