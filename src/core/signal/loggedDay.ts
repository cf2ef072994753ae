import type { DayInput, Leg } from '../schedule';
import type { LogPiece } from './pieces';

/** Pieces shorter than this are not driven but waited, s. */
export const SHORTEST_PIECE = 3;

/**
 * The day as it was logged: one session of laps driven as they were, and of standing.
 * @param ambient air temperature, K
 */
export function loggedDay(
  input: DayInput,
  name: string,
  pieces: readonly LogPiece[],
  ambient: number,
): DayInput {
  const legs: Leg[] = [];
  for (const piece of pieces) {
    const duration = piece.to - piece.from;
    if (duration <= 0) continue;
    if (piece.kind === 'stand' || duration < SHORTEST_PIECE) {
      legs.push({ kind: 'pit', duration, fan: 0 });
      continue;
    }
    const last = legs[legs.length - 1];
    if (last && 'laps' in last && last.kind === piece.lap) {
      legs[legs.length - 1] = {
        ...last,
        laps: last.laps + 1,
        driven: [...(last.driven ?? []), piece.driven],
      };
    } else legs.push({ kind: piece.lap, laps: 1, pace: 1, driven: [piece.driven] });
  }
  return { ...input, clicks: [], brakesEarlier: false, sessions: [{ name, ambient, trackGrip: 1, legs }] };
}

/**
 * The logged day and then the given lap again and again: how long it can go on like this.
 * @param laps how many more
 */
export function goneOn(day: DayInput, lap: LogPiece & { kind: 'lap' }, laps: number): DayInput {
  const [session] = day.sessions;
  const again: Leg = {
    kind: 'hot',
    laps,
    pace: 1,
    driven: Array.from({ length: laps }, () => lap.driven),
  };
  return { ...day, sessions: [{ ...session, legs: [...session.legs, again] }] };
}
