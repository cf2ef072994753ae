import type { LapTrace, Stop } from '../lap';
import { lapHeat, lapTime } from '../lap';

/** A logged stop beside the solved one at the same place; indices into each lap's stops, −1 where the other has none. */
export interface StopPair {
  readonly logged: number;
  readonly solved: number;
}

/** Stops end within this distance of each other to be the same, m. */
const SAME = 70;

/** Pairs the stops of two laps by where they end, nearest first; each stop is used once. In driving order. */
export function pairStops(logged: LapTrace, solved: LapTrace, length: number): StopPair[] {
  const end = (trace: LapTrace, stop: Stop) => trace.distance[stop.endIndex] % length;
  const candidates = logged.stops.flatMap((a, i) =>
    solved.stops.map((b, k) => {
      const apart = Math.abs(end(logged, a) - end(solved, b));
      return { i, k, apart: Math.min(apart, length - apart) };
    }),
  );
  candidates.sort((a, b) => a.apart - b.apart);
  const [usedI, usedK] = [new Set<number>(), new Set<number>()];
  const pairs: StopPair[] = [];
  for (const { i, k, apart } of candidates) {
    if (apart > SAME || usedI.has(i) || usedK.has(k)) continue;
    usedI.add(i);
    usedK.add(k);
    pairs.push({ logged: i, solved: k });
  }
  logged.stops.forEach((_, i) => {
    if (!usedI.has(i)) pairs.push({ logged: i, solved: -1 });
  });
  solved.stops.forEach((_, k) => {
    if (!usedK.has(k)) pairs.push({ logged: -1, solved: k });
  });
  const place = ({ logged: i, solved: k }: StopPair) =>
    i >= 0 ? end(logged, logged.stops[i]) : end(solved, solved.stops[k]);
  return pairs.sort((a, b) => place(a) - place(b));
}

/** Share of the samples' scatter that is left in the speed at the ends of a long stop, from trials. */
const LEFT = 0.9;
/** Stops about as short as this have few samples to lay a line through, s. */
const SHORT = 0.45;

/**
 * Uncertainty of a stop's energy from the scatter of the logged speed, one standard deviation, J: that of the kinetic
 * energies at its two ends.
 * @param noise scatter of the speed, m/s
 */
export function energyUncertainty(stop: Stop, mass: number, inertia: number, noise: number): number {
  const scatter = LEFT * noise * (1 + (SHORT / stop.duration) ** 2);
  return mass * inertia * scatter * Math.sqrt(stop.entrySpeed ** 2 + stop.exitSpeed ** 2);
}

/** How like each other two laps are. */
export interface LapLikeness {
  /** Root mean square of the difference of speed along the lap, m/s */
  readonly speed: number;
  /** Logged minus solved: lap time, s, and brake heat, J */
  readonly time: number;
  readonly heat: number;
}

export function lapLikeness(logged: LapTrace, solved: LapTrace): LapLikeness {
  const length = logged.distance[logged.distance.length - 1] - logged.distance[0];
  const cells = 400;
  let sum = 0;
  for (let i = 0; i < cells; i++) {
    const s = ((i + 0.5) * length) / cells;
    sum += (speedAt(logged, s) - speedAt(solved, s)) ** 2;
  }
  return {
    speed: Math.sqrt(sum / cells),
    time: lapTime(logged) - lapTime(solved),
    heat: lapHeat(logged) - lapHeat(solved),
  };
}

/** Speed at a distance from the start line, m/s; a lap that begins later runs on past it. */
export function speedAt({ distance, speed }: LapTrace, s: number): number {
  const n = distance.length - 1;
  const at = s < distance[0] ? s + distance[n] - distance[0] : s;
  let low = 0;
  let high = n;
  while (high - low > 1) {
    const mid = (low + high) >> 1;
    if (distance[mid] <= at) low = mid;
    else high = mid;
  }
  const span = distance[high] - distance[low];
  const share = span > 0 ? Math.min(1, Math.max(0, (at - distance[low]) / span)) : 0;
  return speed[low] + share * (speed[high] - speed[low]);
}
