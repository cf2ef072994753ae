import { describe, expect, it } from 'vitest';
import { demoProject } from '../../../demo/project';
import { type Car, dayInput, setupOf } from '../../model';
import { BrakingState } from '../actuation';
import { CHANNEL, CHANNEL_COUNT } from '../brake';
import { lapTime } from '../lap';
import { simulateDay } from './day';
import type { DayResult } from './result';

type Recovery = NonNullable<Car['recovery']>;
const ovel = setupOf(demoProject, 'plan-ovel-nettle');
const driven = (recovery: Partial<Recovery>, brakesEarlier = false, abs = true): DayResult => {
  const own = { ...(ovel.car.recovery as Recovery), ...recovery };
  return simulateDay(
    dayInput({ ...ovel, plan: { ...ovel.plan, brakesEarlier }, car: { ...ovel.car, abs, recovery: own } }),
  );
};
const zones = (day: DayResult) => day.laps.flatMap((lap) => lap.forces);
const sum = (day: DayResult, of: (zone: DayResult['laps'][number]['forces'][number]) => number) =>
  zones(day).reduce((all, zone) => all + of(zone), 0);
const friction = (day: DayResult) => sum(day, (zone) => zone.frontHeat + zone.rearHeat);
const core = (day: DayResult, wheel: 'frontLeft' | 'rearLeft') => day.peaks[wheel].rotorBulk - 273.15;
const KINDS = (['blended', 'added'] as const).flatMap((blending) =>
  (['front', 'rear'] as const).map((axle) => ({ blending, axle })),
);

describe('a motor that brakes', () => {
  it('takes at every instant what its axle is asked for with pads at their best, whatever they are by now', () => {
    const { vehicle } = dayInput(ovel);
    const { brakes } = vehicle;
    const state = (
      recovery: ConstructorParameters<typeof BrakingState>[3],
      electric: number,
      rear: number,
    ) => {
      const s = new BrakingState(brakes, vehicle, vehicle.wheelRadius, recovery);
      s.takeNominal();
      // Front pads that have lost a third of their friction, rear ones as given.
      const front = brakes.front.nominalFriction * (2 / 3);
      Object.assign(s.condition, { frontLeft: front, frontRight: front, rearLeft: rear, rearRight: rear });
      Object.assign(s.demand, { force: 9000, electric, z: 0.5, downforce: 0 });
      s.solve();
      return s;
    };
    const best = brakes.rear.nominalFriction;
    const none = state(null, 0, best);
    // By hand: with as much to give as the rear is asked for it takes all of it, also where the rear pads are cold.
    for (const rear of [best, 0.5 * best]) {
      const alone = state({ axle: 'rear', blending: 'blended' }, 1e6, rear);
      expect(alone.electric / none.rearFriction).toBeCloseTo(1, 9);
      expect(alone.rearFriction).toBe(0);
      expect(alone.frontFriction / none.frontFriction).toBeCloseTo(1, 9);
      expect(alone.pedal / none.pedal).toBeCloseTo(1, 9);
    }
    // With half of it the rear pads do the rest at their own friction: p·(g_f + g_r) + (1 − g_r/g_best)·half = 9000 N.
    const half = 0.5 * none.rearFriction;
    const cold = state({ axle: 'rear', blending: 'blended' }, half, 0.5 * best);
    expect(cold.electric).toBeCloseTo(half, 6);
    const ratio = none.rearFriction / none.frontFriction;
    const front = (9000 - half * 0.5) / (1 + 0.5 * ratio);
    expect(cold.frontFriction / front).toBeCloseTo(1, 9);
    expect((cold.frontFriction + cold.rearFriction + cold.electric) / 9000).toBeCloseTo(1, 12);
  });

  it('and can do all its axle is asked for leaves it in the air’s temperature, its pads off', () => {
    const day = driven({ powerKw: 300 });
    expect(core(day, 'rearLeft')).toBeLessThan(30);
    const { drive } = day.record.wheels.rearLeft;
    const { zone } = day.record;
    let asked = 0;
    zone.forEach((_, sample) => {
      if (!(day.record.force.pedal[sample] > 0)) return;
      asked += 1;
      if (day.record.wheels.rearLeft.early[sample] === 0) {
        expect(drive[sample * CHANNEL_COUNT + CHANNEL.applied]).toBe(0);
      }
    });
    expect(asked).toBeGreaterThan(100);
    expect(sum(day, (one) => one.rearHeat) / friction(day)).toBeLessThan(0.01);
  });

  it('never makes more friction work for being able to do more, over whole days', () => {
    for (const kind of KINDS) {
      let before = Number.POSITIVE_INFINITY;
      for (const powerKw of [0, 30, 90, 200, 400, 1000]) {
        const day = driven({ ...kind, powerKw });
        const now = friction(day);
        expect(now, `${kind.blending} ${kind.axle} ${powerKw}`).toBeLessThanOrEqual(before * (1 + 1e-9));
        before = now;
        // Nothing is lost: friction, its slip and what was recovered are the zone's work.
        const slip = 1 - ovel.car.tyres.slipSharePercent * 0.01;
        const zone = day.laps[2].trace.zones[3];
        const told = day.laps[2].forces[3];
        const work = zone.energy / slip + zone.recovered;
        expect(((told.frontHeat + told.rearHeat) / slip + told.recovered) / work).toBeCloseTo(1, 6);
        expect(day.audit.residual).toBeLessThan(1e-9);
      }
    }
  });

  it('and does all of it does not make a lap longer where brakes are short, with either blending, on either axle', () => {
    for (const kind of KINDS) {
      // Without ABS, which would take off the motor what its axle's tyres do not hold.
      const day = driven({ ...kind, powerKw: 1000, lowestSpeedKmh: 1 }, true, false);
      const hot = day.laps.filter((lap) => lap.kind === 'hot');
      for (const lap of hot) expect(lapTime(lap.trace)).toBeCloseTo(lapTime(hot[0].trace), 9);
      if (kind.blending === 'blended') {
        expect(core(day, kind.axle === 'front' ? 'frontLeft' : 'rearLeft')).toBeLessThan(30);
        continue;
      }
      expect(day.verdict).toMatchObject({ kind: 'not-judged', unbraked: 'motor' });
      for (const zone of zones(day)) {
        expect(zone.fadeMargin).toBeGreaterThan(0);
        expect(zone.extraDistance).toBe(0);
      }
    }
  });

  it('derates over the energy taken in a session: between its points in a line, none at all like none there', () => {
    const whole = driven({});
    expect(core(driven({ derating: [{ takenKwh: 3, powerPercent: 100 }] }), 'frontLeft')).toBe(
      core(whole, 'frontLeft'),
    );
    const none = driven({ derating: [{ takenKwh: 0, powerPercent: 0 }] });
    const without = driven({ powerKw: 0 });
    expect(core(none, 'frontLeft')).toBeCloseTo(core(without, 'frontLeft'), 1);
    expect(core(none, 'frontLeft')).toBeGreaterThan(core(whole, 'frontLeft') + 60);
    // Full until 0.5 kWh, then nothing more comes in but what the line down to 0.6 kWh leaves.
    const day = driven({
      derating: [
        { takenKwh: 0.5, powerPercent: 100 },
        { takenKwh: 0.6, powerPercent: 0 },
      ],
    });
    const taken = sum(day, (zone) => zone.recovered) / 3.6e6;
    expect(taken).toBeGreaterThan(0.55);
    expect(taken).toBeLessThan(0.605);
    expect(day.laps[1].forces[0].recovered).toBeCloseTo(whole.laps[1].forces[0].recovered, -2);
    expect(day.laps.at(-1)?.forces[0].recovered).toBeLessThan(1000);
  });
});
