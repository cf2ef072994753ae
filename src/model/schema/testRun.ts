import * as z from 'zod/mini';
import { carSchema } from './car';
import { numberField } from './field';
import { nameSchema } from './naming';
import { partSchema } from './part';
import { count, keyed, metres, rate, speed } from './testFields';

const day = z.iso.date('must be a date like 2027-05-01').check(z.meta({ title: 'Date' }));
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

/** What a stop was driven in. */
export const testConditionsSchema = z.strictObject({
  surface: z.enum(TEST_SURFACES).check(z.meta({ title: 'Surface' })),
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
  tyres: z.string().check(z.trim(), z.maxLength(80), z.meta({ title: 'Tyres and grade' })),
  frontTyreBar: z.nullable(
    numberField({
      title: 'Front tyres',
      quantity: 'pressure',
      min: 0.5,
      max: 6,
      usual: [1.4, 2.8],
      step: 0.1,
      description: 'As driven, warm.',
    }),
  ),
  rearTyreBar: z.nullable(
    numberField({
      title: 'Rear tyres',
      quantity: 'pressure',
      min: 0.5,
      max: 6,
      usual: [1.4, 2.8],
      step: 0.1,
      description: 'As driven, warm.',
    }),
  ),
  massKg: z.nullable(
    numberField({
      title: 'Mass as driven',
      quantity: 'mass',
      min: 100,
      max: 6000,
      usual: [700, 2500],
      step: 5,
      description: 'With fuel, driver and passenger. Left empty, the car’s own.',
    }),
  ),
  airC: z.nullable(
    numberField({
      title: 'Air',
      quantity: 'temperature',
      min: -40,
      max: 55,
      usual: [5, 35],
      step: 1,
      description: 'Left empty, as in the plan.',
    }),
  ),
});
export type TestConditions = z.infer<typeof testConditionsSchema>;

/** A stop that was driven, as it was written down. */
export const testStopSchema = z
  .strictObject({
    /** Its place in the run, from 1; two devices may give the same one */
    n: count('Stop', 1, 2000, [1, 60], 'In the order driven.'),
    fromKmh: z.nullable(speed('Speed braked from', 'As read when the brakes were first touched.')),
    toKmh: speed('Speed braked to', '0 for a stop to rest.', 0),
    distanceM: z.nullable(
      metres('Distance', 'From first touch to the last speed. Left empty where it is the sum of marks.'),
    ),
    /** Lengths of a tape laid end to end */
    marksM: z.array(metres('Length', 'One length of the tape; all of them add up.')).check(z.maxLength(40)),
    timeS: z.nullable(
      numberField({
        title: 'Time',
        quantity: 'seconds',
        min: 0.1,
        max: 120,
        usual: [1, 8],
        step: 0.1,
        description: 'From first touch to the last speed.',
      }),
    ),
    pedalN: z.nullable(
      numberField({
        title: 'Pedal force',
        quantity: 'force',
        min: 1,
        max: 3000,
        usual: [100, 800],
        step: 10,
        description: 'Greatest in the stop.',
      }),
    ),
    abs: z.nullable(z.boolean()).check(z.meta({ title: 'ABS felt' })),
    meanMs2: z.nullable(rate('Mean deceleration', 'Mean fully developed, where an instrument tells it.')),
    temperatureC: z.nullable(
      numberField({
        title: 'Temperature after it',
        quantity: 'temperature',
        min: -40,
        max: 1200,
        usual: [60, 600],
        step: 5,
        description: 'Where the run says it is read.',
      }),
    ),
    /** s since the run began, at first touch */
    atS: z.nullable(
      numberField({
        title: 'Since the start',
        quantity: 'seconds',
        min: 0,
        max: 90000,
        usual: [0, 1800],
        step: 1,
        description: 'When it was braked, by the clock of the run.',
      }),
    ),
    /** One standard deviation of the distance, where the source knows it */
    errorM: z.nullable(
      numberField({
        title: 'Error of the distance',
        quantity: 'distance',
        min: 0,
        max: 200,
        usual: [0.1, 3],
        step: 0.1,
        description: 'One standard deviation.',
      }),
    ),
    source: z.enum(STOP_SOURCES).check(z.meta({ title: 'From' })),
    note: z.string().check(z.trim(), z.maxLength(200), z.meta({ title: 'Note' })),
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

/** One run of a test: the car as it was fitted, what it was driven in, and its stops by their ids. */
export const testRunSchema = z.strictObject({
  name: nameSchema,
  /** Place in the list, from 1 */
  n: count('Run', 1, 1000, [1, 12], 'In the order driven.'),
  date: day,
  /** The setup it was driven with: runs of one name are compared with those of another */
  setup: z.string().check(z.trim(), z.minLength(1), z.maxLength(80), z.meta({ title: 'Setup' })),
  car: carSchema,
  /** Own parts that the car was fitted with */
  parts: z.array(partSchema).check(z.maxLength(20)),
  conditions: testConditionsSchema,
  /** Where temperatures are read */
  wheel: z.enum(['frontLeft', 'frontRight', 'rearLeft', 'rearRight']).check(z.meta({ title: 'Wheel' })),
  place: z.enum(TEST_PLACES).check(z.meta({ title: 'Where' })),
  stops: keyed(testStopSchema, MOST_TEST_STOPS, 'stops'),
  /** How an endurance run ended, s since its start; null while it has not, or where it is none */
  ended: z.nullable(
    z.strictObject({
      atS: numberField({
        title: 'Lasted',
        quantity: 'seconds',
        min: 1,
        max: 90000,
        usual: [120, 1800],
        step: 1,
        description: 'From the start to what ended it.',
      }),
      by: z.enum(RUN_ENDS).check(z.meta({ title: 'Ended by' })),
      axle: z.nullable(z.enum(['front', 'rear'])).check(z.meta({ title: 'Axle' })),
    }),
  ),
});
export type TestRun = z.infer<typeof testRunSchema>;
