import {
  type Channel,
  type Crossings,
  crossingsByLapNumber,
  crossingsByOwnPlace,
  crossingsByPosition,
  crossingsBySpeed,
  cutUp,
  type DayInput,
  type DayResult,
  driveLap,
  ductDragArea,
  forcesOf,
  goneOn,
  type LapTrace,
  type Log,
  type LogPiece,
  lapHeat,
  loggedDay,
  type Margin,
  mendLog,
  moistAirDensity,
  type PreparedCircuit,
  prepareCircuit,
  pressureOf,
  type RawLog,
  type RecordedPart,
  SHORTEST_PIECE,
  simulateDay,
  smoothSpeed,
  speedAt,
  type WheelName,
} from '../core';
import { dayInput, type Setup } from '../project';

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

/** A measured temperature beside the predicted one. */
export interface MeasuredSeries {
  readonly channel: Channel;
  readonly wheel: WheelName;
  /** The part whose prediction stands for it */
  readonly part: RecordedPart;
  /** s since the log's first sample, and K; at most some thousand points */
  readonly time: Float64Array;
  readonly measured: Float64Array;
  readonly predicted: Float64Array;
  /** Measured minus predicted over all samples: mean and root mean square, and of the highest values, K */
  readonly mean: number;
  readonly rms: number;
  readonly peak: number;
}

/** Everything a log tells of a car on a circuit. */
export interface LogAnalysis {
  readonly setup: Setup;
  readonly by: Crossings['by'] | 'none';
  readonly pieces: readonly ListedPiece[];
  /** Index of the fastest of the whole hot laps and of the one most like the others; null where there is none */
  readonly best: number | null;
  readonly typical: number | null;
  /** Scatter of the speed, m/s, and the time between samples, s */
  readonly noise: number;
  readonly step: number;
  /** Air temperature it was computed with, K, and whether that was logged */
  readonly ambient: number;
  readonly ambientLogged: boolean;
  /** The day computed with the logged trace */
  readonly day: DayResult;
  /** The lap as it is solved for this car, driver and circuit */
  readonly solved: LapTrace;
  readonly measured: readonly MeasuredSeries[];
  /** Length of the log's laps and of the circuit, m, where they differ too much for one circuit */
  readonly otherCircuit: { readonly logged: number; readonly circuit: number } | null;
}

/** Laps this much longer or shorter than the circuit were driven on another. */
const OTHER = 0.04;
/** Points of a measured series that are drawn. */
const DRAWN = 3000;

const MEASURED: readonly (readonly [Channel, WheelName, RecordedPart])[] = [
  ['rotorFrontLeft', 'frontLeft', 'rotorBulk'],
  ['rotorFrontRight', 'frontRight', 'rotorBulk'],
  ['rotorRearLeft', 'rearLeft', 'rotorBulk'],
  ['rotorRearRight', 'rearRight', 'rotorBulk'],
  ['caliperFrontLeft', 'frontLeft', 'caliper'],
  ['caliperFrontRight', 'frontRight', 'caliper'],
  ['caliperRearLeft', 'rearLeft', 'caliper'],
  ['caliperRearRight', 'rearRight', 'caliper'],
  ['fluidFront', 'frontLeft', 'fluid'],
  ['fluidRear', 'rearLeft', 'fluid'],
];

/** A log made ready with a setup; what the further questions need. */
interface Prepared {
  readonly log: Log;
  readonly input: DayInput;
  readonly circuit: PreparedCircuit;
  readonly solved: LapTrace;
  readonly by: LogAnalysis['by'];
  readonly pieces: readonly LogPiece[];
  readonly ambient: number;
  readonly ambientLogged: boolean;
  readonly noise: number;
  readonly step: number;
  readonly density: number;
  readonly duct: number;
}

/** @param raw as read; mended here, so that what is stored stays as it came */
export function prepareLog(raw: RawLog, setup: Setup): Prepared {
  const log = mendLog(raw);
  const input = dayInput(setup);
  const logged = meanOf(log.channels.ambient);
  const ambient = logged ?? input.sessions[0].ambient;
  const density = moistAirDensity(pressureOf(input), ambient, input.humidity);
  const duct = ductDragArea(input);
  const driver = { ...input.driver, pace: 1 };
  const circuit = prepareCircuit(input.circuit);
  const solved = driveLap(circuit, input.vehicle, driver, { airDensity: density, ductDragArea: duct });
  const trace = smoothSpeed(log);
  const crossings = crossingsOf(log, setup, trace, solved);
  const pieces = cutUp({
    log,
    trace,
    crossings: crossings.times,
    vehicle: input.vehicle,
    forces: forcesOf(input.vehicle, driver, density, duct),
    buildUp: input.driver.brakeBuildUp,
    line: circuit.kind === 'line' ? circuit.line : null,
    nameAt: circuit.kind === 'line' ? circuit.nameAt : () => '',
  });
  return {
    log,
    input,
    circuit,
    solved,
    by: crossings.times.length > 1 ? crossings.by : 'none',
    pieces,
    ambient,
    ambientLogged: logged !== null,
    noise: trace.noise,
    step: log.step,
    density,
    duct,
  };
}

/** Whether a piece is driven, not waited. */
const isDriven = (piece: LogPiece) => piece.kind === 'lap' && piece.to - piece.from >= SHORTEST_PIECE;

/** Lays a log over a setup: laps, stops, temperatures. */
export function analyseLog(prepared: Prepared, setup: Setup): LogAnalysis {
  const { log, input, pieces, ambient } = prepared;
  if (!pieces.some(isDriven)) {
    throw new RangeError('The car stands still all through this log; there is nothing to lay over the plan.');
  }
  const day = simulateDay(loggedDay(input, 'Log', pieces, ambient));
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
    ambient,
    ambientLogged: prepared.ambientLogged,
    day,
    solved: prepared.solved,
    measured: MEASURED.flatMap(([channel, wheel, part]) => {
      const values = log.channels[channel];
      return values ? [seriesOf(channel, wheel, part, log.time, values, day)] : [];
    }),
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

function crossingsOf(
  log: Log,
  { circuit }: Setup,
  trace: ReturnType<typeof smoothSpeed>,
  solved: LapTrace,
): Crossings {
  const { place } = circuit;
  const found: (() => Crossings)[] = [];
  if (place) {
    const bearing = (place.bearingDeg * Math.PI) / 180;
    const line = {
      latitude: place.latitudeDeg,
      longitude: place.longitudeDeg,
      east: Math.sin(bearing),
      north: Math.cos(bearing),
    };
    found.push(() => (nearBy(log, line) ? crossingsByPosition(log, line) : { times: [], by: 'position' }));
  }
  const length = solved.distance[solved.distance.length - 1] - solved.distance[0];
  found.push(
    () => crossingsByLapNumber(log),
    () => (log.channels.latitude ? crossingsByOwnPlace(log) : { times: [], by: 'position' }),
    () => crossingsBySpeed(trace, (s) => speedAt(solved, s), length),
  );
  for (const find of found) {
    const crossings = find();
    if (crossings.times.length > 1) return crossings;
  }
  return { times: [], by: 'speed' };
}

/** Whether a log was made within a few kilometres of a place. */
function nearBy(log: Log, { latitude, longitude }: { latitude: number; longitude: number }): boolean {
  const lat = log.channels.latitude?.find((v) => Number.isFinite(v));
  const lon = log.channels.longitude?.find((v) => Number.isFinite(v));
  return (
    lat !== undefined &&
    lon !== undefined &&
    Math.abs(lat - latitude) < 0.3 &&
    Math.abs(lon - longitude) < 0.5
  );
}

function meanOf(values: Float64Array | undefined): number | null {
  if (!values) return null;
  let [sum, count] = [0, 0];
  for (const v of values) {
    if (!Number.isFinite(v)) continue;
    sum += v;
    count += 1;
  }
  return count > 0 ? sum / count : null;
}

function otherCircuit({ circuit, pieces, by }: Prepared): LogAnalysis['otherCircuit'] {
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

/** How many laps like the last whole one a limit is away. */
export interface LapsLeft {
  /** Whole laps until the first limit is passed; null where none is within the laps looked at */
  readonly laps: number | null;
  readonly looked: number;
  /** What passes its limit first */
  readonly margin: Margin | null;
}

/** Goes on with the last whole lap and counts until something is over its limit. */
export function lapsLeft(prepared: Prepared, looked = 20): LapsLeft | null {
  const whole = prepared.pieces.filter((p) => p.kind === 'lap' && p.whole);
  const last = whole[whole.length - 1];
  if (last?.kind !== 'lap') return null;
  const soFar = loggedDay(prepared.input, 'Live', prepared.pieces, prepared.ambient);
  const driven = prepared.pieces.filter(isDriven).length;
  const day = simulateDay(goneOn(soFar, last, looked));
  let first: LapsLeft = { laps: null, looked, margin: null };
  for (const margin of day.margins) {
    // Pads too cold to bite end no session.
    if (margin.part === 'bite' || !margin.passed) continue;
    const laps = margin.passed.lap === null ? 0 : Math.max(0, margin.passed.lap - 1 - driven);
    if (first.laps === null || laps < first.laps) first = { laps, looked, margin };
  }
  return first;
}
