import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readTyped } from './typed';
import { formatQuantity, METRIC, QUANTITIES, type Quantity, toShown, US } from './units';

const stored = (text: string, quantity: Quantity, choice = METRIC) => {
  const read = readTyped(text, quantity, choice);
  return read.kind === 'value' ? read.stored : read.kind;
};

describe('a number as it is typed', () => {
  it('takes the unit behind it, whatever unit is shown', () => {
    for (const choice of [METRIC, US]) {
      expect(stored('1340 kg', 'mass', choice)).toBe(1340);
      expect(stored('2954.2 lb', 'mass', choice)).toBeCloseTo(1340, 1);
      // 745.699872 W a horsepower; 25.4 mm an inch, 0.3048 m a foot, 1609.344 m a mile, 0.45359237 kg a pound: by definition.
      expect(stored('200 hp', 'power', choice)).toBeCloseTo(149.14, 2);
      expect(stored('200PS', 'power', choice)).toBeCloseTo(147.1, 1);
      expect(stored('12.3 in', 'smallLength', choice)).toBeCloseTo(312.42, 9);
      expect(stored('12.3"', 'smallLength', choice)).toBeCloseTo(312.42, 9);
      expect(stored('31,2 cm', 'smallLength', choice)).toBeCloseTo(312, 9);
      expect(stored('5280 ft', 'distance', choice)).toBeCloseTo(1609.344, 9);
      expect(stored('60 mph', 'speed', choice)).toBeCloseTo(96.56064, 9);
      expect(stored('10 m/s', 'speed', choice)).toBeCloseTo(36, 9);
      expect(stored('392 °F', 'temperature', choice)).toBeCloseTo(200, 9);
      expect(stored('473.15K', 'temperature', choice)).toBeCloseTo(200, 9);
      expect(stored('36 F', 'difference', choice)).toBeCloseTo(20, 9);
      expect(stored('1 g', 'deceleration', choice)).toBe(9.80665);
      expect(stored('15 psi', 'pressure', choice)).toBeCloseTo(1.0342, 4);
      expect(stored('0.5 l', 'volume', choice)).toBe(500);
      expect(stored('1.5 years', 'months', choice)).toBe(18);
      expect(stored('45 %', 'percent', choice)).toBe(45);
    }
    expect(stored('100', 'temperature', US)).toBeCloseTo(37.7778, 4);
  });

  it('comes back from how any quantity is written, in either system', () => {
    const quantities = Object.keys(QUANTITIES) as Quantity[];
    fc.assert(
      fc.property(
        fc.constantFrom(...quantities),
        fc.double({ min: 0.5, max: 900, noNaN: true }),
        fc.boolean(),
        fc.boolean(),
        (quantity, value, us, shownUs) => {
          const written = formatQuantity(value, quantity, us ? US : METRIC, 6);
          const read = readTyped(written, quantity, shownUs ? US : METRIC);
          if (read.kind !== 'value') throw new Error(`${written}: ${read.kind}`);
          const units: readonly { scale: number; offset: number; label: string; decimals: number }[] =
            QUANTITIES[quantity];
          const unit = us && units.length > 1 ? units[1] : units[0];
          expect(Math.abs(toShown(read.stored, unit) - toShown(value, unit))).toBeLessThan(2e-6);
        },
      ),
      { numRuns: 400 },
    );
  });

  it('with one comma before three figures is asked about; with more it is thousands', () => {
    expect(readTyped('1,200', 'mass', METRIC)).toEqual({
      kind: 'either',
      readings: [
        { plain: '1200', stored: 1200 },
        { plain: '1.200', stored: 1.2 },
      ],
    });
    expect(readTyped('1,200 lb', 'mass', METRIC)).toMatchObject({
      kind: 'either',
      readings: [{ plain: '1200 lb' }, { plain: '1.200 lb' }],
    });
    expect(stored('1,200,000', 'count')).toBe(1_200_000);
    expect(stored('1,200.5', 'mass')).toBe(1200.5);
    expect(stored('1.200,5', 'mass')).toBe(1200.5);
    expect(stored('0,350', 'friction')).toBe(0.35);
    expect(stored('12,5', 'mass')).toBe(12.5);
    expect(stored('1,2000', 'mass')).toBe(1.2);
    expect(stored("1'340", 'mass')).toBe(1340);
    expect(stored('1 340,5 kg', 'mass')).toBe(1340.5);
  });

  it('is refused with the unit that is none of its own, or as no number', () => {
    expect(readTyped('12 bar', 'mass', METRIC)).toEqual({ kind: 'unit', written: 'bar' });
    expect(readTyped('3 kg', 'count', METRIC)).toEqual({ kind: 'unit', written: 'kg' });
    for (const text of ['', 'kg', '--1', '1.2.3', '1,2,3', '12 3', '0x10', 'NaN', '1e999', '5 kg 3', '∞'])
      expect(stored(text, 'mass'), text).toBe('none');
    fc.assert(
      fc.property(fc.string({ maxLength: 20 }), fc.constantFrom(METRIC, US), (text, choice) => {
        const read = readTyped(text, 'smallLength', choice);
        if (read.kind === 'value') expect(Number.isFinite(read.stored)).toBe(true);
      }),
      { numRuns: 500 },
    );
  });
});
