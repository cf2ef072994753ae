import { CHANNEL_COUNT, type RecordedPart, WHEELS, type WheelName } from '../brake';
import { OWN_ROOM, type Room } from '../numeric';

/** What of a run is kept: every node and drive channel at each sample, or the named parts alone, a fifth of the memory. */
export type Kept = 'all' | 'parts';

/** One wheel's brake over a day; n samples, K. */
export interface WheelRecord extends Readonly<Record<RecordedPart, Float64Array>> {
  /** Friction coefficient of the pads at their face temperature, with what glazing took; n */
  readonly friction: Float64Array;
  /** Share of the pads that is glazed, 0 to 1; n */
  readonly glaze: Float64Array;
  /** Share of pads and faces that is bedded, 0 to 1; n */
  readonly bedded: Float64Array;
  /** Friction material one pad has lost since the start, m; n */
  readonly worn: Float64Array;
  /** Nodes of its network */
  readonly nodeCount: number;
  /** Temperature of every node, K; n × nodeCount, empty where only parts are kept */
  readonly nodes: Float64Array;
  /** Drive channels in the step that ends at each sample; n × CHANNEL_COUNT, the first row zero; empty likewise */
  readonly drive: Float64Array;
  /** Friction power at the two stages of that step, W; n */
  readonly early: Float64Array;
  readonly late: Float64Array;
}

/** A day over time; n samples, the first at the start. */
export interface DayRecord {
  /** s since the start */
  readonly time: Float64Array;
  /** Leg of each sample, counted through the day from 0 */
  readonly leg: Int32Array;
  /** Lap of each sample, counted through the day from 0; −1 standing */
  readonly lap: Int32Array;
  /** Distance within the lap, m */
  readonly distance: Float64Array;
  /** Braking zone begun last in the lap, −1 before the first and standing */
  readonly zone: Int32Array;
  /** Wheels that brake and cool alike share one record */
  readonly wheels: Readonly<Record<WheelName, WheelRecord>>;
  readonly force: ForceRecord;
}

/** What the driver feels over a day; n samples, 0 where nothing is braked. */
export interface ForceRecord {
  /** Pedal force that the braking needs, N; infinite where no force makes it */
  readonly pedal: Float64Array;
  /** Line pressures, Pa */
  readonly frontPressure: Float64Array;
  readonly rearPressure: Float64Array;
  /** Pedal travel, m */
  readonly travel: Float64Array;
  /** Brake balance of all braking, and the one that uses both axles' tyres alike */
  readonly share: Float64Array;
  readonly ideal: Float64Array;
}

type Series = Float64Array | Int32Array;
function resized<T extends Series>(old: T, length: number, make: (length: number) => T): T {
  if (length === old.length) return old;
  // What is left over is let be: copying would cost more than it gives back.
  if (length < old.length) return old.subarray(0, length) as T;
  const next = make(length);
  next.set(old);
  return next;
}

/**
 * What is felt, each series by its name. Written out, as the other records are, so that all are objects of one shape: what
 * reads them in a loop is compiled for that.
 */
const forceOf = (of: (name: keyof ForceRecord) => Float64Array): ForceRecord => ({
  pedal: of('pedal'),
  frontPressure: of('frontPressure'),
  rearPressure: of('rearPressure'),
  travel: of('travel'),
  share: of('share'),
  ideal: of('ideal'),
});

type WheelSeries = Exclude<keyof WheelRecord, 'nodeCount'>;

/** A wheel's record, each series by its name and how many numbers it has for a sample. */
const wheelRecord = (
  nodeCount: number,
  of: (name: WheelSeries, width: number) => Float64Array,
): WheelRecord => ({
  rotorFace: of('rotorFace', 1),
  rotorBand: of('rotorBand', 1),
  rotorBulk: of('rotorBulk', 1),
  rotorInner: of('rotorInner', 1),
  hat: of('hat', 1),
  hub: of('hub', 1),
  upright: of('upright', 1),
  padFace: of('padFace', 1),
  plate: of('plate', 1),
  piston: of('piston', 1),
  seal: of('seal', 1),
  caliper: of('caliper', 1),
  fluidWall: of('fluidWall', 1),
  fluid: of('fluid', 1),
  hose: of('hose', 1),
  friction: of('friction', 1),
  glaze: of('glaze', 1),
  bedded: of('bedded', 1),
  worn: of('worn', 1),
  nodeCount,
  nodes: of('nodes', nodeCount),
  drive: of('drive', CHANNEL_COUNT),
  early: of('early', 1),
  late: of('late', 1),
});

/** A record with room for another number of samples; what is in it is kept. */
export const resizedWheel = (
  record: WheelRecord,
  samples: number,
  { floats }: Room = OWN_ROOM,
): WheelRecord =>
  wheelRecord(record.nodeCount, (name, width) =>
    // Rows that are not kept stay away.
    width > 1 && record[name].length === 0 ? record[name] : resized(record[name], samples * width, floats),
  );

/** The series of a day that are not a wheel's. */
export type DaySeries = Pick<DayRecord, 'time' | 'leg' | 'lap' | 'distance' | 'zone' | 'force'>;
export const emptySeries = (samples: number): DaySeries => ({
  time: new Float64Array(samples),
  leg: new Int32Array(samples),
  lap: new Int32Array(samples).fill(-1),
  distance: new Float64Array(samples),
  zone: new Int32Array(samples).fill(-1),
  force: forceOf(() => new Float64Array(samples)),
});
export function resizedSeries(
  series: DaySeries,
  samples: number,
  { floats, ints }: Room = OWN_ROOM,
): DaySeries {
  const { time, leg, lap, distance, zone, force } = series;
  const next = {
    time: resized(time, samples, floats),
    leg: resized(leg, samples, ints),
    lap: resized(lap, samples, ints),
    distance: resized(distance, samples, floats),
    zone: resized(zone, samples, ints),
    force: forceOf((name) => resized(force[name], samples, floats)),
  };
  next.lap.fill(-1, lap.length);
  next.zone.fill(-1, zone.length);
  return next;
}

export const emptyWheel = (samples: number, nodeCount: number, kept: Kept = 'all'): WheelRecord =>
  wheelRecord(nodeCount, (_, width) => new Float64Array(width > 1 && kept !== 'all' ? 0 : samples * width));

/** Wheels with a record of their own: one of each pair that shares it. */
export function distinctWheels(wheels: Readonly<Record<WheelName, unknown>>): WheelName[] {
  return WHEELS.filter((wheel, i) => !WHEELS.slice(0, i).some((w) => wheels[w] === wheels[wheel]));
}
