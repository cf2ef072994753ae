import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoProject } from '../../../demo/project';
import { dayInput, setupOf } from '../../model';
import { lapTime } from '../lap';
import { DEFAULT_NUMERICS, daySchedule } from './day';
import type { DayInput } from './dayInput';
import type { GivenPiece, Outcome } from './piece';

const input: DayInput = { ...dayInput(setupOf(demoProject, 'plan-tarn-anvil')), brakesEarlier: true };
const { sessions } = input;
const day: DayInput = {
  ...input,
  sessions: [
    {
      ...sessions[0],
      legs: [
        { kind: 'out', laps: 1, pace: 0.8 },
        { kind: 'hot', laps: 2, pace: 1 },
        { kind: 'cool', laps: 1, pace: 0.6 },
      ],
    },
  ],
};

/** Laps of the day where the brakes could make so much in each lap's braking zones, N. */
function driven(of: DayInput, available: (lap: number) => number): GivenPiece[] {
  const pieces = daySchedule(of, DEFAULT_NUMERICS).pieces();
  const laps: GivenPiece[] = [];
  let next = pieces.next();
  while (!next.done) {
    const piece = next.value as GivenPiece;
    laps.push(piece);
    const zones = piece.lap?.trace.zones ?? [];
    const outcome = { available: zones.map(() => available(laps.length - 1)), duration: 1, stop: null };
    next = pieces.next(outcome as unknown as Outcome);
  }
  return laps;
}
const most = ({ steps }: GivenPiece) => Math.max(...(steps.demand?.force ?? []));

describe('a driver who brakes earlier', () => {
  const planned = driven(day, () => Number.POSITIVE_INFINITY);
  const [out, hot, , cool] = planned.map(most);

  it('brakes as much earlier as the brakes fell short a lap ago, also where that lap asked for less', () => {
    expect(out).toBeLessThan(hot);
    fc.assert(
      fc.property(fc.double({ min: 0.5, max: 1.5, noNaN: true }), (share) => {
        const laps = driven(day, (lap) => (lap === 0 ? share * out : 1e9));
        expect(laps[2].steps).toBe(planned[2].steps);
        if (share >= 1) expect(laps[1].steps).toBe(planned[1].steps);
        else {
          expect(most(laps[1]) / hot).toBeGreaterThan(0.9 * share);
          expect(most(laps[1]) / hot).toBeLessThan(1.05 * share);
          expect(laps[1].steps.duration).toBeGreaterThan(planned[1].steps.duration);
        }
      }),
      { numRuns: 12 },
    );
    // A little too little is little the matter.
    const [just] = [driven(day, (lap) => (lap === 0 ? 0.9999 * out : 1e9))];
    expect(just[1].steps.duration / planned[1].steps.duration).toBeCloseTo(1, 4);
  });

  it('takes no notice where they were enough, or are for a slower lap, nor in a plan that is driven as it is', () => {
    const weak = 0.8 * hot;
    expect(cool).toBeLessThan(weak);
    const laps = driven(day, (lap) => (lap > 0 ? weak : 1e9));
    expect(laps[2].steps.duration).toBeGreaterThan(planned[2].steps.duration);
    expect(laps[3].steps).toBe(planned[3].steps);
    const asPlanned = driven({ ...day, brakesEarlier: false }, () => 0.1 * cool);
    expect(asPlanned.map(({ steps }) => steps)).toEqual(planned.map(({ steps }) => steps));
    expect(lapTime(laps[2].lap?.trace ?? fail())).toBeCloseTo(laps[2].steps.duration, 9);
  });
});

function fail(): never {
  throw new Error('a lap was expected');
}
