import { z } from 'zod';
import { carSchema, idSchema, nameSchema } from './carSchema';
import { circuitSchema } from './circuitSchema';
import { numberField } from './field';

const share = (title: string, description: string, usual: readonly [number, number]) =>
  numberField({ title, quantity: 'percent', min: 20, max: 100, usual, step: 1, description });

/** What is driven, where, in which weather, how hard; as stored. */
export const planSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  carId: idSchema,
  circuitId: idSchema,
  outLaps: numberField({
    title: 'Out laps',
    quantity: 'laps',
    min: 0,
    max: 5,
    integer: true,
    usual: [1, 2],
    step: 1,
    description: 'Laps to bring tyres and brakes up together.',
  }),
  outPacePercent: share(
    'Out-lap pace',
    'Share of the hot laps’ forces used; speeds go about with its root.',
    [50, 80],
  ),
  hotLaps: numberField({
    title: 'Hot laps',
    quantity: 'laps',
    min: 1,
    max: 60,
    integer: true,
    usual: [4, 15],
    step: 1,
    description: 'Laps at full pace.',
  }),
  coolDownLaps: numberField({
    title: 'Cool-down laps',
    quantity: 'laps',
    min: 0,
    max: 5,
    integer: true,
    usual: [1, 2],
    step: 1,
    description: 'Slow laps with as little braking as can be before the paddock.',
  }),
  coolDownPacePercent: share(
    'Cool-down pace',
    'Share of the hot laps’ forces used on cool-down laps.',
    [30, 60],
  ),
  paddockMin: numberField({
    title: 'Paddock time',
    quantity: 'minutes',
    min: 0,
    max: 240,
    usual: [15, 60],
    step: 1,
    description: 'Standing after the last lap. Fluid is hottest some minutes into it.',
  }),
  ambientC: numberField({
    title: 'Air temperature',
    quantity: 'temperature',
    min: -30,
    max: 55,
    usual: [5, 38],
    step: 1,
    description: 'Of the air that reaches the brakes.',
  }),
  humidityPercent: numberField({
    title: 'Relative humidity',
    quantity: 'percent',
    min: 0,
    max: 100,
    usual: [30, 90],
    step: 5,
    description: 'Moist air is a little lighter.',
  }),
  brakingCommitmentPercent: numberField({
    title: 'Commitment in braking',
    quantity: 'percent',
    min: 20,
    max: 100,
    usual: [75, 97],
    step: 1,
    description: 'Share of the tyres’ grip the driver uses in braking.',
  }),
  corneringCommitmentPercent: numberField({
    title: 'Commitment in corners',
    quantity: 'percent',
    min: 20,
    max: 100,
    usual: [80, 97],
    step: 1,
    description: 'Share of the tyres’ grip the driver uses in corners.',
  }),
  brakeBuildUpS: numberField({
    title: 'Brake build-up',
    quantity: 'seconds',
    min: 0,
    max: 1,
    usual: [0.1, 0.4],
    step: 0.05,
    description: 'From first touch to full braking.',
  }),
});
export type Plan = z.infer<typeof planSchema>;

export const PROJECT_FORMAT = 'fervent-kettle-project';
export const PROJECT_VERSION = 1;

function uniqueIds(list: readonly { id: string }[], path: string, issues: z.core.$ZodRawIssue[]) {
  const seen = new Set<string>();
  list.forEach((item, i) => {
    if (seen.has(item.id)) {
      issues.push({
        code: 'custom',
        input: item.id,
        path: [path, i, 'id'],
        message: `is used twice: ${item.id}`,
      });
    }
    seen.add(item.id);
  });
}

/** A whole project as stored and as exported. */
export const projectSchema = z
  .strictObject({
    format: z.literal(PROJECT_FORMAT),
    version: z.literal(PROJECT_VERSION),
    name: nameSchema,
    cars: z.array(carSchema).min(1).max(200),
    circuits: z.array(circuitSchema).min(1).max(200),
    plans: z.array(planSchema).min(1).max(500),
    selectedPlanId: idSchema,
  })
  .check((ctx) => {
    const { cars, circuits, plans, selectedPlanId } = ctx.value;
    uniqueIds(cars, 'cars', ctx.issues);
    uniqueIds(circuits, 'circuits', ctx.issues);
    uniqueIds(plans, 'plans', ctx.issues);
    const missing = (path: (string | number)[], id: string, what: string) =>
      ctx.issues.push({
        code: 'custom',
        input: id,
        path,
        message: `names no ${what} of this project: ${id}`,
      });
    plans.forEach((plan, i) => {
      if (!cars.some((c) => c.id === plan.carId)) missing(['plans', i, 'carId'], plan.carId, 'car');
      if (!circuits.some((c) => c.id === plan.circuitId)) {
        missing(['plans', i, 'circuitId'], plan.circuitId, 'circuit');
      }
    });
    if (!plans.some((p) => p.id === selectedPlanId)) missing(['selectedPlanId'], selectedPlanId, 'plan');
  });
export type Project = z.infer<typeof projectSchema>;
