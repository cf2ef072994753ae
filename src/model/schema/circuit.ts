import * as z from 'zod/mini';
import { numberField } from './field';
import { idSchema, nameSchema } from './naming';

const grade = numberField({
  title: 'Grade',
  quantity: 'percent',
  min: -25,
  max: 25,
  usual: [-6, 6],
  step: 0.5,
  description: 'Rise over length; uphill is positive and helps the brakes.',
});

export const straightSchema = z.strictObject({
  kind: z.literal('straight'),
  lengthM: numberField({
    title: 'Length',
    quantity: 'distance',
    min: 1,
    max: 8000,
    usual: [20, 1500],
    step: 1,
    description: 'Along the driven line.',
  }),
  gradePercent: grade,
});

export const cornerSchema = z.strictObject({
  kind: z.literal('corner'),
  name: z.string().check(z.trim(), z.maxLength(60), z.meta({ title: 'Corner name' })),
  radiusM: numberField({
    title: 'Radius',
    quantity: 'distance',
    min: 2,
    max: 3000,
    usual: [12, 300],
    step: 1,
    description: 'Of the driven line, which is wider than the kerb’s. It sets the speed to slow to.',
  }),
  angleDeg: numberField({
    title: 'Angle',
    quantity: 'angle',
    min: 1,
    max: 359,
    usual: [20, 180],
    step: 1,
    description: 'Turned through from entry to exit.',
  }),
  hand: z.enum(['left', 'right']).check(z.meta({ title: 'Hand' })),
  gradePercent: grade,
});

export const segmentSchema = z.discriminatedUnion('kind', [straightSchema, cornerSchema]);

export const typedZoneSchema = z
  .strictObject({
    name: z.string().check(z.trim(), z.maxLength(60), z.meta({ title: 'Place' })),
    entryKmh: numberField({
      title: 'Entry speed',
      quantity: 'speed',
      min: 5,
      max: 450,
      usual: [80, 280],
      step: 1,
      description: 'When the brakes go on.',
    }),
    exitKmh: numberField({
      title: 'Exit speed',
      quantity: 'speed',
      min: 0,
      max: 440,
      usual: [40, 160],
      step: 1,
      description: 'When the brakes come off.',
    }),
    by: z.enum(['distance', 'deceleration']).check(z.meta({ title: 'Defined by' })),
    distanceM: numberField({
      title: 'Braking distance',
      quantity: 'distance',
      min: 1,
      max: 1500,
      usual: [20, 200],
      step: 1,
      description: 'From brakes on to brakes off.',
    }),
    decelerationMs2: numberField({
      title: 'Deceleration',
      quantity: 'deceleration',
      min: 0.2,
      max: 60,
      usual: [5, 16],
      step: 0.1,
      description: 'Mean over the braking.',
    }),
    toNextM: numberField({
      title: 'To the next braking zone',
      quantity: 'distance',
      min: 1,
      max: 20000,
      usual: [50, 1500],
      step: 1,
      description: 'From brakes off to brakes on again.',
    }),
    timeToNextS: z.nullable(
      numberField({
        title: 'Time to the next',
        quantity: 'seconds',
        min: 0.1,
        max: 3600,
        usual: [3, 40],
        step: 0.1,
        description: 'Leave empty for a constant acceleration.',
      }),
    ),
    gradePercent: grade,
  })
  .check((ctx) => {
    const zone = ctx.value;
    if (zone.exitKmh >= zone.entryKmh) {
      ctx.issues.push({
        code: 'custom',
        input: zone.exitKmh,
        path: ['exitKmh'],
        message: `must be under the entry speed (${zone.entryKmh} km/h): a braking zone cannot be faster out than in`,
      });
    }
  });

/** Where a circuit lies on Earth. */
export const placeSchema = z.strictObject({
  latitudeDeg: numberField({
    title: 'Latitude of the start line',
    quantity: 'angle',
    min: -89,
    max: 89,
    usual: [-60, 70],
    step: 0.0001,
    description: 'North is positive. Logs with positions are cut into laps here.',
  }),
  longitudeDeg: numberField({
    title: 'Longitude of the start line',
    quantity: 'angle',
    min: -180,
    max: 180,
    usual: [-180, 180],
    step: 0.0001,
    description: 'East is positive.',
  }),
  bearingDeg: numberField({
    title: 'Bearing of the start',
    quantity: 'angle',
    min: 0,
    max: 360,
    usual: [0, 360],
    step: 1,
    description: 'Compass direction in which the start line is crossed; north is 0, east 90.',
  }),
  heightM: numberField({
    title: 'Height of the start line',
    quantity: 'distance',
    min: -500,
    max: 9000,
    usual: [0, 900],
    step: 1,
    description: 'Carried into exported files; heights along the line count from it.',
  }),
});
export type CircuitPlace = z.infer<typeof placeSchema>;

/** A circuit, as stored: a line of straights and corners, or a list of braking zones. */
export const circuitSchema = z
  .strictObject({
    id: idSchema,
    name: nameSchema,
    altitudeM: numberField({
      title: 'Height above sea level',
      quantity: 'distance',
      min: -400,
      max: 4500,
      usual: [0, 900],
      step: 10,
      description: 'Thin air cools less and drags less.',
    }),
    trackWidthM: numberField({
      title: 'Track width',
      quantity: 'distance',
      min: 3,
      max: 40,
      usual: [8, 15],
      step: 0.5,
      description: 'No corner of the driven line can be tighter than this.',
    }),
    /** Where its start line lies; null where it is nowhere in particular */
    place: z.nullable(placeSchema),
    source: z.enum(['typed', 'recorded', 'made-up']).check(
      z.meta({
        title: 'Comes from',
        description: 'Typed by hand, from a recording, or made up from a few facts.',
      }),
    ),
    layout: z.discriminatedUnion('kind', [
      z.strictObject({
        kind: z.literal('line'),
        segments: z.array(segmentSchema).check(z.minLength(2), z.maxLength(400)),
      }),
      z.strictObject({
        kind: z.literal('zones'),
        zones: z.array(typedZoneSchema).check(z.minLength(1), z.maxLength(200)),
      }),
    ]),
  })
  .check((ctx) => {
    const { layout, trackWidthM } = ctx.value;
    if (layout.kind !== 'line') return;
    layout.segments.forEach((segment, i) => {
      if (segment.kind !== 'corner' || segment.radiusM >= trackWidthM) return;
      ctx.issues.push({
        code: 'custom',
        input: segment.radiusM,
        path: ['layout', 'segments', i, 'radiusM'],
        message: `must be at least the track’s width (${trackWidthM} m): the corner is tighter than the track is wide`,
      });
    });
  });

export type Circuit = z.infer<typeof circuitSchema>;
export type CircuitSegment = z.infer<typeof segmentSchema>;
export type CircuitZone = z.infer<typeof typedZoneSchema>;
