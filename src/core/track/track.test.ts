import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoProject } from '../../../demo/project';
import { recordFigure } from '../../../tests/support/validation';
import { circuitInput, dayInput, setupOf } from '../../model';
import { type Segment, sampleLine } from '../circuit';
import { driveLap, lapTime, prepareCircuit } from '../lap';
import { bandedSolve } from '../numeric';
import { randomNumbers } from '../numeric/random';
import { cornersOf } from './corners';
import { findLaps, gateAt, lapsFrom } from './passes';
import { smoothTrack } from './smoothTrack';
import type { Track } from './track';
import { longestStraight, turnedLine } from './turnedLine';

const still = { airDensity: 1.2, ductDragArea: 0 };
const straight = (length: number): Segment => ({ kind: 'straight', length, grade: 0 });
const bend = (radius: number, degrees: number): Segment => ({
  kind: 'corner',
  radius,
  angle: (degrees * Math.PI) / 180,
  hand: 'left',
  grade: 0,
});

/** Points of a line as a receiver would give them: so many rounds, so far apart, so much scatter, m. */
function driven(
  points: (s: number) => readonly [number, number],
  length: number,
  rounds: number,
  apart: number,
  noise: number,
): Track {
  const random = randomNumbers(7);
  const n = Math.round((rounds * length) / apart);
  const x = new Float64Array(n);
  const y = new Float64Array(n);
  for (let i = 0; i < n; i++) {
    const [px, py] = points((i * apart) % length);
    x[i] = px + noise * random.normal();
    y[i] = py + noise * random.normal();
  }
  return { x, y };
}
const alongLine = (segments: readonly Segment[]) => {
  const line = sampleLine(segments, 0.5);
  return {
    line,
    points: (s: number) => {
      const i = Math.min(line.x.length - 1, Math.round((s / line.length) * (line.x.length - 1)));
      return [line.x[i], line.y[i]] as const;
    },
  };
};
const smoothed = (track: Track) => {
  const found = findLaps(track);
  if (!found) throw new Error('no lap');
  const whole = found.laps.filter((lap) => lap.whole);
  const line = smoothTrack(track, whole);
  return turnedLine(line, longestStraight(line), false);
};

describe('a circle, known in closed form', () => {
  for (const [noise, curvatureBound, lengthBound] of [
    [0.5, 0.015, 0.002],
    [3, 0.06, 0.006],
  ] as const) {
    it(`keeps its curvature within ${100 * curvatureBound} % under ${noise} m of scatter`, () => {
      const radius = 120;
      const track = driven(
        (s) => [radius * Math.cos(s / radius), radius * Math.sin(s / radius)],
        2 * Math.PI * radius,
        6,
        2,
        noise,
      );
      const line = smoothed(track);
      const bends = Array.from(line.curvature, (k) => k * radius);
      expect(Math.max(...bends)).toBeLessThan(1 + curvatureBound);
      expect(Math.min(...bends)).toBeGreaterThan(1 - curvatureBound);
      expect(Math.abs(line.length / (2 * Math.PI * radius) - 1)).toBeLessThan(lengthBound);
      recordFigure({
        id: 'circle',
        what: `Curvature of a circle under ${noise} m of scatter, six rounds: worst place`,
        expected: `under ${100 * curvatureBound}`,
        computed: 100 * Math.max(...bends.map((k) => Math.abs(k - 1))),
        unit: '% off',
        source: 'closed form',
      });
      // What it says of the scatter is what was put in.
      expect(line.smoothing.noise / noise).toBeGreaterThan(0.93);
      expect(line.smoothing.noise / noise).toBeLessThan(1.07);
    });
  }
});

describe('an oval', () => {
  const oval = [straight(300), bend(60, 180), straight(300), bend(60, 180)];
  const { line, points } = alongLine(oval);
  it.each([
    [0.5, 0.02],
    [3, 0.06],
  ])('under %f m of scatter gives corner speeds within %f of the true ones', (noise, bound) => {
    const found = smoothed(driven(points, line.length, 6, 2.5, noise));
    const corners = cornersOf(found);
    const tightest = Math.min(
      ...(corners?.segments ?? []).map((s) => (s.kind === 'corner' ? s.radius : 1e9)),
    );
    // Speed goes with the root of the radius.
    expect(Math.abs(Math.sqrt(tightest / 60) - 1)).toBeLessThan(bound);
    expect(Math.max(...(corners?.corner ?? []))).toBe(2);
    expect(Math.abs(found.length / line.length - 1)).toBeLessThan(0.005);
  });
});

describe('a clothoid', () => {
  it('has the curvature that rises evenly along it', () => {
    // Two clothoids, 0 to 1/50 1/m and back, and a straight, closed by symmetry: a lens of two such halves.
    const rise = 50 * Math.PI;
    const half: readonly (readonly [number, (s: number) => number])[] = [
      [200, () => 0],
      [rise, (s) => s / rise / 50],
      [rise, (s) => (1 - s / rise) / 50],
    ];
    const laps: number[] = [];
    const xs: number[] = [0];
    const ys: number[] = [0];
    let heading = 0;
    const step = 0.25;
    for (let turn = 0; turn < 2; turn++) {
      for (const [length, curvature] of half) {
        const count = Math.round(length / step);
        const d = length / count;
        for (let i = 0; i < count; i++) {
          const k = curvature((i + 0.5) * d);
          const mid = heading + 0.5 * k * d;
          xs.push(xs[xs.length - 1] + d * Math.cos(mid));
          ys.push(ys[ys.length - 1] + d * Math.sin(mid));
          heading += k * d;
          laps.push(k);
        }
      }
    }
    // Each half turns by half a turn, so the second brings the line home.
    expect(Math.hypot(xs[xs.length - 1], ys[ys.length - 1])).toBeLessThan(0.01);
    const length = 2 * (200 + 2 * rise);
    const at = (s: number) => Math.round((s / length) * (xs.length - 1));
    for (const [noise, bound] of [
      [0.5, 0.0011],
      [3, 0.0028],
    ]) {
      const track = driven((s) => [xs[at(s)], ys[at(s)]], length, 6, 2, noise);
      const found = findLaps(track);
      const line = smoothTrack(track, found?.laps.filter((lap) => lap.whole) ?? []);
      expect(Math.abs(line.length / length - 1)).toBeLessThan(0.005);
      // The lap begins where it was found to; the true line is brought to the same start.
      let start = 0;
      xs.forEach((x, i) => {
        const far = Math.hypot(x - line.x[0], ys[i] - line.y[0]);
        if (far < Math.hypot(xs[start] - line.x[0], ys[start] - line.y[0])) start = i;
      });
      let square = 0;
      for (let i = 0; i < line.distance.length - 1; i++) {
        const true_ =
          laps[(start + Math.round((line.distance[i] / line.length) * laps.length)) % laps.length];
        square += (line.curvature[i] - true_) ** 2;
      }
      expect(Math.sqrt(square / (line.distance.length - 1))).toBeLessThan(bound);
    }
  });
});

describe('a demo circuit driven and found again', () => {
  it.each(demoProject.circuits.map((c) => [c.name, c] as const))(
    '%s: the same corners and lap',
    (_, circuit) => {
      const input = circuitInput(circuit);
      if (input.kind !== 'line') throw new Error('a line was expected');
      const { line, points } = alongLine(input.segments);
      const found = smoothed(driven(points, line.length, 5, 3, 0.8));
      const corners = cornersOf(found);
      const typed = input.segments.filter((s) => s.kind === 'corner').length;
      expect(Math.max(...(corners?.corner ?? []))).toBe(typed);
      expect(corners?.off).toBeLessThan(3);
      expect(Math.abs(found.length / line.length - 1)).toBeLessThan(0.004);
      const day = dayInput(setupOf(demoProject));
      const drive = (segments: readonly Segment[]) =>
        driveLap(
          prepareCircuit({ kind: 'line', segments, names: [] }),
          day.vehicle,
          { ...day.driver, pace: 1 },
          still,
        );
      const [was, is] = [drive(input.segments), drive(corners?.segments ?? [])];
      expect(Math.abs(lapTime(is) / lapTime(was) - 1)).toBeLessThan(0.012);
      expect(is.zones.length).toBe(was.zones.length);
    },
  );
});

describe('finding laps', () => {
  const { line, points } = alongLine([straight(300), bend(60, 180), straight(300), bend(60, 180)]);
  it('leaves out the way from and to the pits', () => {
    const laps = driven(points, line.length, 4, 3, 0.2);
    const way = Array.from({ length: 60 }, (_, i) => [150 - 3 * i, -200 + 3 * i]);
    const track = {
      x: Float64Array.from([...way.map((p) => p[0]), ...laps.x, ...way.map((p) => p[0])]),
      y: Float64Array.from([...way.map((p) => p[1]), ...laps.y, ...way.map((p) => p[1])]),
    };
    const found = findLaps(track);
    const whole = found?.laps.filter((lap) => lap.whole) ?? [];
    expect(whole.length).toBeGreaterThanOrEqual(3);
    for (const lap of whole) expect(Math.abs(lap.length / line.length - 1)).toBeLessThan(0.02);
  });
  it('closes one open round and says how wide the gap is; a line that goes nowhere is no lap', () => {
    const once = driven(points, line.length, 0.97, 3, 0.1);
    const found = findLaps(once);
    expect(found?.laps).toHaveLength(1);
    expect(found?.gap).toBeGreaterThan(15);
    expect(found?.gap).toBeLessThan(45);
    expect(findLaps({ x: Float64Array.from([0, 400, 900]), y: Float64Array.from([0, 10, -20]) })).toBeNull();
    expect(findLaps({ x: new Float64Array(50).fill(3), y: new Float64Array(50).fill(4) })).toBeNull();
  });
  it('counts a crossing one way only', () => {
    const eight = {
      x: Float64Array.from({ length: 400 }, (_, i) => 200 * Math.sin((i * 2 * Math.PI) / 100)),
      y: Float64Array.from({ length: 400 }, (_, i) => 120 * Math.sin((i * 4 * Math.PI) / 100)),
    };
    const found = findLaps(eight);
    const whole = found?.laps.filter((lap) => lap.whole) ?? [];
    expect(whole).toHaveLength(3);
    expect(lapsFrom(eight, gateAt(eight, 25))).toHaveLength(3);
  });
});

describe('smoothing', () => {
  const { line, points } = alongLine([straight(200), bend(20, 180), straight(200), bend(20, 180)]);
  it('moves the line by no more than the bound it is given', () => {
    const track = driven(points, line.length, 1, 4, 0);
    const found = findLaps(track);
    for (const bound of [0.3, 1]) {
      const { smoothing } = smoothTrack(track, found?.laps ?? [], bound);
      expect(smoothing.withinBound).toBe(true);
      expect(smoothing.most).toBeLessThanOrEqual(bound);
    }
    const forced = smoothTrack(track, found?.laps ?? [], 0.3, 200);
    expect(forced.smoothing.withinBound).toBe(false);
  });
  it('solves a band matrix as its definition says', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: -3, max: 3, noNaN: true }), { minLength: 6, maxLength: 20 }),
        (b) => {
          const n = b.length;
          const entry = (i: number, j: number) => (i === j ? 7 : Math.abs(i - j) <= 3 ? Math.sin(i * j) : 0);
          const band = new Float64Array(n * 4);
          for (let i = 0; i < n; i++)
            for (let k = 0; k <= 3 && k <= i; k++) band[i * 4 + 3 - k] = entry(i, i - k);
          const x = Float64Array.from(b);
          bandedSolve(band, 3, [x]);
          b.forEach((wanted, i) => {
            expect(x.reduce((sum, v, j) => sum + entry(i, j) * v, 0)).toBeCloseTo(wanted, 9);
          });
        },
      ),
    );
    expect(() => bandedSolve(Float64Array.from([0, -1]), 1, [new Float64Array(1)])).toThrow(/row 0/);
  });
});
