/** What a logger can tell, in SI: s, m, m/s, degrees (latitude, longitude), Pa, N, m of pedal travel or a share, K. */
export const CHANNELS = [
  'distance',
  'speed',
  'latitude',
  'longitude',
  'height',
  'frontPressure',
  'rearPressure',
  'pedalForce',
  'pedalPosition',
  'rotorFrontLeft',
  'rotorFrontRight',
  'rotorRearLeft',
  'rotorRearRight',
  'caliperFrontLeft',
  'caliperFrontRight',
  'caliperRearLeft',
  'caliperRearRight',
  'fluidFront',
  'fluidRear',
  'ambient',
  'lap',
] as const;
export type Channel = (typeof CHANNELS)[number];

/** A log as read: n samples; a value that is missing is NaN. Latitude and longitude need more digits than the rest. */
export interface RawLog {
  /** s, of any clock; n */
  readonly time: Float64Array;
  readonly channels: Readonly<Partial<Record<Channel, Float32Array | Float64Array>>>;
}

/** Why a log cannot be used: words, and the sample it was found at, in the log as read; −1 for the whole. */
export class LogError extends RangeError {
  constructor(
    message: string,
    readonly sample: number,
  ) {
    super(message);
  }
}

/** Something found in a log: what, how often, and where first. */
export interface LogNote {
  readonly kind:
    | 'time-back'
    | 'clock-shift'
    | 'same-time'
    | 'gap'
    | 'spike'
    | 'missing'
    | 'out-of-range'
    | 'no-speed'
    | 'restart'
    | 'far-time'
    | 'cut';
  readonly channel: Channel | 'time';
  readonly count: number;
  /** Index of the first sample it was found at, in the log as read */
  readonly first: number;
  /** s: of a gap or of cut-out time all together, of a clock's shift its size; 0 where it means nothing */
  readonly size: number;
}
