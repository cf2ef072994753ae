import * as z from 'zod/mini';
import { VANE_IDS } from '../catalogue/parts';
import { TYRE_KIND_IDS } from '../catalogue/tyres';
import { numberField } from './field';
import { idSchema, nameSchema } from './naming';

const axle = z.enum(['front', 'rear']).check(z.meta({ title: 'Axle' }));

/** One thing that is different about a setup. */
export const changeSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('part'), part: idSchema, axle }),
  z.strictObject({
    kind: z.literal('duct'),
    axle,
    areaCm2: numberField({
      title: 'Duct area',
      quantity: 'area',
      min: 0,
      max: 300,
      usual: [0, 80],
      step: 1,
      description: 'Open area of the duct to each wheel of the axle.',
    }),
  }),
  z.strictObject({
    kind: z.literal('tape'),
    axle,
    percent: numberField({
      title: 'Blanked off',
      quantity: 'percent',
      min: 0,
      max: 100,
      usual: [0, 60],
      step: 5,
      description: 'Share of the duct’s mouth that is closed.',
    }),
  }),
  z.strictObject({
    kind: z.literal('shield'),
    axle,
    percent: numberField({
      title: 'Dust shield',
      quantity: 'percent',
      min: 0,
      max: 100,
      usual: [0, 80],
      step: 5,
      description: 'Share of the inner surface it covers; 0 takes it off.',
    }),
  }),
  z.strictObject({
    kind: z.literal('tyres'),
    tyres: z.enum(TYRE_KIND_IDS).check(z.meta({ title: 'Tyres' })),
  }),
  z.strictObject({
    kind: z.literal('vanes'),
    axle,
    vaneType: z.enum(VANE_IDS).check(z.meta({ title: 'Vanes' })),
  }),
  z.strictObject({
    kind: z.literal('thickness'),
    axle,
    thicknessMm: numberField({
      title: 'Rotor thickness',
      quantity: 'smallLength',
      min: 4,
      max: 60,
      usual: [10, 36],
      step: 0.5,
      description: 'With the air gap as it is: the cheeks get all of it.',
    }),
  }),
  z.strictObject({
    kind: z.literal('mass'),
    massKg: numberField({
      title: 'Mass',
      quantity: 'mass',
      min: 100,
      max: 6000,
      usual: [700, 2100],
      step: 5,
      description: 'On the scales with the driver.',
    }),
  }),
  z.strictObject({
    kind: z.literal('balance'),
    frontSharePercent: numberField({
      title: 'Brake balance (% front)',
      quantity: 'percent',
      min: 1,
      max: 99,
      usual: [50, 80],
      step: 0.5,
      description: 'Share of the braking made at the front with warm pads.',
    }),
  }),
]);
export type Change = z.infer<typeof changeSchema>;

/** A car with some changes, to lay beside others. */
export const setupSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  carId: idSchema,
  changes: z.array(changeSchema).check(z.maxLength(12)),
  otherCost: numberField({
    title: 'Other cost',
    quantity: 'count',
    min: 0,
    max: 1e7,
    usual: [0, 500],
    step: 10,
    description: 'What the prices of its parts leave out: fitting, bleeding, machining, another car.',
  }),
});
export type SetupVariant = z.infer<typeof setupSchema>;

/** Setups beside the plan as it is: six with it. */
export const MOST_SETUPS = 5;
export const compareSchema = z.strictObject({
  setups: z
    .array(setupSchema)
    .check(z.maxLength(MOST_SETUPS, `must have at most ${MOST_SETUPS} setups beside the plan’s own`)),
  /** Setup that differences are against; null is the plan as it is */
  referenceId: z.nullable(idSchema),
});
export type Compare = z.infer<typeof compareSchema>;
