import { describe, expect, it } from 'vitest';
import { demoProject } from '../../../demo/project';
import { randomNumbers } from '../../core';
import type { FileTrack } from '../../io';
import {
  CHARACTER_IDS,
  circuitFactsSchema,
  circuitProblems,
  circuitSchema,
  setupOf,
  starterLine,
} from '../../model';
import { LOGGER_COLUMNS, simulatedLog } from '../../server/standIns/logger';
import { circuitFromFacts } from './circuitFromFacts';
import { circuitFrom, findLine } from './circuitFromTrack';
import { recordedLap } from './recordedLap';
import { lapTimes } from './solvedLap';

const setup = setupOf(demoProject, 'plan-tarn-anvil');
/** Three laps of Anvil Park as a receiver would have written them, with its own scatter besides, m. */
function recording(scatter: number, rate: number): FileTrack {
  const rows = [...simulatedLog({ planId: 'plan-tarn-anvil', laps: 3, rate, noise: 0, seed: 1 }).rows()];
  const column = (name: (typeof LOGGER_COLUMNS)[number]) =>
    Float64Array.from(rows, (row) => Number(row[LOGGER_COLUMNS.indexOf(name)]));
  const random = randomNumbers(7);
  const metre = 1 / 111_000;
  const jitter = (values: Float64Array, times: number) =>
    values.map((value) => value + times * metre * scatter * random.normal());
  return {
    name: 'Sunday',
    a: jitter(column('Latitude (deg)'), 1),
    b: jitter(column('Longitude (deg)'), 1.44),
    metric: false,
    height: Float64Array.from(rows, () => Number.NaN),
    time: column('Time (s)').map((t) => 1.8e9 + t),
  };
}
function imported(file: FileTrack) {
  const line = findLine(file, null);
  if (!line.ok) throw new Error(line.problems[0].message);
  const made = circuitFrom(line, { bound: null, start: line.suggestedStart, reverse: false }, 'c', 'Sunday');
  if (!made.ok) throw new Error(made.problems[0].message);
  return made.circuit;
}

describe('a recording with times', () => {
  const good = recording(0.3, 10);

  it('tells its own lap, and agrees with its line where the points are good', () => {
    const made = imported(good);
    const lap = recordedLap(good, made, setup);
    // The recorded driver is a little slower than the planned one.
    expect(Math.abs((lap?.lapTime ?? 0) - lapTimes(setup).hot)).toBeLessThan(1.5);
    expect(lap).toMatchObject({ heavy: 7, heavyOfLine: 7, tame: false });
    // The list that is offered drives like the recording.
    const list = { ...made, layout: { kind: 'zones' as const, zones: lap?.zones ?? [] } };
    expect(circuitSchema.safeParse(list).success).toBe(true);
    expect(lapTimes({ ...setup, circuit: list }).hot).toBeCloseTo(lap?.lapTime ?? 0, 0);
  });

  it('says so where a line hides what it shows', () => {
    const oval = starterLine('c', 'Rounded away');
    expect(recordedLap(good, oval, setup)).toMatchObject({ heavy: 7, heavyOfLine: 2, tame: true });
    expect(recordedLap({ ...good, time: good.time.map(() => Number.NaN) }, oval, setup)).toBeNull();
  });

  it('refuses straights and corners that lie far off their points', () => {
    expect(() => imported(recording(8, 1))).toThrow(/lie up to \d+ m off it; 60 m at most/);
  });
});

describe('a circuit from a few facts', () => {
  const facts = { name: 'Sketch', lengthM: 3200, lapTimeS: 95, corners: 11, longestStraightM: 600 };

  it.each(CHARACTER_IDS)('%s: closed, as long as told, with its straight and its lap time', (character) => {
    const made = circuitFromFacts(circuitFactsSchema.parse({ ...facts, character }), setup, 'c');
    if (!made.ok) throw new Error(made.problems[0].message);
    const { circuit } = made;
    expect(circuitSchema.parse(circuit)).toEqual(circuit);
    expect(circuitProblems(circuit)).toEqual([]);
    expect(circuit.source).toBe('made-up');
    const { layout } = circuit;
    if (layout.kind !== 'line') throw new Error('a line was expected');
    expect(layout.segments.filter((s) => s.kind === 'corner')).toHaveLength(11);
    const length = layout.segments.reduce(
      (sum, s) => sum + (s.kind === 'straight' ? s.lengthM : (s.radiusM * s.angleDeg * Math.PI) / 180),
      0,
    );
    expect(Math.abs(length / 3200 - 1)).toBeLessThan(0.005);
    expect(Math.abs(lapTimes({ ...setup, circuit }).hot / 95 - 1)).toBeLessThan(0.02);
    const longest = Math.max(...layout.segments.map((s) => (s.kind === 'straight' ? s.lengthM : 0)));
    // The long one goes over the start line: half of it before, half behind.
    expect(layout.segments[0]).toMatchObject({ kind: 'straight', lengthM: expect.closeTo(300, 0) });
    expect(longest).toBeLessThan(600);
  });

  it('that cannot be one are refused at the fact to look at again', () => {
    const wrong = (change: object) => {
      const read = circuitFactsSchema.safeParse({ ...facts, character: 'twisty', ...change });
      return read.success ? [] : read.error.issues.map(({ path }) => path[0]);
    };
    expect(wrong({})).toEqual([]);
    expect(wrong({ lapTimeS: 30 })).toEqual(['lapTimeS']);
    expect(wrong({ lapTimeS: 900 })).toEqual(['lapTimeS']);
    expect(wrong({ longestStraightM: 2400 })).toEqual(['longestStraightM']);
    expect(wrong({ longestStraightM: 100 })).toEqual(['longestStraightM']);
    expect(wrong({ lengthM: 400, lapTimeS: 20, longestStraightM: 150 })).toEqual(['corners']);
    // Believable one by one, but nothing this car could drive.
    const fast = circuitFactsSchema.parse({ ...facts, lapTimeS: 60, character: 'twisty' });
    expect(circuitFromFacts(fast, setup, 'c')).toMatchObject({ ok: false });
  });
});
