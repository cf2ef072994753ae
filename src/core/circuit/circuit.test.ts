import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { closeLine, closingError } from './closing';
import { lapLine } from './lapLine';
import { sampleLine } from './sampleLine';
import type { Segment } from './segments';

const straight = (length: number, grade = 0): Segment => ({ kind: 'straight', length, grade });
const corner = (radius: number, degrees: number, hand: 'left' | 'right' = 'left', grade = 0): Segment => ({
  kind: 'corner',
  radius,
  angle: (degrees * Math.PI) / 180,
  hand,
  grade,
});
const OVAL = [straight(300), corner(50, 180), straight(300), corner(50, 180)];

describe('circuit', () => {
  it('closes an oval exactly and knows its length', () => {
    const error = closingError(OVAL);
    expect(error.length).toBeCloseTo(600 + 2 * Math.PI * 50, 9);
    expect(error.gap).toBeLessThan(1e-9);
    expect(error.heading).toBeCloseTo(0, 12);
  });

  it('says how far and which way a line misses', () => {
    const error = closingError([straight(340), corner(50, 180), straight(300), corner(50, 170)]);
    expect(error.dx).not.toBeCloseTo(0, 0);
    expect((error.heading * 180) / Math.PI).toBeCloseTo(-10, 9);
  });

  it('closes any line that can be closed, in turn, place and height', () => {
    const piece = fc.record({
      length: fc.double({ min: 150, max: 500, noNaN: true }),
      angle: fc.double({ min: 70, max: 110, noNaN: true }),
      radius: fc.double({ min: 20, max: 60, noNaN: true }),
      grade: fc.double({ min: -0.04, max: 0.04, noNaN: true }),
    });
    fc.assert(
      fc.property(fc.array(piece, { minLength: 4, maxLength: 4 }), (pieces) => {
        const open = pieces.flatMap((p) => [straight(p.length, p.grade), corner(p.radius, p.angle)]);
        const closed = closeLine(open);
        fc.pre(closed !== null);
        const error = closingError(closed as Segment[]);
        expect(error.gap).toBeLessThan(1e-6);
        expect(Math.abs(error.heading)).toBeLessThan(1e-9);
        expect(Math.abs(error.height)).toBeLessThan(1e-6);
      }),
    );
  });

  it('closes an eight, which turns by nothing altogether', () => {
    const eight = [straight(262), corner(60, 248), straight(270), corner(60, 240, 'right')];
    expect(closingError(eight).gap).toBeGreaterThan(5);
    const closed = closeLine(eight);
    expect(closed).not.toBeNull();
    const error = closingError(closed as Segment[]);
    expect(error.gap).toBeLessThan(1e-6);
    expect(error.heading).toBeCloseTo(0, 9);
  });

  it('gives up where no straight can close the line', () => {
    expect(closeLine([straight(100), straight(50)])).toBeNull();
    expect(
      closeLine([straight(500), corner(20, 180), straight(20), corner(20, 180), straight(-1)]),
    ).toBeNull();
  });

  it('samples a line that ends where it began, with the whole turn in its curvature', () => {
    const line = sampleLine(OVAL, 1);
    const n = line.distance.length - 1;
    expect(Math.hypot(line.x[n], line.y[n])).toBeLessThan(0.2);
    const turned = line.curvature.slice(0, n).reduce((sum, k) => sum + (k * line.length) / n, 0);
    expect(turned).toBeCloseTo(2 * Math.PI, 2);
    expect(Math.max(...line.curvature)).toBeCloseTo(1 / 50, 6);
  });
});

describe('any closed line', () => {
  const piece = fc.record({
    length: fc.double({ min: 150, max: 500, noNaN: true }),
    angle: fc.double({ min: 75, max: 105, noNaN: true }),
    radius: fc.double({ min: 20, max: 60, noNaN: true }),
    grade: fc.double({ min: -0.04, max: 0.04, noNaN: true }),
  });
  const closed = fc
    .array(piece, { minLength: 4, maxLength: 4 })
    .map((pieces) =>
      closeLine(
        pieces.flatMap((p) => [straight(p.length, p.grade), corner(p.radius, p.angle, 'left', p.grade)]),
      ),
    )
    .filter((line): line is Segment[] => line !== null);
  const mirrored = (line: readonly Segment[]): Segment[] =>
    line.map((s) => (s.kind === 'corner' ? { ...s, hand: s.hand === 'left' ? 'right' : 'left' } : s));

  it('is left as it is when it is closed again', () => {
    fc.assert(
      fc.property(closed, (line) => {
        const again = closeLine(line) ?? [];
        expect(again).toHaveLength(line.length);
        again.forEach((segment, i) => {
          const before = line[i];
          expect(segment.kind).toBe(before.kind);
          expect(segment.grade).toBeCloseTo(before.grade, 9);
          if (segment.kind === 'corner' && before.kind === 'corner') {
            expect(segment.angle).toBeCloseTo(before.angle, 9);
            expect(segment.radius).toBe(before.radius);
          } else if (segment.kind === 'straight' && before.kind === 'straight') {
            expect(segment.length).toBeCloseTo(before.length, 6);
          }
        });
      }),
    );
  });

  it('ends where it began when sampled, in place, height and heading, but for what smooth steering rounds off', () => {
    fc.assert(
      fc.property(closed, (line) => {
        const miss = (spacing: number) => {
          const { x, y, height, curvature, length } = sampleLine(line, spacing);
          const n = x.length - 1;
          expect(Math.abs(height[n])).toBeLessThan(0.05);
          const turned = curvature.slice(0, n).reduce((sum, k) => sum + (k * length) / n, 0);
          expect(Math.abs(turned - 2 * Math.PI)).toBeLessThan(0.02);
          return Math.hypot(x[n], y[n]);
        };
        const [coarse, fine] = [miss(4), miss(0.5)];
        expect(coarse).toBeLessThan(4);
        expect(fine).toBeLessThan(1.5);
      }),
      { numRuns: 40 },
    );
  });

  it('has every point for laps where it bends, one in four where it does not, each as the whole line has it', () => {
    fc.assert(
      fc.property(closed, fc.double({ min: 0.5, max: 3, noNaN: true }), (segments, spacing) => {
        const [all, line] = [sampleLine(segments, spacing), lapLine(segments, spacing)];
        const step = all.length / (all.distance.length - 1);
        const kept = Array.from(line.distance, (s) => Math.round(s / step));
        expect([kept[0], kept[kept.length - 1]]).toEqual([0, all.distance.length - 1]);
        kept.forEach((i, k) => {
          expect(line.distance[k]).toBe(all.distance[i]);
          for (const name of ['x', 'y', 'height', 'curvature', 'grade'] as const)
            expect(line[name][k]).toBe(all[name][i]);
          if (k > 0) expect(i - kept[k - 1]).toBeLessThanOrEqual(4);
        });
        const bent = Array.from(all.curvature.keys()).filter((i) => Math.abs(all.curvature[i]) > 0.0025);
        expect(bent.every((i) => kept.includes(i))).toBe(true);
      }),
      { numRuns: 30 },
    );
  });

  it('mirrored is its mirror image, point by point', () => {
    fc.assert(
      fc.property(closed, (line) => {
        const [a, b] = [sampleLine(line, 3), sampleLine(mirrored(line), 3)];
        expect(b.length).toBe(a.length);
        for (let i = 0; i < a.x.length; i++) {
          expect(b.x[i]).toBeCloseTo(a.x[i], 9);
          expect(b.y[i]).toBeCloseTo(-a.y[i], 9);
          expect(b.height[i]).toBeCloseTo(a.height[i], 9);
          expect(b.curvature[i]).toBeCloseTo(-a.curvature[i], 12);
        }
        const [left, right] = [closingError(line), closingError(mirrored(line))];
        expect(right.gap).toBeCloseTo(left.gap, 9);
        expect(right.heading).toBeCloseTo(-left.heading, 9);
      }),
      { numRuns: 40 },
    );
  });

  it('twice as large is twice as long with half the curvature, and closes as well', () => {
    fc.assert(
      fc.property(closed, (line) => {
        const large = line.map(
          (s): Segment =>
            s.kind === 'corner' ? { ...s, radius: 2 * s.radius } : { ...s, length: 2 * s.length },
        );
        const [a, b] = [closingError(line), closingError(large)];
        expect(b.length).toBeCloseTo(2 * a.length, 6);
        expect(b.gap).toBeCloseTo(2 * a.gap, 6);
        expect(b.height).toBeCloseTo(2 * a.height, 6);
        expect(b.heading).toBeCloseTo(a.heading, 9);
      }),
    );
  });
});
