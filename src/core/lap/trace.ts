/**
 * One lap, whatever it came from: n intervals, n + 1 points, from start line to start line. Where a braking lies over
 * the start line the lap begins after it instead, and ends as far past the line.
 */
export interface LapTrace {
  /** Distance from the start line, m; n + 1 */
  readonly distance: Float64Array;
  /** Time, s; n + 1 */
  readonly time: Float64Array;
  /** Speed, m/s; n + 1 */
  readonly speed: Float64Array;
  /** Speed of the air past the wheels, m/s; n + 1. The same as `speed` where no wind blows */
  readonly airSpeed: Float64Array;
  /** Heat made in the two front brakes since the start, J; n + 1 */
  readonly frontHeat: Float64Array;
  /** Heat made in the two rear brakes since the start, J; n + 1 */
  readonly rearHeat: Float64Array;
  /** The left front brake's part of `frontHeat`, J; n + 1. Half of it where both wheels brake alike */
  readonly frontLeftHeat: Float64Array;
  /** The left rear brake's part of `rearHeat`, J; n + 1 */
  readonly rearLeftHeat: Float64Array;
  /** Work taken by energy recovery since the start, J; n + 1 */
  readonly recovered: Float64Array;
  /** Work the motor could have taken while braking since the start, J; n + 1 */
  readonly recoverable: Float64Array;
  /** Work lost in tyre slip while braking since the start, J; n + 1 */
  readonly slipped: Float64Array;
  /** Braking zones in driving order; none is cut in two */
  readonly zones: readonly BrakingZone[];
}

/** A trace with series of its own, in one buffer. */
export function copiedTrace(trace: LapTrace): LapTrace {
  const points = trace.time.length;
  const room = new Float64Array(11 * points);
  let at = 0;
  const own = (series: Float64Array): Float64Array => {
    const copy = room.subarray(at, at + points);
    copy.set(series);
    at += points;
    return copy;
  };
  return {
    distance: own(trace.distance),
    time: own(trace.time),
    speed: own(trace.speed),
    airSpeed: own(trace.airSpeed),
    frontHeat: own(trace.frontHeat),
    rearHeat: own(trace.rearHeat),
    frontLeftHeat: own(trace.frontLeftHeat),
    rearLeftHeat: own(trace.rearLeftHeat),
    recovered: own(trace.recovered),
    recoverable: own(trace.recoverable),
    slipped: own(trace.slipped),
    zones: trace.zones,
  };
}

/** A braking of a lap. Energies are of the whole car. All SI. */
export interface BrakingZone {
  /** First and last point of the braking in the trace */
  readonly startIndex: number;
  readonly endIndex: number;
  /** Name of the place, where it has one */
  readonly name: string;
  /** m/s */
  readonly entrySpeed: number;
  /** m/s */
  readonly exitSpeed: number;
  /** Mean over distance, (v1² − v2²)/2s, m/s², positive */
  readonly deceleration: number;
  /** Greatest over an interval, m/s² */
  readonly peakDeceleration: number;
  /** s */
  readonly duration: number;
  /** m */
  readonly length: number;
  /** Heat into all four brakes, J */
  readonly energy: number;
  /** Heat into the two front brakes, J */
  readonly frontEnergy: number;
  /** Heat into the two rear brakes, J */
  readonly rearEnergy: number;
  /** Work taken by energy recovery, J */
  readonly recovered: number;
  /** Greatest brake power of an interval, all four brakes, W */
  readonly peakPower: number;
  /** Greatest sideways acceleration since the braking before, g; as hard as the tyres are used where the way is not known */
  readonly lateralBefore: number;
  /** From the end of this braking to the start of the next, s */
  readonly airTime: number;
  /** The same, m */
  readonly airDistance: number;
}

/** Every value along a lap: each by itself, and sums, which once they are no number stay none. */
const SERIES = ['distance', 'speed', 'airSpeed'] as const satisfies readonly (keyof LapTrace)[];
const SUMS = [
  'time',
  'frontHeat',
  'rearHeat',
  'frontLeftHeat',
  'rearLeftHeat',
  'recovered',
  'recoverable',
  'slipped',
] as const satisfies readonly (keyof LapTrace)[];

/**
 * Refuses a lap with a value that is not a number.
 * @throws RangeError naming the value and its distance, m
 */
export function assertFiniteTrace(trace: LapTrace): void {
  for (const name of SERIES) {
    const values = trace[name];
    let sum = 0;
    for (let i = 0; i < values.length; i++) sum += 0 * values[i];
    if (sum !== 0) refuse(trace, name);
  }
  for (const name of SUMS) if (!Number.isFinite(trace[name][trace[name].length - 1])) refuse(trace, name);
}

function refuse(trace: LapTrace, name: (typeof SERIES)[number] | (typeof SUMS)[number]): never {
  const i = trace[name].findIndex((value) => !Number.isFinite(value));
  throw new RangeError(
    `The lap cannot be driven: its ${name} is not a number at ${trace.distance[i].toFixed(0)} m.`,
  );
}

/** Duration of the lap, s. */
export function lapTime(trace: LapTrace): number {
  return trace.time[trace.time.length - 1];
}

/** Heat into all four brakes in a lap, J. */
export function lapHeat(trace: LapTrace): number {
  const last = trace.time.length - 1;
  return trace.frontHeat[last] + trace.rearHeat[last];
}

/** Length of the lap, m. */
export function lapLength(trace: LapTrace): number {
  return trace.distance[trace.distance.length - 1] - trace.distance[0];
}
