import { describe, expect, it } from 'vitest';
import { demoProject } from '../../../demo/project';
import { readProject, writeProject } from '../file/readProject';
import type { Project } from './project';

type Loose = Record<string | number, unknown>;

/** The demo with one value of it another, as somebody could have written it into a file. */
function withValue(path: readonly (string | number)[], value: unknown): string {
  const project = structuredClone(demoProject) as unknown as Loose;
  const at = path.slice(0, -1).reduce((own, key) => own[key] as Loose, project);
  at[path[path.length - 1]] = value;
  return JSON.stringify(project);
}

describe('works and bottles in a file', () => {
  it('come back as they went out, from values that are not the usual ones', () => {
    const done = { by: 'Tomas', at: '2026-06-26T20:15:00Z' };
    const [work] = demoProject.preparations;
    const project: Project = {
      ...demoProject,
      preparations: [
        {
          ...work,
          ticks: { 'frontLeft pads in': done, gather: done },
          bleed: { ...work.bleed, drawn: { 'rearLeft outer': 62.5 }, level: done, finished: done },
          bed: {
            ...work.bed,
            version: 'road',
            limitKmh: 70,
            bedLowC: 210,
            bedHighC: 455,
            fromKmh: 68,
            toKmh: 21,
            warmUps: 11,
            snubs: 7,
            outcome: {
              done,
              warmUps: 11,
              snubs: 6,
              frontPercent: 81.5,
              rearPercent: 100,
              note: 'pulls left',
            },
          },
          found: {
            ...work.found,
            rearRight: { rotorHand: 'right', rotorKg: 5.35, rotorMm: 19.8, padMm: 7.25, padMark: 'E 12' },
          },
          protections: [{ part: 'tarn-lead', kind: 'wrap', beforeC: 171.5, afterC: 118 }],
          signed: done,
        },
      ],
      bottles: [
        { id: 'b', name: 'Last of it', fluid: 'race', leftCm3: 12.5, openedOn: '2026-04-01', keepMonths: 3 },
      ],
    };
    const read = readProject(writeProject(project));
    expect(read).toEqual({ ok: true, project });
  });

  const at = (...rest: (string | number)[]) => ['preparations', 0, ...rest];
  it.each([
    [at('carId'), 'nobody', 'preparations[0].carId', /names no car/],
    [at('changes', 0, 'part'), 'no-such', 'preparations[0].changes[0].part', /names no part/],
    [at('changes', 0, 'kind'), 'wish', 'preparations[0].changes[0].kind', /must be one of "part"/],
    [at('date'), 'next week', 'preparations[0].date', /must be a date like/],
    [at('signed'), { by: 'Imke', at: 'yesterday' }, 'preparations[0].signed.at', /must be a moment like/],
    [at('signed'), { by: ' ', at: '2026-06-26T20:15:00Z' }, 'preparations[0].signed.by', /must not be/],
    [at('ticks'), { gather: true }, 'preparations[0].ticks.gather', /must be/],
    [at('bleed', 'drawn'), { 'rearLeft outer': -5 }, 'preparations[0].bleed.drawn', /must be at least 0/],
    [at('bleed', 'way'), 'shaking', 'preparations[0].bleed.way', /one of|must be/],
    [at('bed', 'limitKmh'), 2, 'preparations[0].bed.limitKmh', /must be at least 5/],
    [at('bed', 'toKmh'), 400, 'preparations[0].bed.toKmh', /must be at most 300/],
    [at('bed', 'warmUps'), 3.5, 'preparations[0].bed.warmUps', /whole/],
    [
      at('found', 'frontLeft', 'rotorHand'),
      'both',
      'preparations[0].found.frontLeft.rotorHand',
      /one of|must be/,
    ],
    [at('found', 'frontLeft', 'rotorKg'), 0, 'preparations[0].found.frontLeft.rotorKg', /must be at least/],
    [at('protections', 0, 'kind'), 'prayer', 'preparations[0].protections[0].kind', /one of|must be/],
    [at('extra'), 1, 'preparations[0]', /extra/],
    [['bottles', 0, 'fluid'], 'lemonade', 'bottles[0].fluid', /names no fluid/],
    [['bottles', 1, 'id'], 'bottle-1', 'bottles[1].id', /used twice/],
    [['bottles', 0, 'leftCm3'], 1e9, 'bottles[0].leftCm3', /must be at most/],
    [['cars', 0, 'front', 'beddedPercent'], 140, 'cars[0].front.beddedPercent', /must be at most 100/],
    [['cars', 0, 'fitted', 'front pads'], '1.5.2026', 'cars[0].fitted.front pads', /must be a date like/],
    [['cars', 0, 'fitted', 'left mirror'], '2026-05-01', 'cars[0].fitted', /left mirror|must be/],
    [
      ['cars', 0, 'workshop', 'torques', 'front wheel fastenings', 'torqueNm'],
      0,
      'cars[0].workshop.torques.front wheel fastenings.torqueNm',
      /must be at least/,
    ],
    [['cars', 0, 'exposed', 0, 'protection'], 'hope', 'cars[0].exposed[0].protection', /one of|must be/],
  ])('say what is wrong at %j = %j', (path, value, where, what) => {
    const read = readProject(withValue(path, value));
    if (read.ok) throw new Error('it was read');
    const [problem] = read.problems;
    expect(problem.path).toContain(where);
    expect(`${problem.path} ${problem.message}`).toMatch(what);
  });

  it('say that a band or a snub runs backwards', () => {
    const bed = (change: object) => withValue(at('bed'), { ...demoProject.preparations[0].bed, ...change });
    const said = (text: string) => {
      const read = readProject(text);
      return read.ok ? '' : `${read.problems[0].path} ${read.problems[0].message}`;
    };
    expect(said(bed({ bedLowC: 500, bedHighC: 400 }))).toMatch(/bed\.bedHighC must be over .*500 °C/);
    expect(said(bed({ fromKmh: 60, toKmh: 80 }))).toMatch(/bed\.toKmh must be under .*60 km\/h/);
    expect(said(bed({ fromKmh: 80, toKmh: 60, bedLowC: 400, bedHighC: 500 }))).toBe('');
  });

  it('hold no more ticks than a list can have', () => {
    const done = { by: 'Imke', at: '2026-06-26T20:15:00Z' };
    const many = Object.fromEntries(Array.from({ length: 401 }, (_, k) => [`step ${k}`, done]));
    const read = readProject(withValue(at('ticks'), many));
    expect(read.ok ? '' : read.problems[0].message).toMatch(/must have at most 400 entries/);
  });
});
