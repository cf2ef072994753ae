import { describe, expect, it } from 'vitest';
import { demoProject } from '../../../demo/project';
import { lapHeat, mendLog } from '../../core';
import { setupOf } from '../../model';
import { loggerCsv, simulatedLog } from '../../server/standIns/logger';
import { analyseLog } from '../../services/log/analyseLog';
import { trackLog } from '../tracks/trackLog';
import { columnNamed, guessMapping, type LogMapping, mappingProblems } from './logMapping';
import { prepareLog } from './prepareLog';
import { type ByteSource, openLog, readLog } from './readLog';

function file(content: string | Uint8Array, name = 'log.csv'): ByteSource {
  const bytes = typeof content === 'string' ? new TextEncoder().encode(content) : content;
  return {
    name,
    size: bytes.length,
    slice: (from, to) => ({ arrayBuffer: async () => bytes.slice(from, to).buffer as ArrayBuffer }),
  };
}
async function read(content: string | Uint8Array, change: (m: LogMapping) => LogMapping = (m) => m) {
  const source = file(content);
  const opened = await openLog(source);
  if (!opened.ok) return opened;
  const mapping = change(guessMapping(opened.layout));
  expect(mappingProblems(mapping, opened.layout)).toEqual([]);
  return readLog(source, mapping);
}
async function good(content: string | Uint8Array, change?: (m: LogMapping) => LogMapping) {
  const result = await read(content, change);
  if (!result.ok) throw new Error(result.problems[0].message);
  return result;
}
async function problem(content: string | Uint8Array) {
  const result = await read(content);
  if (result.ok) throw new Error('it was read');
  return `${result.problems[0].path}: ${result.problems[0].message}`;
}
const times = Array.from({ length: 60 }, (_, i) => i / 10);
/** 60 samples written in a way of its own: speed rises by 1 m/s each second from 20. */
const rows = (of: (t: number, v: number) => string) => times.map((t) => of(t, 20 + t)).join('\n');

describe('a table is read however it is written', () => {
  it.each([
    ['comma', `Time (s),Speed (km/h)\n${rows((t, v) => `${t},${v * 3.6}`)}\n`],
    [
      'semicolon, decimal comma',
      `Zeit;Geschwindigkeit\ns;km/h\n${rows((t, v) => `${t};${v * 3.6}`.replace(/\./g, ','))}\r\n`,
    ],
    [
      'tab, m/s, preamble',
      `Session\tMorning\nDriver\tImke\n\ntime [s]\tspeed [m/s]\n${rows((t, v) => `${t}\t${v}`)}`,
    ],
    ['mph and milliseconds', `"t","Speed, ground (mph)"\n${rows((t, v) => `${t * 1000},${v / 0.44704}`)}`],
    [
      'clock times',
      `clock time,speed [m/s]\n${rows((t, v) => `09:59:${(57 + (t % 3)).toFixed(1)},${v}`).replace(/x/g, '')}`,
    ],
    [
      'knots and dates',
      `UTC timestamp,speed (kn)\n${rows((t, v) => `2026-05-01T10:00:0${t.toFixed(1)}Z,${(v * 3600) / 1852}`)}`,
    ],
    ['old Mac line ends', `time,speed (m/s)\r${rows((t, v) => `${t},${v}`).replace(/\n/g, '\r')}\r`],
  ])('%s', async (name, text) => {
    const log = await good(text);
    const { speed } = log.raw.channels;
    expect(speed?.length).toBe(60);
    times.forEach((t, i) => {
      expect(speed?.[i]).toBeCloseTo(20 + t, 4);
    });
    if (name !== 'clock times') expect(log.raw.time[30] - log.raw.time[10]).toBeCloseTo(2, 6);
    expect(log.notes).toEqual([]);
  });
  it('in UTF-16 and with a sign of Latin-1 in a heading', async () => {
    const text = `time (s),speed (m/s),Rotor FL (\u00b0C)\n${rows((t, v) => `${t},${v},300`)}`;
    const utf16 = Uint8Array.from([
      0xfe,
      0xff,
      ...Array.from(text).flatMap((c) => [c.charCodeAt(0) >> 8, c.charCodeAt(0) & 255]),
    ]);
    const latin = Uint8Array.from(text, (c) => c.charCodeAt(0));
    for (const content of [utf16, latin]) {
      const log = await good(content);
      expect(log.raw.channels.speed?.[10]).toBeCloseTo(21, 5);
      expect(log.raw.channels.rotorFrontLeft?.[0]).toBeCloseTo(573.15, 3);
    }
  });
  it('averages a fast log down without losing the way driven', async () => {
    const fast = Array.from({ length: 5000 }, (_, i) => `${i / 1000},${20 + i / 1000}`).join('\n');
    const log = await good(`time,speed (m/s)\n${fast}\n`);
    expect(log.raw.time.length).toBe(500);
    expect(log.raw.time[1] - log.raw.time[0]).toBeCloseTo(0.01, 9);
    expect(log.notes.join()).toMatch(/Every 10 rows/);
    const mean = Array.from(log.raw.channels.speed ?? []).reduce((a, b) => a + b, 0) / 500;
    expect(mean).toBeCloseTo(22.4995, 3);
  });
  it('without a column of time takes the rate it is told', async () => {
    const log = await good(`speed (m/s),lap\n${rows((_, v) => `${v},1`)}`, (m) => ({ ...m, rate: 25 }));
    expect(log.raw.time[25]).toBeCloseTo(1, 9);
  });
});

describe('names of columns', () => {
  it.each([
    ['Rotor FL', 'rotorFrontLeft'],
    ['brake_disc_temp_rear_right', 'rotorRearRight'],
    ['DiscTempLF', 'rotorFrontLeft'],
    ['Caliper RR', 'caliperRearRight'],
    ['Brake pressure front', 'frontPressure'],
    ['BrakePressRear', 'rearPressure'],
    ['Pedal force', 'pedalForce'],
    ['GPS Latitude', 'latitude'],
    ['GpsAltitude', 'height'],
    ['Vehicle Speed', 'speed'],
    ['Lap', 'lap'],
    ['Lap time', 'time'],
    ['Fluid front', 'fluidFront'],
    ['Ambient', 'ambient'],
    ['Oil pressure', null],
    ['Gear', null],
  ])('%s is %s', (name, expected) => {
    expect(columnNamed(name)).toBe(expected);
  });
});

describe('the simulated logger’s file', () => {
  it('is recognised whole, mended, and has its dropouts bridged', async () => {
    const options = { planId: 'plan-tarn-anvil', laps: 2, rate: 10, noise: 1, seed: 5 };
    const log = await good([...loggerCsv(simulatedLog(options))].join(''));
    expect(Object.keys(log.raw.channels)).toHaveLength(16);
    expect(log.lineOf).toEqual({ first: 4, perSample: 1 });
    const mended = mendLog(log.raw);
    expect(mended.step).toBeCloseTo(0.1, 9);
    const missing = mended.channels.latitude?.filter((v) => Number.isNaN(v)).length ?? 0;
    expect(missing).toBeGreaterThan(0);
    expect(missing).toBeLessThan(0.1 * mended.time.length);
    expect(Math.max(...(mended.channels.rotorFrontLeft ?? []))).toBeGreaterThan(500);
  });
});

describe('a log that cannot be read says why and where', () => {
  it.each([
    ['empty', '', /empty/],
    ['prose', 'Dear diary,\nit rained all day\nand nothing ran.\n', /line 1: No table of numbers/],
    ['binary', Uint8Array.from({ length: 999 }, (_, i) => (i * 91) % 256), /binary data/],
    ['packed', Uint8Array.from([0x1f, 0x8b, 8, 0, 0, 0, 0, 0, 0]), /gzip/],
    ['too short', 'time,speed\n1,2\n2,3\n3,4\n4,5\n', /line 6: Only 4 rows/],
  ])('%s', async (_, content, expected) => {
    expect(await problem(content)).toMatch(expected);
  });
  it('a column that is no number anywhere', async () => {
    const source = file(`time,speed,note\n${rows((t, v) => `${t},${v},dry`)}`);
    const result = await readLog(source, {
      uses: [
        { column: 0, as: 'time', unit: 's' },
        { column: 2, as: 'speed', unit: 'm/s' },
      ],
      decimal: '.',
      rate: null,
    });
    expect(!result.ok && `${result.problems[0].path}: ${result.problems[0].message}`).toMatch(
      /^line 2, field 3: The column “note”.*“dry” is no number/,
    );
  });
  it('rows that are broken, cut off or strange are counted with their line, the rest is kept', async () => {
    const lines = `time,speed (m/s)\n${rows((t, v) => `${t},${v}`)}`.split('\n');
    lines[12] = '1.1,abc';
    lines[20] = '1,2,3,4,5,6';
    const log = await good(`${lines.join('\n')}\n6.0,2`);
    expect(log.notes).toEqual([
      '1 row with another number of columns left out, the first at line 21.',
      '“speed”: 1 value is no number, the first at line 13 (“abc”).',
    ]);
  });
  it('a mapping that makes no log', async () => {
    const opened = await openLog(file(`time,gear\n${rows((t) => `${t},3`)}`));
    if (!opened.ok) throw new Error('not opened');
    expect(mappingProblems(guessMapping(opened.layout), opened.layout).join()).toMatch(
      /Speed, distance, or latitude/,
    );
    const twice = {
      uses: [0, 1].map((column) => ({ column, as: 'speed' as const, unit: 'm/s' })),
      decimal: '.' as const,
      rate: null,
    };
    expect(mappingProblems(twice, opened.layout).join()).toMatch(/Two columns.*which column is the time/);
  });
  it('giving up in the middle stops the reading', async () => {
    const source = file(`time,speed\n${rows((t, v) => `${t},${v}`)}`);
    const opened = await openLog(source);
    if (!opened.ok) throw new Error('not opened');
    await expect(
      readLog(source, guessMapping(opened.layout), () => {
        throw new Error('given up');
      }),
    ).rejects.toThrow('given up');
  });
});

describe('a telephone’s track, once a second and without speed', () => {
  it.each(['plan-tarn-anvil', 'plan-ovel-nettle'])(
    'of %s still gives its laps, its stops and about their heat',
    (plan) => {
      const rows = [...simulatedLog({ planId: plan, laps: 3, rate: 1, noise: 1, seed: 1 }).rows()];
      const column = (k: number) => Float64Array.from(rows, (row) => row[k] ?? Number.NaN);
      const read = trackLog({
        name: 'ride',
        metric: false,
        time: column(0),
        a: column(4),
        b: column(5),
        height: column(6),
      });
      if (!read.ok) throw new Error(read.problems[0].message);
      const setup = setupOf(demoProject, plan);
      const { by, pieces, day, solved } = analyseLog(prepareLog(read.raw, setup), setup);
      const hot = pieces.filter((piece) => piece.kind === 'hot');
      expect([by, hot.length]).toEqual(['position', 3]);
      for (const { lap, heat } of hot) {
        expect(Math.abs(day.laps[lap].trace.zones.length - solved.zones.length)).toBeLessThanOrEqual(1);
        expect(Math.abs(heat / lapHeat(solved) - 1)).toBeLessThan(0.12);
      }
    },
  );
  it('of another circuit is said to be one, and one without times is refused', () => {
    const rows = [
      ...simulatedLog({ planId: 'plan-ovel-nettle', laps: 2, rate: 5, noise: 0, seed: 1 }).rows(),
    ];
    const column = (k: number) => Float64Array.from(rows, (row) => row[k] ?? Number.NaN);
    const track = { name: 'ride', metric: false, a: column(4), b: column(5), height: column(6) };
    const read = trackLog({ ...track, time: column(0) });
    if (!read.ok) throw new Error('not read');
    const setup = setupOf(demoProject, 'plan-tarn-anvil');
    const prepared = prepareLog(read.raw, setup);
    // Five fixes a second are said to be five, though the speed is made of fewer.
    expect(prepared.sampled).toBeCloseTo(0.2, 6);
    expect(prepared.step).toBeGreaterThan(0.4);
    const { otherCircuit } = analyseLog(prepared, setup);
    expect(otherCircuit?.logged).toBeGreaterThan(2200);
    expect(otherCircuit?.circuit).toBeGreaterThan(3500);
    const untimed = trackLog({ ...track, time: column(0).fill(Number.NaN) });
    expect(!untimed.ok && untimed.problems[0].message).toMatch(/0 points with a time/);
  });
});
