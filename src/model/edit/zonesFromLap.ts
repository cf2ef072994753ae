import type { LapTrace, SampledLine } from '../../core';
import { fromSi } from '../quantity/units';
import type { CircuitZone } from '../schema/circuit';

const round = (value: number, digits: number) => Math.round(value * 10 ** digits) / 10 ** digits;

/**
 * A list of braking zones that drives like a simulated lap: the same speeds and distances, and the same time from one to the next.
 * @param line the circuit's, for each braking zone's mean grade; without it the road is level and can be typed
 */
export function zonesFromLap(trace: LapTrace, line: SampledLine | null = null): CircuitZone[] {
  const rise = (from: number, to: number) => (line ? heightAt(line, to) - heightAt(line, from) : 0);
  return trace.zones.map((zone, k) => ({
    name: zone.name || `Braking zone ${k + 1}`,
    entryKmh: round(fromSi(zone.entrySpeed, 'speed'), 2),
    exitKmh: round(fromSi(zone.exitSpeed, 'speed'), 2),
    by: 'distance',
    distanceM: round(zone.length, 2),
    decelerationMs2: round(zone.deceleration, 2),
    toNextM: round(zone.airDistance, 2),
    timeToNextS: round(zone.airTime, 2),
    gradePercent: round(
      (100 * rise(trace.distance[zone.startIndex], trace.distance[zone.endIndex])) / zone.length,
      2,
    ),
  }));
}

/** Height over the start line at a distance that may run past the lap, m. */
function heightAt({ height, length }: SampledLine, distance: number): number {
  const n = height.length - 1;
  const laps = Math.floor(distance / length);
  const at = (distance / length - laps) * n;
  const i = Math.min(n - 1, Math.floor(at));
  return laps * height[n] + height[i] + (at - i) * (height[i + 1] - height[i]);
}
