import type { RotorMaterial } from '../../core';
import { tableAt, uniformTable, ZERO_CELSIUS } from '../../core';

/**
 * Generic rotor materials. Values are typical ones from memory unless a source is named; none is
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
  limits: { bulk: number; face: number },
  /** 1/K, GPa, 1, and the strain range survived a thousand times (null where heat checks do not end it) */
  solid: { expansion: number; youngsGPa: number; poisson: number; fatigueStrain: number | null },
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
      bulkLimit: limits.bulk + ZERO_CELSIUS,
      faceLimit: limits.face + ZERO_CELSIUS,
      expansion: solid.expansion,
      youngsModulus: solid.youngsGPa * 1e9,
      poisson: solid.poisson,
      fatigueStrain: solid.fatigueStrain,
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
    { bulk: 680, face: 820 },
    { expansion: 11e-6, youngsGPa: 110, poisson: 0.26, fatigueStrain: 0.004 },
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
    { bulk: 700, face: 850 },
    { expansion: 11e-6, youngsGPa: 95, poisson: 0.26, fatigueStrain: 0.0045 },
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
    { bulk: 600, face: 750 },
    { expansion: 11.5e-6, youngsGPa: 200, poisson: 0.29, fatigueStrain: 0.008 },
    'typical of martensitic stainless rotor steel (from memory)',
  ),
  'aluminium-composite': material(
    'Aluminium composite',
    2780,
    [
      [20, 180],
      [200, 172],
      [400, 160],
    ],
    [
      [20, 840],
      [200, 940],
      [400, 1030],
    ],
    0.3,
    { bulk: 430, face: 480 },
    { expansion: 17.5e-6, youngsGPa: 98, poisson: 0.3, fatigueStrain: 0.005 },
    'typical of aluminium with a fifth of silicon carbide (from memory)',
  ),
  'carbon-silicon-carbide': material(
    'Carbon-silicon carbide',
    2350,
    [
      [20, 40],
      [200, 36],
      [400, 31],
      [600, 27],
      [800, 24],
      [1000, 22],
    ],
    [
      [20, 750],
      [200, 1060],
      [400, 1260],
      [600, 1380],
      [800, 1460],
      [1000, 1510],
    ],
    0.8,
    { bulk: 850, face: 1000 },
    { expansion: 2.2e-6, youngsGPa: 30, poisson: 0.2, fatigueStrain: null },
    'typical of short-fibre discs with ceramic faces (from memory)',
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
    { bulk: 900, face: 1100 },
    { expansion: 1e-6, youngsGPa: 20, poisson: 0.2, fatigueStrain: null },
    'typical across the fibre layers (from memory)',
  ),
} as const satisfies Record<string, MaterialEntry>;

export type MaterialId = keyof typeof ROTOR_MATERIALS;
export const MATERIAL_IDS = Object.keys(ROTOR_MATERIALS) as [MaterialId, ...MaterialId[]];

/** How carbon changes with temperature: conductivity and specific heat of carbon-carbon over those at 20 °C, 1. */
export const CARBON_OVER_TEMPERATURE = (() => {
  const { conductivity, specificHeat } = ROTOR_MATERIALS['carbon-carbon'].material;
  const over = (values: Float64Array) => values.map((value) => value / tableAt(values, 20 + ZERO_CELSIUS));
  return { conductivity: over(conductivity), specificHeat: over(specificHeat) };
})();
