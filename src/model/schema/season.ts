import * as z from 'zod/mini';
import { numberField } from './field';
import { idSchema, nameSchema } from './naming';
import { SET_PLACES } from './partSet';
import { count, keyed } from './testFields';

const day = z.iso.date('must be a date like 2027-05-01').check(z.meta({ title: 'Date' }));
export const SESSION_KINDS = ['practice', 'qualifying', 'race', 'track day', 'test'] as const;
export type SessionKind = (typeof SESSION_KINDS)[number];
/** When fluid is renewed whatever it boils at. */
export const FLUID_SCHOOLS = ['boiling point', 'every year', 'two years', 'each event'] as const;
export type FluidSchool = (typeof FLUID_SCHOOLS)[number];
const MOST_EVENTS = 60;
const MOST_EVENT_SESSIONS = 12;

const money = (title: string, description: string, usual: readonly [number, number]) =>
  numberField({ title, quantity: 'count', min: 0, max: 1_000_000, usual, step: 10, description });
const percent = (title: string, max: number, usual: readonly [number, number], description: string) =>
  numberField({ title, quantity: 'percent', min: 0, max, usual, step: 5, description });

/** A session of an event as it is planned. */
export const eventSessionSchema = z.strictObject({
  name: nameSchema,
  /** Place in the event, from 1 */
  n: count('Place', 1, 100, [1, 6], 'In the order driven.'),
  kind: z.enum(SESSION_KINDS).check(z.meta({ title: 'Kind' })),
  hotLaps: count('Hot laps', 1, 60, [4, 20], 'Beside one lap out and one in.'),
  airC: numberField({
    title: 'Air temperature',
    quantity: 'temperature',
    min: -30,
    max: 55,
    usual: [5, 38],
    step: 1,
    description: 'As it is expected of the season.',
  }),
});
export type EventSession = z.infer<typeof eventSessionSchema>;

export const seasonEventSchema = z.strictObject({
  name: nameSchema,
  date: day,
  days: count('Days', 1, 14, [1, 3], 'How long it lasts.'),
  circuitId: idSchema,
  sessions: keyed(eventSessionSchema, MOST_EVENT_SESSIONS, 'sessions'),
  /** Places whose set must be new for the last session */
  fresh: z
    .array(z.enum(SET_PLACES))
    .check(z.maxLength(SET_PLACES.length), z.meta({ title: 'New for the last session' })),
  /** Most sets of one kind that rules let be used at it; null for no such rule */
  mostSets: z.nullable(
    count('Sets allowed', 1, 12, [1, 3], 'Of rotors or pads of one axle, by the event’s rules.'),
  ),
  entry: money('Entry', 'What it costs to take part.', [80, 900]),
  travel: money('Travel and other', 'What the event costs besides.', [50, 900]),
  note: z.string().check(z.trim(), z.maxLength(300), z.meta({ title: 'Note' })),
});
export type SeasonEvent = z.infer<typeof seasonEventSchema>;

/** What the choice of sets goes by. */
export const seasonRulesSchema = z.strictObject({
  confidencePercent: numberField({
    title: 'Confidence',
    quantity: 'percent',
    min: 50,
    max: 99,
    usual: [70, 95],
    step: 5,
    description: 'Probability with which a set must still be within its life when a session ends.',
  }),
  riskCost: money(
    'A session lost costs',
    'What it is worth not to wear a set out in a session: its price and the session’s.',
    [100, 2000],
  ),
  changeCost: money('A change costs', 'Of a set within an event: hands and minutes.', [0, 60]),
  valueLeftPercent: percent(
    'Worth of what is left',
    100,
    [40, 90],
    'Share of a set’s price that its unused life is still worth when the season ends.',
  ),
  ringPercent: percent(
    'Rings alone cost',
    100,
    [40, 80],
    'Share of a whole set’s price, where the rotors are rings on bells that stay.',
  ),
  orderDays: count('Ordered ahead', 0, 200, [7, 30], 'Days from an order to the parts being here.'),
  fluid: z.enum(FLUID_SCHOOLS).check(z.meta({ title: 'Fluid is renewed' })),
  /** Prices of sets that may be bought; null takes the usual price */
  prices: z.partialRecord(z.enum(SET_PLACES), money('Price of a set', 'For both wheels.', [80, 3000])),
});
export type SeasonRules = z.infer<typeof seasonRulesSchema>;

/** The events of a car's season; as stored. */
export const seasonSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  carId: idSchema,
  /** Plan whose driving the sessions are driven by; its circuit and laps are the events' own */
  planId: idSchema,
  events: keyed(seasonEventSchema, MOST_EVENTS, 'events'),
  rules: seasonRulesSchema,
});
export type Season = z.infer<typeof seasonSchema>;

export const USUAL_RULES: SeasonRules = {
  confidencePercent: 80,
  riskCost: 400,
  changeCost: 15,
  valueLeftPercent: 70,
  ringPercent: 60,
  orderDays: 14,
  fluid: 'boiling point',
  prices: {},
};
