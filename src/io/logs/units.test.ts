import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { RawLog } from '../../core';
import { guessMapping } from './logMapping';
import { secondsOf } from './logTable';
import { LOG_UNITS, unitLabelled, unitNamed } from './logUnits';
import { mappingQuestions } from './mappingQuestions';
import { type ByteSource, openLog, readLog, rowsAllOver } from './readLog';
import { streamColumns } from './streamColumns';
import { writeLog } from './writeLog';

const file = (text: string): ByteSource => {
  const bytes = new TextEncoder().encode(text);
  return {
    name: 'log.csv',
    size: bytes.length,
    slice: (from, to) => ({ arrayBuffer: async () => bytes.slice(from, to).buffer as ArrayBuffer }),
  };
};

describe('units of a logger', () => {
  it.each([
    // Exact by definition: mile, foot, inch, pound and knot (NIST SP 811, appendix B); absolute zero.
    ['speed', 'mph', 100, 44.704],
    ['speed', 'km/h', 36, 10],
    ['speed', 'kn', 1, 1852 / 3600],
    ['distance', 'ft', 1, 0.3048],
    ['distance', 'mi', 1, 1609.344],
    ['frontPressure', 'psi', 1, 6894.757293168],
    ['rearPressure', 'bar', 2, 200_000],
    ['rotorFrontLeft', '°C', 0, 273.15],
    ['rotorFrontLeft', '°F', 212, 373.15],
    ['fluidFront', 'K', 400, 400],
    ['pedalForce', 'lbf', 1, 4.4482216152605],
    ['time', 'ms', 1500, 1.5],
  ] as const)('%s in %s', (column, label, written, si) => {
    const { scale, offset } = unitLabelled(column, label);
    expect(written * scale + offset).toBeCloseTo(si, 9);
  });
  it('are known by the ways they are written, and not by others', () => {
    for (const [column, written, label] of [
      ['speed', 'KPH', 'km/h'],
      ['speed', 'Km / h', 'km/h'],
      ['rotorRearLeft', 'DegF', '°F'],
      ['time', 'sec', 's'],
      ['height', 'Meters', 'm'],
      ['pedalForce', 'lbs', 'lbf'],
    ] as const) {
      expect(unitNamed(column, written)?.label).toBe(label);
    }
    for (const [column, written] of [
      ['speed', 'furlongs'],
      ['speed', ''],
      ['lap', 'km'],
    ] as const) {
      expect(unitNamed(column, written)).toBeNull();
    }
  });
  it('have labels that are unique within a column', () => {
    for (const units of Object.values(LOG_UNITS)) {
      expect(new Set(units.map((u) => u.label)).size).toBe(units.length);
    }
  });
});

describe('a table’s units', () => {
  const opened = async (text: string) => {
    const read = await openLog(file(text));
    if (!read.ok) throw new Error(read.problems[0].message);
    return read;
  };
  const table = (head: string, cells: (i: number) => readonly number[]) =>
    [head, ...Array.from({ length: 200 }, (_, i) => cells(i).join(','))].join('\n');

  it.each([
    ['Time (s),Speed (mph),Rotor FL (°F),Brake Press Front (psi)', ['s', 'mph', '°F', 'psi']],
    ['Time,Speed mph,Rotor FL °F,Front brake pressure psi', ['s', 'mph', '°F', 'psi']],
    ['time_s,speed_kn,rotor_fl_degF,brake_press_front_psi', ['s', 'kn', '°F', 'psi']],
    ['Time [s],GPS Speed (knots),Disc Temp FL F,BrakePressF [PSI]', ['s', 'kn', '°F', 'psi']],
    ['Time,Speed,Rotor FL,Brake Press Front', ['s', 'km/h', '°C', 'bar']],
  ])('are taken out of “%s”', async (head, units) => {
    const { layout } = await opened(table(head, (i) => [i / 10, 60, 300, 20]));
    expect(guessMapping(layout).uses.map(({ unit }) => unit)).toEqual(units);
  });

  it('that make no day are asked about before the log is read, with those that would', async () => {
    const text = table('Time (s),Speed (km/h),Rotor FL,Ambient,Brake Press Front (bar)', (i) => [
      i / 10,
      // Miles an hour and °F under the usual headings, kPa under bar.
      30 + 4 * (i % 20),
      800 + 10 * (i % 20),
      72,
      5000 * (i % 2),
    ]);
    const { layout, encoding } = await opened(text);
    const rows = await rowsAllOver(file(text), layout, encoding);
    expect(rows.length).toBeGreaterThan(60);
    const questions = mappingQuestions(guessMapping(layout), rows);
    expect(questions.map(({ as, why, likely }) => [as, why, likely])).toEqual([
      ['ambient', 'high', ['°F']],
      ['frontPressure', 'high', ['kPa']],
    ]);
    const slow = { ...guessMapping(layout), uses: [{ column: 1, as: 'speed' as const, unit: 'm/s' }] };
    expect(mappingQuestions(slow, rows)).toEqual([]);
    const far = { ...slow, uses: [{ column: 2, as: 'speed' as const, unit: 'km/h' }] };
    expect(mappingQuestions(far, rows)).toEqual([
      { column: 2, as: 'speed', value: '990 km/h', why: 'high', likely: [] },
    ]);
  });
});

describe('times of day', () => {
  it.each([
    ['00:00:01.5', 1.5],
    ['13:59:59.25', 50_399.25],
    ['2:03,4', 123.4],
    ['1:02:03', 3723],
    ['17.25', 17.25],
    ['2026-05-01T10:00:00.500Z', Date.UTC(2026, 4, 1, 10) / 1000 + 0.5],
  ])('%s is %f s', (text, seconds) => {
    expect(secondsOf(text, '.')).toBeCloseTo(seconds, 6);
  });
  it('that are none are not numbers', () => {
    for (const text of ['', 'noon', '1:2:3:4', '--:--']) expect(secondsOf(text, '.')).toBeNaN();
  });
});

describe('a log written out', () => {
  it('comes back the same, gaps and all, whatever is in it', async () => {
    const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });
    const row = fc.record({
      speed: number(0, 90),
      rotorFrontLeft: number(260, 1200),
      frontPressure: number(0, 2e7),
      latitude: number(-89, 89),
      longitude: number(-180, 180),
      height: number(-200, 3000),
      lap: fc.integer({ min: 0, max: 99 }),
      missing: fc.boolean(),
    });
    await fc.assert(
      fc.asyncProperty(fc.array(row, { minLength: 25, maxLength: 60 }), async (rows) => {
        const column = (key: keyof Omit<(typeof rows)[number], 'missing'>, gaps = false) =>
          Float64Array.from(rows, (r) => (gaps && r.missing ? Number.NaN : r[key]));
        const raw: RawLog = {
          time: Float64Array.from(rows, (_, i) => 100 + i / 10),
          channels: {
            speed: column('speed'),
            rotorFrontLeft: column('rotorFrontLeft', true),
            frontPressure: column('frontPressure'),
            latitude: column('latitude', true),
            longitude: column('longitude', true),
            height: column('height'),
            lap: column('lap'),
          },
        };
        const source = file(writeLog(raw));
        const opened = await openLog(source);
        if (!opened.ok) throw new Error(opened.problems[0].message);
        const read = await readLog(source, guessMapping(opened.layout));
        if (!read.ok) {
          // A column without a single value is refused by name, not read as nothing.
          expect(rows.every((r) => r.missing)).toBe(true);
          return;
        }
        expect(Object.keys(read.raw.channels).sort()).toEqual(Object.keys(raw.channels).sort());
        const near: Record<string, number> = {
          latitude: 1e-7,
          longitude: 1e-7,
          frontPressure: 10,
          speed: 1e-4,
        };
        for (const [name, values] of Object.entries(raw.channels)) {
          const back = read.raw.channels[name as 'speed'] ?? [];
          values.forEach((v, i) => {
            if (Number.isNaN(v)) expect(back[i]).toBeNaN();
            else expect(Math.abs(back[i] - v)).toBeLessThan(near[name] ?? 1e-3);
          });
        }
        expect(read.raw.time[7] - read.raw.time[2]).toBeCloseTo(0.5, 6);
      }),
      { numRuns: 20 },
    );
  });
});

describe('columns of a live stream', () => {
  it('are known by their headings; one kind is taken once, strange ones not at all', () => {
    const columns = streamColumns([
      'Time (ms)',
      'Speed [mph]',
      'GPS Speed (km/h)',
      'Oil pressure (bar)',
      'Rotor FL (F)',
    ]);
    expect(columns.map((c) => c?.as ?? null)).toEqual(['time', 'speed', null, null, 'rotorFrontLeft']);
    expect(columns[0]?.scale).toBe(0.001);
    expect((columns[1]?.scale ?? 0) * 100).toBeCloseTo(44.704, 9);
    const rotor = columns[4];
    expect(212 * (rotor?.scale ?? 0) + (rotor?.offset ?? 0)).toBeCloseTo(373.15, 9);
  });
});
