import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { randomNumbers } from '../numeric/random';
import { findLaps } from './passes';
import { evaluate, freedom, gather, smoothGathered } from './periodicSpline';
import { smoothTrack } from './smoothTrack';
import type { Track } from './track';
import { longestStraight, turnedLine } from './turnedLine';
import { withoutJumps } from './withoutJumps';

const value = (spline: ReturnType<typeof smoothGathered>, at: number, which = 0) => {
  const out = new Float64Array(3);
  evaluate(spline, which, at, out);
  return out;
};

describe('the closed spline', () => {
  it('passes long waves, halves the one it is named for, and stops short ones', () => {
    const length = 1200;
    const at = Float64Array.from({ length: 600 }, (_, i) => 2 * i);
    const passed = (wave: number) => {
      const values = [at.map((s) => Math.sin((2 * Math.PI * s) / wave))];
      const spline = smoothGathered(gather({ at, values, length }, 3, 100), 100);
      return value(spline, wave / 4)[0];
    };
    expect(passed(600)).toBeGreaterThan(0.999);
    expect(passed(100)).toBeCloseTo(0.5, 2);
    expect(passed(40)).toBeLessThan(0.01);
  });

  it('has the slopes its values have, and no seam', () => {
    const length = 900;
    const random = randomNumbers(2);
    const at = Float64Array.from({ length: 300 }, () => length * random.next());
    const values = [at.map((s) => Math.cos((2 * Math.PI * s) / 300) + 0.1 * random.normal())];
    const spline = smoothGathered(gather({ at, values, length }, 6, 120), 120);
    for (const s of [0, 13.7, 450, 899.9]) {
      const h = 0.01;
      expect((value(spline, s + h)[0] - value(spline, s - h)[0]) / (2 * h)).toBeCloseTo(
        value(spline, s)[1],
        6,
      );
      expect((value(spline, s + h)[1] - value(spline, s - h)[1]) / (2 * h)).toBeCloseTo(
        value(spline, s)[2],
        5,
      );
    }
    for (const k of [0, 1, 2]) expect(value(spline, length)[k]).toBeCloseTo(value(spline, 0)[k], 10);
  });

  it('leaves as many free values as its formula says: the trace of what it does to each sample', () => {
    const length = 480;
    const n = 160;
    const at = Float64Array.from({ length: n }, (_, i) => (i * length) / n);
    for (const wave of [30, 60, 120]) {
      let trace = 0;
      for (let i = 0; i < n; i++) {
        const impulse = new Float64Array(n);
        impulse[i] = 1;
        trace += value(smoothGathered(gather({ at, values: [impulse], length }, 4, wave), wave), at[i])[0];
      }
      expect(freedom(length, 4, wave) / trace).toBeGreaterThan(0.93);
      expect(freedom(length, 4, wave) / trace).toBeLessThan(1.07);
    }
  });
});

/** A lopsided closed curve in closed form, with scatter. */
function bean(rounds: number, noise: number, seed = 5): Track {
  const random = randomNumbers(seed);
  const n = 400 * rounds;
  const angle = (i: number) => (2 * Math.PI * i) / 400;
  const radius = (t: number) => 160 + 35 * Math.cos(2 * t) + 18 * Math.sin(3 * t);
  return {
    x: Float64Array.from(
      { length: n },
      (_, i) => radius(angle(i)) * Math.cos(angle(i)) + noise * random.normal(),
    ),
    y: Float64Array.from(
      { length: n },
      (_, i) => radius(angle(i)) * Math.sin(angle(i)) + noise * random.normal(),
    ),
  };
}
const lapsOf = (track: Track) => findLaps(track)?.laps.filter((lap) => lap.whole) ?? [];

describe('a smoothed track', () => {
  it('is the same wherever it lies, however it is turned, and mirrored when it is', () => {
    const track = bean(3, 0.6);
    const plain = smoothTrack(track, lapsOf(track));
    fc.assert(
      fc.property(
        fc.double({ min: -3, max: 3, noNaN: true }),
        fc.double({ min: -4000, max: 4000, noNaN: true }),
        fc.boolean(),
        (turn, shift, mirrored) => {
          const [c, s] = [Math.cos(turn), Math.sin(turn)];
          const flip = mirrored ? -1 : 1;
          const moved = {
            x: track.x.map((x, i) => c * x - s * flip * track.y[i] + shift),
            y: track.y.map((y, i) => s * track.x[i] + c * flip * y - shift),
          };
          const line = smoothTrack(moved, lapsOf(track));
          expect(line.length).toBeCloseTo(plain.length, 5);
          line.curvature.forEach((k, i) => {
            expect(k).toBeCloseTo(flip * plain.curvature[i], 6);
          });
        },
      ),
      { numRuns: 12 },
    );
  });

  it('scatters in its curvature about as much as it says', () => {
    const [radius, rounds, n] = [150, 4, 500];
    let [square, said, count] = [0, 0, 0];
    for (let seed = 1; seed <= 12; seed++) {
      const random = randomNumbers(seed);
      const angle = (i: number) => (2 * Math.PI * i) / n;
      const track = {
        x: Float64Array.from({ length: n * rounds }, (_, i) => radius * Math.cos(angle(i)) + random.normal()),
        y: Float64Array.from({ length: n * rounds }, (_, i) => radius * Math.sin(angle(i)) + random.normal()),
      };
      const { curvature, smoothing } = smoothTrack(track, lapsOf(track), Number.POSITIVE_INFINITY, 70);
      const mean = curvature.reduce((sum, k) => sum + k, 0) / curvature.length;
      for (const k of curvature) square += (k - mean) ** 2;
      count += curvature.length;
      said += smoothing.curvatureNoise / 12;
    }
    const ratio = Math.sqrt(square / count) / said;
    expect(ratio).toBeGreaterThan(0.75);
    expect(ratio).toBeLessThan(1.35);
  });

  it('leaves out a jump of the receiver and says so', () => {
    const track = bean(3, 0.3);
    const clean = smoothTrack(track, lapsOf(track));
    const x = track.x.slice();
    for (const i of [207, 640, 641]) x[i] += 90;
    const { track: calm, jumps } = withoutJumps({ ...track, x });
    expect(jumps).toBe(3);
    expect(smoothTrack(calm, lapsOf(calm)).length).toBeCloseTo(clean.length, 0);
    // A track that pauses and goes on elsewhere has not jumped.
    const paused = { x: track.x.map((v, i) => (i > 500 ? v + 90 : v)), y: track.y };
    expect(withoutJumps(paused).jumps).toBe(0);
  });

  it('never leaves its bound by more when it is given less', () => {
    const track = bean(2, 0.8);
    const off = [6, 3, 2].map((bound) => smoothTrack(track, lapsOf(track), bound).smoothing);
    off.forEach((s, i) => {
      if (s.withinBound) expect(s.most).toBeLessThanOrEqual([6, 3, 2][i]);
    });
    expect(off[2].wave).toBeLessThanOrEqual(off[0].wave);
  });

  it('turned about twice is itself, and driven the other way bends the other way', () => {
    const track = bean(1, 0);
    const line = smoothTrack(track, lapsOf(track));
    const back = turnedLine(turnedLine(line, 0, true), 0, true);
    expect(back.x).toEqual(line.x);
    expect(back.curvature).toEqual(line.curvature);
    const start = longestStraight(line);
    const there = turnedLine(line, start, true);
    const i = Math.round((start / line.length) * (line.x.length - 1));
    expect(there.x[0]).toBe(line.x[i]);
    expect(there.curvature[0]).toBe(-line.curvature[i]);
    expect(there.grade[3]).toBeCloseTo(-line.grade[i - 3], 12);
  });
});
