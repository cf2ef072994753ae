import { tableAt } from '../heat';
import type { Pad, Rotor } from './parts';
import { rotorGeometry } from './rotorGeometry';

/**
 * Share of the friction heat that starts in the rotor, by effusivity and area: `√(kρc)·A`.
 * @param temperature at which the rotor's properties are taken, K
 * @returns 0 to 1
 */
export function rotorHeatShare(rotor: Rotor, pad: Pad, temperature: number): number {
  const { material } = rotor;
  const rotorEffusivity = Math.sqrt(
    tableAt(material.conductivity, temperature) *
      material.density *
      tableAt(material.specificHeat, temperature),
  );
  const padEffusivity = Math.sqrt(pad.conductivity * pad.density * pad.specificHeat);
  const rotorPart = rotorEffusivity * 2 * rotorGeometry(rotor).faceArea;
  const padPart = padEffusivity * 2 * pad.area;
  return rotorPart / (rotorPart + padPart);
}
