import { scaleLinear } from 'd3-scale';
import fc from 'fast-check';
import { expect, it } from 'vitest';
import { linearScale, niceScale } from './linearScale';

/** Reference: d3-scale, whose size the first page is spared. */
it('lays, inverts, ticks and rounds as the reference does', () => {
  const end = fc.integer({ min: -1_000_000, max: 1_000_000 }).map((n) => n / 1000);
  fc.assert(
    fc.property(end, end, end, end, end, fc.integer({ min: 2, max: 20 }), (a, b, c, d, value, count) => {
      const [domain, range]: [number, number][] = [
        [a, b],
        [c, d],
      ];
      fc.pre(a !== b && c !== d);
      const reference = scaleLinear(domain, range);
      const scale = linearScale(domain, range);
      const near = (own: number, theirs: number, size: number) =>
        expect(Math.abs(own - theirs)).toBeLessThanOrEqual(1e-9 * size);
      near(scale(value), reference(value), 1 + Math.abs(reference(value)) + Math.abs(c) + Math.abs(d));
      near(scale.invert(c), a, 1 + Math.abs(a) + Math.abs(b));
      near(scale.invert(d), b, 1 + Math.abs(a) + Math.abs(b));
      expect(scale.ticks(count)).toEqual(reference.ticks(count));
      const up: [number, number] = [Math.min(a, b), Math.max(a, b)];
      const round = scaleLinear(up, range).nice(count);
      expect(niceScale(up, range, count).ticks(count)).toEqual(round.ticks(count));
    }),
  );
  expect(linearScale([3, 3], [10, 20])(7)).toBe(15);
});
