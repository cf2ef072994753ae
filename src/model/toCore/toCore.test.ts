import { describe, expect, it } from 'vitest';
import { demoProject } from '../../../demo/project';
import { recordFigure } from '../../../tests/support/validation';
import {
  boilingPoint,
  type Corner,
  cornerNetwork,
  rotorGeometry,
  rotorHeatShare,
  tableAt,
  uniformTable,
  ZERO_CELSIUS,
} from '../../core';
import { FLUIDS } from '../catalogue/fluids';
import { MATERIAL_IDS, ROTOR_MATERIALS } from '../catalogue/materials';
import { nominalFriction, PADS } from '../catalogue/pads';
import { starterZone } from '../catalogue/starters';
import type { Car } from '../schema/car';
import { chainOf } from './chain';
import { cornerOf } from './corner';
import { dayInput, fluidBoilingPointC, fluidWater, setupOf, zoneLength } from './toCore';

const setup = setupOf(demoProject, 'plan-ovel-nettle');

describe('pads over temperature', () => {
  const day = dayInput(setupOf(demoProject, 'plan-skarn-fen'));
  const corner = day.front.left;
  const hot = (corner: Corner, part: string, celsius: number) => {
    const node = cornerNetwork(corner, 293.15, 101325).network.nodes.find(({ name }) => name === part);
    return node?.table ? tableAt(node.table, celsius + ZERO_CELSIUS) : 1;
  };

  it('of carbon store heat and conduct like the disc they rub on, hot as well as cold', () => {
    const { material } = corner.rotor;
    for (const celsius of [20, 200, 600, 1000]) {
      const at = (table: Float64Array) => tableAt(table, celsius + ZERO_CELSIUS);
      const cold = (table: Float64Array) => tableAt(table, 20 + ZERO_CELSIUS);
      const disc = at(material.specificHeat) / cold(material.specificHeat);
      expect(hot(corner, 'pad 0', celsius)).toBeCloseTo(disc, 9);
      // Share of the heat: both grow alike, so what is left is constants and areas.
      const { pad } = corner;
      const own = Math.sqrt(pad.conductivity * pad.density * pad.specificHeat) * 2 * pad.area;
      const its = Math.sqrt(cold(material.conductivity) * material.density * cold(material.specificHeat));
      const ring = 2 * rotorGeometry(corner.rotor).faceArea * its;
      expect(rotorHeatShare(corner, celsius + ZERO_CELSIUS)).toBeCloseTo(ring / (ring + own), 9);
    }
    expect(hot(corner, 'pad 0', 1000)).toBeGreaterThan(2.5);
  });

  it('for iron keep the constants they are given', () => {
    const iron = dayInput(setupOf(demoProject, 'plan-tarn-anvil')).front.left;
    expect(hot(iron, 'pad 0', 600)).toBe(1);
    expect(iron.pad.overTemperature).toBeNull();
  });
});

describe('from stored units to SI', () => {
  it('converts each kind of quantity by its known factor', () => {
    const input = dayInput(setup);
    expect(input.vehicle).toMatchObject({
      mass: 1930,
      power: 165_000,
      wheelRadius: 0.338,
      slipShare: 0.04,
      recovery: { axle: 'rear', power: 90_000, lowestSpeed: 12 / 3.6 },
    });
    expect(input.vehicle.rollingResistance).toBeCloseTo(0.011, 12);
    expect(input).toMatchObject({ altitude: 340, humidity: 0.55 });
    expect(input.sessions).toEqual([
      {
        name: 'First run',
        ambient: 24 + ZERO_CELSIUS,
        trackGrip: 1,
        legs: [
          { kind: 'out', laps: 1, pace: 0.65 },
          { kind: 'hot', laps: 7, pace: 1 },
          { kind: 'cool', laps: 1, pace: 0.4 },
          { kind: 'paddock', duration: 1800, fan: 0 },
        ],
      },
    ]);
    const { rotor, pad, caliper, air } = input.front.left;
    expect(rotor).toMatchObject({ outerDiameter: 0.38, thickness: 0.036, vaneGap: 0.014, vaneCount: 48 });
    expect(pad.area).toBeCloseTo(74e-4, 12);
    expect(pad.limit).toBeCloseTo(PADS.clubday.limit + ZERO_CELSIUS, 9);
    expect(caliper).toMatchObject({ mass: 4.6, fluidMass: 0.06 });
    expect(air).toMatchObject({ ductArea: 0, wheelOpenArea: 0.5, coolingFactor: 1 });
    expect(input.front.boilingPoint).toBe(input.rear.boilingPoint);
  });

  it('turns a corner into radians and keeps its hand', () => {
    const input = dayInput(setup).circuit;
    if (input.kind !== 'line' || setup.circuit.layout.kind !== 'line') throw new Error('a line was expected');
    const stored = setup.circuit.layout.segments[1];
    const given = input.segments[1];
    if (stored.kind !== 'corner' || given.kind !== 'corner') throw new Error('a corner was expected');
    expect(given.angle).toBeCloseTo((stored.angleDeg * Math.PI) / 180, 12);
    expect(given.hand).toBe(stored.hand);
    expect(input.names[1]).toBe('Bramble');
  });

  it('finds a typed stop’s length from its deceleration: (v1² − v2²)/2a', () => {
    const zone = {
      ...starterZone('x'),
      entryKmh: 144,
      exitKmh: 72,
      by: 'deceleration' as const,
      decelerationMs2: 6,
    };
    expect(zoneLength(zone)).toBeCloseTo((40 ** 2 - 20 ** 2) / 12, 9);
    expect(zoneLength({ ...zone, by: 'distance', distanceM: 55 })).toBe(55);
  });

  it('lets fluid boil sooner at height, and as measured pressure says', () => {
    const limit = (altitudeM: number, pressureHpa: number | null = null) =>
      dayInput({ ...setup, circuit: { ...setup.circuit, altitudeM }, plan: { ...setup.plan, pressureHpa } })
        .front.boilingPoint - ZERO_CELSIUS;
    expect(limit(0)).toBeCloseTo(fluidBoilingPointC(setup.car), 3);
    expect(limit(0) - limit(2500)).toBeGreaterThan(9);
    expect(limit(0) - limit(2500)).toBeLessThan(15);
    expect(limit(2500, 1013.25)).toBeCloseTo(limit(0), 3);
  });

  it('turns the wind to the line’s start, and knows none where its directions are not known', () => {
    const { circuit, plan } = setup;
    const place = { latitudeDeg: 46, longitudeDeg: 7, bearingDeg: 90, heightM: 400 };
    const windy = (windFromDeg: number, at: typeof circuit.place = place) =>
      dayInput({ ...setup, circuit: { ...circuit, place: at }, plan: { ...plan, windKmh: 36, windFromDeg } })
        .wind;
    expect(windy(90)).toEqual({ speed: 10, from: 0 });
    // Heading east, what comes from the north comes from the left.
    expect(windy(0)?.from).toBeCloseTo(Math.PI / 2, 12);
    expect(windy(180)?.from).toBeCloseTo(-Math.PI / 2, 12);
    expect(windy(90, null)).toBeNull();
  });

  it('lets holes in a plate give a little more and hooks less, and hooks stand more heat', () => {
    const held = (plateKind: Car['front']['plateKind']) => {
      const car = { ...setup.car, front: { ...setup.car.front, plateKind } };
      return { give: chainOf(car).front.padGive, stands: cornerOf(car.front).pad.plateLimit };
    };
    const [flush, holed, retained] = [held('flush'), held('holed'), held('retained')];
    expect([holed.give / flush.give, retained.give / flush.give]).toEqual([
      expect.closeTo(1.08, 12),
      expect.closeTo(0.95, 12),
    ]);
    expect(retained.stands - flush.stands).toBeCloseTo(60, 9);
    expect(flush.give).toBeCloseTo((setup.car.front.padThicknessMm * 1e-3) / 800e6, 14);
  });

  it('names an unknown plan', () => {
    expect(() => setupOf(demoProject, 'nobody')).toThrow(/no complete plan "nobody"/);
  });
});

describe('fluid in a car', () => {
  const aged = (ageMonths: number, kind: Car['fluid']['kind']): Car => ({
    ...setup.car,
    fluid: { kind, ageMonths, waterFirstYearPercent: 2, measuredBoilingC: null, freeWater: false },
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

  // Dry and wet (3.7 % water), °C: 49 CFR 571.116 for the DOT classes, ISO 4925 (from memory) for 6 and 7.
  it.each([
    ['12', 'DOT 3', 'class-3', 205, 140, '49 CFR 571.116'],
    ['12', 'DOT 4', 'class-4', 230, 155, '49 CFR 571.116'],
    ['12', 'DOT 5.1', 'class-51', 260, 180, '49 CFR 571.116'],
    ['13', 'class 6', 'class-6', 250, 165, 'ISO 4925 (m)'],
    ['13', 'class 7', 'class-7', 260, 180, 'ISO 4925 (m)'],
  ] as const)('%s: boils as its class must, dry and wet: %s', (id, name, kind, dry, wet, source) => {
    const fluid = FLUIDS[kind];
    const at = (water: number) =>
      boilingPoint(
        { dry: fluid.dry + ZERO_CELSIUS, wet: fluid.wet + ZERO_CELSIUS, freeWater: false },
        water,
      ) - ZERO_CELSIUS;
    for (const [what, expected, computed] of [
      ['dry', dry, at(0)],
      ['wet', wet, at(3.7)],
    ] as const) {
      expect(computed).toBeCloseTo(expected, 6);
      recordFigure({
        id,
        what: `${name}, ${what}`,
        expected: String(expected),
        computed,
        unit: '°C',
        source,
      });
    }
  });

  it('DOT 5 silicone has its dry point of 49 CFR 571.116', () => {
    expect(FLUIDS.silicone).toMatchObject({ dry: 260, wet: 180, silicone: true });
  });

  it('silicone goes from its dry towards its wet point with age, and to 100 °C only with free water', () => {
    // Wet point of DOT 5, 180 °C, measured beside a glycol fluid that takes up 3.7 % water: 49 CFR 571.116.
    const met = (months: number) => fluidBoilingPointC(aged(months, 'silicone'));
    expect(met(0)).toBeCloseTo(260, 9);
    expect(met(1)).toBeGreaterThan(253);
    const years = 12 * (Math.log(1 - 3.7 / 6) / Math.log(1 - 2 / 6));
    expect(met(years)).toBeCloseTo(180, 6);
    const free = aged(1, 'silicone');
    expect(fluidBoilingPointC({ ...free, fluid: { ...free.fluid, freeWater: true } })).toBeCloseTo(100, 9);
    expect(fluidWater(aged(24, 'silicone'))).toBe(0);
    // Glycol fluid takes up what gets in.
    const glycol = aged(12, 'class-4');
    expect(fluidBoilingPointC({ ...glycol, fluid: { ...glycol.fluid, freeWater: true } })).toBe(
      fluidBoilingPointC(glycol),
    );
  });
});

describe('catalogue', () => {
  it('has pads whose window lies under their limit and whose plates stand less than their faces', () => {
    for (const pad of Object.values(PADS)) {
      expect(pad.window[0]).toBeLessThan(pad.window[1]);
      expect(pad.window[1]).toBeLessThanOrEqual(pad.limit);
      expect(pad.plateLimit).toBeLessThan(pad.limit);
      const at = (celsius: number) =>
        tableAt(uniformTable(pad.friction.map(([t, v]) => [t, v] as const)), celsius);
      expect(nominalFriction(pad)).toBeGreaterThan(0.3);
      // Cold bite under the window, most of it within, fade over the limit.
      const middle = at(0.5 * (pad.window[0] + pad.window[1]));
      expect(middle).toBeGreaterThan(0.9 * nominalFriction(pad));
      expect(pad.friction[0][1]).toBeLessThan(middle);
      expect(at(pad.limit)).toBeLessThan(0.9 * middle);
      expect(at(pad.limit + 100)).toBeLessThan(at(pad.limit));
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
    expect(floating.rotor.hatConductance).toBe(1.2);
    expect(cornerOf(front).rotor.hatConductance).toBeNull();
    const rotor = { ...front.rotor, neckLengthMm: 20, depthMm: 50, neckThicknessMm: 7 };
    expect(cornerOf({ ...front, rotor }).rotor).toMatchObject({ neckLength: 0.045, neckThickness: 0.007 });
  });
});
