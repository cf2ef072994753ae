import type { LapTrace } from '../drive';
import type { AxleName, LapKind, Side, StandKind, WheelName } from './input';
import type { DayRecord, RecordedPart } from './record';

/** One wheel's brake through one stop; temperatures in K. */
export interface StopHeat {
  readonly faceBefore: number;
  readonly facePeak: number;
  readonly faceAfter: number;
  readonly bulkBefore: number;
  readonly bulkAfter: number;
  readonly padFaceBefore: number;
  readonly fluidAfter: number;
  /** Friction coefficient when the pads are applied, the least in the stop, and its mean over the heat made */
  readonly frictionBefore: number;
  readonly frictionLeast: number;
  readonly frictionMean: number;
}

export interface LapResult {
  readonly kind: LapKind;
  /** Counted from 1 over the whole day */
  readonly number: number;
  /** Session it belongs to, from 0 */
  readonly session: number;
  /** Counted from 1 over its session */
  readonly numberInSession: number;
  /** s since the day's start */
  readonly startTime: number;
  /** s */
  readonly lapTime: number;
  /** How it was driven; laps of one kind share it */
  readonly trace: LapTrace;
  /** By stop of the trace; wheels that are alike share one list */
  readonly wheels: Readonly<Record<WheelName, readonly StopHeat[]>>;
}

/** A leg of the day as it came out. */
export interface LegResult {
  readonly session: number;
  readonly kind: LapKind | StandKind;
  /** s since the day's start */
  readonly startTime: number;
  readonly endTime: number;
}

/** Where in the day something happened. */
export interface Moment {
  /** s since the start */
  readonly time: number;
  /** Session, from 0 */
  readonly session: number;
  /** Lap number from 1; null standing */
  readonly lap: number | null;
  /** Stop of that lap from 0, −1 before its first; −1 standing */
  readonly stop: number;
  /** Pit or paddock; null driving */
  readonly stand: StandKind | null;
  /** Time since the car stopped, s; 0 while driving */
  readonly standingTime: number;
}

export type LimitedPart = 'rotorFace' | 'rotorBulk' | 'padFace' | 'plate' | 'seal' | 'fluid' | 'hub' | 'bite';

/**
 * What is left to a limit at the worst instant. For `bite` the limit is the low end of the pad's window, the worst
 * instant the coldest braking point of a hot lap, and the share is of the window's low end over ambient.
 */
export interface Margin {
  readonly axle: AxleName;
  /** `both` where left and right are alike */
  readonly side: Side | 'both';
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

/** What gives out first, what is too cold to bite, or what is closest. */
export interface Verdict {
  readonly kind: 'gives-out' | 'too-cold' | 'close' | 'in-hand';
  /** The margin it speaks of */
  readonly margin: Margin;
  /** The margin with the coldest bite under its window, if any */
  readonly coldBite: Margin | null;
  /** Hot laps of its session finished before the first limit is passed; null when none is */
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

/** What heat does to a rotor's shape and faces over the day. */
export interface RotorStrain {
  /** Growth of the outer diameter at the hottest bulk, m */
  readonly growth: number;
  /** Radial float a ring on a hat needs, m */
  readonly floatNeeded: number;
  /** Greatest difference of ring over hat, K */
  readonly ringOverHat: number;
  /** Axial movement of a one-piece ring's outer edge at that, m; null for a floating ring or a drum */
  readonly coning: number | null;
  /** Greatest compressive stress at the face, Pa, positive */
  readonly faceStress: number;
  /** Factor of the surface on it: 1 plain */
  readonly concentration: number;
  /** Share of the life to the first crack, an index; null where heat checks are not what ends the material */
  readonly crackShare: number | null;
  /** Greatest glazed share of the pads, 0 to 1 */
  readonly glaze: number;
}

export interface DayResult {
  /** The lap as driven hot; the first hot one of the day, or the first lap when there is none */
  readonly trace: LapTrace;
  readonly laps: readonly LapResult[];
  readonly legs: readonly LegResult[];
  readonly record: DayRecord;
  readonly margins: readonly Margin[];
  readonly verdict: Verdict;
  readonly audit: EnergyAudit;
  /** Highest temperature of each part, K */
  readonly peaks: Readonly<Record<WheelName, Readonly<Record<RecordedPart, number>>>>;
  readonly strain: Readonly<Record<WheelName, RotorStrain>>;
  /** Share of the friction heat that starts in the rotor or drum, by axle */
  readonly rotorShare: Readonly<Record<AxleName, number>>;
  /** Total time driven, s */
  readonly drivingTime: number;
  /** Of the first session, kg/m³ */
  readonly airDensity: number;
  /** Heat steps computed, all wheels together */
  readonly steps: number;
}
