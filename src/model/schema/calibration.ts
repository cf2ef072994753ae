import * as z from 'zod/mini';
import { choleskyFactor, PARAMETER_IDS } from '../../core';
import { carSchema } from './car';
import { idSchema, nameSchema } from './naming';

/** What measurements told of a car, as stored: the most likely values and how far they are uncertain together. */
export const calibrationSchema = z
  .strictObject({
    id: idSchema,
    name: nameSchema,
    carId: idSchema,
    date: z.iso.date('must be a date like 2027-05-01').check(z.meta({ title: 'Date' })),
    /** The car as it was fitted then: another pad or duct takes away what it touches */
    car: carSchema,
    /** Drives it comes of, by name, and how many observations were used */
    drives: z.array(nameSchema).check(z.minLength(1), z.maxLength(20)),
    observations: z.int().check(z.gte(1), z.lte(2000), z.meta({ title: 'Observations used' })),
    values: z
      .array(
        z.strictObject({
          parameter: z.enum(PARAMETER_IDS),
          /** A factor on what is computed, or K or kg added to it */
          value: z.number().check(z.gte(-1000), z.lte(1000), z.meta({ title: 'Value' })),
          /** One standard deviation: of a factor's natural logarithm, or of what is added */
          spread: z.number().check(z.positive(), z.lte(1000), z.meta({ title: 'Spread' })),
          /** Spread over the one before anything was measured */
          shrunk: z.number().check(z.positive(), z.lte(10), z.meta({ title: 'Spread left' })),
        }),
      )
      .check(z.minLength(1), z.maxLength(PARAMETER_IDS.length)),
    /** Of the values with each other, row by row */
    correlations: z
      .array(z.array(z.number().check(z.gte(-1), z.lte(1))).check(z.maxLength(PARAMETER_IDS.length)))
      .check(z.maxLength(PARAMETER_IDS.length)),
  })
  .check((ctx) => {
    const { values, correlations } = ctx.value;
    const twice = values.findIndex(
      ({ parameter }, i) => values.findIndex((other) => other.parameter === parameter) < i,
    );
    const issue = (path: (string | number)[], message: string) =>
      ctx.issues.push({ code: 'custom', input: ctx.value, path, message });
    if (twice >= 0) issue(['values', twice, 'parameter'], 'must be named once');
    if (correlations.length !== values.length || correlations.some((row) => row.length !== values.length)) {
      issue(['correlations'], `must have a row and a column for each of the ${values.length} values`);
    } else if (!areCorrelations(correlations)) {
      issue(
        ['correlations'],
        'must be alike across the diagonal of ones, and no stronger together than values can be',
      );
    }
  });
/** Whether a matrix can be one of correlations: symmetric, ones in its diagonal, positive definite but for rounding. */
function areCorrelations(matrix: readonly (readonly number[])[]): boolean {
  const alike = matrix.every((row, i) =>
    row.every((v, k) => (i === k ? v === 1 : Math.abs(v - matrix[k][i]) < 1e-6)),
  );
  if (!alike) return false;
  try {
    choleskyFactor(matrix.map((row, i) => row.map((v, k) => (i === k ? 1 : ROUNDED * v))));
    return true;
  } catch {
    return false;
  }
}
/** A matrix that was rounded when it was stored may just miss being positive definite. */
const ROUNDED = 0.999;

export type Calibration = z.infer<typeof calibrationSchema>;
