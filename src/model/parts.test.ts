import Ajv2020 from 'ajv/dist/2020';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoProject } from '../../demo/project';
import { oneSession } from '../../tests/support/sessions';
import { boilingUnder, pressureOf, simulateDay } from '../core';
import { changeText } from '../text/en/changeText';
import { fadeText, limitText, pedalText, verdictText } from '../text/en/wording';
import { BUILT_IN } from './catalogue/builtIn';
import { choices, fitPart, fluidOf, isBuiltIn, padOf, shelfOf } from './catalogue/choices';
import { nominalFriction } from './catalogue/pads';
import { addParts, deleteItem, deletionObstacle } from './edit/library';
import { partsJsonSchema } from './file/jsonSchema';
import { readDocument, readProject, writeParts, writeProject } from './file/readProject';
import { METRIC, US } from './quantity/units';
import { carSchema } from './schema/car';
import { type Part, type PartKind, partSchema } from './schema/part';
import type { Project } from './schema/project';
import { chainOf, frontSharePercent, taperOf, wheelFit, withFrontShare } from './toCore/chain';
import { cornerOf } from './toCore/corner';
import { dayInput, setupOf } from './toCore/toCore';

const own = (id: string, change: Partial<Part> = {}): Part => {
  const part = BUILT_IN.find((p) => p.id === id);
  if (!part) throw new Error(`no part ${id}`);
  return { ...part, id: `own-${id}`, name: `My ${part.name}`, ...change } as Part;
};
const padFrom = (id: string, change: object): Part => {
  const part = own(id);
  return { ...part, values: { ...part.values, ...change } } as Part;
};
const withParts = (...parts: Part[]): Project => ({ ...demoProject, parts });
const problems = (text: string) => {
  const read = readDocument(text);
  return read.ok ? '' : read.problems.map((p) => `${p.path}: ${p.message}`).join('\n');
};

describe('the shelf of generic parts', () => {
  it('holds what it should of each kind, each part whole, with mass, price class and source', () => {
    const counts: Record<PartKind, number> = {
      rotor: 10,
      pad: 12,
      caliper: 10,
      cylinder: 6,
      fluid: 9,
      line: 4,
      duct: 5,
    };
    for (const [kind, count] of Object.entries(counts)) {
      expect(shelfOf(kind as PartKind, []).length, kind).toBe(count);
    }
    for (const part of BUILT_IN) {
      expect(partSchema.safeParse(part).error?.issues ?? [], part.id).toEqual([]);
      expect(part.massKg, part.id).toBeGreaterThan(0);
      expect(part.source, part.id).toMatch(/from memory|49 CFR|ISO/);
    }
    const families = new Set(shelfOf('pad', []).map((part) => part.values.family));
    expect([...families].sort()).toEqual(
      ['carbon', 'ceramic', 'organic', 'semi-metallic', 'street sport', 'track'].sort(),
    );
    expect(new Set(BUILT_IN.map((part) => part.id)).size).toBe(BUILT_IN.length);
  });

  it('fits every part to every car: the car stays valid, or the fit is refused with a reason', () => {
    for (const car of demoProject.cars) {
      for (const part of BUILT_IN) {
        for (const axle of ['front', 'rear'] as const) {
          const fitted = carSchema.safeParse(fitPart(car, part, axle));
          if (fitted.success) {
            expect(cornerOf(fitted.data[axle]).pad.area).toBeGreaterThan(0);
            expect(chainOf(fitted.data).front.pistonArea).toBeGreaterThan(0);
            continue;
          }
          // Only measures that do not go together may refuse it.
          for (const issue of fitted.error.issues) expect(issue.message).toMatch(/must (be|not)/);
        }
      }
    }
  });

  it('puts a part where it belongs, and takes nothing else along', () => {
    const [tarn, , skarn] = demoProject.cars;
    const mounted = (id: string, axle: 'front' | 'rear', car = tarn) => fitPart(car, own(id, { id }), axle);
    expect(mounted('enduro', 'rear').rear.pad).toBe('enduro');
    expect(mounted('enduro', 'rear').front).toEqual(tarn.front);
    const caliper = mounted('caliper-six', 'front');
    expect(caliper.front.caliper.pistonsMm).toEqual([28, 31, 34]);
    expect(caliper.front.padAreaCm2).toBe(78);
    expect(caliper.front.padThicknessMm).toBe(tarn.front.padThicknessMm);
    expect(mounted('cylinder-19-1', 'rear', skarn).pedal.cylinders).toMatchObject({
      kind: 'pair',
      frontBoreMm: 17.8,
      rearBoreMm: 19.1,
    });
    expect(mounted('cylinder-19-1', 'rear').pedal.cylinders).toMatchObject({ kind: 'tandem', boreMm: 19.1 });
    expect(mounted('line-rubber', 'front').pedal.hoseExpansionMm3BarM).toBe(16);
    expect(mounted('duct-76', 'front').front).toMatchObject({ ductAreaCm2: 45.4, rightDuctAreaCm2: null });
    // New fluid is fresh, and what was measured was the old one's.
    const measured = { ...tarn, fluid: { ...tarn.fluid, measuredBoilingC: 170 } };
    expect(mounted('race', 'front', measured).fluid).toMatchObject({
      kind: 'race',
      ageMonths: 0,
      measuredBoilingC: null,
    });
    expect(wheelFit(mounted('rotor-floating-355', 'front').front).rotorDiameter).toBe(0.355);
  });
});

describe('parts of one’s own', () => {
  it('are computed with: a pad’s own curve, limit and stiffness, a fluid’s own points', () => {
    const curve = [
      { celsius: 20, mu: 0.3 },
      { celsius: 900, mu: 0.3 },
    ];
    const mine = padFrom('clubday', { friction: curve, limitC: 850, windowHighC: 800, modulusMPa: 200 });
    const brew = { ...own('race'), values: { ...own('race').values, dryC: 300, wetC: 190 } } as Part;
    const project = withParts(mine, brew);
    const base = setupOf(project, 'plan-tarn-anvil');
    const plan = oneSession(base.plan, { hotLaps: 2, paddockMin: 1 });
    const fitted = {
      ...base,
      plan,
      car: fitPart(fitPart(base.car, mine, 'front'), brew, 'front'),
    };
    expect(padOf(mine.id, project.parts)).toMatchObject({ name: 'My Clubday sintered blend', limit: 850 });
    const input = dayInput(fitted);
    expect(input.front.boilingPoint).toBeCloseTo(boilingUnder(300 + 273.15, pressureOf(input)), 6);
    expect(input.vehicle.brakes.front.nominalFriction).toBe(0.3);
    // A softer pad gives more.
    expect(input.vehicle.brakes.front.padGive).toBeCloseTo(4 * chainOf(base.car).front.padGive, 15);
    const day = simulateDay(input);
    const { friction } = day.record.wheels.frontLeft;
    for (const mu of friction) expect(mu).toBeCloseTo(0.3, 9);
    expect(verdictText(day, METRIC).sentence).not.toMatch(/safe/i);
    expect(choices('pad', project.parts).at(-1)).toEqual([mine.id, 'My Clubday sintered blend (track)']);
  });

  it('that are not there are named, on reading and on computing', () => {
    expect(() => padOf('toString', [])).toThrow(/no pad "toString"/);
    expect(() => fluidOf('nectar', [])).toThrow(/no fluid "nectar"/);
    // A fluid is no pad, whatever its id.
    expect(() => padOf('own-race', [own('race')])).toThrow(/no pad/);
    const car = { ...demoProject.cars[0], fluid: { ...demoProject.cars[0].fluid, kind: 'nectar' } };
    const read = readProject(writeProject({ ...demoProject, cars: [car, ...demoProject.cars.slice(1)] }));
    expect(read.ok ? [] : read.problems.map((p) => `${p.path}: ${p.message}`)).toEqual([
      'cars[0].fluid.kind: names no fluid of this project: nectar',
    ]);
  });

  it('cannot be removed while they are fitted, and can afterwards', () => {
    const mine = own('sprint');
    const project = withParts(mine);
    const fitted = {
      ...project,
      cars: project.cars.map((car, i) => (i === 0 ? fitPart(car, mine, 'rear') : car)),
    };
    expect(deletionObstacle(fitted, 'parts', mine.id)).toMatch(/Fitted to “Tarn Two club car”/);
    expect(() => deleteItem(fitted, 'parts', mine.id)).toThrow(RangeError);
    expect(deleteItem(project, 'parts', mine.id).parts).toEqual([]);
    expect(isBuiltIn(mine.id)).toBe(false);
    expect(isBuiltIn('sprint')).toBe(true);
  });
});

describe('files of parts', () => {
  const parts = [
    own('sprint'),
    own('caliper-four-stag'),
    own('rotor-slotted-330'),
    own('race'),
    own('duct-63'),
  ];

  it('come back as they went, agree with the published schema, and stand in a project', () => {
    const read = readDocument(writeParts(parts));
    expect(read).toEqual({ ok: true, parts });
    const validate = new Ajv2020({ strict: false }).compile(partsJsonSchema());
    expect(validate(JSON.parse(writeParts(parts)))).toBe(true);
    expect(validate({ ...JSON.parse(writeParts(parts)), parts: [{ ...parts[0], kind: 'spoon' }] })).toBe(
      false,
    );
    expect(readProject(writeProject(withParts(...parts)))).toEqual({
      ok: true,
      project: withParts(...parts),
    });
    expect(readDocument(writeProject(demoProject))).toEqual({ ok: true, project: demoProject });
  });

  it('are added without overwriting: whatever id is taken gets another', () => {
    let next = 0;
    const newId = () => `fresh-${++next}`;
    const once = addParts(demoProject, parts, newId);
    expect(once.parts).toEqual(parts);
    const twice = addParts(once, [...parts, own('sprint', { id: 'sprint' })], newId);
    expect(twice.parts.slice(0, 5)).toEqual(parts);
    expect(new Set(twice.parts.map((part) => part.id)).size).toBe(11);
    expect(twice.parts.some((part) => isBuiltIn(part.id))).toBe(false);
    expect(readProject(writeProject(twice)).ok).toBe(true);
  });

  it.each([
    ['', /empty/],
    ['{"format":"fervent-kettle-parts"', /not JSON/],
    ['{"format":"fervent-kettle-parts","version":1,"parts":[]}', /parts: must have at least 1/],
    ['{"format":"fervent-kettle-parts","version":9,"parts":[]}', /version: must be one of "2"/],
    ['{"format":"fervent-kettle-parts","version":1,"__proto__":{"x":1},"parts":[]}', /__proto__/],
    [
      writeParts([padFrom('sprint', { friction: [{ celsius: 20, mu: 0.4 }] })]),
      /friction: must have at least/,
    ],
    [
      writeParts([
        padFrom('sprint', {
          friction: [
            { celsius: 90, mu: 0.4 },
            { celsius: 90, mu: 0.3 },
          ],
        }),
      ]),
      /parts\[0\]\.values\.friction\[1\]\.celsius: must be over the point before it \(90 °C\)/,
    ],
    [writeParts([padFrom('sprint', { windowLowC: 700 })]), /windowHighC: must be over the window’s low end/],
    [writeParts([padFrom('sprint', { limitC: 600 })]), /limitC: must not be under the window’s high end/],
    [writeParts([padFrom('race', { wetC: 119 })]), /wetC: must be over 120/],
    [writeParts([padFrom('race', { dryC: 150, wetC: 180 })]), /dryC: must be over the wet point/],
    [
      writeParts([padFrom('caliper-six', { pistonsMm: [] })]),
      /parts\[0\]\.values\.pistonsMm: must have at least one piston a side/,
    ],
    [writeParts([{ ...own('sprint'), price: 9 } as Part]), /price: must be at most 5/],
  ])('say what is wrong and where: %#', (text, expected) => {
    expect(problems(text)).toMatch(expected);
  });

  it('of version 1 are read: pads get what their family usually costs, calipers and rotors what they could not know', () => {
    const without = (value: object, ...keys: string[]) =>
      Object.fromEntries(Object.entries(value).filter(([key]) => !keys.includes(key)));
    const old = (id: string, ...keys: string[]) => ({ ...own(id), values: without(own(id).values, ...keys) });
    const read = readDocument(
      JSON.stringify({
        format: 'fervent-kettle-parts',
        version: 1,
        parts: [
          old('sprint', 'dust', 'noise', 'rotorWear'),
          old('caliper-six', 'knockBackMm', 'pistonWallMm'),
          old('rotor-vented-280', 'neckLengthMm', 'neckThicknessMm'),
        ],
      }),
    );
    if (!read.ok || !('parts' in read)) throw new Error('parts were expected');
    expect(read.parts.map((part) => part.values)).toMatchObject([
      { dust: 4, noise: 4, rotorWear: 4 },
      { knockBackMm: 0 },
      { neckLengthMm: 12 },
    ]);
  });

  it('of any shape are read or refused with a reason, never thrown at', () => {
    fc.assert(
      fc.property(fc.array(fc.jsonValue(), { maxLength: 3 }), (list) => {
        const read = readDocument(
          JSON.stringify({ format: 'fervent-kettle-parts', version: 1, parts: list }),
        );
        expect(read.ok ? 1 : read.problems.length).toBeGreaterThan(0);
      }),
      { numRuns: 60 },
    );
  });
});

describe('brake balance and words of force', () => {
  it('a wanted share comes by the bar where there is one, else as a measured share', () => {
    const [tarn, , skarn] = demoProject.cars;
    const moved = withFrontShare(skarn, 62);
    expect(moved.frontSharePercent).toBeNull();
    expect(frontSharePercent(moved)).toBeCloseTo(62, 1);
    const typed = withFrontShare(tarn, 58.5);
    expect(typed.pedal).toEqual(tarn.pedal);
    expect(frontSharePercent(typed)).toBe(58.5);
  });

  it('pads wear more evenly behind staggered pistons, and thin pads more evenly than thick ones', () => {
    const [tarn] = demoProject.cars;
    const with_ = (pistonsMm: number[], padThicknessMm = 10) =>
      taperOf({ ...tarn.front, padThicknessMm, caliper: { ...tarn.front.caliper, pistonsMm } }).leadingEdge;
    expect(with_([33, 39])).toBeLessThan(with_([36, 36]));
    expect(with_([36, 36], 3)).toBeLessThan(with_([36, 36], 12));
    expect(nominalFriction(padOf('clubday', []))).toBe(0.46);
  });

  it('says forces, travels and changes in their units and of what', () => {
    expect(limitText('pedal', 512.4, METRIC)).toBe('512 N');
    expect(limitText('pedal', 512.4, US)).toBe('115 lbf');
    expect(limitText('travel', 0.0583, METRIC)).toBe('58 mm');
    expect(limitText('travel', 0.0583, US)).toBe('2.30 in');
    expect(pedalText(Number.POSITIVE_INFINITY, METRIC)).toBe('beyond the driver’s limit');
    expect(fadeText(-0.124)).toBe('−12 %');
    expect(fadeText(400)).toBe('over 999 %');
    expect(changeText(401, 624, 'before')).toBe('55.6 % more than before');
    expect(changeText(100, 75, 'the first')).toBe('25.0 % less than the first');
    expect(changeText(10, 10, 'before')).toBe('as before');
  });
});
