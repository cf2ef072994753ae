import {
  cornersOf,
  findLaps,
  localPlane,
  longestStraight,
  type Smoothing,
  type SmoothLine,
  smoothTrack,
  type Track,
  turnedLine,
  withoutJumps,
} from '../../core';
import type { FileTrack } from '../../io';
import { refuse } from '../../io';
import { type Circuit, type CircuitSegment, circuitSchema, issueProblem, type Refused } from '../../model';
import { say } from '../../text/en/say/services';

/** A track's laps as one smooth line, before its start and direction are chosen. */
export interface FoundLine {
  readonly ok: true;
  readonly line: SmoothLine;
  /** Where the line's metres are counted from; null where the file is in metres itself */
  readonly origin: { readonly latitude: number; readonly longitude: number } | null;
  /** Lengths of the laps and whether each was used, m */
  readonly laps: readonly { readonly length: number; readonly used: boolean }[];
  /** How far the ends of an open round lie apart, m; 0 where laps were found */
  readonly gap: number;
  /** Points of the track in metres, every so many, to be drawn behind the line */
  readonly drawn: { readonly x: Float64Array; readonly y: Float64Array };
  /** The middle of the longest straight, m from the line's beginning */
  readonly suggestedStart: number;
  /** How often the line crosses itself: bridges, or a wrong turn */
  readonly crossings: number;
}

/** What the user chooses. */
export interface LineChoice {
  /** Farthest the line may lie off a point, m; null leaves it to the smoothing */
  readonly bound: number | null;
  /** m from the line's beginning */
  readonly start: number;
  readonly reverse: boolean;
}

/** Straights and corners that lie farther off the line make another circuit, m. */
const FARTHEST_OFF = 60;
/** Points of the drawn track at most. */
const DRAWN = 4000;
/** Longest lap that is taken, m; no circuit is as long. */
const LONGEST = 60_000;
/** Shortest lap that is taken, m. */
const SHORTEST = 150;

/**
 * Finds the lap in a track and smooths it.
 * @param bound farthest the line may lie off a point, m; null leaves it free
 * @returns what is wrong with it where there is no lap
 */
export function findLine(file: FileTrack, bound: number | null): FoundLine | Refused {
  const { track: raw, origin } = flat(file);
  const { track, jumps } = withoutJumps(raw);
  const [wide, tall] = [range(track.x), range(track.y)];
  if (wide < 1 && tall < 1) {
    return refuse(say.allPointsLieSame(track.x.length));
  }
  const found = findLaps(track);
  if (!found) {
    const n = track.x.length - 1;
    const apart = Math.hypot(track.x[n] - track.x[0], track.y[n] - track.y[0]);
    return refuse(say.noLapWasFound(Math.round(apart)));
  }
  const used = found.laps.filter((lap) => lap.whole);
  const length = used.reduce((sum, lap) => sum + lap.length, 0) / used.length;
  if (length < SHORTEST) return refuse(say.lapWasFoundM(Math.round(length), SHORTEST));
  if (length > LONGEST) {
    return refuse(say.lapWasFoundKm(Math.round(length / 1000), LONGEST / 1000));
  }
  const smooth = smoothTrack(track, used, bound ?? Number.POSITIVE_INFINITY);
  const line = { ...smooth, smoothing: { ...smooth.smoothing, jumps: smooth.smoothing.jumps + jumps } };
  const every = Math.ceil(track.x.length / DRAWN);
  const thin = (values: Float64Array) => values.filter((_, i) => i % every === 0);
  return {
    ok: true,
    line,
    origin,
    laps: found.laps.map((lap) => ({ length: lap.length, used: lap.whole })),
    gap: found.gap,
    drawn: { x: thin(track.x), y: thin(track.y) },
    suggestedStart: longestStraight(line),
    crossings: selfCrossings(line),
  };
}

function flat(file: FileTrack): { track: Track; origin: FoundLine['origin'] } {
  if (file.metric) return { track: { x: file.a, y: file.b, height: file.height }, origin: null };
  const middle = (values: Float64Array) => {
    const sorted = values.slice().sort();
    return sorted[sorted.length >> 1];
  };
  const origin = { latitude: middle(file.a), longitude: middle(file.b) };
  const plane = localPlane(origin);
  const x = new Float64Array(file.a.length);
  const y = new Float64Array(file.a.length);
  for (let i = 0; i < x.length; i++) [x[i], y[i]] = plane.toPlane(file.a[i], file.b[i]);
  return { track: { x, y, height: file.height }, origin };
}

function range(values: Float64Array): number {
  let [low, high] = [Number.POSITIVE_INFINITY, Number.NEGATIVE_INFINITY];
  for (const v of values) {
    if (v < low) low = v;
    if (v > high) high = v;
  }
  return high - low;
}

function selfCrossings({ x, y }: SmoothLine): number {
  const stride = Math.max(1, Math.round(x.length / 600));
  const n = Math.floor((x.length - 1) / stride);
  let count = 0;
  const side = (i: number, j: number, k: number) =>
    (x[j * stride] - x[i * stride]) * (y[k * stride] - y[i * stride]) -
    (y[j * stride] - y[i * stride]) * (x[k * stride] - x[i * stride]);
  for (let i = 0; i < n - 2; i++) {
    for (let j = i + 2; j < n - 1; j++) {
      if (side(i, i + 1, j) * side(i, i + 1, j + 1) < 0 && side(j, j + 1, i) * side(j, j + 1, i + 1) < 0)
        count += 1;
    }
  }
  return count;
}

/** A circuit found in a file, as it would be stored. */
export interface FoundCircuit {
  readonly ok: true;
  readonly circuit: Circuit;
  readonly smoothing: Smoothing;
  /** Farthest that its straights and corners lie off the smooth line, m */
  readonly off: number;
  readonly corners: number;
}

const round = (value: number, digits: number) => Math.round(value * 10 ** digits) / 10 ** digits;

/**
 * Cuts the line, begun and turned as chosen, into straights and numbered corners.
 * @returns what is wrong with it where it cannot be closed
 */
export function circuitFrom(
  found: FoundLine,
  choice: LineChoice,
  id: string,
  name: string,
): FoundCircuit | Refused {
  const line = turnedLine(found.line, choice.start, choice.reverse);
  const corners = cornersOf(line);
  if (!corners) return refuse(say.lineCouldNotCut);
  if (corners.off > FARTHEST_OFF) return refuse(say.lineFarOff(Math.round(corners.off), FARTHEST_OFF));
  const segments = corners.segments.map((segment, i): CircuitSegment => {
    const gradePercent = clamp(round(segment.grade * 100, 2), -25, 25);
    if (segment.kind === 'straight')
      return { kind: 'straight', lengthM: round(Math.max(1, segment.length), 2), gradePercent };
    return {
      kind: 'corner',
      name: `Turn ${corners.corner[i]}`,
      radiusM: round(clamp(segment.radius, 2, 3000), 2),
      angleDeg: round(clamp((segment.angle * 180) / Math.PI, 1, 359), 3),
      hand: segment.hand,
      gradePercent,
    };
  });
  const tightest = Math.min(40, ...segments.map((s) => (s.kind === 'corner' ? s.radiusM : 40)));
  const { origin } = found;
  const start = origin && localPlane(origin).toEarth(line.x[0], line.y[0]);
  const [east, north] = corners.heading;
  const bearing = (Math.atan2(east, north) * 180) / Math.PI;
  const { hasHeight } = found.line.smoothing;
  const circuit = circuitSchema.safeParse(
    {
      id,
      name,
      altitudeM: hasHeight ? clamp(Math.round(line.height[0]), -400, 4500) : 0,
      trackWidthM: Math.max(3, Math.min(12, Math.floor(tightest))),
      place: start
        ? {
            latitudeDeg: round(start.latitude, 7),
            longitudeDeg: round(start.longitude, 7),
            bearingDeg: round((bearing + 360) % 360, 2),
            heightM: hasHeight ? round(line.height[0], 1) : 0,
          }
        : null,
      source: 'recorded',
      layout: { kind: 'line', segments },
    },
    { reportInput: true },
  );
  if (!circuit.success) {
    const { path, message } = issueProblem(circuit.error.issues[0]);
    return refuse(say.lineMakesNoCircuit(path, message));
  }
  return {
    ok: true,
    circuit: circuit.data,
    smoothing: found.line.smoothing,
    off: corners.off,
    corners: Math.max(0, ...corners.corner),
  };
}

const clamp = (value: number, low: number, high: number) => Math.min(high, Math.max(low, value));
