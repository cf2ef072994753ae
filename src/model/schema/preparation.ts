import * as z from 'zod/mini';
import { carSchema } from './car';
import { changeSchema } from './compare';
import { numberField } from './field';
import { idSchema, nameSchema } from './naming';

const day = z.iso.date('must be a date like 2027-05-01').check(z.meta({ title: 'Date' }));
const person = z.string().check(z.trim(), z.minLength(1), z.maxLength(60), z.meta({ title: 'Name' }));
const moment = z.iso.datetime('must be a moment like 2027-05-01T18:30:00Z').check(z.meta({ title: 'When' }));
/** Names of steps and screws: `frontLeft pads in`. */
const keySchema = (longest: number) =>
  z.string().check(z.maxLength(longest), z.regex(/^[a-z][\w -]*$/i, 'must be the name of a step or a screw'));
/** Who did something, and when: UTC. */
const doneSchema = z.strictObject({ by: person, at: moment });
export type Done = z.infer<typeof doneSchema>;

export const PROTECTIONS = ['shield', 'sleeve', 'wrap', 'moved'] as const;
export const BLEED_WAYS = ['pedal', 'pressure', 'vacuum', 'gravity'] as const;
export type BleedWay = (typeof BLEED_WAYS)[number];
export const FLUID_COLOURS = ['clear', 'amber', 'brown', 'black', 'blue', 'green'] as const;
export const BEDDING_VERSIONS = ['track', 'road', 'bench', 'pre-bedded', 'glazed'] as const;
export type BeddingVersion = (typeof BEDDING_VERSIONS)[number];

const celsius = (title: string, description: string) =>
  numberField({
    title,
    quantity: 'temperature',
    min: 20,
    max: 1200,
    usual: [80, 650],
    step: 10,
    description,
  });
const count = (title: string, description: string) =>
  numberField({
    title,
    quantity: 'count',
    min: 0,
    max: 60,
    integer: true,
    usual: [4, 20],
    step: 1,
    description,
  });
const speed = (title: string, description: string) =>
  numberField({ title, quantity: 'speed', min: 5, max: 300, usual: [30, 180], step: 5, description });

const reading = (title: string, description: string) =>
  z.nullable(
    numberField({
      title,
      quantity: 'temperature',
      min: -40,
      max: 700,
      usual: [40, 200],
      step: 5,
      description,
    }),
  );

/** What was found at a wheel while it was open. */
const foundSchema = z.strictObject({
  rotorHand: z.nullable(z.enum(['left', 'right'])).check(z.meta({ title: 'Hand marked on the rotor' })),
  rotorKg: z.nullable(
    numberField({
      title: 'Rotor on the scales',
      quantity: 'mass',
      min: 0.3,
      max: 60,
      usual: [4, 14],
      step: 0.1,
      description: 'Before it is fitted. Left and right of one axle must be alike.',
    }),
  ),
  rotorMm: z.nullable(
    numberField({
      title: 'Rotor thickness',
      quantity: 'smallLength',
      min: 2,
      max: 60,
      usual: [8, 36],
      step: 0.1,
      description: 'By micrometer, the least of several points.',
    }),
  ),
  padMm: z.nullable(
    numberField({
      title: 'Thinnest pad',
      quantity: 'smallLength',
      min: 0.2,
      max: 45,
      usual: [3, 18],
      step: 0.5,
      description: 'Friction material of the pad that goes in.',
    }),
  ),
  padMark: z.string().check(z.trim(), z.maxLength(40), z.meta({ title: 'Marking on the pads' })),
});
export type Found = z.infer<typeof foundSchema>;
export const NOTHING_FOUND: Found = {
  rotorHand: null,
  rotorKg: null,
  rotorMm: null,
  padMm: null,
  padMark: '',
};

const bleedSchema = z.strictObject({
  /** Whole system, the front calipers between two sessions, or not at all */
  wanted: z.enum(['all', 'fronts', 'none']).check(z.meta({ title: 'Bleeding' })),
  way: z.enum(BLEED_WAYS).check(z.meta({ title: 'Way' })),
  oldColour: z.enum(FLUID_COLOURS).check(z.meta({ title: 'Colour of the old fluid' })),
  newColour: z.enum(FLUID_COLOURS).check(z.meta({ title: 'Colour of the new fluid' })),
  /** Drawn at each screw so far, by its id */
  drawn: z.record(
    keySchema(40),
    numberField({
      title: 'Drawn',
      quantity: 'volume',
      min: 0,
      max: 5000,
      usual: [20, 300],
      step: 5,
      description: 'Into the bottle at this screw.',
    }),
  ),
  /** What was looked at afterwards */
  level: z.nullable(doneSchema),
  leaks: z.nullable(doneSchema),
  firm: z.nullable(doneSchema),
  /** Filled in and written down; null while it is not */
  finished: z.nullable(doneSchema),
});

const beddedShare = (title: string) =>
  numberField({
    title,
    quantity: 'percent',
    min: 0,
    max: 100,
    usual: [80, 100],
    step: 5,
    description: 'Share of pads and faces, as predicted for what was driven, or as the faces look.',
  });
/** What was driven of a bedding run. */
export const outcomeSchema = z.strictObject({
  done: doneSchema,
  warmUps: count('Warm-ups driven', 'Counted on the card.'),
  snubs: count('Hard snubs driven', 'Counted on the card.'),
  frontPercent: beddedShare('Front bedded'),
  rearPercent: beddedShare('Rear bedded'),
  note: z.string().check(z.trim(), z.maxLength(300), z.meta({ title: 'Note' })),
});

const bedSchema = z.strictObject({
  version: z.enum(BEDDING_VERSIONS).check(z.meta({ title: 'Where' })),
  limitKmh: speed('Speed limit', 'Of the road; nothing of the plan goes over it.'),
  /** What came with the pads; null takes what is usual of their family */
  bedLowC: z.nullable(celsius('Bedding from', 'Pad surface, as the pads’ maker gives it.')),
  bedHighC: z.nullable(celsius('Bedding to', 'Pad surface, as the pads’ maker gives it.')),
  fromKmh: z.nullable(speed('Hard snubs from', 'Left empty, what suits car and place.')),
  toKmh: z.nullable(speed('Hard snubs to', 'Left empty, a third of it; never to a standstill.')),
  warmUps: z.nullable(count('Warm-up applications', 'Left empty, as many as rotors and pads need.')),
  snubs: z.nullable(count('Hard snubs', 'Left empty, as many as the pads need.')),
  /** What was driven of it; null while nothing was */
  outcome: z.nullable(outcomeSchema),
});
export type StoredBedding = z.infer<typeof bedSchema>;

/** Most steps that are ticked, and screws that are counted. */
const MOST_TICKS = 400;

/** An evening's work on a car: what is to be changed, what was done and found; as stored. */
export const preparationSchema = z
  .strictObject({
    id: idSchema,
    name: nameSchema,
    carId: idSchema,
    /** Day it is for */
    date: day,
    /** The car as it was fitted before */
    before: carSchema,
    changes: z.array(changeSchema).check(z.maxLength(12)),
    /** Of parts near something hot, by their id */
    protections: z
      .array(
        z.strictObject({
          part: idSchema,
          kind: z.enum(PROTECTIONS).check(z.meta({ title: 'Protection' })),
          beforeC: reading(
            'Reading before',
            'Strip, paint or pyrometer on the part, before it was protected.',
          ),
          afterC: reading('Reading after', 'The same after a session with the protection.'),
        }),
      )
      .check(z.maxLength(20)),
    bleed: bleedSchema,
    bed: bedSchema,
    found: z.strictObject({
      frontLeft: foundSchema,
      frontRight: foundSchema,
      rearLeft: foundSchema,
      rearRight: foundSchema,
    }),
    /** Steps that are done, by their id: two devices tick into one list */
    ticks: z.record(keySchema(80), doneSchema),
    /** Null while the car is not as wanted yet */
    signed: z.nullable(doneSchema),
  })
  .check((ctx) => {
    for (const [path, record] of [
      ['ticks', ctx.value.ticks],
      ['drawn', ctx.value.bleed.drawn],
    ] as const) {
      if (Object.keys(record).length <= MOST_TICKS) continue;
      ctx.issues.push({
        code: 'custom',
        input: record,
        path: path === 'drawn' ? ['bleed', 'drawn'] : [path],
        message: `must have at most ${MOST_TICKS} entries`,
      });
    }
    const { bedLowC, bedHighC, fromKmh, toKmh } = ctx.value.bed;
    const under = (key: string, low: number | null, high: number | null, what: string) => {
      if (low === null || high === null || low < high) return;
      ctx.issues.push({ code: 'custom', input: high, path: ['bed', key], message: what });
    };
    under('bedHighC', bedLowC, bedHighC, `must be over where bedding begins (${bedLowC} °C)`);
    under('toKmh', toKmh, fromKmh, `must be under the speed braked from (${fromKmh} km/h)`);
  });
export type Preparation = z.infer<typeof preparationSchema>;

/** A bottle of fluid on the shelf; as stored. */
export const bottleSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  fluid: idSchema.check(z.meta({ title: 'Brake fluid' })),
  leftCm3: numberField({
    title: 'Left in it',
    quantity: 'volume',
    min: 0,
    max: 25000,
    usual: [250, 1000],
    step: 50,
    description: 'Of new fluid; what has been drawn is never filled in again.',
  }),
  /** Null while it is sealed */
  openedOn: z.nullable(day),
  keepMonths: numberField({
    title: 'Kept once opened',
    quantity: 'months',
    min: 0,
    max: 60,
    usual: [3, 12],
    step: 1,
    description: 'How long an opened bottle is used: it takes up water from each opening on (your own rule).',
  }),
});
export type Bottle = z.infer<typeof bottleSchema>;
