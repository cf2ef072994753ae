import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { randomNumbers } from '../numeric';
import { findStops, mendLog, smoothSpeed } from '.';

const WANTED = { from: 15, to: 1.5, braked: 1.8 };
/** A drive of phases, each to a speed at a rate, m/s², or held for a time, s. */
function drive(phases: readonly (readonly [to: number, rate: number] | number)[], step = 0.05, start = 0) {
  const speeds: number[] = [];
  let v = start;
  for (const phase of phases) {
    if (typeof phase === 'number') {
      for (let t = 0; t < phase; t += step) speeds.push(v);
      continue;
    }
    const [to, rate] = phase;
    while (Math.abs(v - to) > 1e-9) {
      speeds.push(v);
      v = to > v ? Math.min(to, v + rate * step) : Math.max(to, v - rate * step);
    }
  }
  speeds.push(v);
  const time = Float64Array.from(speeds, (_, i) => i * step);
  return { time, speed: Float64Array.from(speeds), noise: 0, step };
}

describe('stops in a speed', () => {
  it('of an even braking have its distance, time and deceleration', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 18, max: 70, noNaN: true }),
        fc.double({ min: 3, max: 14, noNaN: true }),
        (from, rate) => {
          const [stop, ...others] = findStops(drive([[from, 3], 4, [0, rate], 5]), WANTED);
          expect(others).toEqual([]);
          expect(stop.from).toBeCloseTo(from, 6);
          expect(stop.to).toBe(0);
          expect(Math.abs(stop.distance / (from ** 2 / (2 * rate)) - 1)).toBeLessThan(0.01);
          expect(Math.abs(stop.time - from / rate)).toBeLessThan(0.06);
          expect(Math.abs(stop.meanDeceleration / rate - 1)).toBeLessThan(0.01);
          expect(Math.abs(stop.peakDeceleration / rate - 1)).toBeLessThan(0.03);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('are two where the car rolls on between them, and one where the foot only comes off for a moment', () => {
    const two = findStops(drive([[25, 3], 3, [0, 7], 4, [25, 3], 2, [0, 7], 3]), WANTED);
    expect(two).toHaveLength(2);
    expect(two[1].start - two[0].end).toBeGreaterThan(10);
    const stab = findStops(drive([[25, 3], 3, [15, 7], 0.25, [0, 7], 3]), WANTED);
    expect(stab).toHaveLength(1);
    expect(stab[0].distance).toBeCloseTo(25 ** 2 / 14 + 15 * 0.25, 0);
    // Off for longer it is a snub and a stop, and the snub does not come to the test’s last speed.
    expect(findStops(drive([[25, 3], 3, [15, 7], 1.5, [0, 7], 3]), { ...WANTED, from: 20 })).toHaveLength(0);
  });

  it('leave out what drag and engine do, corners that are not slow enough, and speeds that are too low', () => {
    expect(findStops(drive([[30, 3], 2, [0, 1.2], 3]), WANTED)).toEqual([]);
    expect(findStops(drive([[30, 3], 2, [12, 8], 2, [30, 3]]), WANTED)).toEqual([]);
    expect(findStops(drive([[12, 3], 2, [0, 8], 2]), WANTED)).toEqual([]);
    expect(findStops(drive([[30, 3], 2, [12, 8], 2, [30, 3]]), { ...WANTED, to: 13 })).toHaveLength(1);
  });

  it('of a noisy logger are within the error that is told', () => {
    let inside = 0;
    for (let seed = 1; seed <= 40; seed++) {
      const clean = drive([[22, 3], 6, [0, 7.2], 6], 0.1);
      const random = randomNumbers(seed);
      const speed = clean.speed.map((v) => Math.max(0, v + (v > 0 ? 0.15 * random.normal() : 0)));
      const log = mendLog({ time: clean.time, channels: { speed } });
      const trace = smoothSpeed(log);
      const [stop] = findStops(trace, WANTED, log.step);
      const truth = 22 ** 2 / 14.4;
      expect(Math.abs(stop.distance - truth)).toBeLessThan(4 * stop.error);
      if (Math.abs(stop.distance - truth) < 2 * stop.error) inside += 1;
    }
    expect(inside).toBeGreaterThan(36);
  });
});
