import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoProject } from '../../../demo/project';
import { dayInput, setupOf } from '../../model';
import { type CarState, cornerNetwork, freshState, WHEELS, warmed } from '../brake';
import {
  type DayInput,
  daySchedule,
  givenPiece,
  listedSchedule,
  type Piece,
  rollSteps,
  ScheduleError,
  standSteps,
  stopPiece,
} from '../schedule';
import { DEFAULT_STEPS } from '../schedule/steps';
import { simulateDay } from './day';
import type { Observer, PieceRun } from './observer';
import { run } from './run';

const TARN = dayInput(setupOf(demoProject, 'plan-tarn-anvil'));
const DAY = dayInput(setupOf(demoProject, 'plan-tarn-day'));
const AIR = TARN.sessions[0].ambient;

const stop = (from: number, to: number, deceleration: number) =>
  stopPiece({ from, to, ask: { deceleration }, ambient: AIR });
const roll = (from: number, to: number, time: number) => givenPiece(rollSteps(from, to, time), AIR);
const stand = (time: number, fan = 0) => givenPiece(standSteps(time, fan, DEFAULT_STEPS), AIR);
const brakesAt = (kelvin: number): CarState => {
  const { state } = run(TARN, TARN, listedSchedule([stand(1e-6)]), kelvin);
  return state;
};

/** Any driving: what each piece begins with is what the one before left. */
const anyPieces = fc
  .array(
    fc.oneof(
      fc.record({ kind: fc.constant('stop' as const), by: fc.double({ min: 0.1, max: 1, noNaN: true }) }),
      fc.record({ kind: fc.constant('roll' as const), by: fc.double({ min: 0.1, max: 1, noNaN: true }) }),
      fc.record({ kind: fc.constant('stand' as const), by: fc.double({ min: 0.1, max: 1, noNaN: true }) }),
    ),
    { minLength: 1, maxLength: 6 },
  )
  .map((kinds) =>
    kinds.map(({ kind, by }): Piece => {
      if (kind === 'stop') return stop(20 + 40 * by, 20 * (1 - by), 2 + 8 * by);
      return kind === 'roll' ? roll(60 * by, 60 * (1 - by), 60 * by) : stand(600 * by, 8 * by);
    }),
  );

describe('a run from a state', () => {
  it('driven in two halves, the second from where the first ended, is the whole', () => {
    const { sessions } = DAY;
    const halves = [sessions.slice(0, 1), sessions.slice(1)];
    const ambient = sessions[0].ambient;
    const one = { ...DAY, sessions: sessions.map((s) => ({ ...s, ambient })) };
    const first = simulateDay({ ...one, sessions: halves[0].map((s) => ({ ...s, ambient })) });
    const second = simulateDay({
      ...one,
      start: first.end,
      sessions: halves[1].map((s) => ({ ...s, ambient })),
    });
    const whole = simulateDay(one);
    for (const wheel of WHEELS) {
      for (const [name, kelvin] of Object.entries(whole.end[wheel].temperatures)) {
        expect(Math.abs(second.end[wheel].temperatures[name] - kelvin), `${wheel} ${name}`).toBeLessThan(
          1e-6,
        );
      }
      expect(second.end[wheel].glaze).toBeCloseTo(whole.end[wheel].glaze, 12);
      expect(second.end[wheel].padThickness.inner).toBeCloseTo(whole.end[wheel].padThickness.inner, 12);
    }
    // A start that is forgotten would leave the second half cold.
    const cold = simulateDay({ ...one, sessions: halves[1] });
    expect(
      second.record.wheels.frontLeft.rotorBulk[0] - cold.record.wheels.frontLeft.rotorBulk[0],
    ).toBeGreaterThan(10);
  });

  it('keeps its energy whatever is driven and however warm it begins, and never mends a pad', () => {
    fc.assert(
      fc.property(anyPieces, fc.double({ min: 270, max: 900, noNaN: true }), (pieces, kelvin) => {
        const seen: PieceRun[] = [];
        const watcher: Observer = { after: (piece) => seen.push(piece) };
        const { audit, record, state } = run(TARN, TARN, listedSchedule(pieces), kelvin, [watcher]);
        const scale = audit.supplied + Math.abs(audit.stored) + Math.abs(audit.lost);
        expect(Math.abs(audit.supplied - audit.stored - audit.lost)).toBeLessThan(1e-6 * scale);
        expect(seen.map((piece) => piece.count).reduce((a, b) => a + b, 1)).toBe(record.time.length);
        const end = seen[seen.length - 1];
        expect(record.time[record.time.length - 1]).toBeCloseTo(end.startTime + end.duration, 6);
        record.time.forEach((t, i) => {
          expect(i === 0 ? t === 0 : t > record.time[i - 1]).toBe(true);
        });
        for (const wheel of WHEELS) {
          const { glaze } = record.wheels[wheel];
          for (let i = 1; i < glaze.length; i++) expect(glaze[i]).toBeGreaterThanOrEqual(glaze[i - 1]);
          expect(state[wheel].glaze).toBe(glaze[glaze.length - 1]);
        }
      }),
      { numRuns: 30 },
    );
  });

  it('computes four wheels where two of an axle begin differently, and carries on what it does not move', () => {
    const even = brakesAt(400);
    const pull: CarState = {
      ...even,
      frontLeft: { ...even.frontLeft, glaze: 0.5, damage: 0.2, padThickness: { inner: 0.004, outer: 0.006 } },
    };
    const alone = run(TARN, TARN, listedSchedule([stop(40, 0, 6)]), pull);
    expect(alone.record.wheels.frontLeft).not.toBe(alone.record.wheels.frontRight);
    expect(alone.record.wheels.rearLeft).toBe(alone.record.wheels.rearRight);
    // The glazed pad rubs less, so the other one takes more of the axle's heat.
    const last = alone.record.time.length - 1;
    const { frontLeft, frontRight } = alone.record.wheels;
    expect(frontLeft.rotorBulk[last]).toBeLessThan(frontRight.rotorBulk[last] - 1);
    const worn = frontLeft.worn[last];
    expect(worn).toBeGreaterThan(1e-7);
    expect(alone.state.frontLeft).toMatchObject({
      damage: 0.2,
      padThickness: { inner: 0.004 - worn, outer: 0.006 - worn },
    });
  });

  it('wears its pads within the day: what is left is less, and passes more heat to plate and fluid', () => {
    const { thickness } = TARN.front.left.pad;
    const fresh = simulateDay(TARN);
    expect(fresh.padLeft.front).toBeCloseTo(thickness - fresh.record.wheels.frontLeft.worn.at(-1)!, 12);
    const last = fresh.end;
    const thin = (wheel: 'frontLeft' | 'frontRight') => ({
      ...brakesAt(AIR)[wheel],
      padThickness: { inner: 0.4 * thickness, outer: 0.4 * thickness },
    });
    const start: CarState = {
      ...brakesAt(AIR),
      frontLeft: thin('frontLeft'),
      frontRight: thin('frontRight'),
    };
    const worn = simulateDay({ ...TARN, start });
    expect(worn.padLeft.front).toBeLessThan(0.4 * thickness);
    expect(worn.peaks.frontLeft.plate).toBeGreaterThan(fresh.peaks.frontLeft.plate + 10);
    expect(worn.peaks.frontLeft.fluid).toBeGreaterThan(fresh.peaks.frontLeft.fluid + 3);
    // Nearly as a pad that is built so thin: that one stores less besides, which worn ones are not taken to.
    const built = { ...TARN.front.left, pad: { ...TARN.front.left.pad, thickness: 0.4 * thickness } };
    const same = simulateDay({ ...TARN, front: { ...TARN.front, left: built, right: built } });
    expect(Math.abs(worn.peaks.frontLeft.plate - same.peaks.frontLeft.plate)).toBeLessThan(12);
    expect(last.frontLeft.padThickness.inner).toBeLessThan(thickness);
  });

  it('takes a typed temperature, or those of single parts', () => {
    const warm: DayInput = { ...TARN, start: 393.15 };
    const cool: DayInput = { ...TARN, start: null };
    expect(simulateDay(warm).record.wheels.frontLeft.fluid[0]).toBeCloseTo(393.15, 9);
    expect(simulateDay(cool).record.wheels.frontLeft.fluid[0]).toBeCloseTo(AIR, 9);
    const layout = cornerNetwork(TARN.front.left, AIR, 101_325);
    const read = warmed(freshState(TARN.front.left, layout, AIR, 1, 1), layout, { rotor: 500, caliper: 350 });
    const start = { ...brakesAt(AIR), frontLeft: read, frontRight: read };
    const { record } = run(TARN, TARN, daySchedule(TARN), start);
    const { rotorFace, rotorBulk, caliper, piston, seal } = record.wheels.frontLeft;
    expect([rotorFace[0], rotorBulk[0], caliper[0], piston[0]].map(Math.round)).toEqual([500, 500, 350, 297]);
    expect(seal[0]).toBeCloseTo(0.5 * (350 + AIR), 6);
  });
});

describe('what nothing can begin from, or be driven by', () => {
  const begun = (change: object, wheel: 'frontLeft' | 'rearRight' = 'frontLeft') => {
    const even = brakesAt(300);
    return () =>
      run(TARN, TARN, listedSchedule([stand(1)]), { ...even, [wheel]: { ...even[wheel], ...change } });
  };
  const { temperatures } = brakesAt(300).frontLeft;

  it.each([
    [
      'under absolute zero',
      { temperatures: { ...temperatures, hat: -1 } },
      /frontLeft: .*temperatures\.hat: below absolute zero/,
    ],
    [
      'not a number',
      { temperatures: { ...temperatures, hat: Number.NaN } },
      /temperatures\.hat: out of range/,
    ],
    [
      'a node it does not have',
      { temperatures: { ...temperatures, flywheel: 300 } },
      /flywheel: unknown node/,
    ],
    ['a node left out', { temperatures: { hat: 300 } }, /temperatures\..*: missing node/],
    [
      'a negative thickness',
      { padThickness: { inner: 0.01, outer: -0.001 } },
      /padThickness\.outer: not positive/,
    ],
    ['a rotor of no thickness', { rotorThickness: 0 }, /rotorThickness: not positive/],
    ['more than all glazed', { glaze: 1.2 }, /glaze: out of range/],
  ])('a state with %s', (_, change, message) => {
    expect(begun(change)).toThrow(message);
    expect(begun(change, 'rearRight')).toThrow(/^rearRight/);
  });

  it.each([
    ['runs backwards', () => roll(10, -1, 5), /last speed.*forwards/],
    ['brakes to more than it has', () => stop(10, 20, 5), /less than the 10 m\/s/],
    ['stands for no time', () => stand(0), /stands for: 0/],
    ['asks for infinite deceleration', () => stop(30, 0, Number.POSITIVE_INFINITY), /deceleration: Infinity/],
    ['asks for no deceleration', () => stop(30, 0, 0), /deceleration: 0/],
    ['has nothing in it', () => listedSchedule([]), /pieces.*at least one/],
  ])('a schedule that %s', (_, made, message) => {
    expect(made).toThrow(ScheduleError);
    expect(made).toThrow(message);
  });
});
