import {
  type Crossings,
  crossingsByLapNumber,
  crossingsByOwnPlace,
  crossingsByPosition,
  crossingsBySpeed,
  cutUp,
  type DayInput,
  driveLap,
  ductDragArea,
  forcesOf,
  type LapTrace,
  LINE_SPACING,
  type Log,
  type LogPiece,
  logStart,
  mendLog,
  moistAirDensity,
  type PreparedCircuit,
  prepareCircuit,
  pressureOf,
  type RawLog,
  SHORTEST_PIECE,
  smoothSpeed,
  speedAt,
} from '../../core';
import { dayInput, type Setup } from '../../model';

/** A log made ready with a setup; what the further questions need. */
export interface PreparedLog {
  readonly log: Log;
  readonly input: DayInput;
  readonly circuit: PreparedCircuit;
  readonly solved: LapTrace;
  /** How its laps were found */
  readonly by: Crossings['by'] | 'none';
  readonly pieces: readonly LogPiece[];
  readonly ambient: number;
  readonly ambientLogged: boolean;
  /** Whether the brakes begin as its sensors find them, or as the plan's do */
  readonly begun: 'sensed' | 'planned';
  readonly noise: number;
  readonly step: number;
  /** Time between the samples as they came, s: where the speed was made of positions it is shorter */
  readonly sampled: number;
  readonly density: number;
  readonly duct: number;
}

/** @param raw as read; mended here, so that what is stored stays as it came */
export function prepareLog(raw: RawLog, setup: Setup): PreparedLog {
  const log = mendLog(raw);
  const planned = dayInput(setup);
  const logged = meanOf(log.channels.ambient);
  const ambient = logged ?? planned.sessions[0].ambient;
  const sensed = logStart(planned, log, ambient);
  const input = { ...planned, start: sensed ?? planned.start };
  const density = moistAirDensity(pressureOf(input), ambient, input.humidity);
  const duct = ductDragArea(input);
  const driver = { ...input.driver, pace: 1 };
  const circuit = prepareCircuit(input.circuit, LINE_SPACING, input.wind);
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
    begun: sensed ? 'sensed' : 'planned',
    noise: trace.noise,
    step: log.step,
    sampled: sampledEvery(raw.time),
    density,
    duct,
  };
}

/** Median time between samples that are not of one moment, s. */
function sampledEvery(time: Float64Array): number {
  const steps = time.subarray(1).map((t, i) => t - time[i]);
  const risen = steps.filter((dt) => dt > 1e-6).sort();
  return risen.length > 0 ? risen[risen.length >> 1] : 1;
}

/** Whether a piece is driven, not waited. */
export const isDriven = (piece: LogPiece) => piece.kind === 'lap' && piece.to - piece.from >= SHORTEST_PIECE;

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
