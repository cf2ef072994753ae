import fc from 'fast-check';
import psychrolib from 'psychrolib';
import { describe, expect, it } from 'vitest';
import { recordFigure } from '../../../tests/support/validation';
import { STANDARD_GRAVITY, STEFAN_BOLTZMANN } from '../constants';
import { moistAirDensity, standardPressure } from './atmosphere';
import { airProperties } from './properties';

const KELVIN_AT = (height: number) => 288.15 - 0.0065 * height;

describe('air', () => {
  it('has the density of the U.S. Standard Atmosphere 1976: 1.225 kg/m³ at sea level, 1.058 at 1500 m', () => {
    for (const [height, expected] of [
      [0, 1.225],
      [1500, 1.058],
    ]) {
      const computed = moistAirDensity(standardPressure(height), KELVIN_AT(height), 0);
      expect(computed).toBeCloseTo(expected, 3);
      recordFigure({
        id: '14',
        what: `Air density at ${height} m`,
        expected: String(expected),
        computed,
        unit: 'kg/m³',
        source: 'U.S. Standard Atmosphere 1976',
      });
    }
  });

  // Incropera, Fundamentals of Heat and Mass Transfer, table A.4 (from memory); its densities are those at 1 bar.
  it.each([
    // biome-ignore lint/suspicious/noApproximativeNumericConstant: a Prandtl number, not the root of a half
    [300, 1.1614, 184.6e-7, 26.3e-3, 0.707],
    [400, 0.8711, 230.1e-7, 33.8e-3, 0.69],
    [500, 0.6964, 270.1e-7, 40.7e-3, 0.684],
  ])('has the properties of Incropera table A.4 at %d K within 2 %%', (t, density, viscosity, k, prandtl) => {
    const air = airProperties(moistAirDensity(1e5, t, 0), t);
    const close = (value: number, expected: number, share: number) =>
      expect(Math.abs(value / expected - 1)).toBeLessThan(share);
    const source = 'Incropera, table A.4 (m)';
    const figures: [string, number, number, string][] = [
      ['viscosity', viscosity * 1e7, air.viscosity * 1e7, '1e-7 Pa·s'],
      ['conductivity', k * 1e3, air.conductivity * 1e3, '1e-3 W/mK'],
      ['Prandtl number', prandtl, air.prandtl, ''],
    ];
    for (const [name, expected, computed, unit] of figures) {
      recordFigure({
        id: '16',
        what: `Air at ${t} K: ${name}`,
        expected: String(expected),
        computed,
        unit,
        source,
      });
    }
    close(air.density, density, 0.001);
    close(air.viscosity, viscosity, 0.015);
    close(air.conductivity, k, 0.015);
    close(air.prandtl, prandtl, 0.02);
  });

  it('is lighter when moist, and heavier when cold or low', () => {
    const at = (height: number, t: number, humidity: number) =>
      moistAirDensity(standardPressure(height), t, humidity);
    expect(at(0, 300, 1)).toBeLessThan(at(0, 300, 0));
    expect(at(0, 280, 0.5)).toBeGreaterThan(at(0, 300, 0.5));
    expect(at(0, 300, 0.5)).toBeGreaterThan(at(800, 300, 0.5));
  });

  it('uses the constants of CODATA 2018 and ISO 80000-3', () => {
    expect(STEFAN_BOLTZMANN).toBe(5.670374419e-8);
    expect(STANDARD_GRAVITY).toBe(9.80665);
  });
});

describe('moist air, against npm psychrolib (ASHRAE relations)', () => {
  it('has its density within 0.2 % at any weather a circuit sees, and its standard pressure at any height', () => {
    psychrolib.SetUnitSystem(psychrolib.SI);
    let worst = 0;
    fc.assert(
      fc.property(
        fc.double({ min: -20, max: 45, noNaN: true }),
        fc.double({ min: 0.02, max: 1, noNaN: true }),
        fc.double({ min: 0, max: 3000, noNaN: true }),
        (celsius, humidity, height) => {
          const pressure = standardPressure(height);
          expect(pressure / psychrolib.GetStandardAtmPressure(height)).toBeCloseTo(1, 4);
          const ratio = psychrolib.GetHumRatioFromRelHum(celsius, humidity, pressure);
          const theirs = psychrolib.GetMoistAirDensity(celsius, ratio, pressure);
          // Theirs counts the vapour's mass as well: (1 + W)/v.
          const difference = moistAirDensity(pressure, celsius + 273.15, humidity) / theirs - 1;
          worst = Math.max(worst, Math.abs(difference));
          expect(Math.abs(difference)).toBeLessThan(0.002);
        },
      ),
    );
    recordFigure({
      id: '15',
      what: 'Moist-air density, −20 to 45 °C, 2 to 100 %, 0 to 3000 m: largest difference',
      expected: 'under 0.2',
      computed: 100 * worst,
      unit: '%',
      source: 'npm psychrolib',
    });
  });
});
