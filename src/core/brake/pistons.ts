/** What the pistons of a caliper or a wheel cylinder are made of and how large they are. All SI. */
export interface Pistons {
  /** Diameter of each that presses, both sides together, m; n */
  readonly diameters: readonly number[];
  /** Wall of the cup, m */
  readonly wall: number;
  /** W/(m·K) */
  readonly conductivity: number;
  /** Density times specific heat, J/(m³·K) */
  readonly heat: number;
  /** Insulating cap on the rim, m²·K/W; 0 without */
  readonly cap: number;
}

/** The way of heat from pad backing plate to fluid through all pistons. */
export interface PistonPath {
  /** Dry contact of the rims, with their caps, W/K */
  readonly contact: number;
  /** Along the walls from rim to wetted end, W/K */
  readonly wall: number;
  /** From the wetted ends into the fluid behind them, W/K */
  readonly toFluid: number;
  /** From the wetted ends into the body, through the film of fluid behind the seals, W/K */
  readonly toBody: number;
  /** Of the outer half of the walls, and of the inner half with the ends, J/K */
  readonly rimCapacity: number;
  readonly endCapacity: number;
}

/** Dry contact of a steel plate on a piston's rim under the pressure of light braking, W/(m²·K) (from memory). */
const RIM_CONTACT = 3000;
/** Rim to wetted end, m (from memory). */
const LENGTH = 0.025;
/** Natural convection of brake fluid on the wetted ends, W/(m²·K); about 1 W/K for four pistons of 36 mm (from memory). */
const WETTED = 250;

/** Conductivity of brake fluid, W/(m·K), clearance in the bore and wetted length behind the seal, m (from memory). */
const FILM_CONDUCTIVITY = 0.15;
const CLEARANCE = 1e-4;
const WETTED_LENGTH = 0.008;

/**
 * Conductances of pistons as cups whose rims stand on the plate and whose closed ends are wetted: section of the wall
 * `π·(D − w)·w`, ends `π/4·D²` (geometry).
 */
export function pistonPath({ diameters, wall, conductivity, heat, cap }: Pistons): PistonPath {
  let [section, ends, sides] = [0, 0, 0];
  for (const d of diameters) {
    section += Math.PI * (d - Math.min(wall, d / 2)) * Math.min(wall, d / 2);
    ends += (Math.PI / 4) * d * d;
    sides += Math.PI * d * WETTED_LENGTH;
  }
  const half = (heat * section * LENGTH) / 2;
  return {
    contact: section / (1 / RIM_CONTACT + cap),
    wall: (conductivity * section) / LENGTH,
    toFluid: WETTED * ends,
    toBody: (FILM_CONDUCTIVITY * sides) / CLEARANCE,
    rimCapacity: half,
    endCapacity: half + heat * ends * wall,
  };
}
