import { describe, expect, it } from 'vitest';
import { demoProject } from '../../../demo/project';
import { dayInput, setupOf } from '../../model';
import { RECORDED_PARTS } from '../brake';
import type { LapTrace } from '../lap';
import type { DayInput } from '../schedule';

import { dayMargins, verdictOf } from './margins';
import { type DayRecord, emptySeries, emptyWheel } from './record';
import type { LapResult, LegResult, ZoneHeat } from './result';

const { front, rear } = dayInput(setupOf(demoProject));
const AIR = 297;
const input: Pick<DayInput, 'front' | 'rear' | 'sessions'> = {
  front,
  rear,
  sessions: [{ name: '', ambient: AIR, trackGrip: 1, legs: [] }],
};
const heat = (padFaceBefore: number): ZoneHeat => ({
  faceBefore: 500,
  bandPeak: 0,
  facePeak: 600,
  faceAfter: 550,
  bulkBefore: 480,
  bulkAfter: 520,
  padFaceBefore,
  fluidAfter: 350,
  frictionBefore: 0.4,
  frictionLeast: 0.4,
  frictionMean: 0.4,
});
const LEGS: LegResult[] = [
  { session: 0, kind: 'out', startTime: 0, endTime: 40 },
  { session: 0, kind: 'hot', startTime: 40, endTime: 80 },
  { session: 0, kind: 'paddock', startTime: 80, endTime: 100 },
];

/** A record of ten samples made by hand: two laps of four samples, then two in the paddock. */
function handMade(change: (at: (part: (typeof RECORDED_PARTS)[number], values: number[]) => void) => void) {
  const wheel = emptyWheel(10, 1);
  const cold = emptyWheel(10, 1);
  for (const part of RECORDED_PARTS) {
    wheel[part].fill(AIR);
    cold[part].fill(AIR);
  }
  const at = Array.from({ length: 10 }, (_, i) => i);
  const record: DayRecord = {
    time: Float64Array.from(at, (i) => i * 10),
    leg: Int32Array.from(at, (i) => Math.min(2, Math.floor(i / 4))),
    lap: Int32Array.from(at, (i) => (i < 4 ? 0 : i < 8 ? 1 : -1)),
    distance: new Float64Array(10),
    zone: Int32Array.from(at, (i) => (i % 4 === 0 || i >= 8 ? -1 : (i % 4) - 1)),
    wheels: { frontLeft: wheel, frontRight: wheel, rearLeft: cold, rearRight: cold },
    force: emptySeries(10).force,
  };
  change((part, values) => wheel[part].set(values));
  const lap = (number: number, kind: LapResult['kind'], pads: number[]): LapResult => {
    const heats = pads.map(heat);
    return {
      kind,
      number,
      session: 0,
      numberInSession: number,
      startTime: (number - 1) * 40,
      lapTime: 40,
      trace: { zones: [] } as unknown as LapTrace,
      wheels: { frontLeft: heats, frontRight: heats, rearLeft: heats, rearRight: heats },
      forces: [],
    };
  };
  const laps = [lap(1, 'out', [300, 310]), lap(2, 'hot', [420, 380, 440])];
  const margins = dayMargins(input, record, laps, LEGS).filter((m) => m.axle === 'front');
  return { record, laps, margins };
}

/** A foot that nothing is asked of. */
const FOOT = { margins: [], fade: null };

describe('margins of a record made by hand', () => {
  const limit = front.left.pad.limit;

  it('give the worst instant with its lap and braking zone, and the first past the limit', () => {
    const { margins, laps } = handMade((set) => {
      set('padFace', [AIR, 400, 500, 600, 700, limit + 5, limit + 20, limit - 50, 500, 450]);
    });
    const pad = margins.find((m) => m.part === 'padFace');
    expect(pad).toMatchObject({
      worst: limit + 20,
      margin: -20,
      at: { time: 60, lap: 2, zone: 1, standingTime: 0 },
      passed: { time: 50, lap: 2, zone: 0, standingTime: 0 },
    });
    expect(verdictOf(margins, FOOT, laps, null)).toMatchObject({
      kind: 'over-limit',
      margin: pad,
      hotLapsBefore: 0,
    });
  });

  it('place a peak after parking in the paddock, counted from the end of driving', () => {
    const { margins } = handMade((set) => {
      set('fluid', [AIR, 310, 320, 330, 340, 350, 360, 370, 380, 390]);
    });
    expect(margins.find((m) => m.part === 'fluid')).toMatchObject({
      worst: 390,
      at: { time: 90, lap: null, zone: -1, standingTime: 10 },
      passed: null,
    });
  });

  it('take the coldest braking point from hot laps only', () => {
    const { margins } = handMade(() => {});
    expect(margins.find((m) => m.part === 'bite')).toMatchObject({ worst: 380, at: { lap: 2, zone: 1 } });
    expect(verdictOf(margins, FOOT, handMade(() => {}).laps, null)).toMatchObject({
      kind: 'below-working',
      margin: { part: 'bite' },
      coldBite: { part: 'bite' },
    });
  });

  it('call a small share close and a large one in hand', () => {
    // Bite is left out here: the hand-made hot lap has one braking point under the pad's window.
    const verdictAt = (share: number) => {
      const { margins, laps } = handMade((set) => {
        set('padFace', Array<number>(10).fill(limit - share * (limit - AIR)));
      });
      return verdictOf(
        margins.filter((m) => m.part !== 'bite'),
        FOOT,
        laps,
        null,
      );
    };
    expect(verdictAt(0.05)).toMatchObject({
      kind: 'close',
      margin: { part: 'padFace' },
      hotLapsBefore: null,
    });
    expect(verdictAt(0.4).kind).toBe('within-limits');
    expect(verdictAt(0.05).margin.share).toBeCloseTo(0.05, 9);
  });

  it('choose the first in time, not the largest excess', () => {
    const { margins, laps } = handMade((set) => {
      set('padFace', [AIR, AIR, AIR, AIR, AIR, limit + 90, limit + 90, AIR, AIR, AIR]);
      set('fluid', [AIR, AIR, front.boilingPoint + 1, AIR, AIR, AIR, AIR, AIR, AIR, AIR]);
    });
    expect(verdictOf(margins, FOOT, laps, null).margin.part).toBe('fluid');
  });
});
