import {
  type Corner,
  coning,
  diameterGrowth,
  faceStress,
  fatigueDamage,
  floatNeeded,
  rubbedMaterial,
  surfaceConcentration,
} from '../brake';
import type { WheelRecord } from './record';
import type { RotorStrain, ZoneHeat } from './result';

/**
 * What a day's heat does to one wheel's rotor or drum.
 * @param laps its braking zones, lap by lap
 * @param cold temperature it was fitted at, K
 */
export function rotorStrain(
  corner: Corner,
  record: WheelRecord,
  laps: readonly (readonly ZoneHeat[])[],
  cold: number,
): RotorStrain {
  const { rotor, drum } = corner;
  const material = rubbedMaterial(corner);
  let hottest = 0;
  let ringOverHat = 0;
  let stress = 0;
  let needed = 0;
  for (let i = 0; i < record.rotorBulk.length; i++) {
    const bulk = record.rotorBulk[i];
    const hat = record.hat[i];
    hottest = Math.max(hottest, bulk);
    ringOverHat = Math.max(ringOverHat, bulk - hat);
    stress = Math.max(stress, -faceStress(material, record.rotorBand[i], bulk));
    if (!drum) needed = Math.max(needed, floatNeeded(rotor, bulk - cold, hat - cold));
  }
  const concentration = drum ? 1 : surfaceConcentration(rotor);
  // Each braking zone is one cycle: the hottest band of the face over the ring at the braking zone's hottest.
  let cracks: number | null = material.fatigueStrain === null ? null : 0;
  for (const heats of laps) {
    for (const heat of heats) {
      const rise = heat.bandPeak - 0.5 * (heat.bulkBefore + heat.bulkAfter);
      const share = fatigueDamage(material, rise, concentration);
      if (cracks !== null && share !== null) cracks += share;
    }
  }
  return {
    growth: diameterGrowth(
      material,
      drum ? drum.innerDiameter : rotor.outerDiameter,
      Math.max(0, hottest - cold),
    ),
    floatNeeded: needed,
    ringOverHat,
    coning: drum || !rotor.onePiece ? null : coning(rotor, ringOverHat),
    faceStress: stress,
    concentration,
    fatigueDamage: cracks,
    glaze: record.glaze[record.glaze.length - 1],
  };
}
