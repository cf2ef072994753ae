import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { GAMMA } from '../heat';
import { BENCH_PHASES, type BenchStop, benchSchedule } from './bench';
import type { GivenPiece } from './piece';

const stop: BenchStop = {
  phase: 'programme',
  from: 120,
  to: 45,
  duration: 3.2,
  energy: 2.4e5,
  pause: 22,
  turning: 100,
  air: 30,
};
const piecesOf = (stops: readonly BenchStop[]) => {
  const schedule = benchSchedule({ ambient: 296, axle: 'rear', wheelRadius: 0.31, stops });
  const pieces: GivenPiece[] = [];
  const iterator = schedule.pieces();
  const none = {
    available: [],
    duration: 0,
    stop: null,
    of: () => {
      throw new Error('not asked');
    },
  };
  for (let next = iterator.next(); !next.done; next = iterator.next(none))
    pieces.push(next.value as GivenPiece);
  return { schedule, pieces };
};

describe('a bench programme as it is driven', () => {
  it('gives each stop its work exactly, a power that falls in a line with the speed, and its own time', () => {
    fc.assert(
      fc.property(
        fc.record({
          from: fc.double({ min: 20, max: 260, noNaN: true }),
          ratio: fc.double({ min: 0.02, max: 0.95, noNaN: true }),
          duration: fc.double({ min: 0.3, max: 30, noNaN: true }),
          energy: fc.double({ min: 1e3, max: 5e6, noNaN: true }),
        }),
        ({ from, ratio, duration, energy }) => {
          const [braking] = piecesOf([{ ...stop, from, to: ratio * from, duration, energy }]).pieces;
          const { dt, demand, time, speed } = braking.steps;
          if (!demand) throw new Error('no demand');
          const work = dt.reduce(
            (sum, step, k) => sum + step * ((1 - GAMMA) * demand.early[k] + GAMMA * demand.late[k]),
            0,
          );
          expect(work / energy).toBeCloseTo(1, 9);
          expect(time[time.length - 1]).toBeCloseTo(duration, 9);
          expect(speed[0]).toBeLessThan(0.31 * from);
          // Power over speed is the torque: the same at the first and at the last step's end.
          const torque = (2 * energy) / ((from + ratio * from) * duration);
          expect(demand.late[dt.length - 1] / (ratio * from) / torque).toBeCloseTo(1, 9);
        },
      ),
    );
  });

  it('turns on in its air between stops; legs are the phases, the heat is one axle’s alone', () => {
    const { schedule, pieces } = piecesOf([{ ...stop, phase: 'bedding' }, stop]);
    expect(pieces.map(({ leg, alone }) => [leg, alone])).toEqual([
      [0, 'rear'],
      [0, 'rear'],
      [2, 'rear'],
      [2, 'rear'],
    ]);
    expect(schedule.legs).toHaveLength(BENCH_PHASES.length);
    const [, turning] = pieces;
    expect(turning.steps.duration).toBeCloseTo(22, 9);
    expect(turning.steps.demand).toBeNull();
    for (const v of turning.steps.speed) expect(v).toBeCloseTo(31, 9);
    for (const v of turning.steps.airSpeed) expect(v).toBe(30);
    expect(turning.steps.dt[0]).toBeLessThan(0.2);
  });

  it('names the stop and the figure that cannot be', () => {
    const refused = (change: Partial<BenchStop>) => () => piecesOf([stop, { ...stop, ...change }]);
    expect(refused({ energy: 0 })).toThrow(/work of bench stop 2/);
    expect(refused({ duration: -1 })).toThrow(/duration of bench stop 2/);
    expect(refused({ pause: 0 })).toThrow(/pause of bench stop 2/);
    expect(refused({ to: 200 })).toThrow(/first speed of bench stop 2/);
    expect(refused({ air: Number.NaN })).toThrow(/cooling air of bench stop 2/);
    expect(() => benchSchedule({ ambient: 296, axle: 'rear', wheelRadius: 0, stops: [stop] })).toThrow(
      /wheel radius/,
    );
    expect(() => benchSchedule({ ambient: 296, axle: 'rear', wheelRadius: 0.3, stops: [] })).toThrow();
  });
});
