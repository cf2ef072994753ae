import { exp } from '../numeric';

/** Friction material lost for each joule up to the mild temperature, m³/J (from memory). */
const MILD_WEAR = 5e-14;
/** Face temperature up to which wear goes with the work alone, K, and the rise that doubles it above (from memory). */
const MILD_UP_TO = 573.15;
const DOUBLING = 150;

/**
 * Friction material that some friction work takes off, m³: with the work, doubling with each 150 K of the pad's face
 * above 300 °C (exponential above a mild regime, as Rhee 1974 reports; figures from memory).
 * @param work of the pads together, J
 * @param padFace K
 */
export function wornVolume(work: number, padFace: number): number {
  if (padFace <= MILD_UP_TO) return work * MILD_WEAR;
  return work * MILD_WEAR * exp((Math.LN2 * (padFace - MILD_UP_TO)) / DOUBLING);
}

/** Thickness that conducts in a pad worn to its plate, m: it then conducts no better. */
const LEAST_CONDUCTING = 0.5e-3;

/**
 * How much better a pad conducts than at the thickness its network was built with, 1: the way through it is shorter.
 * @param built m
 * @param left m
 */
export const thinning = (built: number, left: number): number =>
  built / Math.max(Math.min(built, LEAST_CONDUCTING), left);

/** Rotor material lost for each volume of friction material, both faces together (from memory). */
const ROTOR_SHARE = 0.1;

/**
 * Thickness a disc loses over both its faces, or a drum's rim, while its pads lose some volume, m.
 * @param padVolume of all pads or shoes of the brake, m³
 * @param faceArea of one face of the disc, or of the drum, m²
 */
export const rotorWear = (padVolume: number, faceArea: number): number =>
  (ROTOR_SHARE * padVolume) / faceArea;
