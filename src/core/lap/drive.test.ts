import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { recordFigure } from '../../../tests/support/validation';
import { plainCar } from '../../../tests/support/vehicles';
import type { Segment } from '../circuit';
import { STANDARD_GRAVITY } from '../constants';
import { intervalAt } from '../numeric';
import { driveLap, prepareCircuit } from './driveLap';
import { forcesOf, powerIn, topSpeed } from './forces';
import { type LapTrace, lapHeat } from './trace';
import { timeRange } from './typedZones';
import type { Driver, Vehicle } from './vehicle';

const car = plainCar;
/** Nothing but mass: the heat is the kinetic energy. */
const bare: Vehicle = {
  ...car,
  rotatingInertia: 1,
  dragArea: 0,
  downforceArea: 0,
  rollingResistance: 0,
  engineBraking: 0,
  slipShare: 0,
};
const driver: Driver = { brakingGripUsed: 0.9, corneringGripUsed: 0.92, brakeBuildUp: 0.25, pace: 1 };
const still = { airDensity: 1.2, ductDragArea: 0 };
const straight = (length: number, grade = 0): Segment => ({ kind: 'straight', length, grade });
const turn = (radius: number, degrees: number): Segment => ({
  kind: 'corner',
  radius,
  angle: (degrees * Math.PI) / 180,
  hand: 'left',
  grade: 0,
});
const SEGMENTS = [
  straight(500, 0.01),
  turn(30, 100),
  straight(300),
  turn(80, 80),
  straight(450, -0.011),
  turn(45, 100),
  straight(220),
  turn(60, 80),
];
const circuit = prepareCircuit({ kind: 'line', segments: SEGMENTS, names: SEGMENTS.map(() => '') });
const typed = (entry: number, exit: number, length: number, toNext: number, grade = 0) => ({
  name: '',
  entrySpeed: entry / 3.6,
  exitSpeed: exit / 3.6,
  length,
  grade,
  toNext,
  timeToNext: null,
});
const drive = (vehicle: Vehicle, pace = 1) => driveLap(circuit, vehicle, { ...driver, pace }, still);

describe('braking work', () => {
  it('is the kinetic energy when nothing else brakes: 1500 kg from 100 km/h, 578.7 kJ (½mv²)', () => {
    const lap = prepareCircuit({ kind: 'zones', zones: [typed(100, 0, 60, 400)] });
    const heat = lapHeat(driveLap(lap, bare, driver, still)) / 1000;
    expect(heat).toBeCloseTo(578.7, 1);
    recordFigure({
      id: '7',
      what: '1500 kg from 100 km/h',
      expected: '578.7',
      computed: heat,
      unit: 'kJ',
      source: '½mv²',
    });
  });

  it('is four times as much at twice the speed and nine times at three times (common practice)', () => {
    const heat = (speed: number) =>
      lapHeat(
        driveLap(prepareCircuit({ kind: 'zones', zones: [typed(speed, 0, 200, 900)] }), bare, driver, still),
      );
    expect(heat(120) / heat(60)).toBeCloseTo(4, 9);
    expect(heat(180) / heat(60)).toBeCloseTo(9, 9);
  });

  it('is spared by drag, rolling, engine, slip and an upward grade, each by its own work', () => {
    const energy = (vehicle: Vehicle, grade = 0) =>
      driveLap(
        prepareCircuit({ kind: 'zones', zones: [typed(150, 60, 100, 500, grade)] }),
        vehicle,
        // From the first instant at full braking, so that v² falls in a line.
        { ...driver, brakeBuildUp: 0 },
        still,
      ).zones[0].energy;
    const kinetic = energy(bare);
    expect(kinetic - energy({ ...bare, engineBraking: 400 })).toBeCloseTo(400 * 100, 3);
    const weight = 1500 * STANDARD_GRAVITY;
    expect(kinetic - energy({ ...bare, rollingResistance: 0.015 })).toBeCloseTo(0.015 * weight * 100, 3);
    expect(energy({ ...bare, slipShare: 0.05 })).toBeCloseTo(0.95 * kinetic, 3);
    expect(kinetic - energy(bare, 0.05)).toBeCloseTo((0.05 / Math.sqrt(1.0025)) * weight * 100, 0);
    // v² falls in a line, so the mean of v² is the mean of its ends.
    const square = (150 ** 2 + 60 ** 2) / 2 / 3.6 ** 2;
    expect(kinetic - energy({ ...bare, dragArea: 0.8 })).toBeCloseTo(0.5 * 1.2 * 0.8 * square * 100, 0);
  });

  it('is shared between front, rear, recovery and tyres without loss', () => {
    const recovery = {
      axle: 'rear' as const,
      power: 60_000,
      lowestSpeed: 4,
      blending: 'blended' as const,
      derating: null,
    };
    const plain = drive(car);
    const electric = drive({ ...car, recovery });
    const end = plain.time.length - 1;
    const wheelWork = (t: LapTrace) => t.frontHeat[end] + t.rearHeat[end] + t.recovered[end] + t.slipped[end];
    expect(electric.recovered[end]).toBeGreaterThan(0);
    expect(electric.frontHeat[end] / plain.frontHeat[end]).toBeCloseTo(1, 12);
    expect(electric.rearHeat[end] * (1 / 0.95) + electric.recovered[end]).toBeCloseTo(
      plain.rearHeat[end] / 0.95,
      3,
    );
    expect(wheelWork(electric)).toBeCloseTo(wheelWork(plain), 3);
    const ofZones = plain.zones.reduce((sum, s) => sum + s.energy, 0);
    expect(ofZones / lapHeat(plain)).toBeGreaterThan(0.995);
  });
});

describe('the simulated lap', () => {
  it('ends as fast as it starts, and its clock fits its speeds', () => {
    for (const pace of [1, 0.6]) {
      const { speed, distance, time } = drive(car, pace);
      const n = speed.length - 1;
      expect(speed[n]).toBe(speed[0]);
      let t = 0;
      for (let i = 0; i < n; i++) t += (2 * (distance[i + 1] - distance[i])) / (speed[i] + speed[i + 1]);
      expect(time[n]).toBeCloseTo(t, 9);
    }
  });

  it('holds a circle at √(µ·g·r), and faster with downforce', () => {
    const ring = prepareCircuit({ kind: 'line', segments: [turn(50, 180), turn(50, 180)], names: ['', ''] });
    const flat = { ...bare, loadSensitivity: 0 };
    const speed = driveLap(ring, flat, driver, still).speed[10];
    expect(speed).toBeCloseTo(Math.sqrt(1.2 * 0.92 * STANDARD_GRAVITY * 50), 4);
    expect(driveLap(ring, { ...flat, downforceArea: 3 }, driver, still).speed[10]).toBeGreaterThan(speed);
  });

  it('never asks more of the tyres than the friction ellipse gives', () => {
    for (const vehicle of [car, { ...car, downforceArea: 3.5, mass: 900, power: 400_000 }]) {
      const trace = drive(vehicle);
      if (circuit.kind !== 'line') throw new Error('a line was expected');
      const { line } = circuit;
      for (let i = 1; i < trace.speed.length - 1; i++) {
        const ds = trace.distance[i + 1] - trace.distance[i];
        const v2 = 0.5 * (trace.speed[i] ** 2 + trace.speed[i + 1] ** 2);
        const deceleration = (trace.speed[i] ** 2 - trace.speed[i + 1] ** 2) / (2 * ds);
        const k = intervalAt(line.distance, 0.5 * (trace.distance[i] + trace.distance[i + 1]));
        const bend = 0.5 * (line.curvature[k] + line.curvature[k + 1]);
        const load = vehicle.mass * STANDARD_GRAVITY + 0.5 * 1.2 * vehicle.downforceArea * v2;
        const grip = (1 - 0.1 * (load / (vehicle.mass * STANDARD_GRAVITY) - 1)) * load;
        const sideways = (vehicle.mass * v2 * Math.abs(bend)) / (1.2 * 0.92 * grip);
        const drag =
          0.5 * 1.2 * vehicle.dragArea * v2 + (0.013 + line.grade[k]) * vehicle.mass * STANDARD_GRAVITY;
        const along = Math.max(0, vehicle.mass * deceleration - drag) / (1.25 * 0.9 * grip);
        expect(Math.hypot(sideways, along)).toBeLessThan(1.04);
      }
    }
  });

  it('takes the pedal off as downforce goes: a winged car’s deceleration falls along its braking zone', () => {
    const trace = drive({ ...car, downforceArea: 3.5, mass: 900, power: 400_000, loadSensitivity: 0 });
    const zone = trace.zones.reduce((a, b) => (b.energy > a.energy ? b : a));
    const at = (i: number) =>
      (trace.speed[i] ** 2 - trace.speed[i + 1] ** 2) / 2 / (trace.distance[i + 1] - trace.distance[i]);
    const quarter = Math.round(zone.startIndex + 0.3 * (zone.endIndex - zone.startIndex));
    const late = Math.round(zone.startIndex + 0.75 * (zone.endIndex - zone.startIndex));
    expect(at(quarter)).toBeGreaterThan(at(late) + 2);
  });

  it('brakes earlier when the brakes build up slowly, and never gains by it', () => {
    const lap = (brakeBuildUp: number) => driveLap(circuit, car, { ...driver, brakeBuildUp }, still);
    const [quick, slow] = [lap(0), lap(0.4)];
    expect(slow.time[slow.time.length - 1]).toBeGreaterThan(quick.time[quick.time.length - 1]);
    slow.zones.forEach((zone, k) => {
      expect(slow.distance[zone.startIndex]).toBeLessThan(quick.distance[quick.zones[k].startIndex]);
      expect(zone.length).toBeGreaterThan(quick.zones[k].length);
    });
  });
});

describe('typed braking zones', () => {
  it('take the time they are told to, within what is possible', () => {
    const speeds = fc.double({ min: 5, max: 60, noNaN: true });
    fc.assert(
      fc.property(
        speeds,
        speeds,
        fc.double({ min: 50, max: 2000, noNaN: true }),
        fc.double({ min: 0.02, max: 0.95, noNaN: true }),
        (from, to, distance, share) => {
          fc.pre(Math.abs(from - to) > 1 && from > 3);
          const [least, most] = timeRange(from, to, distance);
          const wanted = least + share * (most - least);
          const zone = {
            name: '',
            entrySpeed: Math.max(from, to) + 5,
            length: 50,
            grade: 0,
            toNext: distance,
          };
          const lap = prepareCircuit({
            kind: 'zones',
            zones: [
              { ...zone, exitSpeed: from, timeToNext: wanted },
              { ...zone, entrySpeed: to, exitSpeed: Math.min(from, to) - 1, timeToNext: null },
            ],
          });
          const trace = driveLap(lap, bare, driver, still);
          const start = trace.distance.findIndex((s) => s > 0.5 * distance + 50 - 1e-6);
          const end = trace.distance.findIndex((s) => s > trace.distance[start] + distance - 1e-6);
          expect(start).toBeGreaterThan(0);
          expect(end).toBeGreaterThan(start);
          expect(trace.time[end] - trace.time[start]).toBeCloseTo(wanted, 4);
        },
      ),
      { numRuns: 60 },
    );
  });
});

describe('power in thin air', () => {
  it('falls by Gagg and Farrar’s relation for an engine that breathes freely, and for no other', () => {
    // ρ/ρ₀ of the standard atmosphere at 2500 m is 0.7811: 1.132 · 0.7811 − 0.132 = 0.7522.
    const thin = 0.7811 * 1.225;
    expect(powerIn({ power: 1e5, intake: 'natural' }, thin)).toBeCloseTo(75220, -1.5);
    expect(powerIn({ power: 1e5, intake: 'natural' }, 1.225)).toBeCloseTo(1e5, 6);
    for (const intake of ['supercharged', 'electric'] as const) {
      expect(powerIn({ power: 1e5, intake }, thin)).toBe(1e5);
    }
  });

  it('lowers the top speed by the third root, drag being all there is', () => {
    const top = (intake: 'natural' | 'electric') =>
      topSpeed(
        forcesOf(
          { ...bare, dragArea: 0.7, rollingResistance: 0, intake },
          { ...driver, pace: 1 },
          0.7811 * 1.225,
          0,
        ),
      );
    expect(top('natural') / top('electric')).toBeCloseTo(0.7522 ** (1 / 3), 4);
  });
});
