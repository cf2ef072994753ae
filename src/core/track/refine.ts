import type { Segment } from '../circuit';
import { bandedSolve, cos, sin } from '../numeric';
import type { SmoothLine } from './smoothTrack';

/** Places along the line that the pieces are held to. */
const PLACES = 240;
const ROUNDS = 12;
/** How much a change of a piece's length by its own length, or of its turn by a radian, weighs against metres off. */
const PRIOR = 0.4;
/** Weight of the closing against one place. */
const CLOSING = 30;

/** Pieces that follow a line. */
export interface Refined {
  readonly segments: readonly Segment[];
  /** Direction in which they begin, a unit vector */
  readonly heading: readonly [number, number];
}

/**
 * Moves lengths and angles of straights and arcs so that they lie on a line (Gauss and Newton's least squares, held near
 * where they began) and end where they start.
 */
export function refine(segments: readonly Segment[], line: SmoothLine): Refined {
  const n = segments.length;
  const bends = segments.map((s) => s.kind === 'corner');
  const [dx, dy] = [line.x[1] - line.x[0], line.y[1] - line.y[0]];
  const size = Math.sqrt(dx * dx + dy * dy);
  /** Lengths, turns, and the heading at the start against the line's. */
  const start = Float64Array.from([
    ...segments.map((s) => (s.kind === 'straight' ? s.length : s.radius * s.angle)),
    ...segments.map((s) => (s.kind === 'straight' ? 0 : s.hand === 'left' ? s.angle : -s.angle)),
    0,
  ]);
  const free = [
    ...segments.map((_, i) => i),
    ...segments.flatMap((_, i) => (bends[i] ? [n + i] : [])),
    2 * n,
  ];
  let now = start.slice();
  const residuals = (p: Float64Array) => offsets(p, n, line, dx / size, dy / size);
  for (let round = 0; round < ROUNDS; round++) {
    const base = residuals(now);
    const columns = free.map((k) => {
      const step = k < n ? 0.01 : 1e-5;
      const moved = now.slice();
      moved[k] += step;
      return residuals(moved).map((r, i) => (r - base[i]) / step);
    });
    const m = free.length;
    const band = new Float64Array(m * m);
    const side = new Float64Array(m);
    for (let a = 0; a < m; a++) {
      const k = free[a];
      const weight = k < n ? (PRIOR / start[k]) * 10 : PRIOR * 10;
      for (let b = 0; b <= a; b++) {
        let sum = a === b ? weight * weight : 0;
        for (let i = 0; i < base.length; i++) sum += columns[a][i] * columns[b][i];
        // Row a of a full band: the diagonal stands last.
        band[a * m + (m - 1) - (a - b)] = sum;
      }
      for (let i = 0; i < base.length; i++) side[a] -= columns[a][i] * base[i];
      side[a] -= weight * weight * (now[k] - start[k]);
    }
    bandedSolve(band, m - 1, [side]);
    let largest = 0;
    const next = now.slice();
    free.forEach((k, a) => {
      next[k] += side[a];
      largest = Math.max(largest, Math.abs(side[a]));
    });
    // A step that turns a corner round or a piece inside out is too long; what was reached stands.
    const sound = segments.every(
      (_, i) =>
        next[i] > 0.3 * start[i] && (!bends[i] || next[n + i] * start[n + i] > 0.1 * start[n + i] ** 2),
    );
    if (!sound) break;
    now = next;
    if (largest < 2e-3) break;
  }
  const moved = segments.map((segment, i) =>
    segment.kind === 'straight'
      ? { ...segment, length: now[i] }
      : { ...segment, angle: Math.abs(now[n + i]), radius: now[i] / Math.abs(now[n + i]) },
  );
  return { segments: moved, heading: turnedBy(dx / size, dy / size, now[2 * n]) };
}

function turnedBy(x: number, y: number, angle: number): readonly [number, number] {
  const [c, s] = [cos(angle), sin(angle)];
  return [x * c - y * s, x * s + y * c];
}

/** How far pieces lie off the line, east and north at each place, and their closing in place and turn, weighed. */
function offsets(p: Float64Array, n: number, line: SmoothLine, dx: number, dy: number): Float64Array {
  const out = new Float64Array(2 * PLACES + 3);
  let total = 0;
  for (let i = 0; i < n; i++) total += p[i];
  const cells = line.distance.length - 1;
  let [x, y] = [line.x[0], line.y[0]];
  let [hx, hy] = turnedBy(dx, dy, p[2 * n]);
  let at = 0;
  let place = 1;
  let turn = 0;
  for (let i = 0; i < n; i++) {
    const [length, angle] = [p[i], p[n + i]];
    while (place <= PLACES && (place * total) / (PLACES + 1) <= at + length) {
      const s = (place * total) / (PLACES + 1) - at;
      const [ex, ey] = ahead(hx, hy, s, (angle * s) / length);
      const j = Math.min(cells - 1, Math.floor((place * cells) / (PLACES + 1)));
      const share = (place * cells) / (PLACES + 1) - j;
      out[2 * place - 2] = x + ex - (line.x[j] + share * (line.x[j + 1] - line.x[j]));
      out[2 * place - 1] = y + ey - (line.y[j] + share * (line.y[j + 1] - line.y[j]));
      place += 1;
    }
    const [ex, ey] = ahead(hx, hy, length, angle);
    [x, y] = [x + ex, y + ey];
    [hx, hy] = turnedBy(hx, hy, angle);
    at += length;
    turn += angle;
  }
  out[2 * PLACES] = CLOSING * (x - line.x[0]);
  out[2 * PLACES + 1] = CLOSING * (y - line.y[0]);
  // A line that goes round once turns by a full circle; a figure of eight by none.
  out[2 * PLACES + 2] = CLOSING * 100 * (turn - 2 * Math.PI * Math.round(turn / (2 * Math.PI)));
  return out;
}

/** The chord of an arc of a length and a turn, from a heading. */
function ahead(hx: number, hy: number, length: number, turn: number): readonly [number, number] {
  const half = turn / 2;
  const chord = Math.abs(half) > 1e-9 ? (length * sin(half)) / half : length;
  const [x, y] = turnedBy(hx, hy, half);
  return [chord * x, chord * y];
}
