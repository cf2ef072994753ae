import * as z from 'zod/mini';
import { numberField } from './field';
import { idSchema } from './naming';

/** The brake fluid in a car. */
export const carFluidSchema = z.strictObject({
  kind: idSchema.check(z.meta({ title: 'Brake fluid' })),
  ageMonths: numberField({
    title: 'Fluid age',
    quantity: 'months',
    min: 0,
    max: 240,
    usual: [0, 24],
    step: 1,
    description: 'Since it was last changed. Glycol fluid takes up water with time and boils earlier.',
  }),
  waterFirstYearPercent: numberField({
    title: 'Water in the first year',
    quantity: 'percent',
    min: 0,
    max: 5,
    usual: [1, 3.7],
    step: 0.1,
    description: 'By mass. About 2 in a mild climate; 1 to 3.7 is reported.',
  }),
  measuredBoilingC: z.nullable(
    numberField({
      title: 'Measured boiling point',
      quantity: 'temperature',
      min: 90,
      max: 350,
      usual: [150, 300],
      step: 5,
      description:
        'From a boil test of the fluid in the car, as at sea level. It overrides what age and class predict.',
    }),
  ),
  freeWater: z.boolean().check(
    z.meta({
      title: 'Free water in silicone fluid',
      description:
        'Silicone takes up no water: what gets in lies at the lowest point and boils at 100 °C (212 °F).',
    }),
  ),
});
