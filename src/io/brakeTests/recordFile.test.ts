import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoProject } from '../../../demo/project';
import { newRun, type StoredTest, stopsOf, type TestStopStored } from '../../model';
import { readRecord, writeRecord } from './recordFile';

const [test] = demoProject.tests;
const read = (text: string) => {
  const record = readRecord(text);
  if (!record.ok) throw new Error(record.problems.map((p) => `${p.path}: ${p.message}`).join('\n'));
  return record.runs;
};
const problems = (text: string) => {
  const record = readRecord(text);
  return record.ok ? [] : record.problems.map(({ path, message }) => `${path}: ${message}`);
};

describe('a record of stops', () => {
  it('comes back as it went out, whatever is in it', () => {
    const tenth = (min: number, max: number) =>
      fc.integer({ min: min * 10, max: max * 10 }).map((v) => v / 10);
    const orNull = <T>(of: fc.Arbitrary<T>) => fc.option(of, { nil: null });
    const anyStop: fc.Arbitrary<TestStopStored> = fc
      .record({
        n: fc.integer({ min: 1, max: 300 }),
        fromKmh: tenth(60, 250),
        toKmh: tenth(0, 50),
        lengths: fc.array(tenth(1, 60), { minLength: 1, maxLength: 4 }),
        timeS: orNull(tenth(1, 20)),
        pedalN: orNull(tenth(20, 900)),
        abs: fc.constantFrom(true, false, null),
        meanMs2: orNull(tenth(2, 20)),
        temperatureC: orNull(tenth(-10, 800)),
        atS: orNull(tenth(0, 4000)),
        errorM: orNull(tenth(0, 20)),
        note: fc.string({ maxLength: 60 }).map((own) => own.trim()),
      })
      .map(({ lengths, ...own }) => ({
        ...own,
        distanceM: lengths.length === 1 ? lengths[0] : null,
        marksM: lengths.length === 1 ? [] : lengths,
        source: 'typed' as const,
      }));
    fc.assert(
      fc.property(fc.array(anyStop, { minLength: 1, maxLength: 6 }), tenth(-9, 9), (stops, slopePercent) => {
        const run = newRun(test, demoProject.cars[0], [], {
          setup: 'A, "quoted"; setup',
          date: '2027-01-01',
        });
        const written: StoredTest = {
          ...test,
          runs: {
            one: {
              ...run,
              conditions: { ...run.conditions, slopePercent },
              stops: Object.fromEntries(stops.map((stop, i) => [`s${i}`, stop])),
            },
          },
        };
        const [back] = read(writeRecord(written));
        expect(back).toMatchObject({ name: run.name, setup: run.setup, slopePercent });
        expect(back.stops).toEqual(stopsOf(written.runs.one).map(({ stop }) => stop));
      }),
      { numRuns: 60 },
    );
  });

  it('takes units from its headings: feet, mph, pounds, Fahrenheit', () => {
    const [run] = read('From (mph),Distance (ft),Pedal (lbf),Temperature (°F)\n50,126,52,392\n');
    const [stop] = run.stops;
    expect(stop.fromKmh).toBeCloseTo(80.4672, 4);
    expect(stop.distanceM).toBeCloseTo(38.4048, 4);
    expect(stop.pedalN).toBeCloseTo(231.307, 2);
    expect(stop.temperatureC).toBeCloseTo(200, 6);
    // A table of the continent: semicolons and decimal commas.
    expect(read('From (km/h);Distance (m)\n80,5;38,25\n')[0].stops[0]).toMatchObject({
      fromKmh: 80.5,
      distanceM: 38.25,
    });
  });

  it('adds up the lengths of a tape, groups runs and setups, and reads the sample that ships', () => {
    const runs = read(readFileSync('src/app/public/samples/stops.csv', 'utf8'));
    expect(runs.map(({ name, setup, stops }) => [name, setup, stops.length])).toEqual([
      ['Before', 'Standard pads', 4],
      ['After', 'Track pads', 4],
    ]);
    expect(runs[0].stops[0]).toMatchObject({ marksM: [30, 9.2], distanceM: null });
  });

  it('says what is wrong with its line, and takes nothing by half', () => {
    expect(problems('Speed,What\n80,1\n')[0]).toMatch(/^line 1: A record needs/);
    expect(problems('From (km/h),Distance (m)\n')[0]).toMatch(/^line 2: /);
    expect(problems('From (knots),Distance (m)\n80,30\n')[0]).toMatch(/^line 1: The unit “knots”/);
    expect(problems('From (km/h),Distance (m),ABS\n80,thirty,no\n80,30,perhaps\n12,9,no\n80,-4,no')).toEqual([
      'line 2: “thirty” in the column “Distance” is no number.',
      'line 3: “perhaps” in the column “ABS” is neither yes nor no.',
      'line 5: distanceM must be at least 0.1',
    ]);
    expect(problems('From (km/h),To (km/h),Distance (m)\n30,60,20\n')).toEqual([
      'line 2: toKmh must be under the speed braked from (30 km/h)',
    ]);
    expect(problems(`From,Distance\n${'80,30\n'.repeat(700)}`)[0]).toMatch(/700 stops; at most 600/);
    expect(problems('x'.repeat(1_000_001))[0]).toMatch(/longer than/);
  });
});
