import { describe, expect, it } from 'vitest';
import { demoProject } from '../../../../demo/project';
import { heatBalance, networkOf, simulateDay } from '../../../core';
import { dayInput, METRIC, setupOf, US } from '../../../model';
import { flowPicture } from './flowPicture';
import { inWordsOf, jouleText, sampleAt, spanOf, wattText, zoneSpans } from './moments';

const input = dayInput(setupOf(demoProject, 'plan-tarn-day'));
const result = simulateDay(input);
const { record } = result;
const spans = zoneSpans(result);

describe('moments of a day', () => {
  it('finds the sample at a time, and the ends', () => {
    for (const i of [0, 1, 77, 1234, record.time.length - 1])
      expect(sampleAt(result, record.time[i])).toBe(i);
    expect(sampleAt(result, -5)).toBe(0);
    expect(sampleAt(result, 1e9)).toBe(record.time.length - 1);
    expect(sampleAt(result, 0.5 * (record.time[500] + record.time[501]))).toBe(500);
  });

  it('cuts the day into its stops, one after the other, each with the way to the next', () => {
    const zones = result.laps.reduce((sum, lap) => sum + lap.trace.zones.length, 0);
    expect(spans.length).toBe(zones);
    spans.forEach((span, k) => {
      expect(span.to).toBeGreaterThan(span.from);
      if (k > 0) expect(span.from).toBe(spans[k - 1].to);
      expect(spanOf(spans, span.from)).toBe(span);
    });
    expect(spanOf(spans, 0)).toBeNull();
    expect(spanOf(spans, record.time.length - 1)).toBe(spans[spans.length - 1]);
  });
});

describe('the picture of where heat went', () => {
  it('gives each part in the middle as much as it takes, for any stop', () => {
    const layout = networkOf(input, 'frontLeft');
    for (const span of [spans[0], spans[20], spans[60], spans[100]]) {
      const { ambient } = input.sessions[result.laps[span.lap - 1].session];
      const balance = heatBalance(layout, record, record.wheels.frontLeft, span.from, span.to, ambient);
      const { places, flows } = flowPicture(balance);
      const made = balance.intoRotor + balance.intoPads;
      places.forEach((place, i) => {
        if (place.kind !== 'part') return;
        const sum = (end: 'source' | 'target') =>
          flows.reduce((total, flow) => total + (flow[end] === i ? flow.value : 0), 0);
        const passed = Math.max(sum('target'), sum('source'));
        expect(Math.abs(sum('target') - sum('source'))).toBeLessThan(0.03 * passed + 0.005 * made);
      });
      for (const flow of flows) expect(flow.value).toBeGreaterThan(0);
    }
  });

  it('writes watts and joules so that they can be read', () => {
    expect([0.4, -312.4, 1234, 45_678].map((watts) => wattText(watts, METRIC))).toEqual([
      '0 W',
      '−312 W',
      '1.2 kW',
      '46 kW',
    ]);
    expect([jouleText(1234, METRIC), jouleText(123_400, METRIC)]).toEqual(['1.2 kJ', '123 kJ']);
    // 1 W is 3.412 BTU/h (National Institute of Standards and Technology, SP 811).
    expect([wattText(1000, US), jouleText(123_400, US)]).toEqual(['3412 BTU/h', '117 BTU']);
    expect(inWordsOf(true, 'rotor to hat')).toBe('drum to web');
    expect(inWordsOf(false, 'rotor to hat')).toBe('rotor to hat');
  });
});
