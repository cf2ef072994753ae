import * as z from 'zod/mini';
import { carSchema } from './car';
import { circuitSchema } from './circuit';
import { numberField } from './field';
import { idSchema, nameSchema } from './naming';
import { partSchema } from './part';
import { planSchema } from './plan';
import { stateSchema } from './state';

const wheel = z.enum(['frontLeft', 'frontRight', 'rearLeft', 'rearRight']).check(z.meta({ title: 'Wheel' }));
const axle = z.enum(['front', 'rear']).check(z.meta({ title: 'Axle' }));

/** On which lap, counted through the drive; null never. */
const onLap = z.nullable(
  numberField({
    title: 'On lap',
    quantity: 'count',
    min: 1,
    max: 200,
    integer: true,
    usual: [1, 15],
    step: 1,
    description: 'Counted through the drive, the out lap first.',
  }),
);

/** Where a hand-held reading or a mark is taken. */
export const SPOT_PLACES = ['disc', 'caliper', 'padPlate', 'hub'] as const;
export const PAINT_PLACES = ['ringEdge', 'caliper', 'padPlate'] as const;
export const SENSOR_PLACES = ['disc', 'caliper', 'fluid'] as const;
export const INSTRUMENTS = ['contact', 'infrared', 'thermocouple'] as const;
export type Instrument = (typeof INSTRUMENTS)[number];
export const LIGHTS = ['dark', 'dusk', 'day'] as const;

const shared = {
  id: idSchema,
  /** Why it is not used; null where it is */
  excluded: z
    .nullable(z.string().check(z.trim(), z.minLength(1), z.maxLength(120)))
    .check(z.meta({ title: 'Not used because' })),
  note: z.string().check(z.trim(), z.maxLength(200), z.meta({ title: 'Note' })),
};

const temperature = (title: string, description: string, usual: readonly [number, number]) =>
  numberField({ title, quantity: 'temperature', min: -40, max: 1600, usual, step: 5, description });

export const observationSchemas = {
  paint: z.strictObject({
    kind: z.literal('paint'),
    ...shared,
    wheel,
    place: z.enum(PAINT_PLACES).check(z.meta({ title: 'Where' })),
    thresholdC: temperature('Turns at', 'Temperature that the paint or the strip’s field tells.', [60, 700]),
    turned: z.boolean().check(z.meta({ title: 'Turned' })),
  }),
  spot: z.strictObject({
    kind: z.literal('spot'),
    ...shared,
    wheel,
    place: z.enum(SPOT_PLACES).check(z.meta({ title: 'Where' })),
    valueC: temperature('Reading', 'As the instrument showed it.', [60, 600]),
    lap: numberField({
      title: 'Stopped after lap',
      quantity: 'count',
      min: 1,
      max: 200,
      integer: true,
      usual: [1, 15],
      step: 1,
      description: 'Laps counted through the drive, the out lap first; the car stood after this one.',
    }),
    afterS: numberField({
      title: 'Seconds after the car stopped',
      quantity: 'seconds',
      min: 0,
      max: 7200,
      usual: [20, 300],
      step: 10,
      description: 'A late reading is put back by the model, never by a rule of thumb.',
    }),
    instrument: z.enum(INSTRUMENTS).check(z.meta({ title: 'Instrument' })),
    emissivity: z.nullable(
      numberField({
        title: 'Emissivity set on the instrument',
        quantity: 'factor',
        min: 0.1,
        max: 1,
        usual: [0.5, 0.95],
        step: 0.05,
        description: 'Of an infrared instrument; most are fixed at 0.95.',
      }),
    ),
    errorK: z.nullable(
      numberField({
        title: 'Usual error',
        quantity: 'difference',
        min: 0.5,
        max: 200,
        usual: [3, 30],
        step: 1,
        description: 'One standard deviation. Left empty, what is usual of the instrument.',
      }),
    ),
  }),
  boiled: z.strictObject({
    kind: z.literal('boiled'),
    ...shared,
    axle,
    lap: onLap,
    sign: z.enum(['boiled', 'long pedal']).check(z.meta({ title: 'Sign' })),
  }),
  faded: z.strictObject({ kind: z.literal('faded'), ...shared, axle, lap: onLap }),
  glow: z.strictObject({
    kind: z.literal('glow'),
    ...shared,
    wheel,
    lap: onLap,
    light: z.enum(LIGHTS).check(z.meta({ title: 'Light' })),
  }),
  sensor: z.strictObject({
    kind: z.literal('sensor'),
    ...shared,
    wheel,
    place: z.enum(SENSOR_PLACES).check(z.meta({ title: 'Where' })),
    /** Of the log it was taken from */
    channel: nameSchema,
    errorK: numberField({
      title: 'Usual error',
      quantity: 'difference',
      min: 0.5,
      max: 200,
      usual: [5, 30],
      step: 1,
      description: 'One standard deviation of a sample; offset and lag are found besides.',
    }),
    /** Seconds since the drive began, and the reading */
    samples: z
      .array(
        z.strictObject({
          s: numberField({
            title: 'Time',
            quantity: 'seconds',
            min: 0,
            max: 90000,
            usual: [0, 2400],
            description: 'Since the drive began.',
          }),
          c: temperature('Reading', 'As logged.', [40, 700]),
        }),
      )
      .check(z.minLength(1), z.maxLength(120)),
  }),
  worn: z.strictObject({
    kind: z.literal('worn'),
    ...shared,
    wheel,
    padMm: numberField({
      title: 'Pad lost',
      quantity: 'smallLength',
      min: 0,
      max: 20,
      usual: [0.05, 1],
      step: 0.1,
      description: 'Thickness before the drive less thickness after it, of the pad that lost more.',
    }),
  }),
} as const;

/** Something that was observed of a drive; as stored. */
export const observationSchema = z.discriminatedUnion('kind', [
  observationSchemas.paint,
  observationSchemas.spot,
  observationSchemas.boiled,
  observationSchemas.faded,
  observationSchemas.glow,
  observationSchemas.sensor,
  observationSchemas.worn,
]);
export type Observation = z.infer<typeof observationSchema>;
export type ObservationKind = Observation['kind'];
export type ObservationOf<K extends ObservationKind> = Extract<Observation, { kind: K }>;

export const MOST_OBSERVATIONS = 80;

/** What a driver notices. */
export const SYMPTOMS = [
  'long pedal',
  'spongy pedal',
  'hard pedal',
  'sinking pedal',
  'vibration',
  'pulling',
  'noise',
  'smell',
  'glow',
  'warning lamp',
] as const;
export type Symptom = (typeof SYMPTOMS)[number];

/** Something that was noticed while driving. */
const symptomSchema = z.strictObject({
  id: idSchema,
  symptom: z.enum(SYMPTOMS).check(z.meta({ title: 'Symptom' })),
  lap: onLap,
  note: z.string().check(z.trim(), z.maxLength(200), z.meta({ title: 'Note' })),
});
export type NotedSymptom = z.infer<typeof symptomSchema>;

/** A session that was driven and what was observed of it; car, circuit and plan are as they were then. */
export const driveSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  date: z.iso.date('must be a date like 2027-05-01').check(z.meta({ title: 'Date' })),
  car: carSchema,
  circuit: circuitSchema,
  plan: planSchema,
  /** State its brakes began from; null where they began from none */
  begun: z.nullable(stateSchema),
  /** Own parts that the car was fitted with */
  parts: z.array(partSchema).check(z.maxLength(20)),
  /** Log it was driven by, kept in the browser; null where it was driven as planned */
  log: z.nullable(z.strictObject({ id: idSchema, name: nameSchema })),
  observations: z.array(observationSchema).check(z.maxLength(MOST_OBSERVATIONS)),
  /** What the driver noticed */
  symptoms: z.array(symptomSchema).check(z.maxLength(MOST_OBSERVATIONS)),
});
export type StoredDrive = z.infer<typeof driveSchema>;
