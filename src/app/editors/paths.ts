import { z } from 'zod';
import {
  carSchema,
  circuitSchema,
  type FieldInfo,
  type FieldLimits,
  fieldInfo,
  planSchema,
  type Shelf,
} from '../../project';

export const SCHEMAS = { cars: carSchema, circuits: circuitSchema, plans: planSchema } as const;

export type Path = readonly (string | number)[];

/** The value at a path; undefined where the path ends early. */
export function getAt(value: unknown, path: Path): unknown {
  return path.reduce<unknown>((at, key) => (at as Record<string | number, unknown> | null)?.[key], value);
}

/** A copy with one value replaced; what lies beside the path is shared. */
export function setAt(value: unknown, path: Path, next: unknown): unknown {
  if (path.length === 0) return next;
  const [key, ...rest] = path;
  const copy = (Array.isArray(value) ? [...value] : { ...(value as object) }) as Record<
    string | number,
    unknown
  >;
  copy[key] = setAt(copy[key], rest, next);
  return copy;
}

/** The schema at a path of names. */
function schemaAt(schema: z.ZodType, path: readonly string[]): z.ZodType | null {
  let at: z.ZodType = schema;
  for (const key of path) {
    if (at instanceof z.ZodNullable) at = at.unwrap() as z.ZodType;
    if (!(at instanceof z.ZodObject)) return null;
    const next = at.shape[key] as z.ZodType | undefined;
    if (!next) return null;
    at = next;
  }
  return at instanceof z.ZodNullable ? (at.unwrap() as z.ZodType) : at;
}

/** Title of the number at a dotted path, or null. */
export function titleAt(schema: z.ZodType, path: string): string | null {
  const found = schemaAt(schema, path.split('.'));
  try {
    return found && fieldInfo(found).title;
  } catch {
    return null;
  }
}

/** The description of a number of a car, a circuit or a plan. */
export function infoAt(shelf: Shelf, path: readonly string[]): FieldInfo & FieldLimits {
  const found = schemaAt(SCHEMAS[shelf], path);
  if (!found) throw new RangeError(`infoAt: ${shelf} has no ${path.join('.')}`);
  return fieldInfo(found);
}
