import type { AxleName, RecordedPart, WheelName } from '../../brake';
import type { DayInput } from '../../schedule';
import type { Seen } from './likelihood';

/** Where and when of a drive something was looked at; temperatures in K. */
export type Look =
  /** The hottest it became, up to the end of a lap (from 1; 0 before the first), or in all */
  | {
      readonly kind: 'hottest';
      readonly wheel: WheelName;
      readonly part: RecordedPart;
      readonly lap: number | null;
    }
  /** Seconds after the car stopped at the end of a lap */
  | {
      readonly kind: 'standing';
      readonly wheel: WheelName;
      readonly part: RecordedPart;
      readonly lap: number;
      readonly after: number;
    }
  /** How far an axle's fluid or pads came over their limit, up to the end of a lap, K */
  | {
      readonly kind: 'over';
      readonly axle: AxleName;
      readonly limit: 'fluid' | 'padFace';
      readonly lap: number | null;
    }
  /** A sensor at a time of the drive, s */
  | {
      readonly kind: 'sensor';
      readonly wheel: WheelName;
      readonly part: RecordedPart;
      readonly time: number;
      /** Sensor it is one of: all of these share an offset and a lag */
      readonly sensor: string;
    }
  /** Friction material one pad lost over the drive, µm */
  | { readonly kind: 'worn'; readonly wheel: WheelName };

/** One number that was read, or a range it lay in. */
export interface Reading {
  /** Observation it comes of; some make two readings, a sensor many */
  readonly id: string;
  readonly look: Look;
  readonly seen: Seen;
}

/** A drive and what was read of it; the car as it was then, uncalibrated. */
export interface Drive {
  readonly day: DayInput;
  readonly readings: readonly Reading[];
}

/** A reading of something that the drive does not have; to be said at the reading. */
export class ReadingError extends RangeError {
  constructor(
    readonly reading: string,
    readonly code: 'no such lap' | 'did not stop' | 'drove on' | 'after the drive',
    readonly fact: number,
  ) {
    super(`Reading ${reading}: ${code} (${fact}).`);
  }
}
