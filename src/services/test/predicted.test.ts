import { describe, expect, it } from 'vitest';
import { demoProject } from '../../../demo/project';
import { recordFigure } from '../../../tests/support/validation';
import { driveFor, judgedDay, loggedDay, readingsOf, simulateDay } from '../../core';
import {
  benchFileOf,
  prepareLog,
  programmeOf,
  readBenchProgramme,
  readBenchResult,
  writeBenchProgramme,
} from '../../io';
import {
  addCalibration,
  attemptEdit,
  carFromAnswers,
  dayInput,
  fitPart,
  newRun,
  newTest,
  type Project,
  planFromSentence,
  setupOf,
  shelfOf,
  type TestRun,
  type TestStopStored,
  USUAL_CONDITIONS,
  USUAL_DESIGN,
  writeProject,
} from '../../model';
import { nothingKnown } from '../../model/guided/carAnswers';
import { simulatedBench } from '../../server/standIns/bench';
import { driveReadings } from '../calibrate/driveReadings';
import { usualSetups } from '../compare/usualSetups';
import { benchCalibration, benchPlan, fitBench } from './bench';
import { enoughFor, testSetup } from './enough';
import { DRAWS_A_PIECE, FORECAST_DRAWS, forecastPiece, forecasts } from './forecast';
import { modulationChoices } from './modulationChoices';
import { predictTest, setupOfRun, type TestQuestion, testDay } from './question';
import { driveOfRun, runLog } from './runDrive';

const tarn = setupOf(demoProject);
const ovel = setupOf(demoProject, 'plan-ovel-nettle');
const asked = (setup = tarn, change: Partial<TestQuestion['design']> = {}): TestQuestion => ({
  setup,
  design: { ...USUAL_DESIGN, ...change },
  conditions: USUAL_CONDITIONS,
});

describe('a test that is predicted', () => {
  it('is of the car as it was loaded, on the surface and in the air it was driven in', () => {
    const dry = predictTest(asked()).stops[0];
    const wet = predictTest({ ...asked(), conditions: { surface: 'wet asphalt', massKg: null, airC: null } })
      .stops[0];
    expect(wet.distance / dry.distance).toBeGreaterThan(1.35);
    expect(wet.heldBy).toBe('tyres');
    const loaded = testDay({ ...asked(), conditions: { surface: 'dry asphalt', massKg: 1234, airC: 3 } });
    expect(loaded.vehicle.mass).toBe(1234);
    expect(loaded.sessions[0].ambient).toBeCloseTo(276.15, 9);
  });

  it('of the rules has their cold stop, 15 snubs, hot stop, and what they want', () => {
    const { stops, requirements } = predictTest(asked(ovel, { kind: 'rules' }));
    expect(stops.map(({ phase }) => phase)).toEqual(['test', ...Array(15).fill('heating'), 'hot']);
    expect(requirements.map(({ what }) => what)).toEqual([
      ...['distance', 'deceleration', 'pedal', 'pedal'],
      ...['kept', 'prescribed', 'pedal'],
    ]);
    expect(requirements.find(({ what }) => what === 'distance')?.limit).toBeCloseTo(70, 9);
  });

  it('says when the car does not reach the speed', () => {
    const slow = { ...ovel, car: { ...ovel.car, powerKw: 30, recovery: null } };
    expect(predictTest(asked(slow, { fromKmh: 250 })).tooSlow).toBeGreaterThan(20);
    expect(predictTest(asked()).tooSlow).toBeNull();
  });
});

describe('several setups', () => {
  const light = { ...ovel, car: { ...carFromAnswers(nothingKnown('light-hatch', 'Light'), ovel.car.id) } };

  it('usual for a car with drums are pads, pads and rotors, rear discs and a big kit, all of which can be', () => {
    const usual = usualSetups(light);
    expect(usual.map(({ name }) => name)).toEqual(['pads', 'pads and rotors', 'rear discs', 'big kit']);
    expect(usualSetups(tarn).map(({ name }) => name)).not.toContain('rear discs');
  });

  it('are enough for what they hold: one stop, the row, the session', () => {
    const good = testSetup(asked(tarn, { fromKmh: 60, stops: 2 }));
    expect(good.enough).toBe(good.verdict === 'over-limit' ? 'this test' : 'the session');
    const of = (change: object) => ({ ...good.answer, ...change });
    const faded = { by: 'fade', axle: 'front', stop: 2, time: 40 } as const;
    expect(enoughFor(of({ failure: faded }), 'within-limits')).toBe('one stop');
    expect(enoughFor(of({ failure: { ...faded, stop: 1 } }), 'within-limits')).toBe('nothing');
    expect(enoughFor(of({ passed: [{ part: 'padFace', axle: 'front', stop: 2, time: 9 }] }), 'close')).toBe(
      'one stop',
    );
    expect(enoughFor(of({}), 'within-limits')).toBe('the session');
    expect(enoughFor(of({}), 'over-limit')).toBe('this test');
  });

  it('are metered by every pad and caliper of the shelf beside the fitted ones', () => {
    const choices = modulationChoices(tarn, 'front');
    const calipers = choices.filter(({ kind }) => kind === 'caliper');
    expect(choices.filter(({ kind }) => kind === 'pad')).toHaveLength(shelfOf('pad', []).length - 1);
    expect(calipers).toHaveLength(shelfOf('caliper', []).length);
    // More pistons of less area: more foot for the same, whatever their number.
    const area = (id: string | null) => {
      const part = shelfOf('caliper', []).find((own) => own.id === id);
      const own = part ? fitPart(tarn.car, part, 'front') : tarn.car;
      const { kind, pistonsMm } = own.front.caliper;
      return (kind === 'fixed' ? 1 : 1) * pistonsMm.reduce((sum, mm) => sum + mm * mm, 0);
    };
    const [small, large] = [...calipers]
      .sort((a, b) => area(a.id) - area(b.id))
      .filter((_, i, all) => i === 0 || i === all.length - 1);
    expect(small.warm.perTenth).toBeGreaterThan(large.warm.perTenth);
    for (const own of choices) expect(own.cold.perTenth).toBeGreaterThanOrEqual(own.warm.perTenth * 0.999);
  });
});

describe('endurance, fitted to its first failure only', () => {
  it('predicts a second, later one within its stated interval: a light car, 6:41 and 10:24 min (common practice)', () => {
    const car = carFromAnswers(nothingKnown('light-hatch', 'Light'), 'light');
    const sentence = {
      name: 'A day',
      carId: 'light',
      circuitId: demoProject.circuits[0].id,
      sessions: 1,
      each: 15,
      by: 'minutes',
      ambientC: 20,
      date: null,
    } as const;
    const project = {
      ...demoProject,
      cars: [car],
      plans: [planFromSentence(sentence, 3, 'plan-light')],
      selectedPlanId: 'plan-light',
    };
    const base = setupOf(project);
    const pads = ['commuter', 'estate'].map((id) => {
      const part = shelfOf('pad', []).find((own) => own.id === id);
      if (!part) throw new Error(id);
      return asked(
        { ...base, car: fitPart(car, part, 'front') },
        { kind: 'endurance', fromKmh: 60, cornerKmh: 30, cornerS: 3, stops: 90, spacingS: 0, targetMin: 20 },
      );
    });
    const ends: number[][] = [[], []];
    for (let piece = 0; piece * DRAWS_A_PIECE < 32; piece++) {
      forecastPiece(pads, piece).forEach((own, i) => {
        ends[i].push(...own);
      });
    }
    const blind = forecasts(ends, [null, null]);
    const [first, second] = forecasts(ends, [{ time: 401, gaveOut: true }, null]);
    // What was seen is taken over, and what was not seen follows it.
    expect(Math.abs(first.middle / 401 - 1)).toBeLessThan(0.1);
    expect(second.middle).toBeGreaterThan(blind[1].middle);
    expect(second.low).toBeLessThan(624);
    expect(second.high).toBeGreaterThan(624);
    expect(second.low).toBeGreaterThan(401);
    expect(first.draws).toBeLessThan(32);
    recordFigure({
      id: '25',
      what: 'Second failure of a light car, predicted from the first at 6:41 min: lower end of 90 %',
      expected: 'up to 624',
      computed: second.low,
      unit: 's',
      source: 'common practice: 10:24 min',
    });
  }, 300_000);

  it('weighs draws: one that ended as seen counts, one that held where it failed does not, what held may last', () => {
    const draws = [
      Array.from({ length: 10 }, (_, i) => 300 + 40 * i),
      Array.from({ length: 10 }, (_, i) => 600 + 60 * i),
    ];
    const [own, other] = forecasts(draws, [{ time: 460, gaveOut: true }, null]);
    expect(own.middle).toBe(460);
    expect(other.low).toBeGreaterThanOrEqual(780);
    expect(other.high).toBeLessThanOrEqual(960);
    const held = forecasts([draws[0]], [{ time: 500, gaveOut: false }])[0];
    expect(held.low).toBeGreaterThanOrEqual(460);
    const never = draws[0].map((end) => (end > 500 ? Number.POSITIVE_INFINITY : end));
    expect(forecasts([never], [null])[0]).toMatchObject({ holds: 0.4, high: Number.POSITIVE_INFINITY });
    expect(FORECAST_DRAWS % DRAWS_A_PIECE).toBe(0);
  });
});

describe('a bench', () => {
  const bench = { ...newTest(tarn.car, { id: 't', name: 'T', date: '2027-01-01' }).bench, bedding: true };
  const plan = benchPlan(tarn, bench);

  it('beds first, lets it cool, warms up, and then has the programme', () => {
    const phases = plan.programme.stops.map(({ phase }) => phase);
    expect([...new Set(phases)]).toEqual(['bedding', 'warm-up', 'programme']);
    expect(phases.lastIndexOf('bedding')).toBeLessThan(phases.indexOf('warm-up'));
    const first = phases.indexOf('warm-up');
    expect(plan.predicted.stops[first].before).toBeLessThan(plan.ambient + 12);
    expect(plan.apart.core).toBeLessThan(5);
    expect(plan.car.filter((own) => own !== null)).toHaveLength(
      phases.filter((own) => own !== 'bedding').length,
    );
  });

  it('is told by a file that reads back as it was, and says what is wrong with another', () => {
    const file = benchFileOf(
      plan.programme,
      { control: 'pressure', start: 'temperature' },
      'Ours',
      plan.ambient,
    );
    const read = readBenchProgramme(writeBenchProgramme(file));
    expect(read).toEqual({ ok: true, file });
    const back = programmeOf(file);
    back.stops.forEach((stop, i) => {
      expect(stop.energy / plan.programme.stops[i].energy).toBeCloseTo(1, 7);
      expect(stop.from / plan.programme.stops[i].from).toBeCloseTo(1, 7);
    });
    expect(readBenchProgramme('{"format":"other"}')).toMatchObject({ ok: false });
    const wrong = readBenchProgramme(writeBenchProgramme({ ...file, inertiaKgm2: 0 }));
    expect(wrong).toMatchObject({ ok: false, problems: [{ path: 'inertiaKgm2' }] });
  });

  it('simulated, is laid over the prediction and finds the cooling it hides', () => {
    const file = benchFileOf(plan.programme, bench, 'Ours', plan.ambient);
    const sent = {
      project: writeProject(demoProject),
      plan: tarn.plan.id,
      programme: writeBenchProgramme(file),
    };
    const run = simulatedBench(sent);
    if (!run.ok) throw new Error(run.message);
    const read = readBenchResult(run.csv);
    if (!read.ok) throw new Error(read.problems[0].message);
    expect(read.rows).toHaveLength(plan.programme.stops.length);
    const measured = read.rows.map(({ stop, before, after }) => ({ stop: stop - 1, before, after }));
    const fit = fitBench(dayInput({ ...tarn, calibration: null }), plan.programme, measured);
    expect(Math.abs(fit.cooling - 0.9)).toBeLessThan(0.03);
    expect(fit.after).toBeLessThan(5);
    expect(fit.before).toBeGreaterThan(4 * fit.after);
    const record = benchCalibration(tarn.car, 'frontLeft', fit, {
      id: 'c',
      name: 'Bench',
      date: '2027-01-01',
    });
    const kept = attemptEdit(demoProject, (p) => addCalibration(p, record));
    if (!kept.ok) throw new Error(kept.problems[0].message);
    const cooler = judgedDay(dayInput(setupOf(kept.project)));
    expect(cooler.peaks.frontLeft.rotorBulk).toBeGreaterThan(
      judgedDay(dayInput(tarn)).peaks.frontLeft.rotorBulk + 10,
    );
    expect(simulatedBench({ ...sent, plan: 'none' })).toMatchObject({ ok: false });
    expect(simulatedBench({ ...sent, programme: '{}' })).toMatchObject({ ok: false });
  }, 60_000);

  it('gives results that are refused with their line', () => {
    const problems = (text: string) => {
      const read = readBenchResult(text);
      return read.ok ? [] : read.problems.map(({ path, message }) => `${path}: ${message}`);
    };
    expect(problems('a,b\n1,2\n')[0]).toMatch(/^line 1: A bench’s results need/);
    expect(problems('Bench 4\nStop,Disc before (K),Disc after (K)\n1,300,400\n')[0]).toMatch(
      /^line 3: The unit “K”/,
    );
    expect(problems('Stop,Disc before (°C),Disc after (°C)\n1,hot,400\n')).toEqual([
      'line 2: “hot” in the column “Disc before” is no number.',
    ]);
    const read = readBenchResult('Stop,Disc before (°F),Disc after (°F)\n1,212,392\n');
    expect(read).toMatchObject({ ok: true });
    if (read.ok) expect(read.rows[0].after).toBeCloseTo(473.15, 6);
  });
});

describe('a run that goes to calibration', () => {
  const stop = (n: number, temperatureC: number): TestStopStored => ({
    n,
    fromKmh: 100,
    toKmh: 0,
    distanceM: 60,
    marksM: [],
    timeS: null,
    pedalN: null,
    abs: null,
    meanMs2: null,
    temperatureC,
    atS: 20 + 45 * (n - 1),
    errorM: null,
    source: 'typed',
    note: '',
  });
  const test = newTest(ovel.car, { id: 't', name: 'T', date: '2027-01-01' });
  const run: TestRun = {
    ...newRun(test, ovel.car, [], { setup: 'A', date: '2027-01-01' }),
    stops: { a: stop(1, 95), b: stop(2, 140), c: stop(3, 178) },
    ended: { atS: 130, by: 'boiled', axle: 'front' },
  };
  const design = { ...test.design, fromKmh: 100 };

  it('becomes speeds that hold its stops, and readings at their times', () => {
    const raw = runLog(run, design);
    if (!raw?.channels.speed) throw new Error('no log');
    const { time } = raw;
    const { speed } = raw.channels;
    expect(Math.max(...speed)).toBeCloseTo(100 / 3.6, 6);
    let way = 0;
    for (let i = 1; i < time.length; i++) {
      if (time[i] > 20 && time[i] <= 20 + (2 * 60) / (100 / 3.6))
        way += 0.5 * (speed[i] + speed[i - 1]) * 0.1;
    }
    expect(Math.abs(way - 60)).toBeLessThan(3);
    expect(runLog({ ...run, stops: {} }, design)).toBeNull();
    let id = 0;
    const setup = setupOfRun(ovel, demoProject, run);
    const drive = driveOfRun(setup, run, design, { drive: 'd', log: 'l' }, () => `o${++id}`);
    expect(drive.observations.map(({ kind }) => kind)).toEqual(['sensor', 'boiled']);
    expect(drive.plan.start).toEqual({ kind: 'warm', temperatureC: 60 });
    const stored = attemptEdit(demoProject, (p): Project => ({ ...p, drives: [...p.drives, drive] }));
    expect(stored.ok).toBe(true);
    // The drive as its log has it: three brakings, the readings within it, none refused.
    const is = prepareLog(raw, { ...drive, calibration: null });
    const day = loggedDay(is.input, 'Log', is.pieces, is.ambient);
    const driven = simulateDay(day);
    expect(driven.laps.flatMap(({ trace }) => trace.zones)).toHaveLength(3);
    const { readings, problems } = driveReadings(day, drive.observations);
    expect(problems.filter(({ severity }) => severity === 'error')).toEqual([]);
    const values = readingsOf(
      driveFor(day),
      readings.filter(({ look }) => look.kind === 'sensor'),
    );
    expect(values).toHaveLength(3);
    expect(values[2]).toBeGreaterThan(values[0]);
  });
});
