import { beforeAll, describe, expect, it } from 'vitest';
import { demoProject } from '../../../demo/project';
import { oneSession } from '../../../tests/support/sessions';
import { dayInput, setupOf, storedBrakesOf } from '../../model';
import { startFrom } from '../../model/toCore/state';
import {
  assertState,
  type CarState,
  cornerOfWheel,
  freshState,
  refitted,
  stateFault,
  WHEELS,
} from '../brake';
import { givenPiece, listedSchedule, rollSteps } from '../schedule';
import { judgedDay } from './judgedDay';
import { networkOf } from './networkRun';
import type { DayResult } from './result';
import { run } from './run';

const whole = setupOf(demoProject, 'plan-tarn-anvil');
const setup = { ...whole, plan: oneSession(whole.plan, { hotLaps: 4, paddockMin: 2 }) };
const { car } = setup;
/** The day with so much of the front pads bedded. */
const dayWith = (beddedPercent: number, rear = 100): DayResult =>
  judgedDay(
    dayInput({
      ...setup,
      car: { ...car, front: { ...car.front, beddedPercent }, rear: { ...car.rear, beddedPercent: rear } },
    }),
  );

describe('a day begun with pads that are not bedded', () => {
  let bedded: DayResult;
  let fresh: DayResult;
  beforeAll(() => {
    bedded = dayWith(100);
    fresh = dayWith(0);
  });

  it('beds them as it is driven: the share only grows, and braking in the band is what makes it', () => {
    const { bedded: share, padFace, early, late } = fresh.record.wheels.frontLeft;
    const { low, high } = dayInput(setup).front.left.pad.bedding;
    expect(share[0]).toBe(0);
    for (let k = 1; k < share.length; k++) {
      expect(share[k]).toBeGreaterThanOrEqual(share[k - 1]);
      if (share[k] === share[k - 1]) continue;
      expect(early[k] + late[k]).toBeGreaterThan(0);
      expect(padFace[k]).toBeGreaterThanOrEqual(low - 1e-9);
      expect(padFace[k]).toBeLessThanOrEqual(high + 1e-9);
    }
    expect(fresh.end.frontLeft.bedded).toBe(share[share.length - 1]);
    expect(fresh.end.frontLeft.bedded).toBeGreaterThan(0.3);
    expect(fresh.bedded).toEqual({ front: 0, rear: 1 });
  });

  it('has friction lower by a quarter of what is missing, at the same temperature and glaze', () => {
    const { friction, padFace, glaze, bedded: share } = fresh.record.wheels.frontLeft;
    const other = bedded.record.wheels.frontLeft;
    expect(friction[0] / other.friction[0]).toBeCloseTo(0.75, 9);
    // Of each sample by itself: the table at the face's temperature, less what glaze and film take.
    const at = friction.length - 1;
    const table = (k: number) => friction[k] / (1 - 0.35 * glaze[k]) / (1 - 0.25 * (1 - share[k]));
    expect(table(at)).toBeGreaterThan(0.2);
    expect(padFace[at]).toBeGreaterThan(0);
  });

  it('asks more of the foot and gives work to the other axle', () => {
    const pedal = ({ record }: DayResult) => Math.max(...record.force.pedal.slice(1, 60));
    expect(pedal(fresh)).toBeGreaterThan(pedal(bedded));
    const rear = ({ laps }: DayResult) => laps[0].forces.reduce((sum, zone) => sum + zone.rearHeat, 0);
    expect(rear(fresh)).toBeGreaterThan(1.05 * rear(bedded));
    expect(fresh.audit.residual).toBeLessThan(1e-3);
  });

  it('is the day as ever where all is bedded: to the last digit', () => {
    const again = judgedDay(dayInput(setup));
    expect(again.record.wheels.frontLeft.friction).toEqual(bedded.record.wheels.frontLeft.friction);
    expect(again.verdict).toEqual(bedded.verdict);
    expect(bedded.record.wheels.frontLeft.bedded.every((share) => share === 1)).toBe(true);
  });

  it('goes on from where the one before left it, through what is stored', () => {
    const input = dayInput(setup);
    const stored = storedBrakesOf(fresh.end);
    expect(stored.frontLeft.beddedPercent).toBeCloseTo(100 * fresh.end.frontLeft.bedded, 6);
    const begun = startFrom(stored, input, input.sessions[0].ambient, 101_325);
    const next = judgedDay({ ...input, start: begun });
    expect(next.record.wheels.frontLeft.bedded[0]).toBeCloseTo(fresh.end.frontLeft.bedded, 8);
    expect(next.end.frontLeft.bedded).toBeGreaterThan(fresh.end.frontLeft.bedded);
    // A state's share goes before the car's own.
    expect(next.bedded.front).toBeLessThan(1);
  });
});

describe('a bedded share that cannot be', () => {
  const input = dayInput(setup);
  const layout = networkOf(input, 'frontLeft');
  const corner = input.front.left;
  const state = freshState(corner, layout, 300, 1, 0.4);

  it.each([-0.1, 1.1, Number.NaN])('of %f is refused by name', (bedded) => {
    expect(stateFault(layout, { ...state, bedded })).toMatchObject({ code: 'out of range', path: 'bedded' });
    expect(() => assertState(layout, { ...state, bedded }, 'frontLeft')).toThrow(/frontLeft.*bedded/);
  });

  it('is kept where other parts are fitted, and by a run that brakes nothing', () => {
    expect(stateFault(layout, state)).toBeNull();
    expect(refitted(state, layout).bedded).toBe(0.4);
    const all = Object.fromEntries(
      WHEELS.map((wheel) => {
        const own = networkOf(input, wheel);
        return [wheel, freshState(cornerOfWheel(input, wheel), own, 300, 1, 0.4)];
      }),
    ) as unknown as CarState;
    const rolling = listedSchedule([givenPiece(rollSteps(20, 20, 60), 300)]);
    const after = run(input, input, rolling, all).state;
    expect(WHEELS.map((wheel) => after[wheel].bedded)).toEqual([0.4, 0.4, 0.4, 0.4]);
  });
});
