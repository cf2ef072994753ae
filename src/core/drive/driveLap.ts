import { type SampledLine, type Segment, sampleLine, segmentLength } from '../circuit';
import { brakeWork, type DrivenLap } from './brakeWork';
import { isBraking } from './findStops';
import { forcesOf } from './forces';
import { solveLap } from './solveLap';
import type { LapTrace } from './trace';
import { lapFromTypedStops, type TypedStop } from './typedStops';
import type { Driver, Vehicle } from './vehicle';

/** A circuit, given in one of two ways. */
export type CircuitInput =
  | { readonly kind: 'line'; readonly segments: readonly Segment[]; readonly names: readonly string[] }
  | { readonly kind: 'stops'; readonly stops: readonly TypedStop[] };

/** Air and duct drag that the lap is driven with. */
export interface DriveConditions {
  /** kg/m³ */
  readonly airDensity: number;
  /** Drag area the ducts add to the car, m² */
  readonly ductDragArea: number;
}

/** Distance between the points of a solved lap, m. */
export const LINE_SPACING = 1;

/** A circuit made ready once for laps at any pace. */
export type PreparedCircuit =
  | { readonly kind: 'line'; readonly line: SampledLine; readonly nameAt: (distance: number) => string }
  | { readonly kind: 'stops'; readonly stops: readonly TypedStop[] };

export function prepareCircuit(circuit: CircuitInput, spacing = LINE_SPACING): PreparedCircuit {
  if (circuit.kind === 'stops') return circuit;
  return {
    kind: 'line',
    line: sampleLine(circuit.segments, spacing),
    nameAt: cornerNames(circuit.segments, circuit.names),
  };
}

/** Drives one lap of a circuit. */
export function driveLap(
  circuit: PreparedCircuit,
  vehicle: Vehicle,
  driver: Driver,
  conditions: DriveConditions,
): LapTrace {
  const forces = forcesOf(vehicle, driver, conditions.airDensity, conditions.ductDragArea);
  if (circuit.kind === 'stops')
    return brakeWork(lapFromTypedStops(circuit.stops, driver.pace), vehicle, forces);
  const lap: DrivenLap = {
    distance: circuit.line.distance,
    speed: solveLap(circuit.line, forces, driver.brakeBuildUp),
    grade: circuit.line.grade.subarray(1).map((after, i) => 0.5 * (circuit.line.grade[i] + after)),
    curvature: circuit.line.curvature
      .subarray(1)
      .map((after, i) => 0.5 * (circuit.line.curvature[i] + after)),
    nameAt: circuit.nameAt,
  };
  const trace = brakeWork(lap, vehicle, forces);
  const start = firstFree(trace);
  return start === 0 ? trace : brakeWork(rotated(lap, start, circuit.line.length), vehicle, forces);
}

/** First interval after a braking that lies over the start line; 0 where none does. */
function firstFree(trace: LapTrace): number {
  const n = trace.time.length - 1;
  if (!isBraking(trace, 0) || !isBraking(trace, n - 1)) return 0;
  let i = 0;
  while (i < n && isBraking(trace, i)) i++;
  return i % n;
}

/** The same lap begun at another point, so that no braking is cut in two; distances run on past the lap's length. */
function rotated(lap: DrivenLap, start: number, length: number): DrivenLap {
  const n = lap.distance.length - 1;
  return {
    distance: lap.distance.map((_, i) => lap.distance[(start + i) % n] + (start + i >= n ? length : 0)),
    speed: lap.speed.map((_, i) => lap.speed[(start + i) % n]),
    grade: lap.grade.map((_, i) => lap.grade[(start + i) % n]),
    ...(lap.curvature && { curvature: lap.curvature.map((_, i, all) => all[(start + i) % n]) }),
    nameAt: (distance) => lap.nameAt(distance % length),
  };
}

/** Name of the corner a braking leads into: the one at its end, or the next one on. */
function cornerNames(segments: readonly Segment[], names: readonly string[]): (distance: number) => string {
  const corners: { end: number; name: string }[] = [];
  let at = 0;
  segments.forEach((segment, i) => {
    at += segmentLength(segment);
    if (segment.kind === 'corner') corners.push({ end: at, name: names[i] ?? '' });
  });
  return (distance) => (corners.find((c) => c.end >= distance - 1) ?? corners[0])?.name ?? '';
}
