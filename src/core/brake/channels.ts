/** Columns of the drive of a corner's network. */
export const CHANNEL = {
  /** Always 1 */
  steady: 0,
  /** 1 while the pads are applied */
  applied: 1,
  /** 1 while they are released */
  released: 2,
  /** Turbulent part of the faces' heat transfer with a film at the reference temperature, W/(m²·K) */
  face: 3,
  /** Passage conductance, W/K */
  passage: 4,
  /** Caliper heat transfer, W/(m²·K) */
  caliper: 5,
  /** 1 standing, falling to 0 as the car moves */
  still: 6,
  /** Heat transfer of hub, upright and plate in the passing air, W/(m²·K) */
  wheel: 7,
  /** Laminar part of the faces' heat transfer, as `face`, W/(m²·K) */
  faceLaminar: 8,
  /** What a duct that blows onto solid faces adds, W/(m²·K) */
  blown: 9,
  /** How much better the pads conduct than at the thickness the network was built with, 1 */
  pad: 10,
} as const;
export const CHANNEL_COUNT = 11;
