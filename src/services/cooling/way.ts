import type { AxleName, Margin } from '../../core';
import type { Change } from '../../model';
import type { Check } from '../compare/compatibility';

/** One way of keeping a margin over the planned day. */
export interface Way {
  readonly kind: WayKind;
  /** `holds`: the wish is kept; `short`: even the most of it is not enough; `none`: there is nothing of it to change */
  readonly state: 'holds' | 'short' | 'none';
  /** What is changed about the car */
  readonly changes: readonly Change[];
  readonly price: number;
  /** Limit with the fewest kelvin left with it; null where nothing was driven */
  readonly least: Margin | null;
  /** What that is over today, K */
  readonly gain: number;
  /** Hot laps between cool-down laps, and how many of those; for `cool-downs` */
  readonly stint: number;
  readonly cool: number;
  /** Pace, share of the planned hot laps’; for `pace` */
  readonly pace: number;
  /** What it costs on a hot lap, s, and over the day's driving, s */
  readonly perLap: number;
  readonly perDay: number;
  /** Axles whose pads are below working temperature at some braking point */
  readonly tooCold: readonly AxleName[];
  /** What the changes were looked at for and did not simply pass */
  readonly checks: readonly Check[];
  /** Why there is nothing to change */
  readonly why: NoWay | null;
  /** The same rotors, swapped left and right: their vanes were on the wrong sides */
  readonly swapped: boolean;
}

/** Why there is nothing of a way to change. */
export type NoWay = 'no-duct' | 'pump-already' | 'drums' | 'no-pad' | 'no-hot-laps' | 'one-hot-lap';

/** Whether a way keeps the wish and nothing about the car rules it out. */
export const isGood = (way: Way): boolean =>
  way.state === 'holds' && way.tooCold.length === 0 && way.checks.every((check) => check.state !== 'no');

export type WayKind = 'ducts' | 'vanes' | 'rotor' | 'pad' | 'cool-downs' | 'pace';
