import * as z from 'zod/mini';
import { brakeTestSchema, type StoredTest } from './brakeTest';
import { type Calibration, calibrationSchema } from './calibration';
import { type Car, carSchema } from './car';
import { type Circuit, circuitSchema } from './circuit';
import { driveSchema, type StoredDrive } from './drive';
import { fieldInfo, numberField } from './field';
import { type LogEntry, logEntrySchema } from './logEntry';
import { idSchema, nameSchema } from './naming';
import { type Part, partSchema } from './part';
import { type PartSet, partSetSchema } from './partSet';
import { type Plan, planSchema } from './plan';
import { type Bottle, bottleSchema, type Preparation, preparationSchema } from './preparation';
import { referenceIssues } from './references';
import { type Season, seasonSchema } from './season';
import { type KeptState, stateSchema } from './state';
import { PROJECT_FORMAT, PROJECT_VERSION, type Project } from './wholeProject';

export { PROJECT_FORMAT, PROJECT_VERSION, type Project };

const priceSchema = z.strictObject({
  /** Id of a part, or a word for work and parts that are on no shelf */
  key: idSchema,
  price: numberField({
    title: 'Price',
    quantity: 'count',
    min: 0,
    max: 1_000_000,
    usual: [10, 3000],
    step: 10,
    description: 'For both wheels of an axle, or for the car; fitted or not, as you count it.',
  }),
});

export const priceInfo = fieldInfo(priceSchema.shape.price);

/** What a project holds at most, by list; also the most that is looked at of a file. */
export const MOST_ITEMS = {
  cars: 200,
  circuits: 200,
  plans: 500,
  parts: 300,
  states: 100,
  drives: 100,
  calibrations: 100,
  preparations: 60,
  bottles: 60,
  tests: 60,
  sets: 300,
  seasons: 20,
  entries: 1500,
  prices: 600,
} as const;

/** A document of items that each have a schema: whole ones for a file, unread ones where each was read before. */
function documentOf<
  C extends z.ZodMiniType<Car>,
  L extends z.ZodMiniType<Circuit>,
  P extends z.ZodMiniType<Plan>,
  Q extends z.ZodMiniType<Part>,
  S extends z.ZodMiniType<KeptState>,
  D extends z.ZodMiniType<StoredDrive>,
  K extends z.ZodMiniType<Calibration>,
  W extends z.ZodMiniType<Preparation>,
  B extends z.ZodMiniType<Bottle>,
  T extends z.ZodMiniType<StoredTest>,
  I extends z.ZodMiniType<PartSet>,
  Y extends z.ZodMiniType<Season>,
  E extends z.ZodMiniType<LogEntry>,
>(items: {
  readonly car: C;
  readonly circuit: L;
  readonly plan: P;
  readonly part: Q;
  readonly state: S;
  readonly drive: D;
  readonly calibration: K;
  readonly preparation: W;
  readonly bottle: B;
  readonly test: T;
  readonly set: I;
  readonly season: Y;
  readonly entry: E;
}) {
  return z.strictObject({
    format: z.literal(PROJECT_FORMAT),
    version: z.literal(PROJECT_VERSION),
    name: nameSchema,
    cars: z.array(items.car).check(z.minLength(1), z.maxLength(MOST_ITEMS.cars)),
    circuits: z.array(items.circuit).check(z.minLength(1), z.maxLength(MOST_ITEMS.circuits)),
    plans: z.array(items.plan).check(z.minLength(1), z.maxLength(MOST_ITEMS.plans)),
    /** The project's own parts; the built-in ones are not stored */
    parts: z.array(items.part).check(z.maxLength(MOST_ITEMS.parts)),
    /** Brakes as they were once, for plans to begin from */
    states: z.array(items.state).check(z.maxLength(MOST_ITEMS.states)),
    /** Sessions that were driven, with what was observed of them */
    drives: z.array(items.drive).check(z.maxLength(MOST_ITEMS.drives)),
    /** What observations told of a car; the newest that its parts still fit is used */
    calibrations: z.array(items.calibration).check(z.maxLength(MOST_ITEMS.calibrations)),
    /** Work on cars: what was to be changed, what was done and found */
    preparations: z.array(items.preparation).check(z.maxLength(MOST_ITEMS.preparations)),
    /** Brake fluid on the shelf */
    bottles: z.array(items.bottle).check(z.maxLength(MOST_ITEMS.bottles)),
    /** Brake tests: what was to be driven, and the runs that were */
    tests: z.array(items.test).check(z.maxLength(MOST_ITEMS.tests)),
    /** Pads and rotors as individual things */
    sets: z.array(items.set).check(z.maxLength(MOST_ITEMS.sets)),
    /** Events of a car's year, and how its sets are spread over them */
    seasons: z.array(items.season).check(z.maxLength(MOST_ITEMS.seasons)),
    /** The logbook: what was driven, found and done */
    entries: z.array(items.entry).check(z.maxLength(MOST_ITEMS.entries)),
    /** What prices are in: a sign or a few letters */
    currency: z.string().check(z.trim(), z.minLength(1), z.maxLength(6), z.meta({ title: 'Currency' })),
    /** Prices of the user's own; other parts have the usual price of their class */
    prices: z.array(priceSchema).check(z.maxLength(MOST_ITEMS.prices)),
    selectedPlanId: idSchema,
  });
}

/** A whole project as stored and as exported. */
export const projectSchema = documentOf({
  car: carSchema,
  circuit: circuitSchema,
  plan: planSchema,
  part: partSchema,
  state: stateSchema,
  drive: driveSchema,
  calibration: calibrationSchema,
  preparation: preparationSchema,
  bottle: bottleSchema,
  test: brakeTestSchema,
  set: partSetSchema,
  season: seasonSchema,
  entry: logEntrySchema,
}).check((ctx) => referenceIssues(ctx.value, ctx.issues));

/** The same for a project whose items have each been read already: its lists, names and references. */
export const frameSchema = documentOf({
  car: z.custom<Car>(),
  circuit: z.custom<Circuit>(),
  plan: z.custom<Plan>(),
  part: z.custom<Part>(),
  state: z.custom<KeptState>(),
  drive: z.custom<StoredDrive>(),
  calibration: z.custom<Calibration>(),
  preparation: z.custom<Preparation>(),
  bottle: z.custom<Bottle>(),
  test: z.custom<StoredTest>(),
  set: z.custom<PartSet>(),
  season: z.custom<Season>(),
  entry: z.custom<LogEntry>(),
}).check((ctx) => referenceIssues(ctx.value, ctx.issues));
