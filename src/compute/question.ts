import { hashKey } from '@tanstack/react-query';
import type { BeddingRecipe } from '../core';
import { type Setup, type StoredBench, uncertainRanges } from '../model';
import type { TestQuestion } from '../services';

/** Keys of what has been asked about: nothing of a project is ever changed in place, and a circuit is long. */
const keys = new WeakMap<object, string>();
function keyOf<T extends object>(whole: T, driven: (whole: T) => unknown): string {
  const known = keys.get(whole);
  if (known !== undefined) return known;
  const key = hashKey([driven(whole)]);
  keys.set(whole, key);
  return key;
}

/**
 * All of a setup that its day depends on, as one canonical text: a project that was saved and opened again, or has its
 * keys in another order, is the same question; names, wishes, prices and comparisons are left out.
 */
export function dayKey({ car, circuit, plan, parts, begun, calibration }: Setup): string {
  return [
    keyOf(
      car,
      ({
        name: _name,
        exposed: _exposed,
        driverSide: _side,
        workshop: _workshop,
        fitted: _fitted,
        origins: _origins,
        ...driven
      }) => driven,
    ),
    keyOf(circuit.layout, (layout) => layout),
    String(circuit.altitudeM),
    // Which way its straights point: the wind blows along them.
    String(circuit.place?.bearingDeg),
    keyOf(
      plan,
      ({
        name: _name,
        targetMarginK: _wish,
        minutes: _minutes,
        compare: _compare,
        uncertain: _ranges,
        date: _date,
        origins: _known,
        ...day
      }) => day,
    ),
    keyOf(parts, (list) => list),
    begun ? keyOf(begun.brakes, (brakes) => brakes) : '',
    calibration ? keyOf(calibration, ({ id: _id, name: _name, ...measured }) => measured) : '',
  ].join();
}

/** What questions of setups that are tried out begin with. */
export const TRIED = ['tried'] as const;

/** Every question that workers are asked about a setup, each as data; the query library's hash of it is its one key. */
export const QUESTION = {
  day: (setup: Setup) => ['day', dayKey(setup)],
  /** With every node's temperature */
  inside: (setup: Setup) => ['inside', dayKey(setup)],
  /** Driven and summed up, without what is left of it with less cooling */
  tried: (setup: Setup) => [...TRIED, dayKey(setup)],
  coolingBand: (setup: Setup) => ['cooling band', dayKey(setup)],
  outlook: (setup: Setup, session: number) => ['outlook', dayKey(setup), session],
  failures: (setup: Setup, speed: number) => ['failures', dayKey(setup), speed],
  sides: (setup: Setup) => ['sides', dayKey(setup)],
  lapTimes: (setup: Setup) => ['lap times', dayKey(setup)],
  severity: (setup: Setup) => ['severity', dayKey(setup)],
  /** @param log id of a kept one */
  log: (setup: Setup, log: string) => ['log', log, dayKey(setup)],
  pace: (setup: Setup, session: number) => [
    'pace',
    dayKey(setup),
    setup.plan.targetMarginK,
    setup.plan.minutes,
    session,
  ],
  findOut: (setup: Setup) => [
    'find out',
    dayKey(setup),
    keyOf(setup.car.origins, (origins) => origins),
    keyOf(setup.plan.origins, (origins) => origins),
  ],
  nextReadings: (setup: Setup) => ['next readings', dayKey(setup)],
  brakeTest: ({ setup, ...driven }: TestQuestion) => ['brake test', dayKey(setup), driven],
  testSetups: (questions: readonly TestQuestion[]) => [
    'test setups',
    questions.map(({ setup, ...driven }) => [dayKey(setup), driven]),
  ],
  /** @param seen how each run ended */
  forecast: (questions: readonly TestQuestion[], seen: unknown) => [
    'forecast',
    questions.map(({ setup, ...driven }) => [
      dayKey(setup),
      driven,
      uncertainRanges(setup.plan.uncertain, setup.calibration),
    ]),
    seen,
  ],
  bench: (setup: Setup, bench: StoredBench) => ['bench', dayKey(setup), bench],
  /** @param log id of a kept one */
  technique: (setup: Setup, log: string) => ['technique', log, dayKey(setup)],
  logStops: (log: string, wanted: unknown) => ['log stops', log, wanted],
  /** What sessions take, each by its own day */
  loads: (setups: readonly Setup[]) => ['loads', setups.map(dayKey)],
  /** What sessions took that were driven already: those with a log as it has them */
  driven: (sessions: readonly { readonly setup: Setup; readonly log: string | null }[]) => [
    'driven',
    sessions.map(({ setup, log }) => [dayKey(setup), log]),
  ],
  /** @param asked all that the choice of sets depends on besides the days */
  season: (keys: readonly string[], asked: unknown) => ['season', keys, asked],
  /** @param recipe what is driven */
  bedding: (setup: Setup, recipe: BeddingRecipe) => ['bedding', dayKey(setup), recipe],
  /** @param prices of what the steps are made of @param budget most that may be spent */
  first: (setup: Setup, prices: unknown, budget: number) => ['first', dayKey(setup), prices, budget],
  /** @param wanted what the ladder climbs to */
  ladder: (setup: Setup, wanted: unknown) => ['ladder', dayKey(setup), wanted],
  /** @param prices of what the ways are made of */
  ways: (setup: Setup, wish: number, prices: unknown) => ['ways', dayKey(setup), wish, prices],
  need: (setup: Setup) => ['need', dayKey(setup), setup.plan.targetMarginK],
  balance: (setup: Setup) => ['balance', dayKey(setup)],
  compare: (setups: readonly Setup[]) => ['compare', setups.map(dayKey)],
  exposed: (setup: Setup) => [
    'exposed',
    dayKey(setup),
    setup.car.driverSide,
    setup.car.exposed.map(({ name: _name, ...part }) => part),
  ],
  uncertain: (setup: Setup) => [
    'uncertain',
    dayKey(setup),
    uncertainRanges(setup.plan.uncertain, setup.calibration),
    setup.plan.uncertain.runs,
    setup.plan.uncertain.seed,
  ],
} as const satisfies Record<string, (...asked: never[]) => readonly unknown[]>;
