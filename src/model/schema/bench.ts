import * as z from 'zod/mini';
import { numberField } from './field';

export const BENCH_CONTROLS = ['torque', 'pressure', 'deceleration'] as const;
export const BENCH_STARTS = ['time', 'temperature'] as const;

/** An inertia bench, and how it is to be told a circuit's stops. */
export const benchSchema = z
  .strictObject({
    wheel: z.enum(['frontLeft', 'frontRight', 'rearLeft', 'rearRight']).check(z.meta({ title: 'Wheel' })),
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
    control: z.enum(BENCH_CONTROLS).check(z.meta({ title: 'Stops are held by' })),
    start: z.enum(BENCH_STARTS).check(z.meta({ title: 'Stops are begun by' })),
    bedding: z.boolean().check(z.meta({ title: 'Bedding first' })),
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
