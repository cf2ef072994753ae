import { goneOn, isCold, leanDay, loggedDay, type Margin } from '../../core';
import { isDriven, type PreparedLog } from '../../io';

/** How many laps like the last whole one a limit is away. */
export interface LapsLeft {
  /** Whole laps until the first limit is passed; null where none is within the laps looked at */
  readonly laps: number | null;
  readonly looked: number;
  /** What passes its limit first */
  readonly margin: Margin | null;
}

/**
 * Goes on with the last whole lap and counts until something is over its limit.
 * @param looked most laps to look ahead
 * @returns null where the log has no whole lap
 */
export function lapsLeft(prepared: PreparedLog, looked = 20): LapsLeft | null {
  const whole = prepared.pieces.filter((p) => p.kind === 'lap' && p.whole);
  const last = whole[whole.length - 1];
  if (last?.kind !== 'lap') return null;
  const soFar = loggedDay(prepared.input, 'Live', prepared.pieces, prepared.ambient);
  const driven = prepared.pieces.filter(isDriven).length;
  const day = leanDay(goneOn(soFar, last, looked));
  let first: LapsLeft = { laps: null, looked, margin: null };
  for (const margin of day.margins) {
    // Pads below their working temperature end no session.
    if (isCold(margin) || !margin.passed) continue;
    const laps = margin.passed.lap === null ? 0 : Math.max(0, margin.passed.lap - 1 - driven);
    if (first.laps === null || laps < first.laps) first = { laps, looked, margin };
  }
  return first;
}
