import type { Pad, RotorMaterial } from '../brake';
import { AXLES, type AxleName, axleOf, rubbedMaterial, WHEELS } from '../brake';
import type { LapResult } from '../run';
import type { DayInput } from '../schedule';

/** Brake balances of one braking zone: as braked and the ideal one where it asks most of the tyres, and as would heat both axles alike; 0 to 1. */
export interface ZoneShares {
  readonly actual: number;
  readonly grip: number;
  /**
   * Share with which both axles' faces would peak at the same part of their limits' rise over the air in this braking zone, begun
   * as hot as it was; 0 or 1 where even all of the braking on one axle would not bring it there; null where nothing is
   * braked
   */
  readonly even: number | null;
  readonly locksFirst: AxleName;
}

const faceLimit = (material: RotorMaterial, pad: Pad) => Math.min(material.faceLimit, pad.limit);

/**
 * brake balances by braking zone of a lap. A face's rise within a braking zone goes with the heat its axle takes, so the share that evens
 * the peaks follows from a straight line each.
 * @param ambient of the lap's session, K
 */
export function zoneShares(input: DayInput, lap: LapResult, ambient: number): ZoneShares[] {
  return lap.forces.map((force, zone): ZoneShares => {
    const { frontHeat, rearHeat } = force;
    const heat = frontHeat + rearHeat;
    const shares = {
      actual: force.hardest.share,
      grip: force.hardest.ideal,
      locksFirst: force.locksFirst,
    };
    if (!(heat > 0)) return { ...shares, even: null };
    const part = frontHeat / heat;
    // Peak over the limit's rise: start + slope · share of the heat.
    const line = (axle: AxleName, own: number) => {
      const wheels = WHEELS.filter((wheel) => axleOf(wheel) === axle).map((wheel) => lap.wheels[wheel][zone]);
      const hotter = wheels.reduce((a, b) => (b.facePeak > a.facePeak ? b : a));
      const { left } = input[axle];
      const rise = Math.max(1, faceLimit(rubbedMaterial(left), left.pad) - ambient);
      const slope = own > 1e-6 ? (hotter.facePeak - hotter.faceBefore) / own / rise : 0;
      return { start: (hotter.faceBefore - ambient) / rise, slope };
    };
    const [front, rear] = AXLES.map((axle) => line(axle, axle === 'front' ? part : 1 - part));
    const slopes = front.slope + rear.slope;
    if (!(slopes > 0)) return { ...shares, even: null };
    return { ...shares, even: Math.min(1, Math.max(0, (rear.start + rear.slope - front.start) / slopes)) };
  });
}
