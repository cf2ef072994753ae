import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { demoProject } from '../../demo/project';
import { oneSession } from '../../tests/support/sessions';
import { type Setup, setupOf, US, withChanges } from '../model';
import { assess } from '../services/compare/assess';
import { comparisonCsv } from './comparisonCsv';

const whole = setupOf(demoProject, 'plan-ovel-nettle');
const setup: Setup = { ...whole, plan: oneSession(whole.plan, { hotLaps: 2, paddockMin: 0 }) };
const base = { name: 'Current setup', assessed: assess(setup) };
const heavier = {
  name: '=HEAVY(1), "quoted"\nand more',
  assessed: assess(withChanges(setup, [{ kind: 'mass', massKg: setup.car.massKg + 150 }])),
};

describe('a comparison as a table', () => {
  it('is read back by another program: every braking zone of every setup, as it was computed', () => {
    const text = comparisonCsv([base, heavier]);
    const read = Papa.parse<Record<string, string>>(text, { header: true });
    expect(read.errors).toEqual([]);
    const zones = base.assessed.summary.zones.length;
    expect(read.data).toHaveLength(2 * zones);
    read.data.forEach((row, i) => {
      const { assessed, name } = i < zones ? base : heavier;
      const zone = assessed.summary.zones[i % zones];
      expect(row.place).toBe(zone.name);
      expect(Number(row['braking zone'])).toBe((i % zones) + 1);
      expect(Number(row['from (km/h)'])).toBeCloseTo(3.6 * zone.entrySpeed, 6);
      expect(Number(row['heat into the brakes (kJ)'])).toBeCloseTo(zone.energy / 1000, 4);
      expect(Number(row['rear fluid after (°C)'])).toBeCloseTo(zone.rear.fluidAfter - 273.15, 6);
      expect(Number(row['front rotor surface hottest (°C)'])).toBeCloseTo(zone.front.facePeak - 273.15, 6);
      // A name that a spreadsheet would take for a formula is none any more.
      expect(row.setup.replace(/^'/, '')).toBe(name);
      if (name.startsWith('=')) expect(row.setup.startsWith("'")).toBe(true);
    });
  });

  it('is in the reader’s units, with each said in its heading, and twice the same in both', () => {
    const [metric, american] = [undefined, US].map(
      (units) => Papa.parse<Record<string, string>>(comparisonCsv([base], units), { header: true }).data,
    );
    expect(Object.keys(american[0])).toContain('front rotor core (bulk) after (°F)');
    expect(Object.keys(american[0]).some((key) => /°C|km\/h|kJ/.test(key))).toBe(false);
    metric.forEach((row, i) => {
      const other = american[i];
      expect(Number(other['from (mph)']) * 1.609344).toBeCloseTo(Number(row['from (km/h)']), 5);
      expect((Number(other['rear pad surface at first bite (°F)']) - 32) / 1.8).toBeCloseTo(
        Number(row['rear pad surface at first bite (°C)']),
        5,
      );
    });
  });
});
