import type { Refused } from '../../model';
import { say } from '../../text/en/say/io';
import type { ReadLog } from '../logs/logTable';
import { refuse } from '../refusal';
import type { FileTrack } from './fileTrack';

/** A track with times as a log: positions and heights, from which the speed is made. */
export function trackLog(track: FileTrack): ReadLog | Refused {
  const timed = Array.from(track.time.keys()).filter((i) => Number.isFinite(track.time[i]));
  if (track.metric || timed.length < 20) {
    return refuse(say.hasPointsTimeLog(track.name, timed.length));
  }
  const pick = (values: Float64Array) => Float64Array.from(timed, (i) => values[i]);
  const height = pick(track.height);
  return {
    ok: true,
    raw: {
      time: pick(track.time),
      channels: {
        latitude: pick(track.a),
        longitude: pick(track.b),
        ...(height.some((h) => Number.isFinite(h)) && { height }),
      },
    },
    lineOf: { first: 1, perSample: 1 },
    rows: timed.length,
    notes: [],
  };
}
