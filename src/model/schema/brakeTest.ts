import * as z from 'zod/mini';
import { benchSchema } from './bench';
import { idSchema, nameSchema } from './naming';
import { testDesignSchema } from './testDesign';
import { keyed } from './testFields';
import { testRunSchema } from './testRun';

const MOST_TEST_RUNS = 12;

/** A brake test: what is to be driven, and the runs that were. */
export const brakeTestSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  carId: idSchema,
  date: z.iso.date('must be a date like 2027-05-01').check(z.meta({ title: 'Date' })),
  design: testDesignSchema,
  runs: keyed(testRunSchema, MOST_TEST_RUNS, 'runs'),
  bench: benchSchema,
});
export type StoredTest = z.infer<typeof brakeTestSchema>;
