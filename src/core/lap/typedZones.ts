import type { DrivenLap } from './brakeWork';

/** A braking zone as a person types it. All SI. */
export interface TypedZone {
  readonly name: string;
  /** m/s */
  readonly entrySpeed: number;
  /** m/s; below the entry speed */
  readonly exitSpeed: number;
  /** Braking distance, m */
  readonly length: number;
  /** Rise over run while braking, 1 */
  readonly grade: number;
  /** From the end of this braking to the start of the next, m */
  readonly toNext: number;
  /** Time for it, s; null takes a constant acceleration */
  readonly timeToNext: number | null;
}

/** Intervals of a braking and of the way to the next. */
const BRAKING_CELLS = 40;
const ROLLING_CELLS = 40;
const BUILD_UP_CELLS = 8;

/**
 * Shortest and longest time a way can take between two speeds when it is driven at the one, then with constant
 * acceleration to the other, in either order, s.
 * @param from m/s
 * @param to m/s
 * @param distance m
 */
export function timeRange(from: number, to: number, distance: number): readonly [number, number] {
  const ramp = (2 * distance) / (from + to);
  const hold = (speed: number) => (speed > 0 ? distance / speed : Number.POSITIVE_INFINITY);
  return [Math.min(ramp, hold(Math.max(from, to))), Math.max(ramp, hold(Math.min(from, to)))];
}

/** Most of a braking that its build-up may take, so that what is typed stays possible. */
const BUILD_UP_SHARE = 0.6;

/**
 * A braking over a given distance whose deceleration rises evenly over the build-up and then stays: points after its
 * start.
 * @param from m/s @param to m/s, below `from` @param length m @param buildUp s
 */
function braked(from: number, to: number, length: number, buildUp: number) {
  const even = (from * from - to * to) / (2 * length);
  const rise = Math.min(buildUp, BUILD_UP_SHARE * ((2 * length) / (from + to)));
  // A deceleration that comes later must be greater; the distance it takes falls steadily as it grows.
  let [low, high] = [even, 4 * even];
  const distance = (a: number) => {
    const after = from - 0.5 * a * rise;
    return from * rise - (a * rise * rise) / 6 + (after * after - to * to) / (2 * a);
  };
  for (let i = 0; i < 60 && rise > 0; i++) {
    const mid = 0.5 * (low + high);
    if (distance(mid) > length) low = mid;
    else high = mid;
  }
  const a = low;
  const points: { way: number; square: number; time: number }[] = [];
  const ramp = rise > 0 ? BUILD_UP_CELLS : 0;
  for (let k = 1; k <= ramp; k++) {
    const t = (k * rise) / ramp;
    const v = from - (a * t * t) / (2 * rise);
    points.push({ way: from * t - (a * t * t * t) / (6 * rise), square: v * v, time: t });
  }
  const [start, square] = ramp > 0 ? [points[ramp - 1].way, points[ramp - 1].square] : [0, from * from];
  const cells = BRAKING_CELLS - ramp;
  let time = rise;
  let before = Math.sqrt(square);
  for (let k = 1; k <= cells; k++) {
    const now = square + ((to * to - square) * k) / cells;
    const v = Math.sqrt(Math.max(0, now));
    time += (2 * (length - start)) / cells / (before + v);
    points.push({ way: start + ((length - start) * k) / cells, square: now, time });
    before = v;
  }
  return points;
}

/**
 * A lap from typed braking zones: in each a deceleration that rises over the build-up and then stays, and from one to the next
 * constant acceleration, or, where the time is given, a stretch at constant speed and one of constant acceleration that
 * take that time. The start line lies half-way between the last braking zone and the first.
 * @param zones at least one, in driving order, the last leading back to the first
 * @param pace share of the hot-lap forces used, 0 to 1; speeds go with its square root
 * @param buildUp time from first touch to full braking, s
 */
export function lapFromTypedZones(zones: readonly TypedZone[], pace: number, buildUp: number): DrivenLap {
  const distance: number[] = [0];
  const squares: number[] = [];
  const duration: number[] = [];
  const grade: number[] = [];
  const names: { at: number; name: string }[] = [];
  const scale = Math.sqrt(pace);

  const add = (length: number, cells: number, from: number, to: number, slope: number) => {
    if (length <= 0) return;
    const ds = length / cells;
    for (let k = 1; k <= cells; k++) {
      const a = from * from + ((to * to - from * from) * (k - 1)) / cells;
      const b = from * from + ((to * to - from * from) * k) / cells;
      distance.push(distance[distance.length - 1] + ds);
      duration.push((2 * ds) / (Math.sqrt(a) + Math.sqrt(b)));
      squares.push(b);
      grade.push(slope);
    }
  };
  const way = (zone: TypedZone, next: TypedZone): Piece[] => wayPieces(zone, next, scale);

  const last = zones[zones.length - 1];
  const [head, tail] = splitHalf(way(last, zones[0]));
  squares.push(tail[0].from ** 2);
  for (const piece of tail) add(piece.length, ROLLING_CELLS / 2, piece.from, piece.to, 0);
  zones.forEach((zone, k) => {
    const start = distance[distance.length - 1];
    let before = 0;
    for (const point of braked(zone.entrySpeed * scale, zone.exitSpeed * scale, zone.length, buildUp)) {
      distance.push(start + point.way);
      duration.push(point.time - before);
      squares.push(point.square);
      grade.push(zone.grade);
      before = point.time;
    }
    names.push({ at: distance[distance.length - 1], name: zone.name });
    const pieces = k === zones.length - 1 ? head : way(zone, zones[k + 1]);
    for (const piece of pieces) add(piece.length, ROLLING_CELLS / 2, piece.from, piece.to, 0);
  });
  return {
    distance: Float64Array.from(distance),
    speed: Float64Array.from(squares, Math.sqrt),
    grade: Float64Array.from(grade),
    duration: Float64Array.from(duration),
    nameAt: (s) => names.reduce((best, n) => (Math.abs(n.at - s) < Math.abs(best.at - s) ? n : best)).name,
  };
}

interface Piece {
  length: number;
  /** m/s */
  from: number;
  to: number;
}

function wayPieces(zone: TypedZone, next: TypedZone, scale: number): Piece[] {
  const from = zone.exitSpeed * scale;
  const to = next.entrySpeed * scale;
  const all = zone.toNext;
  const ramp = (2 * all) / (from + to);
  const wanted = zone.timeToNext === null ? ramp : zone.timeToNext / scale;
  const holdFirst = wanted > ramp ? from <= to : from > to;
  const held = holdFirst ? from : to;
  const holdTime = held > 0 ? all / held : ramp;
  const share = Math.abs(holdTime - ramp) < 1e-9 ? 0 : (wanted - ramp) / (holdTime - ramp);
  const hold = Math.min(0.999, Math.max(0, share)) * all;
  const pieces = [
    { length: hold, from: held, to: held },
    { length: all - hold, from, to },
  ];
  return (holdFirst ? pieces : pieces.reverse()).filter((p) => p.length > 0);
}

/** Splits a way at half its distance into what comes before the start line and what comes after. */
function splitHalf(pieces: Piece[]): [Piece[], Piece[]] {
  let left = pieces.reduce((sum, p) => sum + p.length, 0) / 2;
  const head: Piece[] = [];
  const tail: Piece[] = [];
  for (const piece of pieces) {
    if (left >= piece.length) {
      head.push(piece);
      left -= piece.length;
    } else if (left <= 0) tail.push(piece);
    else {
      const share = left / piece.length;
      const mid = Math.sqrt(piece.from ** 2 + share * (piece.to ** 2 - piece.from ** 2));
      head.push({ length: left, from: piece.from, to: mid });
      tail.push({ length: piece.length - left, from: mid, to: piece.to });
      left = 0;
    }
  }
  return [head, tail];
}
