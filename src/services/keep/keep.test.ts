import { describe, expect, it } from 'vitest';
import { demoProject } from '../../../demo/project';
import { recordFigure } from '../../../tests/support/validation';
import {
  type EntryOf,
  joinLogbook,
  type LogEntry,
  METRIC,
  NOTHING_AT_WHEEL,
  newEntry,
  type Project,
  putEntry,
  putSet,
  readProject,
  type StoredLoad,
  US,
  writeProject,
} from '../../model';
import { entrySummary, findingText, fluidReasonText, remainingSentence } from '../../text/en';
import { boilingNeededC, fluidState, reasonsToRenew } from './fluid';
import { findingsOf } from './inspect';
import { drivenSetup, loadOf, setupOfSession } from './loads';
import { doubtsOfEntry, entriesOf, entriesOfSet, fittedOn, sessionsOfSet } from './logbook';
import { setsWear } from './wear';
import { lifeUsed, remainingSessions } from './wearLeft';

const car = demoProject.cars[0];
const entry = (id: string) => demoProject.entries.find((own) => own.id === id) as LogEntry;
const looked = entry('october-looked') as EntryOf<'inspection'>;

/** Every session as if it had been the same, so that wear is a matter of counting. */
const wheel = {
  energyMj: 20,
  innerPadMm: 0.3,
  outerPadMm: 0.3,
  rotorMm: 0.008,
  fatigue: 0.02,
  rotorC: 600,
  padC: 650,
  fluidC: 170,
};
const load: StoredLoad = { frontLeft: wheel, frontRight: wheel, rearLeft: wheel, rearRight: wheel };
const loads = new Map(demoProject.entries.map(({ id }) => [id, load]));

describe('a logbook', () => {
  it('is told in the order of time, and knows what was on the car on any day', () => {
    const entries = entriesOf(demoProject, car.id);
    expect(entries.map(({ date }) => date)).toEqual([...entries.map(({ date }) => date)].sort());
    expect(fittedOn(entries, '2026-04-15')).toEqual({});
    expect(fittedOn(entries)).toEqual({
      'front pads': 'set-fp-3',
      'front rotors': 'set-fr-1',
      'rear pads': 'set-rp-2',
      'rear rotors': 'set-rr-1',
    });
    const next: LogEntry = {
      ...newEntry('fitted', { id: 'new', carId: car.id, date: '2026-11-01' }),
      sets: { 'front pads': 'set-fp-4', 'rear pads': null },
    };
    const later = entriesOf(putEntry(demoProject, next), car.id);
    expect(fittedOn(later)).toMatchObject({ 'front pads': 'set-fp-4', 'front rotors': 'set-fr-1' });
    expect(fittedOn(later)).not.toHaveProperty('rear pads');
    expect(fittedOn(later, '2026-10-31')['front pads']).toBe('set-fp-3');
    const set = demoProject.sets[0];
    expect(sessionsOfSet(entries, set)).toHaveLength(11);
    expect(entriesOfSet(entries, set.id)).toHaveLength(16);
  });

  it('asks about sets used before they were bought, after they were retired, in the wrong place', () => {
    const session = entry('april-1');
    const doubts = (change: object) => {
      const project = putSet(demoProject, { ...demoProject.sets[0], ...change });
      return doubtsOfEntry(project, session).map(({ kind }) => kind);
    };
    expect(doubts({})).toEqual([]);
    expect(doubts({ boughtOn: '2026-05-01' })).toEqual(['before bought']);
    expect(doubts({ retiredOn: '2026-04-01' })).toEqual(['after retired']);
    expect(doubts({ axle: 'rear' })).toEqual(['wrong place']);
    expect(doubtsOfEntry({ ...demoProject, sets: [] }, session)).toHaveLength(4);
  });

  it('of two devices has what both wrote, each line once; what both changed stays and is said', () => {
    const mine = putEntry(demoProject, { ...entry('april-1'), note: 'mine' } as LogEntry);
    const note = newEntry('note', { id: 'theirs', carId: car.id, date: '2026-11-02' });
    const theirs = putEntry(putEntry(demoProject, { ...entry('april-1'), note: 'theirs' } as LogEntry), note);
    const { project, added, differ } = joinLogbook(mine, theirs);
    expect(added).toBe(1);
    expect(differ).toEqual(['Session 1']);
    expect(project.entries).toHaveLength(demoProject.entries.length + 1);
    expect(project.entries.find(({ id }) => id === 'april-1')?.note).toBe('mine');
    expect(joinLogbook(project, theirs).added).toBe(0);
    const read = readProject(writeProject(project));
    expect(read).toEqual({ ok: true, project });
  });
});

describe('what an inspection tells', () => {
  const found = (
    change: Partial<EntryOf<'inspection'>['wheels']['frontLeft']> & object,
    project: Project = demoProject,
  ) =>
    findingsOf(project, car, {
      ...looked,
      wheels: {
        ...looked.wheels,
        frontLeft: { ...(looked.wheels.frontLeft ?? NOTHING_AT_WHEEL), ...change },
      },
    });
  const first = (change: object) => found(change)[0];

  it('stops at what must not be driven on, first of all', () => {
    const crack = { place: 'face', lengthMm: 4, toEdge: false, joins: false } as const;
    for (const change of [
      { innerLeadingMm: 3.9 },
      { rotorMm: [22.9, 24] },
      { cracks: [{ ...crack, toEdge: true }] },
      { cracks: [{ ...crack, place: 'hole', joins: true }] },
      { slides: 'stuck' },
      { hose: 'bulging' },
      { leads: 'melted' },
    ]) {
      expect(first(change), JSON.stringify(change)).toMatchObject({ weight: 'stop' });
    }
    expect(first({ cracks: [crack] }).weight).toBe('watch');
    expect(found({}).map(({ weight }) => weight)).not.toContain('stop');
  });

  it('tells taper, inner from outer and left from right by what a difference means, and asks when a pad has grown', () => {
    const kinds = (change: object) => found(change).map(({ kind }) => kind);
    expect(kinds({ innerTrailingMm: 7.5 })).toContain('taper');
    const apart = found({ innerLeadingMm: 5, innerTrailingMm: 5 });
    expect(apart.map(({ kind }) => kind)).toEqual(
      expect.arrayContaining(['inner and outer', 'left and right']),
    );
    const texts = apart.map((own) => findingText(own, METRIC).means).join(' ');
    expect(texts).toContain(car.front.caliper.kind === 'sliding' ? 'slide pins' : 'piston');
    // In June it was 9.1 mm; in October it cannot be 10.
    const grown = found({ innerLeadingMm: 10, innerTrailingMm: 10 }).find(
      ({ kind }) => kind === 'thicker than before',
    );
    expect(grown).toMatchObject({ part: 'inner', mm: 10, beforeMm: 8.4 });
    if (grown) expect(findingText(grown, METRIC).action).toContain('Was a new one fitted?');
    expect(kinds({ rotorMm: [24.3, 24.36] })).toContain('uneven rotor');
  });

  it('never calls brakes safe, says what was not looked at, and speaks in the reader’s units', () => {
    const all = findingsOf(demoProject, car, looked);
    expect(all.find(({ kind }) => kind === 'not looked at')).toMatchObject({
      what: ['rearLeft', 'rearRight'],
    });
    for (const own of all) {
      const { title, means, action } = findingText(own, US);
      expect(`${title} ${means} ${action}`).not.toMatch(/\bsafe\b|undefined|NaN|\d mm\b/);
    }
  });
});

describe('what is left of pads and rotors', () => {
  const wear = setsWear(demoProject, car.id, loads);
  const of = (id: string) => {
    const found = wear.find(({ set }) => set.id === id);
    if (!found) throw new Error(`no set ${id}`);
    return found;
  };

  it('follows from measurements where there are some, and from the model’s index after them', () => {
    const pads = of('set-fp-3');
    expect(pads.sessions).toBe(11);
    const inner = pads.pieces.find((piece) => piece.wheel === 'frontLeft' && piece.pad === 'inner');
    expect(inner).toMatchObject({ measuredMm: 6.6, measuredOn: '2026-10-03', readings: 4, sinceMm: 0 });
    expect(inner?.leftMm).toBeCloseTo(2.6, 9);
    // 5.4 mm in 11 sessions of 0.3 mm by the index.
    expect(Math.exp(pads.rate.at('frontLeft inner').mean)).toBeGreaterThan(1.4);
    expect(Math.exp(pads.rate.at('frontLeft inner').mean)).toBeLessThan(1.75);
    const one = { ...(entry('october-3') as EntryOf<'session'>), id: 'more', date: '2026-11-07', load };
    const more = setsWear(putEntry(demoProject, one), car.id, loads).find(({ set }) => set.id === 'set-fp-3');
    const now = more?.pieces.find((piece) => piece.wheel === 'frontLeft' && piece.pad === 'inner');
    expect(now?.leftMm).toBeCloseTo(2.6 - 0.3 * Math.exp(pads.rate.at('frontLeft inner').mean), 6);
    expect((now?.nowMm.high ?? 0) - (now?.nowMm.low ?? 0)).toBeGreaterThan(
      (inner?.nowMm.high ?? 0) - (inner?.nowMm.low ?? 0),
    );
  });

  it('is as many sessions as the thinnest pad stands, fewer at a harder circuit, and says which pad', () => {
    const left = remainingSessions(of('set-fp-3'), load);
    expect(left.by).toEqual({ wheel: 'frontLeft', pad: 'inner', why: 'thickness' });
    expect(left.low).toBeLessThan(left.median);
    const double = { ...wheel, innerPadMm: 0.6, outerPadMm: 0.6 };
    const harder = { frontLeft: double, frontRight: double, rearLeft: double, rearRight: double };
    expect(remainingSessions(of('set-fp-3'), harder).median).toBeCloseTo(left.median / 2, 6);
    expect(remainingSentence(left, 'Anvil Park')).toMatch(
      /^Front left inner pad: \d\.\d more at Anvil Park \(\d\.\d to \d\.\d\)\.$/,
    );
    expect(of('set-fp-4').sessions).toBe(0);
    expect(remainingSessions(of('set-fp-4'), load).median).toBeGreaterThan(left.median);
  });

  it('counts cracks by fatigue, sooner once the first was seen, and a share that was told', () => {
    const rotors = of('set-fr-1');
    expect(rotors.fatigue.frontLeft).toBeCloseTo(0.3 + 11 * 0.02, 9);
    expect(rotors.cracks.frontLeft).toEqual({ lengthMm: 3, stop: false });
    // Seen at an index of 0.52: these rotors crack sooner than the index says.
    expect(Math.exp(rotors.crackRate.at('frontLeft').mean)).toBeGreaterThan(1.4);
    expect(lifeUsed(rotors)).toBeGreaterThan(lifeUsed(of('set-fr-2')));
    expect(lifeUsed(of('set-fr-2'))).toBe(0);
  });

  it('is computed from the very session: twice the laps take about twice, a wet track takes less', () => {
    const session = entry('april-2') as EntryOf<'session'>;
    const take = (change: object) => {
      const setup = setupOfSession(demoProject, { ...session, ...change });
      return setup ? loadOf(setup) : null;
    };
    const [few, many, wet] = [{ hotLaps: 4 }, { hotLaps: 8 }, { hotLaps: 8, track: 'wet' }].map(take);
    const heat = (own: StoredLoad | null) => own?.frontLeft.energyMj ?? Number.NaN;
    expect(heat(many) / heat(few)).toBeGreaterThan(1.5);
    expect(heat(many) / heat(few)).toBeLessThan(2.1);
    expect(heat(wet)).toBeLessThan(heat(many));
    expect(take({ circuitId: 'gone' })).toBeNull();
    expect(entrySummary(session, METRIC, { load: many, byLog: false, planned: null })).toMatch(
      /^8 hot laps, dry, \d+ MJ into the brakes$/,
    );
  });
});

describe('fluid of a car', () => {
  const state = fluidState(demoProject, car, '2026-11-28');

  it('goes through what was measured, and is to be renewed for each reason there is', () => {
    expect(state).toMatchObject({ since: '2026-04-16', fromLog: true });
    expect(state.boilingC('2026-10-01').median).toBeCloseTo(249, 6);
    expect(state.boilingC('2027-10-01').low).toBeLessThan(state.boilingC('2027-10-01').median);
    const ask = (project: Project, neededC: number | null, school = 'boiling point' as const) =>
      reasonsToRenew(fluidState(project, car, '2026-11-28'), { date: '2027-04-17', school, neededC }).map(
        ({ kind }) => kind,
      );
    expect(ask(demoProject, 150)).toEqual([]);
    expect(ask(demoProject, 260)).toEqual(['boiling point']);
    expect(ask(demoProject, null, 'each event' as never)).toEqual(['school']);
    expect(ask(demoProject, null, 'every year' as never)).toEqual(['school']);
    expect(ask(demoProject, null, 'two years' as never)).toEqual([]);
    const fluid = newEntry('fluid', { id: 'new', carId: car.id, date: '2026-11-01' });
    // Check 33: 200 ppm of copper and more, common practice.
    expect(ask(putEntry(demoProject, { ...fluid, deed: 'strip', copperPpm: 199 }), null)).toEqual([]);
    expect(ask(putEntry(demoProject, { ...fluid, deed: 'strip', copperPpm: 200 }), null)).toEqual(['copper']);
    const renewFrom = [150, 175, 199, 200, 225].find(
      (copperPpm) => ask(putEntry(demoProject, { ...fluid, deed: 'strip', copperPpm }), null).length > 0,
    );
    recordFigure({
      id: '33',
      what: 'copper in the fluid from which it is to be renewed',
      expected: '200',
      computed: renewFrom ?? Number.NaN,
      unit: 'ppm',
      source: 'common practice',
    });
    const boiled = putEntry(demoProject, { ...fluid, deed: 'over temperature' });
    expect(ask(boiled, null)).toEqual(['over temperature']);
    const renewed = putEntry(boiled, { ...fluid, id: 'newer', date: '2026-11-05' });
    expect(ask(renewed, null)).toEqual([]);
    const [why] = reasonsToRenew(state, { date: '2027-04-17', school: 'boiling point', neededC: 260 });
    expect(fluidReasonText(why, METRIC)).toMatch(
      /^It may boil at \d+ °C by then \(\d+ °C most likely\); 260 °C/,
    );
  });

  it('needs more than the peak where the air is thin, and falls to it no later where more is asked', () => {
    const setup = drivenSetup(demoProject, {
      carId: car.id,
      planId: 'plan-tarn-anvil',
      circuitId: demoProject.circuits[0].id,
      name: 'x',
      outLaps: 2,
      hotLaps: 5,
      airC: 20,
      track: 'dry',
      sets: {},
    });
    if (!setup) throw new Error('no setup');
    const needed = (altitudeM: number) =>
      boilingNeededC({ ...setup, circuit: { ...setup.circuit, altitudeM } }, load);
    expect(needed(0)).toBeCloseTo(170 + setup.plan.targetMarginK, 0);
    expect(needed(2000)).toBeGreaterThan(needed(0) + 5);
    const day = (boilingC: number) => state.fallsTo(boilingC, '2026-11-28').median ?? '9999';
    for (const boilingC of [200, 215, 230, 240]) expect(day(boilingC + 5) <= day(boilingC)).toBe(true);
  });
});
