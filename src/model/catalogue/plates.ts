/**
 * How the friction material is held on its backing plate: give of the pad over that of one glued to a flat plate, and
 * what the joint stands beyond it, K (from memory).
 */
export const PLATES = {
  flush: { name: 'Flat, glued', give: 1, stands: 0 },
  holed: { name: 'With holes, material through them', give: 1.08, stands: 20 },
  retained: { name: 'With hooks (mechanical retention)', give: 0.95, stands: 60 },
} as const;
export type PlateId = keyof typeof PLATES;
export const PLATE_IDS = Object.keys(PLATES) as [PlateId, ...PlateId[]];
