import { describe, expect, it } from 'vitest';
import { demoProject } from '../../../demo/project';
import { dayInput, setupOf } from '../../model';
import { brakeWork, brakingDeceleration, forcesOf } from '../lap';
import { techniqueOf } from './technique';

const prototype = dayInput(setupOf(demoProject, 'plan-skarn-fen'));
const density = 1.2;
const forces = forcesOf(prototype.vehicle, { ...prototype.driver, pace: 1 }, density, 0);
const grip = (v: number) => brakingDeceleration(forces, v, 0, 0);
const STEP = 0.25;

/** A straight, a stop as `rate` has it over time since first touch, and away again. */
function lap({
  from = 70,
  to = 25,
  coast = 0,
  rate,
}: {
  from?: number;
  to?: number;
  coast?: number;
  rate: (v: number, since: number) => number;
}) {
  const speed = [from - 6];
  const distance = [0];
  const push = (v: number) => {
    speed.push(v);
    distance.push(distance[distance.length - 1] + STEP);
  };
  const last = () => speed[speed.length - 1];
  while (last() < from) push(Math.min(from, Math.sqrt(last() ** 2 + 2 * 3 * STEP)));
  for (let way = 0; way < coast * from; way += STEP) push(Math.sqrt(last() ** 2 - 2 * 0.4 * STEP));
  let since = 0;
  while (last() > to) {
    const v = last();
    const next = Math.sqrt(Math.max(to * to, v * v - 2 * Math.max(0.5, rate(v, since)) * STEP));
    since += (2 * STEP) / (v + next);
    push(next);
  }
  for (let k = 0; k < 400; k++) push(Math.sqrt(last() ** 2 + 2 * 3 * STEP));
  const n = speed.length - 1;
  return brakeWork(
    {
      distance: Float64Array.from(distance),
      speed: Float64Array.from(speed),
      grade: new Float64Array(n),
      curvature: new Float64Array(n),
    },
    prototype.vehicle,
    forces,
  );
}
const read = (
  trace: ReturnType<typeof lap>,
  pressing: Parameters<typeof techniqueOf>[0]['pressing'] = null,
) => {
  const zones = techniqueOf({ trace, forces, buildUp: 0.2, curvature: () => 0, pressing });
  expect(zones).toHaveLength(1);
  return zones[0];
};
const ramp = (since: number, buildUp: number) => Math.min(1, since / buildUp + 0.02);

describe('technique in a braking zone with downforce', () => {
  it('of who follows the falling grip gives hardly anything away', () => {
    const zone = read(lap({ rate: (v, since) => ramp(since, 0.2) * grip(v) }));
    expect(zone.use).toBeGreaterThan(0.95);
    expect(zone.over).toBeLessThan(0.05);
    expect(zone.metres).toBeLessThan(2);
    expect(zone.stabs).toBe(1);
    expect(zone.coasting).toBeLessThan(0.1);
    expect(Math.abs(zone.press - zone.pressed)).toBeLessThan(3);
    // The grip falls with the speed, and the peak lies at its begin.
    expect(grip(70)).toBeGreaterThan(1.3 * grip(25));
    expect(zone.peakAt).toBeLessThan(zone.pressed + 25);
  });

  it('of who brakes with four fifths of it could brake later by what the ways differ', () => {
    const gentle = lap({ rate: (v, since) => ramp(since, 0.2) * 0.8 * grip(v) });
    const full = lap({ rate: (v, since) => ramp(since, 0.2) * grip(v) });
    const zone = read(gentle);
    expect(zone.use).toBeCloseTo(0.8, 1);
    const shorter = gentle.zones[0].length - full.zones[0].length;
    expect(Math.abs(zone.metres - shorter)).toBeLessThan(3);
    expect(zone.seconds).toBeGreaterThan(0.05);
    expect(zone.seconds).toBeLessThan(shorter / 25);
    expect(zone.press).toBeGreaterThan(zone.pressed);
  });

  it('of who holds the first force on is called held too long', () => {
    const zone = read(
      lap({ rate: (v, since) => ramp(since, 0.2) * (v > 45 ? 0.97 * grip(v) : 0.97 * grip(45)) }),
    );
    expect(zone.over).toBeGreaterThan(0.2);
  });

  it('of who coasts, builds up slowly or presses twice is told so', () => {
    const coasted = read(lap({ coast: 0.6, rate: (v, since) => ramp(since, 0.2) * grip(v) }));
    expect(coasted.coasting).toBeGreaterThan(0.5);
    expect(coasted.coasting).toBeLessThan(0.8);
    expect(coasted.metres).toBeGreaterThan(0.4 * coasted.coastingWay);
    const slow = read(lap({ rate: (v, since) => ramp(since, 0.9) * grip(v) }));
    expect(slow.buildUp).toBeGreaterThan(0.5);
    expect(slow.buildUp).toBeLessThan(0.9);
    const stabbed = read(
      lap({ rate: (v, since) => (since > 0.7 && since < 1 ? 0.35 : ramp(since, 0.2)) * grip(v) }),
    );
    expect(stabbed.stabs).toBe(2);
  });

  it('is read from the foot where it was logged, unrest of it left alone', () => {
    const trace = lap({ rate: (v, since) => ramp(since, 0.2) * grip(v) });
    const [{ startIndex, endIndex }] = trace.zones;
    const [start, end] = [trace.time[startIndex], trace.time[endIndex]];
    const time = Float64Array.from({ length: 400 }, (_, i) => start - 1 + i * 0.02);
    const value = time.map((t) => {
      if (t < start || t > end) return 2 * Math.sin(40 * t) ** 2;
      return (
        700 * Math.min(1, (t - start) / 0.4) * (1 - (0.4 * (t - start)) / (end - start)) +
        25 * Math.sin(40 * t)
      );
    });
    const zone = read(trace, { time, value });
    expect(zone.stabs).toBe(1);
    expect(zone.buildUp).toBeGreaterThan(0.22);
    expect(zone.buildUp).toBeLessThan(0.42);
  });

  it('lays both ways over each other: one end, the ideal never slower before it', () => {
    const { overlay, press } = read(lap({ rate: (v, since) => ramp(since, 0.3) * 0.8 * grip(v) }));
    const last = overlay.distance.length - 1;
    expect(overlay.speed[last]).toBeCloseTo(overlay.idealSpeed[last], 6);
    overlay.distance.forEach((d, i) => {
      expect(overlay.idealSpeed[i]).toBeGreaterThanOrEqual(overlay.speed[i] - 0.3);
      if (d < press - 3) expect(overlay.ideal[i]).toBe(0);
    });
    expect(Math.max(...overlay.ideal)).toBeGreaterThan(0.9 * grip(70));
  });
});
