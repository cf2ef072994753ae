import { describe, expect, it } from 'vitest';
import { plainCar } from '../../../tests/support/vehicles';
import { pointTable } from '../numeric';
import { driveLap, prepareCircuit } from './driveLap';
import { forcesOf, powerAt, resistance, topSpeed } from './forces';
import { solveLap } from './solveLap';
import { lapTime } from './trace';
import type { Driver, Vehicle } from './vehicle';
import { airSpeed, WIND_AT_CAR, type Wind } from './wind';

const car: Vehicle = { ...plainCar, mass: 1200, power: 150_000, loadSensitivity: 0 };
const driver: Driver = { brakingGripUsed: 0.9, corneringGripUsed: 0.92, brakeBuildUp: 0.25, pace: 1 };
const air = { airDensity: 1.2, ductDragArea: 0 };
/** Out and back on two long straights, the first in the direction the lap begins in. */
const oval = (wind: Wind | null = null) =>
  prepareCircuit(
    {
      kind: 'line',
      segments: [
        { kind: 'straight', length: 6000, grade: 0 },
        { kind: 'corner', radius: 60, angle: Math.PI, hand: 'left', grade: 0 },
        { kind: 'straight', length: 6000, grade: 0 },
        { kind: 'corner', radius: 60, angle: Math.PI, hand: 'left', grade: 0 },
      ],
      names: ['', 'Far', '', 'Near'],
    },
    2,
    wind,
  );

describe('wind along the lap', () => {
  const wind: Wind = { speed: 12, from: 0 };
  const trace = driveLap(oval(wind), car, driver, air);
  const reached = (from: number, to: number) =>
    trace.speed.reduce((most, v, i) => {
      const at = trace.distance[i];
      return at > from && at < to ? Math.max(most, v) : most;
    }, 0);

  it('lets a car go as fast on each straight as its power holds drag and rolling: P = (½ρ·CdA·(v + w)² + R)·v', () => {
    const forces = forcesOf(car, driver, 1.2, 0);
    const w = 12 * WIND_AT_CAR;
    expect(WIND_AT_CAR).toBeCloseTo(0.6036, 4);
    const out = reached(0, 6000);
    const back = reached(6200, 12200);
    expect((resistance(forces, out + w, 0) * out) / car.power).toBeCloseTo(1, 2);
    // The straight is not long enough for the last half per cent.
    expect(Math.abs((resistance(forces, back - w, 0) * back) / car.power - 1)).toBeLessThan(0.01);
    expect(back - out).toBeGreaterThan(6);
  });

  it('blows on the brakes by what it is against the car, and spares them work where it blows from ahead', () => {
    const at = (distance: number) => trace.distance.findIndex((d) => d >= distance);
    expect(trace.airSpeed[at(3000)]).toBeCloseTo(trace.speed[at(3000)] + 12 * WIND_AT_CAR, 1);
    expect(trace.airSpeed[at(9000)]).toBeCloseTo(trace.speed[at(9000)] - 12 * WIND_AT_CAR, 1);
    expect(airSpeed(10, -9)).toBe(5);
    const energies = trace.zones.map((zone) => zone.energy);
    expect(energies[1] / energies[0]).toBeGreaterThan(1.1);
  });

  it('does to the two straights the same the other way round, across them only at their ends, and nothing when calm', () => {
    const lap = (from: number, speed = 12) => driveLap(oval({ speed, from }), car, driver, air);
    const turned = lap(Math.PI).zones.map((zone) => zone.energy);
    expect(turned[0] / trace.zones[1].energy).toBeCloseTo(1, 2);
    const across = lap(Math.PI / 2);
    expect(Math.abs(across.airSpeed[1500] - across.speed[1500])).toBeLessThan(0.04 * 12);
    expect(lap(0, 0).time).toEqual(driveLap(oval(), car, driver, air).time);
    expect(lapTime(trace)).toBeGreaterThan(lapTime(lap(0, 0)));
  });
});

describe('an engine over speed', () => {
  const to = pointTable([
    [10, 0.4],
    [40, 1],
    [70, 0.7],
  ]);

  it('gives what its curve says: top speed where that holds the drag, acceleration by the share at each speed', () => {
    const curved = forcesOf({ ...car, powerOverSpeed: to }, driver, 1.2, 0);
    const top = topSpeed(curved);
    expect(powerAt(curved, 25)).toBeCloseTo(0.7 * car.power, 6);
    expect((resistance(curved, top, 0) * top) / powerAt(curved, top)).toBeCloseTo(1, 9);
    const flat = { ...car, powerOverSpeed: pointTable([[0, 1]]) };
    expect(driveLap(oval(), flat, driver, air).time).toEqual(driveLap(oval(), car, driver, air).time);
    const half = { ...car, powerOverSpeed: pointTable([[0, 0.5]]) };
    expect(driveLap(oval(), half, driver, air).time).toEqual(
      driveLap(oval(), { ...car, power: car.power / 2 }, driver, air).time,
    );
  });

  it('spares the brakes its braking at each speed: ∫F(v) ds over a braking zone', () => {
    const [v1, v0, length] = [50, 20, 120];
    const zone = {
      name: '',
      entrySpeed: v1,
      exitSpeed: v0,
      length,
      grade: 0,
      toNext: 900,
      timeToNext: null,
    };
    const lap = prepareCircuit({ kind: 'zones', zones: [zone] });
    const energy = (vehicle: Vehicle) =>
      driveLap(lap, { ...vehicle, slipShare: 0 }, { ...driver, brakeBuildUp: 0 }, air).zones[0].energy;
    const spared =
      energy({ ...car, engineBraking: 0 }) -
      energy({
        ...car,
        engineBraking: 800,
        engineBrakingOverSpeed: pointTable([
          [0, 0],
          [100, 1],
        ]),
      });
    // F = 8·v, v² in a line over the way: ∫ 8·v ds = 8·(v₁³ − v₀³)/(3a), a = (v₁² − v₀²)/2s.
    const a = (v1 * v1 - v0 * v0) / (2 * length);
    expect(spared).toBeCloseTo((8 * (v1 * v1 * v1 - v0 * v0 * v0)) / (3 * a), -1);
  });
});

describe('a damp or wet track', () => {
  const wet = { ...driver, trackGrip: 0.6 };

  it('is a dry one on tyres with as much less grip', () => {
    const tyres = {
      ...car,
      lateralGrip: 0.6 * car.lateralGrip,
      longitudinalGrip: 0.6 * car.longitudinalGrip,
    };
    expect(driveLap(oval(), car, wet, air).time).toEqual(driveLap(oval(), tyres, driver, air).time);
    const hardest = (by: Driver) => Math.max(...driveLap(oval(), car, by, air).zones.map((z) => z.peakPower));
    expect(hardest(wet)).toBeLessThan(0.8 * hardest(driver));
  });

  it('lets typed speeds fall with the root of the grip', () => {
    const zone = {
      name: '',
      entrySpeed: 50,
      exitSpeed: 20,
      length: 110,
      grade: 0,
      toNext: 800,
      timeToNext: null,
    };
    const lap = prepareCircuit({ kind: 'zones', zones: [zone] });
    const { zones } = driveLap(lap, car, wet, air);
    expect(zones[0].entrySpeed / 50).toBeCloseTo(Math.sqrt(0.6), 3);
  });
});

describe('the corners before a braking zone', () => {
  it('press as hard as v²κ says: round the far end of the oval before its near one', () => {
    const { zones, speed, distance } = driveLap(oval(), car, driver, air);
    const fastest = speed.reduce(
      (most, v, i) => (Math.abs(distance[i] - 6090) < 60 ? Math.max(most, v) : most),
      0,
    );
    expect(zones).toHaveLength(2);
    expect(zones[1].lateralBefore / ((fastest * fastest) / 60 / 9.80665)).toBeCloseTo(1, 2);
    // Braking into a corner is not after it.
    expect(zones[0].lateralBefore).toBeCloseTo(zones[1].lateralBefore, 2);
  });
});

describe('what is kept of a line from one lap to the next', () => {
  it('is of the same car in the same air alone: whatever changes, a lap is as on a line never driven', () => {
    const circuit = oval();
    if (circuit.kind !== 'line') throw new Error('a line was expected');
    const { line } = circuit;
    const lifting: Vehicle = { ...car, loadSensitivity: 0.2, downforceArea: 0.8, engineBraking: 300 };
    const forces = { ...forcesOf(lifting, driver, 1.2, 0), firstAxle: null };
    solveLap(line, forces, 0.25);
    const numbers = Object.entries(forces).filter(([, value]) => typeof value === 'number');
    const others = [
      ...numbers.map(([name, value]) => ({ ...forces, [name]: 0.93 * (value as number) })),
      {
        ...forces,
        powerOverSpeed: pointTable([
          [0, 0.5],
          [40, 1],
          [90, 0.8],
        ]),
      },
      {
        ...forces,
        engineOverSpeed: pointTable([
          [0, 0.5],
          [90, 1],
        ]),
      },
    ];
    expect(others.length).toBeGreaterThan(12);
    for (const other of others) {
      expect(solveLap(line, other, 0.25)).toEqual(solveLap({ ...line }, other, 0.25));
    }
  });
});
