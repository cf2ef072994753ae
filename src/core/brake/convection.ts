import { type AirProperties, airConductivity, airViscosity } from '../air';
import { STANDARD_GRAVITY } from '../constants';
import type { Corner, Rotor } from './parts';
import { type RotorGeometry, rotorGeometry } from './rotorGeometry';

/** Linear from 0 to 1 between two Reynolds numbers. */
function blend(reynolds: number, low: number, high: number): number {
  return Math.min(1, Math.max(0, (reynolds - low) / (high - low)));
}

/**
 * Heat transfer from the friction faces of a rotor in a wheel.
 * `Nu = 0.70·Re^0.55` below Re = 2.4e5, `0.04·Re^0.8` above, on road speed and rotor diameter
 * (Limpert, Brake Design and Safety; from memory). The two do not meet, so they are blended over 2.0e5 to 2.8e5; air
 * properties are those of the approaching air.
 * @param speed m/s
 * @param diameter outer, m
 * @returns W/(m²·K)
 */
export function faceCoefficient(air: AirProperties, speed: number, diameter: number): number {
  if (speed <= 0) return 0;
  const reynolds = (air.density * speed * diameter) / air.viscosity;
  const share = blend(reynolds, 2.0e5, 2.8e5);
  const nusselt = (1 - share) * 0.7 * reynolds ** 0.55 + share * 0.04 * reynolds ** 0.8;
  return (nusselt * air.conductivity) / diameter;
}

/** Air through the passage of a vented rotor. */
export interface Passage {
  /** kg/s */
  readonly massFlow: number;
  /** Share of it that came through the duct, 0 to 1 */
  readonly fresh: number;
  /** From the walls to the surroundings, W/K */
  readonly conductance: number;
}

/**
 * Heat carried off by the air in a rotor's passage.
 * Pumping `v_in = 0.052·n·√(D² − d²)` (n in rev/min, m), `v_out = v_in·A_in/A_out`; turbulent
 * `Nu = 0.023·(1 + (d_h/l)^0.67)·Re^0.8·Pr^0.33` above Re = 1e4, laminar `1.86·(Re·Pr)^(1/3)·(d_h/l)^0.33`
 * (Limpert; from memory), between Re = 2300 and 1e4 linear between the two ends, as the VDI Heat Atlas (G1) does for
 * tubes. The duct's flow joins by a power mean of exponent 2. The air takes no more than its capacity:
 * `ṁ·c_p·(1 − exp(−hA/ṁc_p))`; the share that comes round again from the wheel well takes less.
 * @param speed of the car, m/s
 * @param wheelRadius m
 */
export function passage(corner: Corner, air: AirProperties, speed: number, wheelRadius: number): Passage {
  const geometry = rotorGeometry(corner.rotor);
  if (geometry.inletArea <= 0 || speed <= 0) return { massFlow: 0, fresh: 0, conductance: 0 };
  const { outerDiameter: D, innerDiameter: d } = corner.rotor;
  const revolutions = (speed / (2 * Math.PI * wheelRadius)) * 60;
  const pumped = 0.052 * revolutions * Math.sqrt(D * D - d * d);
  const ductFlow = air.density * corner.ductCoefficient * corner.ductArea * speed;
  const driven = ductFlow / (air.density * geometry.inletArea);
  const inlet = Math.hypot(pumped, driven);
  const mean = 0.5 * inlet * (1 + geometry.inletArea / geometry.outletArea);
  const walls = channelCoefficient(geometry, air, mean) * (geometry.cheekWall + geometry.vaneWall);
  const massFlow = air.density * inlet * geometry.inletArea;
  const capacity = massFlow * air.specificHeat;
  const effectiveness = 1 - Math.exp(-(walls * corner.coolingFactor) / capacity);
  const fresh = Math.min(1, ductFlow / massFlow);
  const again = corner.recirculation * (1 - fresh);
  const conductance = (capacity * effectiveness * (1 - again)) / (1 - again * (1 - effectiveness));
  return { massFlow, fresh, conductance };
}

/** Heat transfer from the walls of a vane channel, W/(m²·K). @param speed mean in the channel, m/s */
function channelCoefficient(geometry: RotorGeometry, air: AirProperties, speed: number): number {
  const { hydraulicDiameter: dh, vaneLength: l } = geometry;
  const reynolds = (air.density * speed * dh) / air.viscosity;
  const laminar = (re: number) => 1.86 * Math.cbrt(re * air.prandtl) * (dh / l) ** 0.33;
  const turbulent = (re: number) => 0.023 * (1 + (dh / l) ** 0.67) * re ** 0.8 * air.prandtl ** 0.33;
  const share = blend(reynolds, 2300, 1e4);
  const nusselt =
    (1 - share) * laminar(Math.min(reynolds, 2300)) + share * turbulent(Math.max(reynolds, 1e4));
  return (nusselt * air.conductivity) / dh;
}

/**
 * Natural convection from a hot upright surface in still air: `Nu = 0.59·Ra^(1/4)`
 * (Incropera, Fundamentals of Heat and Mass Transfer, section 9.6; from memory), properties at film temperature.
 * @param surface K
 * @param ambient K
 * @param pressure Pa
 * @param height of the surface, m
 * @returns W/(m²·K)
 */
export function naturalCoefficient(
  surface: number,
  ambient: number,
  pressure: number,
  height: number,
): number {
  const difference = Math.max(0, surface - ambient);
  if (difference === 0) return 0;
  const film = 0.5 * (surface + ambient);
  const density = pressure / (287.05287 * film);
  const kinematic = airViscosity(film) / density;
  const rayleigh = (0.7 * STANDARD_GRAVITY * difference * height ** 3) / (film * kinematic ** 2);
  return (0.59 * rayleigh ** 0.25 * airConductivity(film)) / height;
}

/** Area of both faces the pads leave free, m². */
export function freeFaceArea(rotor: Rotor, padArea: number): number {
  return Math.max(0, 2 * rotorGeometry(rotor).faceArea - 2 * padArea);
}
