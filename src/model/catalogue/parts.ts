/**
 * Ring to bell (hat) through bobbins, W/K (null where the neck's measures say), and heat capacity of the hat, by how the
 * ring is mounted (from memory).
 */
export const MOUNTINGS = {
  'one-piece': { name: 'One-piece', hatConductance: null, hatSpecificHeat: 500 },
  floating: { name: 'Floating on an aluminium bell', hatConductance: 1.2, hatSpecificHeat: 900 },
} as const;

/** Caliper bodies (from memory). */
export const CALIPER_BODIES = {
  aluminium: { name: 'Aluminium', specificHeat: 900 },
  iron: { name: 'Cast iron', specificHeat: 520 },
} as const;

/**
 * Pistons: conductivity, W/(m·K), density times specific heat, J/(m³·K), insulating cap, m²·K/W, and a usual wall, mm
 * (from memory).
 */
export const PISTONS = {
  aluminium: { name: 'Aluminium', conductivity: 150, heat: 2.43e6, cap: 0, wallMm: 5 },
  steel: { name: 'Steel', conductivity: 45, heat: 3.77e6, cap: 0, wallMm: 4 },
  stainless: { name: 'Stainless, hollow', conductivity: 16, heat: 3.95e6, cap: 0, wallMm: 2.5 },
  'titanium-capped': { name: 'Titanium, capped', conductivity: 7, heat: 2.35e6, cap: 7.5e-4, wallMm: 3 },
} as const;

export const VANES = {
  straight: { name: 'Straight' },
  curved: { name: 'Curved, fitted the right way round' },
  'curved-staggered': { name: 'Curved in staggered rows, the right way round' },
  'curved-reversed': { name: 'Curved, on the wrong side' },
  pillar: { name: 'Pillars' },
} as const;
export type VaneId = keyof typeof VANES;
export const VANE_IDS = Object.keys(VANES) as [VaneId, ...VaneId[]];

export const SURFACES = {
  plain: { name: 'Plain' },
  slotted: { name: 'Slotted' },
  drilled: { name: 'Drilled' },
} as const;
export type SurfaceId = keyof typeof SURFACES;
export const SURFACE_IDS = Object.keys(SURFACES) as [SurfaceId, ...SurfaceId[]];
