import * as z from 'zod/mini';
import { numberField } from './field';

/** Electrical braking of one axle as stored. */
export const recoverySchema = z.strictObject({
  axle: z.enum(['front', 'rear']).check(z.meta({ title: 'Axle' })),
  powerKw: numberField({
    title: 'Recovery power',
    quantity: 'power',
    min: 0,
    max: 1000,
    usual: [30, 200],
    step: 5,
    description: 'Greatest braking power taken by the motor; it spares that axle’s brakes.',
  }),
  lowestSpeedKmh: numberField({
    title: 'Fades out at',
    quantity: 'speed',
    min: 1,
    max: 100,
    usual: [7, 20],
    step: 1,
    description: 'Recovery fades from twice this speed to nothing at it.',
  }),
  blending: z.enum(['blended', 'added']).check(z.meta({ title: 'With the friction brakes' })),
  derating: z
    .array(
      z.strictObject({
        takenKwh: numberField({
          title: 'Energy taken',
          quantity: 'batteryEnergy',
          min: 0,
          max: 200,
          usual: [0, 20],
          step: 0.5,
          description: 'By the motor since the session began.',
        }),
        powerPercent: numberField({
          title: 'Power left',
          quantity: 'percent',
          min: 0,
          max: 100,
          usual: [20, 100],
          step: 5,
          description: 'Of the recovery power, at that energy.',
        }),
      }),
    )
    .check(
      z.maxLength(12),
      (ctx) => {
        ctx.value.forEach((point, i, all) => {
          if (i > 0 && !(point.takenKwh > all[i - 1].takenKwh)) {
            ctx.issues.push({
              code: 'custom',
              input: point.takenKwh,
              path: [i, 'takenKwh'],
              message: `must be over the point before it (${all[i - 1].takenKwh} kWh)`,
            });
          }
        });
      },
      z.meta({ title: 'Derating' }),
    ),
});
