import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { randomNumbers } from '../numeric/random';
import { localPlane } from '../track';
import { mendLog } from './mend';
import { restore } from './restore';
import { scatterOf, smoothSpeed } from './smoothSpeed';
import { crossingsByLapNumber, crossingsByOwnPlace, crossingsByPosition } from './splitLaps';

/** A sawtooth of accelerating and braking, the corners where it turns, m/s. */
const CORNERS: readonly (readonly [number, number])[] = [
  [0, 30],
  [8, 55],
  [10.5, 25],
  [20, 50],
  [21.7, 33],
  [30, 52],
];
function saw(t: number): number {
  const lap = t % 30;
  const k = CORNERS.findIndex(([at], i) => at <= lap && (CORNERS[i + 1]?.[0] ?? 31) > lap);
  const [[t0, v0], [t1, v1]] = [CORNERS[k], CORNERS[k + 1] ?? CORNERS[k]];
  return t1 === t0 ? v0 : v0 + ((v1 - v0) * (lap - t0)) / (t1 - t0);
}
const log = (rate: number, seconds: number, noise: number, seed = 1) => {
  const random = randomNumbers(seed);
  const time = Float64Array.from({ length: rate * seconds }, (_, i) => i / rate);
  return { time, channels: { speed: time.map((t) => saw(t) + noise * random.normal()) } };
};

describe('the scatter of a speed', () => {
  it.each([0.02, 0.1, 0.5])('is found whatever the speed does: %f m/s', (noise) => {
    const { channels } = log(20, 240, noise, 9);
    expect(scatterOf(channels.speed) / noise).toBeGreaterThan(0.9);
    expect(scatterOf(channels.speed) / noise).toBeLessThan(1.15);
  });
  it('of a display in whole km/h is that of rounding', () => {
    const { channels } = log(100, 60, 0);
    const rounded = channels.speed.map((v) => Math.round(v * 3.6) / 3.6);
    expect(scatterOf(rounded)).toBeCloseTo(1 / 3.6 / Math.sqrt(12), 2);
  });
});

describe('smoothing a speed', () => {
  it('leaves one without scatter as it is', () => {
    const raw = log(20, 90, 0);
    smoothSpeed(mendLog(raw)).speed.forEach((v, i) => {
      expect(v).toBeCloseTo(raw.channels.speed[i], 6);
    });
  });
  it('takes scatter off and keeps the corners: no peak is cut by more than the scatter', () => {
    const noise = 0.15;
    const raw = log(20, 30 * 6, noise);
    const { speed, raw: sampled, noise: found } = smoothSpeed(mendLog(raw));
    expect(found / noise).toBeGreaterThan(0.9);
    const rms = (values: Float64Array) =>
      Math.sqrt(values.reduce((sum, v, i) => sum + (v - saw(i / 20)) ** 2, 0) / values.length);
    expect(rms(speed)).toBeLessThan(0.6 * rms(sampled));
    for (let lap = 0; lap < 5; lap++) {
      for (const [at, v] of CORNERS.slice(1, 5)) {
        expect(Math.abs(speed[Math.round(20 * (30 * lap + at))] - v)).toBeLessThan(4 * noise);
      }
    }
  });
  it('averages a fast log without losing way or gaining energy', () => {
    fc.assert(
      fc.property(fc.integer({ min: 60, max: 500 }), fc.integer({ min: 1, max: 999 }), (rate, seed) => {
        const raw = log(rate, 60, 0.05, seed);
        const { distance, speed, step } = smoothSpeed(mendLog(raw));
        expect(step).toBeCloseTo(0.04, 9);
        const way = raw.channels.speed.reduce((sum, v) => sum + v / rate, 0);
        expect(Math.abs(distance[distance.length - 1] / way - 1)).toBeLessThan(0.002);
        expect(Math.max(...speed)).toBeLessThan(55.3);
      }),
      { numRuns: 15 },
    );
  });
});

describe('restoring what coarse samples miss', () => {
  it('finds begin, end and speeds of a braking between the samples', () => {
    // From 50 m/s, falling by 10 m/s² between 2.03 s and 4.51 s; before it rises by 2, after it by 3.
    const truth = (t: number) =>
      t < 2.03 ? 45.94 + 2 * t : t < 4.51 ? 50 - 10 * (t - 2.03) : 25.2 + 3 * (t - 4.51);
    const time = Array.from({ length: 70 }, (_, i) => i / 10);
    const speed = time.map(truth);
    const braking = Uint8Array.from({ length: 69 }, (_, i) => (speed[i] - speed[i + 1] > 0.05 ? 1 : 0));
    const braked = restore({ time, speed, braking }, speed, 0, () => 0);
    const on = braked.braking.indexOf(1);
    const off = braked.braking.lastIndexOf(1) + 1;
    expect(braked.time[on]).toBeCloseTo(2.03, 6);
    expect(braked.speed[on]).toBeCloseTo(50, 6);
    expect(braked.time[off]).toBeCloseTo(4.51, 6);
    expect(braked.speed[off]).toBeCloseTo(25.2, 6);
    for (let i = 1; i < braked.time.length; i++) expect(braked.time[i]).toBeGreaterThan(braked.time[i - 1]);
    expect(braked.braking).toHaveLength(braked.time.length - 1);
  });
  it('begins a braking that builds up before the lines meet, with the same loss of speed', () => {
    const buildUp = 0.3;
    const onset = 2;
    // From coasting at −1 m/s² to −12 over the build-up.
    const truth = (t: number) => {
      if (t < onset) return 50 - 0.2 * (onset - t);
      const u = Math.min(t - onset, buildUp);
      const ramp = 50 - u - (11 * u * u) / (2 * buildUp);
      return ramp - 12 * Math.max(0, t - onset - buildUp);
    };
    const time = Array.from({ length: 40 }, (_, i) => i / 10);
    const speed = time.map(truth);
    const braking = Uint8Array.from({ length: 39 }, (_, i) => (time[i] >= 2.1 ? 1 : 0));
    const braked = restore({ time, speed, braking }, speed, buildUp, () => -1);
    const on = braked.braking.indexOf(1);
    expect(braked.time[on]).toBeCloseTo(onset, 1);
    expect(braked.speed[on]).toBeCloseTo(50, 1);
  });
});

describe('crossings', () => {
  /** Rounds of a ring of 200 m radius at 30 m/s, with scatter of the positions, m, standing a while by the line. */
  const ring = (rate: number, noise: number, stands: number) => {
    const random = randomNumbers(3);
    const plane = localPlane({ latitude: 46, longitude: -31 });
    const turn = 30 / 200;
    const driven = 130;
    const n = Math.round(rate * (driven + stands));
    const time = Float64Array.from({ length: n }, (_, i) => i / rate);
    const places = Array.from(time, (t) => {
      const angle = -1 + turn * Math.min(t, driven);
      return plane.toEarth(
        200 * Math.cos(angle) + noise * random.normal(),
        200 * Math.sin(angle) + noise * random.normal(),
      );
    });
    return mendLog({
      time,
      channels: {
        speed: time.map((t) => (t < driven ? 30 : 0)),
        latitude: Float64Array.from(places, (p) => p.latitude),
        longitude: Float64Array.from(places, (p) => p.longitude),
        lap: time.map((t) => Math.floor((-1 + turn * Math.min(t, driven)) / (2 * Math.PI)) + 1),
      },
    });
  };
  const line = { ...localPlane({ latitude: 46, longitude: -31 }).toEarth(200, 0), east: 0, north: 1 };
  const truth = [0, 1, 2].map((k) => (1 + 2 * Math.PI * k) / (30 / 200));

  it.each([
    [1, 0.3],
    [10, 0.5],
    [100, 0.8],
  ])('at %i Hz with %f m of scatter are found once each, in time', (rate, noise) => {
    const { times, by } = crossingsByPosition(ring(rate, noise, 0), line);
    expect(by).toBe('position');
    expect(times).toHaveLength(3);
    times.forEach((t, i) => {
      expect(Math.abs(t - truth[i])).toBeLessThan(0.12);
    });
  });
  it('of the log’s own place are a lap apart, and the lap number tells them too', () => {
    const own = crossingsByOwnPlace(ring(10, 0.3, 0)).times;
    expect(own.length).toBeGreaterThanOrEqual(3);
    for (let i = 1; i < own.length; i++) expect(own[i] - own[i - 1]).toBeCloseTo((2 * Math.PI * 200) / 30, 0);
    const counted = crossingsByLapNumber(ring(10, 0, 0)).times;
    counted.forEach((t, i) => {
      expect(Math.abs(t - truth[i])).toBeLessThan(0.11);
    });
  });
  it('elsewhere are none', () => {
    const far = { ...line, latitude: 46.1 };
    expect(crossingsByPosition(ring(10, 0.3, 0), far).times).toEqual([]);
    const { time, speed } = ring(10, 0, 0);
    expect(crossingsByPosition(mendLog({ time, channels: { speed } }), line).times).toEqual([]);
  });
});
