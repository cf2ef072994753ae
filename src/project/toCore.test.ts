import { describe, expect, it } from 'vitest';
import { demoProject } from '../../demo/project';
import { tableAt, ZERO_CELSIUS } from '../core';
import {
  type Car,
  cornerOf,
  FLUIDS,
  fluidBoilingPointC,
  fluidWater,
  MATERIAL_IDS,
  PADS,
  ROTOR_MATERIALS,
  sessionInput,
  setupOf,
  starterStop,
  stopLength,
} from './index';

const setup = setupOf(demoProject, 'plan-ovel-nettle');

describe('from stored units to SI', () => {
  it('converts each kind of quantity by its known factor', () => {
    const input = sessionInput(setup);
    expect(input.vehicle).toMatchObject({
      mass: 1930,
      power: 165_000,
      frontShare: 0.64,
      wheelRadius: 0.338,
      slipShare: 0.04,
      recovery: { axle: 'rear', power: 90_000, lowestSpeed: 12 / 3.6 },
    });
    expect(input.vehicle.rollingResistance).toBeCloseTo(0.011, 12);
    expect(input.weather).toEqual({ temperature: 24 + ZERO_CELSIUS, altitude: 340, humidity: 0.55 });
    expect(input.plan).toMatchObject({ hotLaps: 7, outPace: 0.65, paddockTime: 1800 });
    const { rotor, pad, caliper, ductArea } = input.front.corner;
    expect(rotor).toMatchObject({ outerDiameter: 0.345, thickness: 0.03, vaneGap: 0.011, vaneCount: 48 });
    expect(pad.area).toBeCloseTo(74e-4, 12);
    expect(pad.limit).toBeCloseTo(PADS.estate.limit + ZERO_CELSIUS, 9);
    expect(caliper).toMatchObject({ mass: 4.6, fluidMass: 0.06, plateToFluid: 1.4 });
    expect(ductArea).toBe(0);
    expect(input.front.boilingPoint).toBe(input.rear.boilingPoint);
  });

  it('turns a corner into radians and keeps its hand', () => {
    const input = sessionInput(setup).circuit;
    if (input.kind !== 'line' || setup.circuit.layout.kind !== 'line') throw new Error('a line was expected');
    const stored = setup.circuit.layout.segments[1];
    const given = input.segments[1];
    if (stored.kind !== 'corner' || given.kind !== 'corner') throw new Error('a corner was expected');
    expect(given.angle).toBeCloseTo((stored.angleDeg * Math.PI) / 180, 12);
    expect(given.hand).toBe(stored.hand);
    expect(input.names[1]).toBe('Bramble');
  });

  it('finds a typed stop’s length from its deceleration: (v1² − v2²)/2a', () => {
    const stop = {
      ...starterStop('x'),
      entryKmh: 144,
      exitKmh: 72,
      by: 'deceleration' as const,
      decelerationMs2: 6,
    };
    expect(stopLength(stop)).toBeCloseTo((40 ** 2 - 20 ** 2) / 12, 9);
    expect(stopLength({ ...stop, by: 'distance', distanceM: 55 })).toBe(55);
  });

  it('names an unknown plan', () => {
    expect(() => setupOf(demoProject, 'nobody')).toThrow(/no complete plan "nobody"/);
  });
});

describe('fluid in a car', () => {
  const aged = (ageMonths: number, kind: Car['fluid']['kind']): Car => ({
    ...setup.car,
    fluid: { kind, ageMonths, waterFirstYearPercent: 2 },
  });

  it('boils at its dry point when fresh, lower each month, and a good lower class beats a poor higher one', () => {
    expect(fluidBoilingPointC(aged(0, 'road-sport'))).toBeCloseTo(FLUIDS['road-sport'].dry, 9);
    expect(fluidWater(aged(12, 'road-sport'))).toBeCloseTo(2, 6);
    let before = Number.POSITIVE_INFINITY;
    for (let months = 0; months <= 60; months += 3) {
      const now = fluidBoilingPointC(aged(months, 'race'));
      expect(now).toBeLessThan(before);
      before = now;
    }
    expect(fluidBoilingPointC(aged(12, 'road-sport'))).toBeGreaterThan(
      fluidBoilingPointC(aged(12, 'class-51')),
    );
  });

  it('silicone keeps its point only while no water got in', () => {
    expect(fluidBoilingPointC(aged(0, 'silicone'))).toBeCloseTo(260, 9);
    expect(fluidBoilingPointC(aged(6, 'silicone'))).toBeCloseTo(100, 6);
  });
});

describe('catalogue', () => {
  it('has pads whose window lies under their limit and whose plates stand less than their faces', () => {
    for (const pad of Object.values(PADS)) {
      expect(pad.window[0]).toBeLessThan(pad.window[1]);
      expect(pad.window[1]).toBeLessThanOrEqual(pad.limit);
      expect(pad.plateLimit).toBeLessThan(pad.limit);
      expect(pad.friction).toBeGreaterThan(0.25);
    }
  });

  it('has fluids that boil later dry than wet, over the curve’s floor', () => {
    for (const fluid of Object.values(FLUIDS)) {
      expect(fluid.dry).toBeGreaterThan(fluid.wet);
      expect(fluid.wet).toBeGreaterThan(120);
      expect(fluid.source).not.toBe('');
    }
  });

  it.each(MATERIAL_IDS)('has a material that stays physical from cold to its limit: %s', (id) => {
    const { material, source } = ROTOR_MATERIALS[id];
    expect(source).not.toBe('');
    expect(material.faceLimit).toBeGreaterThan(material.bulkLimit);
    for (let t = 260; t < material.faceLimit; t += 20) {
      expect(tableAt(material.conductivity, t)).toBeGreaterThan(5);
      expect(tableAt(material.specificHeat, t)).toBeGreaterThan(300);
      expect(tableAt(material.specificHeat, t + 20)).toBeGreaterThan(0.9 * tableAt(material.specificHeat, t));
    }
  });

  it('gives a floating ring far less contact with its hat than a one-piece', () => {
    const front = setup.car.front;
    const floating = cornerOf({ ...front, rotor: { ...front.rotor, mounting: 'floating' } });
    expect(floating.rotor.hatConductance).toBeLessThan(0.3 * cornerOf(front).rotor.hatConductance);
  });
});
