import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoProject } from '../../../demo/project';
import { anyProject } from '../../../tests/support/anyProject';
import { driveOf } from '../calibration/driveOf';
import { BUILT_IN } from '../catalogue/builtIn';
import { starterLine } from '../catalogue/starters';
import { readProject, writeProject } from '../file/readProject';
import { newEntry, newEvent, newSeason, newSet } from '../guided/newKeep';
import { newPreparation } from '../guided/newPreparation';
import { newRun, newTest, runsOf, stopsOf } from '../guided/newTest';
import { ENTRY_KINDS, FLUID_DEEDS } from '../schema/logEntry';
import type { Project } from '../schema/project';
import { setupOf } from '../toCore/toCore';
import { attemptEdit, refusalText } from './attempt';
import * as edits from './edits';
import { savedValues, type WhatIf, whatIfBounds } from './whatIf';

type Edit = (project: Project) => Project;
let ids = 0;
const newId = () => `new-${ids++}`;
const text = fc.string({ maxLength: 90 });
/** Numbers as a slider, a fit or a weather service could give, and far past them. */
const number = fc.oneof(
  fc.double({ min: -200, max: 9000 }),
  fc.constantFrom(0, 1, 100, 1e6, Number.NaN, Number.POSITIVE_INFINITY),
);
const shelf = fc.constantFrom(
  'cars' as const,
  'circuits' as const,
  'plans' as const,
  'parts' as const,
  'states' as const,
  'preparations' as const,
  'bottles' as const,
  'tests' as const,
);
const at = <T>(list: readonly T[], share: number): T =>
  list[Math.min(list.length - 1, Math.floor(share * list.length))];
const idAt = (list: readonly { readonly id: string }[], of: number) => at(list, of)?.id ?? '';
const share = fc.double({ min: 0, max: 1, noNaN: true });
const part = fc.constantFrom(...BUILT_IN);
const DAY = '2027-05-01';
const MOMENT = '2027-05-01T18:30:00Z';
const selected = (p: Project) => p.selectedPlanId;
const carId = (p: Project) => setupOf(p).car.id;

const wheel = (glazedPercent: number) => ({
  temperaturesC: { hat: 80, fluid: 60.5, 'cheek 0': 140 },
  radialK: new Array<number>(12).fill(0),
  glazedPercent,
  beddedPercent: 80,
  innerPadMm: 7.5,
  outerPadMm: 8,
  rotorMm: 24.2,
  waterPercent: 1.4,
  fatigue: 0.02,
});
const seen = (id: string) => ({ id, excluded: null, note: '' });
const keptOf = (of: string, name: string, glazedPercent: number) => ({
  id: newId(),
  name,
  carId: of,
  keptAt: '2026-05-02T16:05:00Z',
  brakes: {
    frontLeft: wheel(3),
    frontRight: wheel(glazedPercent),
    rearLeft: wheel(0),
    rearRight: wheel(0),
  },
});

/** Every edit there is, with anything it could be given; one that is forgotten here does not compile. */
const EDITS: { readonly [K in keyof typeof edits]: fc.Arbitrary<Edit> } = {
  renameProject: text.map((name) => (p) => edits.renameProject(p, name)),
  setCurrency: text.map((sign) => (p) => edits.setCurrency(p, sign)),
  selectPlan: fc.tuple(share, text).map(
    ([s, id]) =>
      (p) =>
        edits.selectPlan(p, s < 0.8 ? at(p.plans, s).id : id),
  ),
  assignToPlan: fc.tuple(share, fc.boolean()).map(
    ([s, car]) =>
      (p) =>
        edits.assignToPlan(p, car ? 'carId' : 'circuitId', car ? at(p.cars, s).id : at(p.circuits, s).id),
  ),
  addCar: fc.tuple(text, share).map(
    ([name, s]) =>
      (p) =>
        edits.addCar(p, { ...at(p.cars, s), id: newId(), name }),
  ),
  addPlan: fc.tuple(text, share).map(
    ([name, s]) =>
      (p) =>
        edits.addPlan(p, { ...at(p.plans, s), id: newId(), name }),
  ),
  addCircuit: text.map((name) => (p) => edits.addCircuit(p, starterLine(newId(), name))),
  addPart: fc.tuple(part, text).map(
    ([of, name]) =>
      (p) =>
        edits.addPart(p, { ...of, id: newId(), name }),
  ),
  addParts: fc.tuple(fc.array(part, { maxLength: 4 }), fc.nat(400)).map(
    ([few, many]) =>
      (p) =>
        edits.addParts(p, many > 380 ? Array(many).fill(BUILT_IN[0]) : few, newId),
  ),
  copyItem: fc.tuple(shelf, share).map(
    ([on, s]) =>
      (p) =>
        edits.copyItem(p, on, idAt(p[on], s), newId()),
  ),
  renameItem: fc.tuple(shelf, share, text).map(
    ([on, s, name]) =>
      (p) =>
        edits.renameItem(p, on, idAt(p[on], s), name),
  ),
  deleteItem: fc.tuple(shelf, share).map(
    ([on, s]) =>
      (p) =>
        edits.deleteItem(p, on, idAt(p[on], s)),
  ),
  replaceItem: number.map((massKg) => (p) => edits.replaceItem(p, 'cars', { ...p.cars[0], massKg })),
  addPreparation: fc.tuple(share, text, number).map(([s, name, limitKmh]) => (p) => {
    const fresh = newPreparation(at(p.cars, s), [], p.parts, { id: newId(), name: name || ' ', date: DAY });
    return edits.addPreparation(p, { ...fresh, bed: { ...fresh.bed, limitKmh } });
  }),
  tickStep: fc.tuple(share, text, fc.boolean()).map(
    ([s, step, on]) =>
      (p) =>
        edits.tickStep(p, idAt(p.preparations, s), step, on ? { by: step, at: MOMENT } : null),
  ),
  drawAt: fc.tuple(share, text, number).map(
    ([s, screw, cm3]) =>
      (p) =>
        edits.drawAt(p, idAt(p.preparations, s), screw, cm3),
  ),
  signOff: fc.tuple(share, text).map(
    ([s, by]) =>
      (p) =>
        edits.signOff(p, idAt(p.preparations, s), { by, at: MOMENT }),
  ),
  finishBleeding: fc.tuple(share, number).map(
    ([s, used]) =>
      (p) =>
        edits.finishBleeding(
          p,
          idAt(p.preparations, s),
          { by: 'Imke', at: MOMENT },
          Object.fromEntries(p.bottles.map(({ id }) => [id, used])),
        ),
  ),
  keepBedding: fc.tuple(share, number, text).map(([s, percent, note]) => (p) => {
    const done = { by: 'Imke', at: MOMENT };
    const outcome = { done, warmUps: 9, snubs: 8, frontPercent: percent, rearPercent: 90, note };
    return edits.keepBedding(
      p,
      idAt(p.preparations, s),
      outcome,
      keptOf(at(p.cars, s).id, 'After bedding', 0),
    );
  }),
  joinWork: fc.tuple(share, text, number).map(([s, step, cm3]) => (p) => {
    const own = at(p.preparations, s);
    if (!own) return p;
    const { id, name, found } = own;
    const ticks = { [step]: { by: step, at: MOMENT } };
    return edits.joinWork(p, step.length > 80 ? step : id, {
      id,
      name,
      found,
      ticks,
      drawn: { [step]: cm3 },
    });
  }),
  putEntry: fc
    .tuple(share, text, number, fc.constantFrom(...ENTRY_KINDS))
    .map(([s, note, airC, kind]) => (p) => {
      const line = newEntry(kind, { id: newId(), carId: at(p.cars, s).id, date: DAY });
      return edits.putEntry(
        p,
        (line.kind === 'session' ? { ...line, note, airC } : { ...line, note }) as typeof line,
      );
    }),
  putFluid: fc.tuple(share, number, fc.constantFrom(...FLUID_DEEDS)).map(([s, usedCm3, deed]) => (p) => {
    const line = newEntry('fluid', { id: newId(), carId: at(p.cars, s).id, date: DAY });
    const read = { copperPpm: 100, waterPercent: 2, boilingC: 200, newPercent: 40 };
    const bottleId = p.bottles[0]?.id ?? null;
    return edits.putFluid(p, { ...line, ...read, deed, bottleId, usedCm3 }, DAY);
  }),
  putEntries: fc.tuple(share, text).map(([s, note]) => (p) => {
    const lines = p.entries.slice(0, 3).map((entry) => ({ ...entry, note }));
    const line = newEntry('note', { id: newId(), carId: at(p.cars, s).id, date: DAY });
    return edits.putEntries(p, [...lines, { ...line, note }]);
  }),
  putSet: fc.tuple(share, text, number).map(([s, name, minimumMm]) => (p) => {
    const set = newSet(at(p.cars, s), { id: newId(), name, axle: 'front', kind: 'pads' });
    return edits.putSet(p, { ...set, minimumMm });
  }),
  putSeason: fc.tuple(share, text).map(([s, name]) => (p) => {
    const plan = at(p.plans, s);
    return edits.putSeason(p, newSeason(plan.carId, plan.id, { id: newId(), name }));
  }),
  putEvent: fc.tuple(share, text, number).map(([s, name, entry]) => (p) => {
    const season = at(p.seasons, s);
    if (!season) return p;
    return edits.putEvent(p, season.id, newId(), { ...newEvent(at(p.circuits, s).id, DAY, name), entry });
  }),
  removeEvent: fc.tuple(share, text).map(([s, other]) => (p) => {
    const season = at(p.seasons, s);
    return season ? edits.removeEvent(p, season.id, Object.keys(season.events)[0] ?? other) : p;
  }),
  keepLoads: fc.tuple(share, number).map(([s, energyMj]) => (p) => {
    const wheel = {
      energyMj,
      innerPadMm: 0.3,
      outerPadMm: 0.3,
      rotorMm: 0,
      fatigue: 0,
      rotorC: 500,
      padC: 500,
      fluidC: 90,
    };
    const load = { frontLeft: wheel, frontRight: wheel, rearLeft: wheel, rearRight: wheel };
    const ids = p.entries.slice(0, Math.ceil(4 * s)).map(({ id }) => id);
    return edits.keepLoads(p, new Map(ids.map((id) => [id, load])), new Set(ids.slice(1)));
  }),
  addTest: fc.tuple(share, text, number).map(([s, name, fromKmh]) => (p) => {
    const fresh = newTest(at(p.cars, s), { id: newId(), name, date: DAY });
    return edits.addTest(p, { ...fresh, design: { ...fresh.design, fromKmh } });
  }),
  putRun: fc.tuple(share, text, number).map(([s, setup, slopePercent]) => (p) => {
    const test = at(p.tests, s);
    if (!test) return p;
    const run = newRun(test, at(p.cars, s), p.parts, { setup, date: DAY });
    const conditions = { ...run.conditions, slopePercent };
    return edits.putRun(p, test.id, setup.length > 60 ? setup : newId(), { ...run, conditions });
  }),
  removeRun: fc.tuple(share, text).map(([s, other]) => (p) => {
    const test = at(p.tests, s);
    return test ? edits.removeRun(p, test.id, runsOf(test)[0]?.id ?? other) : p;
  }),
  putStop: fc
    .tuple(share, number, number, fc.array(number, { maxLength: 3 }))
    .map(([s, fromKmh, toKmh, marksM]) => (p) => {
      const test = at(p.tests, s);
      const run = test && runsOf(test)[0];
      if (!run) return p;
      return edits.putStop(p, test.id, run.id, newId(), {
        fromKmh,
        toKmh,
        distanceM: marksM.length > 1 ? null : 31.5,
        marksM: marksM.length > 1 ? marksM : [],
        timeS: null,
        pedalN: 230,
        abs: true,
        meanMs2: null,
        temperatureC: 180,
        atS: 12.5,
        errorM: null,
        source: 'counter',
        note: '',
      });
    }),
  removeStop: share.map((s) => (p) => {
    const test = at(p.tests, s);
    const run = test && runsOf(test)[0];
    return run ? edits.removeStop(p, test.id, run.id, stopsOf(run.run)[0]?.id ?? 'none') : p;
  }),
  endRun: fc.tuple(share, number, fc.boolean()).map(([s, atS, on]) => (p) => {
    const test = at(p.tests, s);
    const run = test && runsOf(test)[0];
    return run ? edits.endRun(p, test.id, run.id, on ? { atS, by: 'fade', axle: 'front' } : null) : p;
  }),
  addBottle: fc.tuple(share, number, text).map(
    ([s, leftCm3, name]) =>
      (p) =>
        edits.addBottle(p, {
          id: newId(),
          name,
          fluid: at(p.cars, s).fluid.kind,
          leftCm3,
          openedOn: null,
          keepMonths: 6,
        }),
  ),
  keepState: fc.tuple(share, text, number).map(
    ([s, name, glazedPercent]) =>
      (p) =>
        edits.keepState(p, keptOf(at(p.cars, s).id, name, glazedPercent)),
  ),
  setStart: fc.tuple(share, number, text).map(([s, temperatureC, id]) => (p) => {
    const stateId = s < 0.6 && p.states.length > 0 ? at(p.states, s / 0.6).id : id;
    if (s > 0.9) return edits.setStart(p, selected(p), { kind: 'cold' });
    if (s > 0.7) return edits.setStart(p, selected(p), { kind: 'warm', temperatureC });
    return edits.setStart(p, selected(p), { kind: 'state', stateId });
  }),
  withPrice: fc.tuple(text, number).map(
    ([key, price]) =>
      (p) =>
        edits.withPrice(p, key, price),
  ),
  addVariant: fc.tuple(text, number).map(
    ([name, massKg]) =>
      (p) =>
        edits.addVariant(p, selected(p), {
          id: newId(),
          name,
          carId: carId(p),
          changes: [{ kind: 'mass', massKg }],
          otherCost: 0,
        }),
  ),
  fitChanges: fc.tuple(part, number, share).map(
    ([of, value, s]) =>
      (p) =>
        edits.fitChanges(
          p,
          carId(p),
          s < 0.4
            ? [{ kind: 'part', part: of.id, axle: 'front' }]
            : s < 0.7
              ? [{ kind: 'balance', frontSharePercent: value }]
              : [{ kind: 'thickness', axle: 'rear', thicknessMm: value }],
        ),
  ),
  setClicks: fc
    .array(number, { maxLength: 70 })
    .map((clicks) => (p) => edits.setClicks(p, selected(p), clicks)),
  setWeather: number.map(
    (n) => (p) =>
      edits.setWeather(p, selected(p), [
        { temperatureC: n, humidityPercent: 50, pressureHpa: 1000, windKmh: n, windFromDeg: 10 },
      ]),
  ),
  setLegs: fc.tuple(number, number).map(
    ([laps, pace]) =>
      (p) =>
        edits.setLegs(p, selected(p), 0, [{ kind: 'hot', laps, pace }]),
  ),
  takeFit: fc.tuple(number, number).map(
    ([grip, power]) =>
      (p) =>
        edits.takeFit(p, setupOf(p), {
          cornering: { factor: grip / 50 },
          braking: { factor: grip / 60 },
          power: { factor: power / 100, atLimit: false },
        }),
  ),
  addDrive: fc.tuple(text, text).map(
    ([name, date]) =>
      (p) =>
        edits.addDrive(p, driveOf(setupOf(p), { id: newId(), name, date: date || '2026-06-13', log: null })),
  ),
  setObservations: fc.tuple(number, share).map(
    ([n, of]) =>
      (p) =>
        edits.setObservations(p, idAt(p.drives, of), [
          {
            ...seen('paint'),
            kind: 'paint',
            wheel: 'frontLeft',
            place: 'caliper',
            thresholdC: n,
            turned: true,
          },
          { ...seen('boiled'), kind: 'boiled', axle: 'rear', lap: Math.round(n), sign: 'boiled' },
        ]),
  ),
  noteSymptom: fc.tuple(number, share).map(
    ([n, of]) =>
      (p) =>
        edits.noteSymptom(
          p,
          idAt(p.drives, of),
          { id: newId(), symptom: 'long pedal', lap: n, note: '' },
          { ...seen(newId()), kind: 'faded', axle: 'front', lap: null },
        ),
  ),
  countDrive: fc.tuple(number, share, text).map(
    ([n, of, date]) =>
      (p) =>
        edits.countDrive(p, idAt(p.drives, of), date, [[n]]),
  ),
  addCalibration: fc.tuple(number, text).map(
    ([n, name]) =>
      (p) =>
        edits.addCalibration(p, {
          id: newId(),
          name,
          carId: carId(p),
          date: '2026-06-13',
          car: setupOf(p).car,
          drives: ['morning'],
          observations: 3,
          values: [{ parameter: 'frontCooling', value: n / 100, spread: 0.05, shrunk: 0.4 }],
          correlations: [[1]],
        }),
  ),
  keepWhatIf: fc
    .dictionary(fc.constantFrom(...Object.keys(savedValues(setupOf(demoProject)))), number)
    .map((moved) => (p) => edits.keepWhatIf(p, setupOf(p), moved as WhatIf)),
};

describe('edits', () => {
  it('make nothing that cannot be written and read back, whatever they are given; what is refused is said', () => {
    let [made, refused] = [0, 0];
    const edit = fc.oneof(...Object.values(EDITS));
    fc.assert(
      fc.property(anyProject(3), fc.array(edit, { minLength: 1, maxLength: 8 }), (start, list) => {
        let project = start;
        for (const change of list) {
          const attempt = attemptEdit(project, change);
          if (!attempt.ok) {
            refused += 1;
            expect(refusalText(project, attempt.problems)).toMatch(/^\S.*[.!?]$/s);
            continue;
          }
          made += 1;
          project = attempt.project;
          const read = readProject(writeProject(project));
          // JSON knows no −0.
          expect(read).toEqual(JSON.parse(JSON.stringify({ ok: true, project })));
        }
      }),
      { numRuns: 150 },
    );
    // Neither may be the rule, or the property would say nothing.
    expect(made).toBeGreaterThan(100);
    expect(refused).toBeGreaterThan(100);
  });

  it('refuse by item, field and bound: 60 °C kept, grip past 3, a 201st car, a 301st part, a 601st price', () => {
    const day = { ...demoProject, selectedPlanId: 'plan-tarn-day' };
    const said = (project: Project, change: Edit) => {
      const attempt = attemptEdit(project, change);
      return attempt.ok ? 'made' : refusalText(project, attempt.problems);
    };
    const keep = (moved: WhatIf) => (p: Project) => edits.keepWhatIf(p, setupOf(p), moved);
    expect(said(day, keep({ ambientC: 60 }))).toMatch(
      /^Air temperature of “A club day at Anvil Park” must be at most 55 \(and \d more\)\.$/,
    );
    expect(said(day, keep({ gripPercent: 250 }))).toMatch(
      /^Grip in braking of “Tarn Two club car” must be at most 3/,
    );
    expect(said(day, keep({ massKg: 6001 }))).toMatch(/^Mass of “Tarn Two club car” must be at most 6000\.$/);
    const cars = {
      ...day,
      cars: Array.from({ length: 200 }, (_, i) => (i < 3 ? day.cars[i] : { ...day.cars[0], id: `c${i}` })),
    };
    expect(said(cars, (p) => edits.copyItem(p, 'cars', 'c7', 'c200'))).toBe(
      'A project has at most 200 cars.',
    );
    const parts = edits.addParts(day, Array(160).fill(BUILT_IN[0]), newId);
    expect(said(day, () => parts)).toBe('made');
    expect(said(parts, (p) => edits.addParts(p, Array(160).fill(BUILT_IN[0]), newId))).toBe(
      'A project has at most 300 parts.',
    );
    const prices = { ...day, prices: Array.from({ length: 600 }, (_, i) => ({ key: `k${i}`, price: 1 })) };
    expect(said(prices, (p) => edits.withPrice(p, 'one-more', 5))).toBe('A project has at most 600 prices.');
    expect(
      said(day, (p) =>
        edits.takeFit(p, setupOf(p), {
          cornering: { factor: 1 },
          braking: { factor: 1 },
          power: { factor: 20, atLimit: false },
        }),
      ),
    ).toMatch(/^Power at the wheels of “Tarn Two club car” must be at most 1500\.$/);
  });

  it('what a slider can reach can be kept, whatever the saved values are', () => {
    fc.assert(
      fc.property(anyProject(8), fc.constantFrom(0, 1), (project, end) => {
        const bounds = Object.entries(whatIfBounds(setupOf(project)));
        for (const [key, range] of bounds) {
          if (key === 'frontSharePercent') continue; // Parts, not a bound, decide what a balance bar can give.
          const attempt = attemptEdit(project, (p) => edits.keepWhatIf(p, setupOf(p), { [key]: range[end] }));
          expect(attempt.ok ? 'made' : refusalText(project, attempt.problems), key).toBe('made');
        }
      }),
      { numRuns: 60 },
    );
  });
});
