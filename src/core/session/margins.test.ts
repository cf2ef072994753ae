import { describe, expect, it } from 'vitest';
import { demoProject } from '../../../demo/project';
import { sessionInput, setupOf } from '../../project';
import type { LapTrace } from '../drive';

import { axleMargins, verdictOf } from './margins';
import { emptyRecord, RECORDED_PARTS } from './record';
import type { LapResult, StopHeat } from './result';

const { front } = sessionInput(setupOf(demoProject));
const AIR = 297;
const heat = (padFaceBefore: number): StopHeat => ({
  faceBefore: 500,
  facePeak: 600,
  faceAfter: 550,
  bulkBefore: 480,
  bulkAfter: 520,
  padFaceBefore,
  fluidAfter: 350,
});

/** A record of ten samples made by hand: two laps of four samples, then two in the paddock. */
function handMade(change: (at: (part: (typeof RECORDED_PARTS)[number], values: number[]) => void) => void) {
  const record = emptyRecord(10);
  for (let i = 0; i < 10; i++) {
    record.time[i] = i * 10;
    record.lap[i] = i < 4 ? 0 : i < 8 ? 1 : 2;
    record.stop[i] = i % 4 === 0 ? -1 : (i % 4) - 1;
  }
  for (const part of RECORDED_PARTS) record.front[part].fill(AIR);
  change((part, values) => record.front[part].set(values));
  const lap = (number: number, kind: LapResult['kind'], pads: number[]): LapResult => ({
    kind,
    number,
    startTime: (number - 1) * 40,
    lapTime: 40,
    trace: { stops: [] } as unknown as LapTrace,
    front: pads.map(heat),
    rear: pads.map(heat),
  });
  const laps = [lap(1, 'out', [300, 310]), lap(2, 'hot', [420, 380, 440])];
  return { record, laps, margins: axleMargins('front', front, record, laps, AIR, 80) };
}

describe('margins of a record made by hand', () => {
  const limit = front.corner.pad.limit;

  it('give the worst instant with its lap and stop, and the first past the limit', () => {
    const { margins, laps } = handMade((set) => {
      set('padFace', [AIR, 400, 500, 600, 700, limit + 5, limit + 20, limit - 50, 500, 450]);
    });
    const pad = margins.find((m) => m.part === 'padFace');
    expect(pad).toMatchObject({
      worst: limit + 20,
      margin: -20,
      at: { time: 60, lap: 2, stop: 1, paddockTime: 0 },
      passed: { time: 50, lap: 2, stop: 0, paddockTime: 0 },
    });
    expect(verdictOf(margins, laps)).toMatchObject({ kind: 'gives-out', margin: pad, hotLapsBefore: 0 });
  });

  it('place a peak after parking in the paddock, counted from the end of driving', () => {
    const { margins } = handMade((set) => {
      set('fluid', [AIR, 310, 320, 330, 340, 350, 360, 370, 380, 390]);
    });
    expect(margins.find((m) => m.part === 'fluid')).toMatchObject({
      worst: 390,
      at: { time: 90, lap: null, stop: -1, paddockTime: 10 },
      passed: null,
    });
  });

  it('take the coldest braking point from hot laps only', () => {
    const { margins } = handMade(() => {});
    expect(margins.find((m) => m.part === 'bite')).toMatchObject({ worst: 380, at: { lap: 2, stop: 1 } });
    expect(verdictOf(margins, handMade(() => {}).laps).coldBite?.part).toBe('bite');
  });

  it('call a small share close and a large one in hand', () => {
    const verdictAt = (share: number) => {
      const { margins, laps } = handMade((set) => {
        set('padFace', Array<number>(10).fill(limit - share * (limit - AIR)));
      });
      return verdictOf(margins, laps);
    };
    expect(verdictAt(0.05)).toMatchObject({
      kind: 'close',
      margin: { part: 'padFace' },
      hotLapsBefore: null,
    });
    expect(verdictAt(0.4).kind).toBe('in-hand');
    expect(verdictAt(0.05).margin.share).toBeCloseTo(0.05, 9);
  });

  it('choose the first in time, not the largest excess', () => {
    const { margins, laps } = handMade((set) => {
      set('padFace', [AIR, AIR, AIR, AIR, AIR, limit + 90, limit + 90, AIR, AIR, AIR]);
      set('fluid', [AIR, AIR, front.boilingPoint + 1, AIR, AIR, AIR, AIR, AIR, AIR, AIR]);
    });
    expect(verdictOf(margins, laps).margin.part).toBe('fluid');
  });
});
