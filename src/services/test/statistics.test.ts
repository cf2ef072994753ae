import { permutationTest } from 'simple-statistics';
import { describe, expect, it } from 'vitest';
import { recordFigure } from '../../../tests/support/validation';
import { randomNumbers } from '../../core';
import {
  leastPermutation,
  neededFor,
  outliers,
  permutation,
  powerOf,
  sampleOf,
  shownBy,
  trendOf,
  welch,
} from './statistics';

/** Extra hours of sleep with two drugs. Student 1908, Biometrika 6, The probable error of a mean. */
const FIRST = [0.7, -1.6, -0.2, -1.2, -0.1, 3.4, 3.7, 0.8, 0, 2];
const SECOND = [1.9, 0.8, 1.1, 0.1, -0.1, 4.4, 5.5, 1.6, 4.6, 3.4];
/** Survival of mice, days. Efron and Tibshirani 1993, An Introduction to the Bootstrap, table 2.1. */
const TREATED = [94, 197, 16, 38, 99, 141, 23];
const CONTROL = [52, 104, 146, 10, 51, 30, 40, 27, 46];

describe('Welch’s test', () => {
  it('of Student’s sleep data is as published: t 1.8608, 17.776 degrees of freedom, p 0.0794, −0.205 to 3.365', () => {
    const test = welch(FIRST, SECOND);
    expect(test?.t).toBeCloseTo(1.8608, 4);
    expect(test?.freedom).toBeCloseTo(17.776, 3);
    expect(test?.p).toBeCloseTo(0.07939, 5);
    expect(test?.interval[0]).toBeCloseTo(-0.2054832, 6);
    expect(test?.interval[1]).toBeCloseTo(3.3654832, 6);
    recordFigure({
      id: 'Welch',
      what: 'p of Student’s sleep data',
      expected: '0.07939',
      computed: test?.p ?? 0,
      unit: '',
      source: 'Student 1908; worked in the manual of R, t.test',
    });
  });

  it('has an interval that covers the truth in 95 of 100 cases, whatever the scatters', () => {
    const random = randomNumbers(3);
    for (const [n, m, spread] of [
      [5, 5, 1],
      [4, 8, 3],
      [10, 6, 0.4],
    ]) {
      let inside = 0;
      const cases = 1200;
      for (let k = 0; k < cases; k++) {
        const a = Array.from({ length: n }, () => 40 + random.normal());
        const b = Array.from({ length: m }, () => 42 + spread * random.normal());
        const [low, high] = welch(a, b)?.interval ?? [0, 0];
        if (low <= 2 && high >= 2) inside += 1;
      }
      expect(inside / cases).toBeGreaterThan(0.93);
      expect(inside / cases).toBeLessThan(0.975);
    }
  });

  it('says nothing of one value, or of values without scatter', () => {
    expect(welch([1], [2, 3])).toBeNull();
    expect(welch([1, 1], [2, 2])).toBeNull();
    expect(sampleOf([7])).toEqual({ count: 1, mean: 7, deviation: null });
  });
});

describe('the permutation test', () => {
  it('tries every way: all of one over all of the other is 2 of C(2n, n)', () => {
    expect(permutation([1, 2, 3], [7, 8, 9])).toBeCloseTo(0.1, 12);
    expect(permutation([7, 8, 9, 10], [1, 2, 3, 4])).toBeCloseTo(2 / 70, 12);
    expect(permutation([1, 2], [1, 2])).toBe(1);
    expect([leastPermutation(3, 3), leastPermutation(4, 4)]).toEqual([2 / 20, 2 / 70]);
  });

  it('of the mice agrees with a second package’s random dealing (Efron and Tibshirani)', () => {
    const exact = permutation(CONTROL, TREATED);
    const dealt = permutationTest(TREATED, CONTROL, 'two_side', 20_000, randomNumbers(9).next);
    expect(Math.abs(exact - dealt)).toBeLessThan(0.01);
    const oneSided = permutationTest(TREATED, CONTROL, 'greater', 20_000, randomNumbers(9).next);
    // Published: 0.132 of 1000 dealings, one side.
    expect(Math.abs(oneSided - 0.132)).toBeLessThan(0.03);
    recordFigure({
      id: 'permutation',
      what: 'p of the mouse data, both sides, every way tried',
      expected: `about ${dealt.toFixed(3)}`,
      computed: exact,
      unit: '',
      source: 'Efron and Tibshirani 1993; npm simple-statistics',
    });
  });

  it('deals at random where there are too many ways, and repeats itself', () => {
    const random = randomNumbers(5);
    const a = Array.from({ length: 14 }, () => random.normal());
    const b = Array.from({ length: 14 }, () => 0.9 + random.normal());
    expect(permutation(a, b)).toBe(permutation(a, b));
    expect(Math.abs(permutation(a, b) - (welch(a, b)?.p ?? 0))).toBeLessThan(0.02);
  });
});

describe('how many runs show a difference', () => {
  it('is Cohen’s table: 17, 26 and 64 of each for 1, 0.8 and 0.5 standard deviations at 80 %', () => {
    expect([1, 0.8, 0.5].map((d) => neededFor(d, 1))).toEqual([17, 26, 64]);
    expect(powerOf(1, 1, 20)).toBeCloseTo(0.86895, 4);
    recordFigure({
      id: 'Cohen',
      what: 'Runs of each that show one standard deviation',
      expected: '17',
      computed: neededFor(1, 1) ?? 0,
      unit: 'runs',
      source: 'Cohen 1988, Statistical Power Analysis, table 2.4.1',
    });
  });

  it('and the least difference that so many show belong together', () => {
    for (const count of [2, 3, 8, 40]) {
      const least = shownBy(count, 2.5) ?? 0;
      expect(powerOf(least, 2.5, count)).toBeCloseTo(0.8, 6);
      expect(neededFor(least * 1.0001, 2.5)).toBe(count);
    }
    expect(shownBy(1, 2)).toBeNull();
    expect(neededFor(0.001, 1)).toBeNull();
    // Three runs that scatter by 1.2 m cannot show 2 m; so many can.
    expect(shownBy(3, 1.2)).toBeGreaterThan(2);
    expect(neededFor(2, 1.2)).toBe(7);
  });
});

describe('trend and outliers', () => {
  it('a line’s slope and its interval are those of the least squares', () => {
    const trend = trendOf([1, 2, 3, 4, 5], [10, 12.1, 13.9, 16.2, 17.8]);
    expect(trend?.slope).toBeCloseTo(1.97, 10);
    expect(trend?.start).toBeCloseTo(8.09, 10);
    // s² = 0.091/3 over Sxx = 10, t(0.975, 3) = 3.182446.
    expect((trend?.interval?.[1] ?? 0) - 1.97).toBeCloseTo(3.182446 * Math.sqrt(0.091 / 3 / 10), 5);
    expect(trendOf([1, 2], [5, 9])).toEqual({ slope: 4, start: 1, interval: null });
    expect(trendOf([3, 3], [5, 9])).toBeNull();
  });

  it('a value off the line of the others is marked, a line that climbs is not', () => {
    const places = [1, 2, 3, 4, 5, 6];
    expect(outliers(places, [40, 41.1, 41.9, 43, 44.2, 45])).toEqual(places.map(() => false));
    expect(outliers(places, [40, 41.1, 41.9, 50, 44.2, 45])).toEqual([
      false,
      false,
      false,
      true,
      false,
      false,
    ]);
    expect(outliers([1, 2, 3], [40, 41, 90])).toEqual([false, false, false]);
    expect(
      outliers(
        places,
        places.map(() => 40),
      ),
    ).toEqual(places.map(() => false));
  });
});
