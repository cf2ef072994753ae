import { describe, expect, it } from 'vitest';
import { demoProject } from '../../../demo/project';
import { type EntryOf, newEntry, type Project, putEntry, putEvent, putSet, type Season } from '../../model';
import { orderText } from '../../text/en';
import { loadOf } from '../keep/loads';
import { setsWear } from '../keep/wear';
import type { Allocation } from './allocate';
import type { EventPlan } from './eventPlans';
import { later, ordersOf } from './orders';
import { problemOf } from './seasonPlan';
import { eventsOf, lastDayOf, loadQuestions, sessionsOf, sessionsToCome } from './sessions';

const [season] = demoProject.seasons;
const TODAY = '2026-11-28';
const [opening] = eventsOf(season);
const withSeason = (change: Partial<Season>): Project => ({
  ...demoProject,
  seasons: [{ ...season, ...change }],
});

describe('sessions to come', () => {
  const counted = (project: Project, today: string) =>
    sessionsToCome(project, project.seasons[0], today).length;

  it('are those of events that are not over, less those that the logbook has', () => {
    const all = counted(demoProject, TODAY);
    expect(all).toBe(21);
    // On the day itself its sessions are still to come, on the next they are over.
    expect(counted(demoProject, opening.event.date)).toBe(all);
    expect(counted(demoProject, later(opening.event.date, 1))).toBe(all - 3);
    const two = putEvent(demoProject, season.id, opening.id, { ...opening.event, days: 2 });
    expect(lastDayOf({ ...opening.event, days: 2 })).toBe(later(opening.event.date, 1));
    expect(counted(two, later(opening.event.date, 1))).toBe(all);
    let project = two;
    for (const [k, [plannedId]] of sessionsOf(opening.event).entries()) {
      const { date, circuitId } = opening.event;
      const driven: EntryOf<'session'> = {
        ...newEntry('session', {
          id: `driven-${k}`,
          carId: season.carId,
          date,
          circuitId,
          planId: season.planId,
        }),
        eventId: opening.id,
        plannedId,
      };
      project = putEntry(project, driven);
      expect(counted(project, date)).toBe(all - 1 - k);
    }
  });

  it('count events by what is left of them, so that rules of one never go to another', () => {
    const events = Object.fromEntries(
      Object.entries(season.events).map(([id, event], k) => [
        id,
        { ...event, mostSets: k + 1, sessions: k === 1 ? {} : event.sessions },
      ]),
    );
    const project = withSeason({ events });
    const planned = sessionsToCome(project, project.seasons[0], TODAY);
    const known = { loads: loadsOf(project), wear: setsWear(project, season.carId, new Map()), today: TODAY };
    const problem = problemOf(project, project.seasons[0], 'front pads', known);
    expect(new Set(planned.map(({ at }) => at)).size).toBe(6);
    for (const { at, event } of planned) expect(problem?.mostSets[at]).toBe(event.mostSets);
  });
});

const loads = new Map<string, ReturnType<typeof loadOf>>();
/** What each session takes; the same days are driven once. */
function loadsOf(project: Project) {
  return new Map(
    loadQuestions(project, project.seasons[0], TODAY).map(({ key, setup }) => {
      const load = loads.get(key) ?? loadOf(setup);
      loads.set(key, load);
      return [key, load] as const;
    }),
  );
}

describe('rings on bells', () => {
  const problem = (project: Project) =>
    problemOf(project, project.seasons[0], 'front rotors', {
      loads: loadsOf(project),
      wear: setsWear(project, season.carId, new Map()),
      today: TODAY,
    });
  const built = (build: 'one piece' | 'ring on bell') =>
    demoProject.sets
      .filter(({ kind, axle, carId }) => kind === 'rotors' && axle === 'front' && carId === season.carId)
      .reduce(
        (project, set) => putSet(project, { ...set, build }),
        withSeason({
          rules: { ...season.rules, ringPercent: 55, prices: { 'front rotors': 400 } },
        }),
      );

  it('are bought as rings as long as there are bells for them, whole sets after that', () => {
    const whole = problem(built('one piece'));
    const rings = problem(built('ring on bell'));
    const bells = demoProject.sets.filter(
      ({ kind, axle, carId }) => kind === 'rotors' && axle === 'front' && carId === season.carId,
    ).length;
    expect(whole?.sets.every(({ price, rings: alone }) => price === 400 && !alone)).toBe(true);
    const bought = rings?.sets.filter(({ owned }) => !owned) ?? [];
    expect(bought.length).toBeGreaterThan(bells);
    expect(
      bought.slice(0, bells).every(({ price, rings: alone }) => alone && Math.abs(price - 220) < 1e-9),
    ).toBe(true);
    expect(bought.slice(bells).every(({ price, rings: alone }) => !alone && price === 400)).toBe(true);
    // What is worn of an owned one is a ring's worth too.
    expect(rings?.sets.filter(({ owned }) => owned).every(({ price }) => Math.abs(price - 220) < 1e-9)).toBe(
      true,
    );
  });

  it('are never of pads', () => {
    const project = demoProject.sets.reduce(
      (p, set) => putSet(p, { ...set, build: 'ring on bell' }),
      demoProject,
    );
    const own = problemOf(project, project.seasons[0], 'front pads', {
      loads: loadsOf(project),
      wear: setsWear(project, season.carId, new Map()),
      today: TODAY,
    });
    expect(own?.sets.some(({ rings }) => rings)).toBe(false);
  });
});

describe('what is to be ordered', () => {
  const sessions = sessionsToCome(demoProject, season, TODAY);
  const event = (k: number, renew: boolean): EventPlan => {
    const { id, event: own } = eventsOf(season)[k];
    return {
      id,
      event: own,
      rotorC: null,
      fluidC: null,
      shares: {},
      fluid: renew ? [{ kind: 'school', school: 'each event', since: '2026-04-16' }] : [],
      cost: { entry: 0, travel: 0, wear: 0 },
    };
  };
  const allocation = (place: 'front pads' | 'rear rotors', bought: Allocation['bought'], rings = false) =>
    ({
      problem: {
        place,
        sets: [
          { price: 90, rings: false },
          { price: 210, rings },
        ],
      },
      bought,
    }) as unknown as Allocation;

  it('stands in the order of its days, each so many days before it is needed', () => {
    const orders = ordersOf(
      demoProject,
      season,
      sessions,
      [
        allocation('rear rotors', [{ set: 1, first: 12 }], true),
        allocation('front pads', [
          { set: 0, first: 3 },
          { set: 1, first: 18 },
        ]),
      ],
      [],
    );
    expect(orders.map(({ date }) => date)).toEqual(
      [sessions[3], sessions[12], sessions[18]].map((own) => own.event.date),
    );
    for (const { orderBy, date } of orders) expect(later(orderBy, season.rules.orderDays)).toBe(date);
    expect(orders.map(({ price }) => price)).toEqual([90, 210, 210]);
    expect(orders.map(orderText)).toEqual(['Front pads', 'Rear rotors, rings for their bells', 'Front pads']);
  });

  it('has fluid where it is renewed and what stands on the shelf will not do by then', () => {
    const bottle = (leftCm3: number, openedOn: string | null) => ({
      ...demoProject.bottles[0],
      fluid: demoProject.cars[0].fluid.kind,
      leftCm3,
      openedOn,
      keepMonths: 6,
    });
    const asked = (bottles: Project['bottles'], renew: readonly boolean[]) =>
      ordersOf(
        { ...demoProject, bottles },
        season,
        sessions,
        [],
        renew.map((own, k) => event(k, own)),
      ).map(({ date }) => date);
    const dates = eventsOf(season).map((own) => own.event.date);
    expect(asked([], [false, false])).toEqual([]);
    expect(asked([], [true, false, true])).toEqual([dates[0], dates[2]]);
    expect(asked([bottle(1000, null)], [true, true])).toEqual([dates[1]]);
    expect(asked([bottle(2000, null)], [true, true])).toEqual([]);
    expect(asked([bottle(999, null)], [true])).toEqual([dates[0]]);
    // Open for too long by then, or of another kind.
    expect(asked([bottle(1000, '2026-08-01')], [true])).toEqual([dates[0]]);
    expect(asked([{ ...bottle(1000, null), fluid: 'fluid-other' }], [true])).toEqual([dates[0]]);
    expect(orderText({ what: 'brake fluid', rings: false })).toBe('Brake fluid for a renewal');
  });
});
