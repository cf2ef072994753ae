import {
  type Channel,
  type DayResult,
  judgedDay,
  type LapTrace,
  lapHeat,
  loggedDay,
  type RecordedPart,
  speedAt,
  type WheelName,
} from '../../core';
import { isDriven, type PreparedLog } from '../../io';
import type { Setup } from '../../model';
import { say } from '../../text/en/say/services';
import { MEASURED } from './measured';
import { type MeasuredZone, measuredZones } from './measuredZones';

/** A part of a log as it is listed. */
export interface ListedPiece {
  readonly kind: 'out' | 'hot' | 'cool' | 'stand';
  /** From start line to start line */
  readonly whole: boolean;
  /** s since the log's first sample */
  readonly from: number;
  readonly to: number;
  /** m */
  readonly length: number;
  /** Brake heat, J, and fastest speed, m/s */
  readonly heat: number;
  readonly topSpeed: number;
  /** Time without samples in it, s */
  readonly missing: number;
  /** Lap of the day's result, from 0; −1 standing */
  readonly lap: number;
}

/** A measured temperature, compared with the predicted one. */
export interface MeasuredSeries {
  readonly channel: Channel;
  readonly wheel: WheelName;
  /** The part whose prediction stands for it */
  readonly part: RecordedPart;
  /** s since the log's first sample, and K; at most some thousand points */
  readonly time: Float64Array;
  readonly measured: Float64Array;
  readonly predicted: Float64Array;
  /** Measured minus predicted over all samples: mean and RMS error, and of the highest values, K */
  readonly mean: number;
  readonly rms: number;
  readonly peak: number;
}

/** Everything a log tells of a car on a circuit. */
export interface LogAnalysis {
  readonly setup: Setup;
  readonly by: PreparedLog['by'];
  readonly pieces: readonly ListedPiece[];
  /** Index of the fastest of the whole hot laps and of the one most like the others; null where there is none */
  readonly best: number | null;
  readonly typical: number | null;
  /** Scatter of the speed, m/s, and the time between samples, s */
  readonly noise: number;
  readonly step: number;
  /** Time between the samples as they came, s */
  readonly sampled: number;
  /** Air temperature it was computed with, K, and whether that was logged */
  readonly ambient: number;
  readonly ambientLogged: boolean;
  /** Whether the brakes began as the log's sensors found them, or as the plan's do */
  readonly begun: PreparedLog['begun'];
  /** The day computed with the logged trace */
  readonly day: DayResult;
  /** The lap as it is solved for this car, driver and circuit */
  readonly solved: LapTrace;
  readonly measured: readonly MeasuredSeries[];
  /** What was measured in each braking zone of its laps */
  readonly zones: readonly MeasuredZone[];
  /** Length of the log's laps and of the circuit, m, where they differ too much for one circuit */
  readonly otherCircuit: { readonly logged: number; readonly circuit: number } | null;
}

/** Laps this much longer or shorter than the circuit were driven on another. */
const OTHER = 0.04;
/** Points of a measured series that are drawn. */
const DRAWN = 3000;

/**
 * Lays a log over a setup: laps, braking zones, temperatures, SI.
 * @throws RangeError as `judgedDay`
 */
export function analyseLog(prepared: PreparedLog, setup: Setup): LogAnalysis {
  const { log, input, pieces, ambient } = prepared;
  if (!pieces.some(isDriven)) {
    throw new RangeError(say.carStandsStillAll);
  }
  const day = judgedDay(loggedDay(input, 'Log', pieces, ambient));
  let lap = -1;
  const listed = pieces.map((piece): ListedPiece => {
    if (!isDriven(piece) || piece.kind === 'stand') {
      return {
        kind: 'stand',
        whole: false,
        from: piece.from,
        to: piece.to,
        length: 0,
        heat: 0,
        topSpeed: 0,
        missing: 0,
        lap: -1,
      };
    }
    lap += 1;
    const { trace } = day.laps[lap];
    return {
      kind: piece.lap,
      whole: piece.whole,
      from: piece.from,
      to: piece.to,
      length: trace.distance[trace.distance.length - 1] - trace.distance[0],
      heat: lapHeat(trace),
      topSpeed: trace.speed.reduce((most, v) => Math.max(most, v), 0),
      missing: piece.missing,
      lap,
    };
  });
  const hot = listed
    .map((piece, i) => ({ i, time: piece.to - piece.from, piece }))
    .filter(({ piece }) => piece.kind === 'hot' && piece.whole && piece.missing < 1)
    .sort((a, b) => a.time - b.time);
  return {
    setup,
    by: prepared.by,
    pieces: listed,
    best: hot[0]?.i ?? null,
    typical: typicalOf(hot.map(({ i, piece }) => ({ i, trace: day.laps[piece.lap].trace }))),
    noise: prepared.noise,
    step: prepared.step,
    sampled: prepared.sampled,
    ambient,
    ambientLogged: prepared.ambientLogged,
    begun: prepared.begun,
    day,
    solved: prepared.solved,
    measured: MEASURED.flatMap(([channel, wheel, part]) => {
      const values = log.channels[channel];
      return values ? [seriesOf(channel, wheel, part, log.time, values, day)] : [];
    }),
    zones: measuredZones(log, day),
    otherCircuit: otherCircuit(prepared),
  };
}

/** Places along a lap at which laps are compared. */
const PLACES = 100;

/** The lap whose speeds differ least from those of all the others. */
function typicalOf(laps: readonly { readonly i: number; readonly trace: LapTrace }[]): number | null {
  const speeds = laps.map(({ trace }) => {
    const length = trace.distance[trace.distance.length - 1] - trace.distance[0];
    return Float64Array.from({ length: PLACES }, (_, k) => speedAt(trace, ((k + 0.5) * length) / PLACES));
  });
  let [best, least]: [number | null, number] = [null, Number.POSITIVE_INFINITY];
  laps.forEach(({ i }, a) => {
    let apart = 0;
    for (const other of speeds)
      other.forEach((v, k) => {
        apart += Math.abs(v - speeds[a][k]);
      });
    if (apart < least) [best, least] = [i, apart];
  });
  return best;
}

function otherCircuit({ circuit, pieces, by }: PreparedLog): LogAnalysis['otherCircuit'] {
  if (circuit.kind !== 'line' || by === 'speed' || by === 'none') return null;
  const lengths = pieces
    .flatMap((p) => {
      if (p.kind !== 'lap' || !p.whole) return [];
      const { speed, duration } = p.driven;
      let way = 0;
      duration?.forEach((dt, i) => {
        way += 0.5 * (speed[i] + speed[i + 1]) * dt;
      });
      return [way];
    })
    .sort((a, b) => a - b);
  const logged = lengths[lengths.length >> 1];
  if (logged === undefined || Math.abs(logged / circuit.line.length - 1) < OTHER) return null;
  return { logged, circuit: circuit.line.length };
}

function seriesOf(
  channel: Channel,
  wheel: WheelName,
  part: RecordedPart,
  time: Float64Array,
  values: Float64Array,
  day: DayResult,
): MeasuredSeries {
  const { record } = day;
  const predictedAll = record.wheels[wheel][part];
  const every = Math.max(1, Math.ceil(time.length / DRAWN));
  const [t, m, p]: [number[], number[], number[]] = [[], [], []];
  let [k, sum, square, count, topM, topP] = [0, 0, 0, 0, 0, 0];
  for (let i = 0; i < time.length; i++) {
    if (!Number.isFinite(values[i])) continue;
    while (k < record.time.length - 2 && record.time[k + 1] <= time[i]) k++;
    const share = Math.min(
      1,
      Math.max(0, (time[i] - record.time[k]) / (record.time[k + 1] - record.time[k])),
    );
    const predicted = predictedAll[k] + share * (predictedAll[k + 1] - predictedAll[k]);
    const off = values[i] - predicted;
    sum += off;
    square += off * off;
    count += 1;
    topM = Math.max(topM, values[i]);
    topP = Math.max(topP, predicted);
    if (i % every !== 0) continue;
    t.push(time[i]);
    m.push(values[i]);
    p.push(predicted);
  }
  return {
    channel,
    wheel,
    part,
    time: Float64Array.from(t),
    measured: Float64Array.from(m),
    predicted: Float64Array.from(p),
    mean: count > 0 ? sum / count : 0,
    rms: count > 0 ? Math.sqrt(square / count) : 0,
    peak: topM - topP,
  };
}
