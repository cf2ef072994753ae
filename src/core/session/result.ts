import type { LapTrace } from '../drive';
import type { AxleName } from './input';
import type { RecordedPart, SessionRecord } from './record';

export type LapKind = 'out' | 'hot' | 'cool';

/** One axle through one stop, K. */
export interface StopHeat {
  readonly faceBefore: number;
  readonly facePeak: number;
  readonly faceAfter: number;
  readonly bulkBefore: number;
  readonly bulkAfter: number;
  readonly padFaceBefore: number;
  readonly fluidAfter: number;
}

export interface LapResult {
  readonly kind: LapKind;
  /** Counted from 1 over the whole session */
  readonly number: number;
  /** s since the session's start */
  readonly startTime: number;
  /** s */
  readonly lapTime: number;
  /** How it was driven; laps of one kind share it */
  readonly trace: LapTrace;
  /** By stop of the trace */
  readonly front: readonly StopHeat[];
  readonly rear: readonly StopHeat[];
}

/** Where in the session something happened. */
export interface Moment {
  /** s since the start */
  readonly time: number;
  /** Lap number from 1; null in the paddock */
  readonly lap: number | null;
  /** Stop of that lap from 0, −1 before its first; −1 in the paddock */
  readonly stop: number;
  /** Time since the last lap ended, s; 0 while driving */
  readonly paddockTime: number;
}

export type LimitedPart =
  | 'rotorFace'
  | 'rotorBulk'
  | 'padFace'
  | 'plate'
  | 'caliper'
  | 'fluid'
  | 'hub'
  | 'bite';

/**
 * What is left to a limit at the worst instant. For `bite` the limit is the low end of the pad's window, the worst
 * instant the coldest braking point of a hot lap, and the share is of the window's low end over ambient.
 */
export interface Margin {
  readonly axle: AxleName;
  readonly part: LimitedPart;
  /** K */
  readonly limit: number;
  /** Worst temperature, K */
  readonly worst: number;
  readonly at: Moment;
  /** K; negative when the limit is passed */
  readonly margin: number;
  /** Margin as a share of the limit's rise over ambient, 1 */
  readonly share: number;
  /** First moment past the limit, null when it never is */
  readonly passed: Moment | null;
}

/** What gives out first, or what is closest. */
export interface Verdict {
  readonly kind: 'gives-out' | 'close' | 'in-hand';
  /** The margin it speaks of */
  readonly margin: Margin;
  /** The margin with the coldest bite under its window, if any */
  readonly coldBite: Margin | null;
  /** Hot laps finished before the first limit is passed; null when none is */
  readonly hotLapsBefore: number | null;
}

export interface EnergyAudit {
  /** All four wheels, J */
  readonly supplied: number;
  readonly stored: number;
  readonly lost: number;
  /** |supplied − stored − lost| ÷ supplied; 0 when nothing was supplied */
  readonly residual: number;
}

export interface SessionResult {
  /** The lap as driven hot */
  readonly trace: LapTrace;
  readonly laps: readonly LapResult[];
  readonly record: SessionRecord;
  readonly margins: readonly Margin[];
  readonly verdict: Verdict;
  readonly audit: EnergyAudit;
  /** Highest temperature of each part, K */
  readonly peaks: Readonly<Record<AxleName, Readonly<Record<RecordedPart, number>>>>;
  /** Share of the friction heat that starts in the rotor, by axle */
  readonly rotorShare: Readonly<Record<AxleName, number>>;
  /** When driving ended, s since the start */
  readonly drivingTime: number;
  /** kg/m³ */
  readonly airDensity: number;
  /** Heat steps computed, both axles together */
  readonly steps: number;
}
