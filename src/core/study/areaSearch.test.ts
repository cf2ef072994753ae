import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { AreaSearch, LARGEST_DUCT } from './areaSearch';

/** Margins over a wish that rise and flatten with the area, as computed days do: bare, then up to `gain` more. */
const axle = fc.record({
  bare: fc.double({ min: -300, max: 60, noNaN: true }),
  gain: fc.double({ min: 1, max: 400, noNaN: true }),
  /** Area at which half of the gain is there, m² */
  half: fc.double({ min: 0.0008, max: 0.02, noNaN: true }),
  /** How sharply it bends */
  power: fc.double({ min: 0.7, max: 1.6, noNaN: true }),
});
type Axle = typeof axle extends fc.Arbitrary<infer T> ? T : never;
const marginOf = ({ bare, gain, half, power }: Axle, area: number) => {
  const x = area ** power;
  return bare + (gain * x) / (x + half ** power);
};

/** Searches for the area, and says where it ended and after how many looks. */
function searched(of: (area: number) => number, most = 30): { area: number; left: number; looks: number } {
  const search = new AreaSearch(of(0), of(LARGEST_DUCT));
  for (let looks = 1; ; looks++) {
    const { area } = search;
    const left = of(area);
    if (search.take(left) || looks === most) return { area, left, looks };
  }
}

describe('the search for a duct', () => {
  it('ends where the wish is met, without a duct where none is needed, at the largest where none does', () => {
    fc.assert(
      fc.property(axle, (shape) => {
        const of = (area: number) => marginOf(shape, area);
        const { area, left, looks } = searched(of);
        if (of(0) >= 0) expect(area).toBe(0);
        else if (of(LARGEST_DUCT) < 0) expect(area).toBe(LARGEST_DUCT);
        // Close to one end it may stop on it: a duct of less than a square centimetre is none.
        else if (area === 0) expect(left).toBeGreaterThan(-0.25);
        else expect(Math.abs(left)).toBeLessThanOrEqual(0.25);
        expect(looks).toBeLessThanOrEqual(12);
      }),
      { numRuns: 500 },
    );
  });

  it('needs no more than eight looks for what a brake does', () => {
    // Half of the gain at 10 to 120 cm², as with the demo's cars.
    const likely = fc.record({
      bare: fc.double({ min: -120, max: -2, noNaN: true }),
      gain: fc.double({ min: 150, max: 300, noNaN: true }),
      half: fc.double({ min: 0.001, max: 0.012, noNaN: true }),
      power: fc.double({ min: 0.9, max: 1.2, noNaN: true }),
    });
    const reachable = likely.filter((shape) => marginOf(shape, LARGEST_DUCT) > 0);
    fc.assert(
      fc.property(reachable, (shape) => {
        const { left, looks } = searched((area) => marginOf(shape, area));
        expect(looks).toBeLessThanOrEqual(8);
        expect(Math.abs(left)).toBeLessThanOrEqual(0.25);
      }),
      { numRuns: 500 },
    );
  });

  it('still ends where the other axle’s duct moves the answer meanwhile', () => {
    fc.assert(
      fc.property(
        axle.filter((shape) => shape.bare < -5 && marginOf(shape, LARGEST_DUCT) > 30),
        fc.double({ min: -3, max: 3, noNaN: true }),
        (shape, pull) => {
          let looked = 0;
          // What the other axle takes over settles as its own search does.
          const of = (area: number) => marginOf(shape, area) + pull * 0.4 ** looked++;
          const { left } = searched(of);
          expect(Math.abs(left)).toBeLessThan(1);
        },
      ),
      { numRuns: 300 },
    );
  });
});
