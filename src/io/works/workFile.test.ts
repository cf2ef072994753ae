import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoProject } from '../../../demo/project';
import {
  type Found,
  joinedWork,
  joinWork,
  NOTHING_FOUND,
  type Preparation,
  type WorkProgress,
} from '../../model';
import { readWork, writeWork } from './workFile';

const [work] = demoProject.preparations;
const WHEN = '2026-06-26T20:05:00Z';
const tick = (by: string, minute: number) => ({
  by,
  at: `2026-06-26T20:${String(minute).padStart(2, '0')}:00Z`,
});
const with_ = (change: Partial<Preparation>): Preparation => ({ ...work, ...change });
const progressOf = (preparation: Preparation): WorkProgress => {
  const read = readWork(writeWork(preparation));
  if (!read.ok) throw new Error(read.problems.map(({ path, message }) => `${path} ${message}`).join('\n'));
  return read.progress;
};

/** Any progress of the demo's work. */
const anyProgress: fc.Arbitrary<Preparation> = fc
  .record({
    ticks: fc.dictionary(
      fc.constantFrom('gather', 'lift', 'frontLeft pads in', 'rearRight wheel off', 'pump the pedal'),
      fc.record({ by: fc.constantFrom('Imke', 'Tomas'), at: fc.integer({ min: 0, max: 59 }) }),
    ),
    drawn: fc.dictionary(
      fc.constantFrom('rearLeft outer', 'rearLeft inner', 'clutch'),
      fc.integer({ min: 0, max: 400 }),
    ),
    rotorMm: fc.constantFrom(null, 24.4, 24.1),
    padMark: fc.constantFrom('', 'E 12', 'F 9'),
  })
  .map(({ ticks, drawn, rotorMm, padMark }) =>
    with_({
      ticks: Object.fromEntries(Object.entries(ticks).map(([step, { by, at }]) => [step, tick(by, at)])),
      bleed: { ...work.bleed, drawn },
      found: { ...work.found, rearLeft: { ...NOTHING_FOUND, rotorMm, padMark } },
    }),
  );

describe('what was done of a work, from device to device', () => {
  it('comes back as it went out, and says nothing of the car', () => {
    fc.assert(
      fc.property(anyProgress, (own) => {
        const text = writeWork(own);
        expect(progressOf(own)).toEqual({
          id: own.id,
          name: own.name,
          ticks: own.ticks,
          drawn: own.bleed.drawn,
          found: own.found,
        });
        expect(text).not.toContain('massKg');
      }),
    );
  });

  it('joined, loses no tick, no count and no finding of either; twice is once', () => {
    fc.assert(
      fc.property(anyProgress, anyProgress, (mine, theirs) => {
        const { preparation: both, differs } = joinedWork(mine, progressOf(theirs));
        const steps = new Set([...Object.keys(mine.ticks), ...Object.keys(theirs.ticks)]);
        expect(new Set(Object.keys(both.ticks))).toEqual(steps);
        for (const step of steps) {
          const times = [mine.ticks[step], theirs.ticks[step]].flatMap((done) => done?.at ?? []);
          // Who was first has done it.
          expect(both.ticks[step].at).toBe(times.toSorted()[0]);
        }
        for (const screw of ['rearLeft outer', 'rearLeft inner', 'clutch']) {
          const most = Math.max(mine.bleed.drawn[screw] ?? 0, theirs.bleed.drawn[screw] ?? 0);
          expect(both.bleed.drawn[screw] ?? 0).toBe(most);
        }
        const [own, other, now] = [mine, theirs, both].map(({ found }) => found.rearLeft);
        for (const key of ['rotorMm', 'padMark'] as const) {
          const empty = own[key] === null || own[key] === '';
          const theirsEmpty = other[key] === null || other[key] === '';
          expect(now[key]).toEqual(empty && !theirsEmpty ? other[key] : own[key]);
          expect(differs.includes(`rearLeft ${key}`)).toBe(!empty && !theirsEmpty && own[key] !== other[key]);
        }
        const again = joinedWork(both, progressOf(theirs));
        expect(again.added).toBe(0);
        expect(again.preparation).toEqual(both);
        // Whoever joins, the ticks and counts are the same.
        const round = joinedWork(theirs, progressOf(mine)).preparation;
        expect(Object.keys(round.ticks).toSorted()).toEqual(Object.keys(both.ticks).toSorted());
        const counted = ({ bleed }: Preparation) =>
          Object.entries(bleed.drawn)
            .filter(([, cm3]) => cm3 > 0)
            .toSorted();
        expect(counted(round)).toEqual(counted(both));
      }),
    );
  });

  it('touches nothing but the work it is of, and refuses that of another by its name', () => {
    const progress = progressOf(with_({ ticks: { gather: tick('Tomas', 5) } }));
    const joined = joinWork(demoProject, work.id, progress);
    expect(joined.preparations[0].ticks).toEqual({ gather: tick('Tomas', 5) });
    expect({ ...joined, preparations: [] }).toEqual({ ...demoProject, preparations: [] });
    expect(() => joinWork(demoProject, work.id, { ...progress, id: 'other', name: 'Gearbox out' })).toThrow(
      /another work, “Gearbox out”/,
    );
  });

  const good = () => JSON.parse(writeWork(work)) as Record<string, unknown>;
  const found = work.found.frontLeft as Found;
  it.each([
    ['nothing', '', /empty/],
    ['no JSON', 'frontLeft pads in: done', /JSON/],
    ['a list', '[]', /another kind/],
    ['null', 'null', /another kind/],
    ['a project', JSON.stringify({ format: 'fervent-kettle-project', version: 11 }), /another kind/],
    ['a later version', JSON.stringify({ ...good(), version: 9 }), /version/],
    ['a key nobody knows', JSON.stringify({ ...good(), torque: 85 }), /"torque"/],
    [
      'a tick of nobody',
      JSON.stringify({ ...good(), ticks: { gather: { by: '', at: WHEN } } }),
      /ticks\.gather\.by/,
    ],
    [
      'a tick of no time',
      JSON.stringify({ ...good(), ticks: { gather: { by: 'Imke', at: 'noon' } } }),
      /must be a moment/,
    ],
    [
      'a step of no name',
      `${JSON.stringify({ ...good(), ticks: {} }).slice(0, -1)},"drawn":{"__proto__":5}}`,
      /drawn/,
    ],
    [
      'less than nothing drawn',
      JSON.stringify({ ...good(), drawn: { clutch: -3 } }),
      /drawn\.clutch.*at least 0/,
    ],
    [
      'a hand there is not',
      JSON.stringify({ ...good(), found: { ...work.found, frontLeft: { ...found, rotorHand: 'up' } } }),
      /found\.frontLeft\.rotorHand/,
    ],
    ['far too much', `"${'x'.repeat(1_000_001)}"`, /too long/],
  ])('is refused, with where and what: %s', (_, text, why) => {
    const read = readWork(text);
    if (read.ok) throw new Error('it was read');
    expect(read.problems.map(({ path, message }) => `${path} ${message}`).join('\n')).toMatch(why);
  });

  it('of any text at all is answered, never thrown at', () => {
    fc.assert(
      fc.property(fc.oneof(fc.json(), fc.string(), fc.string({ unit: 'binary' })), (text) => {
        expect(readWork(text).ok).toBe(false);
      }),
    );
  });
});
