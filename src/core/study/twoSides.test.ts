import { describe, expect, it } from 'vitest';
import { demoProject } from '../../../demo/project';
import { oneSession } from '../../../tests/support/sessions';
import { type AxleBrakes, dayInput, type Setup, setupOf } from '../../model';
import { networkOf, simulateDay } from '../run';
import { twoSides } from './twoSides';

const short = (id: string): Setup => {
  const setup = setupOf(demoProject, id);
  return { ...setup, plan: oneSession(setup.plan, { hotLaps: 3, paddockMin: 5 }) };
};
const tarn = short('plan-tarn-anvil');
const front = (change: Partial<AxleBrakes>): Setup => ({
  ...tarn,
  car: { ...tarn.car, front: { ...tarn.car.front, ...change } },
});
/** Nothing between the sides differs but the hose, which only one of them sees. */
const even = {
  wheelOpenAreaPercent: 50,
  shieldPercent: 0,
  ductAreaCm2: 0,
  rotor: { ...tarn.car.front.rotor, mounting: 'floating' },
} as const;
const sidesOf = (setup: Setup) => {
  const one = twoSides(dayInput(setup)).wheels.find((sides) => sides.axle === 'front');
  if (!one) throw new Error('a disc in front was expected');
  return one;
};

describe('inner and outer side', () => {
  it('are as both as one where nothing differs', () => {
    for (const vaneGapMm of [0, 10]) {
      const setup = front({ ...even, rotor: { ...even.rotor, vaneGapMm } });
      const one = sidesOf(setup);
      const { frontLeft } = simulateDay(dayInput(setup)).peaks;
      expect(one.apart).toBeLessThan(0.5);
      expect(Math.abs(one.inner.face - frontLeft.rotorFace)).toBeLessThan(0.5);
      expect(Math.abs(one.outer.padFace - frontLeft.padFace)).toBeLessThan(0.5);
      expect(Math.abs(one.outer.plate - frontLeft.plate)).toBeLessThan(0.5);
      expect(one.inner.worn / one.outer.worn).toBeCloseTo(1, 2);
    }
  });

  it('differ by what keeps the air from one of them: a dust shield, a closed wheel, a duct', () => {
    const shielded = sidesOf(front({ ...even, shieldPercent: 80 }));
    expect(shielded.inner.face).toBeGreaterThan(shielded.outer.face + 10);
    expect(shielded.inner.worn).toBeGreaterThan(1.02 * shielded.outer.worn);
    const closed = sidesOf(front({ ...even, wheelOpenAreaPercent: 10 }));
    expect(closed.outer.face).toBeGreaterThan(closed.inner.face + 5);
    const blown = sidesOf(front({ ...even, ductAreaCm2: 200, rotor: { ...even.rotor, vaneGapMm: 0 } }));
    expect(blown.outer.face).toBeGreaterThan(blown.inner.face + 10);
  });

  it('have pistons on one of them behind a sliding caliper: its plate gives heat to the fluid, the other’s to the body', () => {
    const caliper = { ...tarn.car.front.caliper, kind: 'sliding' as const };
    const one = sidesOf(front({ ...even, caliper }));
    expect(one.outer.plate).toBeGreaterThan(one.inner.plate + 20);
  });

  it('keep the energy, and are judged by the hotter one where the axle asks for it', () => {
    const setup = front({ ...even, shieldPercent: 80, sides: 'apart' });
    const input = dayInput(setup);
    const day = simulateDay(input);
    const one = sidesOf(setup);
    expect(day.audit.residual).toBeLessThan(1e-9);
    // The rear is on its own there, too, which moves the balance by a hair.
    expect(day.peaks.frontLeft.padFace).toBeCloseTo(Math.max(one.inner.padFace, one.outer.padFace), 1);
    expect(day.peaks.frontLeft.rotorFace).toBeCloseTo(Math.max(one.inner.face, one.outer.face), 1);
    expect(day.end.frontLeft.padThickness.inner).toBeLessThan(day.end.frontLeft.padThickness.outer);
    expect(day.padLeft.front).toBe(day.end.frontLeft.padThickness.inner);
    // A day that was driven as one is gone on from with each side as warm as both were.
    const before = simulateDay(dayInput(front({ ...even, shieldPercent: 80 }))).end;
    const after = twoSides({ ...dayInput(front({ ...even, shieldPercent: 80 })), start: before });
    expect(after.wheels[0].inner.face).toBeGreaterThan(before.frontLeft.temperatures['cheek 0']);
    expect(networkOf(input, 'frontLeft').network.nodes.map(({ name }) => name)).toContain('inner pad 0');
  });
});
