import type { PointTable, UniformTable } from '../numeric';
import type { NetworkConstants } from './networkConstants';
import type { PistonPath } from './pistons';

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
  /** Linear expansion, 1/K */
  readonly expansion: number;
  /** Pa */
  readonly youngsModulus: number;
  readonly poisson: number;
  /** Range of strain at the face that is survived a thousand times, 1; null where heat checks are not what ends it */
  readonly fatigueStrain: number | null;
}

export type VaneType = 'straight' | 'pillar' | 'curved' | 'curved-staggered' | 'curved-reversed';
export type RotorSurface = 'plain' | 'slotted' | 'drilled';

export interface Rotor {
  readonly material: RotorMaterial;
  /** Diameters of the friction ring, m */
  readonly outerDiameter: number;
  readonly innerDiameter: number;
  /** Over both cheeks, m */
  readonly thickness: number;
  /** Height of the air passage, m; 0 for a solid rotor */
  readonly vaneGap: number;
  readonly vaneType: VaneType;
  readonly vaneCount: number;
  /** m */
  readonly vaneThickness: number;
  readonly surface: RotorSurface;
  /** Holes through both cheeks, when drilled */
  readonly holeCount: number;
  /** m */
  readonly holeDiameter: number;
  /** Slots in each face, when slotted: number, width and depth, m; each as long as the ring is wide */
  readonly slotCount: number;
  readonly slotWidth: number;
  readonly slotDepth: number;
  /** Whole rotor on the scales, kg; null takes the mass from its measures */
  readonly weighedMass: number | null;
  readonly onePiece: boolean;
  /** Ring to bell (hat) through bobbins or pins, W/K; null where a neck of the rotor's own material joins them */
  readonly hatConductance: number | null;
  /** Neck between one cheek's inner edge and the bell: from the edge to the middle of the bell's wall, and its wall, m */
  readonly neckLength: number;
  readonly neckThickness: number;
  /** kg */
  readonly hatMass: number;
  /** J/(kg·K) */
  readonly hatSpecificHeat: number;
}

/** A drum with two shoes inside. */
export interface Drum {
  readonly material: RotorMaterial;
  /** Of the rubbed surface, m */
  readonly innerDiameter: number;
  /** Of the rubbed surface, m */
  readonly width: number;
  /** Of the rim, m */
  readonly rimThickness: number;
  /** Outer surface over that of a smooth rim, 1 or more: ribs */
  readonly ribFactor: number;
  /** Web between rim and hub, kg */
  readonly webMass: number;
  /** Both shoes' steel, kg */
  readonly shoeMass: number;
}

export interface Pad {
  /** Friction material: W/(m·K), kg/m³, J/(kg·K); where they change with temperature, at 20 °C */
  readonly conductivity: number;
  readonly density: number;
  readonly specificHeat: number;
  /** Conductivity and specific heat over those at 20 °C, by temperature; null where they are taken as constant */
  readonly overTemperature: {
    readonly conductivity: UniformTable;
    readonly specificHeat: UniformTable;
  } | null;
  /** Friction area of one pad or one shoe, m² */
  readonly area: number;
  /** Friction material left, m */
  readonly thickness: number;
  /** Steel plate, m */
  readonly plateThickness: number;
  /** Insulating shim between plate and pistons, W/K; infinite without one */
  readonly shimConductance: number;
  /** Friction coefficient over the temperature of the rubbed face in K */
  readonly friction: PointTable;
  /** Highest value of the table, 1 */
  readonly nominalFriction: number;
  /** Lowest face temperature of the working window, K */
  readonly windowLow: number;
  /** Face temperature over which it fades and glazes, K */
  readonly limit: number;
  /** Temperature the bond to the plate is run at, at most, K */
  readonly plateLimit: number;
  /** How it is bedded: face temperatures between which braking does it, K, and the braking in them that it takes, s */
  readonly bedding: { readonly low: number; readonly high: number; readonly time: number };
}

export interface Caliper {
  /** Whether its body slides, with pistons on the inner side alone */
  readonly sliding: boolean;
  /** kg */
  readonly mass: number;
  /** J/(kg·K) */
  readonly specificHeat: number;
  /** Surface in the air, m² */
  readonly wettedArea: number;
  readonly pistons: PistonPath;
  /** Plate to body, W/K */
  readonly plateToBody: number;
  /** Fluid to body, W/K */
  readonly fluidToBody: number;
  /** Fluid in the bores, kg */
  readonly fluidMass: number;
  /** Fluid in the last of the hose, kg */
  readonly hoseFluidMass: number;
  /** Highest temperature of seals, K */
  readonly sealLimit: number;
}

/** The air one wheel's brake gets. */
export interface CornerAir {
  /** Open area of the duct to this wheel, m² */
  readonly ductArea: number;
  /** Share of V·A that flows through the duct, 0 to 1 */
  readonly ductCoefficient: number;
  /** Share of the duct that is blanked off, 0 to 1 */
  readonly tape: number;
  /** Share of the duct's air led to the caliper, 0 to 1; the rest goes to the rotor */
  readonly toCaliper: number;
  /** Share of the passage's air that has been through the wheel well before, without a duct, 0 to 0.8 */
  readonly recirculation: number;
  /** Share of the inboard face behind a backing plate, 0 to 1 */
  readonly shield: number;
  /** Share of the wheel that is open, 0 to 1 */
  readonly wheelOpenArea: number;
  /** Factor on all forced convection: the axle's times the side's, 1 until calibrated */
  readonly coolingFactor: number;
}

/** One wheel's brake. With a drum, `rotor` is not used. */
export interface Corner {
  readonly rotor: Rotor;
  readonly drum: Drum | null;
  readonly pad: Pad;
  readonly caliper: Caliper;
  readonly air: CornerAir;
  /** Whether inner and outer cheek and pad are one mass each, or two */
  readonly sides: 'together' | 'apart';
  readonly constants: NetworkConstants;
}

/** Material of what the pads rub on: the ring's of a disc, the drum's. */
export const rubbedMaterial = (corner: Corner): RotorMaterial => (corner.drum ?? corner.rotor).material;
