/** The lap and the stop that are picked, everywhere at once. */
export interface Selection {
  /** From 1 over the whole session */
  readonly lap: number;
  /** From 0 */
  readonly stop: number;
}

/** The next or previous stop, going round within the lap. */
export function stepStop(selection: Selection, by: 1 | -1, stops: number): Selection {
  if (stops === 0) return selection;
  return { ...selection, stop: (selection.stop + by + stops) % stops };
}

/** The next or previous lap, within the session. */
export function stepLap(selection: Selection, by: 1 | -1, laps: number): Selection {
  return { ...selection, lap: Math.min(laps, Math.max(1, selection.lap + by)) };
}
