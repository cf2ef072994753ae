import { intervalAt } from '../numeric';
import { type Track, wayAlong } from './track';

/** A start line: a place and the way it is crossed. */
export interface Gate {
  /** m east and north */
  readonly x: number;
  readonly y: number;
  /** Direction of driving, a unit vector */
  readonly dx: number;
  readonly dy: number;
  /** Half its width, m */
  readonly halfWidth: number;
}

/** One crossing of a gate. */
export interface Pass {
  /** Index of the point before it, and the share of the way to the next */
  readonly index: number;
  readonly share: number;
}

/** Every forward crossing of a gate by a track, in order. */
export function passesOf(track: Pick<Track, 'x' | 'y'>, gate: Gate): Pass[] {
  const { x, y } = track;
  const along = (i: number) => (x[i] - gate.x) * gate.dx + (y[i] - gate.y) * gate.dy;
  const across = (i: number) => (x[i] - gate.x) * -gate.dy + (y[i] - gate.y) * gate.dx;
  const passes: Pass[] = [];
  for (let i = 0; i + 1 < x.length; i++) {
    const [before, after] = [along(i), along(i + 1)];
    if (!(before < 0 && after >= 0)) continue;
    const share = before / (before - after);
    const side = across(i) + share * (across(i + 1) - across(i));
    if (Math.abs(side) <= gate.halfWidth) passes.push({ index: i, share });
  }
  return passes;
}

/** A lap in a track. */
export interface FoundLap {
  readonly from: Pass;
  readonly to: Pass;
  /** m */
  readonly length: number;
  /** Whether it is like the others: a whole lap, not the way to the pits */
  readonly whole: boolean;
}

/** What was found in a track. */
export interface FoundLaps {
  readonly gate: Gate;
  readonly laps: readonly FoundLap[];
  /** Where the track is one open round: how far its ends lie apart, m; 0 where laps were found */
  readonly gap: number;
}

/** Half width of a gate that is looked for; wider than a track and what a receiver errs, m. */
const HALF_WIDTH = 18;
/** Gates tried along the track. */
const TRIES = 48;
/** Laps as long as the median to within this share are whole. */
const LIKE = 0.05;
/** A track whose ends lie apart by at most this share of its length is one round. */
const OPEN_SHARE = 0.12;
/** Shortest lap, m. */
const SHORTEST = 150;

/**
 * The gate at a point of a track, turned as the track runs there over some metres either side.
 * @param index of the point
 * @param halfWidth m
 */
export function gateAt(track: Pick<Track, 'x' | 'y'>, index: number, halfWidth = HALF_WIDTH): Gate {
  const { x, y } = track;
  const n = x.length;
  let [a, b] = [index, index];
  const far = (p: number, q: number) => Math.sqrt((x[q] - x[p]) ** 2 + (y[q] - y[p]) ** 2);
  while (a > 0 && far(a, index) < 12) a--;
  while (b < n - 1 && far(index, b) < 12) b++;
  const length = far(a, b) || 1;
  return { x: x[index], y: y[index], dx: (x[b] - x[a]) / length, dy: (y[b] - y[a]) / length, halfWidth };
}

/** Laps of a track, m, from a gate, each between two passes, with whether it is like the others. */
export function lapsFrom(track: Pick<Track, 'x' | 'y'>, gate: Gate): FoundLap[] {
  const way = wayAlong(track.x, track.y);
  const at = (pass: Pass) => way[pass.index] + pass.share * (way[pass.index + 1] - way[pass.index]);
  const passes = passesOf(track, gate);
  const kept = passes.filter((pass, k) => k === 0 || at(pass) - at(passes[k - 1]) > SHORTEST);
  const lengths = kept.slice(1).map((pass, k) => at(pass) - at(kept[k]));
  const median = [...lengths].sort((a, b) => a - b)[lengths.length >> 1] ?? 0;
  return lengths.map((length, k) => ({
    from: kept[k],
    to: kept[k + 1],
    length,
    whole: Math.abs(length - median) <= LIKE * median,
  }));
}

/**
 * Finds the lap in a track with one round or many: of gates all along it, the one that is crossed most often at equal
 * distances. A track that goes round once, without crossing its beginning, is a lap when its ends lie near each other.
 * @returns null where the track neither comes back to its start nor passes one place twice the same way
 */
export function findLaps(track: Pick<Track, 'x' | 'y'>): FoundLaps | null {
  const { x, y } = track;
  const n = x.length;
  const way = wayAlong(x, y);
  const total = way[n - 1];
  let best: { gate: Gate; laps: FoundLap[]; score: number } | null = null;
  for (let t = 0; t < TRIES; t++) {
    const wanted = ((t + 0.5) / TRIES) * total;
    const gate = gateAt(track, intervalAt(way, wanted));
    const laps = lapsFrom(track, gate);
    const whole = laps.filter((lap) => lap.whole);
    if (whole.length === 0) continue;
    const mean = whole.reduce((sum, lap) => sum + lap.length, 0) / whole.length;
    const spread = whole.reduce((sum, lap) => sum + Math.abs(lap.length - mean), 0) / (whole.length * mean);
    // A place that a lap passes twice makes laps of two lengths; their count alone must not win.
    // Two laps alike are evidence; one alone may be the way from the pits and back to them.
    const alike = whole.length > 1 ? 1 : 0;
    const score = alike + (whole.length * mean) / total - 4 * spread - 0.5 * (1 - whole.length / laps.length);
    if (!best || score > best.score + 1e-9) best = { gate, laps, score };
  }
  if (best) return { gate: best.gate, laps: best.laps, gap: 0 };
  const gap = Math.sqrt((x[n - 1] - x[0]) ** 2 + (y[n - 1] - y[0]) ** 2);
  if (total < SHORTEST || gap > OPEN_SHARE * total) return null;
  const whole: FoundLap = {
    from: { index: 0, share: 0 },
    to: { index: n - 2, share: 1 },
    length: total + gap,
    whole: true,
  };
  return { gate: gateAt(track, 0), laps: [whole], gap };
}
