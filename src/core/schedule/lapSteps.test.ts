import { describe, expect, it } from 'vitest';
import { demoProject } from '../../../demo/project';
import { dayInput, setupOf } from '../../model';
import { GAMMA } from '../heat';
import { driveLap, type LapTrace, lapHeat, prepareCircuit } from '../lap';
import { lapSteps } from './lapSteps';
import { DEFAULT_STEPS } from './steps';

function scheduled(planId: string) {
  const input = dayInput(setupOf(demoProject, planId));
  const trace = driveLap(
    prepareCircuit(input.circuit),
    input.vehicle,
    { ...input.driver, pace: 1 },
    { airDensity: 1.2, ductDragArea: 0 },
  );
  return { trace, schedule: lapSteps(trace, DEFAULT_STEPS) };
}

/** Heat of all brakes up to a time, J, straight from the trace. */
function workUntil(trace: LapTrace, time: number): number {
  let i = 0;
  while (i < trace.time.length - 2 && trace.time[i + 1] <= time) i++;
  const share = Math.min(1, (time - trace.time[i]) / (trace.time[i + 1] - trace.time[i]));
  const made = (k: number) => trace.frontHeat[k] + trace.rearHeat[k] + trace.slipped[k] + trace.recovered[k];
  return made(i) + share * (made(i + 1) - made(i));
}

describe.each(demoProject.plans.map((plan) => plan.id))('steps of a lap: %s', (id) => {
  const { trace, schedule } = scheduled(id);
  const { time, dt } = schedule;
  const demand = schedule.demand!;

  it('cover the lap without a gap and end where the lap ends', () => {
    let at = 0;
    dt.forEach((step, k) => {
      expect(step).toBeGreaterThan(0);
      at += step;
      expect(time[k]).toBeCloseTo(at, 9);
    });
    expect(at).toBeCloseTo(trace.time[trace.time.length - 1], 9);
    expect(schedule.distance[dt.length - 1]).toBeCloseTo(trace.distance[trace.distance.length - 1], 6);
  });

  it('begin and end with each braking', () => {
    trace.zones.forEach((zone, k) => {
      const inside = [...schedule.zone.keys()].filter(
        (i) => schedule.zone[i] === k && schedule.inZone[i] === 1,
      );
      expect(inside.length).toBeGreaterThanOrEqual(DEFAULT_STEPS.leastPerZone);
      expect(time[inside[0]] - dt[inside[0]]).toBeCloseTo(trace.time[zone.startIndex], 9);
      expect(time[inside[inside.length - 1]]).toBeCloseTo(trace.time[zone.endIndex], 9);
      expect(schedule.event[inside[0]]).toBe(1);
      // The first is a quarter of the others.
      expect(dt[inside[0]] + dt[inside[1]]).toBeCloseTo(dt[inside[2]], 9);
      expect(dt[inside[0]]).toBeCloseTo(dt[inside[2]] / 4, 9);
    });
  });

  it('carry each step’s exact work in its two stage powers, none of them negative', () => {
    for (let k = 0; k < dt.length; k++) {
      const carried = dt[k] * ((1 - GAMMA) * demand.early[k] + GAMMA * demand.late[k]);
      const exact = workUntil(trace, time[k]) - workUntil(trace, time[k] - dt[k]);
      expect(Math.abs(carried - exact)).toBeLessThan(1e-6 * Math.max(1, lapHeat(trace)));
      expect(demand.early[k]).toBeGreaterThanOrEqual(-1e-9);
      expect(demand.late[k]).toBeGreaterThanOrEqual(-1e-9);
    }
  });
});
