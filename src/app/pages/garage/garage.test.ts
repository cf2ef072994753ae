import { describe, expect, it } from 'vitest';
import * as z from 'zod/mini';
import { demoProject } from '../../../../demo/project';
import { STANDARD_GRAVITY } from '../../../core';
import {
  chainOf,
  infoAt,
  nominalFriction,
  type Part,
  padOf,
  partSchema,
  shelfOf,
  vehicleOf,
} from '../../../model';
import { chainValues } from './chainValues';

const [tarn, ovel, skarn] = demoProject.cars;
const ask = (car: typeof tarn, deceleration: number, speed = 30) => ({
  deceleration,
  speed,
  front: nominalFriction(padOf(car.front.pad, [])),
  rear: nominalFriction(padOf(car.rear.pad, [])),
});
const values = (car: typeof tarn, deceleration: number, speed = 30) =>
  chainValues(vehicleOf(car), ask(car, deceleration, speed));

describe('what the drawn chain says', () => {
  it('is one chain: torques at the wheels make the braking, pressures the torques, the push the pressures', () => {
    for (const car of [tarn, skarn]) {
      const v = values(car, 9);
      const radius = car.tyres.rollingRadiusMm / 1000;
      for (const axle of [v.front, v.rear]) {
        expect((2 * axle.torque) / radius).toBeCloseTo(axle.force, 3);
        expect(axle.use).toBeCloseTo((axle.force + axle.motor) / axle.load, 9);
      }
      expect(v.front.force + v.rear.force).toBeCloseTo(v.force, 6);
      expect(v.share).toBeCloseTo(v.front.force / v.force, 9);
      expect(v.push).toBeCloseTo(v.pedal * car.pedal.ratio * (car.pedal.efficiencyPercent / 100), 9);
      const { cylinders } = chainOf(car);
      const pushed =
        cylinders.kind === 'pair'
          ? v.front.pressure * cylinders.frontArea + v.rear.pressure * cylinders.rearArea
          : v.front.pressure * cylinders.area;
      expect(pushed).toBeCloseTo(v.push, 6);
      // Newton: what brakes and air do together slows the car and its wheels.
      const air = 0.5 * 1.2 * car.dragAreaM2 * 900;
      const rolling = (car.rollingResistancePercent / 100) * car.massKg * STANDARD_GRAVITY;
      expect(v.force + air + rolling + car.engineBrakingN).toBeCloseTo(
        car.massKg * car.rotatingInertia * 9,
        6,
      );
    }
  });

  it('a motor’s part shows as such, and its axle’s line has less pressure for it', () => {
    const v = values(ovel, 5, 20);
    const without = values({ ...ovel, recovery: null }, 5, 20);
    expect(v.rear.motor).toBeGreaterThan(1000);
    expect(v.rear.force + v.rear.motor).toBeCloseTo(without.rear.force, 6);
    expect(v.rear.pressure).toBeLessThan(without.rear.pressure);
    expect(v.pedal).toBeCloseTo(without.pedal, 9);
    // Under its lowest speed it does nothing.
    expect(values(ovel, 5, 3).rear.motor).toBe(0);
  });

  it('rolling to a halt by itself asks nothing of the foot', () => {
    const v = values(tarn, 0.1, 40);
    expect(v).toMatchObject({ pedal: 0, force: 0, share: 0 });
    expect(v.travel).toBeGreaterThan(0);
    expect(v.front.load + v.rear.load).toBeCloseTo(
      tarn.massKg * STANDARD_GRAVITY + 0.6 * tarn.downforceAreaM2 * 1600,
      6,
    );
  });
});

describe('the form of a part', () => {
  const valuesOf = (part: Part): z.ZodMiniObject => {
    const option = partSchema.def.options.find((o) => o.shape.kind.def.values[0] === part.kind);
    if (!option) throw new Error(part.kind);
    return option.shape.values as z.ZodMiniObject;
  };

  it('finds every number of every kind, with its own limits', () => {
    let found = 0;
    for (const kind of ['rotor', 'pad', 'caliper', 'cylinder', 'fluid', 'line', 'duct'] as const) {
      const [part] = shelfOf(kind, []);
      for (const [key, schema] of Object.entries(valuesOf(part).shape)) {
        const plain = schema instanceof z.ZodMiniNullable ? schema.def.innerType : schema;
        if (!(plain instanceof z.ZodMiniNumber)) continue;
        const info = infoAt('parts', ['values', key]);
        const value = (part.values as Record<string, unknown>)[key];
        expect(info.title.length).toBeGreaterThan(2);
        if (typeof value === 'number') {
          expect(value, `${kind} ${key}`).toBeGreaterThanOrEqual(info.min);
          expect(value, `${kind} ${key}`).toBeLessThanOrEqual(info.max);
        }
        found += 1;
      }
    }
    expect(found).toBeGreaterThan(35);
    expect(infoAt('parts', ['values', 'friction', 2, 'mu'])).toMatchObject({ title: 'µ', max: 1.2 });
    expect(infoAt('cars', ['pedal', 'cylinders', 'frontPushPercent'])).toMatchObject({ min: 0, max: 100 });
    expect(infoAt('cars', ['pedal', 'valve', 'missedKn'])).toMatchObject({ title: 'Load it does not see' });
    expect(infoAt('plans', ['clicks', 3])).toMatchObject({ integer: true });
    expect(() => infoAt('parts', ['values', 'horsepower'])).toThrow(RangeError);
  });
});
