import { heun } from './heun';

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
   * @param step between points, m
   * @param deceleration of speed, m/s, and point, m/s²
   */
  constructor(
    private readonly limit: Float64Array,
    forward: Float64Array,
    slowest: number,
    private readonly step: number,
    private readonly deceleration: (speed: number, index: number) => number,
  ) {
    const n = limit.length;
    const speed = new Float64Array(n).fill(Number.POSITIVE_INFINITY);
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
      const reached = heun(speed[i], i, before, limit[before], step, deceleration);
      // Once the second time round meets the first, the rest would only be repeated.
      if (count >= n && Math.abs(reached - speed[before]) < 1e-12 * reached) break;
      speed[before] = reached;
      i = before;
    }
  }

  /** Speed at a point, m/s, also where it decides nothing. */
  at(i: number): number {
    const { deciding, limit, step, deceleration } = this;
    if (deciding[i] < Number.POSITIVE_INFINITY) return deciding[i];
    const n = limit.length;
    let from = i;
    while (deciding[from] === Number.POSITIVE_INFINITY) from = from + 1 < n ? from + 1 : 0;
    let speed = deciding[from];
    while (from !== i) {
      const before = from > 0 ? from - 1 : n - 1;
      speed = heun(speed, from, before, limit[before], step, deceleration);
      from = before;
    }
    return speed;
  }
}
