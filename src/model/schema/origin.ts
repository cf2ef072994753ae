import * as z from 'zod/mini';

/** How a value is known, from a guess to what was fitted to measurements. */
export const ORIGIN_IDS = ['assumed', 'typed', 'measured', 'calibrated'] as const;
export type Origin = (typeof ORIGIN_IDS)[number];

const originSchema = z.enum(ORIGIN_IDS);

/** Most values that an item says one by one how they are known. */
const MOST = 400;

/** How an item's values are known: those that are listed by their dotted path, and all others. */
export const originsSchema = z
  .strictObject({
    rest: originSchema.check(z.meta({ title: 'Values that are not listed are' })),
    known: z
      .record(z.string().check(z.minLength(1), z.maxLength(120)), originSchema)
      .check(z.meta({ title: 'Values by path' })),
  })
  .check((ctx) => {
    if (Object.keys(ctx.value.known).length <= MOST) return;
    ctx.issues.push({
      code: 'custom',
      input: ctx.value.known,
      path: ['known'],
      message: `must list at most ${MOST} values`,
    });
  });
export type Origins = z.infer<typeof originsSchema>;
