import * as z from 'zod/mini';
import { fieldInfo, numberField } from '../schema/field';
import { idSchema, nameSchema } from '../schema/naming';
import { type Plan, type PlanSession, planSchema, sessionSchema } from '../schema/plan';
import { DEFAULT_UNCERTAIN } from '../schema/uncertain';

/** A plan in a sentence: which car, which circuit, how many sessions of how much, when, in what air. */
export const planSentenceSchema = z.strictObject({
  name: nameSchema,
  carId: idSchema,
  circuitId: idSchema,
  sessions: numberField({
    title: 'Sessions',
    quantity: 'count',
    min: 1,
    max: 12,
    integer: true,
    usual: [1, 6],
    step: 1,
    description: 'In the day, with a break in the paddock after each.',
  }),
  each: numberField({
    title: 'Each of',
    quantity: 'count',
    min: 1,
    max: 120,
    usual: [3, 30],
    step: 1,
    description: 'Minutes from leaving the pit lane to being back in it, or hot laps.',
  }),
  by: z.enum(['minutes', 'laps']).check(z.meta({ title: 'Counted in' })),
  ambientC: sessionSchema.shape.ambientC,
  date: planSchema.shape.date,
});
export type PlanSentence = z.infer<typeof planSentenceSchema>;

/** Time of the laps of a session, s. */
export interface LapTimes {
  readonly out: number;
  readonly hot: number;
  readonly cool: number;
}

/** Pace of an out lap and of a cool-down lap, % (common practice). */
export const OUT_PACE = 65;
export const COOL_PACE = 40;
/** Break after a session, minutes. */
const BREAK = 40;
const MOST_LAPS = fieldInfo(sessionSchema.shape.legs.def.element.def.options[0].shape.laps).max;

/** Hot laps that fit into minutes, with an out lap before and a cool-down lap after them; at least one. */
export const hotLapsIn = (minutes: number, times: LapTimes): number =>
  Math.min(MOST_LAPS, Math.max(1, Math.floor((60 * minutes - times.out - times.cool) / times.hot + 1e-9)));

/** A session of an out lap, hot laps, a cool-down lap and the break after it. */
export const sessionOf = (name: string, ambientC: number, hotLaps: number): PlanSession => ({
  name,
  ambientC,
  gripPercent: 100,
  legs: [
    { kind: 'out', laps: 1, pacePercent: OUT_PACE },
    { kind: 'hot', laps: hotLaps, pacePercent: 100 },
    { kind: 'cool', laps: 1, pacePercent: COOL_PACE },
    { kind: 'paddock', minutes: BREAK, fanKmh: 0 },
  ],
});

/**
 * The plan that a sentence says; how hard it is driven is a practised track-day driver's, and assumed.
 * @param hotLaps of each session
 * @param id of the new plan
 */
export function planFromSentence(sentence: PlanSentence, hotLaps: number, id: string): Plan {
  const { name, carId, circuitId, sessions, each, by, ambientC, date } = sentence;
  return {
    id,
    name,
    carId,
    circuitId,
    start: { kind: 'cold' },
    sessions: Array.from({ length: sessions }, (_, i) =>
      sessionOf(
        sessions === 1 ? 'Session' : `Session ${i + 1}`,
        ambientC,
        Math.min(MOST_LAPS, Math.round(hotLaps)),
      ),
    ),
    humidityPercent: 55,
    pressureHpa: null,
    windKmh: 0,
    windFromDeg: 0,
    brakingGripUsedPercent: 82,
    corneringGripUsedPercent: 88,
    brakesEarlier: true,
    clicks: [],
    brakeBuildUpS: 0.3,
    targetMarginK: 30,
    minutes: Math.max(3, by === 'minutes' ? each : 20),
    compare: { setups: [], referenceId: null },
    uncertain: DEFAULT_UNCERTAIN,
    date,
    origins: { rest: 'assumed', known: { sessions: 'typed' } },
  };
}
