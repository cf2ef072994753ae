import Ajv2020 from 'ajv/dist/2020';
import fc from 'fast-check';
import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import * as z from 'zod/mini';
import { demoProject } from '../../demo/project';
import { oneSession } from '../../tests/support/sessions';
import {
  type DayResult,
  DEFAULT_NUMERICS,
  exposedTemperature,
  failureCases,
  latinHypercube,
  type Numerics,
  simulateDay,
  wheelClearances,
} from '../core';
import { tracesCsv, zonesCsv } from '../report/csv';
import { resultDocument } from '../report/results';
import { STARTER_DRUM } from './catalogue/starters';
import { projectJsonSchema } from './file/jsonSchema';
import { readProject, readProjectValue, writeProject } from './file/readProject';
import { METRIC, toStored, type UnitChoice, US, unitOf } from './quantity/units';
import type { AxleBrakes } from './schema/axle';
import { carSchema } from './schema/car';
import { circuitSchema } from './schema/circuit';
import { exposedPart } from './schema/exposed';
import { type FieldInfo, type FieldLimits, fieldInfo } from './schema/field';
import { planSchema } from './schema/plan';
import { type Uncertain, uncertainRanges } from './schema/uncertain';
import { taperOf, wheelFit } from './toCore/chain';
import { dayInput, type Setup, setupOf } from './toCore/toCore';

type Rotor = AxleBrakes['rotor'];
type Path = readonly (string | number)[];
interface NumberAt {
  readonly path: Path;
  readonly info: FieldInfo & FieldLimits;
  readonly value: number;
}

/** Every number of a document that its schema describes, with its path. */
function numbersOf(schema: z.ZodMiniType, value: unknown, path: Path = []): NumberAt[] {
  if (value === null) return [];
  if (schema instanceof z.ZodMiniNullable)
    return numbersOf(schema.def.innerType as z.ZodMiniType, value, path);
  if (typeof value === 'number') return [{ path, info: fieldInfo(schema), value }];
  if (typeof value !== 'object') return [];
  if (schema instanceof z.ZodMiniDiscriminatedUnion) {
    const option = schema.def.options.find(
      (o) => (o as z.ZodMiniType).safeParse(value).success,
    ) as z.ZodMiniType;
    return numbersOf(option, value, path);
  }
  if (schema instanceof z.ZodMiniArray && Array.isArray(value)) {
    return value.flatMap((item, i) => numbersOf(schema.def.element as z.ZodMiniType, item, [...path, i]));
  }
  if (!(schema instanceof z.ZodMiniObject)) return [];
  return Object.entries(schema.shape).flatMap(([key, inner]) =>
    numbersOf(inner as z.ZodMiniType, (value as Record<string, unknown>)[key], [...path, key]),
  );
}

function replaced<T>(document: T, path: Path, value: unknown): T {
  const copy = structuredClone(document) as Record<string | number, unknown>;
  let at = copy;
  for (const key of path.slice(0, -1)) at = at[key] as Record<string | number, unknown>;
  at[path[path.length - 1]] = value;
  return copy as T;
}

/** Another valid value of a number, well away from the present one. */
function nudged({ info, value }: NumberAt): number {
  const step = info.integer ? 1 : Math.max(Math.abs(value) * 0.04, (info.usual[1] - info.usual[0]) * 0.04);
  return value + step <= info.max ? value + step : value - step;
}

describe('every number that can be typed', () => {
  // Coarse, since it is asked whether anything moves, not by how much.
  const coarse: Numerics = {
    steps: {
      ...DEFAULT_NUMERICS.steps,
      braking: 0.6,
      leastPerZone: 5,
      release: 0.4,
      rolling: 4,
      standing: 60,
    },
    refinement: 1,
    spacing: 4,
  };
  const ofDay = (setup: Setup) => JSON.stringify(resultDocument(setup, simulateDay(dayInput(setup), coarse)));
  /** What a day does not show: failures, clearances and wear. */
  const ofRest = (setup: Setup) => {
    const { front, rear } = setup.car;
    return JSON.stringify([
      failureCases(dayInput(setup), 20),
      [front, rear].map((axle) => [wheelClearances(wheelFit(axle)), taperOf(axle)]),
    ]);
  };
  const short = (setup: Setup): Setup => ({
    ...setup,
    plan: oneSession(setup.plan, { hotLaps: 1, paddockMin: 3 }),
  });
  const tarn = short(setupOf(demoProject, 'plan-tarn-anvil'));
  const ovel = short(setupOf(demoProject, 'plan-ovel-nettle'));
  /** A car in which every optional thing is there, so that its numbers count. */
  const full = (
    setup: Setup,
    front: Partial<Rotor>,
    rear: Partial<Rotor>,
    rest: Partial<AxleBrakes> = {},
  ): Setup => {
    const { car } = setup;
    const ducts = {
      ductAreaCm2: 20,
      rightDuctAreaCm2: 12,
      blankedOffPercent: 10,
      toCaliperPercent: 20,
      shieldPercent: 10,
    };
    return {
      ...setup,
      car: {
        ...car,
        loadFollowingPercent: 40,
        front: { ...car.front, ...ducts, rotor: { ...car.front.rotor, ...front } },
        rear: { ...car.rear, ...ducts, rotor: { ...car.rear.rotor, ...rear }, ...rest },
        // Fading must begin above the speeds of the circuit's corners to show.
        recovery: car.recovery && { ...car.recovery, lowestSpeedKmh: 45 },
      },
    };
  };
  /** A stroke that is a limit counts. */
  const shortStroke = (setup: Setup): Setup => {
    const { pedal } = setup.car;
    const cylinders = { ...pedal.cylinders, strokeMm: 9 };
    return { ...setup, car: { ...setup.car, pedal: { ...pedal, cylinders } } };
  };
  const measured = (setup: Setup): Setup => ({
    ...setup,
    car: { ...setup.car, fluid: { ...setup.car.fluid, measuredBoilingC: 170 } },
  });
  // What has no meaning in one (vanes of a solid ring, slots of a drilled one) has it in another.
  const setups = [
    {
      name: 'Tarn, drilled and slotted',
      setup: shortStroke(
        full(tarn, { surface: 'drilled', weighedKg: 9 }, { surface: 'slotted', weighedKg: 8 }),
      ),
      without: /front\.rotor\.slot|rear\.rotor\.hole|pedal\.travelMm/,
    },
    {
      name: 'Ovel, fluid measured',
      setup: measured(full(ovel, { surface: 'slotted' }, { surface: 'drilled' })),
      without:
        /front\.rotor\.hole|rear\.rotor\.slot|rear\.(rotor\.vane|recirculation)|fluid\.(age|water)|frontDownforce|strokeMm/,
    },
    {
      name: 'Tarn, drums behind',
      setup: shortStroke(full(tarn, {}, {}, { drum: STARTER_DRUM })),
      without:
        /rotor\.(hole|slot)|rear\.(rotor|plateThickness|recirculation|shield|caliper\.knockBack)|pedal\.travelMm/,
    },
  ];

  /** Ranges as when every one is drawn. */
  const allUsed = (uncertain: Uncertain): Uncertain => ({
    ...uncertain,
    ranges: Object.fromEntries(
      Object.entries(uncertain.ranges).map(([id, range]) => [id, { ...range, use: true }]),
    ) as Uncertain['ranges'],
  });

  /** What is decided beside the day: heat near the brakes of a day already driven, and what is drawn of what range. */
  const ofDecisions = (setup: Setup, base: Setup, driven: DayResult) =>
    JSON.stringify([
      setup.car.exposed.map((part) => {
        const exposed = exposedPart(setup.car, part);
        const moved = { kind: 'moved', distance: part.movedMm / 1000 } as const;
        return [undefined, moved].map((protection) => {
          const { peak } = exposedTemperature(dayInput(base), driven, exposed, protection);
          return exposed.rating - peak;
        });
      }),
      uncertainRanges(allUsed(setup.plan.uncertain)),
      Array.from(latinHypercube(setup.plan.uncertain.runs, 1, setup.plan.uncertain.seed).subarray(0, 9)),
    ]);

  /** An exhaust of a part that is near none. */
  const coolPipe = ({ car }: Setup, path: string) => {
    const exposed = car.exposed[Number(/^exposed\.(\d+)\.exhaust/.exec(path)?.[1] ?? -1)];
    return exposed !== undefined && exposed.kind !== 'cylinder';
  };

  it.each(setups)('moves the result of the $name: no field is dead', ({ setup, without }) => {
    const [day, rest] = [ofDay(setup), ofRest(setup)];
    const driven = simulateDay(dayInput(setup));
    const decisions = ofDecisions(setup, setup, driven);
    const dead: string[] = [];
    const shelves = [
      ['car', carSchema],
      ['plan', planSchema],
    ] as const;
    for (const [shelf, schema] of shelves) {
      for (const number of numbersOf(schema, setup[shelf])) {
        const path = number.path.join('.');
        if (without.test(path)) continue;
        // Asked of what is decided, not of the day; the tests of the decisions move them.
        if (/^(targetMarginK|minutes|workshop\..*)$/.test(path) || coolPipe(setup, path)) continue;
        const moved = { ...setup, [shelf]: replaced(setup[shelf], number.path, nudged(number)) };
        expect(schema.safeParse(moved[shelf]).success, `${shelf}.${path} nudged is not valid`).toBe(true);
        const decided = /^(exposed|uncertain)\./.test(path);
        if (decided && ofDecisions(moved, setup, driven) !== decisions) continue;
        if (ofDay(moved) === day && ofRest(moved) === rest) dead.push(`${shelf}.${path}`);
      }
    }
    expect(dead).toEqual([]);
  });

  it('has a usual range inside its limits, a step that fits it, and a sentence on what it does', () => {
    const all = [
      ...demoProject.cars.flatMap((car) => numbersOf(carSchema, car)),
      ...demoProject.circuits.flatMap((circuit) => numbersOf(circuitSchema, circuit)),
      ...demoProject.plans.flatMap((plan) => numbersOf(planSchema, plan)),
    ];
    expect(all.length).toBeGreaterThan(200);
    for (const { path, info, value } of all) {
      const at = path.join('.');
      expect(info.min, at).toBeLessThan(info.max);
      expect(info.usual[0], at).toBeGreaterThanOrEqual(info.min);
      expect(info.usual[1], at).toBeLessThanOrEqual(info.max);
      expect(info.description, at).toMatch(/^[A-Z].*\.$/);
      expect(value, at).toBeGreaterThanOrEqual(info.min);
      expect(value, at).toBeLessThanOrEqual(info.max);
    }
  });

  it('just outside its limits is refused at its path, and at its limits is not refused for its range', () => {
    for (const { path, info } of numbersOf(carSchema, demoProject.cars[1])) {
      for (const [value, bad] of [
        [info.min - 1e-3, true],
        [info.max + 1e-3, true],
        [info.min, false],
        [info.max, false],
      ] as const) {
        const read = readProjectValue(replaced(demoProject, ['cars', 1, ...path], value));
        const here = read.ok ? [] : read.problems.filter((p) => p.path === pathOf(['cars', 1, ...path]));
        const ranged = here.some((p) => /must be at (least|most)/.test(p.message));
        // A number out of range may be refused as not whole first.
        expect(bad ? here.length > 0 : ranged, `${path.join('.')} = ${value}`).toBe(bad);
      }
    }
  });
});

const pathOf = (path: Path) =>
  path.reduce<string>((text, k) => (typeof k === 'number' ? `${text}[${k}]` : text ? `${text}.${k}` : k), '');

describe('anything at all handed in as a project', () => {
  it('is answered, never thrown at', () => {
    fc.assert(
      fc.property(fc.oneof(fc.json(), fc.string(), fc.string({ unit: 'binary' })), (text) => {
        const read = readProject(text);
        expect(read.ok).toBe(false);
        if (!read.ok) for (const p of read.problems) expect(p.message.length).toBeGreaterThan(8);
      }),
      { numRuns: 300 },
    );
  });

  it('with one thing in it broken, is refused with a path that leads to it, and reads again once mended', () => {
    const paths: Path[] = [];
    const walk = (value: unknown, path: Path) => {
      if (path.length > 0) paths.push(path);
      if (typeof value !== 'object' || value === null) return;
      for (const [key, inner] of Object.entries(value)) {
        walk(inner, [...path, Array.isArray(value) ? Number(key) : key]);
      }
    };
    walk(demoProject, []);
    const junk = fc.oneof(
      fc.constantFrom(null, true, 'x'.repeat(200), -1e12, Number.MAX_VALUE, {}, [], { a: 1 }),
      fc.dictionary(fc.string({ maxLength: 5 }), fc.anything({ maxDepth: 1 })),
    );
    fc.assert(
      fc.property(fc.constantFrom(...paths), junk, (path, value) => {
        const broken = JSON.parse(JSON.stringify(replaced(demoProject, path, value)) ?? 'null');
        const read = readProjectValue(broken);
        if (read.ok) return;
        const at = pathOf(path);
        // The path of the damage, of something in it, or of what it is a part of.
        const related = read.problems.some(
          (p) =>
            p.path.startsWith(at) ||
            at.startsWith(p.path) ||
            p.path === 'selectedPlanId' ||
            /Id$/.test(p.path),
        );
        expect(related, `${at}: ${read.problems.map((p) => p.path).join(', ')}`).toBe(true);
      }),
      { numRuns: 400 },
    );
    expect(readProject(writeProject(demoProject))).toEqual({ ok: true, project: demoProject });
  });
});

describe('the published JSON Schema, by npm ajv', () => {
  const ajv = new Ajv2020({ allErrors: true, strict: false, formats: { 'date-time': true, date: true } });
  const validate = ajv.compile(projectJsonSchema());

  it('accepts the demo project as exported', () => {
    expect(validate(JSON.parse(writeProject(demoProject))), JSON.stringify(validate.errors)).toBe(true);
  });

  it('refuses what the program refuses: numbers out of range, missing and unknown keys, unknown words', () => {
    for (const [path, value] of [
      [['cars', 0, 'massKg'], -1],
      [['cars', 0, 'front', 'rotor', 'material'], 'cheese'],
      [['cars', 0, 'front', 'spoon'], 1],
      [['plans', 0, 'hotLaps'], 2.5],
      [['plans', 0, 'name'], ''],
      [['circuits', 0, 'layout', 'segments', 0, 'lengthM'], 'long'],
      [['version'], 99],
    ] as [Path, unknown][]) {
      const broken = replaced(demoProject, path, value);
      expect(validate(broken), path.join('.')).toBe(false);
      expect(readProjectValue(broken).ok, path.join('.')).toBe(false);
    }
  });
});

describe('CSV files, read back by another program', () => {
  const setup = setupOf(demoProject, 'plan-ovel-nettle');
  const result = simulateDay(dayInput(setup));
  const parse = (text: string) =>
    Papa.parse<Record<string, string>>(text, { header: true, skipEmptyLines: true }).data;
  const column = (row: Record<string, string>, start: string) => {
    const key = Object.keys(row).find((name) => name.toLowerCase().startsWith(start.toLowerCase()));
    if (!key) throw new Error(`no column ${start}`);
    return { value: Number(row[key]), unit: /\((.*)\)/.exec(key)?.[1] ?? '' };
  };

  it.each([
    ['metric', METRIC],
    ['US', US],
  ] as [string, UnitChoice][])('hold every joule of the session in %s units', (_name, units) => {
    const rows = parse(zonesCsv(setup, result, units));
    expect(rows.length).toBe(result.laps.reduce((sum, lap) => sum + lap.trace.zones.length, 0));
    const { unit } = column(rows[0], 'Energy');
    expect(unit).toBe(unitOf('energy', units).label);
    const kilojoules = rows.reduce(
      (sum, row) => sum + toStored(column(row, 'Energy').value, unitOf('energy', units)),
      0,
    );
    expect(kilojoules / (result.audit.supplied / 1000)).toBeCloseTo(1, 4);
  });

  it('follow the temperatures of every sample in order', () => {
    const rows = parse(tracesCsv(setup, result, METRIC));
    expect(rows.length).toBe(result.record.time.length);
    rows.forEach((row, i) => {
      expect(column(row, 'Front left rotor core (bulk)').value + 273.15).toBeCloseTo(
        result.record.wheels.frontLeft.rotorBulk[i],
        4,
      );
      expect(column(row, 'Rear left fluid (').value + 273.15).toBeCloseTo(
        result.record.wheels.rearLeft.fluid[i],
        4,
      );
    });
  });
});
