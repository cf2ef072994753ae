import { describe, expect, it } from 'vitest';
import { demoProject } from '../../../demo/project';
import { dayInput, setupOf } from '../../model';
import { intervalAt } from '../numeric';
import { driveLap, type PreparedCircuit, prepareCircuit } from './driveLap';
import { brakingDeceleration, type Forces, forcesOf } from './forces';
import { type LapTrace, lapHeat, lapTime } from './trace';

const air = { airDensity: 1.18, ductDragArea: 0.01 };
const PACES = Array.from({ length: 200 }, (_, k) => 0.35 + (0.65 * k) / 199);
const plans = demoProject.plans.map(({ id }) => id);
/** What plans know only in part: gentle bends make build-ups that what holds a car back is enough for. */
const BUILD_UPS = [0, 0.2, 0.45];

/** Hardest braking of a lap over what is possible on a straight at that speed, and where, m. */
function hardest({ line }: Extract<PreparedCircuit, { kind: 'line' }>, forces: Forces, trace: LapTrace) {
  const possible = (speed: number, i: number) =>
    brakingDeceleration(forces, speed, 0, line.grade[i], undefined, 0, line.headwind?.[i]);
  let [worst, where] = [0, 0];
  for (let i = 0; i + 1 < trace.time.length; i++) {
    const [s0, s1] = [trace.distance[i], trace.distance[i + 1]];
    const slowed = (trace.speed[i] ** 2 - trace.speed[i + 1] ** 2) / (2 * (s1 - s0));
    if (slowed <= 0) continue;
    const k = intervalAt(line.distance, (0.5 * (s0 + s1)) % line.length);
    const fastest = Math.max(trace.speed[i], trace.speed[i + 1]);
    const share = slowed / Math.max(possible(fastest, k), possible(fastest, k + 1));
    if (share > worst) [worst, where] = [share, s0];
  }
  return { worst, where };
}

describe('where brakings begin', () => {
  it.each(plans)('is between points of the line, and no lap is braked harder than it can be: %s', (plan) => {
    const day = dayInput(setupOf(demoProject, plan));
    const circuit = prepareCircuit(day.circuit, undefined, day.wind);
    if (circuit.kind !== 'line') throw new Error('a line was expected');
    const closer = prepareCircuit(day.circuit, 0.5, day.wind);
    for (const [k, pace] of PACES.entries()) {
      const driver = { ...day.driver, pace, brakeBuildUp: BUILD_UPS[k % BUILD_UPS.length] };
      const trace = driveLap(circuit, day.vehicle, driver, air);
      const forces = forcesOf(day.vehicle, driver, air.airDensity, air.ductDragArea);
      const { worst, where } = hardest(circuit, forces, trace);
      expect(worst, `pace ${pace}, ${where.toFixed(2)} m`).toBeLessThan(1.03);
      expect(trace.distance.every((s, i) => i === 0 || s > trace.distance[i - 1])).toBe(true);
      expect(trace.distance.length).toBeGreaterThanOrEqual(circuit.line.distance.length);
      if (k % 10 > 0) continue;
      // Points of the line twice as close tell the same lap.
      const same = driveLap(closer, day.vehicle, driver, air);
      expect(lapTime(same) / lapTime(trace)).toBeCloseTo(1, 3);
      expect(lapHeat(same) / lapHeat(trace)).toBeCloseTo(1, 2);
    }
  });

  it('is the sooner the slower the brakes build up, on the speeds of full power', () => {
    const day = dayInput(setupOf(demoProject, 'plan-tarn-anvil'));
    const circuit = prepareCircuit(day.circuit, undefined, day.wind);
    const laps = BUILD_UPS.map((brakeBuildUp) =>
      driveLap(circuit, day.vehicle, { ...day.driver, pace: 1, brakeBuildUp }, air),
    );
    const starts = laps.map(({ zones, distance }) => zones.map((zone) => distance[zone.startIndex]));
    starts[0].forEach((start, k) => {
      expect([starts[1][k] < start, starts[2][k] < starts[1][k]], `${start} m`).toEqual([true, true]);
      // A braking that builds up is as strong as any in the middle of it: it takes half of the time more.
      const [, , slow] = laps;
      const earlier = slow.speed[slow.zones[k].startIndex] * 0.5 * BUILD_UPS[2];
      expect((start - starts[2][k]) / earlier).toBeGreaterThan(0.5);
      expect((start - starts[2][k]) / earlier).toBeLessThan(1.5);
    });
  });
});
