import type { PriceClass } from './price';

/** Brake fluids: the classes at their least, and property sets of our own. Boiling points at sea-level pressure. */
export interface FluidEntry {
  readonly name: string;
  readonly class: string;
  readonly note: string;
  /** Boiling points, °C */
  readonly dry: number;
  readonly wet: number;
  readonly silicone: boolean;
  /** Stiffness in compression at working temperature, MPa (from memory) */
  readonly modulus: number;
  readonly price: PriceClass;
  readonly source: string;
}

const FMVSS = 'least values of 49 CFR 571.116';
const MEMORY = 'typical (from memory)';
export const FLUIDS = {
  'class-3': {
    name: 'DOT 3, minimum by standard',
    class: 'DOT 3',
    note: '',
    dry: 205,
    wet: 140,
    silicone: false,
    modulus: 1600,
    price: 1,
    source: FMVSS,
  },
  'class-4': {
    name: 'DOT 4, minimum by standard',
    class: 'DOT 4',
    note: '',
    dry: 230,
    wet: 155,
    silicone: false,
    modulus: 1600,
    price: 1,
    source: FMVSS,
  },
  'class-51': {
    name: 'DOT 5.1, minimum by standard',
    class: 'DOT 5.1',
    note: '',
    dry: 260,
    wet: 180,
    silicone: false,
    modulus: 1600,
    price: 2,
    source: FMVSS,
  },
  'class-6': {
    name: 'Low-viscosity class 6, minimum by standard',
    class: 'ISO class 6',
    note: 'Thin when cold, for brake control.',
    dry: 250,
    wet: 165,
    silicone: false,
    modulus: 1600,
    price: 2,
    source: 'least values of ISO 4925 (from memory)',
  },
  'class-7': {
    name: 'Low-viscosity class 7, minimum by standard',
    class: 'ISO class 7',
    note: 'Thin when cold, with the points of class 5-1.',
    dry: 260,
    wet: 180,
    silicone: false,
    modulus: 1600,
    price: 2,
    source: 'least values of ISO 4925 (from memory)',
  },
  'road-sport': {
    name: 'Good road-sport fluid',
    class: 'DOT 4',
    note: 'A good lower class that beats a poor higher one.',
    dry: 270,
    wet: 180,
    silicone: false,
    modulus: 1600,
    price: 3,
    source: MEMORY,
  },
  race: {
    name: 'Race fluid',
    class: 'DOT 4',
    note: 'High dry point; ages quickly, change it often.',
    dry: 312,
    wet: 198,
    silicone: false,
    modulus: 1600,
    price: 4,
    source: MEMORY,
  },
  'race-plus': {
    name: 'Race fluid, highest point',
    class: 'DOT 4',
    note: 'For a single event between changes.',
    dry: 328,
    wet: 204,
    silicone: false,
    modulus: 1600,
    price: 5,
    source: MEMORY,
  },
  silicone: {
    name: 'Silicone fluid',
    class: 'DOT 5',
    note: 'Not advised on track or with ABS: more compressible, does not mix with glycol, and water that gets in lies free and boils at 100 °C (212 °F).',
    dry: 260,
    wet: 180,
    silicone: true,
    modulus: 900,
    price: 3,
    source: FMVSS,
  },
} as const satisfies Record<string, FluidEntry>;
