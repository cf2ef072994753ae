import type { BrakedSpeeds, Braking } from './brakedSpeeds';
import { type Forces, resistance } from './forces';
import type { WindyLine } from './wind';

/** A place between two points of a line where a lap has a point too: where a braking begins or builds up. */
export interface PointBetween {
  /** The point of the line before it */
  readonly after: number;
  /** How much of the way to the next point lies before it, 0 to 1 */
  readonly share: number;
  /** m/s */
  readonly speed: number;
}

/** A build-up has a point at least every so manieth part of it. */
const PARTS = 8;

/** Turns of false position in which the start is sought between two points. */
const TURNS = 2;

/**
 * Where each braking of a lap begins. The deceleration rises from coasting to full over the build-up time, so that the driver
 * starts earlier: the start is sought such that the speed meets the full-braking curve where the build-up ends. Without one
 * it is where the two curves cross. Changes `speed` in place.
 * @param speed the slower of full power and full braking at each point, m/s; n
 * @param forward speeds with full power out of each corner, m/s; n
 * @returns the points that brakings have between those of the line, in driving order
 */
export function beginBrakings(
  speed: Float64Array,
  forward: Float64Array,
  braked: BrakedSpeeds,
  line: WindyLine,
  forces: Forces,
  buildUp: number,
  braking: Braking,
): PointBetween[] {
  const n = forward.length;
  const ramps = new Ramps(forward, braked, line, forces, buildUp, braking);
  const points: PointBetween[] = [];
  for (let onset = 0; onset < n; onset++) {
    const before = onset > 0 ? onset - 1 : n - 1;
    if (!(braked.deciding[onset] < forward[onset] && braked.deciding[before] >= forward[before])) continue;
    if (buildUp > 0 && ramps.meet(onset)) points.push(...ramps.write(speed));
    else points.push(crossing(forward, braked, before, onset));
  }
  return points
    .filter(({ share }) => share > LEAST_SHARE && share < 1 - LEAST_SHARE)
    .sort((a, b) => a.after + a.share - (b.after + b.share));
}

/** A place closer to a point than this lies on it. */
const LEAST_SHARE = 1e-6;
/** Speeds that differ by less are the same. */
const SAME = 1e-4;

/** Where full power meets full braking, both v² being lines from one point to the next. */
function crossing(forward: Float64Array, braked: BrakedSpeeds, after: number, next: number): PointBetween {
  const over = braked.at(after) ** 2 - forward[after] ** 2;
  const under = forward[next] ** 2 - braked.deciding[next] ** 2;
  const share = over / (over + under);
  return { after, share, speed: between(forward, after, next, share) };
}

/** Speed between two points, v² being a line, m/s. */
const between = (speed: Float64Array, after: number, next: number, share: number): number =>
  Math.sqrt((1 - share) * speed[after] ** 2 + share * speed[next] ** 2);

/** Brakings that begin gradually. */
class Ramps {
  /** Places of the build-up that was driven last, its start the first, and v² there, m²/s² */
  private readonly after: number[] = [];
  private readonly share: number[] = [];
  private readonly square: number[] = [];

  constructor(
    private readonly forward: Float64Array,
    private readonly braked: BrakedSpeeds,
    private readonly line: WindyLine,
    private readonly forces: Forces,
    private readonly buildUp: number,
    private readonly braking: Braking,
  ) {}

  /**
   * Drives the build-up that meets the braking curve.
   * @param onset first point at which full braking decides
   * @returns whether there is room for one
   */
  meet(onset: number): boolean {
    const { forward, braked } = this;
    const n = forward.length;
    const farthest = this.buildUp * forward[onset];
    let late = this.excess(onset, 0);
    // What holds the car back anyway may be enough.
    if (late <= 0) return true;
    let way = 0;
    for (let start = onset; ; ) {
      const after = start > 0 ? start - 1 : n - 1;
      const step = this.stepAfter(after);
      // The way back may lead into the braking before.
      if (way > farthest + 2 * step || braked.deciding[after] < forward[after]) return false;
      const early = this.excess(after, 0);
      if (early <= 0) {
        this.seek(after, early, late);
        return true;
      }
      late = early;
      start = after;
      way += step;
    }
  }

  /**
   * The points of the build-up that was driven last; those of the line are written. Where it leads above the speeds there
   * are it is left.
   * @param speed m/s; n
   */
  write(speed: Float64Array): PointBetween[] {
    const { after, share, square } = this;
    const points: PointBetween[] = [];
    let kept = 0;
    for (let k = 0; k < after.length; k++) {
      const v = Math.sqrt(square[k]);
      if (share[k] > 0) {
        points.push({ after: after[k], share: share[k], speed: v });
        continue;
      }
      if (v > speed[after[k]] * (1 + SAME)) break;
      speed[after[k]] = Math.min(speed[after[k]], v);
      kept = points.length;
    }
    return points.slice(0, kept);
  }

  /** Drives the build-up between two points of which the first is too early and the next too late, by false position. */
  private seek(after: number, early: number, late: number): void {
    let [low, high] = [0, 1];
    let [under, over] = [early, late];
    for (let turn = 0; turn < TURNS; turn++) {
      const share = low - (under * (high - low)) / (over - under);
      const excess = this.excess(after, share);
      if (excess > 0) [high, over] = [share, excess];
      else [low, under] = [share, excess];
    }
  }

  /**
   * Drives a build-up.
   * @param from point before its start @param share of the way to the next one that lies before the start
   * @returns v² above the full-braking curve where it ends, m²/s²
   */
  private excess(from: number, share: number): number {
    const { forward, buildUp } = this;
    const n = forward.length;
    let i = from;
    let at = share;
    let time = 0;
    let square = between(forward, i, i + 1 < n ? i + 1 : 0, share) ** 2;
    this.begin(i, at, square);
    while (time < buildUp) {
      const whole = this.stepAfter(i);
      const left = (1 - at) * whole;
      const parts = Math.max(1, Math.ceil((left * PARTS) / (Math.sqrt(square) * buildUp)));
      const begun = at;
      for (let part = 1; part <= parts; part++) {
        const step = left / parts;
        const end = time + step / Math.sqrt(square);
        square = this.slower(square, i, step, meanShare(time, end, buildUp));
        time = end;
        at = begun + ((1 - begun) * part) / parts;
        if (part < parts) this.put(i, at, square);
      }
      i = i + 1 < n ? i + 1 : 0;
      at = 0;
      this.put(i, at, square);
    }
    return square - this.braked.at(i) ** 2;
  }

  /** v² after a step, m²/s². @param i point before it @param share of full braking */
  private slower(square: number, i: number, step: number, share: number): number {
    const { line, forces, braking } = this;
    const v = Math.sqrt(square);
    const full = braking.deceleration(v, i);
    const held = resistance(forces, v + (line.headwind?.[i] ?? 0), line.grade[i]);
    const coast = Math.max(0, held / (forces.mass * forces.inertia));
    return Math.max(1, square - 2 * (coast + (full - coast) * share) * step);
  }

  private begin(after: number, share: number, square: number): void {
    for (const values of [this.after, this.share, this.square]) values.length = 0;
    this.put(after, share, square);
  }

  private put(after: number, share: number, square: number): void {
    this.after.push(after);
    this.share.push(share);
    this.square.push(square);
  }

  private stepAfter(i: number): number {
    return this.line.distance[i + 1] - this.line.distance[i];
  }
}

/** Mean over a time of a share that rises evenly to 1 while the build-up lasts. @param from s @param to s */
function meanShare(from: number, to: number, buildUp: number): number {
  if (from >= buildUp) return 1;
  const end = Math.min(to, buildUp);
  return (0.5 * (end * end - from * from)) / buildUp / (to - from) + (to - end) / (to - from);
}
