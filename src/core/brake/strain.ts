import { power } from '../numeric';
import type { Rotor, RotorMaterial } from './parts';
import { rotorGeometry } from './rotorGeometry';

/** Stress at a round hole over the stress around it. Kirsch 1898: 3 in a uniaxial field, 2 in an equibiaxial one. */
export const HOLE_STRESS = { uniaxial: 3, equibiaxial: 2 } as const;
/** The same for the shallow edge of a slot (from memory). */
const SLOT_STRESS = 1.3;
/** Slope of the life over strain range in a log-log plot, Manson's universal slope for short lives: 1/0.6 (from memory). */
const LIFE_EXPONENT = 1 / 0.6;
const REFERENCE_CYCLES = 1000;

/**
 * Stress at a face that is hotter than its cheek: `E·α·(T_mean − T_face)/(1 − ν)`, negative is compression.
 * The field is the same in all directions of the face.
 * @param face K
 * @param mean of the cheek, K
 * @returns Pa
 * Source: Timoshenko and Goodier, Theory of Elasticity, thermal stress in a plate (from memory).
 */
export function faceStress(material: RotorMaterial, face: number, mean: number): number {
  return (material.youngsModulus * material.expansion * (mean - face)) / (1 - material.poisson);
}

/** Stress concentration of a ring's surface: 1 plain, 1.3 slotted (from memory), 2 drilled (Kirsch, equibiaxial). */
export function surfaceConcentration(rotor: Rotor): number {
  if (rotor.surface === 'drilled') return HOLE_STRESS.equibiaxial;
  return rotor.surface === 'slotted' ? SLOT_STRESS : 1;
}

/**
 * Share of a face's life to the first crack that one braking zone takes, an index and no life in hours:
 * `(K·α·ΔT/(1 − ν) ÷ ε₁₀₀₀)^(1/0.6) ÷ 1000`.
 * @param rise greatest difference of face over mean in the braking zone, K
 * @param concentration of the surface, 1 or more
 * @returns 0 to 1, null where heat checks are not what ends the material
 * Source: slope of Manson's universal slopes (from memory); ε₁₀₀₀ is the material's own.
 */
export function fatigueDamage(material: RotorMaterial, rise: number, concentration: number): number | null {
  if (material.fatigueStrain === null) return null;
  const strain = (concentration * material.expansion * Math.max(0, rise)) / (1 - material.poisson);
  return power(strain / material.fatigueStrain, LIFE_EXPONENT) / REFERENCE_CYCLES;
}

/**
 * Growth of the ring's outer diameter, `α·D·ΔT`, m.
 * @param diameter m
 * @param rise over the temperature it was measured at, K
 */
export function diameterGrowth(material: RotorMaterial, diameter: number, rise: number): number {
  return material.expansion * diameter * rise;
}

/**
 * Radial float a ring on a hat needs at its inner diameter, m: what the ring grows beyond the hat, an aluminium hat's
 * expansion being 23e-6/K (from memory).
 * @param ringRise over the temperature they were fitted at, K
 * @param hatRise K
 */
export function floatNeeded(rotor: Rotor, ringRise: number, hatRise: number): number {
  const radius = 0.5 * rotor.innerDiameter;
  return Math.max(0, radius * (rotor.material.expansion * ringRise - 23e-6 * hatRise));
}

/**
 * Axial movement of a one-piece ring's outer edge when the ring is hotter than the hat that holds it at one cheek: the
 * ring turns about its neck as far as its grown inner radius leans over the ring's thickness. Own estimate, an index.
 * @param difference ring over hat, K
 * @returns m
 */
export function coning(rotor: Rotor, difference: number): number {
  const growth = 0.5 * rotor.innerDiameter * rotor.material.expansion * difference;
  const lean = growth / (2 * rotor.thickness);
  return lean * rotorGeometry(rotor).vaneLength;
}
