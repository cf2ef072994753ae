import * as z from 'zod/mini';
import {
  exp,
  NINETY_FIVE,
  PARAMETER_IDS,
  PARAMETERS,
  type ParameterId,
  type UncertainRange,
} from '../../core';
import { PRIORS, parameterInfo, parameterToCore } from '../parameters/parameterInfo';
import { numberField } from './field';

function rangeSchema(id: ParameterId) {
  const { title, ...field } = parameterInfo(id);
  return z
    .strictObject({
      use: z.boolean().check(z.meta({ title: `${title} is uncertain` })),
      low: numberField({ ...field, title: `${title} from` }),
      high: numberField({ ...field, title: `${title} to` }),
      shape: z.enum(['even', 'bell']).check(z.meta({ title: 'How likely within' })),
    })
    .check((ctx) => {
      const { low, high } = ctx.value;
      if (low <= high) return;
      ctx.issues.push({
        code: 'custom',
        input: low,
        path: ['low'],
        message: `must not be over the upper end (${high}): the range is upside down`,
      });
    });
}

/** What is uncertain about a plan, and how it is tried out; as stored. */
export const uncertainSchema = z.strictObject({
  ranges: z.strictObject(
    Object.fromEntries(PARAMETER_IDS.map((id) => [id, rangeSchema(id)])) as Record<
      ParameterId,
      ReturnType<typeof rangeSchema>
    >,
  ),
  runs: numberField({
    title: 'Runs',
    quantity: 'count',
    min: 20,
    max: 5000,
    integer: true,
    usual: [100, 1000],
    step: 50,
    description: 'Days simulated, each with its own draw of every uncertain input.',
  }),
  seed: numberField({
    title: 'Seed',
    quantity: 'count',
    min: 0,
    max: 4294967295,
    integer: true,
    usual: [0, 9999],
    step: 1,
    description: 'The same seed draws the same runs and gives the same answer.',
  }),
});
export type Uncertain = z.infer<typeof uncertainSchema>;

/** Drawn unless the user says otherwise; the others are for those who look closer. */
const DRAWN: readonly ParameterId[] = [
  'frontCooling',
  'rearCooling',
  'frontFriction',
  'rearFriction',
  'mass',
  'padHeat',
  'ambient',
  'fluidState',
  'driver',
];

/** What is uncertain about a car that has not been measured. */
export const DEFAULT_UNCERTAIN: Uncertain = {
  ranges: Object.fromEntries(
    PARAMETER_IDS.map((id) => [id, { use: DRAWN.includes(id), ...PRIORS[id], shape: 'bell' as const }]),
  ) as Uncertain['ranges'],
  runs: 300,
  seed: 1,
};

/**
 * The ranges of a plan that are used, in SI: factors, K or kg. What was measured of the car is as uncertain as that left it,
 * about the measured value, whatever the plan says.
 */
export function uncertainRanges(
  { ranges }: Uncertain,
  calibration: {
    readonly values: readonly { readonly parameter: ParameterId; readonly spread: number }[];
  } | null = null,
): UncertainRange[] {
  return PARAMETER_IDS.filter((id) => ranges[id].use).map((id) => {
    const measured = calibration?.values.find(({ parameter }) => parameter === id);
    if (measured) {
      const far = NINETY_FIVE * measured.spread;
      const factor = PARAMETERS[id].how === 'factor';
      return {
        input: id,
        low: factor ? exp(-far) : -far,
        high: factor ? exp(far) : far,
        shape: 'bell',
        log: factor,
      };
    }
    const { low, high, shape } = ranges[id];
    return { input: id, low: parameterToCore(id, low), high: parameterToCore(id, high), shape };
  });
}
