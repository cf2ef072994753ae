import { z } from 'zod';
import { BUILT_IN } from '../catalogue/builtIn';
import { FLUIDS } from '../catalogue/fluids';
import { PADS } from '../catalogue/pads';
import { brakeTestSchema, type StoredTest } from './brakeTest';
import { type Calibration, calibrationSchema } from './calibration';
import { type Car, carSchema } from './car';
import { type Circuit, circuitSchema } from './circuit';
import { driveSchema, type StoredDrive } from './drive';
import { fieldInfo, numberField } from './field';
import { idSchema, nameSchema } from './naming';
import { type Part, partSchema } from './part';
import { type Plan, planSchema } from './plan';
import { type Bottle, bottleSchema, type Preparation, preparationSchema } from './preparation';
import { type KeptState, stateSchema } from './state';

export const PROJECT_FORMAT = 'fervent-kettle-project';

export const PROJECT_VERSION = 12;

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

function uniqueIds(list: readonly { id: string }[], path: string, issues: z.core.$ZodRawIssue[]) {
  const seen = new Set<string>();
  list.forEach((item, i) => {
    if (seen.has(item.id)) {
      issues.push({
        code: 'custom',
        input: item.id,
        path: [path, i, 'id'],
        message: `is used twice: ${item.id}`,
      });
    }
    seen.add(item.id);
  });
}

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
  prices: 600,
} as const;

/** A document of items that each have a schema: whole ones for a file, unread ones where each was read before. */
function documentOf<
  C extends z.ZodType<Car>,
  L extends z.ZodType<Circuit>,
  P extends z.ZodType<Plan>,
  Q extends z.ZodType<Part>,
  S extends z.ZodType<KeptState>,
  D extends z.ZodType<StoredDrive>,
  K extends z.ZodType<Calibration>,
  W extends z.ZodType<Preparation>,
  B extends z.ZodType<Bottle>,
  T extends z.ZodType<StoredTest>,
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
}) {
  return z.strictObject({
    format: z.literal(PROJECT_FORMAT),
    version: z.literal(PROJECT_VERSION),
    name: nameSchema,
    cars: z.array(items.car).min(1).max(MOST_ITEMS.cars),
    circuits: z.array(items.circuit).min(1).max(MOST_ITEMS.circuits),
    plans: z.array(items.plan).min(1).max(MOST_ITEMS.plans),
    /** The project's own parts; the built-in ones are not stored */
    parts: z.array(items.part).max(MOST_ITEMS.parts),
    /** Brakes as they were once, for plans to begin from */
    states: z.array(items.state).max(MOST_ITEMS.states),
    /** Sessions that were driven, with what was observed of them */
    drives: z.array(items.drive).max(MOST_ITEMS.drives),
    /** What observations told of a car; the newest that its parts still fit is used */
    calibrations: z.array(items.calibration).max(MOST_ITEMS.calibrations),
    /** Work on cars: what was to be changed, what was done and found */
    preparations: z.array(items.preparation).max(MOST_ITEMS.preparations),
    /** Brake fluid on the shelf */
    bottles: z.array(items.bottle).max(MOST_ITEMS.bottles),
    /** Brake tests: what was to be driven, and the runs that were */
    tests: z.array(items.test).max(MOST_ITEMS.tests),
    /** What prices are in: a sign or a few letters */
    currency: z.string().trim().min(1).max(6).meta({ title: 'Currency' }),
    /** Prices of the user's own; other parts have the usual price of their class */
    prices: z.array(priceSchema).max(MOST_ITEMS.prices),
    selectedPlanId: idSchema,
  });
}

/** Names that must be unique, and names that must name something. */
function referenceIssues(value: Project, issues: z.core.$ZodRawIssue[]): void {
  const { cars, circuits, plans, parts, states, drives, calibrations, preparations } = value;
  const { bottles, tests, prices } = value;
  const { selectedPlanId } = value;
  uniqueIds(cars, 'cars', issues);
  uniqueIds(circuits, 'circuits', issues);
  uniqueIds(plans, 'plans', issues);
  uniqueIds(parts, 'parts', issues);
  uniqueIds(states, 'states', issues);
  uniqueIds(drives, 'drives', issues);
  uniqueIds(calibrations, 'calibrations', issues);
  uniqueIds(preparations, 'preparations', issues);
  uniqueIds(bottles, 'bottles', issues);
  uniqueIds(tests, 'tests', issues);
  drives.forEach(({ observations }, i) => {
    const found: z.core.$ZodRawIssue[] = [];
    uniqueIds(observations, 'observations', found);
    issues.push(...found.map((issue) => ({ ...issue, path: ['drives', i, ...(issue.path ?? [])] })));
  });
  prices.forEach(({ key }, i) => {
    if (prices.findIndex((p) => p.key === key) < i) {
      issues.push({
        code: 'custom',
        input: key,
        path: ['prices', i, 'key'],
        message: `is priced twice: ${key}`,
      });
    }
  });
  const missing = (path: (string | number)[], id: string, what: string) =>
    issues.push({
      code: 'custom',
      input: id,
      path,
      message: `names no ${what} of this project: ${id}`,
    });
  const known = (kind: Part['kind'], id: string) =>
    Object.hasOwn(kind === 'pad' ? PADS : FLUIDS, id) ||
    parts.some((part) => part.kind === kind && part.id === id);
  const onShelf = (id: string) =>
    BUILT_IN.some((part) => part.id === id) || parts.some((part) => part.id === id);
  cars.forEach((car, i) => {
    for (const axle of ['front', 'rear'] as const) {
      const { pad } = car[axle];
      if (!known('pad', pad)) missing(['cars', i, axle, 'pad'], pad, 'pad');
    }
    if (!known('fluid', car.fluid.kind)) missing(['cars', i, 'fluid', 'kind'], car.fluid.kind, 'fluid');
  });
  plans.forEach((plan, i) => {
    if (!cars.some((c) => c.id === plan.carId)) missing(['plans', i, 'carId'], plan.carId, 'car');
    if (!circuits.some((c) => c.id === plan.circuitId)) {
      missing(['plans', i, 'circuitId'], plan.circuitId, 'circuit');
    }
    const { start } = plan;
    if (start.kind === 'state') {
      const at = ['plans', i, 'start', 'stateId'];
      const state = states.find(({ id }) => id === start.stateId);
      if (!state) missing(at, start.stateId, 'kept state');
      else if (state.carId !== plan.carId) {
        issues.push({
          code: 'custom',
          input: start.stateId,
          path: at,
          message: `is a kept state of another car: ${start.stateId}`,
        });
      }
    }
    const { setups, referenceId } = plan.compare;
    setups.forEach((setup, k) => {
      const at = ['plans', i, 'compare', 'setups', k];
      if (!cars.some((c) => c.id === setup.carId)) missing([...at, 'carId'], setup.carId, 'car');
      setup.changes.forEach((change, n) => {
        if (change.kind !== 'part' || onShelf(change.part)) return;
        missing([...at, 'changes', n, 'part'], change.part, 'part');
      });
    });
    if (referenceId !== null && !setups.some((setup) => setup.id === referenceId)) {
      missing(['plans', i, 'compare', 'referenceId'], referenceId, 'setup');
    }
  });
  states.forEach((state, i) => {
    if (!cars.some((c) => c.id === state.carId)) missing(['states', i, 'carId'], state.carId, 'car');
  });
  calibrations.forEach(({ carId }, i) => {
    if (!cars.some((c) => c.id === carId)) missing(['calibrations', i, 'carId'], carId, 'car');
  });
  preparations.forEach(({ carId, changes }, i) => {
    if (!cars.some((c) => c.id === carId)) missing(['preparations', i, 'carId'], carId, 'car');
    changes.forEach((change, n) => {
      if (change.kind !== 'part' || onShelf(change.part)) return;
      missing(['preparations', i, 'changes', n, 'part'], change.part, 'part');
    });
  });
  tests.forEach(({ carId }, i) => {
    if (!cars.some((c) => c.id === carId)) missing(['tests', i, 'carId'], carId, 'car');
  });
  bottles.forEach(({ fluid }, i) => {
    if (!known('fluid', fluid)) missing(['bottles', i, 'fluid'], fluid, 'fluid');
  });
  if (!plans.some((p) => p.id === selectedPlanId)) missing(['selectedPlanId'], selectedPlanId, 'plan');
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
}).check((ctx) => referenceIssues(ctx.value, ctx.issues));

/** A whole project. */
export interface Project {
  readonly format: typeof PROJECT_FORMAT;
  readonly version: typeof PROJECT_VERSION;
  readonly name: string;
  readonly cars: Car[];
  readonly circuits: Circuit[];
  readonly plans: Plan[];
  readonly parts: Part[];
  readonly states: KeptState[];
  readonly drives: StoredDrive[];
  readonly calibrations: Calibration[];
  readonly preparations: Preparation[];
  readonly bottles: Bottle[];
  readonly tests: StoredTest[];
  readonly currency: string;
  readonly prices: { readonly key: string; readonly price: number }[];
  readonly selectedPlanId: string;
}
