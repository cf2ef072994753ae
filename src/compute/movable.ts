import { buffersIn, isKeptLap } from '../core';

/** What of a result can be moved to another thread instead of copied: all but the laps that are driven again. */
export const movable = (result: unknown): ArrayBuffer[] =>
  [...buffersIn(result)].filter((buffer) => !isKeptLap(buffer));
