import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoProject } from '../../../demo/project';
import { recordFigure } from '../../../tests/support/validation';
import { chainOf } from '../../model';
import { bleedDraws, lineVolume } from './bleeding';
import { firstPush, pushedBack, roomToHome } from './pushBack';

const CM3 = 1e6;

describe('volumes of bleeding', () => {
  it('agree with a line by hand: 3.2 m of 3.0 mm bore hold 22.6 cm³', () => {
    const computed = lineVolume(3.2, 0.003) * CM3;
    recordFigure({
      id: 'Bleeding',
      what: 'A line of 3.2 m and 3.0 mm bore',
      expected: '22.62',
      computed,
      unit: 'cm³',
      source: 'π/4·d²·l by hand',
    });
    expect(computed).toBeCloseTo(22.62, 2);
  });

  it('draw a caliper as a stirred tank integrated in small steps, until a twentieth of the old is left', () => {
    const [plug, tank] = [30e-6, 38e-6];
    const screw = { id: 'a', circuit: 'front', wheel: 'frontLeft', line: plug, caliper: tank };
    const [{ arrives, draw }] = bleedDraws([screw], {});
    expect(arrives).toBe(plug);
    let old = 1;
    const steps = 20_000;
    for (let k = 0; k < steps; k++) old -= (old * (draw - plug)) / steps / tank;
    expect(old).toBeCloseTo(0.05, 4);
  });

  it('empty what screws share once, whatever their order', () => {
    const wheels = ['frontLeft', 'frontRight', 'rearLeft', 'rearRight'];
    const screws = wheels.flatMap((wheel, i) =>
      ['outer', 'inner'].map((id) => ({
        id: `${wheel} ${id}`,
        circuit: wheel.slice(0, 4),
        wheel,
        line: (i + 1) * 5e-6,
        caliper: 19e-6,
      })),
    );
    const shared = { fron: 7e-6, rear: 9e-6 };
    fc.assert(
      fc.property(fc.shuffledSubarray(screws, { minLength: 8 }), (order) => {
        const draws = bleedDraws(order, shared);
        const arrives = draws.reduce((sum, own) => sum + own.arrives, 0);
        // Four lines and two chambers, each once.
        expect(arrives * CM3).toBeCloseTo(5 + 10 + 15 + 20 + 7 + 9, 9);
        expect(draws.map(({ id }) => id)).toEqual(order.map(({ id }) => id));
        expect(draws.every((own) => own.draw > own.arrives)).toBe(true);
      }),
    );
  });
});

describe('pistons pushed back', () => {
  it('give back what their areas sweep: two pistons of 36 mm a side by 2 mm each, by hand', () => {
    const side = 2 * (Math.PI / 4) * 0.036 ** 2;
    expect(pushedBack(side, 0.002) * CM3).toBeCloseTo(8.143, 3);
    expect(pushedBack(side, -0.001)).toBe(0);
    // 62 mm of opening with a rotor of 25 and two pads of 10 on plates of 5: 3.5 mm to each side.
    expect(roomToHome(0.062, 0.025, 0.01, 0.005)).toBeCloseTo(0.0035, 12);
    expect(roomToHome(0.05, 0.025, 0.01, 0.005)).toBe(0);
  });

  it('take as many strokes as one bore, or the slower of two, has to fill the gaps', () => {
    const [tarn, , skarn] = demoProject.cars;
    const one = chainOf(tarn);
    const closing = firstPush(one, 0, 0).volume;
    // Bore 20.6 mm: its stroke of 36 mm is more than the pedal's 135 mm over a ratio of 5.
    const stroke = (Math.PI / 4) * 0.0206 ** 2 * 0.027;
    for (const open of [0, 5e-6, 20e-6, 60e-6]) {
      expect(firstPush(one, open, 0).pumps).toBe(Math.max(1, Math.ceil((closing + open) / stroke)));
    }
    const pair = chainOf(skarn);
    const both = firstPush(pair, 30e-6, 0).pumps;
    expect(firstPush(pair, 30e-6, 10e-6).pumps).toBe(both);
    expect(firstPush(pair, 30e-6, 60e-6).pumps).toBeGreaterThan(both);
    fc.assert(
      fc.property(fc.double({ min: 0, max: 1e-4, noNaN: true }), (open) => {
        expect(firstPush(one, open, 0).pumps).toBeGreaterThanOrEqual(firstPush(one, open / 2, 0).pumps);
      }),
    );
  });
});
