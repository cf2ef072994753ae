import { brakeWork, forcesOf, type LapTrace, lapHeat, lapTime } from '../../core';
import { type FileTrack, prepareLog, trackLog } from '../../io';
import { type Circuit, type CircuitZone, fromSi, type Setup, zonesFromLap } from '../../model';

/** What a recording says of itself, beside the circuit that was made of its line. */
export interface RecordedLap {
  /** Of its fastest whole lap, s */
  readonly lapTime: number;
  /** Braking zones of that lap, as a list that drives like it */
  readonly zones: CircuitZone[];
  /** Zones that take away at least `HEAVY`: in the recording, and in the lap of the line */
  readonly heavy: number;
  readonly heavyOfLine: number;
  /** Brake energy of the lap, J: as recorded, and as solved along the line, with the same car */
  readonly heat: number;
  readonly heatOfLine: number;
  /** Lap time along the line, s */
  readonly timeOfLine: number;
  /** Whether the line hides braking zones: it would make a tame circuit */
  readonly tame: boolean;
}

/** A braking zone that counts takes away this much speed, km/h. */
const HEAVY = 20;
/** Share of the recording's zones, and of its energy, that the line must at least have. */
const LEAST = 0.8;
/** Time that may be missing in a lap that is believed, s. */
const GAPS = 2;

const heavyIn = (trace: LapTrace) =>
  trace.zones.filter((zone) => fromSi(zone.entrySpeed - zone.exitSpeed, 'speed') >= HEAVY).length;

/**
 * The fastest whole lap of a recording, driven as it was recorded.
 * @param circuit made of the recording's own line
 * @param setup whose car brakes it
 * @returns null where the file has no times, or no whole lap
 */
export function recordedLap(file: FileTrack, circuit: Circuit, setup: Setup): RecordedLap | null {
  const log = trackLog(file);
  if (!log.ok) return null;
  const own: Setup = { ...setup, circuit, plan: { ...setup.plan, start: { kind: 'cold' } }, begun: null };
  const { pieces, input, density, duct, solved } = prepareLog(log.raw, own);
  const laps = pieces.flatMap((piece) =>
    piece.kind === 'lap' && piece.whole && piece.missing < GAPS ? [piece] : [],
  );
  if (laps.length === 0) return null;
  const fastest = laps.reduce((a, b) => (b.to - b.from < a.to - a.from ? b : a));
  const forces = forcesOf(input.vehicle, { ...input.driver, pace: 1 }, density, duct);
  const trace = brakeWork(fastest.driven, input.vehicle, forces);
  const [heavy, heavyOfLine] = [heavyIn(trace), heavyIn(solved)];
  const [heat, heatOfLine] = [lapHeat(trace), lapHeat(solved)];
  return {
    lapTime: fastest.to - fastest.from,
    zones: zonesFromLap(trace),
    heavy,
    heavyOfLine,
    heat,
    heatOfLine,
    timeOfLine: lapTime(solved),
    tame: heavyOfLine < LEAST * heavy || (heavyOfLine < heavy && heatOfLine < LEAST * heat),
  };
}
