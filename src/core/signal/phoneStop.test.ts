import { describe, expect, it } from 'vitest';
import { recordFigure } from '../../../tests/support/validation';
import { simulatedPhone } from '../../server/standIns/phone';
import { PhoneError, phoneStop } from '.';

const phone = (seed: number, change: Partial<Parameters<typeof simulatedPhone>[0]> = {}) =>
  simulatedPhone({
    speed: 80 / 3.6,
    deceleration: 7.5,
    rate: 1,
    accuracy: 3,
    speeds: true,
    motion: true,
    seed,
    ...change,
  });

/** What many phones say of the same stop: the worst error, and how often the truth lies in the range. */
function many(count: number, change: Parameters<typeof phone>[1]) {
  let [worst, inside, width] = [0, 0, 0];
  for (let seed = 1; seed <= count; seed++) {
    const { fixes, motion, truth } = phone(seed, change);
    const stop = phoneStop(fixes, motion);
    worst = Math.max(worst, Math.abs(stop.distance - truth.distance));
    if (truth.distance >= stop.range[0] && truth.distance <= stop.range[1]) inside += 1;
    width += (stop.range[1] - stop.range[0]) / count;
  }
  return { worst, inside: inside / count, width };
}
const refusal = (work: () => unknown) => {
  try {
    work();
  } catch (error) {
    return error instanceof PhoneError ? error.code : error;
  }
  return null;
};

describe('a stop from 80 km/h by a phone of one position a second within 3 m', () => {
  it.each([
    ['with speeds and accelerometer', {}],
    ['without speeds', { speeds: false }],
    ['without accelerometer', { motion: false }],
  ] as const)('%s: within 2 m, and the range says so', (name, change) => {
    const { worst, inside, width } = many(24, change);
    expect(worst).toBeLessThan(2);
    expect(inside).toBeGreaterThan(0.9);
    expect(width).toBeLessThan(7);
    recordFigure({
      id: 'phone',
      what: `Distance of a stop from 80 km/h by a simulated phone ${name}, worst of 24`,
      expected: 'under 2',
      computed: worst,
      unit: 'm',
      source: 'own requirement',
    });
  });

  it('from positions alone is told as widely as it is known', () => {
    const { worst, inside, width } = many(16, { speeds: false, motion: false });
    expect(inside).toBeGreaterThan(0.85);
    expect(width).toBeGreaterThan(12);
    expect(worst).toBeGreaterThan(2);
  });

  it('finds speed and deceleration, too, and more exactly from more positions', () => {
    const { fixes, motion } = phone(5);
    const stop = phoneStop(fixes, motion);
    expect(stop.from * 3.6).toBeCloseTo(80, 0);
    expect(stop.felt).toBe(true);
    expect(stop.deceleration).toBeGreaterThan(6);
    expect(stop.deceleration).toBeLessThan(8);
    const often = phone(5, { rate: 10, motion: false });
    expect(phoneStop(often.fixes, []).error).toBeLessThan(phoneStop(phone(5).fixes, []).error);
  });

  it('refuses what tells no stop, each for its own reason', () => {
    const { fixes, motion } = phone(1);
    expect(refusal(() => phoneStop(fixes.slice(0, 4), motion))).toBe('too few');
    const coarse = fixes.map((fix) => ({ ...fix, accuracy: 50 }));
    expect(refusal(() => phoneStop(coarse, motion))).toBe('inaccurate');
    expect(refusal(() => phoneStop(fixes.slice(0, 9), []))).toBe('no stop');
    const bent = fixes.map((fix, i) => ({ ...fix, latitude: fix.latitude + 4e-6 * i ** 2.4 }));
    expect(refusal(() => phoneStop(bent, motion))).toBe('not straight');
  });
});
