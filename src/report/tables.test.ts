import Papa from 'papaparse';
import { beforeAll, describe, expect, it } from 'vitest';
import { demoProject } from '../../demo/project';
import { oneSession } from '../../tests/support/sessions';
import { type DayResult, judgedDay, lapHeat, networkRun, type WheelName } from '../core';
import { dayInput, METRIC, type Setup, setupOf, US } from '../model';
import { networkDocument, resultDocument, tracesCsv, zonesCsv } from '.';

type Row = Record<string, string>;
/** What another program reads of a table. */
function readBack(text: string): Row[] {
  const { data, errors } = Papa.parse<Row>(text, { header: true });
  expect(errors).toEqual([]);
  return data;
}

const plans = [
  ['the club car, both sides alike', 'plan-tarn-anvil'],
  ['the five-door, which recovers and brakes by load', 'plan-ovel-nettle'],
] as const;

/** What the digits of a table leave open. */
const DIGITS = 1e-7;

describe.each(plans)('tables of a day: %s', (_, planId) => {
  let setup: Setup;
  let result: DayResult;
  beforeAll(() => {
    const whole = setupOf(demoProject, planId);
    setup = { ...whole, plan: oneSession(whole.plan, { hotLaps: 2, paddockMin: 3 }) };
    result = judgedDay(dayInput(setup));
  });

  it('have a row for each braking zone of each lap, in driving order, with the day’s own figures', () => {
    const rows = readBack(zonesCsv(setup, result));
    const zones = result.laps.flatMap((lap) =>
      lap.trace.zones.map((zone, k) => ({ lap, zone, force: lap.forces[k] })),
    );
    expect(rows).toHaveLength(zones.length);
    rows.forEach((row, i) => {
      const { lap, zone, force } = zones[i];
      expect([row.lap, row.kind, row.place]).toEqual([String(lap.number), lap.kind, zone.name]);
      expect(Number(row['Entry speed (km/h)'])).toBeCloseTo(3.6 * zone.entrySpeed, 6);
      expect(Number(row['Energy (kJ)'])).toBeCloseTo((force.frontHeat + force.rearHeat) / 1000, 5);
      expect(Number(row['Front line pressure (bar)'])).toBeCloseTo(force.frontPressure / 1e5, 6);
      expect(Number(row['Front brake balance (%)']) + Number(row['Rear share (%)'])).toBeCloseTo(100, 6);
      expect(row['car stops']).toBe(force.extraDistance === null ? 'no' : 'yes');
      // A brake only warms while it is braked; where the motor brakes, it may cool.
      for (const [heading, value] of Object.entries(row)) {
        if (!/^Front.*core after \(°C\)$/.test(heading)) continue;
        const before = row[heading.replace('after', 'before')];
        expect(Number(value)).toBeGreaterThanOrEqual(Number(before) - 0.5);
      }
    });
  });

  it('add up: the energies of a lap’s zones are what the lap gives to its brakes', () => {
    const rows = readBack(zonesCsv(setup, result));
    for (const lap of result.laps) {
      const own = rows.filter((row) => row.lap === String(lap.number));
      const table = own.reduce((sum, row) => sum + Number(row['Energy (kJ)']), 0);
      const recovered = own.reduce((sum, row) => sum + Number(row['Recovered (kJ)']), 0);
      const heat = lapHeat(lap.trace) / 1000;
      expect(recovered > 0).toBe(setup.car.recovery !== null);
      if (recovered === 0) expect(table).toBeCloseTo(heat, -0.5);
      // The lap as planned knows the motor's power, not how the axles share: it lies between.
      else expect([table < heat * (1 + DIGITS), heat < table + recovered]).toEqual([true, true]);
    }
  });

  it('are the same in the reader’s units, each said in its heading', () => {
    const [metric, american] = [METRIC, US].map((units) => readBack(zonesCsv(setup, result, units)));
    expect(Object.keys(american[0]).some((heading) => /°C|km\/h|\(bar\)|\(kJ\)/.test(heading))).toBe(false);
    metric.forEach((row, i) => {
      const other = american[i];
      expect(Number(other['Entry speed (mph)']) * 1.609344).toBeCloseTo(Number(row['Entry speed (km/h)']), 5);
      expect(Number(other['Distance (ft)']) * 0.3048).toBeCloseTo(Number(row['Distance (m)']), 5);
      expect(Number(other['Energy (BTU)']) * 1.05505585262).toBeCloseTo(Number(row['Energy (kJ)']), 4);
      const heat = Object.keys(row).find((heading) => heading.endsWith('surface peak (°C)')) ?? '';
      const fahrenheit = Number(other[heat.replace('°C', '°F')]);
      expect((fahrenheit - 32) / 1.8).toBeCloseTo(Number(row[heat]), 5);
    });
  });

  it('of all samples tell the day as it ran: time on, a lap at a time, the hottest as in the verdict’s peaks', () => {
    const rows = readBack(tracesCsv(setup, result));
    expect(rows).toHaveLength(result.record.time.length);
    let before = -1;
    for (const row of rows) {
      const time = Number(row['time (s)']);
      expect(time).toBeGreaterThan(before);
      before = time;
    }
    const heading =
      Object.keys(rows[0]).find((key) => /^front( left)? rotor surface \(°C\)$/.test(key)) ?? '';
    const hottest = rows.reduce((most, row) => Math.max(most, Number(row[heading])), 0);
    expect(hottest).toBeCloseTo(result.peaks.frontLeft.rotorFace - 273.15, 4);
    // Way over speed: the distance of a lap comes back from its samples within a few metres.
    const lap = result.laps[1];
    const own = rows.filter((row) => row.lap === '2');
    const way = own.slice(1).reduce((sum, row, k) => {
      const dt = Number(row['time (s)']) - Number(own[k]['time (s)']);
      return sum + (dt * (Number(row['speed (km/h)']) + Number(own[k]['speed (km/h)']))) / 7.2;
    }, 0);
    const length = lap.trace.distance[lap.trace.distance.length - 1];
    expect(Math.abs(way - length)).toBeLessThan(0.03 * length);
    const standing = rows.filter((row) => row.lap === 'paddock');
    expect(standing.length).toBeGreaterThan(3);
    for (const row of standing) expect(Number(row['speed (km/h)'])).toBe(0);
  });

  it('say the same as the whole result, which balances', () => {
    const written = JSON.parse(JSON.stringify(resultDocument(setup, result)));
    const rows = readBack(zonesCsv(setup, result));
    expect(written.zones).toHaveLength(rows.length);
    written.zones.forEach((zone: Record<string, number>, i: number) => {
      expect(zone.energyKj).toBeCloseTo(Number(rows[i]['Energy (kJ)']), 6);
      expect(zone.entryKmh).toBeCloseTo(Number(rows[i]['Entry speed (km/h)']), 6);
    });
    const { suppliedKj, storedKj, lostKj } = written.energy;
    expect((suppliedKj - storedKj - lostKj) / suppliedKj).toBeCloseTo(0, 6);
    expect(written.record.timeS).toHaveLength(result.record.time.length);
    expect(written.verdict.sentence.length).toBeGreaterThan(20);
    expect(JSON.stringify(written)).not.toMatch(/NaN|Infinity/);
    // Every number has nine digits at most.
    const digits = JSON.stringify(written).match(/\d+\.\d+/g) ?? [];
    for (const text of digits) expect(text.replace(/^0\.0*|\./g, '').length).toBeLessThanOrEqual(9);
  });
});

describe('a wheel’s network as a file', () => {
  const whole = setupOf(demoProject, 'plan-tarn-anvil');
  const setup = { ...whole, plan: oneSession(whole.plan, { hotLaps: 1, paddockMin: 2 }) };
  const input = dayInput(setup);
  const result = judgedDay(input);

  it.each(['frontLeft', 'rearRight'] as const)(
    'carries what anybody needs to integrate %s again',
    (wheel: WheelName) => {
      const document = networkDocument(setup, networkRun(input, result, wheel), wheel);
      const read = JSON.parse(JSON.stringify(document)) as typeof document;
      expect(read).toMatchObject({ format: 'fervent-kettle-network', version: 1, wheel });
      const steps = read.times.length - 1;
      expect(read.temperatures).toHaveLength(steps + 1);
      for (const row of read.temperatures) expect(row).toHaveLength(read.nodes.length);
      for (const { from, to, conductance } of read.links) {
        expect(from).toBeLessThan(read.nodes.length);
        if (to !== 'ambient') expect(to).toBeLessThan(read.nodes.length);
        const series = typeof conductance === 'number' ? [conductance] : conductance;
        if (typeof conductance !== 'number') expect(series).toHaveLength(steps);
        for (const value of series) expect(value).toBeGreaterThanOrEqual(0);
      }
      // What goes in is the day's friction power of the wheel, split among its nodes.
      const power = (k: number) =>
        read.sources.reduce((sum, { from, to }) => sum + 0.5 * (from[k] + to[k]), 0);
      let energy = 0;
      for (let k = 0; k < steps; k++) energy += power(k) * (read.times[k + 1] - read.times[k]);
      const record = result.record.wheels[wheel];
      // The stages' weights of the integrator, 1 − γ and γ with γ = 1 − 1/√2 (Alexander 1977).
      const gamma = 1 - Math.SQRT1_2;
      let given = 0;
      for (let k = 1; k <= steps; k++) {
        const dt = read.times[k] - read.times[k - 1];
        // The line through both stages of a step, at its middle.
        const slope = (record.late[k] - record.early[k]) / (1 - gamma);
        given += dt * (record.late[k] - 0.5 * slope);
      }
      expect(energy).toBeCloseTo(given, -2);
      expect(energy).toBeGreaterThan(1e5);
      expect(read.nodes.every(({ capacity }) => capacity > 0)).toBe(true);
    },
  );
});
