import { closeLine, closingError, type Segment, sampleLine } from '../circuit';
import { type Refined, refine } from './refine';
import type { SmoothLine } from './smoothTrack';

/** A line cut into straights and corners. */
export interface Corners {
  readonly segments: readonly Segment[];
  /** Number of the corner each segment belongs to, from 1; 0 for straights. A corner can be of several arcs. */
  readonly corner: readonly number[];
  /** Direction in which they begin, east and north, a unit vector */
  readonly heading: readonly [number, number];
  /** Farthest that straights and arcs lie off the smooth line, m */
  readonly off: number;
}

/** Curvature under which a line counts as straight for what it does to a car's speed, 1/m. */
const FLAT = 1 / 500;
/** Difference of grade that is worth a cut, as much as the whole of a corner's curvature. */
const GRADE = 0.03;
/** What a further piece costs: metres of line wrong by its whole curvature. */
const PRICE = 2.2;
/** And how many waves of the noise a piece must outweigh. */
const NOISE_PRICE = 0.2;
/** Shortest and longest piece, m. */
const SHORTEST = 8;
const LONGEST = 1600;
/** A piece that turns less than this, or is wider, is drawn straight; its turn goes to its neighbours. */
const LEAST_TURN = (6 * Math.PI) / 180;
const WIDEST = 900;

/** Most straights and arcs: laying them on the line takes time with the cube of their number. */
const MOST_PIECES = 240;

/**
 * Cuts a smooth line into straights and arcs: the cut into pieces of constant curvature and grade that costs least,
 * each metre weighed by how wrong its curvature is, each piece by a fixed price (optimal partitioning, Jackson et al.
 * 2005). The result is closed by the least change.
 * @returns null where the pieces cannot be closed, or the line is so ragged that it takes more of them than any circuit has
 */
export function cornersOf(line: SmoothLine): Corners | null {
  const m = line.distance.length - 1;
  const stride = Math.max(1, Math.round(m / 2400));
  const n = Math.floor(m / stride);
  const step = line.length / n;
  const bends = cell(line.curvature, n, stride, m);
  const grades = cell(line.grade, n, stride, m);
  const cuts = cutsOf(bends, grades, step, priceOf(line));
  const found = cuts.slice(1).map((to, k) => {
    const from = cuts[k];
    let turn = 0;
    let rise = 0;
    for (let i = from; i < to; i++) {
      turn += bends[i] * step;
      rise += grades[i] * step;
    }
    const length = (to - from) * step;
    return { length, turn, grade: rise / length };
  });
  let pieces = found;
  let fitted: Refined = { segments: [], heading: [1, 0] };
  // What turns out to be straight once the pieces lie on the line is made straight, and they are laid again.
  for (let round = 0; round < 3; round++) {
    for (let i = 0; i < 3; i++) straighten(pieces);
    pieces = mergeStraights(pieces);
    if (pieces.length < 2 || pieces.length > MOST_PIECES) return null;
    fitted = refine(pieces.map(segmentOf), line);
    pieces = fitted.segments.map(pieceOf);
  }
  const segments = closedEnough(fitted.segments) ? fitted.segments : closeLine(fitted.segments);
  if (!segments) return null;
  const { heading } = fitted;
  return { segments, corner: numbers(segments), heading, off: farthest(segments, heading, line) };
}

function segmentOf({ length, turn, grade }: Piece): Segment {
  if (turn === 0) return { kind: 'straight', length, grade };
  const angle = Math.abs(turn);
  return { kind: 'corner', radius: length / angle, angle, hand: turn > 0 ? 'left' : 'right', grade };
}

function pieceOf(segment: Segment): Piece {
  if (segment.kind === 'straight') return { length: segment.length, turn: 0, grade: segment.grade };
  const { radius, angle, hand, grade } = segment;
  return { length: radius * angle, turn: hand === 'left' ? angle : -angle, grade };
}

const closedEnough = (segments: readonly Segment[]) => {
  const error = closingError(segments);
  return error.gap < 0.05 && Math.abs(error.heading) < 1e-4 && Math.abs(error.height) < 0.05;
};

/** A piece must explain more than a wave of what is left of the noise would. */
function priceOf({ smoothing }: SmoothLine): number {
  const share = smoothing.curvatureNoise / FLAT;
  return PRICE + NOISE_PRICE * share * share * smoothing.wave;
}

/** Means of the values over each of n cells. */
function cell(values: Float64Array, n: number, stride: number, m: number): Float64Array {
  return Float64Array.from({ length: n }, (_, i) => {
    let sum = 0;
    for (let k = 0; k < stride; k++) {
      const j = Math.min(m - 1, i * stride + k);
      sum += 0.5 * (values[j] + values[j + 1]);
    }
    return sum / stride;
  });
}

/** Cheapest cuts, from 0 to n. */
function cutsOf(bends: Float64Array, grades: Float64Array, step: number, price: number): number[] {
  const n = bends.length;
  const near = Math.max(1, Math.round(15 / step));
  const weight = Float64Array.from(bends, (_, i) => {
    let most = 0;
    for (let k = i - near; k <= i + near; k++) most = Math.max(most, Math.abs(bends[((k % n) + n) % n]));
    return step / (most * most + FLAT * FLAT);
  });
  // Running sums make the cost of any piece a matter of a few subtractions.
  const sums = Array.from({ length: 6 }, () => new Float64Array(n + 1));
  for (let i = 0; i < n; i++) {
    const w = weight[i];
    const g = step / (GRADE * GRADE);
    const terms = [w, w * bends[i], w * bends[i] * bends[i], g, g * grades[i], g * grades[i] * grades[i]];
    for (let t = 0; t < 6; t++) sums[t][i + 1] = sums[t][i] + terms[t];
  }
  const cost = (a: number, b: number) => {
    let all = 0;
    for (const t of [0, 3]) {
      const w = sums[t][b] - sums[t][a];
      const wx = sums[t + 1][b] - sums[t + 1][a];
      all += Math.max(0, sums[t + 2][b] - sums[t + 2][a] - (wx * wx) / w);
    }
    return all;
  };
  const least = Math.max(1, Math.round(SHORTEST / step));
  const most = Math.ceil(LONGEST / step);
  const best = new Float64Array(n + 1).fill(Number.POSITIVE_INFINITY);
  const from = new Int32Array(n + 1);
  best[0] = 0;
  for (let b = least; b <= n; b++) {
    for (let a = Math.max(0, b - most); a <= b - least; a++) {
      const total = best[a] + cost(a, b) + price;
      if (total < best[b]) [best[b], from[b]] = [total, a];
    }
  }
  const cuts = [n];
  while (cuts[0] > 0) cuts.unshift(from[cuts[0]]);
  return cuts;
}

interface Piece {
  length: number;
  turn: number;
  grade: number;
}

/** Makes pieces that hardly turn straight and gives their turn to the corners before and after. */
function straighten(pieces: Piece[]): void {
  const n = pieces.length;
  const flat = pieces.map((p) => Math.abs(p.turn) < LEAST_TURN || p.length / Math.abs(p.turn) > WIDEST);
  if (flat.every(Boolean)) return;
  pieces.forEach((piece, i) => {
    if (!flat[i] || piece.turn === 0) return;
    const [before, after] = [-1, 1].map((way) => {
      let k = i;
      do k = (k + way + n) % n;
      while (flat[k]);
      return pieces[k];
    });
    const share = Math.abs(before.turn) / (Math.abs(before.turn) + Math.abs(after.turn));
    before.turn += share * piece.turn;
    after.turn += (1 - share) * piece.turn;
    piece.turn = 0;
  });
}

function mergeStraights(pieces: readonly Piece[]): Piece[] {
  const merged: Piece[] = [];
  for (const piece of pieces) {
    const last = merged[merged.length - 1];
    if (last && last.turn === 0 && piece.turn === 0 && Math.abs(last.grade - piece.grade) < GRADE / 4) {
      const length = last.length + piece.length;
      last.grade = (last.grade * last.length + piece.grade * piece.length) / length;
      last.length = length;
    } else merged.push({ ...piece });
  }
  return merged;
}

/** Arcs of one hand that follow each other are one corner. */
function numbers(segments: readonly Segment[]): number[] {
  let corner = 0;
  return segments.map((segment, i) => {
    if (segment.kind === 'straight') return 0;
    const before = segments[i - 1];
    if (before?.kind !== 'corner' || before.hand !== segment.hand) corner += 1;
    return corner;
  });
}

/** Farthest distance between the pieces as they are driven, laid from the line's start, and the line. */
function farthest(segments: readonly Segment[], [c, s]: Corners['heading'], line: SmoothLine): number {
  const drawn = sampleLine(segments, 4);
  let most = 0;
  for (let i = 0; i < line.x.length; i += 4) {
    let nearest = Number.POSITIVE_INFINITY;
    for (let k = 0; k < drawn.x.length; k++) {
      const x = line.x[0] + c * drawn.x[k] - s * drawn.y[k];
      const y = line.y[0] + s * drawn.x[k] + c * drawn.y[k];
      nearest = Math.min(nearest, (x - line.x[i]) ** 2 + (y - line.y[i]) ** 2);
    }
    most = Math.max(most, nearest);
  }
  return Math.sqrt(most);
}
