import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoProject } from '../../../demo/project';
import { oneSession } from '../../../tests/support/sessions';
import { type Car, dayInput, type Plan, type Setup, setupOf } from '../../model';
import { rotorGeometry } from '../brake';
import { tableAt } from '../numeric';
import { givenPiece, listedSchedule, type Piece, rollSteps, type StopPiece, stopPiece } from '../schedule';
import { simulateDay } from './day';
import { zonesOf } from './procedures';
import type { DayResult } from './result';

const TARN = setupOf(demoProject, 'plan-tarn-anvil');
const OVEL = setupOf(demoProject, 'plan-ovel-nettle');
const SKARN = setupOf(demoProject, 'plan-skarn-fen');
/** The driver keeps the braking points whatever the brakes do. */
const brakesEarlier = false;
const short = { hotLaps: 2, coolDownLaps: 0, paddockMin: 0.2 };

type Change = (car: Car) => Car;
const run = (setup: Setup, car: Change = (c) => c, plan: Partial<Plan> = {}) =>
  simulateDay(
    dayInput({
      ...setup,
      car: car(setup.car),
      plan: { ...oneSession(setup.plan, short), brakesEarlier, ...plan },
    }),
  );
const stop = (day: DayResult, lap = 1, k = 0) => day.laps[lap].forces[k];
const pedal =
  (change: Partial<Car['pedal']>): Change =>
  (car) => ({ ...car, pedal: { ...car.pedal, ...change } });
const caliper =
  (axle: 'front' | 'rear', change: Partial<Car['front']['caliper']>): Change =>
  (car) => ({ ...car, [axle]: { ...car[axle], caliper: { ...car[axle].caliper, ...change } } });

const base = run(TARN);

describe('what the foot feels of each part', () => {
  it('a longer pedal ratio: less force by as much, more travel by as much of what is past the free travel', () => {
    const day = run(TARN, pedal({ ratio: 6 }));
    expect(stop(day).pedal / stop(base).pedal).toBeCloseTo(5 / 6, 6);
    expect((stop(day).travel - 0.005) / (stop(base).travel - 0.005)).toBeCloseTo(6 / 5, 6);
    expect(day.peaks).toEqual(base.peaks);
  });

  it('a larger bore: more force by its area, less travel by its area, the same pressure', () => {
    const day = run(TARN, (car) => ({
      ...car,
      pedal: { ...car.pedal, cylinders: { kind: 'tandem', boreMm: 25.4, strokeMm: 36, split: 'front-rear' } },
    }));
    const areas = (25.4 / 20.6) ** 2;
    expect(stop(day).pedal / stop(base).pedal).toBeCloseTo(areas, 6);
    expect((stop(base).travel - 0.005) / (stop(day).travel - 0.005)).toBeCloseTo(areas, 6);
    expect(stop(day).frontPressure).toBeCloseTo(stop(base).frontPressure, 3);
  });

  it('a booster takes its gain off the foot and leaves heat and pressure alone', () => {
    const day = run(TARN, pedal({ booster: { gain: 4, kneeN: 5000 } }));
    expect(stop(day).pedal * 4).toBeCloseTo(stop(base).pedal, 6);
    expect(stop(day).frontPressure).toBeCloseTo(stop(base).frontPressure, 3);
    expect(day.peaks).toEqual(base.peaks);
    // Beyond a low knee the foot is alone with the rest.
    const knee = run(TARN, pedal({ booster: { gain: 4, kneeN: 200 } }));
    const input = stop(base).pedal * 5 * 0.92;
    expect(stop(knee).pedal * 5 * 0.92).toBeCloseTo(200 + (input - 800), 3);
  });

  it.each([
    ['softer hoses', pedal({ hoseExpansionMm3BarM: 30 })],
    ['longer hoses', pedal({ hoseLengthMm: 1500 })],
    ['knocked-back pads', caliper('front', { clearanceMm: 0.8 })],
    ['a softer caliper', caliper('front', { stiffnessKnMm: 40 })],
    ['silicone fluid', (car: Car) => ({ ...car, fluid: { ...car.fluid, kind: 'silicone', ageMonths: 0 } })],
    ['thicker pads', (car: Car) => ({ ...car, front: { ...car.front, padThicknessMm: 12 } })],
  ] as const)('%s make a longer pedal, not a heavier one', (_, change) => {
    const day = run(TARN, change);
    expect(stop(day).travel).toBeGreaterThan(stop(base).travel + 1e-5);
    expect(Math.abs(stop(day).pedal / stop(base).pedal - 1)).toBeLessThan(0.01);
  });

  it('larger pistons, a larger effective radius and more grip of the pad make it lighter', () => {
    const lighter: readonly Change[] = [
      caliper('front', { pistonsMm: [40, 40] }),
      (car) => ({ ...car, front: { ...car.front, effectiveRadiusMm: 135 } }),
      (car) => ({ ...car, front: { ...car.front, pad: 'sprint' } }),
    ];
    for (const change of lighter) {
      const day = run(TARN, change);
      expect(stop(day, 2, 3).pedal).toBeLessThan(stop(base, 2, 3).pedal);
      expect(stop(day, 2, 3).share.mean).toBeGreaterThan(stop(base, 2, 3).share.mean);
      expect(stop(day, 2, 3).frontHeat).toBeGreaterThan(stop(base, 2, 3).frontHeat);
    }
  });

  it('a valve keeps work in front and pressure behind low; beyond its knee rear pressure rises by the slope', () => {
    const day = run(TARN, pedal({ valve: { kind: 'fixed', kneeBar: 20, slopePercent: 40 } }));
    const { frontPressure, rearPressure, share } = stop(day);
    expect(rearPressure / 1e5).toBeCloseTo(20 + 0.4 * (frontPressure / 1e5 - 20), 6);
    expect(share.mean).toBeGreaterThan(stop(base).share.mean + 0.05);
    expect(day.peaks.rearLeft.rotorBulk).toBeLessThan(base.peaks.rearLeft.rotorBulk);
    expect(day.peaks.frontLeft.rotorBulk).toBeGreaterThan(base.peaks.frontLeft.rotorBulk);
  });

  it('a load valve that a taller spring blinds lets the rear do less', () => {
    const rear = (missedKn: number) =>
      stop(
        run(TARN, pedal({ valve: { kind: 'load', kneeBar: 40, slopePercent: 30, barPerKn: 8, missedKn } })),
      ).rearPressure;
    expect(rear(1.5)).toBeLessThan(rear(0));
  });

  it('drums need less pressure than their friction alone would ask, and share as it grows', () => {
    const shoes =
      (kind: 'leading-trailing' | 'duplex'): Change =>
      (car) => ({
        ...car,
        rear: {
          ...car.rear,
          padAreaCm2: 60,
          drum: {
            material: 'grey-iron',
            innerDiameterMm: 230,
            widthMm: 42,
            rimThicknessMm: 9,
            ribFactor: 1.2,
            webMassKg: 1.6,
            shoes: kind,
            cylinderMm: 20.6,
            shoeMassKg: 1.1,
          },
        },
      });
    const [plain, duplex] = [run(TARN, shoes('leading-trailing')), run(TARN, shoes('duplex'))];
    expect(stop(duplex).rearHeat).toBeGreaterThan(1.1 * stop(plain).rearHeat);
    expect(stop(duplex).pedal).toBeLessThan(stop(plain).pedal);
    expect(plain.audit.residual).toBeLessThan(1e-9);
  });

  it('weight behind and a low centre want less in front; downforce lets a braking zone ask more of the foot', () => {
    const ideal = (change: Change) => stop(run(TARN, change)).ideal.mean;
    const now = stop(base).ideal.mean;
    // Without ABS weight that wanders lets the front lock sooner too, so a little less than the weight that moved.
    expect(ideal((car) => ({ ...car, abs: true, frontWeightPercent: 40 }))).toBeCloseTo(
      ideal((car) => ({ ...car, abs: true })) - 0.04,
      2,
    );
    expect(ideal((car) => ({ ...car, gravityHeightMm: 330 }))).toBeLessThan(now - 0.03);
    expect(ideal((car) => ({ ...car, wheelbaseMm: 2700 }))).toBeLessThan(now - 0.02);
    const bag = { name: 'Spare wheel behind', massKg: 60, fromFrontMm: 2600, heightMm: 500 };
    expect(ideal((car) => ({ ...car, loads: [bag] }))).toBeLessThan(now);
    const winged = run(SKARN, (car) => ({ ...car, downforceAreaM2: 4.4 }));
    expect(winged.laps[1].forces[0].needed).toBeGreaterThan(run(SKARN).laps[1].forces[0].needed);
  });

  it('colder pads and a wetter out-lap pace never make an infinite or a negative foot', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('commuter', 'enduro', 'sprint', 'carbon-iron', 'haul'),
        fc.double({ min: 0.4, max: 1.2, noNaN: true }),
        fc.boolean(),
        (pad, grip, brakesEarlier) => {
          const day = run(
            OVEL,
            (car) => ({
              ...car,
              front: { ...car.front, pad },
              tyres: { ...car.tyres, longitudinalGrip: grip },
            }),
            { brakesEarlier },
          );
          for (const force of day.laps.flatMap((lap) => lap.forces)) {
            expect(force.pedal).toBeGreaterThan(0);
            expect(Number.isFinite(force.pedal)).toBe(true);
            expect(force.travel).toBeGreaterThan(0);
            expect(force.extraDistance ?? 1).toBeGreaterThanOrEqual(0);
            expect(force.fadeMargin >= 0).toBe(force.limit === 'tyres');
            expect(force.extraDistance !== 0).toBe(force.fadeMargin < 0);
          }
          expect(day.audit.residual).toBeLessThan(1e-9);
        },
      ),
      { numRuns: 8 },
    );
  });
});

describe('a stop on a straight road', () => {
  const input = (buildUp = 0) => dayInput({ ...TARN, plan: { ...TARN.plan, brakeBuildUpS: buildUp } });
  /** Stops and rolls driven in a row by brakes at 350 K. */
  const driven = (buildUp: number, ...pieces: Piece[]) =>
    zonesOf(input(buildUp), listedSchedule(pieces), 350);
  const stop = (from: number, to: number, ask: StopPiece['ask']) =>
    stopPiece({ from, to, ask, ambient: 297 });
  const roll = (from: number, to: number, time: number) => givenPiece(rollSteps(from, to, time), 297);

  it('held at a deceleration takes v²/2a and v/a, whatever the car', () => {
    for (const [kmh, a] of [
      [60, 3],
      [100, 6],
      [130, 8],
    ] as const) {
      const v = kmh / 3.6;
      const [made] = driven(0, stop(v, 0, { deceleration: a }));
      expect(made.distance / ((v * v) / (2 * a))).toBeCloseTo(1, 4);
      expect(made.time / (v / a)).toBeCloseTo(1, 4);
      expect(made.heldBy).toBe('asked');
      expect(made.pedalEnd).toBeGreaterThan(0);
    }
  });

  it('warms the rotors by the energy it gives up over their heat capacity', () => {
    const v = 120 / 3.6;
    const again = stop(v, 0, { deceleration: 7 });
    const [first, second] = driven(0, again, again);
    const { vehicle, front } = input();
    const corner = front.left;
    const geometry = rotorGeometry(corner.rotor);
    const capacity =
      (geometry.cheekMass + geometry.vaneMass) * tableAt(corner.rotor.material.specificHeat, 370);
    const kinetic = 0.5 * vehicle.mass * vehicle.rotatingInertia * v * v;
    // The front’s share of what drag and slip leave; a little is in pads and hat before the next stop begins.
    const rise = (0.724 * 0.5 * kinetic * (1 - vehicle.slipShare)) / capacity;
    expect((second.before.front - first.before.front) / rise).toBeGreaterThan(0.8);
    expect((second.before.front - first.before.front) / rise).toBeLessThan(1.0);
    expect(first.face.front).toBeGreaterThan(second.before.front - 1);
  });

  it('never asks more of the tyres than they have, and stops no shorter with a stronger foot once they are the limit', () => {
    const at = (newton: number) => driven(0.2, stop(100 / 3.6, 0, { atMost: newton }))[0];
    const [weak, enough, more] = [at(150), at(600), at(900)];
    expect(weak.heldBy).toBe('pedal');
    expect(weak.distance).toBeGreaterThan(enough.distance + 10);
    expect(enough.heldBy).toBe('tyres');
    expect(more.distance).toBeCloseTo(enough.distance, 6);
    expect(more.pedal).toBeCloseTo(enough.pedal, 6);
  });

  it('says where it cannot stop instead of going on for ever', () => {
    const { vehicle } = input();
    const weak = { ...input(), vehicle: { ...vehicle, dragArea: 0, rollingResistance: 0 } };
    const schedule = listedSchedule([stop(50, 0, { deceleration: 0.0001 })]);
    expect(() => zonesOf(weak, schedule, 300)).toThrow(/after five minutes it still goes 50.0 m\/s/);
  });

  it('cools while it rolls, the faster the faster', () => {
    const rolled = (speed: number) => {
      const pieces = [stop(40, 0, { deceleration: 8 }), roll(speed, speed, 120)];
      return driven(0, ...pieces, stop(10, 9, { deceleration: 3 }))[1].before.front;
    };
    expect(rolled(40)).toBeLessThan(rolled(15));
    expect(rolled(15)).toBeLessThan(rolled(0));
    expect(rolled(40)).toBeGreaterThan(297);
  });
});
