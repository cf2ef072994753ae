import type { BrakingZone, LapTrace } from './trace';

/** Brakings closer than this are one, s. */
const MERGE_GAP = 0.35;
/** Least loss of speed that counts as a braking zone, m/s. */
const LEAST_LOSS = 2;

/** Power under which the brakes count as released, W; what is left of a force that should be zero is far less. */
const LEAST_POWER = 50;

/** Whether the brakes, friction and electric, are on in an interval of a trace. */
export function isBraking(trace: Omit<LapTrace, 'zones'>, i: number): boolean {
  const work = heatBetween(trace, i, i + 1) + trace.recovered[i + 1] - trace.recovered[i];
  return work > LEAST_POWER * (trace.time[i + 1] - trace.time[i]);
}

/**
 * Finds the brakings of a lap in driving order.
 * @param lateral sideways acceleration of each interval, g; n
 */
export function findZones(
  trace: Omit<LapTrace, 'zones'>,
  lateral: Float64Array,
  nameAt: (distance: number) => string,
): BrakingZone[] {
  const spans = brakings(trace);
  const kept = spans.filter(([a, b]) => trace.speed[a] - trace.speed[b] >= LEAST_LOSS);
  return kept.map(([a, b], k) => ({
    ...describe(trace, a, b, kept[(k + 1) % kept.length][0], nameAt),
    lateralBefore: greatest(lateral, kept[(k + kept.length - 1) % kept.length][1], a),
  }));
}

/** First and last point of each braking, however short. */
function brakings(trace: Omit<LapTrace, 'zones'>): [number, number][] {
  const { time } = trace;
  const spans: [number, number][] = [];
  let last: [number, number] | null = null;
  for (let i = 0; i + 1 < time.length; i++) {
    if (!isBraking(trace, i)) continue;
    if (last && time[i] - time[last[1]] < MERGE_GAP) last[1] = i + 1;
    else {
      last = [i, i + 1];
      spans.push(last);
    }
  }
  return spans;
}

/** Greatest value from one interval to before another, round the lap where the first lies behind. */
function greatest(values: Float64Array, from: number, to: number): number {
  const n = values.length;
  let most = 0;
  const end = to <= from ? to + n : to;
  for (let i = from; i < Math.min(n, end); i++) most = Math.max(most, values[i]);
  for (let i = Math.max(from, n); i < end; i++) most = Math.max(most, values[i - n]);
  return most;
}

function heatBetween(trace: Omit<LapTrace, 'zones'>, a: number, b: number): number {
  return trace.frontHeat[b] - trace.frontHeat[a] + trace.rearHeat[b] - trace.rearHeat[a];
}

function describe(
  trace: Omit<LapTrace, 'zones'>,
  a: number,
  b: number,
  next: number,
  nameAt: (distance: number) => string,
): Omit<BrakingZone, 'lateralBefore'> {
  const { distance, time, speed } = trace;
  let peakPower = 0;
  let peakDeceleration = 0;
  for (let i = a; i < b; i++) {
    const dt = time[i + 1] - time[i];
    peakPower = Math.max(peakPower, heatBetween(trace, i, i + 1) / dt);
    peakDeceleration = Math.max(peakDeceleration, (speed[i] - speed[i + 1]) / dt);
  }
  const lap = next <= a ? 1 : 0;
  const end = time.length - 1;
  const length = distance[b] - distance[a];
  const frontEnergy = trace.frontHeat[b] - trace.frontHeat[a];
  const rearEnergy = trace.rearHeat[b] - trace.rearHeat[a];
  return {
    startIndex: a,
    endIndex: b,
    name: nameAt(distance[b]),
    entrySpeed: speed[a],
    exitSpeed: speed[b],
    deceleration: (speed[a] ** 2 - speed[b] ** 2) / (2 * length),
    peakDeceleration,
    duration: time[b] - time[a],
    length,
    energy: frontEnergy + rearEnergy,
    frontEnergy,
    rearEnergy,
    recovered: trace.recovered[b] - trace.recovered[a],
    peakPower,
    airTime: lap * time[end] + time[next] - time[b],
    airDistance: lap * (distance[end] - distance[0]) + distance[next] - distance[b],
  };
}
