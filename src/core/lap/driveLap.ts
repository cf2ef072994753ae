import { lapLine, type SampledLine, type Segment, segmentLength } from '../circuit';
import { LentRoom, OWN_ROOM, type Room } from '../numeric';
import { brakeWork, type DrivenLap, LapWork } from './brakeWork';
import type { PointBetween } from './buildUp';
import { isBraking } from './findZones';
import { type Forces, forcesOf } from './forces';
import { solveLap } from './solveLap';
import type { LapTrace } from './trace';
import { lapFromTypedZones, type TypedZone } from './typedZones';
import type { Driver, Vehicle } from './vehicle';
import { type Wind, type WindyLine, withWind } from './wind';

/** A circuit, given in one of two ways. */
export type CircuitInput =
  | { readonly kind: 'line'; readonly segments: readonly Segment[]; readonly names: readonly string[] }
  | { readonly kind: 'zones'; readonly zones: readonly TypedZone[] };

/** Air and duct drag that the lap is driven with. */
export interface DriveConditions {
  /** kg/m³ */
  readonly airDensity: number;
  /** Drag area the ducts add to the car, m² */
  readonly ductDragArea: number;
}

/** What the brakes could make of a braking zone at most. */
export interface BrakeCap {
  /** Where the braking zone ended, m from the start line */
  readonly end: number;
  /** Least braking that was available in it, N */
  readonly available: number;
  /** Most that was needed in it as first planned, N */
  readonly needed: number;
}

/** The driver's balance control in a braking zone. */
export interface ZoneClicks {
  /** Where the braking zone ended, m from the start line */
  readonly end: number;
  readonly clicks: number;
}

/** Distance between the points of a simulated lap where its line bends, m; see `lapLine`. */
export const LINE_SPACING = 1;

/** A circuit made ready once for laps at any pace. */
export type PreparedCircuit =
  | {
      readonly kind: 'line';
      readonly line: WindyLine;
      /** Of each interval, from both its ends: rise over run and curvature, 1/m */
      readonly between: { readonly grade: Float64Array; readonly curvature: Float64Array };
      readonly nameAt: (distance: number) => string;
    }
  | { readonly kind: 'zones'; readonly zones: readonly TypedZone[] };

/**
 * A circuit ready to be driven: its line sampled once for all laps; a list of braking zones stays as it is.
 * @param spacing between points of the line where it bends, m
 * @param wind over it; a list of braking zones has no directions, so none blows there
 */
export function prepareCircuit(
  circuit: CircuitInput,
  spacing = LINE_SPACING,
  wind: Wind | null = null,
): PreparedCircuit {
  if (circuit.kind === 'zones') return circuit;
  const line = withWind(lapLine(circuit.segments, spacing), wind);
  return {
    kind: 'line',
    line,
    between: { grade: betweenPoints(line.grade), curvature: betweenPoints(line.curvature) },
    nameAt: cornerNames(circuit.segments, circuit.names),
  };
}

const betweenPoints = (values: Float64Array): Float64Array =>
  values.subarray(1).map((after, i) => 0.5 * (values[i] + after));

/**
 * Drives one lap of a circuit; see `Laps`.
 * @throws RangeError naming what is not a number and where, or a speed at which the car would lift off
 */
export const driveLap = (
  circuit: PreparedCircuit,
  vehicle: Vehicle,
  driver: Driver,
  conditions: DriveConditions,
  caps: readonly BrakeCap[] = [],
  clicks: readonly ZoneClicks[] = [],
): LapTrace => new Laps(circuit, vehicle, driver, conditions).drive(caps, clicks);

/** For what is needed only while a lap is driven; of a usual circuit. */
const passing = new LentRoom(262_144);

/** Laps of one car and driver on one circuit in one air. */
export class Laps {
  private readonly forces: Forces;
  private readonly work: LapWork;

  constructor(
    private readonly circuit: PreparedCircuit,
    private readonly vehicle: Vehicle,
    private readonly driver: Driver,
    conditions: DriveConditions,
  ) {
    this.forces = forcesOf(vehicle, driver, conditions.airDensity, conditions.ductDragArea);
    this.work = new LapWork(vehicle, this.forces);
  }

  /**
   * Drives one lap: solved along a line, or from zone to zone of a list.
   * @param caps what the brakes could make of each braking zone, N, in driving order; the lap brakes earlier where they
   *   are the limit
   * @param clicks on the driver's balance control for each braking zone, in driving order; without ABS they move what the
   *   tyres hold
   * @throws RangeError naming what is not a number and where, or a speed at which the car would lift off
   */
  drive(caps: readonly BrakeCap[] = [], clicks: readonly ZoneClicks[] = []): LapTrace {
    const { circuit, vehicle, driver, forces, work } = this;
    if (circuit.kind === 'zones') {
      const zones =
        caps.length === 0
          ? circuit.zones
          : brakedEarlier(circuit.zones, caps, vehicle.mass * vehicle.rotatingInertia);
      // Speeds that were typed are those of a dry track.
      const pace = driver.pace * forces.trackGrip;
      return work.of(lapFromTypedZones(zones, pace, driver.brakeBuildUp));
    }
    passing.clear();
    const solved = solveLap(
      circuit.line,
      forces,
      driver.brakeBuildUp,
      alongLine(circuit.line, caps, (cap) => cap.available),
      forces.firstAxle ? alongLine(circuit.line, clicks, (zone) => zone.clicks) : undefined,
      passing,
    );
    const lap = withStarts(circuit, solved.speed, solved.between);
    const trace = work.of(lap, passing);
    const start = firstFree(trace);
    return start === 0 ? trace : brakeWork(rotated(lap, start, circuit.line.length), vehicle, forces);
  }
}

/** A lap along a line, with a point of its own where each braking begins. @param speed at the points of the line, m/s; n + 1 */
function withStarts(
  { line, between, nameAt }: Extract<PreparedCircuit, { kind: 'line' }>,
  speed: Float64Array,
  starts: readonly PointBetween[],
): DrivenLap {
  const { distance, headwind } = line;
  return {
    distance: withPoints(distance, starts, along, OWN_ROOM),
    speed: withPoints(speed, starts, ownSpeed, OWN_ROOM),
    // Only the work is found by these.
    grade: withPoints(between.grade, starts, same, passing),
    curvature: withPoints(between.curvature, starts, same, passing),
    ...(headwind && { headwind: withPoints(headwind, starts, along, passing) }),
    nameAt,
  };
}

type ValueAt = (values: Float64Array, point: PointBetween) => number;
const along: ValueAt = (values, { after, share }) =>
  values[after] + share * (values[after + 1] - values[after]);
const ownSpeed: ValueAt = (_, { speed }) => speed;
// Both parts of an interval are as the whole was.
const same: ValueAt = (values, { after }) => values[after];

/** Values with those of some points between theirs. @param at value at a point, or of the interval that follows it */
function withPoints(
  values: Float64Array,
  points: readonly PointBetween[],
  at: ValueAt,
  room: Room,
): Float64Array {
  const all = room.floats(values.length + points.length);
  let from = 0;
  for (let k = 0; k < points.length; k++) {
    all.set(values.subarray(from, points[k].after + 1), from + k);
    from = points[k].after + 1;
    all[from + k] = at(values, points[k]);
  }
  all.set(values.subarray(from), from + points.length);
  return all;
}

/** A value of each braking zone at each point of a line: up to where each braking zone ended, its own. */
function alongLine<T extends { readonly end: number }>(
  { distance, length }: SampledLine,
  zones: readonly T[],
  of: (zone: T) => number,
): Float64Array | undefined {
  if (zones.length === 0) return undefined;
  const ordered = zones
    .map((zone) => ({ end: zone.end > length ? zone.end - length : zone.end, value: of(zone) }))
    .sort((a, b) => a.end - b.end);
  const along = new Float64Array(distance.length);
  let next = 0;
  for (let i = 0; i < along.length; i++) {
    while (next < ordered.length && ordered[next].end < distance[i]) next++;
    along[i] = (next < ordered.length ? ordered[next] : ordered[0]).value;
  }
  return along;
}

/** Typed braking zones made longer by as much as the brakes fall short; the way before each is shorter for it. */
function brakedEarlier(
  zones: readonly TypedZone[],
  caps: readonly BrakeCap[],
  /** With what turns, m·δ, kg */
  mass: number,
): readonly TypedZone[] {
  const longer = zones.map((zone, k) => {
    const cap = caps[k];
    if (!cap || cap.available >= cap.needed) return 0;
    const whole = (mass * (zone.entrySpeed ** 2 - zone.exitSpeed ** 2)) / (2 * zone.length);
    const left = Math.max(0.1 * whole, whole - (cap.needed - cap.available));
    const before = zones[(k + zones.length - 1) % zones.length].toNext;
    return Math.min(zone.length * (whole / left - 1), 0.8 * before);
  });
  return zones.map((zone, k) => {
    const shorter = longer[(k + 1) % zones.length];
    const share = zone.toNext > 0 ? 1 - shorter / zone.toNext : 1;
    return {
      ...zone,
      length: zone.length + longer[k],
      toNext: zone.toNext - shorter,
      timeToNext: zone.timeToNext === null ? null : zone.timeToNext * share,
    };
  });
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
    ...(lap.headwind && { headwind: lap.headwind.map((_, i, all) => all[(start + i) % n]) }),
    ...(lap.curvature && { curvature: lap.curvature.map((_, i, all) => all[(start + i) % n]) }),
    nameAt: (distance) => lap.nameAt?.(distance % length) ?? '',
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
