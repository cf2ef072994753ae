/** Values no handbook gives (from memory), each a candidate for calibration. */
export const CONTACT_CONDUCTANCE = 4000; // W/(m²·K), pads applied
export const RELEASED_GAP = 0.15e-3; // m
export const PAD_EMISSIVITY = 0.85;
export const VIEW_TO_SURROUNDINGS = 0.75;
export const VIEW_TO_CALIPER = 0.08;
export const RING_AIR_TO_CALIPER = 0.25; // W/K, warm air dragged into the bridge
export const DRUM_TO_WEB = 6; // W/K
export const HAT_TO_HUB = 8; // W/K
export const HUB_MASS = 4; // kg of steel: hub, bearing, studs
export const HUB_AREA = 0.15; // m², the bolted wheel's centre works as its fin
export const HUB_TO_UPRIGHT = 12; // W/K through the bearing
export const UPRIGHT_MASS = 8; // kg
export const UPRIGHT_AREA = 0.2; // m²
export const CALIPER_TO_UPRIGHT = 1.5; // W/K
export const PLATE_FREE_SHARE = 0.5; // of the pad's area, back and edges in passing air
export const STEEL_HEAT = 480; // J/(kg·K)
export const STEEL_DENSITY = 7850; // kg/m³
export const FLUID_HEAT = 2300; // J/(kg·K), glycol fluids
export const PLATE_TO_PAD = 8000; // W/(m²·K), bonded joint
export const PISTON_TO_BODY = 0.15; // W/K through seals and bore gap
export const FLUID_TO_HOSE = 0.3; // W/K, fluid that goes to and fro with each braking zone
export const HOSE_TO_AIR = 0.004; // m² of hose near its fitting
export const HOSE_DISTANCE = 0.15; // m from the disc
export const HOSE_SEEN = 0.0015; // m² of fitting and hose that the disc sees
export const DRUM_INSIDE = 0.25; // share of the outer heat transfer found inside a drum
export const DRUM_LEAKAGE_TO_AIR = 0.3; // share of the shoes' surface in moving air

/** Constants of a brake's network that matter and can be calibrated. */
export interface NetworkConstants {
  /** Factor on the convection of the rubbed faces, 1 */
  readonly faceConvection: number;
  /** Factor on the convection of the walls of the vanes, 1 */
  readonly vaneConvection: number;
  /** Surface of the bell (hat) in the air, m² */
  readonly hatArea: number;
  /** Factor on the conductance from ring to bell (hat), 1 */
  readonly ringToHat: number;
  /** Factor on every conductance from pad backing plate through the pistons to the fluid, 1 */
  readonly plateToFluid: number;
  /** Dynamic heads that a duct's air loses at the opening it blows into, 1 to 2 */
  readonly ductInletLoss: number;
  /** Factor on the friction material that the work takes off, 1 */
  readonly padWear: number;
}

/** As computed for a brake that has not been measured; the bell's surface and the loss are from memory. */
export const DEFAULT_CONSTANTS: NetworkConstants = {
  faceConvection: 1,
  vaneConvection: 1,
  hatArea: 0.04,
  ringToHat: 1,
  plateToFluid: 1,
  ductInletLoss: 1.5,
  padWear: 1,
};
