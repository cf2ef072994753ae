import { log } from '../numeric';
import type { Drum, Rotor } from './parts';

export interface RotorGeometry {
  /** One face of the ring with what slots and holes leave of it, m² */
  readonly faceArea: number;
  /** Section of one cheek that stores and conducts, m²: the face less holes and the slots' share */
  readonly cheekArea: number;
  /** Thickness of a cheek, or half a solid ring, m */
  readonly cheek: number;
  /** Length of a vane, m */
  readonly vaneLength: number;
  /** Section of all vanes where they join one cheek, m² */
  readonly vaneSection: number;
  /** Area of the passage's walls: on the cheeks and on the vanes, m² */
  readonly cheekWall: number;
  readonly vaneWall: number;
  /** Walls of all holes, both cheeks, m² */
  readonly holeWall: number;
  /** Open area at the inner and the outer edge, m² */
  readonly inletArea: number;
  readonly outletArea: number;
  /** Hydraulic diameter of a channel at mid radius, m */
  readonly hydraulicDiameter: number;
  /** Mass of both cheeks and of the vanes as used, kg */
  readonly cheekMass: number;
  readonly vaneMass: number;
  /** Ring's mass from its measures alone, kg */
  readonly measuredMass: number;
  /** Weighed over measured mass, 1 when it was not weighed */
  readonly massFactor: number;
}

/** Geometries found before: convection asks for the same rotor's at every step. */
const known = new WeakMap<Rotor, RotorGeometry>();

/**
 * Areas, m², and masses, kg, of a friction ring; the passage's are zero for a solid one. Exact for straight vanes; curved
 * ones are taken as straight, pillars as three rows of round posts (own assumptions).
 */
export function rotorGeometry(rotor: Rotor): RotorGeometry {
  const found = known.get(rotor);
  if (found) return found;
  const geometry = measure(rotor);
  known.set(rotor, geometry);
  return geometry;
}

function measure(rotor: Rotor): RotorGeometry {
  const { outerDiameter: D, innerDiameter: d, thickness, vaneGap: gap } = rotor;
  const { vaneCount: n, vaneThickness: t } = rotor;
  const ring = (Math.PI / 4) * (D * D - d * d);
  const cheek = (thickness - gap) / 2;
  const vaneLength = (D - d) / 2;
  const drilled = rotor.surface === 'drilled';
  const slotted = rotor.surface === 'slotted';
  const holes = drilled ? rotor.holeCount * (Math.PI / 4) * rotor.holeDiameter ** 2 : 0;
  const slots = slotted ? rotor.slotCount * rotor.slotWidth * vaneLength : 0;
  const slotShare = Math.min(1, rotor.slotDepth / cheek);
  const cheekArea = Math.max(0.3 * ring, ring - holes - slots * slotShare);
  const vented = gap > 0;
  // Pillars: as many round posts as there are "vanes", each in three rows, as thick as given.
  const posts = rotor.vaneType === 'pillar';
  const vaneSection = !vented ? 0 : posts ? 3 * n * (Math.PI / 4) * t * t : n * t * vaneLength;
  const vaneWall = !vented ? 0 : posts ? 3 * n * Math.PI * t * gap : 2 * n * gap * vaneLength;
  const inletArea = vented ? (Math.PI * d - n * t) * gap : 0;
  const outletArea = vented ? (Math.PI * D - n * t) * gap : 0;
  const channelWidth = (Math.PI * (D + d)) / 2 / n - t;
  const { density } = rotor.material;
  const cheekMass = 2 * cheekArea * cheek * density;
  const vaneMass = vaneSection * gap * density;
  const measuredMass = cheekMass + vaneMass;
  const weighed = rotor.weighedMass === null ? measuredMass : rotor.weighedMass - rotor.hatMass;
  const massFactor = weighed / measuredMass;
  return {
    faceArea: Math.max(0.3 * ring, ring - holes - slots),
    cheekArea,
    cheek,
    vaneLength,
    vaneSection,
    cheekWall: vented ? 2 * Math.max(0, ring - vaneSection - holes) : 0,
    vaneWall,
    holeWall: drilled ? 2 * rotor.holeCount * Math.PI * rotor.holeDiameter * cheek : 0,
    inletArea,
    outletArea,
    hydraulicDiameter: vented ? (2 * channelWidth * gap) / (channelWidth + gap) : 0,
    cheekMass: cheekMass * massFactor,
    vaneMass: vaneMass * massFactor,
    measuredMass,
    massFactor,
  };
}

/**
 * Length over section of the way from a cheek's mean to the middle of the bell (hat), 1/m; times conductivity it conducts.
 * Through the neck `L/(π·d·t)`; through the one cheek that carries the bell, from where heat is stored evenly to its inner
 * edge, `(β·(β·ln(D/d) − ½) − ¼)/(2π·t_cheek)` with `β = D²/(D² − d²)` (steady conduction in a ring; own integration).
 */
export function wayToHat(rotor: Rotor): number {
  const { outerDiameter: D, innerDiameter: d, neckLength, neckThickness } = rotor;
  const { cheek } = rotorGeometry(rotor);
  const beta = (D * D) / (D * D - d * d);
  const ring = (beta * (beta * log(D / d) - 0.5) - 0.25) / (2 * Math.PI * cheek);
  return neckLength / (Math.PI * d * neckThickness) + ring;
}

/** Outer and inner edges of both cheeks, m², the inner less where the neck of a one-piece rotor joins one of them. */
export function edgeAreas(rotor: Rotor): { outer: number; inner: number } {
  const { outerDiameter: D, innerDiameter: d, neckThickness } = rotor;
  const { cheek } = rotorGeometry(rotor);
  const joined = rotor.hatConductance === null ? Math.min(neckThickness, cheek) : 0;
  return { outer: Math.PI * D * 2 * cheek, inner: Math.PI * d * (2 * cheek - joined) };
}

/** What is rubbed inside a drum and its outside, m², and the mass of its rim, kg; one wheel. */
export function drumGeometry(drum: Drum): { rubbed: number; outer: number; rimMass: number } {
  const { innerDiameter, width, rimThickness } = drum;
  const rubbed = Math.PI * innerDiameter * width;
  const outer = Math.PI * (innerDiameter + 2 * rimThickness) * width * drum.ribFactor;
  const rimMass = Math.PI * (innerDiameter + rimThickness) * width * rimThickness * drum.material.density;
  return { rubbed, outer, rimMass };
}
