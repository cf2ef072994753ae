import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { BrakedSpeeds } from './brakedSpeeds';

type Rate = (speed: number, index: number) => number;

/** v² carried on by the mean of the rates at both ends (Heun). */
function heun(speed: number, i: number, next: number, most: number, step: number, rate: Rate): number {
  const end = (rise: number) => Math.min(most, Math.sqrt(Math.max(1, speed * speed + rise * step)));
  const first = rate(speed, i);
  return end(first + rate(end(2 * first), next));
}

/** Round and round from the slowest point until nothing changes any more: what is left out nowhere. */
function everywhere(limit: Float64Array, slowest: number, direction: 1 | -1, way: Float64Array, rate: Rate) {
  const n = limit.length;
  const speed = new Float64Array(n).fill(Number.POSITIVE_INFINITY);
  speed[slowest] = limit[slowest];
  let i = slowest;
  for (let count = 0; count < 3 * n; count++) {
    const next = (i + direction + n) % n;
    const first = direction > 0 ? i : next;
    speed[next] = heun(speed[i], i, next, limit[next], way[first + 1] - way[first], rate);
    i = next;
  }
  return speed;
}

const corner = fc.record({
  length: fc.integer({ min: 1, max: 40 }),
  limit: fc.double({ min: 8, max: 75, noNaN: true }),
});
const car = fc.record({
  push: fc.double({ min: 1, max: 12, noNaN: true }),
  drag: fc.double({ min: 0, max: 0.004, noNaN: true }),
  brakes: fc.double({ min: 2, max: 18, noNaN: true }),
  weaker: fc.double({ min: 0.1, max: 1, noNaN: true }),
  step: fc.double({ min: 0.5, max: 4, noNaN: true }),
});

describe('speeds from which corners are braked for', () => {
  it('are those of a pass that leaves nothing out, to the last bit, wherever they are asked for', () => {
    let leftOut = 0;
    fc.assert(
      fc.property(fc.array(corner, { minLength: 1, maxLength: 14 }), car, (corners, own) => {
        const limit = Float64Array.from(
          corners.flatMap((each) => new Array<number>(each.length).fill(each.limit)),
        );
        // Points are not all as far apart.
        const way = new Float64Array(limit.length + 1);
        for (let i = 0; i < limit.length; i++) way[i + 1] = way[i] + own.step * (1 + (i % 3));
        const slowest = limit.indexOf(Math.min(...limit));
        const drive: Rate = (v) => own.push * (20 / Math.max(20, v)) - own.drag * v * v;
        // Brakes that can do less on one half of the way.
        const brake: Rate = (v, i) => own.brakes * (i % 50 < 25 ? 1 : own.weaker) + own.drag * v * v;
        const forward = everywhere(limit, slowest, 1, way, drive);
        const braked = new BrakedSpeeds(limit, forward, slowest, way, { deceleration: brake });
        const all = everywhere(limit, slowest, -1, way, brake);
        leftOut += braked.deciding.filter((speed) => speed === Number.POSITIVE_INFINITY).length;
        for (let i = 0; i < limit.length; i++) {
          expect(Math.min(forward[i], braked.deciding[i])).toBe(Math.min(forward[i], all[i]));
          expect(braked.at(i)).toBe(all[i]);
        }
      }),
      { numRuns: 300 },
    );
    expect(leftOut).toBeGreaterThan(1000);
  });
});
