import * as z from 'zod/mini';
import type { Quantity } from '../quantity/units';
import { speakPlainly } from './complaints';

speakPlainly();

/** What a form needs to know of a number, kept in the schema itself so that form, file and documentation agree. */
export interface FieldInfo {
  readonly title: string;
  readonly quantity: Quantity;
  /** Usual range, in the stored unit */
  readonly usual: readonly [number, number];
  /** What the value does, in a sentence or two */
  readonly description: string;
  /** Step of a control, in the stored unit */
  readonly step?: number;
}

export interface FieldLimits {
  readonly min: number;
  readonly max: number;
  readonly integer?: boolean;
}

const info = new WeakMap<object, FieldInfo & FieldLimits>();

/** A number of the project file with its limits and its description. */
export function numberField(field: FieldInfo & FieldLimits) {
  const base = field.integer ? z.int() : z.number();
  const schema = base.check(
    z.gte(field.min),
    z.lte(field.max),
    z.meta({
      title: field.title,
      description: field.description,
      unit: field.quantity,
      usual: [...field.usual],
    }),
  );
  info.set(schema, field);
  return schema;
}

/** The description of a number in a schema. @throws RangeError when the schema was not made by `numberField` */
export function fieldInfo(schema: z.ZodMiniType): FieldInfo & FieldLimits {
  const found = info.get(schema);
  if (!found) throw new RangeError('fieldInfo: the schema is no numberField');
  return found;
}
