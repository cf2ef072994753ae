import { describe, expect, it } from 'vitest';
import { demoProject } from '../../../../demo/project';
import { saidOtherwise } from '../../../../tests/support/words';
import { type Car, METRIC, newPreparation, PROTECTIONS, STARTER_DRUM, setupOf, US } from '../../../model';
import { TORQUE_KEYS } from '../../../model/schema/workshop';
import {
  type BeddingQuestion,
  bedding,
  beddingCards,
  beddingQuestion,
  bleedPlan,
  type JobStep,
  jobList,
  type PrepareCheck,
  workOf,
} from '../../../services';
import { ruleOf, STEP_CODES, TOOLS } from '../../../services/prepare/stepTable';
import {
  beddingRecipeText,
  beddingSummary,
  beddingWarningText,
  cardText,
  minutesText,
  obstacleText,
} from './bedText';
import { prepareCheckText } from './checkTexts';
import { explainBedding, explainBleeding } from './explainWork';
import { stepTexts, torqueText } from './stepText';
import {
  CAUTION_TEXT,
  FITTED_TEXT,
  PROTECTION_TEXT,
  STOP_TEXT,
  TOOL_TEXT,
  TROUBLE_TEXT,
  torqueTitle,
  VERSION_TEXT,
  WAY_STEPS,
} from './words';

const setup = setupOf(demoProject);
const [tarn] = demoProject.cars;
const DATE = '2026-06-27';
const workFor = (car: Car) =>
  workOf(
    car,
    newPreparation(car, [{ kind: 'part', part: 'enduro', axle: 'front' }], [], {
      id: 'w',
      name: 'W',
      date: DATE,
    }),
    [],
  );
/** Every step there is, at a wheel where it is a wheel's. */
const everyStep = (): JobStep[] =>
  STEP_CODES.map((code) => {
    const { cautions = [], stops = [], torque, at, moves } = ruleOf(code);
    return {
      id: code,
      code,
      wheel: at === 'wheel' ? 'rearRight' : null,
      cautions,
      stops,
      torque: torque ? { key: `rear ${torque}`, torqueNm: null, by: '', date: '' } : null,
      moves: moves === true,
      done: null,
    };
  });

const isSentence = (text: string) => /^[A-Z“].*[.!?]$/s.test(text);

describe('words of the steps', () => {
  it.each([
    ['metric', METRIC, tarn],
    ['US', US, demoProject.cars[1]],
    ['drums', METRIC, { ...tarn, rear: { ...tarn.rear, drum: STARTER_DRUM } }],
  ] as const)(
    'say what, why and how one sees it, in whole sentences and the field’s terms (%s)',
    (_, units, car) => {
      const words = stepTexts(workFor(car), units);
      for (const step of everyStep()) {
        const said = words(step);
        expect(said).toHaveLength(3);
        for (const text of said) {
          expect([step.code, text, isSentence(text)]).toEqual([step.code, text, true]);
          expect([step.code, saidOtherwise(text)]).toEqual([step.code, []]);
          expect(text).not.toMatch(/\bsafe\b/i);
        }
        // What is done differs from how one sees that it is right.
        expect(new Set(said).size).toBe(3);
        if (step.torque) expect(torqueText(step, units)).toMatch(/the maker’s figure is not entered yet/);
        else expect(torqueText(step, units)).toBe('');
      }
    },
  );

  it('defer to the maker and to somebody qualified before anything is touched, and say what to stop for', () => {
    const words = stepTexts(workFor(tarn), METRIC);
    const [first] = everyStep();
    expect(words(first).join(' ')).toMatch(/maker’s workshop data.*event’s rules.*someone qualified/s);
    for (const step of everyStep()) {
      for (const caution of step.cautions) expect(isSentence(CAUTION_TEXT[caution])).toBe(true);
      for (const stop of step.stops) expect(isSentence(STOP_TEXT[stop])).toBe(true);
    }
    expect(STOP_TEXT.oil).toMatch(/mineral oil/);
    expect(CAUTION_TEXT.dust).toMatch(/no compressed air/);
    expect(CAUTION_TEXT.fluid).toMatch(/never mix.*never reuse/);
    expect(CAUTION_TEXT.hot).toMatch(/half an hour/);
  });

  it('name every tool that a step asks for, and every joint', () => {
    const asked = new Set(STEP_CODES.flatMap((code) => ruleOf(code).tools ?? []));
    expect([...asked].toSorted()).toEqual([...TOOLS].toSorted());
    for (const tool of TOOLS) expect(TOOL_TEXT[tool].length).toBeGreaterThan(6);
    for (const key of TORQUE_KEYS) expect(torqueTitle(key)).toMatch(/^(Front|Rear) [a-z]/);
    expect(new Set(Object.values(FITTED_TEXT)).size).toBe(Object.keys(FITTED_TEXT).length);
    for (const kind of PROTECTIONS) expect(PROTECTION_TEXT[kind]).toMatch(/^[a-z]/);
  });

  it('give an entered torque in the reader’s units, with who read it', () => {
    const figure = { key: 'front caliper bolts', torqueNm: 85, by: 'Imke', date: DATE } as const;
    expect(torqueText({ torque: figure }, METRIC)).toBe(
      `Front caliper bolts: 85 N·m (maker’s figure, Imke, ${DATE})`,
    );
    expect(torqueText({ torque: figure }, US)).toMatch(/63 lbf·ft/);
  });
});

describe('words of bleeding and bedding', () => {
  it('name common practice: 15 psi, 15 to 20 inHg, and the risks of each way', () => {
    const facts = {
      pressure: 'about 1.0 bar (common practice: 1 bar, 15 psi)',
      vacuum: '15 to 20 inHg',
      refill: 'ten',
    };
    for (const way of ['pedal', 'pressure', 'vacuum', 'gravity'] as const) {
      const { steps, risk, notWhen } = WAY_STEPS[way](facts);
      expect(steps.length).toBeGreaterThanOrEqual(4);
      for (const text of [...steps, risk, notWhen]) {
        expect([text, isSentence(text)]).toEqual([text, true]);
        expect(saidOtherwise(text)).toEqual([]);
      }
    }
    expect(WAY_STEPS.pedal(facts).notWhen).toMatch(/old master cylinder/);
    expect(WAY_STEPS.pressure(facts).notWhen).toMatch(/^Never above the maker’s pressure/);
    for (const text of Object.values(TROUBLE_TEXT)) expect(isSentence(text)).toBe(true);
    for (const { note } of Object.values(VERSION_TEXT)) {
      expect(isSentence(note)).toBe(true);
      expect(saidOtherwise(note)).toEqual([]);
    }
    expect(VERSION_TEXT.road.note).toMatch(/law and traffic allow.*closed course is better/s);
  });

  it('say a run, its cards and what stands against it in both units', () => {
    const [work] = demoProject.preparations;
    const asked = (limitKmh: number): BeddingQuestion => {
      const question = beddingQuestion(setup, { ...work, bed: { ...work.bed, version: 'road', limitKmh } });
      if (!question) throw new Error('nothing to bed');
      return question;
    };
    const slow = bedding(asked(30));
    expect(slow.obstacle && obstacleText(slow.obstacle, METRIC)).toMatch(
      /come to \d+ °C only, and rotor and pad should be at 120 °C/,
    );
    expect(slow.obstacle && obstacleText(slow.obstacle, US)).toMatch(/248 °F/);
    const question = asked(100);
    const run = bedding(question);
    for (const units of [METRIC, US]) {
      const speed = units === METRIC ? /km\/h/ : /mph/;
      expect(beddingRecipeText(run, question.recipe, units)).toMatch(speed);
      expect(beddingSummary(run, units)).toMatch(/to warm up/);
      for (const card of beddingCards(run)) {
        const { says, after } = cardText(card, units);
        expect(says).toMatch(
          card.phase === 'roll-out' || card.does === 'roll' ? /^(Back to|Roll on)/ : speed,
        );
        expect(saidOtherwise(`${says} ${after}`)).toEqual([]);
        expect(`${says} ${after}`).not.toMatch(/NaN|undefined|Infinity/);
      }
    }
    const told = [
      beddingWarningText({ kind: 'smear', axle: 'front', rotor: 320, pad: 420, needed: 393 }, METRIC),
      beddingWarningText({ kind: 'over the band', axle: 'rear', reached: 900, needed: 880 }, METRIC),
      ...(['tyres', 'pedal', 'travel'] as const).map((by) =>
        beddingWarningText({ kind: 'held', by }, METRIC),
      ),
    ];
    for (const text of told) expect([text, isSentence(text)]).toEqual([text, true]);
    expect([minutesText(45), minutesText(125)]).toEqual(['45 s', '2 min']);
  });

  it('explain where their figures come from', () => {
    const [work] = demoProject.preparations;
    const question = beddingQuestion(setup, work);
    if (!question) throw new Error('nothing to bed');
    const done = workOf(setup.car, work, []);
    const plan = bleedPlan(done.before, done.car, work, [], demoProject.bottles);
    if (!plan) throw new Error('nothing is bled');
    for (const units of [METRIC, US]) {
      for (const told of [
        explainBedding(question, bedding(question), done, units),
        explainBleeding(plan, done, units),
      ]) {
        for (const text of [told.relation, told.source, told.limits]) {
          expect(isSentence(text)).toBe(true);
          expect(saidOtherwise(text)).toEqual([]);
        }
        expect(told.source).toMatch(/from memory|our own/);
        for (const [name, value] of told.inputs)
          expect(`${name} ${value}`).not.toMatch(/NaN|undefined|\[object/);
      }
    }
  });
});

describe('words of the checks', () => {
  const checks: readonly PrepareCheck[] = [
    { kind: 'push back', needed: 5e-6, home: 9e-6, room: 20e-6, state: 'yes' },
    { kind: 'push back', needed: 5e-6, home: 29e-6, room: 20e-6, state: 'look' },
    { kind: 'push back', needed: 25e-6, home: 29e-6, room: 20e-6, state: 'no' },
    { kind: 'clearance', axle: 'front', what: 'barrel', clearance: -0.002, wanted: 0.003, state: 'no' },
    { kind: 'clearance', axle: 'rear', what: 'spokes-worn', clearance: 0.001, wanted: 0.003, state: 'look' },
    { kind: 'clearance', axle: 'rear', what: 'pads', clearance: 0.01, wanted: 0.0005, state: 'yes' },
    { kind: 'first push', volume: 9e-6, pumps: 1, state: 'yes' },
    { kind: 'first push', volume: 29e-6, pumps: 3, state: 'look' },
    { kind: 'minimum', axle: 'front', wheel: null, what: 'pad', is: 0.012, least: null, state: 'look' },
    {
      kind: 'minimum',
      axle: 'front',
      wheel: 'frontLeft',
      what: 'rotor',
      is: 0.022,
      least: 0.023,
      state: 'no',
    },
    { kind: 'minimum', axle: 'rear', wheel: 'rearRight', what: 'pad', is: 0.008, least: 0.003, state: 'yes' },
    { kind: 'fluids', mixes: false, state: 'no' },
    { kind: 'fluids', mixes: true, state: 'yes' },
    { kind: 'piston order', axle: 'front', trailing: false, state: 'no' },
    { kind: 'piston order', axle: 'rear', trailing: true, state: 'yes' },
    { kind: 'alike', axle: 'front', what: 'mass', left: 6.4, right: 6.1, state: 'no' },
    { kind: 'alike', axle: 'front', what: 'pads', left: 'E', right: 'F', state: 'no' },
    { kind: 'alike', axle: 'rear', what: 'hand', left: 'right', right: 'left', state: 'no' },
    { kind: 'alike', axle: 'rear', what: 'hand', left: 'left', right: 'right', state: 'yes' },
  ];

  it('are a title and a sentence each, in the reader’s units, and never call anything safe', () => {
    for (const check of checks) {
      const [title, says] = prepareCheckText(check, METRIC);
      expect([title, /[.!?]$/.test(title)]).toEqual([title, false]);
      expect([says, /[.]$/.test(says)]).toEqual([says, true]);
      expect(saidOtherwise(`${title}. ${says}`)).toEqual([]);
      expect(says).not.toMatch(/\bsafe\b/i);
      if (check.kind === 'clearance' || check.kind === 'minimum') {
        expect(prepareCheckText(check, US)[1]).toMatch(/ in\b/);
        expect(says).toMatch(/ mm\b/);
      }
    }
    const unlike = new Set(checks.map((check) => prepareCheckText(check, METRIC)[1]));
    expect(unlike.size).toBe(checks.length);
  });

  it('leave no step of a real list without its words', () => {
    const work = workFor(tarn);
    const words = stepTexts(work, METRIC);
    for (const step of jobList(work).steps) expect(words(step)[0].length).toBeGreaterThan(10);
  });
});
