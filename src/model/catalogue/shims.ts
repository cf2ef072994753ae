/** Insulating layers between plate and pistons: conductance of the layer, W/K (from memory). */
export const SHIMS = {
  none: { name: 'None', conductance: Number.POSITIVE_INFINITY },
  stainless: { name: 'Stainless shim', conductance: 12 },
  titanium: { name: 'Titanium shim', conductance: 4 },
  ceramic: { name: 'Ceramic cap', conductance: 1.5 },
} as const;
export type ShimId = keyof typeof SHIMS;
export const SHIM_IDS = Object.keys(SHIMS) as [ShimId, ...ShimId[]];
