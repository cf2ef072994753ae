import type { SampledLine } from '../circuit';
import { isBraking } from './findZones';
import { type LapTrace, lapHeat, lapLength, lapTime } from './trace';

/** What a circuit asks of a car's brakes. */
export interface Severity {
  /** Brake heat for each metre, J/m */
  readonly energyPerLength: number;
  /** Brake heat over lap time, W */
  readonly meanPower: number;
  /** Share of the lap's time with the brakes on, 0 to 1 */
  readonly brakingShare: number;
  /** Longest way without braking, m, and its time, s */
  readonly longestFree: number;
  readonly longestFreeTime: number;
  /** Longest piece of the line that hardly bends, m; the longest free way for a list of braking zones */
  readonly longestStraight: number;
  /** Mean speed of the air between braking zones, m/s */
  readonly airSpeed: number;
  /** Left wheels' share of the heat, 0 to 1 */
  readonly leftShare: number;
  /** Share of all turning that is to the right, 0 to 1; null for a list of braking zones */
  readonly rightTurns: number | null;
  readonly zones: number;
  /** m */
  readonly length: number;
  /** s */
  readonly time: number;
}

/** Curvature under which a line counts as straight, 1/m. */
const FLAT = 1 / 500;

/**
 * Judges a lap by own indices, SI: brake energy by way and time, free ways, sides, turning.
 * @param line its line, null for a list of braking zones
 */
export function severityOf(trace: LapTrace, line: SampledLine | null): Severity {
  const n = trace.time.length - 1;
  const time = lapTime(trace);
  let [braking, way, rolling] = [0, 0, 0];
  for (let i = 0; i < n; i++) {
    const dt = trace.time[i + 1] - trace.time[i];
    if (isBraking(trace, i)) braking += dt;
    else {
      rolling += dt;
      way += trace.distance[i + 1] - trace.distance[i];
    }
  }
  const heat = lapHeat(trace);
  const longestFree = trace.zones.reduce((most, zone) => Math.max(most, zone.airDistance), 0);
  return {
    energyPerLength: heat / lapLength(trace),
    meanPower: heat / time,
    brakingShare: braking / time,
    longestFree,
    longestFreeTime: trace.zones.reduce((most, zone) => Math.max(most, zone.airTime), 0),
    longestStraight: line ? longestRun(line) : longestFree,
    airSpeed: rolling > 0 ? way / rolling : 0,
    leftShare: heat > 0 ? (trace.frontLeftHeat[n] + trace.rearLeftHeat[n]) / heat : 0.5,
    rightTurns: line ? rightTurnsOf(line) : null,
    zones: trace.zones.length,
    length: lapLength(trace),
    time,
  };
}

/** Share of all turning that is to the right. */
function rightTurnsOf({ curvature, distance }: SampledLine): number {
  let [right, all] = [0, 0];
  for (let i = 0; i + 1 < distance.length; i++) {
    const turn = 0.5 * (curvature[i] + curvature[i + 1]) * (distance[i + 1] - distance[i]);
    all += Math.abs(turn);
    if (turn < 0) right -= turn;
  }
  return all > 0 ? right / all : 0.5;
}

function longestRun({ curvature, distance, length }: SampledLine): number {
  const n = curvature.length - 1;
  const flat = (i: number) => Math.abs(curvature[i]) < FLAT;
  let [run, most] = [0, 0];
  for (let count = 0; count < 2 * n; count++) {
    const i = count % n;
    run = flat(i) && flat(i + 1) ? run + distance[i + 1] - distance[i] : 0;
    most = Math.max(most, Math.min(run, length));
  }
  return most;
}
