import { type FoundStop, findStops, mendLog, type RawLog, type StopWanted, smoothSpeed } from '../../core';

/** A stop of a log with what else was logged in it; SI. */
export interface LogStop extends FoundStop {
  /** Greatest, N; null where it was not logged */
  readonly pedal: number | null;
  /** Hottest disc of the log's sensors within it and shortly after, K; null where none was logged */
  readonly disc: number | null;
}

const DISCS = ['rotorFrontLeft', 'rotorFrontRight', 'rotorRearLeft', 'rotorRearRight'] as const;
/** A rubbing sensor reads its highest a little later, s. */
const AFTER = 3;

/** The stops of a log. @throws LogError for a log that has no speed */
export function logStops(raw: RawLog, wanted: StopWanted): LogStop[] {
  const log = mendLog(raw);
  const trace = smoothSpeed(log);
  const discs = DISCS.flatMap((channel) => log.channels[channel] ?? []);
  const most = (values: ArrayLike<number> | undefined, from: number, to: number): number | null => {
    if (!values) return null;
    let high = Number.NaN;
    for (let i = 0; i < log.time.length; i++) {
      if (log.time[i] < from || log.time[i] > to || !Number.isFinite(values[i])) continue;
      if (!(values[i] <= high)) high = values[i];
    }
    return Number.isFinite(high) ? high : null;
  };
  return findStops(trace, wanted, Math.max(trace.step, log.step)).map((stop) => {
    const hottest = discs.flatMap((values) => most(values, stop.start, stop.end + AFTER) ?? []);
    return {
      ...stop,
      pedal: most(log.channels.pedalForce, stop.start, stop.end),
      disc: hottest.length > 0 ? Math.max(...hottest) : null,
    };
  });
}
