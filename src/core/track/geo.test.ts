import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { localPlane } from './localPlane';

const place = fc.record({
  latitude: fc.double({ min: -75, max: 75, noNaN: true }),
  longitude: fc.double({ min: -180, max: 180, noNaN: true }),
});
/** Metres from the middle of a circuit. */
const metres = fc.double({ min: -4000, max: 4000, noNaN: true });
const distance = ([ax, ay]: readonly [number, number], [bx, by]: readonly [number, number]) =>
  Math.hypot(bx - ax, by - ay);

describe('the plane a circuit is drawn on', () => {
  it('goes to degrees and back without losing a micrometre, anywhere', () => {
    fc.assert(
      fc.property(place, metres, metres, (origin, x, y) => {
        const plane = localPlane(origin);
        const { latitude, longitude } = plane.toEarth(x, y);
        const back = plane.toPlane(latitude, longitude);
        expect(distance(back, [x, y])).toBeLessThan(1e-6);
        expect(Math.abs(longitude)).toBeLessThanOrEqual(180);
        expect(distance(plane.toPlane(origin.latitude, origin.longitude), [0, 0])).toBe(0);
      }),
    );
  });

  it('has north up and east to the right, with a minute of latitude about a nautical mile', () => {
    fc.assert(
      fc.property(place, (origin) => {
        const plane = localPlane(origin);
        const [x, y] = plane.toPlane(origin.latitude + 1 / 60, origin.longitude);
        expect(Math.abs(x)).toBeLessThan(0.01);
        // 1842.9 m at the equator to 1861.6 m at the poles (from memory).
        expect(y).toBeGreaterThan(1842);
        expect(y).toBeLessThan(1862.5);
        const [east] = plane.toPlane(origin.latitude, origin.longitude + 0.01);
        expect(east).toBeGreaterThan(0);
      }),
    );
  });

  it('laid about either of two places gives the same distance between points near both', () => {
    fc.assert(
      fc.property(place, metres, metres, metres, metres, (origin, ax, ay, bx, by) => {
        const plane = localPlane(origin);
        const [a, b] = [plane.toEarth(ax, ay), plane.toEarth(bx, by)];
        const other = localPlane(b);
        const there = distance(
          other.toPlane(a.latitude, a.longitude),
          other.toPlane(b.latitude, b.longitude),
        );
        const here = distance([ax, ay], [bx, by]);
        // A chord seen flat from four kilometres away is shorter by its tilt squared: under a millimetre a kilometre.
        expect(Math.abs(there - here)).toBeLessThan(1e-6 * here + 1e-6);
      }),
    );
  });

  it('crosses the date line without a jump', () => {
    const plane = localPlane({ latitude: -41, longitude: 179.999 });
    const [x] = plane.toPlane(-41, -179.999);
    expect(x).toBeGreaterThan(0);
    expect(x).toBeLessThan(200);
  });

  it.each([
    [90, 0],
    [-95, 10],
    [Number.NaN, 0],
    [10, 181],
    [10, Number.NaN],
  ])('refuses %f, %f, which is no place for a circuit', (latitude, longitude) => {
    expect(() => localPlane({ latitude, longitude })).toThrow(RangeError);
  });
});
