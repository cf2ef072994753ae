import { describe, expect, it } from 'vitest';
import { demoProject } from '../../../demo/project';
import { dayInput, type Setup, setupOf } from '../../model';
import { airProperties } from '../air';
import { caliperCoefficient, openAreaInSeries, passage, rotorGeometry } from '../brake';
import { simulateDay } from './day';

const planned = setupOf(demoProject, 'plan-tarn-anvil');
// A driver who brakes earlier would put less work into hotter brakes.
const tarn = { ...planned, plan: { ...planned.plan, brakesEarlier: false } };
const front = (change: { ductAreaCm2?: number; vaneGapMm?: number }): Setup => {
  const { car } = tarn;
  const { vaneGapMm = car.front.rotor.vaneGapMm, ...axle } = change;
  const rotor = { ...car.front.rotor, vaneGapMm, weighedKg: null };
  return { ...tarn, car: { ...car, front: { ...car.front, ...axle, rotor } } };
};
const core = (setup: Setup) => simulateDay(dayInput(setup)).peaks.frontLeft.rotorBulk - 273.15;
const air = airProperties(1.15, 297);

describe('a duct and what it blows into', () => {
  it('are losses in series: as much as the duct alone where it is small or nothing is lost, never faster than the car', () => {
    // By hand: C·A = 30 cm², inlet 40 cm², K = 1.5: 1/A² = 1/30² + 1.5/40².
    expect(openAreaInSeries(30, 40, 1.5)).toBeCloseTo(1 / Math.sqrt(1 / 900 + 1.5 / 1600), 12);
    expect(openAreaInSeries(3, 40, 1.5) / 3).toBeGreaterThan(0.99);
    for (const duct of [1, 10, 100]) expect(openAreaInSeries(duct, 40, 1e-9) / duct).toBeCloseTo(1, 6);
    const corner = dayInput(front({ ductAreaCm2: 300 })).front.left;
    const { inletArea } = rotorGeometry(corner.rotor);
    const still = passage({ ...corner, air: { ...corner.air, recirculation: 0 } }, air, 1e-3, 1e9, 40);
    const duct = still.fresh * still.massFlow;
    expect(duct / air.density / inletArea).toBeLessThan(40);
    // The jet at a caliper: 15 cm², so at most 40/√1.5 m/s beside the car's own 40.
    const jet = { ...corner, air: { ...corner.air, toCaliper: 1 } };
    expect(caliperCoefficient(jet, 40)).toBeLessThan(10 + Math.sqrt(40 ** 2 + 40 ** 2 / 1.5));
    expect(caliperCoefficient(jet, 40)).toBeGreaterThan(10 + 1.2 * 40);
  });

  it('of 300 cm² do not bring the two-seater’s front core under 450 °C at Anvil Park', () => {
    const large = core(front({ ductAreaCm2: 300 }));
    expect(large).toBeGreaterThan(450);
    expect(large).toBeLessThan(core(front({ ductAreaCm2: 150 })));
  });

  it('have no jump where the passage closes or the duct does', () => {
    for (const ductAreaCm2 of [0, 60, 300]) {
      const solid = core(front({ ductAreaCm2, vaneGapMm: 0 }));
      expect(Math.abs(core(front({ ductAreaCm2, vaneGapMm: 0.01 })) - solid)).toBeLessThan(5);
      // Narrower vanes do not cool better without end.
      const wide = core(front({ ductAreaCm2, vaneGapMm: 10 }));
      const narrow = core(front({ ductAreaCm2, vaneGapMm: 1 }));
      expect(narrow).toBeGreaterThan(wide + 10);
      expect(solid).toBeGreaterThan(narrow);
    }
    for (const vaneGapMm of [0, 2, 10]) {
      const step = core(front({ ductAreaCm2: 0, vaneGapMm })) - core(front({ ductAreaCm2: 0.1, vaneGapMm }));
      expect(step).toBeGreaterThan(-1e-6);
      expect(step).toBeLessThan(5);
    }
  });
});
