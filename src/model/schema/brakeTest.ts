import { z } from 'zod';
import { carSchema } from './car';
import { numberField } from './field';
import { idSchema, nameSchema } from './naming';
import { partSchema } from './part';

const day = z.iso.date('must be a date like 2027-05-01').meta({ title: 'Date' });

export const TEST_KINDS = ['repeated', 'endurance', 'cold-hot', 'rules'] as const;
export type TestKind = (typeof TEST_KINDS)[number];
export const TEST_BRAKING = ['hold', 'hardest'] as const;
export const TEST_SURFACES = ['dry asphalt', 'damp asphalt', 'wet asphalt', 'concrete', 'other'] as const;
export const STOP_SOURCES = ['typed', 'counter', 'log', 'phone', 'live'] as const;
export type StopSource = (typeof STOP_SOURCES)[number];
/** What ended an endurance run. */
export const RUN_ENDS = [
  'fade',
  'long pedal',
  'boiled',
  'pads gone',
  'tyres',
  'target reached',
  'driver',
] as const;
export type RunEnd = (typeof RUN_ENDS)[number];
/** Where a brake's temperature is read between stops. */
export const TEST_PLACES = ['disc', 'caliper', 'fluid'] as const;

const speed = (title: string, description: string, min = 5) =>
  numberField({ title, quantity: 'speed', min, max: 350, usual: [min, 200], step: 5, description });
const seconds = (title: string, max: number, usual: readonly [number, number], description: string) =>
  numberField({ title, quantity: 'seconds', min: 0, max, usual, step: 1, description });
const count = (
  title: string,
  min: number,
  max: number,
  usual: readonly [number, number],
  description: string,
) => numberField({ title, quantity: 'count', min, max, integer: true, usual, step: 1, description });
const rate = (title: string, description: string) =>
  numberField({ title, quantity: 'deceleration', min: 0.5, max: 25, usual: [3, 11], step: 0.1, description });
const metres = (title: string, description: string) =>
  numberField({ title, quantity: 'distance', min: 0.1, max: 2000, usual: [10, 150], step: 0.1, description });

/** What is to be driven. */
export const testDesignSchema = z
  .strictObject({
    kind: z.enum(TEST_KINDS).meta({ title: 'Kind of test' }),
    fromKmh: speed('Braked from', 'Held until the mark; results are put right to it.'),
    toKmh: speed('Braked to', '0 for a stop to rest.', 0),
    stops: count('Stops', 1, 300, [3, 60], 'In a row; of an endurance run the most that are counted.'),
    spacingS: seconds(
      'From stop to stop',
      3600,
      [10, 90],
      'From the start of one to the start of the next. 0 goes back to speed at once.',
    ),
    braking: z.enum(TEST_BRAKING).meta({ title: 'How hard' }),
    holdMs2: rate('Deceleration held', 'What the driver keeps to in each stop.'),
    cornerKmh: speed('Speed in the corner', 'Of the round that is driven again and again.'),
    cornerS: seconds('Time in the corner', 120, [2, 20], '0 leaves the corner out.'),
    targetMin: numberField({
      title: 'Target time',
      quantity: 'minutes',
      min: 0.5,
      max: 600,
      usual: [5, 30],
      step: 1,
      description: 'How long it has to last; what is driven beyond is not asked.',
    }).nullable(),
    startC: numberField({
      title: 'Brakes at the start',
      quantity: 'temperature',
      min: -40,
      max: 600,
      usual: [20, 100],
      step: 5,
      description: 'Left empty, as cold as the air. Common practice is 60 °C, the rules want under 100 °C.',
    }).nullable(),
    heatSnubs: count('Heating snubs', 1, 60, [10, 20], 'Between the cold and the hot stops.'),
    heatFromKmh: speed('Snubs from', 'Speed that each begins at.'),
    heatToKmh: speed('Snubs to', 'Speed that each ends at.', 0),
    heatMs2: rate('Snub deceleration', 'Held in each snub.'),
    heatCycleS: seconds(
      'From snub to snub',
      600,
      [30, 60],
      'From the start of one to the start of the next.',
    ),
  })
  .check((ctx) => {
    const { fromKmh, toKmh, heatFromKmh, heatToKmh, kind, cornerKmh, cornerS } = ctx.value;
    const under = (key: string, low: number, high: number, what: string) => {
      if (low < high) return;
      ctx.issues.push({
        code: 'custom',
        input: low,
        path: [key],
        message: `must be under ${what} (${high} km/h)`,
      });
    };
    under('toKmh', toKmh, fromKmh, 'the speed braked from');
    under('heatToKmh', heatToKmh, heatFromKmh, 'the speed the snubs begin at');
    if (kind === 'endurance' && cornerS > 0) {
      under('cornerKmh', cornerKmh, fromKmh + 1e-9, 'or the same as the speed braked from');
    }
  });
export type TestDesign = z.infer<typeof testDesignSchema>;

/** What a stop was driven in. */
export const testConditionsSchema = z.strictObject({
  surface: z.enum(TEST_SURFACES).meta({ title: 'Surface' }),
  slopePercent: numberField({
    title: 'Slope',
    quantity: 'percent',
    min: -20,
    max: 20,
    usual: [-2, 2],
    step: 0.1,
    description: 'Up the hill is positive, down is negative; in the direction braked. Both ways cancel it.',
  }),
  windKmh: numberField({
    title: 'Head wind',
    quantity: 'speed',
    min: -100,
    max: 100,
    usual: [-20, 20],
    step: 1,
    description: 'Against the car is positive, from behind negative.',
  }),
  tyres: z.string().trim().max(80).meta({ title: 'Tyres and grade' }),
  frontTyreBar: numberField({
    title: 'Front tyres',
    quantity: 'pressure',
    min: 0.5,
    max: 6,
    usual: [1.4, 2.8],
    step: 0.1,
    description: 'As driven, warm.',
  }).nullable(),
  rearTyreBar: numberField({
    title: 'Rear tyres',
    quantity: 'pressure',
    min: 0.5,
    max: 6,
    usual: [1.4, 2.8],
    step: 0.1,
    description: 'As driven, warm.',
  }).nullable(),
  massKg: numberField({
    title: 'Mass as driven',
    quantity: 'mass',
    min: 100,
    max: 6000,
    usual: [700, 2500],
    step: 5,
    description: 'With fuel, driver and passenger. Left empty, the car’s own.',
  }).nullable(),
  airC: numberField({
    title: 'Air',
    quantity: 'temperature',
    min: -40,
    max: 55,
    usual: [5, 35],
    step: 1,
    description: 'Left empty, as in the plan.',
  }).nullable(),
});
export type TestConditions = z.infer<typeof testConditionsSchema>;

/** A stop that was driven, as it was written down. */
export const testStopSchema = z
  .strictObject({
    /** Its place in the run, from 1; two devices may give the same one */
    n: count('Stop', 1, 2000, [1, 60], 'In the order driven.'),
    fromKmh: speed('Speed braked from', 'As read when the brakes were first touched.').nullable(),
    toKmh: speed('Speed braked to', '0 for a stop to rest.', 0),
    distanceM: metres(
      'Distance',
      'From first touch to the last speed. Left empty where it is the sum of marks.',
    ).nullable(),
    /** Lengths of a tape laid end to end */
    marksM: z.array(metres('Length', 'One length of the tape; all of them add up.')).max(40),
    timeS: numberField({
      title: 'Time',
      quantity: 'seconds',
      min: 0.1,
      max: 120,
      usual: [1, 8],
      step: 0.1,
      description: 'From first touch to the last speed.',
    }).nullable(),
    pedalN: numberField({
      title: 'Pedal force',
      quantity: 'force',
      min: 1,
      max: 3000,
      usual: [100, 800],
      step: 10,
      description: 'Greatest in the stop.',
    }).nullable(),
    abs: z.boolean().nullable().meta({ title: 'ABS felt' }),
    meanMs2: rate('Mean deceleration', 'Mean fully developed, where an instrument tells it.').nullable(),
    temperatureC: numberField({
      title: 'Temperature after it',
      quantity: 'temperature',
      min: -40,
      max: 1200,
      usual: [60, 600],
      step: 5,
      description: 'Where the run says it is read.',
    }).nullable(),
    /** s since the run began, at first touch */
    atS: numberField({
      title: 'Since the start',
      quantity: 'seconds',
      min: 0,
      max: 90000,
      usual: [0, 1800],
      step: 1,
      description: 'When it was braked, by the clock of the run.',
    }).nullable(),
    /** One standard deviation of the distance, where the source knows it */
    errorM: numberField({
      title: 'Error of the distance',
      quantity: 'distance',
      min: 0,
      max: 200,
      usual: [0.1, 3],
      step: 0.1,
      description: 'One standard deviation.',
    }).nullable(),
    source: z.enum(STOP_SOURCES).meta({ title: 'From' }),
    note: z.string().trim().max(200).meta({ title: 'Note' }),
  })
  .check((ctx) => {
    const { fromKmh, toKmh, distanceM, marksM } = ctx.value;
    if (fromKmh !== null && fromKmh <= toKmh) {
      ctx.issues.push({
        code: 'custom',
        input: toKmh,
        path: ['toKmh'],
        message: `must be under the speed braked from (${fromKmh} km/h)`,
      });
    }
    if (distanceM !== null && marksM.length > 0) {
      ctx.issues.push({
        code: 'custom',
        input: distanceM,
        path: ['distanceM'],
        message: 'must be empty where the tape’s lengths add up to it',
      });
    }
  });
export type TestStopStored = z.infer<typeof testStopSchema>;

export const MOST_TEST_STOPS = 300;
export const MOST_TEST_RUNS = 12;

const keyed = <T extends z.ZodType>(item: T, most: number, what: string) =>
  z.record(idSchema, item).check((ctx) => {
    if (Object.keys(ctx.value).length <= most) return;
    ctx.issues.push({ code: 'custom', input: ctx.value, message: `must have at most ${most} ${what}` });
  });

/** One run of a test: the car as it was fitted, what it was driven in, and its stops by their ids. */
export const testRunSchema = z.strictObject({
  name: nameSchema,
  /** Place in the list, from 1 */
  n: count('Run', 1, 1000, [1, 12], 'In the order driven.'),
  date: day,
  /** The setup it was driven with: runs of one name are compared with those of another */
  setup: z.string().trim().min(1).max(80).meta({ title: 'Setup' }),
  car: carSchema,
  /** Own parts that the car was fitted with */
  parts: z.array(partSchema).max(20),
  conditions: testConditionsSchema,
  /** Where temperatures are read */
  wheel: z.enum(['frontLeft', 'frontRight', 'rearLeft', 'rearRight']).meta({ title: 'Wheel' }),
  place: z.enum(TEST_PLACES).meta({ title: 'Where' }),
  stops: keyed(testStopSchema, MOST_TEST_STOPS, 'stops'),
  /** How an endurance run ended, s since its start; null while it has not, or where it is none */
  ended: z
    .strictObject({
      atS: numberField({
        title: 'Lasted',
        quantity: 'seconds',
        min: 1,
        max: 90000,
        usual: [120, 1800],
        step: 1,
        description: 'From the start to what ended it.',
      }),
      by: z.enum(RUN_ENDS).meta({ title: 'Ended by' }),
      axle: z.enum(['front', 'rear']).nullable().meta({ title: 'Axle' }),
    })
    .nullable(),
});
export type TestRun = z.infer<typeof testRunSchema>;

export const BENCH_CONTROLS = ['torque', 'pressure', 'deceleration'] as const;
export const BENCH_STARTS = ['time', 'temperature'] as const;

/** An inertia bench, and how it is to be told a circuit's stops. */
export const benchSchema = z
  .strictObject({
    wheel: z.enum(['frontLeft', 'frontRight', 'rearLeft', 'rearRight']).meta({ title: 'Wheel' }),
    leastInertia: numberField({
      title: 'Least inertia',
      quantity: 'inertia',
      min: 0,
      max: 1000,
      usual: [5, 30],
      step: 1,
      description: 'Of the shaft without flywheels.',
    }),
    mostInertia: numberField({
      title: 'Most inertia',
      quantity: 'inertia',
      min: 0.05,
      max: 1000,
      usual: [50, 200],
      step: 5,
      description: 'With all flywheels. A bench of none stores no work.',
    }),
    inertiaStep: numberField({
      title: 'Flywheel step',
      quantity: 'inertia',
      min: 0,
      max: 200,
      usual: [1, 10],
      step: 1,
      description: '0 where any inertia between can be set.',
    }),
    torqueNm: numberField({
      title: 'Most torque',
      quantity: 'torque',
      min: 10,
      max: 50000,
      usual: [1000, 6000],
      step: 100,
      description: 'Of the brake on the bench.',
    }),
    speedRpm: numberField({
      title: 'Most speed',
      quantity: 'rotation',
      min: 50,
      max: 10000,
      usual: [1200, 3000],
      step: 50,
      description: 'Of the disc.',
    }),
    airKmh: numberField({
      title: 'Most cooling air',
      quantity: 'speed',
      min: 1,
      max: 400,
      usual: [40, 200],
      step: 5,
      description: 'Speed of the air past the brake.',
    }),
    areaPercent: numberField({
      title: 'Swept area',
      quantity: 'percent',
      min: 1,
      max: 100,
      usual: [10, 100],
      step: 5,
      description: 'Of the car’s own brake; 100 for the whole one.',
    }),
    radiusPercent: numberField({
      title: 'Effective radius',
      quantity: 'percent',
      min: 10,
      max: 100,
      usual: [30, 100],
      step: 5,
      description: 'Of the car’s own brake; 100 for the whole one. The rubbing speed stays.',
    }),
    control: z.enum(BENCH_CONTROLS).meta({ title: 'Stops are held by' }),
    start: z.enum(BENCH_STARTS).meta({ title: 'Stops are begun by' }),
    bedding: z.boolean().meta({ title: 'Bedding first' }),
  })
  .check((ctx) => {
    const { leastInertia, mostInertia } = ctx.value;
    if (leastInertia <= mostInertia) return;
    ctx.issues.push({
      code: 'custom',
      input: leastInertia,
      path: ['leastInertia'],
      message: `must not be over the most (${mostInertia} kg·m²)`,
    });
  });
export type StoredBench = z.infer<typeof benchSchema>;

/** A brake test: what is to be driven, and the runs that were. */
export const brakeTestSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  carId: idSchema,
  date: day,
  design: testDesignSchema,
  runs: keyed(testRunSchema, MOST_TEST_RUNS, 'runs'),
  bench: benchSchema,
});
export type StoredTest = z.infer<typeof brakeTestSchema>;
