import { describe, expect, it } from 'vitest';
import { demoProject } from '../../../../demo/project';
import { hottestLap, simulateDay } from '../../../core';
import { dayInput, setupOf } from '../../../model';
import { axlePower, lapSamples, topTemperature } from './lapSlice';

const result = simulateDay(dayInput(setupOf(demoProject)));

describe('what the charts take from a result', () => {
  it('cuts the record into laps that follow each other and leave only the start and the paddock out', () => {
    let end = 1; // the first sample is the start, at rest
    for (const lap of result.laps) {
      const [from, to] = lapSamples(result, lap.number);
      expect(from).toBe(end);
      expect(to).toBeGreaterThan(from);
      for (let i = from; i < to; i++) expect(result.record.lap[i]).toBe(lap.number - 1);
      end = to;
    }
    expect(result.record.time[end - 1]).toBeCloseTo(result.drivingTime, 6);
    expect(result.record.lap[end]).toBe(-1);
  });

  it('draws a power whose area is the heat of the lap', () => {
    for (const axle of ['front', 'rear'] as const) {
      const { trace, forces } = result.laps[3];
      const power = axlePower(result, 4, axle);
      let heat = 0;
      for (let i = 0; i < trace.time.length - 1; i++)
        heat += power[i] * 1000 * (trace.time[i + 1] - trace.time[i]);
      const made = forces.reduce((sum, f) => sum + (axle === 'front' ? f.frontHeat : f.rearHeat), 0);
      // Brakings too short to be a braking zone are shared as planned; all but a thousandth is in braking zones.
      expect(Math.abs(heat / made - 1)).toBeLessThan(1e-3);
    }
  });

  it('opens on a hot lap that is as hot as any', () => {
    const lap = result.laps[hottestLap(result) - 1];
    expect(lap.kind).toBe('hot');
    const peak = Math.max(...lap.wheels.frontLeft.map((zone) => zone.facePeak));
    expect(result.peaks.frontLeft.rotorFace - peak).toBeLessThan(1);
  });

  it('finds the highest temperature that a chart must hold, of all results given', () => {
    const top = topTemperature([null, undefined, result]);
    expect(top + 273.15).toBeGreaterThanOrEqual(result.peaks.frontLeft.rotorFace);
    expect(topTemperature([null])).toBe(0);
  });
});
