import * as z from 'zod/mini';
import { type FieldInfo, type FieldLimits, fieldInfo, type UnitChoice } from '../../../model';
import { say } from '../../../text/en/say/shared';
import { understood } from '../numberText';

/** The form's schema of a number as it is typed, in the units that are shown; out comes what is stored. */
function typed(
  info: FieldInfo & FieldLimits,
  units: UnitChoice,
  text: string,
  ctx: z.core.ParsePayload,
): number {
  const no = (message: string) => {
    ctx.issues.push({ code: 'custom', input: text, message });
    return z.NEVER;
  };
  const read = understood(text, info, units);
  return 'stored' in read ? read.stored : no(read.error);
}

/** @param schema of the stored number */
export const typedNumber = (schema: z.ZodMiniType<number>, units: UnitChoice) => {
  const info = fieldInfo(schema);
  return z.pipe(
    z.string(),
    z.transform((text, ctx) => typed(info, units, text, ctx)),
  );
};

/** The same where nothing typed means that nobody knows. */
export const typedOrUnknown = (schema: z.ZodMiniType<number>, units: UnitChoice) => {
  const info = fieldInfo(schema);
  return z.pipe(
    z.string(),
    z.transform((text, ctx) => (text.trim() === '' ? null : typed(info, units, text, ctx))),
  );
};

/** A choice of a form where the empty text means that nobody knows. */
export const chosenOrUnknown = <const T extends readonly string[]>(options: T) =>
  z.pipe(
    z.enum(['', ...options]),
    z.transform((value) => (value === '' ? null : (value as T[number]))),
  );

/** A name of a form. */
export const typedName = z
  .string()
  .check(z.trim(), z.minLength(1, say.nameNeeded), z.maxLength(80, say.nameTooLong));
