import * as z from 'zod/mini';
import { compareSchema } from './compare';
import { numberField } from './field';
import { idSchema, nameSchema } from './naming';
import { originsSchema } from './origin';
import { startSchema } from './state';
import { uncertainSchema } from './uncertain';

export const lapLegSchema = z.strictObject({
  kind: z.enum(['out', 'hot', 'cool']),
  laps: numberField({
    title: 'Laps',
    quantity: 'laps',
    min: 1,
    max: 60,
    integer: true,
    usual: [1, 15],
    step: 1,
    description: 'How many, one after the other.',
  }),
  pacePercent: numberField({
    title: 'Pace',
    quantity: 'percent',
    min: 20,
    max: 100,
    usual: [40, 100],
    step: 1,
    description: 'Share of the hot laps’ forces used; speeds go about with its root.',
  }),
});

export const standLegSchema = z.strictObject({
  kind: z.enum(['pit', 'paddock']),
  minutes: numberField({
    title: 'Standing',
    quantity: 'minutes',
    min: 0.1,
    max: 600,
    usual: [1, 60],
    step: 1,
    description: 'Fluid is hottest some minutes after the car has stopped.',
  }),
  fanKmh: numberField({
    title: 'Fan',
    quantity: 'speed',
    min: 0,
    max: 60,
    usual: [0, 25],
    step: 1,
    description: 'Air speed of a fan at the wheels; 0 without one.',
  }),
});

export const legSchema = z.discriminatedUnion('kind', [lapLegSchema, standLegSchema]);

export type PlanLeg = z.infer<typeof legSchema>;

export const sessionSchema = z
  .strictObject({
    name: nameSchema,
    ambientC: numberField({
      title: 'Air temperature',
      quantity: 'temperature',
      min: -30,
      max: 55,
      usual: [5, 38],
      step: 1,
      description: 'Of the air that reaches the brakes in this session.',
    }),
    gripPercent: numberField({
      title: 'Grip of the track',
      quantity: 'percent',
      min: 20,
      max: 110,
      usual: [50, 100],
      step: 5,
      description:
        'Over that of a dry track: about 75 damp, 55 wet. Typed braking zones are slower by it, too.',
    }),
    legs: z.array(legSchema).check(z.minLength(1), z.maxLength(40)),
  })
  .check((ctx) => {
    if (!ctx.value.legs.some((leg) => 'laps' in leg)) {
      ctx.issues.push({
        code: 'custom',
        input: ctx.value.legs,
        path: ['legs'],
        message: 'must have at least one lap: a session of standing only drives nothing',
      });
    }
  });

export type PlanSession = z.infer<typeof sessionSchema>;

/** Most laps of a day: more than a day and a night hold, and what half a gigabyte of records bears. */
const MOST_LAPS = 500;

/** What is driven, where, in which weather, how hard; as stored. A day of one or more sessions. */
export const planSchema = z
  .strictObject({
    id: idSchema,
    name: nameSchema,
    carId: idSchema,
    circuitId: idSchema,
    start: startSchema,
    sessions: z.array(sessionSchema).check(z.minLength(1), z.maxLength(12)),
    humidityPercent: numberField({
      title: 'Relative humidity',
      quantity: 'percent',
      min: 0,
      max: 100,
      usual: [30, 90],
      step: 5,
      description: 'Moist air is a little lighter.',
    }),
    /** At the circuit; null takes the standard pressure at its height */
    pressureHpa: z.nullable(
      numberField({
        title: 'Air pressure',
        quantity: 'airPressure',
        min: 500,
        max: 1100,
        usual: [960, 1040],
        step: 1,
        description: 'At the circuit, not reduced to sea level. Left empty, it follows from the height.',
      }),
    ),
    windKmh: numberField({
      title: 'Wind',
      quantity: 'speed',
      min: 0,
      max: 150,
      usual: [0, 40],
      step: 1,
      description:
        'Ten metres up, as weather services give it. It blows along the straights and over the brakes.',
    }),
    windFromDeg: numberField({
      title: 'Wind from',
      quantity: 'angle',
      min: 0,
      max: 360,
      usual: [0, 360],
      step: 5,
      description: 'Compass direction it comes from; north is 0, east 90.',
    }),
    brakingGripUsedPercent: numberField({
      title: 'Share of grip used in braking',
      quantity: 'percent',
      min: 20,
      max: 100,
      usual: [75, 97],
      step: 1,
      description: 'Share of the tyres’ grip the driver uses in braking.',
    }),
    corneringGripUsedPercent: numberField({
      title: 'Share of grip used in corners',
      quantity: 'percent',
      min: 20,
      max: 100,
      usual: [80, 97],
      step: 1,
      description: 'Share of the tyres’ grip the driver uses in corners.',
    }),
    brakesEarlier: z.boolean().check(z.meta({ title: 'Brake earlier when the brakes fade' })),
    /** On the driver's balance control at each braking zone in driving order; missing ones are 0 */
    clicks: z
      .array(
        numberField({
          title: 'Clicks',
          quantity: 'count',
          min: -30,
          max: 30,
          integer: true,
          usual: [-5, 5],
          step: 1,
          description: 'More push to the front with each click, less with each negative one.',
        }),
      )
      .check(z.maxLength(60)),
    brakeBuildUpS: numberField({
      title: 'Brake build-up',
      quantity: 'seconds',
      min: 0,
      max: 1,
      usual: [0.1, 0.4],
      step: 0.05,
      description: 'From first touch to full braking.',
    }),
    targetMarginK: numberField({
      title: 'Margin to keep',
      quantity: 'difference',
      min: 0,
      max: 600,
      usual: [10, 60],
      step: 5,
      description: 'At every temperature limit. An uncalibrated prediction deserves a wide one.',
    }),
    minutes: numberField({
      title: 'Session lasts',
      quantity: 'minutes',
      min: 3,
      max: 600,
      usual: [15, 40],
      step: 1,
      description: 'From leaving the pit lane to being back in it.',
    }),
    compare: compareSchema,
    uncertain: uncertainSchema,
    /** Day it is driven; null where that is not known */
    date: z.nullable(z.iso.date('must be a date like 2027-05-01')).check(z.meta({ title: 'Date' })),
    /** How each of its values is known */
    origins: originsSchema,
  })
  .check((ctx) => {
    const laps = ctx.value.sessions
      .flatMap(({ legs }) => legs)
      .reduce((sum, leg) => sum + ('laps' in leg ? leg.laps : 0), 0);
    if (laps > MOST_LAPS) {
      ctx.issues.push({
        code: 'custom',
        input: ctx.value.sessions,
        path: ['sessions'],
        message: `must have at most ${MOST_LAPS} laps in a day, not ${laps}: plan the rest as a day of its own`,
      });
    }
  });

export type Plan = z.infer<typeof planSchema>;
