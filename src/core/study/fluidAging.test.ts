import { describe, expect, it } from 'vitest';
import { boilingPoint, waterAfter, waterFromBoiling, waterLater } from '../brake';
import { type FluidEvent, fluidAging } from './fluidAging';

const MONTH = (365.25 * 86400) / 12;
// DOT 4, minimum by standard: 49 CFR 571.116.
const dot4 = { dry: 503.15, wet: 428.15, freeWater: false };

describe('fluid as it ages', () => {
  it('takes up water in two goes as in one, and its boiling point tells its water', () => {
    for (const firstYear of [1, 2, 3.7]) {
      const half = waterAfter(7 * MONTH, firstYear);
      expect(waterLater(half, 11 * MONTH, firstYear)).toBeCloseTo(waterAfter(18 * MONTH, firstYear), 12);
    }
    for (const water of [0, 0.7, 2, 3.7, 5]) {
      expect(waterFromBoiling(dot4, boilingPoint(dot4, water))).toBeCloseTo(water, 9);
    }
    expect(waterFromBoiling(dot4, 520)).toBe(0);
  });

  it('passes through what a boil test measured, whatever age says, and goes on from there', () => {
    const at = 14 * MONTH;
    for (const boiling of [430, 450, 480, 503.15]) {
      const aging = fluidAging(dot4, 2, 0, [{ kind: 'boil test', at, boiling }]);
      const { low, median, high } = aging.boilingAt(at);
      for (const value of [low, median, high]) expect(value).toBeCloseTo(boiling, 6);
      expect(aging.boilingAt(at + 6 * MONTH).median).toBeLessThan(boiling);
      expect(aging.boilingAt(at + 6 * MONTH).low).toBeLessThan(aging.boilingAt(at + 6 * MONTH).high);
    }
  });

  it('is new again when renewed, partly when bled, and never the later for a wetter climate', () => {
    const renewed = fluidAging(dot4, 2, 0, [{ kind: 'renewed', at: 10 * MONTH }]);
    expect(renewed.boilingAt(10 * MONTH).low).toBeCloseTo(dot4.dry, 9);
    const bled = (share: number) => fluidAging(dot4, 2, 0, [{ kind: 'bled', at: 10 * MONTH, share }]);
    const water = (share: number) => bled(share).waterAt(10 * MONTH).median;
    expect(water(0.5)).toBeCloseTo(0.5 * water(0), 9);
    const events: FluidEvent[] = [
      { kind: 'bled', at: 4 * MONTH, share: 0.4 },
      { kind: 'refractometer', at: 9 * MONTH, water: 1.6 },
    ];
    for (const boiling of [440, 460, 480]) {
      let before = {
        low: Number.POSITIVE_INFINITY,
        median: Number.POSITIVE_INFINITY,
        high: Number.POSITIVE_INFINITY,
      };
      for (const firstYear of [0.8, 1.4, 2, 2.8, 3.7]) {
        const found = fluidAging(dot4, firstYear, 0, events.slice(0, 1)).fallsTo(
          boiling,
          5 * MONTH,
          60 * MONTH,
        );
        for (const end of ['low', 'median', 'high'] as const)
          expect(found[end]).toBeLessThanOrEqual(before[end]);
        before = found;
      }
    }
  });

  it('learns the climate from a refractometer: much water says that the next year brings much', () => {
    const at = 12 * MONTH;
    const of = (water: number) => fluidAging(dot4, 2, 0, [{ kind: 'refractometer', at, water }]);
    expect(of(3).waterAt(24 * MONTH).median).toBeGreaterThan(of(1.2).waterAt(24 * MONTH).median + 0.5);
    // Known better than before it was read.
    const width = ({ low, high }: { low: number; high: number }) => high - low;
    expect(width(of(2).waterAt(24 * MONTH))).toBeLessThan(
      width(fluidAging(dot4, 2, 0, []).waterAt(24 * MONTH)),
    );
  });

  it('says the time it falls to a temperature as its own curve does, at once where it has, never where it does not', () => {
    const aging = fluidAging(dot4, 2, 0, []);
    const { median } = aging.fallsTo(460, 0, 60 * MONTH);
    expect(aging.boilingAt(median).median).toBeCloseTo(460, 1);
    expect(aging.fallsTo(600, MONTH, 60 * MONTH)).toEqual({ low: MONTH, median: MONTH, high: MONTH });
    expect(aging.fallsTo(400, 0, 60 * MONTH).low).toBe(Number.POSITIVE_INFINITY);
  });
});
