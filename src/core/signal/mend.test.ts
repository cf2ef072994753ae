import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Channel, RawLog } from './channels';
import { bridged, mendLog } from './mend';

/** Readings as a broken logger may write them. */
const reading = fc.oneof(
  { weight: 6, arbitrary: fc.double({ min: 0, max: 80, noNaN: true }) },
  { weight: 1, arbitrary: fc.constant(Number.NaN) },
  { weight: 1, arbitrary: fc.constantFrom(-1e9, 1e9, Number.POSITIVE_INFINITY, Number.NEGATIVE_INFINITY) },
);
const LEAPS = [0, -0.5, -30, 40, Number.NaN];
/** A clock that was set; whole hours forward may as well be a pause, so what is made of them is a guess. */
const SET = [3600, -3600, -900];
const clockStep = (leaps: readonly number[]) =>
  fc.oneof(
    { weight: 12, arbitrary: fc.double({ min: 0.01, max: 0.3, noNaN: true }) },
    { weight: 1, arbitrary: fc.constantFrom(...leaps) },
  );
/** Times some steps apart; a missing one is left out of the count. */
function clockOf(start: number, steps: readonly number[]): Float64Array {
  let at = start;
  return Float64Array.from(steps, (step) => {
    if (Number.isFinite(step)) at += step;
    return Number.isFinite(step) ? at : Number.NaN;
  });
}
const anyLog = (leaps: readonly number[]) =>
  fc
    .record({
      steps: fc.array(clockStep(leaps), { maxLength: 120, size: 'max' }),
      start: fc.double({ min: -1e4, max: 1e9, noNaN: true }),
      names: fc.uniqueArray(
        fc.constantFrom<Channel>('speed', 'distance', 'height', 'rotorFrontLeft', 'pedalForce', 'lap'),
        { minLength: 1 },
      ),
    })
    .chain(({ steps, start, names }) =>
      fc.record({
        time: fc.constant(clockOf(start, steps)),
        channels: fc
          .tuple(...names.map(() => fc.array(reading, { minLength: steps.length, maxLength: steps.length })))
          .map((values): RawLog['channels'] =>
            Object.fromEntries(names.map((name, i) => [name, Float64Array.from(values[i])])),
          ),
      }),
    );

describe('any log at all', () => {
  it('is mended into one whose time rises and whose speed is a speed, or refused in words', () => {
    let mendedOnes = 0;
    fc.assert(
      fc.property(anyLog([...LEAPS, ...SET]), (raw) => {
        let log: ReturnType<typeof mendLog>;
        try {
          log = mendLog(raw);
        } catch (error) {
          expect(error).toBeInstanceOf(RangeError);
          expect((error as Error).message).toMatch(/at least 20 samples|neither speed nor distance/);
          return;
        }
        mendedOnes += 1;
        const n = log.time.length;
        expect(log.time[0]).toBeGreaterThanOrEqual(0);
        expect(log.step).toBeGreaterThan(0);
        expect(log.speed).toHaveLength(n);
        for (let i = 0; i < n; i++) {
          expect(Number.isFinite(log.speed[i]) && log.speed[i] >= 0).toBe(true);
          if (i > 0) expect(log.time[i]).toBeGreaterThan(log.time[i - 1]);
        }
        for (const values of Object.values(log.channels)) expect(values).toHaveLength(n);
        for (const note of log.notes) {
          expect(note.count).toBeGreaterThan(0);
          expect(note.first).toBeGreaterThanOrEqual(0);
          expect(note.first).toBeLessThan(Math.max(1, raw.time.length));
        }
      }),
      { numRuns: 400 },
    );
    expect(mendedOnes).toBeGreaterThan(60);
  });

  it('once mended needs no more mending', () => {
    fc.assert(
      fc.property(anyLog(LEAPS), (raw) => {
        let log: ReturnType<typeof mendLog>;
        try {
          log = mendLog(raw);
        } catch {
          return;
        }
        // What was made from distance has its speed now.
        const again = mendLog({ time: log.time, channels: { ...log.channels, speed: log.speed } });
        for (let i = 0; i < log.time.length; i++) {
          expect(again.time[i]).toBeCloseTo(log.time[i] - log.time[0], 6);
        }
        expect(again.time).toHaveLength(log.time.length);
        const mended: readonly string[] = ['time-back', 'same-time', 'restart', 'out-of-range', 'no-speed'];
        expect(again.notes.filter((note) => mended.includes(note.kind))).toEqual([]);
      }),
      { numRuns: 200 },
    );
  });
});

describe('bridging', () => {
  it('keeps what is known, stays between its neighbours, and is straight in time', () => {
    const gaps = fc.array(
      fc.tuple(
        fc.double({ min: 0.01, max: 5, noNaN: true }),
        fc.option(fc.double({ min: -50, max: 50, noNaN: true })),
      ),
      { minLength: 2, maxLength: 60 },
    );
    fc.assert(
      fc.property(gaps, (list) => {
        let t = 0;
        const time = Float64Array.from(list, ([step]) => {
          t += step;
          return t;
        });
        const values = Float64Array.from(list, ([, value]) => value ?? Number.NaN);
        const out = bridged(time, values);
        const known = [...values.keys()].filter((i) => Number.isFinite(values[i]));
        if (known.length === 0) {
          expect(out.every((v) => v === 0)).toBe(true);
          return;
        }
        for (const i of known) expect(out[i]).toBe(values[i]);
        for (let k = 0; k + 1 < known.length; k++) {
          const [a, b] = [known[k], known[k + 1]];
          for (let i = a + 1; i < b; i++) {
            const slope = (values[b] - values[a]) / (time[b] - time[a]);
            expect(out[i]).toBeCloseTo(values[a] + slope * (time[i] - time[a]), 9);
          }
        }
        expect(out.slice(0, known[0]).every((v) => v === values[known[0]])).toBe(true);
        expect(out.slice(known[known.length - 1]).every((v) => v === values[known[known.length - 1]])).toBe(
          true,
        );
      }),
    );
  });
});
