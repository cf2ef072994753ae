import type { Corner } from './parts';
import type { BrakeState } from './state';

export type AxleName = 'front' | 'rear';
export const AXLES: readonly AxleName[] = ['front', 'rear'];
export type Side = 'left' | 'right';
export const SIDES: readonly Side[] = ['left', 'right'];
export type WheelName = 'frontLeft' | 'frontRight' | 'rearLeft' | 'rearRight';
export const WHEELS: readonly WheelName[] = ['frontLeft', 'frontRight', 'rearLeft', 'rearRight'];

/** The wheel of an axle and a side. */
export const wheelOf = (axle: AxleName, side: Side): WheelName =>
  `${axle}${side === 'left' ? 'Left' : 'Right'}`;

/** The axle a wheel is on. */
export const axleOf = (wheel: WheelName): AxleName => (wheel.startsWith('front') ? 'front' : 'rear');

/** The side a wheel is on, seen by the driver. */
export const sideOf = (wheel: WheelName): Side => (wheel.endsWith('Left') ? 'left' : 'right');

/** One axle's brakes. */
export interface AxleInput {
  readonly left: Corner;
  readonly right: Corner;
  /** Boiling point of its fluid as it is today, in the air pressure there, K */
  readonly boilingPoint: number;
  /** Water in it, % by mass */
  readonly water: number;
  /** Share of its pads and faces that is bedded, 0 to 1 */
  readonly bedded: number;
}

/** The brake at a wheel. */
export const cornerOfWheel = (axles: Readonly<Record<AxleName, AxleInput>>, wheel: WheelName): Corner =>
  axles[axleOf(wheel)][sideOf(wheel)];

/** All four brakes as something before left them. */
export type CarState = Readonly<Record<WheelName, BrakeState>>;
