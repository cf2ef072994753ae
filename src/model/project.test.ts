import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoProject } from '../../demo/project';
import { simulateDay } from '../core';
import { tracesCsv, zonesCsv } from '../report/csv';
import { resultDocument } from '../report/results';
import { verdictText } from '../text/en/wording';
import { STARTER_DRUM, starterLine, starterZone } from './catalogue/starters';
import { circuitProblems } from './check/problems';
import { circuitClosing, closeCircuit } from './edit/closeCircuit';
import { copyItem, deleteItem, deletionObstacle } from './edit/library';
import { applyWhatIf, keepWhatIf, savedValues, type WhatIf } from './edit/whatIf';
import { projectJsonSchema } from './file/jsonSchema';
import { readProject, writeProject } from './file/readProject';
import {
  formatQuantity,
  METRIC,
  QUANTITIES,
  type Quantity,
  toShown,
  toStored,
  US,
  unitOf,
} from './quantity/units';
import type { Circuit } from './schema/circuit';
import type { Project } from './schema/project';
import { dayInput, setupOf } from './toCore/toCore';

/** A deep copy with one value replaced, by path. */
function changed(path: (string | number)[], value: unknown): unknown {
  const copy = structuredClone(demoProject) as unknown as Record<string | number, unknown>;
  let at: Record<string | number, unknown> = copy;
  for (const key of path.slice(0, -1)) at = at[key] as Record<string | number, unknown>;
  if (value === undefined) delete at[path[path.length - 1]];
  else at[path[path.length - 1]] = value;
  return copy;
}
function problemsOf(text: string): string {
  const read = readProject(text);
  return read.ok ? 'none' : read.problems.map((p) => `${p.path}: ${p.message}`).join('\n');
}

describe('project files', () => {
  it('come back as they went out, from values that are no defaults', () => {
    const number = (low: number, high: number) => fc.double({ min: low, max: high, noNaN: true });
    fc.assert(
      fc.property(
        number(300, 3000),
        number(0, 5),
        number(4, 15),
        fc.boolean(),
        (massKg, grip, gap, electric) => {
          const [car] = demoProject.cars;
          const project: Project = {
            ...demoProject,
            name: 'Größe "x" \u2028 <b>',
            cars: [
              {
                ...car,
                massKg,
                downforceAreaM2: grip,
                recovery: electric
                  ? {
                      axle: 'front',
                      powerKw: 33.3,
                      lowestSpeedKmh: 9,
                      blending: 'added',
                      derating: [{ takenKwh: 1.25, powerPercent: 60 }],
                    }
                  : null,
                rear: { ...car.rear, rotor: { ...car.rear.rotor, vaneGapMm: gap } },
              },
              ...demoProject.cars.slice(1),
            ],
            selectedPlanId: 'plan-skarn-fen',
          };
          const read = readProject(writeProject(project));
          expect(read).toEqual({ ok: true, project });
        },
      ),
      { numRuns: 40 },
    );
  });

  it.each([
    ['', /empty/],
    ['   \n', /empty/],
    ['{"format": "fervent', /not JSON/],
    ['\u0000\u0001PK', /not JSON/],
    ['[1,2]', /another kind/],
    ['null', /another kind/],
    ['{"type":"FeatureCollection"}', /"format" should be "fervent-kettle-project"/],
    [JSON.stringify({ ...demoProject, format: 'other' }), /and is "other"/],
    [JSON.stringify({ ...demoProject, version: 99 }), /version 99; this program reads up to version 14/],
    [
      `{"format":"fervent-kettle-project","version":1,"__proto__":{"polluted":true}}`,
      /__proto__: .*not allowed/,
    ],
    [writeProject(demoProject).replace('"massKg": 1040', '"constructor": 3'), /cars\[0\]\.constructor/],
    [JSON.stringify(changed(['cars', 0, 'massKg'], 0)), /cars\[0\]\.massKg: must be at least 100/],
    [JSON.stringify(changed(['cars', 0, 'massKg'], -5)), /cars\[0\]\.massKg: must be at least 100/],
    [JSON.stringify(changed(['cars', 0, 'massKg'], 1e9)), /cars\[0\]\.massKg: must be at most 6000/],
    [
      JSON.stringify(changed(['cars', 0, 'massKg'], Number.NaN)),
      /cars\[0\]\.massKg: must be a number, and is null/,
    ],
    [JSON.stringify(changed(['cars', 0, 'massKg'], '1040')), /must be a number, and is a string/],
    [JSON.stringify(changed(['cars', 0, 'massKg'], undefined)), /cars\[0\]\.massKg: .*missing/],
    [JSON.stringify(changed(['cars', 0, 'colour'], 'red')), /cars\[0\]: has keys nobody knows: "colour"/],
    [
      JSON.stringify(changed(['cars', 1, 'front', 'pad'], 'cheese')),
      /cars\[1\]\.front\.pad: names no pad of this project: cheese/,
    ],
    [
      JSON.stringify(changed(['cars', 0, 'front', 'rotor', 'innerDiameterMm'], 300)),
      /innerDiameterMm: must be under the outer/,
    ],
    [
      JSON.stringify(changed(['cars', 0, 'front', 'rotor', 'vaneGapMm'], 22)),
      /vaneGapMm: must leave two cheeks/,
    ],
    [JSON.stringify(changed(['cars', 0, 'front', 'padAreaCm2'], 249)), /padAreaCm2: must be under 60 %/],
    [
      JSON.stringify(changed(['circuits', 0, 'layout', 'segments', 1, 'radiusM'], 8)),
      /segments\[1\]\.radiusM: .*tighter than the track is wide/,
    ],
    [
      JSON.stringify(changed(['plans', 0, 'sessions', 0, 'legs', 1, 'laps'], 2.5)),
      /plans\[0\]\.sessions\[0\]\.legs\[1\]\.laps: must be a whole number/,
    ],
    [
      JSON.stringify(changed(['plans', 0, 'sessions', 0, 'legs', 1, 'laps'], 0)),
      /legs\[1\]\.laps: must be at least 1/,
    ],
    [JSON.stringify(changed(['plans', 0, 'sessions'], [])), /plans\[0\]\.sessions: must have at least 1/],
    [
      JSON.stringify(changed(['plans', 0, 'sessions', 0, 'legs'], [{ kind: 'pit', minutes: 3, fanKmh: 0 }])),
      /sessions\[0\]\.legs: must have at least one lap/,
    ],
    [
      JSON.stringify(changed(['plans', 0, 'sessions', 0, 'ambientC'], -280)),
      /ambientC: must be at least -30/,
    ],
    [
      JSON.stringify(changed(['cars', 0, 'front', 'rotor', 'weighedKg'], 1.2)),
      /weighedKg: must be over the bell’s mass/,
    ],
    [JSON.stringify(changed(['cars', 0, 'fluid', 'waterFirstYearPercent'], 101)), /must be at most 5/],
    [
      JSON.stringify(
        changed(['cars', 0, 'rear', 'drum'], { ...STARTER_DRUM, innerDiameterMm: 130, widthMm: 20 }),
      ),
      /padAreaCm2: of two shoes must be under 90 %/,
    ],
    [JSON.stringify(changed(['plans', 0, 'carId'], 'gone')), /plans\[0\]\.carId: names no car/],
    [JSON.stringify(changed(['selectedPlanId'], 'gone')), /selectedPlanId: names no plan/],
    [JSON.stringify(changed(['cars', 1, 'id'], 'car-tarn')), /cars\[1\]\.id: is used twice/],
    [
      JSON.stringify(changed(['plans', 0, 'uncertain', 'ranges', 'mass', 'low'], 90)),
      /plans\[0\]\.uncertain\.ranges\.mass\.low: must not be over the upper end \(25\): the range is upside down/,
    ],
    [
      JSON.stringify(changed(['prices'], [{ key: 'duct-50', price: -1 }])),
      /prices\[0\]\.price: must be at least 0/,
    ],
    [
      JSON.stringify(
        changed(
          ['prices'],
          [
            { key: 'duct-50', price: 1 },
            { key: 'duct-50', price: 2 },
          ],
        ),
      ),
      /prices\[1\]\.key: is priced twice: duct-50/,
    ],
    [
      JSON.stringify(
        changed(
          ['plans', 0, 'compare', 'setups'],
          [
            {
              id: 's',
              name: 'S',
              carId: 'gone',
              changes: [{ kind: 'part', part: 'lost', axle: 'front' }],
              otherCost: 0,
            },
          ],
        ),
      ),
      /setups\[0\]\.carId: names no car of this project: gone[\s\S]*changes\[0\]\.part: names no part of this project: lost/,
    ],
    [
      JSON.stringify(changed(['plans', 0, 'compare', 'referenceId'], 'none')),
      /compare\.referenceId: names no setup/,
    ],
    [JSON.stringify(changed(['cars'], [])), /cars: must have at least 1/],
  ])('say what is wrong and where: %#', (text, expected) => {
    expect(problemsOf(text)).toMatch(expected);
    expect(({} as { polluted?: boolean }).polluted).toBeUndefined();
  });

  it('refuse a braking zone that is faster out than in', () => {
    const zones = [{ ...starterZone('x'), entryKmh: 80, exitKmh: 120 }];
    const text = JSON.stringify(changed(['circuits', 0, 'layout'], { kind: 'zones', zones }));
    expect(problemsOf(text)).toMatch(/zones\[0\]\.exitKmh: must be under the entry speed \(80 km\/h\)/);
  });

  it('refuse a day of more laps than memory holds, whatever its sessions are', () => {
    const [plan] = demoProject.plans;
    const [session] = plan.sessions;
    const day = (sessions: number, legs: number, laps: number) => {
      const hot = Array.from({ length: legs }, () => ({ kind: 'hot' as const, laps, pacePercent: 100 }));
      const long = { ...plan, sessions: Array.from({ length: sessions }, () => ({ ...session, legs: hot })) };
      return readProject(writeProject({ ...demoProject, plans: [long, ...demoProject.plans.slice(1)] }));
    };
    expect(day(12, 40, 60)).toMatchObject({
      ok: false,
      problems: [
        { path: 'plans[0].sessions', message: expect.stringMatching(/at most 500 laps in a day, not 28800/) },
      ],
    });
    expect(day(10, 1, 50).ok).toBe(true);
    expect(day(10, 1, 51).ok).toBe(false);
  });

  it('have a schema that carries each number’s meaning, limits and usual range', () => {
    const schema = JSON.stringify(projectJsonSchema());
    expect(schema).toContain('"title":"Mass"');
    expect(schema).toContain('"minimum":100');
    expect(schema).toContain('"usual":[700,2100]');
    expect(schema).toContain('"additionalProperties":false');
  });
});

describe('circuits', () => {
  it('of the demo close, and a lap broken open is said to be, closed again, and good', () => {
    for (const circuit of demoProject.circuits) expect(circuitProblems(circuit)).toEqual([]);
    const [anvil] = demoProject.circuits;
    if (anvil.layout.kind !== 'line') throw new Error('a line was expected');
    const segments = anvil.layout.segments.map((s, i) =>
      i === 2 && s.kind === 'straight' ? { ...s, lengthM: 800 } : s,
    );
    const open: Circuit = { ...anvil, layout: { kind: 'line', segments } };
    const [problem] = circuitProblems(open);
    expect(problem.severity).toBe('error');
    expect(problem.message).toMatch(/ends 3\d\d m from its start/);
    const closed = closeCircuit(open) as Circuit;
    expect(circuitProblems(closed)).toEqual([]);
    expect(circuitClosing(closed)?.gap).toBeLessThan(0.1);
    expect(circuitProblems(starterLine('a', 'b'))).toEqual([]);
  });

  it('of typed braking zones say what no car can do and which times do not fit', () => {
    const list = (zone: Partial<ReturnType<typeof starterZone>>): Circuit => ({
      id: 'c',
      name: 'c',
      altitudeM: 0,
      trackWidthM: 10,
      source: 'typed',
      place: null,
      layout: { kind: 'zones', zones: [{ ...starterZone('a'), ...zone }] },
    });
    expect(circuitProblems(list({}))).toEqual([]);
    expect(circuitProblems(list({ by: 'distance', distanceM: 3 }))[0].message).toMatch(/no car on wheels/);
    const late = circuitProblems(list({ timeToNextS: 100 }))[0];
    expect(late.path).toBe('layout.zones[0].timeToNextS');
    expect(late.message).toMatch(/takes 9\.0 to 18\.0 s|takes 12\.0 to 18\.0 s/);
  });
});

describe('units', () => {
  it('out and back change nothing', () => {
    const quantity = fc.constantFrom(...(Object.keys(QUANTITIES) as Quantity[]));
    fc.assert(
      fc.property(quantity, fc.double({ min: -1e4, max: 1e4, noNaN: true }), fc.boolean(), (q, value, us) => {
        const unit = unitOf(q, us ? US : METRIC);
        expect(Math.abs(toStored(toShown(value, unit), unit) - value)).toBeLessThan(1e-8);
      }),
    );
  });

  it('are the known ones', () => {
    expect(formatQuantity(100, 'temperature', US)).toBe('212 °F');
    expect(formatQuantity(100, 'difference', US)).toBe('180 °F');
    expect(formatQuantity(160.9344, 'speed', US)).toBe('100 mph');
    expect(formatQuantity(9.80665, 'deceleration', US)).toBe('1.00 g');
    expect(formatQuantity(25.4, 'smallLength', { smallLength: 'us' })).toBe('1.000 in');
    expect(formatQuantity(-3, 'temperature', METRIC)).toBe('−3 °C');
    expect(formatQuantity(-0.2, 'temperature', METRIC)).toBe('0 °C');
    expect(formatQuantity(1, 'months', METRIC)).toBe('1 month');
  });
});

describe('what-if', () => {
  const setup = setupOf(demoProject);
  const whatIf: WhatIf = {
    massKg: 1200,
    gripPercent: 90,
    frontPad: 'enduro',
    fluid: 'race',
    rearDuctCm2: 30,
    hotLaps: 5,
  };

  it('moves what it names and nothing else, and leaves the saved setup as it was', () => {
    const before = structuredClone(setup);
    expect(applyWhatIf(setup, {})).toEqual(setup);
    const moved = applyWhatIf(setup, whatIf);
    expect(setup).toEqual(before);
    // Another pad moves the share that follows from the parts.
    const frontSharePercent = savedValues(moved).frontSharePercent;
    expect(frontSharePercent).toBeLessThan(savedValues(setup).frontSharePercent);
    expect(savedValues(moved)).toEqual({
      ...savedValues(setup),
      ...whatIf,
      gripPercent: 100,
      frontSharePercent,
    });
    expect(moved.car.tyres.longitudinalGrip).toBeCloseTo(0.9 * setup.car.tyres.longitudinalGrip, 3);
  });

  it('kept, is what was computed', () => {
    const kept = keepWhatIf(demoProject, setup, whatIf);
    expect(setupOf(kept)).toEqual(applyWhatIf(setup, whatIf));
    expect(kept.cars.slice(1)).toEqual(demoProject.cars.slice(1));
    expect(readProject(writeProject(kept)).ok).toBe(true);
  });
});

describe('library', () => {
  it('copies under a fresh name, again and again', () => {
    const once = copyItem(demoProject, 'cars', 'car-tarn', 'x1');
    const twice = copyItem(once, 'cars', 'x1', 'x2');
    expect(twice.cars.map((c) => c.name).slice(0, 3)).toEqual([
      'Tarn Two club car',
      'Tarn Two club car (copy)',
      'Tarn Two club car (copy 2)',
    ]);
    expect(twice.cars[2]).toEqual({ ...demoProject.cars[0], id: 'x2', name: 'Tarn Two club car (copy 2)' });
  });

  it('never deletes what is in use or the last of its kind', () => {
    expect(deletionObstacle(demoProject, 'cars', 'car-tarn')).toMatch(
      /Used by “Twenty minutes at Anvil Park”/,
    );
    expect(() => deleteItem(demoProject, 'circuits', 'circuit-fen')).toThrow(RangeError);
    const one = { ...demoProject, plans: demoProject.plans.slice(0, 1) };
    expect(deletionObstacle(one, 'plans', one.plans[0].id)).toMatch(/at least one plan/);
  });

  it('selects another plan when the selected one goes', () => {
    const next = deleteItem(demoProject, 'plans', demoProject.selectedPlanId);
    expect(next.selectedPlanId).toBe(demoProject.plans[1].id);
    expect(readProject(writeProject(next)).ok).toBe(true);
  });
});

describe('what is written out', () => {
  const setup = setupOf(demoProject);
  const result = simulateDay(dayInput(setup));

  it('has every braking zone of every lap with units in the header, and the US ones when asked', () => {
    const lines = zonesCsv(setup, result).split('\n');
    expect(lines[0]).toContain('Entry speed (km/h)');
    expect(lines[0]).toContain('Front surface peak (°C)');
    expect(lines.length - 1).toBe(result.laps.reduce((sum, lap) => sum + lap.trace.zones.length, 0));
    const column = lines[0].split(',').indexOf('Front surface peak (°C)');
    const peak = Math.max(...lines.slice(1).map((line) => Number(line.split(',')[column])));
    expect(peak).toBeCloseTo(result.peaks.frontLeft.rotorFace - 273.15, 6);
    expect(zonesCsv(setup, result, US)).toContain('Entry speed (mph)');
  });

  it('has every sample of the session', () => {
    const lines = tracesCsv(setup, result).split('\n');
    expect(lines.length - 1).toBe(result.record.time.length);
    expect(lines[0]).toMatch(
      /^time \(s\),session,lap,distance in the lap \(m\),braking zone,speed \(km\/h\),pedal force \(N\),.*,ideal balance \(%\),front rotor surface \(°C\)/,
    );
    expect(lines[lines.length - 1]).toContain('paddock');
  });

  it('defuses names that a spreadsheet would run', () => {
    const circuit = structuredClone(setup.circuit);
    if (circuit.layout.kind === 'line')
      circuit.layout.segments[1] = { ...circuit.layout.segments[1], name: '=1+1' } as never;
    const csv = zonesCsv(setup, simulateDay(dayInput({ ...setup, circuit })));
    expect(csv).toContain("'=1+1");
    expect(csv).not.toMatch(/,=1\+1/);
  });

  it('says the verdict in words that agree with its numbers, and never calls anything safe', () => {
    for (const plan of demoProject.plans) {
      const of = simulateDay(dayInput(setupOf(demoProject, plan.id)));
      const { sentence, notes } = verdictText(of, METRIC);
      const limit = `${(of.verdict.margin.limit - 273.15).toFixed(0)} °C`;
      expect(sentence).toContain(limit);
      const lap = of.laps[(of.verdict.margin.passed?.lap ?? 1) - 1];
      if (of.verdict.margin.passed) expect(sentence).toContain(`on lap ${lap.numberInSession} `);
      expect([sentence, ...notes].join(' ')).not.toMatch(/\bsafe/i);
    }
    expect(JSON.parse(JSON.stringify(resultDocument(setup, result))).verdict.state).toBe('Over limit');
  });
});
