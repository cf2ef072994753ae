import type { Piece } from '../schedule';
import type { DayRecord } from './record';
import type { StopTold, ZoneForce } from './zoneResult';

/** A piece that has been run. */
export interface PieceRun {
  readonly piece: Piece;
  /** First sample and number of samples */
  readonly first: number;
  readonly count: number;
  /** s since the run began */
  readonly startTime: number;
  /** s */
  readonly duration: number;
  /** What the driver feels in each braking zone of a lap */
  readonly forces: readonly ZoneForce[];
  /** How a stop went whose speed follows from the brakes */
  readonly stop: StopTold | null;
  /** kg/m³ */
  readonly airDensity: number;
}

/** Watches a run piece by piece. */
export interface Observer {
  /** @param record the run so far; its arrays may be others after the next piece */
  readonly after: (run: PieceRun, record: DayRecord) => void;
}
