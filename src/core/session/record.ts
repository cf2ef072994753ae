import { CHANNEL_COUNT } from '../brake';
import { WHEELS, type WheelName } from './input';

/** Parts whose temperatures are kept by name. */
export const RECORDED_PARTS = [
  'rotorFace',
  'rotorBulk',
  'rotorInner',
  'hat',
  'hub',
  'upright',
  'padFace',
  'plate',
  'piston',
  'seal',
  'caliper',
  'fluid',
  'hose',
] as const;
export type RecordedPart = (typeof RECORDED_PARTS)[number];

/** One wheel's brake over a day; n samples, K. */
export interface WheelRecord extends Readonly<Record<RecordedPart, Float64Array>> {
  /** Friction coefficient of the pads at their face temperature, with what glazing took; n */
  readonly friction: Float64Array;
  /** Share of the pads that is glazed, 0 to 1; n */
  readonly glaze: Float64Array;
  /** Nodes of its network */
  readonly nodeCount: number;
  /** Temperature of every node, K; n × nodeCount */
  readonly nodes: Float64Array;
  /** Drive channels in the step that ends at each sample; n × CHANNEL_COUNT, the first row zero */
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
  /** Stop begun last in the lap, −1 before the first and standing */
  readonly stop: Int32Array;
  /** Wheels that brake and cool alike share one record */
  readonly wheels: Readonly<Record<WheelName, WheelRecord>>;
}

export function emptyWheel(samples: number, nodeCount: number): WheelRecord {
  const parts = Object.fromEntries(
    RECORDED_PARTS.map((part) => [part, new Float64Array(samples)]),
  ) as unknown as Record<RecordedPart, Float64Array>;
  return {
    ...parts,
    friction: new Float64Array(samples),
    glaze: new Float64Array(samples),
    nodeCount,
    nodes: new Float64Array(samples * nodeCount),
    drive: new Float64Array(samples * CHANNEL_COUNT),
    early: new Float64Array(samples),
    late: new Float64Array(samples),
  };
}

/** Wheels with a record of their own: one of each pair that shares it. */
export function distinctWheels(wheels: Readonly<Record<WheelName, unknown>>): WheelName[] {
  return WHEELS.filter((wheel, i) => !WHEELS.slice(0, i).some((w) => wheels[w] === wheels[wheel]));
}
