import { describe, expect, it } from 'vitest';
import { METRIC, US } from '../../model';
import { readZoneTable } from './zoneTable';

const read = (text: string, units = METRIC) => {
  const table = readZoneTable(text, units);
  if (!table.ok) throw new Error(table.problems.map(({ path, message }) => `${path}: ${message}`).join());
  return table;
};

describe('a pasted table of braking zones', () => {
  it('is read with headings in any order, units, other columns, text and blank rows', () => {
    const table = read(
      'My track day\n\nNo.\tCorner\tGear\tTo (mph)\tFrom (mph)\tDistance to next (ft)\tBraking distance (yd)\n' +
        '1\tHairpin\t2\t40\t110\t1000\t100\n\nlunch\t\t\t\t\t\t\n2\tEsses\t3\t60\t90\t800\t\n',
    );
    expect(table.zones).toEqual([
      {
        row: 4,
        name: 'Hairpin',
        entryKmh: 177.03,
        exitKmh: 64.37,
        distanceM: 91.44,
        toNextM: 304.8,
        timeToNextS: null,
      },
      {
        row: 7,
        name: 'Esses',
        entryKmh: 144.84,
        exitKmh: 96.56,
        distanceM: null,
        toNextM: 243.84,
        timeToNextS: null,
      },
    ]);
    expect(table.leftOut).toEqual([{ row: 6, reason: '“From” is empty' }]);
  });

  it('is read without headings: from, to, to the next, in the units that are shown', () => {
    expect(read('178;62,5;310\n150;98;240').zones).toMatchObject([
      { entryKmh: 178, exitKmh: 62.5, toNextM: 310 },
      { entryKmh: 150, exitKmh: 98, toNextM: 240 },
    ]);
    expect(read('110, 40, 1000\n90, 60, 800', US).zones[0]).toMatchObject({
      entryKmh: 177.03,
      toNextM: 304.8,
    });
    expect(read('Hairpin 178 62 310').zones[0]).toMatchObject({
      name: 'Hairpin',
      entryKmh: 178,
      toNextM: 310,
    });
    expect(read('178 km/h\t62 km/h\t310 m').zones[0]).toMatchObject({ entryKmh: 178, exitKmh: 62 });
  });

  it('that is none says what was expected', () => {
    const wrong = (text: string) => {
      const table = readZoneTable(text, METRIC);
      return table.ok ? '' : table.problems[0].message;
    };
    expect(wrong('')).toMatch(/no braking zones/);
    expect(wrong('hello world\nthis is no table')).toMatch(/Three columns of numbers are needed/);
    expect(wrong('178\t62\n150\t98')).toMatch(/Three columns of numbers are needed/);
    expect(wrong('From\tTo\tNext\nfast\tslow\tfar')).toBe('“From” is no number: “fast”');
    expect(wrong('1 2 3\n'.repeat(201))).toMatch(/201 rows; a circuit has at most 200/);
    expect(wrong('x'.repeat(100_001))).toMatch(/too long/);
  });
});
