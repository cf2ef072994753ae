import * as z from 'zod/mini';
import { SYMPTOMS } from './drive';
import { numberField } from './field';
import { fluidFoundSchema, lapCount, wheelFoundSchema } from './inspection';
import { idSchema, nameSchema } from './naming';
import { SET_PLACES } from './partSet';

const WHEEL_IDS = ['frontLeft', 'frontRight', 'rearLeft', 'rearRight'] as const;
export const ENTRY_KINDS = ['session', 'inspection', 'fluid', 'fitted', 'note'] as const;
export type EntryKind = (typeof ENTRY_KINDS)[number];
export const PEDALS = ['firm', 'longer than before', 'spongy', 'sinking', 'hard'] as const;
export const TRACK_STATES = ['dry', 'damp', 'wet'] as const;
export const FLUID_DEEDS = [
  'renewed',
  'bled',
  'strip',
  'refractometer',
  'boil test',
  'over temperature',
] as const;
export type FluidDeed = (typeof FLUID_DEEDS)[number];
export const LOAD_BY = ['laps', 'log'] as const;
export type LoadBy = (typeof LOAD_BY)[number];
const MOST_PHOTOS = 12;

/** A picture that is kept in the browser beside the project, and goes out with it in one file. */
export const photoSchema = z.strictObject({
  id: z.string().check(z.regex(/^[\w-]{1,64}$/, 'must be the name of a picture')),
  name: nameSchema,
  widthPx: z.int().check(z.gte(1), z.lte(20000)),
  heightPx: z.int().check(z.gte(1), z.lte(20000)),
  bytes: z.int().check(z.gte(1), z.lte(50_000_000)),
});
export type Photo = z.infer<typeof photoSchema>;

const shared = {
  id: idSchema,
  name: nameSchema,
  carId: idSchema,
  date: z.iso.date('must be a date like 2027-05-01').check(z.meta({ title: 'Date' })),
  time: z
    .nullable(z.string().check(z.regex(/^([01]\d|2[0-3]):[0-5]\d$/, 'must be a time like 14:30')))
    .check(z.meta({ title: 'Time' })),
  /** Event of the season it belongs to; null for none */
  eventId: z.nullable(idSchema),
  by: z.string().check(z.trim(), z.maxLength(60), z.meta({ title: 'By' })),
  note: z.string().check(z.trim(), z.maxLength(600), z.meta({ title: 'Note' })),
  photos: z.array(photoSchema).check(z.maxLength(MOST_PHOTOS)),
};

/** Which set was on the car, by its place; what is not listed is not known. */
const fittedSets = z.partialRecord(z.enum(SET_PLACES), idSchema).check(z.meta({ title: 'Sets fitted' }));
export type FittedSets = z.infer<typeof fittedSets>;

const load = (title: string, max: number) => z.number().check(z.gte(0), z.lte(max), z.meta({ title }));
const wheelLoadSchema = z.strictObject({
  energyMj: load('Brake energy, MJ', 1e5),
  innerPadMm: load('Inner pad by the index, mm', 1000),
  outerPadMm: load('Outer pad by the index, mm', 1000),
  rotorMm: load('Rotor by the index, mm', 1000),
  fatigue: load('Fatigue damage index', 1e6),
  rotorC: z.number().check(z.gte(-100), z.lte(4000), z.meta({ title: 'Rotor core at most, °C' })),
  padC: z.number().check(z.gte(-100), z.lte(4000), z.meta({ title: 'Pad surface at most, °C' })),
  fluidC: z.number().check(z.gte(-100), z.lte(4000), z.meta({ title: 'Fluid at most, °C' })),
});
/** What a session took of each wheel's brake, as it was computed with the car of that day; as stored. */
export const sessionLoadSchema = z.strictObject({
  frontLeft: wheelLoadSchema,
  frontRight: wheelLoadSchema,
  rearLeft: wheelLoadSchema,
  rearRight: wheelLoadSchema,
});
export type StoredLoad = z.infer<typeof sessionLoadSchema>;

const celsius = (
  title: string,
  min: number,
  max: number,
  usual: readonly [number, number],
  description: string,
) => numberField({ title, quantity: 'temperature', min, max, usual, step: 5, description });

const sessionEntrySchema = z.strictObject({
  kind: z.literal('session'),
  ...shared,
  circuitId: idSchema,
  /** Plan it was driven like */
  planId: idSchema,
  /** Session of the event that was planned; null where none was */
  plannedId: z.nullable(idSchema),
  outLaps: lapCount('Laps out and in', [1, 2]),
  hotLaps: lapCount('Hot laps', [4, 20]),
  airC: celsius('Air', -30, 55, [5, 38], 'While it was driven.'),
  track: z.enum(TRACK_STATES).check(z.meta({ title: 'Track' })),
  sets: fittedSets,
  /** Log it was recorded by, kept in the browser */
  log: z.nullable(z.strictObject({ id: idSchema, name: nameSchema })),
  /** Readings of it, as a drive for the calibration */
  driveId: z.nullable(idSchema),
  pedal: z.enum(PEDALS).check(z.meta({ title: 'Pedal' })),
  symptoms: z.array(z.enum(SYMPTOMS)).check(z.maxLength(SYMPTOMS.length)),
  incident: z.boolean().check(z.meta({ title: 'Incident' })),
  /** Null until it was computed */
  load: z.nullable(sessionLoadSchema),
  /** Whether that went by its own log's speeds, or by the plan's laps; null where there is none */
  loadBy: z.nullable(z.enum(LOAD_BY)),
});
const inspectionEntrySchema = z.strictObject({
  kind: z.literal('inspection'),
  ...shared,
  sets: fittedSets,
  wheels: z.partialRecord(z.enum(WHEEL_IDS), wheelFoundSchema),
  fluid: fluidFoundSchema,
});
const fluidEntrySchema = z
  .strictObject({
    kind: z.literal('fluid'),
    ...shared,
    deed: z.enum(FLUID_DEEDS).check(z.meta({ title: 'What' })),
    bottleId: z.nullable(idSchema),
    usedCm3: z.nullable(
      numberField({
        title: 'Used',
        quantity: 'volume',
        min: 0,
        max: 25000,
        usual: [100, 1000],
        step: 50,
        description: 'Of new fluid, taken from the bottle.',
      }),
    ),
    copperPpm: z.nullable(
      numberField({
        title: 'Copper',
        quantity: 'count',
        min: 0,
        max: 2000,
        usual: [0, 200],
        step: 25,
        description: 'Parts in a million by a test strip. 200 and more: renew (common practice).',
      }),
    ),
    waterPercent: z.nullable(
      numberField({
        title: 'Water',
        quantity: 'percent',
        min: 0,
        max: 15,
        usual: [0, 4],
        step: 0.1,
        description: 'By mass, by a refractometer for brake fluid of this class.',
      }),
    ),
    boilingC: z.nullable(
      celsius('Boiled at', 90, 350, [150, 300], 'By a boil test of fluid from a caliper, as at sea level.'),
    ),
    /** Of what is in the calipers */
    newPercent: z.nullable(
      numberField({
        title: 'New fluid in the calipers',
        quantity: 'percent',
        min: 0,
        max: 100,
        usual: [30, 100],
        step: 10,
        description: 'Share of the fluid behind the pistons that bleeding replaced.',
      }),
    ),
  })
  .check((ctx) => {
    const needs: Partial<Record<FluidDeed, keyof typeof ctx.value>> = {
      strip: 'copperPpm',
      refractometer: 'waterPercent',
      'boil test': 'boilingC',
      bled: 'newPercent',
    };
    const needed = needs[ctx.value.deed];
    if (!needed || ctx.value[needed] !== null) return;
    ctx.issues.push({
      code: 'custom',
      input: null,
      path: [needed],
      message: 'must be given: it is what was read',
    });
  });
const fittedEntrySchema = z.strictObject({
  kind: z.literal('fitted'),
  ...shared,
  /** What went on; null for a set that came off with none of this list in its place */
  sets: z.partialRecord(z.enum(SET_PLACES), z.nullable(idSchema)),
  /** Left and right exchanged */
  swapped: z.boolean().check(z.meta({ title: 'Left and right exchanged' })),
});
const noteEntrySchema = z.strictObject({
  kind: z.literal('note'),
  ...shared,
  incident: z.boolean().check(z.meta({ title: 'Incident' })),
});

/** A line of the logbook; as stored. */
export const logEntrySchema = z.discriminatedUnion('kind', [
  sessionEntrySchema,
  inspectionEntrySchema,
  fluidEntrySchema,
  fittedEntrySchema,
  noteEntrySchema,
]);
export type LogEntry = z.infer<typeof logEntrySchema>;
export type EntryOf<K extends EntryKind> = Extract<LogEntry, { kind: K }>;
