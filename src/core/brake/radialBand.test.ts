import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoProject } from '../../../demo/project';
import { dayInput, STARTER_DRUM, setupOf } from '../../model';
import { resetKernel } from '../heat';
import { tableAt } from '../numeric';
import { RADIAL_CELLS, RadialBand } from './radialBand';
import { rotorGeometry } from './rotorGeometry';

const tarn = setupOf(demoProject, 'plan-tarn-anvil');
const { left: corner } = dayInput(tarn).front;
const { rotor } = corner;
const [inner, outer] = [rotor.innerDiameter / 2, rotor.outerDiameter / 2];
const width = (outer - inner) / RADIAL_CELLS;
const shares = Array.from({ length: RADIAL_CELLS }, (_, i) => {
  const [a, b] = [inner + i * width, inner + (i + 1) * width];
  return (b * b - a * a) / (outer * outer - inner * inner);
});
const bandOf = (of: typeof corner, start = new Array<number>(RADIAL_CELLS).fill(0)) => {
  const band = new RadialBand(of, start, 1);
  /** One step, from a ring at a temperature to one at another; what its face is in the hottest band, K. */
  const step = (
    dt: number,
    early: number,
    late: number,
    before: number,
    after: number,
    face: number,
  ): number => {
    const run = {
      early: Float64Array.of(0, early),
      late: Float64Array.of(0, late),
      rotorBulk: Float64Array.of(before, after),
      rotorFace: Float64Array.of(before, face),
      rotorBand: new Float64Array(2),
    };
    band.steps(run, Float64Array.of(dt), 1, 1);
    return run.rotorBand[1];
  };
  return Object.assign(band, { step });
};
const even = () => bandOf(corner);
const mass = rotorGeometry(rotor).cheekMass + rotorGeometry(rotor).vaneMass;
const mean = 700;
const heat = (kelvin: number) => mass * tableAt(rotor.material.specificHeat, kelvin);

describe('a disc over its radius', () => {
  it('is heated in proportion to radius where the pad rubs, and keeps its mean', () => {
    const band = even();
    expect(shares.reduce((sum, share, i) => sum + share * band.flux[i], 0)).toBeCloseTo(1, 12);
    // Cells the pad rubs all over: heat per area goes with their radius, ∫r²dr over ∫r dr.
    const radius = (i: number) => {
      const [a, b] = [inner + i * width, inner + (i + 1) * width];
      return (2 * (b ** 3 - a ** 3)) / (3 * (b ** 2 - a ** 2));
    };
    for (let i = 3; i < 10; i++) {
      expect(band.flux[i] / band.flux[i - 1]).toBeCloseTo(radius(i) / radius(i - 1), 9);
    }
    // At first nothing is conducted: each cell rises by its own share of the heat.
    band.step(1e-4, 50_000, 50_000, mean, mean, mean);
    band.flux.forEach((flux, i) => {
      const alone = ((flux - 1) * 50_000 * 1e-4) / heat(mean);
      expect(Math.abs(band.excess[i] - alone)).toBeLessThan(0.02 * Math.abs(alone) + 1e-7);
    });
    for (let k = 0; k < 200; k++) band.step(0.2, 50_000, 40_000, mean, mean, mean);
    expect(shares.reduce((sum, share, i) => sum + share * band.excess[i], 0)).toBeCloseTo(0, 9);
    expect(Math.max(...band.excess)).toBeGreaterThan(20);
    expect(band.step(0, 0, 0, mean, mean, 800)).toBeGreaterThan(800 + Math.max(...band.excess));
  });

  it('gets even again as its slowest wave does, α·(π/w)² of a flat strip within 6 %', () => {
    const band = even();
    for (let k = 0; k < 300; k++) band.step(0.2, 50_000, 50_000, mean, mean, mean);
    for (let k = 0; k < 400; k++) band.step(0.1, 0, 0, mean, mean, mean);
    const [before, after] = [Math.max(...band.excess), 0];
    for (let k = 0; k < 100; k++) band.step(0.1, 0, 0, mean, mean, mean);
    const rate = Math.log(before / (Math.max(...band.excess) - after)) / 10;
    const { cheek } = rotorGeometry(rotor);
    // Vanes store heat and do not conduct along the radius.
    const area = Math.PI * (outer * outer - inner * inner);
    const along = (tableAt(rotor.material.conductivity, mean) * 2 * cheek * area) / heat(mean);
    expect(rate / (along * (Math.PI / (outer - inner)) ** 2)).toBeGreaterThan(0.94);
    expect(rate / (along * (Math.PI / (outer - inner)) ** 2)).toBeLessThan(1.06);
  });

  it('with a drum is even', () => {
    const drum = dayInput({
      ...tarn,
      car: { ...tarn.car, front: { ...tarn.car.front, drum: STARTER_DRUM } },
    }).front.left;
    const band = bandOf(drum);
    expect(band.step(0.2, 50_000, 50_000, mean, mean, 760)).toBe(760);
  });

  it('is the same to the last bit whether its kernel is there or not', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: -60, max: 60, noNaN: true }), { minLength: 12, maxLength: 12 }),
        fc.array(
          fc.record({
            dt: fc.double({ min: 0.01, max: 20, noNaN: true }),
            power: fc.double({ min: 0, max: 1e5, noNaN: true }),
            flash: fc.double({ min: -80, max: 300, noNaN: true }),
          }),
          { minLength: 1, maxLength: 30 },
        ),
        (start, steps) => {
          const samples = steps.length + 1;
          const of = (value: (k: number) => number) =>
            Float64Array.from({ length: samples }, (_, k) => value(k));
          const drive = (atOnce: number) => {
            const band = new RadialBand(corner, start, 0.9);
            const run = {
              early: of((k) => (k === 0 ? 0 : steps[k - 1].power)),
              late: of((k) => (k === 0 ? 0 : 0.7 * steps[k - 1].power)),
              rotorBulk: of((k) => mean + k),
              rotorFace: of((k) => mean + k + (k === 0 ? 0 : steps[k - 1].flash)),
              rotorBand: new Float64Array(samples),
            };
            const lengths = Float64Array.from(steps, ({ dt }) => dt);
            for (let k = 0; k < steps.length; k += atOnce) {
              band.steps(run, lengths.subarray(k), k + 1, Math.min(atOnce, steps.length - k));
            }
            const cells = [...band.excess];
            band.release();
            return [...run.rotorBand, ...cells];
          };
          resetKernel();
          const kernel = drive(1);
          // However many are made at once.
          expect(drive(7)).toEqual(kernel);
          resetKernel('not wanted here');
          const read = drive(4);
          resetKernel();
          expect(read).toEqual(kernel);
        },
      ),
      { numRuns: 60 },
    );
  });
});
