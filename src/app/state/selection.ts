import { type AxleName, type DayResult, SIDES, type WheelName, type WheelRecord, wheelOf } from '../../core';

/** Which wheel of each axle is drawn: the hotter, or one side's. */
export type ShownSide = 'hotter' | 'left' | 'right';

/** The lap and the braking zone that are picked, and the side that is shown, everywhere at once. */
export interface Selection {
  /** From 1 over the whole day */
  readonly lap: number;
  /** From 0 */
  readonly zone: number;
  readonly side: ShownSide;
}

/** The wheel of an axle that is shown. */
export function shownWheel(result: DayResult, axle: AxleName, side: ShownSide): WheelName {
  if (side !== 'hotter') return wheelOf(axle, side);
  const [left, right] = SIDES.map((s) => wheelOf(axle, s));
  return result.peaks[right].rotorBulk > result.peaks[left].rotorBulk ? right : left;
}

/** The records of the wheels that are shown. */
export function shownRecords(result: DayResult, side: ShownSide): Readonly<Record<AxleName, WheelRecord>> {
  const of = (axle: AxleName) => result.record.wheels[shownWheel(result, axle, side)];
  return { front: of('front'), rear: of('rear') };
}

/** The next or previous braking zone, going round within the lap. */
export function stepZone(selection: Selection, by: 1 | -1, zones: number): Selection {
  if (zones === 0) return selection;
  return { ...selection, zone: (selection.zone + by + zones) % zones };
}

/** The next or previous lap, within the day. */
export function stepLap(selection: Selection, by: 1 | -1, laps: number): Selection {
  return { ...selection, lap: Math.min(laps, Math.max(1, selection.lap + by)) };
}
