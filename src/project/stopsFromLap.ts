import type { LapTrace } from '../core';
import type { CircuitStop } from './circuitSchema';

const round = (value: number, digits: number) => Math.round(value * 10 ** digits) / 10 ** digits;

/**
 * A list of stops that drives like a solved lap: the same speeds and distances, and the same time from one to the next.
 * Heights are lost: a stop's grade is left at zero and can be typed.
 */
export function stopsFromLap(trace: LapTrace): CircuitStop[] {
  return trace.stops.map((stop, k) => ({
    name: stop.name || `Stop ${k + 1}`,
    entryKmh: round(stop.entrySpeed * 3.6, 2),
    exitKmh: round(stop.exitSpeed * 3.6, 2),
    by: 'distance',
    distanceM: round(stop.length, 2),
    decelerationMs2: round(stop.deceleration, 2),
    toNextM: round(stop.airDistance, 2),
    timeToNextS: round(stop.airTime, 2),
    gradePercent: 0,
  }));
}
