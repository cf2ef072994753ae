import type { LapTrace } from '../core';
import type { CircuitStop } from './circuitSchema';

const round = (value: number, digits: number) => Math.round(value * 10 ** digits) / 10 ** digits;

/**
 * A list of stops that drives like a solved lap: the same speeds and distances, and the same time from one to the next.
 * Grade is taken from the energy balance only as far as it is zero; a hilly lap loses its height.
 */
export function stopsFromLap(trace: LapTrace): CircuitStop[] {
  return trace.stops.map((stop, k) => ({
    name: stop.name || `Stop ${k + 1}`,
    entryKmh: round(stop.entrySpeed * 3.6, 3),
    exitKmh: round(stop.exitSpeed * 3.6, 3),
    by: 'distance',
    distanceM: round(stop.length, 3),
    decelerationMs2: round(stop.deceleration, 3),
    toNextM: round(stop.airDistance, 3),
    timeToNextS: round(stop.airTime, 3),
    gradePercent: 0,
  }));
}
