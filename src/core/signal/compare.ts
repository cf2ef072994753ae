import type { BrakingZone, LapTrace } from '../lap';
import { lapHeat, lapTime } from '../lap';
import { intervalAt } from '../numeric';

/** A logged braking zone beside the solved one at the same place; indices into each lap's braking zones, −1 where the other has none. */
export interface ZonePair {
  readonly logged: number;
  readonly solved: number;
}

/** Braking zones end within this distance of each other to be the same, m. */
const SAME = 70;

/**
 * Pairs the braking zones of two laps by where they end, nearest first; each is used once. In driving order.
 * @param length of the lap, m
 */
export function pairZones(logged: LapTrace, solved: LapTrace, length: number): ZonePair[] {
  const end = (trace: LapTrace, zone: BrakingZone) => trace.distance[zone.endIndex] % length;
  const candidates = logged.zones.flatMap((a, i) =>
    solved.zones.map((b, k) => {
      const apart = Math.abs(end(logged, a) - end(solved, b));
      return { i, k, apart: Math.min(apart, length - apart) };
    }),
  );
  candidates.sort((a, b) => a.apart - b.apart);
  const [usedI, usedK] = [new Set<number>(), new Set<number>()];
  const pairs: ZonePair[] = [];
  for (const { i, k, apart } of candidates) {
    if (apart > SAME || usedI.has(i) || usedK.has(k)) continue;
    usedI.add(i);
    usedK.add(k);
    pairs.push({ logged: i, solved: k });
  }
  logged.zones.forEach((_, i) => {
    if (!usedI.has(i)) pairs.push({ logged: i, solved: -1 });
  });
  solved.zones.forEach((_, k) => {
    if (!usedK.has(k)) pairs.push({ logged: -1, solved: k });
  });
  const place = ({ logged: i, solved: k }: ZonePair) =>
    i >= 0 ? end(logged, logged.zones[i]) : end(solved, solved.zones[k]);
  return pairs.sort((a, b) => place(a) - place(b));
}

/** Share of the samples' scatter that is left in the speed at the ends of a long braking zone, from trials. */
const LEFT = 0.9;
/** Braking zones about as short as this have few samples to lay a line through, s. */
const SHORT = 0.45;

/**
 * Uncertainty of a braking zone's energy from the scatter of the logged speed, one standard deviation, J: that of the
 * kinetic energies at its two ends (linear propagation of independent errors).
 * @param mass kg
 * @param inertia rotational mass factor, 1 or more
 * @param noise scatter of the speed, m/s
 */
export function energyUncertainty(zone: BrakingZone, mass: number, inertia: number, noise: number): number {
  const scatter = LEFT * noise * (1 + (SHORT / zone.duration) ** 2);
  return mass * inertia * scatter * Math.sqrt(zone.entrySpeed ** 2 + zone.exitSpeed ** 2);
}

/** How like each other two laps are. */
export interface LapLikeness {
  /** RMS of the difference of speed along the lap, m/s */
  readonly speed: number;
  /** Logged minus solved: lap time, s, and brake heat, J */
  readonly time: number;
  readonly heat: number;
}

/**
 * How like each other a logged lap and a solved one are: speed, m/s, and what `LapLikeness` names besides.
 */
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

/** Speed at a distance from the start line, m/s; a lap that begins later runs on past it. @param s m */
export function speedAt({ distance, speed }: LapTrace, s: number): number {
  const n = distance.length - 1;
  const at = s < distance[0] ? s + distance[n] - distance[0] : s;
  const i = intervalAt(distance, at);
  const span = distance[i + 1] - distance[i];
  const share = span > 0 ? Math.min(1, Math.max(0, (at - distance[i]) / span)) : 0;
  return speed[i] + share * (speed[i + 1] - speed[i]);
}
