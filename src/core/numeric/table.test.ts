import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { pointTable, pointTableAt } from './pointTable';
import {
  heldPosition,
  integralAt,
  integralInverse,
  integralTable,
  knotBefore,
  MOST_POSITION,
  TABLE_START,
  tableAt,
  tablePosition,
  uniformTable,
} from './table';

const kelvin = fc.double({ min: 120, max: 3000, noNaN: true });
const points = fc
  .uniqueArray(fc.integer({ min: -17, max: 250 }), { minLength: 1, maxLength: 8 })
  .chain((tens) =>
    fc
      .array(fc.double({ min: 50, max: 3000, noNaN: true }), {
        minLength: tens.length,
        maxLength: tens.length,
      })
      // At the common knots, which are whole tens of °C, a table is what was typed.
      .map((values) =>
        tens.sort((a, b) => a - b).map((t, i): [number, number] => [t * 10 + 273.15, values[i]]),
      ),
  );

describe('tables over temperature', () => {
  it('of friction keep each point where it was typed, also between whole tens', () => {
    fc.assert(
      fc.property(points, fc.double({ min: -9, max: 9, noNaN: true }), (typed, shift) => {
        const moved = typed.map(([t, value]): [number, number] => [t + shift, value]);
        const table = pointTable(moved);
        moved.forEach(([t, value], i) => {
          expect(pointTableAt(table, t)).toBeCloseTo(value, 9);
          if (i === 0) expect(pointTableAt(table, t - 50)).toBe(value);
          else {
            const [t0, v0] = moved[i - 1];
            expect(pointTableAt(table, 0.5 * (t0 + t))).toBeCloseTo(0.5 * (v0 + value), 8);
          }
        });
      }),
    );
  });

  it('hold their points, are linear between them and constant outside', () => {
    fc.assert(
      fc.property(points, kelvin, (typed, t) => {
        const table = uniformTable(typed);
        for (const [at, value] of typed) expect(tableAt(table, at)).toBeCloseTo(value, 6);
        const next = typed.findIndex(([at]) => at > t);
        if (next === 0) expect(tableAt(table, t)).toBeCloseTo(typed[0][1], 6);
        else if (next < 0) expect(tableAt(table, t)).toBeCloseTo(typed[typed.length - 1][1], 6);
        else {
          const [[t0, v0], [t1, v1]] = [typed[next - 1], typed[next]];
          expect(tableAt(table, t)).toBeCloseTo(v0 + ((v1 - v0) * (t - t0)) / (t1 - t0), 5);
        }
      }),
    );
  });

  it('integrate a straight line as its formula does: a·T + b·T²/2', () => {
    const table = uniformTable([
      [TABLE_START, 300],
      [TABLE_START + 3000, 300 + 0.2 * 3000],
    ]);
    const sums = integralTable(table);
    const formula = (t: number) => 300 * (t - TABLE_START) + 0.1 * (t - TABLE_START) ** 2;
    fc.assert(
      fc.property(kelvin, (t) => {
        expect(integralAt(table, sums, t) / formula(t)).toBeCloseTo(1, 9);
      }),
    );
  });

  it('give back the temperature of a heat, whatever the table', () => {
    fc.assert(
      fc.property(points, kelvin, fc.double({ min: -30, max: 30, noNaN: true }), (typed, t, miss) => {
        const table = uniformTable(typed);
        const sums = integralTable(table);
        const found = integralInverse(table, sums, integralAt(table, sums, t), t + miss, 60);
        expect(Math.abs(integralAt(table, sums, found) / integralAt(table, sums, t) - 1)).toBeLessThan(1e-6);
      }),
    );
  });

  it('find the knot before any place without a branch, on a knot too, and hold what is outside or no number', () => {
    const values = uniformTable(
      Array.from({ length: 40 }, (_, i) => [273.15 + 10 * i, (7 * i) % 11] as const),
    );
    const at = (position: number) => {
      const knot = knotBefore(position);
      return values[knot] + (position - knot) * (values[knot + 1] - values[knot]);
    };
    for (let i = 0; i <= MOST_POSITION; i++) {
      expect(at(i)).toBe(values[i]);
      for (const share of [1e-9, 0.25, 0.5, 0.75, 1 - 1e-9]) {
        expect(knotBefore(i + share)).toBe(i);
        expect(at(i + share)).toBeCloseTo(values[i] + share * (values[i + 1] - values[i]), 9);
      }
    }
    expect([-3, -0, Number.NaN, 12.5, 1e9, MOST_POSITION].map(heldPosition)).toEqual([
      0,
      0,
      0,
      12.5,
      MOST_POSITION,
      MOST_POSITION,
    ]);
    expect(tablePosition(TABLE_START + 123)).toBeCloseTo(12.3, 12);
  });

  it('refuse temperatures that do not rise, by number', () => {
    expect(() =>
      uniformTable([
        [300, 1],
        [400, 2],
        [400, 3],
      ]),
    ).toThrow('temperatures must rise, point 2');
    expect(() => uniformTable([])).toThrow('at least one point');
  });
});
