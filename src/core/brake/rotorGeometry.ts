import type { Rotor } from './parts';

export interface RotorGeometry {
  /** One face of the ring, m² */
  readonly faceArea: number;
  /** Thickness of a cheek, or half a solid ring, m */
  readonly cheek: number;
  /** Length of a vane, m */
  readonly vaneLength: number;
  /** Section of all vanes where they join one cheek, m² */
  readonly vaneSection: number;
  /** Area of the passage's walls: on the cheeks and on the vanes, m² */
  readonly cheekWall: number;
  readonly vaneWall: number;
  /** Open area at the inner and the outer edge, m² */
  readonly inletArea: number;
  readonly outletArea: number;
  /** Hydraulic diameter of a channel at mid radius, m */
  readonly hydraulicDiameter: number;
  /** Mass of both cheeks, kg */
  readonly cheekMass: number;
  /** Mass of the vanes, kg */
  readonly vaneMass: number;
}

/** Areas and masses of a friction ring; the passage's are zero for a solid one. */
export function rotorGeometry(rotor: Rotor): RotorGeometry {
  const {
    outerDiameter: D,
    innerDiameter: d,
    thickness,
    vaneGap: gap,
    vaneCount: n,
    vaneThickness: t,
  } = rotor;
  const faceArea = (Math.PI / 4) * (D * D - d * d);
  const cheek = (thickness - gap) / 2;
  const vaneLength = (D - d) / 2;
  const vented = gap > 0;
  const vaneSection = vented ? n * t * vaneLength : 0;
  const inletArea = vented ? (Math.PI * d - n * t) * gap : 0;
  const outletArea = vented ? (Math.PI * D - n * t) * gap : 0;
  const channelWidth = (Math.PI * (D + d)) / 2 / n - t;
  return {
    faceArea,
    cheek,
    vaneLength,
    vaneSection,
    cheekWall: vented ? 2 * (faceArea - vaneSection) : 0,
    vaneWall: vented ? 2 * n * gap * vaneLength : 0,
    inletArea,
    outletArea,
    hydraulicDiameter: vented ? (2 * channelWidth * gap) / (channelWidth + gap) : 0,
    cheekMass: 2 * faceArea * cheek * rotor.material.density,
    vaneMass: vaneSection * gap * rotor.material.density,
  };
}
