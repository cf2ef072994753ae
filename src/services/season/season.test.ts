import loadHighs from 'highs';
import ICAL from 'ical.js';
import { beforeAll, describe, expect, it } from 'vitest';
import { demoProject } from '../../../demo/project';
import { madeSeason } from '../../../tests/support/madeSeason';
import { recordFigure } from '../../../tests/support/validation';
import type { Project, StoredLoad } from '../../model';
import { seasonCalendar, seasonCsv, seasonDocument } from '../../report';
import { missingText } from '../../text/en';
import { loadOf, setupOfSession } from '../keep/loads';
import { setsWear } from '../keep/wear';
import { allocate } from './allocate';
import { solved } from './integer';
import { type AllocationProblem, capacity, Tally, wornOutChance } from './problem';
import { searched } from './search';
import { planSeason, type SeasonPlan } from './seasonPlan';
import { loadQuestions } from './sessions';

let highs: Awaited<ReturnType<typeof loadHighs>>;
beforeAll(async () => {
  highs = await loadHighs();
});

/** The least that any allowed assignment costs, by trying all of them. */
function cheapest(own: AllocationProblem): number {
  const tally = new Tally(own);
  const choices = own.sets.length + 1;
  let least = Number.POSITIVE_INFINITY;
  for (let code = 0; code < choices ** own.sessions.length; code++) {
    let rest = code;
    const assignment = own.sessions.map(() => {
      const s = (rest % choices) - 1;
      rest = Math.floor(rest / choices);
      return s;
    });
    const { allowed, total } = tally.of(assignment);
    if (allowed && total < least) least = total;
  }
  return least;
}

describe('sets spread over a season', () => {
  it('cost what the cheapest of all assignments costs, whatever the season', () => {
    let worst = 0;
    for (let seed = 1; seed <= 24; seed++) {
      const events = 3 + (seed % 4);
      const own = madeSeason(seed, { events, perEvent: 1, owned: 1 + (seed % 3), buys: 1 });
      const tally = new Tally(own);
      const found = allocate(highs, own, 20);
      expect(found.proven, `season ${seed}`).toBe(true);
      expect(tally.of(found.assignment).allowed).toBe(true);
      const least = cheapest(own);
      expect(tally.of(found.assignment).total, `season ${seed}`).toBeCloseTo(least, 2);
      worst = Math.max(worst, Math.abs(tally.of(found.assignment).total - least));
    }
    recordFigure({
      id: 'Season',
      what: 'cost of sets over 24 made-up seasons, farthest from the cheapest of all assignments',
      expected: '0',
      computed: worst,
      unit: '€',
      source: 'own requirement, every assignment tried (up to 5 sets, 6 sessions)',
    });
  });

  it('come to the same by the integer programme from nothing as from a search that was good already', () => {
    for (const seed of [2, 3, 8, 9]) {
      const own = madeSeason(seed, { events: 4, perEvent: 2, owned: 2, buys: 2 });
      const tally = new Tally(own);
      const nothing = own.sessions.map(() => -1);
      const [a, b] = [nothing, searched(tally)].map(
        (begun) => tally.of(solved(highs, tally, begun, 20).assignment).total,
      );
      expect(a).toBeCloseTo(b, 2);
    }
  });

  it('are alike however long the solver may take, in seasons that it cannot prove', () => {
    for (const seed of [2, 6]) {
      const own = madeSeason(seed, { events: 7, perEvent: 3, owned: 3, buys: 3 });
      const [hurried, patient] = [0, 2].map((seconds) => allocate(highs, own, seconds));
      expect(patient.assignment).toEqual(hurried.assignment);
      expect(patient.within).toBeLessThanOrEqual(hurried.within + 1e-9);
    }
  });

  it('keep every rule over fifty events, and say how far from the cheapest they can be', () => {
    const own = madeSeason(11, { events: 50, perEvent: 1, owned: 4, buys: 9 });
    const { assignment, choices, within, cost } = allocate(highs, own);
    const tally = new Tally(own);
    expect(tally.of(assignment).allowed).toBe(true);
    expect(assignment).toHaveLength(50);
    expect(choices.every(({ set }) => set >= 0)).toBe(true);
    // Of fifty sessions none is asked what another set would cost: no reason is made up for them.
    expect(choices.every(({ reason }) => reason === 'not asked' || reason === 'fresh wanted')).toBe(true);
    expect(within).toBeGreaterThanOrEqual(0);
    expect(cost.missing).toBe(0);
    // No session ends past what its set may be used to.
    const used = own.sets.map((set) => set.used);
    assignment.forEach((s, j) => {
      used[s] += own.share[s][j];
      expect(used[s]).toBeLessThanOrEqual(capacity(own.sets[s], 0.8) + 1e-9);
    });
  });

  it('leave sessions open where nothing can serve them, and say which', () => {
    const own = madeSeason(4, { events: 5, perEvent: 1, owned: 1, buys: 1 });
    const late = {
      ...own,
      sets: own.sets.map((set) => ({ ...set, used: set.owned ? 0.95 : 0, from: set.owned ? 0 : 3 })),
    };
    const found = allocate(highs, late);
    expect(found.missing.slice(0, 3)).toEqual([0, 1, 2]);
    expect(found.choices[0]).toMatchObject({ set: -1, reason: 'missing' });
    for (const { alternative } of found.choices) expect(alternative?.more ?? 0).toBeLessThan(10_000);
  });

  it('risk more the nearer a set comes to its life, half at it', () => {
    expect(wornOutChance(1, 0.3)).toBeCloseTo(0.5, 9);
    expect(wornOutChance(0.5, 0.3)).toBeLessThan(wornOutChance(0.9, 0.3));
    expect(wornOutChance(0.9, 0)).toBe(0);
    expect(wornOutChance(1.1, 0)).toBe(1);
    expect(wornOutChance(capacity({ spread: 0.3 } as never, 0.9), 0.3)).toBeCloseTo(0.1, 6);
  });
});

const TODAY = '2026-11-28';

/** The demo's season, planned. */
function planned(project: Project = demoProject): SeasonPlan {
  const [season] = project.seasons;
  const driven = new Map<string, StoredLoad>();
  for (const entry of project.entries) {
    if (entry.kind !== 'session') continue;
    const setup = setupOfSession(project, entry);
    if (setup) driven.set(entry.id, loadOf(setup));
  }
  const wear = setsWear(project, season.carId, driven);
  const loads = new Map(loadQuestions(project, season, TODAY).map(({ key, setup }) => [key, loadOf(setup)]));
  return planSeason(highs, project, season, { loads, wear, today: TODAY });
}

describe('the demo’s season', () => {
  const [season] = demoProject.seasons;

  it('gives every session a set, new ones where the finale wants them, and orders in time', () => {
    const plan = planned();
    expect(plan.sessions).toHaveLength(21);
    expect(plan.allocations.map(({ problem: own }) => own.place)).toEqual([
      'front pads',
      'front rotors',
      'rear pads',
      'rear rotors',
    ]);
    for (const { choices, missing, problem: own } of plan.allocations) {
      expect(missing).toEqual([]);
      const last = choices[20];
      if (own.place.startsWith('front')) {
        expect(last.reason).toBe('fresh wanted');
        expect(last.usedAfter).toBeCloseTo(own.share[last.set][20], 9);
      }
    }
    for (const { orderBy, date } of plan.orders) {
      expect(orderBy >= TODAY && orderBy < date).toBe(true);
    }
    // What sets are used to never falls.
    for (const { choices } of plan.allocations) {
      const seen = new Map<number, number>();
      for (const { set, usedAfter } of choices) {
        expect(usedAfter).toBeGreaterThan(seen.get(set) ?? 0);
        seen.set(set, usedAfter);
      }
    }

    const calendar = new ICAL.Component(ICAL.parse(seasonCalendar(demoProject, season, plan)));
    const events = calendar.getAllSubcomponents('vevent').map((own) => new ICAL.Event(own));
    expect(events).toHaveLength(7 + plan.orders.length);
    const finale = events.find(({ summary }) => summary === 'Finale');
    expect(finale?.startDate.toString()).toBe('2027-10-02');
    expect(finale?.endDate.toString()).toBe('2027-10-03');
    expect(finale?.location).toBe('Anvil Park');
    expect(finale?.description).toContain('Front rotors: ');
    expect(new Set(events.map(({ uid }) => uid)).size).toBe(events.length);

    const rows = seasonCsv(demoProject, plan).trim().split('\r\n');
    expect(rows).toHaveLength(22);
    expect(rows[4]).toContain('"Hammer Cup, first round"');
    const document = JSON.parse(JSON.stringify(seasonDocument(demoProject, season, plan, TODAY)));
    expect(document.events).toHaveLength(7);
    expect(document.events[6].sessions[2].sets['front pads'].reason).toBe('fresh wanted');
  });

  it('without time to order, says what is missing and from when on', () => {
    const rules = { ...season.rules, orderDays: 200, confidencePercent: 99 };
    const events = Object.fromEntries(
      Object.entries(season.events).map(([id, event]) => [
        id,
        {
          ...event,
          sessions: Object.fromEntries(
            Object.entries(event.sessions).map(([k, own]) => [k, { ...own, hotLaps: 30 }]),
          ),
        },
      ]),
    );
    const short = { ...demoProject, seasons: [{ ...season, rules, events }] };
    const plan = planned(short);
    const pads = plan.allocations[0];
    expect(pads.missing.length).toBeGreaterThan(0);
    expect(missingText(plan, pads)).toMatch(/^Front pads: \d+ sessions have no set, the first on 2027-/);
  });
});
