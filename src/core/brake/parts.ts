import type { UniformTable } from '../heat';

/** A rotor material. All SI; tables over temperature in K. */
export interface RotorMaterial {
  readonly name: string;
  /** kg/m³ */
  readonly density: number;
  /** W/(m·K) */
  readonly conductivity: UniformTable;
  /** J/(kg·K) */
  readonly specificHeat: UniformTable;
  /** Emissivity of a used face, 0 to 1 */
  readonly emissivity: number;
  /** Highest bulk temperature it is run at, K */
  readonly bulkLimit: number;
  /** Highest face temperature it is run at, K */
  readonly faceLimit: number;
}

export interface Rotor {
  readonly material: RotorMaterial;
  /** Diameters of the friction ring, m */
  readonly outerDiameter: number;
  readonly innerDiameter: number;
  /** Over both cheeks, m */
  readonly thickness: number;
  /** Height of the air passage, m; 0 for a solid rotor */
  readonly vaneGap: number;
  readonly vaneCount: number;
  /** m */
  readonly vaneThickness: number;
  /** Ring to hat, W/K */
  readonly hatConductance: number;
  /** kg */
  readonly hatMass: number;
  /** J/(kg·K) */
  readonly hatSpecificHeat: number;
}

export interface Pad {
  /** Friction material: W/(m·K), kg/m³, J/(kg·K) */
  readonly conductivity: number;
  readonly density: number;
  readonly specificHeat: number;
  /** Friction area of one pad, m² */
  readonly area: number;
  /** Friction material left, m */
  readonly thickness: number;
  /** Steel plate, m */
  readonly plateThickness: number;
  /** Lowest face temperature of the working window, K */
  readonly windowLow: number;
  /** Face temperature over which it fades and glazes, K */
  readonly limit: number;
  /** Temperature the bond to the plate is run at, at most, K */
  readonly plateLimit: number;
}

export interface Caliper {
  /** kg */
  readonly mass: number;
  /** J/(kg·K) */
  readonly specificHeat: number;
  /** Surface in the air, m² */
  readonly wettedArea: number;
  /** Plate to fluid through all pistons, W/K */
  readonly plateToFluid: number;
  /** Plate to body, W/K */
  readonly plateToBody: number;
  /** Fluid to body, W/K */
  readonly fluidToBody: number;
  /** Fluid in the bores, kg */
  readonly fluidMass: number;
  /** Highest temperature of seals, K */
  readonly sealLimit: number;
}

/** One wheel's brake and the air it gets. */
export interface Corner {
  readonly rotor: Rotor;
  readonly pad: Pad;
  readonly caliper: Caliper;
  /** Open area of the duct to this wheel, m² */
  readonly ductArea: number;
  /** Share of V·A that flows through the duct, 0 to 1 */
  readonly ductCoefficient: number;
  /** Share of the passage's air that has been through the wheel well before, without a duct, 0 to 0.8 */
  readonly recirculation: number;
  /** Factor on all forced convection, 1 until calibrated */
  readonly coolingFactor: number;
}
