import { cos, sin } from '../numeric';
import { type Segment, segmentLength, segmentTurn } from './segments';

/** How far the end of a line misses its start. */
export interface ClosingError {
  /** Length of the line, m */
  readonly length: number;
  /** Distance between end and start, m */
  readonly gap: number;
  /** End minus start, m */
  readonly dx: number;
  readonly dy: number;
  /** Turned angle minus the nearest of ±360°, or minus none for an eight, rad */
  readonly heading: number;
  /** Height of the end over the start, m */
  readonly height: number;
}

interface Walk {
  dx: number;
  dy: number;
  turned: number;
  height: number;
  length: number;
  /** Heading of each segment's start, rad */
  headings: number[];
}

function walk(segments: readonly Segment[]): Walk {
  const result: Walk = { dx: 0, dy: 0, turned: 0, height: 0, length: 0, headings: [] };
  for (const segment of segments) {
    const length = segmentLength(segment);
    const turn = segmentTurn(segment);
    const chord = turn === 0 ? length : (2 * length * sin(turn / 2)) / turn;
    result.headings.push(result.turned);
    result.dx += chord * cos(result.turned + turn / 2);
    result.dy += chord * sin(result.turned + turn / 2);
    result.turned += turn;
    result.height += segment.grade * length;
    result.length += length;
  }
  return result;
}

/** A closed line turns by a full circle either way, one that crosses over itself like an eight by none. */
function wholeTurn(turned: number, segments: readonly Segment[]): number {
  const eight = Math.abs(turned) < EIGHT && segments.some((s) => s.kind === 'corner');
  return eight ? 0 : 2 * Math.PI * Math.sign(turned || 1);
}

/** A line that turns by less than this altogether is meant to be an eight, rad. */
const EIGHT = Math.PI / 6;

/**
 * Where a line of straights and corners ends, against where it began: m ahead, to the left and up, rad turned too far.
 * Exact for arcs and straights.
 */
export function closingError(segments: readonly Segment[]): ClosingError {
  const w = walk(segments);
  const full = wholeTurn(w.turned, segments);
  return {
    length: w.length,
    gap: Math.sqrt(w.dx * w.dx + w.dy * w.dy),
    dx: w.dx,
    dy: w.dy,
    heading: w.turned - full,
    height: w.height,
  };
}

/**
 * Closes a line with the least change: corner angles share the missing turn, straights share the missing distance
 * (least squares), and what slopes already shares the missing height.
 * @param segments lengths and radii in m, angles in rad
 * @returns the closed line, or null when no change of the given straights closes it
 */
export function closeLine(segments: readonly Segment[]): Segment[] | null {
  const start = walk(segments);
  const turning = segments.reduce((sum, s) => sum + Math.abs(segmentTurn(s)), 0);
  if (turning === 0) return null;
  const missing = wholeTurn(start.turned, segments) - start.turned;
  const turned: Segment[] = segments.map((s) =>
    s.kind === 'corner'
      ? { ...s, angle: s.angle + (s.hand === 'left' ? 1 : -1) * missing * (s.angle / turning) }
      : s,
  );
  const w = walk(turned);
  let [xx, xy, yy] = [0, 0, 0];
  turned.forEach((s, i) => {
    if (s.kind !== 'straight') return;
    const [c, d] = [cos(w.headings[i]), sin(w.headings[i])];
    xx += s.length * c * c;
    xy += s.length * c * d;
    yy += s.length * d * d;
  });
  const determinant = xx * yy - xy * xy;
  if (determinant < 1e-6 * (xx + yy) ** 2) return null;
  const p = (-w.dx * yy + w.dy * xy) / determinant;
  const q = (-w.dy * xx + w.dx * xy) / determinant;
  const grown: Segment[] = turned.map((s, i) =>
    s.kind === 'straight'
      ? { ...s, length: s.length * (1 + p * cos(w.headings[i]) + q * sin(w.headings[i])) }
      : s,
  );
  if (grown.some((s) => segmentLength(s) <= 0)) return null;
  const missed = closingError(grown);
  const sloping = grown.reduce((sum, s) => sum + (s.grade !== 0 ? segmentLength(s) : 0), 0);
  return grown.map((s) => {
    if (sloping === 0) return { ...s, grade: s.grade - missed.height / missed.length };
    return s.grade === 0 ? s : { ...s, grade: s.grade - missed.height / sloping };
  });
}
