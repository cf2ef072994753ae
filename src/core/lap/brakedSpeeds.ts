import { OWN_ROOM, type Room } from '../numeric';

/** What brakes along a line. */
export interface Braking {
  /** Deceleration at a speed, m/s, at a point, m/s² */
  deceleration(speed: number, i: number): number;
}

/**
 * Speeds from which a lap is braked down to each of its corners, found backwards from them. On the way out of a corner full
 * power decides, and braking is left out until the next point where the corners do: from there it starts anew, since what
 * brakes down to a later corner is never slower there than full power is.
 */
export class BrakedSpeeds {
  /** At each point, m/s; infinite where it was left out, because full power decides there. n */
  readonly deciding: Float64Array;

  /**
   * @param limit corner speeds, m/s; n
   * @param forward speeds with full power out of each corner, m/s; n
   * @param slowest point of the lowest corner speed
   * @param distance of the points, m; n + 1
   * @param braking what brakes
   * @param room where they lie
   */
  constructor(
    private readonly limit: Float64Array,
    forward: Float64Array,
    slowest: number,
    private readonly distance: Float64Array,
    private readonly braking: Braking,
    room: Room = OWN_ROOM,
  ) {
    const n = limit.length;
    const speed = room.floats(n).fill(Number.POSITIVE_INFINITY);
    this.deciding = speed;
    speed[slowest] = limit[slowest];
    let i = slowest;
    // Twice round, so that the seam closes on itself.
    for (let count = 0; count < 2 * n; count++) {
      const before = i > 0 ? i - 1 : n - 1;
      if (speed[i] > forward[i]) {
        if (count >= n) break;
        i = before;
        speed[i] = i === slowest || forward[i] === limit[i] ? limit[i] : Number.POSITIVE_INFINITY;
        continue;
      }
      const reached = this.before(speed[i], i, before);
      // Once the second time round meets the first, the rest would only be repeated.
      if (count >= n && Math.abs(reached - speed[before]) < 1e-12 * reached) break;
      speed[before] = reached;
      i = before;
    }
  }

  /** Speed at a point, m/s, also where it decides nothing. */
  at(i: number): number {
    const { deciding, limit } = this;
    if (deciding[i] < Number.POSITIVE_INFINITY) return deciding[i];
    const n = limit.length;
    let from = i;
    while (deciding[from] === Number.POSITIVE_INFINITY) from = from + 1 < n ? from + 1 : 0;
    let speed = deciding[from];
    while (from !== i) {
      const before = from > 0 ? from - 1 : n - 1;
      speed = this.before(speed, from, before);
      from = before;
    }
    return speed;
  }

  /**
   * Speed at the point before one, m/s: v² carried on by the mean of the decelerations at both (Heun). Both ask from one
   * place, so that what they ask for is written into the loop.
   */
  private before(speed: number, i: number, before: number): number {
    const { limit, distance, braking } = this;
    const step = distance[before + 1] - distance[before];
    const square = speed * speed;
    let reached = speed;
    let at = i;
    let sum = 0;
    for (let stage = 2; stage > 0; stage--) {
      sum += braking.deceleration(reached, at);
      reached = Math.min(limit[before], Math.sqrt(Math.max(1, square + stage * sum * step)));
      at = before;
    }
    return reached;
  }
}
