import { correctedDistance, STANDARD_GRAVITY } from '../../core';
import { type TestConditions, type TestDesign, type TestStopStored, toSi } from '../../model';

/** Distance of a stop, m: as written down, or its tape's lengths together; null where neither is there. */
export const distanceOf = ({ distanceM, marksM }: Pick<TestStopStored, 'distanceM' | 'marksM'>) =>
  distanceM ?? (marksM.length > 0 ? marksM.reduce((sum, mark) => sum + mark, 0) : null);

/** Deceleration over a distance, m/s²: `(v² − ve²)/2s`. @param from,to m/s @param distance m */
export const overDistance = (from: number, to: number, distance: number) =>
  (from * from - to * to) / (2 * distance);

/**
 * Distance on level ground, m: what the slope took off or added is put back, `s = (v² − ve²)/2(a − g·sin θ)`.
 * @param slope rise over way, up the hill positive
 */
export function levelDistance(from: number, to: number, distance: number, slope: number): number {
  const along = (STANDARD_GRAVITY * slope) / Math.sqrt(1 + slope * slope);
  return (from * from - to * to) / (2 * (overDistance(from, to, distance) - along));
}

/** What of a stop is put right before it is compared. */
export interface CorrectedStop {
  /** m, as measured */
  readonly measured: number;
  /** m, on level ground, from the speed the test wants: SAE J299 */
  readonly distance: number;
  /** By the slope, and by the speed after it, m */
  readonly bySlope: number;
  readonly bySpeed: number;
  /** Mean deceleration over the distance on level ground, m/s² */
  readonly deceleration: number;
  /** Whether the speed was so far off that the rule’s own limits are passed */
  readonly farOff: boolean;
}

/** Speed that a stop may be off the wanted one before SAE J299 would not put it right (from memory: 3.2 km/h). */
const FAR_OFF = toSi(3.2, 'speed');

/** A stop put right for slope and speed; null where its speed or distance is missing. */
export function corrected(
  stop: TestStopStored,
  { fromKmh, toKmh }: Pick<TestDesign, 'fromKmh' | 'toKmh'>,
  { slopePercent }: Pick<TestConditions, 'slopePercent'>,
): CorrectedStop | null {
  const measured = distanceOf(stop);
  if (measured === null || stop.fromKmh === null) return null;
  const [from, to] = [toSi(stop.fromKmh, 'speed'), toSi(stop.toKmh, 'speed')];
  const level = levelDistance(from, to, measured, toSi(slopePercent, 'percent'));
  // A hill steeper than the braking leaves no level distance.
  if (!(level > 0)) return null;
  const target = toSi(fromKmh, 'speed');
  const last = toSi(toKmh, 'speed');
  // With both stops to rest this is the rule's own square of the speeds; an end above rest counts by its energy.
  const distance =
    to === 0 && last === 0
      ? correctedDistance(level, from, target)
      : (level * (target * target - last * last)) / (from * from - to * to);
  return {
    measured,
    distance,
    bySlope: level - measured,
    bySpeed: distance - level,
    deceleration: overDistance(from, to, level),
    farOff: Math.abs(from - target) > FAR_OFF + 1e-9,
  };
}

/** A change as a share of what was before and of what is now, 0.556 and 0.357: the bases are often mixed up. */
export const bothBases = (before: number, after: number) => ({
  ofBefore: (after - before) / before,
  ofAfter: (after - before) / after,
});
