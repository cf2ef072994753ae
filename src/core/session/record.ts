/** Temperatures of one axle's brake (one wheel of it) over a session; n samples, K. */
export interface AxleRecord {
  readonly rotorFace: Float64Array;
  readonly rotorBulk: Float64Array;
  readonly hat: Float64Array;
  readonly hub: Float64Array;
  readonly padFace: Float64Array;
  readonly plate: Float64Array;
  readonly caliper: Float64Array;
  readonly fluid: Float64Array;
}
export type RecordedPart = keyof AxleRecord;
export const RECORDED_PARTS: readonly RecordedPart[] = [
  'rotorFace',
  'rotorBulk',
  'hat',
  'hub',
  'padFace',
  'plate',
  'caliper',
  'fluid',
];

/** A session over time; n samples, the first at the start. */
export interface SessionRecord {
  /** s since the start */
  readonly time: Float64Array;
  /** Lap of each sample, counted from 0; the number of laps in the paddock */
  readonly lap: Int32Array;
  /** Distance within the lap, m */
  readonly distance: Float64Array;
  /** Stop begun last in the lap, −1 before the first */
  readonly stop: Int32Array;
  readonly front: AxleRecord;
  readonly rear: AxleRecord;
}

export function emptyRecord(samples: number): SessionRecord {
  const axle = () =>
    Object.fromEntries(
      RECORDED_PARTS.map((part) => [part, new Float64Array(samples)]),
    ) as unknown as AxleRecord;
  return {
    time: new Float64Array(samples),
    lap: new Int32Array(samples),
    distance: new Float64Array(samples),
    stop: new Int32Array(samples).fill(-1),
    front: axle(),
    rear: axle(),
  };
}
