import type { AxleName, CarState, RecordedPart, Side, WheelName } from '../brake';
import type { LapTrace } from '../lap';
import type { CoolingDoubt, LapKind, LegKind, StandKind } from '../schedule';
import type { ForcePart, LimitedPart } from './limits';
import type { DayRecord } from './record';
import type { ZoneForce, ZoneLimit } from './zoneResult';

/** One wheel's brake through one braking zone; temperatures in K. */
export interface ZoneHeat {
  readonly faceBefore: number;
  readonly facePeak: number;
  /** Highest temperature of the hottest band of the face, K */
  readonly bandPeak: number;
  readonly faceAfter: number;
  readonly bulkBefore: number;
  readonly bulkAfter: number;
  readonly padFaceBefore: number;
  readonly fluidAfter: number;
  /** Friction coefficient when the pads are applied, the least in the braking zone, and its mean over the heat made */
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
  /** By braking zone of the trace; wheels that are alike share one list */
  readonly wheels: Readonly<Record<WheelName, readonly ZoneHeat[]>>;
  /** By braking zone of the trace */
  readonly forces: readonly ZoneForce[];
}

/** A leg of the day as it came out. */
export interface LegResult {
  readonly session: number;
  readonly kind: LegKind;
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
  /** Braking zone of that lap from 0, −1 before its first; −1 standing */
  readonly zone: number;
  /** Pit or paddock; null driving */
  readonly stand: StandKind | null;
  /** Time since the car stopped, s; 0 while driving */
  readonly standingTime: number;
}

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
  /** The margin at the worse end of what is known of the cooling, K; null where that was not driven */
  readonly lessCooling: number | null;
}

/** What is left of the driver's force (hot laps) or the pedal's travel at the worst braking zone; the share is of the limit. */
export interface ForceMargin {
  readonly part: ForcePart;
  /** N or m */
  readonly limit: number;
  readonly worst: number;
  readonly at: Moment;
  readonly margin: number;
  readonly share: number;
  readonly passed: Moment | null;
  /** The margin at the worse end of what is known of the cooling, N or m; null where that was not driven */
  readonly lessCooling: number | null;
}

/** The braking zone at which least braking is in hand. */
export interface LeastFade {
  /** Available over needed, minus one */
  readonly margin: number;
  readonly at: Moment;
  readonly limit: ZoneLimit;
  /** The longest that any hot braking zone runs too long, m, and where; null where the car does not stop */
  readonly extraDistance: number | null;
  readonly longest: Moment;
}

/** Why no hot lap says anything of the friction brakes. */
export type Unbraked = 'no hot laps' | 'no braking' | 'motor';

/** What ends the drive or passes its limit first, what is below its working temperature, what is closest, or why nothing is judged. */
export interface Verdict {
  readonly kind: 'over-limit' | 'below-working' | 'close' | 'within-limits' | 'not-judged';
  /** The margin it speaks of */
  readonly margin: Margin | ForceMargin;
  /** Every other limit that is passed, in order of time */
  readonly also: readonly (Margin | ForceMargin)[];
  /** Why no hot lap brakes with friction; null where one does */
  readonly unbraked: Unbraked | null;
  /** The margin with the coldest bite under its window, if any */
  readonly coldBite: Margin | null;
  /** Hot laps of its session finished before the margin's limit is passed; null when none is */
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
  /** Fatigue damage index, an index; null where heat checks are not what ends the material */
  readonly fatigueDamage: number | null;
  /** Greatest glazed share of the pads, 0 to 1 */
  readonly glaze: number;
}

export interface DayResult {
  /** What is known of the cooling it was computed with */
  readonly doubt: CoolingDoubt;
  /** The lap as driven hot; the first hot one of the day, or the first lap when there is none */
  readonly trace: LapTrace;
  readonly laps: readonly LapResult[];
  readonly legs: readonly LegResult[];
  readonly record: DayRecord;
  readonly margins: readonly Margin[];
  readonly forceMargins: readonly ForceMargin[];
  /** Over the hot laps; null where none is braked */
  readonly fade: LeastFade | null;
  readonly verdict: Verdict;
  readonly audit: EnergyAudit;
  /** Highest temperature of each part, K */
  readonly peaks: Readonly<Record<WheelName, Readonly<Record<RecordedPart, number>>>>;
  readonly strain: Readonly<Record<WheelName, RotorStrain>>;
  /** Share of the friction heat that starts in the rotor or drum, by axle */
  readonly rotorShare: Readonly<Record<AxleName, number>>;
  /** Total time driven, s */
  readonly drivingTime: number;
  /** Speed at which lift holds the hot lap, m/s; null where it does not */
  readonly heldByLift: number | null;
  /** Of the first session, kg/m³ */
  readonly airDensity: number;
  /** Least friction material on a pad or shoe of each axle when it ends, m */
  readonly padLeft: Readonly<Record<AxleName, number>>;
  /** Least bedded share of an axle's pads and faces when it begins, 0 to 1 */
  readonly bedded: Readonly<Record<AxleName, number>>;
  /** The brakes as the day left them */
  readonly end: CarState;
  /** Heat steps computed, all wheels together */
  readonly steps: number;
}
