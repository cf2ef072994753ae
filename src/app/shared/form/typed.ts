import { z } from 'zod';
import { type FieldInfo, type FieldLimits, fieldInfo, type UnitChoice } from '../../../model';
import { say } from '../../../text/en/say/shared';
import { understood } from '../numberText';

/** The form's schema of a number as it is typed, in the units that are shown; out comes what is stored. */
function typed(info: FieldInfo & FieldLimits, units: UnitChoice, text: string, ctx: z.RefinementCtx): number {
  const no = (message: string) => {
    ctx.addIssue({ code: 'custom', message });
    return z.NEVER;
  };
  const read = understood(text, info, units);
  return 'stored' in read ? read.stored : no(read.error);
}

/** @param schema of the stored number */
export const typedNumber = (schema: z.ZodType<number>, units: UnitChoice) => {
  const info = fieldInfo(schema);
  return z.string().transform((text, ctx) => typed(info, units, text, ctx));
};

/** The same where nothing typed means that nobody knows. */
export const typedOrUnknown = (schema: z.ZodType<number>, units: UnitChoice) => {
  const info = fieldInfo(schema);
  return z.string().transform((text, ctx) => (text.trim() === '' ? null : typed(info, units, text, ctx)));
};

/** A choice of a form where the empty text means that nobody knows. */
export const chosenOrUnknown = <const T extends readonly string[]>(options: T) =>
  z.enum(['', ...options]).transform((value) => (value === '' ? null : (value as T[number])));

/** A name of a form. */
export const typedName = z.string().trim().min(1, say.nameNeeded).max(80, say.nameTooLong);
