import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoProject } from '../../../demo/project';
import { type Car, dayInput, setupOf } from '../../model';
import { frontLoad, nominalShare, rearLoad } from '../actuation';
import { lockingPoint } from '../actuation/loads';
import { STANDARD_GRAVITY } from '../constants';
import { simulateDay } from '../run';
import { driveLap, prepareCircuit } from './driveLap';
import { FirstAxle } from './firstAxle';
import { lapTime } from './trace';

const tarn = setupOf(demoProject, 'plan-tarn-anvil');
const carWith = (change: Partial<Car>) =>
  dayInput({
    ...tarn,
    car: { ...tarn.car, abs: false, pedal: { ...tarn.car.pedal, valve: null }, ...change },
  });
const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });

describe('the axle that would lock first', () => {
  it('holds the braking where its own limit is met and the other’s is not passed (Limpert)', () => {
    fc.assert(
      fc.property(
        number(30, 95),
        number(0.5, 1.7),
        number(0, 6000),
        number(0, 4000),
        (share, grip, down, against) => {
          const { vehicle } = carWith({ frontSharePercent: share });
          const force = new FirstAxle(vehicle).most(grip, against, down, 40, 0);
          const z = (force + against) / (vehicle.mass * STANDARD_GRAVITY);
          const front = (share * 0.01 * force) / frontLoad(vehicle, z, down);
          const rear = ((1 - share * 0.01) * force) / rearLoad(vehicle, z, down);
          expect(Math.max(front, rear) / grip).toBeCloseTo(1, 6);
          // Without drag it is the closed form of both lines.
          if (against < 1) {
            const point = lockingPoint(vehicle, share * 0.01, grip, down);
            expect(front >= rear ? 'front' : 'rear').toBe(point.axle);
          }
        },
      ),
    );
    const { vehicle } = carWith({ frontSharePercent: 55 });
    const free = new FirstAxle(vehicle).most(1.1, 0, 0, 40, 0) / (vehicle.mass * STANDARD_GRAVITY);
    expect(free).toBeCloseTo(lockingPoint(vehicle, 0.55, 1.1, 0).z, 9);
  });

  it('follows the driver’s clicks back and forth as if each were the first', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: -6, max: 6 }), { minLength: 2, maxLength: 8 }), (order) => {
        const { vehicle: plain } = carWith({});
        const cylinders = {
          kind: 'pair' as const,
          frontPush: 0.5,
          click: 0.01,
          frontArea: 2.2e-4,
          rearArea: 2.4e-4,
          stroke: 0.02,
        };
        const vehicle = { ...plain, brakes: { ...plain.brakes, cylinders } };
        const one = new FirstAxle(vehicle);
        const most = (axle: FirstAxle, clicks: number) => axle.most(1.2, 300, 800, 40, clicks);
        const alone = order.map((clicks) => most(new FirstAxle(vehicle), clicks));
        expect(order.map((clicks) => most(one, clicks))).toEqual(alone);
        const differ = new Set(order).size > 1;
        if (differ) expect(new Set(alone).size).toBeGreaterThan(1);
      }),
    );
  });

  it('with a motor that does all of it is the motor’s own', () => {
    const { vehicle } = carWith({});
    for (const axle of ['front', 'rear'] as const) {
      const recovery = { axle, power: 1e6, lowestSpeed: 1, blending: 'added' as const, derating: null };
      const alone = new FirstAxle({ ...vehicle, recovery }).most(0.9, 0, 0, 20, 0);
      const z = alone / (vehicle.mass * STANDARD_GRAVITY);
      const load = (axle === 'front' ? frontLoad : rearLoad)(vehicle, z, 0);
      expect(alone / (0.9 * load)).toBeCloseTo(1, 6);
      expect(new FirstAxle({ ...vehicle, recovery }).most(0, 300, 0, 20, 0)).toBe(0);
    }
  });

  it('is held off by a valve, and comes sooner with clicks to its side', () => {
    const rearFirst = { frontSharePercent: 55 };
    const { vehicle } = carWith(rearFirst);
    const valve = { kind: 'fixed' as const, kneeBar: 25, slopePercent: 30 };
    const held = carWith({ ...rearFirst, pedal: { ...tarn.car.pedal, valve } }).vehicle;
    const most = (v: typeof vehicle, clicks = 0) => new FirstAxle(v).most(1.1, 300, 0, 40, clicks);
    expect(most(held)).toBeGreaterThan(most(vehicle) * 1.02);
    const skarn = dayInput(setupOf(demoProject, 'plan-skarn-fen')).vehicle;
    const wide = { ...skarn, brakes: { ...skarn.brakes } };
    // It locks its front first, so that clicks to the front let it lock sooner.
    expect(most(wide, 10)).toBeLessThan(most(wide, 0));
    expect(nominalShare(wide.brakes)).toBeGreaterThan(0.5);
  });

  it('costs lap time away from the ideal balance: 45 and 90 % at least 0.2 s, least where both axles lock as one', () => {
    const time = (frontSharePercent: number, abs = false) => {
      const input = carWith({ frontSharePercent, abs });
      const air = { airDensity: 1.2, ductDragArea: 0 };
      return lapTime(
        driveLap(prepareCircuit(input.circuit), input.vehicle, { ...input.driver, pace: 1 }, air),
      );
    };
    const shares = [45, 56, 60, 62, 64, 66, 68, 72, 90];
    const times = shares.map((share) => time(share));
    const best = Math.min(...times);
    const at = times.indexOf(best);
    expect(times[0] - best).toBeGreaterThan(0.2);
    expect(times[times.length - 1] - best).toBeGreaterThan(0.2);
    // It falls towards the least and rises from there.
    times.forEach((t, k) => {
      if (k > 0) expect(Math.sign(t - times[k - 1])).toBe(k <= at ? -1 : 1);
    });
    // The ideal share at the tyres' limit, (b + z·h)/L.
    const { vehicle, driver } = carWith({});
    const z = vehicle.longitudinalGrip * driver.brakingGripUsed;
    const ideal = 100 * (vehicle.frontWeight + (z * vehicle.gravityHeight) / vehicle.wheelbase);
    expect(Math.abs(shares[at] - ideal)).toBeLessThan(3);
    // With ABS both axles' tyres are used up whatever the balance: never slower, the same at the ideal one.
    expect(time(45, true)).toBeCloseTo(time(90, true), 9);
    expect(time(64, true)).toBeLessThanOrEqual(best);
    expect(best - time(64, true)).toBeLessThan(0.2);
  });
});

describe('the demo’s cars', () => {
  it.each(demoProject.plans.map((plan) => plan.id))('lock the front first, cold and hot: %s', (id) => {
    const { laps } = simulateDay(dayInput(setupOf(demoProject, id)));
    const zones = laps.flatMap((lap) => lap.forces);
    expect(zones.length).toBeGreaterThan(60);
    expect(zones.filter((zone) => zone.locksFirst === 'rear')).toEqual([]);
  });
});
