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

/** Pistons: plate to fluid through all of a caliper's, W/K, and their heat capacity, J/K (from memory). */
export const PISTONS = {
  aluminium: { name: 'Aluminium', plateToFluid: 1.4, capacity: 135 },
  steel: { name: 'Steel', plateToFluid: 0.8, capacity: 170 },
  stainless: { name: 'Stainless, hollow', plateToFluid: 0.45, capacity: 125 },
  'titanium-capped': { name: 'Titanium, capped', plateToFluid: 0.22, capacity: 112 },
} as const;

export const VANES = {
  straight: { name: 'Straight' },
  curved: { name: 'Curved, fitted the right way round' },
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
