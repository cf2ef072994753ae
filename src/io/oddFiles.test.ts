import { describe, expect, it } from 'vitest';
import { demoProject } from '../../demo/project';
import { LogError, mendLog, type RawLog, smoothSpeed } from '../core';
import { readDocument, readProject, setupOf } from '../model';
import { circuitFrom, findLine } from '../services/track/circuitFromTrack';
import { readBenchResult } from './bench/resultFile';
import { readRecord } from './brakeTests/recordFile';
import { guessMapping } from './logs/logMapping';
import { prepareLog } from './logs/prepareLog';
import { openLog, readLog } from './logs/readLog';
import { readTrackFile } from './tracks/trackFile';

const SETUP = setupOf(demoProject, 'plan-tarn-anvil');
/** Each of these once took minutes, gigabytes or the process; a hang fails, a slow machine does not. */
const HANG = 60_000;

/** Ten samples a second; the time as wanted. */
function log(samples: number, time: (i: number) => number): RawLog {
  return {
    time: Float64Array.from({ length: samples }, (_, i) => time(i)),
    channels: { speed: Float64Array.from({ length: samples }, (_, i) => 40 + 20 * Math.sin(i / 40)) },
  };
}
function refusal(raw: RawLog): { message: string; sample: number } {
  try {
    mendLog(raw);
  } catch (error) {
    if (error instanceof LogError) return { message: error.message, sample: error.sample };
    throw error;
  }
  throw new Error('it was read');
}

describe('logs whose time is not to be believed', () => {
  it(
    'a gap of 30 days is cut down to an hour of standing, and said',
    () => {
      const raw = log(1200, (i) => i / 10 + (i < 600 ? 0 : 30 * 86_400 + 200));
      const mended = mendLog(raw);
      expect(mended.time[mended.time.length - 1]).toBeCloseTo(119.9 + 3600 - 0.1, 6);
      const [cut] = mended.notes.filter((note) => note.kind === 'cut');
      expect(cut).toMatchObject({ count: 1, first: 600 });
      expect(cut.size).toBeCloseTo(30 * 86_400 + 200 + 0.1 - 3600, 3);
      const trace = smoothSpeed(mended);
      expect(trace.time.length).toBeLessThan(40_000);
      expect(trace.speed[Math.round(1800 / trace.step)]).toBeLessThan(0.5);
      // Nothing is driven in it.
      expect(trace.distance[trace.distance.length - 1]).toBeLessThan(1.05 * 2 * 60 * 45);
      const stands = prepareLog(raw, SETUP).pieces.filter((piece) => piece.kind === 'stand');
      expect(stands).toHaveLength(1);
      expect(stands[0].to - stands[0].from).toBeGreaterThan(3590);
    },
    HANG,
  );

  it('a clock that is set from 0 to the seconds of the epoch goes on an hour later', () => {
    const mended = mendLog(log(600, (i) => i / 10 + (i < 50 ? 0 : 1.7e9 + 123.4)));
    expect(mended.time[mended.time.length - 1]).toBeLessThan(3700);
    expect(mended.notes.map((note) => note.kind)).toContain('cut');
  });

  it('times past any calendar are none; a log of them is refused with its unit questioned', () => {
    expect(refusal(log(100, (i) => i * 1e30)).message).toMatch(
      /at least 20 samples .* has 1\. Times of more than 1e11 s/,
    );
    const some = mendLog(log(100, (i) => (i === 40 ? 1e30 : i / 10)));
    expect(some.notes).toContainEqual({ kind: 'far-time', channel: 'time', count: 1, first: 40, size: 0 });
    expect(some.time).toHaveLength(99);
  });

  it('more than a day is refused with the sample to cut it at', () => {
    const { message, sample } = refusal(log(100, (i) => i * 3000));
    expect(message).toMatch(/lasts 82\.5 h with its gaps.*at most 24\.0 h are read/);
    expect(sample).toBe(29);
  });
});

describe('files made to break a reader', () => {
  it(
    'headings with 200 kB of blanks are headings',
    async () => {
      const blanks = ' '.repeat(100_000);
      const rows = Array.from({ length: 40 }, (_, i) => `${i / 10},${100 + i}`).join('\n');
      const bytes = new TextEncoder().encode(`Time${blanks}(s),Speed [km/h${blanks}\n${rows}\n`);
      const opened = await openLog({
        name: 'blanks.csv',
        size: bytes.length,
        slice: (from, to) => ({ arrayBuffer: async () => bytes.slice(from, to).buffer as ArrayBuffer }),
      });
      if (!opened.ok) throw new Error(opened.problems[0].message);
      expect(opened.layout.columns[0]).toEqual({ name: 'Time', unit: 's' });
      expect(guessMapping(opened.layout).uses.map((use) => use.as)).toEqual(['time', 'speed']);
    },
    HANG,
  );

  it(
    'a round of 360 km is no circuit, and is refused before it is smoothed',
    () => {
      const n = 36_000;
      const at = (i: number) => (2 * Math.PI * i) / n;
      const column = (of: (i: number) => number) => Float64Array.from({ length: n }, (_, i) => of(i));
      const found = findLine(
        {
          name: 'ring road',
          a: column((i) => 57_300 * Math.cos(at(i))),
          b: column((i) => 57_300 * Math.sin(at(i))),
          metric: true,
          height: column(() => 0),
          time: column(() => Number.NaN),
        },
        null,
      );
      expect(found.ok || found.problems[0].message).toMatch(
        /lap that was found is 360 km long; a circuit has at most 60 km/,
      );
    },
    HANG,
  );

  it('nesting that would overflow is refused with its place: JSON, GeoJSON, GPX, KML', () => {
    const deep = `${'{"a":'.repeat(8000)}1${'}'.repeat(8000)}`;
    const said = (text: string) => {
      const read = readProject(text);
      return read.ok ? 'read' : read.problems.map((p) => `${p.path}: ${p.message}`).join('\n');
    };
    expect(said(deep)).toMatch(/^line 1, column 321: The file is nested more than 64 levels deep/);
    expect(said(`{"format":"fervent-kettle-project","cars":${'['.repeat(8000)}${']'.repeat(8000)}}`)).toMatch(
      /nested/,
    );
    const bytes = (text: string) => new TextEncoder().encode(text);
    const track = (name: string, text: string) => {
      const read = readTrackFile(name, bytes(text));
      return read.ok ? 'read' : `${read.problems[0].path}: ${read.problems[0].message}`;
    };
    expect(track('a.geojson', `{"type":"FeatureCollection","features":${'['.repeat(9000)}`)).toMatch(
      /line 1, column \d+: .*nested/,
    );
    for (const [root, inner] of [
      ['kml', 'Folder'],
      ['gpx', 'extensions'],
    ]) {
      const text = `<${root}>${`<${inner}>`.repeat(20_000)}${`</${inner}>`.repeat(20_000)}</${root}>`;
      expect(track(`a.${root}`, text)).toMatch(/^line 1, column \d+: .*nested more than 64 levels deep/);
    }
  });

  it(
    'lists longer than a project has are refused before anything reads their items',
    () => {
      const cars = `{"format":"fervent-kettle-project","version":1,"cars":[${'{},'.repeat(999_999)}{}]}`;
      expect(readProject(cars)).toEqual({
        ok: false,
        problems: [{ path: 'cars', message: 'must have at most 200', severity: 'error' }],
      });
      const inner = { ...demoProject, cars: [{ ...demoProject.cars[0], loads: Array(100_000).fill(null) }] };
      const read = readProject(JSON.stringify(inner));
      expect(read.ok || read.problems[0]).toMatchObject({
        path: 'cars[0].loads',
        message: 'must have at most 600',
      });
      expect(
        readDocument(`{"format":"fervent-kettle-parts","version":1,"parts":[${'{},'.repeat(5000)}{}]}`),
      ).toMatchObject({
        problems: [{ path: 'parts', message: 'must have at most 300' }],
      });
    },
    HANG,
  );

  it('a byte-order mark is passed over, and what is no JSON says where and what was expected', () => {
    expect(readProject(`\uFEFF${JSON.stringify(demoProject)}`)).toMatchObject({ ok: true });
    const place = (text: string) => {
      const read = readProject(text);
      return read.ok ? 'read' : `${read.problems[0].path}: ${read.problems[0].message}`;
    };
    expect(place('{"format":"x"\n "name": 1}')).toMatch(
      /^line 2, column 2: The file is not JSON: a comma was expected\./,
    );
    expect(place('{"format":"x",')).toMatch(/^line 1, column 1\d: The file is not JSON: /);
    expect(place('{"name": NaN}')).toMatch(/^line 1, column 10: /);
    expect(place('hello')).toMatch(/^line 1, column 1: .*A project exported from here was expected\./);
    expect(place(JSON.stringify({ ...demoProject, cars: { a: 1 } }))).toMatch(
      /^cars: must be a list, and is an object$/,
    );
  });
});

describe('found by cases over every way in', () => {
  const bytesOf = (text: string) => {
    const bytes = new TextEncoder().encode(text);
    return {
      name: 'table.csv',
      size: bytes.length,
      slice: (from: number, to: number) => ({
        arrayBuffer: async () => bytes.slice(from, to).buffer as ArrayBuffer,
      }),
    };
  };

  it('a table whose columns are none of what a mapping says is refused in words', async () => {
    const rows = Array.from({ length: 40 }, (_, i) => `${i / 10},${100 + i}`).join('\n');
    const none = { uses: [], rate: null, decimal: '.' } as never;
    expect(await readLog(bytesOf(`a,b\n${rows}\n`), none)).toMatchObject({
      ok: false,
      problems: [{ message: expect.stringMatching(/time/i) }],
    });
    const opened = await openLog(bytesOf(`Time (s),Speed (km/h)\n${rows}\n`));
    if (!opened.ok) throw new Error(opened.problems[0].message);
    const mapping = guessMapping(opened.layout);
    expect(await readLog(bytesOf(`Time (s),Speed (km/h)\n${rows}\n`), mapping)).toMatchObject({ rows: 40 });
    // Confirmed for that table, and remembered: of one with a single column it is none.
    const one = Array.from({ length: 40 }, (_, i) => `${i}`).join('\n');
    expect((await readLog(bytesOf(`Time (s)\n${one}\n`), mapping)).ok).toBe(false);
  });

  it(
    'a line more ragged than any circuit is refused before straights and arcs are laid on it',
    () => {
      const n = 4800;
      // Round a circle of 3 km, 8 m in and out every 60 m: it took most of a minute.
      const at = (i: number) => {
        const angle = (2 * Math.PI * i) / n;
        const radius = 1500 + 8 * Math.sin(157 * angle);
        return [radius * Math.cos(angle), radius * Math.sin(angle)];
      };
      const column = (k: 0 | 1) => Float64Array.from({ length: n }, (_, i) => at(i)[k]);
      const flat = Float64Array.from({ length: n }, () => 0);
      const found = findLine(
        {
          name: 'ragged',
          a: column(0),
          b: column(1),
          metric: true,
          height: flat,
          time: flat.map(() => Number.NaN),
        },
        0.5,
      );
      if (!found.ok) throw new Error(found.problems[0].message);
      const circuit = circuitFrom(found, { bound: 0.5, start: 0, reverse: false }, 'c', 'ragged');
      expect(circuit.ok || circuit.problems[0].message).toMatch(
        /could not be cut into straights and corners/,
      );
    },
    HANG,
  );

  it('a figure that is past any number in its own unit is no number, with its line', () => {
    const bench = 'Stop,Disc before (°C),Disc after (°C)\n1,80,210\n2,120,260\n';
    expect(readBenchResult(bench)).toMatchObject({ ok: true });
    expect(readBenchResult(bench.replace('260', '1e308'))).toMatchObject({
      ok: false,
      problems: [{ path: 'line 3', message: expect.stringContaining('1e308') }],
    });
    const record = 'Run,From (km/h),Distance (m),Slope (%)\nA,100,40,1\nA,100,41,1\n';
    expect(readRecord(record)).toMatchObject({ ok: true });
    expect(readRecord(record.replaceAll(',1\n', ',1e308\n'))).toMatchObject({
      ok: false,
      problems: [{ path: 'line 2' }, { path: 'line 3' }],
    });
  });
});
