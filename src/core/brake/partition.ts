import { tableAt } from '../numeric';
import { type Corner, type Pad, type RotorMaterial, rubbedMaterial } from './parts';
import { drumGeometry, rotorGeometry } from './rotorGeometry';

/** Area of one wheel's rotor or drum that is rubbed, m². */
export function rubbedArea(corner: Corner): number {
  return corner.drum ? drumGeometry(corner.drum).rubbed : 2 * rotorGeometry(corner.rotor).faceArea;
}

/**
 * Share of the friction heat that starts in the rotor or drum, by effusivity and area: `√(kρc)·A` of the ring over that
 * of ring and pads (two half-spaces in contact; Carslaw and Jaeger, Conduction of Heat in Solids, from memory).
 * @param temperature at which the rotor's properties are taken, K
 * @returns 0 to 1
 */
export function rotorHeatShare(corner: Corner, temperature: number): number {
  const rotor = effusivity(rubbedMaterial(corner), temperature) * rubbedArea(corner);
  const pads = padEffusivity(corner.pad, temperature) * 2 * corner.pad.area;
  return rotor / (rotor + pads);
}

function effusivity(material: RotorMaterial, temperature: number): number {
  const conductivity = tableAt(material.conductivity, temperature);
  return Math.sqrt(conductivity * material.density * tableAt(material.specificHeat, temperature));
}

function padEffusivity(pad: Pad, temperature: number): number {
  const shape = pad.overTemperature;
  const factor = shape
    ? tableAt(shape.conductivity, temperature) * tableAt(shape.specificHeat, temperature)
    : 1;
  return Math.sqrt(factor * pad.conductivity * pad.density * pad.specificHeat);
}
